import { seeded } from '#core/units';
import { whole, type AnyStep, type Doing } from '#core/cane/document';
import { areaOf, extentOf, scaled, shapeOutline, sunflower, type Point, type Shape } from '#core/cane/outlines';
import { MOST_OF_A_KIND, countedParts, rodsOf, withCounted, type Counted } from './counted.js';
import { areaOfAll, squeezedTogether, using } from './joins.js';
import type { ChangeKind } from './kind.js';
import { wholeIn } from './measure.js';
import { shape } from './press.js';
import type { CaneState, Unspoilt } from './state.js';

/** Rods squeezed together without gaps, mixed by chance, to a shape. */
export interface Bundle<S = AnyStep> extends Doing<'bundle'> {
  readonly count: number;
  readonly others?: readonly Counted<S>[];
  readonly to: Shape;
  readonly seed: number;
}

/** How far out the rods begin to be squeezed, as a share of the width and the height. */
const OUT = 0.46;

/** All rods in an order that is the same for the same seed. */
function mixedByChance(rods: readonly CaneState[], seed: number): CaneState[] {
  const order = [...rods];
  const chance = seeded(seed);
  for (let i = order.length - 1; i > 0; i--) {
    const j = Math.floor(chance() * (i + 1));
    [order[i], order[j]] = [order[j] as CaneState, order[i] as CaneState];
  }
  return order;
}

/** @throws Complaint `cane/count`, `cane/pieces`, `cane/cells` */
function joined(state: CaneState, step: Bundle, parts: readonly CaneState[]): Unspoilt {
  const { count, others = [], to, seed } = step;
  wholeIn(count, 'The number of rods', 1, MOST_OF_A_KIND);
  const all = [...Array.from({ length: count }, () => state), ...rodsOf(others, parts)];
  wholeIn(all.length, 'The number of rods', 2, MOST_OF_A_KIND);
  const rods = mixedByChance(all, seed);
  const unit = shapeOutline(to);
  const outline = scaled(unit, Math.sqrt(areaOfAll(rods) / areaOf(unit)));
  const { width, height } = extentOf(outline);
  const places = sunflower(rods.length).map(([x, y]): Point => [x * width * OUT, y * height * OUT]);
  return squeezedTogether(rods, outline, places, using(state, count));
}

export const bundle: ChangeKind<Bundle> = {
  fields: { count: whole(1, MOST_OF_A_KIND), 'others?': countedParts, to: shape, seed: whole(0, 1_000_000) },
  parts: {
    of: ({ others = [] }) => others.map((o) => o.part),
    with: (step, at, other) => ({ ...step, others: withCounted(step.others ?? [], at, other) }),
    counts: ({ others = [] }) => others.map((o) => o.count),
  },
  rods: ({ count, others = [] }) => others.reduce((sum, o) => sum + o.count, count),
  change: joined,
  own: ({ count }) => count,
  joins: true,
  spoils: true,
};
