import fc from 'fast-check';
import { MOST_REDUCTION, feedPlan, thicknesses, type FeedInput, type Machine } from '#core/sheet';
import { dialOf } from './machines.js';

const machine = (rollerWidthMm = 145): Machine => ({
  id: 'm',
  name: 'Bench roller',
  rollerWidthMm,
  ...dialOf(['0', 3.2], ['4', 1.52], ['9', 0.42]),
});
const input = fc.record({
  machine: fc.constantFrom(machine(), machine(60), machine(300)),
  mm: fc.double({ min: 0.3, max: 20, noNaN: true }),
  width: fc.double({ min: 10, max: 200, noNaN: true }),
  length: fc.double({ min: 10, max: 200, noNaN: true }),
  settingId: fc.nat(9).map(String),
  thinning: fc.constantFrom('one at a time' as const, 'straight' as const),
  turns: fc.boolean(),
});

test('volume is kept by every pass, no pass more than halves, and it ends where it was to', () => {
  fc.assert(
    fc.property(input, (given: FeedInput) => {
      const { byHandTo, feeds, strips } = feedPlan(given);
      const widest = thicknesses(given.machine)[0]?.mm ?? 0;
      expect(byHandTo).toBe(given.mm > widest * MOST_REDUCTION + 1e-9 ? widest * MOST_REDUCTION : null);
      let before = byHandTo ?? given.mm;
      const volume = (given.mm * given.width * given.length) / strips;
      for (const feed of feeds) {
        expect(before / feed.mm).toBeLessThanOrEqual(MOST_REDUCTION + 1e-6);
        expect(feed.mm).toBeLessThan(before);
        expect(Math.abs((feed.mm * feed.width * feed.length) / volume - 1)).toBeLessThan(1e-9);
        expect(feed.width).toBeLessThanOrEqual(given.machine.rollerWidthMm + 1e-6);
        before = feed.mm;
      }
      const target = thicknesses(given.machine).find((s) => s.id === given.settingId)?.mm ?? 0;
      if (feeds.length > 0) expect(feeds.at(-1)?.setting.id).toBe(given.settingId);
      else expect(byHandTo ?? given.mm).toBeLessThanOrEqual(target + 1e-6);
      if (!given.turns) expect(feeds.every((f) => !f.turned)).toBe(true);
    }),
  );
});

test('one setting at a time leaves none out; straight leaves out what it can', () => {
  const each = feedPlan({
    machine: machine(),
    mm: 4.12,
    width: 60,
    length: 90,
    settingId: '4',
    thinning: 'one at a time',
    turns: false,
  });
  expect(each.feeds.map((f) => f.setting.label)).toEqual(['0', '1', '2', '3', '4']);
  const straight = feedPlan({
    machine: machine(),
    mm: 4.12,
    width: 60,
    length: 90,
    settingId: '4',
    thinning: 'straight',
    turns: false,
  });
  expect(straight.feeds.map((f) => f.setting.label)).toEqual(['2', '4']);
  expect(straight.feeds.at(-1)?.length).toBeCloseTo((90 * 4.12) / 1.52, 6);
});

test('too wide is cut in strips; a turned sheet grows the other way; nothing is refused in silence', () => {
  expect(
    feedPlan({
      machine: machine(60),
      mm: 3,
      width: 150,
      length: 40,
      settingId: '4',
      thinning: 'straight',
      turns: false,
    }).strips,
  ).toBe(3);
  const turned = feedPlan({
    machine: machine(300),
    mm: 4,
    width: 60,
    length: 60,
    settingId: '6',
    thinning: 'one at a time',
    turns: true,
  });
  expect(turned.feeds.slice(1).some((f) => f.turned)).toBe(true);
  const [wide, long] = [turned.feeds.at(-1)?.width ?? 0, turned.feeds.at(-1)?.length ?? 0];
  expect(Math.max(wide, long) / Math.min(wide, long)).toBeLessThan(2);
  expect(() =>
    feedPlan({ machine: machine(), mm: 0, width: 10, length: 10, settingId: '1', thinning: 'straight', turns: false }),
  ).toThrow(/more than zero/);
  expect(() =>
    feedPlan({ machine: machine(), mm: 2, width: 10, length: 10, settingId: 'x', thinning: 'straight', turns: false }),
  ).toThrow(/has no setting/);
});
