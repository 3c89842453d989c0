import fc from 'fast-check';
import { deltaE, joined, labOf, mixPigments, mixThree, pigmentOf, type Pigment } from '#core/colour';
import { choleskyInPlace, choleskyInverse, choleskySolve } from '#core/linear';
import { normalFrom, seedOf, seeded } from '#core/units';

const hex = fc.integer({ min: 0x080808, max: 0xf8f8f8 }).map((n) => n.toString(16).padStart(6, '0'));
const pigment: fc.Arbitrary<Pigment> = fc.tuple(hex, fc.constantFrom(0.06, 0.4, 1, 3)).map(([h, s]) => pigmentOf(h, s));
const volume = fc.double({ min: 0.05, max: 12, noNaN: true });
const mix = fc.array(fc.tuple(pigment, volume), { minLength: 1, maxLength: 7 });
const labOfMix = (list: readonly (readonly [Pigment, number])[]) =>
  labOf(
    mixPigments(
      list.map(([p]) => p),
      list.map(([, v]) => v),
    ),
  );

describe('mixing', () => {
  test('the order of the clays and the size of the batch change no colour', () => {
    fc.assert(
      fc.property(mix, fc.double({ min: 0.01, max: 100, noNaN: true }), (list, times) => {
        const lab = labOfMix(list);
        expect(deltaE(labOfMix([...list].reverse()), lab)).toBeLessThan(1e-6);
        expect(deltaE(labOfMix(list.map(([p, v]) => [p, v * times] as const)), lab)).toBeLessThan(1e-6);
      }),
      { numRuns: 60 },
    );
  });

  test('a mix of mixes is the mix of all of it', () => {
    fc.assert(
      fc.property(mix, mix, volume, (one, other, v) => {
        const whole = (list: typeof one): number => list.reduce((sum, [, own]) => sum + own, 0);
        const as = (list: typeof one): Pigment =>
          joined(
            list.map(([p]) => p),
            list.map(([, own]) => own / whole(list)),
          );
        const nested = labOfMix([
          [as(one), 1],
          [as(other), v],
        ]);
        const flat = labOfMix([
          ...one.map(([p, own]) => [p, own / whole(one)] as const),
          ...other.map(([p, own]) => [p, (v * own) / whole(other)] as const),
        ]);
        expect(deltaE(nested, flat)).toBeLessThan(1e-6);
      }),
      { numRuns: 60 },
    );
  });

  test('what has no volume has no part in it, and a clay with itself is that clay', () => {
    fc.assert(
      fc.property(pigment, pigment, volume, (p, q, v) => {
        const alone = labOfMix([[p, 1]]);
        expect(
          deltaE(
            labOfMix([
              [p, v],
              [q, 0],
            ]),
            alone,
          ),
        ).toBeLessThan(1e-9);
        expect(deltaE(labOf(mixThree(p, v, q, 0, q, 0)), alone)).toBeLessThan(1e-9);
        expect(
          deltaE(
            labOfMix([
              [p, v],
              [p, 2],
              [p, 1],
              [p, 3],
            ]),
            alone,
          ),
        ).toBeLessThan(1e-6);
      }),
      { numRuns: 60 },
    );
  });
});

describe('systems of equations', () => {
  /** A positive definite matrix: a square of any matrix, and something on its diagonal. */
  const definite = fc.integer({ min: 1, max: 9 }).chain((n) =>
    fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: n * n, maxLength: n * n }).map((b) => {
      const a = new Float64Array(n * n);
      for (let i = 0; i < n; i++)
        for (let j = 0; j < n; j++) {
          let sum = i === j ? 0.5 : 0;
          for (let k = 0; k < n; k++) sum += (b[i * n + k] ?? 0) * (b[j * n + k] ?? 0);
          a[i * n + j] = sum;
        }
      return { a, n };
    }),
  );

  test('the triangle solves what it came from, and its inverse undoes it', () => {
    fc.assert(
      fc.property(definite, ({ a, n }) => {
        const triangle = a.slice();
        expect(choleskyInPlace(triangle, n)).toBe(true);
        const wanted = Float64Array.from({ length: n }, (_, i) => i - 1.5);
        const right = Float64Array.from({ length: n }, (_, i) =>
          wanted.reduce((sum, x, k) => sum + (a[i * n + k] ?? 0) * x, 0),
        );
        choleskySolve(triangle, n, right);
        right.forEach((x, i) => {
          expect(x).toBeCloseTo(wanted[i] ?? NaN, 5);
        });
        const inverse = choleskyInverse(triangle, n);
        for (let i = 0; i < n; i++)
          for (let j = 0; j < n; j++) {
            let sum = 0;
            for (let k = 0; k < n; k++) sum += (a[i * n + k] ?? 0) * (inverse[k * n + j] ?? 0);
            expect(sum).toBeCloseTo(i === j ? 1 : 0, 5);
          }
      }),
      { numRuns: 60 },
    );
  });

  test('what is not positive definite is said, not solved', () => {
    expect(choleskyInPlace(Float64Array.of(1, 2, 2, 1), 2)).toBe(false);
    expect(choleskyInPlace(Float64Array.of(0), 1)).toBe(false);
    expect(choleskyInPlace(Float64Array.of(NaN), 1)).toBe(false);
  });
});

describe('chance with a seed', () => {
  test('is the same every time for a seed, another for another, and between 0 and 1', () => {
    const draw = (seed: number): number[] => {
      const next = seeded(seed);
      return Array.from({ length: 50 }, next);
    };
    fc.assert(
      fc.property(fc.nat(), (seed) => {
        expect(draw(seed)).toEqual(draw(seed));
        expect(draw(seed)).not.toEqual(draw(seed + 1));
        expect(draw(seed).every((x) => x >= 0 && x < 1)).toBe(true);
      }),
      { numRuns: 30 },
    );
    expect(seedOf('Beetroot')).toBe(seedOf('Beetroot'));
    expect(seedOf('Beetroot')).not.toBe(seedOf('Radish'));
  });

  test('normal deviates have mean 0 and standard deviation 1', () => {
    const normal = normalFrom(seeded(5));
    const all = Array.from({ length: 20_000 }, normal);
    const mean = all.reduce((a, b) => a + b, 0) / all.length;
    expect(Math.abs(mean)).toBeLessThan(0.03);
    expect(Math.sqrt(all.reduce((s, x) => s + (x - mean) ** 2, 0) / all.length)).toBeCloseTo(1, 1);
  });
});
