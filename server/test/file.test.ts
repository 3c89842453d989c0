import { spawn, type ChildProcess } from 'node:child_process';
import { createHash, randomUUID } from 'node:crypto';
import { copyFileSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { CHANGE_HEADER, type ShelfAnswer } from '#contract';
import { projectRoot } from '../src/db/root.js';
import { UnusableDatabase, openDatabase } from '../src/db/open.js';
import { Api, block, clay, line } from './api.js';

const folder = mkdtempSync(join(tmpdir(), 'sledge-file-'));
afterAll(() => { rmSync(folder, { recursive: true }); });

/** A server as `npm start` runs it: a process of its own, from the build. */
async function started(data: string): Promise<{ child: ChildProcess; url: string }> {
  const child = spawn(process.execPath, [join(projectRoot(), 'scripts', 'start.mjs')], { env: { ...process.env, SLEDGE_DATA: data, SLEDGE_PORT: '0', NODE_OPTIONS: '' } });
  const url = await new Promise<string>((resolve, reject) => {
    let text = '';
    const hear = (chunk: Buffer): void => {
      text += chunk.toString();
      const found = /http:\/\/127\.0\.0\.1:\d+/.exec(text);
      if (found) resolve(found[0]);
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('exit', () => { reject(new Error(text)); });
  });
  return { child, url };
}

const killed = (child: ChildProcess): Promise<void> => new Promise((resolve) => { child.on('exit', () => { resolve(); }); child.kill('SIGKILL'); });

test('what was answered is there after kill -9 in the same moment, every time', async () => {
  const data = join(folder, 'killed');
  const expected: string[] = [];
  for (let round = 0; round < 4; round++) {
    const { child, url } = await started(data);
    const put = async (kind: string, dto: { id: string }): Promise<void> => {
      const response = await fetch(`${url}/api/${kind}/${dto.id}`, { method: 'PUT', headers: { 'content-type': 'application/json', [CHANGE_HEADER]: randomUUID() }, body: JSON.stringify(dto) });
      expect(response.status).toBe(200);
    };
    const own = line(`Line ${round}`);
    await put('lines', own);
    const colour = clay(own.id, `Pea ${round}`);
    await put('clays', colour);
    const last = block(colour.id, 40 + round);
    await put('blocks', last);
    await killed(child);
    expected.push(last.id);
    const again = await started(data);
    const { blocks } = await (await fetch(`${again.url}/api/shelf`)).json() as ShelfAnswer;
    await killed(again.child);
    expect(blocks.map((b) => b.id).sort()).toEqual([...expected].sort());
  }
});

test('everything is there after a restart, undo too', async () => {
  const api = await Api.open();
  try {
    const own = (await api.put('lines', line('Oldrow Crumble'))).body;
    await api.put('clays', clay(own.id, 'Carrot', 'E7712C'));
    const before = (await api.get<ShelfAnswer>('/api/shelf')).body;
    await api.reopen();
    expect((await api.get<ShelfAnswer>('/api/shelf')).body).toEqual(before);
    await api.ask('POST', '/api/undo');
    expect((await api.get<ShelfAnswer>('/api/shelf')).body.clays).toEqual([]);
  } finally {
    await api.close();
  }
});

const print = (file: string): string => createHash('sha256').update(readFileSync(file)).digest('hex');

test('a file of a newer version is refused with a sentence and is left as it was to the byte', async () => {
  const file = join(folder, 'newer.db');
  (await openDatabase(file)).$client.close();
  const client = createClient({ url: `file:${file}` });
  await client.execute('PRAGMA user_version = 9999');
  await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
  client.close();
  const before = [print(file), readdirSync(folder)];
  await expect(openDatabase(file)).rejects.toThrow(/written by a newer Sledge \(9999, this one knows \d+\)\. It was not touched/);
  expect([print(file), readdirSync(folder)]).toEqual(before);
});

/** What `npm start` says where it cannot start. */
function refusedStart(environment: Record<string, string>): Promise<{ code: number | null; said: string }> {
  const child = spawn(process.execPath, [join(projectRoot(), 'scripts', 'start.mjs')], { env: { ...process.env, NODE_OPTIONS: '', ...environment } });
  let said = '';
  child.stderr.on('data', (chunk: Buffer) => { said += chunk.toString(); });
  return new Promise((resolve) => { child.on('exit', (code) => { resolve({ code, said: said.trim() }); }); });
}

test('where it cannot start, it says why in one sentence and no more', async () => {
  const data = join(folder, 'newer-start');
  (await openDatabase(join(data, 'sledge.db'))).$client.close();
  const client = createClient({ url: `file:${join(data, 'sledge.db')}` });
  await client.execute('PRAGMA user_version = 9999');
  await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
  client.close();
  const newer = await refusedStart({ SLEDGE_DATA: data, SLEDGE_PORT: '0' });
  expect(newer.code).toBe(1);
  expect(newer.said).toMatch(/^[^\n]*was written by a newer Sledge \(9999, [^\n]*another folder\.$/);
  const { child, url } = await started(join(folder, 'taken'));
  const taken = await refusedStart({ SLEDGE_DATA: join(folder, 'other'), SLEDGE_PORT: new URL(url).port });
  await killed(child);
  expect([taken.code, taken.said]).toEqual([1, expect.stringMatching(/^Port \d+ is taken, [^\n]*another one\.$/)]);
  expect((await refusedStart({ SLEDGE_DATA: join(folder, 'odd'), SLEDGE_PORT: 'abc' })).said).toBe('SLEDGE_PORT is “abc”. Give a number from 1 to 65535.');
});

test('files of other programs are refused and left alone', async () => {
  const text = join(folder, 'notes.db');
  writeFileSync(text, 'beetroot\n'.repeat(40));
  await expect(openDatabase(text)).rejects.toThrow(UnusableDatabase);
  expect(readFileSync(text, 'utf8')).toMatch(/^beetroot/);
  const other = join(folder, 'other.db');
  const client = createClient({ url: `file:${other}` });
  await client.execute('PRAGMA application_id = 77');
  await client.execute('CREATE TABLE seed (id)');
  client.close();
  const before = print(other);
  await expect(openDatabase(other)).rejects.toThrow(/belongs to another program/);
  expect(print(other)).toBe(before);
});

test('a copy of the file opens elsewhere, in WAL mode and with foreign keys held', async () => {
  const file = join(folder, 'own.db');
  (await openDatabase(file)).$client.close();
  const copy = join(folder, 'copy.db');
  copyFileSync(file, copy);
  const db = await openDatabase(copy);
  const value = async (pragma: string): Promise<unknown> => Object.values((await db.$client.execute(`PRAGMA ${pragma}`)).rows[0] ?? {})[0];
  expect([await value('journal_mode'), await value('foreign_keys')]).toEqual(['wal', 1]);
  await expect(db.$client.execute("INSERT INTO block VALUES ('a', 1, 'nowhere', 57, 57, NULL, '', NULL)")).rejects.toThrow(/FOREIGN KEY/);
  db.$client.close();
});
