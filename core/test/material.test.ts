import fc from 'fast-check';
import {
  MATERIAL_KINDS,
  isMaterial,
  keyOf,
  match,
  materialIn,
  ofBlend,
  ofClay,
  readMaterial,
  sameMaterial,
  type Material,
} from '#core/material';
import { lookUp, type MaterialBook } from '#core/stock';
import { layoutOf } from '#core/blend';
import { statedPigment } from '#core/colour';
import { studio } from './arbitraries.js';

const id = fc.uuid();
const material: fc.Arbitrary<Material> = fc.oneof(
  fc.tuple(fc.constantFrom(...MATERIAL_KINDS), id).map(([kind, own]): Material => ({ kind, id: own })),
  fc.tuple(id, fc.double({ min: 0, max: 1, noNaN: true })).map(([own, at]) => ofBlend(own, Math.abs(at))),
);

describe('a material', () => {
  test('is written and read back as what it was', () => {
    fc.assert(
      fc.property(material, (of) => {
        expect(readMaterial(keyOf(of))).toEqual(of);
        expect(isMaterial(of)).toBe(true);
      }),
    );
  });

  test('is the same as another exactly where their texts are', () => {
    fc.assert(
      fc.property(material, material, (a, b) => {
        expect(sameMaterial(a, b)).toBe(JSON.stringify(a) === JSON.stringify(b));
      }),
    );
  });

  test('goes to the case of its kind', () => {
    const name = (of: Material): string =>
      match(of, {
        clay: () => 'clay',
        mix: () => 'mix',
        blend: ({ at }) => `blend${at === undefined ? '' : ' at a place'}`,
        cane: () => 'cane',
        pattern: () => 'pattern',
        made: () => 'made',
        scrap: () => 'scrap',
      });
    for (const kind of MATERIAL_KINDS) expect(name({ kind, id: 'x' })).toBe(kind);
    expect(name(ofBlend('x', 0.5))).toBe('blend at a place');
  });

  test.each(['', 'clay', 'clay:', 'stone:x', 'clay:a b', 'clay:x@0.5', 'blend:x@2', 'blend:x@', 'clay:a@b', ':x'])(
    '“%s” says none',
    (text) => {
      expect(materialIn(text)).toBeNull();
      expect(() => readMaterial(text)).toThrow(/says no clay/);
    },
  );

  test.each([null, 'clay:x', { kind: 'clay' }, { kind: 'stone', id: 'x' }, { kind: 'clay', id: 'x', parts: 1 }])(
    '%p is none',
    (value) => {
      expect(isMaterial(value)).toBe(false);
    },
  );
});

const looking = { stage: 'baked', pigments: statedPigment } as const;

describe('looking a material up', () => {
  const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);

  test('clays, mixes, fades, places on them and things of several weigh what their clays weigh', () => {
    fc.assert(
      fc.property(studio, fc.double({ min: 0, max: 1, noNaN: true }), ({ book, clays }, at) => {
        const [one, other] = [ofClay(clays[0]?.id ?? ''), ofClay(clays.at(-1)?.id ?? '')];
        const own: MaterialBook = {
          ...book,
          blend: () => ({ name: 'Fade', colours: [one, other], layout: layoutOf('corner', 2, 100, 40, 0) }),
          composed: () => ({
            name: 'Slices',
            parts: [
              { of: one, volume: 3 },
              { of: ofBlend('f'), volume: 1 },
            ],
          }),
          made: () => ({ name: 'A plug', of: ofBlend('f') }),
        };
        const all: Material[] = [
          one,
          ofBlend('f'),
          ofBlend('f', at),
          { kind: 'cane', id: 'c' },
          { kind: 'made', id: 'm' },
        ];
        for (const of of all) {
          const known = lookUp(of, own, looking);
          expect(sum(known.shares.map((s) => s.mass))).toBeCloseTo(1, 9);
          expect(sum(Object.values(known.kinds))).toBeCloseTo(1, 9);
          // by volume: a gram of each share over its density
          const volume = sum(
            known.shares.map(({ clayId, mass }) => mass / (book.line(book.clay(clayId)?.lineId ?? '')?.density ?? 1)),
          );
          expect(known.density).toBeCloseTo(1 / volume, 6);
        }
      }),
    );
  });

  test('a fade has its colours along it, a place on it the colour there; its ends are its clays', () => {
    fc.assert(
      fc.property(studio, ({ book, clays }) => {
        const [one, other] = [ofClay(clays[0]?.id ?? ''), ofClay(clays.at(-1)?.id ?? '')];
        const blend = { name: 'Fade', colours: [one, other], layout: layoutOf('pure ends', 2, 100, 40, 20) };
        const own: MaterialBook = { ...book, blend: () => blend };
        const { hexes } = lookUp(ofBlend('f'), own, { ...looking, steps: 5 });
        expect([hexes[0], hexes.at(-1)]).toEqual([one, other].map((of) => lookUp(of, own, looking).hexes[0]));
        expect(hexes[2]).toBe(lookUp(ofBlend('f', 0.5), own, looking).hexes[0]);
      }),
    );
  });
});

describe('what is not there any more', () => {
  test('says so', () => {
    const book: MaterialBook = {
      clay: () => undefined,
      line: () => undefined,
      recipe: () => undefined,
      nameOf: () => 'Pod',
    };
    for (const kind of MATERIAL_KINDS)
      expect(() => lookUp({ kind, id: 'x' }, book, looking)).toThrow(/not there any more/);
  });
});
