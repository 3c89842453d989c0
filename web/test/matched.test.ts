import fc from 'fast-check';
import type { Clay, Line } from '#core/clay';
import type { Book, Found } from '#core/mix';
import type { SwatchDto } from '#contract';
import { clayForAll, matchedOf, type Matched } from '../src/stations/mixes/palettes/matched.js';

const DENSITY = { one: 1.9, other: 1.75 } as const;
const line = (id: keyof typeof DENSITY): Line => ({
  id,
  name: id,
  firmness: 'medium',
  density: DENSITY[id],
  bakeC: 130,
  bakeMinutes: 30,
  bakePerMm: 6,
  maxC: 150,
});
const clays = ['Chalk', 'Beetroot', 'Leek'].map((name, i): Clay => ({
  id: name,
  lineId: i === 2 ? 'other' : 'one',
  name,
  kind: 'opaque',
  rawHex: '7B1E4B',
  bakedHex: '7B1E4B',
  strength: null,
}));
const book: Book = {
  clay: (id) => clays.find((c) => c.id === id),
  line: (id) => line(id as keyof typeof DENSITY),
  recipe: () => undefined,
  nameOf: () => '',
};
const swatch: SwatchDto = { id: 's', name: 'rim', l: 30, a: 40, b: -5, share: 0.2 };
const found = (deltaE: number, clayIds: readonly string[], units: readonly number[]): Found => ({
  clayIds,
  units,
  deltaE,
  lab: { l: 30, a: 40, b: -5 },
});

test('the simplest mix that is close is taken, or the closest where none is', () => {
  const list = [
    found(9, ['Chalk'], [1]),
    found(1.8, ['Chalk', 'Beetroot'], [1, 2]),
    found(0.4, ['Chalk', 'Beetroot', 'Leek'], [3, 5, 1]),
  ];
  expect(matchedOf(swatch, list, 20, book)).toMatchObject({
    notation: '1 Chalk + 2 Beetroot',
    deltaE: 1.8,
    name: 'rim',
    grams: 20,
  });
  expect(matchedOf(swatch, list.slice(0, 1), 20, book)).toMatchObject({ notation: '1 Chalk', deltaE: 9 });
  expect(matchedOf(swatch, [list[0]!, found(2.1, ['Chalk', 'Leek'], [11, 5])], 20, book).notation).toBe(
    '5½ Chalk + 2½ Leek',
  );
});

test('where nothing can be mixed it says so and asks for no clay', () => {
  expect(matchedOf(swatch, [], 20, book)).toMatchObject({
    notation: null,
    mixHex: null,
    deltaE: null,
    recipe: null,
    perClay: [],
  });
});

test('the clay for all of them is what the mixes weigh together, each clay once, most first', () => {
  const mix = fc.tuple(
    fc.subarray(['Chalk', 'Beetroot', 'Leek'], { minLength: 1 }),
    fc.array(fc.integer({ min: 1, max: 8 }), { minLength: 3, maxLength: 3 }),
    fc.integer({ min: 1, max: 90 }),
  );
  fc.assert(
    fc.property(fc.array(mix, { maxLength: 8 }), (mixes) => {
      const rows = mixes.map(([ids, units, grams]): Matched =>
        matchedOf(swatch, [found(1, ids, units.slice(0, ids.length))], grams, book),
      );
      rows.forEach((row, i) => {
        expect(row.perClay.reduce((sum, c) => sum + c.grams, 0)).toBeCloseTo(mixes[i]?.[2] ?? NaN, 6);
      });
      const all = clayForAll(rows);
      expect(all.reduce((sum, c) => sum + c.grams, 0)).toBeCloseTo(
        mixes.reduce((sum, [, , grams]) => sum + grams, 0),
        6,
      );
      expect(new Set(all.map((c) => c.clayId)).size).toBe(all.length);
      all.forEach((c, i) => {
        if (i > 0) expect(c.grams).toBeLessThanOrEqual(all[i - 1]?.grams ?? 0);
      });
    }),
  );
});
