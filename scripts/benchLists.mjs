// Two thousand canes and as many patterned sheets: their lists from the server, and on the screen.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM_FLAGS, bringChromium, findChromium } from './chromium.mjs';

const PLANS = 2000;
const ROUNDS = 9;
const MOMENT = 1000;
const STATIONS = [
  { what: 'canes', station: '/canes', list: 'Your canes' },
  { what: 'patterned sheets', station: '/patterns', list: 'Your patterned sheets' },
];

async function answered(url) {
  const began = performance.now();
  await (await fetch(url)).text();
  return performance.now() - began;
}

/** From a click on a station to its first card. */
const shown = (page, { station, list }) =>
  page.evaluate(
    async ([href, name]) => {
      const began = performance.now();
      document.querySelector(`nav a[href="${href}"]`).click();
      const card = `[aria-label="${name}"] [role=listitem]`;
      while (!document.querySelector(card)) await new Promise((done) => setTimeout(done));
      return performance.now() - began;
    },
    [station, list],
  );

/** @returns for each list its rounds from the server and on the screen, and answers that do nothing as a baseline */
export async function listFigures({ fillPlans, started, ended }) {
  const missing = bringChromium();
  if (missing) throw new Error(missing);
  const { chromium } = await import('@playwright/test');
  const folder = mkdtempSync(join(tmpdir(), 'sledge-lists-'));
  await fillPlans(join(folder, 'sledge.db'), PLANS);
  const { child, port } = await started(folder);
  const url = `http://127.0.0.1:${port}`;
  const browser = await chromium.launch({ executablePath: findChromium() ?? undefined, args: CHROMIUM_FLAGS });
  try {
    const health = [];
    const served = STATIONS.map(() => []);
    for (let round = 0; round < ROUNDS; round++) {
      health.push(await answered(`${url}/api/health`));
      for (const [i, { station }] of STATIONS.entries()) served[i].push(await answered(`${url}/api${station}`));
    }
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await page.goto(`${url}/shelf`);
    const drawn = STATIONS.map(() => []);
    for (let round = 0; round < ROUNDS; round++)
      for (const [i, station] of STATIONS.entries()) {
        // as somebody who looks at the last list for a moment
        await page.waitForTimeout(MOMENT);
        drawn[i].push(await shown(page, station));
      }
    return {
      count: PLANS,
      health,
      lists: STATIONS.map(({ what }, i) => ({ what, served: served[i], drawn: drawn[i] })),
    };
  } finally {
    await browser.close();
    await ended(child);
    rmSync(folder, { recursive: true, force: true });
  }
}
