import { Complaint } from '#core/units';
import { MOST_STEPS } from '#core/cane/document';
import {
  asProgram,
  beginOf,
  changeOf,
  isBegin,
  partsOf,
  type Begin,
  type Part,
  type Step,
  type Then,
} from './kinds.js';
import { spoiltAfter, trimsAfter } from './spoil.js';
import { withSpoilt, type CaneContext, type CaneState, type ResultOf } from './state.js';
import { complaint } from './sentences.js';

/** A step and the cane after it; or why it cannot be done, and then nothing after it can. */
export type StepResult = ResultOf<Step>;

/**
 * A cane that another one uses, step by step; each is worked out once in a context.
 * @throws Complaint `cane/itself`, `cane/missing`
 */
export function partResults(part: Part, context: CaneContext): readonly StepResult[] {
  const { refs, lists } = context.done;
  if (!('ref' in part)) {
    const results = (lists.get(part.steps) as readonly StepResult[] | undefined) ?? runSteps(part.steps, context);
    lists.set(part.steps, results);
    return results;
  }
  if (context.within.includes(part.ref)) throw complaint('cane/itself', { name: part.name ?? 'A cane' });
  const results = (refs.get(part.ref) as readonly StepResult[] | undefined) ?? refResults(part.ref, context);
  refs.set(part.ref, results);
  return results;
}

function refResults(ref: string, context: CaneContext): readonly StepResult[] {
  const document = context.library(ref);
  if (!document) throw complaint('cane/missing');
  return runSteps(asProgram(document).steps, { ...context, within: [...context.within, ref] });
}

/** The last of {@link partResults}. @throws Complaint of the first step that cannot be done, and as there */
export const partState = (part: Part, context: CaneContext): CaneState => lastOf(partResults(part, context));

function lastOf(results: readonly StepResult[]): CaneState {
  const last = results.at(-1);
  if (last?.wrong) throw last.wrong;
  if (!last?.state) throw complaint('cane/begin');
  return last.state;
}

const statesOf = (step: Step, context: CaneContext): CaneState[] => partsOf(step).map((p) => partState(p, context));
const begin = (step: Begin, context: CaneContext): CaneState =>
  beginOf(step).begin(step, statesOf(step, context), context);

/**
 * Ends that are cut off come off the length; a piece that is nothing but ends keeps a hair, since lengths are made
 * to fit later.
 */
function endsCut(state: CaneState, { ends }: CaneContext): CaneState {
  const left = state.length - 2 * ends.share * state.endsEach;
  return { ...state, length: Math.max(LEAST_LEFT * state.length, left), spoilt: [] };
}
const LEAST_LEFT = 0.001;

function next(step: Then, before: CaneState, trimmed: boolean, context: CaneContext): CaneState {
  const after = changeOf(step).change(before, step, statesOf(step, context), context);
  const state = withSpoilt(after, spoiltAfter(step, before, after));
  return trimmed ? endsCut(state, context) : state;
}

/** @param at its place among the steps @throws Complaint of the step */
function stateAfter(
  step: Step,
  at: number,
  before: CaneState | null,
  trimmed: boolean,
  context: CaneContext,
): CaneState {
  if (at >= MOST_STEPS) throw complaint('cane/long', { most: MOST_STEPS });
  if (isBegin(step)) {
    if (at > 0) throw complaint('cane/begin again', { step: at + 1 });
    return begin(step, context);
  }
  if (!before) throw complaint('cane/begin');
  return next(step, before, trimmed, context);
}

/**
 * Works a cane out, step by step. A step that cannot be done carries its
 * complaint, and those after it have no state.
 * @param known the first steps, worked out before with the same context, and trimmed after the same steps
 */
export function runSteps(
  steps: readonly Step[],
  context: CaneContext,
  known: readonly StepResult[] = [],
): StepResult[] {
  let state: CaneState | null = known.at(-1)?.state ?? null;
  let stopped = false;
  const trims = trimsAfter(steps, context.ends.trimming);
  return steps.map((step, i): StepResult => {
    const before = known[i];
    if (before) return before;
    if (stopped) return { step, state: null, wrong: null };
    try {
      state = stateAfter(step, i, state, trims[i] ?? false, context);
      return { step, state, wrong: null };
    } catch (error) {
      if (!(error instanceof Complaint)) throw error;
      stopped = true;
      return { step, state: null, wrong: error };
    }
  });
}
