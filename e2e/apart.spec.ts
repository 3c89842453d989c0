import { expect, test } from './sledge.js';

test('colours in a stack: the weak pair is named, the change that helps is made', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/mixes`);
  await expect(page.getByRole('list', { name: 'Chips' })).toContainText('Swede');
  await page.keyboard.press('d');
  await expect(page.getByRole('heading', { name: 'Do they stay apart?' })).toBeVisible();
  const stack = page.getByRole('list', { name: /^Stack/ });
  const layers = stack.getByRole('listitem');
  const lay = async (name: string): Promise<void> => {
    await page.locator('body').click({ position: { x: 2, y: 2 } });
    await page.keyboard.press('a');
    await page.getByRole('combobox', { name: 'Colour to add to the stack' }).fill(name);
    await page.keyboard.press('Enter');
    await expect(stack).toContainText(name);
  };
  await lay('Leek');
  await expect(page.getByText('weakest pair')).toHaveCount(0);
  await lay('Radish');
  await expect(layers.first()).toContainText(
    /and Radish: lost under the lamp \(ΔL\* \d\), ΔE \d+; run together below 0\.\d\d mm/,
  );
  await expect(page.getByText('Leek and Radish are the weakest pair')).toBeVisible();
  await expect(page.getByText(/A thin sheet of (Chalk|Soot) between them helps most/)).toBeVisible();
  await page.getByRole('button', { name: 'Do it' }).click();
  await expect(layers).toHaveCount(3);
  await expect(page.getByRole('heading', { name: 'They stay apart', exact: true })).toBeVisible();

  await page.getByRole('button', { name: 'Radish one up' }).click();
  await expect(layers.nth(1)).toContainText('Radish');
  await expect(page.getByText(/are the weakest pair/)).toBeVisible();
  await page.getByRole('button', { name: 'Take Radish out' }).click();
  await expect(layers).toHaveCount(2);
  for (const name of ['Pea', 'Corn', 'Turnip', 'Squash']) await lay(name);
  await expect(layers).toHaveCount(6);
  await expect(page.getByRole('button', { name: 'Another colour below' })).toBeDisabled();
});
