import { ofClay, ofMix } from '#core/material';
import { randomUUID } from 'node:crypto';
import { layoutOf } from '#core/blend';
import type { BlendAnswer, BlendCard, BlendDto, ChangesAnswer, DiaryAnswer, MixAnswer, Problem } from '#contract';
import { Api, machine, mix, smallShelf } from './api.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

async function planned(
  more: Partial<BlendDto['plan']> = {},
): Promise<{ dto: BlendDto; chalkId: string; mixId: string; machineId: string; version: number }> {
  const { chalk, beet } = await smallShelf(api);
  const own = (await api.put('machines', machine('Bench roller'))).body;
  const ring = mix(`Ring ${randomUUID().slice(0, 4)}`, ['4', ofClay(chalk.id)], ['1', ofClay(beet.id)]);
  const made = (await api.ask<MixAnswer>('PUT', `/api/mixes/${ring.id}`, ring)).body;
  const dto: BlendDto = {
    id: randomUUID(),
    version: 0,
    name: 'Beet fade',
    note: '',
    retired: false,
    plan: {
      colours: [ofClay(chalk.id), ofMix(made.revisions[0]?.id ?? '')],
      width: 140,
      height: 60,
      layers: 2,
      settingId: own.settings[0]?.id ?? '',
      kind: 'pure ends',
      pure: 14,
      cuts: layoutOf('pure ends', 2, 140, 60, 14).cuts.map((points) => ({ points: [...points] })),
      tapeWidth: 30,
      tapeSettingId: own.settings[1]?.id ?? '',
      plug: 'rolled',
      inside: 'first',
      fanDepth: 20,
      ...more,
    },
  };
  return { dto, chalkId: chalk.id, mixId: made.id, machineId: own.id, version: own.version };
}
/** A blend as it is sent: without what only an answer has. */
const sent = ({ revision: _, referenced: __, made: ___, counted: ____, ...dto }: BlendAnswer): BlendDto => dto;
const save = (dto: BlendDto): ReturnType<typeof api.ask<BlendAnswer>> =>
  api.ask<BlendAnswer>('PUT', `/api/blends/${dto.id}`, dto);

test('a blend is kept with its cuts, to the point, and brings the mixes it rests on; undo takes it back', async () => {
  const { dto } = await planned();
  const saved = (await save(dto)).body;
  expect(saved.plan).toEqual(dto.plan);
  expect(saved.referenced.map((r) => r.id)).toEqual([dto.plan.colours[1]?.id]);
  const moved = {
    ...sent(saved),
    plan: {
      ...saved.plan,
      kind: 'free' as const,
      cuts: [
        {
          points: [
            { x: 20, y: 0 },
            { x: 35.5, y: 12.25 },
            { x: 100, y: 60 },
          ],
        },
      ],
    },
  };
  await save(moved);
  await api.reopen();
  expect((await api.get<BlendAnswer>(`/api/blends/${dto.id}`)).body.plan.cuts).toEqual(moved.plan.cuts);
  const [card] = (await api.get<BlendCard[]>('/api/blends')).body;
  expect([card?.name, card?.hexes[0], card?.names[1]]).toEqual(['Beet fade', 'F1EEE4', expect.stringMatching(/^Ring/)]);
  expect((await api.ask<ChangesAnswer>('POST', '/api/undo')).body.did).toContain('changed the blend Beet fade');
  expect((await api.get<BlendAnswer>(`/api/blends/${dto.id}`)).body.plan.cuts).toEqual(dto.plan.cuts);
});

test('what a blend uses cannot be taken from under it', async () => {
  const { dto, chalkId, mixId, machineId, version } = await planned();
  await save(dto);
  const detail = async (path: string): Promise<string> => (await api.ask<Problem>('DELETE', path)).body.detail;
  const shelf = (await api.get<{ clays: { id: string; version: number }[] }>('/api/shelf')).body;
  expect(
    await detail(`/api/clays/${chalkId}?version=${shelf.clays.find((c) => c.id === chalkId)?.version ?? 0}`),
  ).toContain('the blend Beet fade');
  expect(
    await detail(`/api/mixes/${mixId}?version=${(await api.get<MixAnswer>(`/api/mixes/${mixId}`)).body.version}`),
  ).toContain('the blend Beet fade');
  expect(await detail(`/api/machines/${machineId}?version=${version}`)).toContain('the blend Beet fade');
  const saved = (await api.get<BlendAnswer>(`/api/blends/${dto.id}`)).body;
  expect((await api.ask('DELETE', `/api/blends/${dto.id}?version=${saved.version}`)).status).toBe(204);
  expect((await api.ask('DELETE', `/api/machines/${machineId}?version=${version}`)).status).toBe(204);
});

test.each<[string, (dto: BlendDto) => BlendDto, RegExp]>([
  [
    'cuts that cross',
    (d) => ({
      ...d,
      plan: {
        ...d.plan,
        colours: [...d.plan.colours, d.plan.colours[0]!],
        cuts: [
          {
            points: [
              { x: 10, y: 0 },
              { x: 90, y: 60 },
            ],
          },
          {
            points: [
              { x: 50, y: 0 },
              { x: 50, y: 60 },
            ],
          },
        ],
      },
    }),
    /Cuts 1 and 2 cross/,
  ],
  [
    'a cut too few',
    (d) => ({ ...d, plan: { ...d.plan, colours: [...d.plan.colours, d.plan.colours[0]!] } }),
    /a cut between every two colours/,
  ],
  [
    'a cut that leaves the sheet',
    (d) => ({
      ...d,
      plan: {
        ...d.plan,
        cuts: [
          {
            points: [
              { x: 10, y: 0 },
              { x: 190, y: 60 },
            ],
          },
        ],
      },
    }),
    /stay on the sheet/,
  ],
  ['one colour', (d) => ({ ...d, plan: { ...d.plan, colours: d.plan.colours.slice(0, 1) } }), /at least two colours/],
  [
    'a strange colour',
    (d) => ({ ...d, plan: { ...d.plan, colours: [ofClay(randomUUID()), d.plan.colours[1]!] } }),
    /not on the shelf/,
  ],
  ['a strange setting', (d) => ({ ...d, plan: { ...d.plan, settingId: randomUUID() } }), /setting is not there/],
  ['no height', (d) => ({ ...d, plan: { ...d.plan, height: 0 } }), /The height/],
  ['nine layers', (d) => ({ ...d, plan: { ...d.plan, layers: 9 } }), /number of layers/],
  ['no plan', (d) => ({ ...d, plan: null as never }), /plan|blend/],
])('a blend with %s is refused, and nothing is kept', async (_, wrong, sentence) => {
  const { dto } = await planned();
  const answer = await save(wrong(dto));
  expect([answer.status, JSON.stringify(answer.body)]).toEqual([422, expect.stringMatching(sentence)]);
  expect((await api.get<BlendCard[]>('/api/blends')).body).toEqual([]);
});

test('two blends of one name, and two windows on one blend', async () => {
  const { dto } = await planned();
  const saved = (await save(dto)).body;
  expect((await save({ ...dto, id: randomUUID(), name: 'beet FADE' })).status).toBe(422);
  await save({ ...sent(saved), note: 'from here' });
  const { status, body } = (await save({ ...sent(saved), note: 'from there' })) as unknown as {
    status: number;
    body: Problem;
  };
  expect([status, (body.current as BlendAnswer).note]).toEqual([409, 'from here']);
});

const done = (id: string, body: object): ReturnType<typeof api.ask<{ entryId: string } & Problem>> =>
  api.ask('POST', `/api/blends/${id}/done`, body);

test(
  'a blend that was made: the diary has it, the clay is off the shelf, the passes are remembered, and ' +
    'the plan stays what it was',
  async () => {
    const { dto, chalkId, mixId } = await planned();
    const saved = (await save(dto)).body;
    expect([saved.made, saved.counted]).toEqual([false, []]);
    const left = async (): Promise<number> =>
      (await api.get<{ blocks: { clayId: string; leftGrams: number }[] }>('/api/shelf')).body.blocks
        .filter((b) => b.clayId === chalkId)
        .reduce((sum, b) => sum + b.leftGrams, 0);
    const before = await left();
    const body = {
      version: saved.version,
      entryId: randomUUID(),
      madeOn: '2026-11-25',
      note: 'no air',
      passes: 12,
      used: [{ clayId: chalkId, grams: 20 }],
    };
    expect((await done(dto.id, body)).status).toBe(200);
    expect(await left()).toBeCloseTo(before - 20, 6);
    const entry = (await api.get<DiaryAnswer>(`/api/diary/${body.entryId}`)).body;
    expect(entry).toMatchObject({
      title: 'Beet fade',
      note: 'no air',
      blends: [{ blendId: dto.id, number: 1, passes: 12 }],
      clays: [{ grams: 20 }],
      mixes: [{ mixId }],
    });
    const made = (await api.get<BlendAnswer>(`/api/blends/${dto.id}`)).body;
    expect([made.made, made.counted.map((c) => c.passes)]).toEqual([true, [12]]);

    // a new name leaves the revision, a new cut begins another
    const renamed = (await save({ ...sent(made), name: 'Beet fade, wide' })).body;
    expect([renamed.revision, renamed.made]).toEqual([1, true]);
    const wider = (await save({ ...sent(renamed), plan: { ...renamed.plan, width: 150 } })).body;
    expect([wider.revision, wider.made]).toEqual([2, false]);
    expect((await api.ask<Problem>('DELETE', `/api/blends/${dto.id}?version=${wider.version}`)).body.detail).toContain(
      'was made and stands in the diary',
    );
    // all of it goes back one by one
    for (let i = 0; i < 3; i++) await api.ask('POST', '/api/undo');
    expect(await left()).toBeCloseTo(before, 6);
    expect((await api.get(`/api/diary/${body.entryId}`)).status).toBe(404);
  },
);

test.each<[string, (body: Record<string, unknown>, chalkId: string) => object, RegExp]>([
  ['more clay than there is', (b, id) => ({ ...b, used: [{ clayId: id, grams: 5000 }] }), /There are only/],
  [
    'a clay twice',
    (b, id) => ({
      ...b,
      used: [
        { clayId: id, grams: 1 },
        { clayId: id, grams: 1 },
      ],
    }),
    /stands here twice/,
  ],
  ['no pass', (b) => ({ ...b, passes: 0 }), /number of passes/],
  ['no day', (b) => ({ ...b, madeOn: 'today' }), /2024-09-15/],
])('making it with %s is refused, and nothing is taken', async (_, wrong, sentence) => {
  const { dto, chalkId } = await planned();
  const saved = (await save(dto)).body;
  const answer = await done(
    dto.id,
    wrong(
      { version: saved.version, entryId: randomUUID(), madeOn: '2026-11-25', note: '', passes: 12, used: [] },
      chalkId,
    ),
  );
  expect([answer.status, JSON.stringify(answer.body)]).toEqual([422, expect.stringMatching(sentence)]);
  expect((await api.get<BlendAnswer>(`/api/blends/${dto.id}`)).body.made).toBe(false);
});
