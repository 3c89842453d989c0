import fc from 'fast-check';
import {
  EYE,
  STARTING_POINTS,
  TOO_THICK,
  TOO_THIN,
  acrossOf,
  contextOf,
  featuresOf,
  judge,
  runSteps,
  type JudgedMaterial,
  type Part,
  type Step,
  type Warning,
} from '#core/cane';
import { COLOURS, last, log, steps } from './canes.js';

const clay = (more: Partial<JudgedMaterial> = {}): JudgedMaterial => ({
  lab: { l: 50, a: 0, b: 0 },
  hides: 0.3,
  bakes: [{ bakeC: 130, maxC: 150 }],
  old: false,
  crumbly: false,
  ...more,
});
const light = (more: Partial<JudgedMaterial> = {}): JudgedMaterial => clay({ lab: { l: 90, a: 0, b: 0 }, ...more });
function found(list: readonly Step[], materials: readonly JudgedMaterial[]): readonly Warning[] {
  const context = contextOf();
  return judge(runSteps(list, context), materials, context).warnings;
}
const said = (list: readonly Step[], materials: readonly JudgedMaterial[]): string[] =>
  found(list, materials).map((w) => w.kind);
const mm = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const rod = (diameter: number, length: number): Part => ({
  name: 'a rod',
  steps: steps(log('clay:b', diameter, length)),
});

test('a cane that hands can make, of clays that differ, has nothing said of it', () => {
  expect(
    said(
      steps(log('clay:a', 30), { do: 'wrap', of: 'clay:b', thickness: 3 }, { do: 'reduce', to: 'diameter', value: 20 }),
      [light(), clay()],
    ),
  ).toEqual([]);
});

test('the narrowest thing is as wide as it was made, wherever it lies and however it is turned square', () => {
  fc.assert(
    fc.property(mm(0.4, 3), fc.constantFrom(0, 90, 180, 270), (thin, degrees) => {
      const state = last(
        steps(
          {
            do: 'loaf',
            layers: [
              { of: 'clay:a', thickness: 4 },
              { of: 'clay:b', thickness: thin },
              { of: 'clay:a', thickness: 3.5 },
            ],
            times: 3,
            width: 24,
            length: 40,
          },
          { do: 'turn', degrees },
        ),
      );
      const { least, material, at } = featuresOf(state);
      expect(material).toBe(1);
      // counted in the places of a map of 300
      expect(Math.abs(least - thin)).toBeLessThan(0.2);
      expect(Math.floor(state.sample(at[0], at[1]))).toBe(1);
    }),
    { numRuns: 12 },
  );
});

test('lines that the eye does not see are said from where they are too thin on, and not before', () => {
  fc.assert(
    fc.property(mm(0.04, 1.2), (thin) => {
      const list = steps({
        do: 'loaf',
        layers: [
          { of: 'clay:a', thickness: 3 },
          { of: 'clay:b', thickness: thin },
          { of: 'clay:a', thickness: 3 },
        ],
        times: 1,
        width: 7,
        length: 40,
      });
      const at = found(list, [light({ hides: 0.01 }), clay({ hides: 0.01 })]).find((w) => w.kind === 'feature');
      if (thin < 2 * EYE - 0.03) expect(at).toBeDefined();
      if (thin > 2 * EYE + 0.03) expect(at).toBeUndefined();
    }),
    { numRuns: 12 },
  );
});

test('walls that show through: by what hides, and only where they are walls', () => {
  const walled = (thickness: number, hides: number): string[] =>
    said(steps(log('clay:a', 30), { do: 'wrap', of: 'clay:b', thickness }), [light(), clay({ hides })]);
  expect(walled(0.45, 0.6)).toEqual(['thin wall']);
  expect(walled(0.45, 0.3)).toEqual([]);
  expect(walled(4, 9)).toEqual([]);
  const [wall] = found(steps(log('clay:a', 30), { do: 'wrap', of: 'clay:b', thickness: 0.45 }), [
    light(),
    clay({ hides: 0.6 }),
  ]);
  expect(wall).toMatchObject({ kind: 'thin wall', material: 1, hides: 0.6 });
  expect(wall && 'mm' in wall ? Math.abs(wall.mm - 0.45) : 9).toBeLessThan(0.15);
});

test('colours that run together, by their difference or by the width they have', () => {
  const stripes = (thickness: number, l: number): readonly Warning[] =>
    found(
      steps({
        do: 'loaf',
        layers: [
          { of: 'clay:a', thickness },
          { of: 'clay:b', thickness },
        ],
        times: 8,
        width: 16 * thickness,
        length: 40,
      }),
      [clay({ lab: { l, a: 0, b: 0 }, hides: 0.001 }), clay({ hides: 0.001 })],
    );
  expect(stripes(2, 52).map((w) => w.kind)).toEqual(['together']);
  expect(stripes(2, 90)).toEqual([]);
  const fine = stripes(0.05, 62).find((w) => w.kind === 'together');
  // as clay they differ, at that width the eye sees less of it; and from where on is said
  expect(fine?.kind === 'together' && fine.seen < fine.deltaE && fine.below !== null && fine.below > 0.05).toBe(true);
  // what does not lie side by side cannot run together
  expect(
    said(
      steps(log('clay:a', 20), { do: 'wrap', of: 'clay:b', thickness: 3 }, { do: 'wrap', of: 'clay:c', thickness: 3 }),
      [clay(), light(), clay({ lab: { l: 51, a: 0, b: 0 } })],
    ),
  ).toEqual([]);
});

test('too thick for hands at any step, too thin at the end', () => {
  fc.assert(
    fc.property(mm(2, 160), mm(0.2, 1), (across, share) => {
      const list = steps(log('clay:a', across), { do: 'reduce', to: 'diameter', value: across * share });
      const kinds = said(list, [clay()]);
      expect(kinds.includes('too thick')).toBe(across > TOO_THICK);
      expect(kinds.includes('too thin')).toBe(across * share < TOO_THIN);
    }),
    { numRuns: 15 },
  );
  const thick = found(
    steps(log('clay:a', 120), { do: 'wrap', of: 'clay:a', thickness: 4 }, { do: 'reduce', to: 'diameter', value: 40 }),
    [clay()],
  );
  expect(thick).toEqual([{ kind: 'too thick', step: 2, mm: expect.closeTo(128, 0) as number }]);
});

test('lengths that do not match: of what is reduced to a length; all else is made as long as it has to be', () => {
  const set = (part: Part, diameter: number): string[] =>
    said(steps(log('clay:a', 30, 60), { do: 'insert', part, x: 0, y: 0, diameter, degrees: 0 }), [light(), clay()]);
  const reduced = (value: number): Step[] => steps(log('clay:b', 20, 20), { do: 'reduce', to: 'length', value });
  /** Set into a hole that is so many times as wide as it is thick. */
  const setReduced = (value: number, times: number): string[] => {
    const list = reduced(value);
    return set({ steps: list }, times * acrossOf(last(list, contextOf()).outline));
  };
  for (const length of [15, 50, 60, 200]) expect(set(rod(10, length), 10)).toEqual([]);
  expect(setReduced(60, 1)).toEqual([]);
  expect(setReduced(50, 1)).toEqual(['lengths']);
  // half as thick, four times as long
  expect(setReduced(60, 0.5)).toEqual(['lengths']);
  expect(setReduced(30, Math.SQRT1_2)).toEqual([]);
});

test('no starting point has lengths that do not match, or is more than hands can hold', () => {
  for (const { id, steps: of } of STARTING_POINTS)
    expect([id, said(of(COLOURS), []).filter((kind) => kind === 'lengths' || kind.startsWith('too'))]).toEqual([
      id,
      [],
    ]);
});

test('air between round rods, before they are squeezed', () => {
  expect(
    found(steps(log(), { do: 'across', pieces: 7 }, { do: 'bundle', count: 7, to: { shape: 'round' }, seed: 1 }), [
      clay(),
    ]),
  ).toEqual([{ kind: 'air', step: 3, share: expect.closeTo(0.0931, 4) as number }]);
  expect(said(steps(log(), { do: 'across', pieces: 6 }, { do: 'ring', count: 6, middle: null }), [clay()])).toEqual([
    'air',
  ]);
});

test('clay that is old or crumbles, and lines that bake differently', () => {
  const wrapped = steps(log('clay:a', 30), { do: 'wrap', of: 'clay:b', thickness: 5 });
  expect(said(wrapped, [light({ old: true }), clay()])).toEqual(['old']);
  expect(said(wrapped, [light(), clay({ crumbly: true, old: true })])).toEqual(['crumbly']);
  const baked = (bakeC: number, maxC: number) => ({ bakes: [{ bakeC, maxC }] });
  // as an oven load of both: the highest that none of them forbids
  expect(found(wrapped, [light(baked(110, 125)), clay()])).toEqual([
    { kind: 'bakes', lowest: 110, highest: 130, at: 125 },
  ]);
  expect(found(wrapped, [light(baked(126, 140)), clay()])).toEqual([
    { kind: 'bakes', lowest: 126, highest: 130, at: 130 },
  ]);
  expect(said(wrapped, [light(baked(130, 135)), clay()])).toEqual([]);
  expect(said(wrapped, [light({ bakes: [] }), clay()])).toEqual([]);
  // a clay that is in no step is not judged
  expect(said(steps(log('clay:a', 30)), [light(), clay({ old: true, ...baked(100, 110) })])).toEqual([]);
});
