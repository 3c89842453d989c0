import { complaint, type Mm, type Mm2 } from '#core/units';
import { gridUses } from './joining.js';
import { areaOf, diameterOf } from './outline.js';
import type { MaterialKey, Part, Step } from './program.js';
import { partsOf, runSteps, type StepResult } from './run.js';
import type { CaneContext, CaneState } from './state.js';

/** Diameters that are lost at each end of a reduced cane: an assumption until somebody has measured. */
export const ASSUMED_ENDS = 1;
/** Ends that were lost so far: the mean, with the assumption counting as two canes. */
export function learnedEnds(made: readonly { readonly lostMm: Mm; readonly diameterMm: Mm }[]): { readonly ends: number; readonly from: number } {
  const own = made.filter((m) => m.diameterMm > 0).map((m) => m.lostMm / (2 * m.diameterMm));
  return { ends: (own.reduce((a, b) => a + b, 0) + 2 * ASSUMED_ENDS) / (own.length + 2), from: own.length };
}
export const TRIMMINGS = ['once at the end', 'at every reduction'] as const;
export type Trimming = (typeof TRIMMINGS)[number];

export interface Wanted {
  readonly slices: number;
  readonly thickness: Mm;
  /** diameters lost at each end */
  readonly ends: number;
  readonly trimming: Trimming;
}

/** A piece of clay to begin with: so many, each so long. */
export interface StartNeed {
  readonly step: Step;
  /** names of the canes it is for, outermost first */
  readonly path: readonly string[];
  readonly count: number;
  readonly length: Mm;
  /** mm² by material in its face */
  readonly amounts: ReadonlyMap<number, Mm2>;
}
/** A sheet that is wrapped around: as wide as the way around the cane. */
export interface WrapNeed { readonly step: Extract<Step, { do: 'wrap' }>; readonly path: readonly string[]; readonly count: number; readonly width: Mm; readonly length: Mm }

export interface BackwardsPlan {
  readonly starts: readonly StartNeed[];
  readonly wraps: readonly WrapNeed[];
  /** mm³ of each material that goes in */
  readonly volumes: ReadonlyMap<MaterialKey, number>;
  /** mm³ of each that is cut off as ends */
  readonly scrap: ReadonlyMap<MaterialKey, number>;
  /** how long the cane has to be after each step, and how many pieces of it, in the order of the steps */
  readonly stages: readonly { readonly length: Mm; readonly count: number }[];
}

interface Need { readonly length: Mm; readonly count: number }
interface Gathered { readonly starts: StartNeed[]; readonly wraps: WrapNeed[]; readonly volumes: Map<number, number>; readonly scrap: Map<number, number> }

const into = (sums: Map<number, number>, amounts: ReadonlyMap<number, number>, times: number): void => {
  for (const [index, area] of amounts) sums.set(index, (sums.get(index) ?? 0) + area * times);
};

/** How many of its pieces each cane gives to a step, the row's own first. */
function usesOf(step: Step): { readonly own: number; readonly parts: readonly number[] } {
  switch (step.do) {
    case 'grid': {
      const [own = 0, ...parts] = gridUses(step);
      return { own, parts };
    }
    case 'pie': return { own: step.count, parts: [] };
    case 'pair': return { own: 2, parts: [] };
    case 'ring': return { own: step.count, parts: step.middle ? [1] : [] };
    case 'bundle': return { own: step.count, parts: (step.others ?? []).map((o) => o.count) };
    default: return { own: 1, parts: partsOf(step).map(() => 1) };
  }
}

/** From what is needed after the last of some steps to what is needed after each of them. */
function walkBack(results: readonly StepResult[], need: Need, wanted: Wanted, context: CaneContext, path: readonly string[], out: Gathered): Need[] {
  const stages: Need[] = [];
  const last = results.findLastIndex((r) => r.step.do === 'reduce');
  let now = need;
  for (let i = results.length - 1; i >= 0; i--) {
    const { step, state, wrong } = results[i] as StepResult;
    if (!state) throw wrong ?? complaint('cane/begin');
    stages.unshift(now);
    const before = results[i - 1]?.state ?? null;
    const { own, parts } = usesOf(step);
    partsOf(step).forEach((part, k) => { partBack(part, { length: now.length, count: now.count * (parts[k] ?? 1) }, wanted, context, path, out); });
    if (!before) {
      if (step.do !== 'cane') {
        out.starts.push({ step, path, count: now.count, length: now.length, amounts: state.amounts });
        into(out.volumes, state.amounts, now.length * now.count);
        // clay inside a template's canes is counted with those
        if (step.do === 'template') for (const part of partsOf(step)) into(out.volumes, lastAmounts(part, context), -now.length * now.count);
      }
      break;
    }
    switch (step.do) {
      case 'reduce': {
        const loses = results[i + 1]?.step.do !== 'trim' && (wanted.trimming === 'at every reduction' || i === last);
        const lost = loses ? 2 * wanted.ends * diameterOf(state.outline) : 0;
        into(out.scrap, state.amounts, lost * now.count);
        now = { count: now.count, length: ((now.length + lost) * areaOf(state.outline)) / areaOf(before.outline) };
        break;
      }
      case 'trim':
        into(out.scrap, state.amounts, 2 * step.each * now.count);
        now = { ...now, length: now.length + 2 * step.each };
        break;
      case 'across': now = { length: now.length * step.pieces, count: Math.ceil(now.count / step.pieces) }; break;
      case 'split': now = { ...now, count: Math.ceil(now.count / step.parts) }; break;
      case 'wrap': {
        const added = areaOf(state.outline) - areaOf(before.outline);
        out.wraps.push({ step, path, count: now.count, width: added / step.thickness, length: now.length });
        into(out.volumes, difference(state, before), now.length * now.count);
        break;
      }
      default: now = { ...now, count: now.count * own };
    }
  }
  return stages;
}

const difference = (after: CaneState, before: CaneState): Map<number, number> =>
  new Map([...after.amounts].map(([index, area]) => [index, area - (before.amounts.get(index) ?? 0)]));

function stepsOf(part: Part, context: CaneContext): readonly Step[] {
  if (!('ref' in part)) return part.steps;
  const program = context.library(part.ref);
  if (!program) throw complaint('cane/missing');
  return program.steps;
}

function partBack(part: Part, need: Need, wanted: Wanted, context: CaneContext, path: readonly string[], out: Gathered): void {
  walkBack(runSteps(stepsOf(part, context), context), need, wanted, context, [...path, part.name ?? 'a part'], out);
}

function lastAmounts(part: Part, context: CaneContext): ReadonlyMap<number, number> {
  return runSteps(stepsOf(part, context), context).at(-1)?.state?.amounts ?? new Map<number, number>();
}

/** Equal pieces of equal canes as one line, with their number. */
function together<N extends { readonly step: Step; readonly path: readonly string[]; readonly count: number; readonly length: Mm }>(needs: readonly N[]): N[] {
  const found = new Map<string, N>();
  for (const need of needs) {
    const key = JSON.stringify([need.step, need.path, need.length.toFixed(6)]);
    const before = found.get(key);
    found.set(key, before ? { ...before, count: before.count + need.count } : need);
  }
  return [...found.values()];
}

/**
 * From slices to every piece of clay to begin with: lengths backwards
 * through the steps at constant volume, with the ends that are lost. A slice
 * at the end of the row is what is wanted, whatever its thickness there.
 * @throws Complaint of the first step that cannot be done, `cane/positive`, `cane/count`
 */
export function planBackwards(steps: readonly Step[], wanted: Wanted, context: CaneContext): BackwardsPlan {
  if (!Number.isInteger(wanted.slices) || wanted.slices < 1 || wanted.slices > 5000) throw complaint('cane/count', { what: 'The number of slices', low: 1, high: 5000 });
  if (!(wanted.thickness > 0)) throw complaint('cane/positive', { what: 'A slice' });
  if (!(wanted.ends >= 0)) throw complaint('cane/positive', { what: 'What is lost at the ends' });
  const whole = steps.at(-1)?.do === 'slice' ? steps.slice(0, -1) : steps;
  const out: Gathered = { starts: [], wraps: [], volumes: new Map(), scrap: new Map() };
  const stages = walkBack(runSteps(whole, context), { length: wanted.slices * wanted.thickness, count: 1 }, wanted, context, [], out);
  const named = (sums: ReadonlyMap<number, number>): Map<MaterialKey, number> => new Map([...sums].filter(([, v]) => Math.abs(v) > 1e-9).map(([index, v]) => [context.materials[index] ?? '', v]));
  return { starts: together(out.starts.reverse()), wraps: together(out.wraps.reverse()), volumes: named(out.volumes), scrap: named(out.scrap), stages };
}
