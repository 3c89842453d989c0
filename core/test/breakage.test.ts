import fc from 'fast-check';
import { ASSUMED_BREAKAGE, breakageLearned, sparesFor, type MadeAtOnce } from '#core/batch';
import { seeded } from '#core/units';

const rateOf = (days: readonly MadeAtOnce[]): number => ASSUMED_BREAKAGE * breakageLearned(days).factor;

/** Days of 20 pieces of which each breaks with one chance. */
function daysOf(rate: number, count: number, seed: number): MadeAtOnce[] {
  const random = seeded(seed);
  return Array.from({ length: count }, () => ({
    pieces: 20,
    broken: Array.from({ length: 20 }, random).filter((chance) => chance < rate).length,
  }));
}

describe('pieces that break', () => {
  test('nothing counted is what is assumed', () => {
    expect(rateOf([])).toBeCloseTo(ASSUMED_BREAKAGE, 12);
    expect(breakageLearned([]).from).toBe(0);
  });
  test('by a maker’s arithmetic: six of sixty, beside sixty at three in a hundred, are 7.8 of 120', () => {
    const days = Array.from({ length: 6 }, () => ({ pieces: 10, broken: 1 }));
    expect(rateOf(days)).toBeCloseTo(7.8 / 120, 12);
  });
  test('many days lead to the truth', () => {
    for (const rate of [0.005, 0.03, 0.1, 0.2]) {
      const rates = Array.from({ length: 40 }, (_, seed) => rateOf(daysOf(rate, 60, seed + 1)));
      const middle = rates.reduce((a, b) => a + b, 0) / rates.length;
      expect(middle / rate).toBeGreaterThan(0.85);
      expect(middle / rate).toBeLessThan(1.35);
    }
  });
  test('a tray that fell is one odd day, and moves it little', () => {
    const usual = daysOf(0.04, 12, 7);
    const fallen = breakageLearned([...usual, { pieces: 20, broken: 20 }]);
    expect(fallen.odd).toEqual([12]);
    expect(fallen.factor / breakageLearned(usual).factor).toBeLessThan(1.6);
  });
  test('it is a share, grows with what broke, and is surer with every piece', () => {
    const day = fc
      .integer({ min: 1, max: 200 })
      .chain((pieces) => fc.record({ pieces: fc.constant(pieces), broken: fc.nat(pieces) }));
    fc.assert(
      fc.property(fc.array(day, { maxLength: 10 }), day, (days, more) => {
        const rate = rateOf(days);
        expect(rate > 0 && rate < 1).toBe(true);
        const none = breakageLearned([...days, { ...more, broken: 0 }]);
        const all = breakageLearned([...days, more]);
        expect(all.factor).toBeGreaterThanOrEqual(none.factor);
        expect(none.factor).toBeLessThanOrEqual(breakageLearned(days).factor);
      }),
    );
  });
  test('spares: as many are whole in the end as are wanted', () => {
    expect(sparesFor(20, 0.1)).toBe(2);
    expect(sparesFor(100, 0.03)).toBe(3);
    expect(sparesFor(5, 0.03)).toBe(0);
    expect(sparesFor(10, 0.5)).toBe(10);
  });
});
