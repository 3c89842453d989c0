import {
  BANDS,
  hexOf,
  kOverS,
  labOf,
  mixPigments,
  reflectance,
  reflectanceOf,
  xyzOfHex,
  xyzOfLab,
  type Lab,
} from '#core/colour';
import { seeded } from '#core/units';

/** A pigment as it could be: its colour, and its reflectance in the 36 bands. */
export interface Shape {
  readonly lab: Lab;
  readonly curve: Float64Array;
}

/** So many are made up; some have colours that no screen shows and are left out. */
const MADE_UP = 1600;
const SURFACE = { outside: 0.04, inside: 0.5 };

const sigmoid = (x: number): number => 1 / (1 + Math.exp(-x));
const bell = (x: number): number => Math.exp((-x * x) / 2);

type Between = (low: number, high: number) => number;
const logBetween = (between: Between, low: number, high: number): number =>
  Math.exp(between(Math.log(low), Math.log(high)));

/** K/S of one: an edge or two, up to three bells, a floor; 36 bands. */
function madeUp(random: () => number): Float64Array {
  const between: Between = (low, high) => low + (high - low) * random();
  const edges = Array.from({ length: Math.floor(between(0, 2.4)) }, () => ({
    at: between(400, 690),
    width: logBetween(between, 5, 35),
    height: logBetween(between, 0.05, 12),
    side: random() < 0.75 ? -1 : 1,
  }));
  const bells = Array.from({ length: Math.floor(between(0, 3.6)) }, () => ({
    at: between(380, 720),
    width: logBetween(between, 12, 70),
    height: logBetween(between, 0.03, 10),
  }));
  const floor = logBetween(between, 0.003, 0.15);
  const tilt = between(-0.6, 0.6);
  return Float64Array.from({ length: BANDS }, (_, band) => {
    const nm = 380 + 10 * band;
    const ofEdges = edges.reduce(
      (sum, { at, width, height, side }) => sum + height * sigmoid((side * (nm - at)) / width),
      0,
    );
    const ofBells = bells.reduce((sum, { at, width, height }) => sum + height * bell((nm - at) / width), 0);
    return (floor + ofEdges + ofBells) * Math.exp((tilt * (nm - 555)) / 175);
  });
}

/** As it is read: a part of the light comes back from the surface. */
function asRead(q: number, share: number): number {
  const inner = reflectance(q);
  const through = ((1 - SURFACE.outside) * (1 - SURFACE.inside) * inner) / (1 - SURFACE.inside * inner);
  return SURFACE.outside * share + through;
}

const labOfCurve = (curve: Float64Array): Lab =>
  labOf(mixPigments([{ scattering: 1, absorption: curve.map(kOverS) }], [1]));

/** Straight L*a*b* distance. */
export const away = (one: Lab, other: Lab): number => Math.hypot(one.l - other.l, one.a - other.a, one.b - other.b);

function shape(random: () => number): Shape | null {
  const own = madeUp(random);
  const share = random();
  const curve = own.map((q) => asRead(q, share));
  const lab = labOfCurve(curve);
  const shown = labOf(xyzOfHex(hexOf(xyzOfLab(lab))));
  return away(shown, lab) > 1 ? null : { lab, curve };
}

/** By how much the logarithm of its K/S differs from the smoothest curve of its colour; 36 bands. */
export function offsetOf({ lab, curve }: Shape): Float64Array {
  const smooth = reflectanceOf(hexOf(xyzOfLab(lab)));
  return curve.map((r, band) => Math.log(kOverS(r) / kOverS(smooth[band] as number)));
}

let known: readonly Shape[] | null = null;

/** Pigments made up of the shapes that pigments have, always the same ones; worked out once. */
export function shapes(): readonly Shape[] {
  const random = seeded(1931);
  known ??= Array.from({ length: MADE_UP }, () => shape(random)).filter((s) => s !== null);
  return known;
}
