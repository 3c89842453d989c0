import { thicknesses, type SettingThickness } from '#core/sheet';
import type { BlendPlanDto, MachineDto } from '#contract';

/** What is known of how a blend is rolled: its machine, and how thick each of its layers is. */
export interface Rolled {
  readonly own: MachineDto | undefined;
  readonly settings: readonly SettingThickness[];
  readonly setting: SettingThickness | null;
  readonly mm: number;
}

/** mm of the setting of its layers, where none was chosen: of the one nearest to it. An assumption. */
const ASSUMED_LAYER = 2;

/** The machine as it is described by now, and the setting of the layers of a plan on it. */
export function rolledOn(plan: BlendPlanDto, own: MachineDto | undefined): Rolled {
  const settings = own ? thicknesses(own) : [];
  const nearest = [...settings].sort((a, b) => Math.abs(a.mm - ASSUMED_LAYER) - Math.abs(b.mm - ASSUMED_LAYER))[0];
  const setting = settings.find((s) => s.id === plan.settingId) ?? nearest ?? null;
  return { own, settings, setting, mm: setting?.mm ?? ASSUMED_LAYER };
}
