import { isOf, materialIn, type MaterialKind } from '#core/material';
import { Complaint, attempt } from '#core/units';

/** What reads the steps of something inside another one. */
export interface Inner {
  readonly steps: (value: unknown, where: string) => void;
}
/**
 * Checks a value of a document; `where` is the way to it, as in `steps 3, diameter`.
 * @throws Complaint `document/format`
 */
export type Check = (value: unknown, where: string, inner: Inner) => void;
/** Fields by their names; those ending in `?` may be left out. */
export type Fields = Readonly<Record<string, Check>>;

/** What is wrong in a document, and where. */
export interface NotThat {
  readonly what: string;
  readonly where: string;
}

class WrongDocument extends Complaint implements NotThat {
  constructor(
    readonly what: string,
    readonly where: string,
  ) {
    super('document/format', `This cannot be read: ${placed({ what, where })}.`);
  }
}

/** The words of what is wrong, with its place where it has one. */
export const placed = ({ what, where }: NotThat): string => `${what}${where === '' ? '' : ` at ${where}`}`;

export function wrong(what: string, where: string): never {
  throw new WrongDocument(what, where);
}
const within = (where: string, name: string): string => (where === '' ? name : `${where}, ${name}`);

export const number =
  (low: number, high: number): Check =>
  (value, where) => {
    if (typeof value !== 'number' || !Number.isFinite(value) || value < low || value > high)
      wrong(`a number from ${low} to ${high.toLocaleString('en')} is wanted`, where);
  };
export const whole =
  (low: number, high: number): Check =>
  (value, where, inner) => {
    number(low, high)(value, where, inner);
    if (!Number.isInteger(value)) wrong('a whole number is wanted', where);
  };
export const text =
  (most: number): Check =>
  (value, where) => {
    if (typeof value !== 'string' || value.length > most) wrong(`text of at most ${most} letters is wanted`, where);
  };
export const yesOrNo: Check = (value, where) => {
  if (typeof value !== 'boolean') wrong('true or false is wanted', where);
};
export const among =
  (...words: readonly string[]): Check =>
  (value, where) => {
    if (typeof value !== 'string' || !words.includes(value)) wrong(`one of ${words.join(', ')} is wanted`, where);
  };
export const list =
  (each: Check, low: number, high: number): Check =>
  (value, where, inner) => {
    if (!Array.isArray(value) || value.length < low || value.length > high)
      return wrong(`a list of ${low} to ${high.toLocaleString('en')} is wanted`, where);
    value.forEach((item, i) => {
      each(item, `${where} ${i + 1}`, inner);
    });
  };

type Thing = Readonly<Record<string, unknown>>;
const isThing = (value: unknown): value is Thing =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A thing with these fields and no others. */
export const object =
  (fields: Fields): Check =>
  (value, where, inner) => {
    if (!isThing(value)) return wrong('an object is wanted', where);
    for (const name of Object.keys(value))
      if (!Object.hasOwn(fields, name) && !Object.hasOwn(fields, `${name}?`))
        wrong(`“${name.slice(0, 40)}” is not known`, where);
    for (const [name, check] of Object.entries(fields)) {
      const plain = name.replace('?', '');
      if (value[plain] !== undefined) check(value[plain], within(where, plain), inner);
      else if (plain === name) wrong(`“${plain}” is missing`, where);
    }
  };

/** The check of the first field that a thing has; `otherwise` where it has none. */
export const whichever =
  (cases: Readonly<Record<string, Check>>, otherwise: Check): Check =>
  (value, where, inner) => {
    const [, check] = (isThing(value) && Object.entries(cases).find(([field]) => field in value)) || [];
    (check ?? otherwise)(value, where, inner);
  };

/** mm of anything that has a size. */
export const LENGTH = number(0.001, 5000);
export const DEGREES = number(-3600, 3600);
export const LENGTH_EITHER_WAY = number(-5000, 5000);

/** The key of a material of one of these kinds. */
const keyOfKind =
  (said: string, ...kinds: readonly MaterialKind[]): Check =>
  (value, where) => {
    const of = typeof value === 'string' ? materialIn(value) : null;
    if (!of || !isOf(of, ...kinds)) wrong(`${said} is wanted`, where);
  };
export const material = keyOfKind('a clay, a mix or a blend', 'clay', 'mix', 'blend');
export const cane = keyOfKind('a cane', 'cane');
const point = list(LENGTH_EITHER_WAY, 2, 2);
export const points = list(point, 3, 6000);
/** Sheets of a roll or a loaf at the most. */
export const MOST_LAYERS = 12;
export const layers = list(object({ of: material, thickness: LENGTH }), 1, MOST_LAYERS);

/**
 * Reads a document by its checks; what is wrong with it is said in the words of what it ought to be.
 * @throws whatever `otherwise` makes of what is wrong, with the place
 */
export function readAs(read: () => void, otherwise: (wrong: NotThat) => Complaint): void {
  attempt(read, (complained) => {
    throw complained instanceof WrongDocument ? otherwise(complained) : complained;
  });
}
