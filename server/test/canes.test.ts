import { ofClay } from '#core/material';
import { randomUUID } from 'node:crypto';
import { PROGRAM_VERSION } from '#core/cane';
import type {
  BlendAnswer,
  CaneAnswer,
  CaneCard,
  CaneDto,
  ChangesAnswer,
  DiaryAnswer,
  MixAnswer,
  Problem,
  ShelfAnswer,
} from '#contract';
import { Api, fade, mix, smallShelf } from './api.js';
import { caneOf, log } from './canes.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

const save = (dto: CaneDto) => api.ask<CaneAnswer & Problem>('PUT', `/api/canes/${dto.id}`, dto);
const sent = ({ id, version, name, note, retired, program, slices, sliceMm, trimming, ends }: CaneAnswer): CaneDto => ({
  id,
  version,
  name,
  note,
  retired,
  program,
  slices,
  sliceMm,
  trimming,
  ends: ends ?? null,
});
const detail = async (path: string): Promise<string> => (await api.ask<Problem>('DELETE', path)).body.detail;

test('a cane is kept with its steps and brings all it rests on; undo takes a change back', async () => {
  const { chalk, beet } = await smallShelf(api);
  const ring = mix('Ring', ['4', ofClay(chalk.id)], ['1', ofClay(beet.id)]);
  const made = (await api.ask<MixAnswer>('PUT', `/api/mixes/${ring.id}`, ring)).body;
  const blend = fade('Beet fade', chalk, beet);
  await api.ask<BlendAnswer>('PUT', `/api/blends/${blend.id}`, blend);
  const blendRevision = (await api.get<{ id: string; revisionId: string }[]>('/api/blends')).body[0]?.revisionId ?? '';
  const dto = caneOf(
    'Bullseye',
    {
      id: 'a',
      do: 'plug',
      of: `blend:${blendRevision}`,
      wound: 'rolled',
      inside: 'first',
      width: 20,
      depth: 20,
      length: 60,
    },
    { id: 'b', do: 'wrap', of: `mix:${made.revisions[0]?.id ?? ''}`, thickness: 2 },
  );
  const saved = (await save(dto)).body;
  expect(saved.program).toEqual(dto.program);
  expect([
    saved.blends.map((b) => b.name),
    saved.referenced.map((r) => r.mixName),
    saved.revision,
    saved.learnedEnds,
  ]).toEqual([['Beet fade'], ['Ring'], 1, { ends: 0.6, from: 0 }]);
  await api.reopen();
  expect((await api.get<CaneCard[]>('/api/canes')).body[0]).toMatchObject({ name: 'Bullseye', steps: 2 });
  // what it uses cannot be taken from under it
  const shelf = (await api.get<ShelfAnswer>('/api/shelf')).body;
  expect(await detail(`/api/mixes/${made.id}?version=${made.version}`)).toContain('the cane Bullseye');
  expect(
    await detail(
      `/api/blends/${blend.id}?version=${(await api.get<BlendAnswer>(`/api/blends/${blend.id}`)).body.version}`,
    ),
  ).toContain('the cane Bullseye');
  expect(
    await detail(`/api/clays/${chalk.id}?version=${shelf.clays.find((c) => c.id === chalk.id)?.version ?? 0}`),
  ).toContain('Ring');
  await save({ ...sent(saved), slices: 90 });
  expect((await api.ask<ChangesAnswer>('POST', '/api/undo')).body.did).toContain('changed the cane Bullseye');
  expect((await api.get<CaneAnswer>(`/api/canes/${dto.id}`)).body.slices).toBe(20);
});

test('a cane in another one: by its revision, never in itself, and not to be taken away', async () => {
  const { chalk, beet } = await smallShelf(api);
  const eye = (await save(caneOf('Eye', log(`clay:${beet.id}`)))).body;
  const outer = caneOf('Peacock', log(`clay:${chalk.id}`), {
    id: 'b',
    do: 'insert',
    part: { ref: eye.revisionId, name: 'Eye' },
    x: 0,
    y: 0,
    diameter: 8,
    degrees: 0,
  });
  const saved = (await save(outer)).body;
  expect(saved.canes).toEqual([expect.objectContaining({ name: 'Eye', revisionId: eye.revisionId, newest: true })]);
  const around = await save({
    ...sent(eye),
    program: { version: PROGRAM_VERSION, steps: [{ id: 'a', do: 'cane', part: { ref: saved.revisionId } }] },
  });
  expect([around.status, around.body.detail]).toEqual([422, 'Eye cannot contain itself.']);
  expect(await detail(`/api/canes/${eye.id}?version=${eye.version}`)).toContain('is used by the cane Peacock');
  expect((await api.ask('DELETE', `/api/canes/${saved.id}?version=${saved.version}`)).status).toBe(204);
  expect((await api.ask('DELETE', `/api/canes/${eye.id}?version=${eye.version}`)).status).toBe(204);
});

test('a cane that was made takes its clay, keeps its revision, and its ends are learned from', async () => {
  const { chalk } = await smallShelf(api);
  const dto = (await save(caneOf('Rod', log(`clay:${chalk.id}`), { id: 'b', do: 'reduce', to: 'diameter', value: 10 })))
    .body;
  const done = {
    version: dto.version,
    entryId: randomUUID(),
    madeOn: '2026-11-26',
    note: 'a little taper',
    diameterMm: 10,
    lengthMm: 90,
    trims: [
      { lostMm: 18, unitMm: 20 },
      { lostMm: 50, unitMm: 40 },
    ],
    slices: 40,
    pictureId: null,
    used: [{ clayId: chalk.id, grams: 20 }],
  };
  expect((await api.ask('POST', `/api/canes/${dto.id}/done`, done)).status).toBe(200);
  const entry = (await api.get<DiaryAnswer>(`/api/diary/${done.entryId}`)).body;
  expect(entry.canes).toEqual([expect.objectContaining({ name: 'Rod', number: 1, lostMm: 50, slices: 40 })]);
  const after = (await api.get<CaneAnswer>(`/api/canes/${dto.id}`)).body;
  expect(after).toMatchObject({ made: true, revision: 1, learnedEnds: { from: 2 } });
  // the middle of both as ratios, drawn towards what is assumed
  const [first, second] = [0.9 / 0.6, 1.25 / 0.6];
  expect(after.learnedEnds.ends).toBeCloseTo(0.6 * (first * second) ** (1 / (2 + (0.35 / 0.5) ** 2)), 2);
  const changed = (
    await save({ ...sent(after), program: { version: PROGRAM_VERSION, steps: [log(`clay:${chalk.id}`)] } })
  ).body;
  expect([changed.revision, changed.made]).toEqual([2, false]);
  expect(await detail(`/api/canes/${dto.id}?version=${changed.version}`)).toContain('stands in the diary');
  expect(
    (
      await api.ask('POST', `/api/canes/${dto.id}/done`, {
        ...done,
        version: changed.version,
        entryId: randomUUID(),
        used: [{ clayId: chalk.id, grams: 999 }],
      })
    ).status,
  ).toBe(422);
});

test.each<[string, (dto: CaneDto) => unknown, RegExp]>([
  [
    'a step of nothing',
    (d) => ({ ...d, program: { version: 1, steps: [{ ...log('clay:x'), diameter: 0 }] } }),
    /steps 1, diameter/,
  ],
  ['no steps', (d) => ({ ...d, program: { version: 1, steps: [] } }), /a list of 1 to 80/],
  ['steps of a newer Sledge', (d) => ({ ...d, program: { version: 2, steps: [] } }), /newer Sledge/],
  [
    'a clay that is gone',
    (d) => ({ ...d, program: { version: 1, steps: [log(`clay:${randomUUID()}`)] } }),
    /not there any more/,
  ],
  ['no slices', (d) => ({ ...d, slices: 0 }), /number of slices/],
])('a cane with %s is refused, and nothing of it is kept', async (_, change, words) => {
  const { chalk } = await smallShelf(api);
  const dto = caneOf('Rod', log(`clay:${chalk.id}`));
  const refused = await api.ask<Problem>('PUT', `/api/canes/${dto.id}`, change(dto));
  expect(refused.status).toBe(422);
  expect(JSON.stringify(refused.body)).toMatch(words);
  expect((await api.get<CaneCard[]>('/api/canes')).body).toEqual([]);
});

/** A sheet that was rolled, and lies in the book. */
async function rolledSheet(clayId: string) {
  const sheet = {
    id: randomUUID(),
    version: 0,
    name: 'Chalk, 4',
    note: '',
    form: 'sheet',
    widthMm: 80,
    lengthMm: 140,
    mm: 1.5,
    layers: 1,
    grams: 32,
    cuts: [],
    gone: false,
    inside: null,
  };
  await api.ask('POST', `/api/sheets/${sheet.id}/rolled`, {
    sheet,
    of: ofClay(clayId),
    rolledAt: '4',
    entryId: randomUUID(),
    madeOn: '2026-11-26',
    note: '',
    used: [],
  });
  return sheet;
}

/** So many mm of a cane were made, out of so many mm of a sheet. */
const madeOutOf = (cane: { readonly id: string; readonly version: number }, sheetId: string, lengthMm: number) =>
  api.ask<Problem>('POST', `/api/canes/${cane.id}/done`, {
    version: cane.version,
    entryId: randomUUID(),
    madeOn: '2026-11-26',
    note: '',
    diameterMm: 16,
    lengthMm,
    trims: [],
    slices: 20,
    pictureId: null,
    taken: [{ sheetId, lengthMm }],
    used: [],
  });

test('what a cane is begun with out of the sheet book is taken from there, once; an undo brings it back', async () => {
  const { chalk } = await smallShelf(api);
  const sheet = await rolledSheet(chalk.id);
  const dto = (
    await save(
      caneOf('Roll', {
        id: 'a',
        do: 'roll',
        layers: [{ of: `clay:${chalk.id}`, thickness: 1.5 }],
        rolled: 140,
        length: 80,
        made: sheet.id,
      }),
    )
  ).body;
  const done = (lengthMm: number) => madeOutOf(dto, sheet.id, lengthMm);
  const there = async (): Promise<readonly [number, number, boolean]> => {
    const [one] = (await api.get<{ widthMm: number; grams: number; gone: boolean }[]>('/api/sheets')).body;
    return [one?.widthMm ?? 0, one?.grams ?? 0, one?.gone ?? true];
  };
  const many = await done(90);
  expect([many.status, many.body.detail]).toEqual([422, 'There are only 80 mm (3.15 in) of Chalk, 4.']);
  expect((await done(50)).status).toBe(200);
  expect(await there()).toEqual([30, 12, false]);
  expect((await done(30)).status).toBe(200);
  expect(await there()).toEqual([30, 12, true]);
  expect((await done(1)).body.detail).toMatch(/Chalk, 4 is used up/);
  await api.ask('POST', '/api/undo');
  await api.ask('POST', '/api/undo');
  expect(await there()).toEqual([80, 32, false]);
});
