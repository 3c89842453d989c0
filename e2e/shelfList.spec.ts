import { expect, test } from './sledge.js';

test('a shelf that was written down is pasted, mended and put on the shelf in one go', async ({ page, sledge }) => {
  const main = page.getByRole('main');
  await page.goto(`${sledge.url}/shelf`);
  await page.getByRole('link', { name: 'bring in a list' }).press('Enter');
  await page.getByLabel('The list').fill('Marrow 57 g\nFennel much\nSorrel 2 × 57 g');
  await page.getByRole('button', { name: 'Look at it' }).press('Enter');
  const wrong = page.getByRole('list', { name: 'What is wrong in the list' });
  await expect(wrong).toContainText('Row 1: Say of which line it is');
  await page.getByLabel('Line of clays that name none').fill('Cellar Soft');
  await page.getByLabel('The list').fill('Marrow 57 g\nFennel 100 g\nSorrel 2 × 57 g');
  await page.getByRole('button', { name: 'Look at it' }).press('Enter');
  await expect(main).toContainText('4 blocks, 271 g; 3 clays of them new.');
  await expect(main).toContainText('New lines: Cellar Soft. What their packets say is assumed until you say it.');
  await expect(main).toContainText('3 clays have no colour yet');
  await page.getByRole('button', { name: 'Put all of it on the shelf' }).press('Enter');
  await expect(page.getByRole('button', { name: /^Sorrel/ })).toBeVisible();
  await page.keyboard.press('z');
  await expect(page.getByRole('button', { name: /^Sorrel/ })).toHaveCount(0);
});
