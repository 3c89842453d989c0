import type { Celsius, Mm } from '#core/units';

/** What is known of a piece that something went wrong with; null: nobody knows. */
export interface TroubleFacts {
  /** of the oldest clay in it */
  readonly months: number | null;
  /** shares of it by mass: of crumbly lines, of soft ones, of lines that are brittle baked, of translucent, of mica */
  readonly crumbly: number | null;
  readonly soft: number | null;
  readonly brittle: number | null;
  readonly translucent: number | null;
  readonly mica: number | null;
  /** passes that were counted when it was conditioned, beside those that it wanted: 1 is as many */
  readonly passes: number | null;
  readonly roomC: Celsius | null;
  /** the hottest that the probe said, and the band and the most of what was baked */
  readonly hottestC: Celsius | null;
  readonly lowC: Celsius | null;
  readonly highC: Celsius | null;
  readonly maxC: Celsius | null;
  /** minutes within the band, beside those that were wanted: 1 is as long */
  readonly baked: number | null;
  /** of the thickest part */
  readonly thickMm: Mm | null;
  /** days that a cane lay between being made and being sliced */
  readonly restedDays: number | null;
  /** times as long as it was before */
  readonly reduced: number | null;
  /** what its ends took beside what was planned: 1 is as much */
  readonly ends: number | null;
  readonly sliceMm: Mm | null;
  /** the narrowest wall beside one that hides what is under it: 1 just hides it */
  readonly wall: number | null;
  /** folds, twists or passes beyond the stop line */
  readonly beyond: number | null;
  /** passes of a blend beside those it wanted */
  readonly blendPasses: number | null;
  /** passes of mica clay beside those after which its sheen is even */
  readonly sheenPasses: number | null;
  /** layers that were laid on each other */
  readonly layers: number | null;
}

export const NOTHING_KNOWN: TroubleFacts = {
  ...{ months: null, crumbly: null, soft: null, brittle: null, translucent: null, mica: null, passes: null },
  ...{ roomC: null, hottestC: null, lowC: null, highC: null, maxC: null, baked: null, thickMm: null },
  ...{ restedDays: null, reduced: null, ends: null, sliceMm: null, wall: null, beyond: null },
  ...{ blendPasses: null, sheenPasses: null, layers: null },
};

/** How much a fact speaks for a cause, as times, and why, where it does. */
export interface Speaks {
  readonly times: number;
  readonly because: string | null;
}
const SILENT: Speaks = { times: 1, because: null };

/** A fact that speaks for a cause where it is above a limit, and as much against it where it is well below. */
export function above(value: number | null, limit: number, times: number, because: (v: number) => string): Speaks {
  if (value === null) return SILENT;
  return value > limit ? { times, because: because(value) } : { times: 1 / times, because: null };
}
export const below = (value: number | null, limit: number, times: number, because: (v: number) => string): Speaks =>
  above(value === null ? null : -value, -limit, times, (v) => because(-v));
