import type { Celsius, Density, Grams, Minutes, Mm, Mm3 } from '#core/units';
import type { Squeezed } from './squeeze.js';

export const FIRMNESSES = ['soft', 'medium', 'firm', 'crumbly'] as const;
export type Firmness = (typeof FIRMNESSES)[number];

export const TOUGHNESSES = ['brittle', 'flexible'] as const;
export type Toughness = (typeof TOUGHNESSES)[number];

export const KINDS = ['opaque', 'translucent', 'mica', 'glitter'] as const;
export type Kind = (typeof KINDS)[number];

/** One maker's family of clay. */
export interface Line {
  readonly id: string;
  readonly name: string;
  readonly firmness: Firmness;
  readonly density: Density;
  readonly bakeC: Celsius;
  /** the packet's minutes, for `bakePerMm` of thickness */
  readonly bakeMinutes: Minutes;
  readonly bakePerMm: Mm;
  readonly maxC: Celsius;
  /** the maker's own figures, for baking lower and longer; null or left out: as the packet says */
  readonly ownC?: Celsius | null | undefined;
  readonly ownMinutes?: Minutes | null | undefined;
  /** after baking; null or left out: nobody has said */
  readonly toughness?: Toughness | null | undefined;
}

/** A colour of a line. `strength` null: not measured, the default of its kind is used. */
export interface Clay {
  readonly id: string;
  readonly lineId: string;
  readonly name: string;
  readonly kind: Kind;
  /** sRGB, six hex digits */
  readonly rawHex: string;
  readonly bakedHex: string;
  /** of mica clay: flakes seen from their edges, baked; null or left out: not measured */
  readonly edgeHex?: string | null | undefined;
  readonly strength: number | null;
}

/** A block as bought, and what is left of it. */
export interface Block extends Squeezed {
  readonly id: string;
  readonly clayId: string;
  readonly netGrams: Grams;
  readonly leftGrams: Grams;
  /** ISO date, or null where the code was not read */
  readonly madeOn: string | null;
  readonly price: number | null;
  /** of one that was brought back: what was worked in; null or left out: as it was bought */
  readonly inside?: object | null | undefined;
}

/** g/cm³ of a line whose density nobody has measured: an assumption (docs/models.md §1). */
export const ASSUMED_DENSITY: Density = 1.9;

const MM3_PER_CM3 = 1000;

/** Grams of clay: m = ρ·V (docs/models.md §1). */
export const massOf = (volume: Mm3, density: Density): Grams => (volume * density) / MM3_PER_CM3;

/** The volume of a mass of clay: the inverse of {@link massOf}. */
export const volumeOf = (mass: Grams, density: Density): Mm3 => (mass * MM3_PER_CM3) / density;
/** Net weight of a small block where none is known: an assumption. */
export const ASSUMED_BLOCK_GRAMS: Grams = 57;

/**
 * Relative scattering power by kind (docs/models.md §3): 1 is an ordinary
 * opaque. All four are assumptions until chips have been logged.
 */
const STRENGTH_OF_KIND: Readonly<Record<Kind, number>> = { opaque: 1, translucent: 0.06, mica: 0.8, glitter: 0.1 };

/** The strength that predictions use, and whether it is an assumption. */
export function strengthOf(clay: Pick<Clay, 'kind' | 'strength'>): { value: number; assumed: boolean } {
  return clay.strength === null
    ? { value: STRENGTH_OF_KIND[clay.kind], assumed: true }
    : { value: clay.strength, assumed: false };
}
