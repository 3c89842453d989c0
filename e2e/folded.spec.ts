import { edit, expect, onTo, test } from './sledge.js';

test('a sheet is folded to a rosette at the bench, too small a square is told, and it waits in a batch', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/patterns`);
  await page
    .getByRole('link', { name: /Onion skins/ })
    .first()
    .press('Enter');
  await page.getByRole('link', { name: 'Folded to an ornament' }).press('Enter');
  const strip = page.getByRole('region', { name: 'What comes of folding' });
  const folds = page.getByRole('list', { name: 'Folds, in their order' });
  await test.step('chosen by its picture, its folds in their order', async () => {
    await expect(folds.getByRole('listitem')).toHaveCount(4);
    await page.getByRole('button', { name: 'Fold a rosette' }).press('Enter');
    await expect(folds.getByRole('listitem')).toHaveCount(9);
    await expect(folds.getByRole('img', { name: 'Turn it over' })).toBeVisible();
    await expect(folds.locator('image').first()).toHaveAttribute('href', /^data:image\/png/);
  });
  await test.step('what comes of it, and what cannot be folded', async () => {
    await edit(page, 'Side of the square', '52 mm');
    await expect(strip).toContainText('26 × 26 mm');
    // four layers of 1.6 mm
    await expect(strip).toContainText('4 layers at the thickest: it bakes as 6.40 mm');
    await edit(page, 'Side of the square', '20 mm');
    await expect(page.getByText(/^So small it cannot be folded/)).toBeVisible();
    await expect(page.getByRole('button', { name: 'To the bench: fold it' })).toBeDisabled();
    await edit(page, 'Side of the square', '2.05 in');
    await expect(page.getByText(/^So small it cannot be folded/)).toBeHidden();
  });
  await test.step('at the bench: cut, rest, dust, then fold by fold; a reload keeps the place', async () => {
    await page.getByRole('button', { name: 'To the bench: fold it' }).press('Enter');
    await onTo(page, 'Fold 4');
    await page.reload();
    await expect(page.locator('h1[data-step]')).toHaveText('Fold 4');
    const seen = await onTo(page, 'Prop it and bake it');
    expect(seen).toContain('Turn it over');
    await expect(page.getByRole('main')).toContainText('It bakes as 6.40 mm');
    await page.keyboard.press('Space');
    await page.getByRole('button', { name: 'back to the plan' }).press('Enter');
  });
  await test.step('it goes into a batch as a square of the sheet', async () => {
    await page.getByRole('button', { name: 'One piece into the batch' }).press('Enter');
    await expect(page.getByRole('region', { name: 'Rosette, folded' })).toContainText('on the patterned sheet');
  });
});
