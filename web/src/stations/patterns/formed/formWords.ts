import type { Blank, FormKind, RoundForm, Way } from '#core/pattern';
import { showLength, showSize, type UnitSystem } from '#core/units';

export const FORM_NAMES: Readonly<Record<FormKind, string>> = {
  ball: 'ball',
  oval: 'oval',
  bicone: 'bicone',
  tube: 'tube',
  dome: 'dome',
};
export const WAY_WORDS: Readonly<Record<Way, string>> = {
  strip: 'a strip around it',
  disc: 'a disc drawn over it',
  slices: 'slices of its cane all around',
};

/** A form by its sizes. */
export function formSize({ kind, width, length }: RoundForm, units: UnitSystem): string {
  if (kind === 'ball') return `${showLength(width, units)} across`;
  const other = kind === 'dome' ? 'high' : 'long';
  return `${showLength(width, units)} across, ${showLength(length, units)} ${other}`;
}

export const blankWords = ({ width, height, round }: Blank, units: UnitSystem): string =>
  round ? `a disc ${showLength(width, units)} across` : `a strip ${showSize(width, height, units)}`;

/** What the pattern does near the edge. */
export function squeezedWords(squeezed: number, { kind }: RoundForm): string {
  const [around, out] = [Math.round(100 * squeezed), Math.round(100 / squeezed)];
  if (around >= 98) return 'The pattern stays as it is all over.';
  const where = kind === 'dome' ? 'At the rim' : 'Towards the ends, over their last tenths,';
  return `${where} the pattern is squeezed to ${around}\u00a0% around and drawn out to ${out}\u00a0%.`;
}

/** How hands do it, in their order. */
export function handsFor({ kind }: RoundForm, way: Way): readonly string[] {
  const first = kind === 'dome' ? 'Dust the form, or line it with paper.' : 'Bake the core first, and let it get cold.';
  const last =
    kind === 'dome'
      ? 'Cut the rim straight with the blade upright, and bake it on the form.'
      : 'Roll it between the palms without pressing until no seam is felt; pierce it when it is cold.';
  const middle: Readonly<Record<Way, readonly string[]>> = {
    strip: [
      'Lay the strip around the middle, its ends cut slanting where they meet.',
      'Ease its edges towards the ends with the finger; where it folds, cut a dart out and close it.',
    ],
    disc: [
      'Lay the middle of the disc on top, and stroke it down from there all around, so that no air stays below.',
      'Where it gathers, lift it and let it shrink; do not fold it.',
    ],
    slices: [
      'Lay the first slices opposite each other, then the others between them, as far apart as they go.',
      'Press each from its middle outwards; where one does not fit whole, cut it and let it zigzag.',
    ],
  };
  return [first, ...middle[way], last];
}
