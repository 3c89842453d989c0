import fc from 'fast-check';
import { leftOf } from '#core/batch';
import { keyOf, ofBlend, ofClay, ofMix, type Material } from '#core/material';
import {
  ballOf,
  coveredBy,
  sameTub,
  slicesAround,
  tubFor,
  tubName,
  type OwnColour,
  type Scrap,
  type TubFor,
} from '#core/stock';
import type { Kind } from '#core/clay';

/** Clays `m…` are mica, `t…` translucent, all others opaque. */
const kinds = (of: OwnColour): Partial<Record<Kind, number>> => {
  const kind = ({ m: 'mica', t: 'translucent' } as const)[of.id[0] ?? ''] ?? 'opaque';
  return { [kind]: 1 };
};
const scrap = (...parts: readonly (readonly [OwnColour, number])[]): Scrap[] =>
  parts.map(([of, grams]) => ({ of, grams }));
const [chalk, beet, gold, pewter, clear, frost] = ['c', 'b', 'm1', 'm2', 't1', 't2'].map(ofClay) as [
  OwnColour,
  OwnColour,
  OwnColour,
  OwnColour,
  OwnColour,
  OwnColour,
];

describe('which tub fits', () => {
  test.each([
    ['one clay', scrap([chalk, 4]), 'own'],
    ['one mica clay', scrap([gold, 4]), 'own'],
    ['one fade', scrap([ofBlend('x'), 4]), 'own'],
    ['the same clay twice', scrap([chalk, 4], [chalk, 1]), 'own'],
    ['mica with mica', scrap([gold, 4], [pewter, 9]), 'mica'],
    ['mica with hardly anything else', scrap([gold, 99], [chalk, 1]), 'mica'],
    ['mica with a tenth of something else', scrap([gold, 9], [chalk, 1]), 'dark'],
    ['translucent with translucent', scrap([clear, 4], [frost, 1]), 'translucent'],
    ['mica with translucent', scrap([gold, 4], [clear, 4]), 'dark'],
    ['two opaque ones', scrap([chalk, 4], [beet, 1]), 'dark'],
  ] as const)('%s: %j', (_, parts, rule) => {
    const { rule: found, of } = tubFor(parts, kinds);
    expect(found).toBe(rule);
    expect(of !== null).toBe(rule === 'own');
  });

  const clayIds = fc.constantFrom('c', 'b', 'm1', 'm2', 't1', 't2');
  const some = fc.array(fc.tuple(clayIds, fc.double({ min: 0.1, max: 90, noNaN: true })), {
    minLength: 1,
    maxLength: 6,
  });

  test('does not hang on the order, nor on how much there is of it all', () => {
    fc.assert(
      fc.property(some, fc.double({ min: 0.01, max: 100, noNaN: true }), (list, k) => {
        const parts = scrap(...list.map(([id, grams]) => [ofClay(id), grams] as const));
        const found = tubFor(parts, kinds);
        const other = tubFor(
          [...parts].reverse().map(({ of, grams }) => ({ of, grams: grams * k })),
          kinds,
        );
        expect(sameTub(found, other)).toBe(true);
      }),
    );
  });

  test('tubs are told apart by their rule and their colour, and named so', () => {
    const own = (of: OwnColour): TubFor => ({ rule: 'own', of });
    expect(sameTub(own(chalk), own(beet))).toBe(false);
    expect(sameTub(own(chalk), { rule: 'own', of: null })).toBe(false);
    expect(sameTub({ rule: 'dark', of: null }, { rule: 'mica', of: null })).toBe(false);
    const called = (of: OwnColour): string => of.id.toUpperCase();
    expect([own(chalk), own(ofMix('r')), own(ofBlend('fade'))].map((tub) => tubName(tub, called))).toEqual([
      'C',
      'R',
      'FADE, mixed through',
    ]);
    expect(tubName({ rule: 'dark', of: null }, called)).toBe('Dark scrap');
  });
});

test('a ball holds what it is made of: 15 mm at 3 mm gives 10 mm', () => {
  const density = 1.9;
  const disc = ((Math.PI / 4) * 15 ** 2 * 3 * density) / 1000;
  expect(ballOf(disc, density)).toBeCloseTo(10.04, 2);
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 500, noNaN: true }), (grams) => {
      expect((Math.PI / 6) * ballOf(grams, density) ** 3 * density).toBeCloseTo(1000 * grams, 5);
    }),
  );
});

describe('slices around a core', () => {
  const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });

  test('what they cover needs just as many of them, and no fewer', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), mm(10, 900), mm(0.3, 3), (count, face, thick) => {
        const { core, bead, square } = coveredBy(count, face, thick);
        expect(square * square).toBeCloseTo(count * face, 6);
        if (core === null) return;
        expect(bead).toBeCloseTo(core + 2 * thick, 9);
        expect(slicesAround(core, face, thick)).toBe(count);
        expect(slicesAround(core * 1.02, face, thick)).toBeGreaterThanOrEqual(count);
      }),
    );
  });

  test('counted by hand: a core of 14 mm, slices of 10 mm across and 1.5 mm', () => {
    // π · 15.5² · 1.1 = 830 mm², by 78.5 mm² each
    expect(slicesAround(14, (Math.PI / 4) * 100, 1.5)).toBe(11);
    expect(coveredBy(1, 20, 3)).toMatchObject({ core: null, bead: null });
  });
});

describe('what a batch leaves over', () => {
  const piece = (scrapShare: number, ...layers: readonly (readonly [Material, number])[]) =>
    ({
      ...{ id: 'p', wrong: null, scrapGrams: 0, layout: { scrap: scrapShare } },
      layers: layers.map(([of, grams]) => ({ of, grams })),
    }) as never;
  const demand = (...mixes: readonly (readonly [string, number, number])[]) =>
    ({ mixes: mixes.map(([id, needed, made]) => ({ of: ofMix(id), needed, made })), clays: new Map() }) as never;

  test('what is stacked is cut together, and the same stacks are one heap', () => {
    const left = leftOf({
      pieces: [piece(0.3, [chalk, 20], [beet, 10]), piece(0.1, [beet, 50], [chalk, 30]), piece(0.2, [chalk, 40])],
      demand: demand(['r', 20, 23]),
    });
    expect(left.map(({ why, parts }) => [why, parts.map((p) => [keyOf(p.of), p.grams])])).toEqual([
      [
        'cut',
        [
          ['clay:c', expect.closeTo(9, 9)],
          ['clay:b', expect.closeTo(8, 9)],
        ],
      ],
      ['cut', [['clay:c', expect.closeTo(8, 9)]]],
      ['mixed', [['mix:r', 3]]],
    ]);
  });

  test('crumbs are let go, and what cannot be cut leaves nothing', () => {
    const wrong = { id: 'q', wrong: 'It cannot be cut.' } as never;
    expect(leftOf({ pieces: [piece(0.01, [chalk, 20]), wrong], demand: demand(['r', 20, 20.2]) })).toEqual([]);
  });
});
