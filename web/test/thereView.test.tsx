/** @jest-environment ./web/test/page.mjs */
import { within } from '@testing-library/react';
import fc from 'fast-check';
import { ofClay } from '#core/material';
import type { BalanceAnswer, StockAnswer, ThereAnswer, TubAnswer } from '#contract';
import There from '../src/stations/shelf/there/There.js';
import { cameIn, placesOf } from '../src/stations/shelf/there/balanceRows.js';
import { gramsOfSize, haveThing, type Have } from '../src/stations/shelf/there/haveThis.js';
import { awayDto, slicesIn } from '../src/stations/shelf/there/oneThing.js';
import {
  coverWords,
  drawnAs,
  flowWords,
  rowsOf,
  sizeWords,
  thingsFound,
} from '../src/stations/shelf/there/thereWords.js';
import { useTile } from '../src/state/tile.js';
import { clayId, pickable } from './kitchen.js';
import { post } from './letters.js';
import { NOTHING_SHOWN, expectWhole, shownAt, typeInto, type ShownStation } from './screen.js';

beforeEach(() => {
  useTile.setState({ carried: [] });
});

const thing = (more: Partial<ThereAnswer> = {}): ThereAnswer => ({
  ...{ id: 'l1', version: 3, name: 'Chalk, left over', note: '', form: 'lump', widthMm: 26, lengthMm: 26, mm: 26 },
  ...{ left: more.grams ?? 17.5, clays: [{ clayId: clayId('Chalk'), mass: 1 }] },
  ...{ layers: 1, grams: 17.5, cuts: [], gone: false, inside: null, count: 1, keptIn: 'green tin', rolledAt: '' },
  ...{
    of: ofClay(clayId('Chalk')),
    blendId: null,
    caneId: null,
    patternId: null,
    patterned: null,
    ofName: 'Chalk',
    hexes: ['F1EEE4'],
    density: 1.9,
  },
  ...{ madeOn: '2026-11-02', entryId: 'e1', reservedFor: [] },
  ...more,
});
const CANE = thing({
  ...{ id: 'c1', name: 'Beetroot ring', form: 'cane', widthMm: 16, lengthMm: 82, mm: 16, grams: 31.3 },
  ...{ of: { kind: 'cane', id: 'r1' }, caneId: 'cane', ofName: 'Beetroot ring', hexes: ['7B1E4B', 'F0CB55'] },
  ...{ reservedFor: [{ kind: 'batch', id: 'b1', name: 'Garden hoops' }] as const },
});
const TUB: TubAnswer = {
  ...{ id: 't1', version: 4, name: 'Dark scrap', keptIn: '', rule: 'dark', of: null, grams: 12.9 },
  ...{ hex: '703050', rawHex: '6A2A4A' },
  clays: [
    { clayId: 'x', name: 'Beetroot', grams: 8 },
    { clayId: 'y', name: 'Chalk', grams: 4.9 },
  ],
};
const BALANCE: BalanceAnswer = {
  ...{ bought: 300, found: 20, onShelf: 200, lyingThere: 48.8, inTubs: 12.9, inPieces: 50, thrown: 3, lost: 1 },
  unsaid: 4.3,
};
const STOCK: StockAnswer = { things: [thing(), CANE], tubs: [TUB], balance: BALANCE };

const there = (
  address = '/shelf/there',
  stock: StockAnswer = STOCK,
  units: 'metric' | 'imperial' = 'metric',
): ShownStation =>
  shownAt(
    address,
    '/shelf/there/:thingId?',
    <There />,
    [...pickable('chalk', 'aubergine'), [['/api/stock'], stock]],
    units,
  );

describe('what lies there', () => {
  test.each(['metric', 'imperial'] as const)(
    'is shown in rows by kind, with tubs and where the clay is, %s',
    (units) => {
      const page = there('/shelf/there', STOCK, units);
      expectWhole(page);
      const row = (name: string): string => page.getByRole('region', { name }).textContent ?? '';
      expect(row('Lumps')).toMatch(units === 'metric' ? /17\.5 g · a ball of 26 mm/ : /oz · a ball of .* in/);
      expect(row('Canes')).toContain('reserved for Garden hoops');
      expect(row('Tubs')).toContain('Dark scrap');
      expect(row('Where the clay is')).toMatch(units === 'metric' ? /in tubs.*12\.9 g/ : /in tubs.*oz/);
      expect(page.queryByRole('region', { name: 'Sheets' })).toBeNull();
    },
  );

  test('an empty one says what will be there, and how to begin', async () => {
    const nothing: BalanceAnswer = Object.fromEntries(
      Object.keys(BALANCE).map((key) => [key, 0]),
    ) as unknown as BalanceAnswer;
    const page = there('/shelf/there', { things: [], tubs: [], balance: nothing });
    expect(page.words()).toContain('Nothing lies there yet');
    await page.user.keyboard('n');
    expect(page.getByRole('region', { name: 'I have this' })).toBeTruthy();
  });

  test('a thing is opened, renamed, carried, and thrown to a tub', async () => {
    const page = there();
    await page.user.click(page.getByRole('button', { name: 'Chalk, left over' }));
    expect(page.address()).toBe('/shelf/there/l1');
    await typeInto(page, 'Where it is kept', 'tin on the sill');
    expect(await post.next()).toMatchObject({
      ...{ method: 'PUT', path: '/api/sheets/l1' },
      body: { keptIn: 'tin on the sill', count: 1, grams: 17.5 },
    });
    await page.user.click(page.getByRole('heading', { name: 'What lies there' }));
    await page.user.keyboard('c');
    expect(useTile.getState().carried.map((c) => [c.name, c.form])).toEqual([['Chalk, left over', 'lump']]);
    await page.user.selectOptions(page.getByLabelText('Where it is thrown'), 'to Dark scrap');
    await page.user.click(page.getByRole('button', { name: 'Throw it' }));
    const { path, body } = await post.next();
    expect([path, body.to, body.tubId]).toEqual(['/api/made/l1/away', 'tub', 't1']);
  });

  test('slices are cut off a cane, no more than there are in it', async () => {
    const page = there('/shelf/there/c1');
    expect(page.words()).toContain('41 are in what is left of it');
    await typeInto(page, 'Thickness of the slices', '3 mm');
    expect(page.words()).toContain('27 are in what is left of it');
    await typeInto(page, 'Slices to cut', '12');
    await page.user.click(page.getByRole('button', { name: 'Cut' }));
    const { path, body } = await post.next();
    expect([path, body.count, body.mm, body.name]).toEqual(['/api/made/c1/sliced', 12, 3, 'Beetroot ring, slices']);
  });

  test('a tub says what is in it and what mixing it through gives, and is thrown away', async () => {
    const page = there('/shelf/there/t1');
    const inside = page.getByRole('list', { name: 'What is in the tub' });
    expect(
      within(inside)
        .getAllByRole('listitem')
        .map((li) => li.textContent),
    ).toEqual(['Beetroot8 g', 'Chalk4.9 g']);
    expect(page.words()).toContain('mixed through, baked');
    await typeInto(page, 'Name of the tub', 'For cores');
    expect((await post.next()).body).toEqual({ id: 't1', name: 'For cores', keptIn: '' });
    await page.user.click(page.getByRole('button', { name: 'Throw all of it away' }));
    expect((await post.next()).path).toBe('/api/tubs/t1/emptied');
  });

  test('what is had is typed in: a sheet weighs what its size says', async () => {
    const page = there();
    await page.user.click(page.getByRole('button', { name: 'I have this …' }));
    await page.user.type(page.getByRole('combobox', { name: 'What it is made of' }), 'chalk{Enter}');
    await page.findByLabelText('What kind of thing it is');
    await page.user.selectOptions(page.getByLabelText('What kind of thing it is'), 'a sheet');
    await typeInto(page, 'How wide it is', '100 mm');
    await typeInto(page, 'How long it is', '150 mm');
    // 100 × 150 × 1.5 mm at 1.9 g/cm³
    expect((page.getByLabelText('What it weighs') as HTMLInputElement).value).toBe('42.8 g');
    await typeInto(page, 'Where it lies', 'between glass');
    await page.user.click(page.getByRole('button', { name: 'It lies there' }));
    const { path, body } = await post.next();
    expect(path).toMatch(/^\/api\/made\/.*\/noted$/);
    expect(body.thing).toMatchObject({
      form: 'sheet',
      widthMm: 100,
      lengthMm: 150,
      grams: 42.8,
      keptIn: 'between glass',
    });
    expect(body.of).toEqual(ofClay(clayId('Chalk')));
  });
});

test('what is had weighs what its own line weighs, until it was weighed', async () => {
  const page = there();
  await page.user.keyboard('n');
  await page.user.type(page.getByRole('combobox', { name: 'What it is made of' }), 'aubergine{Enter}');
  await page.user.selectOptions(await page.findByLabelText('What kind of thing it is'), 'a sheet');
  await typeInto(page, 'How wide it is', '100 mm');
  await typeInto(page, 'How long it is', '150 mm');
  const weight = (): string => (page.getByLabelText('What it weighs') as HTMLInputElement).value;
  // 100 × 150 × 1.5 mm at 1.95 g/cm³
  expect(weight()).toBe('43.9 g');
  await typeInto(page, 'What it weighs', '40 g');
  await typeInto(page, 'How wide it is', '110 mm');
  expect(weight()).toBe('40 g');
});

describe('in words and figures', () => {
  const sizes = { widthMm: 16, lengthMm: 82, mm: 2, count: 14 };
  test.each([
    ['lump', 'a ball of 2 mm'],
    ['sheet', '16 × 82 mm, 2.00 mm thick'],
    ['plug', '16 mm across, 82 mm high'],
    ['fan', '16 × 2 mm, 82 mm high'],
    ['cane', '16 mm across, 82 mm long'],
    ['slices', '14 of 2.00 mm, 16 mm across'],
  ] as const)('a %s is %s', (form, words) => {
    const said = sizeWords({ form, ...sizes }, 'metric');
    expect(said).toBe(words);
    expect(said).not.toMatch(NOTHING_SHOWN);
  });

  test('what is drawn is never larger than its room, and large things are not smaller than small ones', () => {
    const mm = fc.double({ min: 0.5, max: 2000, noNaN: true });
    fc.assert(
      fc.property(mm, mm, mm, (a, b, height) => {
        const [small, large] = [Math.min(a, b), Math.max(a, b)];
        const drawn = (widthMm: number) => drawnAs({ form: 'sheet', widthMm, lengthMm: height, mm: 1, count: 1 });
        expect(drawn(large).width).toBeGreaterThanOrEqual(drawn(small).width);
        expect(drawn(large).width).toBeLessThanOrEqual(190);
      }),
    );
  });

  test('slices say what they cover, nothing else does', () => {
    // 14 faces of 201 mm²: 2815 mm²; the root of it by 1.1 π is 28.5 mm, less 2 mm
    expect(coverWords({ ...sizes, form: 'slices' }, 'metric')).toBe(
      'Side by side they fill 53.1 × 53.1 mm; or they cover a core of 26.5 mm to a bead of 30.5 mm, a tenth for the ' +
        'overlap.',
    );
    expect(coverWords({ ...sizes, form: 'cane' }, 'metric')).toBeNull();
    expect(coverWords({ ...sizes, count: 1, mm: 20, form: 'slices' }, 'imperial')).not.toMatch(/core/);
  });

  test('rows hold each thing once', () => {
    const all = [thing(), CANE, thing({ id: 'p', form: 'fan' })];
    const shown = rowsOf(all).flatMap((row) => row.things.map((t) => t.id));
    expect([...shown].sort()).toEqual(all.map((t) => t.id).sort());
  });

  test('places are all that came in, but for crumbs', () => {
    const sum = placesOf(BALANCE).reduce((all, p) => all + p.grams, 0);
    expect(sum).toBeCloseTo(cameIn(BALANCE), 6);
    expect(placesOf({ ...BALANCE, lost: 0.01 }).map((p) => p.name)).not.toContain('gone without a word');
  });

  test('each way that clay goes has words of its own', () => {
    const kinds = ['fromTub', 'fromMade', 'noted', 'found', 'made', 'toTub', 'pieces', 'thrown', 'lost'] as const;
    const words = kinds.map((kind) => flowWords({ kind, grams: 4, name: null }, 'metric'));
    expect(new Set(words).size).toBe(kinds.length);
    expect(flowWords({ kind: 'toTub', grams: 4.25, name: 'Dark scrap' }, 'metric')).toBe('4.3 g to the tub Dark scrap');
  });

  test('a lump is a ball of its weight, a cane a cylinder', () => {
    const have: Have = { form: 'cane', name: 'x', grams: 10, widthMm: 16, lengthMm: 110, mm: 1, keptIn: '', count: 12 };
    expect(gramsOfSize(have, 1.9)).toBeCloseTo((Math.PI * 64 * 110 * 1.9) / 1000, 9);
    expect(gramsOfSize({ ...have, form: 'lump' }, 1.9)).toBeNull();
    const ball = haveThing({ ...have, form: 'lump' }, 1.9);
    expect((Math.PI / 6) * ball.mm ** 3 * 1.9).toBeCloseTo(10_000, 6);
    expect([ball.widthMm, ball.lengthMm]).toEqual([ball.mm, ball.mm]);
    // what is counted weighs so many times as much
    expect(gramsOfSize({ ...have, form: 'threads' }, 1.9)).toBeCloseTo((12 * Math.PI * 64 * 110 * 1.9) / 1000, 9);
    expect(gramsOfSize({ ...have, form: 'cores' }, 1.9)).toBeCloseTo((12 * (Math.PI / 6) * 4096 * 1.9) / 1000, 9);
    expect(haveThing({ ...have, form: 'cores' }, 1.9)).toMatchObject({ count: 12, widthMm: 16, lengthMm: 16, mm: 16 });
    expect(haveThing({ ...have, form: 'baked' }, 1.9)).toMatchObject({ count: 12, lengthMm: 110, mm: 1 });
    expect(slicesIn(CANE, 0)).toBe(0);
    expect(awayDto(CANE, 'fits')).toMatchObject({ version: 3, to: 'tub', tubId: null });
    expect(awayDto(CANE, 'thrown')).toMatchObject({ to: 'thrown' });
  });
});

test('things are found by their name, what they are of and where they are kept, all words of it', () => {
  const all = [thing(), CANE, thing({ id: 's', name: 'Soot, 4', ofName: 'Soot', keptIn: 'tin on the sill' })];
  expect(thingsFound(all, 'green').map((t) => t.id)).toEqual(['l1', 'c1']);
  expect(thingsFound(all, ' beet  cane').map((t) => t.id)).toEqual(['c1']);
  expect(thingsFound(all, 'sill soot').map((t) => t.id)).toEqual(['s']);
  expect(thingsFound(all, 'nothing such')).toEqual([]);
  expect(thingsFound(all, '')).toEqual(all);
});

test('of very many only the newest are drawn, until all are asked for', async () => {
  const things = Array.from({ length: 60 }, (_, i) => thing({ id: `l${i}`, name: `Chalk ${i}` }));
  const stock = { things, tubs: [], balance: {} };
  const page = shownAt('/shelf/there', '/shelf/there/:thingId?', <There />, [[['/api/stock'], stock]]);
  expect(page.getAllByRole('button', { name: /^Chalk \d+/ })).toHaveLength(24);
  await page.user.type(page.getByRole('textbox', { name: 'Find among what lies there' }), 'chalk 5');
  // 5, 50 to 59, and 15 to 45
  expect(page.getAllByRole('button', { name: /^Chalk \d+/ })).toHaveLength(15);
  await page.user.clear(page.getByRole('textbox', { name: 'Find among what lies there' }));
  await page.user.click(page.getByRole('button', { name: 'and 36 more' }));
  expect(page.getAllByRole('button', { name: /^Chalk \d+/ })).toHaveLength(60);
});
