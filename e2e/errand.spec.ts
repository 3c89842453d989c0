import type { Page } from '@playwright/test';
import { edit, expect, saved, station, test } from './sledge.js';

test.use({ data: 'empty' });

/** A line, two colours and their blocks. */
async function fillShelf(page: Page): Promise<void> {
  const strip = page.getByRole('region', { name: 'Chosen clay' });
  await page.getByRole('button', { name: 'Put a line of clay here' }).click();
  await page.getByLabel('Name of the line').fill('Hearth Firm');
  await page.getByLabel('How it feels').selectOption('firm');
  await page.getByLabel('Bake at').fill('265 °F');
  await page.keyboard.press('Enter');
  for (const [name, hex, code] of [
    ['Chalk', 'F1EEE4', '24-259'],
    ['Beetroot', '#7b1e4b', '26W08'],
  ] as const) {
    const colour = page.getByRole('form', { name: 'A colour' });
    if (name === 'Beetroot') await page.getByRole('button', { name: 'Another colour of Hearth Firm' }).click();
    await colour.getByLabel('Name of the colour').fill(name);
    await colour.getByLabel('Colour when baked', { exact: true }).fill(hex);
    await page.keyboard.press('Enter');
    const block = page.getByRole('form', { name: `A block of ${name}` });
    await block.getByLabel('Net weight').fill('2 oz');
    await block.getByLabel(/^Date code/).fill(code);
    await block.getByLabel(/^Paid/).fill('2,40');
    await page.keyboard.press('Enter');
    await expect(strip).toContainText('One block');
  }
  await expect(page.getByRole('main')).toContainText('113.4 g in 2 blocks');
  await expect(strip).toContainText('made February 2026');
  await page.getByRole('textbox', { name: 'Weight of Beetroot to take or add' }).fill('14 g');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main')).toContainText('99.4 g in 2 blocks');
}

test('from an empty shelf to a diary entry', async ({ page, sledge }) => {
  await page.goto(sledge.url);
  await test.step('a line, two colours and their blocks', () => fillShelf(page));

  await test.step('a machine with two readings', async () => {
    await station(page, 'Sheets');
    await page.getByRole('button', { name: 'Describe your machine' }).click();
    await page.getByLabel('What you call it').fill('Bench roller');
    await page.keyboard.press('Enter');
    for (const [setting, reading] of [
      ['0', '3.2 mm'],
      ['4', '1/16 in'],
      ['9', '0,42'],
    ] as const) {
      await page.getByLabel('Setting to measure').selectOption({ label: setting });
      await page.getByLabel(`Reading of setting ${setting}`).fill(reading);
      await page.keyboard.press('Enter');
      await saved(page);
    }
    await expect(page.getByRole('button', { name: 'Setting 4 of Bench roller, 1.59 mm, measured' })).toBeVisible();
    await expect(page.getByRole('button', { name: /Setting 2 of Bench roller, .* mm, interpolated/ })).toBeVisible();
    await page.getByLabel('A thickness as somebody else says it').fill('1.5 mm');
    await expect(page.locator('[data-answer]')).toHaveText('4');
  });

  await test.step('a mix, with the keyboard alone', async () => {
    await station(page, 'Mixes');
    await page.keyboard.press('n');
    await expect(page.getByLabel('Name of the mix')).toBeFocused();
    await page.keyboard.type('Beet ring');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Enter');
    const chalk = page.getByRole('button', { name: /Chalk: add a disc/ });
    await expect(chalk).toBeVisible();
    await page.keyboard.press('a');
    await page.keyboard.type('beet');
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Recipe in notation')).toHaveValue('1 Chalk + 1 Beetroot');
    await chalk.focus();
    for (const key of ['+', '+', '+', 'h', 'q', '-', '-']) await page.keyboard.press(key);
    await expect(page.getByLabel('Recipe in notation')).toHaveValue('2¾ Chalk + 1 Beetroot');
    const notation = page.getByLabel('Recipe in notation');
    await notation.focus();
    await page.keyboard.press('ControlOrMeta+a');
    await page.keyboard.type('4 Chalk + 1 Beetroot');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: '4 Chalk: add a disc' })).toBeVisible();
    await saved(page);
    await expect(page.getByRole('list', { name: 'Chips' })).toContainText('4 Chalk + 1 Beetroot');
  });

  await test.step('a batch of drops, and the clay it takes', async () => {
    await station(page, 'Batches');
    await page.getByRole('button', { name: 'Plan a batch' }).click();
    await edit(page, 'Name of the batch', 'Beetroot-ring drops');
    await page.getByRole('button', { name: 'Add a kind of piece' }).click();
    await page.getByLabel('What the new piece is cut from').first().fill('beet ring');
    await page.keyboard.press('Enter');
    await edit(page, 'Number of pieces', '24');
    await edit(page, 'Size of the cutter', '18 mm');
    await page.getByLabel('Setting of the layer').selectOption({ label: '6' });
    await saved(page);
    await expect(page.getByRole('img', { name: /Cutting layout: 25 on a sheet/ })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Clay needed' })).toContainText('All of it is on the shelf.');
  });

  await test.step('the bench, step by step with space, and done', async () => {
    await page.getByRole('button', { name: 'To the bench' }).click();
    const titles = [
      'Condition Chalk',
      'Condition Beetroot',
      'Mix Beet ring',
      'Roll Beet ring',
      'Cut Piece 1',
      'Bake Hearth Firm',
    ];
    for (const title of titles) {
      await expect(page.getByRole('heading', { level: 1 }).first()).toHaveText(title);
      await page.keyboard.press('Space');
    }
    await page.getByLabel('Note for the diary').fill('The first batch.');
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Beetroot-ring drops' })).toBeVisible();
    await expect(page.getByRole('main')).toContainText('25 Piece 1 (18 mm round)');
    await expect(page.getByLabel('Note', { exact: true })).toHaveValue('The first batch.');
  });

  await test.step('the clay is off the shelf; undo brings it back and takes the entry away', async () => {
    await station(page, 'Shelf');
    const total = page.getByRole('main');
    await expect(total).not.toContainText('99.4 g');
    await page.keyboard.press('z');
    await expect(total).toContainText('99.4 g in 2 blocks');
    await station(page, 'Diary');
    await expect(page.getByText('Nothing written down yet')).toBeVisible();
    await page.keyboard.press('Shift+Z');
    await expect(page.getByText('1 entry')).toBeVisible();
  });
});
