import type { Mm } from '#core/units';
import { BANDS, WEIGHTS } from './bands.js';
import type { Pigment } from './pigment.js';

/** Scattering of an ordinary opaque clay a mm: an assumption that hides black at about 0.3 mm. */
export const PER_MM = 18;
const Y_WEIGHTS = WEIGHTS.slice(BANDS, 2 * BANDS);

/** Luminance of a layer over a ground (P. Kubelka, 1948, the finite layer). */
function over(ground: number, { scattering, absorption }: Pigment, mm: Mm): number {
  let y = 0;
  const s = scattering * PER_MM;
  for (let band = 0; band < BANDS; band++) {
    const a = 1 + (absorption[band] as number) / scattering;
    const b = Math.sqrt(Math.max(1e-12, a * a - 1));
    const coth = 1 / Math.tanh(Math.min(300, Math.max(1e-9, b * s * mm)));
    y += (Y_WEIGHTS[band] as number) * ((1 - ground * (a - b * coth)) / (a - ground + b * coth));
  }
  return y;
}

/**
 * How much of what lies under a wall shows through it: one less the ratio of
 * its luminance over black and over white (the contrast ratio; docs/models.md
 * §4). 0 hides all, 1 nothing.
 */
export function showThrough(pigment: Pigment, mm: Mm): number {
  return Math.min(1, Math.max(0, 1 - over(0, pigment, mm) / over(1, pigment, mm)));
}

/** Share that shows through which nobody notices: an assumption. */
const UNSEEN = 0.1;

/** The thinnest wall that hides what is under it, mm. */
export function hidingThickness(pigment: Pigment): Mm {
  let [low, high] = [0.001, 20];
  if (showThrough(pigment, high) > UNSEEN) return high;
  for (let i = 0; i < 40; i++) {
    const middle = Math.sqrt(low * high);
    if (showThrough(pigment, middle) > UNSEEN) low = middle;
    else high = middle;
  }
  return high;
}
