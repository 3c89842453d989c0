import type { ConditionPlan, ConditionStep, ConditionWarning, Conditioner } from '#core/sheet';
import { showLength, showMass, showMinutes, type UnitSystem } from '#core/units';
import type { BenchWords } from '../../parts/BenchSteps.js';

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

const more = (factor: number, words: string): string[] => {
  const percent = Math.round(100 * (factor - 1));
  if (percent === 0) return [];
  return [`${Math.abs(percent)} % ${percent > 0 ? 'more' : 'fewer'} ${words}`];
};

/** What the number of passes is made of, so that nobody takes an assumption for a fact. */
export function becauseWords({ passes, portions, because: b }: ConditionPlan, line: string): string {
  const base = b.own
    ? `your own ${b.base} for half a block`
    : `~${b.base} for half a block of fresh clay, assumed by how firm it is`;
  const changes = [
    ...more(b.age, 'for its age'),
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

/** One step of a conditioning plan in words, for the picture and for the bench. */
export function conditionWords(step: ConditionStep, units: UnitSystem): BenchWords {
  const thick = (mm: number): string => showLength(mm, units);
  const lots = ({ portions, grams }: { readonly portions: number; readonly grams: number }): string =>
    portions > 1 ? `In ${portions} portions of ${showMass(grams, units)}, one after the other.` : '';
  switch (step.kind) {
    case 'warm':
      return {
        title: 'Warm it',
        line: 'Wrapped, in a pocket or under the arm. Never on a heater.',
        figure: String(step.minutes),
        of: 'minutes',
      };
    case 'cool':
      return { title: 'Cool it', line: 'On a cold tile, wrapped.', figure: String(step.minutes), of: 'minutes' };
    case 'knock':
      return {
        title: 'Knock it flat',
        line: 'While it is still wrapped: with a mallet or the roller, from all sides.',
      };
    case 'slice':
      return {
        title: 'Slice it',
        line: `No thicker than ${thick(step.mm)}. ${lots(step)}`.trim(),
        figure: thick(step.mm),
        of: 'at most',
      };
    case 'crumble':
      return { title: 'Break it small', line: `It crumbles under a blade: break it in crumbs. ${lots(step)}`.trim() };
    case 'press':
      return {
        title: 'Press it together',
        line: `By hand and with the roller, to ${thick(step.mm)}.`,
        figure: thick(step.mm),
        of: 'thick',
      };
    case 'softener':
      return {
        title: 'A little softener',
        line: 'A drop or two for a small block, or some soft clay of the same colour. Work it in.',
      };
    case 'step up':
      return {
        title: 'Thinnest first, then step up',
        line:
          `Begin at your ${step.from.label}, gather the flakes, and go up one setting at a time to your ` +
          `${step.to.label}.`,
        figure: step.from.label,
        of: `to ${step.to.label}`,
      };
    case 'pass':
      return {
        title: `Pass at your ${step.setting.label}`,
        line: passLine(step),
        about: step.passes,
        enough: 'It folds without a crack',
      };
    case 'knead':
      return {
        title: 'Work it by hand',
        line: `Roll it to a rope, fold it, roll again. Each fold is one turn. ${lots(step)}`.trim(),
        about: step.turns,
        enough: 'It folds without a crack',
      };
    case 'rest':
      return {
        title: 'Rest it',
        line: 'On a cold tile until it is firm enough to cut.',
        figure: showMinutes(step.minutes),
        of: 'on a cold tile',
      };
    case 'try fold':
      return { title: 'Try a fold', line: 'Fold it flat on itself: no crack along the fold means it is ready.' };
  }
}
