import type { Firmness, Squeeze } from '#core/clay';
import { thicknesses, type Machine, type SettingThickness } from '#core/sheet';
import type { Celsius, Grams, Minutes } from '#core/units';
import {
  SCHOOLS_OF_CONDITIONING,
  USUAL_ROOM,
  besideFresh,
  firmnessOf,
  passesFor,
  portionsOf,
  yearsOld,
  type Conditioner,
  type CountedConditioning,
  type PassesBecause,
} from './passes.js';
import { complaint } from './sentences.js';

/** Minutes of work for 57 g of fresh clay at its usual number of passes: assumptions. */
const MINUTES_FRESH: Readonly<Record<Firmness, Minutes>> = { soft: 4, medium: 6, firm: 10, crumbly: 16 };
const PACKET: Grams = 57;
/** A small piece takes so much of that at least: the machine is set up and wiped all the same. */
const LEAST_SHARE = 0.4;
/** Where soft clay gets too soft, and where all clay is harder. Assumptions. */
const [HOT, COLD]: readonly [Celsius, Celsius] = [27, 16];
/** Minutes of warming, in a pocket: usual, and in a cold room. */
const [WARMS, WARMS_COLD]: readonly [Minutes, Minutes] = [20, 30];
/** Years past the first after which hard clay, and any clay, wants softener. */
const [OLD, VERY_OLD] = [2, 4];

/** How these hands condition in this room: the same for all clay. */
export interface ConditioningBench {
  readonly roomC: Celsius;
  readonly school: Conditioner;
  /** null: no machine, so by hand */
  readonly machine: Machine | null;
  readonly counted: readonly CountedConditioning[];
  /** the maker's own number of passes for any line; null: assumed by firmness */
  readonly ownPasses: number | null;
  /** the maker's own working setting; null: the middle one, or the widest of the second school */
  readonly workingSettingId: string | null;
}

/** Some clay of one age: a block, or a part of one. */
export interface ClayToCondition {
  readonly lineId: string;
  readonly firmness: Firmness;
  readonly squeeze?: Squeeze | null | undefined;
  readonly months: number | null;
  readonly grams: Grams;
}

/** What stands between a block and clay that folds. */
export interface Conditioning {
  /** for each portion */
  readonly passes: number;
  readonly portions: number;
  readonly because: PassesBecause;
  /** what it does between the fingers: by the test, else as its line is */
  readonly firmness: Firmness;
  readonly squeeze: Squeeze | null;
  readonly school: Conditioner;
  /** where it is passed; null: by hand, or the machine has no settings */
  readonly at: SettingThickness | null;
  /** of hands and machine; rests on an assumption: show it with a tilde */
  readonly minutes: Minutes;
  /** minutes that it warms first, wrapped and close to the body; 0: not at all */
  readonly warms: Minutes;
  readonly warmFirst: boolean;
  /** goes back to crumbs when it rests: condition it just before use */
  readonly useSameDay: boolean;
  readonly softener: boolean;
  /** so warm a room that it gets too soft */
  readonly hot: boolean;
  readonly cold: boolean;
}

export const schoolOf = ({ school, machine }: Pick<ConditioningBench, 'school' | 'machine'>): Conditioner =>
  machine ? school : 'by hand';

/** Where clay is passed: one's own working setting, or the usual one of the school. */
function workingSetting(bench: ConditioningBench): SettingThickness | null {
  const school = schoolOf(bench);
  if (!bench.machine || school === 'by hand') return null;
  const settings = thicknesses(bench.machine);
  const usual = school === 'thin slices' ? settings[Math.floor(settings.length / 2)] : settings[0];
  return settings.find((s) => s.id === bench.workingSettingId) ?? usual ?? null;
}

/** Clay that crumbles wants softener; what was not squeezed may by its age. */
function wantsSoftener(clay: ClayToCondition, hard: boolean): boolean {
  if (clay.squeeze) return clay.squeeze === 'crumbles' || clay.squeeze === 'cracks';
  const years = yearsOld(clay.months);
  return years >= OLD && (hard || years >= VERY_OLD);
}

/** Work goes with the passes that it really takes, and with the amount. */
const minutesOf = (grams: Grams, firmness: Firmness, because: PassesBecause): Minutes =>
  MINUTES_FRESH[firmness] * Math.max(LEAST_SHARE, grams / PACKET) * besideFresh(because, firmness);

/**
 * The one answer to "is this clay fit to use, and how does it get there": of its line, its age or what it does between
 * the fingers, the room, the amount, the school, and what was counted of its line.
 * @throws Complaint `amount/positive`, `unit/range`
 */
export function conditioningOf(clay: ClayToCondition, bench: ConditioningBench): Conditioning {
  const { months, grams, lineId } = clay;
  const { roomC, counted, ownPasses } = bench;
  if (!(grams > 0) || !Number.isFinite(grams)) throw complaint('amount/positive', { what: 'The weight' });
  if (!(roomC >= 0 && roomC <= 45))
    throw complaint('unit/range', { what: 'The room', low: '0 °C (32 °F)', high: '45 °C (113 °F)' });
  const asked = { ...clay, roomC, school: schoolOf(bench) };
  const { passes, because } = passesFor(lineId, asked, counted, ownPasses);
  const firmness = firmnessOf(clay);
  const hard = firmness === 'firm' || firmness === 'crumbly';
  const hot = roomC >= HOT && !hard;
  const cold = roomC < COLD;
  const old = !clay.squeeze && yearsOld(months) >= OLD;
  const warms = warmingOf(cold, (hard || old) && !hot);
  return {
    ...{ passes, because, firmness, hot, cold, warms },
    portions: portionsOf(clay),
    school: asked.school,
    at: workingSetting(bench),
    squeeze: clay.squeeze ?? null,
    minutes: minutesOf(grams, firmness, because),
    warmFirst: warms > 0,
    useSameDay: firmness === 'crumbly',
    softener: wantsSoftener(clay, hard),
  };
}

function warmingOf(cold: boolean, needed: boolean): Minutes {
  if (cold) return WARMS_COLD;
  return needed ? WARMS : 0;
}

/** What a maker said of conditioning; what nobody said is usual. */
export interface ConditioningSaid {
  readonly roomC?: Celsius | null | undefined;
  readonly conditionSchool?: Conditioner | null | undefined;
  readonly conditionPasses?: number | null | undefined;
  readonly conditionSettingId?: string | null | undefined;
}

/** How these hands condition. @param machine null: by hand */
export const conditioningBench = (
  said: ConditioningSaid,
  machine: Machine | null,
  counted: readonly CountedConditioning[],
): ConditioningBench => ({
  roomC: said.roomC ?? USUAL_ROOM,
  school: said.conditionSchool ?? SCHOOLS_OF_CONDITIONING[0],
  machine,
  counted,
  ownPasses: said.conditionPasses ?? null,
  workingSettingId: said.conditionSettingId ?? null,
});
