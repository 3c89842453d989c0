import { inOrderOfUse, lotsOf, type Lot } from '#core/batch';
import {
  SCHOOLS_OF_CONDITIONING,
  USUAL_ROOM,
  conditionPlan,
  type Conditioner,
  type ConditionPlan,
  type CountedConditioning,
  type Machine,
} from '#core/sheet';
import { orSentence } from '#core/units';
import { readCount } from '../../parts/readCount.js';
import type { BenchSetupDto, ClayDto, LineDto, ShelfAnswer } from '#contract';

/** Half a packet, in grams: what is conditioned where nobody says how much. */
const HALF_PACKET = 57;

/** What is asked in the address: which clay, how much of it, which of its blocks, and how. */
export interface Asked {
  readonly clay: ClayDto;
  readonly line: LineDto | undefined;
  readonly wanted: number;
  /** each block has its age: they are conditioned one after the other */
  readonly lots: readonly Lot[];
  readonly lot: Lot | undefined;
  readonly school: Conditioner;
}

/** Clays that can be conditioned. */
export const conditionable = (shelf: ShelfAnswer): readonly ClayDto[] => shelf.clays.filter((c) => !c.retired);

/** Reads the address against the shelf; null where there is no clay at all. @param on a day, for the age */
export function askedIn(query: URLSearchParams, shelf: ShelfAnswer, on: string): Asked | null {
  const clays = conditionable(shelf);
  const clay = clays.find((c) => c.id === query.get('clay')) ?? clays[0];
  if (!clay) return null;
  const blocks = shelf.blocks.filter((b) => b.clayId === clay.id);
  const first = inOrderOfUse(blocks.filter((b) => b.leftGrams > 0))[0];
  const wanted = Number(query.get('grams') ?? 0) || Math.min(HALF_PACKET, first?.leftGrams ?? HALF_PACKET);
  const lots = lotsOf(blocks, wanted, on);
  return {
    clay,
    line: shelf.lines.find((l) => l.id === clay.lineId),
    wanted,
    lots,
    lot: lots[Number(query.get('lot') ?? 0)] ?? lots[0],
    school: SCHOOLS_OF_CONDITIONING.find((s) => s === query.get('school')) ?? 'thin slices',
  };
}

/** What is conditioned, as it is planned and as it is written down. */
export const conditionedOf = ({ clay, line, lot, wanted, school }: Asked, setup: BenchSetupDto) => ({
  clayId: clay.id,
  firmness: line?.firmness ?? 'medium',
  months: lot?.months ?? null,
  grams: lot?.grams ?? wanted,
  roomC: setup.roomC ?? USUAL_ROOM,
  school,
});

export type Conditioned = ReturnType<typeof conditionedOf>;

/** The plan, or the sentence why there is none. */
export function planOf(
  asked: Asked,
  setup: BenchSetupDto,
  machine: Machine | null,
  counted: readonly CountedConditioning[],
): ConditionPlan | string {
  return orSentence(() =>
    conditionPlan({
      ...conditionedOf(asked, setup),
      lineId: asked.clay.lineId,
      machine,
      counted,
      ownPasses: setup.conditionPasses ?? null,
      workingSettingId: setup.conditionSettingId ?? null,
    }),
  );
}

/** The most passes that are counted. */
export const MOST_PASSES = 200;

const readCounted = readCount(2, MOST_PASSES, 'The number of passes');
/** A number of passes, or nothing for the usual one. @throws Complaint `parts/unreadable`, `count/range` */
export const readPasses = (text: string): number | null =>
  /^\s*(not said)?\s*$/.test(text) ? null : readCounted(text);
