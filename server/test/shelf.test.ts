import { randomUUID } from 'node:crypto';
import type { BlockDto, ChangesAnswer, Problem, ShelfAnswer } from '#contract';
import { Api, block, clay, line, smallShelf } from './api.js';

let api: Api;
beforeAll(async () => {
  api = await Api.open();
});
afterAll(() => api.close());

const shelf = async (): Promise<ShelfAnswer> => (await api.get<ShelfAnswer>('/api/shelf')).body;

test('grams are taken out and put back, and undo knows what was taken', async () => {
  const { chalk } = await smallShelf(api);
  const own = (await shelf()).blocks.find((b) => b.clayId === chalk.id) as BlockDto;
  expect((await api.put('blocks', { ...own, leftGrams: 43 })).body.leftGrams).toBe(43);
  expect((await api.get<ChangesAnswer>('/api/changes')).body.undo?.summary).toBe(
    `took 14 g (0.49 oz) of ${chalk.name}`,
  );
  await api.ask('POST', '/api/undo');
  expect((await shelf()).blocks.find((b) => b.id === own.id)?.leftGrams).toBe(57);
});

test.each<[string, unknown, RegExp]>([
  ['leftGrams', 60, /57 g \(2\.01 oz\) cannot have 60 g/],
  ['leftGrams', -1, /0 to 5,000 g/],
  ['netGrams', 0, /0\.1 to 5,000 g/],
  ['netGrams', 'heavy', /0\.1 to 5,000 g/],
  ['price', -2, /0 to 100,000/],
  ['madeOn', 'soon', /2024-09-15/],
  ['clayId', randomUUID(), /not there any more/],
  ['extra', 1, /./],
])('a block with %s of %p is refused at its field, and the shelf is as it was', async (field, value, sentence) => {
  const { chalk } = await smallShelf(api);
  const before = await shelf();
  const refused = await api.ask<Problem>('PUT', `/api/blocks/${before.blocks.at(-1)?.id ?? ''}`, {
    ...before.blocks.at(-1),
    clayId: chalk.id,
    [field]: value,
  });
  expect([refused.status, refused.body.fields?.[0]?.field]).toEqual([422, field]);
  expect(refused.body.detail).toMatch(sentence);
  expect(await shelf()).toEqual(before);
});

test('names of lines and clays are held apart', async () => {
  const own = (await api.put('lines', line('Clearpane'))).body;
  expect((await api.ask<Problem>('PUT', `/api/lines/${randomUUID()}`, undefined)).status).toBe(422);
  const twin = line('clearpane ');
  expect((await api.ask<Problem>('PUT', `/api/lines/${twin.id}`, twin)).body.detail).toMatch(/already/);
  await api.put('clays', clay(own.id, 'Pea'));
  const pea = clay(own.id, 'PEA');
  expect((await api.ask<Problem>('PUT', `/api/clays/${pea.id}`, pea)).body.detail).toBe('Clearpane has a PEA already.');
  const hot = line('Hot', { bakeC: 150, maxC: 130 });
  expect((await api.ask<Problem>('PUT', `/api/lines/${hot.id}`, hot)).body.fields?.[0]?.field).toBe('maxC');
});

test('a line with clays stays; an unused clay goes with its blocks, and comes back with them', async () => {
  const { chalk } = await smallShelf(api);
  const own = (await shelf()).lines.find((l) => l.id === chalk.lineId);
  expect(
    (await api.ask<Problem>('DELETE', `/api/lines/${own?.id ?? ''}?version=${own?.version ?? 0}`)).body.detail,
  ).toMatch(/still has Chalk/);
  await api.put('blocks', block(chalk.id, 5));
  expect((await api.ask('DELETE', `/api/clays/${chalk.id}?version=${chalk.version}`)).status).toBe(204);
  expect((await shelf()).blocks.some((b) => b.clayId === chalk.id)).toBe(false);
  await api.ask('POST', '/api/undo');
  expect((await shelf()).blocks.filter((b) => b.clayId === chalk.id)).toHaveLength(2);
});
