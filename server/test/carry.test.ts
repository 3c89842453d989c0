import { randomUUID } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { keyOf, ofClay, ofMix } from '#core/material';
import type {
  ArchiveAnswer,
  CarriedKind,
  CarryAnswer,
  CarryDto,
  GardenAnswer,
  MixAnswer,
  MixDto,
  Problem,
} from '#contract';
import { makeDemo } from '../src/loadDemo.js';
import { Api, machine, mix, smallShelf } from './api.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

const COPY = 'of last month';
const keep = () => api.ask('POST', '/api/archive/copies', { name: COPY });
const carry = (kind: CarriedKind, id: string, sure = true) => {
  const dto: CarryDto = { name: COPY, kind, id, sure };
  return api.ask<CarryAnswer & Problem>('POST', '/api/archive/carry', dto);
};
const save = async (dto: MixDto) => (await api.ask<MixAnswer>('PUT', `/api/mixes/${dto.id}`, dto)).body;
const open = async (id: string) => (await api.get<MixAnswer>(`/api/mixes/${id}`)).body;
const names = async (): Promise<string[]> =>
  (await api.get<{ cards: { name: string }[] }>('/api/mixes?limit=50')).body.cards.map((c) => c.name).sort();

/** A ring of chalk and beet, and a mix with it inside. */
async function twoMixes() {
  const { chalk, beet } = await smallShelf(api);
  const ring = await save(mix('Beet ring', ['4', ofClay(chalk.id)], ['1', ofClay(beet.id)]));
  const inner = ofMix(ring.revisions.at(-1)!.id);
  const rose = await save(mix('Rose', ['2', inner], ['1', ofClay(chalk.id)]));
  return { chalk, beet, ring, rose };
}

test('a mix that was thrown away comes back with the mixes in it, in one change', async () => {
  const { ring, rose } = await twoMixes();
  await keep();
  await api.ask('DELETE', `/api/mixes/${rose.id}?version=${rose.version}`);
  await api.ask('DELETE', `/api/mixes/${ring.id}?version=${ring.version}`);
  expect(await names()).toEqual([]);
  const told = (await carry('mix', rose.id, false)).body;
  expect(told.things.map((t) => [t.kind, t.name, t.as])).toEqual([
    ['mix', 'Beet ring', 'Beet ring'],
    ['mix', 'Rose', 'Rose'],
  ]);
  // only looked at so far
  expect(await names()).toEqual([]);
  expect((await carry('mix', rose.id)).body).toEqual(told);
  expect(await names()).toEqual(['Beet ring', 'Rose']);
  expect((await open(rose.id)).revisions).toEqual(rose.revisions);
  await api.ask('POST', '/api/undo');
  expect(await names()).toEqual([]);
});

test('what is here already just so is not carried; what was changed comes beside it', async () => {
  const { chalk, beet, ring, rose } = await twoMixes();
  await keep();
  expect((await carry('mix', rose.id)).body.things).toEqual([]);
  const changed = mix('Beet ring', ['1', ofClay(chalk.id)], ['1', ofClay(beet.id)]);
  await save({ ...changed, id: ring.id, version: ring.version });
  const { things } = (await carry('mix', ring.id)).body;
  expect(things).toEqual([{ kind: 'mix', name: 'Beet ring', as: 'Beet ring, from a copy' }]);
  const all = (await api.get<{ cards: { id: string; name: string }[] }>('/api/mixes?limit=50')).body.cards;
  const back = await open(all.find((c) => c.name === 'Beet ring, from a copy')!.id);
  const parts = (of: MixAnswer) => of.revisions.at(-1)!.ingredients.map((i) => [i.parts, keyOf(i.of)]);
  expect(parts(back)).toEqual(parts(ring));
  // and the one of now is as it was
  expect(parts(await open(ring.id))).not.toEqual(parts(ring));
  // carried once more it gets a name of its own again
  expect((await carry('mix', ring.id)).body.things[0]!.as).toBe('Beet ring, from a copy (2)');
});

test('a mix rests on the one of then where the one of now is another', async () => {
  const { chalk, beet, ring, rose } = await twoMixes();
  await keep();
  await api.ask('DELETE', `/api/mixes/${rose.id}?version=${rose.version}`);
  await save({
    ...mix('Beet ring', ['1', ofClay(chalk.id)], ['9', ofClay(beet.id)]),
    id: ring.id,
    version: ring.version,
  });
  const { things } = (await carry('mix', rose.id)).body;
  expect(things.map((t) => t.as)).toEqual(['Beet ring, from a copy', 'Rose']);
  const inside = (await open(rose.id)).revisions.at(-1)!.ingredients.find((i) => i.of.kind === 'mix')!;
  const now = (await open(ring.id)).revisions.map((r) => r.id);
  expect(now).not.toContain(inside.of.id);
});

test('a mix that is here still comes beside itself where what it rests on is another by now', async () => {
  const { chalk, ring, rose } = await twoMixes();
  await keep();
  await save({ ...mix('Beet ring', ['1', ofClay(chalk.id)]), id: ring.id, version: ring.version });
  const { things } = (await carry('mix', rose.id)).body;
  expect(things.map((t) => t.as)).toEqual(['Beet ring, from a copy', 'Rose, from a copy']);
  expect(await names()).toHaveLength(4);
});

test('a clay that was bought anew under its old name is that clay', async () => {
  const { chalk, beet, ring, rose } = await twoMixes();
  await keep();
  for (const own of [rose, ring]) await api.ask('DELETE', `/api/mixes/${own.id}?version=${own.version}`);
  const shelf = async () =>
    (await api.get<{ blocks: { id: string; version: number; clayId: string }[] }>('/api/shelf')).body;
  for (const block of (await shelf()).blocks)
    await api.ask('DELETE', `/api/blocks/${block.id}?version=${block.version}`);
  expect((await api.ask('DELETE', `/api/clays/${beet.id}?version=${beet.version}`)).status).toBe(204);
  const anew = (await api.put('clays', { ...beet, id: randomUUID(), version: 0 })).body;
  expect((await carry('mix', ring.id)).body.things).toHaveLength(1);
  const clays = (await open(ring.id)).revisions.at(-1)!.ingredients.map((i) => i.of.id);
  expect(clays.sort()).toEqual([chalk.id, anew.id].sort());
});

test('a batch comes with its machine and its mixes', async () => {
  const { ring } = await twoMixes();
  const roller = (await api.put('machines', machine('Bench roller'))).body;
  const of = ofMix(ring.revisions.at(-1)!.id);
  const batch = {
    ...{ id: randomUUID(), version: 0, name: 'Discs', note: '', dueOn: null, assemblies: [] },
    pieces: [
      {
        ...{ id: randomUUID(), name: 'Disc', count: 20, spare: 2, bridgeMm: 2, sheetWidthMm: 100, sheetLengthMm: 150 },
        ...{ widthMm: 18, heightMm: null, shape: 'round', rimMm: null, points: null },
        layers: [{ id: randomUUID(), of, settingId: roller.settings[0]!.id }],
      },
    ],
  };
  const saved = (
    await api.ask<{ version: number; plan: { totalGrams: number } }>('PUT', `/api/batches/${batch.id}`, batch)
  ).body;
  await keep();
  await api.ask('DELETE', `/api/batches/${batch.id}?version=${saved.version}`);
  expect((await api.get(`/api/batches/${batch.id}`)).status).toBe(404);
  expect((await carry('batch', batch.id)).body.things).toEqual([{ kind: 'batch', name: 'Discs', as: 'Discs' }]);
  const back = (await api.get<typeof saved>(`/api/batches/${batch.id}`)).body;
  expect(back.plan.totalGrams).toBeCloseTo(saved.plan.totalGrams, 9);
});

test('a thing that is not in the copy, a copy that is not there, a kind that cannot travel', async () => {
  await keep();
  expect((await carry('mix', randomUUID())).status).toBe(404);
  const nowhere = { name: 'no such copy', kind: 'mix', id: randomUUID(), sure: true };
  expect((await api.ask('POST', '/api/archive/carry', nowhere)).status).toBe(404);
  expect((await carry('block' as CarriedKind, randomUUID())).status).toBe(422);
});

test('a copy is looked into beside the data, which stays as it is', async () => {
  const { ring } = await twoMixes();
  await keep();
  await api.ask('DELETE', `/api/mixes/${(await open(ring.id)).id}?version=${ring.version}`);
  const { body } = await api.ask<GardenAnswer>('POST', `/api/archive/copies/${encodeURIComponent(COPY)}/beside`);
  const there = async <T>(path: string): Promise<T> => (await (await fetch(`${body.address}${path}`)).json()) as T;
  expect((await there<GardenAnswer>('/api/garden')).copy).toBe(COPY);
  expect((await there<MixAnswer>(`/api/mixes/${ring.id}`)).name).toBe('Beet ring');
});

test('everything of the garden comes into an empty Sledge one by one, and is there what it was', async () => {
  const { folder } = (await api.get<ArchiveAnswer>('/api/archive')).body;
  mkdirSync(folder, { recursive: true });
  await makeDemo(join(folder, `${COPY}.db`));
  const { body } = await api.ask<GardenAnswer>('POST', `/api/archive/copies/${encodeURIComponent(COPY)}/beside`);
  const there = async <T>(path: string): Promise<T> => (await (await fetch(`${body.address}${path}`)).json()) as T;
  const here = async <T>(path: string): Promise<T> => (await api.get<T>(path)).body;
  const shown = (thing: Record<string, unknown>): unknown => {
    const { program, revisions, plan, shape, pieces, assemblies } = thing;
    const recipes = (revisions as { number: number; ingredients: unknown }[] | undefined)?.map((r) => [
      r.number,
      r.ingredients,
    ]);
    // of a batch what is planned, and not what the shelf has of it
    return { name: thing.name, program, recipes, shape, pieces, assemblies, plan: pieces ? undefined : plan };
  };
  const kinds = [
    ['mix', 'mixes'],
    ['blend', 'blends'],
    ['cane', 'canes'],
    ['pattern', 'patterns'],
    ['batch', 'batches'],
  ] as const;
  let carried = 0;
  for (const [kind, path] of kinds) {
    const cards = path === 'mixes' ? '/api/mixes?limit=100' : `/api/${path}`;
    const answer = await there<{ cards?: { id: string }[] } & { id: string }[]>(cards);
    for (const { id } of (answer.cards ?? answer).slice(0, 8)) {
      const { status, body: told } = await carry(kind, id);
      if (status === 422) {
        expect(told.detail).toMatch(/something that lies there/);
        continue;
      }
      expect([kind, status]).toEqual([kind, 200]);
      const [own, other] = [
        await here<Record<string, unknown>>(`/api/${path}/${id}`),
        await there(`/api/${path}/${id}`),
      ];
      expect(shown(own)).toEqual(shown(other as Record<string, unknown>));
      carried++;
    }
  }
  expect(carried).toBeGreaterThan(25);
});
