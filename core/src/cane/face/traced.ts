import { contours } from 'd3-contour';
import { simplified } from '#core/cane/outlines';
import { mapOf } from './face.js';
import type { Point } from '#core/cane/outlines';
import type { CaneState } from '#core/cane/steps';

/** The edges of one material in a face; of a blend, of one band of its fade. */
export interface TracedArea {
  readonly material: number;
  /** place along the fade, the middle of the band; null for one colour */
  readonly place: number | null;
  /** rings in mm, y up; even-odd */
  readonly rings: readonly (readonly Point[])[];
}

/** Places a side of the map that is traced, and bands that a fade is drawn in. */
const [SIZE, BANDS] = [700, 12];

/**
 * The edges of everything in a face as closed lines, for a cutter or a
 * drawing: contour lines of a fine map, simplified to half of its grain.
 */
export function tracedFace(state: Pick<CaneState, 'outline' | 'sample'>): TracedArea[] {
  const { frame, values } = mapOf(state, SIZE);
  const labels = Int32Array.from(values, (v) => {
    if (v < 0) return -1;
    const index = Math.floor(v);
    return index * (BANDS + 1) + (v === index ? BANDS : Math.min(BANDS - 1, Math.floor((v - index) * BANDS)));
  });
  const edges = contours().size([SIZE, SIZE]).thresholds([0.5]);
  return [...new Set(labels)]
    .filter((l) => l >= 0)
    .sort((a, b) => a - b)
    .map((label): TracedArea => {
      const [shape] = edges(Array.from(labels, (l) => (l === label ? 1 : 0)));
      const band = label % (BANDS + 1);
      return {
        material: Math.floor(label / (BANDS + 1)),
        place: band === BANDS ? null : (band + 0.5) / BANDS,
        rings: (shape?.coordinates ?? [])
          .flat()
          .map((ring) =>
            simplified(
              ring
                .slice(0, -1)
                .map(([x = 0, y = 0]): Point => [frame.left + (x - 0.5) * frame.mm, frame.top - (y - 0.5) * frame.mm]),
              frame.mm / 2,
            ),
          )
          .filter((ring) => ring.length > 2),
      };
    })
    .filter((area) => area.rings.length > 0);
}
