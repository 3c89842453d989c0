import { edit, expect, onTo, placeOf, saved, test } from './sledge.js';

test('a relief in mica is pressed, shaved, rolled too far and seen dull, under a lamp that is moved', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/patterns`);
  await page.getByRole('link', { name: 'a relief in mica' }).press('Enter');
  const sheet = page.getByRole('application', { name: /^The sheet under a lamp/ });
  const strip = page.getByRole('region', { name: 'Clay and how clearly it is seen' });
  const blade = page.getByRole('list', { name: 'What the blade left, by area' });
  const picture = () => sheet.evaluate((canvas: HTMLCanvasElement) => canvas.toDataURL());
  await test.step('the lamp is moved with the keys and by hand, and the picture follows', async () => {
    const before = await picture();
    await sheet.press('ArrowRight');
    await expect(sheet).toHaveAttribute('data-lamp', '235 50');
    await expect.poll(picture).not.toBe(before);
    const box = await placeOf(page, sheet);
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await expect(sheet).toHaveAttribute('data-lamp', /^-?\d+ (89|90)$/);
    await page.mouse.move(box.x + box.width - 4, box.y + box.height / 2);
    await expect(sheet).toHaveAttribute('data-lamp', /^-?0 1\d$/);
    await page.mouse.up();
  });
  await test.step('with another texture, shaved too deep, and back at the floor of the valleys', async () => {
    await page.getByLabel('Texture').selectOption('net');
    await expect(page).toHaveURL(/texture=net/);
    await expect(blade).toContainText('100 % right');
    await edit(page, 'Height of the blade', '1.5 mm');
    await expect(blade).toContainText('100 % gouged');
    await page.getByRole('button', { name: 'at the floor of the valleys' }).press('Enter');
    await expect(blade).toContainText('100 % right');
  });
  await test.step('one’s own settings say what they leave; the thinnest is dull', async () => {
    const clear = async () => Number(/ΔE ([\d.]+) as it is shaved/.exec((await strip.textContent()) ?? '')?.[1]);
    await expect.poll(clear).toBeGreaterThan(10);
    const shaved = await clear();
    await strip
      .getByRole('button', { name: /^Roll to/ })
      .last()
      .press('Enter');
    await expect(strip).toContainText('It is dull');
    await expect(page.getByLabel('Rolled to')).toBeVisible();
    await page.reload();
    await expect(strip).toContainText('It is dull');
    await page.getByRole('button', { name: 'not rolled' }).press('Enter');
    await expect(strip).toContainText(`ΔE ${shaved.toFixed(1)} as it is shaved`);
  });
  await test.step('what cannot be is said beside it, and in inches too', async () => {
    await edit(page, 'Depth of the relief', '9 mm');
    await expect(page.getByRole('region', { name: 'Relief in mica' })).toContainText('deep leaves');
    await edit(page, 'Depth of the relief', '1 mm');
    await expect(sheet).toBeVisible();
    await page.getByRole('heading', { name: 'Relief in mica' }).click();
    await page.keyboard.press('u');
    await expect(page.getByLabel('Depth of the relief')).toHaveValue('0.039 in');
    await expect(strip).toContainText('0.72 oz');
  });
  await test.step('a drawing is pressed in by its own shape, and the other way; an empty one is refused', async () => {
    const draw = (inside: string) =>
      page
        .getByLabel('A picture to press with')
        .setInputFiles({
          name: 'leaf.svg',
          mimeType: 'image/svg+xml',
          buffer: Buffer.from(
            `<svg xmlns="http://www.w3.org/2000/svg" width="400" height="200" viewBox="0 0 400 200">${inside}</svg>`,
          ),
        });
    await draw('<ellipse cx="200" cy="100" rx="150" ry="60"/>');
    await expect(page.getByLabel('Width of the picture')).toBeVisible();
    await page.keyboard.press('u');
    await expect(page.getByRole('region', { name: 'Relief in mica' })).toContainText('60 × 30 mm');
    const dark = await picture();
    await page.getByLabel('What of the picture is pressed in').selectOption('what is light');
    await expect.poll(picture).not.toBe(dark);
    await page.reload();
    await expect(page.getByLabel('What of the picture is pressed in')).toHaveValue('dark');
    await expect(sheet).toBeVisible();
    await draw('');
    await expect(page.getByText(/^This relief is of one level/)).toBeVisible();
    await page.getByRole('button', { name: 'a texture instead' }).press('Enter');
    await expect(page.getByLabel('Texture')).toHaveValue('net');
  });
});

test('a relief is kept as a patterned sheet, rolled too far and seen dull, taken back, and cut to ear drops', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/patterns/relief?texture=net`);
  const strip = page.getByRole('region', { name: 'Clay and how clearly it is seen' });
  await test.step('rolled one setting too far it is dull, and that is taken back', async () => {
    await page.getByRole('button', { name: 'Keep it as a patterned sheet' }).press('Enter');
    const steps = page.getByRole('list', { name: 'Steps of the patterned sheet' });
    const shows = page.getByRole('region', { name: 'Clay and what comes of it' });
    await expect(steps.getByRole('listitem')).toHaveCount(4);
    await expect(shows).toContainText(/Sheen of .+: ΔE \d\d\.\d under a lamp above/);
    await expect(shows).not.toContainText('hardly seen');
    await page.getByRole('button', { name: /^Step 3: .* off the top/ }).press('Enter');
    await page.getByRole('button', { name: 'add after it' }).press('Enter');
    await page.getByRole('dialog').getByRole('button', { name: 'Roll', exact: true }).press('Enter');
    await edit(page, 'Rolled to', '0.5 mm');
    await expect(shows).toContainText('hardly seen');
    await saved(page);
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(shows).not.toContainText('hardly seen');
  });
  await test.step('ear drops are cut of it, and wait in a batch until it is made', async () => {
    await page.getByRole('link', { name: /^Where to cut pieces/ }).press('Enter');
    await edit(page, 'Name of the pieces', 'Ear drops');
    await edit(page, 'Size of the cutter', '9 × 14 mm teardrop');
    await edit(page, 'How many pieces', '4');
    await page.getByRole('button', { name: 'Find them' }).press('Enter');
    await expect(page.getByRole('status').filter({ hasText: '4 found' })).toBeVisible();
    await page.getByRole('button', { name: '4 pieces into the batch' }).press('Enter');
    await expect(page.getByRole('region', { name: 'Ear drops' })).toContainText('4 places on the patterned sheet');
    await page.getByRole('region', { name: 'Ear drops' }).getByRole('link', { name: 'its steps' }).press('Enter');
  });
  await test.step('passes are counted at the bench, and the next one is told of them', async () => {
    await page.getByRole('link', { name: /^To the bench/ }).press('Enter');
    await expect(page.locator('h1[data-step]')).toHaveText('Pass it until its sheen is even');
    await expect(page.getByRole('main')).toContainText('about 10 passes (~ assumed)');
    for (let n = 0; n < 14; n++) await page.keyboard.press('Space');
    await page.getByRole('button', { name: 'The sheen is even' }).press('Enter');
    await onTo(page, 'Done?');
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await expect(page.getByRole('main')).toContainText('stopped at 14 passes until the sheen was even');
    await page.goto(`${sledge.url}/patterns/relief`);
    await expect(strip).toContainText('about 14 times on your thinnest (the middle of one count of yours)');
  });
});
