import fc from 'fast-check';
import { cutterArea, cutterBox, cutterOfSize, mostOn, sheetLeft } from '#core/cutter';
import {
  fadeOf,
  fadeWithEnd,
  fanFold,
  faceArea,
  layoutOf,
  lengthened,
  marry,
  rollUp,
  stacked,
  stripsOf,
  tapeOf,
} from '#core/blend';
import { labOf, mixPigments, pigmentOf } from '#core/colour';
import {
  ASSUMED_CARD,
  dialLabels,
  gaugedByCards,
  gaugedByDisc,
  gaugedBySheet,
  gaugedByStack,
  thicknesses,
  translate,
  wearOf,
  type Machine,
  type Reading,
} from '#core/sheet';
import { Complaint } from '#core/units';

const refusal = (work: () => unknown): string => {
  try {
    work();
  } catch (error) {
    if (error instanceof Complaint) return error.message;
    throw error;
  }
  throw new Error('nothing was refused');
};
const mm = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const reading = (settingId: string, value: number, more: Partial<Reading> = {}): Reading => ({
  id: `${settingId} ${value}`,
  settingId,
  mm: value,
  sigmaMm: 0.03,
  way: 'calipers',
  ...more,
});
const machine = (readings: readonly Reading[], count = 10): Machine => ({
  id: 'm',
  name: 'Bench roller',
  rollerWidthMm: 145,
  settings: dialLabels('0', String(count - 1), '1').map((label) => ({ id: label, label })),
  readings,
});

describe('readings as they are taken', () => {
  test('a weighed disc gives the thickness it was cut from, and a stack the mean of its layers', () => {
    fc.assert(
      fc.property(mm(0.3, 6), mm(8, 60), mm(1.2, 2.4), fc.integer({ min: 1, max: 12 }), (t, d, density, n) => {
        const mass = (density * t * Math.PI * d * d) / 4000;
        expect(gaugedByDisc(mass, d, density, true).mm).toBeCloseTo(t, 9);
        expect(gaugedByDisc(mass, d, density, false).sigmaMm).toBeGreaterThan(
          gaugedByDisc(mass, d, density, true).sigmaMm,
        );
        expect(gaugedByStack(n, n * t).mm).toBeCloseTo(t, 9);
        expect(gaugedByStack(n, n * t).sigmaMm).toBeLessThanOrEqual(gaugedByStack(1, t).sigmaMm);
      }),
    );
  });

  test('a weighed sheet is mass over area and density, and surer the larger it is', () => {
    fc.assert(
      fc.property(mm(0.3, 4), mm(20, 140), mm(40, 400), mm(1.2, 2.4), (t, width, length, density) => {
        const sheet = { width, length, density, densityMeasured: true };
        const whole = gaugedBySheet({ ...sheet, mass: (t * width * length * density) / 1000 });
        expect(whole.mm).toBeCloseTo(t, 9);
        const half = gaugedBySheet({ ...sheet, length: length / 2, mass: (t * width * length * density) / 2000 });
        expect(half.mm).toBeCloseTo(t, 9);
        expect(half.sigmaMm).toBeGreaterThan(whole.sigmaMm);
      }),
    );
    const rolled = { mass: 30, width: 60, length: 200, density: 1.9, densityMeasured: false };
    expect(gaugedBySheet(rolled).mm).toBeCloseTo(30_000 / (1.9 * 12_000), 9);
    expect(() => gaugedBySheet({ ...rolled, mass: 0 })).toThrow();
  });

  test('cards are as sure as the card is', () => {
    expect(gaugedByCards(5, null).mm).toBeCloseTo(5 * ASSUMED_CARD, 9);
    expect(gaugedByCards(5, 0.32)).toMatchObject({ mm: 1.6 });
    expect(gaugedByCards(10, 0.32).sigmaMm).toBeLessThan(gaugedByCards(10, null).sigmaMm);
    expect(refusal(() => gaugedByCards(2.5, null))).toContain('The number of cards');
    expect(refusal(() => gaugedByStack(0, 4))).toContain('The number of layers');
    expect(refusal(() => gaugedByStack(4, 0))).toContain('The stack has to be more than zero');
  });
});

describe('wear', () => {
  test('is found where it is, and every reading is carried to the newest day', () => {
    fc.assert(
      fc.property(mm(-0.06, 0.06), mm(1, 3), (perYear, first) => {
        fc.pre(Math.abs(perYear) > 0.02);
        const years = 2;
        const then = (value: number): number => value * Math.exp(-perYear * years);
        const m = machine([
          ...['1', '3', '5'].flatMap((s, i) => [
            reading(s, first * 0.7 ** i, { takenOn: '2026-06-01', sigmaMm: 0.005 }),
            reading(s, then(first * 0.7 ** i), { id: `old${s}`, takenOn: '2024-06-01', sigmaMm: 0.005 }),
          ]),
        ]);
        const wear = wearOf(m);
        expect(wear?.perYear).toBeCloseTo(perYear, 3);
        expect(wear).toMatchObject({ sure: true, from: '2024-06-01', to: '2026-06-01' });
        expect(thicknesses(m)[1]?.mm).toBeCloseTo(first, 3);
      }),
    );
  });

  test('is not made out of noise, of one reading, or of readings of one day', () => {
    expect(
      wearOf(machine([reading('1', 2, { takenOn: '2026-06-01' }), reading('3', 1.5, { takenOn: '2024-06-01' })])),
    ).toBeNull();
    expect(wearOf(machine([reading('1', 2), reading('1', 2.2)]))).toBeNull();
    expect(
      wearOf(machine([reading('1', 2, { takenOn: '2026-06-01' }), reading('1', 2.2, { takenOn: '2026-06-20' })])),
    ).toBeNull();
    expect(
      wearOf(machine([reading('1', 2, { takenOn: '2026-06-01' }), reading('1', 2.01, { takenOn: '2024-06-01' })])),
    ).toMatchObject({ sure: false });
  });
});

test('to another machine and back is within the stated error', () => {
  const dial = fc
    .record({ widest: mm(2.2, 3.6), ratio: mm(0.72, 0.9), count: fc.integer({ min: 6, max: 12 }) })
    .map(({ widest, ratio, count }) =>
      machine(
        Array.from({ length: count }, (_, i) => reading(String(i), widest * ratio ** i)),
        count,
      ),
    );
  fc.assert(
    fc.property(dial, dial, fc.nat(11), (one, other, pick) => {
      const asked = thicknesses(one)[pick % one.settings.length];
      if (!asked) throw new Error('no setting');
      const there = translate(asked, other);
      const back = translate(
        { mm: there.setting.mm * there.layers, sigmaMm: there.setting.sigmaMm * there.layers },
        one,
      );
      const off = back.setting.mm * back.layers - asked.mm;
      expect(off).toBeCloseTo(there.errorMm + back.errorMm, 9);
      expect(Math.abs(back.errorMm)).toBeLessThanOrEqual(Math.abs(there.errorMm) + 1e-9);
      expect(Math.abs(off)).toBeLessThanOrEqual(2 * Math.abs(there.errorMm) + 1e-9);
    }),
  );
});

describe('what is left of a sheet', () => {
  const cut = fc
    .record({ width: mm(6, 40), height: fc.option(mm(6, 40)), count: fc.integer({ min: 1, max: 8 }), bridge: mm(0, 3) })
    .map(({ width, height, count, bridge }) => ({ cutter: cutterOfSize(width, height), count, bridge }));

  test('pieces, scrap and the rest are the whole sheet; what fits can be cut, and one more cannot', () => {
    fc.assert(
      fc.property(fc.array(cut, { maxLength: 3 }), (cuts) => {
        const sheet = { widthMm: 145, lengthMm: 900 };
        const left = sheetLeft(sheet, cuts);
        expect(left.pieces + left.scrap + left.length * sheet.widthMm).toBeCloseTo(sheet.widthMm * sheet.lengthMm, 6);
        expect(left.pieces).toBeCloseTo(
          cuts.reduce((sum, c) => sum + c.count * cutterArea(c.cutter), 0),
          6,
        );
        expect(left.scrap).toBeGreaterThan(-1e-6);
        for (const band of left.bands) {
          expect(band.layout.perSheet).toBe(band.count);
          expect(band.from + band.layout.length).toBeLessThanOrEqual(sheet.lengthMm + 1e-6);
        }
        const [first] = cuts;
        if (!first) return;
        const fits = mostOn(first.cutter, { width: sheet.widthMm, length: left.length, bridge: first.bridge });
        if (fits > 0 && fits < 4000)
          expect(sheetLeft(sheet, [...cuts, { ...first, count: fits }]).length).toBeGreaterThanOrEqual(0);
        expect(refusal(() => sheetLeft(sheet, [...cuts, { ...first, count: fits + 1 }]))).toContain(`; ${fits} do.`);
      }),
      { numRuns: 60 },
    );
  });

  test('a piece larger than the sheet does not fit on it', () => {
    expect(
      refusal(() =>
        sheetLeft({ widthMm: 50, lengthMm: 60 }, [{ cutter: cutterOfSize(70, null), count: 1, bridge: 2 }]),
      ),
    ).toContain('0 do');
    expect(cutterBox(cutterOfSize(70, null)).width).toBe(70);
  });
});

describe('what else becomes of a blend', () => {
  const tape = fc
    .record({ width: mm(40, 200), height: mm(20, 90), thickness: mm(1, 6), to: mm(10, 60), at: mm(0.3, 2) })
    .map(({ to, at, ...blend }) => ({ blend, tape: tapeOf(blend, to, at) }));

  test('colour added and tapes laid on each other keep all volume in the plug', () => {
    fc.assert(
      fc.property(
        tape,
        mm(0, 300),
        fc.integer({ min: 1, max: 12 }),
        mm(5, 40),
        ({ blend, tape: t }, more, count, depth) => {
          const wound = stacked(lengthened(t, { at: 'last', length: more }), count);
          const volume = count * (blend.width * blend.height * blend.thickness + more * t.width * t.thickness);
          for (const plug of [rollUp(wound, 'first'), fanFold(wound, depth)])
            expect(Math.abs((faceArea(plug) * plug.height) / volume - 1)).toBeLessThan(1e-9);
        },
      ),
    );
    expect(refusal(() => stacked({ width: 1, length: 1, thickness: 1 }, 0))).toContain('From one to 12 tapes');
  });

  const two = [pigmentOf('7B1E4B', 1), pigmentOf('F1EEE4', 1)];
  test('the added colour lies at its end', () => {
    const fade = fadeOf(layoutOf('pure ends', 2, 100, 50, 10), two);
    const t = tapeOf({ width: 100, height: 50, thickness: 4 }, 30, 0.6);
    const longer = fadeWithEnd(fade, t, { at: 'first', length: t.length });
    expect(longer).toHaveLength(2 * fade.labs.length);
    expect(longer.slice(0, fade.labs.length)).toEqual(fade.labs.map(() => fade.labs[0]));
    expect(fadeWithEnd(fade, t, null)).toBe(fade.labs);
  });

  test('strips differ to the eye, are makeable in quarter discs, or there are fewer', () => {
    const hex = fc
      .tuple(fc.integer({ min: 20, max: 240 }), fc.integer({ min: 20, max: 240 }), fc.integer({ min: 20, max: 240 }))
      .map((c) =>
        c
          .map((v) => v.toString(16).padStart(2, '0'))
          .join('')
          .toUpperCase(),
      );
    fc.assert(
      fc.property(
        hex,
        hex,
        fc.double({ min: 0.3, max: 8, noNaN: true }),
        fc.integer({ min: 3, max: 15 }),
        (one, other, strong, count) => {
          const made = stripsOf(
            layoutOf('pure ends', 2, 140, 60, 14),
            [pigmentOf(one, strong), pigmentOf(other, 1)],
            count,
          );
          expect(made.length).toBeLessThanOrEqual(count);
          made.forEach((s, i) => {
            expect(s.quarters.every((q) => Number.isInteger(q) && q >= 0)).toBe(true);
            if (i > 0 && made.length > 2) expect(s.step).toBeGreaterThanOrEqual(1.5);
          });
        },
      ),
      { numRuns: 40 },
    );
  });

  test('strips begin and end pure, and are what their discs say', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 15 }), fc.constantFrom(0.05, 0.1, 0.2), (count, strength) => {
        const list = [pigmentOf('7B1E4B', strength), pigmentOf('F1EEE4', 1)];
        const strips = stripsOf(layoutOf('pure ends', 2, 120, 60, 10), list, count);
        // of a strong colour not every strip can be made: there are a few fewer
        expect(strips.length).toBeGreaterThanOrEqual(Math.ceil(0.7 * count));
        expect(strips[0]?.quarters).toEqual([4, 0]);
        expect(strips.at(-1)?.quarters).toEqual([0, 4]);
        const way = strips.reduce((sum, s) => sum + s.step, 0);
        for (const s of strips.slice(1)) {
          expect(s.lab).toEqual(labOf(mixPigments(list, s.quarters)));
          expect(s.step).toBeLessThan((2.2 * way) / (count - 1) + 2);
        }
      }),
      { numRuns: 25 },
    );
    expect(refusal(() => stripsOf(layoutOf('corner', 2, 100, 50, 0), two, 2))).toContain('from 3 to 15 steps');
  });

  test('two blends married are one that can be cut, each half as it was', () => {
    const one = layoutOf('pure ends', 2, 100, 50, 12);
    const other = layoutOf('pure ends', 3, 140, 70, 16);
    const made = marry(one, other, false, 10);
    expect([made.width, made.height, made.cuts.length]).toEqual([240, 50, 4]);
    expect(made.cuts[0]).toEqual(one.cuts[0]);
    expect(marry(one, other, true, 0).cuts).toHaveLength(3);
    expect(refusal(() => marry(one, other, false, 40))).toContain('within the pure ends');
    expect(refusal(() => marry(layoutOf('corner', 4, 100, 50, 0), other, false, 0))).toContain('from 2 to 6 colours');
  });
});
