import { cuttingLayout, mostOn, type Cutter } from '#core/cutter';
import type { Lab } from '#core/colour';
import type { Mm } from '#core/units';
import type { Look } from '#core/pattern/seen';
import { candidateAt, lyingOf, shiftsOf, turnsOf, unlike, type Candidate } from './candidates.js';
import { lyingEdge, type CutPlace } from './place.js';
import { cellFor, rasterOf, type Raster } from './raster.js';
import { Room, edgeWith, liesOn, roomy, type Plain, type Roomy } from './room.js';

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

/** Where pieces are best cut. Of twins every second one is the other of the pair. */
export interface Proposal {
  readonly places: readonly CutPlace[];
  /** how many of them show a hole, since there was no room without one */
  readonly holed: number;
}

/** Places that are looked at, at the most; of twins, since each is compared with each. */
const [MOST_PLACES, MOST_TWINS] = [5000, 900] as const;
const HAIR: Mm = 1e-6;
/** A hole that is smaller than this share of a piece is none. */
const HARDLY = 0.004;
/** Rounds in which pieces are moved to where they are better, and how far, in sizes of the cutter. */
const [ROUNDS, NEAR] = [2, 0.6] as const;

/** Everything that is known while places are looked for. */
interface Looking {
  readonly wish: CutWish;
  readonly sheets: readonly CutSheet[];
  readonly rasters: readonly Raster[];
  /** as the cutter is turned; more turns are added where pieces are laid in each other */
  readonly lying: Roomy[];
}

/** A cutter as it lies in a place; in a turn that was not tried yet it is worked out. */
function wayOf({ wish, lying }: Looking, { degrees, flip = false }: Pick<CutPlace, 'degrees' | 'flip'>): Roomy {
  const known = lying.find((l) => l.lying.degrees === degrees && l.lying.flip === flip);
  if (known) return known;
  const way = roomy(lyingOf(wish.cutter, degrees, flip), wish.bridge);
  lying.push(way);
  return way;
}

/** Places of one sheet in rows, so far apart. */
function placesOn(looking: Looking, sheet: number, way: Roomy, step: Mm): Candidate[] {
  const { lying } = way;
  const [ground, raster] = [looking.sheets[sheet] as CutSheet, looking.rasters[sheet] as Raster];
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
      if (liesOn(ground, lying, x, y)) found.push(candidateAt(raster, sheet, lying, x, y));
  return found;
}

/** Everywhere a piece could be cut, without a hole where there are enough of those. */
function candidates(looking: Looking, most: number): Candidate[] {
  const { wish, sheets } = looking;
  // those of now: others are for pieces that lie in each other
  const lying = [...looking.lying];
  const area = sheets.reduce((sum, s) => sum + s.width * s.height, 0);
  const finest = Math.min(wish.cutter.width, wish.cutter.height) / 6;
  const step = Math.max(finest, Math.sqrt((area * lying.length) / most));
  return sheets.flatMap((_, sheet) => lying.flatMap((way) => placesOn(looking, sheet, way, step)));
}

/** Pieces are laid out as close as they go, for where there is hardly more room than they need. */
function laidClose(looking: Looking, flips: boolean): Candidate[] {
  const { wish, sheets, rasters } = looking;
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
      return liesOn(ground, lying, x, y) ? [candidateAt(rasters[sheet] as Raster, sheet, lying, x, y)] : [];
    });
  });
}

/** Room that the other pieces take. */
function roomBeside({ wish }: Looking): Room {
  const room = new Room();
  for (const { cutter, place } of wish.beside)
    room.put(place, edgeWith(lyingEdge(cutter, place.degrees, place.flip ?? false), wish.bridge));
  return room;
}

/** What a place is worth: by itself, and beside a piece that is chosen already. */
interface Worth {
  readonly alone: (one: Candidate) => number;
  readonly beside: (one: Candidate, other: Candidate) => number;
}

/** A hole is worse than anything else. */
const HOLE_COSTS = 10_000;
const holeCosts = ({ hole }: Candidate): number => (hole > HARDLY ? HOLE_COSTS * hole : 0);

/** The least that two faces differ, however the second piece is turned in the hand. */
const leastUnlike = (one: Candidate, other: Candidate, shifts: readonly number[]): number =>
  shifts.reduce((least, shift) => Math.min(least, unlike(one, other, shift)), Infinity);

function worthOf({ aim, cutter }: CutWish): Worth {
  const alone = (one: Candidate): number => one.spread - holeCosts(one);
  if (aim !== 'variety') return { alone, beside: alone };
  const shifts = shiftsOf(cutter);
  return { alone, beside: (one, other) => leastUnlike(one, other, shifts) - holeCosts(one) };
}

/** What a piece is worth among others: as much as beside the one that it is worth least beside. */
const worthAmong = ({ alone, beside }: Worth, one: Candidate, others: readonly Candidate[]): number =>
  others.length === 0 ? alone(one) : others.reduce((least, o) => Math.min(least, beside(one, o)), Infinity);

/** Takes pieces one by one, the best first, while there is room. */
function taken(looking: Looking, from: readonly Candidate[], worth: Worth): Candidate[] {
  const room = roomBeside(looking);
  const chosen: Candidate[] = [];
  let left = from.map((one) => ({ one, way: wayOf(looking, one), now: worth.alone(one) }));
  while (chosen.length < looking.wish.count) {
    left.sort((a, b) => b.now - a.now);
    const at = left.findIndex(({ one, way }) => room.isFree(one, way.edge));
    const next = left[at];
    if (!next) break;
    room.put(next.one, next.way.edge);
    chosen.push(next.one);
    // what has no room by now will have none later
    left = left.slice(at + 1);
    for (const l of left) {
      const beside = worth.beside(l.one, next.one);
      l.now = chosen.length === 1 ? beside : Math.min(l.now, beside);
    }
  }
  return chosen;
}

/** Moves each piece to where it is worth more, as far as there is room. */
function moved(looking: Looking, chosen: readonly Candidate[], all: readonly Candidate[], worth: Worth): Candidate[] {
  const { cutter } = looking.wish;
  const near = NEAR * Math.max(cutter.width, cutter.height);
  const room = roomBeside(looking);
  const now = [...chosen];
  for (const one of now) room.put(one, wayOf(looking, one).edge);
  for (let round = 0; round < ROUNDS; round++)
    now.forEach((one, i) => {
      const others = now.filter((_, k) => k !== i);
      room.takeAway(one);
      let [best, most] = [one, worthAmong(worth, one, others)];
      for (const other of all) {
        if (other.sheet !== one.sheet || Math.hypot(other.x - one.x, other.y - one.y) > near) continue;
        const value = worthAmong(worth, other, others);
        if (value > most && room.isFree(other, wayOf(looking, other).edge)) [best, most] = [other, value];
      }
      now[i] = best;
      room.put(best, wayOf(looking, best).edge);
    });
  return now;
}

/** Which of two choices has more pieces, or better ones where both have as many. */
function better(one: readonly Candidate[], other: readonly Candidate[], worth: Worth): readonly Candidate[] {
  if (one.length !== other.length) return one.length > other.length ? one : other;
  const all = (chosen: readonly Candidate[]): number =>
    chosen.reduce(
      (sum, c, i) =>
        sum +
        worthAmong(
          worth,
          c,
          chosen.filter((_, k) => k !== i),
        ),
      0,
    );
  return all(one) >= all(other) ? one : other;
}

/** The best places for single pieces. */
function single(looking: Looking): readonly Candidate[] {
  const worth = worthOf(looking.wish);
  const all = candidates(looking, MOST_PLACES);
  const whole = all.filter((one) => one.hole <= HARDLY);
  const best = taken(looking, whole.length > 0 ? whole : all, worth);
  if (best.length === looking.wish.count) return best;
  const close = moved(looking, taken(looking, laidClose(looking, false), worth), all, worth);
  return better(close, taken(looking, all, worth), worth);
}

interface Pair {
  readonly one: Candidate;
  readonly other: Candidate;
  /** how unlike they are, against how much there is to be seen on them */
  readonly badness: number;
}

/** Partners that are remembered of each piece. */
const PARTNERS = 8;
/** Where nothing is to be seen, twins are no merit: Lab. */
const DULL = 4;

/** The likest partners of each piece, the other side of the cutter up. */
function pairsOf(all: readonly Candidate[], shifts: readonly number[]): Pair[] {
  const others = all.filter((c) => c.flip === true);
  return all
    .filter((c) => c.flip !== true)
    .flatMap((one) => {
      const pairs = others.map((other): Pair => {
        const patterned = DULL + Math.min(one.spread, other.spread);
        const costs = holeCosts(one) + holeCosts(other);
        return { one, other, badness: leastUnlike(one, other, shifts) / patterned + costs };
      });
      return pairs.sort((a, b) => a.badness - b.badness).slice(0, PARTNERS);
    })
    .sort((a, b) => a.badness - b.badness);
}

/** Pairs that lie apart from each other, the likest first. */
function pairsTaken(looking: Looking, pairs: readonly Pair[]): Candidate[] {
  const room = roomBeside(looking);
  const chosen: Candidate[] = [];
  for (const { one, other } of pairs) {
    if (chosen.length + 2 > looking.wish.count) break;
    const [first, second] = [wayOf(looking, one), wayOf(looking, other)];
    if (!room.isFree(one, first.edge)) continue;
    room.put(one, first.edge);
    if (room.isFree(other, second.edge)) {
      room.put(other, second.edge);
      chosen.push(one, other);
    } else room.takeAway(one);
  }
  return chosen;
}

function twins(looking: Looking): readonly Candidate[] {
  const shifts = shiftsOf(looking.wish.cutter);
  const all = candidates(looking, MOST_TWINS);
  const best = pairsTaken(looking, pairsOf(all, shifts));
  if (best.length >= looking.wish.count - 1) return best;
  const close = pairsTaken(looking, pairsOf(laidClose(looking, true), shifts));
  return close.length > best.length ? close : best;
}

/** From the first sheet to the last, in rows from the top, as one cuts; pairs stay together. */
function inOrder(chosen: readonly Candidate[], aim: CutAim): readonly Candidate[] {
  if (aim === 'twins') return chosen;
  return [...chosen].sort((a, b) => a.sheet - b.sheet || b.y - a.y || a.x - b.x);
}

/**
 * Where pieces are best cut: as many as have room, without holes where that can be.
 * @param colourOf of a value of a face; null: nothing that should be seen on a piece, as a backing in a gap
 */
export function proposeCuts(
  sheets: readonly CutSheet[],
  colourOf: (value: number) => Lab | null,
  wish: CutWish,
): Proposal {
  const { cutter, bridge, aim } = wish;
  const looks = sheets.map((s) => s.look);
  const cell = cellFor(looks, Math.min(cutter.width, cutter.height) / 40);
  const rasters = looks.map((look) => rasterOf(look, cell, colourOf));
  const flips = aim === 'twins' ? [false, true] : [false];
  const lying = flips.flatMap((flip) =>
    turnsOf(cutter).map((degrees) => roomy(lyingOf(cutter, degrees, flip), bridge)),
  );
  const looking: Looking = { wish, sheets, rasters, lying };
  const chosen = inOrder(aim === 'twins' ? twins(looking) : single(looking), aim);
  return {
    places: chosen.map(({ sheet, x, y, degrees, flip = false }) => ({ sheet, x, y, degrees, flip })),
    holed: chosen.filter((c) => c.hole > HARDLY).length,
  };
}
