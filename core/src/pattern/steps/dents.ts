import { LENGTH, LENGTH_EITHER_WAY, among, list, object, whole } from '#core/document';
import { withDents, within, type Body, type Dent } from '#core/pattern/body';
import { MOST_DENTS, type Doing } from '#core/pattern/document';
import { seeded, type Mm } from '#core/units';
import type { ChangeKind, PatternContext } from './kind.js';
import { positive, saltOf, shown, wholeIn } from './measure.js';
import { complaint } from './sentences.js';

export const LAID = ['rows', 'rosettes', 'scattered', 'by hand'] as const;

export interface Ball {
  readonly diameter: Mm;
  readonly depth: Mm;
}
/** One place that was chosen by hand, and which of the balls goes there, from 0. */
export interface DentPlace {
  readonly x: Mm;
  readonly y: Mm;
  readonly ball: number;
}
/**
 * Balls pressed in, from large to small. In rows and scattered: so many of each ball. In rosettes: so many of the
 * first, each with `around` of the second one about it.
 */
export interface Dents extends Doing<'dents'> {
  readonly balls: readonly Ball[];
  readonly laid: (typeof LAID)[number];
  readonly number: number;
  readonly around: number;
  readonly places?: readonly DentPlace[];
  readonly seed: number;
}

const MOST_BALLS = 6;
/** Places that are tried for each dent; the one farthest from the others is taken. */
const TRIES = 8;
/** How far hands miss a place, mm, and a depth, as a share: assumptions. */
const [MISSES, UNEQUAL] = [0.5, 0.08];

type Place = readonly [Mm, Mm];

/** Places spread by chance, no two close together where that can be (D. Mitchell, 1991). */
function scattered(body: Body, count: number, chance: () => number): Place[] {
  const places: Place[] = [];
  const far = (x: Mm, y: Mm): number => Math.min(...places.map(([px, py]) => (px - x) ** 2 + (py - y) ** 2));
  while (places.length < count) {
    let [best, most]: [Place, number] = [[0, 0], -1];
    for (let n = 0; n < TRIES; n++) {
      const [x, y] = [(chance() - 0.5) * body.width, (chance() - 0.5) * body.height];
      if (!within(body, x, y)) continue;
      const away = places.length === 0 ? 1 : far(x, y);
      if (away > most) [best, most] = [[x, y], away];
    }
    places.push(best);
  }
  return places;
}

/** Places in rows, every other one shifted by half, as many as come nearest to the number. */
function inRows({ width, height }: Body, count: number): Place[] {
  const step = Math.sqrt((width * height) / count);
  const [columns, rows] = [Math.max(1, Math.round(width / step)), Math.max(1, Math.round(height / step))];
  return Array.from({ length: columns * rows }, (_, n): Place => {
    const [i, j] = [n % columns, Math.floor(n / columns)];
    const shift = j % 2 === 0 ? 0.25 : 0.75;
    return [((i + shift) / columns - 0.5) * width, ((j + 0.5) / rows - 0.5) * height];
  });
}

/** Those about one, evenly around it, touching it. */
function rosette([x, y]: Place, middle: Ball, outer: Ball, around: number, chance: () => number): Place[] {
  const far = (middle.diameter + outer.diameter) / 2;
  const first = chance() * 2 * Math.PI;
  return Array.from({ length: around }, (_, n): Place => {
    const turn = first + (2 * Math.PI * n) / around;
    return [x + far * Math.cos(turn), y + far * Math.sin(turn)];
  });
}

const dentOf = ({ diameter, depth }: Ball, [x, y]: Place): Dent => ({ x, y, radius: diameter / 2, depth });

/** Where every ball goes, in the order of the hands: from large to small. */
export function dentsOf(body: Body, step: Dents, chance: () => number): Dent[] {
  const { balls, laid, number, around } = step;
  const [first, second = first] = balls as [Ball, Ball | undefined];
  if (laid === 'by hand') return (step.places ?? []).map(({ x, y, ball }) => dentOf(balls[ball] ?? first, [x, y]));
  if (laid === 'rosettes') {
    const middles = scattered(body, number, chance);
    const outer = middles.flatMap((place) => rosette(place, first, second, around, chance));
    return [...middles.map((p) => dentOf(first, p)), ...outer.map((p) => dentOf(second, p))];
  }
  return balls.flatMap((ball) => {
    const places = laid === 'rows' ? inRows(body, number) : scattered(body, number, chance);
    return places.map((p) => dentOf(ball, p));
  });
}

/** As hands press them: a little beside, a little more or less deep. */
function byHands(dents: readonly Dent[], { wobble, seed }: PatternContext): Dent[] {
  const chance = seeded(seed * 613 + 11);
  const off = (): number => (chance() - 0.5) * 2 * wobble;
  return dents.map((d) => ({
    ...d,
    x: d.x + MISSES * off(),
    y: d.y + MISSES * off(),
    depth: d.depth * (1 + UNEQUAL * off()),
  }));
}

export const dents: ChangeKind<Dents> = {
  fields: {
    balls: list(object({ diameter: LENGTH, depth: LENGTH }), 1, MOST_BALLS),
    laid: among(...LAID),
    number: whole(0, 100_000),
    around: whole(0, 24),
    'places?': list(object({ x: LENGTH_EITHER_WAY, y: LENGTH_EITHER_WAY, ball: whole(0, MOST_BALLS) }), 0, MOST_DENTS),
    seed: whole(0, 1_000_000),
  },
  times: (step, factor) => ({ ...step, number: Math.max(1, Math.round(step.number * factor)) }),
  to: ['block', 'sheet'],
  change: (body, step, context, at) => {
    const each = step.laid === 'rosettes' ? 1 + step.around : step.balls.length;
    if (step.laid !== 'by hand') wholeIn(step.number * each, 'The number of dents', 0, MOST_DENTS);
    for (const { diameter, depth } of step.balls) {
      positive(diameter, 'The ball');
      if (depth >= body.thick)
        throw complaint('pattern/too deep', { what: 'The dents', depth: shown(depth), thick: shown(body.thick) });
    }
    const chance = seeded(step.seed * 401 + saltOf(context, at));
    const all = dentsOf(body, step, chance);
    return all.length === 0 ? body : withDents(body, byHands(all, { ...context, seed: saltOf(context, at) }));
  },
};
