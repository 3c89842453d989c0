import { randomUUID } from 'node:crypto';
import { cutterArea, cutterOf } from '#core/cutter';
import { ofClay } from '#core/material';
import type { BatchAnswer, DiaryAnswer, DrawerAnswer, OwnCutterDto, PieceDto, Problem } from '#contract';
import { Api, machine, smallShelf } from './api.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

const leaf = (more: Partial<OwnCutterDto> = {}): OwnCutterDto => ({
  id: randomUUID(),
  version: 0,
  name: 'Pea leaf',
  shape: 'leaf',
  widthMm: 14,
  heightMm: 36,
  rimMm: null,
  points: null,
  ...more,
});
const put = (dto: OwnCutterDto) => api.ask<OwnCutterDto & Problem>('PUT', `/api/cutters/${dto.id}`, dto);
const drawer = async (): Promise<DrawerAnswer> => (await api.get<DrawerAnswer>('/api/cutters')).body;

test('a cutter is kept with its shape, the smallest first; undo takes it out', async () => {
  const hook: [number, number][] = [
    [0, 0],
    [9, 0],
    [3, 12],
  ];
  await put(leaf());
  await put(leaf({ name: 'Hook', shape: 'drawn', widthMm: 9, heightMm: 12, points: hook }));
  expect((await drawer()).map((c) => [c.name, c.points])).toEqual([
    ['Hook', hook],
    ['Pea leaf', null],
  ]);
  await api.ask('POST', '/api/undo');
  const [only] = await drawer();
  expect(only).toMatchObject({ name: 'Pea leaf', widthMm: 14, heightMm: 36 });
  const gone = await api.ask('DELETE', `/api/cutters/${only?.id ?? ''}?version=${only?.version ?? 0}`);
  expect([gone.status, await drawer()]).toEqual([204, []]);
});

test.each<[string, Partial<OwnCutterDto>, RegExp]>([
  ['no name', { name: ' ' }, /A cutter needs a name/],
  ['a name that is taken', { name: 'pea LEAF' }, /There is a cutter called pea LEAF already/],
  ['a rim that leaves nothing open', { rimMm: 7 }, /leaves no opening/],
  ['a shape nobody knows', { shape: 'star' as 'leaf' }, /A cutter has one of these shapes: round, /],
  [
    'an outline that crosses itself',
    {
      shape: 'drawn',
      points: [
        [0, 0],
        [9, 9],
        [9, 0],
        [0, 7],
      ],
    },
    /crosses itself/,
  ],
  ['points that are words', { shape: 'drawn', points: ['a', 'b', 'c'] as never }, /is a list of at most 2,000 places/],
  ['half a metre and more', { widthMm: 501 }, /The cutter has to be a number from 1 to 500 mm/],
])('a cutter with %s is refused', async (_, wrong, sentence) => {
  await put(leaf());
  const answer = await put(leaf({ name: 'Another', ...wrong }));
  expect(answer.status).toBe(422);
  expect(JSON.stringify(answer.body)).toMatch(sentence);
  expect(await drawer()).toHaveLength(1);
});

test('a batch of leaves with a rim is nested, weighed by its outline, and told in the diary', async () => {
  const { chalk } = await smallShelf(api);
  const own = machine('Bench roller');
  await api.put('machines', own);
  const { name: _, version: __, ...cutter } = leaf({ rimMm: 3 });
  const piece: PieceDto = {
    ...cutter,
    ...{ name: 'Leaf', count: 12, spare: 0, bridgeMm: 1, sheetWidthMm: 110, sheetLengthMm: 200, film: true },
    layers: [{ id: randomUUID(), of: ofClay(chalk.id), settingId: own.settings[3]?.id ?? '' }],
  };
  const dto = { id: randomUUID(), version: 0, name: 'Leaves', note: '', dueOn: null, pieces: [piece] };
  const batch = (await api.put('batches', dto)).body as unknown as BatchAnswer;
  const [plan] = batch.plan.pieces;
  if (plan?.wrong !== null) throw new Error('not cut');
  expect(plan.layout.pattern).toBe('nested');
  const pieces = (12 * cutterArea(cutterOf(piece))) / (plan.layout.width * plan.layout.length * plan.layout.sheets);
  expect(plan.scrapGrams / (plan.layers[0]?.grams ?? 0)).toBeCloseTo(1 - pieces, 9);
  expect(batch.plan.steps.find((s) => s.kind === 'cut')).toMatchObject({ film: true, pairs: false });
  const done = { version: batch.version, entryId: randomUUID(), madeOn: '2026-11-20', note: '' };
  const used = [{ clayId: chalk.id, grams: 10 }];
  expect((await api.ask('POST', `/api/batches/${batch.id}/done`, { ...done, used })).status).toBe(200);
  const entry = (await api.get<DiaryAnswer>(`/api/diary/${done.entryId}`)).body;
  const cutWith = { shape: 'leaf', width: 14, height: 36, rim: 3 };
  expect(entry.pieces).toMatchObject([{ name: 'Leaf', count: 12, broken: null, cutter: cutWith, piece: null }]);
});
