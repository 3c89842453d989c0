import {
  areaOf,
  diameterOf,
  pressOf,
  scaled,
  turned,
  type BackTable,
  type Fineness,
  type Outline,
  type Press,
} from '#core/cane/outlines';
import { spoiltByHandling, type Spoilt } from './ends.js';
import type { CaneState, Sampler, Unspoilt } from './state.js';

/** A face carried back through the table of a press and its squeeze; it is asked for every pixel, so without calls. */
function throughTable(
  inner: Sampler,
  { evenX, evenY, fx, fy }: Press,
  { columns, rows, left, bottom, by, points }: BackTable,
): Sampler {
  const row = 2 * columns;
  return (x, y) => {
    const px = (x * evenX - left) * by;
    const py = (y * evenY - bottom) * by;
    // the nearest node within; splines reach one further
    const i = Math.min(columns - 2, Math.max(1, (px + 0.5) | 0));
    const j = Math.min(rows - 2, Math.max(1, (py + 0.5) | 0));
    const u = px - i;
    const v = py - j;
    const u0 = 0.5 * (0.5 - u) * (0.5 - u);
    const u2 = u0 + u;
    const u1 = 1 - u0 - u2;
    const v0 = 0.5 * (0.5 - v) * (0.5 - v);
    const v2 = v0 + v;
    const v1 = 1 - v0 - v2;
    const b = j * row + 2 * i;
    const a = b - row;
    const c = b + row;
    const sx =
      v0 * (u0 * (points[a - 2] as number) + u1 * (points[a] as number) + u2 * (points[a + 2] as number)) +
      v1 * (u0 * (points[b - 2] as number) + u1 * (points[b] as number) + u2 * (points[b + 2] as number)) +
      v2 * (u0 * (points[c - 2] as number) + u1 * (points[c] as number) + u2 * (points[c + 2] as number));
    const sy =
      v0 * (u0 * (points[a - 1] as number) + u1 * (points[a + 1] as number) + u2 * (points[a + 3] as number)) +
      v1 * (u0 * (points[b - 1] as number) + u1 * (points[b + 1] as number) + u2 * (points[b + 3] as number)) +
      v2 * (u0 * (points[c - 1] as number) + u1 * (points[c + 1] as number) + u2 * (points[c + 3] as number));
    return inner(sx * fx, sy * fy);
  };
}

/** A face carried back through a press. What that takes is worked out when it is looked at first. */
export function throughPress(inner: Sampler, press: Press): Sampler {
  let through: Sampler | undefined;
  return (x, y) => {
    if (!through) {
      const table = press.back();
      const [wide, high] = [press.evenX * press.fx, press.evenY * press.fy];
      through = table ? throughTable(inner, press, table) : (px, py) => inner(px * wide, py * high);
    }
    return through(x, y);
  };
}

/** A piece pressed to an outline of the same area. */
export function pressedTo(state: CaneState, shape: Outline, turn: number, fine?: Fineness): CaneState {
  const map = pressOf(state.outline, shape, turn, fine);
  return { ...state, outline: map.outline, sample: throughPress(state.sample, map) };
}

/** A piece turned on its axis, degrees to the left. */
export function turnedBy<S extends Unspoilt>(state: S, degrees: number): S {
  const inner = state.sample;
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return { ...state, outline: turned(state.outline, degrees), sample: (x, y) => inner(x * c + y * s, y * c - x * s) };
}

/** A face that is so many times as wide and as high. */
export function stretched(state: CaneState, fx: number, fy: number): CaneState {
  const inner = state.sample;
  const [ix, iy] = [1 / fx, 1 / fy];
  const k = fx * fy;
  return {
    ...state,
    outline: scaled(state.outline, fx, fy),
    sample: (x, y) => inner(x * ix, y * iy),
    amounts: k === 1 ? state.amounts : new Map([...state.amounts].map(([index, area]) => [index, area * k])),
  };
}

/** What is spoilt at the ends of a piece that was handled: what was before, and more. */
export const handled = (before: CaneState, after: Unspoilt): readonly Spoilt[] => [
  ...before.spoilt,
  spoiltByHandling(diameterOf(before.outline), areaOf(after.outline)),
];
