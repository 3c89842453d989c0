import { edit, expect, placeOf, test } from './sledge.js';

test('a sheet goes around a ball, which is turned with the keys and by hand, onto a dome, and into a batch', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/patterns`);
  await page
    .getByRole('link', { name: /Onion skins/ })
    .first()
    .press('Enter');
  await page.getByRole('link', { name: 'On a bead or a form' }).press('Enter');
  const strip = page.getByRole('region', { name: 'What it takes' });
  const ball = page.getByRole('application', { name: 'The ball with the sheet on it' });
  const picture = () => ball.evaluate((canvas: HTMLCanvasElement) => canvas.toDataURL());
  await test.step('what is cut for it, and what lies below', async () => {
    // 1.6 mm thick: 18.4 mm in the middle of the wall, π of that around
    await expect(strip).toContainText('a strip 57.8 × 18.4 mm');
    await expect(strip).toContainText('16.8 mm across');
    await expect(strip).toContainText(/squeezed to 60\s% around/);
  });
  await test.step('it is turned', async () => {
    await expect(ball).toBeVisible();
    const first = await picture();
    for (let n = 0; n < 3; n++) await ball.press('ArrowRight');
    await expect.poll(picture).not.toBe(first);
    const turned = await picture();
    const box = await placeOf(page, ball);
    await page.mouse.move(box.x + 200, box.y + 200);
    await page.mouse.down();
    await page.mouse.move(box.x + 260, box.y + 240, { steps: 4 });
    await page.mouse.up();
    await expect.poll(picture).not.toBe(turned);
  });
  await test.step('a still of it, and paper with what is cut at true size', async () => {
    const still = page.waitForEvent('download');
    await page.getByRole('button', { name: 'a still of it' }).press('Enter');
    expect((await still).suggestedFilename()).toMatch(/^Onion skins.*ball\.png$/);
    const paper = page.waitForEvent('download');
    await page.getByRole('button', { name: 'on paper' }).press('Enter');
    expect((await paper).suggestedFilename()).toMatch(/^Onion skins.*ball\.pdf$/);
  });
  await test.step('what is too large says what it takes', async () => {
    await edit(page, 'Width of the form', '400 mm');
    await expect(page.getByText(/^It takes a sheet of .*, and this one is/)).toBeVisible();
    await edit(page, 'Width of the form', '1 mm');
    await expect(strip).toBeVisible();
  });
  await test.step('over a dome, in inches too, and a mould by water', async () => {
    await page.getByLabel('Form', { exact: true }).selectOption('dome');
    await edit(page, 'Width of the form', '30 mm');
    await edit(page, 'Height of the form', '12 mm');
    await expect(strip).toContainText('a disc 36.2 mm across');
    await expect(strip).toContainText(/At the rim the pattern is squeezed to 79\s% around/);
    await page.reload();
    await expect(page.getByLabel('Height of the form')).toHaveValue('12 mm');
    await page.getByRole('button', { name: 'into a mould instead' }).press('Enter');
    const mould = page.getByRole('group', { name: 'A mould' });
    await page.getByLabel('What it was filled with').selectOption('water');
    await expect(mould.getByRole('status')).toContainText('a ball');
    await edit(page, 'What fills the mould', '0.5 g');
    await expect(mould).toContainText('and the sheet alone is');
  });
  await test.step('it becomes a piece of a batch, for which the sheet is made first', async () => {
    await page.getByRole('button', { name: 'A batch of these' }).press('Enter');
    await expect(page).toHaveURL(/batches\/[0-9a-f-]{36}/);
    await expect(page.getByRole('main')).toContainText('Onion skins, beet and corn');
  });
});

test('where the browser cannot draw in space the sheet is shown flat', async ({ page, sledge }) => {
  await page.addInitScript(() => {
    const own = HTMLCanvasElement.prototype.getContext as (this: HTMLCanvasElement, ...all: unknown[]) => unknown;
    HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement, kind: string, ...more: unknown[]) {
      return kind.startsWith('webgl') ? null : own.call(this, kind, ...more);
    } as never;
  });
  await page.goto(`${sledge.url}/patterns`);
  await page
    .getByRole('link', { name: /Onion skins/ })
    .first()
    .press('Enter');
  await page.getByRole('link', { name: 'On a bead or a form' }).press('Enter');
  await expect(page.getByText('This browser cannot draw in space here, so it is shown flat.')).toBeVisible();
  await expect(page.getByRole('img', { name: 'The sheet, flat' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'a still of it' })).toBeDisabled();
});
