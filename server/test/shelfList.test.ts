import { ofClay } from '#core/material';
import { readShelfList } from '#core/formats';
import type { Problem, ShelfAnswer, ShelfListAnswer, ShelfListDto } from '#contract';
import { Api, mix, smallShelf } from './api.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

const shelf = async (): Promise<ShelfAnswer> => (await api.get<ShelfAnswer>('/api/shelf')).body;
const bring = (text: string, sure = true, line = 'Hearth Firm') => {
  const rows = readShelfList(text, line).lines.map((l) => ({ ...l }));
  const dto: ShelfListDto = { rows, sure };
  return api.ask<ShelfListAnswer & Problem>('POST', '/api/shelf/list', dto);
};

test('eighty clays come in one change, and go with one undo; looked at first nothing comes', async () => {
  const text = Array.from({ length: 80 }, (_, i) => `Pod ${i} 2 × 57 g`).join('\n');
  const told = (await bring(text, false)).body;
  expect(told).toEqual({
    ...{ lines: ['Hearth Firm'], clays: 80, blocks: 160, colourless: 80, faults: [] },
    grams: 160 * 57,
  });
  expect((await shelf()).clays).toHaveLength(0);
  expect((await bring(text)).body).toEqual(told);
  const there = await shelf();
  expect([there.lines.length, there.clays.length, there.blocks.length]).toEqual([1, 80, 160]);
  expect(there.lines[0]).toMatchObject({ name: 'Hearth Firm', densityMeasured: false });
  await api.ask('POST', '/api/undo');
  expect((await shelf()).lines).toHaveLength(0);
});

test('what is there already gets blocks; a line is known by its name, small letters or large', async () => {
  const { chalk } = await smallShelf(api);
  const before = await shelf();
  const own = before.lines.find((l) => l.id === chalk.lineId)!;
  const text = `line;name;grams;colour\n${own.name.toUpperCase()};${chalk.name};57;\n${own.name};Marrow;57;8FB93A`;
  const { body } = await bring(text);
  expect(body).toMatchObject({ lines: [], clays: 1, blocks: 2, colourless: 0 });
  const after = await shelf();
  expect(after.blocks.filter((b) => b.clayId === chalk.id)).toHaveLength(2);
  expect(after.clays.find((c) => c.name === 'Marrow')).toMatchObject({ bakedHex: '8FB93A', lineId: own.id });
});

test('a clay with the name of a mix is told at its row, and nothing of the list comes', async () => {
  const { chalk } = await smallShelf(api);
  const own = mix('Rose', ['1', ofClay(chalk.id)]);
  await api.ask('PUT', `/api/mixes/${own.id}`, own);
  const { blocks } = await shelf();
  const { body } = await bring('Marrow 57 g\nRose 57 g');
  expect(body.faults).toEqual([{ row: 2, sentence: 'There is a mix called Rose. Call the clay something else.' }]);
  expect((await shelf()).blocks).toHaveLength(blocks.length);
});

test.each([
  ['none at all', { rows: [], sure: true }, 'rows'],
  ['a clay without a name', { rows: [{ row: 1, line: 'A', name: ' ', kind: 'opaque' }], sure: true }, 'rows.0.name'],
])('is refused: %s', async (_, dto, field) => {
  const { status, body } = await api.ask<Problem>('POST', '/api/shelf/list', dto);
  expect(status).toBe(422);
  expect(body.fields!.map((f) => f.field)).toContain(field);
});
