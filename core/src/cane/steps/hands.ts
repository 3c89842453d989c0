import type { Mm } from '#core/units';
import { cornersOf, roundedEdge } from '#core/cane/outlines';
import { pressedTo } from './pressing.js';
import type { CaneContext, CaneState } from './state.js';
import type { StepResult } from './run.js';

/** How far in the edge lies that corners get as round as, when honest hands roll a cane: an assumption. */
const ROUNDED = 0.12;
/** Share of its width by which a cane that gets twice as long is thicker at one end, by honest hands: an assumption. */
const TAPER = 0.06;

/** What leaves the edge as it is. */
const AS_ROLLED: ReadonlySet<string> = new Set(['reduce', 'trim', 'slice', 'turn']);

/** Whether a face after a step has been rolled and not pressed since. */
function isRolled(results: readonly StepResult[], at: number): boolean {
  for (let i = at; i >= 0; i--) {
    const doing = results[i]?.step.do ?? '';
    if (doing === 'reduce') return true;
    if (!AS_ROLLED.has(doing)) return false;
  }
  return false;
}

/** Each is looked at many times. */
const LEFT = new WeakMap<CaneState, CaneState>();

/**
 * A cane as hands leave it to be looked at: rolling rounds its corners. The next press or join finds the edge that was
 * planned, since clay is pressed together before it is joined.
 * @returns null where there is no cane after that step
 */
export function leftByHands(results: readonly StepResult[], at: number, context: CaneContext): CaneState | null {
  const state = results[at]?.state ?? null;
  if (!state || context.wobble <= 0 || !isRolled(results, at) || cornersOf(state.outline).length === 0) return state;
  const known = LEFT.get(state);
  const left = known ?? pressedTo(state, roundedEdge(state.outline, 1 - ROUNDED * context.wobble), 0);
  LEFT.set(state, left);
  return left;
}

/** How far across a cane is at its two ends, mm. */
export interface Tapered {
  readonly thin: Mm;
  readonly thick: Mm;
}

/**
 * What becomes of a reduction when one hand is stronger: the cane tapers evenly, and its clay stays.
 * @param across what it would be @param longer how many times as long it got
 * @returns null where nothing tapers
 */
export function taperOf(across: Mm, longer: number, wobble: number): Tapered | null {
  const half = (TAPER * wobble * Math.log2(Math.max(1, longer))) / 2;
  if (half <= 0) return null;
  // the mean of the squares of even widths from 1 - half to 1 + half
  const middle = across / Math.sqrt(1 + half ** 2 / 3);
  return { thin: middle * (1 - Math.min(1, half)), thick: middle * (1 + half) };
}
