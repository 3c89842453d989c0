import fc from 'fast-check';
import {
  LAYOUTS,
  TURNINGS,
  areasOf,
  assumedKept,
  checkLayout,
  compensate,
  cutAt,
  faceArea,
  fadeOf,
  fanFold,
  finishedBlend,
  forecast,
  fractionsAt,
  gradedSet,
  keptFrom,
  layersToRoll,
  layoutOf,
  layoutsFor,
  otherHalves,
  outlinesOf,
  placeInPlug,
  pureStretches,
  radiusOf,
  rollUp,
  rowsIn,
  shadeBetween,
  streakContrast,
  tapeOf,
  turnSteps,
  turnedTo,
  unevenness,
  wronglyFolded,
  type Cut,
  type Layout,
  type LayoutKind,
} from '#core/blend';
import { deltaE, labOf, mixPigments, pigmentOf, type Lab, type Pigment } from '#core/colour';

const mm = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const usual: fc.Arbitrary<Layout> = fc
  .record({
    colours: fc.integer({ min: 2, max: 6 }),
    pick: fc.nat(9),
    width: mm(40, 300),
    height: mm(20, 120),
    pure: mm(0, 15),
  })
  .map(({ colours, pick, width, height, pure }) =>
    layoutOf(layoutsFor(colours)[pick % layoutsFor(colours).length] as LayoutKind, colours, width, height, pure),
  );
/** Cuts drawn freely: sorted at each height, so that they do not cross. */
const free: fc.Arbitrary<Layout> = fc
  .record({
    width: mm(40, 300),
    height: mm(20, 120),
    cuts: fc.integer({ min: 1, max: 5 }),
    rows: fc.array(fc.array(mm(0, 1), { minLength: 5, maxLength: 5 }), { minLength: 2, maxLength: 6 }),
    ys: fc.uniqueArray(
      fc.integer({ min: 1, max: 63 }).map((n) => n / 64),
      { minLength: 6, maxLength: 6 },
    ),
  })
  .map(({ width, height, cuts, rows, ys }) => {
    const heights = [0, ...ys.slice(0, rows.length - 2).sort((a, b) => a - b), 1].map((y) => y * height);
    const sorted = rows.map((row) => row.slice(0, cuts).sort((a, b) => a - b));
    return {
      width,
      height,
      cuts: Array.from({ length: cuts }, (_, c): Cut =>
        sorted.map((row, i) => ({ x: (row[c] ?? 0) * width, y: heights[i] ?? height })),
      ),
    };
  });
const layout = fc.oneof(usual, free);
const colour = fc.integer({ min: 0x181818, max: 0xe8e8e8 }).map((n) => n.toString(16).padStart(6, '0'));
const pigments = (n: number): fc.Arbitrary<Pigment[]> =>
  fc.array(
    fc.tuple(colour, fc.constantFrom(0.3, 1, 3)).map(([h, s]) => pigmentOf(h, s)),
    { minLength: n, maxLength: n },
  );
const withPigments = layout.chain((l) => pigments(l.cuts.length + 1).map((p) => ({ l, p })));

describe('the layout', () => {
  test('every layout can be cut, and its shares sum to 1 along it', () => {
    fc.assert(
      fc.property(layout, mm(0, 1), (l, at) => {
        checkLayout(l);
        const shares = fractionsAt(l, at * l.width);
        expect(shares).toHaveLength(l.cuts.length + 1);
        expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
        expect(shares.every((f) => f > -1e-9 && f < 1 + 1e-9)).toBe(true);
      }),
    );
  });

  test('no clay is lost: areas sum to the sheet, agree with the shares and with the outlines', () => {
    fc.assert(
      fc.property(layout, (l) => {
        const areas = areasOf(l);
        const whole = l.width * l.height;
        expect(Math.abs(areas.reduce((a, b) => a + b, 0) / whole - 1)).toBeLessThan(1e-9);
        const n = 4000;
        const summed = l.cuts.map(() => 0).concat(0);
        for (let i = 0; i < n; i++)
          fractionsAt(l, ((i + 0.5) / n) * l.width).forEach((f, k) => {
            summed[k] = (summed[k] ?? 0) + (f * whole) / n;
          });
        outlinesOf(l).forEach((outline, k) => {
          const shoelace =
            outline.reduce((sum, p, i) => {
              const q = outline[(i + 1) % outline.length] ?? p;
              return sum + p.x * q.y - q.x * p.y;
            }, 0) / 2;
          expect(Math.abs(Math.abs(shoelace) - (areas[k] ?? 0)) / whole).toBeLessThan(1e-9);
          expect(Math.abs((summed[k] ?? 0) - (areas[k] ?? 0)) / whole).toBeLessThan(2e-3);
        });
      }),
      { numRuns: 40 },
    );
  });

  test('corner to corner has no pure ends; with an offset they are as wide as asked for', () => {
    expect(pureStretches(layoutOf('corner', 2, 140, 60, 14))).toEqual([]);
    const ends = pureStretches(layoutOf('pure ends', 3, 140, 60, 14));
    expect(ends).toEqual([
      { from: 0, to: 14, colour: 0 },
      { from: 126, to: 140, colour: 2 },
    ]);
    expect(pureStretches(layoutOf('V', 3, 140, 60, 14)).map((s) => s.colour)).toEqual([0, 2]);
    expect(fractionsAt(layoutOf('V', 3, 140, 60, 14), 70)[1]).toBeCloseTo(1, 9);
    expect(fractionsAt(layoutOf('diamond', 3, 140, 60, 14), 70)[1]).toBeCloseTo(1, 9);
    expect(fractionsAt(layoutOf('pure ends', 3, 140, 60, 14), 70)).toEqual(
      [0, 1, 0].map((v) => expect.closeTo(v, 9) as number),
    );
    for (const kind of LAYOUTS) expect(cutAt(layoutOf(kind, 3, 140, 60, 10).cuts[0] as Cut, 0)).toBeLessThanOrEqual(70);
  });

  test.each<[string, () => unknown, RegExp]>([
    ['one colour', () => layoutOf('corner', 1, 100, 50, 0), /from 2 to 6 colours/],
    ['a diamond of four', () => layoutOf('diamond', 4, 100, 50, 0), /have three/],
    ['no width', () => layoutOf('corner', 2, 0, 50, 0), /above zero/],
    ['ends that meet', () => layoutOf('pure ends', 2, 100, 50, 50), /no room/],
    [
      'cuts that cross',
      () => {
        checkLayout({
          width: 100,
          height: 50,
          cuts: [
            [
              { x: 10, y: 0 },
              { x: 90, y: 50 },
            ],
            [
              { x: 50, y: 0 },
              { x: 50, y: 50 },
            ],
          ],
        });
      },
      /Cuts 1 and 2 cross/,
    ],
    [
      'a cut that runs back',
      () => {
        checkLayout({
          width: 100,
          height: 50,
          cuts: [
            [
              { x: 10, y: 0 },
              { x: 20, y: 30 },
              { x: 20, y: 20 },
              { x: 10, y: 50 },
            ],
          ],
        });
      },
      /never back down/,
    ],
    [
      'a cut that leaves the sheet',
      () => {
        checkLayout({
          width: 100,
          height: 50,
          cuts: [
            [
              { x: 10, y: 0 },
              { x: 120, y: 50 },
            ],
          ],
        });
      },
      /stay on the sheet/,
    ],
    [
      'a cut that ends in the middle',
      () => {
        checkLayout({
          width: 100,
          height: 50,
          cuts: [
            [
              { x: 10, y: 0 },
              { x: 20, y: 30 },
            ],
          ],
        });
      },
      /bottom edge to the top/,
    ],
    [
      'no cut',
      () => {
        checkLayout({ width: 100, height: 50, cuts: [] });
      },
      /from 2 to 6/,
    ],
  ])('%s is refused', (_, what, sentence) => {
    expect(what).toThrow(sentence);
  });
});

describe('the fade', () => {
  test('runs from what the left column is to what the right one is, and its way is where half of it is gone', () => {
    fc.assert(
      fc.property(withPigments, ({ l, p }) => {
        const fade = fadeOf(l, p);
        const at = (x: number) => labOf(mixPigments(p, fractionsAt(l, x)));
        expect(deltaE(fade.labs[0] ?? at(0), at(0))).toBeLessThan(1e-9);
        expect(deltaE(fade.labs.at(-1) ?? at(0), at(l.width))).toBeLessThan(1e-9);
        expect(fade.perceivedMiddle).toBeGreaterThanOrEqual(0);
        expect(fade.perceivedMiddle).toBeLessThanOrEqual(l.width);
        expect(unevenness(fade)).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 40 },
    );
  });

  test('two colours that are the same stay that colour', () => {
    const same = [pigmentOf('7B1E4B', 1), pigmentOf('7B1E4B', 1)];
    const fade = fadeOf(layoutOf('corner', 2, 100, 50, 0), same);
    expect([fade.way, unevenness(fade), fade.perceivedMiddle]).toEqual([
      expect.closeTo(0, 6),
      expect.closeTo(0, 6),
      expect.any(Number),
    ]);
    expect(compensate(layoutOf('corner', 2, 100, 50, 0), same, 0).gain).toBeLessThan(1);
  });

  test('one fold the wrong way and the ends are gone: both sides are the same mix', () => {
    const p = [pigmentOf('F1EEE4', 1), pigmentOf('7B1E4B', 1)];
    const l = layoutOf('corner', 2, 100, 50, 0);
    const ruined = wronglyFolded(l, p);
    expect(ruined.way).toBeLessThan(fadeOf(l, p).way / 20);
    expect(ruined.width).toBe(50);
  });

  test('the compensated cut can be made, keeps its pure ends, and evens out strong with weak', () => {
    const gains: number[] = [];
    fc.assert(
      fc.property(colour, colour, fc.constantFrom(3, 6, 10), mm(0, 12), (strong, weak, times, pure) => {
        const p = [pigmentOf(strong, times), pigmentOf(weak, 0.6)];
        fc.pre(streakContrast(p) > 15);
        const l = layoutOf('pure ends', 2, 140, 60, pure);
        const { layout: made, gain } = compensate(l, p, pure);
        checkLayout(made);
        expect(made.cuts[0]?.length).toBeLessThanOrEqual(5);
        expect(cutAt(made.cuts[0] as Cut, 0)).toBeCloseTo(pure, 6);
        expect(cutAt(made.cuts[0] as Cut, 60)).toBeCloseTo(140 - pure, 6);
        gains.push(gain);
      }),
      { numRuns: 25 },
    );
    expect(gains.sort((a, b) => a - b)[Math.floor(gains.length / 2)]).toBeGreaterThan(0.3);
  });

  test('of three colours each keeps its place in the row', () => {
    const p = ['4F7F45', 'F0CB55', 'D23B5E'].map((h, i) => pigmentOf(h, [1, 0.4, 2.5][i] ?? 1));
    const { layout: made, gain } = compensate(layoutOf('pure ends', 3, 140, 60, 10), p, 10);
    checkLayout(made);
    expect(gain).toBeGreaterThan(0.2);
    const middle = made.cuts[0]?.at(-1)?.x ?? 0;
    expect(fractionsAt(made, middle)[1]).toBeCloseTo(1, 6);
  });
});

describe('passes', () => {
  test('each pass leaves less, and the stop line is where it is just not seen', () => {
    fc.assert(
      fc.property(mm(1.1, 90), mm(0.4, 0.95), (contrast, kept) => {
        const { streaks, enough } = forecast(contrast, kept, 60);
        streaks.forEach((s, i) => {
          if (i > 0) expect(s).toBeLessThan(streaks[i - 1] ?? 0);
        });
        if (enough < 60) expect(streaks[enough - 1]).toBeLessThanOrEqual(1 + 1e-9);
        if (enough > 1) expect(streaks[enough - 2]).toBeGreaterThan(1 - 1e-9);
      }),
    );
    expect(forecast(50, assumedKept, 20).enough).toBe(15);
    expect(forecast(0.5, assumedKept, 3).enough).toBe(0);
    for (const shown of [0, 61, 1.5]) expect(() => forecast(50, assumedKept, shown)).toThrow('from 1 to 60');
  });

  test('one’s own blends move the forecast, and a single one not all the way', () => {
    expect(keptFrom([])).toBeCloseTo(assumedKept, 12);
    const quick = { contrast: 50, passes: 9 };
    const passesWith = (n: number): number => forecast(50, keptFrom(Array.from({ length: n }, () => quick)), 20).enough;
    expect([passesWith(0), passesWith(20)]).toEqual([15, 10]);
    expect(passesWith(1)).toBeGreaterThan(passesWith(5));
    expect(
      keptFrom([
        { contrast: 0.4, passes: 3 },
        { contrast: 50, passes: 0 },
      ]),
    ).toBeCloseTo(assumedKept, 12);
  });
});

describe('tape, plug and pieces', () => {
  const size = fc.record({ width: mm(40, 300), height: mm(20, 120), thickness: mm(1, 6) });

  test('volume is kept: blend, tape, plug either way', () => {
    fc.assert(
      fc.property(size, mm(10, 60), mm(0.3, 2), mm(5, 40), (blend, width, thickness, depth) => {
        const volume = blend.width * blend.height * blend.thickness;
        const tape = tapeOf(blend, width, thickness);
        expect(Math.abs((tape.width * tape.length * tape.thickness) / volume - 1)).toBeLessThan(1e-9);
        for (const plug of [rollUp(tape, 'first'), fanFold(tape, depth)])
          expect(Math.abs((faceArea(plug) * plug.height) / volume - 1)).toBeLessThan(1e-9);
      }),
    );
    expect(() => tapeOf({ width: 100, height: 50, thickness: 2 }, 0, 1)).toThrow(
      'The width of the tape has to be more than zero.',
    );
    expect(() => fanFold({ width: 30, length: 400, thickness: 0.5 }, 0)).toThrow('depth of the folds');
  });

  test('the area law: what is in the middle takes little', () => {
    const plug = rollUp({ width: 30, length: 1940, thickness: 0.55 }, 'first');
    expect(plug.diameter).toBeCloseTo(36.86, 2);
    fc.assert(
      fc.property(mm(0, 1), (share) => {
        expect(placeInPlug(plug, radiusOf(plug, share) / (plug.diameter / 2))).toBeCloseTo(share, 9);
        expect(placeInPlug({ ...plug, inside: 'last' }, share)).toBeCloseTo(1 - placeInPlug(plug, share), 9);
        expect(placeInPlug(fanFold({ width: 30, length: 400, thickness: 0.5 }, 20), share)).toBe(share);
      }),
    );
  });

  test('a graded set lies evenly on the fade, each piece with the mean of what is under it', () => {
    const fade = fadeOf(layoutOf('corner', 2, 140, 60, 0), [pigmentOf('F1EEE4', 1), pigmentOf('7B1E4B', 1)]);
    const set = gradedSet(fade, 6, 18, 2);
    expect(set.map((p) => p.x)).toEqual([11, 34.6, 58.2, 81.8, 105.4, 129].map((x) => expect.closeTo(x, 6) as number));
    expect(set.map((p) => p.lab.l)).toEqual(set.map((p) => p.lab.l).sort((a, b) => b - a));
    expect(deltaE(shadeBetween(fade, 0, 0), fade.labs[0] ?? set[0]!.lab)).toBe(0);
    expect(gradedSet(fade, 1, 22, 2)[0]?.x).toBe(70);
    expect(() => gradedSet(fade, 9, 18, 2)).toThrow('9 pieces do not fit side by side on this blend; 6 do.');
    expect(() => gradedSet(fade, 0, 18, 2)).toThrow(/whole number/);
    expect([rowsIn(60, 18, 2), rowsIn(10, 18, 2)]).toEqual([2, 0]);
  });
});

describe('turned to a tape', () => {
  const size = fc.double({ min: 5, max: 200, noNaN: true });
  const thin = fc.double({ min: 0.3, max: 6, noNaN: true });

  test('the finished blend is one sheet with all the clay of its layers', () => {
    fc.assert(
      fc.property(size, size, fc.integer({ min: 1, max: 8 }), thin, thin, (width, height, layers, mm, passMm) => {
        const made = finishedBlend({ width, height, layers, mm }, passMm);
        expect(made.width * made.length * made.mm).toBeCloseTo(width * height * layers * mm, 6);
        expect([made.width, made.mm]).toEqual([width, passMm]);
      }),
    );
  });

  test('it keeps its clay however it is turned, and its width follows from that', () => {
    fc.assert(
      fc.property(fc.constantFrom(...TURNINGS), size, thin, size, thin, (turning, length, mm, wanted, widest) => {
        const turned = turnedTo(turning, { length, mm }, wanted, widest);
        expect(turned.width * turned.mm).toBeCloseTo(length * mm, 6);
        expect(length / turned.width / turned.parts).toBeCloseTo(turning === 'rolled' ? length / turned.width : 1, 9);
        if (turning === 'rolled') expect(turned.mm).toBe(widest);
        // no other number of parts comes nearer to what was wanted, but by halves
        else expect(Math.abs(turned.parts - Math.max(1, length / wanted))).toBeLessThanOrEqual(0.5 + 1e-9);
      }),
    );
  });

  test('of an odd number of layers the other halves stay over', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), fc.double({ min: 1, max: 90, noNaN: true }), (layers, grams) => {
        expect(layersToRoll(layers) % 2).toBe(0);
        expect(grams + otherHalves(grams, layers)).toBeCloseTo((grams / layers) * layersToRoll(layers), 9);
      }),
    );
    expect([otherHalves(10, 1), otherHalves(10, 2)]).toEqual([10, 0]);
  });

  test('steps between turns grow with the thickness of the tape, and with the contrast', () => {
    const labs = (contrast: number): Lab[] =>
      Array.from({ length: 200 }, (_, i) => ({ l: 30 + (contrast * i) / 199, a: 0, b: 0 }));
    const step = (mm: number, contrast: number): number =>
      turnSteps(labs(contrast), rollUp({ width: 30, length: 1200 / mm, thickness: mm }, 'first'), mm).largest;
    expect(step(0.5, 40)).toBeLessThan(step(1, 40));
    expect(step(1, 10)).toBeLessThan(step(1, 40));
    // at the rim a turn lies 2τ/R of the fade beside the next
    const radius = Math.sqrt(1200 / Math.PI);
    const outer = (2 * 0.5) / radius;
    expect(step(0.5, 40)).toBeCloseTo(
      deltaE({ l: 70, a: 0, b: 0 }, { l: 70 - 40 * (outer - (0.5 / radius) ** 2), a: 0, b: 0 }),
      0,
    );
  });
});
