import { ageInMonths, squeezeOf, type Squeeze } from '#core/clay';
import type { PigmentSource } from '#core/colour';
import {
  hardnessOf,
  rescueWays,
  rescued,
  type Added,
  type RescueWay,
  type Rescued,
  type RescuedFrom,
  type ToRescue,
} from '#core/conditioning';
import { orSentence } from '#core/units';
import type { BlockDto, ClayDto, LineDto, MixDto, RescuedDto, ShelfAnswer, WrittenDto } from '#contract';
import { ofClay } from '#core/material';

/** A block with its clay and its line. */
export interface OnShelf {
  readonly block: BlockDto;
  readonly clay: ClayDto;
  readonly line: LineDto;
}

/** What is said of a rescue. */
export interface Saying {
  /** taken of the block, with its crumbs */
  readonly grams: number;
  readonly from: RescuedFrom;
  readonly lostGrams: number;
  readonly lostTo: 'tub' | 'thrown';
}

/** What is worked in, by the block that it comes from. */
export interface Chosen {
  readonly blockId: string | null;
  readonly grams: number;
  readonly drops: number;
}

/** Something to choose: a way with the block that its clay comes from. */
export interface Way extends RescueWay {
  readonly other: OnShelf | null;
}

/** Nobody opens a block for less. */
const LEAST = 1;

export function onShelf(shelf: ShelfAnswer, block: BlockDto | undefined): OnShelf | null {
  const clay = block && shelf.clays.find((c) => c.id === block.clayId);
  const line = clay && shelf.lines.find((l) => l.id === clay.lineId);
  return block && clay && line ? { block, clay, line } : null;
}

/** What is wrong with a block, as it was squeezed; of one that gives it is asked because it is too soft. */
const FROM: Readonly<Record<Squeeze, RescuedFrom>> = {
  gives: 'too soft',
  stiff: 'stiff',
  cracks: 'cracks',
  crumbles: 'crumbles',
};
export const fromOf = ({ block }: OnShelf, on: string): RescuedFrom => FROM[squeezeOf(block, on) ?? 'crumbles'];

export const toRescue = ({ clay, line }: OnShelf, said: Saying, pigments: PigmentSource): ToRescue => ({
  clay,
  density: line.density,
  grams: said.grams - said.lostGrams,
  from: said.from,
  pigments,
});

/** A block as it is worked in. @param on ISO date */
export function addedOf({ block, clay, line }: OnShelf, on: string): Added {
  const months = block.madeOn === null ? null : ageInMonths(block.madeOn, on);
  const hardness = hardnessOf({ firmness: line.firmness, squeeze: squeezeOf(block, on), months });
  return { clay, density: line.density, grams: block.leftGrams, hardness };
}

/** Of each clay the block that helps most. */
function candidates(own: OnShelf, shelf: ShelfAnswer, from: RescuedFrom, on: string): readonly [OnShelf, Added][] {
  const best = new Map<string, [OnShelf, Added]>();
  const better = (one: Added, other: Added): boolean =>
    from === 'too soft' ? one.hardness > other.hardness : one.hardness < other.hardness;
  for (const block of shelf.blocks) {
    const other = onShelf(shelf, block);
    if (!other || other.clay.retired || block.id === own.block.id || block.leftGrams < LEAST) continue;
    const added = addedOf(other, on);
    const before = best.get(other.clay.id);
    if (!before || better(added, before[1])) best.set(other.clay.id, [other, added]);
  }
  return [...best.values()];
}

/** Ways to bring a block back with what is on the shelf, or the sentence why there are none. */
export function waysFor(own: OnShelf, said: Saying, shelf: ShelfAnswer, pigments: PigmentSource, on: string) {
  const all = candidates(own, shelf, said.from, on);
  const of = toRescue(own, said, pigments);
  return orSentence((): readonly Way[] =>
    rescueWays(
      of,
      all.map(([, added]) => added),
    ).map((way) => ({ ...way, other: all.find(([, added]) => added === way.added)?.[0] ?? null })),
  );
}

/** What it becomes with what was chosen, or the sentence why not. */
export function becomesOf(
  own: OnShelf,
  said: Saying,
  { grams, drops }: Chosen,
  other: OnShelf | null,
  pigments: PigmentSource,
  on: string,
): Rescued | string {
  const added = other && addedOf(other, on);
  return orSentence(() => rescued(toRescue(own, said, pigments), { added, addedGrams: added ? grams : 0, drops }));
}

/** Parts that say a ratio to a hundredth of the whole, as small as they can be. */
export function partsOf(own: number, added: number): readonly [string, string] {
  const share = own / (own + added);
  for (let n = 1; n <= MOST_PARTS; n++) {
    const m = Math.max(1, Math.round((own / added) * n));
    if (Math.abs(m / (m + n) - share) <= 0.01) return [String(m), String(n)];
    const k = Math.max(1, Math.round((added / own) * n));
    if (Math.abs(n / (n + k) - share) <= 0.01) return [String(n), String(k)];
  }
  return [String(Math.round(own * 10)), String(Math.round(added * 10))];
}
const MOST_PARTS = 12;

/** The mix that a block is by now, where its colour shows it. */
export function mixDto(own: OnShelf, said: Saying, chosen: Chosen, other: OnShelf, name: string): MixDto {
  const [m, n] = partsOf(said.grams - said.lostGrams, chosen.grams);
  return {
    ...{ id: crypto.randomUUID(), version: 0, name, note: '', retired: false, basis: 'mass' },
    ingredients: [
      { parts: m, of: ofClay(own.clay.id) },
      { parts: n, of: ofClay(other.clay.id) },
    ],
  };
}

export const rescuedDto = (
  { block }: OnShelf,
  said: Saying,
  { blockId, grams, drops }: Chosen,
  written: Required<WrittenDto>,
  revisionId: string | null,
): RescuedDto => ({
  ...written,
  ...said,
  version: block.version,
  drops,
  added: blockId === null || grams <= 0 ? null : { blockId, grams },
  newId: crypto.randomUUID(),
  revisionId,
});
