import fc from 'fast-check';
import { learnedOf, medianOf } from '#core/learned';
import { FIGURES, WITHIN, offAfter } from '../bench/teaching.js';

const TRUST = { each: 0.25, bench: 0.5 };
const ratio = fc.double({ min: 0.3, max: 3, noNaN: true });

describe('what is learned of a figure', () => {
  test('lies between what is assumed and what was counted, and is surer the more was counted', () => {
    fc.assert(
      fc.property(fc.array(ratio, { minLength: 1, maxLength: 20 }), (seen) => {
        const { factor, from, off } = learnedOf(seen, TRUST);
        expect(from).toBe(seen.length);
        expect(factor).toBeGreaterThanOrEqual(Math.min(1, ...seen) - 1e-9);
        expect(factor).toBeLessThanOrEqual(Math.max(1, ...seen) + 1e-9);
        expect(off).toBeLessThan(TRUST.bench);
      }),
    );
    expect(learnedOf([], TRUST)).toEqual({ factor: 1, from: 0, off: 0.5, odd: [] });
  });

  test('does not depend on the order, and twice as much counted is twice as much learned of much', () => {
    fc.assert(
      fc.property(fc.array(ratio, { minLength: 5, maxLength: 12 }), (seen) => {
        const back = learnedOf([...seen].reverse(), TRUST).factor;
        expect(back).toBeCloseTo(learnedOf(seen, TRUST).factor, 6);
      }),
    );
    const steady = [2, 2.02, 1.98, 2.01, 1.99, 2];
    expect(learnedOf(steady, TRUST).factor).toBeCloseTo(2, 1);
  });

  test('one odd day hardly moves it, and is told; two days that contradict meet in the middle, unsure', () => {
    const steady = [1.3, 1.25, 1.35, 1.28, 1.32];
    const { factor, odd } = learnedOf([...steady, 6], TRUST);
    expect(Math.abs(factor / learnedOf(steady, TRUST).factor - 1)).toBeLessThan(0.03);
    expect(odd).toEqual([5]);
    const two = learnedOf([0.5, 2], TRUST);
    expect(two.factor).toBeCloseTo(1, 6);
    expect(two.off).toBeGreaterThan(learnedOf(steady, TRUST).off);
  });

  test.each(FIGURES)('$what: after eight counts within a tenth, and nearer than the plain mean', (figure) => {
    for (const seed of [5, 6, 7]) {
      const { learned, mean } = offAfter(8, figure, seed);
      expect(medianOf(learned)).toBeLessThan(WITHIN);
      expect(medianOf(learned)).toBeLessThan(medianOf(mean));
    }
  });
});
