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

/** A finding that open batches need. */
export interface WantedFinding {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  readonly there: number;
  readonly short: number;
  /** of those that are short; null: nobody knows */
  readonly buyCost: number | null;
  readonly plans: readonly { readonly name: string; readonly count: number }[];
}

/** GET /api/shopping: over all batches that are not done. */
export interface ShoppingAnswer {
  /** the shortest first */
  readonly rows: readonly ShoppingRow[];
  readonly plans: readonly { readonly id: string; readonly name: string }[];
  /** findings that open batches need, the shortest first */
  readonly findings: readonly WantedFinding[];
  /** of all that is to be bought; null where a price is not known */
  readonly cost: number | null;
  readonly currency: string;
}
