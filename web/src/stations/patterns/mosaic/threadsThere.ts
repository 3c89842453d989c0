import { deltaE, labOf, xyzOfHex, type Lab } from '#core/colour';
import { isOf, keyOf, type MaterialKey } from '#core/material';
import type { StockAnswer } from '#contract';
import type { ShadeThreads } from './mosaicMoves.js';

/** Threads that lie there. */
export interface ThreadThere {
  readonly name: string;
  readonly of: MaterialKey;
  readonly hex: string;
  readonly lab: Lab;
  /** mm */
  readonly diameter: number;
  readonly length: number;
}

/** A thread is as thick as is wanted where it is within this share of it: an assumption. */
const AS_THICK = 0.1;
/** ΔE00 up to which a thread that lies there is taken for a shade: an assumption. */
const NEAR = 2;

/** Threads of one clay or mix among what lies there; of a thing that was partly used, what is left. */
export function threadsThere({ things }: Pick<StockAnswer, 'things'>): readonly ThreadThere[] {
  return things.flatMap(({ form, of, name, hexes, widthMm, lengthMm, count, left, grams }) => {
    const [hex, ...others] = hexes;
    if (form !== 'threads' || hex === undefined || others.length > 0 || !isOf(of, 'clay', 'mix')) return [];
    const length = lengthMm * count * (grams > 0 ? left / grams : 1);
    return [{ name, of: keyOf(of), hex, lab: labOf(xyzOfHex(hex)), diameter: widthMm, length }];
  });
}

/** The thread whose colour is nearest to a shade, where it is near enough. */
export function threadNear(shade: Lab, there: readonly ThreadThere[]): ThreadThere | null {
  const near = there
    .map((thread) => ({ thread, off: deltaE(thread.lab, shade) }))
    .filter(({ off }) => off <= NEAR)
    .sort((a, b) => a.off - b.off);
  return near[0]?.thread ?? null;
}

/** The same threads, less what lies there already, and how much that is. */
export function lessThere(
  rows: readonly ShadeThreads[],
  shades: readonly { readonly of?: MaterialKey }[],
  there: readonly ThreadThere[],
): readonly (ShadeThreads & { readonly there: number })[] {
  const left = there.map((thread) => ({ ...thread }));
  const taken = (of: MaterialKey | undefined, diameter: number, wanted: number): number => {
    let open = wanted;
    for (const thread of left) {
      if (thread.of !== of || Math.abs(thread.diameter / diameter - 1) > AS_THICK) continue;
      const part = Math.min(open, thread.length);
      thread.length -= part;
      open -= part;
    }
    return wanted - open;
  };
  return rows.map((row) => {
    const { of } = shades[row.shade] ?? {};
    const threads = row.threads.map((t) => ({ ...t, have: taken(of, t.diameter, t.length) }));
    const have = threads.reduce((sum, t) => sum + t.have, 0);
    const length = row.length - have;
    return {
      ...row,
      ...{ there: have, length },
      threads: threads.map(({ have: own, ...t }) => ({ ...t, length: t.length - own })),
      grams: row.grams === null ? null : row.grams - gramsOf(row, threads),
    };
  });
}

/** Grams of what lies there already, by what the whole weighs. */
function gramsOf(
  { grams, threads: all }: ShadeThreads,
  threads: readonly { readonly diameter: number; readonly have: number }[],
): number {
  const volume = (list: readonly { readonly diameter: number; readonly length: number }[]): number =>
    list.reduce((sum, t) => sum + t.diameter ** 2 * t.length, 0);
  const have = volume(threads.map(({ diameter, have: length }) => ({ diameter, length })));
  return ((grams ?? 0) * have) / Math.max(1e-9, volume(all));
}
