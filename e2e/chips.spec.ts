import { deltaE, labOfLinear, readColour } from '#core/colour';
import { LINEAR, NO_CAST, neutralGains, recast } from '#core/picture';
import { pngOf } from '#demo';
import { edit, expect, saved, test } from './sledge.js';

test('chips that were made: logged, beside the prediction, and the recipe they were made of stays', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/mixes`);
  await page.getByRole('list', { name: 'Chips' }).getByRole('link', { name: 'Swede' }).click();
  const chips = page.getByRole('region', { name: 'Chips you made' });
  await expect(chips).toContainText('None yet.');
  await chips.getByLabel('How the chip reads').fill('reddish mush');
  await page.keyboard.press('Enter');
  await expect(chips).toContainText('“reddish mush” is not a colour');
  await chips.getByLabel('How the chip reads').fill('74,5; 30; 41,5');
  await edit(page, 'Chip made on', '3 Nov 2024');
  await chips.getByRole('button', { name: 'Log it' }).click();
  await expect(chips.getByRole('listitem')).toHaveCount(1);
  await expect(chips).toContainText(/ΔE \d+\.\d from the prediction/);
  await expect(chips).toContainText('3 November 2024 · baked, colour reader · 74.5 30.0 41.5');
  await expect(page.getByRole('main')).toContainText('your last chip');
  await expect(page.getByRole('main')).toContainText('made: a change begins a new one');

  await chips.getByLabel('How the chip reads').fill('F9A05F');
  await chips.getByLabel('The chip is').selectOption('raw');
  await chips.getByLabel('Read how').selectOption('photograph');
  await chips.getByRole('button', { name: 'Log it' }).click();
  await expect(chips.getByRole('listitem')).toHaveCount(2);

  await edit(page, 'Recipe in notation', '2 Chalk + 1 Carrot');
  await expect(page.getByRole('main')).toContainText('revision 2');
  await expect(chips.getByRole('listitem').first()).toContainText('revision 1');
  await expect(page.getByText('your last chip')).toHaveCount(0);
  await saved(page);
  await chips.getByRole('listitem').first().getByRole('button', { name: 'strike out' }).click();
  await expect(chips.getByRole('listitem')).toHaveCount(1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(chips.getByRole('listitem')).toHaveCount(2);
  await page.reload();
  await expect(chips.getByRole('listitem')).toHaveCount(2);
});

test('a chip is read out of a photograph of it: something grey first, then the chip', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/mixes`);
  await page.getByRole('list', { name: 'Chips' }).getByRole('link', { name: 'Swede' }).click();
  const chips = page.getByRole('region', { name: 'Chips you made' });
  await chips.getByLabel('Read how').selectOption('photograph');
  const file = chips.getByLabel('Photograph of the chip to open');
  await file.setInputFiles({ name: 'turnip.png', mimeType: 'image/png', buffer: Buffer.from('turnip') });
  await expect(chips).toContainText('turnip.png cannot be read as a picture.');
  // a grey card beside a chip, both under a warm lamp
  const [card, clay] = [
    [180, 160, 120],
    [200, 110, 50],
  ] as const;
  const [width, height] = [80, 40];
  const pixels = Array.from({ length: width * height }, (_, i) => (i % width < width / 2 ? card : clay)).flat();
  await file.setInputFiles({ name: 'chip.png', mimeType: 'image/png', buffer: pngOf(pixels, width, height) });
  const picture = chips.getByRole('button', { name: /^Photograph: take/ });
  await expect(chips).toContainText('Click something grey or white');
  const box = await picture.boundingBox();
  if (!box) throw new Error('There is no picture.');
  await picture.click({ position: { x: box.width / 4, y: box.height / 2 } });
  await expect(chips).toContainText('Now click the chip.');
  await picture.click({ position: { x: (box.width * 3) / 4, y: box.height / 2 } });
  const reads = chips.getByLabel('How the chip reads');
  await expect(reads).toHaveValue(/^\S+ \S+ \S+$/);
  const linear = (rgb: readonly number[]): [number, number, number] =>
    [0, 1, 2].map((c) => LINEAR[rgb[c] ?? 0] ?? 0) as [number, number, number];
  const wanted = recast(labOfLinear(linear(clay)), NO_CAST, neutralGains(linear(card)));
  expect(deltaE(readColour(await reads.inputValue()), wanted)).toBeLessThan(1);
  await expect(chips.getByTestId('off')).toContainText(/ΔE \d+\.\d from the prediction/);
  await chips.getByRole('button', { name: 'Log it' }).click();
  await expect(chips.getByRole('listitem')).toHaveCount(1);
  await expect(chips).toContainText('baked, photograph');
});
