import type { Mm } from '#core/units';
import type { MaterialKey } from '#core/cane/document';
import type { CaneContext, Step } from '#core/cane/steps';
import { MOST_SLICES, checkWanted, planFrom, workedForPlans, type BackwardsPlan } from './backwards.js';

/** What one has to begin with; what is not named there is enough of. */
export interface Have {
  /** mm³ by material: a lump of it, or so many grams */
  readonly volumes: ReadonlyMap<MaterialKey, number>;
  /** mm along the cane of plugs and sheets that lie ready, by their ids */
  readonly made: ReadonlyMap<string, Mm>;
  /** mm³ of everything together */
  readonly all?: number;
}

/** What runs out first: a material, a thing that lies ready, or clay altogether. */
export type RunsOut =
  | { readonly kind: 'material'; readonly key: MaterialKey }
  | { readonly kind: 'made'; readonly id: string }
  | { readonly kind: 'all' };

export interface Most {
  /** 0: there is not enough for one */
  readonly slices: number;
  /** what there is too little of for one more; null: nothing, more slices are not planned at once */
  readonly runsOut: RunsOut | null;
}

const HAIR = 1e-9;

interface Share {
  /** needed of what there is */
  readonly share: number;
  readonly of: RunsOut;
}

/** mm³ of each material that are not in things that lie ready. */
function freshOf({ volumes, made }: BackwardsPlan): ReadonlyMap<MaterialKey, number> {
  const fresh = new Map(volumes);
  for (const { volumes: ready } of made)
    for (const [key, volume] of ready) fresh.set(key, Math.max(0, (fresh.get(key) ?? 0) - volume));
  return fresh;
}

const shareOf = (needed: number, there: number): number => (needed > HAIR ? needed / there : 0);

/** How much a plan takes of what there is: of that which is scarcest. */
function scarcest(plan: BackwardsPlan, have: Have): Share | null {
  const fresh = freshOf(plan);
  const lengths = new Map<string, Mm>();
  for (const { id, length } of plan.made) lengths.set(id, (lengths.get(id) ?? 0) + length);
  const whole = [...fresh.values()].reduce((sum, v) => sum + v, 0);
  const shares: Share[] = [
    ...[...have.volumes].map(([key, there]): Share => ({
      share: shareOf(fresh.get(key) ?? 0, there),
      of: { kind: 'material', key },
    })),
    ...[...lengths].map(([id, length]): Share => ({
      share: shareOf(length, have.made.get(id) ?? 0),
      of: { kind: 'made', id },
    })),
    ...(have.all === undefined ? [] : [{ share: shareOf(whole, have.all), of: { kind: 'all' } } satisfies Share]),
  ];
  return shares.sort((a, b) => b.share - a.share)[0] ?? null;
}

/**
 * The most slices that what one has gives: all lengths then follow, with ends and all as in every plan.
 * @param thickness mm of a slice
 * @throws Complaint as `planBackwards`
 */
export function mostSlices(steps: readonly Step[], thickness: Mm, have: Have, context: CaneContext): Most {
  checkWanted({ slices: 1, thickness }, context);
  const results = workedForPlans(steps, context);
  const short = (slices: number): RunsOut | null => {
    const most = scarcest(planFrom(results, { slices, thickness }, context), have);
    return most && most.share > 1 + HAIR ? most.of : null;
  };
  // enough for `low`, too little for `high`
  let low = 0;
  let high = 1;
  let runsOut = short(high);
  while (runsOut === null && high < MOST_SLICES) {
    low = high;
    high = Math.min(MOST_SLICES, high * 2);
    runsOut = short(high);
  }
  if (runsOut === null) return { slices: high, runsOut };
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    const out = short(middle);
    if (out === null) low = middle;
    else [high, runsOut] = [middle, out];
  }
  return { slices: low, runsOut };
}
