import { massOf } from '#core/clay';
import { materialIn } from '#core/material';
import type { Start } from '#core/pattern';
import type { MadeAnswer, StockAnswer } from '#contract';
import type { Instead } from '../../parts/takenInstead.js';
import type { CaneMaterial } from '../canes/clay/materials.js';

/** What of a cane is sliced for a sheet, and how much of it lies there already. */
export interface SlicesWanted {
  readonly key: string;
  readonly name: string;
  /** that lie there and nobody counts on */
  readonly things: readonly MadeAnswer[];
  readonly grams: number;
  readonly there: number;
}

/** Rounded as a scale shows it. */
const tenth = (grams: number): number => Math.round(10 * grams) / 10;

/** Every cane that is sliced, with what lies there of it and nobody counts on. */
export function slicesWanted(
  starts: readonly Start[],
  materials: ReadonlyMap<string, CaneMaterial>,
  stock: StockAnswer | undefined,
): readonly SlicesWanted[] {
  const volumes = new Map<string, number>();
  for (const { what, of, volume } of starts) if (what === 'slices') volumes.set(of, (volumes.get(of) ?? 0) + volume);
  return [...volumes].flatMap(([key, volume]): SlicesWanted[] => {
    const [of, material] = [materialIn(key), materials.get(key)];
    if (of?.kind !== 'cane' || !material) return [];
    const things = (stock?.things ?? []).filter(
      (t) => t.of.kind === 'cane' && t.of.id === of.id && t.left > 0 && t.reservedFor.length === 0,
    );
    const there = things.reduce((sum, t) => sum + t.left, 0);
    return [{ key, name: material.name, things, grams: massOf(volume, material.density), there }];
  });
}

/** What lies there is sliced first: as much of each as is wanted. */
export function slicedFirst(wanted: readonly SlicesWanted[], makes: number): readonly Instead[] {
  return wanted.flatMap(({ things, grams }) => {
    let open = grams * makes;
    return things.flatMap((thing): Instead[] => {
      const taken = tenth(Math.min(open, thing.left));
      open -= taken;
      if (taken <= 0) return [];
      return [
        { of: { kind: 'made', id: thing.id }, name: thing.name, there: thing.left, grams: taken, clays: thing.clays },
      ];
    });
  });
}
