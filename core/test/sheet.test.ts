import fc from 'fast-check';
import {
  areaOfSheet,
  checkDial,
  contradictionSentence,
  contradictions,
  dialLabels,
  fallingFit,
  massOfSheet,
  monotoneCubic,
  readInstruction,
  thicknesses,
  type Reader,
  thicknessOfSheet,
  translate,
} from '#core/sheet';
import { bench, blue, machine } from './machines.js';
import { refusal } from './refused.js';

const readings = fc
  .uniqueArray(
    fc.tuple(fc.nat(9), fc.double({ min: 0.2, max: 4, noNaN: true }), fc.double({ min: 0.01, max: 0.3, noNaN: true })),
    { selector: ([at]) => at, maxLength: 10 },
  )
  .map((rows) =>
    machine(
      'M',
      dialLabels('0', '9', '1'),
      rows.map(([at, mm, sigma]) => [String(at), mm, sigma]),
    ),
  );

describe('dials', () => {
  test('run either way, from any start, with half clicks', () => {
    expect(dialLabels('7', '1', '1')).toEqual(['7', '6', '5', '4', '3', '2', '1']);
    expect(dialLabels('0', '2', '½')).toEqual(['0', '½', '1', '1½', '2']);
    expect(refusal(() => dialLabels('1', '1', '1'))).toBe('machine/settings');
    expect(refusal(() => dialLabels('0', '1', '0'))).toBe('machine/dial');
    expect(refusal(() => dialLabels('0', '5', '2'))).toBe('machine/dial');
    expect(refusal(() => dialLabels('0', '1000', '1'))).toBe('machine/dial');
    expect(
      refusal(() => {
        checkDial(['1', '2', '1']);
      }),
    ).toBe('machine/duplicate');
  });
});

describe('thicknesses', () => {
  test('never rise along the dial, whatever was read', () => {
    fc.assert(
      fc.property(readings, (m) => {
        const all = thicknesses(m);
        expect(all).toHaveLength(10);
        for (let i = 1; i < all.length; i++) expect(all[i]?.mm).toBeLessThanOrEqual((all[i - 1]?.mm ?? 0) + 1e-9);
        for (const s of all) {
          expect(s.mm).toBeGreaterThan(0);
          expect(s.sigmaMm).toBeGreaterThan(0);
        }
      }),
    );
  });

  test('keep readings that agree, and know what is measured, worked out and assumed', () => {
    const known = Object.fromEntries(thicknesses(bench).map((s) => [s.label, s]));
    expect(known['4']).toMatchObject({ mm: expect.closeTo(1.52, 9), knowledge: 'measured' });
    expect(known['5']?.knowledge).toBe('interpolated');
    expect(known['5']?.mm).toBeGreaterThan(0.94);
    expect(known['5']?.mm).toBeLessThan(1.52);
    expect(thicknesses(blue).map((s) => s.knowledge)).toEqual([
      'measured',
      'interpolated',
      'interpolated',
      'measured',
      'assumed',
      'assumed',
      'assumed',
    ]);
    expect(thicknesses(machine('M', ['a', 'b'], [])).every((s) => s.knowledge === 'assumed')).toBe(true);
  });

  test('several readings of one setting are combined by their uncertainty', () => {
    const [first] = thicknesses(
      machine(
        'M',
        ['1', '2'],
        [
          ['1', 2, 0.1],
          ['1', 2.3, 0.2],
        ],
      ),
    );
    expect(first?.mm).toBeCloseTo(2.06, 9);
    expect(first?.sigmaMm).toBeCloseTo(0.0894, 3);
  });

  test('a reading that runs the wrong way is pointed at', () => {
    const m = machine('M', dialLabels('0', '4', '1'), [
      ['0', 3, 0.05],
      ['1', 2.4, 0.05],
      ['2', 2.6, 0.3],
      ['3', 1.4, 0.05],
    ]);
    const [only, ...more] = contradictions(m);
    expect(more).toHaveLength(0);
    expect(only?.thinner.label).toBe('2');
    expect(contradictionSentence(only as NonNullable<typeof only>, 'metric')).toBe(
      'Setting 2 reads 2.60 mm, thicker than 1 (2.40 mm) that stands before it on the dial. Measure 2 again.',
    );
    expect(contradictions(bench)).toHaveLength(0);
  });

  test('the falling fit is the nearest falling sequence', () => {
    expect(fallingFit([3, 1, 2], [1, 1, 1])).toEqual([3, 1.5, 1.5]);
    fc.assert(
      fc.property(fc.array(fc.double({ min: -5, max: 5, noNaN: true }), { minLength: 1, maxLength: 12 }), (values) => {
        const fit = fallingFit(
          values,
          values.map(() => 1),
        );
        fit.forEach((v, i) => {
          if (i > 0) expect(v).toBeLessThanOrEqual((fit[i - 1] ?? 0) + 1e-9);
        });
        expect(fit.reduce((a, b) => a + b, 0)).toBeCloseTo(
          values.reduce((a, b) => a + b, 0),
          6,
        );
      }),
    );
  });

  test('the cubic goes through its points and is monotone between them', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 2, maxLength: 8 }), (drops) => {
        const ys = drops.reduce<number[]>((list, d) => [...list, (list.at(-1) ?? 0) - d], []);
        const at = monotoneCubic(
          ys.map((_, i) => i),
          ys,
        );
        ys.forEach((y, i) => {
          expect(at(i)).toBeCloseTo(y, 9);
        });
        for (let x = 0; x < ys.length - 1; x += 0.1) expect(at(x + 0.1)).toBeLessThanOrEqual(at(x) + 1e-9);
      }),
    );
  });
});

describe('translating', () => {
  const reader: Reader = { machines: [bench, blue], own: bench, cardMm: 0.29, system: 'metric' };
  const wide = 3;
  const step = Math.log(0.45 / wide);
  const assumed = (at: number, of: number): number => wide * Math.exp((step * at) / (of - 1));
  test.each([
    ['1.5 mm', 1.5],
    ['1/16 in', 1.5875],
    ['setting 4 of Blue travel crank', 1.5],
    ['4 on the blue', 1.5],
    ['3 of my bench roller', 2.06],
    ['my 3', 2.06],
    ['my setting 3', 2.06],
    ['four layers of my 3', 8.24],
    ['2 sheets of 1.5 mm', 3],
    ['2 x 5 cards', 2.9],
    ['5 cards', 1.45],
    ['five playing cards thick', 1.45],
    ['third thickest', assumed(2, 9)],
    ['the thinnest of seven', assumed(6, 7)],
    ['2nd thinnest of ten', assumed(8, 10)],
    ['widest', 3.2],
    ['setting 3 on a machine where 0 is widest, ten settings', assumed(3, 10)],
    ['4 where 7 is widest', assumed(3, 7)],
    ['2 where 1 is the thinnest, eight settings', assumed(6, 8)],
  ])('%s', (text, mm) => {
    expect(readInstruction(text, reader).mm).toBeCloseTo(mm, 6);
  });

  test.each([
    ['9 of blue', 'setting/unknown'],
    ['3 of Green', 'machine/unknown'],
    ['thick', 'thickness/unreadable'],
    ['', 'unit/empty'],
    ['0 mm', 'amount/positive'],
    ['twelfth thickest of nine', 'instruction/rank'],
    ['10th thickest of nine', 'instruction/rank'],
    ['9 where 7 is widest', 'setting/unknown'],
    ['four layers of my 12', 'setting/unknown'],
    ['40 layers of 1 mm', 'unit/range'],
    ['four layers of', 'thickness/unreadable'],
    ['x where y is widest', 'thickness/unreadable'],
  ])('%p: %s', (text, code) => {
    expect(refusal(() => readInstruction(text, reader))).toBe(code);
  });

  test('says what rests on an assumption', () => {
    const of = (text: string, more: Partial<Reader> = {}): boolean =>
      readInstruction(text, { ...reader, ...more }).assumed;
    expect([of('5 cards'), of('5 cards', { cardMm: null }), of('third thickest'), of('my 3'), of('1/16 in')]).toEqual([
      false,
      true,
      true,
      false,
      false,
    ]);
    expect(readInstruction('5 cards', { ...reader, cardMm: null }).mm).toBeCloseTo(1.5, 9);
    expect(refusal(() => readInstruction('my 3', { ...reader, own: null }))).toBe('instruction/machine');
  });

  test('answers with the nearest setting, its error, and the neighbour on the other side', () => {
    const answer = translate(readInstruction('4 of blue', reader), bench);
    expect(answer.setting.label).toBe('4');
    expect(answer.errorMm).toBeCloseTo(0.02, 6);
    expect(answer.other?.label).toBe('5');
    expect(answer.sigmaMm).toBeGreaterThan(0.05);
  });

  test('a setting of one machine and back is the setting it came from, within the error that was stated', () => {
    fc.assert(
      fc.property(readings, fc.nat(9), (other, at) => {
        const own = thicknesses(bench)[at];
        if (!own) throw new Error('no setting');
        const there = translate(own, other);
        const back = translate({ mm: there.setting.mm * there.layers, sigmaMm: 0 }, bench);
        expect(Math.abs(back.setting.mm * back.layers - own.mm)).toBeLessThanOrEqual(
          Math.abs(there.errorMm) + Math.abs(back.errorMm) + 1e-9,
        );
      }),
    );
  });

  test('beyond the widest gap sheets are stacked', () => {
    const answer = translate({ mm: 6.4, sigmaMm: 0 }, bench);
    expect([answer.layers, answer.setting.label]).toEqual([2, '0']);
    expect(Math.abs(answer.errorMm)).toBeLessThan(0.01);
  });
});

test('weight, area and thickness of a sheet determine each other', () => {
  const positive = fc.double({ min: 0.01, max: 1e4, noNaN: true });
  fc.assert(
    fc.property(positive, positive, fc.double({ min: 1, max: 3, noNaN: true }), (area, mm, density) => {
      const mass = massOfSheet(area, mm, density);
      expect(areaOfSheet(mass, mm, density) / area).toBeCloseTo(1, 9);
      expect(thicknessOfSheet(mass, area, density) / mm).toBeCloseTo(1, 9);
    }),
  );
  for (const wrong of [0, -1, NaN, Infinity]) expect(refusal(() => massOfSheet(wrong, 1, 1.9))).toBe('amount/positive');
});
