import { reductionStages, type Step } from '#core/cane';
import { showLength, showMinutes, type UnitSystem } from '#core/units';
import type { MachineDto } from '#contract';
import type { BenchWords } from '../../parts/BenchSteps.js';
import type { PlainPlan } from '../../workers/cane.worker.js';
import { startWords, wrapWords } from './caneWords.js';
import { SHAPE_WORDS, TURN_WORDS, stepTitle } from './stepWords.js';

/** What hands do at a step, and what to reach. */
function lineOf(step: Step, stage: { readonly length: number; readonly count: number } | undefined, stagesWords: string, units: UnitSystem): string {
  const mm = (x: number): string => showLength(x, units);
  const long = stage ? `${mm(Math.round(stage.length))} long` : '';
  switch (step.do) {
    case 'wrap': return 'Lay the sheet around without air, cut where it meets, roll the seam smooth.';
    case 'press': return `Press it to ${SHAPE_WORDS[step.to.shape]} from all sides, turn by turn, and do not roll it.`;
    case 'squeeze': return `Press it until it is ${step.factor > 1 ? `${step.factor} times as wide` : `${Math.round(100 / step.factor) / 100} times as high`}.`;
    case 'turn': return `Turn it by ${Math.round(step.degrees)}°.`;
    case 'mirror': return 'Turn it end for end.';
    case 'split': return `Cut it lengthwise in ${step.parts} equal parts, the long blade straight down.`;
    case 'across': return `Cut it across in ${step.pieces} equal pieces of ${long}.`;
    case 'grid': return `${step.rows} rows of ${step.columns}, ${TURN_WORDS[step.turns]}. Press the joints, no air between them.`;
    case 'pie': return `${step.count} wedges around the middle${step.mirrored ? ', every other one turned end for end' : ''}. Press each to its wedge first.`;
    case 'pair': return step.turned === 'mirror' ? 'Two along the flat side, one turned end for end.' : 'Two along the flat side, one upside down.';
    case 'ring': case 'bundle': return 'Bundle them, squeeze from all sides until there is no gap, and only then roll.';
    case 'stack': return 'Lay it beside, edges flush, and press the joint.';
    case 'insert': return `Cut out exactly a hole of ${mm(step.diameter)} and set it in, so that the outside stays.`;
    case 'reduce': return `${stagesWords}Squeeze from the middle outwards, turn it end for end now and then, to ${step.to === 'diameter' ? `${mm(step.value)} across` : `${mm(step.value)} long`}.`;
    case 'trim': return `Cut ${mm(step.each)} off each end, to the scrap of its colours.`;
    case 'slice': return `Slices of ${mm(step.thickness)}.`;
    default: return '';
  }
}

const REST = 20;

/** The whole cane as bench steps: what to begin with, each step with the length to reach, rest, slicing. */
export function caneSteps(steps: readonly Step[], diameters: readonly number[], plan: PlainPlan, names: (key: string) => string, own: MachineDto | undefined, units: UnitSystem, slices: string): BenchWords[] {
  const mm = (x: number): string => showLength(Math.round(x), units);
  const stagesOf = (i: number): string => {
    const [from, to, before] = [diameters[i - 1] ?? 0, diameters[i] ?? 0, plan.stages[i - 1]];
    const stages = steps[i]?.do === 'reduce' && before && from > to && to > 0 ? reductionStages(from, to, before.length) : [];
    return stages.length > 1 ? `In ${stages.length} stages, with a rest between: ${stages.map((s) => `${showLength(s.diameter, units)} across, ${mm(s.length)} long`).join('; ')}. ` : '';
  };
  return [
    ...plan.starts.map((s): BenchWords => ({ title: s.path.length === 0 ? 'Begin' : `Make ${s.path.join(' › ')}`, line: `${startWords(s, names, own, units)}.`, figure: mm(s.length), of: 'long' })),
    ...plan.wraps.filter((w) => w.path.length > 0).map((w): BenchWords => ({ title: `Wrap ${w.path.join(' › ')}`, line: `${wrapWords(w, names, own, units)}.` })),
    ...steps.flatMap((step, i): BenchWords[] => {
      if (i === 0 || step.do === 'slice') return [];
      const stage = plan.stages[i];
      const wrap = step.do === 'wrap' ? plan.wraps.find((w) => w.path.length === 0 && w.step.id === step.id) : undefined;
      return [{
        title: stepTitle(step, units), line: `${wrap ? `${wrapWords(wrap, names, own, units)}. ` : ''}${lineOf(step, stage, stagesOf(i), units)}`,
        ...(stage ? { figure: mm(stage.length), of: stage.count > 1 ? `long, ${stage.count} of them` : 'long' } : {}),
        caution: step.do === 'reduce' ? 'Not too fast: what is squeezed cold cracks, what is squeezed warm smears.' : null,
      }];
    }),
    { title: 'Let it rest', line: 'Flat side down, cool, until it does not give under the blade. Not for days: old canes crack.', figure: showMinutes(REST), of: 'or overnight' },
    { title: 'Slice', line: `${slices}. Flat side down, the blade straight down, a quarter turn after each slice.`, caution: 'Mark the blunt edge of a long blade, cut downwards, put its guard on.' },
  ];
}
