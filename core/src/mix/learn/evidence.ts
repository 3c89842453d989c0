import type { Clay } from '#core/clay';
import type { Lab, Stage } from '#core/colour';

/** How the colour of a chip was measured. */
export const CHIP_WAYS = ['colour reader', 'photograph', 'by eye'] as const;
export type ChipWay = (typeof CHIP_WAYS)[number];

/** A chip as evidence: what it was made of, by volume, and how it reads. */
export interface Evidence {
  readonly id: string;
  readonly shares: readonly { readonly clayId: string; readonly volume: number }[];
  readonly stage: Stage;
  readonly lab: Lab;
  readonly way: ChipWay;
}

/**
 * What was learned of a clay: the factor on its strength (as a natural
 * logarithm) with its uncertainty, and the correction of its K/S curve in
 * the terms of {@link CURVES}.
 */
export interface LearnedClay {
  readonly logStrength: number;
  readonly sigma: number;
  readonly curve: readonly number[];
  /** chips that hold the clay */
  readonly chips: number;
}
/** By clay id. */
export type Learned = Readonly<Record<string, LearnedClay>>;

/**
 * ΔE00 by which a chip is expected to differ from a perfect prediction: the way it was read, and the model.
 * Assumptions.
 */
export const SIGMA_OF_CHIP: Readonly<Record<ChipWay, number>> = { 'colour reader': 0.7, photograph: 3.5, 'by eye': 7 };
/** ΔE00 by which the stated colour of a clay may be off: an assumption. */
export const SIGMA_STATED = 1.2;
/**
 * How far the natural logarithm of a strength may be from the default of its kind; from one that was typed in:
 * assumptions.
 */
const SIGMA_ASSUMED = 0.9;
const SIGMA_TYPED = 0.15;

export const sigmaOfStrength = (clay: Pick<Clay, 'strength'>): number =>
  clay.strength === null ? SIGMA_ASSUMED : SIGMA_TYPED;
