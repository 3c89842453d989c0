import { beyond, reachOf, type CaneState } from '#core/cane';
import { inBoth, showSize, type Mm, type Mm2 } from '#core/units';
import { placeOn, surfaceOf, within, type RoundForm, type Surface } from './form.js';
import { complaint } from './sentences.js';

/** How a sheet goes onto a form: a strip around it, a disc drawn over it, or slices of a cane beside each other. */
export const WAYS = ['strip', 'disc', 'slices'] as const;
export type Way = (typeof WAYS)[number];

/** What goes onto which form. */
export const waysFor = ({ kind }: Pick<RoundForm, 'kind'>): readonly Way[] => {
  if (kind === 'dome') return ['disc', 'slices'];
  return kind === 'tube' ? ['strip', 'slices'] : ['strip', 'disc', 'slices'];
};

/** What is cut of a sheet for a form, mm: a strip, or a disc as wide as long; clay keeps its area on the form. */
export interface Blank {
  readonly width: Mm;
  readonly height: Mm;
  readonly round: boolean;
  /** of the middle of the wall */
  readonly area: Mm2;
}

/** @param wall thickness of the sheet, mm @throws Complaint `pattern/form size`, `pattern/form thin` */
export function blankFor(form: RoundForm, way: Exclude<Way, 'slices'>, wall: Mm): Blank {
  const { area, widest } = surfaceOf(within(form, wall, 'middle'));
  if (way === 'disc') {
    const across = 2 * Math.sqrt(area / Math.PI);
    return { width: across, height: across, round: true, area };
  }
  const around = 2 * Math.PI * widest;
  return { width: around, height: area / around, round: false, area };
}

/**
 * Whether what is cut has to lie across a sheet, since along it it is too long.
 * @throws Complaint `pattern/form sheet` where the sheet is smaller than it either way
 */
export function liesAcross(blank: Blank, sheet: { readonly width: Mm; readonly height: Mm }): boolean {
  const fits = (a: Mm, b: Mm): boolean => a <= sheet.width + 1e-6 && b <= sheet.height + 1e-6;
  if (fits(blank.width, blank.height)) return false;
  if (fits(blank.height, blank.width)) return true;
  throw complaint('pattern/form sheet', {
    wanted: inBoth((system) => showSize(blank.width, blank.height, system)),
    there: inBoth((system) => showSize(sheet.width, sheet.height, system)),
  });
}

/** Where a place of the form lies on the sheet, mm from the middle of what was cut. */
export type OnSheet = (turns: number, share: number) => readonly [x: Mm, y: Mm];

/**
 * From a place on a form to the sheet that was laid on it; areas stay. A strip is as long as the form is around at its
 * widest, and its edges gather towards the ends; a disc is drawn over from the top.
 * @param turns around the axis, 0 to 1; the share of the area before it, from the first end
 */
export function onSheet(blank: Blank): OnSheet {
  const { width, height, round } = blank;
  if (!round) return (turns, share) => [(turns - 0.5) * width, (share - 0.5) * height];
  return (turns, share) => {
    const far = (width / 2) * Math.sqrt(1 - share);
    return [far * Math.cos(2 * Math.PI * turns), far * Math.sin(2 * Math.PI * turns)];
  };
}

/** By how much a sheet is squeezed around the axis at a place; along it, it is drawn out by as much. */
export function squeezedAt(form: RoundForm, way: Exclude<Way, 'slices'>, wall: Mm, share: number): number {
  const surface = surfaceOf(within(form, wall, 'middle'));
  const [radius] = placeOn(surface, share);
  const flat = way === 'strip' ? surface.widest : Math.sqrt(((1 - share) * surface.area) / Math.PI);
  return flat > 0 ? radius / flat : 1;
}

/** Where a sheet is looked at near its edge: a tenth of the area from the end. */
const EDGE_SHARE: Readonly<Record<Exclude<Way, 'slices'>, number>> = { strip: 0.9, disc: 0.1 };
/** The same; of a dome the edge of a disc is its rim itself. */
export const edgeShare = ({ kind }: Pick<RoundForm, 'kind'>, way: Exclude<Way, 'slices'>): number =>
  kind === 'dome' ? 0 : EDGE_SHARE[way];

type Vector = readonly [number, number, number];
const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** A slice on a form: where its middle lies, and the two ways along the surface there. */
interface Sited {
  readonly at: Vector;
  readonly east: Vector;
  readonly north: Vector;
}

/** The turn after which the next of evenly spread places lies: Fibonacci's angle. */
const NEXT = (3 - Math.sqrt(5)) / 2;
/** How far the next place is looked at for the way along the surface, as a share of the area. */
const NEAR = 1e-3;

function pointOn(surface: Surface, turns: number, share: number): Vector {
  const [radius, along] = placeOn(surface, share);
  const angle = 2 * Math.PI * turns;
  return [radius * Math.cos(angle), radius * Math.sin(angle), along];
}

function siteOn(surface: Surface, turns: number, share: number): Sited {
  const angle = 2 * Math.PI * turns;
  const [before, after] = [share - NEAR, share + NEAR].map((s) => pointOn(surface, turns, s)) as [Vector, Vector];
  const up: Vector = [after[0] - before[0], after[1] - before[1], after[2] - before[2]];
  const long = Math.hypot(...up) || 1;
  return {
    at: pointOn(surface, turns, share),
    east: [-Math.sin(angle), Math.cos(angle), 0],
    north: [up[0] / long, up[1] / long, up[2] / long],
  };
}

/** What lies at a place of a form. */
export type FormSample = (turns: number, share: number) => number;

/**
 * Slices spread evenly over a form, the middle of one as far from the next as can be; each is pressed on from its
 * middle, so that its area stays, up to where it meets its neighbours.
 * @param count as many as it takes to cover the form
 */
export function slicesOver(form: RoundForm, wall: Mm, face: CaneState, count: number): FormSample {
  const surface = surfaceOf(within(form, wall, 'middle'));
  const sites = Array.from({ length: count }, (_, i) => siteOn(surface, (i * NEXT) % 1, (i + 0.5) / count));
  const reach = reachOf(face.outline);
  return (turns, share) => {
    const at = pointOn(surface, turns, share);
    let [least, x, y] = [Infinity, 0, 0];
    for (const site of sites) {
      const off: Vector = [at[0] - site.at[0], at[1] - site.at[1], at[2] - site.at[2]];
      const [u, v, far] = [dot(off, site.east), dot(off, site.north), Math.hypot(...off)];
      const flat = Math.hypot(u, v);
      // as far from the middle as the place is from it: so a part of a sphere keeps its area (J. H. Lambert, 1772)
      const by = flat > 0 ? far / flat : 0;
      const out = beyond(reach, u * by, v * by);
      if (out >= least) continue;
      [least, x, y] = [out, u * by, v * by];
    }
    const back = least > 1 ? 0.999 / least : 1;
    return face.sample(x * back, y * back);
  };
}
