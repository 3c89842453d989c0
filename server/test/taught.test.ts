import { randomUUID } from 'node:crypto';
import {
  ENDS_KEY,
  passesKey,
  type ConditionedAnswer,
  type DiaryAnswer,
  type DiaryListAnswer,
  type PictureDto,
  type PlanNoted,
  type Problem,
  type TaughtAnswer,
  type WallAnswer,
} from '#contract';
import { Api, fade, smallShelf } from './api.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

const taught = async (): Promise<TaughtAnswer> => (await api.get<TaughtAnswer>('/api/taught')).body;
const counted = (clayId: string, passes: number, more: object = {}) => ({
  ...{ entryId: randomUUID(), madeOn: '2026-11-20', note: '', clayId, firmness: 'firm', months: 10, roomC: 21 },
  ...{ school: 'thin slices', passes, grams: 28.5 },
  ...more,
});

test('each figure has its counts; an odd day is left out; set aside it is told and not used', async () => {
  const { chalk } = await smallShelf(api);
  const key = passesKey(chalk.lineId);
  const none = await taught();
  expect(none.figures.find((f) => f.key === key)).toMatchObject({ assumed: 22, learned: 22, from: 0, aside: false });
  expect(none.next).toContain(key);
  for (const passes of [39, 40, 38, 41, 39, 160]) await api.ask('POST', '/api/conditioned', counted(chalk.id, passes));
  const figure = (await taught()).figures.find((f) => f.key === key);
  expect(figure).toMatchObject({ assumed: 22, from: 6, odd: 1 });
  expect(figure?.learned).toBeGreaterThan(30);
  expect(figure?.learned).toBeLessThan(36);
  const aside = await api.ask<TaughtAnswer>('PUT', `/api/taught/${encodeURIComponent(key)}`, { aside: true });
  expect(aside.body.figures.find((f) => f.key === key)).toMatchObject({ from: 6, aside: true });
  expect((await api.get<ConditionedAnswer>('/api/conditioned')).body).toEqual([]);
  await api.ask('POST', '/api/undo', {});
  expect((await api.get<ConditionedAnswer>('/api/conditioned')).body).toHaveLength(6);
  expect((await api.ask('PUT', '/api/taught/passes%20nothing', { aside: true })).status).toBe(404);
  expect((await taught()).figures.map((f) => f.key)).toContain(ENDS_KEY);
});

test('how it went, photographs with how they lie and what is marked, and next time on the plan', async () => {
  const { chalk } = await smallShelf(api);
  const picture: PictureDto = {
    ...{ id: randomUUID(), type: 'image/jpeg', width: 1, height: 1 },
    data: Buffer.from([0xff, 0xd8, 0xff, 0xd9]).toString('base64'),
    small: Buffer.from([0xff, 0xd8, 0xff, 0xd8]).toString('base64'),
  };
  await api.put('pictures', picture);
  const small = await fetch(`http://127.0.0.1:${api.running.port}/api/pictures/${picture.id}?size=small`);
  expect(Buffer.from(await small.arrayBuffer()).toString('base64')).toBe(picture.small);
  const lay = { x: 0.1, y: -0.2, scale: 1.5, turn: 12 };
  const marks = [{ x: 0.5, y: 0.25, what: 'taper' }];
  const said = counted(chalk.id, 30, {
    outcome: 'nearly',
    squeeze: 'stiff',
    pictures: [{ id: picture.id, lay, marks }],
  });
  expect((await api.ask('POST', '/api/conditioned', said)).status).toBe(200);
  const open = async (): Promise<DiaryAnswer> => (await api.get<DiaryAnswer>(`/api/diary/${said.entryId}`)).body;
  const entry = await open();
  expect([entry.outcome, entry.pictures]).toEqual(['nearly', [{ id: picture.id, lay, marks }]]);
  const changed = { id: entry.id, version: entry.version, note: entry.note, outcome: null };
  await api.ask('PUT', `/api/diary/${entry.id}`, changed);
  const after = await open();
  expect([after.outcome, after.pictures.length]).toEqual([null, 1]);
  const none = await api.ask<Problem>('POST', `/api/diary/${entry.id}/next`, { line: 'Warm it.' });
  expect([none.status, none.body.fields?.[0]?.field]).toEqual([422, 'line']);
  const gone = counted(chalk.id, 30, { pictures: [{ id: randomUUID() }] });
  const refused = await api.ask<Problem>('POST', '/api/conditioned', gone);
  expect([refused.status, refused.body.fields?.[0]?.field]).toEqual([422, 'pictures.0']);
  expect((await api.ask('POST', '/api/conditioned', { ...counted(chalk.id, 30), outcome: 'so so' })).status).toBe(422);
});

test('what changes next time stands in the note of the plan, once', async () => {
  const { chalk, beet } = await smallShelf(api);
  const blend = fade('Beet to chalk', beet, chalk);
  const kept = await api.ask<{ id: string; version: number }>('PUT', `/api/blends/${blend.id}`, blend);
  const entryId = randomUUID();
  const done = await api.ask('POST', `/api/blends/${blend.id}/done`, {
    ...{ version: kept.body.version, entryId, madeOn: '2026-11-20', note: '', passes: 14 },
    used: [{ clayId: chalk.id, grams: 5 }],
  });
  expect(done.status).toBe(200);
  const note = async (): Promise<string> => (await api.get<{ note: string }>(`/api/blends/${blend.id}`)).body.note;
  for (let i = 0; i < 2; i++) {
    const noted = await api.ask<PlanNoted>('POST', `/api/diary/${entryId}/next`, { line: 'Next time: fold first.' });
    expect(noted.body).toEqual({ kind: 'blend', id: blend.id, name: 'Beet to chalk' });
  }
  expect(await note()).toBe('Next time: fold first.');
});

test('what is marked on a photograph is found by the search', async () => {
  const { chalk } = await smallShelf(api);
  const picture: PictureDto = {
    ...{ id: randomUUID(), type: 'image/jpeg', width: 1, height: 1 },
    data: Buffer.from([0xff, 0xd8, 0xff, 0xd9]).toString('base64'),
  };
  await api.put('pictures', picture);
  const said = counted(chalk.id, 30, { pictures: [{ id: picture.id }] });
  await api.ask('POST', '/api/conditioned', said);
  const { version } = (await api.get<DiaryAnswer>(`/api/diary/${said.entryId}`)).body;
  const marks = [{ x: 0.1, y: 0.2, what: 'smeared face' }];
  const dto = { id: said.entryId, version, note: '', pictures: [{ id: picture.id, marks }] };
  for (const [found, change] of [
    [0, null],
    [1, dto],
  ] as const) {
    if (change) await api.ask('PUT', `/api/diary/${said.entryId}`, change);
    const { body } = await api.get<DiaryListAnswer>('/api/diary?search=smeared');
    expect(body.total).toBe(found);
  }
});

test('what was made near a colour is found, also among words; photographs stand on one wall', async () => {
  const { chalk, beet } = await smallShelf(api);
  const picture: PictureDto = {
    ...{ id: randomUUID(), type: 'image/jpeg', width: 1, height: 1 },
    data: Buffer.from([0xff, 0xd8, 0xff, 0xd9]).toString('base64'),
  };
  await api.put('pictures', picture);
  const blends = [fade('Beet to beet', beet, beet), fade('Chalk to chalk', chalk, chalk), fade('Both', beet, chalk)];
  for (const blend of blends) {
    const { version } = (await api.ask<{ version: number }>('PUT', `/api/blends/${blend.id}`, blend)).body;
    await api.ask('POST', `/api/blends/${blend.id}/done`, {
      ...{ version, entryId: randomUUID(), madeOn: '2026-11-20', note: '', passes: 14, outcome: 'worked' },
      ...{ used: [{ clayId: blend === blends[1] ? chalk.id : beet.id, grams: 5 }], pictures: [{ id: picture.id }] },
    });
  }
  const near = async (hex: string, search = ''): Promise<readonly (readonly [string, number])[]> =>
    (await api.get<DiaryListAnswer>(`/api/diary?near=${hex}&search=${search}`)).body.entries.map((e) => [
      e.title,
      Math.round(e.deltaE ?? -1),
    ]);
  expect((await near('7B1E4B')).map(([title]) => title).sort()).toEqual(['Beet to beet', 'Both']);
  expect(await near('7B1E4B', 'both')).toEqual([['Both', 0]]);
  expect((await near('F0EDE3')).map(([title]) => title).sort()).toEqual(['Both', 'Chalk to chalk']);
  expect(await near('00FF00')).toEqual([]);
  // a colour that is none is no colour
  expect((await near('zzz')).length).toBe(3);
  const wall = (await api.get<WallAnswer>('/api/diary/wall?limit=2')).body;
  expect([wall.total, wall.pictures.length, wall.pictures[0]?.outcome]).toEqual([3, 2, 'worked']);
  // a clay of another colour: what was made of it is near to that one now
  await api.put('clays', { ...chalk, bakedHex: '00F800' });
  expect((await near('00FF00')).length).toBe(2);
});
