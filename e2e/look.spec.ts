import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import { chromaOf } from './chroma.js';
import { expect, station, still, test } from './sledge.js';

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
const STATIONS = ['Shelf', 'Mixes', 'Sheets', 'Blends', 'Canes', 'Batches', 'Bench', 'Diary'] as const;
/** Pages beside the stations' own. */
const PAGES = ['sheets/book', 'sheets/condition', 'sheets/roll', 'canes'] as const;

/** What a screen reader would stumble over. */
async function barriers(page: Page): Promise<string[]> {
  await page.evaluate(AXE);
  return page.evaluate(async () => {
    const { axe } = window as unknown as {
      axe: { run: (options: object) => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> };
    };
    const { violations } = await axe.run({ runOnly: ['wcag2a', 'wcag2aa'] });
    return violations.flatMap(({ id, nodes }) => nodes.map((n) => `${id}: ${n.html.slice(0, 160)}`));
  });
}

/** Opens the first thing of a station, as a person would. */
async function openFirst(page: Page, name: (typeof STATIONS)[number]): Promise<void> {
  const main = page.getByRole('main');
  if (name === 'Shelf') await main.getByRole('button', { name: /^Carrot/ }).click();
  else if (name === 'Mixes') await main.getByRole('link', { name: 'Radish skin' }).click();
  else if (name !== 'Sheets') await main.getByRole('link').first().click();
  await still(page);
}

/** Buttons of a station beside the one that leads to the garden, and beside words that can be asked. */
async function ownButtons(page: Page): Promise<number> {
  const buttons = page.getByRole('main').getByRole('button');
  const garden = buttons.filter({ hasText: 'Look round in the kitchen garden first' });
  const words = page.getByRole('main').locator('button[aria-expanded]');
  return (await buttons.count()) - (await garden.count()) - (await words.count());
}

test.describe('with nothing in it', () => {
  test.use({ data: 'empty' });

  test('the interface has no colour of its own, and says what to do first', async ({ page, sledge }) => {
    await page.goto(sledge.url);
    for (const name of STATIONS) {
      await station(page, name);
      await expect(page.getByRole('main').getByRole('heading', { level: 1 })).toBeVisible();
      await expect.poll(() => ownButtons(page)).toBe(1);
      await expect.poll(() => chromaOf(page), name).toBeLessThan(6);
    }
    await station(page, 'Shelf');
    await page.getByRole('button', { name: 'Put a line of clay here' }).click();
    await page.getByLabel('Bake at').fill('hot');
    await page.keyboard.press('Enter');
    await expect(page.getByText('“hot” cannot be read as a temperature')).toBeVisible();
    await expect.poll(() => chromaOf(page), 'a form with errors').toBeLessThan(6);
  });
});

test('colour is clay, and the lamp check takes even that', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/shelf`);
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  await expect.poll(() => chromaOf(page)).toBeGreaterThan(60);
  await page.keyboard.press('l');
  for (const name of STATIONS) {
    await station(page, name);
    await openFirst(page, name);
    await expect.poll(() => chromaOf(page), name).toBeLessThan(6);
  }
});

for (const [width, height] of [
  [1280, 800],
  [1024, 768],
] as const) {
  test(`at ${width} × ${height} nothing is cut off at the side, and a screen reader finds its way`, async ({
    page,
    sledge,
  }) => {
    await page.setViewportSize({ width, height });
    await page.goto(sledge.url);
    for (const name of STATIONS) {
      await station(page, name);
      await openFirst(page, name);
      const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect(over, name).toBeLessThanOrEqual(0);
      expect(await barriers(page), name).toEqual([]);
    }
    for (const path of PAGES) {
      await page.goto(`${sledge.url}/${path}`);
      await expect(page.getByRole('main').getByRole('heading', { level: 1 })).toBeVisible();
      await still(page);
      const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect(over, path).toBeLessThanOrEqual(0);
      expect(await barriers(page), path).toEqual([]);
    }
  });
}
