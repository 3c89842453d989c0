import fc from 'fast-check';
import { FORMS, WAYS, waysFor } from '#core/pattern';
import { readPiece } from '#core/piece';
import { readFormPlan, takenFor, writeFormPlan } from '../src/stations/patterns/formed/formPlan.js';
import { formSize, handsFor, squeezedWords } from '../src/stations/patterns/formed/formWords.js';
import { coverOf, partFor } from '../src/stations/patterns/formed/OntoBatch.js';
import type { PatternToMake } from '../src/workers/patternPlain.js';

const plan = fc
  .record({
    kind: fc.constantFrom(...FORMS),
    width: fc.integer({ min: 2, max: 500 }),
    length: fc.integer({ min: 2, max: 500 }),
    way: fc.constantFrom(...WAYS),
  })
  .filter(({ kind, way }) => waysFor({ kind }).includes(way))
  .map(({ way, ...form }) => ({ form, way }));

test('a plan is the same when it is read from its address; nonsense there is as at the beginning', () => {
  fc.assert(
    fc.property(plan, (own) => {
      expect(readFormPlan(writeFormPlan(own))).toEqual(own);
    }),
  );
  const odd = readFormPlan(new URLSearchParams('form=cube&width=-3&length=nine&way=glue'));
  expect(odd).toEqual({ form: { kind: 'ball', width: 20, length: 28 }, way: 'strip' });
  // a strip does not go onto a dome
  expect(readFormPlan(new URLSearchParams('form=dome&way=strip')).way).toBe('disc');
});

test('sheet and core of a ball weigh what the ball does, to the middle of the wall', () => {
  fc.assert(
    fc.property(fc.integer({ min: 12, max: 60 }), fc.constantFrom(1.6, 2), (width, density) => {
      const takes = takenFor({ form: { kind: 'ball', width, length: 1 }, way: 'strip' }, 1, density);
      if (typeof takes === 'string') throw new Error(takes);
      const whole = (Math.PI * width ** 3 * density) / 6000;
      expect(Math.abs((takes.grams + takes.coreGrams) / whole - 1)).toBeLessThan(0.005);
      expect(takes.core.width).toBeCloseTo(width - 2, 9);
    }),
  );
  expect(takenFor({ form: { kind: 'ball', width: 3, length: 1 }, way: 'strip' }, 2, 2)).toContain('is not wider than');
});

const toMake = {
  sheet: { thick: 1.5 },
  starts: [{ what: 'slices', of: 'cane:radish', volume: 3000, sizes: [12, 12, 1], count: 20 }],
} as unknown as PatternToMake;

test('balls and domes become parts that a piece reads; what batches do not know becomes none', () => {
  const part = (kind: (typeof FORMS)[number], way: (typeof WAYS)[number]) => {
    const own = { form: { kind, width: 30, length: 12 }, way };
    const takes = takenFor(own, 1.5, 2);
    if (typeof takes === 'string') throw new Error(takes);
    return partFor(own, takes, coverOf(own, toMake, { revisionId: 'sheet' }));
  };
  expect(part('ball', 'strip')).toMatchObject({ of: 'pattern:sheet', shape: { is: 'covered', core: 27, wall: 1.5 } });
  const sliced = part('ball', 'slices');
  expect(sliced?.of).toBe('cane:radish');
  // 150 mm² a slice
  expect(sliced?.shape).toMatchObject({ wall: 1, slice: expect.closeTo(13.82, 2) as number });
  expect(part('dome', 'disc')?.shape).toEqual({ is: 'veneer', form: 'dome', width: 30, height: 12, mm: 1.5 });
  expect([part('dome', 'slices'), part('tube', 'strip'), part('bicone', 'disc')]).toEqual([null, null, null]);
  for (const one of [part('ball', 'disc'), sliced, part('dome', 'disc')])
    expect(readPiece({ version: 1, sizes: [], parts: [one] }).parts).toHaveLength(1);
});

test('words', () => {
  expect(formSize({ kind: 'dome', width: 30, length: 12 }, 'metric')).toBe('30 mm across, 12 mm high');
  expect(formSize({ kind: 'ball', width: 25.4, length: 12 }, 'imperial')).toBe('1 in across');
  expect(squeezedWords(1, { kind: 'tube', width: 1, length: 1 })).toBe('The pattern stays as it is all over.');
  expect(squeezedWords(0.5, { kind: 'dome', width: 1, length: 1 })).toMatch(/At the rim .* 50\s% around .* 200\s%/);
  for (const kind of FORMS)
    for (const way of WAYS) expect(handsFor({ kind, width: 9, length: 9 }, way)).toHaveLength(4);
});
