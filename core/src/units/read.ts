import { Complaint } from './complaint.js';
import { NUMBER_PATTERN, readNumber } from './number.js';
import {
  GRAMS_PER_OUNCE,
  MM_PER_INCH,
  type Celsius,
  type Grams,
  type Minutes,
  type Mm,
  type UnitSystem,
} from './measures.js';
import { withDigits, withoutRoughly } from './words.js';
import { complaint } from './sentences.js';

type Convert = (x: number) => number;
interface Kind {
  readonly wanted: string;
  /** by every way a unit is written, in small letters and without a full stop */
  readonly units: ReadonlyMap<string, Convert>;
  readonly bare: Readonly<Record<UnitSystem, Convert>>;
  /** a sign that stands for the unit of either system */
  readonly sign?: string;
}

const times =
  (factor: number): Convert =>
  (x) =>
    x * factor;
const same: Convert = (x) => x;
const toC: Convert = (f) => ((f - 32) * 5) / 9;
const unitsOf = (...groups: readonly (readonly [string, Convert])[]): Map<string, Convert> =>
  new Map(groups.flatMap(([names, convert]) => names.split(' ').map((name): [string, Convert] => [name, convert])));

const KINDS = {
  length: {
    wanted: 'a length. Write 1.5 mm, 2 cm or 1/8 in',
    units: unitsOf(
      ['mm millimetre millimetres millimeter millimeters', same],
      ['cm centimetre centimetres centimeter centimeters', times(10)],
      ['m metre metres meter meters', times(1000)],
      ['in inch inches "', times(MM_PER_INCH)],
      ["ft foot feet '", times(12 * MM_PER_INCH)],
    ),
    bare: { metric: same, imperial: times(MM_PER_INCH) },
  },
  mass: {
    wanted: 'a weight. Write 14 g or ½ oz',
    units: unitsOf(
      ['g gm gms gr gram grams gramme grammes', same],
      ['kg kgs kilo kilos kilogram kilograms', times(1000)],
      ['oz ozs ounce ounces', times(GRAMS_PER_OUNCE)],
      ['lb lbs pound pounds', times(16 * GRAMS_PER_OUNCE)],
    ),
    bare: { metric: same, imperial: times(GRAMS_PER_OUNCE) },
  },
  temperature: {
    wanted: 'a temperature. Write 130 °C or 265 °F',
    sign: '°',
    units: unitsOf(['c °c celsius centigrade °celsius', same], ['f °f fahrenheit °fahrenheit', toC]),
    bare: { metric: same, imperial: toC },
  },
  time: {
    wanted: 'a time. Write 40 min, 2 h or 1 h 30 min',
    units: unitsOf(
      ['min mins minute minutes', same],
      ['h hr hrs hour hours', times(60)],
      ['d day days', times(24 * 60)],
    ),
    bare: { metric: same, imperial: same },
  },
} satisfies Record<string, Kind>;

/**
 * One way to write what people write in many: small letters, straight quotation marks, no words that only make a
 * number rough.
 */
function plain(text: string): string {
  const marks = text
    .replace(/[“”„″]|''|’’|′′/g, '"')
    .replace(/[‘’′]/g, "'")
    .replace(/º/g, '°')
    .replace(/⁄/g, '/');
  return withDigits(withoutRoughly(marks))
    .replace(/\b(?:degrees?|deg)\b\.?/g, '°')
    .replace(/°\s+/g, '°')
    .replace(/(?<=\/\d+)\s*(?:th|nd|rd)s?\b/g, '')
    .replace(/(?<=[\d½¼¾⅓⅔⅛⅜⅝⅞])\s*of an?\b/g, '')
    .replace(/^an? (?=[a-z])/, '1 ');
}

/** A number and, where one stands behind it, its unit. */
interface Part {
  readonly number: string;
  readonly unit: string;
}
const UNIT = /^\s*([a-z°"']*)\.?/;
/** What may stand between two parts of one measure. */
const JOINED = /^(?:\s*,)?\s*(?:and\b|&)?\s*/;

/** The parts of a measure in order, `1 lb 2 oz` as two; null where something else stands there. */
function partsOf(text: string): Part[] | null {
  const parts: Part[] = [];
  for (let rest = text; rest !== '';) {
    const number = NUMBER_PATTERN.exec(rest)?.[0];
    if (number === undefined) return null;
    rest = rest.slice(number.length);
    const [whole, unit = ''] = UNIT.exec(rest) ?? [''];
    const joiner = unit === 'and';
    if (!joiner) rest = rest.slice(whole.length);
    parts.push({ number, unit: joiner ? '' : unit });
    rest = rest.replace(JOINED, '');
  }
  return parts;
}

/** A fraction behind a unit, as in `an inch and a half`. */
const isFraction = (number: string): boolean => /^(?:\d+\s*\/\s*\d+|[½¼¾⅓⅔⅛⅜⅝⅞])$/.test(number);

function sumOfParts(parts: readonly Part[], kind: Kind, system: UnitSystem): number | null {
  const [first, second] = parts;
  if (!first || parts.length > 2) return null;
  const convert = first.unit === '' || first.unit === kind.sign ? kind.bare[system] : kind.units.get(first.unit);
  if (!convert) return null;
  const value = readNumber(first.number).valueOf();
  if (!second) return convert(value);
  if (first.unit === '') return null;
  if (second.unit === '')
    return isFraction(second.number) ? convert(value + readNumber(second.number).valueOf()) : null;
  const smaller = kind.units.get(second.unit);
  const more = smaller?.(readNumber(second.number).valueOf()) ?? Infinity;
  // two units of one measure: the smaller one behind, and less of it than one of the larger
  return smaller && smaller(1) < convert(1) && more < convert(1) ? convert(value) + more : null;
}

/** The choices of a number with two meanings, within what else was written. */
function within(error: Complaint, text: string, number: string): Complaint {
  return new Complaint(
    error.code,
    error.message,
    error.at,
    error.choices.map((choice) => text.replace(number, choice)),
  );
}

function read(kind: Kind, text: string, system: UnitSystem): number {
  const trimmed = text.trim();
  if (trimmed === '') throw complaint('unit/empty');
  const unreadable = complaint('unit/unreadable', { text: trimmed, wanted: kind.wanted });
  const parts = partsOf(plain(trimmed));
  if (!parts) throw unreadable;
  try {
    const sum = sumOfParts(parts, kind, system);
    if (sum === null) throw unreadable;
    return sum;
  } catch (error) {
    if (!(error instanceof Complaint)) throw error;
    // a number with two meanings says which; of all others it is enough to say what is wanted
    throw error.code === 'number/ambiguous' ? within(error, trimmed, parts[0]?.number ?? '') : unreadable;
  }
}

/**
 * Reads a typed length. A bare number is millimetres, or inches where the
 * person works in the imperial system.
 * @throws Complaint `unit/empty`, `unit/unreadable`, `number/ambiguous`
 */
export function readLength(text: string, system: UnitSystem): Mm {
  return read(KINDS.length, text.trim().replace(LYING, ''), system);
}
/** Words behind a length that say which way it lies. */
const LYING = /\s+(?:thick|wide|long|high|deep|across|in diameter|diameter|each)$/i;

/** Reads a typed weight; a bare number is grams, or ounces. @throws Complaint as {@link readLength} */
export function readMass(text: string, system: UnitSystem): Grams {
  return read(KINDS.mass, text, system);
}

/** Reads a typed temperature; a bare number is °C, or °F. @throws Complaint as {@link readLength} */
export function readTemperature(text: string, system: UnitSystem): Celsius {
  return read(KINDS.temperature, text, system);
}

/**
 * Reads a typed time as minutes; a bare number is minutes, or hours where the field says those.
 * @throws Complaint as {@link readLength}
 */
export function readMinutes(text: string, bare: 'min' | 'h' = 'min'): Minutes {
  const number = NUMBER_PATTERN.exec(text.trim())?.[0];
  const isBare = number !== undefined && number.trim() === text.trim();
  return read(KINDS.time, isBare ? `${text} ${bare}` : text, 'metric');
}

const ROUND = /\b(?:round|circle|circular|disc|disk|diameter|dia|across)\b\.?|[øØ⌀]/gi;
const SQUARE = /\bsquare\b/gi;
const OTHER = /\b(?:cutter|rectangle|rectangular|an?|the|size)\b/gi;

/** The unit that stands last in a text, for a side that has none of its own. */
const unitAt = (side: string): string => /[a-z"″”'’°.]*$/i.exec(side.trim())?.[0] ?? '';

/**
 * Reads a size written as `18 mm` or `18 mm round`, `20 mm square`, or
 * `12 × 30 mm` (width by height); a unit at one side holds for both.
 * @throws Complaint `unit/empty`, `unit/unreadable`
 */
export function readSize(text: string, system: UnitSystem): { width: Mm; height: Mm | null } {
  const unreadable = complaint('unit/unreadable', {
    text: text.trim(),
    wanted: 'a size. Write 18 mm, 20 mm square or 12 × 30 mm',
  });
  const [round, square] = [ROUND, SQUARE].map((word) => new RegExp(word.source, 'i').test(text)) as [boolean, boolean];
  const bare = text
    .replace(ROUND, ' ')
    .replace(SQUARE, ' ')
    .replace(/^\s*(?:an?|the)\s+/i, '')
    .replace(OTHER, (word) => (/^an?$/i.test(word) ? word : ' '))
    .trim();
  if (bare === '' && text.trim() !== '') throw unreadable;
  const sides = bare.split(/\s*(?:[×*]|\bby\b|(?<=[\d\s"a-z.½¼¾⅓⅔⅛⅜⅝⅞])x(?=[\s\d½¼¾⅓⅔⅛⅜⅝⅞]))\s*/i);
  const [first = '', second] = sides;
  if (sides.length > 2 || (second !== undefined && (round || square))) throw unreadable;
  if (second === undefined) {
    const width = readLength(first, system);
    return { width, height: square ? width : null };
  }
  const [ownUnit, otherUnit] = [unitAt(first), unitAt(second)];
  return {
    width: readLength(ownUnit === '' ? `${first}${otherUnit}` : first, system),
    height: readLength(otherUnit === '' ? `${second}${ownUnit}` : second, system),
  };
}
