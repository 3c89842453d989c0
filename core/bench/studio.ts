import type { Clay } from '#core/clay';
import { normalFrom } from '#core/units';
import { BANDS, WEIGHTS, deltaEFrame, hexOf, labOf, xyzOfLab, type Lab } from '#core/colour';
import { oscillators, type Hidden } from './oscillators.js';

/**
 * A studio whose clays nobody knows: two-constant Kubelka–Munk pigments with
 * curves of their own for absorption and for scattering (what absorbs by
 * photon energy: nothing of Sledge's upsampling or of the shapes it
 * expects), strengths from 0.2 to 5, and a surface that reflects
 * (J. L. Saunderson, 1942). What Sledge is told of
 * them is the colour of each pure clay, and chips as a reader reads them.
 */
export interface Mixed {
  readonly of: readonly number[];
  readonly parts: readonly number[];
}

/** Saunderson's constants for a matt plastic; a reader keeps half of what is reflected outside out. */
const OUTSIDE = 0.04;
const INSIDE = 0.5;

export interface HiddenStudio {
  readonly clays: readonly Clay[];
  /** the colour that a mix really has */
  readonly truth: (mix: Mixed) => Lab;
  /** what a reader reads of it: ΔE00 0.5 of noise */
  readonly read: (mix: Mixed) => Lab;
}

function labOfMix(hiddens: readonly Hidden[], { of, parts }: Mixed): Lab {
  let [x, y, z] = [0, 0, 0];
  for (let band = 0; band < BANDS; band++) {
    let [k, s] = [0, 0];
    of.forEach((i, n) => {
      k += (parts[n] ?? 0) * (hiddens[i]?.k[band] ?? 0);
      s += (parts[n] ?? 0) * (hiddens[i]?.s[band] ?? 0);
    });
    const q = k / s;
    const inner = 1 + q - Math.sqrt(q * q + 2 * q);
    const r = OUTSIDE / 2 + ((1 - OUTSIDE) * (1 - INSIDE) * inner) / (1 - INSIDE * inner);
    x += (WEIGHTS[band] ?? 0) * r;
    y += (WEIGHTS[BANDS + band] ?? 0) * r;
    z += (WEIGHTS[2 * BANDS + band] ?? 0) * r;
  }
  return labOf({ x, y, z });
}

/** A reading with noise: normal in each direction, ΔE00 `sigma` as the root mean square of its length. */
function noisy(lab: Lab, sigma: number, random: () => number): Lab {
  const frame = deltaEFrame(lab);
  const normal = normalFrom(random);
  const [u, v, w] = [0, 1, 2].map(() => (normal() * sigma) / Math.sqrt(3)) as [number, number, number];
  const [, , , , p = 1, q = 0, , r = 0, s = 1] = frame;
  const det = p * s - q * r;
  return { l: lab.l + u / (frame[0] ?? 1), a: lab.a + (s * v - q * w) / det, b: lab.b + (p * w - r * v) / det };
}

/** @param random numbers in [0, 1) */
export function hiddenStudio(count: number, random: () => number): HiddenStudio {
  const hiddens: Hidden[] = [];
  const colours: Lab[] = [];
  while (hiddens.length < count) {
    const one = oscillators(random, hiddens.length);
    const lab = labOfMix([one], { of: [0], parts: [1] });
    // a shelf has no two clays of one colour, and its dull ones are mixed, not bought
    const apart = colours.every((c) => Math.hypot(c.l - lab.l, c.a - lab.a, c.b - lab.b) > 22);
    if (hiddens.length > 1 && (!apart || Math.hypot(lab.a, lab.b) < 25)) continue;
    hiddens.push(one);
    colours.push(lab);
  }
  const clays = colours.map((lab, i): Clay => {
    const hex = hexOf(xyzOfLab(lab));
    return {
      id: `clay ${i}`,
      lineId: 'line',
      name: `Clay ${i}`,
      kind: 'opaque',
      rawHex: hex,
      bakedHex: hex,
      strength: null,
    };
  });
  const truth = (mix: Mixed): Lab => labOfMix(hiddens, mix);
  return { clays, truth, read: (mix) => noisy(truth(mix), 0.5, random) };
}
