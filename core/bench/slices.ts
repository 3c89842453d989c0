import { areaOf, contextOf, runSteps, type ShapeKind, type Step } from '#core/cane';
import {
  lookAt,
  onSheet,
  blankFor,
  patternContext,
  planArea,
  planPattern,
  runPattern,
  type Body,
  type CutCanes,
  type PatternContext,
  type PatternStep,
} from '#core/pattern';
import { median, type Figure, type Table } from './measure.js';

const ROUNDS = 5;
const POINTS = 800_000;
/** Shares of an area, and seconds, that are wanted. */
const [OFF, FAST] = [0.005, 2];
const SHAPES: readonly ShapeKind[] = ['round', 'petal', 'triangle'];

const caneOf = (n: number, shape: ShapeKind): readonly Step[] => [
  { id: 'a', do: 'log', of: `clay:core${n}`, diameter: 10 + 2 * n, length: 80 },
  { id: 'b', do: 'wrap', of: `clay:coat${n}`, thickness: 1 },
  { id: 'c', do: 'press', to: { shape }, turn: 0 },
];
const CANES: CutCanes = Object.fromEntries(
  SHAPES.map((shape, n) => [`cane:c${n}`, { steps: caneOf(n, shape), inside: {} }]),
);
const SLICES = SHAPES.map((_, n) => ({ of: `cane:c${n}`, thickness: 1 + 0.5 * n, degrees: 20 * n }));

const slab = (columns: number, rows: number): readonly PatternStep[] => [
  { ...{ id: 's', do: 'slab', columns, rows, laid: 'chance', turned: 'chance', seed: 3 }, slices: SLICES },
  { id: 'r', do: 'roll', to: 0.7, along: 'width' },
];
const inlay = (columns: number, rows: number): readonly PatternStep[] => [
  { ...{ id: 'g', do: 'stack', width: 280, height: 160 }, layers: [{ of: 'clay:ground', thickness: 1.5 }] },
  {
    ...{ id: 'i', do: 'inlay', laid: 'offset', columns, rows, turned: 'opposite', seed: 3, to: 1.2, along: 'both' },
    slices: SLICES,
  },
];

/** Shares of the face that each cane is seen on, by its number. */
function seenShares(body: Body, context: PatternContext): readonly number[] {
  const { sample } = lookAt(body, context, { of: 'face' });
  const counts = SHAPES.map(() => 0);
  let [u, v] = [0.5, 0.5];
  for (let n = 0; n < POINTS; n++) {
    u = (u + 0.7548776662466927) % 1;
    v = (v + 0.5698402909980532) % 1;
    const key = context.materials[Math.floor(sample((u - 0.5) * body.width, (v - 0.5) * body.height))] ?? '';
    const at = key.startsWith('clay:co') ? Number(key.slice(-1)) : -1;
    if (at >= 0) counts[at] = (counts[at] ?? 0) + 1;
  }
  return counts.map((count) => count / POINTS);
}

/** By how much the area of a cane's slices is off their clay over the thickness, at the most. */
function worstOff(steps: readonly PatternStep[], clock: () => number): { readonly off: number; readonly ms: number } {
  const times: number[] = [];
  let context = patternContext(0, 1, CANES);
  let body: Body | null = null;
  for (let round = 0; round < ROUNDS; round++) {
    const began = clock();
    context = patternContext(0, 1, CANES);
    const results = runPattern(steps, context);
    const wrong = results.find((r) => r.wrong)?.wrong;
    if (wrong) throw wrong;
    body = results.at(-1)?.body ?? null;
    times.push(clock() - began);
  }
  if (!body) return { off: NaN, ms: NaN };
  const ground = steps[0]?.do === 'stack' ? (steps[0].layers[0]?.thickness ?? 0) : 0;
  const seen = seenShares(body, context);
  const thick = body.thick;
  const area = planArea(body);
  const offs = planPattern(steps, null, CANES)
    .starts.filter((start) => start.what === 'slices')
    .map(({ of, count = 0 }) => {
      const n = Number(of.slice(-1));
      const face = runSteps(CANES[of]?.steps ?? [], contextOf()).at(-1)?.state;
      const stacked = (SLICES[n]?.thickness ?? 0) + ground;
      const wanted = (count * (face ? areaOf(face.outline) : NaN) * stacked) / thick;
      return Math.abs(((seen[n] ?? 0) * area) / wanted - 1);
    });
  return { off: Math.max(...offs), ms: median(times) };
}

/** How exactly areas stay where a strip goes around a ball, by small squares. */
function worstOnBall(): number {
  const blank = blankFor({ kind: 'ball', width: 20, length: 0 }, 'strip', 1);
  const at = onSheet(blank);
  const h = 1e-4;
  let worst = 0;
  for (let share = 0.05; share < 0.95; share += 0.05) {
    const [p, q, r] = [at(0.3, share), at(0.3 + h, share), at(0.3, share + h)];
    const area = Math.abs((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]));
    worst = Math.max(worst, Math.abs(area / (blank.area * h * h) - 1));
  }
  return worst;
}

const within = (what: string, off: number): Figure => ({
  ...{ what, value: 100 * off, unit: '%', goal: `≤ ${100 * OFF} %`, met: off <= OFF },
});
const below = (what: string, ms: number): Figure => ({
  ...{ what, value: ms / 1000, unit: 's', goal: `< ${FAST}`, met: ms < 1000 * FAST },
});

/**
 * Slices laid into sheets: whether their areas are their clay, and how long it takes.
 * @param clock milliseconds, rising
 */
export function slices(clock: () => number): Table {
  const [few, many] = [worstOff(slab(5, 4), clock), worstOff(slab(20, 15), clock)];
  const laid = worstOff(inlay(6, 5), clock);
  return {
    title: 'Slices in a sheet: areas after rolling beside volume ÷ thickness',
    figures: [
      within('a slab of 20 slices of three canes, uneven, rolled: the most that one is off', few.off),
      within('a slab of 300 of them', many.off),
      within('30 laid on a sheet and rolled in', laid.off),
      within('a strip around a ball, small squares of it', worstOnBall()),
      below('a slab of 20, worked out', few.ms),
      below('a slab of 300', many.ms),
      below('30 laid on a sheet', laid.ms),
    ],
  };
}
