import { ofClay, ofMix } from '#core/material';
import fc from 'fast-check';
import type { Clay, Kind, Line } from '#core/clay';
import type { Book, Ingredient, Recipe } from '#core/mix';
import { Fraction } from '#core/units';

/** Parts as people write them: whole, halves, quarters, thirds, decimals. */
export const parts: fc.Arbitrary<Fraction> = fc
  .tuple(fc.integer({ min: 1, max: 400 }), fc.constantFrom(1, 2, 3, 4, 8, 10))
  .map(([n, d]) => new Fraction(n, d));

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => n.toString(16).padStart(6, '0').toUpperCase());
const kind = fc.constantFrom<Kind>('opaque', 'translucent', 'mica', 'glitter');

export interface Studio {
  readonly book: Book;
  readonly recipe: Recipe;
  readonly clays: readonly Clay[];
}

/** A shelf of clays, mixes on it, and one recipe that may use both. */
export const studio: fc.Arbitrary<Studio> = fc
  .record({
    densities: fc.array(fc.integer({ min: 120, max: 260 }), { minLength: 2, maxLength: 4 }),
    clays: fc.array(fc.tuple(hex, hex, kind, fc.nat(3)), { minLength: 2, maxLength: 6 }),
    recipes: fc.array(
      fc.tuple(
        fc.constantFrom('volume' as const, 'mass' as const),
        fc.array(fc.tuple(parts, fc.nat(11)), { minLength: 1, maxLength: 4 }),
      ),
      { minLength: 1, maxLength: 5 },
    ),
  })
  .map(({ densities, clays: rows, recipes }) => {
    const lines = densities.map((d, i): Line => ({
      id: `line${i}`,
      name: `Line ${i}`,
      firmness: 'medium',
      density: d / 100,
      bakeC: 120 + i * 5,
      bakeMinutes: 20,
      bakePerMm: 6,
      maxC: 150,
    }));
    const clays = rows.map(([rawHex, bakedHex, k, l], i): Clay => ({
      id: `clay${i}`,
      lineId: `line${l % lines.length}`,
      name: `Clay ${i}`,
      kind: k,
      rawHex,
      bakedHex,
      strength: null,
    }));
    const made: Recipe[] = [];
    for (const [basis, list] of recipes) {
      const ingredients = list.map(([p, pick]): Ingredient => {
        const at = pick % (clays.length + made.length);
        return { parts: p, of: at < clays.length ? ofClay(`clay${at}`) : ofMix(`mix${at - clays.length}`) };
      });
      made.push({ basis, ingredients });
    }
    const book: Book = {
      clay: (id) => clays.find((c) => c.id === id),
      line: (id) => lines.find((l) => l.id === id),
      recipe: (id) => made[Number(id.slice(3))],
      nameOf: (id) => `Mix ${id.slice(3)}`,
    };
    return { book, clays, recipe: made.at(-1) ?? { basis: 'volume', ingredients: [] } };
  });
