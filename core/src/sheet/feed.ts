import { type Mm } from '#core/units';
import type { Machine } from './machine.js';
import { thicknesses, type SettingThickness } from './thickness.js';
import { complaint } from './sentences.js';

export const SCHOOLS_OF_THINNING = ['one at a time', 'straight'] as const;
export type Thinning = (typeof SCHOOLS_OF_THINNING)[number];

/** One pass through the rollers and the sheet after it. */
export interface Feed {
  readonly setting: SettingThickness;
  readonly mm: Mm;
  /** across the rollers, and along the way it went */
  readonly width: Mm;
  readonly length: Mm;
  /** the sheet was turned a quarter before this pass */
  readonly turned: boolean;
}

export interface FeedPlan {
  /** thickness to which it has to be rolled by hand first; null: the machine takes it */
  readonly byHandTo: Mm | null;
  readonly feeds: readonly Feed[];
  /** strips to cut it into, so that it fits between the rollers; 1 where it does */
  readonly strips: number;
}

export interface FeedInput {
  readonly machine: Machine;
  /** thickness of the stack, and its size */
  readonly mm: Mm;
  readonly width: Mm;
  readonly length: Mm;
  /** setting to end at */
  readonly settingId: string;
  readonly thinning: Thinning;
  /** quarter turns between passes, where a pattern must not be stretched one way */
  readonly turns: boolean;
}

/** A pass at most halves the thickness: an assumption about hands and rollers. */
export const MOST_REDUCTION = 2;
const CLOSE = 1e-9;

/**
 * The settings a stack goes through to end at one of them: by hand first
 * where it is too thick, each pass at most halving it, its size after every
 * pass (constant volume and width; docs/models.md §2).
 * @throws Complaint `setting/unknown`, `amount/positive`
 */
export function feedPlan({ machine, mm, width, length, settingId, thinning, turns }: FeedInput): FeedPlan {
  for (const [what, value] of [
    ['The thickness', mm],
    ['The width', width],
    ['The length', length],
  ] as const) {
    if (!(value > 0) || !Number.isFinite(value)) throw complaint('amount/positive', { what });
  }
  const all = thicknesses(machine);
  const target = all.findIndex((s) => s.id === settingId);
  if (target < 0)
    throw complaint('setting/unknown', {
      label: '',
      machine: machine.name,
      labels: all.map((s) => s.label).join(', '),
    });
  const widest = all[0]?.mm ?? 0;
  const byHandTo = mm > widest * MOST_REDUCTION + CLOSE ? widest * MOST_REDUCTION : null;
  let now = { mm: byHandTo ?? mm, width, length: byHandTo === null ? length : (length * mm) / byHandTo };
  const strips = Math.max(1, Math.ceil(width / machine.rollerWidthMm - CLOSE));
  now = { ...now, width: width / strips };
  const feeds: Feed[] = [];
  let at = all.findIndex((s) => s.mm < now.mm - CLOSE);
  // thinner already than the setting it is to end at
  if (at < 0 || at > target) return { byHandTo, feeds: [], strips };
  for (;;) {
    let next = at;
    if (thinning === 'straight')
      while (next < target && now.mm / (all[next + 1]?.mm ?? 0) <= MOST_REDUCTION + CLOSE) next++;
    const setting = all[next] as SettingThickness;
    const turned = turns && feeds.length > 0 && now.length <= machine.rollerWidthMm + CLOSE;
    const [across, along] = turned ? [now.length, now.width] : [now.width, now.length];
    now = { mm: setting.mm, width: across, length: (along * now.mm) / setting.mm };
    feeds.push({ setting, ...now, turned });
    if (next >= target) return { byHandTo, feeds, strips };
    at = next + 1;
  }
}
