import { BANDS, WEIGHTS, WHITE } from './bands.js';
import { lightnessScale, rotationAngle, rotationChroma, stretchOf } from './ciede2000.js';
import { rootOf, type Lab } from './lab.js';

/** All colours whose L*, a* and b* lie between two values each. */
export interface LabBox {
  readonly low: Lab;
  readonly high: Lab;
}

/** f(ρy) − f(y). It rises with ρ; with y it moves away from 0, so its extremes are at the ends. */
const opponent = (ratio: number, y: number): number => rootOf(ratio * y) - rootOf(y);

const X = WEIGHTS.slice(0, BANDS);
const Y = WEIGHTS.slice(BANDS, 2 * BANDS);
const Z = WEIGHTS.slice(2 * BANDS);

/**
 * A box around every colour whose reflectance lies between two curves.
 * X and Z are bounded through their ratio to Y, since they rise and fall
 * together: with ρ₀ the ratio half way, X − ρ₀Y is a sum over bands that is 0
 * half way, and differs from it by at most half the distance of the curves
 * in each band.
 * @param low @param high reflectance in each of the 36 bands, low ≤ high, > 0
 */
export function labBoxOf(low: Float64Array, high: Float64Array): LabBox {
  let yl = 0;
  let yh = 0;
  let x = 0;
  let z = 0;
  for (let band = 0; band < BANDS; band++) {
    const l = low[band] as number;
    const h = high[band] as number;
    yl += (Y[band] as number) * l;
    yh += (Y[band] as number) * h;
    x += (X[band] as number) * (l + h);
    z += (Z[band] as number) * (l + h);
  }
  const rx = x / (yl + yh);
  const rz = z / (yl + yh);
  let xh = 0;
  let zh = 0;
  for (let band = 0; band < BANDS; band++) {
    const half = ((high[band] as number) - (low[band] as number)) / 2;
    const wy = Y[band] as number;
    xh += Math.abs((X[band] as number) - rx * wy) * half;
    zh += Math.abs((Z[band] as number) - rz * wy) * half;
  }
  const xl = -xh;
  const zl = -zh;
  const lowest = (ratio: number, d: number, white: number): number =>
    Math.max(0, ratio + d / (d < 0 ? yl : yh)) / white;
  const highest = (ratio: number, d: number, white: number): number => (ratio + d / (d > 0 ? yl : yh)) / white;
  const [axl, axh] = [lowest(rx, xl, WHITE.x), highest(rx, xh, WHITE.x)];
  const [azl, azh] = [lowest(rz, zl, WHITE.z), highest(rz, zh, WHITE.z)];
  return {
    low: {
      l: 116 * rootOf(yl) - 16,
      a: 500 * Math.min(opponent(axl, yl), opponent(axl, yh)),
      b: -200 * Math.max(opponent(azh, yl), opponent(azh, yh)),
    },
    high: {
      l: 116 * rootOf(yh) - 16,
      a: 500 * Math.max(opponent(axh, yl), opponent(axh, yh)),
      b: -200 * Math.min(opponent(azl, yl), opponent(azl, yh)),
    },
  };
}

const gap = (value: number, low: number, high: number): number => Math.max(0, low - value, value - high);
const DEGREE = Math.PI / 180;
/** Stretching a* turns a hue by less than this. */
const STRETCH_TURN = 12;
/** A rotation smaller than this takes so little away that its hue is not worth looking at. */
const SMALL_ROTATION = 0.05;

const turnOf = (b: number, a: number, from: number): number => ((Math.atan2(b, a) / DEGREE - from + 540) % 360) - 180;

/**
 * The largest that the rotation term of ΔE00 can be between `target` and any
 * colour of the box: it matters for strong blues only.
 */
function mostRotation(target: Lab, { low, high }: LabBox, meanChroma: number): number {
  const worst = Math.sin(60 * DEGREE) * rotationChroma(meanChroma);
  const holdsGrey = low.a <= 0 && high.a >= 0 && low.b <= 0 && high.b >= 0;
  if (worst < SMALL_ROTATION || holdsGrey) return worst;
  const hue = Math.atan2(target.b, target.a) / DEGREE;
  const [p, q, r, s] = [
    turnOf(low.b, low.a, hue),
    turnOf(high.b, low.a, hue),
    turnOf(low.b, high.a, hue),
    turnOf(high.b, high.a, hue),
  ];
  const [least, most] = [Math.min(p, q, r, s), Math.max(p, q, r, s)];
  if (most - least >= 180) return worst;
  const [from, to] = [hue + least / 2 - STRETCH_TURN, hue + most / 2 + STRETCH_TURN];
  // the nearest that the mean hue comes to 275°, which is also −85°
  const away = Math.min(gap(275, from, to), gap(-85, from, to), gap(635, from, to));
  return Math.sin(2 * rotationAngle(away) * DEGREE) * rotationChroma(meanChroma);
}

/**
 * A lower bound of ΔE00 between `target` and every colour of a box: never
 * above the true least difference. S_C is the largest of the scales, the
 * rotation takes away at most half its size, and stretching a* only widens
 * differences.
 */
export function leastDeltaE(target: Lab, box: LabBox): number {
  const { low, high } = box;
  const dl = gap(target.l, low.l, high.l);
  const l = target.l < low.l ? low.l : high.l;
  const light = dl === 0 ? 0 : dl / lightnessScale((target.l + l) / 2);
  const da = gap(target.a, low.a, high.a);
  const db = gap(target.b, low.b, high.b);
  if (da === 0 && db === 0) return light;
  const own = Math.sqrt(target.a ** 2 + target.b ** 2);
  const far = Math.sqrt(Math.max(low.a ** 2, high.a ** 2) + Math.max(low.b ** 2, high.b ** 2));
  const near = Math.sqrt(gap(0, low.a, high.a) ** 2 + gap(0, low.b, high.b) ** 2);
  const chroma = ((own + far) / 2) * (1 + stretchOf((own + near) / 2));
  const scale = 1 + 0.045 * chroma;
  const kept = 1 - mostRotation(target, box, chroma) / 2;
  return Math.sqrt(light * light + (kept * (da * da + db * db)) / (scale * scale));
}
