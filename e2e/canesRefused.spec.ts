import { readFile } from 'node:fs/promises';
import { edit, expect, saved, station, test } from './sledge.js';

test('what a cane cannot be is said where it stands, and nothing of it is lost', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/canes`);
  const main = page.getByRole('main');
  await page.getByRole('link', { name: /Garden speckle/ }).click();
  const face = page.getByRole('img', { name: /^The face after step/ });
  await test.step('more rods than can be, and more pieces than the length gives', async () => {
    await page.getByRole('button', { name: /^Step 4: Bundle/ }).click();
    await edit(page, 'The number of rods', '900');
    await expect(main).toContainText('The number of rods has to be a whole number from 1 to 300.');
    await page.keyboard.press('Escape');
    await edit(page, 'The number of rods', '8');
    // seven were cut, and eight are wanted: the step says so, and the steps before it stand
    await expect(main).toContainText('This takes 8 pieces, and there are 7. Cut the cane across first.');
    await expect(main).not.toContainText('A cane begins with a log');
    await expect(page.getByRole('button', { name: /^Step 3: Cut across/ })).toBeVisible();
    await page.getByRole('button', { name: /^Step 3: Cut across/ }).click();
    await edit(page, 'The number of pieces', '8');
    await page.getByRole('button', { name: /^Step 8: Reduce/ }).click();
    await expect(face).toBeVisible();
  });
  await test.step('two hundred rods are no more than work', async () => {
    await page.getByRole('button', { name: /^Step 3: Cut across/ }).click();
    await edit(page, 'The number of pieces', '200');
    await page.getByRole('button', { name: /^Step 4: Bundle/ }).click();
    await edit(page, 'The number of rods', '200');
    await expect(page.getByRole('heading', { name: '4 Bundle of 205' })).toBeVisible();
    await expect(page.getByRole('img', { name: 'The face after step 4' })).toBeVisible();
    await expect(main).not.toContainText(/cannot|has to be/);
  });
  await test.step('sizes of nothing, and what is larger than it was', async () => {
    await page.getByRole('button', { name: /^Step 2: Wrap/ }).click();
    await edit(page, 'Thickness of the wrap', '0 mm');
    await expect(main).toContainText('A thickness has to be more than zero.');
    await expect(main).not.toContainText('This is no cane');
    await edit(page, 'Thickness of the wrap', '0.7 mm');
    await page.getByRole('button', { name: /^Step 8: Reduce/ }).click();
    await edit(page, 'Reduce to', '500 mm');
    await expect(page.getByText(/so it cannot be reduced to 500 mm/).first()).toBeVisible();
    await edit(page, 'Reduce to', '18 mm');
    await expect(face).toBeVisible();
  });
  await test.step('a clay cannot be taken from under it', async () => {
    await station(page, 'Shelf');
    await page.getByRole('button', { name: /^Corn/ }).first().click();
    await page.getByRole('button', { name: 'Take off the shelf' }).click();
    await expect(
      page.getByRole('region', { name: 'Chosen clay' }).getByText(/Corn is used by .*the cane Garden speckle/),
    ).toBeVisible();
  });
  await test.step('a file that is none, or of another kind', async () => {
    await station(page, 'Canes');
    await expect(page.getByRole('link', { name: /steps$/ }).first()).toBeVisible();
    const before = await page.getByRole('link', { name: /steps$/ }).count();
    const bring = (text: string): Promise<void> =>
      page
        .getByLabel('A cane from a file')
        .setInputFiles({ name: 'row.json', mimeType: 'application/json', buffer: Buffer.from(text) });
    const melted = JSON.stringify({
      kind: 'cane',
      version: 1,
      name: 'Row',
      program: { version: 1, steps: [{ id: 'a', do: 'melt' }] },
    });
    for (const [text, sentence] of [
      ['peas', /row.json: This is no cane: the file is not JSON/],
      ['{"kind":"palette"}', /row.json: .*does not say that it is one/],
      [melted, /row.json: .*“melt”.* at steps 1/],
    ] as const) {
      await bring(text);
      await expect(page.getByText(sentence)).toBeVisible();
    }
    await expect(page.getByRole('link', { name: /steps$/ })).toHaveCount(before);
  });
});

test('a cane in inches, and its faces as files; a large one can be stopped', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/canes`);
  await page.getByRole('link', { name: /Woven basket/ }).click();
  const main = page.getByRole('main');
  await expect(page.getByRole('img', { name: 'The face after step 12' })).toBeVisible();
  await page.keyboard.press('u');
  await expect(main).toContainText(/1\.4\d in × 1\.4\d in/);
  await expect(main).not.toContainText(/\d mm/);
  const strip = page.getByRole('region', { name: 'Clay and what to begin with' });
  await expect(strip).toContainText(/oz in all/);
  await page.getByRole('button', { name: /^Step 2: Wrap/ }).click();
  await edit(page, 'Thickness of the wrap', '1/16 in');
  await saved(page);
  await expect(strip).toContainText(/sheet of Aubergine, 0\.06\d in/);
  await page.getByRole('button', { name: /^Step 2: Wrap/ }).click();
  await page.keyboard.press('u');
  await expect(page.getByLabel('Thickness of the wrap')).toHaveValue('1.59 mm');
  await page.getByLabel('Size of the picture').selectOption('512');
  const small = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Face as PNG' }).click();
  const file = await small;
  expect(file.suggestedFilename()).toBe('Woven basket, straw.png');
  const bytes = await readFile(await file.path());
  expect([...bytes.subarray(1, 4)].map((b) => String.fromCharCode(b)).join('')).toBe('PNG');
  expect([bytes.readUInt32BE(16), bytes.readUInt32BE(20)]).toEqual([512, 512]);
  await page.getByLabel('Size of the picture').selectOption('4096');
  await page.getByRole('button', { name: 'Face as PNG' }).click();
  await expect(page.getByRole('progressbar', { name: 'Painting the face' })).toBeVisible();
  await page.getByRole('button', { name: 'stop' }).click();
  await expect(page.getByRole('progressbar', { name: 'Painting the face' })).toBeHidden();
  // stopped, it can be asked for again, and the screen goes on as before
  await page.getByRole('button', { name: /^Step 12/ }).click();
  await expect(page.getByRole('img', { name: 'The face after step 12' })).toBeVisible();
  const sheet = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Build sheet as PDF' }).click();
  const paper = await readFile(await (await sheet).path());
  expect(paper.subarray(0, 5).toString()).toBe('%PDF-');
});

test.describe('with an empty shelf', () => {
  test.use({ data: 'empty' });
  test('the station says what to do first', async ({ page, sledge }) => {
    await page.goto(`${sledge.url}/canes`);
    await expect(page.getByRole('heading', { name: 'No clay for a cane yet' })).toBeVisible();
    await page.getByRole('button', { name: 'Go to the shelf' }).click();
    await expect(page).toHaveURL(/shelf$/);
  });
});
