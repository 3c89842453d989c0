import { randomUUID } from 'node:crypto';
import { ofClay } from '#core/material';
import { trackBake, wishOf, type CurvePoint } from '#core/oven';
import type {
  BakedDto,
  BatchAnswer,
  BatchDto,
  DaysAnswer,
  DaysRuleDto,
  DiaryAnswer,
  DoneDto,
  MachineDto,
  MachinesAnswer,
  OvenDto,
  OvensAnswer,
  PlanAnswer,
  ProbeLogAnswer,
  ProbeSays,
  Problem,
  ShelfAnswer,
} from '#contract';
import { LOOSE_EVERY, PROBE_DROPS_EVERY, SILENT_EVERY, StandInProbe, hiddenOven } from '../src/devices/standInProbe.js';
import { Api, machine, smallShelf } from './api.js';

let api: Api;
let roller: MachineDto;
beforeAll(async () => {
  api = await Api.open();
  roller = (await api.put('machines', machine('Bench roller'))).body;
});
afterAll(() => api.close());
const MINUTE = 60_000;

describe('the probe that ships with Sledge', () => {
  /** Readings of so many minutes, two a second of its own time, without those that cannot be. */
  function heard(probe: StandInProbe, from: number, minutes: number) {
    const curve: CurvePoint[] = [];
    const odd: string[] = [];
    for (let t = from; t <= from + minutes * MINUTE; t += 500) {
      const outcome = probe.says(t);
      const reading = outcome === 'lost' ? null : outcome.says[0];
      if (reading?.says !== 'reading') odd.push('lost');
      else if (reading.celsius === null) odd.push('nothing');
      else if (reading.celsius > 350) odd.push('loose');
      else curve.push({ at: (reading.at - from) / MINUTE, celsius: reading.celsius });
    }
    return { curve, odd };
  }
  const errand = (what: 'on' | 'off' | 'door' | 'pace', dial: number | null = null) => ({
    ...{ id: randomUUID(), errand: what, dial, oven: 'Small oven' },
  });

  test('heats, goes beyond at first, holds what its oven holds, and cools while the door is open', () => {
    const probe = new StandInProbe(3, 0);
    probe.carryOut(errand('on', 130), 0);
    const { curve, odd } = heard(probe, 0, 60);
    const { offset, slope } = hiddenOven('Small oven');
    const keeps = offset + slope * 130;
    const late = curve.filter((p) => p.at > 40).map((p) => p.celsius);
    expect(Math.abs(late.reduce((a, b) => a + b, 0) / late.length - keeps)).toBeLessThan(4);
    expect(Math.max(...curve.filter((p) => p.at < 25).map((p) => p.celsius))).toBeGreaterThan(keeps + 3);
    expect(curve[0]!.celsius).toBeLessThan(25);
    const n = 60 * 120 + 1;
    expect(odd.filter((o) => o === 'lost')).toHaveLength(Math.floor(n / PROBE_DROPS_EVERY));
    expect(odd).toContain('loose');
    expect(odd).toContain('nothing');
    expect(odd.length).toBeLessThanOrEqual(n / LOOSE_EVERY + n / SILENT_EVERY + n / PROBE_DROPS_EVERY);
    probe.carryOut(errand('door'), 61 * MINUTE);
    const open = heard(probe, 61 * MINUTE, 3).curve;
    expect(open.at(-1)!.celsius).toBeLessThan(open[0]!.celsius - 25);
  });

  test('its time can run faster; without a dial it refuses to be switched on', () => {
    const probe = new StandInProbe(3, 0);
    expect(probe.carryOut(errand('on'), 0)).toMatchObject({ says: [{ says: 'refused' }] });
    probe.carryOut(errand('on', 130), 0);
    probe.carryOut(errand('pace'), 0);
    probe.carryOut(errand('pace'), 0);
    const outcome = probe.says(MINUTE);
    const reading = outcome === 'lost' ? null : outcome.says[0];
    expect(reading).toMatchObject({ says: 'reading', at: 60 * MINUTE });
  });

  test('what it said is kept for a window that comes later', async () => {
    const stop = new AbortController();
    const url = `http://127.0.0.1:${api.running.port}`;
    const stream = await fetch(`${url}/api/devices/probe/events`, { signal: stop.signal });
    const reader = stream.body!.getReader();
    let text = '';
    while (!text.includes('"reading"')) text += new TextDecoder().decode((await reader.read()).value);
    const state = JSON.parse(/data: (\{.*?\})\n/.exec(text)![1]!) as ProbeSays;
    expect(state).toMatchObject({ says: 'state', standIn: true, dial: null, pace: 1 });
    const { readings } = (await api.get<ProbeLogAnswer>('/api/devices/probe/log?since=0')).body;
    expect(readings.length).toBeGreaterThan(0);
    expect(readings[0]![1]).toBeLessThan(30);
    const asked = await api.ask('POST', '/api/devices/probe/ask', errand('on', 130));
    expect(asked.status).toBe(202);
    stop.abort();
  });
});

/** Twenty round pieces of one clay. */
async function planned(more: Partial<BatchDto> = {}) {
  const { chalk } = await smallShelf(api);
  const dto: BatchDto = {
    ...{ id: randomUUID(), version: 0, name: `Discs ${randomUUID().slice(0, 4)}`, note: '', dueOn: null },
    pieces: [
      {
        ...{ id: randomUUID(), name: 'Disc', count: 20, spare: 2, bridgeMm: 2, sheetWidthMm: 100, sheetLengthMm: 150 },
        ...{ widthMm: 18, heightMm: null, shape: 'round', rimMm: null, points: null },
        layers: [{ id: randomUUID(), of: ofClay(chalk.id), settingId: roller.settings.at(-1)!.id }],
      },
    ],
    ...more,
  };
  const { body } = await api.ask<BatchAnswer & Problem>('PUT', `/api/batches/${dto.id}`, dto);
  return { saved: body, piece: dto.pieces[0]! };
}
const open = async (id: string): Promise<BatchAnswer> => (await api.get<BatchAnswer>(`/api/batches/${id}`)).body;
const undo = () => api.ask('POST', '/api/undo');
const done = (batch: BatchAnswer, plan: PlanAnswer, more: Partial<DoneDto>) => {
  const dto: DoneDto = {
    ...{ version: batch.version, entryId: randomUUID(), madeOn: '2026-11-28', note: '' },
    used: plan.clays.map(({ clayId, grams }) => ({ clayId, grams })),
    ...more,
  };
  return api.ask<{ entryId: string } & Problem>('POST', `/api/batches/${batch.id}/done`, dto);
};

describe('twelve of twenty', () => {
  test('are written down with their clay, the other eight stay; undo brings all of it back', async () => {
    const { saved, piece } = await planned();
    const made = [{ pieceId: piece.id, count: 12 }];
    const part = (await api.get<PlanAnswer>(`/api/batches/${saved.id}/part?made=${piece.id}.12`)).body;
    // 12 and one spare, of 20 and two
    expect(part.loads[0]!.pieces).toEqual([{ pieceId: piece.id, count: 13 }]);
    expect(part.totalGrams).toBeLessThan(saved.plan.totalGrams);
    const { body } = await done(saved, part, { made });
    const rest = await open(saved.id);
    expect(rest.pieces.map((p) => [p.count, p.spare])).toEqual([[8, 1]]);
    expect(rest).toMatchObject({ doneEntryId: null, parts: [{ entryId: body.entryId }] });
    const entry = (await api.get<DiaryAnswer>(`/api/diary/${body.entryId}`)).body;
    expect(entry).toMatchObject({ title: `${saved.name}, 12 of 20`, pieces: [{ name: 'Disc', count: 13 }] });
    // it stands in the diary now
    expect((await api.ask('DELETE', `/api/batches/${saved.id}?version=${rest.version}`)).status).toBe(409);
    const last = await done(rest, rest.plan, {});
    expect((await open(saved.id)).doneEntryId).toBe(last.body.entryId);
    await undo();
    await undo();
    expect((await open(saved.id)).pieces.map((p) => p.count)).toEqual([20]);
  });

  test('more than there are, none, or a kind that is not there: a sentence, and nothing is written', async () => {
    const { saved, piece } = await planned();
    const says = async (made: DoneDto['made']) => (await done(saved, saved.plan, { made })).body;
    expect((await says([{ pieceId: piece.id, count: 21 }])).fields![0]).toEqual({
      ...{ field: 'made.0.count', sentence: 'There are 20 Disc.' },
    });
    expect((await says([{ pieceId: piece.id, count: 0 }])).detail).toMatch(/Not one piece is finished yet/);
    expect((await says([{ pieceId: randomUUID(), count: 1 }])).fields![0]!.sentence).toMatch(/not in the batch/);
    expect((await api.get<Problem>(`/api/batches/${saved.id}/part?made=${piece.id}.x`)).status).toBe(422);
    expect((await open(saved.id)).parts).toEqual([]);
  });
});

test('minutes of the bench teach the days and the price; what nobody can have taken does not', async () => {
  const { saved } = await planned();
  const hands = async (): Promise<number> => {
    const { jobs } = (await api.get<DaysAnswer>('/api/days')).body;
    return jobs.find((j) => j.batchId === other.saved.id && j.kind === 'cut')!.phases[0]!.minutes;
  };
  const other = await planned();
  const before = await hands();
  const at = saved.plan.steps.findIndex((s) => s.kind === 'cut');
  const usual = 1 + 0.25 * 22;
  const tapped = saved.plan.steps.map((_, step) => ({ step, minutes: step === at ? 3 * usual : 0.01 }));
  await done(saved, saved.plan, { times: tapped });
  const { learned } = (await api.get<DaysAnswer>('/api/days')).body;
  expect(learned.map((l) => l.key)).toEqual(['cut']);
  // one time of three times as long is believed in part
  expect(learned[0]!.factor).toBeGreaterThan(1.2);
  expect(learned[0]!.factor).toBeLessThan(3);
  expect(await hands()).toBeGreaterThan(before);
  await undo();
  expect(await hands()).toBeCloseTo(before, 6);
});

describe('a load that was baked', () => {
  const curve = Array.from({ length: 50 }, (_, i) => ({ at: i, celsius: Math.min(130, 20 + 12 * i) }));
  async function oven(): Promise<OvenDto> {
    const dto: OvenDto = {
      ...{ id: randomUUID(), version: 0, name: `Oven ${randomUUID().slice(0, 4)}`, readings: [] },
      ...{ trayWidthMm: 300, trayLengthMm: 220 },
    };
    return (await api.ask<OvenDto>('PUT', `/api/ovens/${dto.id}`, dto)).body;
  }
  const baked = (id: string, more: Partial<BakedDto>) => {
    const dto: BakedDto = {
      ...{
        entryId: randomUUID(),
        madeOn: '2026-11-28',
        note: 'the back was browner',
        dial: 135,
        dialFrom: 0,
        celsius: 130,
        low: 125,
      },
      ...{ maxC: 150, minutes: 30, lasted: 49, curve, learn: true },
      items: [{ batchId: null, pieceId: null, name: 'Disc', count: 22, cores: false }],
      ...more,
    };
    return api.ask<{ entryId: string } & Problem>('POST', `/api/ovens/${id}/baked`, dto);
  };

  test('stands in the diary with its curve and its minutes, and the oven learns; undo takes both', async () => {
    const own = await oven();
    const { saved, piece } = await planned();
    const item = { batchId: saved.id, pieceId: piece.id, name: 'Disc', count: 22, cores: false };
    const { body } = await baked(own.id, { items: [item] });
    const entry = (await api.get<DiaryAnswer>(`/api/diary/${body.entryId}`)).body;
    expect(entry).toMatchObject({ title: 'Baked: 22 Disc', note: 'the back was browner' });
    const [bake] = entry.bakes;
    const wish = wishOf({ celsius: 130, low: 125, maxC: 150, minutes: 30 });
    expect(bake!.inBand).toBeCloseTo(trackBake(curve, wish).inBand, 9);
    expect(bake).toMatchObject({ hottest: 130, ovenName: own.name, items: [item] });
    const readings = async () => (await api.get<OvensAnswer>('/api/ovens')).body.find((o) => o.id === own.id)!.readings;
    expect((await readings()).map((r) => r.minutes)).toEqual([5, 10, 18, null]);
    const rule = async () => (await api.get<DaysRuleDto>('/api/days/rule')).body.done;
    expect((await rule()).some(({ jobId }) => jobId.startsWith(`${saved.id} bake`))).toBe(true);
    await undo();
    expect(await readings()).toEqual([]);
    // set anew while it was hot already: only what it holds is known of that
    await baked(own.id, { items: [item], dialFrom: 12 });
    expect((await readings()).map((r) => r.minutes)).toEqual([null]);
    await undo();
    expect((await rule()).some(({ jobId }) => jobId.startsWith(saved.id))).toBe(false);
    expect((await api.get(`/api/diary/${body.entryId}`)).status).toBe(404);
  });

  test('of several trays of the same each stands for one job of the days', async () => {
    // by its name the last: without a choice the first one is baked in
    const small = { ...(await oven()), name: 'Tiny oven', trayWidthMm: 60, trayLengthMm: 60 };
    const own = (await api.ask<OvenDto>('PUT', `/api/ovens/${small.id}`, small)).body;
    const { setup } = (await api.get<MachinesAnswer>('/api/machines')).body;
    await api.ask('PUT', '/api/bench', { ...setup, ovenId: own.id });
    // 18 mm with 5 between: four on a tray, five trays of 22, and two pieces more
    const { saved, piece } = await planned();
    expect(saved.plan.loads.map((l) => [l.times, l.pieces[0]!.count])).toEqual([
      [5, 4],
      [1, 2],
    ]);
    const item = { batchId: saved.id, pieceId: piece.id, name: 'Disc', count: 4, cores: false };
    const isDone = async () =>
      (await api.get<DaysRuleDto>('/api/days/rule')).body.done.filter(({ jobId }) => jobId.startsWith(saved.id));
    await baked(own.id, { items: [item] });
    expect(await isDone()).toHaveLength(1);
    await baked(own.id, { items: [item] });
    expect(await isDone()).toHaveLength(2);
    const again = (await api.get<MachinesAnswer>('/api/machines')).body.setup;
    await api.ask('PUT', '/api/bench', { ...again, ovenId: null });
  });

  test('without a probe it is told by the clock; half of the pieces are not the load', async () => {
    const own = await oven();
    const { saved, piece } = await planned();
    const item = { batchId: saved.id, pieceId: piece.id, name: 'Disc', count: 11, cores: false };
    const { body } = await baked(own.id, { items: [item], curve: [], dial: null });
    const [bake] = (await api.get<DiaryAnswer>(`/api/diary/${body.entryId}`)).body.bakes;
    expect(bake).toMatchObject({ inBand: null, hottest: null, lasted: 49, curve: [] });
    const { done: jobs } = (await api.get<DaysRuleDto>('/api/days/rule')).body;
    expect(jobs.some(({ jobId }) => jobId.startsWith(saved.id))).toBe(false);
  });

  test.each<[string, Partial<BakedDto>, string]>([
    ['hotter than it stands', { celsius: 160 }, 'celsius'],
    ['a band upside down', { low: 140 }, 'low'],
    ['nothing in it', { items: [] }, 'items'],
    ['a curve that runs backwards', { curve: [curve[1]!, curve[0]!] }, 'curve.1.at'],
    ['a heat that no oven has', { curve: [{ at: 1, celsius: 900 }] }, 'curve.0.celsius'],
  ])('is refused: %s', async (_, part, field) => {
    const own = await oven();
    const { status, body } = await baked(own.id, part);
    expect(status).toBeGreaterThanOrEqual(400);
    expect(body.fields!.map((f) => f.field)).toContain(field);
  });
});

test('own figures for baking are both or none, and never above the maximum', async () => {
  const { chalk } = await smallShelf(api);
  const line = (await api.get<ShelfAnswer>('/api/shelf')).body.lines.find((l) => l.id === chalk.lineId)!;
  const say = (more: object) => api.ask<Problem>('PUT', `/api/lines/${line.id}`, { ...line, ...more });
  expect((await say({ ownC: 115, ownMinutes: null })).body.fields![0]!.field).toBe('ownMinutes');
  expect((await say({ ownC: line.maxC + 5, ownMinutes: 60 })).body.fields![0]!.field).toBe('ownC');
  expect((await say({ ownC: 115, ownMinutes: 60 })).status).toBe(200);
});
