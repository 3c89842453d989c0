import type { RegionOf } from '#core/cane/document';
import {
  crossesItself,
  outerEdges,
  outlineOf,
  reachOf,
  rectangle,
  signedArea,
  simplified,
  type Point,
} from '#core/cane/outlines';
import { Complaint, type Mm } from '#core/units';

/** A flat region of a drawing: what it is called there, its colour there, and its edge. */
export interface DrawnRegion {
  readonly name: string;
  /** sRGB, six hex digits */ readonly hex: string;
  readonly points: readonly Point[];
}

/** A drawing made ready to be a template: the first region is the ground. mm, y up, about the middle. */
export interface Drawn {
  readonly regions: readonly DrawnRegion[];
  /** sentences about what was left out or mended */
  readonly notes: readonly string[];
}

/** Share of the whole that a region has to cover to be taken for the ground. */
const GROUND = 0.985;
const FEWEST_MM2 = 0.05;

/**
 * Regions of a drawing at a width, about the middle, y up. The largest is the ground, and its edge the outline.
 * @param regions in any measure, y down, in the order they were drawn
 */
export function drawnOf(regions: readonly DrawnRegion[], width: Mm, tolerance: Mm, notes: readonly string[]): Drawn {
  const xs = regions.flatMap((r) => r.points.map((p) => p[0]));
  const ys = regions.flatMap((r) => r.points.map((p) => p[1]));
  const [left, right, top, bottom] = [
    xs.reduce((a, b) => Math.min(a, b), Infinity),
    xs.reduce((a, b) => Math.max(a, b), -Infinity),
    ys.reduce((a, b) => Math.min(a, b), Infinity),
    ys.reduce((a, b) => Math.max(a, b), -Infinity),
  ];
  const scale = width / (right - left);
  const [cx, cy] = [(left + right) / 2, (top + bottom) / 2];
  const height = (bottom - top) * scale;
  const said = [...notes];
  const moved = regions
    .map((r) => ({
      ...r,
      points: simplified(
        r.points.map(([x, y]): Point => [(x - cx) * scale, (cy - y) * scale]),
        tolerance,
      ),
    }))
    .filter((r) => r.points.length >= 3 && Math.abs(signedArea(r.points)) >= FEWEST_MM2);
  if (moved.length < regions.length)
    said.push(`${regions.length - moved.length} regions smaller than a pinhead were left out.`);
  const crossing = moved.filter((r) => crossesItself(r.points)).length;
  if (crossing > 0)
    said.push(
      `${crossing} ${crossing === 1 ? 'outline crosses itself' : 'outlines cross themselves'}: what is ` +
        'enclosed twice counts as outside there.',
    );
  const { ground, rest, note } = groundOf(moved, width, height);
  if (note) said.push(note);
  return { regions: [ground, ...rest], notes: said };
}

interface Ground {
  readonly ground: DrawnRegion;
  /** the regions that lie on it */
  readonly rest: readonly DrawnRegion[];
  readonly note?: string;
}

/** A rectangle around all of a drawing as its ground. */
const rectangleAround = (regions: readonly DrawnRegion[], width: Mm, height: Mm, note: string): Ground => ({
  ground: { name: 'ground', hex: regions[0]?.hex ?? 'FFFFFF', points: rectangle(width, height).points },
  rest: regions,
  note,
});

/** Whether the middle of an outline sees all of its edge, so that a cane can have it. */
function canBePressed(points: readonly Point[]): boolean {
  try {
    reachOf(outlineOf(points).outline);
    return true;
  } catch (error) {
    if (error instanceof Complaint) return false;
    throw error;
  }
}

/**
 * What a drawing lies on. Its largest closed line is the outline of the cane, grown by what juts out over it; a
 * rectangle around everything where something lies apart from it, or where it folds back on itself.
 */
function groundOf(regions: readonly DrawnRegion[], width: Mm, height: Mm): Ground {
  const areas = regions.map((r) => Math.abs(signedArea(r.points)));
  const at = areas.indexOf(Math.max(...areas));
  const largest = regions[at];
  if (!largest) return rectangleAround(regions, width, height, 'Nothing in the drawing is large enough for a region.');
  const rest = regions.filter((_, i) => i !== at);
  if ((areas[at] ?? 0) > GROUND * width * height) return { ground: largest, rest };
  const edges = outerEdges(regions.map((r) => r.points)) ?? [];
  const [edge] = edges;
  if (!edge || edges.length > 1) return rectangleAround(regions, width, height, APART);
  if (!canBePressed(edge)) return rectangleAround(regions, width, height, FOLDED);
  if (at === 0) return { ground: { ...largest, points: edge }, rest };
  // what was drawn before it lies beneath it
  return { ground: { name: 'ground', hex: largest.hex, points: edge }, rest: regions };
}
const APART = 'Not all of the drawing hangs together, so a rectangle around it is the ground.';
const FOLDED = 'The outline of the drawing folds back on itself, so a rectangle around it is the ground.';

/**
 * Regions of a drawing as those of a template, filled by their colours.
 * @param key what a colour of the drawing is filled with
 */
export const drawnToRegions = ({ regions }: Drawn, key: (hex: string) => string): RegionOf<never>[] =>
  regions.map((r, i): RegionOf<never> => ({
    id: `region ${i + 1}`,
    name: r.name,
    points: r.points,
    fill: { of: key(r.hex) },
  }));
