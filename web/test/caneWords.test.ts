import fc from 'fast-check';
import {
  STARTING_POINTS,
  SHAPES,
  contextOf,
  planBackwards,
  runSteps,
  withPart,
  type Do,
  type MaterialKey,
  type Step,
} from '#core/cane';
import { pigmentOf } from '#core/colour';
import { showLength, type UnitSystem } from '#core/units';
import { caneSteps, type CaneWords } from '../src/stations/canes/words/caneSteps.js';
import { gramsOf, pathWords, startWords, wrapWords } from '../src/stations/canes/words/caneWords.js';
import type { CaneMaterial } from '../src/stations/canes/clay/materials.js';
import { outlinesSvg } from '../src/stations/canes/faces/outlinesSvg.js';
import { stepsAt, withSteps } from '../src/stations/canes/editing/parts.js';
import { ALL_WORDS, NEXT, SHAPE_WORDS, newStep, stepTitle } from '../src/stations/canes/steps/index.js';
import { warningWords } from '../src/stations/canes/words/warningWords.js';
import {
  plainPlan,
  plainStep,
  type PlainPart,
  type PlainPlan,
  type PlainStep,
  type PlainWarning,
} from '../src/workers/canePlain.js';

const COLOURS = {
  dark: 'clay:soot',
  light: 'clay:chalk',
  strong: 'clay:beet',
  second: 'clay:leek',
  glass: ['clay:clear'],
  fade: 'blend:straw',
};
const NAMES: Readonly<Record<MaterialKey, string>> = {
  'clay:soot': 'Soot',
  'clay:chalk': 'Chalk',
  'clay:beet': 'Beetroot',
  'clay:leek': 'Leek',
  'clay:clear': 'Clearpane',
  'blend:straw': 'Straw fade',
};
const name = (key: string): string => NAMES[key] ?? '?';
const material = (key: string, more: Partial<CaneMaterial> = {}): CaneMaterial => ({
  key,
  name: name(key),
  hexes: ['7B1E4B'],
  paint: Uint8Array.from([123, 30, 75]),
  density: 1.9,
  pigment: pigmentOf('7B1E4B', 1),
  mica: false,
  micaShare: 0,
  edgeLight: 0.3,
  shares: [{ clayId: key.slice(5), mass: 1 }],
  lab: { l: 50, a: 0, b: 0 },
  hides: 0.3,
  bakes: [{ bakeC: 130, maxC: 150 }],
  old: false,
  crumbly: false,
  ...more,
});

/** A plan as the worker gives it, and how large the cane is after each step. */
function planned(steps: readonly Step[]): { readonly plan: PlainPlan; readonly sizes: PlainStep[] } {
  const context = contextOf();
  const plan = plainPlan(planBackwards(steps, { slices: 40, thickness: 2 }, context), context);
  const worked = contextOf();
  return { plan, sizes: runSteps(steps, worked).map((r, i, all) => plainStep(r, worked, i, all[i - 1])) };
}

describe('words for steps', () => {
  const all = STARTING_POINTS.flatMap((s) => s.steps(COLOURS));

  test.each(['metric', 'imperial'] as const)('every step of the starting points has a title in %s', (units) => {
    for (const step of all) {
      const title = stepTitle(step, units);
      expect(title.length).toBeGreaterThan(2);
      expect(title).not.toMatch(/undefined|NaN|\[object/);
      if (units === 'imperial') expect(title).not.toMatch(/\d mm/);
    }
    expect(stepTitle({ ...(all[0] as Step), name: 'The heart' }, units)).toBe('The heart');
  });

  test('what can be added is offered once, each with a name, and works from a usual cane', () => {
    const offered = NEXT.flatMap((g) => g.kinds);
    expect(new Set(offered).size).toBe(offered.length);
    expect(ALL_WORDS.map(([kind]) => kind).sort()).toEqual(
      [...new Set([...offered, 'log', 'block', 'plug', 'roll', 'loaf', 'template', 'cane'])].sort(),
    );
    expect(Object.keys(SHAPE_WORDS).sort()).toEqual([...SHAPES].sort());
    const figures: PlainStep = {
      stamp: 1,
      wrong: null,
      there: true,
      width: 24,
      height: 24,
      across: 24,
      area: 452,
      length: 60,
      count: 8,
      round: true,
      points: [],
      amounts: [],
    };
    for (const kind of offered) {
      const before: Step[] = [
        { id: 'a', do: 'log', of: 'clay:chalk', diameter: 24, length: 60 },
        { id: 'b', do: 'press', to: { shape: kind === 'pair' ? 'triangle' : 'square' }, turn: 0 },
        { id: 'c', do: 'across', pieces: 8 },
      ];
      const step = newStep(
        kind as Do,
        { ...figures, width: 21.27, height: 21.27, length: 7.5 },
        { dark: 'clay:soot', light: 'clay:chalk', blend: null },
      );
      expect([kind, runSteps([...before, step], contextOf()).at(-1)?.wrong?.message ?? null]).toEqual([kind, null]);
    }
    for (const kind of ['log', 'block', 'plug', 'roll', 'loaf', 'template', 'cane'] as const) {
      expect(
        runSteps(
          [newStep(kind, null, { dark: 'clay:soot', light: 'clay:chalk', blend: 'blend:straw' })],
          contextOf(),
        )[0]?.wrong,
      ).toBeNull();
    }
    expect(newStep('plug', null, { dark: 'clay:a', light: 'clay:b', blend: null }).do).toBe('log');
  });
});

describe('parts within parts', () => {
  const rod = (of: string): Step => ({ id: of, do: 'log', of, diameter: 5, length: 60 });
  const nested: Step[] = [
    rod('clay:a'),
    {
      id: 'i',
      do: 'insert',
      x: 0,
      y: 0,
      diameter: 3,
      degrees: 0,
      part: {
        name: 'eye',
        steps: [rod('clay:b'), { id: 'r', do: 'ring', count: 6, middle: { name: 'pith', steps: [rod('clay:c')] } }],
      },
    },
  ];

  test('steps are found down a path, and exchanged there alone', () => {
    const path = [
      { step: 1, part: 0 },
      { step: 1, part: 0 },
    ];
    expect(stepsAt(nested, path)).toEqual([rod('clay:c')]);
    const changed = withSteps(nested, path, [rod('clay:d')]);
    expect(stepsAt(changed, path)).toEqual([rod('clay:d')]);
    expect(stepsAt(changed, [{ step: 1, part: 0 }])?.[0]).toEqual(rod('clay:b'));
    expect(withSteps(changed, path, [rod('clay:c')])).toEqual(nested);
    expect([stepsAt(nested, [{ step: 0, part: 0 }]), stepsAt(nested, [{ step: 9, part: 0 }])]).toEqual([null, null]);
    expect(withSteps(nested, [{ step: 1, part: 3 }], [])).toEqual(nested);
  });

  test('each kind of step takes another cane in its place', () => {
    const other = { ref: 'r9', name: 'Other' };
    const own = { name: 'own', steps: [rod('clay:a')] };
    const steps: Step[] = [
      { id: '1', do: 'cane', part: own },
      { id: '2', do: 'stack', side: 'top', part: own },
      { id: '3', do: 'ring', count: 5, middle: own },
      { id: '4', do: 'grid', rows: 2, columns: 2, turns: 'none', others: [own, own] },
      { id: '5', do: 'bundle', count: 3, to: { shape: 'round' }, seed: 1, others: [{ part: own, count: 2 }] },
      {
        id: '6',
        do: 'template',
        length: 9,
        regions: [
          {
            id: 'g',
            name: 'g',
            points: [
              [0, 0],
              [1, 0],
              [0, 1],
            ],
            fill: { of: 'clay:a' },
          },
          {
            id: 'h',
            name: 'h',
            points: [
              [0, 0],
              [1, 0],
              [0, 1],
            ],
            fill: { cane: own, degrees: 0 },
          },
        ],
      },
    ];
    for (const step of steps) {
      const text = JSON.stringify(withPart(step, 0, other));
      expect([step.do, text.split('"r9"').length]).toEqual([step.do, 2]);
    }
    expect(JSON.stringify(withPart(steps[3] as Step, 1, other))).toMatch(/"own".*"r9"/);
    expect(withPart(rod('clay:a'), 0, other)).toEqual(rod('clay:a'));
  });
});

type Row = Pick<PlainPart, 'name' | 'steps' | 'sizes' | 'stages'>;

describe.each(STARTING_POINTS.map((s) => [s.id, s] as const))('at the bench: %s', (_, start) => {
  const steps = start.steps(COLOURS);
  const { plan, sizes } = planned(steps);
  const wordsIn = (units: UnitSystem): CaneWords[] =>
    caneSteps({ steps, sizes, plan, names: name, own: undefined, units, slices: 40, sliceMm: 2 });

  test.each(['metric', 'imperial'] as const)('every step says what to do and what to reach, in %s', (units) => {
    const words = wordsIn(units);
    const rows = [{ steps, stages: plan.stages }, ...plan.parts];
    const trims = rows.flatMap((row) => row.stages.filter((s) => s.cut > 0.05)).length;
    const done = rows.reduce((sum, row) => sum + row.steps.length - 1, 0);
    // each cane that is taken in is cut at its end; then rest and slicing
    expect(words).toHaveLength(plan.starts.length + done + trims + plan.parts.length + 2);
    expect(words.filter((w) => w.title.endsWith('Cut the ends off'))).toHaveLength(trims);
    expect(words.every((w) => w.face >= 0 && w.face < steps.length)).toBe(true);
    for (const w of words) {
      expect(`${w.title} ${w.line} ${w.figure ?? ''}`).not.toMatch(/undefined|NaN|\?|\[object/);
      expect(w.line.trim()).toMatch(/\.$/);
    }
    expect(words.at(-1)?.title).toBe('Slice');
    expect(words.filter((w) => w.line.includes(' stages')).every((w) => /(^|: )Reduce/.test(w.title))).toBe(true);
  });

  test('lengths and sizes are those of the plan, to a tenth of a millimetre', () => {
    const words = wordsIn('metric');
    const rows: readonly Row[] = [{ name: '', steps, sizes, stages: plan.stages }, ...plan.parts];
    for (const row of rows) {
      const own = words.filter((w) =>
        row.name === '' ? !w.title.includes(': ') : w.title.startsWith(`${row.name}: `),
      );
      let at = 0;
      row.steps.slice(1).forEach((step, i) => {
        const title = `${row.name === '' ? '' : `${row.name}: `}${stepTitle(step, 'metric')}`;
        at = own.findIndex((w, k) => k > at && w.title === title);
        const word = own[at];
        expect(Number.parseFloat(word?.figure ?? '')).toBeCloseTo(row.stages[i + 1]?.length ?? 0, 1);
        const [size, before] = [row.sizes[i + 1]!, row.sizes[i]!];
        const other = Math.abs(size.width - before.width) > 0.05 || Math.abs(size.height - before.height) > 0.05;
        if (!other && size.round === before.round) return;
        const wanted = size.round ? [size.across] : [size.width, size.height];
        const said = wanted.map((n) => String(Math.round(n * 10) / 10)).join(' × ');
        expect(`${title}: ${word?.line ?? ''}`).toContain(`${said} mm`);
      });
    }
  });

  test('what is cut off each cane that is taken in is all that it gives', () => {
    for (const part of plan.parts) {
      const last = part.stages.at(-1)!;
      const used = part.taken.reduce((sum, t) => sum + t.count * t.length, 0);
      expect(used).toBeLessThanOrEqual(last.count * (last.length - 2 * last.cut) * (1 + 1e-9));
      const line = wordsIn('metric').findLast((w) => w.title.startsWith(`${part.name}: `))?.line ?? '';
      for (const { count, length } of part.taken)
        expect(line).toContain(`${count > 1 ? `${count} × ` : ''}${showLength(length, 'metric')}`);
    }
  });

  test('what to begin with adds up to the clay', () => {
    const materials = new Map(Object.keys(NAMES).map((key) => [key, material(key)]));
    const { perClay, total } = gramsOf(plan.volumes, materials);
    expect([...perClay.values()].reduce((a, b) => a + b, 0)).toBeCloseTo(total, 6);
    expect(total).toBeGreaterThan(
      gramsOf(
        plan.offcuts.flatMap((o) => o.volumes),
        materials,
      ).total,
    );
    for (const s of plan.starts) expect(startWords(s, name, undefined, 'metric')).not.toBe('');
    expect([pathWords([]), pathWords(['speckle, cut in 3', 'seeds, cut in 5'])]).toEqual([
      '',
      ' (speckle, cut in 3 › seeds, cut in 5)',
    ]);
    for (const w of plan.wraps) expect(wrapWords(w, name, undefined, 'metric')).toMatch(/^(\d+ × )?sheet of /);
  });
});

test('every warning says what is wrong and what to do, in a sentence', () => {
  const warnings: PlainWarning[] = [
    { kind: 'feature', mm: 0.08, material: 'clay:soot', at: [0, 0] },
    { kind: 'together', one: 'clay:chalk', other: 'clay:clear', deltaE: 3.2, seen: 3.2, mm: 1, below: null },
    { kind: 'together', one: 'clay:chalk', other: 'clay:leek', deltaE: 30, seen: 2.1, mm: 0.05, below: 0.09 },
    { kind: 'thin wall', material: 'clay:chalk', mm: 0.1, hides: 0.3 },
    { kind: 'too thick', step: 3, mm: 130 },
    { kind: 'too thin', mm: 2 },
    { kind: 'lengths', step: 4, one: 60, other: 90 },
    { kind: 'air', step: 5, share: 0.093 },
    { kind: 'old', material: 'clay:leek' },
    { kind: 'crumbly', material: 'clay:leek' },
    { kind: 'bakes', lowest: 110, highest: 130, at: 125 },
  ];
  for (const units of ['metric', 'imperial'] as const) {
    const said = warnings.map((w) => warningWords(w, name, units));
    expect(new Set(said).size).toBe(warnings.length);
    for (const s of said) {
      expect(s).toMatch(/[.]$/);
      expect(s).not.toMatch(/undefined|NaN|\?/);
    }
  }
  expect(warningWords(warnings[7] as PlainWarning, name, 'metric')).toContain('9 % air');
});

test('outlines as a drawing: in millimetres, from the upper left corner, names made harmless', () => {
  const figures: PlainStep = {
    stamp: 1,
    wrong: null,
    there: true,
    width: 20,
    height: 10,
    across: 20,
    area: 200,
    length: 60,
    count: 1,
    round: false,
    points: [
      [-10, -5],
      [10, -5],
      [10, 5],
      [-10, 5],
    ],
    amounts: [],
  };
  const fade = material('blend:straw', {
    name: 'A & <b>',
    paint: Uint8Array.from({ length: 768 }, (_, i) => Math.floor(i / 3)),
  });
  fc.assert(
    fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (place) => {
      const svg = outlinesSvg(
        [
          {
            key: 'blend:straw',
            place,
            rings: [
              [
                [-10, -5],
                [10, -5],
                [10, 5],
              ],
            ],
          },
        ],
        figures,
        new Map([['blend:straw', fade]]),
      );
      expect(svg).toContain('width="20.000mm" height="10.000mm" viewBox="0 0 20.000 10.000"');
      expect(svg).toContain('M0.000 10.000L20.000 10.000L20.000 0.000Z');
      expect(svg).toContain('A &#38; &#60;b&#62;');
      const level = Math.min(255, Math.floor(place * 256))
        .toString(16)
        .padStart(2, '0');
      expect(svg).toContain(`fill="#${level.repeat(3)}"`);
    }),
  );
});
