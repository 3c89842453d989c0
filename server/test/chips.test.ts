import { ofClay } from '#core/material';
import { randomUUID } from 'node:crypto';
import type { ChangesAnswer, ChipDto, MixAnswer, MixDto, Problem } from '#contract';
import { Api, mix, smallShelf } from './api.js';

let api: Api;
beforeAll(async () => {
  api = await Api.open();
});
afterAll(() => api.close());

async function made(): Promise<{ ring: MixAnswer; beetId: string }> {
  const { chalk, beet } = await smallShelf(api);
  const dto = mix(`Ring ${randomUUID().slice(0, 4)}`, ['4', ofClay(chalk.id)], ['1', ofClay(beet.id)]);
  return { ring: (await api.ask<MixAnswer>('PUT', `/api/mixes/${dto.id}`, dto)).body, beetId: beet.id };
}
const chip = (ring: MixAnswer, more: Partial<ChipDto> = {}): ChipDto => ({
  id: randomUUID(),
  version: 0,
  revisionId: ring.revisions[0]?.id ?? '',
  madeOn: '2026-11-20',
  stage: 'baked',
  l: 51.2,
  a: 46.5,
  b: -9.8,
  way: 'colour reader',
  ...more,
});
const read = async (ring: MixAnswer): Promise<MixAnswer> => (await api.get<MixAnswer>(`/api/mixes/${ring.id}`)).body;

test('chips are kept with their mix, newest first, and taken back with undo', async () => {
  const { ring } = await made();
  const older = chip(ring, { madeOn: '2026-10-01', way: 'by eye' });
  const newer = chip(ring);
  for (const c of [older, newer]) expect((await api.put('chips', c)).status).toBe(200);
  expect((await read(ring)).chips.map((c) => c.id)).toEqual([newer.id, older.id]);
  expect((await read(ring)).chips[0]).toMatchObject({
    l: 51.2,
    a: 46.5,
    b: -9.8,
    stage: 'baked',
    way: 'colour reader',
  });
  expect((await api.get<ChangesAnswer>('/api/changes')).body.undo?.summary).toBe(`new chip of ${ring.name}`);
  await api.ask('POST', '/api/undo');
  expect((await read(ring)).chips.map((c) => c.id)).toEqual([older.id]);
  await api.reopen();
  expect((await read(ring)).chips).toHaveLength(1);
});

test('a recipe that a chip was made of never changes: the next change is a new revision', async () => {
  const { ring, beetId } = await made();
  await api.put('chips', chip(ring));
  const before = await read(ring);
  expect(before.revisions[0]?.made).toBe(true);
  const dto: MixDto = {
    id: ring.id,
    version: before.version,
    name: ring.name,
    note: '',
    retired: false,
    basis: 'volume',
    ingredients: [{ parts: '1', of: ofClay(beetId) }],
  };
  const after = (await api.ask<MixAnswer>('PUT', `/api/mixes/${ring.id}`, dto)).body;
  expect(after.revisions.map((r) => [r.number, r.made])).toEqual([
    [1, true],
    [2, false],
  ]);
  expect(after.chips.map((c) => c.revisionId)).toEqual([ring.revisions[0]?.id]);
});

test('a chip is struck out once, by its version, and the mix may go only without it', async () => {
  const { ring } = await made();
  const saved = (await api.put('chips', chip(ring))).body;
  const now = await read(ring);
  const refused = await api.ask<Problem>('DELETE', `/api/mixes/${ring.id}?version=${now.version}`);
  expect([refused.status, refused.body.detail]).toEqual([409, expect.stringContaining('a chip that was made of it')]);
  const changed = (await api.put('chips', { ...saved, l: 50 })).body;
  expect(changed.l).toBe(50);
  expect((await api.ask<Problem>('DELETE', `/api/chips/${saved.id}?version=${saved.version}`)).status).toBe(409);
  expect((await api.ask('DELETE', `/api/chips/${saved.id}?version=${changed.version}`)).status).toBe(204);
  expect((await api.ask('DELETE', `/api/chips/${saved.id}?version=${changed.version}`)).status).toBe(404);
  expect((await api.ask('DELETE', `/api/mixes/${ring.id}?version=${now.version}`)).status).toBe(204);
});

test.each<[keyof ChipDto, unknown, RegExp]>([
  ['l', 101, /L\* has to be a number from 0 to 100/],
  ['a', -300, /a\* has to be a number from -128 to 128/],
  ['b', 'blue', /b\* has to be/],
  ['l', null, /L\*/],
  ['stage', 'burnt', /baked or raw/],
  ['way', 'guess', /colour reader, from a photograph or by eye/],
  ['madeOn', '2026-13-01', /2024-09-15/],
  ['revisionId', randomUUID(), /not there any more/],
])('a chip with %s of %p is refused at its field', async (field, value, sentence) => {
  const { ring } = await made();
  const dto = { ...chip(ring), [field]: value } as ChipDto;
  const { status, body } = await api.ask<Problem>('PUT', `/api/chips/${dto.id}`, dto);
  expect([status, body.fields?.[0]?.field]).toEqual([422, field]);
  expect(body.detail).toMatch(sentence);
  expect((await read(ring)).chips).toEqual([]);
});
