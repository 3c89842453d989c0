import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { AheadFile, Flush } from '../src/db/flush.js';

test('everybody is answered by a flush that began after they asked, and those that wait share it', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.record({ wait: fc.nat(4), asks: fc.integer({ min: 1, max: 5 }) }), { minLength: 1, maxLength: 12 }),
      fc.nat(3),
      async (groups, length) => {
        let written = 0;
        let onDisk = 0;
        let flushes = 0;
        let underWay = false;
        const flush = new Flush(async () => {
          expect(underWay).toBe(false);
          [underWay, flushes] = [true, flushes + 1];
          const taken = written;
          for (let i = 0; i < length; i++) await Promise.resolve();
          [underWay, onDisk] = [false, taken];
        });
        const answers: Promise<void>[] = [];
        for (const { wait, asks } of groups) {
          for (let i = 0; i < asks; i++) {
            written += 1;
            const mine = written;
            answers.push(
              flush.onDisk().then(() => {
                expect(onDisk).toBeGreaterThanOrEqual(mine);
              }),
            );
          }
          for (let i = 0; i < wait; i++) await Promise.resolve();
        }
        await Promise.all(answers);
        expect(onDisk).toBe(written);
        // those that ask together never take a flush each
        expect(flushes).toBeLessThanOrEqual(groups.length + 1);
      },
    ),
  );
});

test('a flush that failed is told to those that waited for it', async () => {
  let fails = true;
  const flush = new Flush(() => (fails ? Promise.reject(new Error('EIO')) : Promise.resolve()));
  const both = [flush.onDisk(), flush.onDisk()];
  await expect(both[0]).rejects.toThrow('EIO');
  await expect(both[1]).rejects.toThrow('EIO');
  fails = false;
  await expect(flush.onDisk()).resolves.toBeUndefined();
});

test('a write-ahead file is flushed where there is one, and can be taken away when it is let go', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'sledge-flush-'));
  const path = join(folder, 'sledge.db-wal');
  const none = new AheadFile(path);
  await none.flush();
  expect(existsSync(path)).toBe(false);
  writeFileSync(path, 'something');
  await none.flush();
  await none.close();
  await expect(none.flush()).rejects.toThrow('closed');
  rmSync(path);
  // a folder cannot be written: after that nothing is answered any more, even where it could be
  const broken = new AheadFile(folder);
  await expect(broken.flush()).rejects.toThrow('EISDIR');
  await expect(broken.flush()).rejects.toThrow('EISDIR');
  rmSync(folder, { recursive: true });
});
