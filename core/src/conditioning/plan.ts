import { thicknesses, type SettingThickness } from '#core/sheet';
import type { Celsius, Grams, Minutes, Mm } from '#core/units';
import { conditioningOf, type ClayToCondition, type Conditioning, type ConditioningBench } from './engine.js';
import type { PassesBecause } from './passes.js';

/** Passes or turns in all from which hands want a break. */
const MUCH = 60;
/** Months from which clay may stay brittle whatever is done. */
const VERY_OLD = 48;

/** Between paper so many minutes, more for each degree above {@link LEACHED_FROM}, never longer than the last. */
const [LEACHES, LEACHES_PER_DEGREE, LEACHES_AT_MOST]: readonly [Minutes, Minutes, Minutes] = [20, 5, 60];
const LEACHED_FROM: Celsius = 27;
/** mm of a sheet that paper draws through. */
const LEACHED_AT: Mm = 3;

export type ConditionInput = ClayToCondition & ConditioningBench;

/** One thing to do. Words and units are put to it where it is shown. */
export type ConditionStep =
  | { readonly kind: 'warm'; readonly minutes: number }
  | { readonly kind: 'cool'; readonly minutes: number }
  /** too soft: between sheets of paper, under a weight */
  | { readonly kind: 'leach'; readonly mm: Mm; readonly minutes: number }
  | { readonly kind: 'knock' }
  | { readonly kind: 'slice'; readonly mm: Mm; readonly portions: number; readonly grams: Grams }
  /** clay that crumbles is not sliced: broken in small pieces */
  | { readonly kind: 'crumble'; readonly portions: number; readonly grams: Grams }
  | { readonly kind: 'press'; readonly mm: Mm; readonly portions: number; readonly grams: Grams }
  | { readonly kind: 'softener' }
  | {
      readonly kind: 'step up';
      readonly from: SettingThickness;
      readonly to: SettingThickness;
      readonly passes: number;
    }
  | {
      readonly kind: 'pass';
      readonly setting: SettingThickness;
      readonly fold: 'sides to the middle' | 'folded edge first';
      readonly passes: number;
      readonly portions: number;
    }
  | { readonly kind: 'knead'; readonly turns: number; readonly portions: number; readonly grams: Grams }
  | { readonly kind: 'rest'; readonly minutes: number }
  | { readonly kind: 'try fold' };

export const CONDITION_WARNINGS = ['reverts', 'soft in heat', 'cold', 'very old', 'hands'] as const;
export type ConditionWarning = (typeof CONDITION_WARNINGS)[number];

export interface ConditionPlan {
  readonly steps: readonly ConditionStep[];
  readonly how: Conditioning;
  /** for each portion */
  readonly passes: number;
  readonly portions: number;
  readonly because: PassesBecause;
  readonly warnings: readonly ConditionWarning[];
}

/**
 * How an amount of clay is made to fold without cracking: what to do in
 * which order, in which settings, how often, and what to look out for.
 * @throws Complaint `amount/positive`, `unit/range`
 */
export function conditionPlan(input: ConditionInput): ConditionPlan {
  const how = conditioningOf(input, input);
  const { passes, portions, because, firmness } = how;
  const lots = { portions, grams: input.grams / portions };
  const steps: ConditionStep[] = [];
  if (how.warms > 0) steps.push({ kind: 'warm', minutes: how.warms });
  steps.push(...cooledSteps(input, how));
  if (firmness === 'firm' || firmness === 'crumbly') steps.push({ kind: 'knock' });
  if (how.softener) steps.push({ kind: 'softener' });
  steps.push(...workSteps(input, how, lots), { kind: 'try fold' });
  if (how.hot) steps.push({ kind: 'rest', minutes: 20 });
  return { steps, how, passes, portions, because, warnings: warningsOf(input, how) };
}

/** In the heat of summer: drawn between paper where it is soft as well, then cooled. */
function cooledSteps({ roomC }: ConditionInput, { hot, firmness }: Conditioning): ConditionStep[] {
  if (!hot) return [];
  const cool: ConditionStep = { kind: 'cool', minutes: 15 };
  if (firmness !== 'soft') return [cool];
  const minutes = Math.min(LEACHES_AT_MOST, LEACHES + LEACHES_PER_DEGREE * Math.round(roomC - LEACHED_FROM));
  return [{ kind: 'leach', mm: LEACHED_AT, minutes }, cool];
}

function warningsOf(input: ConditionInput, how: Conditioning): ConditionWarning[] {
  const warnings: ConditionWarning[] = [];
  if (how.useSameDay) warnings.push('reverts');
  if (how.hot) warnings.push('soft in heat');
  if (how.cold) warnings.push('cold');
  if ((input.months ?? 0) >= VERY_OLD) warnings.push('very old');
  if (how.passes * how.portions > MUCH || how.school === 'by hand') warnings.push('hands');
  return warnings;
}

interface Lots {
  readonly portions: number;
  readonly grams: Grams;
}

/** From the block to clay that folds: at one's own working setting, or at the usual one of the school. */
function workSteps({ machine }: ConditionInput, how: Conditioning, lots: Lots): ConditionStep[] {
  const { firmness, passes, school, at } = how;
  const settings = machine ? thicknesses(machine) : [];
  const [widest, thinnest] = [settings[0], settings.at(-1)];
  if (!widest || !thinnest || !at) return [{ kind: 'knead', turns: passes, ...lots }];
  const thin = school === 'thin slices';
  const pass: ConditionStep = {
    kind: 'pass',
    setting: at,
    fold: thin ? 'sides to the middle' : 'folded edge first',
    passes,
    portions: lots.portions,
  };
  if (firmness !== 'crumbly')
    return [{ kind: 'slice', mm: thin ? Math.min(widest.mm, at.mm * 2) : widest.mm, ...lots }, pass];
  // the first school feeds crumbs thin and steps up, the second presses them together by hand first
  if (!thin) return [{ kind: 'crumble', ...lots }, { kind: 'press', mm: widest.mm, ...lots }, pass];
  return [
    { kind: 'crumble', ...lots },
    { kind: 'step up', from: thinnest, to: at, passes: Math.max(2, Math.round(passes / 3)) },
    pass,
  ];
}
