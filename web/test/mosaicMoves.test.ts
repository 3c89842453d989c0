import { mosaicOf, newMosaic, planKey, withChange, type MosaicDocument } from '#core/mosaic';
import { keyOf, ofClay } from '#core/material';
import { pigmentsWith } from '#core/mix';
import type { MosaicAnswer } from '#contract';
import {
  hoursWords,
  labsOf,
  laidIn,
  shadesKnown,
  shadeThreads,
  threadWords,
  traysOf,
  turned,
  wishOf,
} from '../src/stations/patterns/mosaic/mosaicMoves.js';
import { readDiameters, showDiameters } from '../src/stations/patterns/mosaic/MosaicWords.js';
import { lessThere, threadNear, threadsThere, type ThreadThere } from '../src/stations/patterns/mosaic/threadsThere.js';
import { SHELF, clayId } from './kitchen.js';

const PICTURE = {
  data: Uint8ClampedArray.from({ length: 4 * 64 }, (_, k) => (k % 4 === 3 ? 255 : Math.floor(k / 128) * 180)),
  width: 8,
  height: 8,
};
const SHADES = [
  { l: 10, a: 0, b: 0, hex: '101010', of: keyOf(ofClay(clayId('Soot'))) },
  { l: 75, a: 0, b: 0, hex: 'b8b8b8' },
];
const DOC: MosaicDocument = { ...newMosaic('p'), shades: SHADES, diameters: [2, 1], shortest: 2, longest: 4 };
const answerOf = (mosaic: MosaicDocument): MosaicAnswer => ({
  ...{ id: 'm', version: 1, name: 'Onion', note: '', mosaic, referenced: [] },
});
const PLAN = mosaicOf({ ...DOC, picture: PICTURE, shades: labsOf(DOC) });

test('grams are told where it is known what a shade is of, metres for all', () => {
  const known = shadesKnown(answerOf(DOC), SHELF, pigmentsWith(null));
  expect(known.map((k) => [k.name, k.density === null])).toEqual([
    ['Soot', false],
    ['', true],
  ]);
  const rows = shadeThreads(PLAN, known, 0.1);
  expect(rows.map((r) => r.grams === null)).toEqual(rows.map((r) => r.shade === 1));
  const sum = PLAN.tesserae.reduce((all, t) => all + t.length, 0);
  expect(rows.reduce((all, r) => all + r.length, 0)).toBeCloseTo(1.1 * sum, 6);
  const [dark] = rows;
  const volume = (dark?.threads ?? []).reduce((all, t) => all + (Math.PI / 4) * t.diameter ** 2 * t.length, 0);
  expect(dark?.grams).toBeCloseTo((volume / 1000) * (known[0]?.density ?? 0), 6);
  expect(traysOf(rows, { width: 100, length: 100 }).trays).toBeGreaterThan(0);
});

test('a clay that is gone is said to be', () => {
  const gone = { ...DOC, shades: [{ ...SHADES[1]!, of: keyOf(ofClay('00000000-0000-4000-8000-000000000000')) }] };
  expect(shadesKnown(answerOf(gone), SHELF, pigmentsWith(null))).toEqual([
    { name: 'not there any more', hex: 'b8b8b8', density: null, mixId: null },
  ]);
});

test('what was laid stays laid while the plan is the same, and not longer', () => {
  const laid = withChange(DOC, { done: turned(turned([], 3), 1) });
  expect(laid.done).toEqual([1, 3]);
  expect(withChange(laid, { pace: 90 }).done).toEqual([1, 3]);
  expect(withChange(laid, { shades: [] }).done).toEqual([1, 3]);
  for (const part of [{ colours: 2 }, { diameters: [1] }, { gap: 0.1 }, { pictureId: 'q' }] as const) {
    expect(planKey({ ...laid, ...part })).not.toBe(planKey(laid));
    expect(withChange(laid, part).done).toEqual([]);
  }
  expect(turned(laid.done, 3)).toEqual([1]);
  expect(laidIn(PLAN, [0])).toBe(PLAN.patches[0]?.count);
});

test('nothing is planned without a picture or a shade', () => {
  expect(wishOf(newMosaic(undefined))).toBeNull();
  expect(wishOf({ ...DOC, shades: [] })).toBeNull();
  expect(wishOf(DOC)).toMatchObject({ pictureId: 'p', diameters: [2, 1] });
});

test('threads are typed one after the other, and measured in metres or feet', () => {
  expect(readDiameters('0.6, 1 mm', 'metric')).toEqual([1, 0.6]);
  expect(readDiameters('1 0.5', 'metric')).toEqual([1, 0.5]);
  expect(readDiameters(showDiameters([1.2, 0.7], 'metric'), 'metric')).toEqual([1.2, 0.7]);
  expect(() => readDiameters('thin', 'metric')).toThrow();
  expect(threadWords(579.4, 'metric')).toBe('0.58 m');
  expect(threadWords(304.8, 'imperial')).toBe('1.00 ft');
  expect([hoursWords(30, 120), hoursWords(120, 120), hoursWords(420, 120)]).toEqual(['15 min', '1 h', '3 h 30 min']);
});

describe('threads that lie there', () => {
  const known = shadesKnown(answerOf(DOC), SHELF, pigmentsWith(null));
  const rows = shadeThreads(PLAN, known, 0.1);
  const [dark] = rows;
  const [thick] = dark?.threads ?? [];
  const thread = (diameter: number, length: number): ThreadThere => ({
    ...{ name: 'black threads', of: SHADES[0]!.of!, hex: '101010', lab: labsOf(DOC)[0]! },
    ...{ diameter, length },
  });

  test('are used first, where they are as thick as is wanted', () => {
    const wanted = thick?.length ?? 0;
    const some = lessThere(rows, SHADES, [thread(1.05 * (thick?.diameter ?? 0), 0.4 * wanted)]);
    expect(some[0]?.there).toBeCloseTo(0.4 * wanted, 6);
    expect(some[0]?.length).toBeCloseTo((dark?.length ?? 0) - 0.4 * wanted, 6);
    expect((some[0]?.grams ?? 0) / (dark?.grams ?? 1)).toBeLessThan(1);
    expect(some[1]).toMatchObject({ there: 0, length: rows[1]?.length });
    const plenty = lessThere(rows, SHADES, [thread(2, 1e6), thread(1, 1e6)]);
    expect([plenty[0]?.length, plenty[0]?.grams]).toEqual([0, expect.closeTo(0, 9)]);
    const thin = lessThere(rows, SHADES, [thread(0.4, 1e6)]);
    expect(thin[0]?.there).toBe(0);
  });

  test('are taken for a shade that looks the same, and for no other', () => {
    const there = [thread(1, 50)];
    expect(threadNear(labsOf(DOC)[0]!, there)?.name).toBe('black threads');
    expect(threadNear(labsOf(DOC)[1]!, there)).toBeNull();
  });

  test('are those of one clay or mix; of what was partly used, what is left', () => {
    const thing = {
      ...{ form: 'threads', name: 'black threads', of: { kind: 'clay', id: clayId('Soot') }, hexes: ['101010'] },
      ...{ widthMm: 1, lengthMm: 120, count: 5, grams: 1, left: 0.5 },
    };
    const things = [thing, { ...thing, form: 'lump' }, { ...thing, hexes: ['101010', 'ffffff'] }] as never;
    expect(threadsThere({ things })).toEqual([expect.objectContaining({ diameter: 1, length: 300 })]);
  });
});
