import { isOf, materialIn } from '#core/material';
import { massOf } from '#core/clay';
import type { CaneAnswer, KeptCaneDto } from '#contract';
import type { LeftPlanned } from '../../../parts/leftOver.js';
import type { PlainPlan } from '../../../workers/canePlain.js';
import type { CaneMaterial } from '../clay/materials.js';
import { heapWords, heapsOf, kneaded } from '../words/scrapWords.js';

/** What a cane leaves over, sorted as at the bench. */
export function leftOfCane(
  plan: Pick<PlainPlan, 'offcuts'>,
  materials: ReadonlyMap<string, CaneMaterial>,
): LeftPlanned[] {
  return heapsOf(plan, materials).map((heap) => ({
    name: heapWords(heap),
    hexes: [kneaded(heap.volumes, materials)],
    parts: [...heap.volumes].flatMap(([key, volume]) => {
      const [of, material] = [materialIn(key), materials.get(key)];
      return of && material && isOf(of, 'clay', 'mix', 'blend')
        ? [{ of, grams: massOf(volume, material.density) }]
        : [];
    }),
  }));
}

/** What of a cane lies there when it is done. */
export const KEPT = [
  { value: 'slices', text: 'its slices lie there' },
  { value: 'cane', text: 'the cane lies there, whole' },
  { value: 'nothing', text: 'it goes on at once, and nothing is kept' },
] as const;
export type Kept = (typeof KEPT)[number]['value'];

export function keptDto({ name }: Pick<CaneAnswer, 'name'>, kept: Kept): KeptCaneDto | null {
  if (kept === 'nothing') return null;
  const called = kept === 'slices' ? `${name}, slices` : name;
  return { id: crypto.randomUUID(), name: called.slice(0, 80), form: kept, keptIn: '' };
}
