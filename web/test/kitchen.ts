import { ofClay } from '#core/material';
import type { BlendAnswer, BlendPlanDto, RevisionAnswer, ShelfAnswer } from '#contract';
import { blocks, clays, idOf, lines } from '#demo';
import { layoutOf } from '#core/blend';
import type { Region } from '#core/cane';
import type { Read } from './screen.js';

/** What the tests of the screens' figures share: the shelf of the kitchen garden, and a blend of it. */
export const SHELF: ShelfAnswer = { lines, clays, blocks };
export const clayId = (name: string): string => {
  const clay = clays.find((c) => c.name === name);
  if (!clay) throw new Error(`${name} is not on the shelf.`);
  return clay.id;
};
export const plan = (names: readonly string[], more: Partial<BlendPlanDto> = {}): BlendPlanDto => ({
  colours: names.map((name) => ofClay(clayId(name))),
  width: 180,
  height: 120,
  layers: 2,
  settingId: null,
  kind: 'pure ends',
  pure: 20,
  cuts: layoutOf('pure ends', names.length, 180, 120, 20).cuts.map((points) => ({ points: [...points] })),
  tapeWidth: 40,
  tapeSettingId: null,
  plug: 'rolled',
  inside: 'first',
  fanDepth: 20,
  ...more,
});
export const blend = (of: BlendPlanDto, referenced: readonly RevisionAnswer[] = []): BlendAnswer => ({
  id: idOf('blend'),
  version: 1,
  name: 'Pod fade',
  note: '',
  retired: false,
  plan: of,
  revision: 1,
  made: false,
  counted: [],
  referenced,
});
export const revision = (name: string, parts: Readonly<Record<string, string>>): RevisionAnswer => ({
  id: idOf(`${name} 1`),
  mixId: idOf(name),
  mixName: name,
  number: 1,
  newest: true,
  basis: 'volume',
  made: false,
  createdAt: '2026-11-01',
  ingredients: Object.entries(parts).map(([clay, share]) => ({ parts: share, of: ofClay(clayId(clay)) })),
});

/** What a field that picks clay reads, from the shelf alone, while words are typed into it. */
export const pickable = (...words: readonly string[]): Read => {
  const typed = ['', ...words.flatMap((word) => Array.from(word, (_, i) => word.slice(0, i + 1)))];
  const none = { pages: [{ cards: [], total: 0 }], pageParams: [0] };
  return [
    [['/api/shelf'], SHELF],
    [['/api/blends'], []],
    ...typed.map((search) => [['/api/mixes', new URLSearchParams({ search, sort: 'name' }).toString()], none] as const),
  ];
};

/** A region of a template with four corners. */
export function boxRegion(
  id: string,
  [x, y]: readonly [number, number],
  [w, h]: readonly [number, number],
  of: string,
): Region {
  const [right, top] = [x + w, y + h];
  return {
    id,
    name: id,
    fill: { of },
    points: [
      [x, y],
      [right, y],
      [right, top],
      [x, top],
    ],
  };
}
