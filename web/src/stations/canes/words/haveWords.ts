import type { Most, RunsOut } from '#core/cane';
import { massOf, volumeOf } from '#core/clay';
import { materialIn } from '#core/material';
import { showLength, showMass, type UnitSystem } from '#core/units';
import type { ShelfAnswer } from '#contract';
import { leftOf } from '../../../state/shelf.js';
import type { PlainHave } from '../../../workers/canePlain.js';
import type { CaneMaterial } from '../clay/materials.js';

/** Grams of each material that one has, and of all together; null: enough. */
export interface Grams {
  readonly of: Readonly<Record<string, number | null>>;
  readonly all: number | null;
}
export const NOTHING_SAID: Grams = { of: {}, all: null };

/** Grams of a material, as somebody said; or, of a clay, what the shelf has of it. */
export function gramsHad(key: string, said: Grams, shelf: ShelfAnswer): number | null {
  const own = said.of[key];
  if (own !== undefined) return own;
  const of = materialIn(key);
  return of?.kind === 'clay' ? leftOf(shelf, of.id) : null;
}

/** Grams as volumes, each by the density of its material; of all together by that of what is in it. */
export function haveOf(
  needed: readonly (readonly [key: string, volume: number])[],
  said: Grams,
  materials: ReadonlyMap<string, CaneMaterial>,
  shelf: ShelfAnswer,
  there: ReadonlyMap<string, number>,
): PlainHave {
  const volumes = needed.flatMap(([key]) => {
    const [grams, material] = [gramsHad(key, said, shelf), materials.get(key)];
    return grams === null || !material ? [] : [[key, volumeOf(grams, material.density)] as const];
  });
  const whole = needed.reduce((sum, [, volume]) => sum + volume, 0);
  const mass = needed.reduce((sum, [key, volume]) => sum + massOf(volume, materials.get(key)?.density ?? 0), 0);
  const all = said.all !== null && mass > 0 ? { all: (said.all * whole) / mass } : {};
  return { volumes, made: [...there], ...all };
}

const nameOf = (out: RunsOut, names: (key: string) => string, made: (id: string) => string): string => {
  if (out.kind === 'all') return 'the clay';
  return out.kind === 'made' ? made(out.id) : names(out.key);
};

/** How many slices that gives, and what runs out. */
export function mostWords(
  { slices, runsOut }: Most,
  thickness: number,
  names: (key: string) => string,
  made: (id: string) => string,
  units: UnitSystem,
): string {
  const out = runsOut && nameOf(runsOut, names, made);
  if (slices === 0) return `That is not enough for one slice: there is too little of ${out ?? 'the clay'}.`;
  const count = `${slices} ${slices === 1 ? 'slice' : 'slices'} of ${showLength(thickness, units)}`;
  return out === null ? `That gives ${count}, and more.` : `That gives ${count}; then ${out} runs out.`;
}

/** Grams as they stand in a field; nothing where there is enough. */
export const shownGrams = (grams: number | null, units: UnitSystem): string =>
  grams === null ? '' : showMass(grams, units);
