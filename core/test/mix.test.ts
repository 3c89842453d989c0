import { ofClay, ofMix } from '#core/material';
import fc from 'fast-check';
import { Fraction, sumOf } from '#core/units';
import {
  checkParts,
  colourOf,
  flatten,
  normalForm,
  normalKey,
  openBrackets,
  parseNotation,
  printNotation,
  pigmentsWith,
  restsOn,
  sheetGrams,
  toDiscs,
  toGrams,
  untilGone,
  type Book,
  type Recipe,
  type Term,
} from '#core/mix';
import { deltaE } from '#core/colour';
import { parts, studio } from './arbitraries.js';
import { refused as refusal } from './refused.js';

const name = fc.oneof(
  fc.constantFrom(
    'Beetroot',
    'Brass Lustre',
    'Cabbage vein',
    'Chalk of Hearth Firm',
    '3rd pea',
    'peas + leek',
    '(odd)',
    'No #1',
  ),
  fc.string({ minLength: 1, maxLength: 12 }).filter((s) => s.trim() !== '' && !/["\n\r\t]/.test(s)),
);
const { term } = fc.letrec<{ term: Term }>((tie) => ({
  term: fc.record({
    parts,
    of: fc.oneof(
      { maxDepth: 3 },
      fc.record({ name, revision: fc.option(fc.integer({ min: 1, max: 999 })) }),
      fc.record({ group: fc.array(tie('term'), { minLength: 1, maxLength: 3 }) }),
    ),
  }) as fc.Arbitrary<Term>,
}));
const plain = (terms: readonly Term[]): unknown =>
  JSON.parse(JSON.stringify(terms, (_, v: unknown) => (v instanceof Fraction ? v.toFraction() : v)));

describe('notation', () => {
  test('print and parse are inverses', () => {
    fc.assert(
      fc.property(fc.array(term, { minLength: 1, maxLength: 4 }), (terms) => {
        expect(plain(parseNotation(printNotation(terms)))).toEqual(plain(terms));
      }),
    );
  });

  test('brackets are opened exactly', () => {
    const opened = openBrackets(parseNotation('2 (1 Beetroot + 3 Chalk) + ½ Chalk'));
    expect(opened.map((t) => [t.of.name, t.parts.toFraction()])).toEqual([
      ['Beetroot', '1/2'],
      ['Chalk', '2'],
    ]);
  });

  test.each([
    ['2 Beetroot + ', 13],
    ['2 Beetroot Chalk + )', 19],
    ['(1 Chalk', 8],
    ['1 Chalk #x', 9],
    ['+ 1 Chalk', 0],
    ['1 "Chalk', 2],
  ])('%p is refused at place %i', (text, at) => {
    const complaint = refusal(() => parseNotation(text));
    expect(complaint.code).toBe('notation/unexpected');
    expect(complaint.at).toBe(at);
  });

  test('nothing, and brackets without end, are refused', () => {
    expect(refusal(() => parseNotation('  ')).code).toBe('notation/empty');
    expect(refusal(() => parseNotation('('.repeat(5000))).code).toBe('notation/unexpected');
  });

  test.each([
    ['0', 'parts/zero'],
    ['-1', 'parts/negative'],
    ['1000000', 'parts/huge'],
    ['1/5000', 'parts/tiny'],
  ])('%s parts: %s', (value, code) => {
    expect(
      refusal(() => {
        checkParts([{ parts: new Fraction(value), name: 'Pea' }]);
      }).code,
    ).toBe(code);
  });
});

describe('a recipe of recipes', () => {
  test('flattens to shares that sum to one, by volume and by mass, and conserves mass', () => {
    fc.assert(
      fc.property(studio, ({ book, recipe }) => {
        const { shares, density } = flatten(recipe, book);
        expect(sumOf(shares.map((s) => s.volume)).equals(1)).toBe(true);
        expect(sumOf(shares.map((s) => s.mass)).equals(1)).toBe(true);
        for (const { clay, volume, mass } of shares) {
          expect(mass.valueOf() * density).toBeCloseTo(volume.valueOf() * (book.line(clay.lineId)?.density ?? 0), 9);
        }
      }),
    );
  });

  test('is the same as the recipe with the inner one written out, where bases agree', () => {
    fc.assert(
      fc.property(studio, parts, parts, ({ book, recipe }, a, b) => {
        const flat = flatten(recipe, book);
        const asMix: Recipe = {
          basis: 'volume',
          ingredients: [
            { parts: a, of: ofMix('whole') },
            { parts: b, of: ofClay('clay0') },
          ],
        };
        const out: Recipe = {
          basis: 'volume',
          ingredients: [
            ...flat.shares.map((s) => ({ parts: a.mul(s.volume), of: ofClay(s.clay.id) })),
            { parts: b, of: ofClay('clay0') },
          ],
        };
        const wider: Book = { ...book, recipe: (id) => (id === 'whole' ? recipe : book.recipe(id)) };
        expect(normalKey(normalForm(flatten(asMix, wider), 'volume'))).toBe(
          normalKey(normalForm(flatten(out, wider), 'volume')),
        );
      }),
    );
  });

  test('a circle is refused by the names in it', () => {
    const recipes: Record<string, Recipe> = {
      a: { basis: 'volume', ingredients: [{ parts: new Fraction(1), of: ofMix('b') }] },
      b: { basis: 'mass', ingredients: [{ parts: new Fraction(1), of: ofMix('a') }] },
    };
    const book: Book = {
      clay: () => undefined,
      line: () => undefined,
      recipe: (id) => recipes[id],
      nameOf: (id) => (id === 'a' ? 'Swede' : 'Turnip top'),
    };
    const complaint = refusal(() => flatten(recipes.a as Recipe, book, 'a'));
    expect(complaint.code).toBe('mix/cycle');
    expect(complaint.message).toContain('Swede contains Turnip top contains Swede');
    expect([...restsOn(recipes.a as Recipe, book)].sort()).toEqual(['a', 'b']);
  });
});

describe('normal form', () => {
  test('does not see how large the parts are or in which order they stand', () => {
    fc.assert(
      fc.property(studio, parts, ({ book, recipe }, factor) => {
        const other: Recipe = {
          ...recipe,
          ingredients: [...recipe.ingredients].reverse().map((i) => ({ ...i, parts: i.parts.mul(factor) })),
        };
        const key = (r: Recipe): string => normalKey(normalForm(flatten(r, book), r.basis));
        expect(key(other)).toBe(key(recipe));
      }),
    );
  });

  test('has whole parts without a common divisor', () => {
    fc.assert(
      fc.property(studio, ({ book, recipe }) => {
        const { parts: whole } = normalForm(flatten(recipe, book), recipe.basis);
        const gcd = (a: bigint, b: bigint): bigint => (b === 0n ? a : gcd(b, a % b));
        expect(whole.map((p) => p.parts).reduce(gcd, 0n)).toBe(1n);
      }),
    );
  });
});

describe('scaling', () => {
  test('to grams keeps the total and the proportions; to a sheet keeps the volume', () => {
    fc.assert(
      fc.property(studio, fc.double({ min: 0.1, max: 5000, noNaN: true }), ({ book, recipe }, grams) => {
        const flat = flatten(recipe, book);
        const scaled = toGrams(flat, grams);
        expect(scaled.reduce((sum, c) => sum + c.grams, 0) / grams).toBeCloseTo(1, 9);
        const mm3 = flat.shares.reduce(
          (sum, s, i) => sum + ((scaled[i]?.grams ?? 0) * 1000) / (book.line(s.clay.lineId)?.density ?? 1),
          0,
        );
        expect(sheetGrams(flat, mm3 / 2, 2) / grams).toBeCloseTo(1, 6);
      }),
    );
  });

  test('to discs gives enough, to the quarter disc, and no ingredient is left out', () => {
    fc.assert(
      fc.property(studio, fc.double({ min: 1, max: 400, noNaN: true }), ({ book, recipe }, grams) => {
        const count = toDiscs(recipe, book, grams, 640);
        expect(count.grams).toBeGreaterThanOrEqual(grams * (1 - 1e-6));
        for (const discs of count.discs) {
          expect(discs.mul(4).d).toBe(1n);
          expect(discs.compare(0)).toBeGreaterThan(0);
        }
        expect(count.error).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 40 },
    );
  });

  test('until the scarcest is gone uses up exactly that one', () => {
    fc.assert(
      fc.property(
        studio,
        fc.array(fc.double({ min: 0, max: 200, noNaN: true }), { minLength: 6, maxLength: 6 }),
        ({ book, recipe }, left) => {
          const flat = flatten(recipe, book);
          const there = (id: string): number => left[Number(id.slice(4))] ?? 0;
          const { grams, scarcest } = untilGone(flat, there);
          for (const { clay, mass } of flat.shares)
            expect(mass.valueOf() * grams).toBeLessThanOrEqual(there(clay.id) + 1e-6);
          const share = flat.shares.find((s) => s.clay.id === scarcest);
          expect((share?.mass.valueOf() ?? 0) * grams).toBeCloseTo(there(scarcest), 6);
        },
      ),
    );
  });

  test.each([0, -1, NaN, Infinity])('%p grams are refused', (grams) => {
    fc.assert(
      fc.property(
        studio,
        ({ book, recipe }) => refusal(() => toGrams(flatten(recipe, book), grams)).code === 'amount/positive',
      ),
      { numRuns: 5 },
    );
  });
});

test('the colour of a recipe is that of its flat form, and remembered pigments change nothing', () => {
  fc.assert(
    fc.property(studio, ({ book, recipe }) => {
      const flat = flatten(recipe, book);
      const again = flatten(
        { basis: 'volume', ingredients: flat.shares.map((s) => ({ parts: s.volume, of: ofClay(s.clay.id) })) },
        book,
      );
      expect(deltaE(colourOf(flat, 'baked', pigmentsWith(null)).lab, colourOf(again, 'baked').lab)).toBeLessThan(1e-6);
    }),
    { numRuns: 15 },
  );
});
