import { Complaint, complaint } from './complaint.js';
import { readNumber } from './number.js';
import {
  GRAMS_PER_OUNCE, MM_PER_INCH, type Celsius, type Grams, type Mm, type UnitSystem,
} from './measures.js';

interface Kind {
  readonly wanted: string;
  readonly units: Readonly<Record<string, (x: number) => number>>;
  readonly bare: Readonly<Record<UnitSystem, string>>;
}

const toC = (f: number): number => ((f - 32) * 5) / 9;
const same = (x: number): number => x;

const KINDS = {
  length: {
    wanted: 'a length. Write 1.5 mm, 2 cm or 1/8 in',
    units: {
      mm: same, cm: (x) => x * 10, m: (x) => x * 1000,
      in: (x) => x * MM_PER_INCH, inch: (x) => x * MM_PER_INCH, inches: (x) => x * MM_PER_INCH,
      '"': (x) => x * MM_PER_INCH, '″': (x) => x * MM_PER_INCH,
    },
    bare: { metric: 'mm', imperial: 'in' },
  },
  mass: {
    wanted: 'a weight. Write 14 g or ½ oz',
    units: {
      g: same, kg: (x) => x * 1000, gram: same, grams: same,
      oz: (x) => x * GRAMS_PER_OUNCE, ounce: (x) => x * GRAMS_PER_OUNCE,
      ounces: (x) => x * GRAMS_PER_OUNCE, lb: (x) => x * 16 * GRAMS_PER_OUNCE,
    },
    bare: { metric: 'g', imperial: 'oz' },
  },
  temperature: {
    wanted: 'a temperature. Write 130 °C or 265 °F',
    units: { c: same, '°c': same, '°f': toC, f: toC, '°': same },
    bare: { metric: 'c', imperial: 'f' },
  },
} satisfies Record<string, Kind>;

function read(kind: Kind, text: string, system: UnitSystem): number {
  const trimmed = text.trim();
  if (trimmed === '') throw complaint('unit/empty');
  const split = /^(.*?[\d½¼¾⅓⅔⅛⅜⅝⅞])\s*([^\d½¼¾⅓⅔⅛⅜⅝⅞]*)$/u.exec(trimmed);
  const unreadable = complaint('unit/unreadable', { text: trimmed, wanted: kind.wanted });
  if (!split) throw unreadable;
  const unit = (split[2] ?? '').trim().toLowerCase() || kind.bare[system];
  const convert = Object.hasOwn(kind.units, unit) ? kind.units[unit] : undefined;
  if (!convert) throw unreadable;
  try {
    return convert(readNumber(split[1] ?? '').valueOf());
  } catch (error) {
    // a number with two meanings says which; of all others it is enough to say what is wanted
    if (error instanceof Complaint && error.code !== 'number/ambiguous') throw unreadable;
    throw error;
  }
}

/**
 * Reads a typed length. A bare number is millimetres, or inches where the
 * person works in the imperial system.
 * @throws Complaint `unit/empty`, `unit/unreadable`, `number/ambiguous`
 */
export function readLength(text: string, system: UnitSystem): Mm {
  return read(KINDS.length, text, system);
}

/** Reads a typed weight; a bare number is grams, or ounces. @throws Complaint as {@link readLength} */
export function readMass(text: string, system: UnitSystem): Grams {
  return read(KINDS.mass, text, system);
}

/** Reads a typed temperature; a bare number is °C, or °F. @throws Complaint as {@link readLength} */
export function readTemperature(text: string, system: UnitSystem): Celsius {
  return read(KINDS.temperature, text, system);
}

/**
 * Reads a size written as `18 mm` (round) or `12 × 30 mm` (width by height);
 * a unit at the end holds for both.
 * @throws Complaint `unit/empty`, `unit/unreadable`
 */
export function readSize(text: string, system: UnitSystem): { width: Mm; height: Mm | null } {
  const sides = text.split(/\s*[×x*]\s*/);
  const [first = '', second] = sides;
  if (sides.length > 2) {
    throw complaint('unit/unreadable', { text: text.trim(), wanted: 'a size. Write 18 mm or 12 × 30 mm' });
  }
  if (second === undefined) return { width: readLength(first, system), height: null };
  const unit = /[^\d½¼¾⅓⅔⅛⅜⅝⅞]*$/u.exec(second.trim())?.[0] ?? '';
  const hasUnit = /[a-z"″]\s*$/i.test(first);
  return {
    width: readLength(hasUnit ? first : `${first}${unit}`, system),
    height: readLength(second, system),
  };
}
