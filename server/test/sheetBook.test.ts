import { ofClay, ofMix, type Mixable } from '#core/material';
import { randomUUID } from 'node:crypto';
import { layoutOf } from '#core/blend';
import type {
  BlendAnswer,
  BlendDto,
  ChangesAnswer,
  ConditionedAnswer,
  ConditionedDto,
  DiaryAnswer,
  MixAnswer,
  Problem,
  RolledDto,
  MadeAnswer,
  MadeDto,
  ShelfAnswer,
} from '#contract';
import { GAUGE_DROPS_EVERY, StandInGauge, hiddenGap } from '../src/devices/standInGauge.js';
import { Api, machine, mix, smallShelf } from './api.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

const sheet = (more: Partial<MadeDto> = {}): MadeDto => ({
  id: randomUUID(),
  version: 0,
  name: 'Chalk, 4',
  note: '',
  form: 'sheet',
  widthMm: 100,
  lengthMm: 140,
  mm: 1.5,
  layers: 1,
  grams: 39.9,
  cuts: [],
  gone: false,
  inside: null,
  ...more,
});
const rolled = (of: Mixable, more: Partial<RolledDto> = {}): RolledDto => ({
  sheet: sheet(),
  of,
  rolledAt: '4 of Bench roller',
  entryId: randomUUID(),
  madeOn: '2026-11-26',
  note: 'even all over',
  used: [],
  ...more,
});
const roll = (dto: RolledDto): ReturnType<typeof api.ask<MadeAnswer>> =>
  api.ask<MadeAnswer>('POST', `/api/sheets/${dto.sheet.id}/rolled`, dto);
const leftOf = async (clayId: string): Promise<number> =>
  (await api.get<ShelfAnswer>('/api/shelf')).body.blocks
    .filter((b) => b.clayId === clayId)
    .reduce((sum, b) => sum + b.leftGrams, 0);

test(
  'a rolled sheet takes its clay off the shelf and stands in book and diary; one undo takes all of it ' + 'back',
  async () => {
    const { chalk, beet } = await smallShelf(api);
    const ring = mix('Ring', ['4', ofClay(chalk.id)], ['1', ofClay(beet.id)]);
    const revisionId = (await api.ask<MixAnswer>('PUT', `/api/mixes/${ring.id}`, ring)).body.revisions[0]?.id ?? '';
    const dto = rolled(ofMix(revisionId), {
      used: [
        { clayId: chalk.id, grams: 32 },
        { clayId: beet.id, grams: 8 },
      ],
    });
    const { body, status } = await roll(dto);
    expect([status, body.ofName, body.rolledAt, body.hexes.length, body.blendId]).toEqual([
      200,
      'Ring',
      '4 of Bench roller',
      1,
      null,
    ]);
    expect(await leftOf(chalk.id)).toBeCloseTo(25, 6);
    const entry = (await api.get<DiaryAnswer>(`/api/diary/${dto.entryId}`)).body;
    expect(entry.sheets).toEqual([
      expect.objectContaining({ sheetId: dto.sheet.id, name: 'Chalk, 4', rolledAt: '4 of Bench roller' }),
    ]);
    expect(entry.mixes[0]?.grams).toBe(39.9);
    // what a sheet was rolled from stays what it was
    expect((await api.get<MixAnswer>(`/api/mixes/${ring.id}`)).body.revisions[0]?.made).toBe(true);
    expect((await api.ask<ChangesAnswer>('POST', '/api/undo')).body.did).toContain('rolled Chalk, 4');
    expect([(await api.get<MadeAnswer[]>('/api/sheets')).body, await leftOf(chalk.id)]).toEqual([[], 57]);
    await api.ask('POST', '/api/redo');
    await api.reopen();
    expect((await api.get<MadeAnswer[]>('/api/sheets')).body[0]).toMatchObject({ id: dto.sheet.id, grams: 39.9 });
  },
);

test('pieces are cut from what is left, and no more than that; clay a sheet is of stays on the shelf', async () => {
  const { chalk } = await smallShelf(api);
  const made = (await roll(rolled(ofClay(chalk.id)))).body;
  const {
    of: _,
    blendId: ___,
    caneId: _c,
    patternId: _p,
    patterned: _pd,
    left: _l,
    clays: _cl,
    ofName: ____,
    hexes: _____,
    density: ______,
    rolledAt: _______,
    madeOn: ________,
    entryId: _________,
    ...sent
  } = made;
  const cut = (count: number) => ({
    id: randomUUID(),
    name: '',
    shape: 'round' as const,
    widthMm: 30,
    heightMm: null,
    count,
    bridgeMm: 2,
  });
  const save = (dto: MadeDto) => api.ask<MadeAnswer & Problem>('PUT', `/api/sheets/${dto.id}`, dto);
  const after = (await save({ ...sent, cuts: [cut(6)] })).body;
  expect(after.cuts).toHaveLength(1);
  const refused = await save({ ...sent, version: after.version, cuts: [cut(6), cut(30)] });
  expect([refused.status, refused.body.fields?.[0]?.field]).toEqual([422, 'cuts']);
  expect(refused.body.detail).toMatch(/30 of these do not fit on what is left of the sheet; \d+ do/);
  expect((await save({ ...sent, version: 1, cuts: [] })).status).toBe(409);
  const gone = (await save({ ...sent, version: after.version, cuts: after.cuts, gone: true })).body;
  expect(gone.gone).toBe(true);
  const shelf = (await api.get<ShelfAnswer>('/api/shelf')).body;
  const kept = await api.ask<Problem>(
    'DELETE',
    `/api/clays/${chalk.id}?version=${shelf.clays.find((c) => c.id === chalk.id)?.version ?? 0}`,
  );
  expect(kept.status).toBe(409);
});

test.each<[string, (d: RolledDto) => RolledDto, RegExp]>([
  ['of nothing', ({ of: _, ...d }) => d as RolledDto, /which clay or mix/],
  ['of no thickness', (d) => ({ ...d, sheet: { ...d.sheet, mm: 0 } }), /thickness has to be a number from 0.05/],
  [
    'with a clay of which there is too little',
    (d) => ({ ...d, used: [{ clayId: d.of.id, grams: 400 }] }),
    /There are only 57 g/,
  ],
  ['without a name', (d) => ({ ...d, sheet: { ...d.sheet, name: ' ' } }), /needs a name/],
])('a sheet %s is refused, and nothing of it is kept', async (_, change, words) => {
  const { chalk } = await smallShelf(api);
  const { status, body } = await api.ask<Problem>(
    'POST',
    '/api/sheets/x/rolled'.replace('x', 'a'),
    rolled(ofClay(chalk.id)),
  );
  expect([status, typeof body.detail]).toEqual([400, 'string']);
  const dto = change(rolled(ofClay(chalk.id)));
  const refused = await api.ask<Problem>('POST', `/api/sheets/${dto.sheet.id}/rolled`, dto);
  expect(refused.status).toBe(422);
  expect(JSON.stringify(refused.body)).toMatch(words);
  expect((await api.get<MadeAnswer[]>('/api/sheets')).body).toEqual([]);
  expect(await leftOf(chalk.id)).toBe(57);
});

test('a blend that is made lands in the book with its fade, and can be wound up there', async () => {
  const { chalk, beet } = await smallShelf(api);
  const own = (await api.put('machines', machine('Bench roller'))).body;
  const plan: BlendDto = {
    id: randomUUID(),
    version: 0,
    name: 'Beet fade',
    note: '',
    retired: false,
    plan: {
      colours: [chalk, beet].map((c) => ofClay(c.id)),
      width: 140,
      height: 60,
      layers: 2,
      settingId: own.settings[0]?.id ?? '',
      kind: 'corner',
      pure: 0,
      cuts: layoutOf('corner', 2, 140, 60, 0).cuts.map((points) => ({ points: [...points] })),
      tapeWidth: 30,
      tapeSettingId: null,
      plug: 'rolled',
      inside: 'first',
      fanDepth: 20,
      extraAt: 'last',
      extraMm: 40,
      stack: 2,
    },
  };
  const saved = (await api.ask<BlendAnswer>('PUT', `/api/blends/${plan.id}`, plan)).body;
  expect(saved.plan).toMatchObject({ extraAt: 'last', extraMm: 40, stack: 2 });
  const flat = sheet({ name: 'Beet fade', widthMm: 140, lengthMm: 60, mm: 2, layers: 4 });
  const done = {
    version: saved.version,
    entryId: randomUUID(),
    madeOn: '2026-11-26',
    note: '',
    passes: 12,
    used: [],
    sheet: flat,
  };
  expect((await api.ask('POST', `/api/blends/${plan.id}/done`, done)).status).toBe(200);
  const [kept] = (await api.get<MadeAnswer[]>('/api/sheets')).body;
  expect(kept).toMatchObject({ blendId: plan.id, ofName: 'Beet fade', hexes: ['F1EEE4', '7B1E4B'], layers: 4 });
  const wound = (
    await api.ask<MadeAnswer>('PUT', `/api/sheets/${flat.id}`, {
      ...flat,
      version: kept?.version,
      form: 'plug',
      widthMm: 33,
      lengthMm: 30,
      mm: 33,
      layers: 1,
      inside: 'last',
    })
  ).body;
  expect(wound).toMatchObject({ form: 'plug', inside: 'last', widthMm: 33 });
  expect((await api.ask<ChangesAnswer>('POST', '/api/undo')).body.did).toContain('wound Beet fade up');
});

test('what conditioning took is kept by line, and stands in the diary', async () => {
  const { chalk } = await smallShelf(api);
  const dto: ConditionedDto = {
    entryId: randomUUID(),
    clayId: chalk.id,
    firmness: 'firm',
    months: 14,
    roomC: 18,
    school: 'thin slices',
    passes: 21,
    grams: 57,
    madeOn: '2026-11-26',
    note: 'cold hands',
  };
  expect((await api.ask('POST', '/api/conditioned', dto)).status).toBe(200);
  expect((await api.get<ConditionedAnswer>('/api/conditioned')).body).toEqual([
    {
      lineId: chalk.lineId,
      firmness: 'firm',
      months: 14,
      roomC: 18,
      school: 'thin slices',
      passes: 21,
      grams: 57,
      squeeze: null,
    },
  ]);
  const entry = (await api.get<DiaryAnswer>(`/api/diary/${dto.entryId}`)).body;
  expect([entry.title, entry.conditioned[0]?.passes, entry.note]).toEqual([
    `${chalk.name} conditioned`,
    21,
    'cold hands',
  ]);
  expect((await api.ask('POST', '/api/conditioned', { ...dto, passes: 0 })).status).toBe(422);
});

describe('calipers and scale', () => {
  const press = (errand: 'read' | 'zero' | 'unit' | 'hold') => ({ id: randomUUID(), errand });
  const value = (gauge: StandInGauge, under: number | null, errand: 'read' | 'hold' = 'read'): number => {
    const outcome = gauge.carryOut(press(errand), under);
    const [says] = outcome === 'lost' ? [] : outcome.says;
    if (says?.says !== 'reading') throw new Error('no reading');
    return says.value;
  };

  test('read with noise around what lies there, in either unit; nothing there is said', () => {
    const gauge = new StandInGauge('calipers', 3);
    gauge.carryOut(press('zero'), null);
    const read = [1, 2, 3, 4, 5].map(() => value(gauge, 2.06));
    expect(Math.abs(read.reduce((a, b) => a + b, 0) / 5 - 2.06)).toBeLessThan(0.04);
    expect(new Set(read).size).toBeGreaterThan(1);
    expect(gauge.carryOut(press('unit'), null)).toMatchObject({ says: [{ says: 'state', unit: 'in' }] });
    expect(value(gauge, 25.4)).toBeCloseTo(1, 2);
    expect(gauge.carryOut(press('read'), null)).toMatchObject({
      says: [{ says: 'refused', why: expect.stringContaining('Nothing lies between the jaws') }],
    });
  });

  test('hold keeps a reading, the zero wanders until it is set, and the connection is lost now and then', () => {
    const gauge = new StandInGauge('scale', 5);
    expect(gauge.state()).toMatchObject({ sinceZero: null, unit: 'g' });
    const held = value(gauge, 14, 'hold');
    expect(value(gauge, 99)).toBe(held);
    expect(gauge.carryOut(press('hold'), 99)).toMatchObject({ says: [{ says: 'state', held: false }] });
    gauge.carryOut(press('zero'), null);
    expect(gauge.state()).toMatchObject({ sinceZero: 0, held: false });
    let lost = 0;
    for (let i = 0; i < 2 * GAUGE_DROPS_EVERY; i++) if (gauge.carryOut(press('read'), 20) === 'lost') lost++;
    expect(lost).toBe(2);
  });

  test('a setting lies between the jaws as it was measured, and near what is assumed where it was not', () => {
    const m = machine('Bench roller');
    expect(hiddenGap(m, 3)).toBe(2);
    expect(hiddenGap(m, 6)).toBe(hiddenGap({ ...m }, 6));
    expect(hiddenGap(m, 0)).toBeGreaterThan(hiddenGap(m, 9));
  });

  test('over the wire: unknown ones are not there, and one that nobody listens to says so', async () => {
    const ask = (name: string) =>
      api.ask<Problem>('POST', `/api/devices/${name}/ask`, { ...press('read'), about: 2, settingId: null });
    expect((await ask('ruler')).status).toBe(404);
    expect(await ask('scale')).toMatchObject({ status: 409, body: { detail: 'The scale is not connected.' } });
  });
});
