import type { Point } from '#core/outline';
import type { Mm } from '#core/units';

/**
 * How far an outline reaches to both sides in each of many thin stripes: `near` and `far` of the stripe
 * `[(from + i) · cell, (from + i + 1) · cell]`. Never less than the outline itself.
 */
export interface Profile {
  readonly cell: Mm;
  readonly from: number;
  readonly near: Float64Array;
  readonly far: Float64Array;
}

/** @param across 0: stripes along x, reaching in y; 1: stripes along y, reaching in x */
export function profileOf(points: readonly Point[], cell: Mm, across: 0 | 1): Profile {
  const along = points.map((p) => p[across]);
  const from = Math.floor(Math.min(...along) / cell);
  const size = Math.floor(Math.max(...along) / cell) - from + 1;
  const near = new Float64Array(size).fill(Infinity);
  const far = new Float64Array(size).fill(-Infinity);
  const note = (stripe: number, reach: number): void => {
    const i = Math.min(size - 1, Math.max(0, stripe - from));
    near[i] = Math.min(near[i] as number, reach);
    far[i] = Math.max(far[i] as number, reach);
  };
  points.forEach((p, at) => {
    const q = points[(at + 1) % points.length] as Point;
    const [low, high] = p[across] < q[across] ? [p, q] : [q, p];
    const [a, b] = [low[across], high[across]];
    const reachAt = (place: number): number =>
      b - a < 1e-12
        ? (high[1 - across] as number)
        : low[1 - across]! + ((place - a) / (b - a)) * (high[1 - across]! - low[1 - across]!);
    const [first, last] = [Math.floor(a / cell), Math.floor(b / cell)];
    note(first, low[1 - across] as number);
    note(last, high[1 - across] as number);
    for (let edge = first + 1; edge <= last; edge++) {
      note(edge - 1, reachAt(edge * cell));
      note(edge, reachAt(edge * cell));
    }
  });
  return { cell, from, near, far };
}

/** The same with so much more all around. */
export function widened({ cell, from, near, far }: Profile, by: Mm): Profile {
  const more = Math.ceil(by / cell);
  const size = near.length + 2 * more;
  const wide = { near: new Float64Array(size).fill(Infinity), far: new Float64Array(size).fill(-Infinity) };
  for (let i = 0; i < near.length; i++) {
    for (let k = -more; k <= more; k++) {
      const gap = Math.min(by, Math.max(0, Math.abs(k) - 1) * cell);
      const reach = Math.sqrt(by * by - gap * gap);
      const at = i + k + more;
      wide.near[at] = Math.min(wide.near[at] as number, (near[i] as number) - reach);
      wide.far[at] = Math.max(wide.far[at] as number, (far[i] as number) + reach);
    }
  }
  return { cell, from: from - more, ...wide };
}

/** How far the second has to be moved so that it lies wholly behind the first, shifted by so many stripes. */
export function apart(first: Profile, second: Profile, shift: number): Mm {
  const start = Math.max(first.from, second.from + shift);
  const end = Math.min(first.from + first.far.length, second.from + shift + second.near.length);
  let most = -Infinity;
  for (let at = start; at < end; at++) {
    const reach = (first.far[at - first.from] as number) - (second.near[at - shift - second.from] as number);
    if (reach > most) most = reach;
  }
  return most;
}
