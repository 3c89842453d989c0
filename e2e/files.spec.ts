import { readFileSync } from 'node:fs';
import { expect, saved, test } from './sledge.js';

test('mixes out to a table, changed there, and in again: looked at first, all or nothing', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/mixes`);
  await expect(page.getByText('25 mixes')).toBeVisible();
  await page.keyboard.press('x');
  await expect(page.getByRole('heading', { name: 'In and out' })).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: '.csv' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('Mixes.csv');
  const table = readFileSync(await download.path(), 'utf8');
  expect(table.split('\r\n')).toHaveLength(27);
  expect(table).toContain('Radish skin,3 Radish + 1 Beetroot + ½ Chalk,volume,,');

  const [swatches] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: '.gpl' }).click(),
  ]);
  const gpl = readFileSync(await swatches.path(), 'utf8');
  expect(gpl.split('\n').filter((l) => /^\s*\d/.test(l))).toHaveLength(25);
  expect(gpl).toMatch(/\tRadish skin$/m);

  const open = (name: string, text: string | Buffer): Promise<void> =>
    page.getByLabel('File to open').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  const preview = page.getByRole('region', { name: 'What is in the file' });
  await open('same.csv', table);
  await expect(preview.getByRole('button', { name: 'All of them are there' })).toBeDisabled();

  await open(
    'wrong.csv',
    `${table}First frost,3 Chalk + ½ Turnip,volume,,,,\r\nGate post,1 Soot + 2 Parsnip,volume,,,,\r\n`,
  );
  await expect(preview.getByRole('list', { name: 'What is wrong in the file' })).toContainText(
    'Row 28: “Parsnip” is neither a clay on your shelf nor a mix of yours.',
  );
  await expect(preview.getByRole('button', { name: /Take in/ })).toBeDisabled();
  await expect(page.getByText('25 mixes')).toBeVisible();

  await open(
    'frost.csv',
    'name;recipe;basis\nLast bean;2 Pea + 1 First frost;mass\nFirst frost;3 Chalk + ½ ' +
      'Turnip;volume\n=cmd;1 Leek;volume\n',
  );
  await expect(preview.getByRole('list', { name: 'Mixes of the file' }).getByRole('listitem')).toHaveCount(3);
  await preview.getByRole('button', { name: 'Take in 3 mixes' }).click();
  await expect(page.getByText('28 mixes')).toBeVisible();
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('25 mixes')).toBeVisible();

  for (const [name, text, sentence] of [
    ['roots.txt', 'x', 'of no kind that is known here'],
    ['roots.json', '{"format":"sledge","version":9}', 'newer Sledge'],
    ['roots.csv', 'name,recipe\n"Ring,1 Chalk\n', 'never closed'],
    ['roots.csv', `name,recipe\n${'Mix,1 Chalk\n'.repeat(100_000)}`, '100,000 rows'],
  ] as const) {
    await open(name, text);
    await expect(preview.getByRole('list', { name: 'What is wrong in the file' })).toContainText(sentence);
  }
});

test('a palette as every kind of file, and in again', async ({ page, sledge }) => {
  for (const ending of ['gpl', 'ase', 'css', 'csv', 'json']) {
    await page.goto(`${sledge.url}/mixes/photograph`);
    await page.getByRole('link', { name: 'Cut for the stock pot' }).first().click();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: `.${ending}`, exact: true }).click(),
    ]);
    expect(download.suggestedFilename()).toBe(`Cut for the stock pot.${ending}`);
    const buffer = readFileSync(await download.path());
    await page.goto(`${sledge.url}/mixes/files`);
    await page
      .getByLabel('File to open')
      .setInputFiles({ name: `again.${ending}`, mimeType: 'application/octet-stream', buffer });
    await expect(page.getByRole('region', { name: 'What is in the file' })).toContainText('7 colours');
    await page.getByRole('button', { name: 'Keep it as a palette' }).click();
    const colours = page.getByRole('list', { name: 'Colours of the palette' }).getByRole('listitem');
    await expect(colours).toHaveCount(7);
    await expect(colours.nth(1).getByRole('textbox')).toHaveValue('light ring of beetroot');
    await expect(colours.nth(1).getByRole('textbox')).toHaveAccessibleName(/Name of the colour 47\.\d 35\.\d -6\.\d/);
    await page.getByRole('button', { name: 'Take the palette away' }).click();
    await expect(page.getByRole('heading', { name: 'Colours of a photograph' })).toBeVisible();
  }
});

test('labels for chips at true size', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/mixes/files`);
  await expect(page.getByRole('button', { name: /Print 25 labels/ })).toBeVisible();
  await page.getByLabel('Size of a label').fill('2 × 1 in');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Size of a label')).toHaveValue('50.8 × 25.4 mm');
  await page.getByLabel('Size of a label').fill('5 × 5 mm');
  await page.keyboard.press('Enter');
  await expect(page.getByText('A label is from 25 × 12 mm to 120 × 80 mm.')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByLabel('Labels for mixes with').fill('leek');
  await expect(page.getByRole('button', { name: /Print 5 labels/ })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  const labels = page.locator('[data-paper] [data-label]');
  await expect(labels).toHaveCount(5);
  const box = await labels.first().boundingBox();
  expect([
    Math.round(((box?.width ?? 0) * 25.4) / 9.6) / 10,
    Math.round(((box?.height ?? 0) * 25.4) / 9.6) / 10,
  ]).toEqual([50.8, 25.4]);
  await expect(labels.first()).toContainText('Leek');
  await expect(page.getByRole('banner')).toBeHidden();
});
