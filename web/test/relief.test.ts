import fc from 'fast-check';
import { labOf, xyzOfHex } from '#core/colour';
import { TEXTURES, micaColours } from '#core/mica';
import { patternBody, patternContext, planArea, wholeOf } from '#core/pattern';
import { reliefSteps } from '../src/stations/patterns/relief/reliefSteps.js';
import {
  contrastsAt,
  planIn,
  queryOf,
  workedRelief,
  type ReliefPlan,
  type WorkedRelief,
} from '../src/stations/patterns/relief/reliefPlan.js';

const COLOURS = micaColours(labOf(xyzOfHex('B08A3C')));
const CLAY = { colours: COLOURS, density: 1.9, deep: 0.05 };
const FIRST = planIn(new URLSearchParams(), 'c1');

function worked(part: Partial<ReliefPlan> = {}): WorkedRelief {
  const result = workedRelief({ ...FIRST, ...part }, CLAY);
  if (typeof result === 'string') throw new Error(result);
  return result;
}

test('a plan is the same again out of its address; what an address leaves out is as in the beginning', () => {
  const mm = fc.integer({ min: 1, max: 500 }).map((n) => n / 10);
  const plan: fc.Arbitrary<ReliefPlan> = fc.record({
    clayId: fc.uuid(),
    texture: fc.constantFrom(...TEXTURES),
    translucentId: fc.option(fc.uuid()),
    stage: fc.constantFrom('raw' as const, 'baked' as const),
    ...{ width: mm, height: mm, thick: mm, pitch: mm, depth: mm, strays: mm },
    picture: fc.option(fc.uuid()),
    raised: fc.constantFrom('light' as const, 'dark' as const),
    blade: fc.option(mm),
    to: fc.option(mm),
    way: fc.constantFrom('by hand' as const, 'by machine' as const),
  });
  fc.assert(
    fc.property(plan, (one) => {
      expect(planIn(queryOf(one), 'another')).toEqual(one);
    }),
  );
  expect([...queryOf(FIRST)]).toEqual([['clay', 'c1']]);
  expect(planIn(new URLSearchParams('texture=none&width=wide&way=up'), 'c1')).toEqual(FIRST);
});

test('grams are area times thickness times density, and what is shaved is no more than that', () => {
  const { grams, gramsShaved, shaved, thick } = worked();
  // 6 cm by 6 cm by 3 mm
  expect(grams).toBeCloseTo(10.8 * 1.9, 6);
  expect(grams - gramsShaved).toBeCloseTo(3.6 * shaved.thick * 1.9, 1);
  expect(thick).toBe(shaved.thick);
});

test('a long strip is weighed as long and as wide as it is', () => {
  // 20 cm by 7 mm by 3 mm
  const { grams, shown } = worked({ width: 200, height: 7, pitch: 5 });
  expect(grams).toBeCloseTo(4.2 * 1.9, 6);
  expect([shown.columns * shown.wide, shown.rows * shown.high]).toEqual([expect.closeTo(200), expect.closeTo(7)]);
});

test('rolled it is larger and less clear, and each setting takes more', () => {
  const plain = worked();
  const rolled = worked({ to: 1.5, way: 'by machine' });
  expect(rolled.after).toBeLessThan(plain.after);
  expect(rolled.before).toBe(plain.before);
  const area = (w: WorkedRelief): number => w.shown.columns * w.shown.wide * w.shown.rows * w.shown.high * w.thick;
  expect(area(rolled) / area(plain)).toBeCloseTo(1, 6);
  const each = contrastsAt(plain, [2.4, 2, 1.5, 1, 0.6], 'by machine', COLOURS);
  expect([...each].sort((a, b) => b - a)).toEqual(each);
  expect(each[2]).toBeCloseTo(rolled.after, 9);
});

test('a picture is as high as it is wide by its own shape, and one of one level is refused', () => {
  const greys = Float32Array.from({ length: 40 * 20 }, (_, at) => (at % 40) / 39);
  const pressed = workedRelief({ ...FIRST, picture: 'p' }, CLAY, { columns: 40, rows: 20, greys });
  if (typeof pressed === 'string') throw new Error(pressed);
  // 6 cm by 3 cm by 3 mm
  expect(pressed.grams).toBeCloseTo(5.4 * 1.9, 6);
  const flat = workedRelief(FIRST, CLAY, { columns: 1, rows: 1, greys: [0.5] });
  expect(flat).toMatch(/sides of 5 to 600|of one level/);
});

test('what cannot be is a sentence', () => {
  const wrong = (part: Partial<ReliefPlan>) => workedRelief({ ...FIRST, ...part }, CLAY);
  expect(wrong({ depth: 9 })).toMatch(/deep leaves/);
  expect(wrong({ pitch: 0 })).toMatch(/From one rise to the next/);
  expect(wrong({ width: 0 })).toMatch(/sides of 5 to 600 mm/);
  expect(wrong({ blade: 50 })).toMatch(/takes nothing/);
  expect(wrong({ to: 0 })).toMatch(/more than nothing/);
});

test('kept as a patterned sheet it is as thick, as large and as heavy as it was planned', () => {
  const plans: readonly Partial<ReliefPlan>[] = [
    {},
    { texture: 'net', pitch: 5, blade: 2.2 },
    { texture: 'pods', depth: 0.6, to: 1.5, way: 'by machine' },
    { texture: 'reed', to: 2, way: 'by hand', blade: 2.1 },
  ];
  for (const part of plans) {
    const plan = { ...FIRST, ...part };
    const relief = worked(part);
    const body = patternBody(reliefSteps(plan, relief, 'clay:a'), patternContext());
    const volume = wholeOf(body.volumes());
    expect((volume * 1.9e-3) / (relief.grams - relief.gramsShaved)).toBeCloseTo(1, 2);
    // open, its highest places are as high as the blade; rolled, it is as thick as was said
    const thick = plan.to ?? relief.blade;
    expect(body.thick).toBeCloseTo(thick, 2);
    expect(planArea(body) * (plan.to ?? relief.shaved.thick)).toBeCloseTo(volume, -1.7);
    expect(body.width / body.height).toBeCloseTo(relief.shown.wide / relief.shown.high, 2);
  }
});
