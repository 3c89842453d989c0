import { areaOf, beyond, outlineOf, reachOf, type Outline, type Point } from '#core/cane/outlines';
import { one, sumOf, type Sampler, type Unspoilt } from './state.js';

/** By what a place is divided that lies in some direction. */
type Seam = (x: number, y: number) => number;

/**
 * A piece with one clay around it, out to another edge about the same middle.
 * @param material by its number @param seam by what a place within is divided @throws Complaint `cane/star`
 */
export function coated<S extends Unspoilt>(state: S, outside: Outline, material: number, seam?: Seam): S {
  const reach = reachOf(state.outline);
  const inner = state.sample;
  const { outline, moved } = outlineOf(outside.points, outside.round);
  const [mx, my] = moved;
  // one that folds back on itself is refused here, at its own step
  reachOf(outline);
  const area = areaOf(outline) - areaOf(state.outline);
  const plain: Sampler = (x, y) => (beyond(reach, x + mx, y + my) <= 1 ? inner(x + mx, y + my) : material);
  const sample = seam ? seamed(inner, reach, moved, material, seam) : plain;
  return { ...state, outline, sample, amounts: sumOf([state.amounts, 1], [one(material, area), 1]) };
}

/** The same where the clay around it is thicker in some direction. */
function seamed(inner: Sampler, reach: Float64Array, [mx, my]: Point, material: number, seam: Seam): Sampler {
  return (x, y) => {
    const [px, py] = [x + mx, y + my];
    const by = seam(px, py);
    return beyond(reach, px, py) <= by ? inner(px / by, py / by) : material;
  };
}
