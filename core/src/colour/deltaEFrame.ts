import { hueWeight, lightnessScale, rotationAngle, rotationChroma, stretchOf } from './ciede2000.js';
import type { Lab } from './lab.js';

const DEGREE = Math.PI / 180;

/** Three rows of three: turns a small difference in L*, a*, b* into a vector whose length is its ΔE00. */
export type Frame = Float64Array;

/**
 * CIEDE2000 around one colour: its square is a quadratic form of the
 * difference there, and this is a root of that form. Exact for differences
 * that go to zero, within a few per cent for those below ΔE00 10; what a
 * least squares fit needs, where ΔE00 itself has no derivative.
 */
export function deltaEFrame({ l, a, b }: Lab): Frame {
  const chroma = Math.hypot(a, b);
  const stretch = 1 + stretchOf(chroma);
  const x = a * stretch;
  const c = Math.hypot(x, b);
  const h = c === 0 ? 0 : (Math.atan2(b, x) / DEGREE + 360) % 360;
  const [sl, sc, sh] = [lightnessScale(l), 1 + 0.045 * c, 1 + 0.015 * c * hueWeight(h)];
  const rotation = -Math.sin(2 * rotationAngle(h - 275) * DEGREE) * rotationChroma(c);
  const [cos, sin] = c === 0 ? [1, 0] : [x / c, b / c];
  // along the chroma and across it, with a' = a·stretch
  const along = [(cos * stretch) / sc, sin / sc] as const;
  const across = [(-sin * stretch) / sh, cos / sh] as const;
  const rest = Math.sqrt(Math.max(0.05, 1 - (rotation * rotation) / 4));
  return Float64Array.of(
    1 / sl,
    0,
    0,
    0,
    along[0] + (rotation / 2) * across[0],
    along[1] + (rotation / 2) * across[1],
    0,
    rest * across[0],
    rest * across[1],
  );
}
