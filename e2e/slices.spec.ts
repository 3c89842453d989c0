import { edit, expect, onTo, saved, test } from './sledge.js';

/** Width and length in a text like `124.1 × 99.3 mm`. */
const sizeIn = (text: string | null): number => {
  const [, width = '0', length = '0'] = /([\d.]+) × ([\d.]+) mm/.exec(text ?? '') ?? [];
  return Number(width) * Number(length);
};

test('a lace slab is laid of slices, rolled, held against the light, dated, and cut into hoops', async ({
  page,
  sledge,
}) => {
  const strip = page.getByRole('region', { name: 'Clay and what comes of it' });
  const steps = page.getByRole('list', { name: 'Steps of the patterned sheet' });
  const picture = () => page.locator('[data-look] canvas').evaluate((canvas: HTMLCanvasElement) => canvas.toDataURL());
  await test.step('from the cane its slices go into a sheet, edge to edge', async () => {
    await page.goto(`${sledge.url}/canes`);
    await page
      .getByRole('link', { name: /Cold-frame lace/ })
      .first()
      .press('Enter');
    await page.getByRole('link', { name: 'lay them into a sheet' }).press('Enter');
    await expect(page.getByRole('group', { name: 'Slices of a cane' })).toContainText('Slices of Cold-frame lace');
    await page.getByRole('button', { name: 'edge to edge' }).press('Enter');
    await expect(steps.getByRole('listitem').first()).toContainText('5 × 4 slices, edge to edge');
    await edit(page, 'Columns', '3');
    await edit(page, 'Rows', '2');
    await expect(strip).toContainText('6 slices of Cold-frame lace');
    await expect(strip).toContainText('to be made first');
  });
  await test.step('rolled thinner it grows by as much as it gets thinner', async () => {
    const first = steps.getByRole('listitem').first();
    await expect(first).toContainText('3 × 2 slices');
    await expect.poll(async () => sizeIn(await first.textContent())).toBeGreaterThan(0);
    const before = sizeIn(await first.textContent());
    await page.getByRole('button', { name: 'add after it' }).press('Enter');
    await page.getByRole('dialog').getByRole('button', { name: 'Roll', exact: true }).press('Enter');
    await edit(page, 'Rolled to', '1 mm');
    const second = steps.getByRole('listitem').nth(1);
    await expect(second).toContainText('1.00 mm thick');
    await expect.poll(async () => sizeIn(await second.textContent()) / before).toBeCloseTo(1.5, 1);
  });
  await test.step('against the light walls stay dark and glass glows', async () => {
    const light = strip.getByRole('list', { name: 'Light that comes through' });
    await expect(light.getByRole('listitem').first()).toContainText(/wide at its narrowest/);
    await expect(light).toContainText(/\d\d %/);
    const lying = await picture();
    await page.getByLabel('How it is seen').selectOption('against the light');
    await expect(page.getByRole('main')).toContainText('held against the light');
    await expect.poll(picture).not.toBe(lying);
  });
  await test.step('a cane with slices in a sheet cannot be taken away', async () => {
    await saved(page);
    const canes = await (await page.request.get(`${sledge.url}/api/canes`)).json();
    const lace = (canes as { id: string; name: string }[]).find((c) => c.name === 'Cold-frame lace')!;
    const cane = await (await page.request.get(`${sledge.url}/api/canes/${lace.id}`)).json();
    const refused = await page.request.delete(
      `${sledge.url}/api/canes/${lace.id}?version=${(cane as { version: number }).version}`,
      { headers: { 'x-sledge-change': crypto.randomUUID() } },
    );
    expect(await refused.text()).toContain('the patterned sheet Cold-frame lace, slab');
  });
  await test.step('hoops are cut of it, the largest first shown as large as the sheet', async () => {
    await page.getByRole('link', { name: /^Where to cut pieces/ }).press('Enter');
    await edit(page, 'Name of the pieces', 'Hoops');
    await edit(page, 'Size of the cutter', '24 mm round');
    await expect(page.getByRole('main')).toContainText(/The largest of this shape that the sheet holds: \d\d/);
    await page.getByRole('button', { name: 'Cut one as large as it goes' }).press('Enter');
    await expect(page.getByRole('region', { name: 'Pieces and what is left' })).toContainText('1 piece');
    await edit(page, 'Size of the cutter', '24 mm round, rim 4 mm');
    await edit(page, 'How many pieces', '4');
    await page.getByRole('button', { name: 'Find them' }).press('Enter');
    await expect(page.getByRole('status').filter({ hasText: '4 found' })).toBeVisible();
    await page.getByRole('button', { name: '4 pieces into the batch' }).press('Enter');
    await expect(page.getByRole('region', { name: 'Hoops' })).toContainText('4 places on the patterned sheet');
    await page.getByRole('region', { name: 'Hoops' }).getByRole('link', { name: 'its steps' }).press('Enter');
  });
  await test.step('at the bench it is dated, and lies there then with its picture', async () => {
    await page.getByRole('link', { name: /^To the bench/ }).press('Enter');
    await onTo(page, '3 × 2 slices, edge to edge');
    await expect(page.getByRole('main')).toContainText('Scratch the date and the setting into its margin');
    await onTo(page, 'Done?');
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await expect(page.getByRole('main')).toContainText('Cold-frame lace, slab');
    await page.goto(`${sledge.url}/shelf`);
    await page.getByRole('link', { name: 'what lies there' }).press('Enter');
    await expect(page.getByRole('main')).toContainText('Cold-frame lace, slab');
  });
});

test('slices are put by hand on a sheet, turned and moved with the keys; what hangs over says so', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/patterns`);
  await page.getByRole('button', { name: 'laid on a sheet' }).press('Enter');
  const steps = page.getByRole('list', { name: 'Steps of the patterned sheet' });
  await expect(steps.getByRole('listitem').nth(1)).toContainText('12 slices laid on');
  await page.getByLabel('How they lie').selectOption('where I put them');
  await page.getByRole('button', { name: 'put one in the middle' }).press('Enter');
  await page.getByRole('button', { name: 'one more' }).press('Enter');
  const slices = page.getByRole('group', { name: 'Slices that were put by hand' });
  await expect(slices.getByRole('img')).toHaveCount(2);
  const second = slices.getByRole('img').nth(1);
  for (let n = 0; n < 5; n++) await second.press('Shift+ArrowRight');
  await second.press('t');
  await expect(second).toHaveAttribute('aria-label', /^Slice 2, of kind 1, turned 15°, 25 mm across/);
  await expect(steps.getByRole('listitem').nth(1)).toContainText('2 slices laid on');
  for (let n = 0; n < 7; n++) await second.press('Shift+ArrowRight');
  await expect(page.getByText(/would hang over the edge of the sheet/).first()).toBeVisible();
  await second.press('Delete');
  await expect(slices.getByRole('img')).toHaveCount(1);
  await expect(page.getByText(/would hang over the edge/)).toHaveCount(0);
  await saved(page);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(slices.getByRole('img')).toHaveCount(2);
});
