import type { Lab } from '#core/colour';
import { type Mm } from '#core/units';
import type { Fade } from './fade.js';
import { complaint } from './sentences.js';

/** A piece cut from a fade: its middle and the shade it gets, the mean of what is under the cutter. */
export interface FadePiece {
  readonly x: Mm;
  readonly lab: Lab;
}

/** The mean colour of a fade between two places. */
export function shadeBetween({ width, labs }: Fade, from: Mm, to: Mm): Lab {
  const last = labs.length - 1;
  const [low, high] = [Math.max(0, Math.round((from / width) * last)), Math.min(last, Math.round((to / width) * last))];
  const part = labs.slice(Math.min(low, high), Math.max(low, high) + 1);
  const mean = (key: keyof Lab): number => part.reduce((sum, lab) => sum + lab[key], 0) / part.length;
  return { l: mean('l'), a: mean('a'), b: mean('b') };
}

/**
 * A graded set: pieces evenly along the fade.
 * @param size of a piece along the fade @param bridge left between pieces and at the ends
 * @throws Complaint `count/whole`, `blend/room` where so many do not fit side by side
 */
export function gradedSet(fade: Fade, count: number, size: Mm, bridge: Mm): FadePiece[] {
  if (!Number.isInteger(count) || count < 1 || count > 5000) throw complaint('count/whole');
  const needed = count * size + (count + 1) * bridge;
  if (needed > fade.width + 1e-9)
    throw complaint('blend/room', { count, fits: Math.max(0, Math.floor((fade.width - bridge) / (size + bridge))) });
  const room = fade.width - 2 * bridge - size;
  return Array.from({ length: count }, (_, i) => {
    const x = count === 1 ? fade.width / 2 : bridge + size / 2 + (room * i) / (count - 1);
    return { x, lab: shadeBetween(fade, x - size / 2, x + size / 2) };
  });
}

/** Rows of pieces that fit on the blend's height. */
export const rowsIn = (height: Mm, size: Mm, bridge: Mm): number =>
  Math.max(0, Math.floor((height - bridge) / (size + bridge)));
