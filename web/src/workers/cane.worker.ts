import { expose, transfer } from 'comlink';
import {
  acrossOf,
  areaOf,
  checkWork,
  contextOf,
  extentOf,
  frameOf,
  judge,
  paintFace,
  planBackwards,
  runSteps,
  smoothRows,
  tracedFace,
  trimsAfter,
  type CaneContext,
  type EndsRule,
  type JudgedMaterial,
  type Offcut,
  type Paint,
  type Program,
  type Stage,
  type Step,
  type WrapNeed,
  type StepResult,
  type TracedArea,
  type Wanted,
  type Warning,
} from '#core/cane';
import { attempt, orSentence } from '#core/units';

/** A cane as it crosses to the worker. */
export interface PlainCane {
  readonly steps: readonly Step[];
  readonly library: Readonly<Record<string, Program>>;
  readonly wobble: number;
  readonly seed: number;
  readonly ends: EndsRule;
}

/** A step worked out, in plain figures. */
export interface PlainStep {
  /** another one as soon as the step, or one before it, is another */
  readonly stamp: number;
  readonly wrong: string | null;
  readonly there: boolean;
  readonly width: number;
  readonly height: number;
  /** as a ruler says it */
  readonly across: number;
  readonly area: number;
  readonly length: number;
  readonly count: number;
  readonly round: boolean;
  readonly points: readonly (readonly [number, number])[];
  readonly amounts: readonly (readonly [string, number])[];
}
type Keyed<W> = W extends { readonly material: number }
  ? Omit<W, 'material'> & { readonly material: string }
  : W extends { readonly one: number; readonly deltaE: number }
    ? Omit<W, 'one' | 'other'> & { readonly one: string; readonly other: string }
    : W;
export type PlainWarning = Keyed<Warning>;
export interface PlainPlan {
  readonly starts: readonly {
    readonly step: Step;
    readonly path: readonly string[];
    readonly count: number;
    readonly length: number;
    readonly amounts: readonly (readonly [string, number])[];
  }[];
  readonly wraps: readonly WrapNeed[];
  readonly volumes: readonly (readonly [string, number])[];
  readonly offcuts: readonly {
    readonly why: Offcut['why'];
    readonly volumes: readonly (readonly [string, number])[];
  }[];
  readonly made: readonly {
    readonly id: string;
    readonly length: number;
    readonly volumes: readonly (readonly [string, number])[];
  }[];
  readonly stages: readonly Stage[];
  readonly pieces: number;
  readonly each: number;
}

interface Loaded {
  readonly cane: PlainCane;
  readonly keys: readonly string[];
  readonly context: CaneContext;
  readonly results: readonly StepResult[];
  readonly stamps: readonly number[];
}
/** Canes as they were last sent, and those of them that are worked out. */
const canes = new Map<string, PlainCane>();
const loaded = new Map<string, Loaded>();
/** Canes that are kept worked out: the one on the bench, and its neighbours in the list. */
const MOST_LOADED = 40;
/** Rows of a large picture in one go. */
const CHUNK = 48;
/** Fewest and most rows of a face in one go, and how long, ms, the next asker waits for one at most. */
const [LEAST_ROWS, MOST_ROWS, PATIENCE] = [6, 64, 20];
/** Pixels a side from which 4 × 4 places an edge pixel do, instead of 8 × 8. */
const LARGE = 1500;
let asked = 0;
let stamped = 0;

const turn = (): Promise<void> =>
  new Promise((resolve) => {
    setTimeout(resolve);
  });
const plain = (context: CaneContext, amounts: ReadonlyMap<number, number>): [string, number][] =>
  [...amounts].map(([index, v]) => [context.materials[index] ?? '', v]);
const paintsOf = ({ context }: Loaded, paints: Readonly<Record<string, Paint>>): Paint[] =>
  context.materials.map((key) => paints[key] ?? new Uint8Array([153, 153, 153]));
const keysOf = ({ library, wobble, seed, ends }: PlainCane): string => JSON.stringify([library, wobble, seed, ends]);

/** Works a cane out anew from the first step that has changed. */
function work(id: string, cane: PlainCane): Loaded {
  const before = loaded.get(id);
  const trims = trimsAfter(cane.steps, cane.ends.trimming);
  const keys = cane.steps.map((s, i) => JSON.stringify([s, trims[i]]));
  const same = before && keysOf(before.cane) === keysOf(cane);
  const context = same ? before.context : contextOf((ref) => cane.library[ref], cane.wobble, cane.seed, cane.ends);
  let kept = 0;
  while (same && kept < keys.length && keys[kept] === before.keys[kept] && before.results[kept]?.state) kept++;
  const results = resultsOf(cane.steps, context, same ? before.results.slice(0, kept) : []);
  const stamps = results.map((_, i) => (i < kept ? before?.stamps[i] : undefined) ?? ++stamped);
  const now = { cane, keys, context, results, stamps };
  loaded.delete(id);
  loaded.set(id, now);
  for (const old of [...loaded.keys()].slice(0, Math.max(0, loaded.size - MOST_LOADED))) loaded.delete(old);
  return now;
}

/** The steps worked out; of a cane that would take too long only the sentence that says so, at its first step. */
function resultsOf(steps: readonly Step[], context: CaneContext, known: readonly StepResult[]): readonly StepResult[] {
  return attempt(
    () => {
      checkWork(steps, context.library);
      return runSteps(steps, context, known);
    },
    (wrong) => steps.map((step, i) => ({ step, state: null, wrong: i === 0 ? wrong : null })),
  );
}

/** A cane as it was last sent; one that was let go meanwhile is worked out again. */
function workedOf(id: string): Loaded | undefined {
  const cane = canes.get(id);
  return loaded.get(id) ?? (cane && work(id, cane));
}

const worker = {
  load(id: string, cane: PlainCane): PlainStep[] {
    canes.set(id, cane);
    const { results, context, stamps } = work(id, cane);
    return results.map(({ state, wrong }, i): PlainStep => {
      const stamp = stamps[i] ?? 0;
      if (!state)
        return {
          stamp,
          wrong: wrong?.message ?? null,
          there: false,
          width: 0,
          height: 0,
          across: 0,
          area: 0,
          length: 0,
          count: 0,
          round: false,
          points: [],
          amounts: [],
        };
      const { width, height } = extentOf(state.outline);
      return {
        stamp,
        wrong: null,
        there: true,
        width,
        height,
        across: acrossOf(state.outline),
        area: areaOf(state.outline),
        length: state.length,
        count: state.count,
        round: state.outline.round,
        points: state.outline.points,
        amounts: plain(context, state.amounts),
      };
    });
  },

  /**
   * The face after a step. A coarse one is painted at once; a fine one lets
   * everything go before it that is waiting, and again after every few rows.
   * @param every blocks of so many pixels: a coarser picture at once @returns null where it cannot be, or another
   * picture was asked for under the same name meanwhile
   */
  async face(
    id: string,
    at: number,
    size: number,
    every: number,
    paints: Readonly<Record<string, Paint>>,
  ): Promise<ImageData | null> {
    const own = ++asked;
    newest.set(`${id} ${at} ${size}`, own);
    const cane = workedOf(id);
    const state = cane?.results[at]?.state;
    if (!cane || !state) return null;
    const frame = frameOf(state.outline, size);
    const pixels = new Uint8ClampedArray(4 * size * size);
    const list = paintsOf(cane, paints);
    if (every > 1) paintFace(state, list, frame, { from: 0, to: size }, pixels, every);
    else {
      let rows = LEAST_ROWS;
      for (let from = 0; from < size;) {
        await turn();
        if (newest.get(`${id} ${at} ${size}`) !== own) return null;
        const to = Math.min(size, from + rows);
        const began = performance.now();
        pixels.set(smoothRows(state, list, frame, { from, to }, 2), 4 * size * from);
        rows = Math.round(
          Math.min(MOST_ROWS, Math.max(LEAST_ROWS, (PATIENCE * (to - from)) / (performance.now() - began))),
        );
        from = to;
      }
    }
    return transfer(new ImageData(pixels, size, size), [pixels.buffer]);
  },

  /**
   * The face after a step as a PNG file, painted strip by strip: of a large
   * one there is never more than one copy.
   * @param tell called with the share that is done @returns null where it cannot be, or was stopped
   */
  async png(
    id: string,
    at: number,
    size: number,
    paints: Readonly<Record<string, Paint>>,
    tell?: (share: number) => void,
  ): Promise<Uint8Array | null> {
    const cane = workedOf(id);
    const state = cane?.results[at]?.state;
    if (!cane || !state) return null;
    stopped.delete(id);
    const frame = frameOf(state.outline, size);
    const list = paintsOf(cane, paints);
    const canvas = new OffscreenCanvas(size, size);
    const paper = canvas.getContext('2d', { willReadFrequently: true });
    for (let from = 0; from < size; from += CHUNK) {
      const to = Math.min(size, from + CHUNK);
      paper?.putImageData(
        new ImageData(smoothRows(state, list, frame, { from, to }, size > LARGE ? 1 : 2).slice(), size, to - from),
        0,
        from,
      );
      tell?.(to / size);
      await turn();
      if (stopped.delete(id)) return null;
    }
    const bytes = new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer());
    return transfer(bytes, [bytes.buffer]);
  },
  stop(id: string): void {
    stopped.add(id);
  },

  /** The edges of everything in the face after a step. */
  traced(
    id: string,
    at: number,
  ): { readonly key: string; readonly place: number | null; readonly rings: TracedArea['rings'] }[] {
    const cane = workedOf(id);
    const state = cane?.results[at]?.state;
    return cane && state
      ? tracedFace(state).map(({ material, place, rings }) => ({
          key: cane.context.materials[material] ?? '',
          place,
          rings,
        }))
      : [];
  },

  /** From slices to what to begin with; a sentence where that cannot be. */
  backwards(id: string, wanted: Wanted): PlainPlan | string {
    const cane = workedOf(id);
    if (!cane) return '';
    return orSentence(() => {
      const plan = planBackwards(cane.cane.steps, wanted, cane.context);
      return {
        ...plan,
        volumes: [...plan.volumes],
        made: plan.made.map((m) => ({ ...m, volumes: [...m.volumes] })),
        offcuts: plan.offcuts.map(({ why, volumes }) => ({ why, volumes: [...volumes] })),
        starts: plan.starts.map((s) => ({ ...s, amounts: plain(cane.context, s.amounts) })),
      };
    });
  },

  /** What will go wrong, and the narrowest thing in the face after a step. */
  judge(
    id: string,
    materials: Readonly<Record<string, JudgedMaterial>>,
  ): {
    readonly warnings: PlainWarning[];
    readonly feature: { readonly mm: number; readonly material: string } | null;
  } {
    const cane = workedOf(id);
    if (!cane) return { warnings: [], feature: null };
    const { context } = cane;
    const name = (index: number): string => context.materials[index] ?? '';
    const { warnings, features } = judge(
      cane.results,
      context.materials.map((key) => materials[key]),
      context,
    );
    return {
      // of one clay alone nothing is narrow
      feature:
        features && Number.isFinite(features.least) && features.byMaterial.size > 1
          ? { mm: features.least, material: name(features.material) }
          : null,
      warnings: warnings.map((w): PlainWarning => {
        if ('material' in w) return { ...w, material: name(w.material) };
        return w.kind === 'together' ? { ...w, one: name(w.one), other: name(w.other) } : w;
      }),
    };
  },
};
const newest = new Map<string, number>();
const stopped = new Set<string>();
export type CaneWorker = typeof worker;

expose(worker);
