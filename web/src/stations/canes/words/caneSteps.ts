import { usable, type Stage, type Step } from '#core/cane';
import { showLength, showLong, showMinutes, type UnitSystem } from '#core/units';
import type { MachineDto } from '#contract';
import type { BenchWords } from '../../../parts/BenchSteps.js';
import type { PlainPlan } from '../../../workers/canePlain.js';
import { isCut, slicesWords, startWords, wrapWords } from './caneWords.js';
import { cutLine } from '../steps/endsWords.js';
import { stepTitle, viewOf } from '../steps/index.js';

/** Cutting the ends off, where the plan does so after a step. */
const cutStep = (stage: Stage, units: UnitSystem): BenchWords => ({
  title: 'Cut the ends off',
  line: cutLine(stage.cut, usable(stage), units),
  figure: showLength(stage.cut, units),
  of: stage.count > 1 ? `off each end of ${stage.count} pieces` : 'off each end',
});

const REST = 20;

/** A step at the bench, and which face of the cane it leads to. */
export interface CaneWords extends BenchWords {
  readonly face: number;
}

interface Working {
  readonly across: readonly number[];
  readonly plan: PlainPlan;
  readonly names: (key: string) => string;
  readonly own: MachineDto | undefined;
  readonly units: UnitSystem;
}

/** A step at the bench, and cutting the ends off after it; what one begins with and slicing have their own. */
function stepWords(step: Step, i: number, { across, plan, names, own, units }: Working): CaneWords[] {
  const { line, caution = null } = viewOf(step.do);
  if (i === 0 || !line) return [];
  const stage = plan.stages[i];
  const wrap = plan.wraps.find((w) => w.path.length === 0 && w.step.id === step.id);
  const bench = {
    units,
    own,
    stage,
    before: plan.stages[i - 1],
    from: across[i - 1] ?? 0,
    to: across[i] ?? 0,
    sheet: wrap ? `${wrapWords(wrap, names, own, units)}. ` : '',
  };
  const long = stage && {
    figure: showLong(stage.length, units),
    of: stage.count > 1 ? `long, ${stage.count} of them` : 'long',
  };
  const words: CaneWords = { face: i, title: stepTitle(step, units), line: line(step, bench), ...long, caution };
  return stage && isCut(stage) ? [words, { ...cutStep(stage, units), face: i }] : [words];
}

/** The whole cane as bench steps: what to begin with, each step with the length to reach, rest, slicing. */
export function caneSteps(
  steps: readonly Step[],
  across: readonly number[],
  plan: PlainPlan,
  names: (key: string) => string,
  own: MachineDto | undefined,
  units: UnitSystem,
  { slices, sliceMm }: { readonly slices: number; readonly sliceMm: number },
): CaneWords[] {
  const mm = (x: number): string => showLong(x, units);
  const last = steps.length - 1;
  const at: Working = { across, plan, names, own, units };
  return [
    ...plan.starts.map((s): CaneWords => ({
      face: 0,
      title: s.path.length === 0 ? 'Begin' : `Make ${s.path.join(' › ')}`,
      line: `${startWords(s, names, own, units)}.`,
      figure: mm(s.length),
      of: 'long',
    })),
    ...plan.wraps
      .filter((w) => w.path.length > 0)
      .map((w): CaneWords => ({
        face: 0,
        title: `Wrap ${w.path.join(' › ')}`,
        line: `${wrapWords(w, names, own, units)}.`,
      })),
    ...steps.flatMap((step, i) => stepWords(step, i, at)),
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
      line:
        `${slicesWords(plan, slices)}, each ${showLength(sliceMm, units)} thick. Flat side down, the blade ` +
        'straight down, a quarter turn after each slice.',
      caution: 'Mark the blunt edge of a long blade, cut downwards, put its guard on.',
    },
  ];
}
