import { ofClay } from '#core/material';
import fc from 'fast-check';
import { CONDITION_WARNINGS, SCHOOLS_OF_CONDITIONING, conditionPlan } from '#core/conditioning';
import { thicknesses, type Machine } from '#core/sheet';
import { FIRMNESSES } from '#core/clay';
import type { MadeAnswer } from '#contract';
import { plugSheet } from '../src/stations/blends/plugSheet.js';
import { conditionWords, SCHOOL_WORDS, WARNING_WORDS } from '../src/stations/sheets/conditionWords.js';
import { equalsOf, type Rung } from '../src/stations/sheets/equals.js';
import { leftOfSheet, sentSheet } from '../src/stations/sheets/sheetWords.js';
import { dialOf } from '../../core/test/machines.js';

const machine: Machine = { id: 'm', name: 'Bench roller', rollerWidthMm: 145, ...dialOf(['0', 3.2], ['9', 0.42]) };

test('an edge of the ladder finds the nearest on every other machine, and none of its own', () => {
  const rung = (id: string, edges: readonly number[]): Rung => ({
    id,
    name: id,
    edges: edges.map((mm, i) => ({
      id: `${id}${i}`,
      label: String(i),
      words: `${id} ${i}`,
      mm,
      knowledge: 'measured',
    })),
  });
  const list = fc.array(fc.double({ min: 0.2, max: 4, noNaN: true }), { minLength: 1, maxLength: 12 });
  fc.assert(
    fc.property(list, list, list, fc.nat(11), (a, b, c, pick) => {
      const rungs = [rung('a', a), rung('b', b), rung('c', c), rung('empty', [])];
      const found = equalsOf(rungs, `a${pick % a.length}`);
      expect(found?.near.map((n) => n.rung.id)).toEqual(['b', 'c']);
      for (const n of found?.near ?? [])
        for (const e of n.rung.edges)
          expect(Math.abs(n.off)).toBeLessThanOrEqual(Math.abs(e.mm - (found?.edge.mm ?? 0)) + 1e-12);
    }),
  );
  expect([equalsOf([rung('a', [1])], null), equalsOf([rung('a', [1])], 'b7')]).toEqual([null, null]);
});

describe('conditioning in words', () => {
  test.each(['metric', 'imperial'] as const)('every step of every plan, in %s', (units) => {
    for (const firmness of FIRMNESSES) {
      for (const school of SCHOOLS_OF_CONDITIONING) {
        for (const roomC of [10, 21, 32]) {
          for (const own of [machine, null]) {
            const { steps } = conditionPlan({
              lineId: 'l',
              firmness,
              months: 70,
              grams: 130,
              roomC,
              school,
              machine: own,
              counted: [],
              ownPasses: null,
              workingSettingId: null,
            });
            for (const step of steps) {
              const words = conditionWords(step, units);
              expect(`${words.title} ${words.line}`).not.toMatch(/undefined|NaN/);
              expect(words.line).toMatch(/\.$/);
              if (units === 'imperial') expect(words.line).not.toMatch(/\d mm/);
              // what is counted says how often, and when to stop
              expect((words.about ?? 0) > 0).toBe(step.kind === 'pass' || step.kind === 'knead');
              expect(words.enough !== undefined).toBe(words.about !== undefined);
            }
          }
        }
      }
    }
  });

  test('each warning and each school has its words', () => {
    expect(Object.keys(WARNING_WORDS).sort()).toEqual([...CONDITION_WARNINGS].sort());
    expect(Object.keys(SCHOOL_WORDS).sort()).toEqual([...SCHOOLS_OF_CONDITIONING].sort());
    for (const words of Object.values(WARNING_WORDS)) expect(words).toMatch(/\.$/);
  });
});

describe('sheets of the book', () => {
  const answer: MadeAnswer = {
    id: 'a',
    version: 3,
    name: 'Corn, 4',
    note: '',
    form: 'sheet',
    widthMm: 100,
    lengthMm: 140,
    mm: 1.5,
    layers: 2,
    grams: 40,
    left: 40,
    clays: [],
    cuts: [],
    gone: false,
    inside: 'last',
    of: ofClay('c'),
    blendId: null,
    caneId: null,
    patternId: null,
    patterned: null,
    count: 1,
    keptIn: '',
    ofName: 'Corn',
    hexes: ['F0CB55'],
    density: 1.9,
    rolledAt: '4 of Bench roller',
    madeOn: '2026-11-26',
    entryId: 'e',
  };

  test('what only an answer has is not sent back', () => {
    expect(Object.keys(sentSheet(answer)).sort()).toEqual([
      'count',
      'cuts',
      'form',
      'gone',
      'grams',
      'id',
      'inside',
      'keptIn',
      'layers',
      'lengthMm',
      'mm',
      'name',
      'note',
      'version',
      'widthMm',
    ]);
  });

  test('a sheet that became too small for its cuts has nothing left, rather than breaking the page', () => {
    const cut = { id: 'k', name: '', shape: 'round' as const, widthMm: 30, heightMm: null, count: 6, bridgeMm: 2 };
    expect(leftOfSheet({ ...answer, cuts: [cut] }).length).toBeGreaterThan(0);
    expect(leftOfSheet({ ...answer, lengthMm: 10, cuts: [cut] })).toEqual({
      bands: [],
      length: 0,
      pieces: 0,
      scrap: 0,
    });
  });

  test('wound up it keeps its weight, and says how large its face is', () => {
    const flat = sentSheet(answer);
    expect(plugSheet(flat, { kind: 'rolled', diameter: 26, height: 30, inside: 'first' })).toEqual({
      ...flat,
      form: 'plug',
      widthMm: 26,
      lengthMm: 30,
      mm: 26,
      layers: 1,
      inside: 'first',
    });
    expect(plugSheet(flat, { kind: 'fan', width: 22, depth: 12, height: 30, folds: 40 })).toMatchObject({
      form: 'fan',
      widthMm: 22,
      mm: 12,
      lengthMm: 30,
      grams: 40,
    });
    expect(thicknesses(machine)).toHaveLength(10);
  });
});
