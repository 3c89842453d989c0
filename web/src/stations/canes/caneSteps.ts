import { reductionStages, usable, type Stage, type Step } from '#core/cane';
import { showLength, showLong, showMinutes, type UnitSystem } from '#core/units';
import type { MachineDto } from '#contract';
import type { BenchWords } from '../../parts/BenchSteps.js';
import type { PlainPlan } from '../../workers/cane.worker.js';
import { isCut, slicesWords, startWords, wrapWords } from './caneWords.js';
import { SHAPE_WORDS, TURN_WORDS, stepTitle } from './stepWords.js';

/** What hands do at a step, and what to reach. */
function lineOf(step: Step, stage: Stage | undefined, stagesWords: string, units: UnitSystem): string {
  const mm = (x: number): string => showLength(x, units);
  const long = stage ? `${showLong(stage.length, units)} long` : '';
  switch (step.do) {
    case 'wrap':
      return 'Lay the sheet around without air, cut where it meets, roll the seam smooth.';
    case 'press':
      return `Press it to ${SHAPE_WORDS[step.to.shape]} from all sides, turn by turn, and do not roll it.`;
    case 'squeeze':
      return `Press it until it is ${step.factor > 1 ? `${step.factor} times as wide` : `${Math.round(100 / step.factor) / 100} times as high`}.`;
    case 'turn':
      return `Turn it by ${Math.round(step.degrees)}°.`;
    case 'mirror':
      return 'Turn it end for end.';
    case 'split':
      return `Cut it lengthwise in ${step.parts} equal parts, the long blade straight down.${step.keep === undefined ? '' : ` Part ${step.keep}, counted from the first cut to the left, goes on; the others stay aside.`}`;
    case 'across':
      return `Cut it across in ${step.pieces} equal pieces of ${long}.`;
    case 'grid':
      return `${step.rows} rows of ${step.columns}, ${TURN_WORDS[step.turns]}. Press the joints, no air between them.`;
    case 'pie':
      return `${step.count} wedges around the middle${step.mirrored ? ', every other one turned end for end' : ''}. Press each to its wedge first.`;
    case 'pair':
      return step.turned === 'mirror'
        ? 'Two along the flat side, one turned end for end.'
        : 'Two along the flat side, one upside down.';
    case 'ring':
    case 'bundle':
      return 'Bundle them, squeeze from all sides until there is no gap, and only then roll.';
    case 'stack':
      return 'Lay it beside, edges flush, and press the joint.';
    case 'insert':
      return `Cut out exactly a hole of ${mm(step.diameter)} and set it in, so that the outside stays.`;
    case 'reduce':
      return `${stagesWords}Squeeze from the middle outwards, turn it end for end now and then, to ${reduceWords(step, stage, units)}.`;
    case 'trim':
      return cutLine(step.each, stage?.length ?? 0, units);
    case 'slice':
      return `Slices of ${mm(step.thickness)}.`;
    default:
      return '';
  }
}

type Reduce = Extract<Step, { do: 'reduce' }>;

/** What to reach: across, or a length with its ends and without. */
function reduceWords(step: Reduce, stage: Stage | undefined, units: UnitSystem): string {
  const across = step.to === 'diameter' ? `${showLength(step.value, units)} across` : '';
  if (!stage) return across;
  const good =
    stage.spoilt > 0.05 ? `, ${showLong(stage.length - 2 * stage.spoilt, units)} of it without its ends` : '';
  return `${across === '' ? '' : `${across}, `}${showLong(stage.length, units)} long${good}`;
}

const cutLine = (each: number, left: number, units: UnitSystem): string =>
  `Cut ${showLength(each, units)} off each end, to the scrap of its colours: ${showLong(left, units)} are left.`;

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
  const stagesOf = (i: number): string => {
    const [from, to, before] = [across[i - 1] ?? 0, across[i] ?? 0, plan.stages[i - 1]];
    const stages =
      steps[i]?.do === 'reduce' && before && from > to && to > 0 ? reductionStages(from, to, usable(before)) : [];
    return stages.length > 1
      ? `In ${stages.length} stages, with a rest between: ${stages.map((s) => `${showLength(s.diameter, units)} across, ${mm(s.length)} long`).join('; ')}. `
      : '';
  };
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
    ...steps.flatMap((step, i): CaneWords[] => {
      if (i === 0 || step.do === 'slice') return [];
      const stage = plan.stages[i];
      const wrap =
        step.do === 'wrap' ? plan.wraps.find((w) => w.path.length === 0 && w.step.id === step.id) : undefined;
      const words: CaneWords = {
        face: i,
        title: stepTitle(step, units),
        line: `${wrap ? `${wrapWords(wrap, names, own, units)}. ` : ''}${lineOf(step, stage, stagesOf(i), units)}`,
        ...(stage ? { figure: mm(stage.length), of: stage.count > 1 ? `long, ${stage.count} of them` : 'long' } : {}),
        caution:
          step.do === 'reduce' ? 'Not too fast: what is squeezed cold cracks, what is squeezed warm smears.' : null,
      };
      return stage && isCut(stage) ? [words, { ...cutStep(stage, units), face: i }] : [words];
    }),
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
      line: `${slicesWords(plan, slices)}, each ${showLength(sliceMm, units)} thick. Flat side down, the blade straight down, a quarter turn after each slice.`,
      caution: 'Mark the blunt edge of a long blade, cut downwards, put its guard on.',
    },
  ];
}
