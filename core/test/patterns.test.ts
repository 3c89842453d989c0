import type { Lab } from '#core/colour';
import { patternWith, readPatternFile, writePattern } from '#core/formats';
import {
  AIR,
  PATTERN_POINTS,
  areaWanted,
  judgeLook,
  lookAt,
  mostOf,
  patternBody,
  patternContext,
  patternMaterials,
  planArea,
  planPattern,
  readPattern,
  runPattern,
  stopLine,
  veinWidth,
  wholeOf,
  withPatternMaterial,
  type Judged,
  type PatternStep,
} from '#core/pattern';
import { COLOURS, refusal } from './canes.js';

const { light, dark, strong, second } = COLOURS;
const stack = (thickness: number, ...of: readonly string[]): PatternStep => ({
  id: 'a',
  do: 'stack',
  width: 60,
  height: 40,
  layers: of.map((key) => ({ of: key, thickness })),
});
const logs = (length = 200): PatternStep => ({
  id: 'a',
  do: 'logs',
  length,
  logs: [light, dark, strong, second].map((of) => ({ of, diameter: 8 })),
});
const bodyOf = (...steps: readonly PatternStep[]) => patternBody(steps, patternContext());
const wrongOf = (...steps: readonly PatternStep[]): string =>
  runPattern(steps, patternContext()).find((r) => r.wrong)?.wrong?.code ?? 'nothing';

describe('a maker’s arithmetic', () => {
  test('rolled to half its thickness a sheet is twice as long, and of the same width by machine', () => {
    const rolled = bodyOf(stack(2, light, dark), { id: 'b', do: 'roll', to: 2, along: 'width' });
    expect([rolled.width, rolled.height, rolled.thick]).toEqual([120, 40, 2]);
    const byHand = bodyOf(stack(2, light, dark), { id: 'b', do: 'roll', to: 1, along: 'both' });
    expect(byHand.width / 60).toBeCloseTo(2, 9);
    expect(byHand.height / 40).toBeCloseTo(2, 9);
  });
  test('cut in three and stacked: a third as wide, three times as thick; a fan turns every other layer over', () => {
    const piled = bodyOf(stack(1, light, dark), { id: 'b', do: 'pile', pieces: 3, across: 'width' });
    expect([piled.width, piled.thick]).toEqual([20, 6]);
    const order = (body: typeof piled): number[] =>
      Array.from({ length: 6 }, (_, i) => Math.floor(body.field(0, 0, (body.thick * (i + 0.5)) / 6)));
    expect(order(piled)).toEqual([0, 1, 0, 1, 0, 1]);
    const fan = bodyOf(stack(1, light, dark), { id: 'b', do: 'fan', layers: 3, across: 'width' });
    expect(order(fan)).toEqual([0, 1, 1, 0, 0, 1]);
  });
  test('pressed together by 10 percent each way it is higher by 1 / 0.81', () => {
    const pressed = bodyOf(stack(2, light, dark), { id: 'b', do: 'press', percent: 10 });
    expect(pressed.thick).toBeCloseTo(4 / 0.81, 9);
  });
  test('a rope reduced to half its width is four times as long; folded it stays as it is', () => {
    const reduced = bodyOf(logs(100), { id: 'b', do: 'reduce', to: 8 }, { id: 'c', do: 'fold', times: 5, turns: 3 });
    expect(reduced.thick).toBeCloseTo(400, 6);
    expect(reduced.width).toBe(8);
  });
  test('a coil is as large as its rope: π r² h is the volume', () => {
    const coil = bodyOf(logs(300), { id: 'b', do: 'reduce', to: 10 }, { id: 'c', do: 'coil', to: 8 });
    const rope = Math.PI * 16 * 4 * 300;
    expect(planArea(coil) * 8).toBeCloseTo(rope, 4);
  });
  test('pieces on a backing keep the volume of all that was laid', () => {
    const laid = bodyOf(
      stack(2, light, dark),
      { id: 'b', do: 'shave', depth: 0.5, thickness: 1, number: 3 },
      { id: 'c', do: 'lay', columns: 3, rows: 1, gap: 4, of: strong, thickness: 1.5, to: 1.2, along: 'width' },
    );
    const whole = 3 * 60 * 40 * 1 + 3 * 64 * 44 * 1.5;
    expect(wholeOf(laid.volumes()) / whole).toBeCloseTo(1, 2);
    // below the least of both nothing is thicker than it was rolled to
    expect(planArea(laid) * laid.thick).toBeCloseTo(whole, 6);
  });
  test('twice the area takes twice the clay, with the same grain; slices are made again instead', () => {
    const steps: readonly PatternStep[] = [
      logs(300),
      { id: 'b', do: 'reduce', to: 10 },
      { id: 'f', do: 'fold', times: 2, turns: 4 },
      { id: 'c', do: 'coil', to: 8 },
    ];
    const one = planPattern(steps);
    const two = planPattern(steps, 2 * one.area);
    for (const [of, volume] of two.taken) expect(volume / (one.taken.get(of) ?? 0)).toBeCloseTo(2, 2);
    expect(two.steps.find((s) => s.do === 'fold')).toMatchObject({ turns: expect.closeTo(8, 2) as number });
    const sliced = planPattern(
      [stack(2, light, dark), { id: 'b', do: 'slice', degrees: 90, off: 0, thickness: 1, number: 4 }],
      500,
    );
    expect(sliced.makes).toBe(Math.ceil(500 / (4 * 40 * 4)));
  });
  test('areas that are covered: a frame without its opening, a tube all around, and what is trimmed', () => {
    const wanted = { width: 60, height: 50, innerWidth: 20, innerHeight: 10, pieces: 2, trimmed: 0.5 };
    expect(areaWanted({ ...wanted, covers: 'frame' })).toBeCloseTo((2 * (3000 - 200)) / 0.5, 9);
    expect(areaWanted({ ...wanted, covers: 'sheet' })).toBeCloseTo(12_000, 9);
    expect(areaWanted({ ...wanted, covers: 'tube' })).toBeCloseTo((2 * Math.PI * 3000) / 0.5, 9);
  });
  test('what runs out first says how much can be made', () => {
    const taken = new Map([
      [light, 10],
      [dark, 4],
    ]);
    expect(
      mostOf(
        taken,
        new Map([
          [light, 15],
          [dark, 2],
        ]),
      ),
    ).toEqual({ factor: 0.5, runsOut: dark });
    expect(mostOf(taken, new Map([[light, 15]])).factor).toBe(0);
  });
});

describe('what lies where', () => {
  test('the colour on top lies at the bottom of a dent, and the hole is open until it is pressed shut', () => {
    const ball: PatternStep = {
      ...{ id: 'b', do: 'dents', balls: [{ diameter: 10, depth: 4 }], laid: 'by hand', number: 0, around: 0, seed: 1 },
      places: [{ x: 0, y: 0, ball: 0 }],
    };
    const open = bodyOf(stack(2, dark, strong, light), ball);
    expect(open.field(0, 0, 5.9)).toBe(AIR);
    expect(open.field(0, 0, 1.9)).toBe(2);
    expect(open.field(25, 15, 1.9)).toBe(0);
    const shut = bodyOf(stack(2, dark, strong, light), ball, { id: 'c', do: 'press', percent: 0 });
    expect(shut.field(0, 0, 5.9)).toBe(2);
    expect(shut.field(0, 0, 3)).toBe(2);
    expect(shut.field(25, 15, 3)).toBe(1);
  });
  test('a knife along the layers shows one colour, across them all', () => {
    const colours = (...steps: readonly PatternStep[]): number => {
      const context = patternContext();
      const body = patternBody(steps, context);
      const { sample } = lookAt(body, context, { of: 'face' });
      return new Set(Array.from({ length: 400 }, (_, i) => sample((i % 20) * 0.5 - 5, Math.floor(i / 20) * 0.3 - 2.9)))
        .size;
    };
    const block = stack(2, light, dark, strong);
    expect(colours(block, { id: 'b', do: 'shave', depth: 1, thickness: 0.5, number: 1 })).toBe(1);
    expect(colours(block, { id: 'b', do: 'slice', degrees: 0, off: 0, thickness: 1, number: 1 })).toBe(3);
  });
  test('the same hands make the same sheet, other hands another one', () => {
    const steps = PATTERN_POINTS.find((p) => p.id === 'onion-skins')?.steps(COLOURS) ?? [];
    const seen = (seed: number): string => {
      const body = patternBody(steps, patternContext(1, seed));
      return Array.from({ length: 300 }, (_, i) =>
        Math.floor(body.field((i % 20) * 6 - 60, Math.floor(i / 20) * 8 - 60, 1.5)),
      ).join('');
    };
    expect(seen(2)).toBe(seen(2));
    expect(seen(2)).not.toBe(seen(3));
  });
});

describe('veins, contrast and mud', () => {
  const LABS: Readonly<Record<number, Lab>> = {
    0: { l: 92, a: 0, b: 6 },
    1: { l: 20, a: 0, b: 0 },
    2: { l: 35, a: 45, b: -5 },
    3: { l: 70, a: 20, b: 65 },
  };
  const stage = (times: number): Judged => {
    const context = patternContext();
    const body = patternBody([logs(), { id: 'f', do: 'fold', times, turns: 3 }], context);
    const mixed = { l: 50, a: 15, b: 15 };
    return judgeLook(lookAt(body, context, { of: 'face' }), (v) => LABS[Math.floor(v)] as Lab, mixed);
  };
  test('stripes are as wide as they are: their mean run is by π / 2 longer than across', () => {
    const context = patternContext();
    const block = patternBody([stack(2, light, dark, light, dark, light, dark)], context);
    const look = lookAt(block, context, { of: 'side', degrees: 0, off: 0 });
    // a line at random crosses them aslant: 2 mm · π / 2, and the outer borders are none
    expect(veinWidth(look)).toBeGreaterThan(2 * (Math.PI / 2));
    expect(veinWidth(look)).toBeLessThan(2 * (Math.PI / 2) * 1.5);
    expect(veinWidth(lookAt(patternBody([stack(2, light)], context), context, { of: 'face' }))).toBe(Infinity);
  });
  test('each fold makes veins narrower, and at last nothing can be told apart', () => {
    const stages = [0, 1, 2, 3, 4, 5, 6, 8, 10, 12].map(stage);
    stages.slice(1).forEach((s, i) => {
      expect(s.vein).toBeLessThan(stages[i]?.vein ?? 0);
    });
    const stop = stopLine(stages);
    expect(stop).toBeGreaterThan(3);
    expect(stop).toBeLessThan(stages.length - 1);
    expect(stages.at(-1)?.contrast).toBeLessThan((stages[0]?.contrast ?? 0) / 3);
  });
});

describe('what cannot be', () => {
  const dents = (part: object): PatternStep =>
    ({
      ...{ id: 'b', do: 'dents', balls: [{ diameter: 4, depth: 1 }], laid: 'scattered', number: 5, around: 0, seed: 1 },
      ...part,
    }) as PatternStep;
  const cuts = (part: object): PatternStep =>
    ({
      id: 'b',
      do: 'cuts',
      blade: 'lines',
      number: 4,
      depth: 1,
      degrees: 0,
      size: 2,
      seed: 1,
      ...part,
    }) as PatternStep;
  test.each<[string, string, readonly PatternStep[]]>([
    [
      'dents deeper than the block',
      'pattern/too deep',
      [stack(2, light, dark), dents({ balls: [{ diameter: 9, depth: 4 }] })],
    ],
    ['3,000 dents', 'pattern/count', [stack(2, light, dark), dents({ number: 3000 })]],
    ['cuts that leave nothing together', 'pattern/together', [stack(2, light, dark), cuts({ number: 60, depth: 4 })]],
    ['a blade deeper than the block', 'pattern/too deep', [stack(2, light, dark), cuts({ depth: 5 })]],
    [
      'a shave below the block',
      'pattern/below',
      [stack(2, light, dark), { id: 'b', do: 'shave', depth: 2, thickness: 1, number: 3 }],
    ],
    [
      'slices thicker than the block',
      'pattern/slice',
      [stack(2, light, dark), { id: 'b', do: 'slice', degrees: 90, off: 0, thickness: 40, number: 1 }],
    ],
    [
      'a knife beside the block',
      'pattern/beside',
      [stack(2, light, dark), { id: 'b', do: 'slice', degrees: 90, off: 90, thickness: 1, number: 1 }],
    ],
    ['rolled thicker', 'pattern/thicker', [stack(2, light, dark), { id: 'b', do: 'roll', to: 9, along: 'both' }]],
    ['a block twisted', 'pattern/form', [stack(2, light, dark), { id: 'b', do: 'twist', turns: 3 }]],
    ['folded 30 times', 'pattern/count', [logs(), { id: 'b', do: 'fold', times: 30, turns: 3 }]],
    [
      'folded and rolled until no layer is left',
      'pattern/layers',
      [stack(0.1, light, dark), { id: 'b', do: 'knead', times: 12, across: 'width', turned: false }],
    ],
    ['reduced to more', 'pattern/larger', [logs(), { id: 'b', do: 'reduce', to: 40 }]],
    ['a coil of a stub', 'pattern/coil', [logs(20), { id: 'c', do: 'coil', to: 4 }]],
    ['all of it trimmed', 'pattern/trimmed', [stack(2, light, dark), { id: 'b', do: 'trim', edge: 20 }]],
    [
      'more pieces than there are',
      'pattern/enough',
      [
        stack(2, light, dark),
        { id: 'b', do: 'lay', columns: 2, rows: 2, gap: 0, of: dark, thickness: 1, to: 2, along: 'both' },
      ],
    ],
    [
      'nothing but specks',
      'pattern/specks',
      [stack(2, light), { id: 'b', do: 'specks', of: dark, diameter: 5, perCm3: 900 }],
    ],
    ['begun twice', 'pattern/begin again', [stack(2, light), { ...stack(2, dark), id: 'b' }]],
  ])('%s', (_, code, steps) => {
    expect(wrongOf(...steps)).toBe(code);
  });
});

describe('a document', () => {
  const program = { version: 1 as const, steps: PATTERN_POINTS[0]?.steps(COLOURS) ?? [] };
  test('of every starting point is read back as it was written', () => {
    for (const point of PATTERN_POINTS) {
      const own = { version: 1 as const, steps: point.steps(COLOURS) };
      expect(readPattern(JSON.parse(JSON.stringify(own)))).toEqual(own);
      const materials = Object.fromEntries(
        patternMaterials(own.steps).map((key) => [key, { name: key, hexes: ['abcdef'] }]),
      );
      const file = readPatternFile(writePattern({ name: point.name, program: own, materials }));
      expect(file).toEqual({ name: point.name, program: own, materials });
      const exchanged = patternWith(file, (key) => (key === light ? dark : light));
      expect(new Set(patternMaterials(exchanged.steps)).size).toBeLessThanOrEqual(2);
    }
  });
  test('one material takes the place of another everywhere', () => {
    const steps = withPatternMaterial(program.steps, light, 'clay:other');
    expect(patternMaterials(steps)).toContain('clay:other');
    expect(patternMaterials(steps)).not.toContain(light);
  });
  test.each<[string, unknown, string]>([
    ['nothing', null, 'pattern/format'],
    ['a newer version', { version: 7, steps: [] }, 'pattern/newer'],
    ['a step unknown', { version: 1, steps: [{ id: 'a', do: 'bake' }] }, 'pattern/format'],
    ['a field unknown', { version: 1, steps: [{ ...stack(1, light), glue: 3 }] }, 'pattern/format'],
    ['a number that is none', { version: 1, steps: [{ ...stack(1, light), width: 'wide' }] }, 'pattern/format'],
    ['a cane for a clay', { version: 1, steps: [stack(1, 'cane:x')] }, 'pattern/format'],
    ['61 steps', { version: 1, steps: Array.from({ length: 61 }, () => stack(1, light)) }, 'pattern/format'],
  ])('that is %s is refused', (_, value, code) => {
    expect(refusal(() => readPattern(value))).toBe(code);
  });
  test('that is no JSON, or something else, says so', () => {
    expect(refusal(() => readPatternFile('no'))).toBe('pattern/format');
    expect(refusal(() => readPatternFile('{"kind":"cane"}'))).toBe('pattern/format');
    expect(refusal(() => readPatternFile('{"kind":"patterned sheet","version":9}'))).toBe('pattern/newer');
  });
});
