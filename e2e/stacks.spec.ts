import { expect, test } from './sledge.js';

test('a stripe loaf is rolled thinner, halved and stacked, by keys, and the bench says how', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/canes`);
  await page.getByRole('button', { name: 'Begin with Squash stripe loaf' }).click();
  const row = page.getByRole('list', { name: 'Steps of the cane' });
  await expect(row.getByRole('listitem')).toHaveCount(5);
  const add = async (after: RegExp, word: string): Promise<void> => {
    await page.getByRole('button', { name: after }).click();
    await page.keyboard.press('a');
    await page.getByRole('dialog').getByRole('button', { name: word, exact: true }).press('Enter');
  };
  await add(/^Step 1: Loaf/, 'Roll the stack');
  await page.getByLabel('Setting 1 of the stack').fill('4 mm');
  await page.keyboard.press('Enter');
  // 48 × 12 mm to 4 mm: a third as high, three times as long
  await expect(page.getByRole('button', { name: /^Step 2: Roll the stack to 4.00 mm/ })).toContainText('48 × 4 mm');
  await add(/^Step 2: Roll the stack/, 'Halve and stack');
  await page.getByLabel('The number of halvings').fill('2');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Step 3: Halve and stack, 2 times/ })).toContainText('48 × 16 mm');
  await expect(page.getByText('it lies 4 times in the face')).toBeVisible();
  await page.getByLabel('Setting 1 of the stack').waitFor({ state: 'hidden' });
  await test.step('a setting that is no thinner is refused in words', async () => {
    await page.getByRole('button', { name: /^Step 2: Roll the stack/ }).click();
    await page.getByLabel('Setting 1 of the stack').fill('12.5 mm');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/so rolling it at 12.5 mm .* does nothing/).first()).toBeVisible();
    await page.getByLabel('Setting 1 of the stack').fill('4 mm');
    await page.keyboard.press('Enter');
  });
  await page.getByRole('link', { name: /^To the bench/ }).click();
  await expect(page.getByRole('heading', { name: 'Begin', exact: true })).toBeVisible();
  await page.keyboard.press(' ');
  await expect(page.getByRole('main')).toContainText('Roll it through the machine at 4.00 mm');
});
