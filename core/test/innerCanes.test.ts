import { areaOf, contextOf, planBackwards, usable, type Part } from '#core/cane';
import { last, log, refusal, steps, withoutEnds, type Loose } from './canes.js';

const sum = (values: Iterable<number>): number => [...values].reduce((a, b) => a + b, 0);
const WANTED = { slices: 20, thickness: 3 };
const rod = (name: string, ...all: readonly Loose[]): Part => ({ name, steps: steps(...all) });
/** A spot, 10 mm across when it is made. */
const spot = (name = 'the spot'): Part => rod(name, log('clay:b', 8, 50), { do: 'wrap', of: 'clay:c', thickness: 1 });
const setIn = (part: Part, diameter: number, x: number, y: number): Loose => ({
  do: 'insert',
  part,
  diameter,
  x,
  y,
  degrees: 0,
});
const ground = log('clay:a', 40, 60);

describe('a cane that is taken at several steps', () => {
  const places: readonly (readonly [number, number, number])[] = [
    [8, 10, 0],
    [7, -10, 0],
    [6, 0, 10],
    [5, 0, -10],
    [4, 0, 0],
    [8, 8, 9],
  ];
  const list = steps(ground, ...places.map(([d, x, y]) => setIn(spot(`spot ${d}`), d, x, y)));

  test('is made once, long enough for all: each piece as long as its hole is smaller', () => {
    const plan = planBackwards(list, WANTED, withoutEnds());
    expect(plan.parts).toHaveLength(1);
    const [part] = plan.parts;
    // 60 mm of cane: to fill a hole of d, (d / 10)² · 60 mm of the spot
    expect(part?.taken.map((t) => [t.at, t.count, t.length, t.drawnTo])).toEqual(
      places.map(([d], i) => [i + 1, 1, expect.closeTo(60 * (d / 10) ** 2, 2), expect.closeTo(60, 6)]),
    );
    const whole = 60 * sum(places.map(([d]) => (d / 10) ** 2));
    expect(plan.starts.map((s) => [s.path.length, s.count, s.length])).toEqual([
      [0, 1, expect.closeTo(60, 6)],
      [1, 1, expect.closeTo(whole, 2)],
    ]);
    expect(usable(part?.stages.at(-1) ?? { length: 0, cut: 0 })).toBeCloseTo(whole, 2);
  });

  test('loses its ends once, where each by itself would lose them as often', () => {
    const pressed = (d: number, x: number): Loose =>
      setIn(rod('eye', log('clay:b', 10, 50), { do: 'press', to: { shape: 'square' }, turn: 0 }), d, x, 0);
    const other = (d: number, x: number): Loose =>
      setIn(rod('eye', log('clay:b', 10.001, 50), { do: 'press', to: { shape: 'square' }, turn: 0 }), d, x, 0);
    const cuts = (second: Loose): number[] =>
      planBackwards(steps(ground, pressed(6, 8), second), WANTED, contextOf()).parts.map((p) =>
        sum(p.stages.map((stage) => stage.cut)),
      );
    const [once, ...more] = cuts(pressed(6, -8));
    expect(more).toEqual([]);
    expect(once).toBeGreaterThan(1);
    expect(cuts(other(6, -8))).toEqual([expect.closeTo(once ?? 0, 3), expect.closeTo(once ?? 0, 3)]);
  });

  test('has all its clay in the slices or left over', () => {
    const plan = planBackwards(list, WANTED, contextOf());
    const slices = areaOf(last(list, contextOf()).outline) * WANTED.slices * WANTED.thickness;
    const left = sum(plan.offcuts.map((o) => sum(o.volumes.values())));
    expect(sum(plan.volumes.values()) / (slices + left)).toBeCloseTo(1, 6);
  });
});

test('canes inside canes are in the order of making, each before those that take it in', () => {
  const eye = rod('eye', log('clay:c', 5, 50));
  const head = rod('head', log('clay:b', 20, 50), setIn(eye, 3, 4, 0), setIn(eye, 3, -4, 0));
  const plan = planBackwards(steps(ground, setIn(head, 12, 0, 8), setIn(eye, 2, 0, -10)), WANTED, withoutEnds());
  expect(plan.parts.map((p) => p.name)).toEqual(['eye', 'head']);
  const [eyes, heads] = plan.parts;
  // 60 mm of cane: 60 · (12 / 20)² = 21.6 mm of head; in it two eyes of (3 / 5)² · 21.6, and one of (2 / 5)² · 60
  expect(heads?.taken.map((t) => t.length)).toEqual([expect.closeTo(21.6, 6)]);
  expect(eyes?.taken.map((t) => t.length).sort((a, b) => a - b)).toEqual([
    expect.closeTo(7.776, 6),
    expect.closeTo(7.776, 6),
    expect.closeTo(9.6, 6),
  ]);
});

test('pieces of different lengths are cut from as few pieces as take the least clay', () => {
  // a quarter of it is taken twice: two of the four quarters, each as long as the cane
  const quarter = rod('quarter', log('clay:b', 20, 50), { do: 'split', parts: 4, degrees: 0 });
  const plan = planBackwards(steps(ground, setIn(quarter, 6, 8, 0), setIn(quarter, 5, -8, 0)), WANTED, withoutEnds());
  const [part] = plan.parts;
  const lengths = part?.taken.map((t) => t.length) ?? [];
  const begun = plan.starts.find((s) => s.path.length > 0);
  expect(begun?.count).toBe(1);
  // one log as long as the longer of the two gives both
  expect(begun?.length).toBeCloseTo(Math.max(...lengths), 6);
});

test('a piece that is longer than its cane is reduced to is refused, in the plan as among the steps', () => {
  const short = rod('short', log('clay:b', 10, 20), { do: 'reduce', to: 'length', value: 25 });
  expect(refusal(() => planBackwards(steps(ground, setIn(short, 9, 0, 0)), WANTED, withoutEnds()))).toBe('cane/asked');
});

test('two canes that are called the same are told apart, each with its own beginning', () => {
  const [one, other] = [rod('a rod', log('clay:b', 10, 50)), rod('a rod', log('clay:c', 8, 50))];
  const plan = planBackwards(steps(ground, setIn(one, 6, 8, 0), setIn(other, 5, -8, 0)), WANTED, withoutEnds());
  expect(plan.parts.map((p) => p.name)).toEqual(['a rod', 'a rod 2']);
  for (const part of plan.parts) expect(plan.starts.filter((s) => s.path.join() === part.path.join())).toHaveLength(1);
});
