/** @jest-environment ./web/test/page.mjs */
import { cutterOfSize } from '#core/cutter';
import { within } from '@testing-library/react';
import { ofClay } from '#core/material';
import type { ArchiveAnswer, BatchAnswer, DoneDto } from '#contract';
import type { DiaryAnswer } from '#contract/diary';
import Copies from '../src/stations/copies/Copies.js';
import { DoneForm } from '../src/stations/bench/DoneForm.js';
import { Entry } from '../src/stations/diary/Entry.js';
import { today } from '../src/state/today.js';
import { SHELF, clayId } from './kitchen.js';
import { post } from './letters.js';
import { NOTHING_SHOWN, nameless, shown, typeInto, type Shown } from './screen.js';

const NOTHING: DiaryAnswer = {
  ...{ id: 'e1', version: 5, madeOn: '2026-11-02', title: 'Pea-pod ornaments', note: 'five peas', batchId: null },
  ...{
    pieces: [],
    mixes: [],
    blends: [],
    canes: [],
    patterns: [],
    pictures: [],
    bakes: [],
    sheets: [],
    flows: [],
    conditioned: [],
    clays: [],
  },
  findings: [],
} as unknown as DiaryAnswer;
const FULL = {
  ...NOTHING,
  batchId: 'b1',
  pieces: [
    {
      id: 'p1',
      broken: null,
      name: 'Pod half',
      count: 4,
      cutter: { shape: 'rectangle', width: 14, height: 60 },
      piece: null,
    },
    { id: 'p2', broken: 1, name: 'Pea', count: 12, cutter: cutterOfSize(9, null), piece: null },
  ],
  mixes: [
    { revisionId: 'r1', mixId: 'm1', name: 'Pea pod', number: 2, notation: '3 Pea + 1 Leek', hex: '8FAE4A', grams: 40 },
  ],
  blends: [{ blendId: 'f1', name: 'Straw fade', number: 1, passes: 13, hexes: ['F0CB55', 'E29A2E'] }],
  canes: [
    {
      ...{ caneId: 'c1', name: 'Carrot slice', number: 1, diameterMm: 15, lengthMm: 110, lostMm: 14 },
      ...{ slices: 1, pictureId: 'p1' },
    },
  ],
  sheets: [
    {
      ...{ sheetId: 's1', name: 'Pea pod, 4', form: 'sheet', widthMm: 96, lengthMm: 170, mm: 1.52 },
      ...{ rolledAt: '4 of Bench roller', hexes: ['8FAE4A'] },
    },
    {
      ...{
        sheetId: 's2',
        name: 'Straw fade',
        form: 'plug',
        widthMm: 26,
        lengthMm: 30,
        mm: 26,
        rolledAt: '',
        hexes: [],
      },
    },
  ],
  flows: [
    { kind: 'toTub', grams: 4.2, name: 'Dark scrap' },
    { kind: 'pieces', grams: 30, name: null },
    { kind: 'lost', grams: 0.01, name: null },
  ],
  conditioned: [{ clayId: 'x', name: 'Beetroot', passes: 22, school: 'thin slices', roomC: 19 }],
  clays: [
    { clayId: clayId('Pea'), name: 'Pea', hex: '93B84C', grams: 30 },
    { clayId: clayId('Leek'), name: 'Leek', hex: '4F7F45', grams: 10 },
  ],
} as unknown as DiaryAnswer;

describe('an entry of the diary', () => {
  test('says what was made, of what, and leads to each of them', () => {
    const page = shown(<Entry entry={FULL} />);
    const words = page.words();
    expect(words).toContain('4 Pod half (14 × 60 mm), 12 Pea (9 mm round)');
    expect(words).toContain('revision 2 · 40 g');
    expect(words).toContain('15 mm across, 110 mm long; its ends took 14 mm · 1 slice');
    expect(words).toContain('96 × 170 mm, 1.52 mm thick, at 4 of Bench roller · in the sheet book');
    expect(words).toContain('wound up to a plug');
    expect(words).toContain('folded without a crack after 22 passes (thin slices), in a room of 19 °C.');
    const links = page.getAllByRole('link').map((a) => a.getAttribute('href'));
    expect(links).toEqual([
      '/batches/b1',
      '/diary/e1/again',
      '/diary/e1/card',
      '/mixes/m1',
      '/diary?near=8FAE4A',
      '/blends/f1',
      '/canes/c1',
      '/sheets/book/s1',
      '/sheets/book/s2',
    ]);
    expect(words).not.toMatch(NOTHING_SHOWN);
    expect(nameless(page)).toEqual([]);
  });

  test('in the other system its measures are that system’s', () => {
    const words = shown(<Entry entry={FULL} />, 'imperial').words();
    expect(words).not.toMatch(/\d mm|\d g\b|°C/);
    expect(words).toContain('66 °F');
  });

  test('one with nothing in it shows no empty lists', () => {
    const words = shown(<Entry entry={NOTHING} />).words();
    for (const heading of ['Made from', 'Clay used', 'the plan']) expect(words).not.toContain(heading);
  });

  test('the note is kept when it is left, and only where it changed', async () => {
    const page = shown(<Entry entry={FULL} />);
    await page.user.click(page.getByLabelText('Note'));
    await page.user.tab();
    expect(post.letters).toEqual([]);
    await page.user.type(page.getByLabelText('Note'), ' look better');
    await page.user.tab();
    expect(await post.next()).toMatchObject({
      ...{ method: 'PUT', path: '/api/diary/e1', body: { id: 'e1', note: 'five peas look better' } },
    });
  });
});

describe('the end of a bench card', () => {
  const batch = {
    pieces: [],
    assemblies: [],
    ...{ id: 'b1', version: 3 },
    plan: {
      steps: [],
      findings: [],
      ready: [{ of: { kind: 'made', id: 'old' }, name: 'Old chalk', grams: 9.04, there: 12, short: 0 }],
      left: [
        {
          why: 'cut',
          parts: [
            { of: ofClay(clayId('Chalk')), grams: 6 },
            { of: ofClay(clayId('Aubergine')), grams: 3 },
          ],
        },
        { why: 'mixed', parts: [{ of: ofClay(clayId('Chalk')), grams: 2 }] },
      ],
      materials: {
        old: { name: 'Old chalk', hex: 'F1EEE4', newer: null },
        [clayId('Chalk')]: { name: 'Chalk', hex: 'F1EEE4', newer: null },
        [clayId('Aubergine')]: { name: 'Aubergine', hex: '3B2548', newer: null },
      },
      clays: [
        { clayId: clayId('Chalk'), grams: 12.04 },
        { clayId: clayId('Chalk'), grams: 8.03 },
        { clayId: clayId('Aubergine'), grams: 22 },
      ],
    },
  } as unknown as BatchAnswer;

  interface Ending extends Shown {
    readonly done: string[];
    readonly back: () => number;
  }
  function ending(): Ending {
    const done: string[] = [];
    let back = 0;
    const page = shown(
      <DoneForm took={{}} batch={batch} onBack={() => (back += 1)} onDone={(id) => done.push(id)} />,
      'metric',
      [
        [['/api/shelf'], SHELF],
        [['/api/stock'], { things: [], tubs: [{ id: 't1', name: 'Dark scrap', grams: 20 }], balance: {} }],
      ],
    );
    return { ...page, done, back: () => back };
  }

  test('each clay once, to a tenth of a gram; what was really used is said', async () => {
    post.answer(({ entryId }) => ({ entryId }));
    const page = ending();
    expect(within(page.getByRole('list', { name: 'Clay used' })).getAllByRole('listitem')).toHaveLength(2);
    expect((page.getByLabelText('Chalk used') as HTMLInputElement).value).toBe('20.1 g');
    expect(page.words()).toContain('only 15 g on the shelf');
    await typeInto(page, 'Aubergine used', '14 g');
    await typeInto(page, 'Old chalk taken', '8 g');
    await typeInto(page, 'Chalk and Aubergine, between the cuts, left over', '6 g');
    const goes = (name: string): HTMLElement => page.getByLabelText(`Where ${name} goes`);
    await page.user.selectOptions(goes('Chalk and Aubergine, between the cuts'), 'to Dark scrap');
    await page.user.selectOptions(goes('Chalk, mixed too much'), 'kept as a lump');
    expect(within(goes('Chalk and Aubergine, between the cuts')).queryByText('kept as a lump')).toBeNull();
    expect(page.words()).not.toContain('only');
    await page.user.type(page.getByLabelText('Note for the diary'), 'soft edges');
    await typeInto(page, 'Made on', '2024-11-20');
    await page.user.click(page.getByRole('button', { name: /^Nearly/ }));
    await page.user.click(page.getByRole('button', { name: 'Done, write it down' }));
    const { method, path, body } = await post.next();
    const { entryId, ...said } = body as unknown as DoneDto;
    expect([method, path]).toEqual(['POST', '/api/batches/b1/done']);
    expect(said).toEqual({
      madeOn: '2024-11-20',
      note: 'soft edges',
      outcome: 'nearly',
      pictures: [],
      findings: [],
      times: [],
      used: [
        { clayId: clayId('Chalk'), grams: 20.1 },
        { clayId: clayId('Aubergine'), grams: 14 },
      ],
      taken: [{ of: { kind: 'made', id: 'old' }, grams: 8 }],
      // two thirds of what was weighed are chalk, as planned
      left: [
        {
          ...{ to: 'tub', tubId: 't1' },
          parts: [
            { of: ofClay(clayId('Chalk')), grams: 4 },
            { of: ofClay(clayId('Aubergine')), grams: 2 },
          ],
        },
        // less went in than was planned, 42.1 of 51.1 g: so less is left
        { parts: [{ of: ofClay(clayId('Chalk')), grams: 1.6 }], to: 'lump' },
      ],
    });
    expect(page.done).toEqual([entryId]);
  });

  test('was made today unless one says otherwise', async () => {
    const page = ending();
    await page.user.click(page.getByRole('button', { name: 'Done, write it down' }));
    expect((await post.next()).body.madeOn).toBe(today());
    await page.user.click(page.getByRole('button', { name: 'One back' }));
    expect(page.back()).toBe(1);
  });

  test('a clay that is not there is refused at its field, all else below the note', async () => {
    post.refuse('Not so much.', [{ field: 'used.1.grams', sentence: 'There are only 15 g of Aubergine.' }]);
    const page = ending();
    await page.user.click(page.getByRole('button', { name: 'Done, write it down' }));
    expect(await page.findByText('There are only 15 g of Aubergine.')).toBeTruthy();
    expect(page.getByLabelText('Aubergine used').getAttribute('aria-invalid')).toBe('true');
    expect(page.queryByText('Not so much.')).toBeNull();
    expect(page.done).toEqual([]);
    post.refuse('It is done already.');
    await page.user.click(page.getByRole('button', { name: 'Done, write it down' }));
    expect(await page.findByText('It is done already.')).toBeTruthy();
  });
});

describe('copies of the data', () => {
  const archive: ArchiveAnswer = {
    version: '0.2.0',
    ...{ file: '/data/sledge.db', folder: 'copies', notices: [] },
    rule: { folder: '/data/copies', chosen: false, last: null, failed: null },
    copies: [
      { name: 'before the market', bytes: 2_400_000, at: '2026-11-20T10:00:00Z', dated: false, ruled: false },
      { name: '2026-11-21 start', bytes: 812, at: '2026-11-21T10:00:00Z', dated: true, ruled: false },
    ],
  };
  const holds = { clays: 14, mixes: 1, batches: 6, entries: 1200, lastEntry: '2026-11-20' };
  const copies = (own = archive): Shown => shown(<Copies />, 'metric', [[['/api/archive'], own]]);

  test('the daily ones say when the last whole one was made, and why one could not be kept', () => {
    const last = { name: 'x', at: '2026-11-21T10:00:00Z', holds };
    const rule = { folder: '/disk/copies', chosen: true, last, failed: { at: last.at, why: 'The disk is full.' } };
    const page = copies({ ...archive, rule });
    const region = page.getByRole('region', { name: 'Kept by rule' });
    expect(region.textContent).toMatch(/The last one that is whole: .*2026.*with 14 clays, 1 mix/);
    expect(region.textContent).toContain('The disk is full.');
    expect(page.getByLabelText('Folder of the daily copies')).toHaveProperty('value', '/disk/copies');
    expect(page.getByRole('button', { name: 'with the other copies again' })).toBeTruthy();
  });

  test('stand in a list with their size, each to be saved elsewhere', () => {
    const page = copies();
    const rows = page.getAllByRole('listitem').map((row) => row.textContent ?? '');
    expect(rows[0]).toContain('2.4 MB');
    expect(rows[1]).toContain('1 kB');
    expect(page.getByRole('link', { name: 'Save before the market elsewhere' }).getAttribute('href')).toBe(
      '/api/archive/copies/before%20the%20market',
    );
    expect(nameless(page)).toEqual([]);
    page.unmount();
    expect(copies({ ...archive, copies: [] }).words()).toContain('None yet.');
  });

  test('one is kept under a name, and said to be whole', async () => {
    post.answer(({ name }) => ({ name, bytes: 1, holds }));
    const page = copies();
    await page.user.keyboard('k');
    await page.user.keyboard('midwinter{Enter}');
    expect(await post.next()).toMatchObject({
      method: 'POST',
      path: '/api/archive/copies',
      body: { name: 'midwinter' },
    });
    await page.findByText('midwinter');
    expect(page.words()).toContain(
      'whole and checked: 14 clays, 1 mix, 6 batches, 1,200 diary entries, the last one of ',
    );
  });

  test('what is in one is said before it is taken up; it can be left', async () => {
    post.answer(({ name }) => ({ name, bytes: 1, holds }));
    const page = copies();
    await page.user.click(page.getByRole('button', { name: 'Take up before the market' }));
    expect(await page.findByText('Take up “before the market”?')).toBeTruthy();
    expect(page.words()).toContain('In it: 14 clays');
    await page.user.click(page.getByRole('button', { name: 'Leave it' }));
    expect(page.queryByText('Take up “before the market”?')).toBeNull();
    expect(post.letters.map((l) => l.path)).toEqual(['/api/archive/look']);
  });

  test('one that is broken is refused with its sentence, and nothing is asked', async () => {
    post.refuse('This copy is not whole.');
    const page = copies();
    await page.user.click(page.getByRole('button', { name: 'Take up before the market' }));
    expect(await page.findByText('This copy is not whole.')).toBeTruthy();
    expect(page.queryByRole('button', { name: 'Take it up' })).toBeNull();
  });

  test('one is thrown away by its name', async () => {
    const page = copies();
    await page.user.click(page.getByRole('button', { name: 'Throw 2026-11-21 start away' }));
    expect(await post.next()).toMatchObject({ method: 'DELETE', path: '/api/archive/copies/2026-11-21%20start' });
  });

  test('a file from somewhere else is asked about too', async () => {
    const page = copies();
    await page.user.upload(page.getByLabelText('Copy to take up'), new File(['x'], 'old.db'));
    expect(page.words()).toContain('Take up “old.db”?');
    expect(page.words()).toContain('what is no whole copy of Sledge is refused');
    expect(post.letters).toEqual([]);
  });
});
