import { edit, expect, onTo, saved, station, test } from './sledge.js';

test('a radish with forty slices, from the discs to the diary, its grams balanced', async ({ page, sledge }) => {
  test.setTimeout(240_000);
  await page.goto(`${sledge.url}/mixes/new`);
  await test.step('a recipe as somebody says it; a misspelt clay is asked back', async () => {
    await page.getByLabel('Name of the mix').fill('Radish rim');
    await page.getByLabel('Recipe in notation').fill('two parts radish and one part chlk');
    await page.getByLabel('Recipe in notation').press('Enter');
    await expect(page.getByText(/Did you mean Chalk\?/)).toBeVisible();
    await page.getByRole('group', { name: 'What is meant' }).getByRole('button').first().click();
    await expect(page.getByLabel('Name of the mix')).toHaveValue('Radish rim');
    await expect(page.getByLabel('Recipe in notation')).toHaveValue('2 Radish + 1 Chalk');
    await saved(page);
  });
  // π/4 · 20² mm² × 80 mm × 1.9 g/cm³
  const inSlices = ((Math.PI / 4) * 400 * 80 * 1.9) / 1000;
  const strip = page.getByRole('region', { name: 'Clay and what to begin with' });
  const main = page.getByRole('main');
  await test.step('the cane: as much clay as its slices and its ends', async () => {
    await page.goto(`${sledge.url}/canes`);
    await page.getByRole('button', { name: 'Begin with Radish with rim' }).click();
    await page.getByRole('button', { name: /^Step 8: Wrap/ }).click();
    await page.getByRole('button', { name: 'What it is made of' }).click();
    await page.getByRole('combobox', { name: 'What it is made of' }).fill('radish rim');
    await page.keyboard.press('Enter');
    await saved(page);
    await expect(strip.getByRole('list', { name: 'Mixes and blends to make first' })).toContainText('Radish rim');
    await edit(page, 'Number of slices', '40');
    await expect(strip).toContainText('for 40 slices of 2 mm');
    const text = async (): Promise<string> => (await strip.textContent()) ?? '';
    const grams = async (pattern: RegExp): Promise<number> => Number(pattern.exec(await text())?.[1]);
    await expect.poll(() => grams(/([\d.]+) g in all/)).toBeGreaterThan(inSlices);
    const [all, scrap] = [await grams(/([\d.]+) g in all/), await grams(/([\d.]+) g of scrap/)];
    expect(Math.abs(all - inSlices - scrap) / all).toBeLessThan(0.02);
    expect(scrap / all).toBeLessThan(0.25);
  });
  await test.step('the same lengths in the row, at the bench and in the end', async () => {
    await page.getByRole('button', { name: /^Step 9: Reduce to 20 mm/ }).click();
    await expect(main).toContainText(/cut off each end leave 80 mm/);
    await main.getByRole('heading', { level: 2 }).first().click();
    await page.keyboard.press('b');
    await onTo(page, 'Reduce to 20 mm');
    await expect(main).toContainText(/20 mm across, \d+\.\d mm long, 80 mm of it without its ends/);
    await page.keyboard.press('Space');
    await expect(page.getByRole('heading', { name: 'Cut the ends off' })).toBeVisible();
    await expect(main).toContainText('80 mm are left.');
    // the place stays through a reload
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Cut the ends off' })).toBeVisible();
    await onTo(page, 'Done?');
    await expect(page.getByLabel('Slices that came of it')).toHaveValue('40');
    await expect(page.getByLabel('Length it came out')).toHaveValue('80 mm');
  });
  await test.step('the diary has what the shelf has no more', async () => {
    await edit(page, 'Lost at both ends', '25 mm');
    const used = page.getByRole('list', { name: 'Clay used' });
    const fields = await used.getByRole('textbox').all();
    const sum = (await Promise.all(fields.map(async (f) => Number.parseFloat(await f.inputValue())))).reduce(
      (a, b) => a + b,
      0,
    );
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await expect(main).toContainText('its ends took 25 mm');
    await expect(main.getByRole('heading', { name: 'Clay used' })).toBeVisible();
    const rows = main.getByRole('listitem').filter({ hasText: /\d g$/ });
    await expect(rows).toHaveCount(fields.length);
    const written = (await rows.allTextContents()).map((row) => Number(/([\d.]+) g$/.exec(row)?.[1]));
    expect(written.reduce((a, b) => a + b, 0)).toBeCloseTo(sum, 0);
    expect(sum).toBeGreaterThan(inSlices);
    await page.keyboard.press('1');
    await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  });
});

test('a whole evening in inches and ounces, with decimal commas', async ({ page, sledge }) => {
  test.setTimeout(240_000);
  await page.goto(sledge.url);
  const main = page.getByRole('main');
  await expect(main).toContainText(/g in \d+ blocks/);
  await page.keyboard.press('u');
  await test.step('the shelf: two ounces and a half off a block', async () => {
    await expect(main).toContainText(/oz in \d+ blocks/);
    await page
      .getByRole('button', { name: /^Chalk/ })
      .first()
      .click();
    await page.getByRole('textbox', { name: 'Weight of Chalk to take or add' }).fill('0,5 oz');
    await page.keyboard.press('Enter');
    await saved(page);
  });
  await test.step('a thickness: commas, an eighth, and a number that says too little', async () => {
    await station(page, 'Sheets');
    const said = page.getByLabel('A thickness as somebody else says it');
    await said.fill('0,06 in');
    await expect(page.locator('[data-answer]')).toHaveText('4');
    await said.fill('one thinner than my 4');
    await expect(page.locator('[data-answer]')).toHaveText('5');
    await said.fill('#4');
    await page.getByRole('group', { name: 'What is meant' }).getByRole('button', { name: 'my 4' }).click();
    await expect(page.locator('[data-answer]')).toHaveText('4');
    await expect(main).not.toContainText(/\d mm\b/);
  });
  await test.step('a cane: a wrap of a sixteenth, slices of a tenth', async () => {
    await station(page, 'Canes');
    await page.getByRole('button', { name: 'Begin with Beetroot ring' }).click();
    await page.getByRole('button', { name: /^Step 2: Wrap/ }).click();
    await edit(page, 'Thickness of the wrap', '1/16');
    await expect(page.getByLabel('Thickness of the wrap')).toHaveValue('0.063 in');
    await edit(page, 'Thickness of the wrap', '0,08 in');
    await expect(page.getByLabel('Thickness of the wrap')).toHaveValue('0.080 in');
    await edit(page, 'Thickness of the slices', '0,1');
    await expect(page.getByLabel('Thickness of the slices')).toHaveValue('0.100 in');
    await edit(page, 'Thickness of the wrap', '4');
    await page.getByRole('group', { name: 'What is meant' }).getByRole('button', { name: 'my 4' }).click();
    await expect(page.getByLabel('Thickness of the wrap')).toHaveValue('0.060 in');
    await saved(page);
    await expect(page.getByRole('region', { name: 'Clay and what to begin with' })).toContainText(/oz in all/);
    await expect(main).not.toContainText(/\d (?:mm|g)\b/);
  });
  await test.step('at the bench and in the diary', async () => {
    await main.getByRole('heading', { level: 2 }).first().click();
    await page.keyboard.press('b');
    await onTo(page, 'Done?');
    const used = page.getByRole('list', { name: 'Clay used' }).getByRole('textbox').first();
    await used.fill('0,25 oz');
    await used.press('Enter');
    await expect(used).toHaveValue('0.25 oz');
    await edit(page, 'Lost at both ends', '1,1 in');
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await expect(main).toContainText('its ends took 1.1 in');
    await expect(main).toContainText('0.25 oz');
  });
});

test.describe('with nothing of one’s own yet', () => {
  test.use({ data: 'empty' });
  test('the kitchen garden can be looked round in, and one click leads back', async ({ page, sledge }) => {
    test.setTimeout(240_000);
    await page.goto(sledge.url);
    await page.getByRole('button', { name: 'Look round in the kitchen garden first' }).click();
    await expect(page.getByRole('note', { name: 'Looking round' })).toContainText('nothing of it is kept', {
      timeout: 180_000,
    });
    await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
    expect(new URL(page.url()).origin).not.toBe(new URL(sledge.url).origin);
    await page.getByRole('link', { name: 'Back to your own shelf' }).click();
    await expect(page.getByRole('heading', { name: 'Nothing on the shelf yet' })).toBeVisible();
    expect(new URL(page.url()).origin).toBe(new URL(sledge.url).origin);
  });
});
