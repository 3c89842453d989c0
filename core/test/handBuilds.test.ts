import fc from 'fast-check';
import {
  areaOf,
  beyond,
  directionsApart,
  extentOf,
  planBackwards,
  reachOf,
  readProgram,
  sidesOf,
  spreadEvenly,
  tipOf,
  type CaneState,
  type Part,
  type Point,
} from '#core/cane';
import { last, log, refusal, steps, withoutEnds, within, type Loose } from './canes.js';

const sum = (values: Iterable<number>): number => [...values].reduce((a, b) => a + b, 0);
const volume = ({ outline, length, count }: CaneState): number => areaOf(outline) * length * count;
const part = (...all: readonly Loose[]): Part => ({ steps: steps(...all) });
const rod = (of: string, diameter: number, length: number): Part => part(log(of, diameter, length));
const size = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const degrees = fc.integer({ min: -180, max: 180 });
/** Two colours, the one half as high as the other: which way it lies can be seen. */
const twoTone = (width: number, height: number, length: number): Loose => ({
  do: 'loaf',
  layers: [
    { of: 'clay:a', thickness: height / 3 },
    { of: 'clay:b', thickness: (2 * height) / 3 },
  ],
  times: 1,
  width,
  length,
});
/** Places that a face is counted at, few or many, and the shares by which they go on: spread evenly (M. Roberts). */
const [FEW, MANY] = [25_000, 200_000];
const [ACROSS, UP] = [0.7548776662466927, 0.5698402909980532];

/** A difference that few places can show: what is larger is counted again at many. */
const COARSE = 0.0015;

/** What a face shows, counted, and what it is said to hold, differ at the most by this share of it. */
function worstOff(state: CaneState): number {
  const few = worstOffAt(state, FEW);
  return few < COARSE ? few : worstOffAt(state, MANY);
}

function worstOffAt({ outline, sample, amounts }: CaneState, places: number): number {
  const [box, reach, counts] = [extentOf(outline), reachOf(outline), new Map<number, number>()];
  let whole = 0;
  for (let i = 1; i <= places; i++) {
    const x = box.left + ((i * ACROSS) % 1) * box.width;
    const y = box.bottom + ((i * UP) % 1) * box.height;
    if (beyond(reach, x, y) > 1) continue;
    const index = Math.floor(sample(x, y));
    counts.set(index, (counts.get(index) ?? 0) + 1);
    whole++;
  }
  const keys = [...new Set([...counts.keys(), ...amounts.keys()])];
  return Math.max(...keys.map((k) => Math.abs((counts.get(k) ?? 0) / whole - (amounts.get(k) ?? 0) / areaOf(outline))));
}

const fans = fc.record({ count: fc.integer({ min: 2, max: 9 }), mirrored: fc.boolean(), ratio: size(0.5, 3) });
/** The new joins, each on pieces of its own, so that all clay is known. */
const joins: fc.Arbitrary<readonly Loose[]> = fc.oneof(
  fans.map((f): Loose[] => [twoTone(14, 12, 90), { do: 'across', pieces: f.count }, { do: 'fan', ...f }]),
  fans.map((f): Loose[] => [
    twoTone(14, 12, 90),
    { do: 'across', pieces: f.count },
    { do: 'fan', ...f, others: [rod('clay:c', 11, 90 / f.count), rod('clay:d', 6, 60)] },
  ]),
  fc
    .record({ count: fc.integer({ min: 3, max: 9 }), mirrored: fc.boolean(), corner: degrees })
    .map((p): Loose[] => [
      twoTone(14, 12, 90),
      { do: 'across', pieces: p.count },
      { do: 'pie', ...p, others: [rod('clay:c', 9, 40)] },
    ]),
  fc
    .record({ count: fc.integer({ min: 2, max: 8 }), more: fc.integer({ min: 1, max: 6 }) })
    .map((r): Loose[] => [
      log('clay:a', 8, 90),
      { do: 'across', pieces: r.count },
      {
        do: 'ring',
        count: r.count,
        middle: rod('clay:b', 12, 20),
        others: [{ part: rod('clay:c', 7, 20), count: r.more }],
      },
    ]),
  fc
    .record({ side: degrees, turned: fc.constantFrom('mirror' as const, 'half' as const) })
    .map((p): Loose[] => [
      twoTone(14, 12, 90),
      { do: 'press', to: { shape: 'triangle' }, turn: 20 },
      { do: 'across', pieces: 2 },
      { do: 'pair', ...p },
    ]),
  fc
    .record({
      from: degrees,
      far: fc.integer({ min: 20, max: 300 }),
      thickness: size(0.3, 3),
      form: fc.constantFrom('sheet' as const, 'snake' as const),
    })
    .map(({ from, far, thickness, form }): Loose[] => [
      twoTone(20, 18, 60),
      { do: 'edge', of: 'clay:c', thickness, from, to: from + far, form },
    ]),
  size(1.6, 4).map((ratio): Loose[] => [
    log('clay:a', 20, 60),
    { do: 'squeeze', factor: Math.sqrt(ratio) },
    { do: 'stack', side: 'top', part: part(twoTone(20 * Math.sqrt(ratio), 5, 60)) },
  ]),
);

describe('the new joins', () => {
  test('show in 200 random programs what they hold, within 0.25 % of the face', () => {
    fc.assert(
      fc.property(joins, (list) => {
        const state = last(steps(...list));
        expect(sum(state.amounts.values()) / areaOf(state.outline)).toBeCloseTo(1, 9);
        expect(worstOff(state)).toBeLessThan(0.0025);
      }),
      { numRuns: 200, seed: 20261127 },
    );
  });

  test('planned backwards, have all clay that goes in either in slices or left over', () => {
    fc.assert(
      fc.property(joins, (list) => {
        const all = steps(...list);
        const wanted = { slices: 30, thickness: 2 };
        const plan = planBackwards(all, wanted, withoutEnds());
        const slices = areaOf(last(all).outline) * wanted.slices * wanted.thickness;
        const left = sum(plan.offcuts.map((o) => sum(o.volumes.values())));
        expect(sum(plan.volumes.values()) / (slices + left)).toBeCloseTo(1, 6);
      }),
      { numRuns: 30, seed: 7 },
    );
  });

  test('are read again as they were written', () => {
    fc.assert(
      fc.property(joins, (list) => {
        const program = { version: 1 as const, steps: steps(...list) };
        expect(readProgram(JSON.parse(JSON.stringify(program)))).toEqual(program);
      }),
      { numRuns: 30 },
    );
  });
});

describe('a fan of wedges', () => {
  test('has the clay of its pieces, the triangle as wide as asked, and every wedge from the base to the tip', () => {
    fc.assert(
      fc.property(fans, (f) => {
        const before = last(steps(log('clay:a', 16, 90), { do: 'across', pieces: f.count }));
        const after = last(steps(log('clay:a', 16, 90), { do: 'across', pieces: f.count }, { do: 'fan', ...f }));
        expect(volume(after)).toBeCloseTo(volume(before), 6);
        const box = extentOf(after.outline);
        expect(box.width / box.height).toBeCloseTo(f.ratio, 9);
      }),
    );
  });

  test('of quarters has the middle of the round in its tip', () => {
    const bullseye: Loose[] = [log('clay:a', 6, 40), { do: 'wrap', of: 'clay:b', thickness: 9 }];
    const quarters: Loose[] = [...bullseye, { do: 'split', parts: 4, degrees: 20 }];
    const state = last(steps(...quarters, { do: 'fan', count: 4, mirrored: false, ratio: 1 }));
    const { top, bottom, height } = extentOf(state.outline);
    expect(state.sample(0, top - 0.05 * height)).toBe(0);
    expect(state.sample(0, bottom + 0.05 * height)).toBe(1);
  });

  test('mirrored, is the same on both sides of each joint', () => {
    const state = last(
      steps(
        twoTone(14, 12, 90),
        { do: 'across', pieces: 4 },
        { do: 'fan', count: 4, mirrored: true, ratio: 2, tip: 30 },
      ),
    );
    const { bottom, height, width } = extentOf(state.outline);
    for (const share of [0.1, 0.3, 0.5]) {
      const y = bottom + share * height;
      const each = ((1 - share) * width) / 4;
      for (const joint of [-1, 0, 1])
        expect(state.sample(joint * each + 0.1 * each, y)).toBe(state.sample(joint * each - 0.1 * each, y));
    }
  });

  test('needs as many pieces as it has wedges', () => {
    expect(refusal(() => last(steps(log(), { do: 'fan', count: 3, mirrored: false, ratio: 1 })))).toBe('cane/pieces');
  });
});

describe('sides and tips', () => {
  test('a side runs on over corners that are none', () => {
    const block = last(steps({ do: 'block', of: 'clay:a', width: 20, height: 10, length: 30 }));
    expect(
      sidesOf(block.outline)
        .map((s) => Math.round(s.outwards))
        .sort((a, b) => a - b),
    ).toEqual([0, 90, 180, 270]);
    const pressed = last(steps(log(), { do: 'press', to: { shape: 'triangle' }, turn: 0 }));
    expect(sidesOf(pressed.outline)).toHaveLength(3);
  });

  test.each([0, 45, 130, -100])('a quarter cut from %d degrees on has its tip where the middle was', (from) => {
    const quarter = last(steps(log(), { do: 'split', parts: 4, degrees: from }));
    expect(directionsApart(tipOf(quarter.outline), from + 45 + 180)).toBeCloseTo(0, 3);
  });
});

describe('two joined along a side that was chosen', () => {
  test.each([
    ['right', 0, 0],
    ['left', 180, 0],
    ['top', 90, 1],
    ['bottom', 270, 1],
  ])('a block along its side at the %s', (_, side, axis) => {
    const before: Loose[] = [twoTone(20, 9, 60), { do: 'across', pieces: 2 }];
    const state = last(steps(...before, { do: 'pair', turned: 'mirror', side }));
    const { width, height } = extentOf(state.outline);
    expect([width, height]).toEqual(
      axis === 0 ? [expect.closeTo(40, 6), expect.closeTo(9, 6)] : [expect.closeTo(20, 6), expect.closeTo(18, 6)],
    );
    // mirrored: the same on both sides of the joint
    for (const [x, y] of within(state.outline, 200, 3)) {
      const other: Point = axis === 0 ? [-x, y] : [x, -y];
      expect(state.sample(x, y)).toBe(state.sample(...other));
    }
  });

  test('a piece that juts out over its side is refused, and so is a round one', () => {
    const bay: Loose = {
      do: 'template',
      length: 30,
      regions: [
        {
          id: 'g',
          name: 'ground',
          fill: { of: 'clay:a' },
          points: [
            [-10, -10],
            [10, -10],
            [10, 10],
            [6, 8],
            [-6, 8],
            [-10, 10],
          ],
        },
      ],
    };
    const two: Loose = { do: 'across', pieces: 2 };
    expect(refusal(() => last(steps(bay, two, { do: 'pair', turned: 'mirror', side: 90 })))).toBe('cane/base');
    expect(refusal(() => last(steps(log(), two, { do: 'pair', turned: 'mirror', side: 90 })))).toBe('cane/base');
  });
});

describe('clay along a stretch', () => {
  test('a sheet on the side of a block is as much clay as its length times its thickness', () => {
    const block: Loose = { do: 'block', of: 'clay:a', width: 40, height: 20, length: 50 };
    const state = last(steps(block, { do: 'edge', of: 'clay:b', thickness: 1, from: 60, to: 120, form: 'sheet' }));
    // from 60 to 120 degrees, the upper side 10 mm above the middle: 2 × 10 / tan 60° = 11.55 mm below and a tenth
    // more above, cut towards the middle; both ends run out over 1 mm
    const long = 20 / Math.tan(Math.PI / 3);
    expect(state.amounts.get(1)).toBeCloseTo(1.05 * (long - 1), 1);
    expect(extentOf(state.outline).height).toBeCloseTo(21, 1);
    expect(extentOf(state.outline).width).toBeCloseTo(40, 6);
  });

  test('what is planned is a sheet of that area, or a snake', () => {
    const ask = (form: 'sheet' | 'snake') =>
      planBackwards(
        steps(log('clay:a', 20, 60), { do: 'edge', of: 'clay:b', thickness: 2, from: 0, to: 180, form }),
        { slices: 10, thickness: 3 },
        withoutEnds(),
      );
    for (const form of ['sheet', 'snake'] as const) {
      const { wraps, volumes } = ask(form);
      const [wrap] = wraps;
      const cross = wrap?.snake ? (Math.PI * wrap.thickness ** 2) / 4 : (wrap?.thickness ?? 0) * (wrap?.width ?? 0);
      expect(cross * (wrap?.length ?? 0)).toBeCloseTo(volumes.get('clay:b') ?? 0, 6);
      expect(wrap?.length).toBeCloseTo(30, 6);
    }
  });

  test('no stretch, or all of it, is refused', () => {
    for (const to of [10, 370])
      expect(
        refusal(() => last(steps(log(), { do: 'edge', of: 'clay:b', thickness: 1, from: 10, to, form: 'sheet' }))),
      ).toBe('cane/stretch');
  });
});

describe('a flattened log', () => {
  test('lies in a stack with its flat side: as wide as before, its round ends pressed square', () => {
    const flat: Loose[] = [log('clay:a', 20, 60), { do: 'squeeze', factor: 2 }];
    const { width } = extentOf(last(steps(...flat)).outline);
    const on: Loose = {
      do: 'stack',
      side: 'top',
      part: part({ do: 'block', of: 'clay:b', width, height: 4, length: 60 }),
    };
    const state = last(steps(...flat, on));
    const box = extentOf(state.outline);
    expect(box.width).toBeCloseTo(width, 6);
    expect(box.height).toBeCloseTo((Math.PI * 100) / width + 4, 6);
  });

  test('halved and stacked, too; one that is still round is refused', () => {
    const halve: Loose = { do: 'halve', times: 1, side: 'top' };
    const flat = last(steps(log('clay:a', 20, 60), { do: 'squeeze', factor: 2 }, halve));
    expect(volume(flat)).toBeCloseTo(Math.PI * 100 * 60, 6);
    expect(refusal(() => last(steps(log(), halve)))).toBe('cane/straight');
  });
});

test('a ring takes other rods among its own, as evenly as they go', () => {
  const state = last(
    steps(
      log('clay:a', 8, 90),
      { do: 'across', pieces: 3 },
      { do: 'ring', count: 3, middle: null, others: [{ part: rod('clay:b', 8, 30), count: 3 }] },
    ),
  );
  const radius = 0.8 * extentOf(state.outline).right;
  const seen = Array.from({ length: 6 }, (_, i) =>
    state.sample(radius * Math.cos((i * Math.PI) / 3), radius * Math.sin((i * Math.PI) / 3)),
  );
  expect(seen).toEqual([0, 1, 0, 1, 0, 1]);
});

test('kinds are spread so that no two of one lie side by side where that can be', () => {
  expect(spreadEvenly([3, 1, 1, 1]).filter((_, i) => i % 2 === 0)).toEqual([0, 0, 0]);
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 1, maxLength: 5 }), (counts) => {
      const spread = spreadEvenly(counts);
      counts.forEach((n, k) => {
        expect(spread.filter((x) => x === k)).toHaveLength(n);
      });
    }),
  );
});
