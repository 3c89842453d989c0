import fc from 'fast-check';
import { STARTING_POINTS, contextOf, partsOf, readProgram, runSteps, type Step } from '#core/cane';
import { handleText, handlesOf } from '../src/stations/canes/steps/index.js';

const COLOURS = {
  dark: 'clay:soot',
  light: 'clay:chalk',
  strong: 'clay:beet',
  second: 'clay:leek',
  glass: ['clay:clear'],
  fade: 'blend:straw',
};
const within = (steps: readonly Step[]): Step[] =>
  steps.flatMap((s) => [s, ...partsOf(s).flatMap((p) => ('steps' in p ? within(p.steps) : []))]);
const ALL = STARTING_POINTS.flatMap((s) => within(s.steps(COLOURS)));
const LOG: Step = { id: 'log', do: 'log', of: 'clay:soot', diameter: 90, length: 60 };

test('every handle stands at the value of its step, within its range, and left there changes nothing', () => {
  let handles = 0;
  for (const step of ALL) {
    for (const h of handlesOf(step)) {
      handles++;
      expect(h.value >= h.low && h.value <= h.high && h.grain > 0).toBe(true);
      expect(h.to(h.value)).toEqual(step);
      for (const units of ['metric', 'imperial'] as const)
        expect(handleText(h, h.value, units)).not.toMatch(/undefined|NaN/);
    }
    expect(new Set(handlesOf(step).map((h) => h.label)).size).toBe(handlesOf(step).length);
  }
  expect(handles).toBeGreaterThan(30);
});

test('wherever it is dragged to, the step is one that can be kept, and only its own value is another', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...ALL.filter((s) => handlesOf(s).length > 0)),
      fc.nat(5),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (step, pick, share) => {
        const handles = handlesOf(step);
        const h = handles[pick % handles.length]!;
        const to = h.low + Math.round(((h.high - h.low) * share) / h.grain) * h.grain;
        const next = h.to(to);
        expect(handlesOf(next)[pick % handles.length]?.value).toBe(to);
        expect(handlesOf(next).filter((other, i) => other.value !== handles[i]?.value).length).toBeLessThanOrEqual(1);
        const steps = ['log', 'block', 'plug', 'roll', 'loaf'].includes(next.do) ? [next] : [LOG, next];
        expect(() => readProgram(JSON.parse(JSON.stringify({ version: 1, steps })))).not.toThrow();
      },
    ),
  );
});

test('a wrap that is dragged thicker makes a larger face', () => {
  const steps: Step[] = [LOG, { id: 'wrap', do: 'wrap', of: 'clay:chalk', thickness: 1 }];
  const size = (step: Step): number =>
    Math.max(...(runSteps([LOG, step], contextOf()).at(-1)?.state?.outline.points ?? []).map((p) => p[0]));
  const [thick] = handlesOf(steps[1]!);
  if (!thick) throw new Error('a wrap has a handle');
  expect(size(thick.to(4)) - size(thick.to(1))).toBeCloseTo(3, 1);
  expect(handlesOf({ id: 'r', do: 'reduce', to: 'diameter', value: 9 })).toEqual([]);
});
