import { type Mm, type Mm2 } from '#core/units';
import type { MaterialKey } from '#core/cane/document';
import {
  complaint,
  beginOf,
  changeOf,
  checkWork,
  isBegin,
  numberOf,
  one,
  runSteps,
  sumOf,
  usesOf,
  type Begin,
  type CaneContext,
  type CaneState,
  type PartUse,
  type Step,
  type StepResult,
  type Then,
} from '#core/cane/steps';
import { InnerCanes, type Inner, type Taken } from './parts.js';
import { rowOf, sharedOut, stateAt, type Row, type Stage } from './rows.js';

export interface Wanted {
  readonly slices: number;
  readonly thickness: Mm;
}

/** A piece of clay to begin with: so many, each so long. */
export interface StartNeed {
  readonly step: Step;
  /** the canes it is for, outermost first: their names, and in how many pieces each is cut */
  readonly path: readonly string[];
  readonly count: number;
  readonly length: Mm;
  /** mm² by material in its face */
  readonly amounts: ReadonlyMap<number, Mm2>;
}
/** A sheet that is wrapped around: as wide as the way around the cane; or a snake, as thick as it is wide. */
export interface WrapNeed {
  readonly step: Step;
  readonly of: MaterialKey;
  readonly thickness: Mm;
  readonly path: readonly string[];
  readonly count: number;
  readonly width: Mm;
  readonly length: Mm;
  readonly snake?: true;
}

/**
 * Ends, pieces too many, what a hole was cut from, or cane beyond what is wanted: a lump of clay that shows a
 * face, mm³ by material.
 */
export interface Offcut {
  readonly why: 'ends' | 'pieces' | 'hole' | 'more';
  readonly volumes: ReadonlyMap<MaterialKey, number>;
}

/** A plug or a sheet that was made before: so many mm of it are used, mm³ by material. */
export interface MadeUse {
  readonly id: string;
  readonly length: Mm;
  readonly volumes: ReadonlyMap<MaterialKey, number>;
}

/** A cane that others take in, with its own steps: made once, then cut for all that take it. */
export interface PartPlan {
  readonly name: string;
  /** as its starts and wraps name it */
  readonly path: readonly string[];
  readonly results: readonly StepResult[];
  readonly stages: readonly Stage[];
  readonly taken: readonly Taken[];
}

export interface BackwardsPlan {
  /** what it was worked out for */
  readonly wanted: Wanted;
  readonly starts: readonly StartNeed[];
  readonly wraps: readonly WrapNeed[];
  /** mm³ of each material that goes in */
  readonly volumes: ReadonlyMap<MaterialKey, number>;
  /** what of that lies there already, made before: so much of the length of each plug or sheet */
  readonly made: readonly MadeUse[];
  /** what is left over besides the slices: all clay that goes in is in one or the other */
  readonly offcuts: readonly Offcut[];
  /**
   * how long the cane has to be after each step, what is cut off its ends then, and how many pieces there are of
   * it, in the order of the steps
   */
  readonly stages: readonly Stage[];
  /** the canes that it takes in, in the order of making */
  readonly parts: readonly PartPlan[];
  /** how many pieces the slices are cut from, and so many from each */
  readonly pieces: number;
  readonly each: number;
}

/** Share of an off-cut below which a clay in it is taken to come from counting. */
const HAIR = 0.015;
interface Gathered {
  readonly starts: StartNeed[];
  readonly wraps: WrapNeed[];
  readonly volumes: Map<number, number>;
  readonly made: { readonly id: string; readonly length: Mm; readonly amounts: ReadonlyMap<number, Mm2> }[];
  readonly offcuts: { readonly why: Offcut['why']; readonly volumes: ReadonlyMap<number, number> }[];
  readonly parts: PartPlan[];
}

const into = (sums: Map<number, number>, amounts: ReadonlyMap<number, number>, times: number): void => {
  for (const [index, area] of amounts) sums.set(index, (sums.get(index) ?? 0) + area * times);
};

/** Notes what a step takes of each cane that it takes in. */
function noteTaken(
  uses: readonly PartUse[],
  step: Step,
  at: number,
  stage: Stage,
  path: readonly string[],
  inner: InnerCanes,
): void {
  for (const { part, count, longer } of uses) {
    const taken = inner.of(part)?.taken;
    const pieces = count * stage.count;
    if (pieces > 0)
      taken?.unshift({ step, at, path, count: pieces, length: stage.length * longer, drawnTo: stage.length });
  }
}

/** A cane that others take in: made once for all pieces that are needed of it. */
function gatherInner(one: Inner, inner: InnerCanes, context: CaneContext, out: Gathered): void {
  const { results, taken } = one;
  if (taken.length === 0) return;
  const { need, each } = sharedOut(results, taken, context);
  const row = rowOf(results, need, context);
  const called = `${one.name}${each > 1 ? `, cut in ${each}` : ''}`;
  const path = [...(taken[0]?.path ?? []), called];
  gather(results, row, context, path, inner, out);
  const used = taken.reduce((sum, t) => sum + t.count * t.length, 0);
  off(out, 'more', stateAt(results, results.length - 1).amounts, need.count * need.length - used);
  out.parts.unshift({ name: one.name, path, results, stages: row.stages, taken });
}

/** Slices that are planned at once. */
export const MOST_SLICES = 5000;
/** Lengths below this are what is left of counting with fractions. */
const NOTHING = 1e-7;

function off(out: Gathered, why: Offcut['why'], amounts: ReadonlyMap<number, Mm2>, length: Mm): void {
  if (length > NOTHING)
    out.offcuts.push({ why, volumes: new Map([...amounts].map(([index, area]) => [index, area * length])) });
}

/** Everything that one begins with and that is left over of a row, and what it takes of other canes. */
function gather(
  results: readonly StepResult[],
  row: Row,
  context: CaneContext,
  path: readonly string[],
  inner: InnerCanes,
  out: Gathered,
): void {
  for (let at = results.length - 1; at >= 0; at--) {
    const { step } = results[at] as StepResult;
    const state = stateAt(results, at);
    const before = at > 0 ? stateAt(results, at - 1) : null;
    const stage = row.stages[at] as Stage;
    const parts = usesOf(step, before, context);
    noteTaken(parts, step, at, stage, path, inner);
    off(out, 'ends', state.amounts, 2 * stage.cut * stage.count);
    off(out, 'pieces', state.amounts, row.spare[at] ?? 0);
    if (isBegin(step)) begun(step, state, parts, row, context, path, out);
    else if (before) changed(step, before, state, parts, stage, path, out);
  }
}

/** What is left over at a step, and the sheet that it lays around. */
function changed(
  step: Then,
  before: CaneState,
  state: CaneState,
  parts: readonly PartUse[],
  { length, count }: Stage,
  path: readonly string[],
  out: Gathered,
): void {
  const kind = changeOf(step);
  for (const { why, amounts, counted, length: own } of kind.leaves?.(step, before, state, given(parts)) ?? [])
    off(out, why, counted ? positive(amounts) : amounts, (own ?? length) * count);
  const sheet = kind.sheet?.(step, before, state);
  if (!sheet) return;
  out.wraps.push({ step, path, count, length, ...sheet });
  into(out.volumes, difference(state, before), length * count);
}

/** Amounts of the parts of a step, each with how much of it there is. */
const given = (parts: readonly PartUse[]): (readonly [ReadonlyMap<number, Mm2>, number])[] =>
  parts.map((use) => [use.state.amounts, use.count * use.longer] as const);

/** The clay that a row begins with; that of another cane is counted there. */
function begun(
  step: Begin,
  state: CaneState,
  parts: readonly PartUse[],
  { begin }: Row,
  context: CaneContext,
  path: readonly string[],
  out: Gathered,
): void {
  const all = begin.length * begin.count;
  const laid = beginOf(step).laid?.(step);
  if (laid === null) return;
  out.starts.push({ step, path, count: begin.count, length: begin.length, amounts: state.amounts });
  if ('made' in step && step.made !== undefined) out.made.push({ id: step.made, length: all, amounts: state.amounts });
  if (laid === undefined) {
    into(out.volumes, state.amounts, all);
    return;
  }
  // clay of the canes in it is counted with those, all of it: what other regions cover is cut away
  const there = sumOf(...laid.map(({ key, area }) => [one(numberOf(context, key), area), 1] as const));
  into(out.volumes, there, all);
  off(out, 'hole', positive(sumOf([there, 1], ...given(parts), [state.amounts, -1])), all);
}

/**
 * What was counted on a grid is off by a hair, and clay may seem to be there that is not: left out, and the others
 * made to keep the sum.
 */
function positive(amounts: ReadonlyMap<number, number>): ReadonlyMap<number, number> {
  const sum = (list: readonly (readonly [number, number])[]): number => list.reduce((all, [, area]) => all + area, 0);
  const whole = Math.max(0, sum([...amounts]));
  const there = [...amounts].filter(([, area]) => area > HAIR * whole);
  const share = whole / (sum(there) || 1);
  return new Map(there.map(([index, area]) => [index, area * share]));
}
const difference = (after: CaneState, before: CaneState): Map<number, number> =>
  new Map([...after.amounts].map(([index, area]) => [index, area - (before.amounts.get(index) ?? 0)]));

/** What the cane itself begins with first, then what the others do, in the order of making. */
const inOrder = <N extends { readonly path: readonly string[] }>(needs: readonly N[]): N[] => [
  ...needs.filter((n) => n.path.length === 0).reverse(),
  ...needs.filter((n) => n.path.length > 0).reverse(),
];

/** Equal pieces of equal canes as one line, with their number. */
function together<
  N extends { readonly step: Step; readonly path: readonly string[]; readonly count: number; readonly length: Mm },
>(needs: readonly N[]): N[] {
  const found = new Map<string, N>();
  for (const need of needs) {
    const key = JSON.stringify([need.step, need.path, need.length.toFixed(6)]);
    const before = found.get(key);
    found.set(key, before ? { ...before, count: before.count + need.count } : need);
  }
  return [...found.values()];
}

/** @throws Complaint of what is wanted */
export function checkWanted({ slices, thickness }: Wanted, context: CaneContext): void {
  if (!Number.isInteger(slices) || slices < 1 || slices > MOST_SLICES)
    throw complaint('cane/count', { what: 'The number of slices', low: 1, high: MOST_SLICES });
  if (!(thickness > 0)) throw complaint('cane/positive', { what: 'A slice' });
  if (!(context.ends.share >= 0)) throw complaint('cane/positive', { what: 'What is lost at the ends' });
}

/** The steps worked out, for any number of plans. @throws Complaint of the first step that cannot be done */
export function workedForPlans(steps: readonly Step[], context: CaneContext): readonly StepResult[] {
  checkWork(steps, context.library);
  const whole = steps.at(-1)?.do === 'slice' ? steps.slice(0, -1) : steps;
  const results = runSteps(whole, context);
  stateAt(results, results.length - 1);
  return results;
}

/**
 * From slices to every piece of clay to begin with: lengths backwards
 * through the steps at constant volume, with the ends that are cut off. A
 * slice at the end of the row is what is wanted, whatever its thickness
 * there. The slices are taken from all pieces that come of what is begun.
 * @param context with the ends that are lost
 * @throws Complaint of the first step that cannot be done, `cane/positive`, `cane/count`, `cane/asked`, and of a
 * cane that is too much to work out
 */
export function planBackwards(steps: readonly Step[], wanted: Wanted, context: CaneContext): BackwardsPlan {
  checkWanted(wanted, context);
  return planFrom(workedForPlans(steps, context), wanted, context);
}

/** The plan from steps that are worked out, of what was checked. */
export function planFrom(results: readonly StepResult[], wanted: Wanted, context: CaneContext): BackwardsPlan {
  const { slices, thickness } = wanted;
  const { need, each } = sharedOut(results, [{ count: slices, length: thickness }], context);
  const row = rowOf(results, need, context);
  const out: Gathered = { starts: [], wraps: [], volumes: new Map(), made: [], offcuts: [], parts: [] };
  const inner = new InnerCanes(results, context);
  gather(results, row, context, [], inner, out);
  // those that take others in before those others: by then all that is needed of each is known
  for (const one of [...inner.inOrder].reverse()) gatherInner(one, inner, context, out);
  off(out, 'more', stateAt(results, results.length - 1).amounts, need.count * need.length - slices * thickness);
  const named = (sums: ReadonlyMap<number, number>): Map<MaterialKey, number> =>
    new Map([...sums].filter(([, v]) => Math.abs(v) > 1e-9).map(([index, v]) => [context.materials[index] ?? '', v]));
  return {
    wanted,
    starts: together(inOrder(out.starts)),
    wraps: together(inOrder(out.wraps)),
    volumes: named(out.volumes),
    offcuts: out.offcuts.map(({ why, volumes }) => ({ why, volumes: named(volumes) })),
    made: out.made.map(({ id, length, amounts }) => ({
      id,
      length,
      volumes: named(new Map([...amounts].map(([index, area]) => [index, area * length]))),
    })),
    stages: row.stages,
    parts: out.parts,
    pieces: need.count,
    each,
  };
}
