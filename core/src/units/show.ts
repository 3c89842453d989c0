import {
  GRAMS_PER_OUNCE, MM_PER_INCH, type Celsius, type Grams, type Minutes, type Mm, type UnitSystem,
} from './measures.js';

const trimZeros = (text: string): string => text.replace(/\.?0+$/, '');
const digits = (value: number, places: number): string => value.toFixed(places);

/** A length to read: `18 mm`, `0.71 in`. Thicknesses want `fine`: `1.52 mm`, `0.060 in`. */
export function showLength(mm: Mm, system: UnitSystem, fine = false): string {
  if (system === 'imperial') {
    const inches = mm / MM_PER_INCH;
    return `${fine ? digits(inches, 3) : trimZeros(digits(inches, 2))} in`;
  }
  return `${fine ? digits(mm, 2) : trimZeros(digits(mm, 1))} mm`;
}

/** Width by height: `145 × 95 mm`. */
export function showSize(width: Mm, height: Mm, system: UnitSystem): string {
  const plain = (mm: Mm): string => showLength(mm, system).replace(/ (mm|in)$/, '');
  return `${plain(width)} × ${showLength(height, system)}`;
}

/** A measure in both systems, for a sentence that does not know its reader: `57 g (2.01 oz)`. */
export const inBoth = (show: (system: UnitSystem) => string): string => `${show('metric')} (${show('imperial')})`;

/** A weight to read: `14.2 g`, `145 g`, `0.50 oz`. */
export function showMass(grams: Grams, system: UnitSystem): string {
  if (system === 'imperial') return `${digits(grams / GRAMS_PER_OUNCE, 2)} oz`;
  const rounded = Math.round(grams * 10) / 10;
  return Number.isInteger(rounded) || Math.abs(rounded) >= 1000
    ? `${Math.round(rounded).toLocaleString('en')} g`
    : `${digits(rounded, 1)} g`;
}

/** A temperature to read, to the degree: `130 °C`, `266 °F`. */
export function showTemperature(celsius: Celsius, system: UnitSystem): string {
  return system === 'imperial'
    ? `${Math.round((celsius * 9) / 5 + 32)} °F`
    : `${Math.round(celsius)} °C`;
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
