import { reductionStages, usable, type Stage, type StepOf } from '#core/cane';
import { showLength, type UnitSystem } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { LengthValue } from '../../../parts/Value.js';
import { set } from './fields.js';
import { newId, sizeOf, tenth } from './first.js';
import { handle } from './handle.js';
import type { AtBench, StepView } from './view.js';

type Reduce = StepOf<'reduce'>;

const BY = [
  { value: 'diameter', text: 'across' },
  { value: 'length', text: 'long, without its ends' },
  { value: 'whole', text: 'long, with its ends' },
] as const;
function reducedBy({ to, withEnds }: Reduce): (typeof BY)[number]['value'] {
  if (to === 'diameter') return 'diameter';
  return withEnds ? 'whole' : 'length';
}

/** A first reduction, for what the cane is across. */
const USUAL_SHARE = 0.7;
/** mm of spoilt ends that are worth a word. */
const WORTH_SAYING = 0.05;

/** In how many stages, where there are several. */
function stagesWords({ before, from, to, units }: AtBench): string {
  if (!before || !(from > to && to > 0)) return '';
  const stages = reductionStages(from, to, usable(before));
  if (stages.length < 2) return '';
  const each = stages.map((s) => `${showLength(s.diameter, units)} across, ${showLength(s.length, units)} long`);
  return `In ${stages.length} stages, with a rest between: ${each.join('; ')}. `;
}

/** What to reach: across, or a length with its ends and without. */
function reachWords(step: Reduce, stage: Stage | undefined, units: UnitSystem): string {
  const across = step.to === 'diameter' ? [`${showLength(step.value, units)} across`] : [];
  if (!stage) return across.join('');
  const long = [`${showLength(stage.length, units)} long`];
  const good = `${showLength(stage.length - 2 * stage.spoilt, units)} of it without its ends`;
  return [...across, ...long, ...(stage.spoilt > WORTH_SAYING ? [good] : [])].join(', ');
}

function endsWords({ to, withEnds }: Reduce): string {
  if (to === 'diameter') return '';
  return withEnds ? ' long with its ends' : ' long';
}

export const reduce: StepView<Reduce> = {
  word: 'Reduce',
  group: 'finish',
  title: (step, units) => `Reduce to ${showLength(step.value, units)}${endsWords(step)}`,
  first: (now) => ({ id: newId(), do: 'reduce', to: 'diameter', value: tenth(sizeOf(now).across * USUAL_SHARE) }),
  Fields: (of) => (
    <>
      to{' '}
      <LengthValue
        label="Reduce to"
        value={of.step.value}
        onChange={(value) => {
          set(of, { value });
        }}
      />{' '}
      <Choice
        label="Reduce by"
        value={reducedBy(of.step)}
        options={BY}
        onChange={(by) => {
          const { withEnds: _, ...step } = of.step;
          const to = by === 'diameter' ? 'diameter' : 'length';
          of.onChange({ ...step, to, ...(by === 'whole' ? { withEnds: true } : {}) });
        }}
      />
    </>
  ),
  // reducing to a size across has a taper of its own
  handles: (step) =>
    step.to === 'length' ? [handle(step, 'long', ['mm', 10, 900, 1], step.value, (value) => ({ value }))] : [],
  line: (step, bench) => {
    const reach = reachWords(step, bench.stage, bench.units);
    return `${stagesWords(bench)}Squeeze from the middle outwards, turn it end for end now and then, to ${reach}.`;
  },
  caution: 'Not too fast: what is squeezed cold cracks, what is squeezed warm smears.',
  // told by another measure it stays as it is, so that what stands there at once can be done
  mended: (before, next, now) => {
    if (before.to === next.to || !now.there) return next;
    if (next.to === 'diameter') return { ...next, value: Math.floor(now.across * 10) / 10 };
    return { ...next, value: Math.ceil(now.length * 10) / 10 };
  },
};
