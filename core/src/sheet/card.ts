import type { Mm } from '#core/units';

/** mm of a playing card, and how much cards of all makers differ: assumptions. */
export const ASSUMED_CARD: Mm = 0.3;
export const CARD_SPREAD = 0.1;
export const MEASURED_CARD_SPREAD = 0.03;

/**
 * Strips that guide a hand roller at both sides, mm: what is usual in both systems, until a person says which are
 * theirs.
 */
export const USUAL_GUIDES: readonly Mm[] = [0.8, 1.6, 2.4, 3.2, 4.8, 6.4];
