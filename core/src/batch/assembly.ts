import { materialIn, type Material } from '#core/material';
import type { Cutter } from '#core/cutter';
import {
  amountsOf,
  cutterOfPart,
  domeArea,
  type FinishStep,
  type LaidPart,
  type PartAmount,
  type Shape,
} from '#core/piece';
import type { Mm, Mm3 } from '#core/units';
import type { LayerOf, LayerOrder, PieceOrder } from './order.js';

/** How a sheet is rolled on one's own machine. */
export type Rolling = Pick<LayerOrder, 'machineName' | 'settingLabel' | 'mm' | 'assumed' | 'rollerWidthMm'>;

/** A piece of many parts in a batch. */
export interface AssemblyOrder {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  readonly spare: number;
  readonly bridgeMm: Mm;
  readonly sheetWidthMm: Mm;
  readonly sheetLengthMm: Mm;
  /** as `layPiece` laid it */
  readonly laid: readonly LaidPart[];
  /** mm of clay at its thickest */
  readonly thickest: Mm;
  /** the setting that a sheet so thick is rolled at */
  readonly rolling: (mm: Mm) => Rolling;
  /** mm across each sheet with a fade that lies there, by its id; left out: there is none */
  readonly fades?: ReadonlyMap<string, Mm>;
  readonly finish?: readonly FinishStep[];
  /** why it cannot be laid together; null or left out: it can */
  readonly wrong?: string | null;
}

/** A part that is rolled by hand, or cut off a cane: of all pieces of its kind. */
export interface LumpOrder {
  readonly id: string;
  readonly assembly: AssemblyOrder;
  readonly amount: PartAmount;
  readonly of: LayerOf;
  /** of all pieces, spares too */
  readonly count: number;
  /** mm³ that are in the pieces, and that are taken for them */
  readonly volume: Mm3;
  readonly taken: Mm3;
}

/** What an assembled piece asks for. */
export interface PartOrders {
  readonly cuts: readonly PieceOrder[];
  readonly lumps: readonly LumpOrder[];
  /** names of parts for which no clay is chosen yet */
  readonly unchosen: readonly string[];
}

/** Of clay that is shaped by hand so much stays on hands and tools, or comes off at the ends: an assumption. */
const LOST_BY_HAND = 0.03;

/** The id of a part's own sheet or lump among those of a batch. */
export const partOrderId = (assemblyId: string, { part, role }: Pick<PartAmount, 'part' | 'role'>): string =>
  `${assemblyId} ${part.id}${role === 'second' ? ' inside' : ''}`;

/** What a part is cut of a sheet with; null where it is shaped otherwise. A dome is cut as a disc of as much area. */
function cutterFor(shape: Shape): Cutter | null {
  if (shape.is === 'cut') return cutterOfPart(shape.outline);
  if (shape.is !== 'veneer') return null;
  const across = 2 * Math.sqrt(domeArea(shape.width, shape.height) / Math.PI);
  return { shape: 'round', width: across, height: across };
}

/**
 * How a fade lies on a part that is cut of it: its long side across the fade, or along it. A fade that is still to be
 * made is as wide as the part needs it; a sheet that lies there as it was made.
 */
function onFade(
  { bridgeMm, fades }: AssemblyOrder,
  shape: Shape,
  of: Material,
  cutter: Cutter,
): Pick<PieceOrder, 'lie'> & { readonly fadeMm?: Mm } {
  if (shape.is !== 'cut') return {};
  const across = shape.fade === 'across';
  const side = across ? cutter.width : cutter.height;
  const fadeMm = of.kind === 'blend' ? side + 2 * bridgeMm : fades?.get(of.id);
  return fadeMm === undefined ? {} : { lie: across ? 'upright' : 'sideways', fadeMm };
}

function cutOrder(order: AssemblyOrder, amount: PartAmount, of: LayerOf, cutter: Cutter): PieceOrder {
  const { name, shape } = amount.part;
  const { lie, fadeMm } = onFade(order, shape, of, cutter);
  const layer: LayerOrder = {
    of,
    ...order.rolling(amount.sheet ?? 1),
    ...(fadeMm === undefined ? {} : { fadeMm }),
    ...(of.kind === 'pattern' ? { mm: amount.sheet ?? 1, asItLies: true } : {}),
  };
  return {
    id: partOrderId(order.id, amount),
    name: `${name} of ${order.name}`,
    cutter,
    count: amount.count * order.count,
    spare: amount.count * order.spare,
    ...{ bridgeMm: order.bridgeMm, sheetWidthMm: order.sheetWidthMm, sheetLengthMm: order.sheetLengthMm },
    ...(lie ? { lie } : {}),
    layers: [layer],
  };
}

/** mm³ that are taken for one: slices around a core overlap, what is rolled by hand leaves a little on the hands. */
function takenFor({ part: { shape }, volume, slices }: PartAmount): Mm3 {
  if (slices !== null && shape.is === 'covered' && shape.slice !== undefined)
    return Math.max(volume, slices * (Math.PI / 4) * shape.slice ** 2 * shape.wall);
  return shape.is === 'slice' ? volume : volume * (1 + LOST_BY_HAND);
}

/** Every sheet and every lump that the parts of an assembled piece are made of, for all pieces of its kind. */
export function partOrders(order: AssemblyOrder): PartOrders {
  const cuts: PieceOrder[] = [];
  const lumps: LumpOrder[] = [];
  const unchosen = new Set<string>();
  for (const amount of amountsOf(order.laid)) {
    const of = amount.of === null ? null : materialIn(amount.of);
    if (of === null) {
      unchosen.add(amount.part.name);
      continue;
    }
    const cutter = amount.role === 'own' ? cutterFor(amount.part.shape) : null;
    if (cutter) {
      cuts.push(cutOrder(order, amount, of, cutter));
      continue;
    }
    const count = amount.count * (order.count + order.spare);
    const id = partOrderId(order.id, amount);
    lumps.push({
      id,
      assembly: order,
      amount,
      of,
      count,
      volume: count * amount.volume,
      taken: count * takenFor(amount),
    });
  }
  return { cuts, lumps, unchosen: [...unchosen] };
}

/** mm across the core that a lump is, where it is baked before it is covered; null: it is none. */
export function coreOf({ amount: { part, role } }: LumpOrder): Mm | null {
  const { shape } = part;
  return shape.is === 'covered' && shape.bakedFirst && role === 'second' ? shape.core : null;
}

/** The materials of an assembled piece, each once. */
export function materialsOfAssembly({ laid }: Pick<AssemblyOrder, 'laid'>): readonly LayerOf[] {
  const keys = new Set(amountsOf(laid).flatMap(({ of }) => of ?? []));
  return [...keys].flatMap((key) => materialIn(key) ?? []);
}
