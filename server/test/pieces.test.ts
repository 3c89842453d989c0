import { randomUUID } from 'node:crypto';
import { keyOf, ofClay, ofMix } from '#core/material';
import { PIECE_MODELS, USUAL_FINISH, newFinish, withPieceMaterial, type PieceDocument } from '#core/piece';
import type {
  AssemblyDto,
  BakesAnswer,
  BatchAnswer,
  BatchDto,
  DiaryAnswer,
  DoneDto,
  FindingDto,
  FindingsAnswer,
  MostPiecesAnswer,
  PieceModelDto,
  PieceModelsAnswer,
  Problem,
} from '#contract';
import { Api, machine, mix, smallShelf } from './api.js';

let api: Api;
beforeAll(async () => {
  api = await Api.open();
  await api.put('machines', machine('Bench roller'));
});
afterAll(() => api.close());

const finding = (more: Partial<FindingDto> = {}): FindingDto => ({
  ...{ id: randomUUID(), version: 0, name: `Pin ${randomUUID().slice(0, 4)}`, form: 'pin', widthMm: 5, lengthMm: 25 },
  ...{ count: 20, price: 0.35, keptIn: 'the tin' },
  ...more,
});
const keep = (dto: FindingDto) => api.ask<FindingDto & Problem>('PUT', `/api/pieces/findings/${dto.id}`, dto);

/** A blossom all of one material, with a pin of one's own. */
function blossom(of: ReturnType<typeof keyOf>, pin: string): PieceDocument {
  const [{ piece }] = PIECE_MODELS as [(typeof PIECE_MODELS)[number]];
  const parts = piece.parts.map((part) =>
    part.shape.is === 'finding' ? { ...part, shape: { ...part.shape, finding: pin } } : { ...part, of },
  );
  return { ...piece, parts };
}

const assembly = (piece: PieceDocument, more: Partial<AssemblyDto> = {}): AssemblyDto => ({
  ...{ id: randomUUID(), name: 'Blossom', count: 12, spare: 1, bridgeMm: 1.5, piece, prices: [18] },
  finish: [{ ...newFinish(randomUUID(), 'glue'), grits: [...USUAL_FINISH.glue.grits] }],
  ...more,
});
const batchOf = (...assemblies: AssemblyDto[]): BatchDto => ({
  ...{ id: randomUUID(), version: 0, name: `Blossoms ${randomUUID().slice(0, 4)}`, note: '', dueOn: null, pieces: [] },
  assemblies,
});
const save = (dto: BatchDto) => api.ask<BatchAnswer & Problem>('PUT', `/api/batches/${dto.id}`, dto);

/** Twelve blossoms of a shelf of their own, with a pin each. */
async function planned(more: Partial<AssemblyDto> = {}) {
  const { chalk, beet } = await smallShelf(api);
  const pin = (await keep(finding())).body;
  const piece = blossom(keyOf(ofClay(chalk.id)), pin.id);
  const wanted = batchOf(assembly(piece, more));
  const { status, body } = await save(wanted);
  return { chalk, beet, pin, piece, wanted, status, saved: body };
}

const undo = () => api.ask('POST', '/api/undo');
const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);

test('pieces of many parts are kept as they were said, and planned in grams, findings and minutes', async () => {
  const { wanted, saved, status, pin } = await planned();
  expect(status).toBe(200);
  expect(saved.assemblies).toEqual(wanted.assemblies);
  const { plan } = saved;
  expect(plan.assemblies[0]).toMatchObject({ wrong: null });
  // all clay that goes in is in sheets and lumps, and what is scrap of it is less than half
  const sheets = plan.pieces.flatMap((p) => (p.wrong === null ? p.layers.map((l) => l.grams) : []));
  const lumps = plan.lumps.map((l) => l.grams);
  expect(plan.totalGrams).toBeCloseTo(sum([...sheets, ...lumps]), 6);
  expect(plan.assemblies[0]!.grams).toBeCloseTo(plan.totalGrams, 6);
  expect(plan.scrapGrams).toBeLessThan(plan.totalGrams * 0.6);
  // 30 seeds on each of 13
  expect(plan.lumps.find((l) => l.count === 390)!.grams).toBeCloseTo(
    390 * ((Math.PI * 1.2 ** 3) / 6) * 1.03 * (lumps[0]! / (13 * ((Math.PI * 10 ** 2 * 5) / 6) * 1.03)),
    4,
  );
  expect(plan.findings).toEqual([{ id: pin.id, name: pin.name, count: 13, there: 20, short: 0, cost: 13 * 0.35 }]);
  expect(plan.costs[0]).toMatchObject({ findings: (13 * 0.35) / 12, hours: null, total: null });
  expect(plan.costs[0]!.minutes).toBeGreaterThan(10);
});

test('its steps roll what is of one clay at one setting once, then shape, put together, bake and finish', async () => {
  const { saved } = await planned();
  const kinds = saved.plan.steps.map((s) => s.kind);
  expect(kinds.filter((k) => k === 'roll').length).toBeLessThan(kinds.filter((k) => k === 'cut').length);
  expect(kinds.indexOf('shape')).toBeLessThan(kinds.indexOf('assemble'));
  expect(kinds.indexOf('assemble')).toBeLessThan(kinds.indexOf('bake'));
  expect(kinds.at(-1)).toBe('finish');
});

test('what an hour is worth makes a price; 4,000 of them, or a part of no clay, are told', async () => {
  const { setup } = (await api.ask<{ setup: object }>('GET', '/api/machines')).body;
  await api.ask('PUT', '/api/bench', { ...setup, hourly: 15, overhead: 0.1 });
  const { saved, wanted, piece } = await planned();
  const [cost] = saved.plan.costs;
  expect(cost!.hours).toBeCloseTo((cost!.minutes / 60) * 15, 9);
  const many = await save({ ...wanted, version: saved.version, assemblies: [assembly(piece, { count: 4000 })] });
  expect(many.body.plan.assemblies[0]!.wrong).toMatch(/would be cut at once/);
  expect(many.body.plan.totalGrams).toBe(0);
  const bare = withPieceMaterial(piece, () => null);
  const none = await save({ ...wanted, version: many.body.version, assemblies: [assembly(bare)] });
  expect(none.body.plan.assemblies[0]!.wrong).toMatch(/Choose what these parts are made of: leaf, base/);
});

test.each<[string, (piece: PieceDocument) => unknown, RegExp]>([
  [
    'a piece that contains itself',
    (p) => ({ ...p, parts: p.parts.map((x) => ({ ...x, on: x.id })) }),
    /lies on itself/,
  ],
  ['500 parts', (p) => ({ ...p, parts: Array.from({ length: 500 }, (_, i) => ({ ...p.parts[0], id: `${i}` })) }), /60/],
  ['a clay that is not there', (p) => withPieceMaterial(p, () => keyOf(ofClay(randomUUID()))), /not there any more/],
])('%s is refused beside the piece, and nothing is lost', async (_, spoil, sentence) => {
  const { saved, wanted, piece } = await planned();
  const answer = await save({
    ...wanted,
    version: saved.version,
    assemblies: [assembly(spoil(piece) as PieceDocument)],
  });
  expect(answer.status).toBe(422);
  expect(answer.body.fields).toEqual([
    { field: 'assemblies.0.piece', sentence: expect.stringMatching(sentence) as string },
  ]);
  expect((await api.ask<BatchAnswer>('GET', `/api/batches/${wanted.id}`)).body.assemblies).toEqual(wanted.assemblies);
});

test('done takes clay and findings, the diary draws the piece, and undo brings all of it back', async () => {
  const { saved, wanted, pin } = await planned({ count: 3, spare: 0 });
  const done: DoneDto = {
    ...{ version: saved.version, entryId: randomUUID(), madeOn: '2026-11-28', note: '' },
    used: saved.plan.clays.map(({ clayId, grams }) => ({ clayId, grams: Math.round(grams * 10) / 10 })),
    findings: [{ id: pin.id, count: 3 }],
  };
  const tooMany = { ...done, findings: [{ id: pin.id, count: 21 }] };
  const refused = await api.ask<Problem>('POST', `/api/batches/${wanted.id}/done`, tooMany);
  expect(refused.body.fields?.[0]?.sentence).toMatch(/Only 20 of/);
  expect((await api.ask('POST', `/api/batches/${wanted.id}/done`, done)).status).toBe(200);
  const there = async () => (await api.ask<FindingsAnswer>('GET', '/api/pieces/findings')).body;
  expect((await there()).find((f) => f.id === pin.id)!.count).toBe(17);
  const entry = (await api.ask<DiaryAnswer>('GET', `/api/diary/${done.entryId}`)).body;
  expect(entry.findings).toEqual([{ name: pin.name, count: 3 }]);
  expect(entry.pieces).toMatchObject([{ name: 'Blossom', count: 3, piece: { piece: wanted.assemblies![0]!.piece } }]);
  await undo();
  expect((await there()).find((f) => f.id === pin.id)!.count).toBe(20);
});

test('what a part is made of cannot be taken away from under it', async () => {
  const { chalk, beet } = await smallShelf(api);
  const pin = (await keep(finding())).body;
  const dto = mix(`Ring ${randomUUID().slice(0, 4)}`, ['4', ofClay(chalk.id)], ['1', ofClay(beet.id)]);
  const ring = (await api.ask<{ revisions: { id: string }[] }>('PUT', `/api/mixes/${dto.id}`, dto)).body;
  const of = keyOf(ofMix(ring.revisions[0]!.id));
  const { body } = await save(batchOf(assembly(blossom(of, pin.id))));
  const gone = await api.ask<Problem>(
    'DELETE',
    `/api/mixes/${dto.id}?version=${String((ring as { version?: number }).version)}`,
  );
  expect(gone.body.detail).toContain(body.name);
  const pinGone = await api.ask<Problem>('DELETE', `/api/pieces/findings/${pin.id}?version=${pin.version}`);
  expect(pinGone.body.detail).toContain(`used by the batch ${body.name}`);
});

test('the most pieces that there is clay for', async () => {
  const { wanted } = await planned();
  const { count } = (
    await api.ask<MostPiecesAnswer>('GET', `/api/batches/${wanted.id}/most/${wanted.assemblies![0]!.id}`)
  ).body;
  expect(count).toBeGreaterThan(0);
  expect(count).toBeLessThan(200);
});

test('pieces are kept for another time, each by its own name', async () => {
  const { piece } = await planned();
  const model: PieceModelDto = { id: randomUUID(), version: 0, name: 'My blossom', piece, finish: [] };
  const put = (dto: PieceModelDto) => api.ask<PieceModelDto & Problem>('PUT', `/api/pieces/models/${dto.id}`, dto);
  const kept = (await put(model)).body;
  expect((await api.ask<PieceModelsAnswer>('GET', '/api/pieces/models')).body).toEqual([kept]);
  const twin = await put({ ...model, id: randomUUID(), name: ' my BLOSSOM' });
  expect(twin.body.fields?.[0]?.sentence).toMatch(/already/);
  expect((await api.ask('DELETE', `/api/pieces/models/${model.id}?version=${kept.version}`)).status).toBe(204);
  await undo();
  expect((await api.ask<PieceModelsAnswer>('GET', '/api/pieces/models')).body[0]!.piece).toEqual(piece);
});

test('what goes into the oven is told kind by kind, with its temperatures and its size', async () => {
  const { saved, wanted } = await planned();
  const { items, names } = (await api.ask<BakesAnswer>('GET', '/api/bakes')).body;
  const id = `${wanted.id} ${wanted.assemblies![0]!.id}`;
  const own = items.find((i) => i.id === id)!;
  expect(names[id]).toEqual({ piece: 'Blossom', batch: saved.name, batchId: wanted.id });
  expect(own).toMatchObject({ count: 13, celsius: saved.plan.loads[0]!.celsius, maxC: saved.plan.loads[0]!.maxC });
  expect(own.minutes).toBeCloseTo(saved.plan.loads[0]!.minutes, 6);
  expect(own.box.width).toBeGreaterThan(40);
});
