import type { Do, Step, StepOf } from '#core/cane';
import type { UnitSystem } from '#core/units';
import type { PlainStep } from '../../../workers/canePlain.js';
import { across } from './across.js';
import { block } from './block.js';
import { bundle } from './bundle.js';
import { cane } from './cane.js';
import { edge } from './edge.js';
import { fan } from './fan.js';
import { grid } from './grid.js';
import { halve } from './halve.js';
import { insert } from './insert.js';
import { loaf } from './loaf.js';
import { log } from './log.js';
import { mirror } from './mirror.js';
import { pair } from './pair.js';
import { pie } from './pie.js';
import { plug } from './plug.js';
import { press } from './press.js';
import { reduce } from './reduce.js';
import { ring } from './ring.js';
import { roll } from './roll.js';
import { slice } from './slice.js';
import { split } from './split.js';
import { squeeze } from './squeeze.js';
import { stack } from './stack.js';
import { template } from './template.js';
import { thin } from './thin.js';
import { trim } from './trim.js';
import { turn } from './turn.js';
import { GROUPS, type Defaults, type Handle, type Marks, type StepGroup, type StepView } from './view.js';
import { wrap } from './wrap.js';

export { Of } from './Of.js';
export { handleText } from './handle.js';
export { TemplatePicture } from './TemplatePicture.js';
export { heightOf, keyIn, widthOf } from './templateMoves.js';
export { SHAPE_WORDS, TURN_WORDS } from './shapeWords.js';
export { settingWords } from './sheetWords.js';
export type { AtBench, Beginning, CaneChoice, Drawing, EditorProps, Handle, Marks } from './view.js';

/** How each kind of step is shown, in the order in which it is offered: one that is missing does not compile. */
const VIEWS: { readonly [K in Do]: StepView<StepOf<K>> } = {
  ...{ log, block, plug, roll, loaf, template, cane },
  ...{ wrap, edge, insert },
  ...{ press, squeeze, thin, turn, mirror },
  ...{ across, split },
  ...{ grid, halve, pie, fan, pair, ring, bundle, stack },
  ...{ reduce, trim, slice },
};
const ALL: readonly Do[] = Object.keys(VIEWS).filter((kind): kind is Do => kind in VIEWS);
// the row of a step's own kind takes that step
export const viewOf = (kind: Do): StepView<Step> => VIEWS[kind];

/** What can be done, as it is offered. */
export const wordOf = (kind: Do): string => viewOf(kind).word;
export const ALL_WORDS: readonly (readonly [Do, string])[] = ALL.map((kind) => [kind, wordOf(kind)]);

/** Steps that can follow, by what hands do. */
export const NEXT: readonly { readonly group: StepGroup; readonly kinds: readonly Do[] }[] = GROUPS.map((group) => ({
  group,
  kinds: ALL.filter((kind) => viewOf(kind).group === group),
}));

/** A step in a few words, under its face. */
export const stepTitle = (step: Step, units: UnitSystem): string => step.name ?? viewOf(step.do).title(step, units);

/** A step as hands would most likely take it now. `now`: the cane before it; null where it is the first. */
export const newStep = (kind: Do, now: PlainStep | null, clay: Defaults): Step => viewOf(kind).first(now, clay);

/** A step as it was edited, its values made to fit. @param now the cane after the step as it was */
export function withUsualValue(before: Step, next: Step, now: PlainStep | undefined): Step {
  if (before.do !== next.do || !now) return next;
  return viewOf(next.do).mended?.(before, next, now) ?? next;
}

/** What of a step is said on the face that it begins with. */
export const marksOf = (step: Step): Marks | null => viewOf(step.do).marks?.(step) ?? null;

/** What of a step changes its face and can be dragged. */
export const handlesOf = (step: Step): readonly Handle[] => viewOf(step.do).handles?.(step) ?? [];
