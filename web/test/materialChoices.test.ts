import fc from 'fast-check';
import { keyOf, ofBlend, ofClay, ofMix } from '#core/material';
import { TAKES, takes, type BlendCard, type MixCard, type Place } from '#contract';
import { choicesFor, type MaterialStock } from '../src/parts/materialChoices.js';
import { swatch } from '../src/parts/swatch.js';
import type { Carried } from '../src/state/tile.js';
import { SHELF, plan } from './kitchen.js';

const mixCard = (name: string, notation = ''): MixCard => ({
  id: name,
  revisionId: `${name} 1`,
  name,
  notation,
  hex: '7B1E4B',
  lightness: 30,
  hue: 0,
  chroma: 40,
  retired: false,
  possibleGrams: 10,
});
const blendCard = (name: string, retired = false): BlendCard => ({
  id: name,
  revisionId: `${name} 1`,
  name,
  retired,
  plan: plan(['Leek', 'Corn']),
  hexes: ['4F7F45', 'F0CB55'],
  names: ['Leek', 'Corn'],
});
const onTile = (kind: Carried['kind'], id: string, revisionId: string | null = null): Carried => ({
  kind,
  id,
  revisionId,
  name: id,
  hexes: ['7B1E4B'],
});
const STOCK: MaterialStock = {
  carried: [onTile('mix', 'Swede', 'Swede 1'), onTile('blend', 'Straw fade'), onTile('sheet', 'Pod sheet')],
  shelf: SHELF,
  mixes: [mixCard('Beet ring', '4 Chalk + 1 Beetroot'), mixCard('Swede'), mixCard('Chalk dust')],
  blends: [blendCard('Straw fade'), blendCard('Old fade', true)],
};
const PLACES = Object.keys(TAKES) as Place[];

test('only what a place takes is offered, each thing once', () => {
  fc.assert(
    fc.property(fc.constantFrom(...PLACES), fc.constantFrom('', 'ch', 'swede', 'fade', 'zz'), (place, typed) => {
      const choices = choicesFor(place, typed, STOCK);
      for (const { of } of choices) expect([place, keyOf(of), takes(place, of)]).toEqual([place, keyOf(of), true]);
      expect(new Set(choices.map((c) => keyOf(c.of))).size).toBe(choices.length);
      expect(new Set(choices.map((c) => c.key)).size).toBe(choices.length);
    }),
  );
});

test('every place says in a sentence why it does not take the rest', () => {
  for (const place of PLACES) expect(TAKES[place].because).toMatch(/^[A-Z].*\.$/);
});

test('with nothing typed the tile comes first, then the shelf, then the board', () => {
  const choices = choicesFor('ingredient', '', STOCK);
  expect(choices[0]).toMatchObject({ of: ofMix('Swede 1'), hint: 'on the tile' });
  expect(choices[1]?.of.kind).toBe('clay');
  expect(choices.at(-1)?.of.kind).toBe('mix');
  expect(choicesFor('plug', '', STOCK).map((c) => [c.name, c.hint])).toEqual([['Straw fade', 'on the tile']]);
});

test('what is called so comes before what only begins so, and that before what holds something called so', () => {
  const chalk = SHELF.clays.find((c) => c.name === 'Chalk');
  const found = { ...STOCK, mixes: STOCK.mixes.filter((m) => m.name !== 'Swede') };
  const names = choicesFor('ingredient', 'chalk', found).map((c) => c.name);
  expect(names.slice(0, 2)).toEqual(['Chalk', 'Chalk dust']);
  expect(names.at(-1)).toBe('Beet ring');
  expect(choicesFor('ingredient', 'CHALK ', STOCK)[0]?.of).toEqual(ofClay(chalk?.id ?? ''));
});

test('itself cannot be picked, from the board or from the tile', () => {
  expect(choicesFor('ingredient', 'swede', STOCK, 'Swede').map((c) => c.name)).not.toContain('Swede');
});

test('retired clays and blends are left out, and nothing is offered while nothing is known', () => {
  const retired = { ...SHELF, clays: SHELF.clays.map((c) => ({ ...c, retired: c.name === 'Chalk' })) };
  expect(choicesFor('layer', 'chalk', { ...STOCK, shelf: retired }).map((c) => c.name)).not.toContain('Chalk');
  expect(choicesFor('plug', 'old', STOCK)).toEqual([]);
  expect(choicesFor('layer', '', { carried: [], shelf: undefined, mixes: [], blends: [] })).toEqual([]);
  expect(takes('plug', ofBlend('x', 0.5))).toBe(false);
});

test('a swatch is one colour, a fade, or grey where nothing is known', () => {
  expect(swatch(['7B1E4B'])).toBe('#7B1E4B');
  expect(swatch(['7B1E4B', 'F0CB55'])).toBe('linear-gradient(to right, #7B1E4B, #F0CB55)');
  expect(swatch([])).toBe('#999999');
});
