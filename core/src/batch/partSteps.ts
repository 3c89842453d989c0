import { cutInBalls, punchedWith } from '#core/piece';
import type { Mm } from '#core/units';
import { coreOf, partOrders, type AssemblyOrder, type LumpOrder } from './assembly.js';
import type { AssembledPart, BenchStep, Shown } from './benchStep.js';
import { toCut, type LayerOf } from './order.js';
import type { BatchPlan } from './plan.js';

type ShapeStep = Extract<BenchStep, { kind: 'shape' }>;

/** Sheets that clay for balls is punched of: an assumption, as the design's worked case has it. */
const PUNCHED_OF: Mm = 3;

/** How the clay of one of them is measured: small balls are cut of a snake, larger ones punched with a cutter. */
function measured({ amount, assembly, count }: LumpOrder): Pick<ShapeStep, 'balls' | 'punch'> {
  const { shape } = amount.part;
  const isRound = shape.is === 'ball' || (shape.is === 'covered' && amount.role === 'second');
  if (!isRound) return { balls: null, punch: null };
  const across = shape.is === 'covered' ? shape.core : shape.width;
  const balls = cutInBalls(across, amount.volume, count);
  if (balls) return { balls, punch: null };
  const { machineName, settingLabel, mm } = assembly.rolling(PUNCHED_OF);
  return { balls: null, punch: { machineName, settingLabel, mm, across: punchedWith(amount.volume, mm) } };
}

/** Every part that is shaped by hand, with what it weighs. */
export function shapeSteps(
  lumps: readonly LumpOrder[],
  { lumps: planned }: Pick<BatchPlan, 'lumps'>,
  shown: (of: LayerOf) => Shown,
): ShapeStep[] {
  return lumps.flatMap((lump): ShapeStep[] => {
    const plan = planned.find(({ id }) => id === lump.id);
    if (!plan) return [];
    const { amount, assembly } = lump;
    return [
      {
        ...{ kind: 'shape', pieceId: assembly.id, pieceName: assembly.name, partName: amount.part.name },
        ...{ clay: shown(lump.of), count: lump.count, grams: plan.grams, shape: amount.part.shape },
        ...{ inside: amount.role === 'second', slices: amount.slices },
        ...measured(lump),
      },
    ];
  });
}

/** The cores of some pieces, and everything else that is shaped. */
export function coresOf(orders: readonly AssemblyOrder[]): {
  readonly cores: LumpOrder[];
  readonly others: LumpOrder[];
} {
  const lumps = orders.flatMap((order) => partOrders(order).lumps);
  return { cores: lumps.filter((l) => coreOf(l) !== null), others: lumps.filter((l) => coreOf(l) === null) };
}

/** Putting the parts of a piece together; nothing where there is only one of one part. */
export function assembleStep(order: AssemblyOrder): BenchStep[] {
  const nameOf = new Map(order.laid.map(({ part }) => [part.id, part.name]));
  const parts = order.laid
    .filter(({ part }) => part.shape.is !== 'finding')
    .map(({ part, lying }): AssembledPart => {
      const { place } = part;
      return {
        name: part.name,
        count: lying.length,
        lies: place.lies,
        gaps: place.lies === 'ring' && place.gaps,
        on: part.on === null ? null : (nameOf.get(part.on) ?? null),
        under: part.under ?? false,
      };
    });
  const single = parts.length < 2 && (parts[0]?.count ?? 0) < 2;
  if (single) return [];
  const { id, name, thickest } = order;
  return [{ kind: 'assemble', pieceId: id, pieceName: name, count: toCut(order), thickest, parts }];
}
