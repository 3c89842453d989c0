/** @jest-environment ./web/test/page.mjs */
import { keyOf, ofClay, ofMix } from '#core/material';
import { clays, machines, setup } from '#demo';
import type { BatchAnswer, BatchCard, MachinesAnswer, PieceDto, PlanAnswer } from '#contract';
import Batches from '../src/stations/batches/Batches.js';
import { ClayNeeded } from '../src/stations/batches/ClayNeeded.js';
import { Layers } from '../src/stations/batches/Layers.js';
import { dtoOf, newPiece, settingsOf } from '../src/stations/batches/batchMoves.js';
import { clayId, pickable } from './kitchen.js';
import { post } from './letters.js';
import {
  NOTHING_SHOWN,
  nameless,
  shown,
  shownAt,
  typeInto,
  type Read,
  type Shown,
  type ShownStation,
} from './screen.js';

const MACHINES = { machines, setup } as unknown as MachinesAnswer;
const [CHALK, SOOT] = [clayId('Chalk'), clayId('Soot')];
type Need = PlanAnswer['clays'][number];
const need = (name: string, grams: number, left: number, more: Partial<Need> = {}): Need => {
  const clay = clays.find((c) => c.name === name)!;
  const short = Math.max(0, grams - left);
  return {
    ...{ clayId: clay.id, name, lineName: 'Hearth Firm', kind: clay.kind, hex: clay.bakedHex, discs: null },
    ...{ grams, left, short, blockGrams: 57, blockAssumed: false, blocksToBuy: Math.ceil(short / 57) },
    ...more,
  } as Need;
};

const PLAIN = { lies: null, pattern: null, cane: null, density: 1.9 };
const planned = (over: Partial<PlanAnswer> = {}): PlanAnswer => ({
  ...{ pieces: [], mixes: [], clays: [need('Chalk', 40, 158)], loads: [], totalGrams: 40, scrapGrams: 12 },
  ...{ usedCost: 1.7, buyCost: null, steps: [], ready: [], left: [] },
  ...{ lumps: [], assemblies: [], findings: [], costs: [], breakage: null },
  materials: {
    [CHALK]: { name: 'Chalk', hex: 'F1EEE4', hexes: [], newer: null, ...PLAIN },
    [SOOT]: { name: 'Soot', hex: '26242A', hexes: [], newer: null, ...PLAIN },
    ring: { name: 'Beet ring', hex: '7B1E4B', hexes: [], newer: 'ring 2', ...PLAIN },
  },
  ...over,
});

const batch = (over: Partial<BatchAnswer> = {}): BatchAnswer => ({
  ...{ id: 'b1', version: 3, name: 'Drop earrings', note: '', dueOn: null, pieces: [], doneEntryId: null },
  ...{ assemblies: [], parts: [], plan: planned() },
  ...over,
});
const drop: PieceDto = { ...newPiece(batch(), MACHINES, ofClay(CHALK))!, name: 'Drop' };
const cardOf = (own: BatchAnswer, more: Partial<BatchCard> = {}): BatchCard => ({
  ...{ id: own.id, name: own.name, dueOn: own.dueOn, done: own.doneEntryId !== null },
  ...{ kinds: own.pieces.length, pieces: 10, ...more },
});

function batchesAt(address: string, batches: readonly BatchAnswer[], machine = MACHINES): ShownStation {
  const read: Read = [
    ...pickable('soot'),
    [['/api/machines'], machine],
    [['/api/batches'], batches.map((b) => cardOf(b))],
    ...batches.map((b) => [[`/api/batches/${b.id}`], b] as const),
  ];
  return shownAt(address, '/batches/:batchId?', <Batches />, read);
}

describe('the batches', () => {
  const early = batch({ id: 'early', name: 'Hoops', dueOn: '2031-03-01', pieces: [drop] });
  const late = batch({ id: 'late', name: 'Baubles', dueOn: '2031-12-01', pieces: [drop] });
  const anyDay = batch({ id: 'any', name: 'Studs', pieces: [drop] });
  const done = batch({ id: 'done', name: 'Trial', doneEntryId: 'entry' });

  test('stand in the order of their days, those without a day last, those that are done out of the way', async () => {
    const page = batchesAt('/batches', [anyDay, late, done, early]);
    const names = (): (string | null)[] =>
      page.getAllByRole('link').flatMap((a) => (a.textContent?.match(/piece/) ? [a.textContent] : []));
    expect(names().map((text) => text?.match(/^[A-Z][a-z]+/)?.[0])).toEqual(['Hoops', 'Baubles', 'Studs']);
    await page.user.click(page.getByRole('button', { name: '1 done' }));
    expect(names().at(-1)).toMatch(/^Trial.*· done$/);
    await page.user.click(page.getByRole('button', { name: 'Hide the done ones' }));
    expect(names()).toHaveLength(3);
  });

  test('each says what it lacks, or leads to the bench', () => {
    const short = batch({ ...late, plan: planned({ clays: [need('Soot', 200, 42)] }) });
    const page = batchesAt('/batches', [early, short, batch({ id: 'bare', name: 'Bare' })]);
    expect(page.getByRole('link', { name: 'to the bench' }).getAttribute('href')).toBe('/bench/early');
    expect(page.words()).toContain('Soot: 158 g short, 3 blocks to buy');
    expect(page.words()).toContain('no piece is planned yet');
    expect(page.words()).not.toMatch(NOTHING_SHOWN);
  });

  test('a new one gets a name that is free', async () => {
    const page = batchesAt('/batches', [batch({ name: 'New batch' })]);
    await page.user.keyboard('n');
    const { method, path, body } = await post.next();
    expect([method, path]).toEqual(['PUT', `/api/batches/${String(body.id)}`]);
    expect(body).toEqual({ id: body.id, name: 'New batch 2', note: '', dueOn: null, pieces: [] });
    await page.findAllByRole('link');
    expect(page.address()).toBe(`/batches/${String(body.id)}`);
  });

  test('where there is none it says what a batch is for', async () => {
    const page = batchesAt('/batches', []);
    expect(page.words()).toContain('No batch planned');
    await page.user.click(page.getByRole('button', { name: 'Plan a batch' }));
    expect((await post.next()).body.name).toBe('New batch');
  });
});

describe('one batch', () => {
  const own = batch({ pieces: [drop] });
  const at = (over: Partial<BatchAnswer> = {}, machine = MACHINES): ShownStation =>
    batchesAt('/batches/b1', [{ ...own, ...over }], machine);
  const { version: _, ...kept } = dtoOf(own);

  test.each<[string, string, object]>([
    ['Name of the batch', 'Studs', { name: 'Studs' }],
    ['Note on the batch', 'for the market', { note: 'for the market' }],
    ['Due on', '2031-03-14', { dueOn: '2031-03-14' }],
    ['Number of pieces', '40', { pieces: [{ ...drop, count: 40 }] }],
  ])('%s', async (label, text, wanted) => {
    await typeInto(at(), label, text);
    expect(await post.next()).toMatchObject({ method: 'PUT', path: '/api/batches/b1', body: { ...kept, ...wanted } });
  });

  test('a kind of piece more is cut from what is picked', async () => {
    const page = at();
    await page.user.keyboard('a');
    await page.user.type(page.getByRole('combobox', { name: 'What the new piece is cut from' }), 'soot{Enter}');
    const pieces = (await post.next()).body.pieces as PieceDto[];
    expect(pieces).toHaveLength(2);
    expect(pieces[1]).toMatchObject({ name: 'Piece 2', layers: [{ of: ofClay(SOOT) }] });
  });

  test('without a machine it says what comes first', async () => {
    const page = at({}, { ...MACHINES, machines: [] });
    expect(page.words()).toContain('A machine comes first');
    await page.user.click(page.getByRole('button', { name: 'Describe it' }));
    expect(page.address()).toBe('/sheets');
  });

  test('goes to the bench only where something can be cut', async () => {
    const page = at({ plan: planned({ pieces: [{ wrong: 'It does not fit.' } as never] }) });
    expect((page.getByRole('button', { name: 'To the bench' }) as HTMLButtonElement).disabled).toBe(true);
    page.unmount();
    const cuttable = at({ plan: planned({ pieces: [{ wrong: null, name: 'Drop' } as never] }), pieces: [] });
    await cuttable.user.click(cuttable.getByRole('button', { name: 'To the bench' }));
    expect(cuttable.address()).toBe('/bench/b1');
  });

  test('is copied with ids of its own, without its day', async () => {
    const page = at({ dueOn: '2031-03-01' });
    await page.user.click(page.getByRole('button', { name: 'Copy' }));
    const { body } = await post.next();
    expect(body).toMatchObject({ name: 'Drop earrings, again', dueOn: null });
    expect(body.id).not.toBe('b1');
    const [copy] = body.pieces as PieceDto[];
    expect(copy).toEqual({ ...drop, id: copy?.id, layers: [{ ...drop.layers[0], id: copy?.layers[0]?.id }] });
    expect(copy?.id).not.toBe(drop.id);
  });

  test('is taken away, and the list is shown', async () => {
    const page = at();
    await page.user.click(page.getByRole('button', { name: 'Take this batch away' }));
    expect(await post.next()).toMatchObject({ method: 'DELETE', path: '/api/batches/b1', query: 'version=3' });
    await page.findByText('What is to be made');
    expect(page.address()).toBe('/batches');
  });

  test('that its day has passed is said', () => {
    const page = at({ dueOn: '2020-01-01' });
    expect(page.words()).toContain('The day it was for has passed.');
    page.unmount();
    expect(at({ dueOn: '2099-01-01' }).words()).not.toContain('has passed');
  });

  test('that was made is not changed any more, but made again', async () => {
    const page = at({ doneEntryId: 'entry' });
    expect((page.getByLabelText('Name of the batch') as HTMLInputElement).disabled).toBe(true);
    expect(page.queryByRole('button', { name: 'Add a kind of piece' })).toBeNull();
    expect(page.getByRole('button', { name: 'Make it again' })).toBeTruthy();
    await page.user.click(page.getByRole('button', { name: 'In the diary' }));
    expect(page.address()).toBe('/diary/entry');
  });

  test('a refusal of its name stands at its name, one of the whole above the pieces', async () => {
    post.refuse('A name has at most 80 characters.', [
      { field: 'name', sentence: 'A name has at most 80 characters.' },
    ]);
    const page = at();
    await typeInto(page, 'Name of the batch', 'x');
    await page.findByText('A name has at most 80 characters.');
    expect(page.getAllByText('A name has at most 80 characters.')).toHaveLength(1);
    post.refuse('It was made meanwhile.');
    await typeInto(page, 'Note on the batch', 'y');
    expect(await page.findByText('It was made meanwhile.')).toBeTruthy();
  });
});

describe('clay needed', () => {
  const needed = (plan: PlanAnswer, units: 'metric' | 'imperial' = 'metric', onCurrency = (_: string) => {}): Shown =>
    shown(
      <ClayNeeded names={new Map()} plan={plan} currency="shells" onCurrency={onCurrency}>
        to the bench
      </ClayNeeded>,
      units,
    );

  test('of what lies there it says whether there is enough', () => {
    const scrap = {
      of: { kind: 'scrap', id: 't' } as const,
      name: 'Dark scrap',
      grams: 29.7,
      there: 12.9,
      short: 16.8,
    };
    const lump = { of: { kind: 'made', id: 'l' } as const, name: 'Old chalk', grams: 9, there: 12, short: 0 };
    const page = needed(planned({ clays: [], ready: [scrap, lump], totalGrams: 38.7 }));
    expect(page.words()).toContain('12.9 g in its tub, 16.8 g short');
    expect(page.words()).toContain('enough: 12 g of it there');
    expect(page.words()).toContain('Too little lies there: Dark scrap');
    page.unmount();
    const enough = needed(planned({ clays: [], ready: [lump] }));
    expect(enough.words()).toContain('All of it is there.');
  });

  test.each(['metric', 'imperial'] as const)('says grams, scrap, cost and what is to be bought, %s', (units) => {
    const plan = planned({
      clays: [need('Chalk', 40, 158), need('Soot', 200, 42, { blockAssumed: true }), need('Pea', 60, 54)],
      usedCost: 12.5,
      buyCost: 9.3,
      totalGrams: 300,
    });
    const words = needed(plan, units).words();
    expect(words).toContain(units === 'metric' ? '300 g in all, 12 g of it' : '10.58 oz in all, 0.42 oz of it');
    expect(words).toContain(units === 'metric' ? 'enough: 158 g on the shelf' : 'enough: 5.57 oz on the shelf');
    expect(words).toContain(
      units === 'metric' ? '158 g short: 3 blocks of ~57 g' : '5.57 oz short: 3 blocks of ~2.01 oz',
    );
    expect(words).toMatch(/short: 1 block of (57 g|2\.01 oz)/);
    expect(words).toContain('The clay costs 12.50  shells ');
    expect(words).toContain('To buy: 3 Soot, 1 Pea, 9.30 shells');
    expect(words).not.toMatch(NOTHING_SHOWN);
  });

  test('all of it there, at a cost that is not known', () => {
    const words = needed(planned({ usedCost: null })).words();
    expect(words).toContain('Cost not known: a block without a price is used.');
    expect(words).toContain('All of it is on the shelf.');
    expect(words).not.toContain('To buy');
  });

  test('nothing needed says nothing of cost', () => {
    expect(
      needed(planned({ clays: [] }))
        .words()
        .trim(),
    ).toBe('to the bench');
  });

  test('mixes stand in their order, with their discs', () => {
    const portion = (discs: string | null) => ({ of: ofClay(CHALK), grams: 10, discs });
    const mix = (name: string, discs: string | null) => ({
      ...{ name, of: ofMix(name), made: 12, baked: { hex: '7B1E4B' }, portions: [portion(discs), portion('1/2')] },
    });
    const plain = { ...mix('Chalk', '1'), of: ofClay(CHALK) };
    const page = needed(planned({ mixes: [mix('Beet ring', '2'), plain, mix('Swede', null)] as never }));
    const lines = [...page.getByRole('list', { name: 'Mixes to make' }).children].map((li) => li.textContent);
    expect(lines).toEqual(['Beet ring12 g, 2½ discs', 'Swede12 g']);
  });

  test('money has the name that one gives it', async () => {
    const said: string[] = [];
    const page = needed(planned(), 'metric', (text) => said.push(text));
    await typeInto(page, 'Currency', 'coins');
    expect(said).toEqual(['coins']);
  });
});

describe('the layers of a piece', () => {
  const two: PieceDto = {
    ...drop,
    layers: [
      { ...drop.layers[0]!, id: 'low' },
      { ...drop.layers[0]!, id: 'top', of: ofClay(SOOT) },
    ],
  };
  function layersOf(piece: PieceDto, disabled = false): Shown & { readonly changes: PieceDto['layers'][] } {
    const changes: PieceDto['layers'][] = [];
    const page = shown(
      <Layers
        piece={piece}
        materials={planned().materials}
        settings={settingsOf(MACHINES)}
        disabled={disabled}
        onLayers={(layers) => changes.push(layers)}
      />,
      'metric',
      pickable('leek', 'pea'),
    );
    return { ...page, changes };
  }
  const rows = (page: Shown): string[] => page.getAllByRole('listitem').map((li) => li.textContent ?? '');

  test('the top one stands above, with its setting and thickness', () => {
    const page = layersOf(two);
    expect(rows(page)[0]).toMatch(/^Soot at your/);
    expect(rows(page)[1]).toMatch(/^Chalk at your/);
    expect(page.words()).toMatch(/~?1\.\d+ mm/);
    expect(nameless(page)).toEqual([]);
  });

  test('one is taken out, the last one never', async () => {
    const page = layersOf(two);
    await page.user.click(page.getByRole('button', { name: 'Take the layer Soot out' }));
    expect(page.changes).toEqual([[two.layers[0]]]);
    page.unmount();
    expect(layersOf(drop).queryByRole('button', { name: /^Take the layer/ })).toBeNull();
  });

  test('a layer is made of something else, or another one lies underneath', async () => {
    const page = layersOf(two);
    await page.user.click(page.getByRole('button', { name: 'Soot' }));
    await page.user.type(page.getByRole('combobox', { name: 'What the layer is made of' }), 'leek{Enter}');
    expect(page.changes[0]?.map((l) => keyOf(l.of))).toEqual([CHALK, clayId('Leek')].map((id) => keyOf(ofClay(id))));
    await page.user.click(page.getByRole('button', { name: 'a layer underneath' }));
    await page.user.type(page.getByRole('combobox', { name: 'What the layer underneath is made of' }), 'pea{Enter}');
    expect(page.changes[1]?.map((l) => keyOf(l.of))).toEqual(
      [clayId('Pea'), CHALK, SOOT].map((id) => keyOf(ofClay(id))),
    );
    expect(page.changes[1]?.[0]?.settingId).toBe(two.layers[1]?.settingId);
  });

  test('a newer recipe is offered, but not for what is made', async () => {
    const ring = { ...drop, layers: [{ ...drop.layers[0]!, of: ofMix('ring') }] };
    const page = layersOf(ring);
    expect(page.words()).toContain('Beet ring has a newer recipe.');
    await page.user.click(page.getByRole('button', { name: 'Use it' }));
    expect(page.changes[0]?.[0]?.of).toEqual(ofMix('ring 2'));
    page.unmount();
    expect(layersOf(ring, true).words()).not.toContain('newer recipe');
  });
});
