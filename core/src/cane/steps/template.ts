import { type Mm, type Mm2 } from '#core/units';
import {
  DEGREES,
  LENGTH,
  list,
  material,
  object,
  part,
  points,
  text,
  whichever,
  type AnyPart,
  type AnyStep,
  type Doing,
  type MaterialKey,
  type PartOf,
  type RegionOf,
} from '#core/cane/document';
import { areaOf, areasSeen, clipped, extentOf, outlineOf, signedArea, type Point } from '#core/cane/outlines';
import { begun } from './begun.js';
import type { BeginKind } from './kind.js';
import { positive } from './measure.js';
import { pressedTo } from './pressing.js';
import { FADE, contextOf, measured, numberOf, type CaneContext, type CaneState, type Sampler } from './state.js';
import { complaint } from './sentences.js';

/** A drawing whose regions are filled with clay: the first is the ground, the others lie on it, later ones on top. */
export interface Template<S = AnyStep> extends Doing<'template'> {
  readonly regions: readonly RegionOf<PartOf<S>>[];
  readonly length: Mm;
}
type Region = RegionOf<AnyPart>;

const MOST_REGIONS = 400;

/** Even-odd: whether a point lies in a polygon of any kind. */
function inside(points: Float64Array, x: number, y: number): boolean {
  let within = false;
  for (let i = 0, j = points.length - 2; i < points.length; j = i, i += 2) {
    const [yi, yj] = [points[i + 1] as number, points[j + 1] as number];
    if (yi > y === yj > y) continue;
    const [xi, xj] = [points[i] as number, points[j] as number];
    if (x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) within = !within;
  }
  return within;
}

interface Filled {
  readonly points: Float64Array;
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
  readonly sample: Sampler;
}

/** Places along a fade between which it is taken to be straight. */
const PLACES = 96;

/**
 * A fade pressed into a region: as much of the region lies before a place as
 * of the fade, so that it holds of each colour what the blend holds.
 * @param c,s the direction of the fade @returns the place, 0 to 1, at so many mm along that direction
 */
function evenFade(points: readonly Point[], c: number, s: number): (along: number) => number {
  const all = points.map(([x, y]) => x * c + y * s);
  const [from, to] = [Math.min(...all), Math.max(...all)];
  const whole = signedArea(points);
  const before = Array.from(
    { length: PLACES + 1 },
    (_, k) => signedArea(clipped(points, c, s, from + ((to - from) * k) / PLACES)) / whole,
  );
  return (along) => {
    const at = Math.min(PLACES, Math.max(0, ((along - from) / (to - from)) * PLACES));
    const k = Math.min(PLACES - 1, Math.floor(at));
    const [low, high] = [before[k] as number, before[k + 1] as number];
    return Math.min(1, Math.max(0, low + (high - low) * (at - k)));
  };
}

/** What fills a region, in the coordinates of the template. */
function fillOf(region: Region, part: CaneState | undefined, context: CaneContext): Sampler {
  const { fill } = region;
  if ('of' in fill) {
    const index = numberOf(context, fill.of);
    return () => index;
  }
  const [c, s] = [Math.cos((fill.degrees * Math.PI) / 180), Math.sin((fill.degrees * Math.PI) / 180)];
  if ('blend' in fill) {
    const index = numberOf(context, fill.blend);
    const place = evenFade(region.points, c, s);
    return (x, y) => index + FADE * place(x * c + y * s);
  }
  if (!part) throw complaint('cane/missing');
  // another cane is pressed into the region, whatever its size
  const {
    outline,
    moved: [mx, my],
  } = outlineOf(region.points);
  const pressed = pressedTo(part, outline, fill.degrees);
  const factor = Math.sqrt(areaOf(pressed.outline) / areaOf(outline));
  return (x, y) => pressed.sample((x - mx) * factor, (y - my) * factor);
}

/** Regions made ready to be looked into, in their order. */
function filledOf(regions: readonly Region[], parts: readonly CaneState[], context: CaneContext): Filled[] {
  let used = 0;
  return regions.map((region): Filled => {
    if (region.points.length < 3 || Math.abs(signedArea(region.points)) < 1e-9) throw complaint('cane/outline');
    const { left, right, bottom, top } = extentOf({ points: region.points, round: false });
    const filling = 'cane' in region.fill ? parts[used++] : undefined;
    const flat = Float64Array.from(region.points.flatMap((p: Point) => [...p]));
    return { left, right, bottom, top, points: flat, sample: fillOf(region, filling, context) };
  });
}

const holds = ({ left, right, bottom, top, points: edge }: Filled, x: number, y: number): boolean =>
  x >= left && x <= right && y >= bottom && y <= top && inside(edge, x, y);

/**
 * A drawing decides the regions: the first is the ground and the outline,
 * the others lie on it, later ones on top.
 * @param parts canes of the regions that are filled with one, in their order
 */
export function templateState(
  { regions, length }: Template,
  parts: readonly CaneState[],
  context: CaneContext,
): CaneState {
  const [ground] = regions;
  if (!ground || regions.length > MOST_REGIONS) throw complaint('cane/regions');
  positive(length, 'The length');
  const { outline, moved } = outlineOf(ground.points);
  const filled = filledOf(regions, parts, context);
  const above = filled.slice(1).reverse();
  const base = filled[0] as Filled;
  const sample: Sampler = (x, y) => {
    const [px, py] = [x + moved[0], y + moved[1]];
    for (const region of above) if (holds(region, px, py)) return region.sample(px, py);
    return base.sample(px, py);
  };
  return begun(outline, length, sample, measured(sample, outline));
}

/** mm² of each region that is seen, in their order, counted on a grid. */
function countedAreas(step: Template): number[] {
  const context = contextOf();
  const apart = step.regions.map((r, i): Region => ({ ...r, fill: { of: String(i) } }));
  const { amounts } = templateState({ ...step, regions: apart }, [], context);
  return step.regions.map((_, i) => amounts.get(context.materials.indexOf(String(i))) ?? 0);
}

/** mm² of each region that is seen, in their order: without what others cover of it and what lies outside. */
export const seenAreas = (step: Template): readonly Mm2[] =>
  areasSeen(step.regions.map((r) => r.points)) ?? countedAreas(step);

/**
 * mm² of each clay that is laid in the regions of a template. Of plain clay
 * only what is seen; a fade is pressed into the whole of its region, and what
 * others cover of it is cut away. Clay of the canes in it is counted there.
 */
export function laidAreas(step: Template): { readonly key: MaterialKey; readonly area: Mm2 }[] {
  const seen = countedAreas(step);
  return step.regions.flatMap(({ fill, points: edge }, i) => {
    if ('cane' in fill) return [];
    if ('blend' in fill) return [{ key: fill.blend, area: Math.abs(signedArea(edge)) }];
    return [{ key: fill.of, area: seen[i] ?? 0 }];
  });
}

const canesIn = ({ regions }: Template): AnyPart[] => regions.flatMap((r) => ('cane' in r.fill ? [r.fill.cane] : []));

function withCane(step: Template, at: number, other: AnyPart): Template {
  let seen = -1;
  const regions = step.regions.map((r) =>
    'cane' in r.fill && ++seen === at ? { ...r, fill: { ...r.fill, cane: other } } : r,
  );
  return { ...step, regions };
}

const fill = whichever(
  { cane: object({ cane: part, degrees: DEGREES }), blend: object({ blend: material, degrees: DEGREES }) },
  object({ of: material }),
);

export const template: BeginKind<Template> = {
  fields: { regions: list(object({ id: text(80), name: text(80), points, fill }), 1, MOST_REGIONS), length: LENGTH },
  parts: {
    of: canesIn,
    with: withCane,
    // pressed into its region, whatever its size
    longer: ({ regions }, other, _, at) => {
      const areas = regions.filter((r) => 'cane' in r.fill).map((r) => Math.abs(signedArea(r.points)));
      return (areas[at] ?? 0) / areaOf(other.outline);
    },
  },
  scaled: (step, factor) => ({
    ...step,
    regions: step.regions.map((r) => ({ ...r, points: r.points.map(([x, y]) => [x * factor, y * factor] as const) })),
  }),
  begin: templateState,
  laid: laidAreas,
};
