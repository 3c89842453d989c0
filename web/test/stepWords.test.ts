import { cutterOfSize } from '#core/cutter';
import { ofClay } from '#core/material';
import fc from 'fast-check';
import { FIRMNESSES, type Firmness } from '#core/clay';
import { conditioningBench, conditioningOf } from '#core/conditioning';
import type { PlainStep } from '#contract';
import { wordsOf } from '../src/stations/bench/stepWords.js';

const grams = fc.double({ min: 0.5, max: 900, noNaN: true });
const mm = fc.double({ min: 0.3, max: 300, noNaN: true });
const name = fc.constantFrom('Chalk', 'Beet ring', 'Outer leek', 'Swede');
const material = name.map((n) => ({ of: ofClay(n), name: n, hex: 'F1EEE4' }));
const discs = fc.constantFrom('1', '5/4', '21', '1/2', null);
const cutter = fc.oneof(
  mm.map((diameter) => cutterOfSize(diameter, null)),
  fc.tuple(mm, mm).map(([width, height]) => cutterOfSize(width, height)),
);
const layout = fc.record({
  pattern: fc.constantFrom('rows' as const, 'hexagonal' as const, 'nested' as const),
  turned: fc.boolean(),
  width: mm,
  length: mm,
  perSheet: fc.integer({ min: 1, max: 40 }),
  sheets: fc.integer({ min: 1, max: 5 }),
  ...{ centres: fc.constant([]), turns: fc.constant([]), flips: fc.constant([]) },
  scrap: fc.double({ min: 0, max: 1, noNaN: true }),
});
const HANDS = conditioningBench({}, null, []);
const clayOf = (firmness: Firmness, months: number | null, g: number) =>
  conditioningOf({ lineId: 'l', firmness, months, grams: g }, HANDS);
const how = fc
  .tuple(
    fc.constantFrom(...FIRMNESSES),
    fc.option(fc.nat(100), { nil: null }),
    fc.double({ min: 1, max: 300, noNaN: true }),
  )
  .map(([firmness, months, g]) => clayOf(firmness, months, g));
const celsius = fc.integer({ min: 100, max: 150 });
const step: fc.Arbitrary<PlainStep> = fc.oneof<fc.Arbitrary<PlainStep>[]>(
  fc.record({
    kind: fc.constant('condition' as const),
    clay: material,
    grams,
    months: fc.option(fc.integer({ min: 0, max: 100 }), { nil: null }),
    bought: fc.boolean(),
    lots: fc.integer({ min: 1, max: 3 }),
    how,
  }),
  fc.record({
    kind: fc.constant('mix' as const),
    mix: material,
    made: grams,
    discError: fc.double({ min: 0, max: 4, noNaN: true }),
    portions: fc.array(
      fc.tuple(material, grams, discs).map(([m, g, d]) => ({ ...m, grams: g, discs: d })),
      { minLength: 1, maxLength: 3 },
    ),
  }),
  fc.record({
    kind: fc.constant('roll' as const),
    sheet: material,
    pieceId: name,
    pieceName: name,
    machineName: fc.constant('Bench roller'),
    settingLabel: fc.constantFrom('0', '4', '½'),
    mm,
    assumed: fc.boolean(),
    width: mm,
    length: mm,
    sheets: fc.integer({ min: 1, max: 4 }),
    grams,
    more: fc.constant([]),
  }),
  fc.record({
    kind: fc.constant('stack' as const),
    pieceId: name,
    pieceName: name,
    layers: fc.array(material, { minLength: 2, maxLength: 4 }),
    sheets: fc.integer({ min: 1, max: 3 }),
  }),
  fc.record({
    kind: fc.constant('cut' as const),
    pieceId: name,
    pieceName: name,
    cutter,
    count: fc.integer({ min: 1, max: 300 }),
    spare: fc.integer({ min: 0, max: 9 }),
    sheet: material,
    layout,
    bridge: mm,
    ...{ film: fc.boolean(), pairs: fc.boolean() },
  }),
  fc.record({
    kind: fc.constant('bake' as const),
    cores: fc.boolean(),
    lines: fc.array(fc.constantFrom('Hearth Firm', 'Brook Soft', 'Lustre'), { minLength: 1, maxLength: 3 }),
    celsius,
    minutes: fc.integer({ min: 10, max: 120 }),
    maxC: celsius,
    compromise: fc.boolean(),
    low: celsius,
    below: fc.boolean(),
    alone: fc.constantFrom(null, 'light' as const),
    onForm: fc.boolean(),
    tooLarge: fc.boolean(),
    times: fc.integer({ min: 1, max: 5 }),
    pieces: fc.array(fc.record({ id: fc.constant('p'), name, count: fc.integer({ min: 1, max: 50 }) }), {
      minLength: 1,
      maxLength: 3,
    }),
  }),
);
const text = (s: PlainStep, units: 'metric' | 'imperial'): string => {
  const { title, lines, figure, of, caution } = wordsOf(s, units);
  return [title, ...lines, figure, of, caution ?? ''].join(' | ');
};

test('a step speaks one system of units at a time', () => {
  fc.assert(
    fc.property(step, (s) => {
      expect(text(s, 'imperial')).not.toMatch(/\d (mm|g|°C)\b/);
      expect(text(s, 'metric')).not.toMatch(/\d (in|oz|°F)\b/);
    }),
    { numRuns: 300 },
  );
});

test('nothing of a step is empty, unfinished or no number', () => {
  fc.assert(
    fc.property(step, fc.constantFrom('metric' as const, 'imperial' as const), (s, units) => {
      const words = wordsOf(s, units);
      expect(text(s, units)).not.toMatch(/undefined|null|NaN|Infinity|\[object/);
      for (const part of [words.title, words.figure, words.of, ...words.lines]) expect(part.trim()).not.toBe('');
    }),
    { numRuns: 300 },
  );
});

test('each kind in its own words', () => {
  const chalk = { of: ofClay('c'), name: 'Chalk', hex: 'F1EEE4' };
  expect(
    text(
      {
        kind: 'condition',
        clay: chalk,
        grams: 28.3,
        months: 62,
        bought: false,
        lots: 1,
        how: clayOf('crumbly', 62, 28.3),
      },
      'metric',
    ),
  ).toBe(
    'Condition Chalk | 5 years 2 months old. | Warm it wrapped, 20 min in a pocket. | Work in a little softener. | ' +
      'Rolled to a rope and folded, by hand, about 73 times for each of 2 portions, until a fold does not crack. | ' +
      'Use it the same day: it goes back to crumbs. | 28.3 g | ~24 min of work | ',
  );
  expect(
    text(
      {
        kind: 'mix',
        mix: { ...chalk, name: 'Beet ring' },
        made: 32.3,
        discError: 1.2,
        portions: [{ ...chalk, grams: 25.8, discs: '1' }],
      },
      'metric',
    ),
  ).toBe(
    'Mix Beet ring | 1 disc Chalk, 25.8 g | Fold and pass until no streak is left. | 32.3 g | in all | ' +
      'Quarter discs move this colour by ΔE 1.2. Weigh it where that matters.',
  );
  expect(
    text(
      {
        kind: 'bake',
        cores: false,
        lines: ['Hearth Firm', 'Brook Soft', 'Lustre'],
        celsius: 130,
        minutes: 95,
        maxC: 135,
        ...{ compromise: true, low: 125, below: false, alone: null, onForm: false, tooLarge: false, times: 1 },
        pieces: [{ id: 'p', name: 'Drop', count: 26 }],
      },
      'imperial',
    ),
  ).toMatch(
    new RegExp(
      '^Bake Hearth Firm, Brook Soft and Lustre \\| 26 Drop \\| 1 h 35 min, .*highest temperature ' +
        'that all of them stand\\. \\| 266 °F \\| 1 h 35 min \\| Never above 275 °F',
    ),
  );
});
