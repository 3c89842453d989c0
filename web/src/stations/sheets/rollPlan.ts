import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { feedPlan, thicknesses, type FeedPlan, type SettingThickness, type Thinning } from '#core/sheet';
import type { MachineDto } from '#contract';

/** The stack somebody wants to roll, and where it is to end; kept from the planning to the bench. */
interface RollPlan {
  readonly layers: number;
  readonly fromId: string | null;
  readonly toId: string | null;
  readonly size: { readonly width: number; readonly height: number };
  readonly thinning: Thinning;
  readonly turns: boolean;
  readonly plan: (part: Partial<Omit<RollPlan, 'plan'>>) => void;
}

export const useRollPlan = create<RollPlan>()(
  persist(
    (set) => ({
      layers: 2,
      fromId: null,
      toId: null,
      size: { width: 60, height: 90 },
      thinning: 'one at a time',
      turns: false,
      plan: (part) => {
        set(part);
      },
    }),
    { name: 'sledge-roll' },
  ),
);

export interface WorkedRoll {
  readonly settings: readonly SettingThickness[];
  readonly from: SettingThickness;
  readonly to: SettingThickness;
  /** thickness of the stack */
  readonly mm: number;
  readonly feeds: FeedPlan;
}

/** The way from the stack to the setting on one's own machine; null for a machine without settings. */
export function workRoll(
  own: MachineDto,
  { layers, fromId, toId, size, thinning, turns }: RollPlan,
): WorkedRoll | null {
  const settings = thicknesses(own);
  const from = settings.find((s) => s.id === fromId) ?? settings[Math.floor(settings.length / 3)];
  const to = settings.find((s) => s.id === toId) ?? settings[Math.floor(settings.length / 2)];
  if (!from || !to) return null;
  const mm = layers * from.mm;
  return {
    settings,
    from,
    to,
    mm,
    feeds: feedPlan({ machine: own, mm, width: size.width, length: size.height, settingId: to.id, thinning, turns }),
  };
}
