import type { Paint } from '#core/cane';
import { paintable } from './caneLoaded.js';
import { fileName } from './names.js';
import { coarse, fine, paintedFile } from './painting.js';

/** A picture that is asked for: of which cane, after which step, pixels a side, in which paints. */
export interface Wish {
  readonly id: string;
  readonly at: number;
  readonly size: number;
  readonly paints: Readonly<Record<string, Paint>>;
}

/** The name that the painting of a fine face goes by. */
const faceName = ({ id, at, size }: Wish): string => `face ${id} ${at} ${size}`;

/**
 * The face after a step. A coarse one is painted at once; a fine one lets everything go before it that is waiting, and
 * again after every few rows.
 * @param every blocks of so many pixels: a coarser picture at once
 * @returns null where it cannot be, or where it was stopped or asked for anew meanwhile
 */
export async function face(wish: Wish, every: number): Promise<ImageData | null> {
  const painted = paintable(wish.id, wish.at, wish.paints);
  if (!painted) return null;
  return every > 1 ? coarse(painted, wish.size, every) : fine(painted, wish.size, faceName(wish));
}

/**
 * The face after a step as a PNG file, painted strip by strip: of a large one there is never more than one copy.
 * @param tell called with the share that is done
 * @returns null where it cannot be, or was stopped
 */
export async function faceFile(wish: Wish, tell: (share: number) => void): Promise<Uint8Array | null> {
  const { size } = wish;
  const painted = paintable(wish.id, wish.at, wish.paints);
  if (!painted) return null;
  return paintedFile(painted, size, fileName(wish), tell);
}
