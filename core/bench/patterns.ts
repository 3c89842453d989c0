import { frameOf, paintFace, type Paint } from '#core/cane';
import { lookAt, patternContext, runPattern, veinWidth, type Body, type Look, type PatternStep } from '#core/pattern';
import { foldsBack, foldsOf, rope } from '#core/pattern/body';
import { seeded } from '#core/units';
import { median, type Figure, type Table } from './measure.js';

const SIZE = 512;
const ROUNDS = 5;
const PAINTS: readonly Paint[] = [0, 80, 160, 240].map((g) => Uint8Array.from([g, g, g]));
const OF = ['clay:a', 'clay:b', 'clay:c', 'clay:d'] as const;

const stack = (thick: number): PatternStep => ({
  id: 'a',
  do: 'stack',
  width: 60,
  height: 60,
  layers: Array.from({ length: 8 }, (_, i) => ({ of: OF[i % 3] ?? '', thickness: thick / 8 })),
});
const dents = (number: number): PatternStep => ({
  ...{ id: 'd', do: 'dents', laid: 'scattered', number, around: 0, seed: 1 },
  balls: [{ diameter: 4, depth: 3 }],
});
const cuts: PatternStep = {
  ...{ id: 'c', do: 'cuts', blade: 'crossed lines', number: 40, depth: 6, degrees: 20, size: 2, seed: 1 },
};
/** Four logs of 10 mm: a rope 20 mm across. */
const [WIDE, LONG, TURNS] = [20, 200, 3];
const logs: PatternStep = { id: 'a', do: 'logs', length: LONG, logs: OF.map((of) => ({ of, diameter: WIDE / 2 })) };
const fold = (times: number): PatternStep => ({ id: 'f', do: 'fold', times, turns: TURNS });

function bodyOf(
  steps: readonly PatternStep[],
  wobble: number,
): { readonly body: Body; readonly look: (depth: number) => Look } {
  const context = patternContext(wobble, 1);
  const results = runPattern(steps, context);
  const body = results.at(-1)?.body;
  if (!body) throw results.find((r) => r.wrong)?.wrong ?? new Error('no body');
  const look = (depth: number): Look =>
    lookAt(body, context, body.form === 'rope' ? { of: 'face' } : { of: 'level', depth });
  return { body, look };
}

/** ms that a picture takes, and its pixels with clay. */
function painted(
  look: Look,
  clock: () => number,
): { readonly ms: number; readonly pixels: number; readonly bytes: Uint8ClampedArray } {
  const frame = frameOf(look.outline, SIZE);
  const bytes = new Uint8ClampedArray(4 * SIZE * SIZE);
  const times = Array.from({ length: ROUNDS }, () => {
    const start = clock();
    paintFace(look, PAINTS, frame, { from: 0, to: SIZE }, bytes);
    return clock() - start;
  });
  let pixels = 0;
  for (let k = 3; k < bytes.length; k += 4) if (bytes[k] === 255) pixels++;
  return { ms: median(times), pixels, bytes };
}

/** A whole round of radius 1 pressed to the half with x ≥ 0, by areas about the half's middle: forwards, by halves. */
function pressedForwards(): (x: number, y: number) => readonly [number, number] {
  const middle = 4 / (3 * Math.PI);
  const far = (turn: number): number => {
    const c = Math.cos(turn);
    const arc = -middle * c + Math.sqrt(middle * middle * c * c + 1 - middle * middle);
    return c < 0 ? Math.min(arc, -middle / c) : arc;
  };
  const N = 20_000;
  const swept = new Float64Array(N + 1);
  for (let k = 0; k < N; k++) swept[k + 1] = (swept[k] as number) + far((2 * Math.PI * (k + 0.5)) / N) ** 2;
  const whole = swept[N] as number;
  return (x, y) => {
    const turn = Math.atan2(y, x);
    const share = ((turn < 0 ? turn + 2 * Math.PI : turn) / (2 * Math.PI)) * whole;
    let [low, high] = [0, N];
    while (high - low > 1) {
      const half = (low + high) >> 1;
      if ((swept[half] as number) <= share) low = half;
      else high = half;
    }
    const on = (share - (swept[low] as number)) / ((swept[low + 1] as number) - (swept[low] as number));
    const angle = (2 * Math.PI * (low + on)) / N;
    const r = Math.hypot(x, y) * far(angle);
    return [middle + r * Math.cos(angle), r * Math.sin(angle)];
  };
}

/** Cells across a picture that particles colour, and particles for each. */
const [CELLS, EACH] = [420, 5];

/**
 * Width of veins by particles: each is carried forwards through twists and folds to one cut across the rope, and
 * colours its cell; the mean run is counted along the rows and columns of the cells.
 */
function veinsByParticles(folds: number): number {
  const { body: laid } = bodyOf([logs], 0);
  const press = pressedForwards();
  const chance = seeded(17);
  const votes = new Map<number, Int32Array>();
  const count = CELLS * CELLS * EACH;
  for (let n = 0; n < count; n++) {
    const [r, t] = [Math.sqrt(chance()), 2 * Math.PI * chance()];
    let [x, y] = [r * Math.cos(t), r * Math.sin(t)];
    const material = Math.floor(laid.field((x * WIDE) / 2, (y * WIDE) / 2, 1));
    // at the cut in the middle: which strand it was in at each fold says where along the rope it began
    const sides = Array.from({ length: folds }, () => chance() < 0.5);
    let along = LONG / 2;
    for (const right of [...sides].reverse()) along = right ? along / 2 : LONG - along / 2;
    for (const right of sides) {
      const angle = (2 * Math.PI * TURNS * along) / LONG;
      const [u, v] = [x * Math.cos(angle) - y * Math.sin(angle), x * Math.sin(angle) + y * Math.cos(angle)];
      const [p, q] = press(u, v);
      [x, y] = [right ? p : -p, q];
      along = right ? 2 * along : 2 * (LONG - along);
    }
    const cell = Math.floor(((y + 1) / 2) * CELLS) * CELLS + Math.floor(((x + 1) / 2) * CELLS);
    const own = votes.get(cell) ?? new Int32Array(4);
    own[material] = (own[material] ?? 0) + 1;
    votes.set(cell, own);
  }
  return runsOf(votes);
}

/** mm of a mean run along all rows and columns of cells; aslant a border of cells would be longer than it is. */
function runsOf(votes: ReadonlyMap<number, Int32Array>): number {
  const at = (i: number, j: number): number => {
    const own = votes.get(j * CELLS + i);
    return own ? own.indexOf(Math.max(...own)) : -1;
  };
  let [steps, borders] = [0, 0];
  const cross = (before: number, now: number): void => {
    if (before < 0 || now < 0) return;
    steps++;
    if (before !== now) borders++;
  };
  for (let j = 1; j < CELLS; j++)
    for (let i = 1; i < CELLS; i++) {
      cross(at(i - 1, j), at(i, j));
      cross(at(i, j - 1), at(i, j));
    }
  return ((steps / borders) * WIDE) / CELLS;
}

/** The rope's face by advecting a raster: each fold resamples the picture of the fold before at its nearest pixels. */
function advected(folds: number, clock: () => number): { readonly ms: number; readonly bytes: Uint8Array } {
  const { body: laid } = bodyOf([logs], 0);
  const start = clock();
  const at = (i: number): number => ((i + 0.5) / SIZE - 0.5) * WIDE;
  // a face rests on places all along the rope: the raster is a volume, of as many voxels as the picture has pixels
  const side = Math.round(Math.cbrt(SIZE * SIZE));
  const place = (i: number): number => ((i + 0.5) / side - 0.5) * WIDE;
  const fill = (of: (x: number, y: number, z: number) => number): Uint8Array<ArrayBuffer> => {
    const next = new Uint8Array(side ** 3);
    for (let k = 0; k < side; k++)
      for (let j = 0; j < side; j++)
        for (let i = 0; i < side; i++)
          next[(k * side + j) * side + i] = of(place(i), place(j), ((k + 0.5) / side) * LONG);
    return next;
  };
  const within = (n: number): number => Math.min(side - 1, Math.max(0, Math.floor(n)));
  const seen = (source: Uint8Array, x: number, y: number, z: number): number =>
    source[
      (within((z / LONG) * side) * side + within((y / WIDE + 0.5) * side)) * side + within((x / WIDE + 0.5) * side)
    ] as number;
  let volume = fill((x, y, z) => Math.floor(laid.field(x, y, z)));
  const one = foldsOf(LONG, TURNS, 1, 0, 1);
  const radius = WIDE / 2;
  for (let n = 0; n < folds; n++) {
    const before = volume;
    volume = fill((x, y, z) => {
      foldsBack(x / radius, y / radius, z, one);
      return seen(before, rope.x * radius, rope.y * radius, rope.along);
    });
  }
  const bytes = new Uint8Array(SIZE * SIZE);
  for (let j = 0; j < SIZE; j++)
    for (let i = 0; i < SIZE; i++) bytes[j * SIZE + i] = seen(volume, at(i), -at(j), LONG / 2);
  return { ms: clock() - start, bytes };
}

/** Pixels that show another material than a picture with 8 times as many places along each side says. */
function offBy(look: Look, shown: (i: number, j: number) => number): number {
  const finer = 8;
  let [wrong, all] = [0, 0];
  const chance = seeded(31);
  for (let n = 0; n < 20_000; n++) {
    const [i, j] = [Math.floor(chance() * SIZE), Math.floor(chance() * SIZE)];
    const mm = (k: number, part: number): number => ((k + (part + 0.5) / finer) / SIZE - 0.5) * WIDE;
    const [x, y] = [mm(i, Math.floor(chance() * finer)), -mm(j, Math.floor(chance() * finer))];
    if (Math.hypot(x, y) > (WIDE / 2) * 0.99) continue;
    all++;
    if (Math.floor(look.sample(x, y)) !== shown(i, j)) wrong++;
  }
  return wrong / all;
}

const below = (what: string, value: number, unit: string, most: number): Figure => ({
  ...{ what, value, unit, goal: `< ${most}`, met: value < most },
});

/** Veins by lines over the picture against particles carried forwards. */
function veinFigures(): Figure[] {
  return [1, 2, 3, 4, 5, 6].map((folds) => {
    const { look } = bodyOf([logs, fold(folds)], 0);
    const [ours, theirs] = [veinWidth(look(0)), veinsByParticles(folds)];
    const off = Math.abs(ours / theirs - 1);
    return {
      what: `veins after ${folds} folds: ${ours.toFixed(2)} mm, by particles ${theirs.toFixed(2)} mm, apart`,
      ...{ value: 100 * off, unit: '%', goal: '< 10', met: off < 0.1 },
    };
  });
}

/** How fast patterned sheets are painted, how wide their veins are, and what a raster would have made of them. */
export function patterns(clock: () => number): Table {
  const figures: Figure[] = [];
  for (const wobble of [0, 1]) {
    const hands = wobble === 0 ? 'even hands' : 'honest hands';
    const block = [stack(9), dents(300), cuts];
    figures.push(
      below(
        `512 × 512 of a block, 300 dents, 40 cuts, ${hands}`,
        painted(bodyOf(block, wobble).look(2), clock).ms,
        'ms',
        400,
      ),
    );
    const shut = bodyOf([...block, { id: 'p', do: 'press', percent: 0 }], wobble);
    figures.push(below(`the same pressed shut, ${hands}`, painted(shut.look(2), clock).ms, 'ms', 400));
    const { ms, pixels } = painted(bodyOf([logs, fold(6)], wobble).look(0), clock);
    figures.push(below(`rope of 6 folds, a pixel and fold, ${hands}`, (ms * 1e6) / pixels / 6, 'ns', 150));
  }
  const exact = bodyOf([logs, fold(3)], 0).look(0);
  const own = painted(exact, clock);
  const raster = advected(3, clock);
  const ownOff = offBy(exact, (i, j) => Math.round((own.bytes[4 * (j * SIZE + i)] ?? 0) / 80));
  const rasterOff = offBy(exact, (i, j) => raster.bytes[j * SIZE + i] ?? 0);
  figures.push(
    { what: 'a rope of 3 folds, carried back', value: own.ms, unit: 'ms' },
    { what: 'the same by advecting a raster of as many voxels', value: raster.ms, unit: 'ms' },
    {
      what: 'time against the raster',
      value: own.ms / raster.ms,
      unit: 'times',
      goal: '≤ 1',
      met: own.ms <= raster.ms,
    },
    { what: 'places that show the wrong clay, carried back', value: 100 * ownOff, unit: '%' },
    { what: 'places that show the wrong clay, by the raster', value: 100 * rasterOff, unit: '%' },
    {
      what: 'closer than the raster',
      value: rasterOff / ownOff,
      unit: 'times',
      goal: '≥ 10',
      met: rasterOff >= 10 * ownOff,
    },
    ...veinFigures(),
  );
  return { title: 'Patterned sheets, one core', figures };
}
