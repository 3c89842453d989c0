/** @jest-environment ./web/test/page.mjs */
import { fireEvent } from '@testing-library/react';
import type { Step } from '#core/cane';
import { keyOf, ofClay } from '#core/material';
import { patternContext, planPattern, runPattern, type CutCanes, type PatternStep } from '#core/pattern';
import { cutCanes, materialsInCanes, newestCane } from '../src/stations/patterns/cutCanes.js';
import { largestCut } from '../src/stations/patterns/cutting/largestCut.js';
import { movedByKey } from '../src/stations/patterns/HandPlaces.js';
import { HandSlices } from '../src/stations/patterns/HandSlices.js';
import { startWords } from '../src/stations/patterns/planWords.js';
import { newStep, nextFor, stepTitle, viewOf } from '../src/stations/patterns/steps/index.js';
import { plainBody } from '../src/workers/patternPlain.js';
import { clayId } from './kitchen.js';
import { shown } from './screen.js';

const key = (name: string): string => keyOf(ofClay(clayId(name)));
const CANE = 'cane:radish';
const STEPS: readonly Step[] = [
  { id: 'a', do: 'log', of: key('Chalk'), diameter: 12, length: 60 },
  { id: 'b', do: 'wrap', of: key('Radish'), thickness: 1 },
];
const CANES: CutCanes = { [CANE]: { steps: STEPS, inside: {} } };
const CLAY = { dark: key('Soot'), light: key('Chalk'), strong: key('Beetroot'), cane: CANE };
const bodyOf = (...steps: readonly PatternStep[]) =>
  runPattern(steps, patternContext(0, 1, CANES))
    .map(plainBody)
    .at(-1) ?? null;
const SHEET: PatternStep = {
  ...{ id: 's', do: 'stack', width: 120, height: 80 },
  layers: [{ of: key('Chalk'), thickness: 1.5 }],
};
const bench = { units: 'metric', own: undefined, name: () => 'Radish' } as const;

test('slices are offered where there are canes, and can be laid at once', () => {
  const kinds = (canes: boolean) => nextFor('sheet', canes).flatMap((g) => g.kinds);
  expect([kinds(true).includes('inlay'), kinds(false).includes('inlay')]).toEqual([true, false]);
  const sheet = bodyOf(SHEET);
  const inlay = newStep('inlay', sheet, CLAY);
  expect(bodyOf(SHEET, inlay)).toMatchObject({ there: true, wrong: null });
  expect(stepTitle(inlay, 'metric')).toBe('12 slices laid on');
  const slab = newStep('slab', null, CLAY);
  expect(bodyOf(slab)).toMatchObject({ there: true, wrong: null });
  expect(stepTitle(slab, 'metric')).toBe('5 × 4 slices, edge to edge');
});

test('at the bench: how many of which cane, and how it is rolled', () => {
  const slab = newStep('slab', null, CLAY);
  const after = bodyOf(slab);
  if (!after) throw new Error('no slab');
  const line = viewOf('slab').line(slab, { ...bench, before: null, after });
  expect(line).toContain('20 slices of Radish');
  expect(line).toContain('Scratch the date');
  const inlay = { ...newStep('inlay', bodyOf(SHEET), CLAY), to: 2.2 } as PatternStep;
  const raised = bodyOf(SHEET, inlay);
  if (!raised) throw new Error('no sheet');
  const words = viewOf('inlay').line(inlay, { ...bench, before: bodyOf(SHEET), after: raised });
  expect(words).toContain('until they stand 0.7 mm above it');
  const [start] = planPattern([slab], null, CANES).starts;
  if (!start) throw new Error('nothing to cut');
  expect(startWords(start, () => 'Radish', 'metric')).toBe('20 slices of Radish, 14 × 14 mm, 1.50 mm');
});

test('canes of an answer, by the keys of their materials', () => {
  const inside = { revisionId: 'radish', caneId: 'c', name: 'Radish', newest: true, parts: [] };
  const canes = [{ ...inside, program: { version: 1 as const, steps: STEPS } }];
  expect(cutCanes([])).toBeNull();
  expect(Object.keys(cutCanes(canes) ?? {})).toEqual([CANE]);
  expect(materialsInCanes(canes)).toEqual([key('Chalk'), key('Radish')]);
  const card = (id: string, retired: boolean) => ({ id, name: id, retired, revisionId: id, steps: 2 });
  expect(newestCane([card('one', false), card('two', false), card('three', true)])).toBe('cane:two');
  expect(newestCane([])).toBeUndefined();
});

test('the largest piece of a sheet lies on it, as a cutter to a tenth', () => {
  const cut = {
    id: 'c',
    name: 'Square',
    shape: 'rectangle',
    widthMm: 20,
    heightMm: 20,
    bridgeMm: 1,
    places: [],
  } as const;
  const { cutter, place } = largestCut({ ...cut, places: [] }, { width: 90, height: 60, round: false });
  expect([cutter.width, cutter.height]).toEqual([59.9, 59.9]);
  expect([place.x, place.y]).toEqual([expect.closeTo(45, 6), expect.closeTo(30, 6)]);
});

test('slices by hand: moved, turned, another cane, taken away with the keys', () => {
  const changes: PatternStep[] = [];
  const step = {
    ...newStep('inlay', bodyOf(SHEET), CLAY),
    ...{ laid: 'by hand', places: [{ kind: 0, x: 0, y: 0, degrees: 0 }] },
    slices: [CANE, CANE].map((of) => ({ of, thickness: 1, degrees: 0 })),
  } as Extract<PatternStep, { do: 'inlay' }>;
  const { getByRole } = shown(
    <HandSlices step={step} width={120} height={80} scale={[3, 3]} onChange={(next) => changes.push(next)} />,
  );
  const one = getByRole('img');
  for (const [pressed, shiftKey] of [
    ['ArrowRight', true],
    ['t', false],
    ['T', true],
    ['b', false],
    ['Delete', false],
  ] as const)
    fireEvent.keyDown(one, { key: pressed, shiftKey });
  const places = changes.map((c) => ('places' in c ? c.places : null));
  expect(places).toEqual([
    [{ kind: 0, x: 5, y: 0, degrees: 0 }],
    [{ kind: 0, x: 0, y: 0, degrees: 15 }],
    [{ kind: 0, x: 0, y: 0, degrees: -15 }],
    [{ kind: 1, x: 0, y: 0, degrees: 0 }],
    [],
  ]);
  expect(movedByKey({ x: 59, y: 0 }, 'ArrowRight', true, { width: 120, height: 80 })).toEqual({ x: 60, y: 0 });
  expect(movedByKey({ x: 0, y: 0 }, 'q', false, { width: 1, height: 1 })).toBeUndefined();
});
