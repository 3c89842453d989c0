import type { Page } from '@playwright/test';
import { edit, expect, saved, station, test } from './sledge.js';

/** Listens to the probe, switches its oven on and lets its time run fast. */
async function heat(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Listen to the probe' }).press('Enter');
  await page.getByRole('button', { name: 'switch it on' }).press('Enter');
  await expect(page.getByRole('button', { name: 'switch it off' })).toBeVisible();
  for (const pace of [1, 10, 60])
    await page.getByRole('button', { name: `Its time: ${pace} times as fast` }).press('Enter');
  await expect(page.getByRole('button', { name: 'Its time: 240 times as fast' })).toBeVisible();
}

test('twenty beads on cores, baked twice with the probe; twelve are finished, eight stay', async ({ page, sledge }) => {
  test.setTimeout(240_000);
  const main = page.getByRole('main');
  const inside = page.getByRole('region', { name: 'In the oven now' });
  const bar = page.getByRole('region', { name: 'In the oven', exact: true });
  await page.goto(`${sledge.url}/batches/ovens`);
  await test.step('the cores go in, and their minutes count only within the band', async () => {
    await page.getByRole('button', { name: 'Put load 1 in' }).press('Enter');
    await expect(inside).toContainText('22 Basket bead, cores');
    await expect(inside).toContainText('No probe is heard');
    await heat(page);
    await expect(inside).toContainText(/It warms up to \d+ °C to \d+ °C/);
    await expect(inside).toContainText(/Within \d+ °C to \d+ °C: the minutes count/, { timeout: 30_000 });
  });
  await test.step('a reload loses nothing of it, on every page it is told', async () => {
    await station(page, 'Shelf');
    await expect(bar).toContainText(/\d+ °C, \d+ of \d/);
    await page.reload();
    await expect(bar).toContainText(/\d+ °C, [1-9]\d* of \d/);
    await bar.getByRole('link', { name: 'look' }).press('Enter');
    await expect(page.getByRole('button', { name: 'switch it off' })).toBeVisible();
  });
  await test.step('too hot: it rings before the maximum', async () => {
    await edit(page, 'Where the dial stands', '175 °C');
    await expect(page.getByRole('alert', { name: 'In the oven' })).toContainText(/about to pass|Above 1\d\d °C/, {
      timeout: 30_000,
    });
    await edit(page, 'Where the dial stands', '137 °C');
    await page.getByRole('button', { name: 'open the door' }).press('Enter');
    await expect(inside).toContainText(/Below \d+ °C to \d+ °C: the minutes stand still/, { timeout: 30_000 });
    await page.getByRole('button', { name: 'shut the door' }).press('Enter');
  });
  await test.step('long enough: it is taken out, and the diary has its curve', async () => {
    await expect(inside).toContainText('Long enough', { timeout: 90_000 });
    await page.getByLabel('Note on this load').fill('a little brown at the back');
    await page.getByRole('button', { name: 'Taken out: write it down' }).press('Enter');
    await expect(page.getByRole('heading', { name: /^Baked: 22 Basket bead, cores/ })).toBeVisible();
    await expect(main).toContainText(/Really \d.* within \d+ °C to \d+ °C, hottest \d+ °C/);
    await expect(page.getByRole('img', { name: 'How warm it was in Small oven' })).toBeVisible();
    await expect(bar).toHaveCount(0);
  });
  await test.step('the oven has learned from it, and the days know that the cores are baked', async () => {
    await page.goto(`${sledge.url}/batches/days`);
    await expect(page.getByRole('list', { name: 'Done of it' })).toContainText('bake the cores');
    await page.goto(`${sledge.url}/batches/ovens`);
    await expect(page.getByRole('list', { name: 'Readings' }).getByRole('listitem')).not.toHaveCount(5);
  });
  await test.step('covered, the beads are baked again from the bench', async () => {
    await station(page, 'Batches');
    await page
      .getByRole('link', { name: /^Basket beads/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'To the bench', exact: true }).press('Enter');
    const title = page.locator('h1[data-step]');
    const isLast = async (): Promise<boolean> => /^Bake (?!the cores)/.test(await title.innerText());
    for (let i = 0; i < 80 && !(await isLast()); i++) await page.keyboard.press('Space');
    await page.getByRole('button', { name: 'Put it in' }).press('Enter');
    await expect(inside).toContainText('22 Basket bead');
    await page.getByRole('button', { name: 'it was not baked: forget it' }).press('Enter');
    await expect(page.getByRole('button', { name: 'Put it in' })).toBeVisible();
    await page.getByRole('button', { name: 'Put it in' }).press('Enter');
    await page.getByRole('button', { name: 'Taken out: write it down' }).press('Enter');
    await expect(main).toContainText(/In the oven for .* by the clock; no probe/);
  });
  await test.step('the bench kept the place; twelve of twenty are written down', async () => {
    await station(page, 'Bench');
    await expect(main).toContainText(/Basket beads.*begun: you stopped at step \d+/);
    await main.getByRole('link', { name: 'Basket beads' }).press('Enter');
    const title = page.locator('h1[data-step]');
    for (let i = 0; i < 40 && (await title.innerText()) !== 'Done?'; i++) await page.keyboard.press('Space');
    await edit(page, 'Finished of Basket bead', '21');
    await expect(main).toContainText('The number of finished pieces');
    await edit(page, 'Finished of Basket bead', '12');
    await expect(main).toContainText('The others stay in the batch');
    // what these twelve took is planned first
    const done = page.getByRole('button', { name: 'Done, write it down' });
    await expect(done).toBeEnabled();
    await done.press('Enter');
    await expect(page.getByRole('heading', { name: 'Basket beads, 12 of 20' })).toBeVisible();
    await page.getByRole('link', { name: 'the plan' }).press('Enter');
    await expect(page.getByLabel('Number of Basket bead')).toHaveValue('8');
    await expect(page.getByRole('list', { name: 'Made so far' })).toContainText('Basket beads, 12 of 20');
  });
  await test.step('undo takes back what was finished', async () => {
    await page.keyboard.press('z');
    await expect(page.getByLabel('Number of Basket bead')).toHaveValue('20');
    await expect(page.getByRole('list', { name: 'Made so far' })).toHaveCount(0);
    await saved(page);
  });
});

test('lower and longer: own figures of a line are what its pieces bake at, never above its maximum', async ({
  page,
  sledge,
}) => {
  const main = page.getByRole('main');
  await page.goto(`${sledge.url}/shelf`);
  await page.getByRole('button', { name: 'Bake Hearth Firm lower and longer' }).press('Enter');
  await edit(page, 'Your own temperature for Hearth Firm', '250 °C');
  await expect(main).toContainText(/above the maximum of this line|has to be/);
  await edit(page, 'Your own temperature for Hearth Firm', '118 °C');
  await edit(page, 'Your own minutes for Hearth Firm', '50');
  await saved(page);
  await page.goto(`${sledge.url}/batches/ovens`);
  await expect(page.getByRole('list', { name: 'Loads of the oven' })).toContainText('lower and longer than the packet');
  await page.goto(`${sledge.url}/shelf`);
  await page.getByRole('button', { name: 'Bake Hearth Firm as the packet says' }).press('Enter');
  await expect(page.getByRole('button', { name: 'Bake Hearth Firm lower and longer' })).toBeVisible();
});
