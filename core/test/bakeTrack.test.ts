import fc from 'fast-check';
import { fitOven, dialFor, isTemperature, readingsOf, trackBake, trueAt, withPoint, type CurvePoint } from '#core/oven';

const WISH = { low: 125, high: 135, maxC: 150, minutes: 30 };
const flat = (celsius: number, minutes: number, from = 0): CurvePoint[] =>
  Array.from({ length: minutes + 1 }, (_, i) => ({ at: from + i, celsius }));

test('minutes count only within the band, by hand', () => {
  // from 105 to 145 in 4 minutes: a quarter of it is between 125 and 135
  const through = [0, 1, 2, 3, 4].map((at) => ({ at, celsius: 105 + 10 * at }));
  expect(trackBake(through, WISH).inBand).toBeCloseTo(1, 9);
  expect(trackBake(flat(130, 29), WISH)).toMatchObject({ inBand: 29, enough: false, where: 'within', alarm: null });
  expect(trackBake(flat(130, 30), WISH).enough).toBe(true);
  expect(trackBake(flat(120, 30), WISH)).toMatchObject({ inBand: 0, where: 'below' });
  expect(trackBake(flat(140, 30), WISH)).toMatchObject({ inBand: 0, where: 'above', alarm: null });
  expect(trackBake([], WISH)).toMatchObject({ inBand: 0, hottest: null, now: null, where: 'not heard' });
});

test('what nobody heard is not counted, and said', () => {
  const lost = [...flat(130, 10), ...flat(130, 10, 25)];
  expect(trackBake(lost, WISH)).toMatchObject({ inBand: 20, unknown: 15 });
});

test('minutes within, below and above are the minutes there were', () => {
  const curve = fc
    .array(
      fc.record({ step: fc.double({ min: 0.05, max: 2, noNaN: true }), celsius: fc.integer({ min: 20, max: 170 }) }),
    )
    .map((all) => {
      let at = 0;
      return all.map(({ step, celsius }) => ({ at: (at += step), celsius }));
    });
  fc.assert(
    fc.property(curve, (points) => {
      const parts = [
        { low: -50, high: 125 },
        { low: 125, high: 135 },
        { low: 135, high: 400 },
      ].map((band) => trackBake(points, { ...WISH, ...band }).inBand);
      const all = (points.at(-1)?.at ?? 0) - (points[0]?.at ?? 0);
      // where it stays just on an edge it is in both
      expect(parts.reduce((a, b) => a + b, 0)).toBeGreaterThanOrEqual(all - 1e-6);
      expect(Math.max(...parts)).toBeLessThanOrEqual(all + 1e-6);
    }),
  );
});

test('it rings before the maximum, not after it: a hand needs its time to the door', () => {
  const rising = (to: number): CurvePoint[] => [0, 1, 2].map((i) => ({ at: i, celsius: to - 6 * (2 - i) }));
  expect(trackBake(rising(135), WISH).alarm).toBeNull();
  expect(trackBake(rising(142), WISH).alarm).toBe('soon');
  expect(trackBake(rising(151), WISH).alarm).toBe('over');
  // hot, but it cools already
  const cooling = [0, 1, 2].map((i) => ({ at: i, celsius: 149 - 3 * i }));
  expect(trackBake(cooling, WISH).alarm).toBeNull();
});

test('900 °C and nothing at all are no temperatures', () => {
  expect([900, -80, null, 130].map(isTemperature)).toEqual([false, false, false, true]);
});

test('a curve that is thinned tells the same minutes within half a percent', () => {
  const oven = { offset: 4, slope: 1.02, tau: 7, swing: 8 };
  let [all, thin]: [CurvePoint[], readonly CurvePoint[]] = [[], []];
  for (let s = 0; s <= 3600; s++) {
    const point = { at: s / 60, celsius: trueAt(oven, 122, s / 60) };
    all = [...all, point];
    thin = withPoint(thin, point);
  }
  expect(thin.length).toBeLessThan(300);
  expect(trackBake(thin, WISH).inBand).toBeCloseTo(trackBake(all, WISH).inBand, 0);
  expect(thin.at(-1)).toEqual(all.at(-1));
});

test('a curve teaches the oven: the dial after one bake, within two degrees', () => {
  const oven = { offset: -9, slope: 1.03, tau: 9, swing: 6 };
  const curve = Array.from({ length: 241 }, (_, i) => ({ at: i / 4, celsius: trueAt(oven, 130, i / 4) }));
  const read = readingsOf(curve, 130);
  expect(read.map((r) => r.minutes)).toEqual([5, 10, 18, null]);
  const { dial } = dialFor(fitOven(read), 130);
  expect(Math.abs(oven.offset + oven.slope * dial - 130)).toBeLessThan(2);
  // one that was hot when the load went in tells only what it holds
  expect(readingsOf(flat(131, 40), 140)).toEqual([{ dial: 140, celsius: 131, minutes: null }]);
  expect(readingsOf([], 130)).toEqual([]);
});
