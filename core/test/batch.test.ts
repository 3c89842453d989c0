import { ofClay, ofMix } from '#core/material';
import fc from 'fast-check';
import { conditioningBench } from '#core/conditioning';
import { Complaint, Fraction } from '#core/units';
import {
  againstShelf,
  bakeLoads,
  loadItem,
  benchSteps,
  demandOf,
  lotsOf,
  planBatch,
  takeFrom,
  toCut,
  type PieceOrder,
} from '#core/batch';
import { cutterArea, cutterBox, cuttingLayout, mostOn, type Cutter, cutterOfSize } from '#core/cutter';
import type { Block } from '#core/clay';
import { pigmentsWith } from '#core/mix';
import { studio, type Studio } from './arbitraries.js';

const conditioning = conditioningBench({}, null, []);

const side = fc.double({ min: 2, max: 60, noNaN: true });
const cutter: fc.Arbitrary<Cutter> = fc.oneof(
  side.map((diameter) => cutterOfSize(diameter, null)),
  fc.tuple(side, side).map(([width, height]) => cutterOfSize(width, height)),
);
const limits = fc.record({
  width: fc.double({ min: 70, max: 200, noNaN: true }),
  length: fc.double({ min: 70, max: 400, noNaN: true }),
  bridge: fc.double({ min: 0, max: 4, noNaN: true }),
});

const block = (id: string, leftGrams: number, madeOn: string | null, price: number | null = 2): Block => ({
  id,
  clayId: 'clay0',
  netGrams: 57,
  leftGrams,
  madeOn,
  price,
});
const layer = (clay: string, mm = 1.5) => ({
  of: ofClay(clay),
  machineName: 'Bench roller',
  settingLabel: '4',
  mm,
  assumed: false,
  rollerWidthMm: 145,
});
const piece = (id: string, more: Partial<PieceOrder> = {}): PieceOrder => ({
  id,
  name: id,
  cutter: cutterOfSize(18, null),
  count: 10,
  spare: 1,
  bridgeMm: 2,
  sheetWidthMm: 110,
  sheetLengthMm: 200,
  layers: [layer('clay0')],
  ...more,
});

describe('cutting layout', () => {
  test('pieces lie on the sheet, a bridge apart, and there are enough of them', () => {
    fc.assert(
      fc.property(cutter, fc.integer({ min: 1, max: 80 }), limits, (c, count, l) => {
        const { centres, width, length, perSheet, sheets, turned, scrap } = cuttingLayout(c, count, l);
        const box = cutterBox(c);
        const [w, h] = turned ? [box.height, box.width] : [box.width, box.height];
        expect(perSheet * sheets).toBeGreaterThanOrEqual(count);
        expect(width).toBeLessThanOrEqual(l.width + 1e-6);
        expect(length).toBeLessThanOrEqual(l.length + 1e-6);
        expect(scrap).toBeCloseTo(1 - (cutterArea(c) * count) / (width * length * sheets), 9);
        let apart = Infinity;
        for (let i = 0; i < perSheet; i++) {
          const [x, y] = [centres[2 * i] ?? 0, centres[2 * i + 1] ?? 0];
          expect(x - w / 2).toBeGreaterThanOrEqual(l.bridge - 1e-6);
          expect(x + w / 2).toBeLessThanOrEqual(width - l.bridge + 1e-6);
          expect(y - h / 2).toBeGreaterThanOrEqual(l.bridge - 1e-6);
          expect(y + h / 2).toBeLessThanOrEqual(length - l.bridge + 1e-6);
          for (let k = 0; k < i; k++) {
            const [dx, dy] = [Math.abs(x - (centres[2 * k] ?? 0)), Math.abs(y - (centres[2 * k + 1] ?? 0))];
            apart = Math.min(apart, c.shape === 'round' ? Math.hypot(dx, dy) - c.width : Math.max(dx - w, dy - h));
          }
        }
        expect(apart).toBeGreaterThanOrEqual(l.bridge - 1e-6);
      }),
      { numRuns: 150 },
    );
  });

  test('the better of rows and gaps: many rounds go into the gaps', () => {
    const many = cuttingLayout(cutterOfSize(18, null), 60, { width: 140, length: 300, bridge: 1 });
    expect(many.pattern).toBe('hexagonal');
    const few = cuttingLayout(cutterOfSize(18, null), 2, { width: 140, length: 300, bridge: 1 });
    expect([few.pattern, few.perSheet]).toEqual(['rows', 2]);
  });

  test('fourteen rounds of 35 mm find room on one sheet of 110 × 200 mm, in rows along it', () => {
    const layout = cuttingLayout(cutterOfSize(35, null), 14, { width: 110, length: 200, bridge: 2 });
    expect([layout.sheets, layout.perSheet]).toEqual([1, 14]);
    expect(mostOn(cutterOfSize(35, null), { width: 110, length: 200, bridge: 2 })).toBe(14);
  });

  const round = fc.double({ min: 6, max: 45, noNaN: true }).map((diameter) => cutterOfSize(diameter, null));

  test('never fewer on a sheet than in straight rows, or in close hexagonal rows either way', () => {
    fc.assert(
      fc.property(round, limits, (c, l) => {
        const { bridge } = l;
        const touch = c.width + bridge;
        const across = (room: number): number => Math.floor((room - bridge) / touch + 1e-9);
        const hexagonal = (width: number, length: number): number => {
          const full = across(width);
          const rows = Math.floor((length - 2 * bridge - c.width) / (touch * Math.sqrt(0.75)) + 1e-9) + 1;
          if (full < 1 || rows < 1) return 0;
          const gaps = full * touch + bridge + touch / 2 <= width ? full : full - 1;
          return Math.ceil(rows / 2) * full + Math.floor(rows / 2) * gaps;
        };
        const plain = across(l.width) * across(l.length);
        expect(mostOn(c, l)).toBeGreaterThanOrEqual(
          Math.max(plain, hexagonal(l.width, l.length), hexagonal(l.length, l.width)),
        );
      }),
      { numRuns: 40 },
    );
  });

  test('what a sheet gives can be laid out on it, and no piece more', () => {
    fc.assert(
      fc.property(cutter, limits, (c, l) => {
        const most = mostOn(c, l);
        if (most === 0) return;
        expect(cuttingLayout(c, most, l, 1)).toMatchObject({ sheets: 1, perSheet: most });
        expect(() => cuttingLayout(c, most + 1, l, 1)).toThrow();
      }),
      { numRuns: 40 },
    );
  });

  test('a piece less never takes more sheet', () => {
    fc.assert(
      fc.property(cutter, fc.integer({ min: 1, max: 90 }), limits, (c, count, l) => {
        const size = (n: number): number => {
          const { width, length, sheets } = cuttingLayout(c, n, l);
          return width * length * sheets;
        };
        if (mostOn(c, l) > 0) expect(size(count)).toBeLessThanOrEqual(size(count + 1) * (1 + 1e-9));
      }),
      { numRuns: 40 },
    );
  });

  test('a cutter larger than the sheet is refused with both sizes', () => {
    expect(() => cuttingLayout(cutterOfSize(60, null), 1, { width: 50, length: 200, bridge: 2 })).toThrow(
      'A cutter of 60 mm round (2.36 in round) does not fit on a sheet of 50 × 200 mm (1.97 × 7.87 in).',
    );
  });
});

describe('against the shelf', () => {
  test('the oldest block is used first, and nothing is made or lost', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 0, max: 57, noNaN: true }), fc.option(fc.integer({ min: 10, max: 28 })))),
        fc.double({ min: 0, max: 300, noNaN: true }),
        (rows, grams) => {
          const blocks = rows.map(([left, day], i) => block(`b${i}`, left, day === null ? null : `2025-01-${day}`));
          const { takings, short } = takeFrom(blocks, grams);
          const taken = takings.reduce((sum, t) => sum + t.grams, 0);
          expect(Math.abs(taken + short - grams)).toBeLessThanOrEqual(0.05 + 1e-9);
          for (const t of takings)
            expect(t.grams).toBeLessThanOrEqual((blocks.find((b) => b.id === t.blockId)?.leftGrams ?? 0) + 1e-9);
        },
      ),
    );
    expect(takeFrom([block('new', 57, '2026-01-01'), block('old', 10, '2024-01-01')], 15).takings).toEqual([
      { blockId: 'old', grams: 10 },
      { blockId: 'new', grams: 5 },
    ]);
  });

  test('short by how much, blocks to buy, cost; unknown prices are said to be unknown', () => {
    expect(againstShelf([block('a', 20, null)], 100)).toMatchObject({
      short: 80,
      blocksToBuy: 2,
      buyCost: 4,
      usedCost: expect.closeTo((100 * 2) / 57, 9),
    });
    expect(againstShelf([block('a', 20, null, null)], 10)).toMatchObject({
      short: 0,
      blocksToBuy: 0,
      usedCost: null,
      buyCost: 0,
    });
    expect(againstShelf([], 10)).toMatchObject({ blockAssumed: true, blocksToBuy: 1, buyCost: null });
  });
});

describe('demand', () => {
  const wantedOf = ({ clays }: Studio) => [
    { of: ofMix('top'), grams: 50 },
    { of: ofClay(clays[0]?.id ?? ''), grams: 10 },
  ];
  const withTop = (s: Studio) => ({ ...s.book, recipe: (id: string) => (id === 'top' ? s.recipe : s.book.recipe(id)) });

  test('weighed, the clays weigh what the mixes weigh', () => {
    fc.assert(
      fc.property(studio, (s) => {
        const { clays, mixes } = demandOf(wantedOf(s), withTop(s), { discVolume: null }, pigmentsWith(null));
        expect([...clays.values()].reduce((a, b) => a + b, 0)).toBeCloseTo(60, 6);
        for (const m of mixes) expect(m.made).toBe(m.needed);
      }),
      { numRuns: 25 },
    );
  });

  test('in discs, never less than needed; a mix comes after what it is made of', () => {
    fc.assert(
      fc.property(studio, (s) => {
        const book = withTop(s);
        const { mixes } = demandOf(wantedOf(s), book, { discVolume: 640 }, pigmentsWith(null));
        mixes.forEach((m, i) => {
          expect(m.made).toBeGreaterThanOrEqual(m.needed * (1 - 1e-6));
          if (!(m.of.kind === 'mix')) return;
          for (const { of } of book.recipe(m.of.id)?.ingredients ?? []) {
            if (of.kind === 'mix')
              expect(mixes.findIndex((x) => x.of.kind === 'mix' && x.of.id === of.id)).toBeLessThan(i);
          }
        });
      }),
      { numRuns: 25 },
    );
  });
});

describe('a batch', () => {
  const book: Studio['book'] = {
    clay: (id) =>
      ({
        clay0: {
          id,
          lineId: 'firm',
          name: 'Chalk',
          kind: 'opaque' as const,
          rawHex: 'F1EEE4',
          bakedHex: 'F1EEE4',
          strength: null,
        },
        clay1: {
          id,
          lineId: 'soft',
          name: 'Soot',
          kind: 'opaque' as const,
          rawHex: '26242A',
          bakedHex: '26242A',
          strength: null,
        },
      })[id],
    line: (id) => ({
      id,
      name: id,
      firmness: 'firm',
      density: 1.9,
      bakeC: id === 'firm' ? 130 : 120,
      bakeMinutes: 30,
      bakePerMm: 6,
      maxC: id === 'firm' ? 150 : 125,
    }),
    recipe: (id) =>
      id === 'grey'
        ? {
            basis: 'volume',
            ingredients: [
              { parts: new Fraction(1), of: ofClay('clay0') },
              { parts: new Fraction(1), of: ofClay('clay1') },
            ],
          }
        : undefined,
    nameOf: () => 'Grey',
  };
  const blocks = [block('a', 57, '2026-01-01')];
  const pieces = [
    piece('dark', { layers: [layer('clay1')] }),
    piece('pair', { layers: [layer('clay1', 1), { ...layer(''), of: ofMix('grey') }] }),
    piece('huge', { cutter: cutterOfSize(400, null) }),
  ];
  const plan = planBatch({ pieces, book, blocks, measuring: { discVolume: 640 } });

  test('a piece that cannot be cut says why and is left out of the sums', () => {
    expect(plan.pieces.find((p) => p.id === 'huge')?.wrong).toMatch(/does not fit/);
    const sheets = plan.pieces.reduce(
      (sum, p) => sum + (p.wrong === null ? p.layers.reduce((g, l) => g + l.grams, 0) : 0),
      0,
    );
    expect(plan.totalGrams).toBeGreaterThanOrEqual(sheets - 1e-6);
    expect(plan.totalGrams).toBeLessThan(sheets + 4);
    expect(plan.scrapGrams).toBeLessThan(sheets);
  });

  test('steps stand in working order, light before dark', () => {
    const steps = benchSteps({
      pieces,
      plan,
      book,
      blocks,
      pigments: pigmentsWith(null),
      conditioning,
      today: '2026-11-24',
    });
    expect(steps.map((s) => s.kind)).toEqual([
      'condition',
      'condition',
      'mix',
      'roll',
      'roll',
      'stack',
      'cut',
      'roll',
      'cut',
      'bake',
    ]);
    expect(steps.flatMap((s) => (s.kind === 'condition' ? [s.clay.name] : []))).toEqual(['Chalk', 'Soot']);
    expect(steps.flatMap((s) => (s.kind === 'cut' ? [[s.pieceName, s.count]] : []))).toEqual([
      ['pair', toCut(piece('x'))],
      ['dark', 11],
    ]);
  });

  test('lines that meet in one piece bake at the highest temperature all of them stand', () => {
    const loads = bakeLoads(
      [
        { pieceId: 'p', mm: 12, lines: ['firm', 'soft'] },
        { pieceId: 'q', mm: 1, lines: ['firm'] },
      ].map((one) => loadItem({ ...one, count: 1, box: { width: 9, height: 9 }, alone: null }, book)!),
      null,
    );
    // the packet says 130 for the second: 125 is within its band, so that one tray is enough
    expect(loads.map((l) => [l.celsius, l.minutes, l.compromise])).toEqual([[125, 60, true]]);
    expect(loads[0]!.pieces.map((p) => p.pieceId)).toEqual(['p', 'q']);
  });

  describe('pieces of two cutters on one sheet', () => {
    const sheet = (id: string, width: number, y: number, more: Partial<PieceOrder> = {}): PieceOrder =>
      piece(id, {
        ...{ cutter: cutterOfSize(width, null), count: 2, spare: 0, bridgeMm: 1 },
        ...{ sheetWidthMm: 100, sheetLengthMm: 80 },
        placed: { round: false, sheet: 0, places: [20, 60].map((x) => ({ x, y, degrees: 0 })) },
        layers: [layer('clay1', 1), { ...layer('clay0', 2), asItLies: true }],
        ...more,
      });
    const plan = (...pieces: PieceOrder[]) => planBatch({ pieces, book, blocks: [], measuring: { discVolume: null } });
    const grams = (p: ReturnType<typeof plan>): number => p.totalGrams;

    test('use it up once: clay in is sheet and backing up to the highest piece, by hand 100 × 71 × 3 mm', () => {
      const both = plan(sheet('low', 30, 20), sheet('high', 20, 60));
      // 1.9 g a cm³
      const density = 1.9;
      expect(grams(both)).toBeCloseTo((100 * 71 * 3 * density) / 1000, 6);
      const pieces = 2 * Math.PI * (15 ** 2 + 10 ** 2) * 3 * (density / 1000);
      expect(both.scrapGrams).toBeCloseTo(grams(both) - pieces, 6);
      const cuttable = [sheet('low', 30, 20), sheet('high', 20, 60)];
      const kinds = benchSteps({
        ...{ pieces: cuttable, plan: both, book, blocks: [], pigments: pigmentsWith(null), today: '2026-11-28' },
        conditioning,
      }).map((s) => s.kind);
      // the backing is rolled once, and both are laid down once
      expect(kinds.slice(0, -1)).toEqual(['condition', 'condition', 'roll', 'stack', 'cut', 'cut']);
    });
    test('on two sheets each uses up its own, and one that cannot be cut uses nothing', () => {
      const other = sheet('high', 20, 60);
      const apart = { ...other, placed: { round: false, sheet: 1, places: other.placed?.places ?? [] } };
      expect(grams(plan(sheet('low', 30, 20), apart))).toBeCloseTo(
        grams(plan(sheet('low', 30, 20))) + grams(plan(apart)),
        6,
      );
      expect(grams(plan(sheet('low', 30, 20), sheet('out', 20, 200)))).toBeCloseTo(
        grams(plan(sheet('low', 30, 20))),
        6,
      );
    });
  });

  test('complaints of core are sentences', () => {
    expect(plan.pieces.every((p) => p.wrong === null || /^[A-Z].*\.$/.test(p.wrong))).toBe(true);
    expect(() =>
      planBatch({ pieces: [piece('x', { count: 0.5 })], book, blocks, measuring: { discVolume: null } }),
    ).not.toThrow(Complaint);
  });
});

describe('blocks of several ages', () => {
  const block = (id: string, madeOn: string | null, leftGrams: number): Block =>
    ({ id, clayId: 'c', netGrams: 57, leftGrams, madeOn, price: null }) as unknown as Block;
  test('each is treated by its own age, oldest first, and what has to be bought is new', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 2018, max: 2026 }), fc.integer({ min: 1, max: 57 })), { maxLength: 5 }),
        fc.integer({ min: 1, max: 300 }),
        (there, grams) => {
          const blocks = there.map(([year, left], i) => block(String(i), `${year}-11-27`, left));
          const lots = lotsOf(blocks, grams, '2026-11-27');
          expect(lots.reduce((sum, l) => sum + l.grams, 0)).toBeCloseTo(grams, 9);
          const ages = lots.filter((l) => !l.bought).map((l) => l.months ?? 0);
          expect(ages).toEqual([...ages].sort((a, b) => b - a));
          const short = grams - there.reduce((sum, [, left]) => sum + left, 0);
          expect(lots.filter((l) => l.bought)).toEqual(
            short > 0.05
              ? [{ grams: expect.closeTo(short, 9), months: 0, bought: true, squeeze: null, blockIds: [] }]
              : [],
          );
        },
      ),
    );
    expect(lotsOf([block('a', '2020-11-27', 10), block('b', null, 30)], 20, '2026-11-27')).toEqual([
      { grams: 10, months: 72, bought: false, squeeze: null, blockIds: ['a'] },
      { grams: 10, months: null, bought: false, squeeze: null, blockIds: ['b'] },
    ]);
  });

  test('ragged edges are rolled and not cut from', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.double({ min: 0, max: 12, noNaN: true }), (count, edge) => {
        const cutter = cutterOfSize(18, null);
        const inside = cuttingLayout(cutter, count, { width: 110 - 2 * edge, length: 200 - 2 * edge, bridge: 2 });
        const ragged = cuttingLayout(cutter, count, { width: 110, length: 200, bridge: 2, edge });
        expect([ragged.width, ragged.length]).toEqual([
          expect.closeTo(inside.width + 2 * edge, 9),
          expect.closeTo(inside.length + 2 * edge, 9),
        ]);
        expect([...ragged.centres]).toEqual([...inside.centres].map((at) => expect.closeTo(at + edge, 9)));
        expect(ragged.scrap).toBeGreaterThanOrEqual(inside.scrap - 1e-9);
      }),
      { numRuns: 20 },
    );
  });
});
