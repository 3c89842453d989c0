import { cutterOfSize } from '#core/cutter';
import { ofClay, ofMix } from '#core/material';
import { randomUUID } from 'node:crypto';
import {
  breakageKey,
  type BatchAnswer,
  type BatchDto,
  type DiaryAnswer,
  type DiaryListAnswer,
  type DoneDto,
  type MachineDto,
  type MachinesAnswer,
  type MixAnswer,
  type MixDto,
  type MonthsAnswer,
  type PieceDto,
  type Problem,
  type ShelfAnswer,
  type TaughtAnswer,
} from '#contract';
import { Api, machine, mix, smallShelf } from './api.js';

let api: Api;
let roller: MachineDto;
beforeAll(async () => {
  api = await Api.open();
  roller = (await api.put('machines', machine('Bench roller'))).body;
});
afterAll(() => api.close());

const setting = (label: string): string => roller.settings.find((s) => s.label === label)?.id ?? '';
const piece = (revisionId: string, more: Partial<PieceDto> = {}): PieceDto => ({
  id: randomUUID(),
  name: 'Drop',
  shape: 'round',
  widthMm: 18,
  heightMm: null,
  count: 10,
  spare: 1,
  bridgeMm: 2,
  sheetWidthMm: 110,
  sheetLengthMm: 200,
  layers: [{ id: randomUUID(), of: ofMix(revisionId), settingId: setting('6') }],
  ...more,
});
const batch = (...pieces: PieceDto[]): BatchDto => ({
  id: randomUUID(),
  version: 0,
  name: `Drops ${randomUUID().slice(0, 4)}`,
  note: '',
  dueOn: '2026-12-11',
  pieces,
});
const withoutVersions = (x: unknown): unknown =>
  JSON.parse(JSON.stringify(x, (key, v: unknown) => (key === 'version' ? undefined : v)));

async function planned(more: Partial<PieceDto> = {}) {
  const { chalk, beet } = await smallShelf(api);
  const dto = mix(`Ring ${randomUUID().slice(0, 4)}`, ['4', ofClay(chalk.id)], ['1', ofClay(beet.id)]);
  const ring = (await api.ask<MixAnswer>('PUT', `/api/mixes/${dto.id}`, dto)).body;
  const wanted = batch(piece(ring.revisions[0]?.id ?? '', more));
  const answer = await api.ask<BatchAnswer & Problem>('PUT', `/api/batches/${wanted.id}`, wanted);
  return { chalk, beet, ring, wanted, status: answer.status, saved: answer.body };
}
const doneOf = (saved: BatchAnswer, more: Partial<DoneDto> = {}): DoneDto => ({
  version: saved.version,
  entryId: randomUUID(),
  madeOn: '2026-11-24',
  note: 'went well',
  used: saved.plan.clays.map(({ clayId, grams }) => ({ clayId, grams })),
  ...more,
});
const shelf = async (): Promise<ShelfAnswer> => (await api.get<ShelfAnswer>('/api/shelf')).body;
const left = async (clayId: string): Promise<number> =>
  (await shelf()).blocks.filter((b) => b.clayId === clayId).reduce((sum, b) => sum + b.leftGrams, 0);

test('a plan says how much of which clay, and its steps end at the oven', async () => {
  const { saved, chalk, beet } = await planned();
  const [drop] = saved.plan.pieces;
  if (drop?.wrong !== null) throw new Error('the drop cannot be cut');
  const sheet = (drop.layout.width * drop.layout.length * drop.layout.sheets * 1.9) / 1000;
  expect(drop.layers[0]?.grams).toBeGreaterThan(0);
  expect(saved.plan.totalGrams).toBeCloseTo(drop.layers[0]?.grams ?? 0, 6);
  expect((drop.layers[0]?.grams ?? 0) / sheet).toBeGreaterThan(0.5);
  const grams = new Map(saved.plan.clays.map((c) => [c.clayId, c.grams]));
  expect((grams.get(chalk.id) ?? 0) / (grams.get(beet.id) ?? 1)).toBeCloseTo(4, 6);
  expect(saved.plan.steps.map((s) => s.kind)).toEqual([...['condition', 'condition', 'mix', 'roll', 'cut', 'bake']]);
});

test('counted in discs, each clay comes in quarter discs and never too little', async () => {
  const { saved } = await planned();
  const { setup } = (await api.get<MachinesAnswer>('/api/machines')).body;
  await api.ask('PUT', '/api/bench', { ...setup, discMm: 20, discSettingId: setting('3') });
  const again = (await api.get<BatchAnswer>(`/api/batches/${saved.id}`)).body;
  expect(again.plan.totalGrams).toBeGreaterThanOrEqual(saved.plan.totalGrams - 1e-6);
  for (const portion of again.plan.mixes[0]?.portions ?? []) expect(portion.discs).toMatch(/^\d+(\/[24])?$/);
  await api.ask('POST', '/api/undo');
});

test(
  'done takes the clay off the shelf and writes the diary in one change; undo restores both, redo ' + 'repeats both',
  async () => {
    const { saved, chalk, ring } = await planned();
    const before = withoutVersions(await shelf());
    const dto = doneOf(saved);
    expect((await api.ask('POST', `/api/batches/${saved.id}/done`, dto)).status).toBe(200);
    const taken = dto.used.find((u) => u.clayId === chalk.id)?.grams ?? 0;
    expect(await left(chalk.id)).toBeCloseTo(57 - taken, 9);
    const entry = (await api.get<DiaryAnswer>(`/api/diary/${dto.entryId}`)).body;
    expect(entry).toMatchObject({
      title: saved.name,
      note: 'went well',
      madeOn: '2026-11-24',
      pieces: [{ name: 'Drop', count: 11, cutter: cutterOfSize(18, null) }],
      mixes: [{ revisionId: ring.revisions[0]?.id, number: 1 }],
    });
    expect(entry.clays.find((c) => c.clayId === chalk.id)?.grams).toBeCloseTo(taken, 9);
    await api.ask('POST', '/api/undo');
    expect(withoutVersions(await shelf())).toEqual(before);
    expect((await api.get(`/api/diary/${dto.entryId}`)).status).toBe(404);
    expect((await api.get<BatchAnswer>(`/api/batches/${saved.id}`)).body.doneEntryId).toBeNull();
    await api.ask('POST', '/api/redo');
    expect(await left(chalk.id)).toBeCloseTo(57 - taken, 9);
    expect((await api.get(`/api/diary/${dto.entryId}`)).status).toBe(200);
  },
);

test('what broke is counted at once or later, month by month, and says how many spares to cut', async () => {
  const monthly = async () => (await api.get<MonthsAnswer>('/api/diary/months')).body.months;
  const pieces = (months: MonthsAnswer['months']) => months.find((m) => m.kind === 'pieces' && m.month === '2024-05');
  const { saved, chalk } = await planned({ count: 20, spare: 2 });
  expect(saved.plan.breakage).toBeNull();
  const [drop] = saved.pieces;
  const made = (broken: number) => [{ pieceId: drop?.id ?? '', count: 20, broken }];
  const done = (broken: number) =>
    api.ask<Problem>('POST', `/api/batches/${saved.id}/done`, { ...dto, made: made(broken) });
  const dto = doneOf(saved, { madeOn: '2024-05-11' });
  const tooMany = await done(23);
  expect([tooMany.status, tooMany.body.fields?.[0]?.field]).toEqual([422, 'made.0.broken']);
  expect(pieces(await monthly())).toBeUndefined();
  expect((await done(3)).status).toBe(200);
  const grams = dto.used.reduce((sum, u) => sum + u.grams, 0);
  const told = pieces(await monthly());
  expect(told).toMatchObject({ entries: 1, pieces: 22, broken: 3, minutes: 0 });
  expect(told?.grams).toBeCloseTo(grams, 9);
  // 3 of 22, beside 60 at three in a hundred
  const rate = (3 + 1.8) / (22 + 60);
  const taught = (await api.get<TaughtAnswer>('/api/taught')).body.figures.find((f) => f.kind === 'breakage');
  expect(taught).toMatchObject({ assumed: 0.03, from: 1, key: breakageKey(chalk.lineId) });
  expect(taught?.learned).toBeCloseTo(rate, 9);
  const next = batch({
    ...saved.pieces[0]!,
    id: randomUUID(),
    layers: saved.pieces[0]!.layers.map((l) => ({ ...l, id: randomUUID() })),
  });
  await api.ask('PUT', `/api/batches/${next.id}`, next);
  expect((await api.get<BatchAnswer>(`/api/batches/${next.id}`)).body.plan.breakage).toBeCloseTo(rate, 9);
  // one more breaks weeks later
  const entry = (await api.get<DiaryAnswer>(`/api/diary/${dto.entryId}`)).body;
  const own = entry.pieces[0]!;
  const later = { id: entry.id, version: entry.version, note: entry.note };
  const say = (id: string, count: number) =>
    api.ask<DiaryAnswer & Problem>('PUT', `/api/diary/${entry.id}`, { ...later, broken: [{ id, count }] });
  expect((await say(own.id, 23)).body.fields?.[0]?.field).toBe('broken.0.count');
  expect((await say(randomUUID(), 1)).body.fields?.[0]?.field).toBe('broken.0.id');
  expect((await say(own.id, 4)).body.pieces[0]).toMatchObject({ count: 22, broken: 4 });
  expect(pieces(await monthly())).toMatchObject({ pieces: 22, broken: 4 });
  await api.ask('POST', '/api/undo');
  expect(pieces(await monthly())).toMatchObject({ broken: 3 });
});

test('done twice, or with more clay than there is, is refused and changes nothing', async () => {
  const { saved, chalk } = await planned();
  const tooMuch = doneOf(saved, { used: [{ clayId: chalk.id, grams: 80 }] });
  const refused = await api.ask<Problem>('POST', `/api/batches/${saved.id}/done`, tooMuch);
  expect(refused.status).toBe(422);
  expect(refused.body.fields?.[0]?.field).toBe('used.0.grams');
  expect(refused.body.detail).toMatch(/only 57 g \(2\.01 oz\) of Chalk/);
  expect(await left(chalk.id)).toBe(57);
  expect((await api.get(`/api/diary/${tooMuch.entryId}`)).status).toBe(404);
  expect((await api.ask('POST', `/api/batches/${saved.id}/done`, doneOf(saved))).status).toBe(200);
  expect((await api.ask<Problem>('POST', `/api/batches/${saved.id}/done`, doneOf(saved))).body.detail).toMatch(
    /done already/,
  );
  expect(
    (await api.ask<Problem>('PUT', `/api/batches/${saved.id}`, { ...batch(), id: saved.id, version: saved.version }))
      .body.detail,
  ).toMatch(/done and written down/);
});

test('once something was made from a recipe, a change makes a new revision and the old one stays', async () => {
  const { saved, ring, beet } = await planned();
  await api.ask('POST', `/api/batches/${saved.id}/done`, doneOf(saved));
  const made = (await api.get<MixAnswer>(`/api/mixes/${ring.id}`)).body;
  const dto: MixDto = {
    id: ring.id,
    version: made.version,
    name: ring.name,
    note: '',
    retired: false,
    basis: 'volume',
    ingredients: [{ parts: '1', of: ofClay(beet.id) }],
  };
  const changed = (await api.ask<MixAnswer>('PUT', `/api/mixes/${ring.id}`, dto)).body;
  expect(changed.revisions.map((r) => [r.number, r.made, r.newest])).toEqual([
    [1, true, false],
    [2, false, true],
  ]);
  expect(changed.revisions[0]?.ingredients).toEqual(ring.revisions[0]?.ingredients);
  const layer = (await api.get<BatchAnswer>(`/api/batches/${saved.id}`)).body;
  expect(layer.plan.materials[ring.revisions[0]?.id ?? '']?.newer).toBe(changed.revisions[1]?.id);
  expect((await api.ask<Problem>('DELETE', `/api/mixes/${ring.id}?version=${changed.version}`)).body.detail).toMatch(
    /the diary entry/,
  );
});

test('a cutter larger than the sheet says so at its piece and the rest is still planned', async () => {
  const { saved } = await planned({ widthMm: 150 });
  expect(saved.plan.pieces[0]?.wrong).toMatch(
    /A cutter of 150 mm round \(5\.91 in round\) does not fit on a sheet of 110 × 200 mm/,
  );
  expect(saved.plan.totalGrams).toBe(0);
});

test.each([
  ['count', 0, /whole number from 1/],
  ['count', 1.5, /whole number/],
  ['count', 'ten', /whole number/],
  ['widthMm', -3, /1 to 500 mm/],
  ['widthMm', null, /1 to 500 mm/],
  ['bridgeMm', 1e9, /0 to 50 mm/],
  ['spare', -1, /whole number from 0/],
  ['layers', [], /at least one layer/],
  ['name', ' ', /needs a name/],
  ['shape', 'star', /one of these shapes: round, rectangle/],
])('a piece with %s of %p is refused at its field', async (field, value, sentence) => {
  const { chalk } = await smallShelf(api);
  const good = piece('', { layers: [{ id: randomUUID(), of: ofClay(chalk.id), settingId: setting('6') }] });
  const dto = batch({ ...good, [field]: value } as PieceDto);
  const { status, body } = await api.ask<Problem>('PUT', `/api/batches/${dto.id}`, dto);
  expect([status, body.fields?.[0]?.field]).toEqual([422, `pieces.0.${field}`]);
  expect(body.fields?.[0]?.sentence).toMatch(sentence);
  expect((await api.get(`/api/batches/${dto.id}`)).status).toBe(404);
});

test(
  'the diary is found by what was made, by its mixes, its clays and its note, and its note can be ' + 'changed',
  async () => {
    const { saved, ring, beet } = await planned({ name: 'Romanesco spiral' });
    const dto = doneOf(saved, { note: 'Kühl gelagert', madeOn: '2026-01-02' });
    await api.ask('POST', `/api/batches/${saved.id}/done`, dto);
    const found = async (search: string): Promise<string[]> =>
      (await api.get<DiaryListAnswer>(`/api/diary?search=${encodeURIComponent(search)}`)).body.entries.map((e) => e.id);
    for (const search of ['roman', 'SPIRAL rom', 'kuhl', ring.name, beet.name])
      expect(await found(search)).toEqual([dto.entryId]);
    expect(await found('spiral marrow')).toEqual([]);
    expect(await found('" OR 1=1 * (')).toEqual([]);
    const entry = (await api.get<DiaryAnswer>(`/api/diary/${dto.entryId}`)).body;
    const noted = await api.put('diary', { id: entry.id, version: entry.version, note: 'better with a parsnip' });
    expect(noted.status).toBe(200);
    expect(await found('parsnip')).toEqual([dto.entryId]);
    expect((await api.put('diary', { id: entry.id, version: entry.version, note: 'older window' })).status).toBe(409);
    expect(await found('kuhl')).toEqual([]);
  },
);

test('a machine whose setting a batch uses keeps it; one with readings that contradict is kept as read', async () => {
  const { saved } = await planned();
  const fewer = { ...roller, settings: roller.settings.filter((s) => s.label !== '6') };
  const refused = await api.ask<Problem>('PUT', `/api/machines/${roller.id}`, fewer);
  expect([refused.status, refused.body.detail.includes(saved.name)]).toEqual([409, true]);
  const odd = machine('Odd crank', '5', '1');
  odd.readings = [
    [odd.settings[0], 1],
    [odd.settings[1], 2],
  ].map(([s, mm]) => ({
    id: randomUUID(),
    settingId: (s as { id: string }).id,
    mm: mm as number,
    sigmaMm: 0.05,
    way: 'calipers',
  }));
  expect((await api.put('machines', odd)).body.readings).toHaveLength(2);
  const twice = machine('Twice');
  twice.settings = [...twice.settings, { id: randomUUID(), label: '3' }];
  expect((await api.ask<Problem>('PUT', `/api/machines/${twice.id}`, twice)).body.detail).toMatch(
    /setting 3 is on this dial twice/,
  );
});
