import { ASSUMED_DENSITY } from '#core/clay';
import type { PigmentSource } from '#core/colour';
import { ofClay } from '#core/material';
import { lookUp } from '#core/stock';
import { attempt } from '#core/units';
import type { ShelfAnswer, TubAnswer } from '#contract';
import { bookOf } from '../../../state/book.js';

/** The colour of a tub that is stretched with some clay and mixed through, baked; null where nothing is in it. */
export function stretchedHex(
  tub: Pick<TubAnswer, 'id' | 'name' | 'clays'>,
  clayId: string,
  grams: number,
  shelf: ShelfAnswer,
  pigments: PigmentSource,
): string | null {
  const density = (id: string): number => {
    const line = shelf.clays.find((c) => c.id === id)?.lineId;
    return shelf.lines.find((l) => l.id === line)?.density ?? ASSUMED_DENSITY;
  };
  const inside = [...tub.clays, { clayId, grams }].filter((c) => c.grams > 0);
  if (inside.length === 0) return null;
  const parts = inside.map((c) => ({ of: ofClay(c.clayId), volume: c.grams / density(c.clayId) }));
  const book = { ...bookOf(shelf, []), composed: () => ({ name: tub.name, parts }) };
  return attempt(
    () => lookUp({ kind: 'scrap', id: tub.id }, book, { stage: 'baked', pigments }).hexes[0] ?? null,
    // a shelf that was read before one of its clays came
    () => null,
  );
}

/** Share by weight that what is added has then. */
export const shareOf = (grams: number, there: number): number => (grams > 0 ? grams / (there + grams) : 0);
