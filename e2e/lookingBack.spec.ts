import { readFileSync } from 'node:fs';
import { expect, saved, station, test } from './sledge.js';

test('what broke is counted, months are told, and a card leads back to the blocks, as a page of its own', async ({
  page,
  sledge,
}) => {
  const main = page.getByRole('main');
  await test.step('two of seven broke, weeks later', async () => {
    await page.goto(`${sledge.url}/diary`);
    await page.getByRole('link', { name: /Radish-slice brooches, trial/ }).press('Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Radish-slice brooches, trial' })).toBeVisible();
    const broken = page.getByLabel(/^Broken of /).first();
    await expect(broken).toHaveValue('not counted');
    await broken.fill('200');
    await broken.press('Enter');
    await expect(main).toContainText('The number of broken pieces');
    await broken.fill('2');
    await broken.press('Enter');
    await saved(page);
    await page.reload();
    await expect(page.getByLabel(/^Broken of /).first()).toHaveValue('2');
  });
  await test.step('month by month, by kind, in grams and in ounces', async () => {
    await page.getByRole('link', { name: 'month by month' }).press('Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Month by month' })).toBeVisible();
    const october = page.getByRole('row', { name: /October 2026/ });
    await expect(october).toContainText('33.8 g');
    await expect(october).toContainText('2 (29 %)');
    await page.getByLabel('What is counted').selectOption('blends');
    await expect(page).toHaveURL(/kind=blends/);
    await expect(october).not.toContainText('33.8 g');
    await page.reload();
    await expect(page.getByLabel('What is counted')).toHaveValue('blends');
    await page.getByLabel('What is counted').selectOption('everything');
    await page.getByRole('heading', { level: 1 }).click();
    await page.keyboard.press('u');
    await expect(october).toContainText(/1\.19 oz|1 3\/16 oz/);
    await page.keyboard.press('u');
  });
  await test.step('what it taught of its line', async () => {
    await station(page, 'Diary');
    await page.getByRole('link', { name: 'what your bench taught' }).press('Enter');
    await expect(page.getByRole('row', { name: /^Pieces of .* that break/ })).toContainText('one count');
  });
  await test.step('the card of slices leads to the cane, and is kept as a page without Sledge', async () => {
    await station(page, 'Diary');
    await page.getByRole('link', { name: /Beetroot ring, slices cut/ }).press('Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Beetroot ring, slices cut' })).toBeVisible();
    await page.getByRole('link', { name: 'its card, from the blocks on' }).press('Enter');
    await expect(page.getByRole('region', { name: 'Beetroot ring lies there' })).toContainText('of it went on:');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Keep it as a page' }).press('Enter');
    const file = await download;
    expect(file.suggestedFilename()).toBe('Beetroot ring, slices cut.html');
    const html = readFileSync(await file.path(), 'utf8');
    expect(html).toContain('<h2>Beetroot ring lies there</h2>');
    expect(html).not.toMatch(/<script|https?:\/\/|\/api\//);
    const alone = await page.context().newPage();
    await alone.setContent(html);
    await expect(alone.getByRole('heading', { name: 'Beetroot ring, slices cut' })).toBeVisible();
  });
  await test.step('one more broke is undone', async () => {
    await page.goto(`${sledge.url}/diary`);
    await page.getByRole('link', { name: /Radish-slice brooches, trial/ }).press('Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Radish-slice brooches, trial' })).toBeVisible();
    const broken = page.getByLabel(/^Broken of /).first();
    await broken.fill('3');
    await broken.press('Enter');
    await saved(page);
    await page.getByRole('heading', { level: 1 }).click();
    await page.keyboard.press('z');
    await expect(broken).toHaveValue('2');
  });
});
