import { deltaE, type Lab } from '#core/colour';
import type { Mm } from '#core/units';
import { placeInPlug, type Plug } from './tape.js';

/**
 * ΔE00 between neighbouring turns of a plug, in the mean, up to which it
 * looks smooth: turns are about a mm wide and the plug is reduced, so that
 * the eye needs more than side by side. An assumption.
 */
export const STEP_NOT_SEEN = 2.5;

const at = (labs: readonly Lab[], place: number): Lab =>
  labs[Math.round(Math.min(1, Math.max(0, place)) * (labs.length - 1))] as Lab;

/** Places in a plug at which neighbouring turns are compared. */
const COMPARED = 200;

/** Steps of colour between neighbouring turns, ΔE00: over all of the radius, and the largest. */
export interface TurnSteps {
  readonly mean: number;
  readonly largest: number;
}

/**
 * The steps of colour between neighbouring turns of a rolled plug, or
 * neighbouring folds of one that is folded like a fan: a fold comes back, so
 * that at its end two folds lie between them.
 * @param labs along the tape @param thickness of what is wound up, mm
 */
export function turnSteps(labs: readonly Lab[], plug: Plug, thickness: Mm): TurnSteps {
  const apart = Math.min(1, plug.kind === 'fan' ? 2 / plug.folds : (2 * thickness) / plug.diameter);
  const steps = Array.from({ length: COMPARED + 1 }, (_, i) => {
    const share = apart + ((1 - apart) * i) / COMPARED;
    return deltaE(at(labs, placeInPlug(plug, share - apart)), at(labs, placeInPlug(plug, share)));
  });
  return { mean: steps.reduce((a, b) => a + b, 0) / steps.length, largest: Math.max(...steps) };
}
