import { ASSUMED_LAYER, layerSetting } from '#core/blend';
import { thicknesses, type SettingThickness } from '#core/sheet';
import type { BlendPlanDto, MachineDto } from '#contract';

/** What is known of how a blend is rolled: its machine, and how thick each of its layers is. */
export interface Rolled {
  readonly own: MachineDto | undefined;
  readonly settings: readonly SettingThickness[];
  readonly setting: SettingThickness | null;
  readonly mm: number;
}

/** The machine as it is described by now, and the setting of the layers of a plan on it. */
export function rolledOn(plan: BlendPlanDto, own: MachineDto | undefined): Rolled {
  const settings = own ? thicknesses(own) : [];
  const setting = layerSetting(settings, plan.settingId);
  return { own, settings, setting, mm: setting?.mm ?? ASSUMED_LAYER };
}
