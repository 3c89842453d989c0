import { proxy, type Remote } from 'comlink';
import { labOf, mixPigments, pigmentOf } from '#core/colour';
import type { Corners, Found } from '#core/mix';
import type { FindWorker, PlainClay, PlainInput } from '../src/workers/find.worker.js';
import { inThread } from './thread.js';

let worker: Remote<FindWorker>;
beforeAll(async () => {
  worker = await inThread<FindWorker>(() => import('../src/workers/find.worker.js'));
});

const clay = (id: string, hex: string): PlainClay => ({ id, hex, strength: 1, learned: null, density: 1.9, left: 60 });
const clays = [
  clay('chalk', 'F1EEE4'),
  clay('soot', '26242A'),
  clay('beetroot', '7B1E4B'),
  clay('squash', 'E8702A'),
  clay('leek', '4B7F41'),
];
const wanted = (parts: Readonly<Record<string, number>>): PlainInput => ({
  target: labOf(
    mixPigments(
      clays.map((c) => pigmentOf(c.hex, c.strength)),
      clays.map((c) => parts[c.id] ?? 0),
    ),
  ),
  clays,
  grams: 0,
  locked: [],
  mostClays: 2,
});

test('the list gets better as it comes, and ends with the mix that the colour was made of', async () => {
  const lists: (readonly Found[])[] = [];
  expect(
    await worker.find(
      wanted({ beetroot: 0.25, chalk: 0.75 }),
      proxy((found: readonly Found[]) => {
        lists.push(found);
      }),
    ),
  ).toBe(true);
  const best = lists.map((list) => Math.min(...list.map((f) => f.deltaE)));
  best.forEach((deltaE, i) => {
    expect(deltaE).toBeLessThanOrEqual((best[i - 1] ?? Infinity) + 1e-9);
  });
  expect(lists.at(-1)?.at(-1)).toMatchObject({ clayIds: ['chalk', 'beetroot'], units: [3, 1] });
  expect(best.at(-1)).toBeLessThan(0.01);
});

test('a newer search, and a stop, end the one before', async () => {
  const first = worker.find(
    wanted({ leek: 0.4, chalk: 0.6 }),
    proxy(() => undefined),
  );
  const second = worker.find(
    wanted({ squash: 0.4, chalk: 0.6 }),
    proxy(() => undefined),
  );
  await worker.stop('search');
  expect([await first, await second]).toEqual([false, false]);
  expect(
    await worker.find(
      wanted({ squash: 1 }),
      proxy(() => undefined),
    ),
  ).toBe(true);
});

test('a triangle is a picture as high as it has to be', async () => {
  const corners = ['beetroot', 'squash', 'leek'].map((id) => pigmentOf(clays.find((c) => c.id === id)?.hex ?? '', 1));
  const picture = await worker.triangle(corners as unknown as Corners, 80);
  expect(picture.data).toHaveLength(4 * picture.width * picture.height);
  expect(picture.width).toBe(80);
  expect(new Set(picture.data).size).toBeGreaterThan(20);
});
