/** How slices are laid. */
export type Laid = 'rows' | 'gaps' | 'bead';

/** A slice, mm. */
export interface Slice {
  readonly width: number;
  readonly height: number;
}

/** A slab or a bead, mm across and down. */
export type Slab = Slice;

/** Nearer to its edge than this share, the skin of a bead is too slanting to be seen. */
const RIM = 0.98;

const unit = (x: number): number => Math.max(-1, Math.min(1, x));

/**
 * From a place on a ball seen from the front to the place on its skin, mm; null beside it. As wide as the slab is
 * high.
 */
function onSkin(x: number, y: number, { width, height }: Slab): readonly [number, number] | null {
  const r = height / 2;
  const [dx, dy] = [x - width / 2, y - r];
  if (dx * dx + dy * dy > r * r * RIM) return null;
  const up = Math.asin(dy / r);
  // so far from the edge that all places are positive
  return [r * Math.asin(unit(dx / (r * Math.cos(up)))) + width, r * up + width];
}

/**
 * Which place of its slice lies at a place of the slab: shares of its width and its height; null where none lies.
 * @param x mm from the left @param y mm from above
 */
export function inSlice(x: number, y: number, laid: Laid, slice: Slice, slab: Slab): readonly [number, number] | null {
  const at = laid === 'bead' ? onSkin(x, y, slab) : ([x, y] as const);
  if (!at) return null;
  const row = Math.floor(at[1] / slice.height);
  const shift = laid === 'gaps' && row % 2 !== 0 ? slice.width / 2 : 0;
  return [((at[0] + shift) / slice.width) % 1, (at[1] / slice.height) % 1];
}

/** Slices that cover a slab. */
export const slicesOn = (slice: Slice, slab: Slab): number =>
  Math.ceil((slab.width / slice.width) * (slab.height / slice.height));
