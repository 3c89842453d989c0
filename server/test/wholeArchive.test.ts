import { createClient } from '@libsql/client';
import { randomUUID } from 'node:crypto';
import { readFileSync, copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fromBufferPromise } from 'yauzl';
import { ZipFile } from 'yazl';
import type {
  ArchiveAnswer,
  BatchAnswer,
  CarryAllAnswer,
  CarryAnswer,
  FindingDto,
  MixAnswer,
  MixListAnswer,
  PieceModelDto,
  PieceModelsAnswer,
  Problem,
  SentThingAnswer,
  ShelfAnswer,
  StockAnswer,
  WholeAnswer,
} from '#contract';
import { shapesOf } from '../src/archive/whole/shapes.js';
import { knownMigrations } from '../src/db/header.js';
import { loadDemo } from '../src/loadDemo.js';
import { materialIn, ofClay } from '#core/material';
import { pieceFindings, pieceMaterials } from '#core/piece';
import { Api, mix } from './api.js';

type Files = Map<string, Buffer>;

async function bytesOf(stream: AsyncIterable<Buffer>): Promise<Buffer> {
  const parts: Buffer[] = [];
  for await (const part of stream) parts.push(part);
  return Buffer.concat(parts);
}

async function unzip(bytes: Buffer): Promise<Files> {
  const zip = await fromBufferPromise(bytes, { lazyEntries: true });
  const files: Files = new Map();
  for await (const entry of zip.eachEntry())
    files.set(entry.fileName, await bytesOf(await zip.openReadStreamPromise(entry)));
  return files;
}

function zipped(files: Files): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [name, bytes] of files) zip.addBuffer(bytes, name);
  zip.end();
  return bytesOf(zip.outputStream as unknown as AsyncIterable<Buffer>);
}

/** The first bytes of a PNG that says it is so large. */
function pngOf(width: number, height: number): Buffer {
  const png = Buffer.alloc(64);
  Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]).copy(png);
  png.writeUInt32BE(width, 16);
  png.writeUInt32BE(height, 20);
  return png;
}

let api: Api;
let whole: Buffer;
const told = async (of = api): Promise<WholeAnswer> => (await of.get<WholeAnswer>('/api/archive/whole')).body;

/** Waits until nothing runs any more. */
async function settled(of = api): Promise<WholeAnswer> {
  for (;;) {
    const now = await told(of);
    if (now.state !== 'running') return now;
    await new Promise((resolve) => setTimeout(resolve, 30));
  }
}

const url = (of: Api, path: string): string => `http://127.0.0.1:${of.running.port}${path}`;

async function takeIn(of: Api, bytes: Buffer, name = 'garden.zip'): Promise<WholeAnswer> {
  const response = await fetch(url(of, `/api/archive/whole/in?name=${encodeURIComponent(name)}`), {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: new Uint8Array(bytes),
  });
  expect(response.status).toBe(202);
  return settled(of);
}

/** Takes everything in, and up. */
async function takenUp(of: Api): Promise<WholeAnswer> {
  const ready = await takeIn(of, whole);
  expect([ready.state, ready.why, ready.copy?.name]).toEqual(['ready', null, 'from garden']);
  expect((await of.ask('POST', '/api/archive/take-up', { name: 'from garden' })).status).toBe(202);
  for (;;) {
    const mixes = await of.get<MixListAnswer>('/api/mixes').catch(() => null);
    if (mixes && mixes.body.total > 0) return ready;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

/** Every row of every table, as the file holds it. */
async function rowsOf(file: string): Promise<Record<string, readonly string[]>> {
  const folder = mkdtempSync(join(tmpdir(), 'sledge-rows-'));
  for (const ending of ['', '-wal']) copyFileSync(`${file}${ending}`, join(folder, `a.db${ending}`));
  const client = createClient({ url: `file:${join(folder, 'a.db')}`, concurrency: 1 });
  try {
    const all: Record<string, readonly string[]> = {};
    for (const { name } of await shapesOf(client))
      all[name] = (await client.execute(`SELECT * FROM "${name}" ORDER BY id`)).rows.map((row) => JSON.stringify(row));
    return all;
  } finally {
    client.close();
    rmSync(folder, { recursive: true });
  }
}

beforeAll(async () => {
  api = await Api.open();
  await loadDemo(api.running.app);
  expect((await api.ask<WholeAnswer>('POST', '/api/archive/whole/out')).status).toBe(202);
  const ready = await settled();
  expect([ready.state, ready.why, ready.done]).toEqual(['ready', null, ready.total]);
  whole = Buffer.from(await (await fetch(url(api, '/api/archive/whole/file'))).arrayBuffer());
  expect(whole.length).toBe(ready.bytes);
}, 180_000);
afterAll(() => api.close());

test('an archive holds every table as lines by its schema, pictures as files, and tables for people', async () => {
  const files = await unzip(whole);
  const manifest = JSON.parse(String(files.get('manifest.json'))) as { rows: Record<string, number>; tables: number };
  const schema = JSON.parse(String(files.get('schema.json'))) as {
    $defs: Record<string, { properties: Record<string, { type: string[] }>; required: string[] }>;
  };
  expect(manifest.tables).toBe(knownMigrations().length);
  expect(Object.keys(schema.$defs).sort()).toEqual(Object.keys(manifest.rows).sort());
  const nameOf = (value: unknown): string => {
    if (value === null) return 'null';
    if (Array.isArray(value)) return 'array';
    return Number.isInteger(value) ? 'integer' : typeof value;
  };
  for (const [table, count] of Object.entries(manifest.rows)) {
    const lines = String(files.get(`data/${table}.jsonl`))
      .split('\n')
      .filter((line) => line !== '');
    expect([table, lines.length]).toEqual([table, count]);
    const { properties, required } = schema.$defs[table]!;
    for (const line of lines) {
      const row = JSON.parse(line) as Record<string, unknown>;
      const missing = required.filter((name) => !(name in row) && !(table === 'picture' && name === 'data'));
      expect([table, missing]).toEqual([table, []]);
      for (const [name, value] of Object.entries(row)) {
        if (table === 'picture' && name === 'file') continue;
        const types = properties[name]?.type ?? [];
        const type = nameOf(value);
        expect([table, name, types.includes(type) || (type === 'integer' && types.includes('number'))]).toEqual([
          ...[table, name, true],
        ]);
      }
    }
  }
  expect([...files.keys()].filter((name) => name.startsWith('pictures/')).length).toBe(manifest.rows.picture);
  const recipes = String(files.get('for people/recipes.csv'));
  expect(recipes).toMatch(/Radish skin,\d+,\d+(\/\d+)? \w+ \+ /);
  expect(String(files.get('for people/shelf.csv'))).toContain('Beetroot');
  expect(String(files.get('for people/diary.csv'))).toContain('2026-11-');
});

test('read into an empty Sledge it gives the same rows to the byte', async () => {
  const empty = await Api.open();
  const ready = await takenUp(empty);
  expect(ready.copy?.holds).toMatchObject({ clays: 14 });
  const [mine, theirs] = [await rowsOf(join(api.folder, 'sledge.db')), await rowsOf(join(empty.folder, 'sledge.db'))];
  expect(Object.keys(theirs)).toEqual(Object.keys(mine));
  for (const [table, rows] of Object.entries(mine)) expect([table, theirs[table]]).toEqual([table, rows]);
  // and what is written then has a version of its own
  const { body } = await empty.get<{ undo: unknown }>('/api/changes');
  expect(body.undo).toBeNull();
  await empty.close();
}, 120_000);

test('an archive of an older version is brought up to date', async () => {
  const files = await unzip(whole);
  const manifest = JSON.parse(String(files.get('manifest.json'))) as Record<string, unknown> & {
    rows: Record<string, number>;
  };
  // before the bench was shared, the diary had photographs, there were mosaics, and what was learned could be set aside
  const { bench_now: _, entry_picture: __, mosaic: ___, set_aside: ____, ...rows } = manifest.rows;
  // clays had no edges yet, and no sheet was of a cane
  const before = (table: string, column: string): number => {
    const lines = String(files.get(`data/${table}.jsonl`))
      .split('\n')
      .filter(Boolean);
    const kept = lines.map((line) => JSON.parse(line) as Record<string, unknown>).filter((row) => row[column] === null);
    const older = kept.map((row) =>
      JSON.stringify(Object.fromEntries(Object.entries(row).filter(([c]) => c !== column))),
    );
    files.set(`data/${table}.jsonl`, Buffer.from(`${older.join('\n')}\n`));
    return kept.length;
  };
  Object.assign(rows, { clay: before('clay', 'edge_hex'), pattern_use: before('pattern_use', 'cane_revision_id') });
  // nobody had squeezed a block, said how anything went, or kept small pictures
  for (const [table, column] of [
    ...(['squeezed', 'squeezed_on', 'inside'] as const).map((c) => ['block', c] as const),
    ...([
      ['entry', 'outcome'],
      ['entry_conditioning', 'squeeze'],
      ['bench_setup', 'condition_school'],
      ['entry_piece', 'broken'],
    ] as const),
    ['picture', 'small'] as const,
  ])
    rows[table] = before(table, column);
  files.set('manifest.json', Buffer.from(JSON.stringify({ ...manifest, tables: 20, rows })));
  for (const gone of ['bench_now', 'entry_picture', 'mosaic', 'set_aside']) files.delete(`data/${gone}.jsonl`);
  const ready = await takeIn(api, await zipped(files), 'old.zip');
  expect([ready.state, ready.why]).toEqual(['ready', null]);
  expect((await api.get<ArchiveAnswer>('/api/archive')).body.copies.map((c) => c.name)).toContain('from old');
}, 60_000);

/** Copies but for those that are kept by rule in between. */
const copies = async (): Promise<string[]> =>
  (await api.get<ArchiveAnswer>('/api/archive')).body.copies.filter((c) => !c.ruled).map((c) => c.name);

const lineOf = (text: string, change: (row: Record<string, unknown>) => object): Buffer => {
  const [first = '', ...rest] = text.split('\n');
  return Buffer.from([JSON.stringify(change(JSON.parse(first) as Record<string, unknown>)), ...rest].join('\n'));
};
const edited =
  (name: string, change: (row: Record<string, unknown>) => object) =>
  (files: Files): void => {
    files.set(name, lineOf(String(files.get(name)), change));
  };
const BROKEN: readonly (readonly [string, (files: Files) => void, RegExp])[] = [
  ['no manifest', (files) => files.delete('manifest.json'), /it has no manifest/],
  [
    'a newer Sledge',
    (files) => {
      const manifest = JSON.parse(String(files.get('manifest.json'))) as object;
      files.set('manifest.json', Buffer.from(JSON.stringify({ ...manifest, tables: 9999 })));
    },
    /made by a newer Sledge/,
  ],
  ['a table missing', (files) => files.delete('data/mix.jsonl'), /data\/mix\.jsonl is missing/],
  [
    'a strange column',
    edited('data/clay.jsonl', (row) => ({ ...row, brand: 'x' })),
    /clay\.jsonl, line 1: clay has no column “brand”/,
  ],
  [
    'a wrong type',
    edited('data/block.jsonl', (row) => ({ ...row, left_grams: 'much' })),
    /block\.jsonl, line 1: “left_grams” cannot be "much"/,
  ],
  [
    'a column missing',
    edited('data/mix.jsonl', ({ name: _, ...row }) => row),
    /mix\.jsonl, line 1: “name” cannot be missing/,
  ],
  [
    'two rows with one id',
    (files) => {
      const text = String(files.get('data/line.jsonl'));
      const [first = '', second = '', ...rest] = text.split('\n');
      const { id } = JSON.parse(first) as { id: string };
      files.set(
        'data/line.jsonl',
        Buffer.from([first, JSON.stringify({ ...(JSON.parse(second) as object), id }), ...rest].join('\n')),
      );
    },
    /line\.jsonl, line 2 does not keep to the rules of its table/,
  ],
  [
    'a name that leads nowhere',
    edited('data/clay.jsonl', (row) => ({ ...row, line_id: 'gone' })),
    /a row of clay names one of line that is not in it/,
  ],
  [
    'a cane that cannot be read',
    edited('data/cane_revision.jsonl', (row) => ({ ...row, program: { steps: 7 } })),
    /a cane in it cannot be read/,
  ],
  ['no JSON', (files) => files.set('data/mix.jsonl', Buffer.from('beet\n')), /mix\.jsonl, line 1: it is no JSON/],
];

test.each(BROKEN)('%s is said with its place, and nothing is kept', async (_, harm, sentence) => {
  const before = await copies();
  const files = await unzip(whole);
  harm(files);
  const answer = await takeIn(api, await zipped(files));
  expect([answer.state, answer.copy]).toEqual(['failed', null]);
  expect(answer.why).toMatch(sentence);
  expect(await copies()).toEqual(before);
});

test('half an archive, no archive and an empty file are refused', async () => {
  const empty = await takeIn(api, Buffer.alloc(0));
  const noZip = await takeIn(api, Buffer.from('beetroot'.repeat(100)));
  const half = await takeIn(api, whole.subarray(0, Math.floor(whole.length / 2)));
  expect([empty, noZip, half].map((a) => a.why)).toEqual([
    'This file is empty.',
    'This is no ZIP file, or only a part of one.',
    'This is no ZIP file, or only a part of one.',
  ]);
  // bytes that were changed on the way
  const hurt = Buffer.from(whole);
  hurt.fill(0x2a, 5000, 5200);
  expect((await takeIn(api, hurt)).why).toMatch(/damaged/);
});

test('one at a time; stopped, nothing is left', async () => {
  await api.ask('POST', '/api/archive/whole/out');
  const second = await api.ask<Problem>('POST', '/api/archive/whole/out');
  expect([second.status, second.body.detail]).toEqual([
    409,
    'An archive is being written or read already. Wait, or stop it.',
  ]);
  expect((await api.ask<WholeAnswer>('DELETE', '/api/archive/whole')).body.state).toBe('none');
  await new Promise((resolve) => setTimeout(resolve, 300));
  expect((await told()).state).toBe('none');
  expect((await api.get<Problem>('/api/archive/whole/file')).status).toBe(404);
});

describe('carried over', () => {
  /** What two Sledges have of a table, by names. */
  const namesOf = async (of: Api, path: string): Promise<string[]> => {
    const { body } = await of.get<{ cards?: { name: string }[] } | { name: string }[]>(path);
    return (Array.isArray(body) ? body : (body.cards ?? [])).map((c) => c.name).sort();
  };
  const carryAll = (of: Api, name: string, sure: boolean) =>
    of.ask<CarryAllAnswer>('POST', '/api/archive/carry-all', { name, sure });

  test('everything comes into an empty Sledge beside nothing, as one change; a second time nothing comes', async () => {
    const empty = await Api.open();
    await takeIn(empty, whole);
    const preview = (await carryAll(empty, 'from garden', false)).body;
    expect(await namesOf(empty, '/api/mixes?limit=500')).toEqual([]);
    const done = (await carryAll(empty, 'from garden', true)).body;
    expect(done).toEqual(preview);
    const rows = async (of: Api): Promise<Record<string, number>> =>
      Object.fromEntries(
        Object.entries(await rowsOf(join(of.folder, 'sledge.db'))).map(([table, all]) => [table, all.length]),
      );
    const [mine, theirs] = [await rows(api), await rows(empty)];
    expect(theirs).toEqual({ ...mine, learning: 0 });
    for (const path of ['/api/mixes?limit=500', '/api/canes', '/api/patterns', '/api/batches', '/api/blends'])
      expect([path, await namesOf(empty, path)]).toEqual([path, await namesOf(api, path)]);
    const stock = async (of: Api): Promise<object> => {
      return (await of.get<StockAnswer>('/api/stock')).body.balance;
    };
    expect(await stock(empty)).toEqual(await stock(api));
    expect((await carryAll(empty, 'from garden', true)).body).toEqual({ things: [], more: [] });
    expect((await empty.ask<{ did: string }>('POST', '/api/undo', {})).body.did).toBe(
      'Taken back: carried over all of from garden',
    );
    expect(await namesOf(empty, '/api/mixes?limit=500')).toEqual([]);
    await empty.close();
  }, 120_000);

  test('into a full one: what is here and differs stays, the other comes beside it, all else is left', async () => {
    const full = await Api.open();
    await takenUp(full);
    const mixes = (await full.get<MixListAnswer>('/api/mixes?limit=500')).body.cards;
    const ring = mixes.find((m) => m.name === 'Beet ring')!;
    const opened = (await full.get<MixAnswer>(`/api/mixes/${ring.id}`)).body;
    const shelf = (await full.get<ShelfAnswer>('/api/shelf')).body;
    const changed = mix('Beet ring', ['1', ofClay(shelf.clays[0]!.id)], ['1', ofClay(shelf.clays[1]!.id)]);
    const saved = await full.put('mixes', { ...changed, id: ring.id, version: opened.version });
    expect(saved.status).toBe(200);
    const [block] = shelf.blocks;
    await full.put('blocks', { ...block!, leftGrams: 0 });
    const { body } = await carryAll(full, 'from garden', true);
    expect(body.more).toEqual([]);
    const names = body.things.map((t) => t.as);
    expect(names).toContain('Beet ring, from garden');
    // what rests on it comes with it, and nothing else
    expect(names.every((name) => name.endsWith(', from garden'))).toBe(true);
    const after = (await full.get<ShelfAnswer>('/api/shelf')).body;
    expect(after.blocks.find((b) => b.id === block!.id)!.leftGrams).toBe(0);
    expect(after.clays).toHaveLength(shelf.clays.length);
    await full.close();
  }, 120_000);
});

describe('single things', () => {
  const send = async (of: Api, kind: string, id: string): Promise<Buffer> => {
    const response = await fetch(url(of, `/api/archive/thing/${kind}/${id}`));
    expect([kind, response.status]).toEqual([kind, 200]);
    return Buffer.from(await response.arrayBuffer());
  };
  const look = async (of: Api, bytes: Buffer): Promise<{ status: number; body: SentThingAnswer & Problem }> => {
    const response = await fetch(url(of, '/api/archive/thing'), { method: 'POST', body: new Uint8Array(bytes) });
    return { status: response.status, body: (await response.json()) as SentThingAnswer & Problem };
  };

  test('each cane, mix, blend, patterned sheet and batch goes to another maker with all that it needs', async () => {
    const other = await Api.open();
    const lists = [
      ['mix', (await api.get<MixListAnswer>('/api/mixes?limit=500')).body.cards.slice(0, 3)],
      ['cane', (await api.get<{ id: string; name: string }[]>('/api/canes')).body.slice(0, 2)],
      ['blend', (await api.get<{ id: string; name: string }[]>('/api/blends')).body.slice(0, 1)],
      ['pattern', (await api.get<{ id: string; name: string }[]>('/api/patterns')).body.slice(0, 1)],
      ['batch', (await api.get<{ id: string; name: string }[]>('/api/batches')).body.slice(0, 1)],
    ] as const;
    for (const [kind, cards] of lists)
      for (const { id, name } of cards) {
        const bytes = await send(api, kind, id);
        expect(bytes.length).toBeLessThan(200_000);
        const { status, body } = await look(other, bytes);
        if (status === 500) console.log(readFileSync(join(other.folder, 'sledge.log'), 'utf8'));
        expect([name, status, body.kind, body.name]).toEqual([name, 200, kind, name]);
        const took = await other.ask<CarryAnswer>('POST', '/api/archive/thing/take', { token: body.token });
        expect([name, took.status, took.body.things]).toEqual([name, 200, body.things]);
        const path = { mix: 'mixes', cane: 'canes', blend: 'blends', pattern: 'patterns', batch: 'batches' }[kind];
        expect([name, (await other.get(`/api/${path}/${id}`)).status]).toEqual([name, 200]);
        // what was taken in is not there to be taken in again
        expect((await other.ask('POST', '/api/archive/thing/take', { token: body.token })).status).toBe(404);
      }
    await other.close();
  }, 120_000);

  test('a kept piece goes with the mixes and findings it is made of, and none of the findings lies there', async () => {
    const other = await Api.open();
    const batches = (await api.get<{ id: string }[]>('/api/batches')).body;
    const opened = await Promise.all(
      batches.map(async ({ id }) => (await api.get<BatchAnswer>(`/api/batches/${id}`)).body),
    );
    const pinned = opened
      .flatMap((b) => b.assemblies)
      .find(({ piece }) => piece.parts.some((p) => p.shape.is === 'finding' && p.shape.finding !== null))!;
    const named = pieceMaterials(pinned.piece);
    expect(named.length).toBeGreaterThan(0);
    const model: PieceModelDto = { id: randomUUID(), version: 0, name: 'Blossom', piece: pinned.piece, finish: [] };
    expect((await api.put('pieces/models', model)).status).toBe(200);
    const { body } = await look(other, await send(api, 'pieceModel', model.id));
    expect([body.kind, body.name, body.card]).toEqual(['pieceModel', 'Blossom', false]);
    const took = await other.ask<CarryAnswer>('POST', '/api/archive/thing/take', { token: body.token });
    expect(took.body.things).toContainEqual({ kind: 'pieceModel', name: 'Blossom', as: 'Blossom' });
    const [came] = (await other.get<PieceModelsAnswer>('/api/pieces/models')).body;
    expect(came!.piece).toEqual(pinned.piece);
    const findings = (await other.get<FindingDto[]>('/api/pieces/findings')).body;
    expect(findings.map((f) => f.id)).toEqual(pieceFindings(pinned.piece));
    expect(findings.map((f) => f.count)).toEqual(findings.map(() => 0));
    const { piece_model: _, ...there } = await rowsOf(join(other.folder, 'sledge.db'));
    for (const key of named) expect([key, JSON.stringify(there).includes(materialIn(key)!.id)]).toEqual([key, true]);
    await other.close();
  }, 60_000);

  test('a picture card goes along and is shown before anything is taken in; what is none is refused', async () => {
    const [{ id } = { id: '' }] = (await api.get<{ id: string }[]>('/api/canes')).body;
    const path = `/api/archive/thing/cane/${id}`;
    const withCard = (card: Uint8Array): Promise<Response> =>
      fetch(url(api, path), {
        method: 'POST',
        headers: { 'content-type': 'application/octet-stream' },
        body: new Uint8Array(card),
      });
    const card = pngOf(1200, 900);
    const sent = Buffer.from(await (await withCard(card)).arrayBuffer());
    const { body } = await look(api, sent);
    expect(body.card).toBe(true);
    const shown = await fetch(url(api, `/api/archive/thing/card/${body.token}`));
    expect(shown.headers.get('content-type')).toBe('image/png');
    expect(Buffer.from(await shown.arrayBuffer()).equals(card)).toBe(true);
    expect((await fetch(url(api, '/api/archive/thing/card/gone'))).status).toBe(404);
    for (const wrong of [Buffer.alloc(0), Buffer.from('beetroot'), pngOf(5000, 900), pngOf(0, 9)]) {
      const answer = await withCard(wrong);
      expect(answer.status).toBe(422);
      expect(((await answer.json()) as Problem).detail).toMatch(/Send it without one/);
    }
    const files = await unzip(sent);
    const odd = await look(api, await zipped(new Map([...files, ['card.png', Buffer.from('beetroot')]])));
    expect(odd.body.detail).toBe('This archive is damaged: its picture card is no picture of the usual size.');
  }, 60_000);

  test('a whole archive, a strange file and a thing that is not there are refused', async () => {
    expect((await look(api, whole)).body.detail).toBe('This is a whole archive. Take it in under “Everything”.');
    expect((await look(api, Buffer.from('beetroot'))).body.detail).toBe('This is no ZIP file, or only a part of one.');
    expect((await look(api, Buffer.alloc(0))).body.detail).toBe('This file is empty.');
    expect((await api.get('/api/archive/thing/mix/gone')).status).toBe(404);
    expect((await api.get('/api/archive/thing/entry/gone')).status).toBe(404);
  });
});
