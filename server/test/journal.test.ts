import fc from 'fast-check';
import { mkdtempSync, rmSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Journal, type Draft, type Row } from '../src/db/journal.js';
import { DataFile, type Db } from '../src/db/dataFile.js';
import { blocks, changes, clays, lines } from '../src/db/schema.js';

const folder = mkdtempSync(join(tmpdir(), 'sledge-journal-'));
afterAll(() => {
  rmSync(folder, { recursive: true });
});
let count = 0;

async function fresh(): Promise<{ file: DataFile; db: Db; journal: Journal; reopen: () => Promise<Journal> }> {
  const file = await DataFile.open(join(folder, `${count++}.db`));
  return { file, db: file.db, journal: await Journal.open(file), reopen: () => Journal.open(file) };
}

const row = (id: string, density: number): Row<'line'> => ({
  id,
  version: 0,
  name: id,
  firmness: 'soft',
  density,
  densityMeasured: false,
  bakeC: 120,
  bakeMinutes: 20,
  bakePerMm: 6,
  maxC: 140,
  toughness: null,
  ownC: null,
  ownMinutes: null,
});
const state = async (db: Db): Promise<unknown> =>
  (await db.select().from(lines)).map(({ id, density }) => [id, density]).sort();
const put =
  (id: string, density: number) =>
  async (draft: Draft): Promise<void> => {
    await draft.put('line', { ...row(id, density), version: draft.version });
    draft.summary = `${id} ${density}`;
  };

test('undo and redo walk through the states that were there, in any pattern', async () => {
  const move = fc.oneof(
    fc.tuple(fc.constantFrom('a', 'b', 'c'), fc.integer({ min: 1, max: 9 })),
    fc.constantFrom('undo' as const, 'redo' as const),
  );
  await fc.assert(
    fc.asyncProperty(fc.array(move, { maxLength: 25 }), async (moves) => {
      const { file, db, journal } = await fresh();
      const past: unknown[] = [];
      let future: unknown[] = [];
      for (const m of moves) {
        const before = await state(db);
        if (m === 'undo') {
          const { did } = await journal.undo();
          expect(did === null).toBe(past.length === 0);
          if (past.length > 0) {
            future.push(before);
            expect(await state(db)).toEqual(past.pop());
          }
        } else if (m === 'redo') {
          const { did } = await journal.redo();
          expect(did === null).toBe(future.length === 0);
          if (future.length > 0) {
            past.push(before);
            expect(await state(db)).toEqual(future.pop());
          }
        } else {
          await journal.change(randomUUID(), put(m[0], m[1]));
          past.push(before);
          future = [];
        }
      }
      await file.close();
    }),
    { numRuns: 30 },
  );
});

test('a change that fails half way leaves nothing behind, and the next one goes on', async () => {
  const { db, journal } = await fresh();
  await journal.change(randomUUID(), put('a', 1));
  await expect(
    journal.change(randomUUID(), async (draft) => {
      await draft.put('line', row('b', 2));
      throw new Error('no more clay');
    }),
  ).rejects.toThrow('no more clay');
  // the block belongs to no clay: the file refuses the whole change
  await expect(
    journal.change(randomUUID(), async (draft) => {
      await draft.put('line', row('c', 3));
      await draft.put('block', {
        id: 'x',
        version: 1,
        clayId: 'nowhere',
        netGrams: 57,
        leftGrams: 57,
        madeOn: null,
        dateCode: '',
        price: null,
        ...{ squeezed: null, squeezedOn: null, inside: null },
      });
    }),
  ).rejects.toThrow();
  expect(await state(db)).toEqual([['a', 1]]);
  expect(await db.select().from(blocks)).toEqual([]);
  expect((await journal.state()).undo?.summary).toBe('a 1');
  await journal.change(randomUUID(), put('d', 4));
  expect(await state(db)).toEqual([
    ['a', 1],
    ['d', 4],
  ]);
});

test('a change id counts once, also after the journal was opened anew, and after undo', async () => {
  const { db, journal, reopen } = await fresh();
  const id = randomUUID();
  expect(await journal.change(id, put('a', 1))).toBe(true);
  expect(await journal.change(id, put('a', 2))).toBe(false);
  const again = await reopen();
  expect(await again.change(id, put('a', 3))).toBe(false);
  await again.undo();
  expect(await again.change(id, put('a', 4))).toBe(false);
  expect(await state(db)).toEqual([]);
  expect((await (await reopen()).redo()).did).toBe('Done again: a 1');
});

test('a new change after undo ends what could be done again, also after a restart', async () => {
  const { journal, reopen } = await fresh();
  await journal.change(randomUUID(), put('a', 1));
  await journal.undo();
  const again = await reopen();
  await again.change(randomUUID(), put('b', 1));
  expect(await again.state()).toMatchObject({ undo: { summary: 'b 1' }, redo: null, did: null });
});

test('versions only grow, so that no window can take an old state for the new one', async () => {
  const { db, journal } = await fresh();
  const version = async (): Promise<number> => (await db.select().from(lines))[0]?.version ?? 0;
  await journal.change(randomUUID(), put('a', 1));
  const seen = [await version()];
  await journal.change(randomUUID(), put('a', 2));
  seen.push(await version());
  await journal.undo();
  seen.push(await version());
  await journal.redo();
  seen.push(await version());
  expect([...seen].sort((a, b) => a - b)).toEqual(seen);
  expect(new Set(seen).size).toBe(4);
});

test('a change that changes nothing is not in the way of undo; many at once run one after the other', async () => {
  const { db, journal } = await fresh();
  await journal.change(randomUUID(), put('a', 1));
  await journal.change(randomUUID(), async (draft) => {
    const same = await draft.find('line', 'a');
    if (same) await draft.put('line', same);
  });
  expect(await db.select().from(changes)).toHaveLength(1);
  await Promise.all(
    Array.from({ length: 20 }, (_, i) =>
      journal.change(randomUUID(), async (draft) => {
        const before = await draft.find('line', 'a');
        await draft.put('line', { ...row('a', (before?.density ?? 0) + i + 1), version: draft.version });
      }),
    ),
  );
  expect(await state(db)).toEqual([['a', 211]]);
});

test('rows that hang together go and come back together', async () => {
  const { db, journal } = await fresh();
  const own = {
    id: 'c',
    version: 1,
    lineId: 'a',
    name: 'Pea',
    kind: 'opaque' as const,
    rawHex: '93B84C',
    bakedHex: '93B84C',
    edgeHex: null,
    strength: null,
    retired: false,
  };
  await journal.change(randomUUID(), async (draft) => {
    await draft.put('clay', own);
    await draft.put('line', row('a', 1));
  });
  await journal.change(randomUUID(), async (draft) => {
    draft.remove('line', [row('a', 1)]);
    draft.remove('clay', [own]);
    return Promise.resolve();
  });
  expect([await db.select().from(lines), await db.select().from(clays)]).toEqual([[], []]);
  await journal.undo();
  expect((await db.select().from(clays)).map((c) => c.name)).toEqual(['Pea']);
});
