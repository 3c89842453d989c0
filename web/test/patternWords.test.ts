import { machines } from '#demo';
import { keyOf, ofClay } from '#core/material';
import { pigmentsWith } from '#core/mix';
import { PATTERN_POINTS, planPattern, runPattern, patternContext, type Judged, type PatternStep } from '#core/pattern';
import type { EarlierStop } from '#contract';
import { keptDto } from '../src/stations/patterns/making/keptSheet.js';
import { patternSteps, stopsPlanned } from '../src/stations/patterns/making/patternSteps.js';
import { otherWays } from '../src/stations/patterns/otherWays.js';
import { startWords } from '../src/stations/patterns/planWords.js';
import { weakIn, weakWords } from '../src/stations/patterns/showWords.js';
import {
  countIn,
  countWords,
  countsOf,
  evenIn,
  isCounted,
  lastCounted,
  stoppedWords,
  veinWords,
  withCount,
  type CountedStep,
} from '../src/stations/patterns/stageWords.js';
import { newStep, nextFor, stepTitle } from '../src/stations/patterns/steps/index.js';
import { volumesLaid } from '../src/stations/patterns/colours.js';
import { newPattern } from '../src/stations/patterns/beginnings.js';
import { plainBody, plainPattern, type PatternToMake, type PlainBody } from '../src/workers/patternPlain.js';
import { materialsOf } from '../src/stations/canes/clay/materials.js';
import { SHELF, clayId } from './kitchen.js';

const key = (name: string): string => keyOf(ofClay(clayId(name)));
const COLOURS = {
  ...{ dark: key('Soot'), light: key('Chalk'), strong: key('Beetroot'), second: key('Squash') },
  ...{ glass: [], fade: '' },
};
const name = (of: string): string => SHELF.clays.find((c) => key(c.name) === of)?.name ?? '…';
const fold: CountedStep = { id: 'f', do: 'fold', times: 4, turns: 3 };
const stepsOf = (id: string): readonly PatternStep[] => PATTERN_POINTS.find((p) => p.id === id)?.steps(COLOURS) ?? [];
const planOf = (id: string, wanted: number | null = null): PatternToMake =>
  plainPattern(planPattern(stepsOf(id), wanted));
const bodiesOf = (steps: readonly PatternStep[]): PlainBody[] => runPattern(steps, patternContext()).map(plainBody);
const judged = (part: Partial<Judged>): Judged => ({ vein: 2, contrast: 40, weakest: null, mixed: 0, ...part });

describe('stages', () => {
  test('go from none on, further than it is planned, and the planned one is among them', () => {
    for (const times of [0, 1, 4, 7, 11]) {
      const counts = countsOf({ ...fold, times });
      expect(counts).toHaveLength(8);
      expect(counts).toContain(times);
      counts.slice(1).forEach((n, i) => {
        expect(n).toBe((counts[i] ?? 0) + 1);
      });
      expect(Math.max(...counts)).toBeLessThanOrEqual(12);
    }
    for (const turns of [3, -5, 40]) expect(countsOf({ id: 't', do: 'twist', turns })).toContain(turns);
    const kneads = countsOf({ id: 'k', do: 'knead', times: 2, across: 'width', turned: true });
    expect(kneads[0]).toBe(1);
  });
  test('are of the last step that can go too far', () => {
    expect(lastCounted(stepsOf('walnut-board'))).toBe(3);
    expect(lastCounted(stepsOf('onion-skins'))).toBe(-1);
    expect(countIn(withCount(fold, 2))).toBe(2);
    expect(isCounted({ id: 'o', do: 'over' })).toBe(false);
  });
  test('are said in words: one fold, two folds, veins in hundredths only where they are narrow', () => {
    expect([countWords(fold, 1), countWords(fold, 2)]).toEqual(['1 fold', '2 folds']);
    expect(countWords({ id: 't', do: 'twist', turns: 1 }, 1)).toBe('1 turn');
    expect(veinWords(judged({ vein: 4.617 }), 'metric')).toBe('veins 4.6 mm');
    expect(veinWords(judged({ vein: 0.417 }), 'metric')).toBe('veins 0.42 mm');
    expect(veinWords(judged({ vein: Infinity }), 'metric')).toBe('one colour');
  });
  test('tell on which days one stopped there, of this sheet and this kind alone', () => {
    const stop = (part: Partial<EarlierStop>): EarlierStop => ({
      ...{
        step: 's',
        kind: 'fold',
        times: 4,
        veinMm: 1,
        patternId: 'p',
        name: 'Walnut',
        madeOn: '2026-10-12',
        liked: null,
      },
      ...part,
    });
    const stops = [stop({}), stop({ madeOn: '2026-11-02' }), stop({ patternId: 'q' }), stop({ kind: 'twist' })];
    expect(stoppedWords(stops, 'p', fold, 4)).toMatch(/^you stopped here 2 times: .*12.*2/);
    expect(stoppedWords(stops, 'p', fold, 5)).toBe('');
    expect(stoppedWords([stop({})], 'p', fold, 4)).toMatch(/^you stopped here once/);
  });
});

describe('other ways with the same clay', () => {
  test.each(PATTERN_POINTS.map((p) => [p.name, p.id] as const))(
    '%s: four that can be done, of as much clay',
    (_, id) => {
      const steps = stepsOf(id);
      const laid = volumesLaid(steps);
      const whole = laid.reduce((sum, [, volume]) => sum + volume, 0);
      const ways = otherWays(steps);
      expect(ways).toHaveLength(4);
      for (const way of ways) {
        expect([way.name, bodiesOf(way.steps).map((b) => b.wrong)]).toEqual([way.name, way.steps.map(() => null)]);
        const own = volumesLaid(way.steps).reduce((sum, [, volume]) => sum + volume, 0);
        // sheets and logs are rounded to hundredths, and a chopped log is no shorter than a hand holds
        expect(own / whole).toBeGreaterThan(0.93);
        expect(new Set(volumesLaid(way.steps).map(([of]) => of))).toEqual(new Set(laid.map(([of]) => of)));
      }
    },
  );
  test('of one colour there is none', () => {
    expect(otherWays([{ id: 'a', do: 'stack', width: 60, height: 60, layers: [{ of: 'x', thickness: 2 }] }])).toEqual(
      [],
    );
  });
});

describe('will it show', () => {
  const all = materialsOf(
    SHELF.clays.map((c) => key(c.name)),
    { blends: [], referenced: [] },
    SHELF,
    pigmentsWith(null),
  );
  const stacked = (...names: readonly string[]): PatternStep[] => [
    { id: 'a', do: 'stack', width: 60, height: 60, layers: names.map((n) => ({ of: key(n), thickness: 2 })) },
  ];
  test('a light sheet between two mid tones is clear; two like ones are named, with what helps', () => {
    expect(weakIn(stacked('Beetroot', 'Chalk', 'Aubergine'), all)).toEqual([]);
    const [weak] = weakIn(stacked('Aubergine', 'Soot'), all);
    expect([weak?.one, weak?.other]).toEqual(['Aubergine', 'Soot']);
    if (weak) expect(weakWords(weak, 'metric')).toContain('Aubergine and Soot');
    expect(weakWords({ one: 'A', other: 'B', deltaE: 1, dL: 0, below: null }, 'metric')).toContain(
      'cannot be told apart',
    );
  });
});

describe('at the bench', () => {
  const say = (
    id: string,
    stages: readonly (Judged | null)[] | null = null,
    sheen: Parameters<typeof patternSteps>[0]['sheen'] = null,
  ) => {
    const plan = planOf(id);
    return patternSteps({
      plan,
      bodies: bodiesOf(plan.steps),
      stages,
      sheen,
      name,
      own: machines[0] as never,
      units: 'metric',
    });
  };
  test.each(PATTERN_POINTS.map((p) => [p.name, p.id] as const))(
    '%s: what to roll, then every step with what to reach',
    (_, id) => {
      const words = say(id);
      expect(words[0]?.title).toBe('Get ready');
      expect(words).toHaveLength(stepsOf(id).length + 1);
      for (const { line, title } of words) {
        expect(title).not.toBe('');
        expect(line).toMatch(/\.$/);
        expect(line).not.toMatch(/undefined|NaN|…/);
      }
    },
  );
  test('folds are counted, and the stop line rings where it comes before the plan ends', () => {
    const clear = judged({ weakest: { one: 0, other: 1, deltaE: 30 } });
    const lost = judged({ weakest: { one: 0, other: 1, deltaE: 2 } });
    const folds = say('walnut-board', [clear, clear, lost, lost]).find((w) => w.about !== undefined);
    expect([folds?.about, folds?.caution]).toEqual([4, 'Stop at 2: beyond it runs together at arm’s length.']);
    expect(folds?.rings?.at).toBe(2);
    // hands that go on beyond the plan are rung for too
    const beyond = say('walnut-board', [clear, clear, clear, clear, clear, lost]).find((w) => w.about !== undefined);
    expect([beyond?.caution, beyond?.rings?.at]).toEqual([null, 5]);
    const none = say('walnut-board', [lost, lost, lost, lost]).find((w) => w.about !== undefined);
    expect([none?.caution, none?.rings]).toEqual([expect.stringMatching(/before the first/), undefined]);
    expect(say('walnut-board', [clear, clear, clear, clear]).find((w) => w.about !== undefined)?.caution).toBeNull();
  });
  test('where one stopped is what was counted; what was not counted is as planned', () => {
    const words = say('walnut-board');
    const at = words.findIndex((w) => w.counted);
    const counts = words.map((_, i) => (i === at ? 3 : 0));
    expect(stopsPlanned(words, counts, [judged({ vein: 9 }), null, judged({ vein: 1.2 })])).toEqual([
      { step: 's4', kind: 'fold', times: 3, veinMm: 1.2 },
    ]);
    expect(stopsPlanned(words, [], null)).toEqual([{ step: 's4', kind: 'fold', times: 4, veinMm: 0 }]);
  });
  test('mica is passed first until its sheen is even; what was counted is learned, what was not is not', () => {
    const words = say('walnut-board', null, { keys: [COLOURS.strong], even: evenIn([]) });
    expect([words[0]?.about, words[1]?.title]).toEqual([10, 'Get ready']);
    expect(words[0]?.line).toMatch(/about 10 passes \(~ assumed\)/);
    const counts = words.map((_, i) => (i === 0 ? 14 : 0));
    expect(stopsPlanned(words, counts, null)[0]).toEqual({ step: 'sheen', kind: 'sheen', times: 14, veinMm: 0 });
    expect(stopsPlanned(words, [], null).map((s) => s.kind)).toEqual(['fold']);
    const stop = (times: number): EarlierStop => ({
      ...{ step: 'sheen', kind: 'sheen', times, veinMm: 0 },
      ...{ patternId: 'p', name: 'Leaf', madeOn: '2026-05-01', liked: null },
    });
    expect(evenIn([13, 14, 15, 90, 14].map(stop))).toEqual({ passes: 14, counts: 5 });
    expect(evenIn([stop(0)])).toEqual({ passes: 10, counts: 0 });
  });
  test('what to begin with has its sizes, in both systems', () => {
    const [sheet] = planOf('onion-skins').starts;
    if (!sheet) throw new Error('nothing to begin with');
    expect(startWords(sheet, name, 'metric')).toBe('Squash: a sheet 120 × 60 mm, 1.50 mm');
    expect(startWords(sheet, name, 'imperial')).toMatch(/^Squash: a sheet 4\.72 × 2\.36 in/);
    for (const id of ['walnut-board', 'turnip-terrazzo', 'seed-bread'])
      for (const start of planOf(id).starts) expect(startWords(start, name, 'metric')).toMatch(/log|bits|specks|sheet/);
  });
});

test('what can be done next fits what is there: a new step of each kind can be done at once', () => {
  const clay = { dark: COLOURS.dark, light: COLOURS.light, strong: COLOURS.strong };
  for (const id of ['onion-skins', 'walnut-board', 'turnip-terrazzo']) {
    const [first] = stepsOf(id);
    if (!first) continue;
    const body = bodiesOf([first])[0] as PlainBody;
    for (const { kinds } of nextFor(body.form, false))
      for (const kind of kinds) {
        const step = newStep(kind, body, clay);
        expect([kind, bodiesOf([first, step])[1]?.wrong]).toEqual([kind, null]);
        expect(stepTitle(step, 'metric')).not.toBe('');
      }
  }
});

test('a new one has a name that is free', () => {
  expect(newPattern('Onion', [], new Set(['onion', 'onion 2'])).name).toBe('Onion 3');
});

test('what lies there when it is done is as large as what was made, round or not', () => {
  for (const { id } of PATTERN_POINTS) {
    const plan = planOf(id);
    const { count, widthMm, lengthMm, mm } = keptDto({ name: 'Sheet' }, plan, undefined);
    const made = plan.given.reduce((sum, [, volume]) => sum + volume, 0);
    // uneven edges of what is measured: a hundredth
    expect([id, Math.abs((count * widthMm * lengthMm * mm) / made - 1) < 0.01]).toEqual([id, true]);
  }
  const rope = plainPattern(planPattern(stepsOf('walnut-board').slice(0, 3)));
  const { widthMm, lengthMm, mm } = keptDto({ name: 'Rope' }, rope, undefined);
  expect(widthMm * lengthMm * mm).toBeCloseTo((Math.PI / 4) * (14 ** 2 + 12 ** 2 + 2 * 9 ** 2) * 100, 3);
});
