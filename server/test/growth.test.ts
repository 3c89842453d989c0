import fc from 'fast-check';
import { randomUUID } from 'node:crypto';
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Problem } from '#contract';
import { FileLog } from '../src/access/log.js';
import { DataFile } from '../src/db/dataFile.js';
import { keptOf, turnedWrite } from '../src/db/difference.js';
import { Journal, type Row } from '../src/db/journal.js';
import { canes, changes } from '../src/db/schema.js';
import { Api, line } from './api.js';

const folder = mkdtempSync(join(tmpdir(), 'sledge-growth-'));
afterAll(() => {
  rmSync(folder, { recursive: true });
});

const value = fc.oneof(
  fc.string(),
  fc.integer(),
  fc.constant(null),
  fc.boolean(),
  fc.array(fc.record({ id: fc.string(), of: fc.string({ maxLength: 90 }) }), { maxLength: 12 }),
);
const row = fc.record({
  id: fc.constant('a'),
  name: value,
  program: value,
  note: fc.string({ minLength: 200, unit: 'grapheme' }),
});

test('what is kept of a change turns a row into the one before and the one after, to the letter', () => {
  fc.assert(
    fc.property(row, row, (before, after) => {
      const kept = JSON.parse(JSON.stringify(keptOf({ table: 'line', before, after }))) as ReturnType<typeof keptOf>;
      expect(turnedWrite(kept, after, true).after).toEqual(before);
      expect(turnedWrite(kept, before, false).after).toEqual(after);
    }),
  );
});

const cane = (steps: number, length: number): Row<'caneRevision'> => ({
  id: 'r',
  caneId: 'c',
  number: 1,
  createdAt: '2026-01-01',
  slices: 20,
  sliceMm: 2,
  trimming: 'once at the end',
  ends: null,
  program: {
    version: 1,
    steps: Array.from({ length: steps }, (_, i) => ({
      id: `s${i}`,
      do: 'log',
      of: `clay:${i}`,
      diameter: 10,
      length: i === 700 ? length : 40,
    })),
  },
});

test('fifty edits of one number in a large cane add little, and each can be taken back', async () => {
  const file = await DataFile.open(join(folder, 'cane.db'));
  const journal = await Journal.open(file);
  const put = (length: number): Promise<boolean> =>
    journal.change(randomUUID(), async (draft) => {
      await draft.put('cane', { id: 'c', version: draft.version, name: 'Basket', note: '', retired: false });
      await draft.put('caneRevision', cane(9000, length));
    });
  await put(40);
  const [first] = await file.db.select({ writes: changes.writes }).from(changes);
  for (let i = 1; i <= 50; i++) await put(40 + i);
  const all = await file.db.select({ writes: changes.writes }).from(changes);
  const bytes = all.reduce((sum, c) => sum + JSON.stringify(c.writes).length, 0) - JSON.stringify(first?.writes).length;
  expect(bytes).toBeLessThan(50 * 600);
  for (let i = 0; i < 50; i++) await journal.undo();
  expect((await file.db.select().from(canes)).length).toBe(1);
  const [back] = await file.db.query.caneRevisions.findMany();
  expect(back?.program).toEqual(cane(9000, 40).program);
  await file.close();
  expect(statSync(file.file).size).toBeLessThan(6_000_000);
});

test('the list of changes is let go by its bytes, at the start too, and the file gives the room back', async () => {
  const path = join(folder, 'bytes.db');
  const first = await DataFile.open(path);
  const journal = await Journal.open(first);
  const picture = (i: number): Row<'picture'> => ({
    id: `p${i}`,
    type: 'image/png',
    width: 1,
    height: 1,
    small: null,
    data: `${i}`.padEnd(900_000, 'x'),
  });
  for (let i = 0; i < 30; i++) await journal.change(randomUUID(), (draft) => draft.put('picture', picture(i)));
  const kept = await first.db.select({ seq: changes.seq }).from(changes);
  expect(kept.length).toBeLessThanOrEqual(19);
  for (let i = 0; i < 30; i++)
    await journal.change(randomUUID(), (draft) => {
      draft.remove('picture', [picture(i)]);
      return Promise.resolve();
    });
  await first.close();
  const full = statSync(path).size;
  const second = await DataFile.open(path);
  await second.db.delete(changes);
  await Journal.open(second);
  await second.close();
  expect(statSync(path).size).toBeLessThan(full / 10);
});

test(
  'a full disk is told in a sentence under a number; nothing is half saved, and it goes on when there ' + 'is room',
  async () => {
    const api = await Api.open();
    try {
      const { db } = api.running.app.get(DataFile);
      const { rows } = await db.$client.execute('PRAGMA page_count');
      await db.$client.execute(`PRAGMA max_page_count = ${Number(rows[0]?.[0])}`);
      const dto = line('Clearpane', {});
      const big = Array.from({ length: 60 }, () => line(`Line ${randomUUID()}`));
      const answers = await Promise.all([dto, ...big].map((l) => api.put('lines', l)));
      const wrong = answers.find((a) => a.status !== 200);
      expect([wrong?.status, (wrong?.body as unknown as Problem).detail]).toEqual([
        507,
        expect.stringContaining('The disk is full, so nothing was saved'),
      ]);
      const log = readFileSync(join(api.folder, 'sledge.log'), 'utf8');
      expect(log).toContain(`fault ${(wrong?.body as unknown as Problem).fault ?? '?'} at PUT /api/lines/`);
      await db.$client.execute('PRAGMA max_page_count = 1000000');
      const failed = [dto, ...big].filter((_, i) => answers[i]?.status !== 200);
      for (const l of failed) expect((await api.put('lines', l)).status).toBe(200);
      expect((await api.get<{ lines: unknown[] }>('/api/shelf')).body.lines).toHaveLength(61);
    } finally {
      await api.close();
    }
  },
);

test('the log stays small, and what cannot be written down breaks nothing', () => {
  const log = new FileLog(join(folder, 'sledge.db'));
  for (let i = 0; i < 400; i++) log.fault(new Error('x'.repeat(4000)), 'GET /api/leek');
  expect(statSync(log.path).size).toBeLessThan(520_000);
  expect(statSync(`${log.path}.old`).size).toBeLessThan(520_000);
  expect(() => new FileLog(join(folder, 'nowhere', 'sledge.db')).error('away')).not.toThrow();
  expect(existsSync(join(folder, 'nowhere'))).toBe(false);
});
