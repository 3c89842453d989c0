import { lotsOf, type Lot } from '#core/batch';
import { chromaHue, labOf, xyzOfHex } from '#core/colour';
import { sittingOf, type ClayOfSitting, type ConditioningBench, type Sitting } from '#core/conditioning';
import { orSentence } from '#core/units';
import type { ClayDto, LineDto, ShelfAnswer } from '#contract';

/** So much of a clay. */
export interface Amount {
  readonly clayId: string;
  readonly grams: number;
}

/** Some clay of one age, with what it is. */
export interface LotOfClay {
  readonly clay: ClayDto;
  readonly line: LineDto | undefined;
  readonly lot: Lot;
}

/** Less than this nobody conditions by itself, g. */
const LEAST = 0.1;
/** Of a sitting in the address at the most. */
const MOST = 30;

const asked = (of: LotOfClay): ClayOfSitting<LotOfClay> => {
  const lab = labOf(xyzOfHex(of.clay.rawHex));
  const { lot, line, clay } = of;
  return {
    of,
    lineId: clay.lineId,
    firmness: line?.firmness ?? 'medium',
    squeeze: lot.squeeze,
    months: lot.months,
    grams: lot.grams,
    lightness: lab.l,
    chroma: chromaHue(lab).c,
  };
};

/** Amounts of clays as the blocks that they come from. @param today ISO date */
export const lotsToCondition = (amounts: readonly Amount[], shelf: ShelfAnswer, today: string): readonly LotOfClay[] =>
  amounts.flatMap(({ clayId, grams }) => {
    const clay = shelf.clays.find((c) => c.id === clayId);
    if (!clay || grams < LEAST) return [];
    const line = shelf.lines.find((l) => l.id === clay.lineId);
    const blocks = shelf.blocks.filter((b) => b.clayId === clayId);
    return lotsOf(blocks, grams, today)
      .filter((lot) => lot.grams >= LEAST)
      .map((lot) => ({ clay, line, lot }));
  });

/** Clays in one sitting, or the sentence why not. */
export const sittingFor = (lots: readonly LotOfClay[], bench: ConditioningBench): Sitting<LotOfClay> | string =>
  orSentence(() => sittingOf(lots.map(asked), bench));

/** Names of the clays of some lots, each once. */
export const namesOf = (lots: readonly LotOfClay[]): string =>
  [...new Set(lots.map(({ clay }) => clay.name))].join(', ');

/** Amounts as they stand in an address: `id:grams,id:grams`, each clay once. */
export function writeAmounts(amounts: readonly Amount[]): string {
  const sums = new Map<string, number>();
  for (const { clayId, grams } of amounts) sums.set(clayId, (sums.get(clayId) ?? 0) + grams);
  return [...sums].map(([clayId, grams]) => `${clayId}:${Math.round(grams * 10) / 10}`).join(',');
}

/** Reads them; what makes no sense is left out, and of a clay that stands there twice the first counts. */
export function readAmounts(text: string | null): readonly Amount[] {
  const found = new Map<string, number>();
  for (const one of (text ?? '').split(',').slice(0, MOST)) {
    const [clayId = '', grams] = one.split(':');
    const g = Number(grams);
    if (clayId !== '' && Number.isFinite(g) && g > 0 && !found.has(clayId)) found.set(clayId, g);
  }
  return [...found].map(([clayId, grams]) => ({ clayId, grams }));
}

/** Where a sitting is planned. */
export const sittingPath = (amounts: readonly Amount[]): string =>
  `/sheets/condition?of=${encodeURIComponent(writeAmounts(amounts))}`;
