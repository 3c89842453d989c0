import { formsFor, type Form, type PatternDo, type PatternStep, type PatternStepOf } from '#core/pattern';
import type { UnitSystem } from '#core/units';
import type { PlainBody } from '../../../workers/pattern.js';
import { across, lay, shave, shingle, slice } from './knife.js';
import { fan, knead, over, pile, press, quarter, roll, stack, trim } from './layers.js';
import { cuts, dents, specks } from './marks.js';
import { relief, skim } from './relief.js';
import { inlay, slab } from './slices.js';
import { chop, coil, flatten, fold, logs, reduce, twist } from './rope.js';
import { PATTERN_GROUPS, type Defaults, type PatternGroup, type StepView } from './view.js';

export type { AtBench, Defaults, EditorProps } from './view.js';

/** What a screen says of each kind: one that is missing does not compile. */
const VIEWS: { readonly [K in PatternDo]: StepView<PatternStepOf<K>> } = {
  ...{ stack, slab, inlay, logs, chop, roll, pile, fan, knead, over, quarter, trim, press, dents, cuts, specks },
  ...{ shave, slice, lay, across, shingle, twist, reduce, fold, coil, flatten, relief, skim },
};

export const viewOf = (kind: PatternDo): StepView<PatternStep> => VIEWS[kind] as unknown as StepView<PatternStep>;
export const stepTitle = (step: PatternStep, units: UnitSystem): string => viewOf(step.do).title(step, units);

const ALL = Object.keys(VIEWS) as PatternDo[];
/** Kinds that want a cane. */
const OF_CANES: readonly PatternDo[] = ['inlay'];

/** What can be done next to a form, by what it does. @param canes whether there are any to cut slices of */
export function nextFor(
  form: Form,
  canes: boolean,
): readonly { readonly group: PatternGroup; readonly kinds: readonly PatternDo[] }[] {
  return PATTERN_GROUPS.map((group) => ({
    group,
    kinds: ALL.filter((kind) => viewOf(kind).group === group && formsFor(kind).includes(form)).filter(
      (kind) => canes || !OF_CANES.includes(kind),
    ),
  })).filter(({ kinds }) => kinds.length > 0);
}

export const newStep = (kind: PatternDo, now: PlainBody | null, clay: Defaults): PatternStep =>
  viewOf(kind).first(now, clay);
