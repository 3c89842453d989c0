import fc from 'fast-check';
import { forward } from '#core/blend';
import { readAmount } from '#core/clay';

const grams = fc.double({ min: 0.5, max: 200, noNaN: true });

test('the scarcest runs out, and nothing is taken that is not there', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(grams, grams), { minLength: 1, maxLength: 6 }), (pairs) => {
      const [needs, has] = [pairs.map((p) => p[0]), pairs.map((p) => p[1])];
      const made = forward(needs, has);
      if (!made) throw new Error('nothing');
      expect(made.left[made.runsOut]).toBeCloseTo(0, 9);
      needs.forEach((need, i) => {
        expect(need * made.scale + (made.left[i] ?? 0)).toBeCloseTo(has[i] ?? 0, 6);
      });
    }),
  );
});

test('what is not needed decides nothing', () => {
  expect(forward([0, 10], [0, 25])).toEqual({ scale: 2.5, runsOut: 1, left: [0, 0] });
  expect(forward([0, 0], [5, 5])).toBeNull();
});

test.each([
  ['14 g', 14],
  ['14 g of each', 14],
  ['half a block', 28.5],
  ['½ block of each', 28.5],
  ['a quarter of a block', 14.25],
  ['quarter block', 14.25],
  ['a block', 57],
  ['1½ blocks', 85.5],
  ['2 blocks each', 114],
])('%s', (text, wanted) => {
  expect(readAmount(text, 'metric', 57)).toBeCloseTo(wanted, 9);
});
test.each(['', 'some blocks', 'a lot'])('%s is none', (text) => {
  expect(() => readAmount(text, 'metric', 57)).toThrow();
});
