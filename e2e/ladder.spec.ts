import { edit, expect, saved, test } from './sledge.js';

test('a ladder from a mix to another: usual parts, equal steps, what to punch, and a rung on the board', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/mixes`);
  await page.getByRole('list', { name: 'Chips' }).getByRole('link', { name: 'Cabbage vein 3 Aubergine' }).click();
  const own = page.getByRole('region', { name: 'Ladder' });
  const rungs = own.getByRole('listitem');
  await expect(own).toContainText('to Chalk');
  await expect(rungs).toHaveCount(9);
  await expect(rungs.nth(1)).toContainText('8:1');
  await expect(rungs.nth(1)).toContainText('3½ + ½');
  await expect(own).toContainText('18 discs of Cabbage vein and 18 discs of Chalk.');

  await own.getByLabel('Steps of the ladder').selectOption('equal steps');
  await expect(rungs).toHaveCount(7);
  await edit(page, 'Number of steps', '2');
  await expect(own).toContainText('A ladder has from 3 to 15 steps');
  await edit(page, 'Number of steps', '5');
  await expect(rungs).toHaveCount(5);
  await expect(own).toContainText(/Quarter discs miss step .* by more than the eye lets pass/);
  const before = await own.getByText('all punched with one cutter').textContent();
  await edit(page, 'Discs in each step', '12');
  await expect(own.getByText('all punched with one cutter')).not.toHaveText(before ?? '');
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
  await expect(page.getByText('26 mixes')).toBeVisible();
});

test('through three mixes, and the triangle between them by keyboard', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/mixes`);
  await page.getByRole('list', { name: 'Chips' }).getByRole('link', { name: 'Cabbage vein 3 Aubergine' }).click();
  const own = page.getByRole('region', { name: 'Ladder' });
  await own.getByRole('button', { name: 'and on to a third' }).click();
  await page.getByRole('combobox', { name: 'Where the ladder leads on to' }).fill('pea pod');
  await page.keyboard.press('Enter');
  await expect(own.getByRole('listitem')).toHaveCount(17);
  await expect(own.getByRole('listitem').nth(8)).toContainText('0:1:0');
  await expect(own).toContainText('18 discs of Cabbage vein, 32 discs of Chalk and 18 discs of Pea pod.');
  await own.getByLabel('Steps of the ladder').selectOption('equal steps');
  await edit(page, 'Number of steps', '4');
  await expect(own).toContainText('A ladder through three mixes has at least five steps.');
  await edit(page, 'Number of steps', '9');
  await expect(own.getByRole('listitem')).toHaveCount(9);
  await own.getByRole('button', { name: 'Leave Pea pod out' }).click();
  await expect(own).not.toContainText('Pea pod');

  await page.getByRole('heading', { name: 'Ladder' }).click();
  await page.keyboard.press('r');
  await expect(page.getByRole('heading', { name: 'Triangle' })).toBeVisible();
  await page.getByRole('button', { name: 'Chalk', exact: true }).click();
  await page.getByRole('combobox', { name: 'Mix on top' }).fill('outer leek');
  await page.keyboard.press('Enter');
  const here = page.getByTestId('here');
  await expect(here).toHaveText('1 Outer leek + 1 Beetroot + 1 Squash');
  await page.getByRole('application').focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowUp');
  await expect(here).toHaveText('1 Outer leek');
  await page.keyboard.press('ArrowDown');
  await expect(here).toHaveText(/^\d Outer leek \+ 1 Beetroot \+ 1 Squash$/);
  const notation = await here.innerText();
  await page.getByRole('button', { name: 'Put it on the board' }).click();
  await expect(page.getByLabel('Recipe in notation')).toHaveValue(notation);
});
