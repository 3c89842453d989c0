import { edit, expect, test } from './sledge.js';

test('instructions as people write them, and the way from a stack to the setting', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/sheets`);
  const field = page.getByLabel('A thickness as somebody else says it');
  const main = page.getByRole('main');
  for (const [text, setting, words] of [
    ['setting 3 on a machine where 0 is widest, ten settings', '4', 'theirs ~1.59 mm'],
    ['third thickest', '3', 'theirs ~1.87 mm'],
    ['1/16 in', '4', 'theirs 1.59 mm'],
    ['5 cards', '4', 'theirs 1.45 mm'],
    ['four layers of my 4', '0', 'two sheets of it, stacked'],
    ['4 of blue', '4', '0.02 mm thicker'],
  ] as const) {
    await field.fill(text);
    await expect(page.locator('[data-answer]')).toHaveText(setting);
    await expect(main).toContainText(words);
  }
  await field.fill('9 where 7 is widest');
  await expect(main).toContainText('Such a machine has no setting 9. Its dial has 7, 6, 5, 4, 3, 2, 1.');
  await field.fill('0.1 mm');
  await expect(main).toContainText('Your machine does not roll this thin. Roll by hand between guides of 0.10 mm.');

  // a measured card
  await field.fill('5 cards');
  await edit(page, 'Thickness of a card', '0.32 mm');
  await expect(main).toContainText('theirs 1.60 mm');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(main).toContainText('theirs 1.45 mm');

  const passes = page.getByRole('list', { name: 'Passes' }).getByRole('listitem');
  await edit(page, 'Sheets in the stack', '2');
  await page.getByLabel('Setting to end at').selectOption('4');
  await expect(passes).toHaveCount(6);
  await page.getByLabel('How it is thinned').selectOption('straight to it');
  await expect(passes).toHaveCount(3);
  await edit(page, 'Sheets in the stack', '6');
  await expect(main).toContainText('Too thick for your machine: roll it by hand to 6.40 mm first.');
  await edit(page, 'Size of the stack', '300 × 60 mm');
  await expect(main).toContainText('cut it in 3 strips first');
  await edit(page, 'Size of the stack', 'wide');
  await expect(main).toContainText('cannot be read as');
});
