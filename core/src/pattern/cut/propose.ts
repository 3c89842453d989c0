import type { Lab } from '#core/colour';
import { lyingOf, shiftsOf, turnsOf, type Candidate } from './candidates.js';
import {
  HARDLY,
  candidates,
  holeCosts,
  laidClose,
  leastUnlike,
  roomBeside,
  wayOf,
  worthLooking,
  type CutAim,
  type CutSheet,
  type CutWish,
  type Looking,
} from './looking.js';
import type { CutPlace } from './place.js';
import { cellFor, rasterOf } from './raster.js';
import { roomy } from './room.js';
import { twins } from './twins.js';

/** Where pieces are best cut. Of twins every second one is the other of the pair. */
export interface Proposal {
  readonly places: readonly CutPlace[];
  /** how many of them show a hole or a seam, since there was no room without one */
  readonly holed: number;
}

/** Places that are looked at, at the most. */
const MOST_PLACES = 5000;
/** Rounds in which pieces are moved to where they are better, and how far, in sizes of the cutter. */
const [ROUNDS, NEAR] = [2, 0.6] as const;

/** What a place is worth: by itself, and beside a piece that is chosen already. */
interface Worth {
  readonly alone: (one: Candidate) => number;
  readonly beside: (one: Candidate, other: Candidate) => number;
}

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
  const best = taken(looking, worthLooking(all), worth);
  if (best.length === looking.wish.count) return best;
  const whole = taken(
    looking,
    all.filter((one) => one.hole <= HARDLY),
    worth,
  );
  if (whole.length === looking.wish.count) return whole;
  const close = moved(looking, taken(looking, laidClose(looking, false), worth), all, worth);
  return better(close, taken(looking, all, worth), worth);
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
