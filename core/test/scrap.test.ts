import fc from 'fast-check';
import {
  SCRAP_GROUPS,
  areaOf,
  circle,
  contextOf,
  coresFrom,
  groupOf,
  planBackwards,
  rectangle,
  sortScrap,
  type Offcut,
  type Region,
  type ScrapMaterial,
  type CaneContext,
} from '#core/cane';
import { last, log, refusal, steps, withoutEnds } from './canes.js';

const WANTED = { slices: 30, thickness: 2 };
const wholeWidths = (): CaneContext => contextOf(undefined, 0, 1, { share: 1, trimming: 'once at the end' });
const MATERIALS: Readonly<Record<string, ScrapMaterial>> = {
  beet: { lab: { l: 35, a: 45, b: 5 }, mica: false },
  radish: { lab: { l: 50, a: 50, b: 15 }, mica: false },
  leek: { lab: { l: 55, a: -30, b: 30 }, mica: false },
  chalk: { lab: { l: 95, a: 0, b: 3 }, mica: false },
  soot: { lab: { l: 18, a: 1, b: 1 }, mica: false },
  bean: { lab: { l: 35, a: 20, b: 30 }, mica: false },
  squash: { lab: { l: 68, a: 30, b: 60 }, mica: false },
  dew: { lab: { l: 80, a: 2, b: 5 }, mica: true },
};
const sorted = (offcuts: readonly Offcut[]): ReturnType<typeof sortScrap> =>
  sortScrap(offcuts, (key) => MATERIALS[key]);
const lump = (volumes: Readonly<Record<string, number>>): Offcut => ({
  why: 'ends',
  volumes: new Map(Object.entries(volumes)),
});

test('a clay belongs to the colour group a maker would put it in', () => {
  expect(Object.entries(MATERIALS).map(([key, m]) => `${key}: ${groupOf(m)}`)).toEqual([
    'beet: reds',
    'radish: reds',
    'leek: greens',
    'chalk: whites',
    'soot: blacks',
    'bean: browns',
    'squash: oranges',
    'dew: mica',
  ]);
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 100, noNaN: true }),
      fc.double({ min: -128, max: 128, noNaN: true }),
      fc.double({ min: -128, max: 128, noNaN: true }),
      fc.boolean(),
      (l, a, b, mica) => {
        const group = groupOf({ lab: { l, a, b }, mica });
        expect(SCRAP_GROUPS).toContain(group);
        expect(group).not.toBe('mixed');
      },
    ),
  );
});

test('one colour lies with its own, mica with mica, what shows several in one lump goes to dark cores', () => {
  const heaps = sorted([
    lump({ beet: 60 }),
    lump({ radish: 30, beet: 5 }),
    lump({ leek: 50, chalk: 50 }),
    lump({ leek: 95, chalk: 5 }),
    lump({ dew: 20 }),
    lump({ gone: 3 }),
  ]);
  expect(heaps.map(({ group, volume }) => [group, volume])).toEqual([
    ['mixed', 103],
    ['greens', 100],
    ['reds', 95],
    ['mica', 20],
  ]);
  expect(heaps[2]?.volumes).toEqual(
    new Map([
      ['beet', 65],
      ['radish', 30],
    ]),
  );
});

test('nothing is lost in sorting, and the largest heap comes first', () => {
  const offcuts = fc.array(
    fc
      .dictionary(fc.constantFrom(...Object.keys(MATERIALS)), fc.double({ min: 0.01, max: 900, noNaN: true }))
      .map(lump),
    { maxLength: 12 },
  );
  fc.assert(
    fc.property(offcuts, (list) => {
      const heaps = sorted(list);
      for (const key of Object.keys(MATERIALS)) {
        expect(heaps.reduce((sum, h) => sum + (h.volumes.get(key) ?? 0), 0)).toBeCloseTo(
          list.reduce((sum, o) => sum + (o.volumes.get(key) ?? 0), 0),
          6,
        );
      }
      expect(heaps.map((h) => h.volume)).toEqual(heaps.map((h) => h.volume).sort((a, b) => b - a));
    }),
  );
});

test('cores are counted whole, and none is promised that the clay does not give', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 1e5, noNaN: true }),
      fc.double({ min: 3, max: 40, noNaN: true }),
      (volume, diameter) => {
        const one = (Math.PI / 6) * diameter ** 3;
        const count = coresFrom(volume, diameter);
        expect(count * one).toBeLessThanOrEqual(volume * (1 + 1e-6));
        expect((count + 1) * one).toBeGreaterThan(volume * (1 - 1e-6));
      },
    ),
  );
  expect(coresFrom((Math.PI / 6) * 1000 * 4, 10)).toBe(4);
});

test('a cane that cannot be done is not planned: the step that is wrong says why', () => {
  const list = steps(
    log('clay:a', 20, 60),
    { do: 'across', pieces: 7 },
    { do: 'bundle', count: 8, to: { shape: 'round' }, seed: 1 },
    { do: 'reduce', to: 'diameter', value: 12 },
    { do: 'turn', degrees: 5 },
  );
  expect(refusal(() => planBackwards(list, WANTED, withoutEnds()))).toBe('cane/pieces');
});

describe('what is left over besides the slices', () => {
  test('are ends, pieces too many, and what a hole was cut from, each with the clays it shows', () => {
    const plan = planBackwards(
      steps(
        log('clay:a', 30, 60),
        { do: 'wrap', of: 'clay:b', thickness: 2 },
        { do: 'press', to: { shape: 'square' }, turn: 0 },
        { do: 'across', pieces: 6 },
        { do: 'grid', rows: 2, columns: 2, turns: 'none' },
        { do: 'trim', each: 4 },
      ),
      WANTED,
      withoutEnds(),
    );
    expect(plan.offcuts.map((o) => o.why)).toEqual(['ends', 'pieces']);
    // six pieces are cut and four used
    expect(plan.offcuts[1]?.volumes.get('clay:a')).toBeCloseTo(2 * 68 * areaOf(circle(30)), 6);
    expect(plan.offcuts[0]?.volumes.get('clay:a')).toBeCloseTo(4 * 8 * areaOf(circle(30)), 6);
  });

  test('a cane set into a hole is reduced to it: as much longer, and the hole is scrap of what was there', () => {
    const list = steps(log('clay:a', 40, 60), {
      do: 'insert',
      part: { name: 'eye', steps: steps(log('clay:b', 20, 60)) },
      x: 3,
      y: 0,
      diameter: 10,
      degrees: 0,
    });
    expect(last(list).length).toBe(60);
    const plan = planBackwards(list, WANTED, withoutEnds());
    const eye = plan.starts.find((s) => s.path.includes('eye'));
    expect(eye?.length).toBeCloseTo(60 / 4, 9);
    expect(plan.volumes.get('clay:b')).toBeCloseTo(60 * areaOf(circle(10)), 6);
    expect([plan.offcuts[0]?.why, [...(plan.offcuts[0]?.volumes.keys() ?? [])]]).toEqual(['hole', ['clay:a']]);
    expect((plan.offcuts[0]?.volumes.get('clay:a') ?? 0) / (60 * areaOf(circle(10)))).toBeCloseTo(1, 1);
    expect(
      last(
        steps(log('clay:a', 40, 60), {
          do: 'insert',
          part: { steps: steps(log('clay:b', 6, 60)) },
          x: 0,
          y: 0,
          diameter: 12,
          degrees: 0,
        }),
      ).length,
    ).toBeCloseTo(15, 9);
  });

  test('a cane in a region of a template is reduced to the region, and what other regions cover of it is scrap', () => {
    const box = (id: string, x: number, y: number, size: number, fill: Region['fill']): Region => ({
      id,
      name: id,
      points: rectangle(size, size).points.map(([px, py]) => [px + x, py + y]),
      fill,
    });
    const list = steps({
      do: 'template',
      length: 50,
      regions: [
        box('ground', 0, 0, 40, { of: 'clay:g' }),
        box('leaf', 8, 8, 16, { cane: { name: 'veins', steps: steps(log('clay:v', 32, 40)) }, degrees: 0 }),
        box('dew', 8, 8, 8, { of: 'clay:d' }),
      ],
    });
    const plan = planBackwards(list, WANTED, withoutEnds());
    const veins = plan.starts.find((s) => s.path.includes('veins'));
    expect([veins?.path, veins?.count]).toEqual([['veins'], 1]);
    expect(veins?.length).toBeCloseTo((60 * 16 * 16) / areaOf(circle(32)), 6);
    expect(plan.volumes.get('clay:v')).toBeCloseTo(60 * 256, 4);
    expect((plan.volumes.get('clay:g') ?? 0) / (60 * (1600 - 256))).toBeCloseTo(1, 2);
    expect(plan.offcuts).toHaveLength(1);
    expect((plan.offcuts[0]?.volumes.get('clay:v') ?? 0) / (60 * 64)).toBeCloseTo(1, 1);
    const inSlices = 60 * 1600;
    expect(
      [...plan.volumes.values()].reduce((a, b) => a + b, 0) /
        (inSlices + [...(plan.offcuts[0]?.volumes.values() ?? [])].reduce((a, b) => a + b, 0)),
    ).toBeCloseTo(1, 6);
  });

  test('a cane that is taken several times is made once and cut, and loses its ends once', () => {
    const eye = { name: 'eye', steps: steps(log('clay:e', 20, 40), { do: 'reduce', to: 'diameter', value: 10 }) };
    const box = (id: string, x: number): Region => ({
      id,
      name: id,
      points: rectangle(8, 8).points.map(([px, py]) => [px + x, py]),
      fill: { cane: eye, degrees: 0 },
    });
    const ground: Region = { id: 'ground', name: 'ground', points: rectangle(40, 12).points, fill: { of: 'clay:g' } };
    const planned = (...at: readonly number[]): ReturnType<typeof planBackwards> =>
      planBackwards(
        steps({ do: 'template', length: 50, regions: [ground, ...at.map((x, i) => box(`e${i}`, x))] }),
        WANTED,
        wholeWidths(),
      );
    const [one, three] = [planned(0), planned(-12, 0, 12)];
    const start = ({ starts }: typeof one): (typeof one)['starts'][number] | undefined =>
      starts.find((s) => s.path.length > 0);
    expect([start(one)?.path, start(three)?.path, start(three)?.count]).toEqual([['eye'], ['eye, cut in 3'], 1]);
    // a quarter of its length before it is reduced; 10 mm lost at each end, whether it is used once or three times
    const seen = (64 / areaOf(circle(10))) * 60;
    expect(start(one)?.length).toBeCloseTo((seen + 20) / 4, 6);
    expect(start(three)?.length).toBeCloseTo((3 * seen + 20) / 4, 6);
    const rods = planBackwards(
      steps(
        log('clay:a', 8, 90),
        { do: 'across', pieces: 4 },
        {
          do: 'bundle',
          count: 4,
          others: [{ part: { name: 'seeds', steps: steps(log('clay:s', 5, 20)) }, count: 3 }],
          to: { shape: 'round' },
          seed: 1,
        },
      ),
      WANTED,
      withoutEnds(),
    );
    expect(rods.starts.map((s) => [s.path.join(), s.count, Math.round(s.length)])).toEqual([
      ['', 1, 240],
      ['seeds, cut in 3', 1, 180],
    ]);
  });
});
