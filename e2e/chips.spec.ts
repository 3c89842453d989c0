import { edit, expect, saved, test } from './sledge.js';

test('chips that were made: logged, beside the prediction, and the recipe they were made of stays', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/mixes`);
  await page.getByRole('list', { name: 'Chips' }).getByRole('link', { name: 'Swede' }).click();
  const chips = page.getByRole('region', { name: 'Chips you made' });
  await expect(chips).toContainText('None yet.');
  await chips.getByLabel('How the chip reads').fill('orange');
  await page.keyboard.press('Enter');
  await expect(chips).toContainText('“orange” is not a colour');
  await chips.getByLabel('How the chip reads').fill('74,5; 30; 41,5');
  await edit(page, 'Chip made on', '3 Nov 2026');
  await chips.getByRole('button', { name: 'Log it' }).click();
  await expect(chips.getByRole('listitem')).toHaveCount(1);
  await expect(chips).toContainText(/ΔE \d+\.\d from the prediction/);
  await expect(chips).toContainText('3 November 2026 · baked, colour reader · 74.5 30.0 41.5');
  await expect(page.getByRole('main')).toContainText('your last chip');
  await expect(page.getByRole('main')).toContainText('made: a change begins a new one');

  await chips.getByLabel('How the chip reads').fill('F9A05F');
  await chips.getByLabel('The chip is').selectOption('raw');
  await chips.getByLabel('Read how').selectOption('photograph');
  await chips.getByRole('button', { name: 'Log it' }).click();
  await expect(chips.getByRole('listitem')).toHaveCount(2);

  await edit(page, 'Recipe in notation', '2 Chalk + 1 Carrot');
  await expect(page.getByRole('main')).toContainText('revision 2');
  await expect(chips.getByRole('listitem').first()).toContainText('revision 1');
  await expect(page.getByText('your last chip')).toHaveCount(0);
  await saved(page);
  await chips.getByRole('listitem').first().getByRole('button', { name: 'strike out' }).click();
  await expect(chips.getByRole('listitem')).toHaveCount(1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(chips.getByRole('listitem')).toHaveCount(2);
  await page.reload();
  await expect(chips.getByRole('listitem')).toHaveCount(2);
});
