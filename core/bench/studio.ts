import type { Clay } from '#core/clay';
import { normalFrom } from '#core/units';
import { BANDS, WEIGHTS, deltaEFrame, hexOf, labOf, xyzOfLab, type Lab } from '#core/colour';

/**
 * A studio whose clays nobody knows: two-constant Kubelka–Munk pigments with
 * curves of their own for absorption and for scattering (sums of sigmoids
 * and bells, nothing of Sledge's upsampling), strengths from 0.2 to 5, and a
 * surface that reflects (J. L. Saunderson, 1942). What Sledge is told of
 * them is the colour of each pure clay, and chips as a reader reads them.
 */
interface Hidden { readonly k: Float64Array; readonly s: Float64Array }

export interface Mixed { readonly of: readonly number[]; readonly parts: readonly number[] }

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

const sigmoid = (x: number): number => 1 / (1 + Math.exp(-x));
const bell = (x: number): number => Math.exp(-x * x / 2);

function hidden(random: () => number, kind: number): Hidden {
  const between = (low: number, high: number): number => low + (high - low) * random();
  const strength = Math.exp(between(Math.log(0.2), Math.log(5)));
  const k = new Float64Array(BANDS);
  const s = new Float64Array(BANDS);
  const edge = between(440, 640);
  const width = between(8, 24);
  const rising = random() < 0.75;
  const high = Math.exp(between(Math.log(0.6), Math.log(6)));
  const floor = Math.exp(between(Math.log(0.004), Math.log(0.05)));
  const bells = Array.from({ length: 2 }, () => ({ at: between(400, 700), width: between(20, 50), height: Math.exp(between(Math.log(0.03), Math.log(2))) }));
  const slope = between(-0.25, 0.25);
  for (let band = 0; band < BANDS; band++) {
    const nm = 380 + 10 * band;
    const step = sigmoid(((rising ? -1 : 1) * (nm - edge)) / width);
    let absorbs = floor + high * step + bells.reduce((sum, b) => sum + b.height * bell((nm - b.at) / b.width), 0);
    if (kind === 0) absorbs = 0.003 + 0.05 * sigmoid((415 - nm) / 12);
    if (kind === 1) absorbs = 12 + 3 * sigmoid((nm - 560) / 60);
    k[band] = strength * absorbs;
    s[band] = strength * Math.exp(slope * ((nm - 555) / 175)) * (1 + (kind > 1 ? 0.2 * bell((nm - edge) / 40) : 0));
  }
  return { k, s };
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
    const one = hidden(random, hiddens.length);
    const lab = labOfMix([one], { of: [0], parts: [1] });
    // a shelf has no two clays of one colour, and its dull ones are mixed, not bought
    const apart = colours.every((c) => Math.hypot(c.l - lab.l, c.a - lab.a, c.b - lab.b) > 22);
    if (hiddens.length > 1 && (!apart || Math.hypot(lab.a, lab.b) < 25)) continue;
    hiddens.push(one);
    colours.push(lab);
  }
  const clays = colours.map((lab, i): Clay => {
    const hex = hexOf(xyzOfLab(lab));
    return { id: `clay ${i}`, lineId: 'line', name: `Clay ${i}`, kind: 'opaque', rawHex: hex, bakedHex: hex, strength: null };
  });
  const truth = (mix: Mixed): Lab => labOfMix(hiddens, mix);
  return { clays, truth, read: (mix) => noisy(truth(mix), 0.5, random) };
}
