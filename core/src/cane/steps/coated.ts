import { areaOf, beyond, outlineOf, reachOf, type Outline } from '#core/cane/outlines';
import { one, sumOf, type Sampler, type Unspoilt } from './state.js';

/**
 * A piece with one clay around it, out to another edge about the same middle.
 * @param material by its number @throws Complaint `cane/star`
 */
export function coated<S extends Unspoilt>(state: S, outside: Outline, material: number): S {
  const reach = reachOf(state.outline);
  const inner = state.sample;
  const { outline, moved } = outlineOf(outside.points, outside.round);
  const [mx, my] = moved;
  // one that folds back on itself is refused here, at its own step
  reachOf(outline);
  const area = areaOf(outline) - areaOf(state.outline);
  const sample: Sampler = (x, y) => (beyond(reach, x + mx, y + my) <= 1 ? inner(x + mx, y + my) : material);
  return { ...state, outline, sample, amounts: sumOf([state.amounts, 1], [one(material, area), 1]) };
}
