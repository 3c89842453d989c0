import type { Mm } from '#core/units';
import { BANDS, WEIGHTS } from './bands.js';
import type { Xyz } from './lab.js';
import type { Pigment } from './pigment.js';
import { PER_MM } from './showThrough.js';

/** Beyond this a layer lets nothing through that a number could hold. */
const MOST_DEPTH = 300;

/**
 * The share of light of one band that goes through a layer with nothing behind it (P. Kubelka, 1948, the finite
 * layer): `T = b / (a sinh bSX + b cosh bSX)`, with a = 1 + K/S and b = √(a² − 1).
 * @param a 1 + K/S, at least 1 @param depth S·X: scattering a mm times mm
 */
export function throughLayer(a: number, depth: number): number {
  const b = Math.sqrt(Math.max(1e-12, a * a - 1));
  const bsx = Math.min(MOST_DEPTH, b * depth);
  return b / (a * Math.sinh(bsx) + b * Math.cosh(bsx));
}

/**
 * The colour of a slice that is held against daylight (D65): what comes through it, with the bare light as white.
 * Scattering a mm is that of {@link PER_MM}, an assumption.
 * @param mm thickness of the slice, > 0
 */
export function lightThrough({ scattering, absorption }: Pigment, mm: Mm): Xyz {
  const depth = scattering * PER_MM * mm;
  let [x, y, z] = [0, 0, 0];
  for (let band = 0; band < BANDS; band++) {
    const light = throughLayer(1 + (absorption[band] as number) / scattering, depth);
    x += (WEIGHTS[band] as number) * light;
    y += (WEIGHTS[BANDS + band] as number) * light;
    z += (WEIGHTS[2 * BANDS + band] as number) * light;
  }
  return { x, y, z };
}
