import { deltaE, type Lab } from '#core/colour';
import type { Mm } from '#core/units';
import { placeInPlug, type Plug } from './tape.js';

/**
 * ΔE00 between two neighbouring turns of a plug that is not seen as a step:
 * turns are finer than a mm, so that the eye needs more than side by side. An
 * assumption.
 */
export const STEP_NOT_SEEN = 2.5;

const at = (labs: readonly Lab[], place: number): Lab => labs[Math.round(Math.min(1, Math.max(0, place)) * (labs.length - 1))] as Lab;

/** Places in a plug at which neighbouring turns are compared. */
const COMPARED = 200;

/**
 * The largest step of colour, ΔE00, between neighbouring turns of a rolled
 * plug, or neighbouring folds of one that is folded like a fan: a fold comes
 * back, so that at its end two folds lie between them.
 * @param labs along the tape @param thickness of what is wound up, mm
 */
export function largestStep(labs: readonly Lab[], plug: Plug, thickness: Mm): number {
  const apart = plug.kind === 'fan' ? 2 / plug.folds : (2 * thickness) / plug.diameter;
  let largest = 0;
  for (let i = 0; i <= COMPARED; i++) {
    const share = apart + ((1 - apart) * i) / COMPARED;
    if (share > 1) break;
    largest = Math.max(largest, deltaE(at(labs, placeInPlug(plug, share - apart)), at(labs, placeInPlug(plug, share))));
  }
  return largest;
}
