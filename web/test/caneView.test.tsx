/** @jest-environment ./web/test/page.mjs */
import { PROGRAM_VERSION, contextOf, runSteps, type Do, type Step } from '#core/cane';
import { pigmentOf, readColour } from '#core/colour';
import { keyOf, ofClay } from '#core/material';
import type { CaneAnswer, CaneDto } from '#contract';
import type { CaneMaterial } from '../src/stations/canes/clay/materials.js';
import { AddStep } from '../src/stations/canes/editing/AddStep.js';
import { CaneHead, type Looking } from '../src/stations/canes/editing/CaneHead.js';
import { StepRow } from '../src/stations/canes/editing/StepRow.js';
import { useCaneEditing } from '../src/stations/canes/editing/useCaneEditing.js';
import type { BenchCane } from '../src/stations/canes/clay/useCane.js';
import { Regions } from '../src/stations/canes/steps/Regions.js';
import { ALL_WORDS, newStep, wordOf } from '../src/stations/canes/steps/index.js';
import type { Template } from '../src/stations/canes/steps/templateMoves.js';
import { Scrap } from '../src/stations/canes/making/Scrap.js';
import { useView } from '../src/state/view.js';
import { plainStep, type PlainPlan } from '../src/workers/canePlain.js';
import { boxRegion, clayId } from './kitchen.js';
import { post } from './letters.js';
import { expectWhole, shown, shownAt, typeInto, type Shown, type ShownStation } from './screen.js';

const [CHALK, SOOT] = [keyOf(ofClay(clayId('Chalk'))), keyOf(ofClay(clayId('Soot')))];
const STEPS: readonly Step[] = [
  { id: 'a', do: 'log', of: CHALK, diameter: 20, length: 60 },
  { id: 'b', do: 'wrap', of: SOOT, thickness: 2 },
  { id: 'c', do: 'reduce', to: 'diameter', value: 12 } as Step,
];
const CANE: CaneAnswer = {
  ...{ id: 'c1', version: 2, name: 'Leek slice', note: '', retired: false, slices: 12, sliceMm: 2, trimming: 'ends' },
  ...{
    ends: null,
    program: { version: PROGRAM_VERSION, steps: [...STEPS] },
    revision: 3,
    revisionId: 'r3',
    made: false,
  },
  ...{ canes: [], blends: [], referenced: [], outdated: [], learnedEnds: { ends: 0.6, from: 0 } },
} as unknown as CaneAnswer;

const material = (key: string, name: string, hex: string): readonly [string, CaneMaterial] => [
  key,
  {
    ...{ key, name, hexes: [hex], paint: Uint8Array.from([0, 0, 0]), density: 1.9, pigment: pigmentOf(hex, 1) },
    ...{
      mica: false,
      micaShare: 0,
      edgeLight: 0.3,
      shares: [],
      lab: readColour(hex),
      hides: 0.3,
      bakes: [],
      old: false,
      crumbly: false,
    },
  },
];
const MATERIALS = new Map([material(CHALK, 'Chalk', 'F1EEE4'), material(SOOT, 'Soot', '26242A')]);

describe('the row of steps', () => {
  function row(
    steps: readonly Step[],
    units: 'metric' | 'imperial' = 'metric',
  ): Shown & { readonly chosen: number[]; readonly added: () => number } {
    const chosen: number[] = [];
    let added = 0;
    const context = contextOf();
    const worked = { id: 'w', steps: runSteps(steps, context).map((result, i) => plainStep(result, context, i)) };
    const page = shown(
      <StepRow
        {...{ steps, worked, stages: null, paints: {}, chosen: 1 }}
        onChoose={(at) => chosen.push(at)}
        onAdd={() => (added += 1)}
      />,
      units,
    );
    return { ...page, chosen, added: () => added };
  }

  test.each(['metric', 'imperial'] as const)('each has its number, its name and its size, %s', (units) => {
    const page = row(STEPS, units);
    expectWhole(page);
    const words = page.words();
    // wrapped with 2 mm a log of 20 mm is 24 mm across; drawn to 12 mm it is four times as long, and 0.6 widths of
    // it, 14 mm, are its ends
    expect(words).toMatch(units === 'metric' ? /24 mm.*60 mm long/ : /0\.94 in.*2\.36 in long/);
    expect(words).toMatch(units === 'metric' ? /12 mm.*226 mm long/ : /0\.47 in.*8\.88 in long/);
  });

  test('one is chosen, and one more comes after the last', async () => {
    const page = row(STEPS);
    expect(page.getAllByRole('button').filter((b) => b.getAttribute('aria-current') === 'step')).toHaveLength(1);
    await page.user.click(page.getByRole('button', { name: /^Step 3/ }));
    await page.user.click(page.getByRole('button', { name: 'Add a step' }));
    expect([page.chosen, page.added()]).toEqual([[2], 1]);
  });

  test('what cannot be done says so, and so does nothing after it', () => {
    const stick: Step = { id: 's', do: 'log', of: SOOT, diameter: 90, length: 60 };
    const hole: Step = {
      ...newStep('insert', null, { light: CHALK, dark: SOOT, blend: null }),
      part: { name: 'stick', steps: [stick] },
      diameter: 90,
    } as Step;
    const broken = [...STEPS, hole, { ...STEPS[2]!, id: 'e' }];
    const words = row(broken).words();
    expect(words.match(/cannot be done/g)).toHaveLength(1);
  });
});

describe('what comes next', () => {
  test('every step but those that begin a cane is offered, the first with the focus', async () => {
    const added: Do[] = [];
    let left = 0;
    const page = shown(<AddStep after="Wrap" onAdd={(kind) => added.push(kind)} onCancel={() => (left += 1)} />);
    const offered = page.getAllByRole('button').map((b) => b.textContent);
    expect(new Set(offered).size).toBe(offered.length);
    expect(offered).toContain(wordOf('reduce'));
    expect(ALL_WORDS.length).toBeGreaterThan(offered.length - 1);
    await page.user.keyboard('{Enter}');
    expect(added).toHaveLength(1);
    await page.user.keyboard('{Escape}');
    expect(left).toBe(1);
  });
});

describe('scrap', () => {
  const left = (volumes: readonly (readonly [string, number])[]): PlainPlan =>
    ({
      ...{ starts: [], wraps: [], made: [], stages: [], parts: [], pieces: 1, each: 1 },
      volumes,
      offcuts: volumes.length > 0 ? [{ why: 'ends', volumes }] : [],
    }) as unknown as PlainPlan;

  test('nothing left over is said', () => {
    expect(shown(<Scrap plan={left([])} materials={MATERIALS} />).words()).toBe('Nothing is left over.');
  });

  test('its weight is that of its clay, and the cores are of a size that is said', async () => {
    // 10 cm³ of chalk and 5 cm³ of soot at 1.9 g/cm³
    const page = shown(
      <Scrap
        plan={left([
          [CHALK, 10_000],
          [SOOT, 5000],
        ])}
        materials={MATERIALS}
      />,
    );
    expect(page.words()).toContain('28.5 g of scrap');
    await typeInto(page, 'Size of a core', '20 mm');
    expect(useView.getState().coreMm).toBe(20);
  });
});

describe('the head of a cane', () => {
  function Head({ cane, look }: { readonly cane: CaneAnswer; readonly look: (part: Partial<Looking>) => void }) {
    const looking: Looking = { wobble: 'steady', trueSize: false, seen: 'close' };
    const bench = { worked: null, materials: MATERIALS, paints: {}, judged: {} } as unknown as BenchCane;
    return <CaneHead {...{ cane, looking, bench, refusal: undefined }} editing={useCaneEditing(cane)} onLook={look} />;
  }
  function head(cane = CANE): ShownStation & { readonly looks: Partial<Looking>[] } {
    const looks: Partial<Looking>[] = [];
    const page = shownAt('/canes/c1', '/canes/c1', <Head cane={cane} look={(part) => looks.push(part)} />, []);
    return { ...page, looks };
  }

  test('a name is kept with all else as it was', async () => {
    await typeInto(head(), 'Name of the cane', 'Leek');
    const { path, body } = await post.next();
    const { id, note, slices, sliceMm, program } = CANE;
    expect(path).toBe('/api/canes/c1');
    expect(body).toMatchObject({ id, note, slices, sliceMm, program, name: 'Leek' });
    expect(Object.keys(body)).not.toContain('revision');
  });

  test('its twin is a cane of its own, turned round', async () => {
    const page = head();
    await page.user.click(page.getByRole('button', { name: 'Twin' }));
    const { body } = await post.next();
    const twin = body as unknown as CaneDto;
    expect(twin.name).toBe('Leek slice, twin');
    expect(twin.program.steps.map((s) => s.do)).toEqual(['cane', 'mirror']);
    expect(twin.program.steps[0]).toMatchObject({ part: { ref: 'r3' } });
  });

  test('is retired, brought back and taken away', async () => {
    const page = head();
    await page.user.click(page.getByRole('button', { name: 'Retire' }));
    expect((await post.next()).body.retired).toBe(true);
    await page.user.click(page.getByRole('button', { name: 'Take away' }));
    expect(await post.next()).toMatchObject({ method: 'DELETE', path: '/api/canes/c1', query: 'version=2' });
    page.unmount();
    expect(head({ ...CANE, retired: true }).getByRole('button', { name: 'Bring it back' })).toBeTruthy();
  });

  test('is looked at from further away, with other hands, at its true size', async () => {
    const page = head();
    await page.user.selectOptions(page.getByLabelText('How it is seen'), 'at 30 cm');
    await page.user.selectOptions(page.getByLabelText('Hand wobble'), 'honest');
    await page.user.click(page.getByRole('button', { name: 'True size' }));
    expect(page.looks).toEqual([{ seen: '30 cm' }, { wobble: 'honest' }, { trueSize: true }]);
  });

  test('that it was made is said', () => {
    expect(head({ ...CANE, made: true }).words()).toContain('revision 3, made: a change begins a new one');
  });
});

describe('the regions of a template', () => {
  const TEMPLATE: Template = {
    ...{ id: 't', do: 'template', length: 50 },
    regions: [
      boxRegion('ground', [0, 0], [30, 30], CHALK),
      boxRegion('eye', [5, 5], [10, 10], SOOT),
      boxRegion('ear', [18, 18], [4, 4], SOOT),
    ],
  } as Template;

  function regions(
    each: boolean,
    template = TEMPLATE,
  ): Shown & { readonly changes: Template[]; readonly opened: number[] } {
    const [changes, opened]: [Template[], number[]] = [[], []];
    const page = shown(
      <Regions
        {...{ step: template, materials: MATERIALS, blends: [{ revisionId: 'fade', name: 'Straw fade' }], each }}
        canes={[{ revisionId: 'speckle', name: 'Garden speckle' }]}
        onChange={(step) => changes.push(step)}
        onOpen={(part) => opened.push(part)}
      />,
    );
    return { ...page, changes, opened };
  }

  test('equal ones are one line, with what is seen of them and its weight', () => {
    const rows = regions(false)
      .getAllByRole('listitem')
      .map((li) => li.textContent ?? '');
    expect(rows).toHaveLength(2);
    // 900 − 100 − 16 mm², and 116 mm² of the others; in 50 mm at 1.9 g/cm³
    expect(rows[0]).toMatch(/^ground.*784 mm², 74\.5 g in 50 mm/);
    expect(rows[1]).toMatch(/^2 regions.*116 mm², 11 g in 50 mm/);
  });

  test('each by itself, one is taken out; the ground never', async () => {
    const page = regions(true);
    expect(page.getAllByRole('listitem')).toHaveLength(3);
    expect(page.queryByRole('button', { name: 'Take ground out' })).toBeNull();
    await page.user.click(page.getByRole('button', { name: 'Take eye out' }));
    expect(page.changes[0]?.regions.map((r) => r.id)).toEqual(['ground', 'ear']);
  });

  test.each([
    ['a blend', 'blend'],
    ['a cane', 'cane'],
  ])('one is filled with %s', async (choice, kind) => {
    const page = regions(true);
    await page.user.selectOptions(page.getByLabelText('What fills eye'), choice);
    const [ground, eye, ear] = page.changes[0]!.regions;
    expect(Object.keys(eye!.fill)).toContain(kind);
    expect([ground, ear]).toEqual([TEMPLATE.regions[0], TEMPLATE.regions[2]]);
  });

  test('filled together they are changed together', async () => {
    const page = regions(false);
    await page.user.selectOptions(page.getByLabelText('What fills eye'), 'a blend');
    expect(page.changes[0]!.regions.map((r) => 'blend' in r.fill)).toEqual([false, true, true]);
  });
});
