import { edit, expect, saved, test } from './sledge.js';

test('a ladder from a mix to another: usual parts, equal steps, what to punch, and a rung on the board', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/mixes`);
  await page.getByRole('list', { name: 'Chips' }).getByRole('link', { name: 'Cabbage vein 3 Aubergine' }).click();
  const own = page.getByRole('region', { name: 'Ladder' });
  const rungs = own.getByRole('listitem');
  await expect(own).toContainText('to Chalk');
  await expect(rungs).toHaveCount(9);
  await expect(rungs.nth(1)).toContainText('8:1');
  await expect(rungs.nth(1)).toContainText('3½ + ½');
  await expect(own).toContainText('punch 18 of Cabbage vein and 18 of Chalk.');

  await own.getByLabel('Steps of the ladder').selectOption('equal steps');
  await expect(rungs).toHaveCount(7);
  await edit(page, 'Number of steps', '2');
  await expect(own).toContainText('A ladder has from 3 to 15 steps');
  await edit(page, 'Number of steps', '5');
  await expect(rungs).toHaveCount(5);
  await expect(own).toContainText(/Quarter discs miss step .* by more than the eye lets pass/);
  const before = await own.getByText('punch').textContent();
  await edit(page, 'Discs in each step', '12');
  await expect(own.getByText('punch')).not.toHaveText(before ?? '');
  await edit(page, 'Discs in each step', 'a few');
  await expect(own).toContainText('is not a number of parts');

  await own.getByRole('button', { name: 'Chalk', exact: true }).click();
  await page.getByRole('combobox', { name: 'Where the ladder leads' }).fill('cabbage leaf');
  await page.keyboard.press('Enter');
  await expect(own).toContainText('to Cabbage leaf');
  await own.getByLabel('Steps of the ladder').selectOption('usual parts');
  await rungs.nth(3).getByRole('button').click();
  await expect(page.getByLabel('Recipe in notation')).toHaveValue('2 Cabbage vein + 1 Cabbage leaf');
  await expect(page.getByLabel('Name of the mix')).toHaveValue('Cabbage vein 2 to 1 Cabbage leaf');
  await saved(page);
  await expect(page.getByText('22 mixes')).toBeVisible();
});
