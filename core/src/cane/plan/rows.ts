import { inBoth, showLength, type Mm } from '#core/units';
import { areaOf } from '#core/cane/outlines';
import {
  complaint,
  changeOf,
  isBegin,
  ownOf,
  trimsAfter,
  type CaneContext,
  type CaneState,
  type Faces,
  type Need,
  type Step,
  type StepResult,
} from '#core/cane/steps';

/**
 * The cane after a step: each piece so long, of which so much is cut off each end then, and how many of them there
 * are.
 */
export interface Stage {
  readonly length: Mm;
  readonly cut: Mm;
  readonly count: number;
  /** mm of each end that are no good by then, cut off or not */
  readonly spoilt: Mm;
  /** what would be cut off both ends for a share of 1: what trims are learned by; 0 where nothing is cut off */
  readonly unitMm: Mm;
}

/** A row of steps with what is needed of each. */
export interface Row {
  readonly stages: readonly Stage[];
  /** pieces of it that a lengthwise or a crosswise cut gives beyond those that are used, times their length, by step */
  readonly spare: readonly Mm[];
  /** as it is to be begun */
  readonly begin: Need;
}

/** How long each piece is without its ends. */
export const usable = ({ length, cut }: Pick<Stage, 'length' | 'cut'>): Mm => length - 2 * cut;

/** The state after a step. @throws Complaint of the step that cannot be done */
export function stateAt(results: readonly StepResult[], at: number): CaneState {
  const state = results[at]?.state;
  if (!state) throw results.find((r) => r.wrong)?.wrong ?? complaint('cane/begin');
  return state;
}

/** The faces before a step and after it. */
const facesAt = (results: readonly StepResult[], at: number): Faces => ({
  before: areaOf(stateAt(results, at - 1).outline),
  after: areaOf(stateAt(results, at).outline),
});

/** What a step needs of the pieces before it, for pieces of one length after it. */
function before(
  step: Step,
  { count, length }: Need,
  results: readonly StepResult[],
  at: number,
): { readonly need: Need; readonly spare: number } {
  if (isBegin(step)) return { need: { count, length }, spare: 0 };
  const kind = changeOf(step);
  const pieces = kind.cuts ? Math.round(stateAt(results, at).count / stateAt(results, at - 1).count) : 1;
  const canes = Math.ceil(count / pieces);
  const usual = { count: canes * ownOf(step), length };
  const need = kind.needs?.(step, { count: canes, length }, facesAt(results, at), pieces) ?? usual;
  return { need, spare: canes * pieces - count };
}

/**
 * From what is needed after the last of some steps to what is needed of each of them, at constant volume and with
 * the ends that are cut off.
 */
export function rowOf(results: readonly StepResult[], need: Need, context: CaneContext): Row {
  const trims = trimsAfter(
    results.map((r) => r.step),
    context.ends.trimming,
  );
  const [stages, spare]: [Stage[], Mm[]] = [[], []];
  let now = need;
  for (let at = results.length - 1; at >= 0; at--) {
    const { step } = results[at] as StepResult;
    const { endsEach } = stateAt(results, at);
    const spoilt = context.ends.share * endsEach;
    const cut = trims[at] ? spoilt : 0;
    const whole = now.length + 2 * cut;
    stages.unshift({ length: whole, cut, count: now.count, spoilt, unitMm: trims[at] ? 2 * endsEach : 0 });
    if (at === 0) {
      now = { ...now, length: whole };
      spare.unshift(0);
      break;
    }
    const back = before(step, { count: now.count, length: whole }, results, at);
    spare.unshift(back.spare * whole);
    now = back.need;
  }
  return { stages, spare, begin: now };
}

/** How long a piece is after a step, of so much before it. */
function alongAt(results: readonly StepResult[], at: number, length: Mm): Mm {
  const step = (results[at] as StepResult).step;
  if (isBegin(step)) return length;
  return changeOf(step).along?.(step, length, facesAt(results, at)) ?? length;
}

/** How long a piece is at the end, where a step reduces to a length; null where none does. */
function askedLength(results: readonly StepResult[], context: CaneContext): Mm | null {
  const from = results.findLastIndex(({ step }) => step.do === 'reduce' && step.to === 'length');
  if (from < 0) return null;
  const steps = results.map((r) => r.step);
  const trims = trimsAfter(steps, context.ends.trimming);
  const cutAt = (at: number): Mm => (trims[at] ? 2 * context.ends.share * stateAt(results, at).endsEach : 0);
  const faces = facesAt(results, from);
  // the length with its ends follows from the faces: volume is kept
  let length = (stateAt(results, from - 1).length * faces.before) / faces.after - cutAt(from);
  for (let at = from + 1; at < results.length; at++) length = alongAt(results, at, length) - cutAt(at);
  return length;
}

/** Of so many pieces that a row gives at most, every number is tried. */
const MOST_TRIED = 400;

/** Pieces of a row with so many cuts of it from each, at the most. */
export interface Shared {
  readonly need: Need;
  readonly each: number;
}

/** Cuts of the same length as one. */
function together(cuts: readonly Need[]): Need[] {
  const found = new Map<string, Need>();
  for (const { count, length } of cuts) {
    const key = length.toFixed(6);
    found.set(key, { count: count + (found.get(key)?.count ?? 0), length });
  }
  return [...found.values()];
}

/**
 * How long each of so many pieces has to be for all cuts: the longest cuts first, each to the piece that has most
 * room (R. L. Graham, 1969). Of very many cuts each is taken to be as long as the longest.
 */
function sharedOver(pieces: number, cuts: readonly Need[]): { readonly length: Mm; readonly each: number } {
  const all = cuts.reduce((sum, cut) => sum + cut.count, 0);
  const longest = Math.max(...cuts.map((cut) => cut.length));
  const each = Math.ceil(all / pieces);
  if (cuts.length === 1 || all > MOST_TRIED) return { length: each * longest, each };
  const lengths = cuts.flatMap((cut) => Array.from({ length: cut.count }, () => cut.length)).sort((a, b) => b - a);
  const loads = Array.from({ length: pieces }, () => ({ length: 0, each: 0 }));
  for (const length of lengths) {
    const least = loads.reduce((a, b) => (b.length < a.length ? b : a));
    least.length += length;
    least.each += 1;
  }
  return { length: Math.max(...loads.map((l) => l.length)), each: Math.max(...loads.map((l) => l.each)) };
}

/** Cuts from pieces that are so long whatever is wanted of them. @throws Complaint `cane/asked` */
function fromAsked(asked: Mm, cuts: readonly Need[]): Shared {
  const shares = cuts.map(({ count, length }) => {
    const each = Math.floor(asked / length + 1e-9);
    if (each < 1)
      throw complaint('cane/asked', {
        long: inBoth((u) => showLength(Math.max(0, asked), u)),
        slice: inBoth((u) => showLength(length, u)),
      });
    return { each, pieces: Math.ceil(count / each) };
  });
  const count = shares.reduce((sum, s) => sum + s.pieces, 0);
  return { need: { count, length: asked }, each: Math.max(...shares.map((s) => s.each)) };
}

/**
 * How many pieces of the end of a row are made for all cuts of it: of all the pieces that come of what one begins
 * with, the number that takes the least clay, and of those the smallest.
 * @throws Complaint `cane/asked` where it is reduced to a length that is shorter than a cut
 */
export function sharedOut(results: readonly StepResult[], wanted: readonly Need[], context: CaneContext): Shared {
  const cuts = together(wanted);
  const asked = askedLength(results, context);
  if (asked !== null) return fromAsked(asked, cuts);
  const all = cuts.reduce((sum, cut) => sum + cut.count, 0);
  const most = Math.min(all, MOST_TRIED, stateAt(results, results.length - 1).count);
  let best: Shared | null = null;
  let least = Infinity;
  for (let count = 1; count <= most; count++) {
    const { length, each } = sharedOver(count, cuts);
    const need = { count, length };
    const { begin } = rowOf(results, need, context);
    const clay = begin.count * begin.length;
    if (clay < least * (1 - 1e-9)) [best, least] = [{ need, each }, clay];
  }
  return best as Shared;
}
