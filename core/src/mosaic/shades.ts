import type { Lab } from '#core/colour';
import { MOST_COLOURS, paletteOf, type Pixels } from '#core/picture';

/** L* from a shade to its neighbour in a run: an assumption. */
const STEP = 7;
/** L* that clay has. */
const [DARKEST, LIGHTEST] = [14, 96];

/** The colours of a picture as shades: each alone, or with a darker and a lighter one. @throws as {@link paletteOf} */
export function shadesOf(picture: Pixels, colours: number, run: number): readonly Lab[] {
  const steps = run >= 3 ? [-STEP, 0, STEP] : [0];
  return paletteOf(picture, Math.min(MOST_COLOURS, colours)).flatMap(({ lab }) =>
    steps.map((step) => ({ ...lab, l: Math.min(LIGHTEST, Math.max(DARKEST, lab.l + step)) })),
  );
}
