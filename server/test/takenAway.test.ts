import { ofClay } from '#core/material';
import { randomUUID } from 'node:crypto';
import { PROGRAM_VERSION } from '#core/cane';
import type { BatchDto, CaneDto, ChangesAnswer, ChipDto, MixAnswer, PaletteDto, Problem } from '#contract';
import { Api, block, clay, fade, line, machine, mix, smallShelf } from './api.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

interface Made {
  /** where it is put and taken away */ readonly path: string;
  /** where it is seen */ readonly seen: string;
  readonly dto: { readonly id: string };
}
const lineId = async (): Promise<string> => (await api.put('lines', line('Brook Soft'))).body.id;

/** One of everything that can be made, resting on as little as possible. */
const KINDS: Readonly<Record<string, () => Promise<Made>>> = {
  line: () => Promise.resolve({ path: 'lines', seen: '/api/shelf', dto: line('Clearpane') }),
  clay: async () => ({ path: 'clays', seen: '/api/shelf', dto: clay(await lineId(), 'Pea') }),
  block: async () => ({ path: 'blocks', seen: '/api/shelf', dto: block((await smallShelf(api)).beet.id) }),
  mix: async () => ({
    path: 'mixes',
    seen: '/api/mixes',
    dto: mix('Pod mix', ['3', ofClay((await smallShelf(api)).chalk.id)]),
  }),
  chip: async () => {
    const { chalk } = await smallShelf(api);
    const made = (await api.put('mixes', mix('Pod mix', ['3', ofClay(chalk.id)]))).body as unknown as MixAnswer;
    const dto: ChipDto = {
      id: randomUUID(),
      version: 0,
      revisionId: made.revisions[0]?.id ?? '',
      madeOn: '2026-11-20',
      stage: 'baked',
      l: 60,
      a: -20,
      b: 30,
      way: 'by eye',
    };
    return { path: 'chips', seen: `/api/mixes/${made.id}`, dto };
  },
  blend: async () => {
    const { chalk, beet } = await smallShelf(api);
    const dto = fade('Beet fade', chalk, beet);
    return { path: 'blends', seen: '/api/blends', dto };
  },
  cane: async () => {
    const dto: CaneDto = {
      id: randomUUID(),
      version: 0,
      name: 'Rod',
      note: '',
      retired: false,
      program: {
        version: PROGRAM_VERSION,
        steps: [{ id: 'a', do: 'log', of: `clay:${(await smallShelf(api)).chalk.id}`, diameter: 20, length: 60 }],
      },
      slices: 20,
      sliceMm: 2,
      trimming: 'once at the end',
      ends: null,
    };
    return { path: 'canes', seen: '/api/canes', dto };
  },
  batch: async () => {
    const { chalk } = await smallShelf(api);
    const roller = (await api.put('machines', machine('Bench roller'))).body;
    const dto: BatchDto = {
      id: randomUUID(),
      version: 0,
      name: 'Drops',
      note: 'for the market',
      dueOn: '2026-12-11',
      pieces: [
        {
          id: randomUUID(),
          name: 'Drop',
          shape: 'round',
          widthMm: 18,
          heightMm: null,
          count: 10,
          spare: 1,
          bridgeMm: 2,
          sheetWidthMm: 110,
          sheetLengthMm: 200,
          layers: [{ id: randomUUID(), of: ofClay(chalk.id), settingId: roller.settings[6]?.id ?? '' }],
        },
      ],
    };
    return { path: 'batches', seen: '/api/batches', dto };
  },
  machine: () => Promise.resolve({ path: 'machines', seen: '/api/machines', dto: machine('Bench roller') }),
  palette: () => {
    const dto: PaletteDto = {
      id: randomUUID(),
      version: 0,
      name: 'Stock pot',
      note: '',
      pictureId: null,
      gainR: 1,
      gainG: 1,
      gainB: 1,
      swatches: [],
    };
    return Promise.resolve({ path: 'palettes', seen: '/api/palettes', dto });
  },
};

/** Without what every change counts up. */
const still = (answer: unknown): unknown =>
  JSON.parse(JSON.stringify(answer, (key, value: unknown) => (key === 'version' ? undefined : value)));

test.each(Object.entries(KINDS))(
  'a %s that was made is there, goes when it is taken away, and comes back whole',
  async (_, make) => {
    const { path, seen, dto } = await make();
    const look = async (): Promise<unknown> => still((await api.get(seen)).body);
    const empty = await look();
    const saved = await api.put<{ id: string; version?: number }>(path, dto);
    expect(saved.status).toBe(200);
    const version = saved.body.version ?? 0;
    const there = await look();
    expect(JSON.stringify(there)).toContain(dto.id);
    const away = (seenVersion: number): ReturnType<typeof api.ask<Problem>> =>
      api.ask<Problem>('DELETE', `/api/${path}/${dto.id}?version=${seenVersion}`);
    // somebody who has not seen the newest takes nothing away
    const stale = await away(version + 3);
    expect([stale.status, stale.body.title]).toEqual([409, 'Changed elsewhere']);
    expect(await look()).toEqual(there);
    expect((await away(version)).status).toBe(204);
    expect(await look()).toEqual(empty);
    const again = await away(version);
    expect([again.status, again.body.title, again.body.detail.endsWith('is not there any more.')]).toEqual([
      404,
      'Not there',
      true,
    ]);
    expect((await api.ask<ChangesAnswer>('POST', '/api/undo')).status).toBe(200);
    expect(await look()).toEqual(there);
    await api.reopen();
    expect(await look()).toEqual(there);
  },
);

test.each(Object.entries(KINDS))(
  'a %s is not written over by somebody who has not seen it, nor twice by one who asks twice',
  async (_, make) => {
    const { path, seen, dto } = await make();
    const look = async (): Promise<unknown> => (await api.get(seen)).body;
    const change = randomUUID();
    expect((await api.put(path, dto, change)).status).toBe(200);
    const there = await look();
    expect((await api.put(path, dto, change)).status).toBe(200);
    expect(await look()).toEqual(there);
    const stale = await api.ask<Problem>('PUT', `/api/${path}/${dto.id}`, dto);
    expect([stale.status, stale.body.detail.includes('Nothing was overwritten')]).toEqual([409, true]);
    // both can be looked at side by side
    expect(JSON.stringify(stale.body.current)).toContain(dto.id);
    expect(await look()).toEqual(there);
    const other = await api.ask<Problem>('PUT', `/api/${path}/${randomUUID()}`, dto);
    expect([other.status, other.body.title]).toEqual([400, 'Two ids']);
  },
);
