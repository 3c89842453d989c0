import fc from 'fast-check';
import { readLength } from '#core/units';
import { UNTOUCHED, leave, take } from '../src/parts/typed.js';

const read = (text: string): number => readLength(text, 'metric');
const mm = fc.integer({ min: 1, max: 4000 }).map((n) => n / 10);

test('what can be read is kept, and the field shows its value again', () => {
  fc.assert(
    fc.property(mm, (value) => {
      const left = take(`${value} mm`, read);
      expect(left.typed).toEqual(UNTOUCHED);
      expect(left.value?.of).toBeCloseTo(value, 9);
    }),
  );
});

test('what cannot be read stays as it was typed, with its sentence, and nothing is kept', () => {
  fc.assert(
    fc.property(fc.constantFrom('turnip', '3 turnips', '-', 'mm', '1/0 mm'), (text) => {
      const left = take(text, read);
      expect(left.value).toBeUndefined();
      expect(left.typed.text).toBe(text);
      expect(left.typed.wrong?.message).toMatch(/\S/);
    }),
  );
});

test('leaving a field that shows what it showed before changes nothing', () => {
  fc.assert(
    fc.property(mm, fc.boolean(), (value, same) => {
      const shown = `${value} mm`;
      const left = leave({ text: same ? shown : null, wrong: null }, shown, read);
      expect(left).toEqual({ typed: UNTOUCHED });
    }),
  );
});

test('leaving a field with something else in it reads that', () => {
  fc.assert(
    fc.property(mm, mm, (shown, typed) => {
      fc.pre(shown !== typed);
      const left = leave({ text: `${typed} mm`, wrong: null }, `${shown} mm`, read);
      expect(left.value?.of).toBeCloseTo(typed, 9);
    }),
  );
});

test('only complaints are sentences: a bug is thrown on', () => {
  const bug = (): number => {
    throw new TypeError('a bug');
  };
  expect(() => take('1', bug)).toThrow(TypeError);
});
