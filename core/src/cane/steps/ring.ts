import { part, whole, type AnyStep, type Check, type Doing, type PartOf } from '#core/cane/document';
import { areaOf, diameterOf, scaled, shapeOutline, type Point } from '#core/cane/outlines';
import { countedParts, spreadEvenly, withCounted, type Counted } from './counted.js';
import { areaOfAll, squeezedTogether, using } from './joins.js';
import type { ChangeKind, Parts } from './kind.js';
import { wholeIn } from './measure.js';
import type { CaneState, Unspoilt } from './state.js';

/**
 * Rods around one in the middle, squeezed to a round cane without gaps; those of other kinds lie among the row's
 * own as evenly as they go.
 */
export interface Ring<S = AnyStep> extends Doing<'ring'> {
  readonly count: number;
  readonly middle: PartOf<S> | null;
  readonly others?: readonly Counted<S>[];
}

const [FEWEST, MOST] = [3, 60];
/** How far out the rods begin to be squeezed, as a share of the radius. */
const OUT = 0.72;

const orNothing: Check = (value, where, inner) => {
  if (value !== null) part(value, where, inner);
};

const rodsAround = ({ count, others = [] }: Ring): number => others.reduce((sum, o) => sum + o.count, count);

/** The rods around, in their order: as evenly mixed as they go. @throws Complaint `cane/count` */
function around(state: CaneState, { count, others = [] }: Ring, parts: readonly CaneState[]): CaneState[] {
  for (const other of others) wholeIn(other.count, 'The number of rods', 0, MOST);
  const kinds = [state, ...parts];
  return spreadEvenly([count, ...others.map((o) => o.count)]).map((k) => kinds[k] as CaneState);
}

/** Where rods begin around a middle: each has as much room as it is thick. */
function placesAround(rods: readonly CaneState[], radius: number): Point[] {
  const thick = rods.map((rod) => Math.sqrt(areaOf(rod.outline)));
  const whole = thick.reduce((sum, t) => sum + t, 0);
  let before = -(thick[0] ?? 0) / 2;
  return thick.map((t): Point => {
    const angle = (2 * Math.PI * (before + t / 2)) / whole;
    before += t;
    return [radius * Math.cos(angle), radius * Math.sin(angle)];
  });
}

/** @throws Complaint `cane/count`, `cane/pieces`, `cane/cells` */
function joined(state: CaneState, step: Ring, parts: readonly CaneState[]): Unspoilt {
  const { count, middle } = step;
  wholeIn(count, 'The number of rods', 1, MOST);
  wholeIn(rodsAround(step), 'The number of rods', FEWEST, MOST);
  const inMiddle = middle ? parts.slice(0, 1) : [];
  const outside = around(state, step, parts.slice(inMiddle.length));
  const rods = [...inMiddle, ...outside];
  const unit = shapeOutline({ shape: 'round' });
  const round = scaled(unit, Math.sqrt(areaOfAll(rods) / areaOf(unit)));
  const radius = (OUT * diameterOf(round)) / 2;
  const places = [...inMiddle.map((): Point => [0, 0]), ...placesAround(outside, radius)];
  return squeezedTogether(rods, round, places, using(state, count));
}

/** The one in the middle first. */
const ringParts: Parts<Ring> = {
  of: ({ middle, others = [] }) => [...(middle ? [middle] : []), ...others.map((o) => o.part)],
  with: (step, at, other) => {
    if (step.middle && at === 0) return { ...step, middle: other };
    return { ...step, others: withCounted(step.others ?? [], at - (step.middle ? 1 : 0), other) };
  },
  counts: ({ middle, others = [] }) => [...(middle ? [1] : []), ...others.map((o) => o.count)],
};

export const ring: ChangeKind<Ring> = {
  fields: { count: whole(1, MOST), middle: orNothing, 'others?': countedParts },
  parts: ringParts,
  rods: rodsAround,
  change: joined,
  own: ({ count }) => count,
  joins: true,
  spoils: true,
};
