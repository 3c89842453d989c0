import { ofClay, ofMix } from '#core/material';
import { randomUUID } from 'node:crypto';
import type { ChangesAnswer, MixAnswer, MixDto, MixListAnswer, NotationAnswer, Problem, ShelfAnswer } from '#contract';
import { Api, block, clay, line, mix, smallShelf } from './api.js';

let api: Api;
beforeAll(async () => {
  api = await Api.open();
});
afterAll(() => api.close());

const saved = async (dto: MixDto): Promise<MixAnswer> => {
  const answer = await api.ask<MixAnswer>('PUT', `/api/mixes/${dto.id}`, dto);
  expect(answer.status).toBe(200);
  return answer.body;
};
const again = (answer: MixAnswer, part: Partial<MixDto> = {}): MixDto => {
  const newest = answer.revisions.at(-1);
  return {
    id: answer.id,
    version: answer.version,
    name: answer.name,
    note: answer.note,
    retired: answer.retired,
    basis: newest?.basis ?? 'volume',
    ingredients: [...(newest?.ingredients ?? [])],
    ...part,
  };
};

test('a recipe inside a recipe follows its change, and names the others that use it', async () => {
  const { chalk, beet } = await smallShelf(api);
  const ring = await saved(mix('Beet ring', ['4', ofClay(chalk.id)], ['1', ofClay(beet.id)]));
  const dusk = await saved(mix('Dusk', ['1', ofMix(ring.revisions[0]?.id ?? '')], ['1', ofClay(beet.id)]));
  const card = async (): Promise<string> =>
    (await api.get<MixListAnswer>('/api/mixes?search=dusk')).body.cards[0]?.hex ?? '';
  const before = await card();
  const changed = await saved(again(ring, { ingredients: [{ parts: '1', of: ofClay(beet.id) }] }));
  expect(changed.revisions).toHaveLength(1);
  expect(changed.usedIn).toEqual([{ id: dusk.id, name: 'Dusk' }]);
  expect(await card()).not.toBe(before);
});

test.each([
  ['0', /zero/],
  ['-1', /not a number/],
  ['', /not a number/],
  ['NaN', /not a number/],
  ['1e400', /not a number/],
  ['99999999', /10,000/],
  ['1/5000', /1\/1000/],
])('parts %p are refused with their field', async (parts, sentence) => {
  const { chalk } = await smallShelf(api);
  const { status, body, type } = await api.ask<Problem>('PUT', `/api/mixes/${randomUUID()}`, undefined);
  expect([status, type.startsWith('application/problem+json'), typeof body.detail]).toEqual([422, true, 'string']);
  const dto = mix(`Odd ${randomUUID().slice(0, 5)}`, [parts, ofClay(chalk.id)]);
  const refused = await api.ask<Problem>('PUT', `/api/mixes/${dto.id}`, dto);
  expect(refused.status).toBe(422);
  expect(refused.body.fields?.[0]?.field).toMatch(/^ingredients\.0/);
  expect(refused.body.detail).toMatch(sentence);
  expect((await api.get(`/api/mixes/${dto.id}`)).status).toBe(404);
});

test('a recipe that contains itself, through another, is refused by name', async () => {
  const { chalk } = await smallShelf(api);
  const one = await saved(mix('Swede', ['1', ofClay(chalk.id)]));
  const two = await saved(mix('Turnip top', ['1', ofMix(one.revisions[0]?.id ?? '')]));
  const circle = again(one, { ingredients: [{ parts: '1', of: ofMix(two.revisions[0]?.id ?? '') }] });
  const refused = await api.ask<Problem>('PUT', `/api/mixes/${one.id}`, circle);
  expect(refused.status).toBe(422);
  expect(refused.body.detail).toContain('Swede contains Turnip top contains Swede');
});

test('notation is understood with the names that are there; what is unknown or ambiguous is said', async () => {
  const lines = await Promise.all(
    ['Brook Soft', 'Oldrow Crumble'].map(async (name) => (await api.put('lines', line(name))).body),
  );
  for (const l of lines) await api.put('clays', clay(l.id, 'Corn', 'F0CB55'));
  const read = (text: string) => api.ask<NotationAnswer & Problem>('POST', '/api/notation', { text });
  expect((await read('2 Corn of Brook Soft + ½ Corn of Oldrow Crumble')).body.ingredients.map((i) => i.parts)).toEqual([
    '2',
    '1/2',
  ]);
  expect((await read('2 Corn')).body.detail).toMatch(/Corn of Brook Soft or Corn of Oldrow Crumble/);
  expect((await read('2 Marrow + 1 Corn of Brook Soft')).body.detail).toMatch(/“Marrow” is neither a clay/);
  expect((await read('2 Corn of Brook Soft +')).body.at).toBe(22);
  expect((await read('')).status).toBe(422);
});

test('the same parts of the same clays are said to be the same colour', async () => {
  const { chalk, beet } = await smallShelf(api);
  const one = await saved(mix('Pink', ['2', ofClay(chalk.id)], ['1', ofClay(beet.id)]));
  const two = await saved(mix('Rose', ['1/2', ofClay(beet.id)], ['1', ofClay(chalk.id)]));
  expect(two.sameAs).toEqual([{ id: one.id, name: 'Pink' }]);
  const copy = mix('Pink', ['1', ofClay(chalk.id)]);
  expect((await api.ask<Problem>('PUT', `/api/mixes/${copy.id}`, copy)).body.fields?.[0]?.field).toBe('name');
});

test('the board is searched by name, by clay and by what can be made now', async () => {
  const { chalk, beet } = await smallShelf(api);
  await saved(mix('Market stall', ['1', ofClay(chalk.id)], ['3', ofClay(beet.id)]));
  const found = async (query: string): Promise<string[]> =>
    (await api.get<MixListAnswer>(`/api/mixes?${query}`)).body.cards.map((c) => c.name);
  expect(await found('search=MARKET')).toEqual(['Market stall']);
  expect(await found(`search=${encodeURIComponent(beet.name)}`)).toContain('Market stall');
  expect(await found('search=market&now=70')).toEqual(['Market stall']);
  expect(await found('search=market&now=80')).toEqual([]);
  await api.put('blocks', block(beet.id, 57));
  expect(await found('search=market&now=80')).toEqual(['Market stall']);
});

test('of two windows that change a mix the second is told and shown both; nothing is overwritten', async () => {
  const { chalk, beet } = await smallShelf(api);
  const first = await saved(mix('Contested', ['1', ofClay(chalk.id)]));
  const theirs = await saved(again(first, { ingredients: [{ parts: '2', of: ofClay(beet.id) }] }));
  const mine = await api.ask<Problem>('PUT', `/api/mixes/${first.id}`, again(first, { note: 'mine' }));
  expect(mine.status).toBe(409);
  expect(mine.body.current).toMatchObject({
    version: theirs.version,
    revisions: [{ ingredients: [{ parts: '2', of: ofClay(beet.id) }] }],
  });
  expect((await api.get<MixAnswer>(`/api/mixes/${first.id}`)).body.note).toBe('');
});

test('a change sent twice is carried out once', async () => {
  const { chalk } = await smallShelf(api);
  const change = randomUUID();
  const dto = mix('Once', ['1', ofClay(chalk.id)]);
  const one = await api.ask<MixAnswer>('PUT', `/api/mixes/${dto.id}`, dto, change);
  const two = await api.ask<MixAnswer>('PUT', `/api/mixes/${dto.id}`, dto, change);
  expect([one.status, two.status, two.body.version]).toEqual([200, 200, one.body.version]);
});

test('a clay that a mix uses stays, and it is said where; retired it leaves and comes back', async () => {
  const { chalk } = await smallShelf(api);
  await saved(mix('Holder', ['1', ofClay(chalk.id)]));
  const refused = await api.ask<Problem>('DELETE', `/api/clays/${chalk.id}?version=${chalk.version}`);
  expect(refused.status).toBe(409);
  expect(refused.body.detail).toMatch(/used by the mix Holder.*Retire it instead/);
  const retired = await api.put('clays', { ...chalk, retired: true });
  expect(retired.body.retired).toBe(true);
  expect((await api.ask<ChangesAnswer>('POST', '/api/undo')).body.did).toMatch(/Taken back: retired Chalk/);
  expect((await api.get<ShelfAnswer>('/api/shelf')).body.clays.find((c) => c.id === chalk.id)?.retired).toBe(false);
});

test('undo takes every change back, one after the other, and redo does them again', async () => {
  const fresh = await Api.open();
  try {
    const look = async (): Promise<unknown> =>
      [(await fresh.get<ShelfAnswer>('/api/shelf')).body, (await fresh.get<MixListAnswer>('/api/mixes')).body].map(
        (x) =>
          JSON.parse(JSON.stringify(x, (key, value: unknown) => (key === 'version' ? undefined : value))) as unknown,
      );
    const states = [await look()];
    const { chalk, beet } = await smallShelf(fresh);
    states.push(await look());
    const dto = mix('Beet ring', ['4', ofClay(chalk.id)], ['1', ofClay(beet.id)]);
    await fresh.ask('PUT', `/api/mixes/${dto.id}`, dto);
    states.push(await look());
    const times = async (n: number, what: 'undo' | 'redo'): Promise<void> => {
      for (let i = 0; i < n; i++) await fresh.ask('POST', `/api/${what}`);
    };
    await times(1, 'undo');
    expect(await look()).toEqual(states[1]);
    await times(5, 'undo');
    expect(await look()).toEqual(states[0]);
    expect((await fresh.ask<ChangesAnswer>('POST', '/api/undo')).body).toMatchObject({ did: null, undo: null });
    await times(6, 'redo');
    expect(await look()).toEqual(states[2]);
    await times(1, 'undo');
    await fresh.put('lines', line('Lustre'));
    expect((await fresh.get<ChangesAnswer>('/api/changes')).body.redo).toBeNull();
  } finally {
    await fresh.close();
  }
});
