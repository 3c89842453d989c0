import fc from 'fast-check';
import { areaOf, begunAt, contextOf, extentOf, planBackwards, readProgram, usable, type CaneState } from '#core/cane';
import { last, refusal, steps, withoutEnds, type Loose } from './canes.js';

const loaf = (times = 1, width = 40, length = 60): Loose => ({
  do: 'loaf',
  layers: [
    { of: 'clay:a', thickness: 3 },
    { of: 'clay:b', thickness: 2 },
  ],
  times,
  width,
  length,
});
const volume = ({ outline, length, count }: CaneState): number => areaOf(outline) * length * count;
const sum = (values: Iterable<number>): number => [...values].reduce((a, b) => a + b, 0);

/** Materials that a line from the bottom to the top goes through, one after the other. */
function stripes({ outline, sample }: CaneState): number[] {
  const { bottom, height } = extentOf(outline);
  const seen: number[] = [];
  for (let i = 0; i < 4000; i++) {
    const index = Math.floor(sample(0, bottom + ((i + 0.5) / 4000) * height));
    if (seen.at(-1) !== index) seen.push(index);
  }
  return seen;
}

const height = fc.double({ min: 0.05, max: 0.95, noNaN: true });

describe('rolling a stack through the machine', () => {
  test('keeps all clay: as much longer and wider as it is thinner', () => {
    fc.assert(
      fc.property(
        height,
        fc.double({ min: 1, max: 4, noNaN: true }),
        fc.integer({ min: 1, max: 4 }),
        (share, wider, times) => {
          const before = last(steps(loaf(times)));
          const to = extentOf(before.outline).height * share;
          const roll: Loose = { do: 'thin', through: [to], wider };
          if (share * wider > 1) {
            expect(refusal(() => last(steps(loaf(times), roll)))).toBe('cane/wider');
            return;
          }
          const after = last(steps(loaf(times), roll));
          expect(volume(after)).toBeCloseTo(volume(before), 6);
          const box = extentOf(after.outline);
          expect(box.height).toBeCloseTo(to, 9);
          expect(box.width).toBeCloseTo(40 * wider, 9);
          expect(after.length * box.width * box.height).toBeCloseTo(before.length * 40 * 5 * times, 6);
          expect(stripes(after)).toEqual(stripes(before));
          expect(sum(after.amounts.values())).toBeCloseTo(areaOf(after.outline), 6);
        },
      ),
    );
  });

  test('comes to the same by one setting as by several', () => {
    const one = last(steps(loaf(), { do: 'thin', through: [1.2] }));
    const several = last(steps(loaf(), { do: 'thin', through: [4, 2.4, 1.2] }));
    expect([several.length, areaOf(several.outline)]).toEqual([
      expect.closeTo(one.length, 9),
      expect.closeTo(areaOf(one.outline), 9),
    ]);
    // 5 mm to 1.2 mm, no wider: 60 mm become 250 mm
    expect(one.length).toBeCloseTo(250, 9);
  });

  test('is refused where a setting is no thinner than the stack by then, and of what has no straight sides', () => {
    expect(refusal(() => last(steps(loaf(), { do: 'thin', through: [6] })))).toBe('cane/thicker');
    expect(refusal(() => last(steps(loaf(), { do: 'thin', through: [2, 3] })))).toBe('cane/thicker');
    const round: Loose = { do: 'log', of: 'clay:a', diameter: 20, length: 50 };
    expect(refusal(() => last(steps(round, { do: 'thin', through: [2] })))).toBe('cane/straight');
  });
});

describe('halving and stacking', () => {
  test('doubles the stripes each time, and all clay stays', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), fc.constantFrom('top' as const, 'right' as const), (times, side) => {
        const before = last(steps(loaf()));
        const after = last(steps(loaf(), { do: 'halve', times, side }));
        expect(volume(after)).toBeCloseTo(volume(before), 6);
        expect(after.length).toBeCloseTo(60 / 2 ** times, 9);
        expect(stripes(after)).toHaveLength(side === 'top' ? 2 * 2 ** times : 2);
        const box = extentOf(after.outline);
        const copies = 2 ** times;
        expect([box.width, box.height]).toEqual(
          side === 'top'
            ? [expect.closeTo(40, 9), expect.closeTo(5 * copies, 9)]
            : [expect.closeTo(40 * copies, 9), expect.closeTo(5, 9)],
        );
      }),
    );
  });

  test('is what cutting across and joining in rows makes of it', () => {
    const halved = last(steps(loaf(), { do: 'halve', times: 3, side: 'top' }));
    const joined = last(steps(loaf(), { do: 'across', pieces: 8 }, { do: 'grid', rows: 8, columns: 1, turns: 'none' }));
    expect(halved.outline).toEqual(joined.outline);
    expect(halved.length).toBeCloseTo(joined.length, 9);
    for (let y = -19.9; y < 20; y += 0.37) expect(halved.sample(3, y)).toBe(joined.sample(3, y));
  });

  test('is refused of what is round, and more than eight times', () => {
    const round: Loose = { do: 'log', of: 'clay:a', diameter: 20, length: 50 };
    expect(refusal(() => last(steps(round, { do: 'halve', times: 1, side: 'top' })))).toBe('cane/straight');
    expect(refusal(() => last(steps(loaf(), { do: 'halve', times: 9, side: 'top' })))).toBe('cane/count');
  });
});

/** The usual stripe loaf: rolled thinner, cut in half, stacked, and again. */
const STRIPED = steps(
  loaf(1, 60, 80),
  { do: 'thin', through: [4, 2.5] },
  { do: 'halve', times: 1, side: 'top' },
  { do: 'thin', through: [3] },
  { do: 'halve', times: 2, side: 'top' },
);

test('backwards from the slices: clay that goes in is in the slices or left over', () => {
  for (const context of [withoutEnds(), contextOf()]) {
    const plan = planBackwards(STRIPED, { slices: 30, thickness: 2 }, context);
    const face = areaOf(last(STRIPED).outline);
    const left = sum(plan.offcuts.flatMap((o) => [...o.volumes.values()]));
    expect(sum(plan.volumes.values())).toBeCloseTo(30 * 2 * face + left, 4);
    const [start] = plan.starts;
    expect((start?.length ?? 0) * (start?.count ?? 0) * 60 * 5).toBeCloseTo(sum(plan.volumes.values()), 4);
    expect(plan.stages.every((s) => usable(s) > 0)).toBe(true);
  }
});

test('begun half as large, the sheets and the settings are half as thick', () => {
  const [, thin] = begunAt(STRIPED, 0.5);
  expect(thin).toMatchObject({ do: 'thin', through: [2, 1.25] });
  const [whole, half] = [last(STRIPED), last(begunAt(STRIPED, 0.5))];
  expect(areaOf(half.outline)).toBeCloseTo(areaOf(whole.outline) / 4, 6);
});

test.each([
  [{ do: 'thin', through: [] }],
  [{ do: 'thin', through: [1], wider: 0.5 }],
  [{ do: 'thin' }],
  [{ do: 'halve', times: 0, side: 'top' }],
  [{ do: 'halve', times: 1, side: 'left' }],
  [{ do: 'halve', times: 1.5, side: 'top' }],
])('%j is no step', (step) => {
  const program = { version: 1, steps: [...steps(loaf()), { id: 'x', ...step }] };
  expect(refusal(() => readProgram(program))).toBe('cane/format');
});
