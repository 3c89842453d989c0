import { expect, saved, test } from './sledge.js';

test('what went wrong is picked, its causes fit the piece, and what it was is found again by the search', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/diary`);
  await page
    .getByRole('link', { name: /Pea-pod ornaments/ })
    .first()
    .press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Pea-pod ornaments');
  const wrong = page.getByRole('group', { name: 'What went wrong' });
  await expect(wrong.getByRole('list')).toHaveCount(0);
  await wrong.getByLabel('What went wrong').selectOption('cracks after baking');
  const causes = wrong.getByRole('list', { name: 'Why, the likeliest first' }).getByRole('listitem');
  await expect(causes).toHaveCount(3);
  await expect(causes.first()).toContainText(/Next time: .+\./);
  const shares = await causes.allTextContents();
  const percents = shares.map((text) => Number(/(\d+) %/.exec(text)?.[1]));
  expect(percents).toEqual([...percents].sort((a, b) => b - a));
  await causes
    .nth(1)
    .getByRole('button', { name: /^It was:/ })
    .press('Enter');
  await expect(page.getByLabel('Note')).toHaveValue(/Went wrong: cracks after baking\. .* Next time:/);
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Note')).toHaveValue(/Went wrong: cracks after baking/);
  await page.getByLabel('Find in the diary').fill('cracks');
  await expect(page.getByRole('link', { name: /Pea-pod ornaments/ }).first()).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByLabel('Note')).not.toHaveValue(/Went wrong/);
});
