import type { Mm } from '#core/units';
import type { RegionOf } from '#core/cane/document';
import { crossesItself, signedArea, simplified, type Point } from '#core/cane/outlines';

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
 * Regions of a drawing at a width, about the middle, y up: the largest that
 * covers all is the ground; where there is none, a rectangle around them.
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
  const whole = width * height;
  const at = moved.findIndex((r) => Math.abs(signedArea(r.points)) > GROUND * whole);
  const ground = moved[at] ?? {
    name: 'ground',
    hex: moved[0]?.hex ?? 'FFFFFF',
    points: [
      [-width / 2, -height / 2],
      [width / 2, -height / 2],
      [width / 2, height / 2],
      [-width / 2, height / 2],
    ] as const,
  };
  if (at < 0) said.push('Nothing in the drawing covers all of it, so a rectangle around it is the ground.');
  return { regions: [ground, ...moved.filter((_, i) => i !== at)], notes: said };
}

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
