import { randomUUID } from 'node:crypto';
import { ofClay } from '#core/material';
import type {
  BalanceAnswer,
  BlockDto,
  DiaryAnswer,
  MixAnswer,
  Problem,
  RescuedAnswer,
  RescuedDto,
  ShelfAnswer,
  StockAnswer,
} from '#contract';
import { Api, block, clay, line, mix } from './api.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

const DAY = '2026-11-20';
const blocks = async (): Promise<readonly BlockDto[]> => (await api.get<ShelfAnswer>('/api/shelf')).body.blocks;
const balance = async (): Promise<BalanceAnswer> => (await api.get<StockAnswer>('/api/stock')).body.balance;
/** What came in is as much as all that is told of. */
const sumOf = (b: BalanceAnswer): number =>
  b.onShelf + b.lyingThere + b.inTubs + b.inPieces + b.thrown + b.lost + b.unsaid - b.bought - b.found;

/** An old block of beetroot, a fresh one, and one of white. */
async function shelf() {
  const own = line('Oldrow Crumble', { firmness: 'crumbly' });
  const soft = line('Brook Soft', { firmness: 'soft' });
  await api.put('lines', own);
  await api.put('lines', soft);
  const [beetroot, chalk] = [clay(own.id, 'Beetroot', '7B1E4B'), clay(soft.id, 'Chalk', 'F7F7F2')];
  await api.put('clays', beetroot);
  await api.put('clays', chalk);
  const old = { ...block(beetroot.id), madeOn: '2021-03-01', price: 3 };
  const white = { ...block(chalk.id, 100), netGrams: 100 };
  await api.put('blocks', old);
  await api.put('blocks', white);
  const stored = await blocks();
  const now = (id: string): BlockDto => stored.find((b) => b.id === id) as BlockDto;
  return { beetroot, chalk, old: now(old.id), white: now(white.id) };
}

const dtoOf = (of: BlockDto, more: Partial<RescuedDto> = {}): RescuedDto => ({
  ...{ entryId: randomUUID(), madeOn: DAY, note: '' },
  ...{ version: of.version, grams: of.leftGrams, from: 'crumbles', lostGrams: 0, lostTo: 'thrown', drops: 4 },
  newId: randomUUID(),
  ...more,
});
const rescue = (of: BlockDto, dto: RescuedDto): ReturnType<typeof api.ask<RescuedAnswer & Problem>> =>
  api.ask('POST', `/api/blocks/${of.id}/rescued`, dto);

test('what a block does between the fingers is remembered with its day, also by older windows', async () => {
  const { old } = await shelf();
  const squeezed = await api.ask<BlockDto>('PUT', `/api/blocks/${old.id}`, {
    ...old,
    squeezed: 'crumbles',
    squeezedOn: DAY,
  });
  expect(squeezed.body).toMatchObject({ squeezed: 'crumbles', squeezedOn: DAY, inside: null });
  const { squeezed: _, squeezedOn: __, inside: ___, ...older } = squeezed.body;
  await api.ask('PUT', `/api/blocks/${old.id}`, { ...older, leftGrams: 50 });
  expect((await blocks()).find((b) => b.id === old.id)).toMatchObject({ leftGrams: 50, squeezed: 'crumbles' });
});

test('softener makes a block of the same clay in its new state: weight, price and the whole balance hold', async () => {
  const { old, beetroot } = await shelf();
  const before = await balance();
  const dto = dtoOf(old, { lostGrams: 2, drops: 4, outcome: 'worked' });
  const { status, body } = await rescue(old, dto);
  expect([status, body.made, body.grams]).toEqual([200, 'block', expect.closeTo(55.2, 9)]);
  const made = (await blocks()).find((b) => b.id === dto.newId);
  expect(made).toMatchObject({
    ...{ clayId: beetroot.id, madeOn: '2021-03-01', squeezed: 'stiff', squeezedOn: DAY },
    ...{ price: expect.closeTo(3, 9), inside: { clays: [], drops: 4 } },
  });
  expect((await blocks()).find((b) => b.id === old.id)?.leftGrams).toBe(0);
  const after = await balance();
  expect(after.bought).toBe(before.bought);
  expect(after.found - before.found).toBeCloseTo(0.2, 9);
  expect(after.thrown - before.thrown).toBeCloseTo(2, 9);
  expect(after.lost).toBeCloseTo(before.lost, 9);
  expect(sumOf(after)).toBeCloseTo(0, 9);
  expect(after.unsaid).toBeCloseTo(before.unsaid, 9);
  const entry = (await api.get<DiaryAnswer>(`/api/diary/${dto.entryId}`)).body;
  expect([entry.title, entry.outcome, entry.clays.map((c) => c.grams)]).toEqual([
    'Beetroot brought back',
    'worked',
    [57],
  ]);
  await api.ask('POST', '/api/undo', {});
  expect((await blocks()).map((b) => b.leftGrams).sort()).toEqual([100, 57]);
});

test('a little white stays the clay; so much that it shows is a lump of its mix and of no other', async () => {
  const { old, white, beetroot, chalk } = await shelf();
  const little = dtoOf(old, { grams: 20, drops: 1, added: { blockId: white.id, grams: 1 } });
  expect((await rescue(old, little)).status).toBe(200);
  const now = (await blocks()).find((b) => b.id === old.id) as BlockDto;
  expect(now.leftGrams).toBeCloseTo(37, 9);
  const much = dtoOf(now, { grams: 30, drops: 0, added: { blockId: white.id, grams: 10 } });
  const shows = await rescue(now, much);
  expect([shows.status, shows.body.fields?.[0]?.field]).toEqual([422, 'revisionId']);
  const own = mix('Beetroot softened', ['3', ofClay(beetroot.id)], ['1', ofClay(chalk.id)]);
  const kept = await api.ask<MixAnswer>('PUT', `/api/mixes/${own.id}`, own);
  const revisionId = kept.body.revisions.at(-1)?.id ?? '';
  const wrong = await rescue(now, { ...much, added: { blockId: white.id, grams: 30 }, revisionId });
  expect(wrong.body.fields?.[0]).toMatchObject({ field: 'revisionId' });
  const right = await rescue(now, { ...much, revisionId });
  expect(right.body).toMatchObject({ made: 'lump', grams: expect.closeTo(40, 9) });
  const { things, balance: all } = (await api.get<StockAnswer>('/api/stock')).body;
  expect(things.find((t) => t.id === much.newId)).toMatchObject({ form: 'lump', grams: expect.closeTo(40, 9) });
  expect(sumOf(all)).toBeCloseTo(0, 9);
});

test('a fresh block of the same clay is worked in without limit, and stands once in the diary', async () => {
  const { old, beetroot } = await shelf();
  const fresh = { ...block(beetroot.id), madeOn: '2026-10-01' };
  await api.put('blocks', fresh);
  const dto = dtoOf(old, { drops: 0, added: { blockId: fresh.id, grams: 40 } });
  expect((await rescue(old, dto)).body).toMatchObject({ made: 'block', grams: 97 });
  const entry = (await api.get<DiaryAnswer>(`/api/diary/${dto.entryId}`)).body;
  expect(entry.clays.map(({ clayId, grams }) => [clayId, grams])).toEqual([[beetroot.id, 97]]);
  expect(sumOf(await balance())).toBeCloseTo(0, 9);
});

test('more than there is, all lost, itself, an older version: refused at its place, nothing changes', async () => {
  const { old, white } = await shelf();
  const before = await blocks();
  const fieldOf = async (more: Partial<RescuedDto>): Promise<string | undefined> =>
    (await rescue(old, dtoOf(old, more))).body.fields?.[0]?.field;
  expect(await fieldOf({ grams: 58 })).toBe('grams');
  expect(await fieldOf({ lostGrams: 57 })).toBe('lostGrams');
  expect(await fieldOf({ added: { blockId: old.id, grams: 2 } })).toBe('added.blockId');
  expect(await fieldOf({ added: { blockId: randomUUID(), grams: 2 } })).toBe('added.blockId');
  expect(await fieldOf({ drops: 0, added: { blockId: white.id, grams: 101 }, revisionId: randomUUID() })).toBe(
    'revisionId',
  );
  expect((await rescue(old, dtoOf(old, { version: old.version + 5 }))).status).toBe(409);
  expect(await blocks()).toEqual(before);
});
