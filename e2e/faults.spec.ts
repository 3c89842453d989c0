import { expect, test } from './sledge.js';

test('a worker that ends by itself begins again, says so once, and the faces are there', async ({ page, sledge }) => {
  let failed = 0;
  await page.route(/cane\.worker/, async (route) => {
    if (failed > 0) {
      await route.fallback();
      return;
    }
    failed += 1;
    await route.abort();
  });
  await page.goto(`${sledge.url}/canes`);
  const said = page.getByRole('alertdialog', { name: 'A fault of Sledge' });
  await expect(said).toContainText('Sledge stopped while a cane was worked out, and has begun again.');
  await expect(said).toHaveCount(1);
  await expect(page.getByRole('img', { name: /^Face of/ }).first()).toHaveAttribute('data-painted', '');
  const happened = page.waitForEvent('download');
  await said.getByRole('button', { name: 'Save what happened' }).click();
  expect((await happened).suggestedFilename()).toBe('what happened.txt');
  await said.getByRole('button', { name: 'I have read it' }).press('Enter');
  await expect(said).toBeHidden();
  expect(failed).toBe(1);
});

test('a page that cannot be shown says so, and what was entered at another one is kept', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/shelf`);
  await page.getByRole('link', { name: 'Mixes' }).click();
  await page.getByRole('link', { name: 'Blends' }).click();
  await expect(page.getByRole('main')).toContainText('Leek');
  // an answer that is none of ours, so that the station stumbles over it
  await page.route('**/api/batches', (route) => route.fulfill({ json: { cards: 'nothing of the kind' } }));
  await page.getByRole('link', { name: 'Batches' }).click();
  const stumbled = page.getByRole('alert').filter({ hasText: 'This page could not be shown' });
  await expect(stumbled).toContainText('not with what you made');
  await expect(page.getByRole('button', { name: 'Show it again' })).toBeFocused();
  await test.step('the stations beside it go on', async () => {
    await page.keyboard.press('1');
    await expect(page).toHaveURL(/shelf/);
    await expect(stumbled).toBeHidden();
    await page.keyboard.press('7');
    await expect(stumbled).toBeVisible();
  });
  await page.unroute('**/api/batches');
  await page.getByRole('button', { name: 'Show it again' }).press('Enter');
  await expect(stumbled).toBeHidden();
  await expect(page).toHaveURL(/batches/);
});
