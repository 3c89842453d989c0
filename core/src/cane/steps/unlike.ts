import type { Mm2 } from '#core/units';
import { areaOf } from '#core/cane/outlines';
import { eachPlace, type CaneState } from './state.js';

/** mm² by material; of a fade, its second end counts for the number a half further on. */
type Placed = ReadonlyMap<number, Mm2>;

/**
 * The clay in each part of a face that is cut in wedges through its middle, counted on a grid.
 * @param degrees of the first cut
 */
export function partAmounts({ sample, outline }: CaneState, parts: number, degrees: number): Placed[] {
  const counts = Array.from({ length: parts }, () => new Map<number, number>());
  const [turn, first] = [2 * Math.PI, (degrees * Math.PI) / 180];
  const whole = eachPlace(sample, outline, (value, x, y) => {
    const angle = (((Math.atan2(y, x) - first) % turn) + turn) % turn;
    const part = counts[Math.min(parts - 1, Math.floor((angle / turn) * parts))] as Map<number, number>;
    const index = Math.floor(value);
    const second = value - index;
    part.set(index, (part.get(index) ?? 0) + 1 - second);
    if (second > 0) part.set(index + 0.5, (part.get(index + 0.5) ?? 0) + second);
  });
  const each = areaOf(outline) / Math.max(1, whole);
  return counts.map((part) => new Map([...part].map(([index, n]) => [index, n * each])));
}

/**
 * A difference from the mean of all parts, as a share of the face of one, that makes them unlike; and the least
 * that counting tells. Assumptions.
 */
const [CLEAR, TOLD] = [0.03, 0.004];
/** A clay of which one part has so much more or less than the mean makes them unlike where it can be told at all. */
const OF_ITS_OWN = 0.25;

/** Whether all parts of a face hold the same clay, as near as hands cut. */
export function alike(parts: readonly Placed[]): boolean {
  const face = parts.reduce((sum, part) => [...part.values()].reduce((a, b) => a + b, sum), 0) / parts.length;
  const keys = new Set(parts.flatMap((part) => [...part.keys()]));
  return [...keys].every((key) => {
    const areas = parts.map((part) => part.get(key) ?? 0);
    const mean = areas.reduce((a, b) => a + b, 0) / areas.length;
    const off = Math.max(...areas.map((area) => Math.abs(area - mean)));
    const ownOff = off > TOLD * face && off > OF_ITS_OWN * mean;
    return off <= CLEAR * face && !ownOff;
  });
}

/** Amounts by material alone, made to fill a face. */
export function withoutPlaces(placed: Placed, face: Mm2): ReadonlyMap<number, Mm2> {
  const sums = new Map<number, Mm2>();
  for (const [index, area] of placed) sums.set(Math.floor(index), (sums.get(Math.floor(index)) ?? 0) + area);
  const all = [...sums.values()].reduce((a, b) => a + b, 0);
  return new Map([...sums].map(([index, area]) => [index, (area * face) / (all || 1)]));
}
