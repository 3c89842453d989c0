import { FIRMNESSES } from '#core/clay';
import { conditioningOf, type ClayToCondition, type Conditioning, type ConditioningBench } from './engine.js';
import type { Minutes } from '#core/units';

/** Some clay of a sitting, with what decides its turn. */
export interface ClayOfSitting<Of> extends ClayToCondition {
  readonly of: Of;
  /** L* of it as it is raw, 0 to 100, and how far it is off grey */
  readonly lightness: number;
  readonly chroma: number;
}

/** One clay in its turn: minutes from the beginning of the sitting. */
export interface InTurn<Of> {
  readonly of: Of;
  readonly how: Conditioning;
  /** rollers and hands are wiped before it, since what was before is darker */
  readonly cleanFirst: boolean;
  readonly from: Minutes;
  readonly to: Minutes;
  /** minutes that hands wait for it to be warm */
  readonly waits: Minutes;
}

export interface Sitting<Of> {
  readonly turns: readonly InTurn<Of>[];
  /** of hands and machine, and in all with what is waited */
  readonly hands: Minutes;
  readonly lasts: Minutes;
  /** put to warm at the very beginning, the first to be used first */
  readonly warm: readonly Of[];
}

/** From this lightness on, and no further off grey, clay is white: a trace of any colour shows in it. */
const [WHITE_FROM, WHITE_GREY] = [85, 12];
/** Minutes to wipe rollers, blade and hands. */
const CLEANING: Minutes = 3;
/** Waiting for white is worth so many minutes before one cleans for it instead. */
const WORTH: Minutes = 2;

interface Turn<Of> {
  readonly clay: ClayOfSitting<Of>;
  readonly how: Conditioning;
  readonly white: boolean;
}

/** White before colours, the hardest first, light before dark. */
const inOrder = <Of>(turns: readonly Turn<Of>[]): Turn<Of>[] =>
  [...turns].sort(
    (a, b) =>
      Number(b.white) - Number(a.white) ||
      FIRMNESSES.indexOf(b.how.firmness) - FIRMNESSES.indexOf(a.how.firmness) ||
      b.how.minutes - a.how.minutes ||
      b.clay.lightness - a.clay.lightness,
  );

/** The first that is warm by now; else the one that is warm soonest. */
function nextOf<Of>(left: readonly Turn<Of>[], now: Minutes): Turn<Of> | undefined {
  const ready = left.find((turn) => turn.how.warms <= now);
  return ready ?? [...left].sort((a, b) => a.how.warms - b.how.warms)[0];
}

/** @param first of those that are left, whose turn it is */
function scheduled<Of>(
  turns: readonly Turn<Of>[],
  choose: (left: readonly Turn<Of>[], now: Minutes) => Turn<Of> | undefined,
): InTurn<Of>[] {
  const done: InTurn<Of>[] = [];
  let left = turns;
  let now = 0;
  let dark = false;
  for (let next = choose(left, now); next; next = choose(left, now)) {
    const { clay, how, white } = next;
    const cleanFirst = white && dark;
    const clean = now + (cleanFirst ? CLEANING : 0);
    const from = Math.max(clean, how.warms);
    now = from + how.minutes;
    done.push({ of: clay.of, how, cleanFirst, from, to: now, waits: from - clean });
    dark ||= !white;
    left = left.filter((turn) => turn !== next);
  }
  return done;
}

const lastOf = (turns: readonly InTurn<unknown>[]): Minutes => turns.at(-1)?.to ?? 0;

/**
 * Several clays in one sitting, by one pair of hands: all that has to be warm is put to warm at the beginning, and
 * what needs none is rolled meanwhile. White comes before colours, unless waiting for it would take longer than to
 * clean for it.
 * @throws Complaint as {@link conditioningOf}
 */
export function sittingOf<Of>(clays: readonly ClayOfSitting<Of>[], bench: ConditioningBench): Sitting<Of> {
  const turns = inOrder(
    clays.map((clay) => ({
      clay,
      how: conditioningOf(clay, bench),
      white: clay.lightness >= WHITE_FROM && clay.chroma <= WHITE_GREY,
    })),
  );
  const whiteFirst = scheduled(turns, (left, now) => {
    const white = left.filter((turn) => turn.white);
    return nextOf(white.length > 0 ? white : left, now);
  });
  const asWarm = scheduled(turns, nextOf);
  const best = lastOf(asWarm) + WORTH < lastOf(whiteFirst) ? asWarm : whiteFirst;
  return {
    turns: best,
    hands: best.reduce((sum, t) => sum + t.to - t.from + (t.cleanFirst ? CLEANING : 0), 0),
    lasts: lastOf(best),
    warm: best.filter((t) => t.how.warmFirst).map((t) => t.of),
  };
}
