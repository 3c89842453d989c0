import fc from 'fast-check';
import { differenceCiede2000 } from 'culori';
import {
  BANDS,
  ciede2000,
  formsOf,
  labBoxOf,
  labOf,
  leastDeltaE,
  reflectanceOf,
  regionAround,
  WEIGHTS,
  WHITE,
  xyzOfLab,
  type Lab,
} from '#core/colour';

const lab = fc.record({
  l: fc.double({ min: 0, max: 100, noNaN: true }),
  a: fc.double({ min: -90, max: 90, noNaN: true }),
  b: fc.double({ min: -90, max: 90, noNaN: true }),
});
const between = ([x, y]: readonly [number, number], t: number): number => x + (y - x) * t;
const share = fc.double({ min: 0, max: 1, noNaN: true });

describe('ΔE00', () => {
  test('is that of the package culori', () => {
    const reference = differenceCiede2000();
    fc.assert(
      fc.property(lab, lab, (p, q) => {
        expect(ciede2000(p.l, p.a, p.b, q.l, q.a, q.b)).toBeCloseTo(
          reference({ mode: 'lab65', ...p }, { mode: 'lab65', ...q }),
          6,
        );
      }),
      { numRuns: 500 },
    );
  });

  // G. Sharma, W. Wu, E. N. Dalal, "The CIEDE2000 color-difference formula" (2005), table 1
  test.each<[Lab, Lab, number]>([
    [{ l: 50, a: 2.6772, b: -79.7751 }, { l: 50, a: 0, b: -82.7485 }, 2.0425],
    [{ l: 50, a: -1.3802, b: -84.2814 }, { l: 50, a: 0, b: -82.7485 }, 1],
    [{ l: 50, a: 2.5, b: 0 }, { l: 50, a: 0, b: -2.5 }, 4.3065],
    [{ l: 50, a: 2.49, b: -0.001 }, { l: 50, a: -2.49, b: 0.0011 }, 7.2195],
    [{ l: 60.2574, a: -34.0099, b: 36.2677 }, { l: 60.4626, a: -34.1751, b: 39.4387 }, 1.2644],
    [{ l: 2.0776, a: 0.0795, b: -1.135 }, { l: 0.9033, a: -0.0636, b: -0.5514 }, 0.9082],
  ])('%p %p', (p, q, expected) => {
    expect(ciede2000(p.l, p.a, p.b, q.l, q.a, q.b)).toBeCloseTo(expected, 4);
  });
});

describe('bounds', () => {
  test('no colour of a box is nearer than the bound says', () => {
    fc.assert(
      fc.property(
        lab,
        lab,
        lab,
        fc.array(fc.tuple(share, share, share), { minLength: 8, maxLength: 8 }),
        (target, p, q, inside) => {
          const low = { l: Math.min(p.l, q.l), a: Math.min(p.a, q.a), b: Math.min(p.b, q.b) };
          const high = { l: Math.max(p.l, q.l), a: Math.max(p.a, q.a), b: Math.max(p.b, q.b) };
          const bound = leastDeltaE(target, { low, high });
          const nearest: Lab = {
            l: Math.min(high.l, Math.max(low.l, target.l)),
            a: Math.min(high.a, Math.max(low.a, target.a)),
            b: Math.min(high.b, Math.max(low.b, target.b)),
          };
          for (const x of [
            nearest,
            ...inside.map(([i, j, k]) => ({
              l: between([low.l, high.l], i),
              a: between([low.a, high.a], j),
              b: between([low.b, high.b], k),
            })),
          ]) {
            expect(bound).toBeLessThanOrEqual(ciede2000(target.l, target.a, target.b, x.l, x.a, x.b) + 1e-9);
          }
        },
      ),
      { numRuns: 2000 },
    );
  });

  test('every colour nearer than a limit lies in the region about the target', () => {
    fc.assert(
      fc.property(
        lab,
        fc.double({ min: 0.01, max: 30, noNaN: true }),
        fc.array(fc.tuple(share, share, share), { minLength: 20, maxLength: 20 }),
        (target, limit, directions) => {
          const forms = formsOf(target);
          const region = regionAround(forms, limit);
          for (const direction of directions) {
            const [dl, da, db] = direction.map((t) => t - 0.5) as [number, number, number];
            // as far as one gets in that direction: colours just inside the limit are the ones that could be lost
            let [near, far] = [0, 400];
            for (let i = 0; i < 40; i++) {
              const t = (near + far) / 2;
              const d = ciede2000(
                target.l,
                target.a,
                target.b,
                target.l + t * dl,
                target.a + t * da,
                target.b + t * db,
              );
              if (d < limit) near = t;
              else far = t;
            }
            const colour = { l: target.l + near * dl, a: target.a + near * da, b: target.b + near * db };
            const { x, y, z } = xyzOfLab(colour);
            const values = [y, x / WHITE.x - forms.slopes[0] * y, z / WHITE.z - forms.slopes[1] * y];
            values.forEach((value, form) => {
              expect(value).toBeGreaterThanOrEqual((region[form]?.[0] ?? 0) - 1e-9);
              expect(value).toBeLessThanOrEqual((region[form]?.[1] ?? 0) + 1e-9);
            });
          }
        },
      ),
      { numRuns: 300 },
    );
  });

  const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => n.toString(16).padStart(6, '0'));
  test('every curve between two curves has its colour in their box', () => {
    fc.assert(
      fc.property(
        hex,
        hex,
        fc.array(fc.array(share, { minLength: BANDS, maxLength: BANDS }), { minLength: 4, maxLength: 4 }),
        (one, other, inside) => {
          const [p, q] = [reflectanceOf(one), reflectanceOf(other)];
          const low = p.map((r, i) => Math.min(r, q[i] ?? 0));
          const high = p.map((r, i) => Math.max(r, q[i] ?? 0));
          const box = labBoxOf(low, high);
          for (const mix of inside) {
            let [x, y, z] = [0, 0, 0];
            mix.forEach((t, i) => {
              const r = between([low[i] ?? 0, high[i] ?? 0], t);
              x += (WEIGHTS[i] ?? 0) * r;
              y += (WEIGHTS[BANDS + i] ?? 0) * r;
              z += (WEIGHTS[2 * BANDS + i] ?? 0) * r;
            });
            const colour = labOf({ x, y, z });
            for (const c of ['l', 'a', 'b'] as const) {
              expect(colour[c]).toBeGreaterThanOrEqual(box.low[c] - 1e-9);
              expect(colour[c]).toBeLessThanOrEqual(box.high[c] + 1e-9);
            }
          }
        },
      ),
      { numRuns: 150 },
    );
  });
});
