import { extentOf, type Region } from '#core/cane';
import { ASSUMED_DENSITY, massOf } from '#core/clay';
import { showLength, showMass, showSize } from '#core/units';
import { clayArea, fillName, isGround, keyIn, orderOf, type Template } from './templateMoves.js';
import type { Beginning, Laid } from './view.js';

/** How large a region is, with what it is filled, and how much clay that is. */
function regionLine(step: Template, region: Region, { names, densities, units, length }: Beginning): string {
  const { width, height } = extentOf({ points: region.points, round: false });
  const area = clayArea(step, [region]);
  const grams = massOf(area * length, densities?.(keyIn(region.fill)) ?? ASSUMED_DENSITY);
  const size = `${showSize(width, height, units)}, ${showMass(grams, units)} in ${showLength(length, units)}`;
  return `${fillName(region.fill, names)}, ${size}.`;
}

/**
 * What a template is built of from its left side: every region in turn, and the ground that is pressed in between
 * them at the end, each with what stands by then.
 */
export function laidOf(step: Template, beginning: Beginning): readonly Laid[] {
  const [ground, ...others] = orderOf(step);
  const inOrder = ground ? [...others, ground] : others;
  return inOrder.map((region, i) => {
    const isLast = isGround(step, [region]);
    const where = isLast ? 'Fill what is left between them, and press it together.' : 'Lay it against what stands.';
    return {
      title: isLast ? 'fill the ground' : region.name,
      line: `${regionLine(step, region, beginning)} ${where}`,
      figure: String(i + 1),
      of: `of ${inOrder.length}`,
      drawing: { step, standing: inOrder.slice(0, i + 1).map((r) => r.id), now: region.id },
    };
  });
}
