import fc from 'fast-check';
import { bakeLoads, loadItem, onTray, ovenLoads, traysIn, type LoadItem } from '#core/batch';

const TRAY = { width: 300, length: 220 };
const ROUND = { box: { width: 20, height: 20 }, alone: null };
const item = (id: string, more: Partial<LoadItem> = {}): LoadItem => ({
  ...{ id, pieceId: id, count: 12, box: { width: 40, height: 40 }, celsius: 130, low: 125, maxC: 135, minutes: 30 },
  ...{ alone: null, cores: false, onForm: false, lineIds: ['l'], wished: [130], below: false },
  ...more,
});
const items = fc
  .array(
    fc.record({
      count: fc.integer({ min: 1, max: 26 }),
      side: fc.integer({ min: 20, max: 140 }),
      celsius: fc.constantFrom(110, 120, 130),
      over: fc.constantFrom(5, 10, 25),
      minutes: fc.constantFrom(20, 30, 45),
      alone: fc.constantFrom(null, null, 'light' as const, 'translucent' as const),
      cores: fc.constantFrom(false, false, true),
    }),
    { minLength: 1, maxLength: 5 },
  )
  .map((all) =>
    all.map(({ side, celsius, over, ...rest }, i) =>
      item(String(i), { ...rest, celsius, low: celsius - 5, maxC: celsius + over, box: { width: side, height: side } }),
    ),
  );

/** The fewest loads by trying every way to share single trays and what is left of each kind out. */
function fewest(all: readonly LoadItem[]): number {
  const parts = all.flatMap((one) => {
    const fits = onTray(one.box, TRAY);
    const full = Math.floor(one.count / fits);
    const rest = one.count % fits;
    return [
      ...Array.from({ length: full }, () => ({ one, share: 1 })),
      ...(rest > 0 ? [{ one, share: rest / fits }] : []),
    ];
  });
  let least = parts.length;
  const go = (at: number, loads: (typeof parts)[]): void => {
    if (loads.length >= least) return;
    const part = parts[at];
    if (!part) {
      least = loads.length;
      return;
    }
    const fits = (load: typeof parts): boolean => {
      const together = [...load, part];
      return (
        together.reduce((sum, p) => sum + p.share, 0) <= 1 + 1e-9 &&
        Math.max(...together.map((p) => p.one.low)) <= Math.min(...together.map((p) => p.one.maxC)) &&
        together.every((p) => p.one.alone === part.one.alone)
      );
    };
    loads.forEach((load, i) => {
      if (fits(load))
        go(
          at + 1,
          loads.map((l, k) => (k === i ? [...l, part] : l)),
        );
    });
    go(at + 1, [...loads, [part]]);
  };
  go(0, []);
  return least;
}

test('on 300 small cases there are as few loads as trying everything finds, and every piece is in one', () => {
  fc.assert(
    fc.property(items, (all) => {
      const { loads } = ovenLoads(all, TRAY);
      expect(traysIn(loads)).toBe(fewest(all.filter((a) => a.cores)) + fewest(all.filter((a) => !a.cores)));
      for (const { id, count } of all)
        expect(loads.reduce((sum, l) => sum + l.times * (l.items.find((i) => i.id === id)?.count ?? 0), 0)).toBe(count);
      for (const load of loads) {
        const own = load.items.map((i) => all.find((a) => a.id === i.id)!);
        expect(load.share).toBeLessThanOrEqual(1 + 1e-9);
        for (const one of own) {
          expect(load.celsius).toBeGreaterThanOrEqual(one.low);
          expect(load.celsius).toBeLessThanOrEqual(one.maxC);
          expect(load.minutes).toBeGreaterThanOrEqual(one.minutes);
          expect(load.alone).toBe(one.alone);
        }
      }
    }),
    { numRuns: 300 },
  );
});

test('a tray holds rows with gaps, either way round', () => {
  expect(onTray({ width: 40, height: 40 }, TRAY)).toBe(6 * 5);
  expect(onTray({ width: 100, height: 60 }, TRAY)).toBe(8);
  expect(onTray({ width: 301, height: 10 }, TRAY)).toBe(0);
  expect(ovenLoads([item('a', { box: { width: 400, height: 10 } })], TRAY)).toEqual({ loads: [], tooLarge: ['a'] });
});

test('lines that bake at temperatures which do not meet, and light ones, go in by themselves', () => {
  const { loads } = ovenLoads(
    [item('cool', { celsius: 110, low: 105, maxC: 115 }), item('hot'), item('light', { alone: 'light' })],
    TRAY,
  );
  expect(loads.map((l) => [l.celsius, l.items[0]!.id])).toEqual([
    [110, 'cool'],
    [130, 'hot'],
    [130, 'light'],
  ]);
});

test('lower and longer by own figures: never above the maximum, and it is told where it is below the packet', () => {
  const line = { id: 'l', bakeC: 130, maxC: 150, bakeMinutes: 30, bakePerMm: 6 };
  const book = { line: (id: string) => ({ ...line, ...own, id, name: id, firmness: 'firm' as const, density: 1.9 }) };
  let own = {};
  const load = () =>
    bakeLoads([loadItem({ ...{ pieceId: 'p', count: 3, mm: 12, lines: ['l'] }, ...ROUND }, book)!], null)[0]!;
  expect(load()).toMatchObject({ celsius: 130, minutes: 60, below: false });
  own = { ownC: 115, ownMinutes: 50 };
  expect(load()).toMatchObject({ celsius: 115, minutes: 100, below: true });
  own = { ownC: 170, ownMinutes: 20 };
  expect(load()).toMatchObject({ celsius: 150, minutes: 40, below: false });
});

test('full trays of the same are told once; what no tray holds goes by itself, and says so; cores go first', () => {
  const many = bakeLoads([item('p', { count: 100 }), item('c', { cores: true })], TRAY);
  // 6 in a row of 300 mm, 5 rows in 220 mm (or 4 and 7): 30 on a tray
  expect(many.map((l) => [l.cores, l.times, l.pieces])).toEqual([
    [true, 1, [{ pieceId: 'c', count: 12 }]],
    [false, 3, [{ pieceId: 'p', count: 30 }]],
    [false, 1, [{ pieceId: 'p', count: 10 }]],
  ]);
  const [large] = bakeLoads([item('p', { box: { width: 400, height: 400 } })], TRAY);
  expect(large).toMatchObject({ tooLarge: true, pieces: [{ pieceId: 'p', count: 12 }] });
});
