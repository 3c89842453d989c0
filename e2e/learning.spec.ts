import type { Page } from '@playwright/test';
import { edit, expect, saved, test, still } from './sledge.js';

const chips = (page: Page) => page.getByRole('region', { name: 'Chips you made' });
const open = async (page: Page, name: string): Promise<void> => {
  await page.getByRole('list', { name: 'Chips' }).getByRole('link', { name }).first().click();
  await expect(page.getByLabel('Name of the mix')).toHaveValue(name);
};
/** How far a reading is from the prediction. */
const off = async (page: Page): Promise<number> =>
  Number(/ΔE ([\d.]+) from the prediction/.exec(await chips(page).getByTestId('off').innerText())?.[1]);
const fromWanted = async (page: Page): Promise<number> =>
  Number(/([\d.]+) from what is wanted/.exec(await chips(page).getByTestId('off').innerText())?.[1]);

async function read(page: Page): Promise<void> {
  await expect(chips(page)).toBeVisible();
  const connect = chips(page).getByRole('button', { name: 'Connect the reader' });
  if ((await connect.count()) > 0) await connect.click();
  const button = chips(page).getByRole('button', { name: /Read the chip|Calibrate on white/ });
  await expect(button).toBeVisible();
  if ((await button.innerText()) === 'Calibrate on white') await button.click();
  await chips(page).getByRole('button', { name: 'Read the chip' }).click();
  await expect(chips(page)).toContainText(/mean of 3 readings|lost its connection/);
}

test('mix, read the chip, find it off, correct it, log it, and the next mix is predicted better', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/mixes`);
  await open(page, 'Pea pod');
  await expect(chips(page)).toContainText('None yet.');
  await expect(chips(page)).not.toContainText('stand-in');
  await read(page);
  await expect(chips(page)).toContainText('This reader is a stand-in that comes with Sledge');
  const first = await off(page);
  expect(first).toBeGreaterThan(2);
  await chips(page).getByRole('button', { name: 'Log it' }).click();
  await expect(chips(page).getByRole('listitem')).toHaveCount(1);
  await saved(page);

  // it came out darker than the packets say: what has to be added
  await chips(page).getByRole('link', { name: 'correct' }).click();
  await expect(page.getByRole('heading', { name: 'Correct a mix' })).toBeVisible();
  await edit(page, 'Grams of the mix', '84 g');
  const ways = page.getByRole('list', { name: 'What to add' }).getByRole('listitem');
  await expect(ways.first()).toBeVisible();
  const before = Number(/ΔE ([\d.]+)/.exec(await page.getByText(/^ΔE [\d.]+ apart/).innerText())?.[1]);
  const adds = await ways.last().getByTestId('adds').innerText();
  expect(adds).toMatch(/^[\d.]+ g \w+/);
  await ways.last().getByRole('button', { name: 'Put the new mix on the board' }).click();
  await expect(page.getByLabel('Name of the mix')).toHaveValue(/^Pea pod corrected/);
  await expect(page.getByLabel('Recipe in notation')).toHaveValue(/^84 Pea pod \+ /);
  await expect(page.getByLabel('Parts are')).toHaveValue('mass');
  await read(page);
  await expect.poll(() => fromWanted(page)).toBeLessThan(before - 0.5);
  await chips(page).getByRole('button', { name: 'Log it' }).click();
  await saved(page);

  // another mix of the same clays; the reader loses its connection in the middle
  await page.keyboard.press('Escape');
  await page.getByLabel('New mix').click();
  await expect(page.getByRole('heading', { name: 'A new mix' })).toBeVisible();
  await page.getByRole('textbox', { name: /notation/i }).fill('2 Pea + 3 Leek');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Recipe in notation')).toHaveValue('2 Pea + 3 Leek');
  await read(page);
  await expect(chips(page)).toContainText('The reader lost its connection before it answered. Read again.');
  await read(page);
  await expect(chips(page)).toContainText('mean of 3 readings');
  await expect.poll(() => off(page)).toBeLessThan(first * 0.6);
  await expect(page.getByRole('main')).toContainText('predicted as your chips taught');
});

test('what the chips taught, in plain words: strengths, a contradiction, the next chip; with and without', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/mixes`);
  const ring = page
    .getByRole('list', { name: 'Chips' })
    .getByRole('link', { name: 'Beet ring' })
    .locator('div')
    .first();
  await expect(ring).toBeVisible();
  await page.keyboard.press('t');
  await expect(page.getByRole('heading', { name: 'What your chips taught' })).toBeVisible();
  const strengths = page.getByRole('region', { name: 'Strengths' });
  await expect(strengths).toContainText(/Your Beetroot is [345]\.\d times as strong as Chalk, from 5 chips \(\d/);
  await expect(page.getByText(/Two chips of Beet ring contradict each other/)).toBeVisible();
  await expect(page.getByText('In no chip yet, so assumed: Squash, Pea, Carrot.')).toBeVisible();
  const next = page.getByRole('region', { name: 'Chips worth making' }).getByRole('listitem');
  await expect(next).toHaveCount(3);
  const list = page.getByRole('list', { name: 'Chips and their predictions' }).getByRole('listitem');
  await expect(list).toHaveCount(11);
  const beet = list.filter({ hasText: 'Beet ring' }).filter({ hasText: '12 October' });
  const [, stated, taught] = /ΔE ([\d.]+) by default, ([\d.]+) as learned/.exec(await beet.innerText()) ?? [];
  expect(Number(taught)).toBeLessThan(Number(stated) / 4);

  await expect(page.getByText('Sledge predicts with what was learned')).toBeVisible();
  // the chip follows what is said of it
  await still(page);
  const learned = await ring.evaluate((chip) => getComputedStyle(chip).backgroundColor);
  await page.keyboard.press('s');
  await expect(page.getByText('Sledge predicts with the defaults')).toBeVisible();
  await expect.poll(() => ring.evaluate((chip) => getComputedStyle(chip).backgroundColor)).not.toBe(learned);
  await page.keyboard.press('s');
  await expect(page.getByText('Sledge predicts with what was learned')).toBeVisible();
  await expect.poll(() => ring.evaluate((chip) => getComputedStyle(chip).backgroundColor)).toBe(learned);

  // the chip that contradicts is struck out, and the contradiction is gone
  await page
    .getByText(/Two chips of Beet ring/)
    .getByRole('link')
    .click();
  await chips(page)
    .getByRole('listitem')
    .filter({ hasText: '2 November' })
    .getByRole('button', { name: 'strike out' })
    .click();
  await expect(chips(page).getByRole('listitem').filter({ hasText: '2 November' })).toHaveCount(0);
  await saved(page);
  await page.keyboard.press('t');
  await expect(list).toHaveCount(10);
  await expect(page.getByText(/contradict/)).toHaveCount(0);
  await next.first().getByRole('button', { name: 'Put it on the board' }).click();
  await expect(page.getByLabel('Note on the mix')).toHaveValue(/worth making/);
});

test.describe('with nothing learned yet', () => {
  test.use({ data: 'empty' });
  test('the page says what to do first', async ({ page, sledge }) => {
    await page.goto(`${sledge.url}/mixes/taught`);
    await expect(page.getByRole('heading', { name: 'No clay to mix yet' })).toBeVisible();
  });
});
