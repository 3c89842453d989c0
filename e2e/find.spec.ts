import { edit, expect, saved, test } from './sledge.js';

test('a colour from elsewhere, the mix for it, and that mix on the board', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/mixes`);
  await expect(page.getByRole('list', { name: 'Chips' })).toContainText('Swede');
  // what the chips on the board teach is learned in this window first, and changes all colours a little
  const learned = async (): Promise<unknown> =>
    ((await (await page.request.get(`${sledge.url}/api/learning`)).json()) as { learned: unknown }).learned;
  await expect.poll(learned).not.toBeNull();
  await page.reload();
  await expect(page.getByRole('list', { name: 'Chips' })).toContainText('Swede');
  await page.keyboard.press('f');
  await expect(page.getByRole('heading', { name: 'Find a mix' })).toBeVisible();
  const found = page.getByRole('list', { name: 'Mixes found' }).getByRole('listitem');
  const done = page.locator('[data-search=done]');

  await test.step('the colour of a mix that is there finds that mix', async () => {
    await page.keyboard.press('p');
    await page.getByRole('combobox', { name: 'Whose colour' }).fill('outer leek');
    await page.keyboard.press('Enter');
    await expect(done).toContainText('nothing closer in 14 clays');
    const itself = found.filter({ hasText: /^2 Leek \+ 1 CornΔE/ });
    await expect(itself).toContainText(/ΔE 0\.[0-4] the same to the eye/);
    await expect(itself).toContainText('g Leek');
  });

  await test.step('clays that must or must not be in, and what there is enough of', async () => {
    await page.getByRole('button', { name: 'Leek: may be in' }).click();
    await page.getByRole('button', { name: 'Leek: must be in' }).click();
    await expect(page.getByRole('button', { name: 'Leek: not be in' })).toBeVisible();
    await expect(done).toContainText('nothing closer in 13 clays');
    await expect(found.last()).not.toContainText('Leek');
    await page.getByRole('button', { name: 'Chalk: may be in' }).click();
    await expect(done).toBeVisible();
    for (const item of await found.all()) await expect(item).toContainText('Chalk');
    await edit(page, 'Weight to find for', '900 g');
    await expect(page.getByText('No mix can be made like this: the shelf has too little')).toBeVisible();
    await page.getByLabel('only what the shelf has enough of').uncheck();
    await expect(found.first()).toBeVisible();
  });

  await test.step('colours typed in other ways, and ones that cannot be', async () => {
    await edit(page, 'Colour to find', '52,3; -80; 20');
    await expect(
      page.getByText(/None of these clays reaches this colour\. The nearest that they come is ΔE \d/),
    ).toBeVisible();
    for (const [text, sentence] of [
      ['beetroot', 'is not a colour. Write six digits'],
      ['120 0 0', 'L* runs from 0 to 100'],
      ['', ''],
    ] as const) {
      await edit(page, 'Colour to find', text);
      if (sentence !== '') await expect(page.getByRole('main')).toContainText(sentence);
    }
  });

  await test.step('what was found goes on the board, and undo takes it off', async () => {
    await page.reload();
    await edit(page, 'Weight to find for', '40 g');
    await edit(page, 'Colour to find', 'A8503C');
    await expect(done).toContainText('nothing closer');
    const notation = await found.last().getByTestId('notation').textContent();
    await found.last().getByRole('button', { name: 'Put it on the board' }).click();
    await expect(page.getByLabel('Recipe in notation')).toHaveValue(notation ?? '');
    await expect(page.getByLabel('Note on the mix')).toHaveValue(/found for the colour A8503C, ΔE \d/);
    await saved(page);
    await expect(page.getByText('26 mixes')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('25 mixes')).toBeVisible();
  });
});
