import fc from 'fast-check';
import { labOf, xyzOfHex } from '#core/colour';
import {
  EDGE_LIGHT,
  TEXTURES,
  contrastAt,
  edgeLightOf,
  levelsOf,
  micaColours,
  press,
  reliefOf,
  rolled,
  shareAt,
  shave,
  surfaceOf,
  tiltsAt,
} from '#core/mica';
import {
  AIR,
  darkestOf,
  lookAt,
  patternContext,
  planArea,
  planPattern,
  runPattern,
  readPattern,
  wholeOf,
  type Body,
  type PatternStep,
  type Sheen,
} from '#core/pattern';

const SHEET: PatternStep = { id: 'a', do: 'stack', width: 40, height: 30, layers: [{ of: 'clay:m', thickness: 3 }] };
const pressed = (part: Partial<Extract<PatternStep, { do: 'relief' }>> = {}): PatternStep => ({
  ...{ id: 'b', do: 'relief', texture: 'ripple', pitch: 6, depth: 1 },
  ...part,
});
const skimmed = (off: number): PatternStep => ({ id: 'c', do: 'skim', off, school: 'flat' });
const rolledTo = (to: number, along: 'width' | 'both' = 'both'): PatternStep => ({ id: 'd', do: 'roll', to, along });

interface Shown {
  readonly body: Body;
  readonly sheen: Sheen;
}
function shown(steps: readonly PatternStep[], deep = 0): Shown {
  const [one, other] = [patternContext(), { ...patternContext(), heights: true }];
  const [body, heights] = [one, other].map((context) => {
    const last = runPattern(steps, context).at(-1);
    if (!last?.body) throw last?.wrong ?? new Error('nothing');
    return last.body;
  }) as [Body, Body];
  return { body, sheen: { heights, deep: [deep] } };
}
/** How much of the edges is seen at a place from above. */
function edgesAt({ body, sheen }: Shown): (x: number, y: number) => number {
  const { sample } = lookAt(body, patternContext(), { of: 'face' }, sheen);
  return sample;
}
const darkest = ({ body, sheen }: Shown): number =>
  darkestOf(lookAt(body, patternContext(), { of: 'face' }, sheen), sheen.deep).get(0) ?? NaN;

describe('a relief in a patterned sheet', () => {
  test('goes nowhere but up and down: the clay is the same, and the sheet on its middle', () => {
    for (const texture of TEXTURES) {
      const { body } = shown([SHEET, pressed({ texture })]);
      expect(wholeOf(body.volumes())).toBeCloseTo(40 * 30 * 3, 6);
      let clay = 0;
      const n = 60;
      for (let k = 0; k < n ** 3; k++) {
        const [x, y, z] = [k % n, Math.floor(k / n) % n, Math.floor(k / n ** 2)].map((i) => (i + 0.5) / n);
        if (body.field((x! - 0.5) * 40, (y! - 0.5) * 30, z! * body.thick) !== AIR) clay++;
      }
      expect((clay / n ** 3) * 40 * 30 * body.thick).toBeCloseTo(3600, -1.6);
    }
  });

  test('what is shaved off and what stays are what there was, for the tubs too', () => {
    const off = fc.double({ min: 0.05, max: 1.4, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...TEXTURES), off, (texture, mm) => {
        const steps = [SHEET, pressed({ texture }), skimmed(mm)];
        const { taken, given, left } = planPattern(steps, null);
        const rest = left.flatMap((l) => [...l.volumes.values()]).reduce((a, b) => a + b, 0);
        const [all = 0] = taken.values();
        const [stays = 0] = given.values();
        expect(Math.abs(all - stays - rest) / all).toBeLessThan(0.003);
      }),
      { numRuns: 20 },
    );
  });

  test('shaved to its valleys and rolled it lies flat, and holds what it held', () => {
    const { body } = shown([SHEET, pressed(), skimmed(0.7), rolledTo(1.2)]);
    expect(body.thick).toBe(1.2);
    expect(planArea(body) * 1.2).toBeCloseTo(wholeOf(body.volumes()), -1);
    for (const x of [-12, 0, 9]) expect(body.field(x, 4, 1.199)).toBe(0);
  });

  test('the sheen is that of core’s own reckoning, place by place', () => {
    const relief = reliefOf('ripple', { width: 40, height: 30 }, 6, 800);
    const plain = press(relief, 3, 1);
    const { surface } = shave(plain, { height: plain.valley });
    const tilts = tiltsAt(plain, surface);
    const edges = edgesAt(shown([SHEET, pressed(), skimmed(1)]));
    const off: number[] = [];
    for (let j = 60; j < relief.rows - 60; j += 37)
      for (let i = 60; i < relief.columns - 60; i += 31) {
        const at = j * relief.columns + i;
        const share = shareAt((tilts.across[at] ?? 0) ** 2 + (tilts.down[at] ?? 0) ** 2);
        const [x, y] = [(i + 0.5) * relief.wide - 20, 15 - (j + 0.5) * relief.high];
        off.push(Math.abs(1 - share - edges(x, y)));
      }
    off.sort((a, b) => a - b);
    expect(off.at(Math.floor(0.95 * off.length))).toBeLessThan(0.03);
    expect(surfaceOf(plain)).toHaveLength(tilts.across.length);
  });

  test('every setting takes from it, none adds', () => {
    const stages = [2.2, 1.8, 1.4, 1, 0.7, 0.4].map((to) =>
      darkest(shown([SHEET, pressed(), skimmed(0.9), rolledTo(to)])),
    );
    expect([...stages].sort((a, b) => a - b)).toEqual(stages);
    expect(stages.at(-1)).toBeGreaterThan(0.9);
    expect(stages[0]).toBeLessThan(0.75);
    // as the model of reliefs has it
    expect(
      rolled(
        { columns: 1, rows: 1, wide: 1, high: 1, across: new Float32Array([1]), down: new Float32Array([0]) },
        0.5,
        'by hand',
      ).across[0],
    ).toBeCloseTo(0.5 * Math.SQRT1_2, 5);
  });

  test('a sheet that nothing was done to shows its face from above, and its edges from the side', () => {
    const { body, sheen } = shown([SHEET]);
    expect(darkest({ body, sheen })).toBeCloseTo(1, 6);
    const side = lookAt(body, patternContext(), { of: 'side', degrees: 20, off: 2 }, sheen);
    expect(side.sample(1, 0)).toBeGreaterThan(0.99);
  });

  test('light from deeper down sees flatter flakes', () => {
    const steps = [SHEET, pressed(), skimmed(0.9)];
    expect(darkest(shown(steps, 1))).toBeGreaterThan(darkest(shown(steps, 0)));
  });

  test('dents in mica show too, without a relief', () => {
    const dents: PatternStep = {
      ...{ id: 'b', do: 'dents', laid: 'scattered', number: 12, around: 0, seed: 1 },
      balls: [{ diameter: 5, depth: 1.5 }],
    };
    expect(darkest(shown([SHEET, dents, skimmed(0.9), rolledTo(1.5)]))).toBeLessThan(0.9);
  });
});

describe('a picture that is pressed in', () => {
  const relief = reliefOf('net', { width: 40, height: 30 }, 8, 200);
  const drawn = levelsOf(relief);

  test('is kept as letters, and comes near to what it was', () => {
    expect(drawn.levels).toHaveLength(drawn.columns * drawn.rows);
    expect(Math.max(drawn.columns, drawn.rows)).toBe(128);
    const [one, other] = [
      edgesAt(shown([SHEET, pressed({ drawn }), skimmed(1)])),
      edgesAt(shown([SHEET, pressed({ texture: 'net', pitch: 8 }), skimmed(1)])),
    ];
    const places = Array.from({ length: 400 }, (_, k) => [(k % 20) * 1.7 - 16, Math.floor(k / 20) * 1.3 - 12] as const);
    const apart = places.reduce((sum, [x, y]) => sum + Math.abs(one(x, y) - other(x, y)), 0) / places.length;
    expect(apart).toBeLessThan(0.08);
  });

  test('is read from a document, and what is not whole is said', () => {
    const program = { version: 1, steps: [SHEET, pressed({ drawn })] };
    expect(readPattern(JSON.parse(JSON.stringify(program)))).toEqual(program);
    const wrongOf = (step: PatternStep) => runPattern([SHEET, step], patternContext()).at(-1)?.wrong?.code;
    expect(wrongOf(pressed({ drawn: { ...drawn, levels: 'AAA' } }))).toBe('relief/levels');
    expect(wrongOf(pressed({ drawn: { columns: 2, rows: 1, levels: '!A' } }))).toBe('relief/levels');
    expect(wrongOf(pressed({ drawn: { columns: 2, rows: 1, levels: 'BB' } }))).toBe('relief/flat');
    expect(wrongOf(pressed({ depth: 6 }))).toBe('pattern/too deep');
    expect(wrongOf(pressed({ pitch: 0.1 }))).toBe('relief/pitch');
    expect(wrongOf(skimmed(3))).toBe('pattern/below');
  });
});

describe('edges of flakes as they were measured', () => {
  test('their light beside that of the face; what was not measured is assumed', () => {
    expect(edgeLightOf('C8A24B', null)).toBe(EDGE_LIGHT);
    expect(edgeLightOf('808080', '808080')).toBeCloseTo(1, 9);
    // half of white in light is BC in sRGB
    expect(edgeLightOf('FFFFFF', 'BCBCBC')).toBeCloseTo(0.5, 2);
    expect(edgeLightOf('404040', 'FFFFFF')).toBe(1);
    expect(edgeLightOf('FFFFFF', '000000')).toBe(0.02);
  });

  test('the darker they are, the clearer a picture is', () => {
    const face = labOf(xyzOfHex('C8A24B'));
    const clear = ['806020', '403010'].map((edge) => contrastAt(micaColours(face, edgeLightOf('C8A24B', edge)), 0.2));
    expect(clear[1]).toBeGreaterThan(clear[0] ?? NaN);
  });
});
