/* global window */
// 2,000 things that lie there: the list, a change of one, and the picker as somebody types into it.
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM_FLAGS, bringChromium, findChromium } from './chromium.mjs';

const THINGS = 2000;
const [ROUNDS, AT_ONCE] = [200, 8];
const VEGETABLES = ['Beetroot', 'Leek', 'Pea', 'Squash', 'Radish', 'Carrot', 'Turnip', 'Corn', 'Romanesco', 'Swede'];
const TYPED = ['leek', 'squash', 'radish 1', 'romanesco', 'swede 12'];

const timed = async (work) => {
  const began = performance.now();
  await work();
  return performance.now() - began;
};

/** So many sheets and lumps of the clays of a filled database. */
async function lie(ask, shelf) {
  let next = 0;
  const one = async () => {
    for (let i = next++; i < THINGS; i = next++) {
      const clay = shelf.clays[i % shelf.clays.length];
      const flat = i % 2 === 0;
      const thing = {
        ...{ id: randomUUID(), version: 0, name: `${VEGETABLES[i % 10]} ${i}`, note: '', keptIn: 'tin' },
        ...{
          form: flat ? 'sheet' : 'lump',
          widthMm: 60,
          lengthMm: 60,
          mm: 2,
          layers: 1,
          grams: 14,
          cuts: [],
          gone: false,
        },
      };
      const body = { thing, of: { kind: 'clay', id: clay.id }, entryId: randomUUID(), madeOn: '2026-11-20', note: '' };
      await ask('POST', `/api/made/${thing.id}/noted`, body);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, one));
}

/** A batch with a layer of a thing, on a machine of its own. @returns its id */
async function batchOf(ask, thingId) {
  const machine = {
    ...{ id: randomUUID(), version: 0, name: 'Roller', note: '', rollerWidthMm: 150, readings: [] },
    settings: [0, 1, 2, 3].map((label) => ({ id: randomUUID(), label: String(label) })),
  };
  await ask('PUT', `/api/machines/${machine.id}`, machine);
  const { setup } = await ask('GET', '/api/machines');
  await ask('PUT', '/api/bench', { ...setup, machineId: machine.id });
  const piece = {
    ...{ id: randomUUID(), name: 'Drop', shape: 'round', widthMm: 20, heightMm: null, count: 4, spare: 0, bridgeMm: 2 },
    ...{ sheetWidthMm: 100, sheetLengthMm: 200 },
    layers: [{ id: randomUUID(), of: { kind: 'made', id: thingId }, settingId: machine.settings[2].id }],
  };
  const batch = { id: randomUUID(), version: 0, name: 'Drops', note: '', dueOn: null, pieces: [piece] };
  await ask('PUT', `/api/batches/${batch.id}`, batch);
  return batch.id;
}

/** ms from each key to the list that answers it, inside the page. */
async function typing(page) {
  const times = [];
  for (const word of TYPED) {
    const field = page.getByRole('combobox', { name: 'What the layer underneath is made of' });
    await field.fill('');
    await page.waitForTimeout(300);
    for (const key of word) {
      const answered = page.evaluate(
        () =>
          new Promise((resolve) => {
            document.addEventListener(
              'keydown',
              () => {
                const began = performance.now();
                window.requestAnimationFrame(() =>
                  window.requestAnimationFrame(() => resolve(performance.now() - began)),
                );
              },
              { once: true, capture: true },
            );
          }),
      );
      await field.press(key === ' ' ? 'Space' : key);
      times.push(await answered);
    }
  }
  return times;
}

/** @param tools `fill`, `started` and `ended` of the server's benchmark, `seeded` and `headers` */
export async function stockFigures({ fill, started, ended, seeded, header }) {
  const missing = bringChromium();
  if (missing) throw new Error(missing);
  const { chromium } = await import('@playwright/test');
  const folder = mkdtempSync(join(tmpdir(), 'sledge-stock-'));
  await fill(join(folder, 'sledge.db'), seeded(3));
  const { child, port } = await started(folder);
  const ask = async (method, path, body) => {
    const headers = { 'content-type': 'application/json', [header]: randomUUID() };
    const sent = body === undefined ? {} : { body: JSON.stringify(body) };
    const answer = await fetch(`http://127.0.0.1:${port}${path}`, { method, headers, ...sent });
    const text = await answer.text();
    if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${text}`);
    return text === '' ? null : JSON.parse(text);
  };
  /** Read to its last letter. */
  const read = async (path) => (await fetch(`http://127.0.0.1:${port}${path}`)).text();
  await lie(ask, await ask('GET', '/api/shelf'));
  for (let i = 0; i < 10; i++) await ask('GET', '/api/stock');
  const list = [];
  for (let i = 0; i < ROUNDS; i++) list.push(await timed(() => read('/api/stock')));
  const { things } = await ask('GET', '/api/stock');
  const [change, after] = [[], []];
  for (const { id, ...thing } of things.slice(0, ROUNDS)) {
    const { version, name, note, form, widthMm, lengthMm, mm, layers, grams, cuts, gone } = thing;
    const dto = { id, version, name, note, form, widthMm, lengthMm, mm, layers, grams, cuts, gone, keptIn: 'sill' };
    change.push(await timed(() => ask('PUT', `/api/sheets/${id}`, dto)));
    after.push(await timed(() => read('/api/stock')));
  }
  const batchId = await batchOf(ask, things[0].id);
  const browser = await chromium.launch({ executablePath: findChromium() ?? undefined, args: CHROMIUM_FLAGS });
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.goto(`http://127.0.0.1:${port}/batches/${batchId}`);
  await page.getByRole('button', { name: 'a layer underneath' }).click();
  await page.getByRole('listbox').getByRole('option').first().waitFor();
  const keys = await typing(page);
  const shown = [];
  for (let i = 0; i < 5; i++)
    shown.push(
      await timed(async () => {
        await page.goto(`http://127.0.0.1:${port}/shelf/there`);
        await page.getByRole('region', { name: 'Lumps' }).getByRole('button').first().waitFor();
      }),
    );
  await browser.close();
  await ended(child);
  rmSync(folder, { recursive: true, force: true });
  return { things: things.length, list, change, after, keys, shown };
}
