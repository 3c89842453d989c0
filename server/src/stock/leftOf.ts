import { sheetLeft } from '#core/cutter';
import { attempt, type Grams, type Mm } from '#core/units';
import { cutOfSheet } from '#contract';
import type { Row } from '../db/journal.js';

type Cut = Pick<Row<'sheet'>, 'widthMm' | 'lengthMm' | 'grams' | 'cuts'>;

/** What of a sheet lies there after pieces were cut from it, and what fell. */
interface AfterCuts {
  readonly left: Grams;
  /** between the pieces */
  readonly scrap: Grams;
  readonly leftMm: Mm;
}

/** The grams of a thing are those it was made with: what its cuts took is taken off here. */
function afterCuts({ widthMm, lengthMm, grams, cuts }: Cut): AfterCuts {
  if (cuts.length === 0) return { left: grams, scrap: 0, leftMm: lengthMm };
  return attempt(
    () => {
      const { length, scrap } = sheetLeft({ widthMm, lengthMm }, cuts.map(cutOfSheet));
      return { left: (grams * length) / lengthMm, scrap: (grams * scrap) / (widthMm * lengthMm), leftMm: length };
    },
    // typed smaller than what was cut from it
    () => ({ left: 0, scrap: 0, leftMm: 0 }),
  );
}

/** g of a thing that lie there still. */
export const leftOf = (thing: Cut): Grams => afterCuts(thing).left;

/** g that fell between what was cut from it. */
export const fallen = (thing: Cut): Grams => afterCuts(thing).scrap;

/** A sheet without the holes of its cuts: what is whole of it is all that goes on. */
export function whole<T extends Cut>(thing: T): T {
  if (thing.cuts.length === 0) return thing;
  const { left, leftMm } = afterCuts(thing);
  return { ...thing, lengthMm: Math.max(1, leftMm), grams: left, cuts: [] };
}
