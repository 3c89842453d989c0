import {
  checkWork,
  contextOf,
  leftByHands,
  runSteps,
  trimsAfter,
  type CaneContext,
  type CaneState,
  type Paint,
  type Step,
  type StepResult,
} from '#core/cane';
import { attempt } from '#core/units';
import type { PlainCane } from './canePlain.js';

/** A cane that is worked out. */
export interface Loaded {
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
let stamped = 0;

const keysOf = ({ library, wobble, seed, ends }: PlainCane): string => JSON.stringify([library, wobble, seed, ends]);

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

/** How many steps from the first on are still as they were, and worked out. */
function keptOf(before: Loaded, keys: readonly string[]): number {
  const other = keys.findIndex((key, i) => key !== before.keys[i] || !before.results[i]?.state);
  return other < 0 ? keys.length : other;
}

/** Works a cane out anew from the first step that has changed. */
function work(id: string, cane: PlainCane): Loaded {
  const known = loaded.get(id);
  const before = known && keysOf(known.cane) === keysOf(cane) ? known : undefined;
  const trims = trimsAfter(cane.steps, cane.ends.trimming);
  const keys = cane.steps.map((s, i) => JSON.stringify([s, trims[i]]));
  const kept = before ? keptOf(before, keys) : 0;
  const context = before?.context ?? contextOf((ref) => cane.library[ref], cane.wobble, cane.seed, cane.ends);
  const results = resultsOf(cane.steps, context, before?.results.slice(0, kept) ?? []);
  const stamps = results.map((_, i) => (i < kept ? before?.stamps[i] : undefined) ?? ++stamped);
  const now = { cane, keys, context, results, stamps };
  loaded.delete(id);
  loaded.set(id, now);
  for (const old of [...loaded.keys()].slice(0, Math.max(0, loaded.size - MOST_LOADED))) loaded.delete(old);
  return now;
}

/** Takes a cane in place of the one that went by its id, and works it out where it is asked for. */
export function keep(id: string, cane: PlainCane): void {
  canes.set(id, cane);
}

export function load(id: string, cane: PlainCane): Loaded {
  keep(id, cane);
  return work(id, cane);
}

/** A cane as it was last sent; one that was let go meanwhile is worked out again. */
export function workedOf(id: string): Loaded | undefined {
  const cane = canes.get(id);
  return loaded.get(id) ?? (cane && work(id, cane));
}

/** A clay that nobody has given a colour. */
const GREY = Uint8Array.from([153, 153, 153]);

/** What is painted: the cane after a step, in those paints; null where it is not there. */
export function paintable(
  id: string,
  at: number,
  paints: Readonly<Record<string, Paint>>,
): { readonly state: CaneState; readonly list: readonly Paint[] } | null {
  const cane = workedOf(id);
  const state = cane && leftByHands(cane.results, at, cane.context);
  return cane && state ? { state, list: cane.context.materials.map((key) => paints[key] ?? GREY) } : null;
}
