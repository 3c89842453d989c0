import type { Page } from '@playwright/test';
import { expect, saved, test } from './sledge.js';

/** Goes on with Tab until the thing has the focus, as somebody without a mouse does. */
async function tabTo(
  page: Page,
  name: RegExp | string,
  role: 'button' | 'link' | 'textbox' | 'combobox' = 'button',
): Promise<void> {
  const wanted = page.getByRole(role, { name }).first();
  await expect(wanted).toBeVisible();
  for (let i = 0; i < 150; i++) {
    if (await wanted.evaluate((node) => node === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab does not reach ${String(name)}`);
}

async function write(page: Page, text: string): Promise<void> {
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type(text);
}

test('a clay, a mix of mixes, a batch and its card, without a mouse', async ({ page, sledge }) => {
  await page.goto(sledge.url);
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();

  await test.step('a new colour with a block', async () => {
    await page.keyboard.press('a');
    await expect(page.getByLabel('Name of the colour')).toBeFocused();
    await page.keyboard.type('Parsnip');
    await tabTo(page, 'Colour when baked', 'textbox');
    await page.keyboard.type('EBDDB4');
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Net weight')).toBeFocused();
    await page.keyboard.press('Enter');
    await tabTo(page, /^Parsnip/);
    await page.keyboard.press('Enter');
    await tabTo(page, 'Weight of Parsnip to take or add', 'textbox');
    await page.keyboard.type('¼ oz');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: /^Parsnip/ })).toContainText('49.9 g');
    await page.keyboard.press('Tab');
  });

  await test.step('a mix that holds another mix, in typed notation and by keys', async () => {
    await page.keyboard.press('2');
    await expect(page.getByText('Chip board')).toBeVisible();
    await page.keyboard.press('n');
    await expect(page.getByLabel('Name of the mix')).toBeFocused();
    await page.keyboard.type('Parsnip ring');
    await tabTo(page, 'Recipe in notation', 'textbox');
    await page.keyboard.type('2 Parsnip + ½ Beet ring');
    await page.keyboard.press('Enter');
    await tabTo(page, '½ Beet ring: add a disc');
    await page.keyboard.press('h');
    await page.keyboard.press('ArrowUp');
    await expect(page.getByLabel('Recipe in notation')).toHaveValue('2 Parsnip + 2 Beet ring');
    await page.keyboard.press('Delete');
    await expect(page.getByLabel('Recipe in notation')).toHaveValue('2 Parsnip');
    await saved(page);
    await tabTo(page, '2 Parsnip: add a disc');
    await page.keyboard.press('z');
    await expect(page.getByLabel('Recipe in notation')).toHaveValue(/2 Parsnip \+ /);
    await page.keyboard.press('c');
    await expect(page.getByRole('complementary', { name: 'On the tile' })).toContainText('Parsnip ring');
  });

  await test.step('the board finds it by an inner clay, and by what can be made', async () => {
    await page.keyboard.press('/');
    await page.keyboard.type('parsnip');
    await expect(page.getByRole('list', { name: 'Chips' }).getByRole('link')).toHaveCount(1);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('list', { name: 'Chips' }).getByRole('link')).toHaveCount(26);
    await tabTo(page, 'Order of the chips', 'combobox');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Space');
    await page.keyboard.press('Tab');
    await write(page, '60 g');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('list', { name: 'Chips' })).toContainText('possible');
    await expect(page.getByRole('list', { name: 'Chips' }).getByRole('link', { name: 'Cabbage vein' })).toHaveCount(0);
  });

  await test.step('a batch from what lies on the tile', async () => {
    await page.keyboard.press('Tab');
    await page.keyboard.press('7');
    await expect(page.getByRole('heading', { name: 'Batches' })).toBeVisible();
    await page.keyboard.press('n');
    await tabTo(page, 'Name of the batch', 'textbox');
    await write(page, 'Parsnip beads');
    await page.keyboard.press('Enter');
    await saved(page);
    await tabTo(page, 'Add a kind of piece');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('option').first()).toContainText('on the tile');
    await page.keyboard.press('Enter');
    await tabTo(page, 'Size of the cutter', 'textbox');
    await write(page, '½ × 1 in');
    await page.keyboard.press('Enter');
    await saved(page);
    await expect(page.getByRole('region', { name: 'Piece 1' })).toContainText('bridge');
    await expect(page.getByRole('textbox', { name: 'Size of the cutter' })).toHaveValue('12.7 × 25.4 mm');
    await expect(page.getByRole('region', { name: 'Clay needed' })).toContainText('Parsnip ring');
    await tabTo(page, 'To the bench');
    await page.keyboard.press('Enter');
  });

  await test.step('through the card to the question whether it is done', async () => {
    const steps = page.getByRole('progressbar', { name: 'Steps' });
    const count = Number(await steps.getAttribute('aria-valuemax'));
    await page.keyboard.press('Space');
    await page.keyboard.press('Backspace');
    await expect(steps).toHaveAttribute('aria-valuenow', '0');
    for (let i = 0; i < count; i++) {
      await expect(steps).toHaveAttribute('aria-valuenow', String(i));
      await page.keyboard.press('Space');
    }
    await expect(page.getByRole('heading', { name: 'Done?' })).toBeVisible();
    await tabTo(page, 'Done, write it down');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Parsnip beads' })).toBeVisible();
  });
});
