import fc from 'fast-check';
import {
  STARTING_POINTS,
  contextOf,
  mostSlices,
  planBackwards,
  type CaneContext,
  type Have,
  type Step,
} from '#core/cane';
import { COLOURS, log, refusal, steps, withoutEnds, type Loose } from './canes.js';

const reduce = (value: number): Loose => ({ do: 'reduce', to: 'diameter', value });
const usual = (): CaneContext => contextOf();
const have = (volumes: Readonly<Record<string, number>>, more: Partial<Have> = {}): Have => ({
  volumes: new Map(Object.entries(volumes)),
  made: new Map(),
  ...more,
});
const volumesFor = (list: readonly Step[], slices: number, context = usual()): ReadonlyMap<string, number> =>
  planBackwards(list, { slices, thickness: 2 }, context).volumes;

describe('slices from what one has', () => {
  test('a log without ends gives its volume in slices', () => {
    fc.assert(
      fc.property(fc.double({ min: 8, max: 30, noNaN: true }), fc.integer({ min: 1, max: 400 }), (d, slices) => {
        const list = steps(log('clay:a', d, 60));
        const volume = (slices + 0.5) * 2 * (Math.PI / 4) * d * d;
        // a round is counted as a polygon of many corners, a hair smaller than its circle
        expect(mostSlices(list, 2, have({ 'clay:a': volume }), withoutEnds()).slices).toBe(slices);
      }),
      { numRuns: 40 },
    );
  });

  test('what they take is there, and for one more it is not', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...STARTING_POINTS.map((s) => s.id)),
        fc.integer({ min: 3, max: 300 }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (id, slices, share) => {
          const list = STARTING_POINTS.find((s) => s.id === id)!.steps(COLOURS);
          const enough = volumesFor(list, slices);
          const [key, volume] = [...enough][Math.floor(share * enough.size)]!;
          const there = have({ [key]: volume });
          const most = mostSlices(list, 2, there, usual());
          expect(most.slices).toBeGreaterThanOrEqual(slices);
          expect(most.runsOut).toEqual({ kind: 'material', key });
          expect(volumesFor(list, most.slices).get(key)).toBeLessThanOrEqual(volume * (1 + 1e-6));
          expect(volumesFor(list, most.slices + 1).get(key)).toBeGreaterThan(volume);
        },
      ),
      { numRuns: 10 },
    );
  });

  test('more clay never gives fewer slices', () => {
    fc.assert(
      fc.property(fc.integer({ min: 500, max: 60_000 }), fc.integer({ min: 1, max: 60_000 }), (there, more) => {
        const list = steps(log('clay:a', 20, 60), { do: 'wrap', of: 'clay:b', thickness: 2 }, reduce(12));
        const at = (volume: number): number => mostSlices(list, 2, have({ 'clay:a': volume }), usual()).slices;
        expect(at(there + more)).toBeGreaterThanOrEqual(at(there));
      }),
      { numRuns: 30 },
    );
  });

  test('the scarcest decides; what is not named there is enough of', () => {
    const list = steps(log('clay:a', 20, 60), { do: 'wrap', of: 'clay:b', thickness: 2 });
    const needs = volumesFor(list, 50, withoutEnds());
    const [core, wrap] = [needs.get('clay:a')!, needs.get('clay:b')!];
    const both = mostSlices(list, 2, have({ 'clay:a': core * 3, 'clay:b': wrap }), withoutEnds());
    expect(both).toEqual({ slices: 50, runsOut: { kind: 'material', key: 'clay:b' } });
    const all = mostSlices(list, 2, have({}, { all: core + wrap }), withoutEnds());
    expect(all).toEqual({ slices: 50, runsOut: { kind: 'all' } });
    expect(mostSlices(list, 2, have({}), withoutEnds())).toEqual({ slices: 5000, runsOut: null });
  });

  test('where there is not enough for one it is none, and says of what', () => {
    const list = steps(log('clay:a', 20, 60));
    expect(mostSlices(list, 2, have({ 'clay:a': 100 }), usual())).toEqual({
      ...{ slices: 0, runsOut: { kind: 'material', key: 'clay:a' } },
    });
    expect(mostSlices(list, 2, have({ 'clay:a': 0 }), usual()).slices).toBe(0);
  });

  test('a plug that lies ready gives as much as it is high, and takes no clay', () => {
    const size = { width: 26, depth: 26, length: 30 };
    const plug: Loose = { ...{ do: 'plug', of: 'blend:f', wound: 'rolled', inside: 'first' }, ...size, made: 'plug' };
    const list = steps(plug, reduce(13));
    const there = { made: new Map([['plug', 30]]) };
    // half as wide it is four times as long: 120 mm in slices of 2 mm
    expect(mostSlices(list, 2, have({ 'blend:f': 0 }, there), withoutEnds())).toEqual({
      ...{ slices: 60, runsOut: { kind: 'made', id: 'plug' } },
    });
    expect(mostSlices(list, 2, have({}, { made: new Map() }), withoutEnds()).slices).toBe(0);
    const withEnds = mostSlices(list, 2, have({}, there), usual()).slices;
    expect(withEnds).toBeLessThan(60);
    expect(withEnds).toBeGreaterThan(45);
  });

  test('reduced to a usable length it is that length, however much there is', () => {
    const list = steps(log('clay:a', 30, 60), { do: 'reduce', to: 'length', value: 80 });
    const { slices } = mostSlices(list, 2, have({ 'clay:a': 200_000 }), usual());
    const { stages, pieces, each } = planBackwards(list, { slices, thickness: 2 }, usual());
    expect(pieces * each).toBeGreaterThanOrEqual(slices);
    expect(stages.at(-1)!.length - 2 * stages.at(-1)!.cut).toBeCloseTo((slices * 2) / pieces, 6);
  });

  test('a cane that cannot be made says why', () => {
    const list = steps(log('clay:a', 10, 60), reduce(20));
    expect(refusal(() => mostSlices(list, 2, have({}), usual()))).toBe('cane/larger');
  });
});
