import type { Grams, Minutes } from '#core/units';
import type { Firmness } from './clay.js';

/** Minutes of hand and machine work for 57 g of fresh clay: assumptions until the diary knows better. */
const MINUTES_FRESH: Readonly<Record<Firmness, number>> = { soft: 4, medium: 6, firm: 10, crumbly: 16 };

export interface Conditioning {
  /** an assumption: show it with a tilde */
  readonly minutes: Minutes;
  /** warm it wrapped and close to the body first */
  readonly warmFirst: boolean;
  /** goes back to crumbs when it rests: condition it just before use */
  readonly useSameDay: boolean;
  readonly softener: boolean;
}

/**
 * How an amount of clay is brought to an even, foldable state (trade
 * knowledge, docs/models.md §8): work grows with the amount and with age, a
 * quarter for every year past the first.
 * @param months age of the block, null where unknown (then taken as one year)
 */
export function conditioningOf(firmness: Firmness, months: number | null, grams: Grams): Conditioning {
  const years = Math.max(0, (months ?? 12) / 12 - 1);
  const old = years >= 2;
  const hard = firmness === 'firm' || firmness === 'crumbly';
  return {
    minutes: MINUTES_FRESH[firmness] * Math.max(0.4, grams / 57) * (1 + years / 4),
    warmFirst: hard || old,
    useSameDay: firmness === 'crumbly',
    softener: old && (hard || years >= 4),
  };
}
