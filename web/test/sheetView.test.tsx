/** @jest-environment ./web/test/page.mjs */
import { fireEvent } from '@testing-library/react';
import { keyOf, ofClay } from '#core/material';
import { massOfSheet, thicknesses } from '#core/sheet';
import { machines, setup } from '#demo';
import type { MachineDto, RolledDto, MadeAnswer } from '#contract';
import RollSheet from '../src/stations/sheets/RollSheet.js';
import SheetBook from '../src/stations/sheets/SheetBook.js';
import { SheetOf } from '../src/stations/sheets/SheetOf.js';
import { Ladder } from '../src/stations/sheets/Ladder.js';
import { useRollPlan, workRoll } from '../src/stations/sheets/rollPlan.js';
import { useTile } from '../src/state/tile.js';
import { clayId, pickable } from './kitchen.js';
import { post } from './letters.js';
import { expectWhole, NOTHING_SHOWN, shown, shownAt, typeInto, type Shown, type ShownStation } from './screen.js';

beforeEach(() => {
  useTile.setState({ carried: [] });
});

const [roller, crank] = machines as readonly [MachineDto, MachineDto];
const mmOf = (label: string): number => thicknesses(roller).find((s) => s.label === label)!.mm;

/** 96 × 170 mm at 1.52 mm of a clay of 1.9 g/cm³: 47.1 g. */
const sheet = (more: Partial<MadeAnswer> = {}): MadeAnswer => ({
  ...{
    id: 's1',
    version: 2,
    name: 'Chalk, 4',
    note: '',
    form: 'sheet',
    widthMm: 96,
    lengthMm: 170,
    mm: 1.52,
    layers: 1,
  },
  ...{ grams: massOfSheet(96 * 170, 1.52, 1.9), cuts: [], gone: false, rolledAt: '4 of Bench roller', inside: null },
  ...{
    clays: [{ clayId: clayId('Chalk'), mass: 1 }],
    count: 1,
    keptIn: '',
    caneId: null,
    patternId: null,
    patterned: null,
    left: more.grams ?? massOfSheet(96 * 170, 1.52, 1.9),
  },
  ...{ of: ofClay(clayId('Chalk')), blendId: null, ofName: 'Chalk', hexes: ['F1EEE4'], density: 1.9 },
  ...{ madeOn: '2026-11-02', entryId: 'entry' },
  ...more,
});
const CUT = { id: 'c', name: '', shape: 'round' as const, widthMm: 18, heightMm: null, count: 4, bridgeMm: 2 };
const PLUG = sheet({
  id: 'p1',
  name: 'Straw fade',
  form: 'plug',
  widthMm: 26,
  lengthMm: 30,
  mm: 26,
  hexes: ['F0CB55', 'E29A2E'],
});

const book = (
  sheets: readonly MadeAnswer[],
  address = `/sheets/book/${sheets[0]?.id ?? ''}`,
  units: 'metric' | 'imperial' = 'metric',
): ShownStation =>
  shownAt(
    address,
    '/sheets/book/:sheetId?',
    <SheetBook />,
    [
      [['/api/sheets'], sheets],
      [['/api/machines'], { machines, setup }],
    ],
    units,
  );

describe('the sheet book', () => {
  test.each(['metric', 'imperial'] as const)('shows sheets and plugs with their sizes, %s', (units) => {
    const page = book([sheet(), PLUG], '/sheets/book', units);
    expectWhole(page);
    expect(
      page.getByRole('button', { name: units === 'metric' ? 'Chalk, 4, 96 × 170 mm' : /Chalk, 4, 3\.78 × 6\.69 in/ }),
    ).toBeTruthy();
    expect(page.words()).toContain('Plugs, ready for a cane');
  });

  test('without a sheet it says where they come from', async () => {
    const page = book([], '/sheets/book');
    expect(page.words()).toContain('No sheet in the book yet');
    await page.user.click(page.getByRole('button', { name: 'Plan how to roll one' }));
    expect(page.address()).toBe('/sheets');
  });

  test('says how many pieces of another cutter still fit, and fewer where some were cut', async () => {
    const fits = (page: Shown): number => Number(/(\d+) pieces still fit/.exec(page.words())?.[1] ?? 0);
    const whole = book([sheet()]);
    const many = fits(whole);
    expect(many).toBeGreaterThanOrEqual(Math.floor(98 / 20) * Math.floor(172 / 20));
    await typeInto(whole, 'Cutter of the pieces', '36 mm');
    expect(fits(whole)).toBeLessThan(many / 3);
    await typeInto(whole, 'Cutter of the pieces', '200 mm');
    expect(whole.words()).toContain('no such piece fits');
    whole.unmount();
    const cut = book([sheet({ cuts: [CUT] })]);
    expect(fits(cut)).toBeLessThan(many);
    expect(fits(cut)).toBeGreaterThanOrEqual(many - 8);
  });

  test('what is used up is out of the way, and comes back', async () => {
    const page = book([sheet(), sheet({ id: 's2', name: 'Soot, 4', gone: true })]);
    expect(page.queryByRole('button', { name: /^Soot, 4/ })).toBeNull();
    await page.user.click(page.getByRole('button', { name: '1 used up' }));
    await page.user.click(page.getByRole('button', { name: /^Soot, 4/ }));
    expect(page.address()).toBe('/sheets/book/s2');
    await page.user.click(page.getByRole('button', { name: 'It is still there' }));
    expect((await post.next()).body.gone).toBe(false);
  });
});

describe('one sheet', () => {
  test.each<[string, string, Partial<MadeAnswer>]>([
    ['Name of the sheet', 'White', { name: 'White' }],
    ['Width of the made sheet', '100 mm', { widthMm: 100 }],
    ['Length of the made sheet', '20 cm', { lengthMm: 200 }],
    ['Thickness of the sheet', '0.76 mm', { mm: 0.76, lengthMm: 340 }],
    ['Thickness of the sheet', 'my 6', { mm: 0.94, lengthMm: (170 * 1.52) / 0.94 }],
  ])('%s %s', async (label, text, wanted) => {
    await typeInto(book([sheet()]), label, text);
    const { method, path, body } = await post.next();
    expect([method, path]).toEqual(['PUT', '/api/sheets/s1']);
    for (const [field, value] of Object.entries(wanted))
      if (typeof value === 'number') expect(body[field]).toBeCloseTo(value, 6);
      else expect(body[field]).toBe(value);
    expect(Object.keys(body)).not.toContain('hexes');
  });

  test('of one with holes a thickness leaves the size', async () => {
    await typeInto(book([sheet({ cuts: [CUT] })]), 'Thickness of the sheet', '1.4 mm');
    expect((await post.next()).body).toMatchObject({ mm: 1.4, lengthMm: 170 });
  });

  test('pieces are put where one wants them, moved by keys, and cut there', async () => {
    const page = book([sheet()]);
    await page.user.selectOptions(page.getByLabelText('How they lie on the sheet'), 'hand');
    expect(page.getByRole('button', { name: 'Cut' }).hasAttribute('disabled')).toBe(true);
    await page.user.click(page.getByRole('button', { name: 'put the cutter on it' }));
    await page.user.click(page.getByRole('button', { name: 'another piece' }));
    const second = page.getByRole('img', { name: /^Piece 2/ });
    second.focus();
    await page.user.keyboard('{Shift>}{ArrowUp}{/Shift}{ArrowRight}r');
    await page.user.click(page.getByRole('button', { name: 'Cut' }));
    const [cut] = (await post.next()).body.cuts as MadeAnswer['cuts'];
    expect(cut).toMatchObject({ count: 2, shape: 'round', widthMm: 18 });
    expect(cut?.places).toEqual([
      { x: 9, y: 9, degrees: 0 },
      { x: expect.any(Number) as number, y: 19, degrees: 15 },
    ]);
  });

  test('pieces are cut, and not after all', async () => {
    const page = book([sheet()]);
    await typeInto(page, 'How many were cut', '6');
    await page.user.click(page.getByRole('button', { name: 'Cut' }));
    const cuts = (await post.next()).body.cuts as MadeAnswer['cuts'];
    expect(cuts).toEqual([{ ...CUT, id: cuts[0]?.id, count: 6, points: null, rimMm: null, lie: 'close' }]);
    page.unmount();
    const cut = book([sheet({ cuts: [CUT] })]);
    expect(cut.words()).toContain('4 of 18 mm round');
    await cut.user.click(cut.getByRole('button', { name: 'not after all' }));
    expect((await post.next()).body.cuts).toEqual([]);
  });

  test('what is left and the scrap between holes are the rest of the clay', () => {
    const words = book([sheet({ cuts: [CUT] })]).words();
    const [, length, grams] = /left: 96 × (\d+(?:\.\d+)?) mm,\s+(\d+(?:\.\d+)?) g/.exec(words)!;
    const [, scrap] = /(\d+(?:\.\d+)?) g scrap/.exec(words)!;
    const whole = sheet().grams;
    const discs = massOfSheet(4 * Math.PI * 81, 1.52, 1.9);
    expect(Number(grams)).toBeCloseTo((whole * Number(length)) / 170, 0);
    expect(Number(grams) + Number(scrap) + discs).toBeCloseTo(whole, 0);
  });

  test('rolled thinner it is as much longer as it is thinner, its holes rolled away', async () => {
    const page = book([sheet({ cuts: [CUT] })]);
    const left = Number(/left: 96 × (\d+(?:\.\d+)?) mm/.exec(page.words())![1]);
    await page.user.selectOptions(page.getByLabelText('Setting to roll it to'), '6');
    await page.user.click(page.getByRole('button', { name: 'It is rolled' }));
    const { body } = await post.next();
    expect(body).toMatchObject({ mm: 0.94, layers: 1, cuts: [], rolledAt: '6 of Bench roller', widthMm: 96 });
    expect(Number(body.lengthMm)).toBeCloseTo((left * 1.52) / 0.94, 0);
    expect(massOfSheet(96 * Number(body.lengthMm), 0.94, 1.9)).toBeCloseTo(Number(body.grams), 6);
    expect(body.note).toContain('4 of 18 mm round were cut from it.');
  });

  test('is carried on the tile; a plug begins a cane', async () => {
    const page = book([sheet()]);
    await page.user.keyboard('c');
    expect(useTile.getState().carried.map((c) => c.name)).toEqual(['Chalk, 4']);
    page.unmount();
    const plug = book([PLUG]);
    expect(plug.queryByRole('button', { name: 'Cut' })).toBeNull();
    await plug.user.click(plug.getByRole('button', { name: 'Begin a cane with it' }));
    expect(plug.address()).toBe('/canes');
    expect(useTile.getState().carried.map((c) => c.name)).toContain('Straw fade');
  });

  test('what the server says against cuts stands at the cutting', async () => {
    post.refuse('They do not fit.', [{ field: 'cuts', sentence: 'So many do not fit on what is left.' }]);
    const page = book([sheet()]);
    await page.user.click(page.getByRole('button', { name: 'Cut' }));
    expect(await page.findByText('So many do not fit on what is left.')).toBeTruthy();
    expect(page.queryByText('They do not fit.')).toBeNull();
  });
});

describe('a sheet of', () => {
  test('weight and thickness say its area; a size says its weight', async () => {
    const page = shown(<SheetOf own={roller} />, 'metric', pickable('corn'));
    await typeInto(page, 'Weight of the sheet', '57 g');
    await page.user.selectOptions(page.getByLabelText('Setting of the sheet'), '3');
    // 57 g / 1.9 g/cm³ = 30 cm³ over 0.206 cm
    expect(page.words()).toContain(`~${Math.round(30 / 0.206)} cm²`);
    await typeInto(page, 'Size of the sheet', '100 × 100 mm');
    expect(page.words()).toContain(`~${massOfSheet(10_000, 2.06, 1.9).toFixed(1)} g`);
  });

  test('of a clay whose density was measured there is no doubt about it', async () => {
    const page = shown(<SheetOf own={roller} />, 'metric', pickable('corn'));
    await page.user.selectOptions(page.getByLabelText('Setting of the sheet'), '3');
    await page.user.click(page.getByRole('button', { name: 'any clay' }));
    await page.user.type(page.getByRole('combobox', { name: 'What the sheet is made of' }), 'corn{Enter}');
    await page.findByRole('button', { name: 'Corn' });
    expect(page.words()).toContain(` ${massOfSheet(80 * 120, 2.06, 1.84).toFixed(1)} g`);
    expect(page.words()).not.toContain('~');
  });
});

describe('rolling at the bench', () => {
  const rolling = (): ShownStation =>
    shownAt('/sheets/roll', '/sheets/roll', <RollSheet />, [
      ...pickable('soot'),
      [['/api/machines'], { machines, setup }],
    ]);
  const to = (label: string): string => roller.settings.find((s) => s.label === label)!.id;

  test('every feed is a step, and the last one leads to the book', async () => {
    useRollPlan.setState({ layers: 2, fromId: to('3'), toId: to('5'), size: { width: 60, height: 90 } });
    const { feeds } = workRoll(roller, useRollPlan.getState())!.feeds;
    expect(feeds.map((f) => f.setting.label).at(-1)).toBe('5');
    const page = rolling();
    expect(page.words()).toContain('Lay the stack');
    for (let step = 0; step <= feeds.length; step++) await page.user.keyboard(' ');
    expect(page.words()).toContain('Done?');
    await page.user.type(page.getByRole('combobox', { name: 'What the sheet is made of' }), 'soot{Enter}');
    await page.findByLabelText('Name in the sheet book');
    await page.user.click(page.getByRole('button', { name: 'Done, write it down' }));
    const { method, path, body } = await post.next();
    const rolled = body as unknown as RolledDto;
    expect([method, path]).toEqual(['POST', `/api/sheets/${rolled.sheet.id}/rolled`]);
    expect(keyOf(rolled.of)).toBe(keyOf(ofClay(clayId('Soot'))));
    expect(rolled.rolledAt).toBe('5 of Bench roller');
    // two layers of 60 × 90 mm at setting 3, whatever they are rolled to
    const grams = massOfSheet(60 * 90, 2 * mmOf('3'), 1.9);
    expect(rolled.sheet.grams).toBeCloseTo(grams, 0);
    expect(rolled.used.map((u) => u.clayId)).toEqual([clayId('Soot')]);
    expect(rolled.used[0]?.grams).toBeCloseTo(grams, 0);
  });

  test('without a plan it leads back to it', async () => {
    const page = shownAt('/sheets/roll', '/sheets/roll', <RollSheet />, [
      ...pickable(),
      [['/api/machines'], { machines: [], setup }],
    ]);
    expect(page.words()).toContain('Nothing to roll yet');
    await page.user.click(page.getByRole('button', { name: 'Plan it' }));
    expect(page.address()).toBe('/sheets');
  });
});

describe('the ladder', () => {
  function ladder(units: 'metric' | 'imperial' = 'metric'): Shown & { readonly chosen: (string | null)[][] } {
    const chosen: (string | null)[][] = [];
    const page = shown(
      <Ladder
        {...{ machines, setup, chosen: roller.id, settingId: null, pointed: null, trueSize: false }}
        onChoose={(machineId, settingId) => chosen.push([machineId, settingId])}
      />,
      units,
    );
    return { ...page, chosen };
  }

  test.each(['metric', 'imperial'] as const)('every setting of every machine has its edge, %s', (units) => {
    const page = ladder(units);
    const edges = page.getAllByRole('button').map((e) => e.getAttribute('aria-label') ?? '');
    for (const machine of machines)
      for (const { id, label } of machine.settings) {
        const { knowledge } = thicknesses(machine).find((s) => s.id === id)!;
        expect(edges).toContainEqual(
          expect.stringMatching(new RegExp(`\\b${label}\\b.*${machine.name}.*${knowledge}`)),
        );
      }
    expect(page.words()).not.toMatch(NOTHING_SHOWN);
  });

  test('an edge that is looked at says what it is on the others; a click and Enter choose it', async () => {
    const page = ladder();
    expect(page.words()).toContain('Point at an edge');
    const edge = page
      .getAllByRole('button')
      .find((e) => /\b4\b.*Blue travel crank/i.test(e.getAttribute('aria-label') ?? ''))!;
    fireEvent.focus(edge);
    expect(page.words()).toMatch(/is .*Bench roller/);
    await page.user.click(edge);
    edge.focus();
    await page.user.keyboard('{Enter}');
    const four = [crank.id, crank.settings.find((s) => s.label === '4')!.id];
    expect(page.chosen).toEqual([four, four]);
    await page.user.click(page.getByRole('button', { name: 'Choose Bench roller' }));
    expect(page.chosen.at(-1)).toEqual([roller.id, null]);
  });
});
