import { deltaE, labOf, mixPigments, type Lab, type Pigment, type Xyz } from '#core/colour';
import type { Mm } from '#core/units';
import { fractionsAt, type Layout } from './layout.js';

/** The finished fade: its colour at even distances, and how fast it changes there. */
export interface Fade {
  readonly width: Mm;
  readonly labs: readonly Lab[];
  /** ΔE00 per mm between each two neighbours; one fewer */
  readonly change: readonly number[];
  /** ΔE00 from one end to the other along the way */
  readonly way: number;
  /** mm from the left at which half of the way is gone */
  readonly perceivedMiddle: Mm;
}

export const SAMPLES = 161;

/** How pigments look where they are mixed by these shares. */
export type Seen = (pigments: readonly Pigment[], shares: readonly number[]) => Xyz;

/** @param shares of each colour at an x in mm */
function fadeAlong(
  width: Mm,
  pigments: readonly Pigment[],
  shares: (x: Mm) => readonly number[],
  samples: number,
  seen: Seen = mixPigments,
): Fade {
  const labs = Array.from({ length: samples }, (_, i) => labOf(seen(pigments, shares((width * i) / (samples - 1)))));
  const step = width / (samples - 1);
  const change = labs.slice(1).map((lab, i) => deltaE(labs[i] as Lab, lab) / step);
  const way = change.reduce((sum, c) => sum + c * step, 0);
  let gone = 0;
  let perceivedMiddle = width / 2;
  for (let i = 0; i < change.length; i++) {
    const next = gone + (change[i] as number) * step;
    if (way > 0 && next >= way / 2) {
      perceivedMiddle = (i + (way / 2 - gone) / (next - gone)) * step;
      break;
    }
    gone = next;
  }
  return { width, labs, change, way, perceivedMiddle };
}

/**
 * What a layout becomes once all streaks are gone: at x the mix of what the
 * column holds.
 * @param pigments of the colours, from left to right @param seen how a mix of them looks: as it lies there
 */
export const fadeOf = (layout: Layout, pigments: readonly Pigment[], samples = SAMPLES, seen?: Seen): Fade =>
  fadeAlong(layout.width, pigments, (x) => fractionsAt(layout, x), samples, seen);

/** What is left of it when it is folded once the wrong way, left over right: both halves mix. It is half as wide. */
export const wronglyFolded = (layout: Layout, pigments: readonly Pigment[], samples = SAMPLES): Fade =>
  fadeAlong(
    layout.width / 2,
    pigments,
    (x) => {
      const other = fractionsAt(layout, layout.width - x);
      return fractionsAt(layout, x).map((f, i) => (f + (other[i] as number)) / 2);
    },
    samples,
  );

/** Standard deviation of the change of colour along the fade, ΔE00 per mm: 0 is perfectly even. */
export function unevenness({ change }: Fade): number {
  const mean = change.reduce((a, b) => a + b, 0) / change.length;
  return Math.sqrt(change.reduce((sum, c) => sum + (c - mean) ** 2, 0) / change.length);
}
