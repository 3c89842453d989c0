import fc from 'fast-check';
import { canBe, learnTimes, type StepTaken } from '#core/batch';

const taken = (minutes: number, usual = 10, key = 'cut'): StepTaken => ({ key, usual, minutes });
const factor = (all: readonly StepTaken[], key = 'cut'): number => learnTimes(all).get(key)?.factor ?? NaN;

test('nothing known: nothing learned; each kind of step by itself', () => {
  expect(learnTimes([]).size).toBe(0);
  const learned = learnTimes([taken(20), taken(20), taken(10, 10, 'sand')]);
  expect([...learned.keys()]).toEqual(['cut', 'sand']);
  expect(learned.get('cut')!.from).toBe(2);
  expect(learned.get('sand')!.factor).toBeCloseTo(1, 9);
});

test('the more often, the more it is believed; never beyond what was seen', () => {
  const by = [1, 3, 10, 100].map((n) => factor(Array.from({ length: n }, () => taken(20))));
  expect(by).toEqual([...by].sort((a, b) => a - b));
  expect(by[0]).toBeGreaterThan(1.2);
  expect(by.at(-1)).toBeLessThan(2);
  expect(by.at(-1)).toBeGreaterThan(1.95);
});

test('one evening on which the telephone rang moves it little', () => {
  const steady = Array.from({ length: 8 }, () => taken(12));
  const rung = factor([...steady, taken(75)]);
  expect(rung / factor(steady)).toBeLessThan(1.1);
});

test('tapped through, or left for a day, is no time of hands', () => {
  expect(canBe({ usual: 10, minutes: 0.2 })).toBe(false);
  expect(canBe({ usual: 10, minutes: 600 })).toBe(false);
  expect(canBe({ usual: 0, minutes: 5 })).toBe(false);
  expect(learnTimes([taken(0.1), taken(900)]).size).toBe(0);
});

test('twice as slow hands are learned as twice as slow, whatever the steps are', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 2, max: 90, noNaN: true }), { minLength: 6, maxLength: 30 }),
      fc.double({ min: 0.5, max: 3, noNaN: true }),
      (usual, slow) => {
        const learned = factor(usual.map((minutes) => taken(minutes * slow, minutes)));
        const [low, high] = [Math.min(1, slow), Math.max(1, slow)];
        expect(learned).toBeGreaterThanOrEqual(low - 1e-9);
        expect(learned).toBeLessThanOrEqual(high + 1e-9);
        expect(Math.abs(Math.log(learned / slow))).toBeLessThan(0.12 * Math.abs(Math.log(slow)) + 1e-6);
      },
    ),
  );
});
