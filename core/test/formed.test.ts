import fc from 'fast-check';
import { areaOf, circle, type CaneState } from '#core/cane';
import {
  blankFor,
  cavityOf,
  edgeShare,
  formVolume,
  formWithin,
  liesAcross,
  liningOf,
  meshOf,
  onSheet,
  placeOn,
  slicesOver,
  squeezedAt,
  surfaceOf,
  waysFor,
  type RoundForm,
  type FormKind,
} from '#core/pattern';
import { refusal } from './refused.js';

const kind = fc.constantFrom<FormKind>('ball', 'oval', 'bicone', 'tube', 'dome');
const form: fc.Arbitrary<RoundForm> = fc.record({
  kind,
  width: fc.integer({ min: 8, max: 60 }),
  length: fc.integer({ min: 4, max: 80 }),
});
const near = (one: number, other: number, share: number): void => {
  expect(Math.abs(one / other - 1)).toBeLessThan(share);
};

describe('areas and volumes', () => {
  test('are those of the books', () => {
    const { PI } = Math;
    near(surfaceOf({ kind: 'ball', width: 20, length: 0 }).area, PI * 400, 1e-4);
    near(formVolume({ kind: 'ball', width: 20, length: 0 }), (PI * 8000) / 6, 1e-4);
    near(surfaceOf({ kind: 'tube', width: 12, length: 30 }).area, PI * 12 * 30, 1e-9);
    near(formVolume({ kind: 'bicone', width: 18, length: 30 }), (PI * 18 ** 2 * 30) / 12, 1e-4);
    near(formVolume({ kind: 'oval', width: 14, length: 28 }), (PI * 14 ** 2 * 28) / 6, 1e-4);
    // a dome of half a sphere, and a flat one: π(a² + h²)
    near(surfaceOf({ kind: 'dome', width: 30, length: 15 }).area, 2 * PI * 225, 1e-4);
    near(surfaceOf({ kind: 'dome', width: 40, length: 6 }).area, PI * (400 + 36), 1e-4);
    near(formVolume({ kind: 'dome', width: 30, length: 15 }), (2 / 3) * PI * 15 ** 3, 1e-4);
  });

  test('a wall is about as large as its middle times its thickness', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 60 }), fc.constantFrom(0.8, 1.5), (width, wall) => {
        const ball: RoundForm = { kind: 'ball', width, length: 0 };
        const clay = formVolume(ball) - formVolume(formWithin(ball, wall, 'core'));
        near(surfaceOf(formWithin(ball, wall, 'middle')).area * wall, clay, 0.003);
      }),
    );
  });

  test('half of the area lies before the middle of what is alike at both ends', () => {
    for (const kind of ['ball', 'oval', 'bicone', 'tube'] as const) {
      const surface = surfaceOf({ kind, width: 16, length: 30 });
      expect(placeOn(surface, 0.5)[1]).toBeCloseTo(0, 6);
      expect(placeOn(surface, 0.5)[0]).toBeCloseTo(8, 1);
    }
  });
});

describe('a sheet on a form', () => {
  test('what is cut is as large as the middle of the wall, whichever way', () => {
    fc.assert(
      fc.property(form, fc.integer({ min: 3, max: 20 }), (one, tenths) => {
        const wall = tenths / 10;
        for (const way of waysFor(one)) {
          if (way === 'slices') continue;
          const blank = blankFor(one, way, wall);
          const cut = blank.width * blank.height * (blank.round ? Math.PI / 4 : 1);
          near(cut, surfaceOf(formWithin(one, wall, 'middle')).area, 1e-9);
        }
      }),
    );
  });

  test('areas stay: equal steps around and along are equal areas of the sheet', () => {
    fc.assert(
      fc.property(form, fc.double({ min: 0.05, max: 0.9, noNaN: true }), (one, share) => {
        for (const way of waysFor(one)) {
          if (way === 'slices') continue;
          const blank = blankFor(one, way, 1);
          const at = onSheet(blank);
          const [h, turns] = [1e-4, 0.3];
          const [p, q, r] = [at(turns, share), at(turns + h, share), at(turns, share + h)];
          const area = Math.abs((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]));
          near(area, blank.area * h * h, 0.01);
        }
      }),
    );
  });

  test('a tube is not squeezed; over half a sphere the rim is, to the root of a half', () => {
    expect(squeezedAt({ kind: 'tube', width: 12, length: 30 }, 'strip', 1, 0.9)).toBeCloseTo(1, 9);
    const dome: RoundForm = { kind: 'dome', width: 30, length: 15 };
    expect(squeezedAt(dome, 'disc', 1e-6, edgeShare(dome, 'disc'))).toBeCloseTo(Math.SQRT1_2, 3);
    expect(squeezedAt(dome, 'disc', 1e-6, 0.999)).toBeCloseTo(1, 2);
    // a tenth of the area from its end a ball is 0.6 as wide as in its middle
    expect(squeezedAt({ kind: 'ball', width: 20, length: 0 }, 'strip', 1e-6, 0.9)).toBeCloseTo(0.6, 3);
  });

  test('a sheet that is too small says what it takes', () => {
    const blank = blankFor({ kind: 'ball', width: 20, length: 0 }, 'strip', 1);
    expect(refusal(() => liesAcross(blank, { width: 50, height: 50 }))).toBe('pattern/form sheet');
    expect(liesAcross(blank, { width: 20, height: 60 })).toBe(true);
    expect(liesAcross(blank, { width: 60, height: 20 })).toBe(false);
    expect(refusal(() => blankFor({ kind: 'ball', width: 1, length: 0 }, 'strip', 1))).toBe('pattern/form thin');
    expect(refusal(() => surfaceOf({ kind: 'oval', width: 10, length: 0 }))).toBe('pattern/form size');
  });
});

test('slices around a ball share it evenly, each no larger than it was', () => {
  const ball: RoundForm = { kind: 'ball', width: 21, length: 0 };
  const count = 40;
  const area = surfaceOf(formWithin(ball, 1, 'middle')).area;
  const across = 2 * Math.sqrt((1.1 * area) / count / Math.PI);
  // a face that tells how far from its middle it is looked at
  const face = { outline: circle(across), sample: (x: number, y: number) => Math.hypot(x, y) } as CaneState;
  const at = slicesOver(ball, 1, face, count);
  let [all, inner] = [0, 0];
  for (let j = 0; j < 120; j++)
    for (let i = 0; i < 240; i++) {
      const far = at((i + 0.5) / 240, (j + 0.5) / 120);
      expect(far).toBeLessThanOrEqual(across / 2 + 1e-9);
      all++;
      if (far < across / 4) inner++;
    }
  // the inner quarter of each face is seen whole, wherever it lies
  near((inner / all) * area, (count * areaOf(face.outline)) / 4, 0.02);
});

test('a mesh is the form: its triangles sum to the area, and look outwards', () => {
  fc.assert(
    fc.property(form, (one) => {
      const { corners, triangles, places } = meshOf(one);
      const corner = (n: number): readonly number[] => [0, 1, 2].map((k) => corners[3 * n + k] as number);
      let [area, volume] = [0, 0];
      for (let t = 0; t < triangles.length; t += 3) {
        const [a, b, c] = [0, 1, 2].map((k) => corner(triangles[t + k] as number)) as [number[], number[], number[]];
        const [u, v] = [b, c].map((p) => p.map((x, k) => x - (a[k] as number))) as [number[], number[]];
        const cross = [0, 1, 2].map((k) => {
          const [i, j] = [(k + 1) % 3, (k + 2) % 3];
          return (u[i] as number) * (v[j] as number) - (u[j] as number) * (v[i] as number);
        });
        area += Math.hypot(...cross) / 2;
        volume += cross.reduce((sum, x, k) => sum + x * (a[k] as number), 0) / 6;
      }
      near(area, surfaceOf(one).area, 0.01);
      // of what is closed it is the volume within; open ends leave some of it out
      if (one.kind !== 'tube' && one.kind !== 'dome') near(volume, formVolume(one), 0.01);
      expect(volume).toBeGreaterThan(0);
      expect(Math.max(...places)).toBeLessThanOrEqual(1);
    }),
    { numRuns: 20 },
  );
});

describe('a mould', () => {
  test('water and clay tell the same room; sheet and clay behind it fill it', () => {
    expect(cavityOf(6.2, 'water', 1.9)).toBeCloseTo(cavityOf(6.2 * 1.9, 'clay', 1.9), 9);
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 40 }), fc.constantFrom(1.6, 2.05), (room, density) => {
        const mould = { width: 24, length: 30, deep: 6, cavity: 1000 * room };
        if (room < 2) return;
        const { width, length, area, sheet, behind, ball } = liningOf(mould, 1, density);
        expect(sheet + behind).toBeCloseTo(room * density, 9);
        near((Math.PI / 4) * width * length, area, 1e-9);
        near((Math.PI * ball ** 3) / 6, (1000 * behind) / density, 1e-9);
      }),
    );
  });

  test('a sheet that fills it alone is told', () => {
    const mould = { width: 24, length: 30, deep: 6, cavity: 500 };
    expect(refusal(() => liningOf(mould, 1.5, 1.9))).toBe('pattern/mould full');
    expect(refusal(() => liningOf({ ...mould, deep: 0 }, 1.5, 1.9))).toBe('pattern/form size');
  });
});
