import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import {
  CHANGE_HEADER,
  type BatchCard,
  type ChangesAnswer,
  type DiaryListAnswer,
  type MixListAnswer,
  type ShelfAnswer,
} from '#contract';
import { serve } from '../src/app.js';
import { projectRoot } from '../src/db/root.js';

/** A database of each earlier version, with the kitchen garden and three changes in it, as that version left it. */
const KEPT = join(projectRoot(), 'server', 'test', 'kept');
const folder = mkdtempSync(join(tmpdir(), 'sledge-kept-'));
afterAll(() => {
  rmSync(folder, { recursive: true });
});

const versions = readdirSync(KEPT).sort();

test('there is one of every version whose tables differed', () => {
  expect(versions.length).toBeGreaterThanOrEqual(14);
});

test.each(versions)('%s opens, with all that is in it, and what was done can be taken back', async (name) => {
  const data = join(folder, name.replace(/\..*/, ''));
  const file = `${data}.db`;
  writeFileSync(file, gunzipSync(readFileSync(join(KEPT, name))));
  const { app, port } = await serve(file, 0);
  try {
    const get = async <T>(path: string): Promise<T> => {
      const response = await fetch(`http://127.0.0.1:${port}${path}`);
      expect([path, response.status]).toEqual([path, 200]);
      return (await response.json()) as T;
    };
    const shelf = await get<ShelfAnswer>('/api/shelf');
    expect(shelf.clays).toHaveLength(14);
    expect((await get<MixListAnswer>('/api/mixes')).total).toBeGreaterThanOrEqual(21);
    for (const { id } of await get<readonly BatchCard[]>('/api/batches')) await get(`/api/batches/${id}`);
    const diary = await get<DiaryListAnswer>('/api/diary');
    expect(diary.total).toBeGreaterThanOrEqual(2);
    const opened = await Promise.all(
      diary.entries.map(({ id }) =>
        get<{ pieces: readonly { cutter: { shape: string; diameter?: number; width?: number } }[] }>(
          `/api/diary/${id}`,
        ),
      ),
    );
    expect(opened.flatMap((e) => e.pieces).every(({ cutter }) => (cutter.diameter ?? cutter.width ?? 0) > 0)).toBe(
      true,
    );
    expect((await get<DiaryListAnswer>('/api/diary?search=radish')).total).toBeGreaterThan(0);
    const left = (answer: ShelfAnswer): number => answer.blocks.reduce((sum, b) => sum + b.leftGrams, 0);
    const undo = await fetch(`http://127.0.0.1:${port}/api/undo`, {
      method: 'POST',
      headers: { [CHANGE_HEADER]: crypto.randomUUID() },
    });
    expect(((await undo.json()) as ChangesAnswer).did).toMatch(/^Taken back: took 1.5 g/);
    expect(left(await get<ShelfAnswer>('/api/shelf')) - left(shelf)).toBeCloseTo(1.5, 6);
  } finally {
    await app.close();
  }
});

test('what was there before an update is kept as a copy', () => {
  expect(readdirSync(join(folder, 'copies')).filter((f) => f.includes('before an update')).length).toBeGreaterThan(0);
});
