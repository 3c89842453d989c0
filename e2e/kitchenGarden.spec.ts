import { edit, expect, saved, station, test } from './sledge.js';

test('drop earrings from the demo shelf, and all of it after a restart', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/mixes`);
  const chips = page.getByRole('list', { name: 'Chips' });
  await expect(chips).toContainText('Swede');
  await page.keyboard.press('/');
  await page.keyboard.type('corn milk');
  await expect(chips).not.toContainText('Swede');
  await chips.getByRole('link', { name: 'Corn milk' }).click();

  await test.step('a recipe nothing was made from changes in place; a made one gets a new revision', async () => {
    await edit(page, 'Recipe in notation', '5 Chalk + 1 Corn');
    await expect(page.getByRole('button', { name: '5 Chalk: add a disc' })).toBeVisible();
    await expect(page.getByRole('main')).not.toContainText('revision 2');
    await page.getByLabel('Find a mix by its name or by a clay').fill('radish skin');
    await page.getByRole('list', { name: 'Chips' }).getByRole('link', { name: 'Radish skin' }).click();
    await expect(page.getByRole('main')).toContainText('made: a change begins a new one');
    await page.getByRole('button', { name: 'Add a half of Chalk' }).click();
    await expect(page.getByRole('main')).toContainText('revision 2');
    await page.getByRole('button', { name: '1', exact: true }).click();
    await expect(page.getByRole('main')).toContainText('An older recipe.');
    await expect(page.getByLabel('Recipe in notation')).toHaveValue('3 Radish + 1 Beetroot + ½ Chalk');
    await saved(page);
  });

  await test.step('the batch offers the newer recipe, plans with it and draws the cuts', async () => {
    await station(page, 'Batches');
    await page
      .getByRole('link', { name: /Beetroot-ring drop earrings/ })
      .first()
      .click();
    await page.getByRole('region', { name: 'Drop' }).getByRole('button', { name: 'Use it' }).click();
    await expect(page.getByText('has a newer recipe')).toHaveCount(0);
    await expect(page.getByRole('img', { name: /Cutting layout: 26 on a sheet/ })).toHaveCount(2);
    await edit(page, 'Number of pieces', '240');
    await expect(page.getByRole('region', { name: 'Clay needed' })).toContainText(/\d g short: \d+ blocks? of 57 g/);
    await expect(page.getByRole('region', { name: 'Clay needed' })).toContainText('To buy:');
    await page.keyboard.press('Escape');
    await page.locator('body').click({ position: { x: 2, y: 2 } });
    await page.keyboard.press('z');
    await expect(page.getByRole('region', { name: 'Clay needed' })).toContainText('All of it is on the shelf.');
  });

  const shelfBefore = await test.step('done at the bench', async () => {
    await page.getByRole('button', { name: 'To the bench' }).click();
    const steps = page.getByRole('progressbar', { name: 'Steps' });
    const count = Number(await steps.getAttribute('aria-valuemax'));
    expect(count).toBeGreaterThan(8);
    for (let i = 0; i < count; i++) {
      await expect(steps).toHaveAttribute('aria-valuenow', String(i));
      await page.keyboard.press('Space');
    }
    await edit(page, 'Radish used', '15 g');
    await page.getByLabel('Note for the diary').fill('Twelve pairs, rings a little thin.');
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await expect(page.getByLabel('Note', { exact: true })).toHaveValue('Twelve pairs, rings a little thin.');
    await station(page, 'Shelf');
    return page
      .getByRole('main')
      .getByText(/ g in \d+ blocks/)
      .textContent();
  });

  await test.step('killed and started again, everything is where it was', async () => {
    await sledge.stop('SIGKILL');
    await sledge.start();
    await page.goto(sledge.url);
    await expect(page.getByRole('main').getByText(/ g in \d+ blocks/)).toHaveText(shelfBefore ?? '');
    await page.goto(`${sledge.url}/diary`);
    await page.getByLabel('Find in the diary').fill('twelve pairs');
    await page
      .getByRole('link', { name: /Beetroot-ring drop earrings/ })
      .first()
      .click();
    await expect(page.getByRole('main')).toContainText('26 Drop (18 mm round)');
    await expect(page.getByRole('link', { name: /Radish skin.*revision 2/ })).toBeVisible();
    await expect(page.getByRole('main')).toContainText('15 g');
    await page.keyboard.press('Escape');
    await page.locator('body').click({ position: { x: 2, y: 2 } });
    await page.keyboard.press('u');
    await expect(page.getByRole('main')).toContainText('26 Drop (0.71 in round)');
    await expect(page.getByRole('main')).toContainText('0.53 oz');
  });
});

test('the other machine’s settings, in words, millimetres and inches', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/sheets`);
  const said = page.getByLabel('A thickness as somebody else says it');
  for (const [text, answer, words] of [
    ['setting 4 of Blue travel crank', '4', '0.02 mm thicker'],
    ['1/16 in', '4', '0.07 mm thinner'],
    ['2,9 mm', '1', '0.09 mm thinner'],
    ['6.4 mm', '0', 'two sheets of it, stacked'],
  ] as const) {
    await said.fill(text);
    await expect(page.locator('[data-answer]')).toHaveText(answer);
    await expect(page.getByRole('region', { name: 'Settings and sheets' })).toContainText(words);
  }
  await said.fill('9 of Blue travel crank');
  await expect(page.getByText('Blue travel crank has no setting 9. Its dial has 7, 6, 5, 4, 3, 2, 1.')).toBeVisible();
  await said.fill('three barleycorns');
  await expect(page.getByText('is not a thickness. Write 1.5 mm')).toBeVisible();

  await page.getByRole('button', { name: 'Setting 5 of Bench roller' }).click();
  await page.getByLabel('Reading of setting 5').fill('1.9 mm');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Setting 5 reads 1.90 mm, thicker than 4 \(1.52 mm\)/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/thicker than 4/)).toHaveCount(0);
});
