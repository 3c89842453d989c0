import { randomUUID } from 'node:crypto';
import type { ChangesAnswer, PaletteCard, PaletteDto, PictureDto, Problem } from '#contract';
import { Api } from './api.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

/** The smallest PNG: one pixel. */
const PIXEL = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==';
const picture = (more: Partial<PictureDto> = {}): PictureDto => ({
  id: randomUUID(),
  type: 'image/png',
  width: 1,
  height: 1,
  data: PIXEL,
  ...more,
});
const palette = (pictureId: string | null, more: Partial<PaletteDto> = {}): PaletteDto => ({
  id: randomUUID(),
  version: 0,
  name: 'Allotment in frost',
  note: '',
  pictureId,
  gainR: 1,
  gainG: 1,
  gainB: 1,
  swatches: [
    { id: randomUUID(), name: 'beet', l: 30, a: 40, b: -5, share: 0.7 },
    { id: randomUUID(), name: '', l: 80, a: -10, b: 20, share: null },
  ],
  ...more,
});
const cards = async (): Promise<readonly PaletteCard[]> => (await api.get<PaletteCard[]>('/api/palettes')).body;

test('a palette is kept with its picture, its order and its shares, also when the file is opened again', async () => {
  const kept = picture();
  expect((await api.put('pictures', kept)).status).toBe(204);
  // sent twice it is kept once; another picture of that id is refused
  expect((await api.put('pictures', kept)).status).toBe(204);
  expect((await api.put('pictures', { ...kept, data: PIXEL.replace('mP8', 'mP9') })).status).toBe(422);
  const dto = palette(kept.id);
  const saved = (await api.put('palettes', dto)).body;
  expect(saved).toEqual({ ...dto, version: saved.version });
  const turned = (await api.put('palettes', { ...saved, swatches: [...saved.swatches].reverse(), gainR: 1.2 })).body;
  await api.reopen();
  expect((await api.get<PaletteDto>(`/api/palettes/${dto.id}`)).body).toEqual(turned);
  expect(await cards()).toMatchObject([
    {
      name: 'Allotment in frost',
      pictureId: kept.id,
      colours: [
        { l: 80, share: null },
        { l: 30, share: 0.7 },
      ],
    },
  ]);
  const answer = await fetch(`http://127.0.0.1:${api.running.port}/api/pictures/${kept.id}`);
  expect(answer.headers.get('content-type')).toBe('image/png');
  expect(Buffer.from(await answer.arrayBuffer()).toString('base64')).toBe(PIXEL);
});

test('taken away with its picture, and brought back whole by undo', async () => {
  const kept = picture();
  await api.put('pictures', kept);
  const saved = (await api.put('palettes', palette(kept.id))).body;
  expect((await api.ask('DELETE', `/api/palettes/${saved.id}?version=0`)).status).toBe(409);
  expect((await api.ask('DELETE', `/api/palettes/${saved.id}?version=${saved.version}`)).status).toBe(204);
  expect([await cards(), (await api.get(`/api/pictures/${kept.id}`)).status]).toEqual([[], 404]);
  expect((await api.ask<ChangesAnswer>('POST', '/api/undo')).body.did).toContain(
    'took away the palette Allotment in frost',
  );
  expect((await api.get<PaletteDto>(`/api/palettes/${saved.id}`)).body.swatches.map((s) => s.id)).toEqual(
    saved.swatches.map((s) => s.id),
  );
  expect((await fetch(`http://127.0.0.1:${api.running.port}/api/pictures/${kept.id}`)).status).toBe(200);
});

test('a picture that two palettes show stays with the other', async () => {
  const kept = picture();
  await api.put('pictures', kept);
  const [one] = [
    (await api.put('palettes', palette(kept.id))).body,
    (await api.put('palettes', palette(kept.id))).body,
  ];
  expect((await api.ask('DELETE', `/api/palettes/${one.id}?version=${one.version}`)).status).toBe(204);
  expect((await fetch(`http://127.0.0.1:${api.running.port}/api/pictures/${kept.id}`)).status).toBe(200);
});

test.each<[string, Partial<PictureDto>, RegExp]>([
  ['what is no base64', { data: '<svg onload=alert(1)>' }, /base64/],
  ['another type', { type: 'image/svg+xml' as never }, /JPEG or PNG/],
  ['a PNG that says it is a JPEG', { type: 'image/jpeg' }, /not the picture that it says/],
  ['no width', { width: 0 }, /The width/],
])('%s is refused as a picture', async (_, more, sentence) => {
  const { status, body } = (await api.put('pictures', picture(more))) as unknown as { status: number; body: Problem };
  expect([status, body.detail]).toEqual([422, expect.stringMatching(sentence)]);
});

test.each<[string, (dto: PaletteDto) => PaletteDto, RegExp]>([
  [
    'a picture that is not there',
    (dto) => ({ ...dto, pictureId: randomUUID() }),
    /picture of this palette is not there/,
  ],
  ['no name', (dto) => ({ ...dto, name: ' ' }), /needs a name/],
  [
    'a colour without lightness',
    (dto) => ({ ...dto, swatches: [{ ...dto.swatches[0], l: null as never } as never] }),
    /L\*/,
  ],
  [
    'the same colour twice',
    (dto) => ({ ...dto, swatches: [dto.swatches[0] as never, dto.swatches[0] as never] }),
    /one id/,
  ],
  ['no list', (dto) => ({ ...dto, swatches: 'all' as never }), /colours/],
])('a palette with %s is refused and nothing is kept', async (_, wrong, sentence) => {
  const { status, body } = (await api.put('palettes', wrong(palette(null)))) as unknown as {
    status: number;
    body: Problem;
  };
  expect([status, JSON.stringify(body)]).toEqual([422, expect.stringMatching(sentence)]);
  expect(await cards()).toEqual([]);
});

test('two windows change one palette: the second is shown both', async () => {
  const saved = (await api.put('palettes', palette(null))).body;
  await api.put('palettes', { ...saved, name: 'First frost' });
  const { status, body } = (await api.put('palettes', { ...saved, name: 'Late frost' })) as unknown as {
    status: number;
    body: Problem;
  };
  expect([status, (body.current as PaletteDto).name]).toEqual([409, 'First frost']);
});
