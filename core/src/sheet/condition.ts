import { conditioningOf } from '#core/clay';
import { type Celsius, type Grams, type Mm } from '#core/units';
import type { Machine } from './machine.js';
import {
  passesFor,
  portionsOf,
  type Circumstances,
  type Conditioner,
  type CountedConditioning,
  type PassesBecause,
} from './conditionPasses.js';
import { thicknesses, type SettingThickness } from './thickness.js';
import { complaint } from './sentences.js';

/** Where soft clay gets too soft, and where all clay is harder. Assumptions. */
const [HOT, COLD]: readonly [Celsius, Celsius] = [27, 16];
/** Passes or turns in all from which hands want a break. */
const MUCH = 60;

export interface ConditionInput extends Circumstances {
  readonly lineId: string;
  /** null: no machine, so by hand */
  readonly machine: Machine | null;
  readonly counted: readonly CountedConditioning[];
  /** the maker's own number of passes for any line; null: assumed by firmness */
  readonly ownPasses: number | null;
  /** the maker's own working setting; null: the middle one, or the widest of the second school */
  readonly workingSettingId: string | null;
}

/** One thing to do. Words and units are put to it where it is shown. */
export type ConditionStep =
  | { readonly kind: 'warm'; readonly minutes: number }
  | { readonly kind: 'cool'; readonly minutes: number }
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
  const { firmness, months, grams, roomC, machine, counted, lineId, ownPasses } = input;
  if (!(grams > 0) || !Number.isFinite(grams)) throw complaint('amount/positive', { what: 'The weight' });
  if (!(roomC >= 0 && roomC <= 45))
    throw complaint('unit/range', { what: 'The room', low: '0 °C (32 °F)', high: '45 °C (113 °F)' });
  const school: Conditioner = machine ? input.school : 'by hand';
  const { passes, because } = passesFor(lineId, { firmness, months, roomC, school, grams }, counted, ownPasses);
  const how = conditioningOf(firmness, months, grams);
  const hot = roomC >= HOT && (firmness === 'soft' || firmness === 'medium');
  const cold = roomC < COLD;
  const portions = portionsOf({ firmness, grams });
  const steps: ConditionStep[] = [];
  if (cold) steps.push({ kind: 'warm', minutes: 30 });
  else if (how.warmFirst && !hot) steps.push({ kind: 'warm', minutes: 20 });
  if (hot) steps.push({ kind: 'cool', minutes: 15 });
  if (firmness === 'firm' || firmness === 'crumbly') steps.push({ kind: 'knock' });
  if (how.softener) steps.push({ kind: 'softener' });
  steps.push(...workSteps(input, school, passes, { portions, grams: grams / portions }), { kind: 'try fold' });
  if (hot) steps.push({ kind: 'rest', minutes: 20 });
  const warnings: ConditionWarning[] = [];
  if (how.useSameDay) warnings.push('reverts');
  if (hot) warnings.push('soft in heat');
  if (cold) warnings.push('cold');
  if ((months ?? 0) >= 48) warnings.push('very old');
  if (passes * portions > MUCH || school === 'by hand') warnings.push('hands');
  return { steps, passes, portions, because, warnings };
}

interface Lots {
  readonly portions: number;
  readonly grams: Grams;
}

/** From the block to clay that folds: at one's own working setting, or at the usual one of the school. */
function workSteps(
  { firmness, machine, workingSettingId }: ConditionInput,
  school: Conditioner,
  passes: number,
  lots: Lots,
): ConditionStep[] {
  const settings = machine ? thicknesses(machine) : [];
  const [widest, thinnest] = [settings[0], settings.at(-1)];
  const middle = settings[Math.floor(settings.length / 2)];
  if (!widest || !thinnest || !middle || school === 'by hand') return [{ kind: 'knead', turns: passes, ...lots }];
  const thin = school === 'thin slices';
  const usual = thin ? middle : widest;
  const at = settings.find((s) => s.id === workingSettingId) ?? usual;
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
