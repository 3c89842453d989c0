import clipping, { type MultiPolygon, type Polygon } from 'polygon-clipping';
import type { Mm2 } from '#core/units';
import { signedArea, type Point } from '#core/outline';

/** Closed lines as the package takes them; where a line crosses itself, what is enclosed twice is outside. */
const polygonOf = (points: readonly Point[]): Polygon => [points.map(([x, y]): [number, number] => [x, y])];

const ringArea = (ring: readonly (readonly [number, number])[]): Mm2 => Math.abs(signedArea(ring));

/** Without its holes. */
const areaIn = (shapes: MultiPolygon): Mm2 =>
  shapes.reduce((sum, [outer = [], ...holes]) => {
    const hollow = holes.reduce((all, hole) => all + ringArea(hole), 0);
    return sum + ringArea(outer) - hollow;
  }, 0);

/**
 * mm² of each of some areas that is seen within the first, later ones on top (F. Martínez, A. J. Rueda and
 * F. R. Feito, 2009, as the package polygon-clipping does it).
 * @returns null where lines lie on each other so that it cannot be worked out
 */
export function areasSeen(areas: readonly (readonly Point[])[]): readonly Mm2[] | null {
  const [ground, ...above] = areas.map(polygonOf);
  if (!ground) return [];
  try {
    let covered: MultiPolygon = [];
    const seen = [...above].reverse().map((area) => {
      const own = areaIn(clipping.difference(clipping.intersection(area, ground), covered));
      covered = clipping.union(covered, area);
      return own;
    });
    return [areaIn(clipping.difference(ground, covered)), ...seen.reverse()];
  } catch {
    // the package throws plain errors of its own
    return null;
  }
}

/** The outer edges of everything that some areas cover together; null as above. */
export function outerEdges(areas: readonly (readonly Point[])[]): readonly (readonly Point[])[] | null {
  try {
    const [first, ...rest] = areas.map(polygonOf);
    if (!first) return [];
    return clipping.union(first, ...rest).map(([outer = []]) => outer.slice(0, -1));
  } catch {
    return null;
  }
}
