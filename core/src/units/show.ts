import {
  GRAMS_PER_OUNCE,
  MM_PER_INCH,
  type Celsius,
  type Grams,
  type Minutes,
  type Mm,
  type UnitSystem,
} from './measures.js';

const trimZeros = (text: string): string => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);

/**
 * Figures that a small amount keeps: 0.04 g is not 0 g. Of a length one says enough, as its last place is the
 * hand's.
 */
const KEPT_OF_MASS = 2;
const KEPT_OF_LENGTH = 1;
const MOST_PLACES = 7;

/** A number to so many places, and to more where it would lose its sense. Rounded once; no mark between thousands. */
function digits(value: number, places: number, kept = KEPT_OF_LENGTH): string {
  const size = Math.abs(value);
  if (size === 0 || size >= 1) return value.toFixed(places);
  // of the rounded one: 0.0996 rounds up to the next place
  const needed = kept - 1 - Math.floor(Math.log10(Number(size.toPrecision(kept))));
  return value.toFixed(Math.min(MOST_PLACES, Math.max(places, needed)));
}

/** A length to read: `18 mm`, `0.71 in`. Thicknesses want `fine`: `1.52 mm`, `0.060 in`. */
export function showLength(mm: Mm, system: UnitSystem, fine = false): string {
  if (system === 'imperial') {
    const inches = mm / MM_PER_INCH;
    return `${fine ? digits(inches, 3) : trimZeros(digits(inches, 2))} in`;
  }
  return `${fine ? digits(mm, 2) : trimZeros(digits(mm, 1))} mm`;
}

/** From so many mm on hands reach a length to the whole one. */
const WHOLE_MM = 10;

/** A length that hands reach: `138 mm`, `7.4 mm`, `5.43 in`. */
export const showLong = (mm: Mm, system: UnitSystem): string =>
  showLength(system === 'metric' && mm >= WHOLE_MM ? Math.round(mm) : mm, system);

/** Width by height: `145 × 95 mm`. */
export function showSize(width: Mm, height: Mm, system: UnitSystem): string {
  const plain = (mm: Mm): string => showLength(mm, system).replace(/ (mm|in)$/, '');
  return `${plain(width)} × ${showLength(height, system)}`;
}

/** A measure in both systems, for a sentence that does not know its reader: `57 g (2.01 oz)`. */
export const inBoth = (show: (system: UnitSystem) => string): string => `${show('metric')} (${show('imperial')})`;

/** From so many grams on, tenths of them say nothing. */
const WHOLE_GRAMS = 1000;

/** A weight to read: `14.2 g`, `145 g`, `0.04 g`, `0.50 oz`, `0.0035 oz`. */
export function showMass(grams: Grams, system: UnitSystem): string {
  if (system === 'imperial') return `${digits(grams / GRAMS_PER_OUNCE, 2, KEPT_OF_MASS)} oz`;
  return `${trimZeros(digits(grams, Math.abs(grams) >= WHOLE_GRAMS ? 0 : 1, KEPT_OF_MASS))} g`;
}

/** A temperature to read, to the degree: `130 °C`, `266 °F`. */
export function showTemperature(celsius: Celsius, system: UnitSystem): string {
  return system === 'imperial' ? `${Math.round((celsius * 9) / 5 + 32)} °F` : `${Math.round(celsius)} °C`;
}

/** An area in cm² or square inches, from mm². */
export function showArea(mm2: number, system: UnitSystem): string {
  return system === 'imperial'
    ? `${digits(mm2 / MM_PER_INCH ** 2, 1)} sq in`
    : `${digits(mm2 / 100, mm2 < 10_000 ? 1 : 0)} cm²`;
}

/** A length of time to read: `40 min`, `1 h 25 min`. */
export function showMinutes(minutes: Minutes): string {
  const whole = Math.round(minutes);
  if (whole < 90) return `${whole} min`;
  const rest = whole % 60;
  return rest === 0 ? `${Math.floor(whole / 60)} h` : `${Math.floor(whole / 60)} h ${rest} min`;
}
