import { type Mm } from '#core/units';
import { MOST_COLOURS, checkLayout, type Cut, type Layout } from './layout.js';
import { complaint } from './sentences.js';

/**
 * Two blends joined, the end of one to the start of the other, as for a
 * colour wheel. Where both have the same colour there the joint is inside
 * it; else a slanting cut over `overlap` takes one into the other. The
 * second is drawn to the height of the first.
 * @param same the last colour of one is the first of the other
 * @throws Complaint `blend/colours`, `blend/overlap`, and those of {@link checkLayout}
 */
export function marry(one: Layout, other: Layout, same: boolean, overlap: Mm): Layout {
  const { height } = one;
  if (one.cuts.length + other.cuts.length + (same ? 1 : 2) > MOST_COLOURS) throw complaint('blend/colours');
  // what is left of the end colours has to be wide enough for the slanting cut
  const endOf = Math.max(...(one.cuts.at(-1) ?? []).map((p) => p.x));
  const startOf = Math.min(...(other.cuts[0] ?? []).map((p) => p.x));
  if (!same && !(overlap >= 0 && overlap <= 2 * Math.min(one.width - endOf, startOf) + 1e-9))
    throw complaint('blend/overlap');
  const moved = other.cuts.map((cut): Cut =>
    cut.map((p) => ({ x: one.width + p.x, y: (p.y * height) / other.height })),
  );
  const joint: Cut[] = same
    ? []
    : [
        [
          { x: one.width - overlap / 2, y: 0 },
          { x: one.width + overlap / 2, y: height },
        ],
      ];
  const made = { width: one.width + other.width, height, cuts: [...one.cuts, ...joint, ...moved] };
  checkLayout(made);
  return made;
}
