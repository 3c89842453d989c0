import { deltaE } from './difference.js';
import { labOf, xyzOfLab, type Lab, type Xyz } from './lab.js';

/** Line spread of the eye at 30 cm, full width at half maximum in mm: an assumption. */
export const LINE_SPREAD = 0.1;
/** The same as the sigma of a Gaussian, mm. */
export const EYE_SIGMA = LINE_SPREAD / (2 * Math.sqrt(2 * Math.LN2));
const SIGMA = EYE_SIGMA;
const HARMONICS = 15;

/** ΔL* from which two colours are told apart under a lamp at once, and below which they are not: assumptions. */
export const CLEAR_LIGHTNESS = 15;
export const FAINT_LIGHTNESS = 6;
/** ΔE00 that two colours need after the eye's blur to be told apart: an assumption. */
export const TOLD_APART = 5;

/** How well two colours stay apart. */
export interface Apart {
  /** difference in lightness: what is left under a lamp */
  readonly dL: number;
  readonly deltaE: number;
  readonly lamp: 'clear' | 'faint' | 'lost';
  /** mm: stripes narrower than this run together; null where they do at any width */
  readonly runTogetherBelow: number | null;
}

/**
 * What is left of the contrast in the middle of equally wide stripes after a
 * Gaussian blur: the Fourier series of a square wave, each harmonic damped.
 * @param width of one stripe, mm, > 0 @returns 1 (nothing lost) to 0
 */
export function contrastKept(width: number): number {
  // the blur does not reach the middle of a stripe this wide, and below it the series has ended
  if (width > 12 * SIGMA) return 1;
  let kept = 0;
  for (let n = 0; n < HARMONICS; n++) {
    const k = 2 * n + 1;
    kept += ((n % 2 === 0 ? 1 : -1) * 4 * Math.exp(-2 * ((Math.PI * k * SIGMA) / (2 * width)) ** 2)) / (Math.PI * k);
  }
  return Math.min(1, Math.max(0, kept));
}

/** ΔE00 that the eye sees between stripes of two colours of a width in mm. Light mixes in XYZ. */
export function seenDifference(one: Lab, other: Lab, width: number): number {
  const [p, q] = [xyzOfLab(one), xyzOfLab(other)];
  const far = (1 + contrastKept(width)) / 2;
  const mix = (a: Xyz, b: Xyz): Lab =>
    labOf({ x: far * a.x + (1 - far) * b.x, y: far * a.y + (1 - far) * b.y, z: far * a.z + (1 - far) * b.z });
  return deltaE(mix(p, q), mix(q, p));
}

const WIDEST = 5;

function lampOf(dL: number): Apart['lamp'] {
  if (dL >= CLEAR_LIGHTNESS) return 'clear';
  return dL >= FAINT_LIGHTNESS ? 'faint' : 'lost';
}

/** Lightness first, then the whole difference, then the width at which the two run together (docs/models.md §4). */
export function apart(one: Lab, other: Lab): Apart {
  const dL = Math.abs(one.l - other.l);
  const lamp = lampOf(dL);
  const whole = deltaE(one, other);
  if (seenDifference(one, other, WIDEST) < TOLD_APART) return { dL, deltaE: whole, lamp, runTogetherBelow: null };
  let [low, high] = [0.001, WIDEST];
  for (let step = 0; step < 40; step++) {
    const middle = (low + high) / 2;
    if (seenDifference(one, other, middle) < TOLD_APART) low = middle;
    else high = middle;
  }
  return { dL, deltaE: whole, lamp, runTogetherBelow: high };
}

/** The weakest pair of neighbours in a stack: the place of the upper one and its ΔL*. @param stack at least two */
export function weakestPair(stack: readonly Lab[]): { readonly at: number; readonly dL: number } {
  let weakest = { at: 0, dL: Infinity };
  for (let at = 0; at + 1 < stack.length; at++) {
    const dL = Math.abs((stack[at]?.l ?? 0) - (stack[at + 1]?.l ?? 0));
    if (dL < weakest.dL) weakest = { at, dL };
  }
  return weakest;
}

/** The one change that helps a stack most, and the ΔL* of its weakest pair afterwards. */
export type Help =
  | { readonly kind: 'swap'; readonly first: number; readonly second: number; readonly dL: number }
  | { readonly kind: 'between'; readonly at: number; readonly sheet: number; readonly dL: number };

/**
 * Two layers changed round, or one thin sheet laid between the weakest pair:
 * whichever leaves the weakest pair of the whole stack farthest apart.
 * @param sheets colours a thin sheet could have @returns null where nothing makes it better by ΔL* 1
 */
export function whatHelps(stack: readonly Lab[], sheets: readonly Lab[]): Help | null {
  const now = weakestPair(stack);
  let best: Help | null = null;
  const consider = (help: Help): void => {
    if (help.dL > Math.max(now.dL + 1, best?.dL ?? 0)) best = help;
  };
  for (let first = 0; first < stack.length; first++) {
    for (let second = first + 1; second < stack.length; second++) {
      const changed = [...stack];
      [changed[first], changed[second]] = [changed[second] as Lab, changed[first] as Lab];
      consider({ kind: 'swap', first, second, dL: weakestPair(changed).dL });
    }
  }
  sheets.forEach((sheet, i) => {
    consider({
      kind: 'between',
      at: now.at,
      sheet: i,
      dL: weakestPair([...stack.slice(0, now.at + 1), sheet, ...stack.slice(now.at + 1)]).dL,
    });
  });
  return best;
}
