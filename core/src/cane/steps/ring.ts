import { part, whole, type AnyStep, type Check, type Doing, type PartOf } from '#core/cane/document';
import { areaOf, diameterOf, scaled, shapeOutline, type Point } from '#core/cane/outlines';
import { areaOfAll, squeezedTogether, using } from './joins.js';
import type { ChangeKind } from './kind.js';
import { wholeIn } from './measure.js';
import type { CaneState, Unspoilt } from './state.js';

/** Rods around one in the middle, squeezed to a round cane without gaps. */
export interface Ring<S = AnyStep> extends Doing<'ring'> {
  readonly count: number;
  readonly middle: PartOf<S> | null;
}

const [FEWEST, MOST] = [3, 60];
/** How far out the rods begin to be squeezed, as a share of the radius. */
const OUT = 0.72;

const orNothing: Check = (value, where, inner) => {
  if (value !== null) part(value, where, inner);
};

/** @throws Complaint `cane/count`, `cane/pieces`, `cane/cells` */
function joined(state: CaneState, { count }: Ring, parts: readonly CaneState[]): Unspoilt {
  wholeIn(count, 'The number of rods', FEWEST, MOST);
  const rods = [...parts, ...Array.from({ length: count }, () => state)];
  const unit = shapeOutline({ shape: 'round' });
  const round = scaled(unit, Math.sqrt(areaOfAll(rods) / areaOf(unit)));
  const radius = (OUT * diameterOf(round)) / 2;
  const around = Array.from({ length: count }, (_, i): Point => [
    radius * Math.cos((2 * Math.PI * i) / count),
    radius * Math.sin((2 * Math.PI * i) / count),
  ]);
  const places = [...parts.map((): Point => [0, 0]), ...around];
  return squeezedTogether(rods, round, places, using(state, count));
}

export const ring: ChangeKind<Ring> = {
  fields: { count: whole(FEWEST, MOST), middle: orNothing },
  parts: { of: ({ middle }) => (middle ? [middle] : []), with: (step, _, other) => ({ ...step, middle: other }) },
  rods: ({ count }) => count,
  change: joined,
  own: ({ count }) => count,
  joins: true,
  spoils: true,
};
