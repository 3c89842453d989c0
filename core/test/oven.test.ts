import { ROOM, dialFor, fitOven, hottest, minutesTo, runsOff, steadyAt, trueAt, type OvenReading } from '#core/oven';
import { normalFrom, seeded } from '#core/units';

/** An oven as nobody knows it: it warms in two stages, swings about its steady value, and sags a little. */
interface Hidden {
  readonly offset: number;
  readonly slope: number;
  readonly tau: number;
  readonly over: number;
}

function hidden(seed: number): Hidden {
  const chance = seeded(seed);
  const between = (low: number, high: number): number => low + (high - low) * chance();
  return { offset: between(-18, 18), slope: between(0.9, 1.1), tau: between(5, 12), over: between(0, 10) };
}

/** Minute by minute, in small steps: the element warms the air, and a slow switch lets it run on. */
function trueIn({ offset, slope, tau, over }: Hidden, dial: number, minutes: number): number {
  const steady = offset + slope * dial;
  const t = minutes / tau;
  return steady - (steady - ROOM) * Math.exp(-t) * (1 + 0.15 * t) + over * Math.exp(-(((t - 3.2) / 1.1) ** 2));
}

/** Five readings as a maker takes them: two dials, early and late. */
function readingsOf(oven: Hidden, seed: number): OvenReading[] {
  const normal = normalFrom(seeded(seed + 999));
  const taken: readonly (readonly [number, number])[] = [
    ...([
      [110, 25],
      [110, 60],
    ] as const),
    ...([
      [130, 20],
      [130, 45],
      [150, 60],
    ] as const),
  ];
  return taken.map(([dial, minutes]) => ({ dial, minutes, celsius: trueIn(oven, dial, minutes) + normal() }));
}

const middle = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1] ?? 0;

describe('an oven by its readings', () => {
  test('without readings it is what is assumed, and that is said to be unsure', () => {
    const oven = fitOven([]);
    expect([oven.offset, oven.slope, oven.tau, oven.readings]).toEqual([0, 1, 8, 0]);
    const { dial, off } = dialFor(oven, 130);
    expect(dial).toBeCloseTo(130, 6);
    // ± 15 at the offset, ± 0.1 for each degree of the dial
    expect(off).toBeCloseTo(Math.hypot(15, 0.1 * 130), 6);
  });

  test('warms from the room, never falls before its swing, and keeps what its dial says', () => {
    const oven = { offset: -7, slope: 1, tau: 8, swing: 6 };
    expect(trueAt(oven, 137, 0)).toBeCloseTo(ROOM, 6);
    expect(trueAt(oven, 137, null)).toBe(130);
    expect(trueAt(oven, 137, 200)).toBeCloseTo(130, 3);
    const top = hottest(oven, 137);
    expect(top.celsius).toBeGreaterThan(130);
    expect(top.celsius).toBeLessThan(136);
    const there = minutesTo(oven, 137, 125) ?? 0;
    expect(trueAt(oven, 137, there)).toBeGreaterThanOrEqual(125);
    expect(trueAt(oven, 137, there - 0.5)).toBeLessThan(125);
    expect(minutesTo(oven, 100, 125)).toBeNull();
    expect(runsOff(oven, 137)).toBeCloseTo(-7, 6);
  });

  test('readings that follow its own model are found again, and every one makes it surer', () => {
    const own = { offset: -9, slope: 1.05, tau: 10, swing: 4 };
    const many = Array.from({ length: 24 }, (_, i): OvenReading => {
      const [dial, minutes] = [100 + 10 * (i % 6), 4 + 6 * Math.floor(i / 6)];
      return { dial, minutes, celsius: trueAt(own, dial, minutes) };
    });
    const found = fitOven(many);
    for (const dial of [110, 130, 150]) expect(Math.abs(steadyAt(found, dial) - steadyAt(own, dial))).toBeLessThan(2);
    expect(Math.abs(found.tau - 10)).toBeLessThan(1.5);
    let before = Infinity;
    for (const n of [0, 1, 3, 8, 24]) {
      const { off } = dialFor(fitOven(many.slice(0, n)), 130);
      expect(off).toBeLessThan(before);
      before = off;
    }
  });

  test('from five readings the dial is within 2 °C in the median, and nearer than a straight offset', () => {
    const [by, straight]: [number[], number[]] = [[], []];
    for (let seed = 1; seed <= 200; seed++) {
      const oven = hidden(seed);
      const readings = readingsOf(oven, seed);
      const { dial } = dialFor(fitOven(readings), 130);
      by.push(Math.abs(oven.offset + oven.slope * dial - 130));
      const shift = readings.reduce((sum, r) => sum + r.celsius - r.dial, 0) / readings.length;
      straight.push(Math.abs(oven.offset + oven.slope * (130 - shift) - 130));
    }
    expect(middle(by)).toBeLessThan(2);
    expect(middle(by)).toBeLessThan(middle(straight));
  });

  test('what it says of its own error is neither boasting nor shy', () => {
    let within = 0;
    for (let seed = 1; seed <= 200; seed++) {
      const oven = hidden(seed);
      const { dial, off } = dialFor(fitOven(readingsOf(oven, seed)), 130);
      if (Math.abs(oven.offset + oven.slope * dial - 130) <= 2 * off) within++;
    }
    expect(within).toBeGreaterThan(160);
  });

  test('readings that cannot be of an oven leave one that can still be asked', () => {
    for (const celsius of [900, -40]) {
      const oven = fitOven([{ dial: 130, celsius, minutes: 20 }]);
      expect(oven.slope).toBeGreaterThanOrEqual(0.5);
      expect(oven.swing).toBeGreaterThanOrEqual(0);
      expect(Number.isFinite(dialFor(oven, 130).dial)).toBe(true);
    }
  });
});
