import fc from 'fast-check';
import { SCHOOLS_OF_CONDITIONING, conditioningBench } from '#core/conditioning';
import { cutterOfSize } from '#core/cutter';
import type { Machine } from '#core/sheet';
import { thicknesses } from '#core/sheet';
import { machines, setup } from '#demo';
import type { MadeAnswer } from '#contract';
import { askedIn, conditionable, conditionedOf, planOf, readPasses } from '../src/stations/sheets/conditioning.js';
import { conditionWords } from '../src/stations/sheets/conditionWords.js';
import {
  columnsOf,
  figureOf,
  isPlain,
  nearWords,
  rungsOf,
  scaleFor,
  spread,
  CLEAR,
  HEIGHT,
} from '../src/stations/sheets/ladderPlan.js';
import { equalsOf } from '../src/stations/sheets/equals.js';
import { EXAMPLE, GAUGE, measuresOf } from '../src/stations/sheets/readingWays.js';
import { cutOf, gramsPerArea, leftOfSheet, retyped, sentSheet } from '../src/stations/sheets/sheetWords.js';
import { SHELF } from './kitchen.js';

const DAY = '2026-11-27';
const own = machines[0] as Machine;

describe('conditioning', () => {
  test('takes the clay and the amount that the address says, and else the first there is', () => {
    fc.assert(
      fc.property(fc.constantFrom(...conditionable(SHELF)), fc.integer({ min: 5, max: 200 }), (clay, grams) => {
        const asked = askedIn(new URLSearchParams({ clay: clay.id, grams: String(grams) }), SHELF, DAY);
        expect([asked?.one.clay.id, asked?.wanted]).toEqual([clay.id, grams]);
        const lots = asked?.lots.reduce((sum, l) => sum + l.lot.grams, 0);
        expect(lots).toBeCloseTo(grams, 6);
      }),
    );
    expect(askedIn(new URLSearchParams(), { ...SHELF, clays: [] }, DAY)).toBeNull();
  });

  test('is planned for the block that is open, and every step has words', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...conditionable(SHELF)),
        fc.constantFrom(...SCHOOLS_OF_CONDITIONING),
        fc.integer({ min: 10, max: 40 }),
        (clay, school, roomC) => {
          const asked = askedIn(new URLSearchParams({ clay: clay.id, grams: '30' }), SHELF, DAY);
          if (!asked) throw new Error('no clay');
          const bench = conditioningBench({ ...setup, roomC, conditionSchool: school }, own, []);
          const { one } = asked;
          expect(conditionedOf(one, bench)).toMatchObject({ clayId: clay.id, roomC, school, grams: one.lot.grams });
          const plan = planOf(one, bench);
          if (typeof plan === 'string') throw new Error(plan);
          for (const step of plan.steps) {
            const words = conditionWords(step, 'metric');
            expect(words.title).toMatch(/^[A-Z]/);
            expect(words.line).toMatch(/\.$/);
          }
        },
      ),
    );
  });

  test('a number of passes may be left unsaid', () => {
    expect(readPasses('')).toBeNull();
    expect(readPasses(' not said ')).toBeNull();
    expect(readPasses('24')).toBe(24);
    expect(() => readPasses('1')).toThrow(/passes/);
  });
});

describe('the thickness ladder', () => {
  const show = (mm: number): string => `${mm} mm`;
  const rungs = rungsOf(machines, setup, show);

  test('figures never lie over each other, keep their order and stay on the scale', () => {
    const ys = fc.array(fc.integer({ min: 0, max: HEIGHT }), { maxLength: 20 }).map((l) => l.sort((a, b) => a - b));
    fc.assert(
      fc.property(ys, (places) => {
        const out = spread(places);
        out.forEach((y, i) => {
          if (i > 0) expect(y - (out[i - 1] ?? 0)).toBeGreaterThanOrEqual(CLEAR - 1e-9);
          expect(y).toBeLessThanOrEqual(HEIGHT);
        });
      }),
    );
  });

  test('its scale is higher than every sheet and than what is asked for, in both systems', () => {
    fc.assert(
      fc.property(
        fc.option(fc.integer({ min: 1, max: 90 })),
        fc.constantFrom('metric', 'imperial'),
        (tenths, units) => {
          const mm = tenths === null ? null : tenths / 10;
          const scale = scaleFor(rungs, mm, units as 'metric');
          const thickest = Math.max(...machines.flatMap((m) => thicknesses(m as Machine).map((s) => s.mm)));
          expect(scale.top).toBeGreaterThan(Math.max(thickest, mm ?? 0));
          expect(scale.y(0)).toBe(HEIGHT);
          expect(scale.y(scale.top)).toBeCloseTo(0, 6);
          expect(scale.lines.at(-1)?.y).toBeCloseTo(0, 6);
        },
      ),
    );
  });

  test('every rung has room of its own, cards and guides less than a machine', () => {
    const at = columnsOf(rungs);
    expect(at).toHaveLength(rungs.length + 1);
    rungs.forEach((rung, i) => {
      const wide = (at[i + 1] ?? 0) - (at[i] ?? 0);
      expect(wide > 150).toBe(!isPlain(rung));
    });
  });

  test('says what an edge is on the others', () => {
    const edge = rungs[0]?.edges[1];
    const equals = equalsOf(rungs, edge?.id ?? null);
    expect(equals?.near).toHaveLength(rungs.length - 1);
    for (const near of equals?.near ?? [])
      expect(nearWords(near, show)).toMatch(/, the same$|\((.*) th(icker|inner)\)$/);
    expect(figureOf(1.5, 'metric')).toBe('1.50');
  });
});

describe('a reading as it is taken', () => {
  const means = { layers: 4, disc: 20, card: 0.3 };
  const ways = fc.constantFrom('calipers' as const, 'stack' as const, 'weighed' as const);

  test('what would be read of a thickness is read as that thickness', () => {
    fc.assert(
      fc.property(
        ways,
        fc.integer({ min: 5, max: 30 }),
        fc.constantFrom('metric', 'imperial'),
        (way, tenths, units) => {
          const mm = tenths / 10;
          const text = EXAMPLE[way](mm, means, units as 'metric');
          expect(Math.abs(GAUGE[way](text, means, units as 'metric').mm / mm - 1)).toBeLessThan(0.1);
        },
      ),
    );
  });

  test('cards are counted, and no gauge types them', () => {
    expect(GAUGE.cards('5', means, 'metric').mm).toBeCloseTo(1.5, 9);
    expect(() => GAUGE.calipers('turnip', means, 'metric')).toThrow(/turnip/);
    expect([measuresOf('cards'), measuresOf('weighed'), measuresOf('stack')]).toEqual([undefined, 'mass', 'length']);
  });
});

describe('a sheet of the book', () => {
  const sheet = {
    ...{ id: 's', version: 1, name: 'Chalk, 4', note: '', form: 'sheet', widthMm: 80, lengthMm: 140, mm: 1.5 },
    ...{ layers: 1, grams: 32, cuts: [], gone: false, inside: null, hexes: ['F1EEE4'], rolledAt: '4' },
  } as unknown as MadeAnswer;

  test('typed thicker or thinner keeps its clay', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 60 }), (tenths) => {
        const after = { ...sheet, ...retyped(sheet, tenths / 10) };
        expect(after.widthMm * after.lengthMm * after.mm).toBeCloseTo(80 * 140 * 1.5, 6);
      }),
    );
    expect(retyped({ ...sheet, cuts: [cutOf(cutterOfSize(18, null), 2, 2)] }, 3)).toEqual({ mm: 3 });
  });

  test('pieces that are cut leave the less, and weigh what their share of the sheet weighs', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), fc.option(fc.integer({ min: 10, max: 25 })), (count, height) => {
        const cut = cutOf(cutterOfSize(18, height), count, 2);
        expect([cut.widthMm, cut.heightMm, cut.count]).toEqual([18, height, count]);
        const left = leftOfSheet({ ...sheet, cuts: [cut] });
        expect(left.length).toBeLessThan(140);
        expect(gramsPerArea(sheet) * (left.pieces + left.scrap + 80 * left.length)).toBeCloseTo(32, 6);
      }),
    );
  });

  test('is sent without what only an answer has', () => {
    expect(Object.keys(sentSheet(sheet))).not.toContain('hexes');
    expect(sentSheet(sheet)).toMatchObject({ id: 's', version: 1, inside: null });
  });
});
