import { Type } from 'class-transformer';
import { Complaint, GRAMS_PER_OUNCE, MM_PER_INCH, attempt, readNumber } from '#core/units';
import {
  IsInt,
  IsNumber,
  IsObject,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateBy,
  ValidateIf,
  ValidateNested,
} from 'class-validator';

/** A rule and what it needs around it, as one decorator. */
export function all(...decorators: PropertyDecorator[]): PropertyDecorator {
  return (target, key) => {
    for (const decorate of decorators) decorate(target, key);
  };
}

/** An id that the browser makes, so that a change can be sent twice without harm. */
export const Id = (): PropertyDecorator => all(IsUUID('all', { message: 'This is not an id of Sledge.' }));

export const Optional = (): PropertyDecorator => ValidateIf((_, value) => value !== null);

/** May be null, and may be left out. */
export const Omittable = (): PropertyDecorator => ValidateIf((_, value) => value !== null && value !== undefined);

/** A name as a maker writes it: not empty, at most 80 letters, no line breaks. */
export const Name = (what: string): PropertyDecorator =>
  all(
    IsString({ message: `${what} needs a name.` }),
    Matches(/\S/, { message: `${what} needs a name.` }),
    Matches(/^[^\n\r\t"]*$/, { message: 'A name cannot hold line breaks or double quotation marks.' }),
    MaxLength(80, { message: 'A name has at most 80 letters.' }),
  );

/** One thing inside another, which has to be there. */
export const Inside = (type: () => new () => object, what: string): PropertyDecorator =>
  all(IsObject({ message: `${what} is missing.` }), ValidateNested(), Type(type));

const isThing = (value: unknown): boolean => typeof value === 'object' && value !== null && !Array.isArray(value);

/** Every element of a list is a thing with fields; that it is a list has a rule and a sentence of its own. */
export const Things = (type: () => new () => object): PropertyDecorator =>
  all(
    ValidateBy({
      name: 'things',
      validator: {
        validate: (value: unknown) => !Array.isArray(value) || value.every(isThing),
        defaultMessage: () => 'Every element of this list has to be a thing with fields.',
      },
    }),
    ValidateNested({ each: true }),
    Type(type),
  );

export const Text = (most: number): PropertyDecorator =>
  all(
    IsString({ message: 'This has to be text.' }),
    MaxLength(most, { message: `At most ${most.toLocaleString('en')} letters fit here.` }),
  );

const IMPERIAL: Readonly<Record<string, (x: number) => string>> = {
  mm: (x) => `${+(x / MM_PER_INCH).toPrecision(2)} in`,
  g: (x) => `${+(x / GRAMS_PER_OUNCE).toPrecision(2)} oz`,
  '°C': (x) => `${Math.round((x * 9) / 5 + 32)} °F`,
};

/** `60 to 200 °C (140 °F to 392 °F)`: a sentence does not know which units its reader uses. */
function range(low: number, high: number, unit: string): string {
  const other = IMPERIAL[unit];
  return (
    `${low} to ${high.toLocaleString('en')}${unit === '' ? '' : ` ${unit}`}` +
    (other ? ` (${other(low)} to ${other(high)})` : '')
  );
}

/** A number in a range; the sentence names the unit the wire uses. */
export const Between = (what: string, low: number, high: number, unit: string): PropertyDecorator => {
  const message = `${what} has to be a number from ${range(low, high, unit)}.`;
  return all(
    IsNumber({ allowNaN: false, allowInfinity: false }, { message }),
    Min(low, { message }),
    Max(high, { message }),
  );
};

export const Whole = (what: string, low: number, high: number): PropertyDecorator => {
  const message = `${what} has to be a whole number from ${range(low, high, '')}.`;
  return all(IsInt({ message }), Min(low, { message }), Max(high, { message }));
};

export const Hex = (): PropertyDecorator =>
  all(
    IsString({ message: 'A colour is six digits, as in 7B1E4B.' }),
    Matches(/^[0-9A-Fa-f]{6}$/, { message: 'A colour is six digits, as in 7B1E4B.' }),
  );

const DAY_MESSAGE = 'A date is written 2024-09-15, and has to be a day that the calendar has.';

/** Whether a text is a day of the calendar: 2026-02-31 is none. */
function isDay(value: unknown): boolean {
  if (typeof value !== 'string' || !/^(19|20)\d\d-\d\d-\d\d$/.test(value)) return false;
  const day = new Date(`${value}T00:00:00Z`);
  return !Number.isNaN(day.getTime()) && day.toISOString().startsWith(value);
}

export const IsoDate = (): PropertyDecorator =>
  ValidateBy({ name: 'isoDate', validator: { validate: isDay, defaultMessage: () => DAY_MESSAGE } });

/** An exact number of parts as text: `3`, `1/4`. */
export const Parts = (): PropertyDecorator =>
  ValidateBy({
    name: 'parts',
    validator: {
      validate: (value: unknown) => typeof value === 'string' && partsWrong(value) === null,
      defaultMessage: (args) =>
        typeof args?.value === 'string' ? (partsWrong(args.value) ?? '') : 'Parts are written as 2, 1/4 or 1.5.',
    },
  });

function partsWrong(text: string): string | null {
  try {
    readNumber(text);
    return null;
  } catch (error) {
    if (error instanceof Complaint) return error.message;
    throw error;
  }
}

/**
 * The number every thing carries. It comes from the server and grows with
 * each change; 0 says that the thing is new. A change sent with an older
 * number is refused, so that two windows cannot overwrite each other.
 */
export const Version = (): PropertyDecorator => Whole('The version', 0, Number.MAX_SAFE_INTEGER);

const isPoint = (value: unknown): boolean =>
  Array.isArray(value) && value.length === 2 && value.every((x) => typeof x === 'number' && Math.abs(x) <= 1e6);

/** A closed line: a list of places, x then y. */
export const PointList = (what: string, most: number): PropertyDecorator =>
  ValidateBy({
    name: 'pointList',
    validator: {
      validate: (value: unknown) => Array.isArray(value) && value.length <= most && value.every(isPoint),
      defaultMessage: () => `${what} is a list of at most ${most.toLocaleString('en')} places, x and y.`,
    },
  });

/** The rule for a document: core reads it, and what it complains about is the sentence. @param read throws Complaint */
export function ReadBy(read: (value: unknown) => unknown): PropertyDecorator {
  const wrong = (value: unknown): string | null =>
    attempt(
      () => {
        read(value);
        return null;
      },
      ({ message }) => message,
    );
  return ValidateBy({
    name: 'program',
    validator: {
      validate: (value: unknown) => wrong(value) === null,
      defaultMessage: (args) => wrong(args?.value) ?? '',
    },
  });
}
