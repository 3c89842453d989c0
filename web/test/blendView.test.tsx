/** @jest-environment ./web/test/page.mjs */
import { fireEvent } from '@testing-library/react';
import { areasOf } from '#core/blend';
import { keyOf, ofClay } from '#core/material';
import { machines, setup } from '#demo';
import type { BlendAnswer, BlendPlanDto } from '#contract';
import Blends from '../src/stations/blends/Blends.js';
import { CutSheet } from '../src/stations/blends/CutSheet.js';
import { PassBars } from '../src/stations/blends/PassBars.js';
import { layoutIn } from '../src/stations/blends/workedBlend.js';
import { useTile } from '../src/state/tile.js';
import { blend, clayId, pickable, plan } from './kitchen.js';
import { post } from './letters.js';
import { expectWhole, shown, shownAt, typeInto, type Shown, type ShownStation } from './screen.js';

beforeEach(() => {
  useTile.setState({ carried: [] });
});

const STRAW = plan(['Corn', 'Squash']);
const cardOf = (b: BlendAnswer) => ({
  ...{ id: b.id, revisionId: `${b.id} 1`, name: b.name, retired: b.retired, plan: b.plan },
  ...{ hexes: ['F0CB55', 'E29A2E'], names: ['Corn', 'Squash'] },
});
function blendsAt(
  blends: readonly BlendAnswer[],
  address: string,
  units: 'metric' | 'imperial' = 'metric',
): ShownStation {
  const read = [
    ...pickable('soot'),
    [['/api/machines'], { machines, setup }] as const,
    [['/api/learning'], { use: false, learned: null }] as const,
    [['/api/blends'], blends.map(cardOf)] as const,
    ...blends.map((b) => [[`/api/blends/${b.id}`], b] as const),
  ];
  return shownAt(address, '/blends/:blendId?/:detail?', <Blends />, read, units);
}
const one = (more: Partial<BlendAnswer> = {}, units: 'metric' | 'imperial' = 'metric'): ShownStation => {
  const own = { ...blend(STRAW), ...more };
  return blendsAt([own], `/blends/${own.id}`, units);
};
const sentPlan = async (): Promise<BlendPlanDto> => (await post.next()).body.plan as BlendPlanDto;

describe('blends', () => {
  test('all fades stand beside each other, the retired ones out of the way', async () => {
    const old = { ...blend(STRAW), id: 'old', name: 'Old fade', retired: true };
    const page = blendsAt([blend(STRAW), old], '/blends');
    expect(page.queryByText('Old fade')).toBeNull();
    await page.user.click(page.getByRole('button', { name: '1 retired' }));
    await page.user.click(page.getByRole('link', { name: /Old fade/ }));
    expect(page.address()).toBe('/blends/old');
  });

  test('a new one is of two clays that are there, under a free name', async () => {
    const page = blendsAt([{ ...blend(STRAW), name: 'New blend' }], '/blends');
    await page.user.keyboard('n');
    const { body } = await post.next();
    expect(body.name).toBe('New blend 2');
    const { colours, cuts } = body.plan as BlendPlanDto;
    expect(new Set(colours.map(keyOf)).size).toBe(2);
    expect(cuts).toHaveLength(1);
  });

  test('where there is none it says what one is for', () => {
    expect(blendsAt([], '/blends').words()).toContain('No blend planned');
  });
});

describe('one blend', () => {
  test.each(['metric', 'imperial'] as const)('shows cuts, fade, passes, tape and plug, %s', (units) => {
    const page = one({}, units);
    expectWhole(page);
    for (const heading of ['Passes', 'Tape', 'Plug', 'Pieces']) expect(page.words()).toContain(heading);
    expect(page.words()).toContain(units === 'metric' ? '180 mm · 2 layers of your' : '7.09 in · 2 layers of your');
  });

  test('its name is changed, it is carried, retired and taken away', async () => {
    const page = one();
    await typeInto(page, 'Name of the blend', 'Straw');
    expect((await post.next()).body.name).toBe('Straw');
    await page.user.click(page.getByRole('heading', { name: 'Blends' }));
    await page.user.keyboard('c');
    expect(useTile.getState().carried).toMatchObject([{ kind: 'blend', name: 'Pod fade' }]);
    await page.user.click(page.getByRole('button', { name: 'Retire' }));
    expect((await post.next()).body.retired).toBe(true);
    await page.user.click(page.getByRole('button', { name: 'Take away' }));
    expect(await post.next()).toMatchObject({ method: 'DELETE', query: 'version=1' });
  });

  test('one of its colours is picked anew, the cuts stay', async () => {
    const page = one();
    await page.user.click(page.getByRole('button', { name: 'Squash' }));
    await page.user.type(page.getByRole('combobox', { name: 'Colour of the blend' }), 'soot{Enter}');
    const next = await sentPlan();
    expect(next.colours.map(keyOf)).toEqual(['Corn', 'Soot'].map((name) => keyOf(ofClay(clayId(name)))));
    expect(next.cuts).toEqual(STRAW.cuts);
  });

  test('another colour is one cut more, a colour out one less; two always stay', async () => {
    const page = one();
    expect(page.queryByRole('button', { name: /^Take colour/ })).toBeNull();
    await page.user.click(page.getByRole('button', { name: 'another colour' }));
    await page.user.type(page.getByRole('combobox', { name: 'Colour of the blend' }), 'soot{Enter}');
    const three = await sentPlan();
    expect([three.colours.length, three.cuts.length]).toEqual([3, 2]);
    page.unmount();
    const more = one({ plan: plan(['Corn', 'Squash', 'Soot']) });
    await more.user.click(more.getByRole('button', { name: 'Take colour 2 out' }));
    const two = await sentPlan();
    expect([two.colours.length, two.cuts.length]).toEqual([2, 1]);
  });

  test.each<[string, string, Partial<BlendPlanDto>]>([
    ['Tapes laid on each other', '3', { stack: 3 }],
    ['Width of the sheet', '20 cm', { width: 200, height: 120 }],
    ['Height of the sheet', '90 mm', { width: 180, height: 90 }],
    ['Layers of the blend', '3', { layers: 3, cuts: STRAW.cuts }],
    ['Pure ends', '30 mm', { pure: 30 }],
  ])('%s: %s', async (label, text, wanted) => {
    await typeInto(one(), label, text);
    expect(await sentPlan()).toMatchObject(wanted);
  });

  test('the plug is rolled from either end, or folded like a fan', async () => {
    const page = one();
    await page.user.selectOptions(page.getByLabelText('Which end is inside'), 'Squash inside');
    expect((await sentPlan()).inside).toBe('last');
    await page.user.selectOptions(page.getByLabelText('How the tape is wound up'), 'folded like a fan');
    expect((await sentPlan()).plug).toBe('fan');
    page.unmount();
    const fan = one({ plan: { ...STRAW, plug: 'fan' } });
    await typeInto(fan, 'Depth of the folds', '15 mm');
    expect((await sentPlan()).fanDepth).toBe(15);
    expect(fan.words()).toMatch(/\d+ folds, from side to side/);
  });

  test('colour is added at an end of the tape, so many millimetres of it', async () => {
    const page = one();
    await page.user.selectOptions(page.getByLabelText('Colour added at an end of the tape'), 'Corn');
    expect(await sentPlan()).toMatchObject({ extraAt: 'first', extraMm: 20 });
    page.unmount();
    const added = one({ plan: { ...STRAW, extraAt: 'first', extraMm: 20 } });
    await typeInto(added, 'Length of the added colour', '35 mm');
    expect((await sentPlan()).extraMm).toBe(35);
    await added.user.selectOptions(added.getByLabelText('Colour added at an end of the tape'), 'nothing');
    expect(await sentPlan()).toMatchObject({ extraAt: null, extraMm: null });
  });

  test('pieces are cut evenly, or put elsewhere one by one', async () => {
    const page = one();
    await typeInto(page, 'Pieces along the fade', '4');
    await page.user.click(page.getByRole('button', { name: 'put them elsewhere' }));
    const { placed } = await sentPlan();
    expect(placed).toHaveLength(4);
    const places = placed!.map((p) => p.x);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    page.unmount();
    const own = one({
      plan: {
        ...STRAW,
        placed: [
          { x: 40, size: 18 },
          { x: 90, size: 20 },
        ],
      },
    });
    await typeInto(own, 'Place of piece 1', '55 mm');
    expect((await sentPlan()).placed).toEqual([
      { x: 55, size: 18 },
      { x: 90, size: 20 },
    ]);
    await typeInto(own, 'Place of piece 1', '300 mm');
    await own.user.click(own.getByRole('button', { name: 'Take piece 2 away' }));
    expect((await sentPlan()).placed).toEqual([{ x: 40, size: 18 }]);
    await own.user.click(own.getByRole('button', { name: 'evenly again' }));
    expect((await sentPlan()).placed).toBeNull();
    expect(post.letters).toHaveLength(4);
  });

  test('a larger size than the sheet is high fits nowhere, and that is said', () => {
    const page = one({ plan: { ...STRAW, placed: [{ x: 40, size: 130 }] } });
    expect(page.words()).toContain('the blend is only 120 mm high: none fits');
  });

  test('the strips of one without a machine hold all of both colours', async () => {
    const page = one();
    await typeInto(page, 'Number of strips', '5');
    const strips = page.getByRole('list', { name: 'Strips' });
    expect(strips.children).toHaveLength(5);
    expect(strips.children[0]?.textContent).toMatch(/^\S+ Corn$/);
    expect(strips.children[4]?.textContent).toMatch(/^\S+ Squash$/);
  });

  test('married to another one it is as wide as both', async () => {
    const green = { ...blend(plan(['Squash', 'Leek'])), id: 'green', name: 'Green fade' };
    const page = blendsAt([blend(STRAW), green], `/blends/${blend(STRAW).id}`);
    expect(page.words()).toContain('Both have Squash at the joint: it does not show.');
    await page.user.click(page.getByRole('button', { name: 'Plan them as one blend' }));
    const { body } = await post.next();
    const made = body.plan as BlendPlanDto;
    expect(body.name).toBe('Pod fade and Green fade');
    expect(made.colours.map(keyOf)).toEqual(['Corn', 'Squash', 'Leek'].map((name) => keyOf(ofClay(clayId(name)))));
    const areas = areasOf(layoutIn(made));
    expect(areas.reduce((a, b) => a + b)).toBeCloseTo(made.width * made.height, 3);
  });
});

describe('the cuts of a sheet', () => {
  const layout = layoutIn(STRAW);
  const colours = ['Corn', 'Squash'].map((name) => ({ name, hex: 'F0CB55', grams: 20 }));
  interface Cutting extends Shown {
    readonly dropped: BlendPlanDto['cuts'][];
    readonly dragged: BlendPlanDto['cuts'][];
  }
  function cutting(): Cutting {
    const [dropped, dragged]: [BlendPlanDto['cuts'][], BlendPlanDto['cuts'][]] = [[], []];
    const page = shown(
      <CutSheet
        {...{ layout, colours: colours as never, layers: 2, sheet: 'your 3', scale: 2 }}
        onDrag={(cuts) => dragged.push(cuts)}
        onDrop={(cuts) => dropped.push(cuts)}
      />,
    );
    return { ...page, dropped, dragged };
  }
  const point = (page: Cutting, name: string): HTMLElement => page.getByRole('slider', { name });
  const before = STRAW.cuts[0]!.points;

  test.each([
    ['{ArrowRight}', 1, 0],
    ['{ArrowLeft}', -1, 0],
    ['{Shift>}{ArrowRight}{/Shift}', 5, 0],
  ])('%s moves a point by %d mm', async (key, x, y) => {
    const page = cutting();
    point(page, 'Cut 1, point 1').focus();
    await page.user.keyboard(key);
    const [first, ...others] = page.dropped[0]![0]!.points;
    expect(first).toEqual({ x: before[0]!.x + x, y: before[0]!.y + y });
    expect(others).toEqual(before.slice(1));
  });

  test('a point never leaves the sheet', async () => {
    const page = cutting();
    point(page, 'Cut 1, point 1').focus();
    await page.user.keyboard('{Shift>}{ArrowLeft>50/}{/Shift}');
    for (const cuts of page.dropped)
      for (const { x } of cuts[0]!.points) {
        expect(x).toBeGreaterThanOrEqual(0);
        expect(x).toBeLessThanOrEqual(180);
      }
  });

  test('a double click puts a point more on the cut; the ends of a cut stay', async () => {
    const page = cutting();
    fireEvent.doubleClick(page.container.querySelector('polyline[stroke="transparent"]')!, {
      clientX: 200,
      clientY: 120,
    });
    expect(page.dropped[0]![0]!.points).toHaveLength(before.length + 1);
    point(page, 'Cut 1, point 1').focus();
    await page.user.keyboard('{Delete}');
    expect(page.dropped).toHaveLength(1);
  });

  test('each colour has its name and its grams, the sheet its size', () => {
    const words = cutting().words();
    for (const part of ['Corn', 'Squash', '20 g', '120 mm', '180 mm · 2 layers of your 3'])
      expect(words).toContain(part);
  });
});

describe('passes', () => {
  const bars = (counted: number, enough = 12): string =>
    shown(<PassBars contrast={40} counted={counted} passes={{ streaks: [40, 20, 10], enough } as never} />).words();
  test.each([
    [0, 'assumed: 15 passes for strong contrasts'],
    [1, 'with what your last blend took'],
    [4, 'with what your 4 blends took'],
  ])('after %d blends it says what it rests on', (counted, words) => {
    expect(bars(counted)).toContain(words);
    expect(bars(counted)).toContain('streaks gone after 12');
  });
  test('where nothing shows from the first fold on, it says that', () => {
    expect(bars(0, 0)).toContain('Nothing to see from the first fold.');
  });
});
