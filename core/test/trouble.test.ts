import fc from 'fast-check';
import { CASES, WANTED, rightAmong } from '../bench/troubles.js';
import { CAUSES, NOTHING_KNOWN, SYMPTOMS, causesFor, type Cause, type Symptom, type TroubleFacts } from '#core/trouble';

const causes = (symptom: Symptom): readonly Cause[] => CAUSES[symptom];

test('of forty cases of ours the right cause is among the first two in nine of ten', () => {
  expect(CASES.length).toBeGreaterThanOrEqual(40);
  expect(rightAmong(2, true)).toBeGreaterThanOrEqual(WANTED);
  // and nothing but how often a cause is would not do
  expect(rightAmong(1, true)).toBeGreaterThan(1.5 * rightAmong(1, false));
});

const fact = fc.option(fc.double({ min: 0, max: 200, noNaN: true }), { nil: null });
const facts = fc.record(
  Object.fromEntries(Object.keys(NOTHING_KNOWN).map((key) => [key, fact])),
) as unknown as fc.Arbitrary<TroubleFacts>;

test('whatever is known, all causes are weighed, the likeliest first, and what speaks for one is said in words', () => {
  fc.assert(
    fc.property(fc.constantFrom(...SYMPTOMS), facts, (symptom, known) => {
      const fitting = causesFor(symptom, known);
      expect(fitting.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
      expect(fitting.map(({ share }) => share)).toEqual([...fitting.map(({ share }) => share)].sort((a, b) => b - a));
      for (const { because } of fitting) for (const words of because) expect(words).toMatch(/^[a-z\d].*[^.]$/);
    }),
  );
});

test('what speaks for a cause makes it likelier, and what is not known changes nothing', () => {
  const shareOf = (known: Partial<TroubleFacts>): number =>
    causesFor('scorched', { ...NOTHING_KNOWN, ...known }).find((f) => f.cause.id === 'too hot')?.share ?? NaN;
  expect(shareOf({ hottestC: 170, highC: 135, maxC: 150 })).toBeGreaterThan(shareOf({}));
  expect(shareOf({ hottestC: 120, highC: 135, maxC: 150 })).toBeLessThan(shareOf({}));
  expect(shareOf({ months: 4 })).toBe(shareOf({}));
});

test('every symptom has causes with what changes next time, none twice', () => {
  for (const symptom of SYMPTOMS) {
    const own = causes(symptom);
    expect(own.length).toBeGreaterThanOrEqual(2);
    expect(new Set(own.map((c) => c.id)).size).toBe(own.length);
    for (const { what, next, prior } of own) {
      expect([what.endsWith('.'), next.endsWith('.')]).toEqual([true, true]);
      expect(prior).toBeGreaterThan(0);
    }
  }
});
