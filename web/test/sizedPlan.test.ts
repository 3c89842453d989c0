import { STARTING_POINTS, areaOf, contextOf, planBackwards, runSteps, type StartColours } from '#core/cane';
import { areasOf } from '#core/blend';
import { PATTERN_POINTS, areaWanted, growsWhole, planPattern, type PatternStep } from '#core/pattern';
import type { BlendDto, CaneDto, PatternDto } from '#contract';
import { layoutIn } from '../src/stations/blends/workedBlend.js';
import { sizedBlend, sizedCane, sizedPattern, type Sized } from '../src/stations/diary/again/sizedPlan.js';
import { blend, plan } from './kitchen.js';

const COLOURS: StartColours = {
  ...{ dark: 'clay:dark', light: 'clay:light', strong: 'clay:strong', second: 'clay:second', fade: 'blend:fade' },
  glass: ['clay:g1', 'clay:g2', 'clay:g3', 'clay:g4'],
};
/** What is lost at the ends follows the width: without that the figures are to the point. */
const NO_ENDS = contextOf(undefined, 0, 1, { share: 0, trimming: 'once at the end' });
const FACTORS = [0.8, 1.25];

const own = { id: 'one', version: 1, note: '', retired: false };
/** A plan in another size. */
function at<T>(sized: Sized, factor: number): T {
  if (typeof sized === 'string') throw new Error(sized);
  return sized.at(factor) as T;
}

describe('a cane in another size', () => {
  const caneOf = (steps: CaneDto['program']['steps']): CaneDto => ({
    ...{ ...own, name: 'Radish', program: { version: 1, steps } },
    ...{ slices: 40, sliceMm: 2, trimming: 'once at the end', ends: null },
  });
  test.each(STARTING_POINTS.map((s) => [s.id, s] as const))('%s: as long, its clay by the square', (_, start) => {
    const before = start.steps(COLOURS);
    for (const factor of FACTORS) {
      const { program } = at<CaneDto>(sizedCane(caneOf(before)), factor);
      const after = program.steps as typeof before;
      const [one, other] = [before, after].map((steps) => runSteps(steps, NO_ENDS).at(-1)!.state!);
      expect(areaOf(other!.outline) / areaOf(one!.outline)).toBeCloseTo(factor ** 2, 2);
      expect(other!.length).toBeCloseTo(one!.length, 0);
      const [needs, needsThen] = [before, after].map(
        (steps) => planBackwards(steps, { slices: 40, thickness: 2 }, NO_ENDS).volumes,
      );
      for (const [of, volume] of needs!) expect((needsThen!.get(of) ?? 0) / volume).toBeCloseTo(factor ** 2, 1);
    }
  });

  test('that takes in another one says where its size is changed', () => {
    const part = { ref: 'r1', name: 'Eye' };
    const insert = { id: 'b', do: 'insert', part, x: 0, y: 0, diameter: 8, degrees: 0 } as const;
    const log = { id: 'a', do: 'log', of: 'clay:a', diameter: 30, length: 60 } as const;
    expect(sizedCane(caneOf([log, insert]))).toContain('as large as they are');
    const inside = { ...insert, part: { name: 'Eye', steps: [log, insert] } };
    expect(sizedCane(caneOf([log, inside]))).toContain('as large as they are');
    expect(sizedCane(caneOf([log]))).toMatchObject({ means: expect.stringContaining('as many slices') as string });
  });
});

describe('a patterned sheet in another size', () => {
  const patternOf = (steps: readonly PatternStep[], wanted: PatternDto['wanted']): PatternDto => ({
    ...{ ...own, name: 'Walnut board', cuts: null, wanted: wanted ?? null },
    program: { version: 1, steps: [...steps] },
  });
  test.each(PATTERN_POINTS.map((s) => [s.id, s] as const))('%s: its area by the square', (_, start) => {
    const steps = start.steps(COLOURS);
    const sized = sizedPattern(patternOf(steps, null));
    if (!growsWhole(steps)) {
      expect(sized).toContain('cut one by one');
      return;
    }
    const after = at<PatternDto>(sized, 1.25).program.steps as readonly PatternStep[];
    const [one, other] = [planPattern(steps), planPattern(after)];
    expect(other.area / one.area).toBeCloseTo(1.25 ** 2, 1);
  });

  test('what it covers follows, opening and all', () => {
    const wanted = { covers: 'frame', width: 60, height: 80, innerWidth: 30, innerHeight: 50, pieces: 4, trimmed: 0.1 };
    const before = patternOf([], wanted as PatternDto['wanted']);
    const after = at<PatternDto>(sizedPattern(before), 0.8).wanted!;
    expect(areaWanted(after)).toBeCloseTo(0.64 * areaWanted(before.wanted!), 6);
    expect(after.pieces).toBe(4);
  });
});

test('a blend in another size: every colour of it by the square, the fade in the same places', () => {
  const { id, version, name, note, retired } = blend(plan(['Corn', 'Squash']));
  const wanted = { shape: 'oval', widthMm: 20, heightMm: 30, count: 4, shows: 'whole', shades: 1, along: 'width' };
  const more = { placed: [{ x: 40, size: 20 }], wanted: { ...wanted, mm: 2, bridgeMm: 2 } };
  const dto = { id, version, name, note, retired, plan: { ...plan(['Corn', 'Squash', 'Corn']), ...more } } as BlendDto;
  for (const factor of FACTORS) {
    const after = at<BlendDto>(sizedBlend(dto), factor).plan;
    const [one, other] = [dto.plan, after].map((p) => areasOf(layoutIn(p)));
    one!.forEach((area, i) => {
      expect(other![i]! / area).toBeCloseTo(factor ** 2, 3);
    });
    expect(after.placed![0]!.x / after.width).toBeCloseTo(dto.plan.placed![0]!.x / dto.plan.width, 3);
    expect(after.wanted).toMatchObject({ widthMm: 20 * factor, heightMm: 30 * factor, mm: 2, bridgeMm: 2, count: 4 });
    expect([after.layers, after.settingId]).toEqual([dto.plan.layers, dto.plan.settingId]);
  }
});
