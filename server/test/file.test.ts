import { createHash, randomUUID } from 'node:crypto';
import { copyFileSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { CHANGE_HEADER, type ShelfAnswer } from '#contract';
import { DataFile } from '../src/db/dataFile.js';
import { UnusableDatabase } from '../src/db/unusable.js';
import { Api, block, clay, line } from './api.js';
import { ended, said, started } from './processes.js';

const folder = mkdtempSync(join(tmpdir(), 'sledge-file-'));
afterAll(() => {
  rmSync(folder, { recursive: true });
});

test('what was answered is there after kill -9 in the same moment, every time', async () => {
  const data = join(folder, 'killed');
  const expected: string[] = [];
  for (let round = 0; round < 4; round++) {
    const { child, url } = await started(data);
    const put = async (kind: string, dto: { id: string }): Promise<void> => {
      const response = await fetch(`${url}/api/${kind}/${dto.id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json', [CHANGE_HEADER]: randomUUID() },
        body: JSON.stringify(dto),
      });
      expect(response.status).toBe(200);
    };
    const own = line(`Line ${round}`);
    await put('lines', own);
    const colour = clay(own.id, `Pea ${round}`);
    await put('clays', colour);
    const last = block(colour.id, 40 + round);
    await put('blocks', last);
    await ended(child, 'SIGKILL');
    expected.push(last.id);
    const again = await started(data);
    const { blocks } = (await (await fetch(`${again.url}/api/shelf`)).json()) as ShelfAnswer;
    await ended(again.child, 'SIGKILL');
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
  await (await DataFile.open(file)).close();
  const client = createClient({ url: `file:${file}` });
  await client.execute('PRAGMA user_version = 9999');
  await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
  client.close();
  const before = [print(file), readdirSync(folder)];
  await expect(DataFile.open(file)).rejects.toThrow(
    /written by a newer Sledge \(9999, this one knows \d+\)\. It was not touched/,
  );
  expect([print(file), readdirSync(folder)]).toEqual(before);
});

test('where it cannot start, it says why in one sentence and no more', async () => {
  const data = join(folder, 'newer-start');
  await (await DataFile.open(join(data, 'sledge.db'))).close();
  const client = createClient({ url: `file:${join(data, 'sledge.db')}` });
  await client.execute('PRAGMA user_version = 9999');
  await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
  client.close();
  const newer = await said({ SLEDGE_DATA: data, SLEDGE_PORT: '0' });
  expect(newer.code).toBe(1);
  expect(newer.error).toMatch(/^[^\n]*was written by a newer Sledge \(9999, [^\n]*another folder\.$/);
  const { child, url } = await started(join(folder, 'taken'));
  const taken = await said({ SLEDGE_DATA: join(folder, 'other'), SLEDGE_PORT: new URL(url).port });
  await ended(child, 'SIGKILL');
  expect([taken.code, taken.error]).toEqual([1, expect.stringMatching(/^Port \d+ is taken, [^\n]*another one\.$/)]);
  expect((await said({ SLEDGE_DATA: join(folder, 'odd'), SLEDGE_PORT: 'abc' })).error).toBe(
    'SLEDGE_PORT is “abc”. Give a number from 1 to 65535.',
  );
});

test('files of other programs are refused and left alone', async () => {
  const text = join(folder, 'notes.db');
  writeFileSync(text, 'beetroot\n'.repeat(40));
  await expect(DataFile.open(text)).rejects.toThrow(UnusableDatabase);
  expect(readFileSync(text, 'utf8')).toMatch(/^beetroot/);
  const other = join(folder, 'other.db');
  const client = createClient({ url: `file:${other}` });
  await client.execute('PRAGMA application_id = 77');
  await client.execute('CREATE TABLE seed (id)');
  client.close();
  const before = print(other);
  await expect(DataFile.open(other)).rejects.toThrow(/belongs to another program/);
  expect(print(other)).toBe(before);
});

test('a copy of the file opens elsewhere, in WAL mode and with foreign keys held', async () => {
  const file = join(folder, 'own.db');
  await (await DataFile.open(file)).close();
  const copy = join(folder, 'copy.db');
  copyFileSync(file, copy);
  const data = await DataFile.open(copy);
  const { db } = data;
  const value = async (pragma: string): Promise<unknown> =>
    Object.values((await db.$client.execute(`PRAGMA ${pragma}`)).rows[0] ?? {})[0];
  expect([await value('journal_mode'), await value('foreign_keys')]).toEqual(['wal', 1]);
  await expect(
    db.$client.execute(
      "INSERT INTO block (id, version, clay_id, net_grams, left_grams, date_code) VALUES ('a', 1, 'none', 57, 57, '')",
    ),
  ).rejects.toThrow(/FOREIGN KEY/);
  await data.close();
});
