import { complaint, type Mm, type Mm2 } from '#core/units';
import { areaOf, diameterOf } from './outline.js';
import type { MaterialKey, Part, Step } from './program.js';
import { checkWork } from './limits.js';
import { partResults, runSteps } from './run.js';
import { numberOf, one, sumOf, type CaneContext, type CaneState, type StepResult } from './state.js';
import { seenAreas } from './template.js';
import { usesOf, type PartUse } from './uses.js';

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
  /** the canes it is for, outermost first: their names, and in how many pieces each is cut */
  readonly path: readonly string[];
  readonly count: number;
  readonly length: Mm;
  /** mm² by material in its face */
  readonly amounts: ReadonlyMap<number, Mm2>;
}
/** A sheet that is wrapped around: as wide as the way around the cane. */
export interface WrapNeed { readonly step: Extract<Step, { do: 'wrap' }>; readonly path: readonly string[]; readonly count: number; readonly width: Mm; readonly length: Mm }

/** Ends, pieces too many, or what a hole was cut from: a lump of clay that shows a face, mm³ by material. */
export interface Offcut { readonly why: 'ends' | 'pieces' | 'hole'; readonly volumes: ReadonlyMap<MaterialKey, number> }

export interface BackwardsPlan {
  readonly starts: readonly StartNeed[];
  readonly wraps: readonly WrapNeed[];
  /** mm³ of each material that goes in */
  readonly volumes: ReadonlyMap<MaterialKey, number>;
  /** what is left over besides the slices: all clay that goes in is in one or the other */
  readonly offcuts: readonly Offcut[];
  /** how long the cane has to be after each step, and how many pieces of it, in the order of the steps */
  readonly stages: readonly { readonly length: Mm; readonly count: number }[];
}

/** Share of an off-cut below which a clay in it is taken to come from counting. */
const HAIR = 0.015;
interface Need { readonly length: Mm; readonly count: number }
interface Gathered { readonly starts: StartNeed[]; readonly wraps: WrapNeed[]; readonly volumes: Map<number, number>; readonly offcuts: { readonly why: Offcut['why']; readonly volumes: ReadonlyMap<number, number> }[] }

const into = (sums: Map<number, number>, amounts: ReadonlyMap<number, number>, times: number): void => {
  for (const [index, area] of amounts) sums.set(index, (sums.get(index) ?? 0) + area * times);
};

/** A cane that a step takes several times is made once, long enough, and cut: its ends are lost once. */
function joined(uses: readonly PartUse[]): { readonly part: Part; readonly pieces: number; readonly longer: number }[] {
  const made = new Map<string, { part: Part; pieces: number; longer: number }>();
  for (const { part, count, longer } of uses) {
    const key = JSON.stringify(part);
    const { pieces, longer: long } = made.get(key) ?? { pieces: 0, longer: 0 };
    made.set(key, { part, pieces: pieces + count, longer: long + count * longer });
  }
  return [...made.values()];
}

/** From what is needed after the last of some steps to what is needed after each of them. */
function walkBack(results: readonly StepResult[], need: Need, wanted: Wanted, context: CaneContext, path: readonly string[], out: Gathered): Need[] {
  const stages: Need[] = [];
  const last = results.findLastIndex((r) => r.step.do === 'reduce');
  let now = need;
  for (let i = results.length - 1; i >= 0; i--) {
    const { step, state } = results[i] as StepResult;
    if (!state) throw results.find((r) => r.wrong)?.wrong ?? complaint('cane/begin');
    stages.unshift(now);
    const before = results[i - 1]?.state ?? null;
    const { own, parts } = usesOf(step, before, context);
    for (const { part, pieces, longer } of joined(parts)) {
      const count = pieces * now.count;
      const name = `${part.name ?? 'a part'}${count > 1 ? `, cut in ${count}` : ''}`;
      walkBack(partResults(part, context), { length: now.length * now.count * longer, count: 1 }, wanted, context, [...path, name], out);
    }
    const off = (why: Offcut['why'], amounts: ReadonlyMap<number, Mm2>, times: number): void => {
      if (times > 0) out.offcuts.push({ why, volumes: new Map([...amounts].map(([index, area]) => [index, area * times])) });
    };
    const given = parts.map((use) => [use.state.amounts, use.count * use.longer] as const);
    if (!before) {
      if (step.do === 'cane') break;
      out.starts.push({ step, path, count: now.count, length: now.length, amounts: state.amounts });
      if (step.do === 'template') {
        // clay of the canes in it is counted with those, all of it: what other regions cover is cut away
        const laid = new Map<number, number>();
        for (const { region: { fill }, area } of seenAreas(step)) if (!('cane' in fill)) into(laid, one(numberOf(context, 'of' in fill ? fill.of : fill.blend), area), 1);
        into(out.volumes, laid, now.length * now.count);
        off('hole', positive(sumOf([laid, 1], ...given, [state.amounts, -1])), now.length * now.count);
      } else into(out.volumes, state.amounts, now.length * now.count);
      break;
    }
    switch (step.do) {
      case 'reduce': {
        const loses = results[i + 1]?.step.do !== 'trim' && (wanted.trimming === 'at every reduction' || i === last);
        const lost = loses ? 2 * wanted.ends * diameterOf(state.outline) : 0;
        off('ends', state.amounts, lost * now.count);
        now = { count: now.count, length: ((now.length + lost) * areaOf(state.outline)) / areaOf(before.outline) };
        break;
      }
      case 'trim':
        off('ends', state.amounts, 2 * step.each * now.count);
        now = { ...now, length: now.length + 2 * step.each };
        break;
      case 'across': case 'split': {
        const pieces = step.do === 'across' ? step.pieces : step.parts;
        const canes = Math.ceil(now.count / pieces);
        off('pieces', state.amounts, now.length * (canes * pieces - now.count));
        now = { length: step.do === 'across' ? now.length * pieces : now.length, count: canes };
        break;
      }
      case 'insert':
        off('hole', positive(sumOf([before.amounts, 1], ...given, [state.amounts, -1])), now.length * now.count);
        break;
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

/** What was counted on a grid is off by a hair, and clay may seem to be there that is not: left out, and the others made to keep the sum. */
function positive(amounts: ReadonlyMap<number, number>): ReadonlyMap<number, number> {
  const sum = (list: readonly (readonly [number, number])[]): number => list.reduce((all, [, area]) => all + area, 0);
  const whole = Math.max(0, sum([...amounts]));
  const there = [...amounts].filter(([, area]) => area > HAIR * whole);
  const share = whole / (sum(there) || 1);
  return new Map(there.map(([index, area]) => [index, area * share]));
}
const difference = (after: CaneState, before: CaneState): Map<number, number> =>
  new Map([...after.amounts].map(([index, area]) => [index, area - (before.amounts.get(index) ?? 0)]));

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
 * @throws Complaint of the first step that cannot be done, `cane/positive`, `cane/count`, and of a cane that is too much to work out
 */
export function planBackwards(steps: readonly Step[], wanted: Wanted, context: CaneContext): BackwardsPlan {
  if (!Number.isInteger(wanted.slices) || wanted.slices < 1 || wanted.slices > 5000) throw complaint('cane/count', { what: 'The number of slices', low: 1, high: 5000 });
  if (!(wanted.thickness > 0)) throw complaint('cane/positive', { what: 'A slice' });
  if (!(wanted.ends >= 0)) throw complaint('cane/positive', { what: 'What is lost at the ends' });
  checkWork(steps, context.library);
  const whole = steps.at(-1)?.do === 'slice' ? steps.slice(0, -1) : steps;
  const out: Gathered = { starts: [], wraps: [], volumes: new Map(), offcuts: [] };
  const stages = walkBack(runSteps(whole, context), { length: wanted.slices * wanted.thickness, count: 1 }, wanted, context, [], out);
  const named = (sums: ReadonlyMap<number, number>): Map<MaterialKey, number> => new Map([...sums].filter(([, v]) => Math.abs(v) > 1e-9).map(([index, v]) => [context.materials[index] ?? '', v]));
  return { starts: together(out.starts.reverse()), wraps: together(out.wraps.reverse()), volumes: named(out.volumes), offcuts: out.offcuts.map(({ why, volumes }) => ({ why, volumes: named(volumes) })), stages };
}
