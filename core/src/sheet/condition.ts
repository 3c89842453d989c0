import { conditioningOf, type Firmness } from '#core/clay';
import { complaint, type Celsius, type Grams, type Mm } from '#core/units';
import type { Machine } from './machine.js';
import { thicknesses, type SettingThickness } from './thickness.js';

/** Ways of conditioning, the usual one first (trade knowledge, docs/models.md §4). */
export const SCHOOLS_OF_CONDITIONING = ['thin slices', 'thick slices', 'by hand'] as const;
export type Conditioner = (typeof SCHOOLS_OF_CONDITIONING)[number];

/** Passes for a load of fresh clay at {@link USUAL_ROOM}: assumptions until somebody has counted. */
const PASSES_FRESH: Readonly<Record<Firmness, number>> = { soft: 8, medium: 12, firm: 18, crumbly: 24 };
/** The second school works at the widest gap, and needs more of it; by hand it is turns and folds. */
const SCHOOL_FACTOR: Readonly<Record<Conditioner, number>> = { 'thin slices': 1, 'thick slices': 1.4, 'by hand': 2.5 };
export const USUAL_ROOM: Celsius = 21;
/** What five degrees fewer do to the work, and where soft clay gets too soft. Assumptions. */
const COLD_FACTOR = 1.15;
const HOT: Celsius = 27;
const COLD: Celsius = 16;
/** Grams that go through the rollers at a time. */
const LOAD: Grams = 60;
const MOST_PASSES = 80;

/** Clay that was conditioned, and the passes after which it folded without cracking. */
export interface CountedConditioning {
  readonly lineId: string;
  readonly firmness: Firmness;
  readonly months: number | null;
  readonly roomC: Celsius;
  readonly school: Conditioner;
  readonly passes: number;
}

export interface ConditionInput {
  readonly lineId: string;
  readonly firmness: Firmness;
  /** age; null: unknown, taken as one year */
  readonly months: number | null;
  readonly grams: Grams;
  readonly roomC: Celsius;
  readonly school: Conditioner;
  /** null: no machine, so by hand */
  readonly machine: Machine | null;
  readonly counted: readonly CountedConditioning[];
}

/** One thing to do. Words and units are put to it where it is shown. */
export type ConditionStep =
  | { readonly kind: 'warm'; readonly minutes: number }
  | { readonly kind: 'cool'; readonly minutes: number }
  | { readonly kind: 'knock' }
  | { readonly kind: 'slice'; readonly mm: Mm; readonly loads: number }
  | { readonly kind: 'press'; readonly mm: Mm }
  | { readonly kind: 'softener' }
  | { readonly kind: 'step up'; readonly from: SettingThickness; readonly to: SettingThickness; readonly passes: number }
  | { readonly kind: 'pass'; readonly setting: SettingThickness; readonly fold: 'sides to the middle' | 'folded edge first'; readonly passes: number; readonly loads: number }
  | { readonly kind: 'knead'; readonly turns: number }
  | { readonly kind: 'rest'; readonly minutes: number }
  | { readonly kind: 'try fold' };

export const CONDITION_WARNINGS = ['reverts', 'soft in heat', 'cold', 'very old', 'hands'] as const;
export type ConditionWarning = (typeof CONDITION_WARNINGS)[number];

export interface ConditionPlan {
  readonly steps: readonly ConditionStep[];
  /** for each load */
  readonly passes: number;
  /** how many of one's own countings it rests on; 0: an assumption */
  readonly from: number;
  readonly warnings: readonly ConditionWarning[];
}

type Circumstances = Pick<ConditionInput, 'firmness' | 'months' | 'roomC' | 'school'>;

/** Passes before anybody has counted: more for old clay and in a cold room, fewer in a warm one. */
function assumedPasses({ firmness, months, roomC, school }: Circumstances): number {
  const years = Math.max(0, (months ?? 12) / 12 - 1);
  return PASSES_FRESH[firmness] * SCHOOL_FACTOR[school] * (1 + years / 4) * COLD_FACTOR ** ((USUAL_ROOM - roomC) / 5);
}

/**
 * How much more or less than assumed this line took so far: the geometric
 * mean of what was counted, the assumption counting as much as two of them.
 */
export function learnedFactor(lineId: string, counted: readonly CountedConditioning[]): { readonly factor: number; readonly from: number } {
  const own = counted.filter((c) => c.lineId === lineId && c.passes > 0);
  const logs = own.map((c) => Math.log(c.passes / assumedPasses(c)));
  return { factor: Math.exp(logs.reduce((a, b) => a + b, 0) / (own.length + 2)), from: own.length };
}

/**
 * How an amount of clay is made to fold without cracking: what to do in
 * which order, in which settings, how often, and what to look out for.
 * @throws Complaint `amount/positive`, `unit/range`
 */
export function conditionPlan(input: ConditionInput): ConditionPlan {
  const { firmness, months, grams, roomC, machine, counted, lineId } = input;
  if (!(grams > 0) || !Number.isFinite(grams)) throw complaint('amount/positive', { what: 'The weight' });
  if (!(roomC >= 0 && roomC <= 45)) throw complaint('unit/range', { what: 'The room', low: '0 °C (32 °F)', high: '45 °C (113 °F)' });
  const school: Conditioner = machine ? input.school : 'by hand';
  const { factor, from } = learnedFactor(lineId, counted);
  const passes = Math.min(MOST_PASSES, Math.max(2, Math.round(assumedPasses({ firmness, months, roomC, school }) * factor)));
  const how = conditioningOf(firmness, months, grams);
  const hot = roomC >= HOT && (firmness === 'soft' || firmness === 'medium');
  const settings = machine ? thicknesses(machine) : [];
  const loads = Math.ceil(grams / LOAD - 1e-9);
  const steps: ConditionStep[] = [];
  if (how.warmFirst && !hot) steps.push({ kind: 'warm', minutes: roomC < COLD ? 30 : 20 });
  if (hot) steps.push({ kind: 'cool', minutes: 15 });
  if (firmness === 'firm' || firmness === 'crumbly') steps.push({ kind: 'knock' });
  if (how.softener) steps.push({ kind: 'softener' });
  const [widest, thinnest] = [settings[0], settings.at(-1)];
  const middle = settings[Math.floor(settings.length / 2)];
  if (!widest || !thinnest || !middle || school === 'by hand') {
    steps.push({ kind: 'knead', turns: passes });
  } else if (firmness === 'crumbly') {
    // the first school feeds crumbs thin and steps up, the second presses them together by hand first
    if (school === 'thin slices') steps.push({ kind: 'slice', mm: thinnest.mm * 2, loads }, { kind: 'step up', from: thinnest, to: middle, passes: Math.max(2, Math.round(passes / 3)) });
    else steps.push({ kind: 'press', mm: widest.mm });
    const at = school === 'thin slices' ? middle : widest;
    steps.push({ kind: 'pass', setting: at, fold: school === 'thin slices' ? 'sides to the middle' : 'folded edge first', passes, loads });
  } else if (school === 'thin slices') {
    steps.push({ kind: 'slice', mm: Math.min(widest.mm, middle.mm * 2), loads }, { kind: 'pass', setting: middle, fold: 'sides to the middle', passes, loads });
  } else {
    steps.push({ kind: 'slice', mm: widest.mm, loads }, { kind: 'pass', setting: widest, fold: 'folded edge first', passes, loads });
  }
  steps.push({ kind: 'try fold' });
  if (hot) steps.push({ kind: 'rest', minutes: 20 });
  const warnings: ConditionWarning[] = [];
  if (how.useSameDay) warnings.push('reverts');
  if (hot) warnings.push('soft in heat');
  if (roomC < COLD) warnings.push('cold');
  if ((months ?? 0) >= 48) warnings.push('very old');
  if (passes * loads > 60 || school === 'by hand') warnings.push('hands');
  return { steps, passes, from, warnings };
}
