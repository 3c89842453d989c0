import { showAge } from '#core/clay';
import type { ConditionPlan, ConditionStep, ConditionWarning, Conditioner } from '#core/conditioning';
import { showLength, showMass, showMinutes, type UnitSystem } from '#core/units';
import { ofKind, type ByKind } from '../../parts/ofKind.js';
import type { BenchWords } from '../../parts/BenchSteps.js';
import type { LotOfClay } from '../../parts/conditioning/sitting.js';
import { SQUEEZE_WORDS } from '../../parts/conditioning/squeezeWords.js';

export const SCHOOL_WORDS: Readonly<Record<Conditioner, string>> = {
  'thin slices': 'thin slices, a middle setting',
  'thick slices': 'thick slices, the widest setting',
  'by hand': 'by hand',
};

export const WARNING_WORDS: Readonly<Record<ConditionWarning, string>> = {
  reverts: 'Crumbly clay goes back to crumbs when it rests: condition it just before you use it.',
  'soft in heat':
    'In this heat it gets too soft to handle: work in the cool of the day, and rest it on a cold tile in between.',
  cold: 'In a cold room all clay is harder: warm it longer, and feed it slowly.',
  'very old': 'Clay this old may stay brittle. Bake a test piece and bend it before you trust it.',
  hands: 'That is long work for hands: take breaks, or make it in smaller amounts.',
};

/** How a clay is: as it was squeezed, else by its line and its age. */
export function stateWords({ line, lot }: LotOfClay): string {
  if (lot.bought) return 'to be bought';
  const firm = lot.squeeze === null ? (line?.firmness ?? 'medium') : SQUEEZE_WORDS[lot.squeeze];
  return lot.months === null ? `${firm}, of unknown age` : `${firm}, ${showAge(lot.months)} old`;
}

const more = (factor: number, words: string): string[] => {
  const percent = Math.round(100 * (factor - 1));
  if (percent === 0) return [];
  return [`${Math.abs(percent)} % ${percent > 0 ? 'more' : 'fewer'} ${words}`];
};

/** What the number of passes is made of, so that nobody takes an assumption for a fact. */
export function becauseWords({ passes, portions, because: b }: ConditionPlan, line: string): string {
  const base = b.own
    ? `your own ${b.base} for half a block`
    : `~${b.base} for half a block of fresh clay, assumed${b.squeeze === 1 ? ' by how firm it is' : ''}`;
  const changes = [
    ...more(b.age, 'for its age'),
    ...more(b.squeeze, 'by how it squeezed'),
    ...more(b.room, 'for the room'),
    ...more(b.school, 'for this way of working'),
    ...more(b.amount, 'for so small a piece'),
    ...more(
      b.counted,
      b.from === 1
        ? `after what one conditioning of ${line} took`
        : `after what ${b.from} conditionings of ${line} took`,
    ),
  ];
  return (
    `${passes} passes${portions > 1 ? ` for each of ${portions} portions` : ''}: ` + `${[base, ...changes].join(', ')}.`
  );
}

function passLine({ fold, portions }: Extract<ConditionStep, { kind: 'pass' }>): string {
  const how = fold === 'sides to the middle' ? 'Sides folded to the middle' : 'Folded edge first';
  const each = portions > 1 ? `, each of the ${portions} portions by itself, then all together a few times` : '';
  return `${how}, again and again${each}.`;
}

const minutes = (step: { readonly minutes: number }): string => String(step.minutes);

/** Clay that is too much for one go. */
const lots = (step: { readonly portions: number; readonly grams: number }, units: UnitSystem): string =>
  step.portions > 1 ? ` In ${step.portions} portions of ${showMass(step.grams, units)}, one after the other.` : '';

/** Said to those who see for themselves when it is enough. */
const ENOUGH = 'It folds without a crack';

const WORDS: ByKind<ConditionStep, [units: UnitSystem], BenchWords> = {
  warm: (step) => ({
    title: 'Warm it',
    line: 'Wrapped, in a pocket or under the arm. Never on a heater.',
    figure: minutes(step),
    of: 'minutes',
  }),
  leach: (step, units) => ({
    title: 'Draw it out between paper',
    line:
      `A sheet of at most ${showLength(step.mm, units)} between two sheets of plain paper, a book on top. Look, ` +
      'change the paper, and stop when it no longer sticks to the finger.',
    figure: minutes(step),
    of: 'minutes, then look',
  }),
  cool: (step) => ({ title: 'Cool it', line: 'On a cold tile, wrapped.', figure: minutes(step), of: 'minutes' }),
  knock: () => ({
    title: 'Knock it flat',
    line: 'While it is still wrapped: with a mallet or the roller, from all sides.',
  }),
  slice: (step, units) => ({
    title: 'Slice it',
    line: `No thicker than ${showLength(step.mm, units)}.${lots(step, units)}`,
    figure: showLength(step.mm, units),
    of: 'at most',
  }),
  crumble: (step, units) => ({
    title: 'Break it small',
    line: `It crumbles under a blade: break it in crumbs.${lots(step, units)}`,
  }),
  press: (step, units) => ({
    title: 'Press it together',
    line: `By hand and with the roller, to ${showLength(step.mm, units)}.`,
    figure: showLength(step.mm, units),
    of: 'thick',
  }),
  softener: () => ({
    title: 'A little softener',
    line: 'A drop or two for a small block, or some soft clay of the same colour. Work it in.',
  }),
  'step up': ({ from, to }) => ({
    title: 'Thinnest first, then step up',
    line: `Begin at your ${from.label}, gather the flakes, and go up one setting at a time to your ${to.label}.`,
    figure: from.label,
    of: `to ${to.label}`,
  }),
  pass: (step) => ({
    title: `Pass at your ${step.setting.label}`,
    line: passLine(step),
    about: step.passes,
    enough: ENOUGH,
  }),
  knead: (step, units) => ({
    title: 'Work it by hand',
    line: `Roll it to a rope, fold it, roll again. Each fold is one turn.${lots(step, units)}`,
    about: step.turns,
    enough: ENOUGH,
  }),
  rest: (step) => ({
    title: 'Rest it',
    line: 'On a cold tile until it is firm enough to cut.',
    figure: showMinutes(step.minutes),
    of: 'on a cold tile',
  }),
  'try fold': () => ({
    title: 'Try a fold',
    line: 'Fold it flat on itself: no crack along the fold means it is ready.',
  }),
};

/** One step of a conditioning plan in words, for the picture and for the bench. */
export const conditionWords = (step: ConditionStep, units: UnitSystem): BenchWords => ofKind(WORDS, step, units);
