import { usable, type Stage, type Step } from '#core/cane';
import { showLength, showMinutes, type UnitSystem } from '#core/units';
import type { MachineDto } from '#contract';
import type { BenchWords } from '../../../parts/BenchSteps.js';
import type { FaceSize, PlainPart, PlainPlan } from '../../../workers/canePlain.js';
import { isCut, startWords, wrapWords } from './caneWords.js';
import { cutLine } from '../steps/endsWords.js';
import { stepTitle, viewOf, type Drawing } from '../steps/index.js';
import { isDrawn, piecesOf, takenWords } from './partSteps.js';
import { isOtherSize, sizeWords } from './sizeWords.js';
import { sliceLine } from './sliceWords.js';

/** Cutting the ends off, where the plan does so after a step. */
const cutStep = (stage: Stage, units: UnitSystem): BenchWords => ({
  title: 'Cut the ends off',
  line: cutLine(stage.cut, usable(stage), units),
  figure: showLength(stage.cut, units),
  of: stage.count > 1 ? `off each end of ${stage.count} pieces` : 'off each end',
});

const REST = 20;

/** A step at the bench, and which face it leads to: of the cane, or of one that it takes in. */
export interface CaneWords extends BenchWords {
  readonly face: number;
  /** the cane that is taken in, with which `face` it is one of */
  readonly part?: PlainPart;
  /** a drawing while it is built, instead of a face */
  readonly drawing?: Drawing;
}

/** What the words of a bench are made of. */
export interface BenchPlan {
  readonly plan: PlainPlan;
  readonly names: (key: string) => string;
  readonly densities?: (key: string) => number | undefined;
  readonly own: MachineDto | undefined;
  readonly units: UnitSystem;
}

/** Steps in a row, of the cane or of one that it takes in, and how large and how long it is after each. */
interface Row {
  readonly steps: readonly Step[];
  readonly sizes: readonly FaceSize[];
  readonly stages: readonly Stage[];
  readonly path: readonly string[];
}

const NO_SIZE: FaceSize = { width: 0, height: 0, across: 0, round: false };
const samePath = (one: readonly string[], other: readonly string[]): boolean => one.join('›') === other.join('›');

/** What one begins with. */
function beginWords(bench: BenchPlan, path: readonly string[], title: string): (BenchWords & Partial<CaneWords>)[] {
  const { plan, names, densities, own, units } = bench;
  return plan.starts
    .filter((start) => samePath(start.path, path))
    .flatMap((start) => [
      {
        title,
        line: `${startWords(start, names, own, units)}.`,
        figure: showLength(start.length, units),
        of: start.count > 1 ? `long, ${start.count} of them` : 'long',
      },
      ...(viewOf(start.step.do).laid?.(start.step, { names, densities, own, units, length: start.length }) ?? []),
    ]);
}

/** The size to reach, where a step leads to another one and does not say it itself. */
function reachWords(said: string, row: Row, i: number, units: UnitSystem): string {
  const [before, after] = [row.sizes[i - 1] ?? NO_SIZE, row.sizes[i] ?? NO_SIZE];
  const size = sizeWords(after, units);
  return isOtherSize(before, after) && !said.includes(size) ? ` It is ${size} then.` : '';
}

/** A step at the bench, and cutting the ends off after it; what one begins with and slicing have their own. */
function stepWords(row: Row, i: number, bench: BenchPlan): BenchWords[] {
  const { plan, names, own, units } = bench;
  const step = row.steps[i];
  if (i === 0 || !step) return [];
  const { line, caution = null } = viewOf(step.do);
  if (!line) return [];
  const stage = row.stages[i];
  const wrap = plan.wraps.find((w) => samePath(w.path, row.path) && w.step.id === step.id);
  const [from, to] = [row.sizes[i - 1] ?? NO_SIZE, row.sizes[i] ?? NO_SIZE];
  const at = {
    units,
    own,
    stage,
    before: row.stages[i - 1],
    from: from.across,
    to: to.across,
    landings: row.sizes[i]?.landings ?? [],
    sheet: wrap ? `${wrapWords(wrap, names, own, units)}. ` : '',
  };
  const long = stage && {
    figure: showLength(stage.length, units),
    of: stage.count > 1 ? `long, ${stage.count} of them` : 'long',
  };
  const said = line(step, at);
  const words = { title: stepTitle(step, units), line: `${said}${reachWords(said, row, i, units)}`, ...long, caution };
  return stage && isCut(stage) ? [words, cutStep(stage, units)] : [words];
}

/** What is done with a part when it is there. */
function cutTitle(part: PlainPart): string {
  if (isDrawn(part)) return 'draw it';
  return piecesOf(part) > 1 ? 'cut it' : 'put it aside';
}

/** All of a part: what it begins with, its own steps, and how it is cut for what takes it in. */
export function partWords(part: PlainPart, bench: BenchPlan): CaneWords[] {
  const { units } = bench;
  const pieces = piecesOf(part);
  const cut: BenchWords = {
    title: cutTitle(part),
    line: `${part.taken.map((t) => takenWords(t, units)).join('; ')}.`,
    figure: String(pieces),
    of: pieces > 1 ? 'pieces' : 'piece',
  };
  const all: Omit<CaneWords, 'part'>[] = [
    ...beginWords(bench, part.path, 'begin').map((words) => ({ ...words, face: 0 })),
    ...part.steps.flatMap((_, i) => stepWords(part, i, bench).map((words) => ({ ...words, face: i }))),
    { ...cut, face: part.steps.length - 1 },
  ];
  return all.map((words) => ({ ...words, title: `${part.name}: ${words.title}`, part }));
}

/** The cane as it is to be made. */
export interface CaneToMake extends BenchPlan {
  readonly steps: readonly Step[];
  readonly sizes: readonly FaceSize[];
  readonly slices: number;
  readonly sliceMm: number;
}

/**
 * The whole cane as bench steps: each cane that it takes in once, in the order of making; what it begins with, each
 * step with the length and the size to reach, rest, slicing.
 */
export function caneSteps(make: CaneToMake): CaneWords[] {
  const { steps, sizes, plan, units } = make;
  const row: Row = { steps, sizes, stages: plan.stages, path: [] };
  const last = steps.length - 1;
  return [
    ...plan.parts.flatMap((part) => partWords(part, make)),
    ...beginWords(make, [], 'Begin').map((words) => ({ ...words, face: 0 })),
    ...steps.flatMap((_, i) => stepWords(row, i, make).map((words) => ({ ...words, face: i }))),
    {
      face: last,
      title: 'Let it rest',
      line: 'Flat side down, cool, until it does not give under the blade. Not for days: old canes crack.',
      figure: showMinutes(REST),
      of: 'or overnight',
    },
    {
      face: last,
      title: 'Slice',
      line: sliceLine(steps, sizes.at(-1), plan, make, units),
      caution: 'Mark the blunt edge of a long blade, cut downwards, put its guard on.',
    },
  ];
}
