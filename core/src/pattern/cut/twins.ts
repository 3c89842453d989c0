import { shiftsOf, unlike, type Candidate } from './candidates.js';
import {
  candidates,
  holeCosts,
  laidClose,
  leastUnlike,
  roomBeside,
  wayOf,
  worthLooking,
  type Looking,
} from './looking.js';

/** Places that are looked at, at the most, since each is compared with each. */
const MOST_TWINS = 900;

interface Pair {
  readonly one: Candidate;
  readonly other: Candidate;
  /** how unlike they are, against how much there is to be seen on them */
  readonly badness: number;
}

/** ° of a full turn, and between two directions that faces are compared in. */
const [FULL_TURN, SECTOR] = [360, 45] as const;

/** Partners that are remembered of each piece. */
const PARTNERS = 8;
/** Where nothing is to be seen, twins are no merit: Lab. */
const DULL = 4;

/** The same place of a flipped cutter, turned so that its face stands as that of its twin does. */
function turnedLike(one: Candidate, other: Candidate, shifts: readonly number[]): Candidate {
  const all = shifts.map((shift) => ({ shift, off: unlike(one, other, shift) }));
  const { shift } = all.reduce((best, now) => (now.off < best.off ? now : best));
  return { ...other, degrees: (other.degrees + FULL_TURN - shift * SECTOR) % FULL_TURN };
}

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
      chosen.push(one, turnedLike(one, other, shiftsOf(looking.wish.cutter)));
    } else room.takeAway(one);
  }
  return chosen;
}

/** Pairs of places of which both look alike, one after the other. */
export function twins(looking: Looking): readonly Candidate[] {
  const shifts = shiftsOf(looking.wish.cutter);
  const all = candidates(looking, MOST_TWINS);
  const good = pairsTaken(looking, pairsOf(worthLooking(all), shifts));
  if (good.length >= looking.wish.count - 1) return good;
  const best = pairsTaken(looking, pairsOf(all, shifts));
  if (best.length >= looking.wish.count - 1) return best;
  const close = pairsTaken(looking, pairsOf(laidClose(looking, true), shifts));
  return close.length > best.length ? close : best;
}
