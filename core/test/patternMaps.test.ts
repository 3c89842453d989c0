import { seeded, type Mm } from '#core/units';
import { patternContext, runPattern, within, type Body, type PatternStep } from '#core/pattern';

/*
 * The maps are seen through what they carry: a stack of one blend whose fade runs along the width tells where a point
 * lay before along x; turned by a quarter, along y; layers tell z. So a Jacobian is measured from outside.
 */
import { withCuts, withDents, foldsBack, foldsOf, rope, discOfSquare, at, type Cut } from '#core/pattern/body';
import { circle, scaled } from '#core/cane';

interface Carried {
  readonly x: Mm;
  readonly y: Mm;
  readonly z: Mm;
}

/** A block that tells where each of its points lay before whatever is done to it. */
function telling(width: Mm, height: Mm, thick: Mm): { readonly body: Body; readonly last: () => Carried } {
  const last = { x: 0, y: 0, z: 0 };
  const body: Body = {
    form: 'block',
    round: false,
    width,
    height,
    thick,
    count: 1,
    specks: [],
    volumes: () => new Map(),
    field: (x, y, z) => {
      Object.assign(last, { x, y, z });
      return 0;
    },
  };
  return { body, last: () => ({ ...last }) };
}

/** |J − 1| of a body's map at points by chance, in order of size. */
function errorsOf(done: Body, last: () => Carried, count = 10_000): number[] {
  const chance = seeded(99);
  const h = 1e-3;
  const errors: number[] = [];
  let air = false;
  const at3 = (x: Mm, y: Mm, z: Mm): readonly number[] => {
    air ||= done.field(x, y, z) < 0;
    const { x: a, y: b, z: c } = last();
    return [a, b, c];
  };
  while (errors.length < count) {
    const p = [(chance() - 0.5) * done.width, (chance() - 0.5) * done.height, chance() * done.thick] as const;
    if (!within(done, p[0], p[1]) || p[2] < 2 * h || p[2] > done.thick - 2 * h) continue;
    air = false;
    const columns = [0, 1, 2].map((axis) => {
      const moved = (by: number): readonly number[] => {
        const q = p.map((v, i) => (i === axis ? v + by : v));
        return at3(q[0] as number, q[1] as number, q[2] as number);
      };
      const [up, down] = [moved(h), moved(-h)];
      return up.map((v, i) => (v - (down[i] as number)) / (2 * h));
    });
    if (air) continue;
    const [a, b, c] = columns as [number[], number[], number[]];
    const cross = (i: number, j: number): number =>
      (b[i] as number) * (c[j] as number) - (b[j] as number) * (c[i] as number);
    const det = (a[0] as number) * cross(1, 2) - (a[1] as number) * cross(0, 2) + (a[2] as number) * cross(0, 1);
    errors.push(Math.abs(det - 1));
  }
  return errors.sort((x, y) => x - y);
}
const worstOf = (errors: readonly number[]): number => errors[Math.floor(errors.length * 0.99)] as number;

const chance = seeded(5);
const somewhere = (): { readonly x: Mm; readonly y: Mm } => ({ x: (chance() - 0.5) * 60, y: (chance() - 0.5) * 60 });

test.each([
  ['few deep dents', 12, 5, 4],
  ['300 dents', 300, 2, 2.5],
  ['dents nearly through', 20, 6, 7],
])('%s keep volume, open and pressed shut', (_, count, radius, depth) => {
  const { body, last } = telling(60, 60, 9);
  const dents = Array.from({ length: count }, () => ({ ...somewhere(), radius, depth }));
  const open = withDents(body, dents);
  expect(worstOf(errorsOf(open, last))).toBeLessThan(0.01);
  expect(worstOf(errorsOf(open.shut?.() as Body, last))).toBeLessThan(0.01);
});

test('cuts along lines, waves and outlines keep volume, open and pressed shut', () => {
  const { body, last } = telling(60, 60, 9);
  const cuts: Cut[] = Array.from({ length: 40 }, (_, n): Cut => {
    if (n % 3 === 0) return { ...somewhere(), outline: scaled(circle(1), 8) };
    return { ...somewhere(), degrees: 180 * chance(), length: 200, swing: n % 3 === 1 ? 1.5 : 0, wave: 12 };
  });
  for (const depth of [3, 9]) {
    const open = withCuts(body, cuts, depth);
    expect(worstOf(errorsOf(open, last))).toBeLessThan(0.01);
    expect(worstOf(errorsOf(open.shut?.() as Body, last))).toBeLessThan(0.01);
  }
});

/** A program begun with a block of one colour, whose first field is the one that tells. */
test.each<[string, PatternStep[]]>([
  ['hands that wobble', []],
  ['a fold of a rope', [{ id: 'f', do: 'fold', times: 3, turns: 2 }]],
  ['a coil', [{ id: 'c', do: 'coil', to: 8 }]],
  ['a strip', [{ id: 'f', do: 'flatten', to: 5 }]],
])('%s: shares of clay are as they were laid', (_, steps) => {
  const context = patternContext(1, 3);
  const of = (n: number): string => `clay:${n}`;
  const first: PatternStep =
    steps.length === 0
      ? { id: 'a', do: 'stack', width: 60, height: 60, layers: [1, 2, 3, 4].map((n) => ({ of: of(n), thickness: n })) }
      : { id: 'a', do: 'logs', length: 300, logs: [1, 2, 3, 4].map((n) => ({ of: of(n), diameter: 4 + 2 * n })) };
  const body = runPattern([first, ...steps], context).at(-1)?.body as Body;
  const volumes = body.volumes();
  const whole = [...volumes.values()].reduce((a, b) => a + b, 0);
  const counts = new Map<number, number>();
  const random = seeded(3);
  const points = 200_000;
  for (let n = 0; n < points;) {
    const [x, y, z] = [(random() - 0.5) * body.width, (random() - 0.5) * body.height, random() * body.thick];
    if (!within(body, x, y)) continue;
    n++;
    const index = Math.floor(body.field(x, y, z));
    counts.set(index, (counts.get(index) ?? 0) + 1);
  }
  for (const [index, volume] of volumes)
    expect(Math.abs((counts.get(index) ?? 0) / points - volume / whole)).toBeLessThan(0.005);
});

/** One fold without a twist. */
const ONE_FOLD = foldsOf(100, 0, 1, 0, 1);

test('the flat maps keep area: a half round to a round, and a square to a disc', () => {
  const h = 1e-4;
  const round = (x: number, y: number): readonly [number, number] => {
    foldsBack(x, y, 1, ONE_FOLD);
    return [rope.x, rope.y];
  };
  const disc = (x: number, y: number): readonly [number, number] => {
    discOfSquare(x, y);
    return [at.x, at.y];
  };
  const random = seeded(8);
  const errors = (map: typeof round, wanted: number, inside: () => readonly [number, number]): number[] =>
    Array.from({ length: 5000 }, () => {
      const [x, y] = inside();
      const [a, b, c, d] = [map(x + h, y), map(x - h, y), map(x, y + h), map(x, y - h)];
      const det = ((a[0] - b[0]) * (c[1] - d[1]) - (a[1] - b[1]) * (c[0] - d[0])) / (4 * h * h);
      return Math.abs(det / wanted - 1);
    }).sort((p, q) => p - q);
  const half = (): readonly [number, number] => {
    const [r, t] = [Math.sqrt(random()) * 0.999, (random() - 0.5) * Math.PI];
    return [Math.max(2 * h, r * Math.cos(t)), r * Math.sin(t)];
  };
  // the half is pressed from a round of twice its area, drawn out: area by two
  expect(worstOf(errors(round, 2, half))).toBeLessThan(0.01);
  expect(worstOf(errors(disc, Math.PI / 4, () => [2 * random() - 1, 2 * random() - 1]))).toBeLessThan(0.01);
});
