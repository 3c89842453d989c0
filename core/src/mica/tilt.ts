import type { Mm } from '#core/units';
import { complaint } from './sentences.js';
import { surfaceOf, type Pressed } from './pressed.js';

/** How the flakes lie, cell by cell: how far each rises, mm by mm, to the right and downwards in the picture. */
export interface Tilts {
  readonly columns: number;
  readonly rows: number;
  /** sides of a cell */
  readonly wide: Mm;
  readonly high: Mm;
  readonly across: Float32Array;
  readonly down: Float32Array;
}

/**
 * The flakes that are seen at a surface. Under the stamp a column of clay of height s₀ became one of height s: what
 * was at a share f of it is at f·s, so a layer slopes by f·∇s, and at the cut z = f·s by z/s·∇s. The closer to the
 * top, the steeper; at the bottom they lie as before.
 * @param cut heights of the surface that is seen, cell by cell
 * @param deep mm below it that its light comes from on the middle: more than nothing where clay lets light in
 */
export function tiltsAt(pressed: Pressed, cut: Float32Array, deep: Mm = 0): Tilts {
  const { columns, rows, wide, high } = pressed.relief;
  const surface = surfaceOf(pressed);
  const across = new Float32Array(surface.length);
  const down = new Float32Array(surface.length);
  const height = (i: number, j: number): number => surface[j * columns + i] ?? 0;
  for (let j = 0; j < rows; j++) {
    const [up, below] = [Math.max(0, j - 1), Math.min(rows - 1, j + 1)];
    for (let i = 0; i < columns; i++) {
      const [left, right] = [Math.max(0, i - 1), Math.min(columns - 1, i + 1)];
      const at = j * columns + i;
      const share = Math.max(0, (cut[at] ?? 0) - deep) / (surface[at] ?? 1);
      across[at] = (share * (height(right, j) - height(left, j))) / (Math.max(1, right - left) * wide);
      down[at] = (share * (height(i, below) - height(i, up))) / (Math.max(1, below - up) * high);
    }
  }
  return { columns, rows, wide, high, across, down };
}

/** Share of the area whose flakes are tilted by more than so many degrees. */
export function tiltedBeyond({ across, down }: Tilts, degrees: number): number {
  const limit = Math.tan((degrees * Math.PI) / 180) ** 2;
  let beyond = 0;
  across.forEach((x, at) => {
    const y = down[at] ?? 0;
    if (x * x + y * y > limit) beyond += 1;
  });
  return beyond / across.length;
}

/** Which way a sheet is rolled: by hand with quarter turns, or through a machine, along the width of the picture. */
export type Rolled = 'by hand' | 'by machine';

/**
 * The flakes after a sheet was rolled thinner: slopes fall with the height, and once more as the plan grows, both ways
 * by hand and along the feed by machine.
 * @param ratio the thickness after by the thickness before, at most 1
 * @throws Complaint `mica/rolled`
 */
export function rolled(tilts: Tilts, ratio: number, way: Rolled): Tilts {
  if (!(ratio > 0)) throw complaint('mica/rolled');
  const grows = way === 'by hand' ? [1 / Math.sqrt(ratio), 1 / Math.sqrt(ratio)] : [1 / ratio, 1];
  const [wider = 1, longer = 1] = grows;
  return {
    ...tilts,
    wide: tilts.wide * wider,
    high: tilts.high * longer,
    across: tilts.across.map((slope) => (slope * ratio) / wider),
    down: tilts.down.map((slope) => (slope * ratio) / longer),
  };
}
