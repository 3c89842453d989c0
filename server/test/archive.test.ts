import { ofClay } from '#core/material';
import { randomUUID } from 'node:crypto';
import {
  chmodSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { CHANGE_HEADER, type ArchiveAnswer, type CheckedCopy, type Problem, type ShelfAnswer } from '#contract';
import { DataFile } from '../src/db/dataFile.js';
import { mixes } from '../src/db/schema.js';
import { Api, clay, line, mix, smallShelf } from './api.js';
import { ended, said, started } from './processes.js';

const folder = mkdtempSync(join(tmpdir(), 'sledge-archive-'));
afterAll(() => {
  rmSync(folder, { recursive: true });
});
const place = (name: string): string => {
  const path = join(folder, name);
  mkdirSync(path);
  return path;
};

async function put(url: string, kind: string, dto: { id: string }): Promise<void> {
  const headers = { 'content-type': 'application/json', [CHANGE_HEADER]: randomUUID() };
  const response = await fetch(`${url}/api/${kind}/${dto.id}`, { method: 'PUT', headers, body: JSON.stringify(dto) });
  expect(response.status).toBe(200);
}

async function namesIn(file: string): Promise<string[]> {
  const copy = join(mkdtempSync(join(folder, 'look-')), 'copy.db');
  copyFileSync(file, copy);
  const data = await DataFile.open(copy);
  const rows = await data.db.select({ name: mixes.name }).from(mixes);
  await data.close();
  return rows.map((r) => r.name).sort();
}

async function fortyMixes(url: string): Promise<string[]> {
  const own = line('Hearth Firm');
  await put(url, 'lines', own);
  const pea = clay(own.id, 'Pea');
  await put(url, 'clays', pea);
  const names = Array.from({ length: 40 }, (_, i) => `Pod ${String(i).padStart(2, '0')}`);
  for (const name of names) await put(url, 'mixes', mix(name, ['1', ofClay(pea.id)]));
  return names;
}

test.each(['SIGINT', 'SIGTERM'] as const)('after %s the one file holds all that was entered', async (signal) => {
  const data = place(signal);
  const { child, url } = await started(data);
  const names = await fortyMixes(url);
  await ended(child, signal);
  expect(existsSync(join(data, 'sledge.db-wal'))).toBe(false);
  expect(await namesIn(join(data, 'sledge.db'))).toEqual(names);
});

test('an older copy beside later changes is opened as it is; the changes are kept aside and told', async () => {
  const data = place('older');
  const file = join(data, 'sledge.db');
  const first = await started(data);
  const names = await fortyMixes(first.url);
  await ended(first.child, 'SIGTERM');
  copyFileSync(file, join(data, 'copy.db'));
  const second = await started(data);
  const { clays } = (await (await fetch(`${second.url}/api/shelf`)).json()) as ShelfAnswer;
  for (let i = 0; i < 12; i++) await put(second.url, 'mixes', mix(`Later ${i}`, ['2', ofClay(clays[0]?.id ?? '')]));
  await ended(second.child, 'SIGKILL');
  expect(statSync(`${file}-wal`).size).toBeGreaterThan(0);
  copyFileSync(join(data, 'copy.db'), file);
  const third = await started(data);
  const { notices } = (await (await fetch(`${third.url}/api/archive`)).json()) as ArchiveAnswer;
  await ended(third.child, 'SIGTERM');
  expect(notices).toEqual([expect.stringContaining('belong to another state of it')]);
  expect(readdirSync(data).filter((f) => f.includes('-wal.aside'))).toHaveLength(1);
  expect(await namesIn(file)).toEqual(names);
});

test(
  'changes that an unorderly end left are taken in where they belong, also while they were being ' + 'worked in',
  async () => {
    const data = place('own');
    const { child, url } = await started(data);
    const names = await fortyMixes(url);
    await ended(child, 'SIGKILL');
    const again = await started(data);
    const { notices } = (await (await fetch(`${again.url}/api/archive`)).json()) as ArchiveAnswer;
    await ended(again.child, 'SIGTERM');
    expect([notices, await namesIn(join(data, 'sledge.db'))]).toEqual([[], names]);
  },
);

test('a second Sledge on the same data says where the first one is and changes nothing', async () => {
  const data = place('twice');
  const { child, url } = await started(data);
  const second = await said({ SLEDGE_DATA: data, SLEDGE_PORT: '0' });
  expect([second.code, second.out, second.error]).toEqual([
    0,
    expect.stringContaining(`Sledge is running already, at ${url}`),
    '',
  ]);
  expect((await fetch(`${url}/api/health`)).status).toBe(200);
  await ended(child, 'SIGKILL');
  const third = await started(data);
  await ended(third.child, 'SIGTERM');
});

test('a folder, a damaged file, a foreign one and a folder without rights are refused in one sentence', async () => {
  const asFolder = place('folder');
  mkdirSync(join(asFolder, 'sledge.db'));
  const foreign = place('foreign');
  const other = createClient({ url: `file:${join(foreign, 'sledge.db')}` });
  await other.execute('CREATE TABLE seed (id)');
  other.close();
  const before = readFileSync(join(foreign, 'sledge.db'));
  const damaged = place('damaged');
  await (await DataFile.open(join(damaged, 'sledge.db'))).close();
  const bytes = readFileSync(join(damaged, 'sledge.db'));
  bytes.fill(0x55, 4096, 40_960);
  writeFileSync(join(damaged, 'sledge.db'), bytes);
  const file = place('file');
  writeFileSync(join(file, 'data'), 'leek');
  const cases: readonly (readonly [string, RegExp])[] = [
    [asFolder, /is a folder; a file is wanted there/],
    [foreign, /belongs to another program\. It was not touched/],
    [damaged, /is damaged\. It was not changed\. The newest copies lie in/],
    [join(file, 'data'), /is a file; a folder is wanted there/],
  ];
  for (const [data, sentence] of cases) {
    const { code, error } = await said({ SLEDGE_DATA: data, SLEDGE_PORT: '0' });
    expect([code, error]).toEqual([1, expect.stringMatching(sentence)]);
    expect(error.split('\n')).toHaveLength(1);
  }
  expect(readFileSync(join(foreign, 'sledge.db')).equals(before)).toBe(true);
  const locked = place('locked');
  chmodSync(locked, 0o500);
  if (process.getuid?.() !== 0)
    expect((await said({ SLEDGE_DATA: locked, SLEDGE_PORT: '0' })).error).toMatch(/no right to read and write/);
  chmodSync(locked, 0o700);
});

test('a demo that is cut off leaves nothing half', async () => {
  const data = place('demo');
  const child = started(data, 'demo.mjs');
  // it is cut off while the garden is being made beside
  await new Promise<void>((resolve) => {
    const look = setInterval(() => {
      const half = join(data, '.demo-half', 'sledge.db-wal');
      if (existsSync(half) && statSync(half).size > 400_000) {
        clearInterval(look);
        resolve();
      }
    }, 5);
  });
  expect(existsSync(join(data, 'sledge.db'))).toBe(false);
  await ended((await child).child, 'SIGKILL').catch(() => undefined);
  const again = await started(data, 'demo.mjs');
  const { clays } = (await (await fetch(`${again.url}/api/shelf`)).json()) as ShelfAnswer;
  await ended(again.child, 'SIGTERM');
  expect([clays.length, existsSync(join(data, '.demo-half'))]).toEqual([14, false]);
});

describe('copies while it runs', () => {
  let api: Api;
  beforeAll(async () => {
    api = await Api.open();
  });
  afterAll(() => api.close());
  const all = async (): Promise<ArchiveAnswer> => (await api.get<ArchiveAnswer>('/api/archive')).body;

  test('a copy is whole, checked, has its name once, and comes as a download', async () => {
    const { chalk } = await smallShelf(api);
    await api.put('mixes', mix('Outer leek', ['1', ofClay(chalk.id)]));
    const kept = await api.ask<CheckedCopy>('POST', '/api/archive/copies', { name: 'before the market' });
    expect([kept.status, kept.body.holds]).toEqual([
      200,
      { clays: 2, mixes: 1, batches: 0, entries: 0, lastEntry: null },
    ]);
    const twice = await api.ask<Problem>('POST', '/api/archive/copies', { name: 'before the market' });
    expect([twice.status, twice.body.detail]).toEqual([422, expect.stringContaining('already')]);
    for (const name of ['', '../up', 'a/b', '.'.repeat(90)])
      expect((await api.ask('POST', '/api/archive/copies', { name })).status).toBe(422);
    const response = await fetch(
      `http://127.0.0.1:${api.running.port}/api/archive/copies/${encodeURIComponent('before the market')}`,
    );
    const path = join(folder, 'download.db');
    writeFileSync(path, Buffer.from(await response.arrayBuffer()));
    expect(await namesIn(path)).toEqual(['Outer leek']);
    expect((await api.get('/api/archive/copies/nowhere')).status).toBe(404);
    expect((await api.get('/api/archive/copies/..%2Fsledge')).status).toBe(404);
  });

  test('a copy is taken up: all is as it was then, and what was there just now is kept first', async () => {
    const { clays } = (await api.get<ShelfAnswer>('/api/shelf')).body;
    await api.put('mixes', mix('Beet ring', ['1', ofClay(clays[0]?.id ?? '')]));
    const taken = await api.ask('POST', '/api/archive/take-up', { name: 'before the market' });
    expect(taken.status).toBe(202);
    expect(await waited(async () => (await api.get<{ total: number }>('/api/mixes')).body.total)).toBe(1);
    const present = (await all()).copies.find((c) => c.name.includes('before taking up'));
    expect(present?.dated).toBe(true);
    expect(readdirSync((await all()).folder).every((f) => f.endsWith('.db'))).toBe(true);
    expect(await namesIn(join((await all()).folder, `${present?.name ?? ''}.db`))).toEqual(['Beet ring', 'Outer leek']);
    // it goes on as any data does
    await api.put('mixes', mix('Pod', ['1', ofClay(clays[0]?.id ?? '')]));
    await api.reopen();
    expect((await api.get<{ total: number }>('/api/mixes')).body.total).toBe(2);
  });

  test(
    'what is there is kept before every taking up, also where as many changes led to something else; ' +
      'versions only grow',
    async () => {
      const takenUp = async (): Promise<number> =>
        (await all()).copies.filter((c) => c.name.includes('before taking up')).length;
      const fromCopy = async (name: string): Promise<void> => {
        await api.ask('POST', '/api/archive/take-up', { name: 'before the market' });
        await waited(async () => (await api.get('/api/mixes')).body);
        const { clays } = (await api.get<ShelfAnswer>('/api/shelf')).body;
        await api.put('mixes', mix(name, ['1', ofClay(clays[0]?.id ?? '')]));
      };
      const versionOf = async (): Promise<number> =>
        Math.max(...(await api.get<ShelfAnswer>('/api/shelf')).body.lines.map((l) => l.version));
      const before = await takenUp();
      await api.put('lines', line('Clearpane'));
      const newest = await versionOf();
      for (const name of ['Swede', 'Turnip top', 'Corn silk']) await fromCopy(name);
      expect(await takenUp()).toBe(before + 3);
      await api.put('lines', line('Lustre'));
      expect(await versionOf()).toBeGreaterThan(newest);
    },
  );

  test('what is no whole database of Sledge is not taken up, and all is as it was', async () => {
    const send = async (bytes: Buffer): Promise<readonly [number, string]> => {
      const response = await fetch(`http://127.0.0.1:${api.running.port}/api/archive/take-up-file`, {
        method: 'POST',
        headers: { 'content-type': 'application/octet-stream' },
        body: new Uint8Array(bytes),
      });
      return [response.status, ((await response.json()) as Problem).detail];
    };
    const good = readFileSync(join((await all()).folder, 'before the market.db'));
    const half = good.subarray(0, Math.floor(good.length / 2));
    const scratched = Buffer.from(good);
    scratched.fill(0x33, 8192, 20_000);
    for (const bytes of [Buffer.from('beetroot'), Buffer.alloc(0), half, scratched]) {
      const [status, sentence] = await send(bytes);
      expect([status, sentence]).toEqual([422, expect.stringMatching(/empty|not a database|damaged/)]);
    }
    expect((await api.get<{ total: number }>('/api/mixes')).body.total).toBe(2);
    expect(readdirSync((await all()).folder).filter((f) => f.includes('half'))).toEqual([]);
  });

  test('of the dated copies the last ten stay, and one that is no different is not kept again', async () => {
    const dated = async (): Promise<number> => (await all()).copies.filter((c) => c.dated).length;
    await api.reopen();
    const before = await dated();
    await api.reopen();
    expect(await dated()).toBe(before);
    for (let i = 0; i < 13; i++) {
      await api.put('lines', line(`Line ${i}`));
      await api.reopen();
    }
    expect(await dated()).toBe(10);
    expect((await all()).copies.some((c) => c.name === 'before the market')).toBe(true);
  }, 120_000);
});

/** The answer, once Sledge answers again. */
async function waited<T>(ask: () => Promise<T>): Promise<T> {
  for (let tries = 0; ; tries++) {
    try {
      return await ask();
    } catch (error) {
      if (tries > 200) throw error;
      await new Promise((resolve) => {
        setTimeout(resolve, 50);
      });
    }
  }
}
