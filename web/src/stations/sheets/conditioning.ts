import { inOrderOfUse } from '#core/batch';
import { conditionPlan, schoolOf, type ConditionPlan, type ConditioningBench } from '#core/conditioning';
import { orSentence } from '#core/units';
import { lotsToCondition, readAmounts, type Amount, type LotOfClay } from '../../parts/conditioning/sitting.js';
import { readCount } from '../../parts/readCount.js';
import type { ClayDto, ShelfAnswer } from '#contract';

/** Half a packet, in grams: what is conditioned where nobody says how much. */
const HALF_PACKET = 57;

/** What is asked in the address: the clays of a sitting, and which of its blocks is looked at. */
export interface Asked {
  readonly amounts: readonly Amount[];
  /** each block has its age: they are conditioned one after the other */
  readonly lots: readonly LotOfClay[];
  /** the one that is looked at */
  readonly one: LotOfClay;
  /** g of its clay, of all its blocks */
  readonly wanted: number;
}

/** Clays that can be conditioned. */
export const conditionable = (shelf: ShelfAnswer): readonly ClayDto[] => shelf.clays.filter((c) => !c.retired);

/** How much of a clay is conditioned where nobody says: half a packet, or what is left of its first block. */
export function usualAmount(shelf: ShelfAnswer, clayId: string): Amount {
  const blocks = shelf.blocks.filter((b) => b.clayId === clayId && b.leftGrams > 0);
  const [first] = inOrderOfUse(blocks);
  return { clayId, grams: Math.min(HALF_PACKET, first?.leftGrams ?? HALF_PACKET) };
}

/** Amounts of clays that are on the shelf; of the one that is asked for, or of the first, where there are none. */
function amountsIn(query: URLSearchParams, shelf: ShelfAnswer): readonly Amount[] {
  const known = new Set(shelf.clays.map((c) => c.id));
  const said = readAmounts(query.get('of')).filter(({ clayId }) => known.has(clayId));
  if (said.length > 0) return said;
  const clayId = [query.get('clay') ?? '', conditionable(shelf)[0]?.id ?? ''].find((id) => known.has(id));
  if (clayId === undefined) return [];
  const grams = Number(query.get('grams') ?? 0);
  return [grams > 0 ? { clayId, grams } : usualAmount(shelf, clayId)];
}

/** Reads the address against the shelf; null where there is no clay at all. @param on a day, for the age */
export function askedIn(query: URLSearchParams, shelf: ShelfAnswer, on: string): Asked | null {
  const amounts = amountsIn(query, shelf);
  const lots = lotsToCondition(amounts, shelf, on);
  const clayId = query.get('clay');
  const own = lots.filter(({ clay }) => clay.id === clayId);
  const one = own[Number(query.get('lot') ?? 0)] ?? own[0] ?? lots[0];
  if (!one) return null;
  const wanted = amounts.find((a) => a.clayId === one.clay.id)?.grams ?? 0;
  return { amounts, lots, one, wanted };
}

/** What is conditioned, as it is planned and as it is written down. */
export const conditionedOf = ({ clay, line, lot }: LotOfClay, bench: ConditioningBench) => ({
  clayId: clay.id,
  firmness: line?.firmness ?? 'medium',
  squeeze: lot.squeeze,
  months: lot.months,
  grams: lot.grams,
  roomC: bench.roomC,
  school: schoolOf(bench),
});

/** The plan of one clay, or the sentence why there is none. */
export const planOf = (of: LotOfClay, bench: ConditioningBench): ConditionPlan | string =>
  orSentence(() => {
    const { clayId: _, roomC: __, school: ___, ...clay } = conditionedOf(of, bench);
    return conditionPlan({ ...clay, lineId: of.clay.lineId, ...bench });
  });

/** The most passes that are counted. */
export const MOST_PASSES = 200;

const readCounted = readCount(2, MOST_PASSES, 'The number of passes');
/** A number of passes, or nothing for the usual one. @throws Complaint `parts/unreadable`, `count/range` */
export const readPasses = (text: string): number | null =>
  /^\s*(not said)?\s*$/.test(text) ? null : readCounted(text);
