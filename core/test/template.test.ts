import fc from 'fast-check';
import {
  areaOf,
  contextOf,
  crossesItself,
  drawnOf,
  drawnToRegions,
  measured,
  runSteps,
  signedArea,
  simplified,
  tracePicture,
  tracedFace,
  type Point,
  type Region,
  type Step,
} from '#core/cane';
import { readSvg } from '#core/formats';
import { refusal } from './refused.js';

const svg = (inner: string, more = 'width="60mm" height="40mm" viewBox="0 0 600 400"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${more}>${inner}</svg>`;
describe('drawings', () => {
  test('flat regions are taken in mm, the one that covers all is the ground', () => {
    const { regions, notes } = readSvg(
      svg(
        '<rect width="600" height="400" fill="#93B84C" id="pod"/><g transform="translate(100 200)"><circle ' +
          'r="60" style="fill:#fc0" id="pea"/></g><path d="M300 100 C 300 20 420 20 420 100 z" ' +
          'fill="rgb(79,127,69)"/>',
      ),
    );
    expect(regions.map((r) => [r.name, r.hex])).toEqual([
      ['pod', '93B84C'],
      ['pea', 'FFCC00'],
      ['region 3', '4F7F45'],
    ]);
    expect(notes).toEqual([]);
    expect(signedArea(regions[0]?.points ?? [])).toBeCloseTo(-60 * 40, 6);
    expect(Math.abs(signedArea(regions[1]?.points ?? [])) / (Math.PI * 36)).toBeCloseTo(1, 2);
    const xs = regions[1]?.points.map((p) => p[0]) ?? [];
    expect((Math.min(...xs) + Math.max(...xs)) / 2).toBeCloseTo(-20, 1);
  });

  test('nothing in it runs or is loaded; what is left out is said', () => {
    const { regions, notes } = readSvg(
      svg(
        '<script>alert(1)</script><image href="http://x/y.png"/><style>.a{fill:#abc}</style><rect class="a" ' +
          'width="600" height="400"/><path d="M0 0 L100 0 L100 100" fill="red"/><path d="M0 0 h9 v9 z" ' +
          'fill="none" stroke="#000"/><path d="M200 0h50v50z" fill="url(#g)"/>',
      ),
    );
    expect(regions.map((r) => r.hex)).toEqual(['AABBCC', 'FF0000', '999999']);
    for (const words of [
      '1 scripts',
      '1 pictures',
      '1 open outlines',
      '1 lines without a fill',
      '1 fills that are no flat colour',
    ])
      expect(notes.join(' ')).toContain(words);
  });

  test('without a ground a rectangle is it; a drawing larger than hands can reduce is made smaller', () => {
    const { regions, notes } = readSvg(
      svg(
        '<circle cx="5" cy="5" r="4" fill="#123456"/><circle cx="60" cy="5" r="4"/>',
        'width="9000cm" height="400cm" viewBox="0 0 100 10"',
      ),
    );
    expect([regions.length, regions[0]?.name]).toEqual([3, 'ground']);
    expect(notes.join(' ')).toMatch(/larger than hands reduce; it was made 40 mm wide/);
    expect(notes.join(' ')).toContain('a rectangle around it is the ground');
    const xs = regions.flatMap((r) => r.points.map((p) => p[0]));
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(40, 6);
  });

  test.each<[string, string, string]>([
    ['no drawing', 'hello', 'svg/unreadable'],
    ['another document', '<html></html>', 'svg/unreadable'],
    ['entities', '<!DOCTYPE svg [<!ENTITY a "b">]><svg/>', 'svg/unreadable'],
    ['nothing filled', svg('<path d="M0 0h9" fill="none"/>'), 'svg/empty'],
    ['groups without end', svg(`${'<g>'.repeat(80)}<rect width="9" height="9"/>${'</g>'.repeat(80)}`), 'svg/deep'],
    ['too many regions', svg('<rect width="9" height="9"/>'.repeat(401)), 'cane/regions'],
    ['too many points', svg(`<path d="M0 0${'l1 1'.repeat(60_001)}z"/>`), 'svg/points'],
  ])('%s is refused', (_, text, code) => {
    expect(refusal(() => readSvg(text))).toBe(code);
  });

  test('5,000 segments are taken and simplified, none off by more than a hair', () => {
    const points = Array.from(
      { length: 5000 },
      (_, i) => `${300 + 250 * Math.cos((2 * Math.PI * i) / 5000)},${200 + 150 * Math.sin((2 * Math.PI * i) / 5000)}`,
    ).join(' ');
    const { regions } = readSvg(
      svg(`<rect width="600" height="400" fill="#fff"/><polygon points="${points}" fill="#000"/>`),
    );
    expect(regions[1]?.points.length).toBeLessThan(200);
    expect(Math.abs(signedArea(regions[1]?.points ?? [])) / (Math.PI * 25 * 15)).toBeCloseTo(1, 2);
  });
});

test('a closed line keeps to within the tolerance when it is simplified', () => {
  const line = fc
    .array(fc.tuple(fc.double({ min: 0.6, max: 1, noNaN: true }), fc.double({ min: 5, max: 20, noNaN: true })), {
      minLength: 6,
      maxLength: 60,
    })
    .map((radii): Point[] =>
      radii.map(([, r], i) => [
        r * Math.cos((2 * Math.PI * i) / radii.length),
        r * Math.sin((2 * Math.PI * i) / radii.length),
      ]),
    );
  fc.assert(
    fc.property(line, fc.double({ min: 0.01, max: 2, noNaN: true }), (points, tolerance) => {
      const few = simplified(points, tolerance);
      expect(few.length).toBeLessThanOrEqual(points.length);
      for (const [x, y] of points) {
        const off = few.reduce((least, p, i) => {
          const q = few[(i + 1) % few.length] as Point;
          const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
          const t = Math.min(1, Math.max(0, ((x - p[0]) * dx + (y - p[1]) * dy) / (dx * dx + dy * dy || 1)));
          return Math.min(least, Math.hypot(x - p[0] - t * dx, y - p[1] - t * dy));
        }, Infinity);
        expect(off).toBeLessThanOrEqual(tolerance + 1e-9);
      }
    }),
  );
  expect([
    crossesItself([
      [0, 0],
      [2, 2],
      [2, 0],
      [0, 2],
    ]),
    crossesItself([
      [0, 0],
      [2, 0],
      [2, 2],
      [0, 2],
    ]),
  ]).toEqual([true, false]);
});

test('the edges of a face, traced: their areas are those of the clay, and they come in again as a drawing', () => {
  const steps: Step[] = [
    { id: 'a', do: 'log', of: 'clay:a', diameter: 20, length: 50 },
    { id: 'b', do: 'wrap', of: 'clay:b', thickness: 3 },
  ];
  const state = runSteps(steps, contextOf()).at(-1)?.state;
  if (!state) throw new Error('no cane');
  const areas = tracedFace(state);
  expect(areas.map((a) => [a.material, a.place, a.rings.length])).toEqual([
    [0, null, 1],
    [1, null, 2],
  ]);
  const sizes = areas.map((a) => Math.abs(a.rings.reduce((sum, r) => sum + signedArea(r), 0)));
  expect((sizes[0] ?? 0) / (state.amounts.get(0) ?? 1)).toBeCloseTo(1, 2);
  const plug = runSteps(
    [{ id: 'p', do: 'plug', of: 'blend:f', wound: 'rolled', inside: 'first', width: 20, depth: 20, length: 50 }],
    contextOf(),
  )[0]?.state;
  expect(plug ? tracedFace(plug).map((a) => a.place) : []).toHaveLength(12);
});

describe('templates', () => {
  const square = (size: number, at: Point = [0, 0]): Point[] => [
    [at[0] - size / 2, at[1] - size / 2],
    [at[0] + size / 2, at[1] - size / 2],
    [at[0] + size / 2, at[1] + size / 2],
    [at[0] - size / 2, at[1] + size / 2],
  ];
  const template = (regions: readonly Region[]): Step[] => [{ id: 't', do: 'template', length: 50, regions }];

  test('each region has its fill: a colour, a blend in its direction, a cane pressed into it', () => {
    const context = contextOf();
    const rod: Step[] = [
      { id: 'a', do: 'log', of: 'clay:c', diameter: 4, length: 50 },
      { id: 'b', do: 'wrap', of: 'clay:d', thickness: 1 },
    ];
    const state = runSteps(
      template([
        { id: '1', name: 'ground', points: square(40), fill: { of: 'clay:a' } },
        { id: '2', name: 'left', points: square(10, [-10, 0]), fill: { blend: 'blend:f', degrees: 0 } },
        { id: '3', name: 'eye', points: square(8, [10, 0]), fill: { cane: { steps: rod }, degrees: 0 } },
      ]),
      context,
    )[0]?.state;
    const at = (x: number, y: number): string => context.materials[Math.floor(state?.sample(x, y) ?? -1)] ?? '';
    expect([at(0, 15), at(-10, 0), at(10, 0), at(13.8, 3.8)]).toEqual(['clay:a', 'blend:f', 'clay:c', 'clay:d']);
    expect((state?.sample(-14.9, 0) ?? 0) % 1).toBeLessThan(0.02);
    expect((state?.sample(-5.1, 0) ?? 0) % 1).toBeGreaterThan(0.97);
    expect([...(state?.amounts.values() ?? [])].reduce((a, b) => a + b, 0)).toBeCloseTo(1600, 6);
  });

  test('a picture becomes as many flat colours, with their areas', () => {
    const [width, height] = [120, 80];
    const colourAt = (i: number, j: number): number[] => {
      if ((i - 40) ** 2 + (j - 40) ** 2 < 400) return [123, 30, 75, 255];
      return i > 90 ? [147, 184, 76, 255] : [241, 238, 228, 255];
    };
    const data = new Uint8ClampedArray(width * height * 4);
    for (let j = 0; j < height; j++) for (let i = 0; i < width; i++) data.set(colourAt(i, j), 4 * (j * width + i));
    const drawn = tracePicture({ width, height, data }, 3, 60);
    const regions = drawnToRegions(drawn, (hex) => `clay:${hex}`);
    expect([regions.length, drawn.notes]).toEqual([3, []]);
    const state = runSteps(template(regions), contextOf())[0]?.state;
    if (!state) throw new Error('no template');
    const shares = [...measured(state.sample, state.outline).values()]
      .map((a) => a / areaOf(state.outline))
      .sort((a, b) => a - b);
    [(Math.PI * 400) / 9600, 29 / 120, 1 - (Math.PI * 400) / 9600 - 29 / 120]
      .sort((a, b) => a - b)
      .forEach((wanted, i) => {
        expect(Math.abs((shares[i] ?? 0) - wanted)).toBeLessThan(0.012);
      });
  });

  test('regions need an area, and a drawing at least one', () => {
    const wrong = (regions: readonly Region[]): string | undefined =>
      runSteps(template(regions), contextOf())[0]?.wrong?.code;
    expect(wrong([])).toBe('cane/regions');
    expect(
      wrong([
        { id: '1', name: 'g', points: square(40), fill: { of: 'clay:a' } },
        {
          id: '2',
          name: 'x',
          points: [
            [0, 0],
            [1, 1],
            [2, 2],
          ],
          fill: { of: 'clay:a' },
        },
      ]),
    ).toBe('cane/outline');
    expect(drawnOf([{ name: 'a', hex: '000000', points: square(10) }], 20, 0.01, []).regions).toHaveLength(1);
  });
});
