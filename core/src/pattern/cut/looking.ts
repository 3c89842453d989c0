import { cuttingLayout, mostOn, type Cutter } from '#core/cutter';
import type { Mm } from '#core/units';
import type { Look } from '#core/pattern/seen';
import { candidateAt, lyingOf, unlike, type Candidate, type Lying } from './candidates.js';
import { lyingEdge, type CutPlace } from './place.js';
import type { Raster } from './raster.js';
import { Room, edgeWith, isOverSeam, liesOn, roomy, type Plain, type Roomy } from './room.js';

/** What is looked for: pieces as unlike as can be, of the most contrast each, or pairs of which both look alike. */
export const CUT_AIMS = ['variety', 'contrast', 'twins'] as const;
export type CutAim = (typeof CUT_AIMS)[number];

/** A sheet that is cut: its face, its middle at the origin. */
export interface CutSheet extends Plain {
  readonly look: Look;
}

export interface CutWish {
  readonly cutter: Cutter;
  readonly count: number;
  readonly bridge: Mm;
  readonly aim: CutAim;
  /** other pieces that lie there already */
  readonly beside: readonly { readonly cutter: Cutter; readonly place: CutPlace }[];
}

const HAIR: Mm = 1e-6;
/** A hole that is smaller than this share of a piece is none. */
export const HARDLY = 0.004;
/** A seam is as bad as a hole of this share. */
const SEAM = 0.02;
/** Pieces that show less than this share of all places are too plain to be chosen for what they show. */
const PLAIN = 0.4;

/** Everything that is known while places are looked for. */
export interface Looking {
  readonly wish: CutWish;
  readonly sheets: readonly CutSheet[];
  readonly rasters: readonly Raster[];
  /** as the cutter is turned; more turns are added where pieces are laid in each other */
  readonly lying: Roomy[];
}

/** A cutter as it lies in a place; in a turn that was not tried yet it is worked out. */
export function wayOf({ wish, lying }: Looking, { degrees, flip = false }: Pick<CutPlace, 'degrees' | 'flip'>): Roomy {
  const known = lying.find((l) => l.lying.degrees === degrees && l.lying.flip === flip);
  if (known) return known;
  const way = roomy(lyingOf(wish.cutter, degrees, flip), wish.bridge);
  lying.push(way);
  return way;
}

/** What a piece would show; a seam through it counts as a hole, though a small one. */
function shownAt(looking: Looking, sheet: number, lying: Lying, x: Mm, y: Mm): Candidate {
  const one = candidateAt(looking.rasters[sheet] as Raster, sheet, lying, x, y);
  const seam = isOverSeam(looking.sheets[sheet] as CutSheet, lying, x, y);
  return seam ? { ...one, hole: one.hole + SEAM } : one;
}

/** Places of one sheet in rows, so far apart. */
function placesOn(looking: Looking, sheet: number, way: Roomy, step: Mm): Candidate[] {
  const { lying } = way;
  const ground = looking.sheets[sheet] as CutSheet;
  const { box } = lying;
  const found: Candidate[] = [];
  // from edge to edge, so that the last place touches the other edge
  const spaced = (low: Mm, high: Mm): readonly Mm[] => {
    const n = Math.max(0, Math.floor((high - low) / step));
    return high < low
      ? []
      : Array.from({ length: n + 1 }, (_, i) => (n === 0 ? (low + high) / 2 : low + ((high - low) * i) / n));
  };
  for (const y of spaced(-box.bottom, ground.height - box.top))
    for (const x of spaced(-box.left, ground.width - box.right))
      if (liesOn(ground, lying, x, y)) found.push(shownAt(looking, sheet, lying, x, y));
  return found;
}

/** Everywhere a piece could be cut, without a hole where there are enough of those. */
export function candidates(looking: Looking, most: number): Candidate[] {
  const { wish, sheets } = looking;
  // those of now: others are for pieces that lie in each other
  const lying = [...looking.lying];
  const area = sheets.reduce((sum, s) => sum + s.width * s.height, 0);
  const finest = Math.min(wish.cutter.width, wish.cutter.height) / 6;
  const step = Math.max(finest, Math.sqrt((area * lying.length) / most));
  return sheets.flatMap((_, sheet) => lying.flatMap((way) => placesOn(looking, sheet, way, step)));
}

/** Pieces are laid out as close as they go, for where there is hardly more room than they need. */
export function laidClose(looking: Looking, flips: boolean): Candidate[] {
  const { wish, sheets } = looking;
  return sheets.flatMap((ground, sheet) => {
    // up to the very edge: the bridge that layouts leave there is for sheets that are cut to them
    const { bridge } = wish;
    const limits = { width: ground.width + 2 * bridge + HAIR, length: ground.height + 2 * bridge + HAIR, bridge };
    const fits = mostOn(wish.cutter, limits);
    if (fits === 0) return [];
    const { centres, turns, width, length } = cuttingLayout(wish.cutter, fits, limits, 1, 'length');
    const [aside, up] = [(ground.width - width) / 2, (ground.height - length) / 2];
    // of a round sheet only what lies within it is left
    return Array.from({ length: fits }, (_, i) => i).flatMap((i) => {
      const { lying } = wayOf(looking, { degrees: turns[i] as number, flip: flips && i % 2 === 1 });
      const [x, y] = [(centres[2 * i] as number) + aside, (centres[2 * i + 1] as number) + up];
      return liesOn(ground, lying, x, y) ? [shownAt(looking, sheet, lying, x, y)] : [];
    });
  });
}

/** Room that the other pieces take. */
export function roomBeside({ wish }: Looking): Room {
  const room = new Room();
  for (const { cutter, place } of wish.beside)
    room.put(place, edgeWith(lyingEdge(cutter, place.degrees, place.flip ?? false), wish.bridge));
  return room;
}

/** A hole is worse than anything else. */
const HOLE_COSTS = 10_000;
export const holeCosts = ({ hole }: Candidate): number => (hole > HARDLY ? HOLE_COSTS * hole : 0);

/** The least that two faces differ, however the second piece is turned in the hand. */
export const leastUnlike = (one: Candidate, other: Candidate, shifts: readonly number[]): number =>
  shifts.reduce((least, shift) => Math.min(least, unlike(one, other, shift)), Infinity);

/** Places without a hole that show something: on a plain place a piece is told from the others, and is dull. */
export function worthLooking(all: readonly Candidate[]): readonly Candidate[] {
  const whole = all.filter((one) => one.hole <= HARDLY);
  const spreads = whole.map((one) => one.spread).sort((a, b) => a - b);
  const least = spreads[Math.floor(PLAIN * spreads.length)] ?? 0;
  return whole.filter((one) => one.spread >= least);
}
