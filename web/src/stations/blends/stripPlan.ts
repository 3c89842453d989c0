import { HARDLY_ANY } from '../../parts/amounts.js';
import { massOf } from '#core/clay';
import { leftOf } from '../../state/shelf.js';
import { layersToRoll, type Forward } from '#core/blend';
import { discVolume, feedPlan, thicknesses, type FeedPlan, type SettingThickness } from '#core/sheet';
import { Fraction, showMass, type UnitSystem } from '#core/units';
import type { BenchSetupDto, BlendPlanDto, MachineDto, ShelfAnswer } from '#contract';
import type { WorkedBlend } from './workedBlend.js';

/** Discs for a weight, to the next quarter and at least one. @param disc mm³ of one */
export const discsFor = (grams: number, density: number, disc: number): Fraction =>
  new Fraction(Math.max(1, Math.round((4 * grams) / massOf(disc, density))), 4);

/** What the shelf has too little of, in words. */
export function shortOf({ colours }: WorkedBlend, shelf: ShelfAnswer, units: UnitSystem): readonly string[] {
  const need = new Map<string, number>();
  for (const { clayId, grams } of colours.flatMap((c) => c.perClay)) need.set(clayId, (need.get(clayId) ?? 0) + grams);
  const name = (id: string): string => shelf.clays.find((c) => c.id === id)?.name ?? '';
  return [...need]
    .filter(([id, grams]) => grams > leftOf(shelf, id) + HARDLY_ANY)
    .map(([id, grams]) => `${name(id)}, ${showMass(grams - leftOf(shelf, id), units)} short`);
}

/** The discs that this maker punches: at which setting, and mm³ of one. */
export interface Disc {
  readonly setting: SettingThickness;
  readonly volume: number;
}

export function discOf(own: MachineDto | undefined, setup: BenchSetupDto): Disc | null {
  const setting = own && thicknesses(own).find((s) => s.id === setup.discSettingId);
  return setting ? { setting, volume: discVolume(setup.discMm, setting.mm) } : null;
}

/** How often each rectangle is rolled: one cut across it makes two layers. */
export const rectanglesOf = (plan: BlendPlanDto): number => layersToRoll(plan.layers * (plan.stack ?? 1)) / 2;

/** How thick the sheet is after its first fold, mm. */
export const foldedMm = (plan: BlendPlanDto, { mm }: WorkedBlend): number => 2 * plan.layers * mm;

/** Through which settings the folded sheet goes first; null without a machine. */
export function entryFeeds(plan: BlendPlanDto, worked: WorkedBlend, own: MachineDto | undefined): FeedPlan | null {
  if (!own || !worked.setting) return null;
  return feedPlan({
    machine: own,
    mm: foldedMm(plan, worked),
    width: plan.width,
    length: plan.height / 2,
    settingId: worked.setting.id,
    thinning: 'straight',
    turns: false,
  });
}

/** What runs out first when so much of each colour is taken, and what is left of the others. */
export function forwardWords({ runsOut, left }: Forward, names: readonly string[], units: UnitSystem): string {
  const over = left.flatMap((grams, i) =>
    grams > HARDLY_ANY ? [`${showMass(grams, units)} of ${names[i] ?? ''}`] : [],
  );
  if (over.length === 0) return 'all of it is used';
  return `${names[runsOut] ?? ''} runs out first, ${over.join(' and ')} is left`;
}
