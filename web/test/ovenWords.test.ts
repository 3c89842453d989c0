import { trueAt } from '#core/oven';
import { oven as demoOven } from '#demo';
import {
  degreesApart,
  newOven,
  runsWords,
  sureWords,
  toSet,
  warmingWords,
  withReading,
} from '../src/stations/batches/ovens/ovenWords.js';

const low = { offset: -8, slope: 1, tau: 8, swing: 0 };
/** Read so often that nothing is left of what was assumed. */
const wellRead = Array.from({ length: 40 }, (_, i) => ({
  ...{ id: String(i), readOn: '2026-11-02', dial: 100 + (i % 5) * 15, minutes: 10 + 10 * (i % 8) },
  celsius: trueAt(low, 100 + (i % 5) * 15, 10 + 10 * (i % 8)),
}));

describe('what to set on the dial', () => {
  test('of an oven that runs low more than is wanted, by as much as it is low', () => {
    const set = toSet({ readings: wellRead }, 130);
    expect(Math.abs(set.dial - 138)).toBeLessThanOrEqual(2);
    expect(runsWords(set.oven, set.dial, 'metric')).toMatch(/^it runs (6|7|8|9|10) °C low$/);
    expect(sureWords(set.oven, set.off, 'metric')).toMatch(/^40 readings, ± [012] °C$/);
  });
  test('of one that nobody has read what is assumed, and that is said', () => {
    const set = toSet(newOven('Kitchen oven'), 130);
    expect(set.dial).toBe(130);
    expect(runsWords(set.oven, set.dial, 'metric')).toBe('it runs as it is set');
    expect(sureWords(set.oven, set.off, 'metric')).toContain('nobody has read it yet');
  });
  test('differences are told in both systems', () => {
    expect(degreesApart(-5, 'metric')).toBe('5 °C');
    expect(degreesApart(-5, 'imperial')).toBe('9 °F');
    const set = toSet(demoOven, 130);
    expect(runsWords(set.oven, set.dial, 'imperial')).toMatch(/°F low$/);
  });
  test('when it is warm enough, and how far it goes beyond', () => {
    const steady = toSet({ readings: wellRead }, 130);
    expect(warmingWords(steady, 130, 'metric')).toMatch(/^It is warm enough after \d+ min/);
    const assumed = toSet(newOven('x'), 130);
    expect(warmingWords(assumed, 130, 'metric')).toMatch(/at first it goes \d °C beyond, after \d+ min\.$/);
    expect(warmingWords({ ...assumed, dial: 90 }, 130, 'metric')).toMatch(/never gets so warm/);
  });
  test('a reading more stands last, with an id of its own', () => {
    const once = withReading(newOven('x'), { readOn: '2026-11-02', dial: 130, celsius: 121, minutes: 20 });
    const twice = withReading(once, { readOn: '2026-11-03', dial: 130, celsius: 123, minutes: null });
    expect(twice.readings.map((r) => r.celsius)).toEqual([121, 123]);
    expect(new Set(twice.readings.map((r) => r.id)).size).toBe(2);
  });
});
