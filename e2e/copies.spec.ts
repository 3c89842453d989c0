import { edit, expect, saved, station, test } from './sledge.js';

test('a copy is kept, saved elsewhere, taken up again, and what was there meanwhile is not lost', async ({
  page,
  sledge,
}, info) => {
  await page.goto(`${sledge.url}/mixes`);
  const chips = page.getByRole('list', { name: 'Chips' });
  await chips.getByRole('link', { name: 'Swede' }).click();
  await page.keyboard.press('Shift+Y');
  await expect(page.getByRole('heading', { name: 'Copies of your data' })).toBeVisible();
  await page.keyboard.press('k');
  await page.getByLabel('Name of the copy').fill('before the market');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Keep a copy' })).toContainText(
    'whole and checked: 14 clays, 25 mixes, 8 batches',
  );
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save before the market elsewhere' }).click(),
  ]);
  const elsewhere = info.outputPath('before the market.db');
  await download.saveAs(elsewhere);

  await page.getByLabel('Name of the copy').fill('before the market');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('main')).toContainText('There is a copy called before the market already');

  await station(page, 'Mixes');
  await chips.getByRole('link', { name: 'Swede' }).click();
  // what is typed is read first and saved then: only its answer says that it is there
  const written = page.waitForResponse((r) => r.request().method() === 'PUT' && r.url().includes('/api/mixes/'));
  await edit(page, 'Recipe in notation', '9 Chalk + 1 Carrot');
  await written;
  await saved(page);
  await page.goto(`${sledge.url}/copies`);
  await page.getByRole('button', { name: 'Take up before the market' }).click();
  await expect(page.getByRole('region', { name: 'Take up this copy' })).toContainText('In it: 14 clays, 25 mixes');
  await page.getByRole('button', { name: 'Take it up' }).click();
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  await station(page, 'Mixes');
  await chips.getByRole('link', { name: 'Swede' }).click();
  await expect(page.getByLabel('Recipe in notation')).toHaveValue('3 Chalk + 1 Carrot');

  // back to what was there, out of the copy that was kept by itself
  await page.goto(`${sledge.url}/copies`);
  await page.getByRole('button', { name: /^Take up .* before taking up a copy/ }).click();
  await page.getByRole('button', { name: 'Take it up' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  await station(page, 'Mixes');
  await chips.getByRole('link', { name: 'Swede' }).click();
  await expect(page.getByLabel('Recipe in notation')).toHaveValue('9 Chalk + 1 Carrot');

  // and once more out of the file that was saved elsewhere
  await page.goto(`${sledge.url}/copies`);
  await page.getByLabel('Copy to take up').setInputFiles(elsewhere);
  await page.getByRole('button', { name: 'Take it up' }).click();
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  await station(page, 'Mixes');
  await chips.getByRole('link', { name: 'Swede' }).click();
  await expect(page.getByLabel('Recipe in notation')).toHaveValue('3 Chalk + 1 Carrot');
});

test('what is no copy of Sledge is refused in a sentence, and nothing changes', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/copies`);
  await page
    .getByLabel('Copy to take up')
    .setInputFiles({
      name: 'seeds.db',
      mimeType: 'application/octet-stream',
      buffer: Buffer.from('beetroot\n'.repeat(60)),
    });
  await page.getByRole('button', { name: 'Take it up' }).click();
  await expect(page.getByRole('main')).toContainText('This file is not a database of Sledge');
  await station(page, 'Shelf');
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
});

test('a mix that was thrown away is fetched out of a copy, and one that was changed comes beside it', async ({
  page,
  sledge,
}) => {
  test.setTimeout(120_000);
  const chips = page.getByRole('list', { name: 'Chips' });
  await page.goto(`${sledge.url}/copies`);
  await test.step('a daily copy is kept, and says what is in it', async () => {
    await page.getByRole('button', { name: 'keep one now' }).press('Enter');
    await expect(page.getByRole('region', { name: 'Kept by rule' })).toContainText('14 clays, 25 mixes');
    await edit(page, 'Folder of the daily copies', 'not a whole path');
    await expect(page.getByRole('region', { name: 'Kept by rule' })).toContainText('with its whole path');
  });
  await test.step('a mix is changed and another one goes', async () => {
    await station(page, 'Mixes');
    await chips.getByRole('link', { name: 'Swede' }).click();
    const written = page.waitForResponse((r) => r.request().method() === 'PUT' && r.url().includes('/api/mixes/'));
    await edit(page, 'Recipe in notation', '9 Chalk + 1 Carrot');
    await written;
    await saved(page);
  });
  await test.step('the copy is looked into; it has the old recipe', async () => {
    await page.goto(`${sledge.url}/copies`);
    await page
      .getByRole('button', { name: /^Look into .* by rule/ })
      .first()
      .press('Enter');
    const note = page.getByRole('note', { name: 'Looking round' });
    await expect(note).toContainText('You look into the copy', { timeout: 60_000 });
    await station(page, 'Mixes');
    await chips.getByRole('link', { name: 'Swede' }).click();
    await expect(page.getByLabel('Recipe in notation')).toHaveValue('3 Chalk + 1 Carrot');
    await note.getByRole('link', { name: 'Carry this one over' }).press('Enter');
  });
  await test.step('it comes beside the one of now, and undo takes it away', async () => {
    const carry = page.getByRole('region', { name: 'Carry over' });
    await expect(carry.getByRole('list', { name: 'What comes' })).toContainText('Swede, from a copy');
    await carry.getByRole('button', { name: 'Carry it over' }).press('Enter');
    await expect(carry).toContainText('Carried over');
    await carry.getByRole('link', { name: 'look at it' }).press('Enter');
    await chips.getByRole('link', { name: 'Swede, from a copy' }).click();
    await expect(page.getByLabel('Recipe in notation')).toHaveValue('3 Chalk + 1 Carrot');
    await station(page, 'Shelf');
    await page.keyboard.press('z');
    await station(page, 'Mixes');
    await expect(chips.getByRole('link', { name: 'Swede, from a copy' })).toHaveCount(0);
  });
});
