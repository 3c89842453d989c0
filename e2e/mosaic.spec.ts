import type { Page } from '@playwright/test';
import { edit, expect, saved, station, test } from './sledge.js';

/** A photograph of a tomato on a cloth, as a camera would write it. */
async function tomato(page: Page): Promise<Buffer> {
  const url = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    canvas.width = 300;
    canvas.height = 400;
    const pen = canvas.getContext('2d')!;
    pen.fillStyle = '#ece4cd';
    pen.fillRect(0, 0, 300, 400);
    const flesh = pen.createRadialGradient(120, 180, 10, 150, 210, 130);
    flesh.addColorStop(0, '#f07a55');
    flesh.addColorStop(1, '#8e1f18');
    pen.fillStyle = flesh;
    pen.beginPath();
    pen.ellipse(150, 215, 115, 105, 0, 0, 7);
    pen.fill();
    pen.fillStyle = '#46702f';
    pen.beginPath();
    pen.ellipse(150, 115, 60, 22, 0, 0, 7);
    pen.fill();
    return canvas.toDataURL('image/png');
  });
  return Buffer.from(url.split(',')[1] ?? '', 'base64');
}

test('a tomato in an oval bezel: its threads, its trays, half of it laid, closed, opened, gone on', async ({
  page,
  sledge,
}) => {
  test.setTimeout(240_000);
  await page.goto(sledge.url);
  await station(page, 'Patterns');
  const main = page.getByRole('main');
  const strip = page.getByRole('region', { name: 'Threads and how it reads' });
  const patches = page.getByRole('list', { name: 'Patches in working order' });
  const counted = page.getByRole('status').filter({ hasText: /^[\d,]+ of [\d,]+$/ });
  await test.step('what is no picture is refused; a photograph is planned', async () => {
    const open = page.getByLabel('A picture for a mosaic');
    await open.setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
    await expect(main).toContainText('notes.png cannot be read as a picture');
    await open.setInputFiles({ name: 'Tomato.png', mimeType: 'image/png', buffer: await tomato(page) });
    await expect(page.getByLabel('Name of the mosaic')).toHaveValue('Tomato');
    await expect(page.getByRole('img', { name: 'The mosaic as it will look' })).toBeVisible();
    await expect(strip).toContainText(/It reads: \d+ % of what the picture/);
    await expect(strip).toContainText(/9\d % of the\s+bezel is covered/);
  });
  await test.step('in fewer shades, each of which is found on the shelf', async () => {
    await edit(page, 'Colours', '3');
    await page.getByLabel('Shades of each colour').selectOption('1');
    await expect(strip.getByRole('button', { name: 'Find mixes for 3 shades' })).toBeVisible();
    await strip.getByRole('button', { name: 'Find mixes for 3 shades' }).press('Enter');
    await expect(strip.getByRole('button', { name: /^Find mixes/ })).toHaveCount(0, { timeout: 90_000 });
    const threads = strip.getByRole('list', { name: 'Threads by shade' }).getByRole('listitem');
    await expect(threads).toHaveCount(3);
    for (const row of await threads.all()) await expect(row).toHaveText(/ m · [\d.]+ g$/);
  });
  await test.step('half of it is laid, and is so after it was closed', async () => {
    await expect(counted).toHaveText(/^0 of \d+$/);
    const all = await patches.getByRole('listitem').count();
    expect(all).toBeGreaterThan(2);
    await page.getByRole('button', { name: 'as far as it is laid' }).press('Enter');
    const drawing = page.getByRole('img', { name: 'The mosaic, as far as it is laid' });
    await expect(drawing.locator('[data-laid="true"]')).toHaveCount(0);
    await patches.getByRole('checkbox').nth(0).press('Space');
    await patches.getByRole('checkbox').nth(1).press('Space');
    await expect(drawing.locator('[data-laid="true"]')).toHaveCount(2);
    await saved(page);
    const laid = (await counted.textContent()) ?? '';
    await station(page, 'Shelf');
    await station(page, 'Patterns');
    await page.getByRole('list', { name: 'Your mosaics' }).getByRole('link', { name: 'Tomato' }).press('Enter');
    await expect(counted).toHaveText(laid);
    await page.reload();
    await expect(counted).toHaveText(laid);
    await expect(strip).toContainText('are laid;');
  });
  await test.step('another bezel is another plan; taken back, what was laid lies there still', async () => {
    const laid = (await counted.textContent()) ?? '';
    await edit(page, 'The bezel', '30 mm round');
    await expect(counted).toHaveText(/^0 of \d+$/);
    await saved(page);
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(counted).toHaveText(laid);
  });
  await test.step('what cannot be planned is said beside it', async () => {
    await edit(page, 'Thickness of the threads', '0.05 mm');
    await expect(main).toContainText('Threads of a mosaic are from 0.2 to 10 mm thick');
    await edit(page, 'Thickness of the threads', '1, 0.6');
    await edit(page, 'The bezel', '400 × 400 mm rectangle');
    await expect(main).toContainText(/That would be about [\d,]+ tesserae/);
    await edit(page, 'The bezel', '18 × 25 mm oval');
    await expect(counted).toHaveText(/^\d+ of \d+$/);
  });
  await test.step('the placing plan is printed, and the smallest bezel is found', async () => {
    const pdf = page.waitForEvent('download', { timeout: 60_000 });
    await page.getByRole('button', { name: 'the placing plan on paper' }).press('Enter');
    expect((await pdf).suggestedFilename()).toBe('Tomato, placing plan.pdf');
    await strip.getByRole('button', { name: 'the smallest bezel at which it reads' }).press('Enter');
    await expect(strip.getByRole('status').filter({ hasText: /^It reads from [\d.]+ mm wide on\.$/ })).toBeVisible({
      timeout: 60_000,
    });
    await page.locator('body').click({ position: { x: 2, y: 2 } });
    await page.keyboard.press('u');
    await expect(strip).toContainText(/ ft of thread/);
    await page.keyboard.press('u');
  });
  await test.step('taken away, and brought back', async () => {
    await page.getByRole('button', { name: 'Take away' }).press('Enter');
    await expect(page.getByRole('heading', { name: 'Patterned sheets', exact: true })).toBeVisible();
    const own = page.getByRole('list', { name: 'Your mosaics' }).getByRole('link', { name: 'Tomato' });
    await expect(own).toHaveCount(0);
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(own).toBeVisible();
  });
});
