// The board with 10,000 mixes, as somebody sees it in a browser.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM_FLAGS, bringChromium, findChromium } from './chromium.mjs';

const WORDS = ['beet', 'leek', 'squash', 'romanesco bead', 'swede'];
const ROUNDS = 5;

/**
 * @param tools `fill`, `started` and `ended` of the server's benchmark, `seeded` and `median` of core
 * @returns figures
 */
export async function boardFigures({ fill, started, ended, seeded, median }) {
  const missing = bringChromium();
  if (missing) throw new Error(missing);
  const { chromium } = await import('@playwright/test');
  const folder = mkdtempSync(join(tmpdir(), 'sledge-board-'));
  await fill(join(folder, 'sledge.db'), seeded(3));
  const { child, port } = await started(folder);
  const browser = await chromium.launch({ executablePath: findChromium() ?? undefined, args: CHROMIUM_FLAGS });
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  const list = page.getByRole('list', { name: 'Chips' });
  const open = async () => {
    const began = performance.now();
    await page.goto(`http://127.0.0.1:${port}/mixes`);
    await list.getByRole('link').first().waitFor();
    return performance.now() - began;
  };
  const first = await open();
  const again = [];
  for (let i = 0; i < ROUNDS; i++) again.push(await open());
  /** From a word typed to a list that has changed. */
  const search = async (word) => {
    await page.locator('[data-find]').fill('');
    await page.getByText('10000 mixes').waitFor();
    const before = await list.innerText();
    const began = performance.now();
    await page.locator('[data-find]').fill(word);
    await page.waitForFunction((was) => document.querySelector('[aria-label=Chips]')?.innerText !== was, before);
    return performance.now() - began;
  };
  const atTop = [];
  for (const word of WORDS) atTop.push(await search(word));
  const atEnd = [];
  for (const word of WORDS) {
    await page.locator('[data-find]').fill('');
    await page.getByText('10000 mixes').waitFor();
    await list.evaluate((rows) => {
      rows.parentElement.scrollTop = rows.parentElement.scrollHeight;
    });
    await page.locator('[aria-posinset="10000"] a').waitFor();
    const began = performance.now();
    const before = await list.innerText();
    await page.locator('[data-find]').fill(word);
    await page.waitForFunction((was) => document.querySelector('[aria-label=Chips]')?.innerText !== was, before);
    atEnd.push(performance.now() - began);
  }
  const drawn = await list.getByRole('listitem').count();
  await browser.close();
  await ended(child);
  rmSync(folder, { recursive: true, force: true });
  return { first, again: median(again), atTop: median(atTop), atEnd: median(atEnd), drawn };
}
