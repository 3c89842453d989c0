import { randomUUID } from 'node:crypto';
import { keyOf, ofClay, ofMix } from '#core/material';
import { PATTERN_VERSION, planPattern, type PatternStep } from '#core/pattern';
import type {
  BalanceAnswer,
  BatchAnswer,
  BatchDto,
  CaneAnswer,
  ChangesAnswer,
  DiaryAnswer,
  MachinesAnswer,
  MixAnswer,
  PatternAnswer,
  PatternCard,
  PatternCutDto,
  PatternDoneDto,
  PatternDto,
  Problem,
  ShelfAnswer,
  ShoppingAnswer,
  StockAnswer,
} from '#contract';
import { Api, machine, mix, smallShelf } from './api.js';
import { caneOf, log } from './canes.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

const save = (dto: PatternDto) => api.ask<PatternAnswer & Problem>('PUT', `/api/patterns/${dto.id}`, dto);
const open = async (id: string): Promise<PatternAnswer> => (await api.get<PatternAnswer>(`/api/patterns/${id}`)).body;
const detail = async (path: string): Promise<string> => (await api.ask<Problem>('DELETE', path)).body.detail;

const patternOf = (name: string, ...steps: readonly PatternStep[]): PatternDto => ({
  id: randomUUID(),
  version: 0,
  name,
  note: '',
  retired: false,
  program: { version: PATTERN_VERSION, steps },
  wanted: null,
});
const sent = ({ id, version, name, note, retired, program, wanted }: PatternAnswer): PatternDto => ({
  ...{ id, version, name, note, retired, program },
  wanted: wanted ?? null,
});
const stack = (...of: readonly string[]): PatternStep => ({
  id: 'a',
  do: 'stack',
  width: 60,
  height: 50,
  layers: of.map((key) => ({ of: key, thickness: 2 })),
});
const dents: PatternStep = {
  id: 'b',
  do: 'dents',
  balls: [{ diameter: 6, depth: 2 }],
  laid: 'scattered',
  number: 20,
  around: 0,
  seed: 1,
};

test('a patterned sheet is kept with its steps, rests on its mixes, and undo takes a change back', async () => {
  const { chalk, beet } = await smallShelf(api);
  const ring = mix('Ring', ['4', ofClay(chalk.id)], ['1', ofClay(beet.id)]);
  const made = (await api.ask<MixAnswer>('PUT', `/api/mixes/${ring.id}`, ring)).body;
  const revision = keyOf(ofMix(made.revisions[0]?.id ?? ''));
  const dto = patternOf('Onion', stack(revision, keyOf(ofClay(beet.id))), dents);
  const saved = (await save(dto)).body;
  expect([saved.program, saved.revision, saved.referenced.map((r) => r.mixName), saved.stops]).toEqual([
    dto.program,
    1,
    ['Ring'],
    [],
  ]);
  await api.reopen();
  const [card] = (await api.get<PatternCard[]>('/api/patterns')).body;
  expect(card).toMatchObject({ name: 'Onion', steps: dto.program.steps.length, revisionId: saved.revisionId });
  // one of its two materials is the beetroot, as it is when baked
  expect(card?.hexes).toHaveLength(2);
  expect(card?.hexes).toContain(beet.bakedHex);
  // what it uses cannot be taken from under it
  expect(await detail(`/api/mixes/${made.id}?version=${made.version}`)).toContain('the patterned sheet Onion');
  expect(await detail(`/api/clays/${beet.id}?version=${beet.version}`)).toContain('the patterned sheet Onion');
  const changed = { ...sent(await open(dto.id)), program: { ...dto.program, steps: dto.program.steps.slice(0, 1) } };
  expect((await save(changed)).body.program.steps).toHaveLength(1);
  await api.ask<ChangesAnswer>('POST', '/api/undo', {});
  expect((await open(dto.id)).program).toEqual(dto.program);
});

test('what was made lies there, of its clays, and where one stopped is told; a change begins a revision', async () => {
  const { chalk, beet } = await smallShelf(api);
  const dto = patternOf('Onion', stack(keyOf(ofClay(chalk.id)), keyOf(ofClay(beet.id))), dents);
  const { version } = (await save(dto)).body;
  const before = (await api.get<StockAnswer>('/api/stock')).body.balance;
  const done: PatternDoneDto = {
    ...{ version, entryId: randomUUID(), madeOn: '2026-11-28', note: 'well pressed', hands: 3, liked: 'well' },
    stops: [{ step: 'b', kind: 'fold', times: 4, veinMm: 0.41 }],
    used: [
      { clayId: chalk.id, grams: 12 },
      { clayId: beet.id, grams: 12 },
    ],
    left: [{ parts: [{ of: ofClay(beet.id), grams: 4 }], to: 'tub' }],
    kept: { id: randomUUID(), name: 'Onion', keptIn: 'the tin', count: 2, widthMm: 60, lengthMm: 50, mm: 2 },
  };
  const { entryId } = (await api.ask<{ entryId: string }>('POST', `/api/patterns/${dto.id}/done`, done)).body;
  const { things, balance } = (await api.get<StockAnswer>('/api/stock')).body;
  const sheets = things.filter((t) => t.of.kind === 'pattern');
  expect(sheets.map((t) => [t.name, t.grams, t.patternId, t.keptIn]).sort()).toEqual([
    ['Onion, 1 of 2', 10, dto.id, 'the tin'],
    ['Onion, 2 of 2', 10, dto.id, 'the tin'],
  ]);
  // half and half by volume, and both weigh the same
  for (const { mass } of sheets[0]?.clays ?? []) expect(mass).toBeCloseTo(0.5, 2);
  const sum = (b: BalanceAnswer): number =>
    b.onShelf + b.lyingThere + b.inTubs + b.inPieces + b.thrown + b.lost + b.unsaid - b.found;
  expect(sum(balance)).toBeCloseTo(sum(before), 6);
  const entry = (await api.get<DiaryAnswer>(`/api/diary/${entryId}`)).body;
  expect(entry.patterns).toEqual([
    {
      patternId: dto.id,
      revisionId: expect.any(String),
      name: 'Onion',
      number: 1,
      hands: 3,
      stops: done.stops,
      liked: 'well',
      pictureId: null,
    },
  ]);
  const now = await open(dto.id);
  expect([now.made, now.stops[0]?.times, now.stops[0]?.madeOn]).toEqual([true, 4, '2026-11-28']);
  expect(
    (await save({ ...sent(now), program: { ...dto.program, steps: [stack(keyOf(ofClay(chalk.id)))] } })).body.revision,
  ).toBe(2);
  expect(await detail(`/api/patterns/${dto.id}?version=${(await open(dto.id)).version}`)).toContain(
    'Retire it instead',
  );
});

test('a sheet that lies there goes to a tub by its clays, as it was planned', async () => {
  const { chalk, beet } = await smallShelf(api);
  const dto = patternOf('Onion', stack(keyOf(ofClay(chalk.id)), keyOf(ofClay(chalk.id)), keyOf(ofClay(beet.id))));
  const { version } = (await save(dto)).body;
  const kept = { id: randomUUID(), name: 'Onion', keptIn: '', count: 1, widthMm: 60, lengthMm: 50, mm: 6 };
  const used = [
    { clayId: chalk.id, grams: 20 },
    { clayId: beet.id, grams: 10 },
  ];
  const done = { version, entryId: randomUUID(), madeOn: '2026-11-28', note: '', hands: 1, stops: [], used, kept };
  await api.ask('POST', `/api/patterns/${dto.id}/done`, done);
  const [thing] = (await api.get<StockAnswer>('/api/stock')).body.things;
  const away = { version: thing?.version, entryId: randomUUID(), madeOn: '2026-11-28', note: '', to: 'tub' };
  await api.ask('POST', `/api/made/${kept.id}/away`, away);
  const [tub] = (await api.get<StockAnswer>('/api/stock')).body.tubs.filter((t) => t.grams > 0);
  const { given } = planPattern(dto.program.steps);
  const whole = [...given.values()].reduce((a, b) => a + b, 0);
  for (const { clayId, grams } of tub?.clays ?? [])
    expect(grams / 30).toBeCloseTo((given.get(keyOf(ofClay(clayId))) ?? 0) / whole, 2);
});

test.each<[string, unknown, RegExp]>([
  ['no steps', { version: PATTERN_VERSION, steps: [] }, /a list of 1 to 60 is wanted at steps/],
  ['a newer version', { version: 9, steps: [] }, /written by a newer Sledge/],
  ['a step unknown', { version: 1, steps: [{ id: 'a', do: 'bake' }] }, /does not know \(“bake”\) at steps 1/],
  ['a dent in nothing', { version: 1, steps: [dents] }, /does not begin with clay at steps 1/],
])('%s is refused with its place, and nothing is kept', async (_, program, sentence) => {
  await smallShelf(api);
  const dto = { ...patternOf('Wrong', dents), program } as PatternDto;
  const answer = await save(dto);
  expect([answer.status, answer.body.fields?.[0]?.sentence ?? answer.body.detail]).toEqual([
    422,
    expect.stringMatching(sentence) as string,
  ]);
  expect((await api.get<PatternCard[]>('/api/patterns')).body).toEqual([]);
});

test('a clay that is not there any more is told', async () => {
  await smallShelf(api);
  const answer = await save(patternOf('Gone', stack(keyOf(ofClay(randomUUID())))));
  expect(answer.body.detail).toContain('is not there any more. Choose another one in its place.');
});

const oval = (places: readonly { x: number; y: number; sheet: number }[]): PatternCutDto => ({
  ...{ id: randomUUID(), name: 'Drops', shape: 'oval', widthMm: 20, heightMm: 30, rimMm: null, points: null },
  bridgeMm: 1,
  places: places.map((p) => ({ ...p, degrees: 0, flip: false })),
});

test('where it is cut is kept with the thing and begins no revision, also of what was made', async () => {
  const { chalk, beet } = await smallShelf(api);
  const dto = patternOf('Onion', stack(keyOf(ofClay(chalk.id)), keyOf(ofClay(beet.id))));
  const { version } = (await save(dto)).body;
  await api.ask('POST', `/api/patterns/${dto.id}/done`, {
    ...{ version, entryId: randomUUID(), madeOn: '2026-11-28', note: '', hands: 2, stops: [] },
    used: [{ clayId: chalk.id, grams: 10 }],
    kept: { id: randomUUID(), name: 'Onion', keptIn: '', count: 1, widthMm: 60, lengthMm: 50, mm: 2 },
  });
  const now = await open(dto.id);
  const cuts = [oval([{ x: 12, y: 20, sheet: 0 }])];
  const cut = (await save({ ...sent(now), cuts })).body;
  expect([cut.revision, cut.made, cut.cuts]).toEqual([1, true, cuts]);
  await api.ask('POST', '/api/undo', {});
  expect((await open(dto.id)).cuts).toBeNull();
  const wrong = await save({ ...sent(await open(dto.id)), cuts: [{ ...oval([]), widthMm: 0 }] });
  expect([wrong.status, wrong.body.fields?.[0]?.field]).toEqual([422, 'cuts.0.widthMm']);
});

/** A batch of two ovals on a patterned sheet that is not made yet, with a backing of one clay. */
async function ovalsOf(revisionId: string, backing: string): Promise<BatchDto> {
  const there = (await api.get<MachinesAnswer>('/api/machines')).body.machines[0];
  const roller = there ?? (await api.put('machines', machine('Bench roller'))).body;
  const settingId = roller.settings[0]?.id ?? '';
  const at = [
    { x: 12, y: 20, degrees: 0, flip: false },
    { x: 40, y: 20, degrees: 0, flip: false },
  ];
  return {
    ...{ id: randomUUID(), version: 0, name: 'Ovals', note: '', dueOn: null },
    pieces: [
      {
        ...{
          id: randomUUID(),
          name: 'Oval',
          shape: 'oval',
          widthMm: 20,
          heightMm: 30,
          count: 2,
          spare: 0,
          bridgeMm: 1,
        },
        ...{ sheetWidthMm: 60, sheetLengthMm: 50 },
        placed: { round: false, mm: 4, sheet: 0, hands: 1, places: at },
        layers: [
          { id: randomUUID(), of: ofClay(backing), settingId },
          { id: randomUUID(), of: { kind: 'pattern', id: revisionId }, settingId },
        ],
      },
    ],
  };
}

test('a planned sheet is a layer: made first, its clay is bought, and the sheet that lies there is told', async () => {
  const { chalk, beet } = await smallShelf(api);
  const dto = patternOf('Onion', stack(keyOf(ofClay(chalk.id)), keyOf(ofClay(beet.id))));
  const { version, revisionId } = (await save(dto)).body;
  const batch = await ovalsOf(revisionId, beet.id);
  const planned = (await api.ask<BatchAnswer>('PUT', `/api/batches/${batch.id}`, batch)).body;
  const [piece] = planned.plan.pieces;
  if (!piece || piece.wrong !== null) throw new Error(piece?.wrong ?? 'no piece');
  // up to the upper edge of the pieces and a bridge: 60 × 36 mm, 4 mm thick
  const { density } = (await api.get<ShelfAnswer>('/api/shelf')).body.lines[0] ?? { density: 0 };
  expect(piece.layers[1]?.grams).toBeCloseTo((60 * 36 * 4 * density) / 1000, 1);
  expect(planned.plan.ready.map((r) => [r.name, r.there])).toEqual([['Onion', 0]]);
  expect(planned.plan.materials[revisionId]?.lies).toBeNull();
  expect(planned.plan.steps.map((s) => s.kind)).toContain('ready');
  // half of the sheet is chalk, which nothing else of the batch takes
  const shopping = (await api.get<ShoppingAnswer>('/api/shopping')).body;
  const wanted = shopping.rows.find((w) => w.clayId === chalk.id)?.grams ?? 0;
  expect(wanted).toBeCloseTo((piece.layers[1]?.grams ?? 0) / 2, 0);
  expect(await detail(`/api/patterns/${dto.id}?version=${version}`)).toContain('a layer of Ovals');
  const kept = { id: randomUUID(), name: 'Onion', keptIn: '', count: 1, widthMm: 60, lengthMm: 50, mm: 4 };
  const used = [{ clayId: chalk.id, grams: 24 }];
  const done = { version, entryId: randomUUID(), madeOn: '2026-11-28', note: '', hands: 2, stops: [], used, kept };
  await api.ask('POST', `/api/patterns/${dto.id}/done`, done);
  const lying = (await api.get<BatchAnswer>(`/api/batches/${batch.id}`)).body.plan;
  expect(lying.materials[revisionId]?.lies).toEqual({ id: kept.id, name: 'Onion' });
  expect(lying.ready[0]?.there).toBeCloseTo(24, 6);
  const [thing] = (await api.get<StockAnswer>('/api/stock')).body.things;
  expect(thing?.patterned).toEqual({ revisionId, sheet: 0, hands: 2 });
});

test('more pieces than have a place say so; a sheet that is not there any more is refused', async () => {
  const { chalk, beet } = await smallShelf(api);
  const dto = patternOf('Onion', stack(keyOf(ofClay(chalk.id)), keyOf(ofClay(beet.id))));
  const { revisionId } = (await save(dto)).body;
  const batch = await ovalsOf(revisionId, beet.id);
  const more = { ...batch, pieces: batch.pieces.map((p) => ({ ...p, count: 5 })) };
  const answer = (await api.ask<BatchAnswer>('PUT', `/api/batches/${batch.id}`, more)).body;
  expect(answer.plan.pieces[0]?.wrong).toContain('2 have a place on the patterned sheet');
  const gone = await ovalsOf(randomUUID(), beet.id);
  const refused = await api.ask<Problem>('PUT', `/api/batches/${gone.id}`, gone);
  expect([refused.status, refused.body.fields?.[0]?.sentence]).toEqual([
    422,
    'The patterned sheet of this layer is not there any more.',
  ]);
});

describe('slices of a cane', () => {
  const slabOf = (of: string): PatternStep => ({
    ...{ id: 's', do: 'slab', columns: 3, rows: 2, laid: 'rows', turned: 'alike', seed: 1 },
    slices: [{ of, thickness: 1.5, degrees: 0 }],
  });
  const saveCane = async (dto: ReturnType<typeof caneOf>): Promise<CaneAnswer> =>
    (await api.ask<CaneAnswer>('PUT', `/api/canes/${dto.id}`, dto)).body;

  async function withSlab() {
    const { chalk, beet } = await smallShelf(api);
    const dto = caneOf('Radish', log(keyOf(ofClay(chalk.id))), {
      ...{ id: 'w', do: 'wrap', of: keyOf(ofClay(beet.id)), thickness: 2 },
    });
    const cane = await saveCane(dto);
    const key = keyOf({ kind: 'cane', id: cane.revisionId });
    const slab = (await save(patternOf('Slab', slabOf(key)))).body;
    return { chalk, beet, dto, cane, key, slab };
  }

  test('a sheet brings its canes along with what is in them, and keeps them from being taken away', async () => {
    const { chalk, beet, cane, slab } = await withSlab();
    const [cut] = slab.canes;
    expect([cut?.revisionId, cut?.name, cut?.newest]).toEqual([cane.revisionId, 'Radish', true]);
    // a core of 20 mm in a coat of 2: 100 to 44
    const share = new Map(cut?.parts.map((p) => [p.of, p.volume]));
    const [core, coat] = [chalk, beet].map((clay) => share.get(keyOf(ofClay(clay.id))) ?? NaN);
    expect((coat ?? 0) / (core ?? 1)).toBeCloseTo(0.44, 2);
    expect(await detail(`/api/canes/${cane.id}?version=${cane.version}`)).toContain('the patterned sheet Slab');
    const cards = (await api.get<PatternCard[]>('/api/patterns')).body;
    expect(cards[0]?.hexes).toHaveLength(1);
  });

  test('a cane of which a sheet was made is not written again; the newer one is told and taken', async () => {
    const { beet, dto, cane, key, slab } = await withSlab();
    const used = [{ clayId: beet.id, grams: 1 }];
    const done = { version: slab.version, entryId: randomUUID(), madeOn: '2026-11-29', note: '', hands: 1, stops: [] };
    expect((await api.ask('POST', `/api/patterns/${slab.id}/done`, { ...done, used, kept: null })).status).toBe(200);
    const thicker = [...dto.program.steps.slice(0, 1), { ...dto.program.steps[1], thickness: 3 }] as never;
    const next = await saveCane({ ...dto, version: cane.version, program: { ...dto.program, steps: thicker } });
    expect(next.revision).toBe(2);
    const newer = keyOf({ kind: 'cane', id: next.revisionId });
    expect((await open(slab.id)).outdated).toEqual([{ of: key, name: 'Radish', newer }]);
  });

  test('a cane that lies there goes in, and what is kept holds its clays', async () => {
    const { chalk, beet, dto, cane, slab } = await withSlab();
    const kept = { id: randomUUID(), name: 'Radish', form: 'cane', keptIn: '' };
    const used = [
      { clayId: chalk.id, grams: 20 },
      { clayId: beet.id, grams: 9 },
    ];
    const made = { version: cane.version, entryId: randomUUID(), madeOn: '2026-11-29', note: '', used, kept };
    const size = { diameterMm: 24, lengthMm: 60, trims: [], slices: 0 };
    expect((await api.ask('POST', `/api/canes/${dto.id}/done`, { ...made, ...size })).status).toBe(200);
    const [thing] = (await api.get<StockAnswer>('/api/stock')).body.things;
    expect(thing?.clays.map((c) => c.clayId).sort()).toEqual([chalk.id, beet.id].sort());
    const sheet = { id: randomUUID(), name: 'Slab', keptIn: '', count: 1, widthMm: 72, lengthMm: 48, mm: 1.5 };
    const done = {
      ...{ version: slab.version, entryId: randomUUID(), madeOn: '2026-11-29', note: '', hands: 1, stops: [] },
      ...{ used: [], ready: [{ of: { kind: 'made', id: kept.id }, grams: 10 }] },
      kept: { ...sheet, rolledAt: '4 of Bench roller' },
    };
    expect((await api.ask('POST', `/api/patterns/${slab.id}/done`, done)).status).toBe(200);
    const things = (await api.get<StockAnswer>('/api/stock')).body.things;
    const lying = things.find((t) => t.id === sheet.id);
    expect([lying?.left, lying?.rolledAt, things.find((t) => t.id === kept.id)?.left]).toEqual([
      ...[10, '4 of Bench roller', 19],
    ]);
    const mass = new Map(lying?.clays.map((c) => [c.clayId, c.mass]));
    expect((mass.get(beet.id) ?? 0) / (mass.get(chalk.id) ?? 1)).toBeCloseTo(0.44, 1);
  });

  test('slices of a cane that is not there are refused', async () => {
    await smallShelf(api);
    const answer = await save(patternOf('Gone', slabOf(`cane:${randomUUID()}`)));
    expect([answer.status, answer.body.detail]).toEqual([
      422,
      expect.stringContaining('is not there any more. Choose another one in its place.') as string,
    ]);
  });
});
