import { pngOf } from '#demo';
import { expect, test } from './sledge.js';

/** A dark leaf on a light ground, and a red berry on the leaf. */
function leaf(): Buffer {
  const [width, height] = [120, 80];
  const colourAt = (x: number, y: number): readonly number[] => {
    if (Math.hypot(x - 60, y - 40) < 12) return [176, 40, 52];
    if (Math.hypot((x - 60) / 44, (y - 40) / 28) < 1) return [54, 92, 46];
    return [240, 236, 226];
  };
  const pixels = Array.from({ length: width * height }, (_, i) => colourAt(i % width, Math.floor(i / width))).flat();
  return pngOf(pixels, width, height);
}

test('a picture is traced: its regions are filled with the nearest clays, and keep the width', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/canes`);
  const main = page.getByRole('main');
  await page.getByRole('button', { name: 'a template after a drawing' }).click();
  await expect(page.getByLabel('Width of the template')).toHaveValue('44 mm');
  const picture = page.getByLabel('A picture to trace');
  await picture.setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('turnip') });
  await expect(main).toContainText('no.png cannot be read as a picture.');
  await page.getByLabel('Colours to trace').fill('3');
  await page.keyboard.press('Enter');
  await picture.setInputFiles({ name: 'leaf.png', mimeType: 'image/png', buffer: leaf() });
  const regions = page.getByRole('list', { name: 'Regions' }).getByRole('listitem');
  await expect(regions).toHaveCount(3);
  await expect(main).not.toContainText('cannot be read');
  await expect(page.getByLabel('Width of the template')).toHaveValue('44 mm');
  await expect(page.getByRole('img', { name: 'The face after step 1' })).toBeVisible();
  // one undo takes all of it back
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(regions).toHaveCount(1);
});
