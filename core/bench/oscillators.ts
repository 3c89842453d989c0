import { BANDS } from '#core/colour';

/** Absorption and scattering of a pigment, one number for each of the 36 bands. */
export interface Hidden {
  readonly k: Float64Array;
  readonly s: Float64Array;
}

/** Photon energy of a band in electronvolts. */
const energyOf = (band: number): number => 1239.84 / (380 + 10 * band);

type Between = (low: number, high: number) => number;
type Absorbs = (energy: number) => number;

const logBetween = (between: Between, low: number, high: number): number =>
  Math.exp(between(Math.log(low), Math.log(high)));

/** A semiconductor: an exponential tail below the gap (F. Urbach, 1953), a square root above it (J. Tauc, 1966). */
function semiconductor(between: Between): Absorbs {
  const [gap, tail, height, rise] = [
    between(1.95, 2.75),
    between(0.03, 0.075),
    logBetween(between, 0.8, 6),
    between(0.3, 1.5),
  ];
  return (energy) =>
    energy < gap ? height * Math.exp((energy - gap) / tail) : height * (1 + rise * Math.sqrt(energy - gap));
}

/**
 * A dye: a band with its vibrations above it, each a line of H. Lorentz's shape with the far wings cut (exponent
 * 3/2), and one in the violet.
 */
function dye(between: Between): Absorbs {
  const [centre, width, height] = [between(1.75, 2.6), between(0.06, 0.13), logBetween(between, 0.8, 8)];
  const [spacing, ratio] = [between(0.15, 0.19), between(0.3, 0.9)];
  const [violet, violetHeight] = [between(3.1, 3.7), logBetween(between, 0.2, 2.5)];
  const line = (energy: number, at: number, wide: number): number => (1 + ((energy - at) / wide) ** 2) ** -1.5;
  return (energy) => {
    const band = [0, 1, 2].reduce(
      (sum, n) => sum + ratio ** n * line(energy, centre + n * spacing, width * (1 + 0.3 * n)),
      0,
    );
    return height * band + violetHeight * line(energy, violet, 0.35);
  };
}

/** Metal ions: two broad transitions. */
function ions(between: Between): Absorbs {
  const bands = [0, 1].map((n) => ({
    at: between(1.6, 2.3) + n * between(0.6, 1),
    width: between(0.15, 0.32),
    height: logBetween(between, 0.3, 4),
  }));
  return (energy) =>
    bands.reduce((sum, { at, width, height }) => sum + height * Math.exp(-(((energy - at) / width) ** 2)), 0);
}

const COLOURED = [semiconductor, dye, dye, semiconductor, ions];

/**
 * A pigment made of what absorbs in it, by photon energy: shapes that
 * neither Sledge's curves nor what it expects of pigments are made of.
 * @param place 0 the white, 1 the black, the others coloured
 */
export function oscillators(random: () => number, place: number): Hidden {
  const between: Between = (low, high) => low + (high - low) * random();
  const strength = logBetween(between, 0.2, 5);
  const floor = logBetween(between, 0.003, 0.03);
  const power = between(-0.3, 1.2);
  const kind = COLOURED[Math.floor(random() * COLOURED.length)] ?? dye;
  const coloured = kind(between);
  const absorbs: Absorbs = (energy) => {
    if (place === 0) return 0.003 + 0.4 * Math.exp((energy - 3.25) / 0.06);
    return place === 1 ? 11 + energy : floor + coloured(energy);
  };
  return {
    k: Float64Array.from({ length: BANDS }, (_, band) => strength * absorbs(energyOf(band))),
    s: Float64Array.from({ length: BANDS }, (_, band) => strength * (energyOf(band) / 2.25) ** power),
  };
}
