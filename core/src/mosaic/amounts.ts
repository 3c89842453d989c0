import { massOf } from '#core/clay';
import type { Density, Grams, Mm } from '#core/units';
import type { Tessera } from './mosaic.js';

/** Thread of one shade and thickness. */
export interface ThreadNeeded {
  readonly shade: number;
  readonly diameter: Mm;
  readonly count: number;
  /** mm, with what is lost */
  readonly length: Mm;
}

/** So much more thread than lies there in the end: ends, and what breaks. An assumption. */
export const LOST = 0.15;

/** What threads have to be made: by shade, the thickest first. */
export function threadsOf(tesserae: readonly Tessera[], lost = LOST): readonly ThreadNeeded[] {
  const needed = new Map<string, { shade: number; diameter: Mm; count: number; length: Mm }>();
  for (const { shade, diameter, length } of tesserae) {
    const key = `${shade} ${diameter}`;
    const own = needed.get(key) ?? { shade, diameter, count: 0, length: 0 };
    own.count++;
    own.length += length * (1 + lost);
    needed.set(key, own);
  }
  return [...needed.values()].sort((a, b) => a.shade - b.shade || b.diameter - a.diameter);
}

/** Grams of a thread: π d² / 4 times its length. */
export const threadGrams = ({ diameter, length }: Pick<ThreadNeeded, 'diameter' | 'length'>, density: Density): Grams =>
  massOf((Math.PI / 4) * diameter ** 2 * length, density);

/** A tray that threads are baked on. */
export interface ThreadTray {
  readonly width: Mm;
  readonly length: Mm;
}

/** How many threads as long as a tray there are, and how many trays they fill, a thread's width apart. */
export function traysFor(
  needed: readonly Pick<ThreadNeeded, 'diameter' | 'length'>[],
  { width, length }: ThreadTray,
): { readonly threads: number; readonly trays: number } {
  const each = needed.map((n) => ({ count: Math.ceil(n.length / length - 1e-9), room: 2 * n.diameter }));
  const threads = each.reduce((sum, e) => sum + e.count, 0);
  const wide = each.reduce((sum, e) => sum + e.count * e.room, 0);
  return { threads, trays: Math.max(0, Math.ceil(wide / width - 1e-9)) };
}
