/** @jest-environment ./web/test/page.mjs */
import { createElement, type ReactElement } from 'react';
import { STARTING_POINTS, contextOf, readProgram, runSteps, type Do, type Part, type Step } from '#core/cane';
import type { UnitSystem } from '#core/units';
import {
  ALL_WORDS,
  handlesOf,
  newStep,
  stepTitle,
  viewOf,
  type EditorProps,
} from '../src/stations/canes/steps/index.js';
import { plainStep, type PlainStep } from '../src/workers/canePlain.js';
import { SHELF, clayId } from './kitchen.js';
import { expectWhole, NOTHING_SHOWN, nameless, shown, typeInto, type Shown } from './screen.js';

const SYSTEMS: readonly UnitSystem[] = ['metric', 'imperial'];
const CLAY = { dark: `clay:${clayId('Soot')}`, light: `clay:${clayId('Chalk')}`, blend: 'blend:fade' };
const COLOURS = { ...CLAY, strong: CLAY.dark, second: CLAY.light, glass: [CLAY.light], fade: CLAY.blend };

/** Steps before a step, that it can follow. */
const BEFORE: readonly Step[] = [
  { id: 'a', do: 'block', of: CLAY.dark, width: 20, height: 20, length: 90 },
  { id: 'b', do: 'across', pieces: 9 },
];
const last = (steps: readonly Step[]): PlainStep => {
  const context = contextOf();
  const results = runSteps(steps, context);
  return plainStep(results.at(-1)!, context, 1);
};
const NOW = last(BEFORE);
const KINDS: readonly Do[] = ALL_WORDS.map(([kind]) => kind);
/** A kind that begins a cane is first; a cane taken in is one of its own steps. */
function firstOf(kind: Do): Step {
  const step = newStep(kind, NOW, CLAY);
  return step.do === 'cane' ? { ...step, part: { name: 'rods', steps: BEFORE } as Part } : step;
}

interface Bench extends Shown {
  readonly changes: Step[];
}

const NO_CHANGE: Omit<EditorProps<Step>, 'step' | 'onChange'> = {
  materials: new Map(),
  blends: [{ revisionId: 'fade', name: 'Pod fade' }],
  canes: [{ revisionId: 'r1', name: 'Garden speckle' }],
  insides: [],
  shelf: SHELF,
  name: 'Row of beans',
  before: BEFORE,
  now: NOW,
  onOpen: () => undefined,
};

/** The fields of a step on a page, and every change of it. */
function onBench(step: Step, units: UnitSystem = 'metric', more: Partial<EditorProps<Step>> = {}): Bench {
  const changes: Step[] = [];
  const props: EditorProps<Step> = { ...NO_CHANGE, ...more, step, onChange: (next) => changes.push(next) };
  const Fields = viewOf(step.do).Fields as (own: EditorProps<Step>) => ReactElement;
  return { ...shown(createElement(Fields, props), units), changes };
}

describe.each(SYSTEMS)('the fields of every step, in the %s system', (units) => {
  test.each(KINDS.filter((k) => k !== 'template'))('%s shows its values, each under a name', (kind) => {
    const page = onBench(firstOf(kind), units);
    expectWhole(page);
  });

  test('template does so as soon as its drawing pad is there', async () => {
    const page = onBench(firstOf('template'), units);
    await page.findByLabelText('Width of the template');
    expectWhole(page);
  });

  test('every step of the starting points does, too', () => {
    for (const step of STARTING_POINTS.flatMap((s) => s.steps(COLOURS))) {
      const page = onBench(step, units);
      expect([stepTitle(step, units), page.words()].join()).not.toMatch(NOTHING_SHOWN);
      expect([step.do, nameless(page).length]).toEqual([step.do, 0]);
      page.unmount();
    }
  });
});

describe('what is typed into the fields of a step', () => {
  test.each<[Do, string, string, Partial<Record<string, unknown>>]>([
    ['log', 'Diameter of the log', '18 mm', { diameter: 18 }],
    ['log', 'Length of the log', '1 in', { length: 25.4 }],
    ['block', 'Width of the block', '2 cm', { width: 20 }],
    ['wrap', 'Thickness of the wrap', '1.5 mm', { thickness: 1.5 }],
    ['edge', 'Thickness of what is laid along it', '0.8 mm', { thickness: 0.8 }],
    ['edge', 'Where it begins', '-30', { from: -30 }],
    ['edge', 'Where it ends', '200°', { to: 200 }],
    ['squeeze', 'How many times as wide', '1.8', { factor: 1.8 }],
    ['turn', 'Turn', '35', { degrees: 35 }],
    ['split', 'The number of parts', '6', { parts: 6 }],
    ['across', 'The number of pieces', '7', { pieces: 7 }],
    ['halve', 'The number of halvings', '3', { times: 3 }],
    ['grid', 'The number of rows', '4', { rows: 4 }],
    ['grid', 'The number of columns', '5', { columns: 5 }],
    ['pie', 'The number of wedges', '8', { count: 8 }],
    ['fan', 'The number of wedges', '5', { count: 5 }],
    ['fan', 'Width for its height', '2', { ratio: 2 }],
    ['ring', 'The number of rods', '8', { count: 8 }],
    ['bundle', 'The number of rods', '12', { count: 12 }],
    ['bundle', 'Order of the rods', '4', { seed: 4 }],
    ['insert', 'Diameter of the hole', '5 mm', { diameter: 5 }],
    ['insert', 'To the right of the middle', '-3 mm', { x: -3 }],
    ['insert', 'Above the middle', '2 mm', { y: 2 }],
    ['reduce', 'Reduce to', '9 mm', { value: 9 }],
    ['trim', 'Cut off each end', '4 mm', { each: 4 }],
    ['slice', 'Thickness of a slice', '2.5 mm', { thickness: 2.5 }],
  ])('%s: %s as %s', async (kind, label, text, wanted) => {
    const step = firstOf(kind);
    const page = onBench(step);
    await typeInto(page, label, text);
    expect(page.changes).toEqual([expect.objectContaining({ id: step.id, do: kind, ...wanted })]);
  });

  test.each<[Do, string, string]>([
    ['across', 'The number of pieces', '1'],
    ['split', 'The number of parts', '25'],
    ['grid', 'The number of rows', '0'],
    ['fan', 'The number of wedges', '37'],
    ['halve', 'The number of halvings', '9'],
    ['ring', 'The number of rods', '2½'],
    ['log', 'Diameter of the log', 'thick'],
  ])('%s: %s cannot be %s, and a sentence says so', async (kind, label, text) => {
    const page = onBench(firstOf(kind));
    await typeInto(page, label, text);
    expect(page.changes).toEqual([]);
    expect(
      page
        .getAllByRole('status')
        .map((s) => s.textContent)
        .join(),
    ).toMatch(/\.$/);
    expect((page.getByLabelText(label) as HTMLInputElement).value).toBe(text);
  });

  test('a width for its height beyond what can be is not taken', async () => {
    const page = onBench(firstOf('fan'));
    await typeInto(page, 'Width for its height', '40');
    expect(page.changes).toEqual([]);
  });
});

describe('what is chosen in the fields of a step', () => {
  test.each<[Do, string, string, Partial<Record<string, unknown>>]>([
    ['press', 'Shape', 'a triangle', { to: { shape: 'triangle' } }],
    ['pie', 'Mirrored or not', 'all the same way', { mirrored: false }],
    ['fan', 'Mirrored or not', 'every other one mirrored', { mirrored: true }],
    ['pair', 'How the second lies', 'upside down', { turned: 'half' }],
    ['stack', 'Where it is stacked', 'on top', { side: 'top' }],
    ['halve', 'Where the second half is laid', 'at the right', { side: 'right' }],
    ['bundle', 'Shape of the bundle', 'a hexagon', { to: { shape: 'hexagon' } }],
    ['edge', 'What is laid along it', 'a snake that runs out at both ends', { form: 'snake' }],
    ['reduce', 'Reduce by', 'long, without its ends', { to: 'length' }],
    ['reduce', 'Reduce by', 'long, with its ends', { to: 'length', withEnds: true }],
  ])('%s: %s, %s', async (kind, label, text, wanted) => {
    const page = onBench(firstOf(kind));
    await page.user.selectOptions(page.getByLabelText(label), text);
    expect(page.changes).toEqual([expect.objectContaining(wanted)]);
  });

  test('pressed to a drawn outline, it begins with the outline as it lies', async () => {
    const page = onBench(firstOf('press'));
    await page.user.selectOptions(page.getByLabelText('Shape'), 'a drawn outline');
    const [next] = page.changes;
    expect(next).toMatchObject({ do: 'press', to: { shape: 'drawn' } });
    expect(next?.do === 'press' ? next.to.points : []).toEqual(NOW.points);
  });

  test('two are joined along a side by its direction, or along the bottom again', async () => {
    const page = onBench(firstOf('pair'));
    const sides = page.getByLabelText('The side they are joined along');
    expect(page.getAllByRole('option').map((o) => o.textContent)).toContain('the side that looks right, 20 mm');
    await page.user.selectOptions(sides, 'the side that looks up, 20 mm');
    expect(page.changes).toEqual([expect.objectContaining({ side: 90 })]);
    page.unmount();
    const chosen = onBench({ ...firstOf('pair'), side: 90 } as Step);
    await chosen.user.selectOptions(
      chosen.getByLabelText('The side they are joined along'),
      'the flat side at the bottom',
    );
    expect(chosen.changes[0]).not.toHaveProperty('side');
  });

  test('a kept cane takes the place of a part of its own', async () => {
    const page = onBench(firstOf('stack'));
    await page.user.selectOptions(page.getByLabelText('What is stacked'), 'Garden speckle');
    expect(page.changes).toEqual([expect.objectContaining({ part: { ref: 'r1', name: 'Garden speckle' } })]);
  });

  test('a part of its own can be opened', async () => {
    const opened: number[] = [];
    const page = onBench(firstOf('insert'), 'metric', { onOpen: (part) => opened.push(part) });
    await page.user.click(page.getByRole('button', { name: 'Open What is set in' }));
    expect(opened).toEqual([0]);
  });
});

describe('kinds of rods in a join', () => {
  const beet: Part = { name: 'Beetroot', steps: [{ id: 'x', do: 'log', of: CLAY.dark, diameter: 8, length: 20 }] };
  const ring: Step = { ...firstOf('ring'), others: [{ part: beet, count: 2 }] } as Step;
  const grid: Step = { ...firstOf('grid'), others: [beet] } as Step;

  test('are counted, and taken out', async () => {
    const page = onBench(ring);
    await typeInto(page, 'How many of kind 2', '5');
    expect(page.changes).toEqual([expect.objectContaining({ others: [{ part: beet, count: 5 }] })]);
    await page.user.click(page.getByRole('button', { name: 'Kind 2 out' }));
    expect(page.changes.at(-1)).toMatchObject({ others: [] });
  });

  test('that take turns are taken out, too, and exchanged', async () => {
    const page = onBench(grid);
    await page.user.selectOptions(page.getByLabelText('Kind 2'), 'Garden speckle');
    expect(page.changes.at(-1)).toMatchObject({ others: [{ ref: 'r1' }] });
    await page.user.click(page.getByRole('button', { name: 'Kind 2 out' }));
    expect(page.changes.at(-1)).toMatchObject({ others: [] });
  });

  test('no more of one than can be', async () => {
    const page = onBench(ring);
    await typeInto(page, 'How many of kind 2', '301');
    expect(page.changes).toEqual([]);
  });
});

describe('values that are dragged', () => {
  test.each(KINDS)('%s: each leads to a step that can be kept, from its lowest to its highest', (kind) => {
    const step = firstOf(kind);
    for (const handle of handlesOf(step)) {
      expect(handle.low).toBeLessThanOrEqual(handle.value);
      expect(handle.high).toBeGreaterThanOrEqual(handle.value);
      for (const value of [handle.low, handle.value, handle.high]) {
        const next = handle.to(value);
        const begins = viewOf(kind).group === null;
        const steps = begins ? [next] : [BEFORE[0]!, next];
        expect(readProgram({ version: 1, steps }).steps).toEqual(steps);
      }
    }
  });
});
