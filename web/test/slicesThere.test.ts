import fc from 'fast-check';
import { mixPigments, pigmentOf } from '#core/colour';
import type { Start } from '#core/pattern';
import type { MachineDto, StockAnswer } from '#contract';
import { rolledAtOf } from '../src/stations/patterns/making/keptSheet.js';
import { GLOWS, isGlass, isOneLayer, lightIn } from '../src/stations/patterns/lace.js';
import { slicedFirst, slicesWanted } from '../src/stations/patterns/slicesThere.js';
import type { CaneMaterial } from '../src/stations/canes/clay/materials.js';

const CANE = 'cane:radish';
const materials = new Map([[CANE, { name: 'Radish', density: 2 } as CaneMaterial]]);
const start = (volume: number): Start => ({ what: 'slices', of: CANE, volume, sizes: [10, 10, 1], count: 4 });
const stockOf = (...left: readonly number[]): StockAnswer =>
  ({
    things: left.map((grams, i) => ({
      id: `t${i}`,
      name: `Radish ${i}`,
      of: { kind: 'cane', id: 'radish' },
      left: grams,
      reservedFor: i === 2 ? [{ name: 'another batch' }] : [],
      clays: [{ clayId: 'a', mass: 1 }],
    })),
  }) as unknown as StockAnswer;

test('what lies there of a cane is sliced first, no more than is wanted, and nothing that is counted on', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 100, max: 90_000 }),
      fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 0, maxLength: 3 }),
      fc.integer({ min: 1, max: 3 }),
      (volume, left, makes) => {
        const [wanted] = slicesWanted([start(volume)], materials, stockOf(...left));
        // mm³ at 2 g/cm³
        expect(wanted?.grams).toBeCloseTo(volume / 500, 6);
        const free = left.filter((_, i) => i !== 2).reduce((a, b) => a + b, 0);
        expect(wanted?.there).toBe(free);
        const taken = slicedFirst(wanted ? [wanted] : [], makes);
        const sum = taken.reduce((all, t) => all + t.grams, 0);
        expect(sum).toBeCloseTo(Math.min(free, (makes * volume) / 500), 0);
        expect(taken.every((t) => t.grams <= t.there && t.of.id !== 't2')).toBe(true);
      },
    ),
  );
});

test('a sheet is one layer while nothing is laid on it or folded into it', () => {
  const slab = { id: 's', do: 'slab' } as never;
  const roll = { id: 'r', do: 'roll', to: 1, along: 'both' } as never;
  const lay = { id: 'l', do: 'lay' } as never;
  expect([isOneLayer([slab]), isOneLayer([slab, roll]), isOneLayer([slab, lay]), isOneLayer([])]).toEqual([
    ...[true, true, false, false],
  ]);
});

describe('what comes through', () => {
  const white = pigmentOf('f4f2ea', 0.06);
  const known = { name: 'Clear', pigment: white } as unknown as CaneMaterial;

  test('the thicker, the less light', () => {
    const all = new Map([['clay:a', known]]);
    const [thin, thick] = [0.5, 3].map((mm) => lightIn(all, { 'clay:a': 0.4 }, mm)[0]?.share ?? NaN);
    expect(thin).toBeGreaterThan(thick ?? 0);
    expect(thick).toBeGreaterThan(0);
    expect(mixPigments([white], [1]).y).toBeLessThanOrEqual(1);
  });

  test('what nothing is known of is left out, and without light it is no glass', () => {
    expect(lightIn(new Map(), { 'clay:a': 1 }, 1)).toEqual([]);
    expect(isGlass([{ key: 'a', name: 'Soot', share: GLOWS / 2, wall: null }])).toBe(false);
    expect(isGlass([{ key: 'a', name: 'Clear', share: GLOWS, wall: null }])).toBe(true);
  });
});

test('the setting of a sheet that was rolled last is told, and none that the machine does not have', () => {
  const own = {
    ...{ id: 'm', version: 1, name: 'Bench roller', rollerWidthMm: 145, widest: '1', thinnest: '4' },
    settings: ['1', '4'].map((label) => ({ id: label, label })),
    readings: [
      { id: 'a', settingId: '1', mm: 2.5, sigmaMm: 0.01, way: 'calipers' },
      { id: 'b', settingId: '4', mm: 1.2, sigmaMm: 0.01, way: 'calipers' },
    ],
  } as unknown as MachineDto;
  const roll = { id: 'r', do: 'roll', to: 1.2, along: 'both' } as const;
  expect(rolledAtOf(roll, 1.2, own)).toBe('4 of Bench roller');
  expect(rolledAtOf(roll, 1.7, own)).toBe('');
  expect(rolledAtOf({ id: 'o', do: 'over' }, 1.2, own)).toBe('');
  expect(rolledAtOf(roll, 1.2, undefined)).toBe('');
});
