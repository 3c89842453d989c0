import { randomUUID } from 'node:crypto';
import { ofClay } from '#core/material';
import { newMosaic, withChange, type MosaicDocument } from '#core/mosaic';
import type { ChangesAnswer, MixAnswer, MosaicAnswer, MosaicCard, MosaicDto, PictureDto, Problem } from '#contract';
import { Api, clay, line, mix } from './api.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

/** The smallest PNG: one pixel. */
const PIXEL = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==';
async function keptPicture(): Promise<string> {
  const picture: PictureDto = { id: randomUUID(), type: 'image/png', width: 1, height: 1, data: PIXEL };
  expect((await api.put('pictures', picture)).status).toBe(204);
  return picture.id;
}
const RED = { l: 40, a: 50, b: 30, hex: 'a03020' } as const;
const dtoOf = (mosaic: MosaicDocument, more: Partial<MosaicDto> = {}): MosaicDto => ({
  ...{ id: randomUUID(), version: 0, name: 'Tomato', note: '', mosaic },
  ...more,
});
const save = async ({ id, version, name, note, mosaic }: MosaicDto): Promise<MosaicAnswer> =>
  (await api.ask<MosaicAnswer>('PUT', `/api/mosaics/${id}`, { id, version, name, note, mosaic })).body;
const cards = async (): Promise<readonly MosaicCard[]> => (await api.get<MosaicCard[]>('/api/mosaics')).body;

test('a mosaic is kept with its picture, its shades and what is laid, also when the file is opened again', async () => {
  const pictureId = await keptPicture();
  const dto = dtoOf({ ...newMosaic(pictureId), shades: [RED] });
  const saved = await save(dto);
  expect(saved).toMatchObject({ name: 'Tomato', mosaic: dto.mosaic, referenced: [] });
  const laid = { ...saved, mosaic: withChange(saved.mosaic, { done: [0, 2] }) };
  expect((await save(laid)).mosaic.done).toEqual([0, 2]);
  await api.reopen();
  expect((await api.get<MosaicAnswer>(`/api/mosaics/${dto.id}`)).body.mosaic.done).toEqual([0, 2]);
  expect(await cards()).toEqual([{ id: dto.id, name: 'Tomato', pictureId, hexes: ['a03020'] }]);
});

test('a patch that was laid can be taken up again, and one that is taken away comes back', async () => {
  const saved = await save(dtoOf(newMosaic(undefined)));
  await save({ ...saved, mosaic: { ...saved.mosaic, done: [1] } });
  const undone = (await api.ask<ChangesAnswer>('POST', '/api/undo')).body;
  expect(undone.did).toMatch(/laid a patch of the mosaic Tomato/);
  const open = (await api.get<MosaicAnswer>(`/api/mosaics/${saved.id}`)).body;
  expect(open.mosaic.done).toEqual([]);
  expect((await api.ask('DELETE', `/api/mosaics/${saved.id}?version=${open.version}`)).status).toBe(204);
  expect(await cards()).toEqual([]);
  await api.ask('POST', '/api/undo');
  expect(await cards()).toHaveLength(1);
});

test('its mixes come along; one that is gone leaves its colour', async () => {
  const own = line('Stove');
  const beet = clay(own.id, 'Beetroot', '7A2138');
  await api.put('lines', own);
  await api.put('clays', beet);
  const dusk = mix('Dusk', ['1', ofClay(beet.id)]);
  const kept = (await api.ask<MixAnswer>('PUT', `/api/mixes/${dusk.id}`, dusk)).body;
  const of = `mix:${kept.revisions[0]?.id ?? ''}` as const;
  const dto = dtoOf({ ...newMosaic(undefined), shades: [{ ...RED, of }] });
  const saved = await save(dto);
  expect(saved.referenced.map((r) => r.mixName)).toEqual(['Dusk']);
  const gone = { ...RED, of: `mix:${randomUUID()}` as const };
  const later = await save({ ...saved, mosaic: { ...saved.mosaic, shades: [gone] } });
  expect([later.referenced, later.mosaic.shades]).toEqual([[], [gone]]);
});

test('what is wrong with it is said, and nothing is kept', async () => {
  const refused = async (mosaic: unknown, more: Partial<MosaicDto> = {}): Promise<string> => {
    const dto = { ...dtoOf(newMosaic(undefined), more), mosaic };
    const answer = await api.ask<Problem>('PUT', `/api/mosaics/${dto.id}`, dto);
    expect(answer.status).toBeGreaterThanOrEqual(400);
    return JSON.stringify(answer.body);
  };
  const good = newMosaic(undefined);
  expect(await refused({ ...good, diameters: [] })).toMatch(/a list of 1 to 5/);
  expect(await refused({ ...good, bezel: { shape: 'cube', width: 3, height: 3 } })).toMatch(/one of/);
  expect(await refused({ ...good, done: [0.5] })).toMatch(/a whole number/);
  expect(await refused({ ...good, version: 2 })).toMatch(/newer Sledge/);
  expect(await refused({ ...good, colour: 1 })).toMatch(/is not known/);
  expect(await refused({ ...good, pictureId: randomUUID() })).toMatch(/not there any more/);
  expect(await refused(null)).toMatch(/mosaic/);
  expect(await cards()).toEqual([]);
  await save(dtoOf(good));
  expect(await refused(good, { id: randomUUID(), name: 'tomato' })).toMatch(/tomato/i);
});
