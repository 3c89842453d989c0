import { Complaint, complaint } from '#core/units';
import { BEGIN } from './begin.js';
import * as joining from './joining.js';
import { partsOf } from './parts.js';
import { MOST_STEPS, isBegin, type Begin, type Part, type Step, type Then } from './program.js';
import * as shaping from './shaping.js';
import { trimsAfter } from './ends.js';
import { spoiltAfter } from './spoil.js';
import { withSpoilt, type CaneContext, type CaneState, type StepResult, type Unspoilt } from './state.js';
import { templateState } from './template.js';

/** A cane that another one uses, step by step; each is worked out once in a context. @throws Complaint `cane/itself`, `cane/missing` */
export function partResults(part: Part, context: CaneContext): readonly StepResult[] {
  const { refs, lists } = context.done;
  if (!('ref' in part)) {
    const results = lists.get(part.steps) ?? runSteps(part.steps, context);
    lists.set(part.steps, results);
    return results;
  }
  if (context.within.includes(part.ref)) throw complaint('cane/itself', { name: part.name ?? 'A cane' });
  const results = refs.get(part.ref) ?? refResults(part.ref, context);
  refs.set(part.ref, results);
  return results;
}

function refResults(ref: string, context: CaneContext): readonly StepResult[] {
  const program = context.library(ref);
  if (!program) throw complaint('cane/missing');
  return runSteps(program.steps, { ...context, within: [...context.within, ref] });
}

/** The last of {@link partResults}. @throws Complaint of the first step that cannot be done, and as there */
export const partState = (part: Part, context: CaneContext): CaneState => lastOf(partResults(part, context));

function lastOf(results: readonly StepResult[]): CaneState {
  const last = results.at(-1);
  if (!last) throw complaint('cane/begin');
  if (last.wrong) throw last.wrong;
  return last.state as CaneState;
}

function begin(step: Begin, context: CaneContext): CaneState {
  const parts = partsOf(step).map((p) => partState(p, context));
  switch (step.do) {
    case 'cane':
      return { ...(parts[0] as CaneState), spoilt: [], endsEach: 0 };
    case 'template':
      return templateState(step, parts, context);
    case 'log':
      return BEGIN.log(step, context);
    case 'block':
      return BEGIN.block(step, context);
    case 'plug':
      return BEGIN.plug(step, context);
    case 'roll':
      return BEGIN.roll(step, context);
    case 'loaf':
      return BEGIN.loaf(step, context);
  }
}

function then(state: CaneState, step: Then, context: CaneContext): Unspoilt {
  const parts = partsOf(step).map((p) => partState(p, context));
  switch (step.do) {
    case 'wrap':
      return shaping.wrap(state, step, context);
    case 'press':
      return shaping.press(state, step, context);
    case 'squeeze':
      return shaping.squeeze(state, step, context);
    case 'turn':
      return shaping.turn(state, step, context);
    case 'mirror':
      return shaping.mirror(state, step, context);
    case 'split':
      return shaping.split(state, step, context);
    case 'across':
      return shaping.across(state, step, context);
    case 'reduce':
      return shaping.reduce(state, step, context);
    case 'trim':
      return shaping.trim(state, step, context);
    case 'slice':
      return shaping.slice(state, step, context);
    case 'grid':
      return joining.grid(state, step, parts, context);
    case 'pie':
      return joining.pie(state, step, parts, context);
    case 'pair':
      return joining.pair(state, step, parts, context);
    case 'ring':
      return joining.ring(state, step, parts, context);
    case 'bundle':
      return joining.bundle(state, step, parts, context);
    case 'stack':
      return joining.stack(state, step, parts, context);
    case 'insert':
      return joining.insert(state, step, parts, context);
  }
}

/** Ends that are cut off come off the length; a piece that is nothing but ends keeps a hair, since lengths are made to fit later. */
function endsCut(state: CaneState, { ends }: CaneContext): CaneState {
  const left = state.length - 2 * ends.share * state.endsEach;
  return { ...state, length: Math.max(LEAST_LEFT * state.length, left), spoilt: [] };
}
const LEAST_LEFT = 0.001;

function next(step: Step, before: CaneState, trimmed: boolean, context: CaneContext): CaneState {
  const after = then(before, step as Then, context);
  const state = withSpoilt(after, spoiltAfter(step, before, after));
  return trimmed ? endsCut(state, context) : state;
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
      if (i >= MOST_STEPS) throw complaint('cane/long', { most: MOST_STEPS });
      if (i === 0 && !isBegin(step)) throw complaint('cane/begin');
      if (i > 0 && isBegin(step)) throw complaint('cane/begin again', { step: i + 1 });
      state = isBegin(step) ? begin(step, context) : next(step, state as CaneState, trims[i] ?? false, context);
      return { step, state, wrong: null };
    } catch (error) {
      if (!(error instanceof Complaint)) throw error;
      stopped = true;
      return { step, state: null, wrong: error };
    }
  });
}
