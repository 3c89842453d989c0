import { edit, expect, saved, station, still, test } from './sledge.js';

const chips = 'Chips';

test('the server goes away while somebody works: nothing entered is lost', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/mixes`);
  await page.getByRole('list', { name: chips }).getByRole('link', { name: 'Old tin' }).click();
  await expect(page.getByLabel('Recipe in notation')).toHaveValue('2 Pewter Lustre + ½ Soot');
  await sledge.stop('SIGKILL');
  await page.getByRole('button', { name: 'Add a disc of Soot' }).click();
  await page.getByLabel('Note on the mix').fill('darker than the buckle');
  await page.getByLabel('Note on the mix').blur();
  const state = page.getByRole('banner').getByRole('status');
  await expect(state).toContainText('Sledge does not answer. What you entered is kept here');
  await expect(page.getByLabel('Recipe in notation')).toHaveValue('2 Pewter Lustre + 1½ Soot');
  await sledge.start();
  await page.getByRole('button', { name: 'try now' }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Recipe in notation')).toHaveValue('2 Pewter Lustre + 1½ Soot');
  await expect(page.getByLabel('Note on the mix')).toHaveValue('darker than the buckle');
});

test('what cannot be is said where it was typed, and stays there to be mended', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/mixes`);
  await page.getByRole('list', { name: chips }).getByRole('link', { name: 'Squash flesh' }).click();
  const main = page.getByRole('main');
  for (const [text, sentence] of [
    ['2 Squash + 1 Marrow', '“Marrow” is neither a clay on your shelf nor a mix of yours.'],
    ['2 Squash +', 'At place 11: found “the end” where a clay or a mix should be.'],
    ['0 Squash + 1 Chalk', 'Squash has zero parts.'],
    ['99999 Squash', 'more than 10,000 parts'],
  ] as const) {
    await edit(page, 'Recipe in notation', text);
    await expect(main).toContainText(sentence);
    await expect(page.getByLabel('Recipe in notation')).toHaveValue(text);
  }
  await edit(page, 'Recipe in notation', '1 Squash flesh + 1 Chalk');
  await expect(main).toContainText('A mix cannot contain itself: Squash flesh contains Squash flesh.');
  await page.reload();
  await expect(page.getByLabel('Recipe in notation')).toHaveValue('2 Squash + 1 Chalk');
  await edit(page, 'Weight of the mix', 'a handful');
  await expect(main).toContainText('“a handful” cannot be read as a weight. Write 14 g or ½ oz.');

  await station(page, 'Shelf');
  await page.getByRole('button', { name: /^Squash/ }).click();
  const strip = page.getByRole('region', { name: 'Chosen clay' });
  await strip.getByRole('button', { name: 'Take off the shelf' }).click();
  await expect(strip).toContainText(/Squash is used by the mix Basket straw, .*Retire it instead/);
  await strip.getByRole('button', { name: 'Retire', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Squash/ })).toHaveCount(0);
  await page.locator('body').click({ position: { x: 2, y: 2 } });
  await page.keyboard.press('z');
  await expect(page.getByRole('button', { name: /^Squash/ })).toHaveCount(1);
  await page.getByRole('button', { name: /^Carrot/ }).click();
  await page.getByRole('textbox', { name: 'Weight of Carrot to take or add' }).fill('58 g');
  await page.keyboard.press('Enter');
  await expect(strip).toContainText('There are only 57 g left of this block.');
  await edit(page, 'Net weight', '0 g');
  await expect(strip).toContainText('The net weight has to be a number from 0.1 to 5,000 g');
  await edit(page, 'Date code', '2409');
  await expect(strip).toContainText('could be September 2024 or week 9 of 2024');
  await edit(page, 'Date code', '2098-05');
  await expect(strip).toContainText('“2098-05” is May 2098, which is still to come');

  await station(page, 'Batches');
  await page
    .getByRole('link', { name: /Leek-leaf hoops/ })
    .first()
    .click();
  await edit(page, 'Size of the cutter', '300 mm');
  await expect(page.getByRole('region', { name: 'Leaf' })).toContainText(
    'A cutter of 300 × 300 mm leaf (11.81 × 11.81 in leaf) does not fit on a sheet of 110 × 200 mm',
  );
});

test('inches, ounces and Fahrenheit everywhere, and back', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/shelf`);
  await page.getByRole('button', { name: /^Carrot/ }).click();
  await page.locator('body').click({ position: { x: 2, y: 2 } });
  await page.keyboard.press('u');
  const main = page.getByRole('main');
  await expect(main).toContainText('2.01 oz');
  await expect(page.getByLabel('Maximum temperature of Oldrow Crumble')).toHaveValue('284 °F');
  await expect(page.getByLabel('Thickness for the baking time of Oldrow Crumble')).toHaveValue('0.24 in');
  await page.getByRole('textbox', { name: 'Weight of Carrot to take or add' }).fill('½');
  await page.keyboard.press('Enter');
  await expect(main).toContainText('1.51 oz');
  for (const name of ['Sheets', 'Batches', 'Mixes', 'Bench', 'Diary']) {
    await station(page, name);
    const link = main.getByRole('link').first();
    if (name !== 'Sheets') await link.click();
    await still(page);
    const metric = async () => (await main.innerText()).replace('1.5 mm · 1/16 in', '').match(/\d (mm|g|°C)\b/g);
    await expect.poll(metric, name).toBeNull();
  }
  await station(page, 'Shelf');
  await page.keyboard.press('u');
  await expect(main).toContainText('42.8 g');
});

test('the list of keys, and a key for every station', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/shelf`);
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  await page.keyboard.press('?');
  const list = page.getByRole('dialog', { name: 'Keys' });
  for (const words of ['Undo', 'Millimetres or inches', 'Lamp check', 'New colour'])
    await expect(list).toContainText(words);
  await page.keyboard.press('Escape');
  await expect(list).toBeHidden();
  const stations = ['Shelf', 'Mixes', 'Sheets', 'Blends', 'Canes', 'Patterns', 'Batches', 'Bench', 'Diary'];
  for (const [key, name] of stations.entries()) {
    await page.keyboard.press(String(key + 1));
    await expect(page.getByRole('navigation').getByRole('link', { name })).toHaveAttribute('aria-current', 'page');
  }
});
