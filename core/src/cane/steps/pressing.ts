import { STEPS, areaOf, diameterOf, pressOf, scaled, turned, type Outline, type Press } from '#core/cane/outlines';
import { spoiltByHandling, type Spoilt } from './ends.js';
import type { CaneState, Sampler, Unspoilt } from './state.js';

const PER = STEPS / 4;

/** A face carried back through a press. */
export function throughPress(inner: Sampler, { cx, cy, fx, fy }: Press): Sampler {
  return (x, y) => {
    const sum = Math.abs(x) + Math.abs(y);
    if (sum === 0) return inner(0, 0);
    const p = y / sum;
    // where it lies on the diamond, from 0 to 4, without a call: this is asked for every pixel
    let quarter = 2 - p;
    if (x >= 0) quarter = p >= 0 ? p : 4 + p;
    const at = quarter * PER;
    const k = at | 0;
    const t = at - k;
    const [x0, y0] = [cx[k] as number, cy[k] as number];
    return inner(
      sum * (x0 + ((cx[k + 1] as number) - x0) * t) * fx,
      sum * (y0 + ((cy[k + 1] as number) - y0) * t) * fy,
    );
  };
}

/** A piece pressed to an outline of the same area. */
export function pressedTo(state: CaneState, shape: Outline, turn: number): CaneState {
  const map = pressOf(state.outline, shape, turn);
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
