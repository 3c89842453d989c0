import { UNKNOWN_HEX } from '../../../theme/grey.js';
import { coresFrom, sortScrap, type ScrapHeap } from '#core/cane';
import { hexOf, labOf, mixPigments, xyzOfLab, type Lab } from '#core/colour';
import { showMass, type UnitSystem } from '#core/units';
import type { PlainPlan } from '../../../workers/canePlain.js';
import { gramsOf } from './caneWords.js';
import type { CaneMaterial } from '../clay/materials.js';

/** Where a heap of scrap goes. */
export function heapWords({ group }: Pick<ScrapHeap, 'group'>): string {
  if (group === 'mixed') return 'several colours together, for dark cores';
  return group === 'mica' ? 'mica, with mica' : `${group}, with their own`;
}

function coresWords(cores: number): string {
  if (cores === 0) return 'not enough for a core';
  return cores === 1 ? '1 core' : `${cores} cores`;
}

/** A heap in words: what it is, how much of it, and how many cores. */
export function heapLine(
  heap: ScrapHeap,
  materials: ReadonlyMap<string, CaneMaterial>,
  coreMm: number,
  units: UnitSystem,
): string {
  const cores = coresFrom(heap.volume, coreMm);
  return `${heapWords(heap)}: ${showMass(gramsOf([...heap.volumes], materials).total, units)}, ` + coresWords(cores);
}

export const heapsOf = (plan: Pick<PlainPlan, 'offcuts'>, materials: ReadonlyMap<string, CaneMaterial>): ScrapHeap[] =>
  sortScrap(
    plan.offcuts.map(({ why, volumes }) => ({ why, volumes: new Map(volumes) })),
    (key) => materials.get(key),
  );

/** The colour of some volumes, kneaded through; null where nothing of them is known. */
export function stirredLab(
  volumes: Iterable<readonly [key: string, volume: number]>,
  materials: ReadonlyMap<string, CaneMaterial>,
): Lab | null {
  const known = [...volumes].flatMap(([key, volume]) => {
    const material = materials.get(key);
    return material ? [{ pigment: material.pigment, volume }] : [];
  });
  if (known.length === 0) return null;
  return labOf(
    mixPigments(
      known.map((k) => k.pigment),
      known.map((k) => k.volume),
    ),
  );
}

/** The same as hex. */
export function kneaded(
  volumes: Iterable<readonly [key: string, volume: number]>,
  materials: ReadonlyMap<string, CaneMaterial>,
): string {
  const lab = stirredLab(volumes, materials);
  return lab === null ? UNKNOWN_HEX : hexOf(xyzOfLab(lab));
}
