import fc from 'fast-check';
import { costOf, leftByTheHour, type CostedKind } from '#core/batch';

const RATES = { hourly: 18, overhead: 0.1 };
const kind = (more: Partial<CostedKind> = {}): CostedKind => ({
  ...{ id: 'k', count: 20, cut: 22, grams: 44, clay: 4.4, findings: 6 },
  ...more,
});
const share = fc.double({ min: 0, max: 0.9, noNaN: true });

describe('what one piece costs', () => {
  test('by a maker’s arithmetic: clay and findings over what is sold, two hours at 18, a tenth on top', () => {
    const cost = costOf(kind(), 120, RATES, null);
    expect(cost).toMatchObject({ findings: 0.3, minutes: 6, losses: 0, lossShare: 0 });
    expect(cost.clay).toBeCloseTo(0.22, 12);
    expect(cost.hours).toBeCloseTo(1.8, 12);
    expect(cost.total).toBeCloseTo(2.32 * 1.1, 12);
  });
  test('spares make up for what breaks; what breaks beyond them is shared out', () => {
    // of 22 one in eleven: 20 are whole
    expect(costOf(kind(), 120, RATES, 1 / 11).lossShare).toBeCloseTo(0, 12);
    // of 22 one in four: 16.5 are whole, and pay for 20
    const cost = costOf(kind(), 120, RATES, 0.25);
    expect(cost.lossShare).toBeCloseTo(20 / 16.5 - 1, 12);
    expect(cost.losses).toBeCloseTo(2.32 * (20 / 16.5 - 1), 12);
    expect((cost.total ?? 0) * 16.5).toBeCloseTo((4.4 + 6 + 36) * 1.1, 9);
  });
  test('money in is money out: what whole pieces bring at their cost pays for everything', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.nat(40), share, share, (count, spare, breakage, overhead) => {
        const own = kind({ count, cut: count + spare });
        const cost = costOf(own, 60, { hourly: 20, overhead }, breakage);
        const whole = Math.min(count, (count + spare) * (1 - breakage));
        expect((cost.total ?? 0) * whole).toBeCloseTo((4.4 + 6 + 20) * (1 + overhead), 6);
        // a price as high as the cost leaves what an hour is worth
        expect(leftByTheHour(cost.total ?? 0, cost, overhead)).toBeCloseTo(20, 6);
      }),
    );
  });
  test('the more breaks the more it costs, and the less a price leaves', () => {
    fc.assert(
      fc.property(share, share, (a, b) => {
        const [less, more] = [Math.min(a, b), Math.max(a, b)].map((rate) => costOf(kind(), 90, RATES, rate));
        expect(more?.total ?? 0).toBeGreaterThanOrEqual((less?.total ?? 0) - 1e-9);
        expect(leftByTheHour(5, more!, 0.1) ?? 0).toBeLessThanOrEqual((leftByTheHour(5, less!, 0.1) ?? 0) + 1e-9);
      }),
    );
  });
  test('what is not known stays unknown', () => {
    const cost = costOf(kind({ clay: null }), 60, RATES, 0.3);
    expect([cost.clay, cost.losses, cost.overhead, cost.total]).toEqual([null, null, null, null]);
    expect(leftByTheHour(5, cost, 0.1)).toBeNull();
    expect(costOf(kind(), 60, { hourly: null, overhead: 0 }, 0.3).total).toBeNull();
  });
});
