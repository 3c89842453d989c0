import {
  STARTING_POINTS,
  bundleCells,
  circle,
  contextOf,
  frameOf,
  isBegin,
  paintFace,
  planBackwards,
  pressOf,
  runSteps,
  scaled,
  shapeOutline,
  smoothRows,
  sunflower,
  throughPress,
  type CaneContext,
  type CaneState,
  type Frame,
  type Paint,
  type Point,
  type StartColours,
  type Step,
  type StepResult,
} from '#core/cane';
import { seeded } from '#core/units';
import { median, type Table } from './measure.js';

const COLOURS: StartColours = {
  dark: 'clay:dark',
  light: 'clay:light',
  strong: 'clay:strong',
  second: 'clay:second',
  glass: ['clay:g1', 'clay:g2', 'clay:g3', 'clay:g4'],
  fade: 'blend:fade',
};
const GREYS: Readonly<Record<string, number>> = {
  'clay:dark': 20,
  'clay:light': 235,
  'clay:strong': 90,
  'clay:second': 140,
  'clay:g1': 200,
  'clay:g2': 170,
  'clay:g3': 120,
  'clay:g4': 60,
};
const SIZE = 512;
/** Side at which errors are compared: the reference takes 64 places a pixel. */
const SMALL = 192;
/** Blocks of 4 × 4 places across an edge pixel, as on the screen. */
const SMOOTH = 2;
const REFERENCE = 8;
const ROUNDS = 3;

const greyPaint = (key: string): Paint =>
  key.startsWith('blend')
    ? Uint8Array.from({ length: 768 }, (_, i) => 40 + (Math.floor(i / 3) * 180) / 255)
    : Uint8Array.from([0, 0, 0].fill(GREYS[key] ?? 128));
const last = (steps: readonly Step[], context: CaneContext): CaneState => {
  const state = runSteps(steps, context).at(-1)?.state;
  if (!state) throw new Error('A starting point cannot be done.');
  return state;
};

function painted(state: CaneState, paints: readonly Paint[], frame: Frame, blocks: number): Uint8ClampedArray {
  const rows = { from: 0, to: frame.height };
  if (blocks > 0) return smoothRows(state, paints, frame, rows, blocks);
  const pixels = new Uint8ClampedArray(4 * frame.width * frame.height);
  paintFace(state, paints, frame, rows, pixels);
  return pixels;
}

/** Each pixel the mean of 8 × 8 places: what a face really looks like at that size. */
function reference(state: CaneState, paints: readonly Paint[], frame: Frame): Float32Array {
  const fine: Frame = {
    mm: frame.mm / REFERENCE,
    width: frame.width * REFERENCE,
    height: REFERENCE,
    left: frame.left - (frame.mm * (REFERENCE - 1)) / (2 * REFERENCE),
    top: 0,
  };
  const out = new Float32Array(frame.width * frame.height);
  const strip = new Uint8ClampedArray(4 * fine.width * REFERENCE);
  for (let j = 0; j < frame.height; j++) {
    strip.fill(0);
    paintFace(
      state,
      paints,
      { ...fine, top: frame.top - j * frame.mm + (frame.mm * (REFERENCE - 1)) / (2 * REFERENCE) },
      { from: 0, to: REFERENCE },
      strip,
    );
    for (let i = 0; i < frame.width; i++) {
      let [sum, n] = [0, 0];
      for (let v = 0; v < REFERENCE; v++)
        for (let u = 0; u < REFERENCE; u++) {
          const at = 4 * (v * fine.width + i * REFERENCE + u);
          if ((strip[at + 3] ?? 0) > 0) {
            sum += strip[at] ?? 0;
            n++;
          }
        }
      out[j * frame.width + i] = n === REFERENCE ** 2 ? sum / n : -1;
    }
  }
  return out;
}

/** A grey in a raster as the samplers carry it: above every number of a material. */
const GREY = 1000;

/** The same cane by a raster that is resampled at each step (bilinear, of the same size). */
function resampled(
  steps: readonly Step[],
  context: CaneContext,
  paints: () => readonly Paint[],
  clock: () => number,
  size: number,
): { readonly grey: Float32Array; readonly ms: number } {
  let ms = 0;
  let known: readonly Paint[] = [];
  const greyAt = (value: number): number => {
    if (value >= GREY) return value - GREY;
    const index = Math.floor(value);
    if (index >= known.length) known = paints();
    const paint = known[index];
    return paint ? (paint[paint.length === 3 ? 0 : 3 * Math.floor((value - index) * 256)] ?? 0) : 0;
  };
  let state: CaneState | null = null;
  let grey = new Float32Array(0);
  for (const step of steps) {
    // a step is carried out on what the raster of the step before shows
    const before: CaneState | null = state;
    const results: StepResult[] = before
      ? runSteps([steps[0] as Step, step], context, [{ step: steps[0] as Step, state: before, wrong: null }])
      : runSteps([step], context);
    const now: CaneState | null | undefined = results.at(-1)?.state;
    if (!now || (before && isBegin(step))) throw new Error('A starting point cannot be done.');
    const f = frameOf(now.outline, size);
    const g = new Float32Array(size * size);
    // only the rasters count, not what the steps need besides
    const start = clock();
    for (let j = 0; j < size; j++)
      for (let i = 0; i < size; i++) g[j * size + i] = greyAt(now.sample(f.left + i * f.mm, f.top - j * f.mm));
    ms += clock() - start;
    grey = g;
    state = {
      ...now,
      sample: (x, y) => {
        const [px, py] = [
          Math.min(size - 1.001, Math.max(0, (x - f.left) / f.mm)),
          Math.min(size - 1.001, Math.max(0, (f.top - y) / f.mm)),
        ];
        const [i, j] = [Math.floor(px), Math.floor(py)];
        const [u, v] = [px - i, py - j];
        const at = j * size + i;
        return (
          GREY +
          (1 - v) * ((1 - u) * (g[at] as number) + u * (g[at + 1] as number)) +
          v * ((1 - u) * (g[at + size] as number) + u * (g[at + size + 1] as number))
        );
      },
    };
  }
  return { grey, ms };
}

function timed<T>(clock: () => number, work: () => T, rounds = ROUNDS): { readonly ms: number; readonly result: T } {
  let result = work();
  const times = Array.from({ length: rounds }, () => {
    const start = clock();
    result = work();
    return clock() - start;
  });
  return { ms: median(times), result };
}

/** How fast and how true the faces of the starting points are, beside resampling a raster at each step. */
export function caning(clock: () => number): Table {
  const perPixelStep: number[] = [];
  const ratios: number[] = [];
  const [ours, theirs, closer]: [number[], number[], number[]] = [[], [], []];
  const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;
  for (const { steps: of } of STARTING_POINTS) {
    const steps = of(COLOURS);
    const context = contextOf();
    const state = last(steps, context);
    const paints = context.materials.map(greyPaint);
    const frame = frameOf(state.outline, SIZE);
    const plain = timed(clock, () => painted(state, paints, frame, 0));
    perPixelStep.push((plain.ms * 1e6) / (SIZE * SIZE * steps.length));
    const smooth = timed(clock, () => painted(state, paints, frame, SMOOTH));
    const rasterContext = contextOf();
    const raster = resampled(steps, rasterContext, () => rasterContext.materials.map(greyPaint), clock, SIZE);
    const small = frameOf(state.outline, SMALL);
    const truth = reference(state, paints, small);
    const own = painted(state, paints, small, SMOOTH);
    const otherContext = contextOf();
    const other = resampled(steps, otherContext, () => otherContext.materials.map(greyPaint), clock, SMALL).grey;
    const off = (at: (k: number) => number): number =>
      mean(
        Array.from(truth, (t, k) => (t < 0 ? NaN : Math.abs(Math.round(t) - Math.round(at(k))))).filter(
          (v) => !Number.isNaN(v),
        ),
      );
    const [a, b] = [off((k) => own[4 * k] ?? 0), off((k) => other[k] ?? 0)];
    ratios.push(smooth.ms / raster.ms);
    ours.push(a);
    theirs.push(b);
    closer.push(b / a);
  }
  const chance = seeded(3);
  const areas = Array.from({ length: 60 }, () => 10 + 20 * chance());
  const outline = circle(2 * Math.sqrt(areas.reduce((a, b) => a + b, 0) / Math.PI));
  const places = sunflower(60).map(([x, y]): Point => [x * 17, y * 17]);
  const bundle = timed(clock, () => bundleCells(outline, areas, places), 5);
  const basket = STARTING_POINTS.find((s) => s.id === 'woven-basket')?.steps(COLOURS) ?? [];
  const twenty = [
    ...basket,
    ...Array.from({ length: 20 - basket.length }, (_, i): Step => ({ id: `x${i}`, do: 'turn', degrees: 3 })),
  ];
  const back = timed(clock, () => planBackwards(twenty, { slices: 60, thickness: 2 }, contextOf()), 5);
  const press = pressOf(scaled(shapeOutline({ shape: 'square' }), 10), shapeOutline({ shape: 'triangle' }), 30);
  const x = throughPress((px) => px, press);
  if (!Number.isFinite(x(1, 1))) throw new Error('No press.');
  const within = (what: string, value: number, unit: string, most: number): Table['figures'][number] => ({
    what,
    value,
    unit,
    goal: `≤ ${most}`,
    met: value <= most,
  });
  return {
    title:
      `Canes: the ${STARTING_POINTS.length} starting points at ${SIZE} × ${SIZE}, beside a raster that is ` +
      'resampled at each step',
    figures: [
      within('a pixel and a step, median of the starting points', median(perPixelStep), 'ns', 60),
      within('time, with smooth edges, against resampling, median', median(ratios), '×', 1),
      { what: 'mean error against 8 × 8 places a pixel, ours', value: median(ours), unit: 'grey' },
      { what: 'mean error against 8 × 8 places a pixel, resampled', value: median(theirs), unit: 'grey' },
      { what: 'closer by, median', value: median(closer), unit: '×', goal: '≥ 10', met: median(closer) >= 10 },
      { what: '60 rods squeezed to cells', value: bundle.ms, unit: 'ms', goal: '< 300', met: bundle.ms < 300 },
      { what: 'backwards plan of 20 steps', value: back.ms, unit: 'ms', goal: '< 50', met: back.ms < 50 },
    ],
  };
}
