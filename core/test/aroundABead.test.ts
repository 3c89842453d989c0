import fc from 'fast-check';
import { slicesOn } from '#core/piece';

type Vector = readonly [number, number, number];
const OCTAHEDRON: readonly (readonly [Vector, Vector, Vector])[] = [1, -1].flatMap((x) =>
  [1, -1].flatMap((y) =>
    [1, -1].map((z): [Vector, Vector, Vector] => [
      [x, 0, 0],
      [0, y, 0],
      [0, 0, z],
    ]),
  ),
);
const unit = ([x, y, z]: Vector): Vector => {
  const length = Math.hypot(x, y, z);
  return [x / length, y / length, z / length];
};
const between = (a: Vector, b: Vector): Vector => unit([a[0] + b[0], a[1] + b[1], a[2] + b[2]]);
function areaOf([a, b, c]: readonly [Vector, Vector, Vector]): number {
  const [u, v] = [b, c].map((p) => p.map((x, i) => x - a[i]!) as unknown as Vector) as [Vector, Vector];
  return Math.hypot(u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]) / 2;
}

/** The sphere's area by flat triangles, each cut in four again and again. */
function meshArea(rounds: number): number {
  let faces = OCTAHEDRON;
  for (let i = 0; i < rounds; i++)
    faces = faces.flatMap(([a, b, c]) => {
      const [ab, bc, ca] = [between(a, b), between(b, c), between(c, a)];
      return [
        [a, ab, ca],
        [ab, b, bc],
        [ca, bc, c],
        [ab, bc, ca],
      ] as const;
    });
  return faces.reduce((sum, face) => sum + areaOf(face), 0);
}
const SPHERE = meshArea(6);

/** A round slice by a polygon of many corners. */
function sliceArea(across: number): number {
  const corners = 720;
  const at = (i: number): readonly [number, number] => [
    (across / 2) * Math.cos((2 * Math.PI * i) / corners),
    (across / 2) * Math.sin((2 * Math.PI * i) / corners),
  ];
  let twice = 0;
  for (let i = 0; i < corners; i++) twice += at(i)[0] * at(i + 1)[1] - at(i + 1)[0] * at(i)[1];
  return twice / 2;
}

/** A tenth lies over its neighbours. */
const OVER = 1.1;

test('slices around a bead are within one of the count by a mesh, and by the clay of the shell', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 8, max: 30, noNaN: true }),
      fc.double({ min: 0.5, max: 2, noNaN: true }),
      fc.double({ min: 4, max: 12, noNaN: true }),
      (core, wall, slice) => {
        const count = slicesOn({ is: 'covered', core, wall, slice, bakedFirst: true, with: null, withLike: '' })!;
        const middle = core / 2 + wall / 2;
        const byMesh = Math.ceil((SPHERE * middle ** 2 * OVER) / sliceArea(slice));
        expect(Math.abs(count - byMesh)).toBeLessThanOrEqual(1);
        // the shell between core and bead, and the clay of one slice: the same thickness all over
        const shell = (Math.PI / 6) * ((core + 2 * wall) ** 3 - core ** 3);
        const byClay = (OVER * shell) / (sliceArea(slice) * wall);
        expect(count).toBeGreaterThanOrEqual(Math.floor(byClay * 0.98));
        expect(count).toBeLessThanOrEqual(Math.ceil(byClay) + 1);
      },
    ),
    { numRuns: 300 },
  );
});

test('by hand: a core of 14 mm under a wall of 1.2 mm takes 29 slices of 6 mm', () => {
  // 4π · 7.6² = 725.8 mm², a tenth over 798.4; a slice has 28.27 mm²: 28.2
  expect(slicesOn({ is: 'covered', core: 14, wall: 1.2, slice: 6, bakedFirst: true, with: null, withLike: '' })).toBe(
    29,
  );
});
