import type { Firmness, Squeeze } from '#core/clay';
import { learnedOf, type LearnedFigure } from '#core/learned';
import type { Celsius, Grams } from '#core/units';

/** Ways of conditioning, the usual one first (trade knowledge, docs/models.md §4). */
export const SCHOOLS_OF_CONDITIONING = ['thin slices', 'thick slices', 'by hand'] as const;
export type Conditioner = (typeof SCHOOLS_OF_CONDITIONING)[number];

/**
 * Passes for a portion of fresh clay at {@link USUAL_ROOM}: careful makers give every line 20 to 30. Assumptions
 * until somebody says or counts another number.
 */
const PASSES_FRESH: Readonly<Record<Firmness, number>> = { soft: 20, medium: 22, firm: 26, crumbly: 30 };
/** Passes that are assumed for a portion of fresh clay of such a line. */
export const passesFresh = (firmness: Firmness): number => PASSES_FRESH[firmness];
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
/** How firm clay is that was squeezed so. */
const FIRM_AS: Readonly<Record<Squeeze, Firmness>> = {
  gives: 'soft',
  stiff: 'firm',
  cracks: 'firm',
  crumbles: 'crumbly',
};

/** Passes beside those of a usual clay: assumptions until the maker's own countings say otherwise. */
const SQUEEZE_FACTOR: Readonly<Record<Squeeze, number>> = { gives: 0.8, stiff: 1.2, cracks: 1.5, crumbles: 1.9 };
/** How far countings of one line are off each other, and lines off what is assumed (ln): assumptions. */
const TRUST = { each: 0.25, bench: 0.5 };

export interface Circumstances {
  /** of the line */
  readonly firmness: Firmness;
  /** what it does between the fingers, which overrules line and age; null or left out: nobody has squeezed it */
  readonly squeeze?: Squeeze | null | undefined;
  /** age; null: unknown, taken as one year */
  readonly months: number | null;
  readonly roomC: Celsius;
  readonly school: Conditioner;
  /** all of it */
  readonly grams: Grams;
}

/** Clay that was conditioned, and the passes after which it folded without cracking. */
export interface CountedConditioning extends Circumstances {
  readonly lineId: string;
  /** of each portion */
  readonly passes: number;
}

/** How firm clay is to the hands: by the squeeze test, else as its line is. */
export const firmnessOf = ({ firmness, squeeze }: Pick<Circumstances, 'firmness' | 'squeeze'>): Firmness =>
  squeeze ? FIRM_AS[squeeze] : firmness;

/** In how many portions an amount is worked. */
export function portionsOf(asked: Pick<Circumstances, 'firmness' | 'squeeze' | 'grams'>): number {
  const portion = firmnessOf(asked) === 'crumbly' ? QUARTER_BLOCK : HALF_BLOCK;
  return Math.max(1, Math.ceil(asked.grams / portion - 1e-9));
}

/** What a number of passes is made of: the number to begin with, and what makes it more or less. */
export interface PassesBecause {
  /** for half a block of fresh clay in a usual room */
  readonly base: number;
  /** the maker's own number, or one that is assumed for a firmness */
  readonly own: boolean;
  /** 1 where it was squeezed */
  readonly age: number;
  /** by the squeeze test; 1 where there was none */
  readonly squeeze: number;
  readonly room: number;
  readonly school: number;
  readonly amount: number;
  /** what was counted of this line, against all of that */
  readonly counted: number;
  /** how many of one's own countings that rests on */
  readonly from: number;
}

const product = (b: Omit<PassesBecause, 'counted' | 'from' | 'own'>): number =>
  b.base * b.age * b.squeeze * b.room * b.school * b.amount;

/** Years past the first, by which age makes more work. */
export const yearsOld = (months: number | null): number => Math.max(0, (months ?? 12) / 12 - 1);

function assumed(asked: Circumstances, ownPasses: number | null): Omit<PassesBecause, 'counted' | 'from'> {
  const { firmness, squeeze, months, roomC, school, grams } = asked;
  const portion = grams / portionsOf(asked);
  // what was squeezed is told by that, beside a clay as most are
  const usual = PASSES_FRESH[squeeze ? 'medium' : firmness];
  return {
    base: ownPasses ?? usual,
    own: ownPasses !== null,
    age: squeeze ? 1 : 1 + yearsOld(months) / 4,
    squeeze: squeeze ? SQUEEZE_FACTOR[squeeze] : 1,
    room: COLD_FACTOR ** ((USUAL_ROOM - roomC) / 5),
    school: SCHOOL_FACTOR[school],
    amount: Math.min(1, portion / HALF_BLOCK) ** (1 / AMOUNT_ROOT),
  };
}

/** From so many countings clay of an age has a figure of its own. */
const OF_AN_AGE = 3;
/** Years from which clay of a line is old. */
const OLD_FROM = 2;

/**
 * Countings of a line that tell of clay like this: of its age where there are enough, else all of the line.
 * @param months null: unknown; `any`: whatever its age
 */
function countedLike(
  lineId: string,
  months: number | null | 'any',
  counted: readonly CountedConditioning[],
): readonly CountedConditioning[] {
  const own = counted.filter((c) => c.lineId === lineId && c.passes > 0 && c.grams > 0);
  if (months === 'any') return own;
  const alike = own.filter((c) => isOld(c.months) === isOld(months));
  return alike.length >= OF_AN_AGE ? alike : own;
}

const isOld = (months: number | null): boolean => (months ?? 0) >= 12 * OLD_FROM;

/**
 * How much more or less than assumed clay of a line and an age took so far, whatever odd days there were.
 * @param ownPasses the maker's own number for any line; null: none
 */
export const learnedPasses = (
  lineId: string,
  months: number | null | 'any',
  counted: readonly CountedConditioning[],
  ownPasses: number | null,
): LearnedFigure =>
  learnedOf(
    countedLike(lineId, months, counted).map((c) => c.passes / product(assumed(c, ownPasses))),
    TRUST,
  );

/** How much more work a portion of half a block is than one of fresh clay so firm in a usual room. */
export const besideFresh = (b: PassesBecause, firmness: Firmness): number =>
  (product({ ...b, amount: 1 }) * b.counted) / PASSES_FRESH[firmness];

/** Passes for each portion of an amount, and what they are made of. */
export function passesFor(
  lineId: string,
  circumstances: Circumstances,
  counted: readonly CountedConditioning[],
  ownPasses: number | null,
): { readonly passes: number; readonly because: PassesBecause } {
  const { factor, from } = learnedPasses(lineId, circumstances.months, counted, ownPasses);
  const because = { ...assumed(circumstances, ownPasses), counted: factor, from };
  return { passes: Math.max(FEWEST, Math.round(product(because) * factor)), because };
}
