import { type Mm } from '#core/units';
import type { Asked } from './instruction.js';
import type { Machine } from './machine.js';
import { thicknesses, type SettingThickness } from './thickness.js';
import { complaint } from './sentences.js';

/** The setting of one's own machine for an asked thickness. `errorMm` > 0: one's own is thicker. */
export interface Answer {
  readonly setting: SettingThickness;
  readonly errorMm: Mm;
  /** standard uncertainty of that error */
  readonly sigmaMm: Mm;
  /** sheets of `setting` to stack; 1 unless the thickness is beyond the machine */
  readonly layers: number;
  /** the neighbour on the other side of the asked thickness, where there is one */
  readonly other: SettingThickness | null;
}

const MOST_LAYERS = 6;

/**
 * The setting of `own` nearest to a thickness; beyond its widest gap, the
 * fewest equal sheets to stack that come within a tenth, or the nearest.
 */
export function translate(asked: Pick<Asked, 'mm' | 'sigmaMm'>, own: Machine): Answer {
  const all = thicknesses(own);
  const nearest = (mm: Mm, layers: number): Answer => {
    const sorted = [...all].sort((a, b) => Math.abs(a.mm * layers - mm) - Math.abs(b.mm * layers - mm));
    const setting = sorted[0];
    if (!setting) throw complaint('machine/settings');
    const errorMm = setting.mm * layers - mm;
    const other = sorted.find((s) => (s.mm * layers - mm) * errorMm < 0) ?? null;
    return { setting, errorMm, sigmaMm: Math.hypot(setting.sigmaMm * layers, asked.sigmaMm), layers, other };
  };
  let best = nearest(asked.mm, 1);
  const widest = all[0]?.mm ?? 0;
  if (asked.mm <= widest * 1.1) return best;
  for (let layers = 2; layers <= MOST_LAYERS; layers++) {
    const stacked = nearest(asked.mm, layers);
    if (Math.abs(stacked.errorMm) < Math.abs(best.errorMm)) best = stacked;
    if (Math.abs(best.errorMm) <= asked.mm * 0.1) break;
  }
  return best;
}
