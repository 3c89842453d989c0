import fc from 'fast-check';
import {
  STARTING_POINTS,
  areaOf,
  beyond,
  contextOf,
  extentOf,
  leftByHands,
  reachOf,
  runSteps,
  taperOf,
  type CaneState,
  type Step,
} from '#core/cane';
import { measured } from '../src/cane/steps/state.js';
import { wobbled } from '../src/cane/steps/wobble.js';
import { circle, rectangle, type Outline } from '../src/cane/outlines/index.js';
import { COLOURS, log, steps, within, type Loose } from './canes.js';

const honest = (seed = 7) => contextOf(undefined, 1, seed);
const last = (list: readonly Step[], context = honest()): CaneState => runSteps(list, context).at(-1)!.state!;

/** How far honest hands move a point of a face, mm. */
function movesOf(
  outline: Outline,
  seed: number,
): (x: number, y: number) => { far: number; to: readonly [number, number] } {
  let to: readonly [number, number] = [0, 0];
  const sample = wobbled(
    (x, y) => {
      to = [x, y];
      return 0;
    },
    outline,
    1,
    honest(seed),
  );
  return (x, y) => {
    sample(x, y);
    return { far: Math.hypot(to[0] - x, to[1] - y), to };
  };
}
const outlines = fc.constantFrom(circle(20), rectangle(20, 20), rectangle(30, 12));
const seeds = fc.integer({ min: 1, max: 500 });

describe('honest hands', () => {
  test('move what lies outside most, and the middle least', () => {
    const ring = (seed: number, from: number, to: number): number => {
      const [move, points] = [movesOf(circle(20), seed), within(circle(20), 4000, seed)];
      const far = points.filter(([x, y]) => Math.hypot(x, y) / 10 >= from && Math.hypot(x, y) / 10 < to);
      return far.reduce((sum, [x, y]) => sum + move(x, y).far, 0) / far.length;
    };
    const all = [1, 2, 3, 4, 5, 6, 7, 8];
    const mean = (from: number, to: number): number => all.reduce((sum, s) => sum + ring(s, from, to), 0) / all.length;
    const [middle, outer] = [mean(0, 0.4), mean(0.6, 0.95)];
    expect(outer).toBeGreaterThan(1.5 * middle);
    // a few hundredths of the 20 mm that it is across
    expect(outer).toBeGreaterThan(0.2);
    expect(outer).toBeLessThan(1.4);
  });

  test('leave the edge where it is, and every point within', () => {
    fc.assert(
      fc.property(outlines, seeds, (outline, seed) => {
        const [move, reach] = [movesOf(outline, seed), reachOf(outline)];
        for (const [x, y] of within(outline, 200, seed)) {
          const { to } = move(x, y);
          expect(beyond(reach, to[0], to[1])).toBeLessThan(1.05);
        }
        const { right } = extentOf(outline);
        expect(move(right, 0).far).toBeLessThan(1e-6);
      }),
      { numRuns: 30 },
    );
  });

  test('move clay and make none: small squares stay as large', () => {
    fc.assert(
      fc.property(outlines, seeds, (outline, seed) => {
        const move = movesOf(outline, seed);
        const h = 1e-3;
        const changes = within(outline, 150, seed).map(([x, y]) => {
          const at = (dx: number, dy: number): readonly [number, number] => move(x + dx, y + dy).to;
          const [a, b, c] = [at(0, 0), at(h, 0), at(0, h)];
          return ((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])) / (h * h);
        });
        const mean = changes.reduce((sum, v) => sum + v, 0) / changes.length;
        // a step along a flow keeps area but for the square of the step
        expect(mean).toBeGreaterThan(0.85);
        expect(mean).toBeLessThan(1.15);
      }),
      { numRuns: 20 },
    );
  });
});

describe('the seam of a wrap', () => {
  const wrapped = (thickness: number): Step[] =>
    steps(log('clay:a', 20, 60), { do: 'wrap', of: 'clay:b', thickness } as Loose);

  test('is a place where the wall is thicker; as much clay is in both', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.8, max: 4, noNaN: true }), seeds, (thickness, seed) => {
        const state = last(wrapped(thickness), honest(seed));
        const share = (material: number): number => measured(state.sample, state.outline).get(material) ?? 0;
        const [core, wall] = [Math.PI * 100, Math.PI * ((10 + thickness) ** 2 - 100)];
        expect(share(0) / core).toBeGreaterThan(0.98);
        expect(share(0) / core).toBeLessThan(1.02);
        expect(share(1) / wall).toBeGreaterThan(0.96);
        expect(share(1) / wall).toBeLessThan(1.04);
        const wallAt = (turn: number): number => {
          let r = 0;
          while (Math.floor(state.sample(r * Math.cos(turn), r * Math.sin(turn))) === 0) r += 0.02;
          return 10 + thickness - r;
        };
        const walls = Array.from({ length: 120 }, (_, i) => wallAt((i / 60) * Math.PI));
        expect(Math.max(...walls)).toBeGreaterThan(thickness * 1.2);
        expect(Math.min(...walls)).toBeGreaterThan(thickness * 0.85);
      }),
      { numRuns: 12 },
    );
  });

  test('steady hands leave none, and no hands at all', () => {
    const bare = last(wrapped(2), contextOf());
    const state = last(wrapped(2), contextOf(undefined, 0, 3));
    for (const [x, y] of within(bare.outline, 300, 5)) expect(state.sample(x, y)).toBe(bare.sample(x, y));
  });
});

describe('rolled and not pressed since', () => {
  const squareOf = (...then: Loose[]): Step[] =>
    steps({ do: 'block', of: 'clay:a', width: 20, height: 20, length: 40 }, ...then);
  const reduced: Loose = { do: 'reduce', to: 'diameter', value: 10 } as Loose;
  const seen = (list: readonly Step[], wobble: number): CaneState | null => {
    const context = contextOf(undefined, wobble, 7);
    return leftByHands(runSteps(list, context), list.length - 1, context);
  };

  test.each([0.2, 0.35, 0.7, 1])(
    'a square has round corners, the same area and the same clay, for hands of %d',
    (w) => {
      const [square, round] = [seen(squareOf(reduced), 0)!, seen(squareOf(reduced), w)!];
      const corner = (state: CaneState): number => Math.max(...state.outline.points.map(([x, y]) => Math.hypot(x, y)));
      expect(areaOf(round.outline)).toBeCloseTo(areaOf(square.outline), 6);
      expect(corner(round)).toBeLessThan(corner(square) * (1 - 0.05 * w));
      expect(extentOf(round.outline).width).toBeLessThan(extentOf(square.outline).width * 1.06);
      expect(round.amounts).toEqual(square.amounts);
    },
  );

  test('what is pressed afterwards, round, or by no hands keeps its edge', () => {
    const pressed = squareOf(reduced, { do: 'press', to: { shape: 'triangle' }, turn: 0 } as Loose);
    expect(seen(pressed, 1)?.outline.points).toHaveLength(3);
    expect(seen(squareOf(reduced), 0)?.outline.points).toHaveLength(4);
    const log20 = steps(log('clay:a', 20, 60), reduced);
    expect(seen(log20, 1)?.outline).toEqual(seen(log20, 0)?.outline);
    expect(leftByHands([], 0, honest())).toBeNull();
  });

  test('tapers by hands that differ: the same clay, and more the further it is reduced', () => {
    const mm = fc.double({ min: 2, max: 90, noNaN: true });
    fc.assert(
      fc.property(mm, fc.double({ min: 1.1, max: 60, noNaN: true }), (across, longer) => {
        const { thin, thick } = taperOf(across, longer, 1)!;
        expect(thin).toBeLessThan(across);
        expect(thick).toBeGreaterThan(across);
        // a cone cut off: π / 12 · (a² + ab + b²) by its length
        expect((thin ** 2 + thin * thick + thick ** 2) / 3 / across ** 2).toBeCloseTo(1, 9);
        expect(taperOf(across, 2 * longer, 1)!.thick).toBeGreaterThan(thick);
      }),
    );
    expect([taperOf(20, 1, 1), taperOf(20, 9, 0)]).toEqual([null, null]);
  });
});

test('starting points keep their clay in honest hands', () => {
  // those in which most is wrapped and reduced
  const some = STARTING_POINTS.filter(({ id }) => ['beetroot-ring', 'speckle', 'corn-bundle', 'radish'].includes(id));
  expect(some).toHaveLength(4);
  for (const start of some) {
    const [by, bare] = [last(start.steps(COLOURS)), last(start.steps(COLOURS), contextOf())];
    const [one, other] = [measured(by.sample, by.outline), measured(bare.sample, bare.outline)];
    const whole = [...other.values()].reduce((sum, v) => sum + v, 0);
    for (const [material, area] of other)
      expect([start.id, Math.abs((one.get(material) ?? 0) - area) / whole < 0.06]).toEqual([start.id, true]);
  }
});
