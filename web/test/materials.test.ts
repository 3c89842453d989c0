import fc from 'fast-check';
import { hidingThickness } from '#core/colour';
import { pigmentsWith } from '#core/mix';
import { materialsOf, swatchOf, type CaneMaterial } from '../src/stations/canes/clay/materials.js';
import { SHELF, clayId, plan, revision } from './kitchen.js';

const stated = pigmentsWith(null);
const one = (
  key: string,
  inside: Parameters<typeof materialsOf>[1] = { blends: [], referenced: [] },
): NonNullable<ReturnType<ReturnType<typeof materialsOf>['get']>> => {
  const material = materialsOf([key], inside, SHELF, stated).get(key);
  if (!material) throw new Error(`${key} is not known.`);
  return material;
};
const faded = (names: readonly string[]): Parameters<typeof materialsOf>[1] => ({
  blends: [{ revisionId: 'fade', blendId: 'b', name: 'Pod fade', plan: plan(names) }],
  referenced: [],
});
const OPAQUE = [
  'Chalk',
  'Soot',
  'Beetroot',
  'Radish',
  'Squash',
  'Leek',
  'Pea',
  'Corn',
  'Carrot',
  'Aubergine',
  'Clearpane',
  'Brass Lustre',
];

test('a blend is painted from its first colour to its last, and weighed and judged as clay between them', () => {
  fc.assert(
    fc.property(fc.constantFrom(...OPAQUE), fc.constantFrom(...OPAQUE), (first, last) => {
      const [fade, a, b] = [
        one('blend:fade', faded([first, last])),
        one(`clay:${clayId(first)}`),
        one(`clay:${clayId(last)}`),
      ];
      expect(fade.paint).toHaveLength(768);
      expect([...fade.paint.slice(0, 3)].map((v, i) => Math.abs(v - (a.paint[i] ?? 0)) <= 1)).toEqual([
        true,
        true,
        true,
      ]);
      expect([...fade.paint.slice(-3)].map((v, i) => Math.abs(v - (b.paint[i] ?? 0)) <= 1)).toEqual([true, true, true]);
      const between = (value: number, ...ends: readonly number[]): void => {
        expect(value >= Math.min(...ends) * (1 - 1e-9) && value <= Math.max(...ends) * (1 + 1e-9)).toBe(true);
      };
      between(fade.density, a.density, b.density);
      between(fade.pigment.scattering, a.pigment.scattering, b.pigment.scattering);
      expect(fade.shares.reduce((sum, s) => sum + s.mass, 0)).toBeCloseTo(1, 9);
      // how thin a wall of it may be does not depend on how large the sheet was
      expect(fade.hides).toBe(hidingThickness(fade.pigment));
      expect(fade.hides).toBeGreaterThanOrEqual(Math.min(a.hides, b.hides) * 0.5);
      const wanted = (m: CaneMaterial): number[] => [...new Set(m.bakes.map((l) => l.bakeC))].sort((x, y) => x - y);
      expect(wanted(fade)).toEqual([...new Set([...wanted(a), ...wanted(b)])].sort((x, y) => x - y));
    }),
    { numRuns: 30 },
  );
});

test('a mix is known by its revision, with its clays by mass', () => {
  const mix = revision('Pod mix', { Leek: '3', Chalk: '1' });
  const material = one(`mix:${mix.id}`, { blends: [], referenced: [mix] });
  expect(material.name).toBe('Pod mix');
  const share = (name: string): number => material.shares.find((s) => s.clayId === clayId(name))?.mass ?? 0;
  // three parts by volume of 1.84 g/cm³ to one of 1.9
  expect(share('Leek')).toBeCloseTo((3 * 1.84) / (3 * 1.84 + 1.9), 9);
  expect(material.density).toBeCloseTo((3 * 1.84 + 1.9) / 4, 9);
  expect(material.crumbly).toBe(false);
  expect(one(`clay:${clayId('Aubergine')}`).crumbly).toBe(true);
});

test('what is mostly mica is kept apart, and what is not known any more is left out', () => {
  expect([one(`clay:${clayId('Brass Lustre')}`).mica, one(`clay:${clayId('Soot')}`).mica]).toEqual([true, false]);
  expect([
    one('blend:fade', faded(['Brass Lustre', 'Pewter Lustre'])).mica,
    one('blend:fade', faded(['Chalk', 'Soot'])).mica,
  ]).toEqual([true, false]);
  expect([
    ...materialsOf(
      ['mix:gone', 'blend:gone', 'clay:gone', `clay:${clayId('Pea')}`],
      { blends: [], referenced: [] },
      SHELF,
      stated,
    ).keys(),
  ]).toEqual([`clay:${clayId('Pea')}`]);
});

test('a swatch is one colour, or those along the fade', () => {
  expect(swatchOf(one(`clay:${clayId('Pea')}`))).toBe('#93B84C');
  expect(swatchOf(one('blend:fade', faded(['Chalk', 'Soot'])))).toMatch(/^linear-gradient\(to right, #F1EEE4, .*\)$/);
  expect(swatchOf(undefined)).toBe('#999999');
});
