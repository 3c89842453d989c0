import fc from 'fast-check';
import { pigmentOf, readColour } from '#core/colour';
import type { CaneMaterial } from '../src/stations/canes/clay/materials.js';
import { NOTHING_SAID, gramsHad, haveOf, mostWords, shownGrams } from '../src/stations/canes/words/haveWords.js';
import { SHELF, clayId } from './kitchen.js';

const [CHALK, MIX] = [`clay:${clayId('Chalk')}`, 'mix:ring'];
const material = (key: string, density: number): readonly [string, CaneMaterial] => [
  key,
  {
    ...{ key, name: key, hexes: ['F1EEE4'], paint: Uint8Array.from([0, 0, 0]), density },
    ...{
      pigment: pigmentOf('F1EEE4', 1),
      mica: false,
      micaShare: 0,
      edgeLight: 0.3,
      shares: [],
      lab: readColour('F1EEE4'),
      hides: 0.3,
    },
    ...{ bakes: [], old: false, crumbly: false },
  },
];
const MATERIALS = new Map([material(CHALK, 1.9), material(MIX, 1.8)]);
const NEEDED = [
  [CHALK, 3000],
  [MIX, 1000],
] as const;

describe('what one has', () => {
  test('is of a clay what the shelf has, of a mix enough, until something is said', () => {
    expect(gramsHad(CHALK, NOTHING_SAID, SHELF)).toBe(158);
    expect(gramsHad(MIX, NOTHING_SAID, SHELF)).toBeNull();
    const said = { of: { [CHALK]: null, [MIX]: 12 }, all: null };
    expect([gramsHad(CHALK, said, SHELF), gramsHad(MIX, said, SHELF)]).toEqual([null, 12]);
  });

  test('becomes volumes by the density of each', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 500, noNaN: true }), (grams) => {
        const said = { of: { [CHALK]: null, [MIX]: grams }, all: null };
        const { volumes, all } = haveOf(NEEDED, said, MATERIALS, SHELF, new Map());
        expect(volumes.map(([key]) => key)).toEqual([MIX]);
        expect(volumes[0]![1]).toBeCloseTo((grams / 1.8) * 1000, 6);
        expect(all).toBeUndefined();
      }),
    );
  });

  test('in all is by the density of what goes in: 3 cm³ at 1.9 and 1 cm³ at 1.8', () => {
    const { all } = haveOf(NEEDED, { of: {}, all: 75 }, MATERIALS, SHELF, new Map());
    expect(all).toBeCloseTo((75 * 4000) / 7.5, 6);
  });

  test('things that lie ready go along with their lengths', () => {
    expect(haveOf(NEEDED, NOTHING_SAID, MATERIALS, SHELF, new Map([['plug', 30]])).made).toEqual([['plug', 30]]);
  });
});

describe('the slices that gives', () => {
  const names = (): string => 'Chalk';
  const made = (): string => 'Straw fade';
  test.each([
    [52, { kind: 'material', key: CHALK }, 'That gives 52 slices of 2 mm; then Chalk runs out.'],
    [1, { kind: 'made', id: 'p' }, 'That gives 1 slice of 2 mm; then Straw fade runs out.'],
    [52, { kind: 'all' }, 'That gives 52 slices of 2 mm; then the clay runs out.'],
    [5000, null, 'That gives 5000 slices of 2 mm, and more.'],
    [0, { kind: 'material', key: CHALK }, 'That is not enough for one slice: there is too little of Chalk.'],
  ] as const)('%d slices', (slices, runsOut, words) => {
    expect(mostWords({ slices, runsOut }, 2, names, made, 'metric')).toBe(words);
  });

  test('enough is shown as nothing, a weight in its system', () => {
    expect([shownGrams(null, 'metric'), shownGrams(57, 'metric')]).toEqual(['', '57 g']);
    expect(shownGrams(57, 'imperial')).toBe('2.01 oz');
  });
});
