import type { Firmness } from '#core/clay';
import type { Celsius, Grams } from '#core/units';

/** Ways of conditioning, the usual one first (trade knowledge, docs/models.md §4). */
export const SCHOOLS_OF_CONDITIONING = ['thin slices', 'thick slices', 'by hand'] as const;
export type Conditioner = (typeof SCHOOLS_OF_CONDITIONING)[number];

/**
 * Passes for a portion of fresh clay at {@link USUAL_ROOM}: careful makers give every line 20 to 30. Assumptions
 * until somebody says or counts another number.
 */
const PASSES_FRESH: Readonly<Record<Firmness, number>> = { soft: 20, medium: 22, firm: 26, crumbly: 30 };
/** The widest gap works the clay less at each pass; by hand it is turns and folds. Assumptions. */
const SCHOOL_FACTOR: Readonly<Record<Conditioner, number>> = { 'thin slices': 1, 'thick slices': 1.2, 'by hand': 1.5 };
export const USUAL_ROOM: Celsius = 21;
/** What five degrees fewer do to the work: an assumption. */
const COLD_FACTOR = 1.15;
/** People take half a block at a time, of one that crumbles a quarter. */
const [HALF_BLOCK, QUARTER_BLOCK]: readonly [Grams, Grams] = [28.5, 14.25];
/**
 * A smaller piece takes fewer passes, as the root of this order of its weight: it is thinner and worked through
 * sooner. An assumption.
 */
const AMOUNT_ROOT = 3;
const FEWEST = 2;

/** Clay that was conditioned, and the passes after which it folded without cracking. */
export interface CountedConditioning {
  readonly lineId: string;
  readonly firmness: Firmness;
  readonly months: number | null;
  readonly roomC: Celsius;
  readonly school: Conditioner;
  /** of each portion */
  readonly passes: number;
  readonly grams: Grams;
}

export interface Circumstances {
  readonly firmness: Firmness;
  /** age; null: unknown, taken as one year */
  readonly months: number | null;
  readonly roomC: Celsius;
  readonly school: Conditioner;
  /** all of it */
  readonly grams: Grams;
}

/** In how many portions an amount is worked. */
export function portionsOf({ firmness, grams }: Pick<Circumstances, 'firmness' | 'grams'>): number {
  const portion = firmness === 'crumbly' ? QUARTER_BLOCK : HALF_BLOCK;
  return Math.max(1, Math.ceil(grams / portion - 1e-9));
}

/** What a number of passes is made of: the number to begin with, and what makes it more or less. */
export interface PassesBecause {
  /** for half a block of fresh clay in a usual room */
  readonly base: number;
  /** the maker's own number, or one that is assumed for a firmness */
  readonly own: boolean;
  readonly age: number;
  readonly room: number;
  readonly school: number;
  readonly amount: number;
  /** what was counted of this line, against all of that */
  readonly counted: number;
  /** how many of one's own countings that rests on */
  readonly from: number;
}

const product = (b: Omit<PassesBecause, 'counted' | 'from' | 'own'>): number =>
  b.base * b.age * b.room * b.school * b.amount;

function assumed(
  { firmness, months, roomC, school, grams }: Circumstances,
  ownPasses: number | null,
): Omit<PassesBecause, 'counted' | 'from'> {
  const years = Math.max(0, (months ?? 12) / 12 - 1);
  const portion = grams / portionsOf({ firmness, grams });
  return {
    base: ownPasses ?? PASSES_FRESH[firmness],
    own: ownPasses !== null,
    age: 1 + years / 4,
    room: COLD_FACTOR ** ((USUAL_ROOM - roomC) / 5),
    school: SCHOOL_FACTOR[school],
    amount: Math.min(1, portion / HALF_BLOCK) ** (1 / AMOUNT_ROOT),
  };
}

/**
 * How much more or less than assumed this line took so far: the geometric
 * mean of what was counted, the assumption counting as much as two of them.
 * @param ownPasses the maker's own number for any line; null: none
 */
export function learnedFactor(
  lineId: string,
  counted: readonly CountedConditioning[],
  ownPasses: number | null,
): { readonly factor: number; readonly from: number } {
  const own = counted.filter((c) => c.lineId === lineId && c.passes > 0);
  const logs = own.map((c) => Math.log(c.passes / product(assumed(c, ownPasses))));
  return { factor: Math.exp(logs.reduce((a, b) => a + b, 0) / (own.length + 2)), from: own.length };
}

/** Passes for each portion of an amount, and what they are made of. */
export function passesFor(
  lineId: string,
  circumstances: Circumstances,
  counted: readonly CountedConditioning[],
  ownPasses: number | null,
): { readonly passes: number; readonly because: PassesBecause } {
  const { factor, from } = learnedFactor(lineId, counted, ownPasses);
  const because = { ...assumed(circumstances, ownPasses), counted: factor, from };
  return { passes: Math.max(FEWEST, Math.round(product(because) * factor)), because };
}
