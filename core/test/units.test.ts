import fc from 'fast-check';
import {
  Fraction,
  attempt,
  readLength,
  readMass,
  readMinutes,
  readNumber,
  readSize,
  readTemperature,
  showLength,
  showMass,
  showMinutes,
  showNumber,
  showTemperature,
  type UnitSystem,
} from '#core/units';
import { readDateCode, ageInMonths, showAge } from '#core/clay';
import { parts } from './arbitraries.js';
import { refusal } from './refused.js';

describe('numbers as people write them', () => {
  test('what is shown is read back exactly', () => {
    fc.assert(fc.property(parts, (p) => readNumber(showNumber(p)).equals(p)));
  });

  test.each([
    ['3½', 3.5],
    ['½', 0.5],
    ['1/4', 0.25],
    ['1 1/2', 1.5],
    ['1,5', 1.5],
    ['.5', 0.5],
    ['12', 12],
    ['2 ¾', 2.75],
  ])('%s', (text, value) => {
    expect(readNumber(text).valueOf()).toBe(value);
  });

  test.each(['', '-1', 'NaN', 'Infinity', '1/0', '1e9', '1.2.3', 'two', '--', '9'.repeat(40)])(
    '%p is refused',
    (text) => {
      expect(refusal(() => readNumber(text))).toBe('parts/unreadable');
    },
  );

  test('a part of a mix stays exact where floats would not', () => {
    expect(readNumber('0.1').add(readNumber('0.2')).equals(new Fraction(3, 10))).toBe(true);
  });
});

describe('measures', () => {
  test.each([
    ['1.5 mm', 1.5],
    ['1/16 in', 1.5875],
    ['3½ in', 88.9],
    ['2 cm', 20],
    ['1/8″', 3.175],
    ['7', 7],
  ])('%s', (text, mm) => {
    expect(readLength(text, 'metric')).toBeCloseTo(mm, 9);
  });

  test('a bare number is in the units the person works in', () => {
    expect(readLength('1/8', 'imperial')).toBeCloseTo(3.175, 9);
    expect(readMass('½', 'imperial')).toBeCloseTo(14.1747, 3);
    expect(readTemperature('265', 'imperial')).toBeCloseTo(129.44, 2);
    expect(readTemperature('130 °C', 'imperial')).toBe(130);
  });

  test.each(['', '12 stone', 'mm', '-3 mm', '1.5.5 mm', '3 mm mm'])('%p is no length', (text) => {
    expect(['unit/unreadable', 'unit/empty']).toContain(refusal(() => readLength(text, 'metric')));
  });

  test('shown and read again, a measure is the same to what is shown of it, in both systems', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 400, noNaN: true }),
        fc.constantFrom('metric' as const, 'imperial' as const),
        (x, system) => {
          expect(Math.abs(readLength(showLength(x, system), system) - x)).toBeLessThanOrEqual(0.13);
          expect(Math.abs(readMass(showMass(x, system), system) - x)).toBeLessThanOrEqual(0.15);
          expect(Math.abs(readTemperature(showTemperature(x, system), system) - x)).toBeLessThanOrEqual(0.51);
        },
      ),
    );
  });

  const amount = fc.oneof(
    fc.double({ min: 0.0005, max: 1, noNaN: true }),
    fc.double({ min: 1, max: 50_000, noNaN: true }),
    fc.integer({ min: 1, max: 9_999_999 }).map((n) => n / 1000),
  );
  interface Quantity {
    readonly show: (x: number, units: UnitSystem) => string;
    readonly read: (text: string, units: UnitSystem) => number;
  }
  const QUANTITIES: Readonly<Record<'length' | 'fine' | 'mass', Quantity>> = {
    length: { show: (x, units) => showLength(x, units), read: readLength },
    fine: { show: (x, units) => showLength(x, units, true), read: readLength },
    mass: { show: showMass, read: readMass },
  };

  test(
    'what is shown can be typed back and means the same, with either decimal mark, for every quantity in ' +
      'both systems',
    () => {
      const system = fc.constantFrom('metric' as const, 'imperial' as const);
      const quantity = fc.constantFrom('length' as const, 'fine' as const, 'mass' as const);
      fc.assert(
        fc.property(amount, system, quantity, (x, units, which) => {
          const { show, read } = QUANTITIES[which];
          const shown = show(x, units);
          const back = read(shown, units);
          expect(show(back, units)).toBe(shown);
          // of a weight two figures are kept at least, of a length one; of a large one half of the last place is
          // lost at most
          const most =
            which === 'mass' ? Math.max(0.051 * x, x >= 1000 ? 0.5 : 0) : Math.max(0.051 * x, Math.min(0.51 * x, 0.13));
          expect(Math.abs(back - x)).toBeLessThanOrEqual(most);
          const withComma = shown.replace('.', ',');
          const again = attempt(
            () => read(withComma, units),
            (wrong) => wrong.code,
          );
          expect([back, 'number/ambiguous']).toContain(again);
        }),
        { numRuns: 2000 },
      );
    },
  );

  test.each([
    ['12,5 g', 12.5],
    ['12.5 g', 12.5],
    ['1 173 g', 1173],
    ['1\u202f173 g', 1173],
    ["1'173 g", 1173],
    ['1173 g', 1173],
    ['1,173.5 g', 1173.5],
    ['1.173,5 g', 1173.5],
    ['1,173,000 g', 1_173_000],
    ['0,125 g', 0.125],
    ['1.173 g', 1.173],
    ['1,25 kg', 1250],
    ['1 173,5 g', 1173.5],
  ])('%s', (text, grams) => {
    expect(readMass(text, 'metric')).toBeCloseTo(grams, 9);
  });

  test('a number with two meanings is asked about, not taken for one of them', () => {
    expect(refusal(() => readMass('1,173 g', 'metric'))).toBe('number/ambiguous');
    expect(() => readLength('2,125 in', 'imperial')).toThrow('“2,125” could be 2.125 or 2125. Which is it?');
  });

  test.each([
    [0.04, 'metric', '0.04 g'],
    [0.1, 'imperial', '0.0035 oz'],
    [0.14, 'metric', '0.14 g'],
    [1173, 'metric', '1173 g'],
    [999.96, 'metric', '1000 g'],
    [14.25, 'metric', '14.3 g'],
    [0, 'metric', '0 g'],
    [14.1747, 'imperial', '0.50 oz'],
    [100, 'metric', '100 g'],
  ] as const)('%s g is shown as it is weighed (%s)', (grams, units, text) => {
    expect(showMass(grams, units)).toBe(text);
  });
  test.each([
    [0.04, 'metric', '0.04 mm'],
    [0.5, 'imperial', '0.02 in'],
    [18, 'metric', '18 mm'],
    [100, 'metric', '100 mm'],
    [1.52, 'metric', '1.5 mm'],
  ] as const)('%s mm (%s)', (mm, units, text) => {
    expect(showLength(mm, units)).toBe(text);
  });

  test('a size is round or two sides, with the unit on the last', () => {
    expect(readSize('18 mm', 'metric')).toEqual({ width: 18, height: null });
    expect(readSize('12 × 30', 'metric')).toEqual({ width: 12, height: 30 });
    expect(readSize('1 x 2 in', 'metric')).toEqual({ width: 25.4, height: 50.8 });
    expect(readSize('1 in x 20 mm', 'metric')).toEqual({ width: 25.4, height: 20 });
    expect(refusal(() => readSize('1 × 2 × 3', 'metric'))).toBe('unit/unreadable');
  });
});

describe('date codes', () => {
  const TODAY = '2026-11-24';

  test.each([
    ['2024-09-15', '2024-09-15'],
    ['15.09.2024', '2024-09-15'],
    ['2024-09', '2024-09-01'],
    ['09/2024', '2024-09-01'],
    ['240915', '2024-09-15'],
    ['20240915', '2024-09-15'],
    ['24W37', '2024-09-09'],
    ['2024-W01', '2024-01-01'],
    ['24-259', '2024-09-15'],
    ['2437', '2024-09-09'],
  ])('%s', (code, date) => {
    expect(readDateCode(code, TODAY)).toBe(date);
  });

  test('four digits that could be month or week are asked about', () => {
    expect(refusal(() => readDateCode('2409', TODAY))).toBe('date/ambiguous');
    expect(() => readDateCode('2409', TODAY)).toThrow(/September 2024 or week 9 of 2024/);
  });

  test.each(['', 'B7', '2024-13', '31.02.2024', '24W60', '24-999'])('%p is refused', (code) => {
    expect(refusal(() => readDateCode(code, TODAY))).toBe('date/unreadable');
  });

  test('what is still to come is no day on which it was made', () => {
    expect(readDateCode('2026-11', TODAY)).toBe('2026-11-01');
    expect(readDateCode('24.11.2026', TODAY)).toBe(TODAY);
    expect(refusal(() => readDateCode('25.11.2026', TODAY))).toBe('date/ahead');
    expect(() => readDateCode('2031-05', TODAY)).toThrow(/“2031-05” is May 2031, which is still to come/);
  });

  test('age counts whole months', () => {
    expect(ageInMonths('2021-09-01', '2026-11-24')).toBe(62);
    expect([0, 1, 19, 24, 62, 125].map(showAge)).toEqual([
      'new',
      '1 month',
      '19 months',
      '2 years',
      '5 years 2 months',
      '10 years',
    ]);
    expect(ageInMonths('2026-11-25', '2026-11-24')).toBe(0);
  });
});

describe('times', () => {
  test('what is shown is read back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (minutes) => {
        expect(readMinutes(showMinutes(minutes))).toBeCloseTo(minutes, 6);
      }),
    );
  });

  test.each<[string, 'min' | 'h', number]>([
    ['40', 'min', 40],
    ['2', 'h', 120],
    ['1½', 'h', 90],
    ['30 min', 'h', 30],
    ['2 hours', 'min', 120],
    ['an hour and a half', 'min', 90],
    ['1 h 30 min', 'h', 90],
    ['a day', 'h', 1440],
  ])('%s in a field for %s is %d minutes', (text, bare, minutes) => {
    expect(readMinutes(text, bare)).toBeCloseTo(minutes, 6);
  });

  test.each(['soon', '', '1 min 2 h', '5 mm'])('“%s” is no time', (text) => {
    expect(() => readMinutes(text)).toThrow(/time|Nothing is written/);
  });
});
