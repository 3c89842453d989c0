import type { Wanted } from '#core/batch';

/** What could stand in for a clay that is short. */
export interface StandIn {
  readonly kind: 'mix' | 'tub';
  readonly id: string;
  readonly name: string;
  readonly hex: string;
  /** ΔE00, baked */
  readonly deltaE: number;
  /** of it there is, or could be mixed */
  readonly grams: number;
}

export interface ShoppingRow extends Wanted {
  readonly name: string;
  readonly lineName: string;
  readonly hex: string;
  /** nearest first; none for what is not short */
  readonly standIns: readonly StandIn[];
}

/** GET /api/shopping: over all batches that are not done. */
export interface ShoppingAnswer {
  /** the shortest first */
  readonly rows: readonly ShoppingRow[];
  readonly plans: readonly { readonly id: string; readonly name: string }[];
  /** of all that is to be bought; null where a price is not known */
  readonly cost: number | null;
  readonly currency: string;
}
