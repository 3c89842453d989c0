import fc from 'fast-check';
import type { BenchNowAnswer, BenchThing } from '#contract/benchNow';
import { aheadOf, changed, heard, keyOf, said, type AtBench } from '../src/wire/benchWire.js';

const NOW = 1_800_000_000_000;
const place = fc.record({
  at: fc.nat(40),
  counts: fc.array(fc.nat(30), { maxLength: 4 }),
  took: fc.dictionary(fc.nat(20).map(String), fc.integer({ min: 0, max: 600 }), { maxKeys: 4 }),
});
const timer = fc.record({
  id: fc.uuid(),
  label: fc.constantFrom('Radish rings, in the oven', 'varnish'),
  endsAt: fc.integer({ min: NOW, max: NOW + 1e7 }),
  rung: fc.boolean(),
});
const load = fc.record({
  ...{ id: fc.uuid(), ovenId: fc.uuid(), ovenName: fc.constant('Small oven'), celsius: fc.constant(130) },
  ...{ low: fc.constant(125), maxC: fc.constant(150), minutes: fc.constant(30), dial: fc.constantFrom(null, 137) },
  ...{ dialFrom: fc.constant(0), items: fc.constant([]), startedAt: fc.constant(NOW) },
  ...{ probeAhead: fc.constantFrom(null, 500), curve: fc.constant([]) },
});
const bench = fc.record({
  places: fc.dictionary(fc.constantFrom('batch a', 'batch b', 'cane c'), place, { maxKeys: 3 }),
  timers: fc.uniqueArray(timer, { maxLength: 3, selector: (t) => t.id }),
  load: fc.option(load),
}) as fc.Arbitrary<AtBench>;

/** What the server holds once it has heard all of it. */
const answerOf = (all: AtBench, ahead: number): BenchNowAnswer => ({
  now: NOW + ahead,
  things: [...said(all, ahead).values()] as BenchThing[],
});
const NOTHING: AtBench = { places: {}, timers: [], load: null };

test('another device holds what was said, whatever both clocks say', () => {
  fc.assert(
    fc.property(
      bench,
      fc.integer({ min: -5e6, max: 5e6 }),
      fc.integer({ min: -5e6, max: 5e6 }),
      (all, mine, theirs) => {
        const told = answerOf(all, mine);
        const other = heard(told, NOTHING, new Set(), theirs, NOW);
        // and says the same of it
        expect(answerOf(other, theirs).things).toEqual(told.things);
      },
    ),
  );
});

test('what was heard is not said again, and what is said again changes nothing', () => {
  fc.assert(
    fc.property(bench, bench, (mine, theirs) => {
      const after = heard(answerOf(theirs, 0), mine, new Set(), 0, NOW);
      expect(changed(said(theirs, 0), said(after, 0))).toEqual([]);
    }),
  );
});

test('what differs is told once, and what is gone as gone', () => {
  fc.assert(
    fc.property(bench, bench, (before, after) => {
      const [a, b] = [said(before, 0), said(after, 0)];
      const applied = new Map(a);
      for (const one of changed(a, b)) {
        if (one.value === null) applied.delete(keyOf(one));
        else applied.set(keyOf(one), one);
      }
      expect(new Map([...applied].sort())).toEqual(new Map([...b].sort()));
      expect(changed(b, b)).toEqual([]);
    }),
  );
});

test('of what waits to be said this window knows better', () => {
  const own: AtBench = {
    ...NOTHING,
    places: { 'batch a': { at: 7, counts: [] } },
    timers: [{ id: 't', label: 'varnish', endsAt: NOW, rung: false }],
  };
  const told = answerOf(
    { ...NOTHING, places: { 'batch a': { at: 2, counts: [] }, 'batch b': { at: 1, counts: [] } } },
    0,
  );
  const waiting = new Set(['place batch a', 'timer t']);
  const next = heard(told, own, waiting, 0, NOW);
  expect([next.places['batch a']?.at, next.places['batch b']?.at, next.timers.length]).toEqual([7, 1, 1]);
  // once it was said, what is not there is gone
  expect(heard(told, own, new Set(), 0, NOW)).toMatchObject({ places: { 'batch a': { at: 2 } }, timers: [] });
});

test('the clock of a step begins anew where other hands went on, and a load keeps its curve', () => {
  const own: AtBench = {
    ...NOTHING,
    places: { a: { at: 3, counts: [], since: NOW - 9e6 }, b: { at: 3, counts: [], since: NOW - 9e6 } },
    load: { ...LOAD, curve: [{ at: 1, celsius: 60 }] },
  };
  const told = answerOf(
    { places: { a: { at: 4, counts: [] }, b: { at: 3, counts: [] } }, timers: [], load: { ...LOAD, dial: 140 } },
    0,
  );
  const next = heard(told, own, new Set(), 0, NOW);
  expect([next.places.a?.since, next.places.b?.since]).toEqual([NOW, NOW - 9e6]);
  expect(next.load).toMatchObject({ dial: 140, curve: [{ at: 1, celsius: 60 }] });
});

const LOAD = {
  ...{ id: 'l', ovenId: 'o', ovenName: 'Small oven', celsius: 130, low: 125, maxC: 150, minutes: 30, dial: 137 },
  ...{ dialFrom: 0, items: [], startedAt: NOW, probeAhead: null, curve: [] },
};

test('clocks that nearly agree are taken to be the same', () => {
  expect([aheadOf({ now: NOW + 900 }, NOW), aheadOf({ now: NOW - 60_000 }, NOW)]).toEqual([0, -60_000]);
});
