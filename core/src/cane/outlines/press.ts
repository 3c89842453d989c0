import { STEPS, direction, onDiamond, reachOf } from './direction.js';
import { areaOf, extentOf, scaled, type Outline } from './outline.js';

/**
 * The equal-area radial map from the face after a press back to the face
 * before it (docs/models.md): about the centre, each direction goes to the
 * one that encloses the same share of the area, and the reach follows. A
 * table over directions: a point (x, y) goes to (|x| + |y|) · (cx, cy).
 */
export interface RadialMap {
  readonly cx: Float64Array;
  readonly cy: Float64Array;
}

/** Share of the area from direction 0 on, and the boundary point at each step. */
function sweep(outline: Outline): { readonly share: Float64Array; readonly x: Float64Array; readonly y: Float64Array } {
  const reach = reachOf(outline);
  const [share, x, y] = [new Float64Array(STEPS + 1), new Float64Array(STEPS + 1), new Float64Array(STEPS + 1)];
  for (let k = 0; k <= STEPS; k++) {
    const [dx, dy] = onDiamond((4 * k) / STEPS);
    const r = 1 / Math.max(1e-12, reach[k] as number);
    x[k] = dx * r;
    y[k] = dy * r;
    if (k > 0)
      share[k] =
        (share[k - 1] as number) +
        ((x[k - 1] as number) * (y[k] as number) - (y[k - 1] as number) * (x[k] as number)) / 2;
  }
  const whole = share[STEPS] as number;
  for (let k = 0; k <= STEPS; k++) share[k] = (share[k] as number) / whole;
  return { share, x, y };
}

/**
 * @param before outline of the clay @param after outline it is pressed to, of the same area
 * @param turn degrees by which what lay at direction 0 is turned
 */
function radialMap(before: Outline, after: Outline, turn: number): RadialMap {
  const [from, to] = [sweep(before), sweep(after)];
  const radians = (turn * Math.PI) / 180;
  const turnedBy = direction(Math.cos(radians), Math.sin(radians)) * (STEPS / 4);
  const k0 = Math.floor(turnedBy);
  const at0 =
    (to.share[k0] as number) +
    ((to.share[Math.min(STEPS, k0 + 1)] as number) - (to.share[k0] as number)) * (turnedBy - k0);
  const [cx, cy] = [new Float64Array(STEPS + 2), new Float64Array(STEPS + 2)];
  for (let k = 0; k <= STEPS; k++) {
    let wanted = (to.share[k] as number) - at0;
    wanted -= Math.floor(wanted);
    let [low, high] = [0, STEPS];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if ((from.share[middle] as number) <= wanted) low = middle;
      else high = middle;
    }
    const [a, b] = [from.share[low] as number, from.share[high] as number];
    const t = b > a ? (wanted - a) / (b - a) : 0;
    // along the chord, as the table of reach draws it
    const px = (from.x[low] as number) + ((from.x[high] as number) - (from.x[low] as number)) * t;
    const py = (from.y[low] as number) + ((from.y[high] as number) - (from.y[low] as number)) * t;
    const reach = Math.abs(to.x[k] as number) + Math.abs(to.y[k] as number);
    cx[k] = px / reach;
    cy[k] = py / reach;
  }
  cx[STEPS + 1] = cx[1] as number;
  cy[STEPS + 1] = cy[1] as number;
  return { cx, cy };
}

/** How a press is carried back: first the radial map, then the squeeze that came before it. */
export interface Press extends RadialMap {
  readonly fx: number;
  readonly fy: number;
  readonly outline: Outline;
}

/**
 * Pressing a face to another shape at equal area: an area-keeping squeeze to
 * the target's proportions first, which leaves the least crease, then the
 * radial map.
 * @param shape of any size @param turn degrees from what lay at the right to where it ends
 * @throws Complaint `cane/star`
 */
export function pressOf(before: Outline, shape: Outline, turn: number): Press {
  const factor = Math.sqrt(areaOf(before) / areaOf(shape));
  const outline = scaled(shape, factor);
  const [one, two] = [extentOf(before), extentOf(outline)];
  // as wide for its height as it will be, unless the turn exchanges them
  const aside = Math.abs(Math.sin((turn * Math.PI) / 180)) > Math.SQRT1_2;
  const wanted = aside ? two.height / two.width : two.width / two.height;
  const fx = Math.sqrt(wanted / (one.width / one.height));
  const squeezed = scaled(before, fx, 1 / fx);
  return { ...radialMap(squeezed, outline, turn), fx: 1 / fx, fy: fx, outline };
}
