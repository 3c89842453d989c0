import type {
  BatchAnswer,
  BatchCard,
  ChangesAnswer,
  DiaryListAnswer,
  MachinesAnswer,
  MixAnswer,
  MixListAnswer,
  MadeAnswer,
  ShelfAnswer,
} from '#contract';
import {
  MADE_BLEND,
  assembled,
  batches,
  blocks,
  chips,
  clays,
  conditionings,
  lyingThere,
  idOf,
  lines,
  machines,
  mixes,
  patterns,
  sheetBook,
} from '#demo';
import { contradictions, thicknesses } from '#core/sheet';
import { loadDemo } from '../src/loadDemo.js';
import { Api } from './api.js';

let api: Api;
beforeAll(async () => {
  api = await Api.open();
  await loadDemo(api.running.app);
});
afterAll(() => api.close());

test('the kitchen garden is there, whole', async () => {
  const shelf = (await api.get<ShelfAnswer>('/api/shelf')).body;
  expect([shelf.lines.length, shelf.clays.length, shelf.blocks.length]).toEqual([
    lines.length,
    clays.length,
    blocks.length,
  ]);
  const board = (await api.get<MixListAnswer>('/api/mixes?limit=500')).body;
  expect(board.cards.map((c) => c.name).sort()).toEqual(mixes.map((m) => m.name).sort());
  expect((await api.get<BatchCard[]>('/api/batches')).body).toHaveLength(batches.length + assembled.length);
  expect((await api.get<DiaryListAnswer>('/api/diary')).body.total).toBe(
    batches.filter((b) => b.done).length +
      sheetBook.length +
      conditionings.length +
      lyingThere.length +
      lyingThere.filter((t) => t.slices !== undefined).length +
      patterns.flatMap((p) => p.made ?? []).length +
      1,
  );
  const sheets = (await api.get<MadeAnswer[]>('/api/sheets')).body;
  expect(
    sheets
      .filter((s) => s.form === 'sheet')
      .map((s) => s.ofName)
      .sort(),
  ).toEqual(sheetBook.map((s) => s.of).sort());
  expect(sheets.filter((s) => s.form === 'plug').map((s) => s.ofName)).toEqual([MADE_BLEND.name]);
});

test('it is a beginning: nothing to take back, and loading it again changes nothing', async () => {
  expect((await api.get<ChangesAnswer>('/api/changes')).body).toEqual({ undo: null, redo: null, did: null });
  const before = (await api.get<ShelfAnswer>('/api/shelf')).body;
  await loadDemo(api.running.app);
  expect((await api.get<ShelfAnswer>('/api/shelf')).body).toEqual(before);
});

test('its two machines number in opposite directions, and their readings agree', async () => {
  const { machines: all, setup } = (await api.get<MachinesAnswer>('/api/machines')).body;
  expect(all.map((m) => m.name).sort()).toEqual(machines.map((m) => m.name).sort());
  const rises = all.map((m) => Number(m.settings[0]?.label) < Number(m.settings.at(-1)?.label));
  expect(new Set(rises).size).toBe(2);
  for (const m of all) {
    expect(contradictions(m)).toEqual([]);
    expect(new Set(thicknesses(m).map((s) => s.knowledge)).size).toBeGreaterThan(1);
  }
  expect(all.some((m) => m.id === setup.machineId)).toBe(true);
});

test.each(batches.map((b) => [b.name, b.id] as const))(
  '%s can be made: every piece is cut, every step has its place',
  async (_, id) => {
    const { plan, doneEntryId } = (await api.get<BatchAnswer>(`/api/batches/${id}`)).body;
    expect(plan.pieces.every((p) => p.wrong === null)).toBe(true);
    const order = ['condition', 'mix', 'roll', 'stack', 'cut', 'bake'];
    const kinds = plan.steps.map((s) => order.indexOf(s.kind));
    const [firstRoll, firstBake] = [kinds.indexOf(2), kinds.indexOf(5)];
    expect(Math.max(...kinds.slice(0, firstRoll))).toBeLessThan(2);
    expect(kinds.slice(firstBake).every((k) => k === 5)).toBe(true);
    expect(plan.totalGrams).toBeGreaterThan(plan.scrapGrams);
    expect(plan.usedCost).not.toBeNaN();
    expect(doneEntryId !== null).toBe(batches.find((b) => b.id === id)?.done !== null);
  },
);

test('its chips hang with their mixes, near what is predicted', async () => {
  for (const name of new Set(chips.map((c) => c.mix))) {
    const { chips: logged, revisions } = (await api.get<MixAnswer>(`/api/mixes/${idOf(`mix ${name}`)}`)).body;
    expect(logged).toHaveLength(chips.filter((c) => c.mix === name).length);
    expect(revisions.every((r) => r.made)).toBe(true);
  }
});

test('everything of it is told apart by name: nothing on the shelf is called like a mix', () => {
  const names = [...clays, ...mixes].map((x) => x.name.toLowerCase());
  expect(new Set(names).size).toBe(names.length);
});
