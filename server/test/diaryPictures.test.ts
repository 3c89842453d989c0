import { randomUUID } from 'node:crypto';
import { MOST_PICTURES, type DiaryAnswer, type PictureDto, type Problem } from '#contract';
import { Api } from './api.js';

/** The smallest JPEG that says it is one. */
const picture = (): PictureDto => ({
  ...{ id: randomUUID(), type: 'image/jpeg', width: 1, height: 1 },
  data: Buffer.from([0xff, 0xd8, 0xff, 0xd9]).toString('base64'),
});

let api: Api;
let entry: DiaryAnswer;
const open = async (): Promise<DiaryAnswer> => (await api.get<DiaryAnswer>(`/api/diary/${entry.id}`)).body;
const save = (pictures: readonly { id: string }[] | undefined, note = 'n', version = entry.version) =>
  api.put('diary', { id: entry.id, version, note, ...(pictures === undefined ? {} : { pictures }) });

beforeAll(async () => {
  api = await Api.open();
  entry = await bakedEntry();
});
afterAll(() => api.close());

/** A load of the oven is the shortest way to an entry of the diary. */
async function bakedEntry(): Promise<DiaryAnswer> {
  const oven = { ...{ id: randomUUID(), version: 0, name: 'Small oven' }, trayWidthMm: 200, trayLengthMm: 200 };
  await api.put('ovens', { ...oven, readings: [] });
  const entryId = randomUUID();
  const baked = {
    ...{ entryId, madeOn: '2026-11-29', note: '', dial: null, dialFrom: 0, celsius: 130, low: 125, maxC: 150 },
    ...{ minutes: 30, lasted: 40, curve: [], learn: false },
    items: [{ batchId: null, pieceId: null, name: 'Radish ring', count: 3, cores: false }],
  };
  expect((await api.ask('POST', `/api/ovens/${oven.id}/baked`, baked)).status).toBeLessThan(300);
  return (await api.get<DiaryAnswer>(`/api/diary/${entryId}`)).body;
}

test('photographs stand with their entry, in their order, and undo takes the last one back', async () => {
  const [one, two] = [picture(), picture()];
  for (const dto of [one, two]) expect((await api.put('pictures', dto)).status).toBe(204);
  const first = await save([{ id: one.id }]);
  expect(first.status).toBe(200);
  const second = await save([{ id: two.id }, { id: one.id }, { id: two.id }], 'n', (await open()).version);
  expect((second.body as unknown as DiaryAnswer).pictures).toMatchObject([{ id: two.id }, { id: one.id }]);
  const undone = await api.ask<{ did: string }>('POST', '/api/undo', {});
  expect(undone.body.did).toMatch(/^Taken back: photograph of /);
  expect((await open()).pictures).toMatchObject([{ id: one.id }]);
});

test('where they are left out they stay, and one that is not kept is refused', async () => {
  const before = await open();
  expect(((await save(undefined, 'only words', before.version)).body as unknown as DiaryAnswer).pictures).toEqual(
    before.pictures,
  );
  const gone = await save([{ id: randomUUID() }], 'n', (await open()).version);
  expect([gone.status, (gone.body as unknown as Problem).detail]).toEqual([
    422,
    'This photograph is not there any more. Choose it again.',
  ]);
  const many = await save(
    Array.from({ length: MOST_PICTURES + 1 }, () => ({ id: randomUUID() })),
    'n',
    (await open()).version,
  );
  expect((many.body as unknown as Problem).detail).toMatch(/^At most 24 photographs/);
  expect((await open()).note).toBe('only words');
});

test('a palette that goes leaves a photograph that the diary shows', async () => {
  const shared = picture();
  await api.put('pictures', shared);
  const palette = { id: randomUUID(), version: 0, name: 'Beet', note: '', pictureId: shared.id };
  const kept = await api.put<{ id: string; version: number }>('palettes', {
    ...{ ...palette, gainR: 1, gainG: 1, gainB: 1, swatches: [] },
  } as never);
  await save([{ id: shared.id }], 'n', (await open()).version);
  const gone = await api.ask('DELETE', `/api/palettes/${palette.id}?version=${kept.body.version}`);
  expect(gone.status).toBe(204);
  const answer = await fetch(`http://127.0.0.1:${api.running.port}/api/pictures/${shared.id}`);
  expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'image/jpeg']);
});
