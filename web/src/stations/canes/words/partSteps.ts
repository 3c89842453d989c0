import type { Taken } from '#core/cane';
import { showLength, type UnitSystem } from '#core/units';
import type { PlainPart } from '../../../workers/canePlain.js';
import { stepTitle, viewOf } from '../steps/index.js';

/** Lengths that differ by less than this share are the same. */
const SAME = 0.005;

const fits = ({ length, drawnTo }: Taken): boolean => Math.abs(drawnTo / length - 1) < SAME;
/** Whether any of what is cut off a part is brought to another size before it is taken. */
export const isDrawn = ({ taken }: PlainPart): boolean => !taken.every(fits);

/** What is cut off a part for one step: how many, how long, and what they are drawn to. */
export function takenWords(taken: Taken, units: UnitSystem): string {
  const { step, at, path, count, length, drawnTo } = taken;
  const times = count > 1 ? `${count} × ` : '';
  const cut = `${times}${showLength(length, units)}`;
  const within = path.length > 0 ? ` of ${path.at(-1)}` : '';
  const as = `for step ${at + 1}${within}, “${stepTitle(step, units)}”`;
  if (fits(taken)) return `${cut} ${as}`;
  const to = viewOf(step.do).takes?.(step, units);
  const size = to === undefined ? '' : `${to}, `;
  const brought = drawnTo > length ? 'drawn to' : 'pressed together to';
  return `${cut}, ${brought} ${size}${showLength(drawnTo, units)} long, ${as}`;
}

/** Pieces that are cut off a part in all. */
export const piecesOf = ({ taken }: PlainPart): number => taken.reduce((sum, t) => sum + t.count, 0);
