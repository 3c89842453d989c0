import { edit, expect, onTo, saved, station, test } from './sledge.js';

const gramsIn = (text: string | null): number => Number(/([\d.]+) g/.exec(text ?? '')?.[1]);

test('petals that each show the whole fade: from the pieces back to the discs, made, cut, the rest kept', async ({
  page,
  sledge,
}) => {
  test.setTimeout(180_000);
  await page.goto(`${sledge.url}/batches/drawer`);
  const main = page.getByRole('main');

  await test.step('a cutter of one’s own goes into the drawer', async () => {
    await page.getByRole('textbox', { name: /shape and size, or its corners/ }).fill('16 × 24 mm petal');
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Name of the cutter')).toHaveValue('16 × 24 mm petal');
    await edit(page, 'Name of the cutter', 'Radish petal');
    await expect(page.getByRole('button', { name: /^Radish petal/ })).toBeVisible();
  });

  await test.step('the blend is planned back from twelve of them', async () => {
    await station(page, 'Blends');
    await page
      .getByRole('link', { name: /^Beet fade/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'plan the sheet back from pieces' }).press('Enter');
    await page.getByRole('button', { name: 'from the drawer' }).press('Enter');
    await page.getByRole('button', { name: 'Radish petal' }).press('Enter');
    await saved(page);
    await expect(page.getByLabel('Cutter of the wanted pieces')).toHaveValue('16 × 24 mm petal');
    // 24 mm along the fade and 2 mm on each side; twelve of 16 mm, 2 mm apart
    await expect(page.locator('body')).toContainText('It ends 28 × 218 mm, 1.52 mm thick');
    await expect(page.locator('body')).toContainText('no tape');
  });

  let planned = 0;
  await test.step('at the bench it is rolled out and written down', async () => {
    planned = gramsIn(/no tape · ([\d.]+ g)/.exec((await page.locator('body').textContent()) ?? '')?.[1] ?? null);
    await page.getByRole('heading', { level: 2, name: 'Pieces' }).click();
    await page.keyboard.press('b');
    await onTo(page, 'Fold and pass');
    for (let i = 0; i < 3; i++) await page.keyboard.press('Space');
    await expect(page.locator('[data-passes]')).toHaveText('3');
    await page.keyboard.press('Enter');
    await onTo(page, 'Roll it out');
    await expect(main).toContainText('218 mm');
    await onTo(page, 'Cut the pieces');
    await onTo(page, /Done|Free of streaks/);
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await expect(page).toHaveURL(/diary/);
  });

  await test.step('the sheet lies there; the petals are cut from it, each with the whole fade', async () => {
    await page.goto(`${sledge.url}/sheets/book`);
    await page
      .getByRole('button', { name: /^Beet fade, / })
      .first()
      .press('Enter');
    const open = page.getByRole('region', { name: 'The open sheet' });
    await expect(open).toContainText('left: 28 × 218 mm');
    expect(gramsIn((await open.textContent())?.split('left:')[1] ?? '')).toBeCloseTo(planned, 0);
    await edit(page, 'Cutter of the pieces', '16 × 24 mm petal');
    await edit(page, 'How many were cut', '10');
    await expect(page.getByLabel('How they lie on the sheet')).toHaveValue('sideways');
    await page.getByRole('button', { name: 'Cut', exact: true }).press('Enter');
    // ten of twelve rows are gone
    await expect(open).toContainText('left: 28 × 36 mm');
    await saved(page);
  });

  await test.step('the rest lies there, and what fell between is in its tub', async () => {
    await page.goto(`${sledge.url}/shelf/there`);
    const sheets = page.getByRole('region', { name: 'Sheets' });
    const rest = gramsIn((await sheets.getByRole('button', { name: /^Beet fade/ }).textContent()) ?? '');
    expect(rest).toBeCloseTo((planned * 36) / 218, 0);
    await expect(page.getByRole('button', { name: 'Tub Beet fade, mixed through' })).toBeVisible();
  });

  await test.step('undone, the petals are on the sheet again', async () => {
    await page.getByRole('heading', { name: 'What lies there' }).click();
    await page.keyboard.press('z');
    await expect(page.getByRole('button', { name: 'Tub Beet fade, mixed through' })).toHaveCount(0);
  });
});

test('a plug of another day begins a cane; forward to slices, laid around cores and rolled to a sheet', async ({
  page,
  sledge,
}) => {
  test.setTimeout(180_000);
  await page.goto(`${sledge.url}/shelf/there`);
  await page
    .getByRole('region', { name: 'Plugs' })
    .getByRole('button', { name: /^Straw fade/ })
    .press('Enter');
  await page.getByRole('button', { name: 'in the sheet book' }).press('Enter');
  await page.getByRole('button', { name: 'Begin a cane with it' }).press('Enter');
  await page.getByRole('button', { name: 'Straw fade, its plug' }).press('Enter');
  await expect(page.getByLabel('Name of the cane')).toHaveValue('Straw fade');

  let slices = 0;
  await test.step('as many slices as the plug gives', async () => {
    await page.getByRole('button', { name: 'From what I have' }).press('Enter');
    const make = page.getByRole('button', { name: /^Make \d+$/ });
    await expect(make).toBeVisible();
    slices = Number(/\d+/.exec((await make.textContent()) ?? '')?.[0]);
    // 30 mm of plug at 2 mm a slice, without its ends
    expect(slices).toBeGreaterThan(3);
    expect(slices).toBeLessThan(16);
    await make.press('Enter');
    await expect(page.getByRole('region', { name: 'Clay and what to begin with' })).toContainText('0 g in all');
    await saved(page);
  });

  await test.step('made, its slices lie there', async () => {
    await page.getByRole('heading', { level: 2 }).first().click();
    await page.keyboard.press('b');
    await onTo(page, 'Done?');
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await expect(page).toHaveURL(/diary/);
    await page.goto(`${sledge.url}/shelf/there`);
    await page
      .getByRole('region', { name: 'Slices' })
      .getByRole('button', { name: /^Straw fade, slices/ })
      .press('Enter');
  });

  const main = page.locator('body');
  await test.step('they cover cores that were punched with a cutter', async () => {
    await edit(page, 'Cutter of the cores', '12 mm');
    await edit(page, 'Thickness of the discs', '2 mm');
    // (1.5 · 12² · 2)^⅓ = 7.56 mm
    await expect(main).toContainText('a ball of 7.6 mm takes');
    await expect(main).toContainText(/is a bead of 11\.6 mm: enough for \d+/);
  });

  await test.step('and a small sheet is laid of some of them', async () => {
    await page.getByRole('button', { name: 'without a backing' }).press('Enter');
    await edit(page, 'Length of the sheet, along the feed', '30 mm');
    await edit(page, 'Width of the sheet', '30 mm');
    const lay = page.getByRole('button', { name: 'It is laid and rolled' });
    await expect(lay).toBeEnabled();
    await lay.press('Enter');
    await expect(page.getByRole('region', { name: 'Sheets' })).toContainText('Straw fade, laid');
    await page.getByRole('heading', { name: 'What lies there' }).click();
    await page.keyboard.press('z');
    await expect(page.getByRole('region', { name: 'Sheets' })).not.toContainText('Straw fade, laid');
  });
  expect(slices).toBeGreaterThan(0);
});

test('half a block of each becomes a stripe loaf, and a blend is made of so much of each', async ({ page, sledge }) => {
  test.setTimeout(180_000);
  await page.goto(`${sledge.url}/canes`);
  await page.getByRole('button', { name: 'a loaf of stripes' }).press('Enter');
  await expect(page.getByLabel('Name of the cane')).toHaveValue(/^Loaf/);
  await test.step('half a block of each', async () => {
    await page.getByRole('button', { name: 'From what I have' }).press('Enter');
    await edit(page, 'Grams of each that I have', 'half a block');
    const status = page.getByRole('status').filter({ hasText: 'That gives' });
    await expect(status).toContainText(/That gives \d+ slices/);
    const make = page.getByRole('button', { name: /^Make \d+$/ });
    await make.press('Enter');
    await expect(make).toHaveCount(0);
    await saved(page);
  });
  await test.step('of a blend so much of each too; what runs out is told', async () => {
    await station(page, 'Blends');
    await page
      .getByRole('link', { name: /^Straw fade/ })
      .first()
      .click();
    await edit(page, 'So much of each colour', 'half a block');
    await expect(page.getByLabel('So much of each colour')).toHaveValue('28.5 g');
    await saved(page);
  });
});
