import { PHOTOGRAPH, photograph, pngOf } from '#demo';
import { edit, expect, saved, station, test } from './sledge.js';

const CARD = { x: 45, y: 392 };

test('a photograph becomes a palette, each colour finds its mix, and the mixing sheet is printed', async ({
  page,
  sledge,
}) => {
  await page.goto(sledge.url);
  await station(page, 'Mixes');
  await expect(page.getByRole('heading', { name: 'Chip board' })).toBeVisible();
  await page.keyboard.press('v');
  await expect(page.getByRole('heading', { name: 'Colours of a photograph' })).toBeVisible();
  await expect(page.getByRole('list', { name: 'Palettes' }).getByRole('link')).toHaveCount(1);
  await page
    .getByLabel('Photograph to open')
    .setInputFiles({ name: 'market_stall.png', mimeType: 'image/png', buffer: photograph() });
  await expect(page.getByLabel('Name of the palette')).toHaveValue('market stall');
  const colours = page.getByRole('list', { name: 'Colours of the palette' }).getByRole('listitem');
  await expect(colours).toHaveCount(6);

  // the lamp was warm: the card in the corner is grey
  const picture = page.getByRole('button', { name: /^Photograph: take/ });
  await picture.focus();
  await page.keyboard.press('g');
  const box = await picture.boundingBox();
  if (!box) throw new Error('There is no picture.');
  const scale = box.width / PHOTOGRAPH.width;
  await picture.click({ position: { x: CARD.x * scale, y: CARD.y * scale } });
  await expect(page.getByText('the cast is taken away')).toBeVisible();

  await edit(page, 'Number of colours', '5');
  await page.getByRole('button', { name: 'Take colours anew' }).click();
  await expect(colours).toHaveCount(5);

  // one more by keyboard: a radish rim is only a few pixels wide
  await edit(page, 'Side of the patch in pixels', '3');
  await picture.focus();
  for (const key of ['ArrowUp', 'ArrowUp', 'Shift+ArrowLeft', 'Enter']) await page.keyboard.press(key);
  await expect(colours).toHaveCount(6);
  await expect(colours.last()).toContainText('picked');
  await colours.last().getByRole('textbox').fill('middle of the beet');
  await page.keyboard.press('Enter');
  await saved(page);

  await expect(page.locator('[data-matched=true]')).toBeVisible({ timeout: 30_000 });
  const notations = await colours.getByTestId('notation').allTextContents();
  expect(notations.every((n) => /^[\d½¼¾ /]+ [A-Z]/.test(n))).toBe(true);
  await edit(page, 'Weight for all colours', '80 g');
  await page.getByLabel('How the weight is shared out').selectOption('the same for each');
  await expect(colours.first()).toContainText('13.3 g');

  // on paper: every colour, its mix and grams; the clay adds up
  await page.emulateMedia({ media: 'print' });
  const paper = page.locator('[data-paper]');
  await expect(paper).toBeVisible();
  for (const notation of notations) await expect(paper).toContainText(notation);
  await expect(paper).toContainText('middle of the beet');
  await expect(page.getByRole('list', { name: 'Chips' })).toBeHidden();
  const control = await paper.locator('[data-control]').boundingBox();
  expect(Math.abs((control?.width ?? 0) - (50 / 25.4) * 96)).toBeLessThan(0.5);
  const total = await paper.getByText('Clay for all of them').locator('..').innerText();
  const sum = [...total.matchAll(/([\d.]+) g/g)].reduce((grams, [, g]) => grams + Number(g), 0);
  expect(Math.abs(sum - 80)).toBeLessThan(0.6);
  expect((await page.pdf({ preferCSSPageSize: true })).length).toBeGreaterThan(10_000);
  await page.emulateMedia({ media: null });

  await page.reload();
  await expect(colours).toHaveCount(6);
  await expect(page.getByText('the cast is taken away')).toBeVisible();
  await page.getByRole('button', { name: 'Put the mixes on the board' }).click();
  // six more than the garden has
  await expect(page.getByText('31 mixes')).toBeVisible({ timeout: 30_000 });
});

test('a colour of the palette is taken to the search, and the palette goes and comes back', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/mixes/photograph`);
  await page.getByRole('list', { name: 'Palettes' }).getByRole('link').click();
  const colours = page.getByRole('list', { name: 'Colours of the palette' }).getByRole('listitem');
  await expect(colours).toHaveCount(7);
  await colours
    .nth(2)
    .getByRole('button', { name: /^Take .* out$/ })
    .click();
  await expect(colours).toHaveCount(6);
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(colours).toHaveCount(7);
  await colours.nth(2).getByRole('link', { name: 'find' }).click();
  await expect(page.getByLabel('Colour to find')).toHaveValue('54.4 32.9 46.6');
  await page.goBack();
  await page.getByRole('button', { name: 'Take the palette away' }).click();
  await expect(page.getByText('No palette yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('list', { name: 'Palettes' }).getByRole('link')).toHaveCount(1);
});

/** A JPEG with the Exif flag that says how the camera was held. */
function turned(jpeg: Buffer, orientation: number): Buffer {
  const exif = Buffer.from([
    0xff,
    0xe1,
    0,
    34,
    ...Buffer.from('Exif\0\0MM\0*', 'latin1'),
    0,
    0,
    0,
    8,
    0,
    1,
    0x01,
    0x12,
    0,
    3,
    0,
    0,
    0,
    1,
    0,
    orientation,
    0,
    0,
    0,
    0,
    0,
    0,
  ]);
  return Buffer.concat([jpeg.subarray(0, 2), exif, jpeg.subarray(2)]);
}
/** Sixteen pixels of 0 % cyan, 100 % magenta, 100 % yellow, 0 % black, as a JPEG of four inks. */
const CMYK =
  '/9j/7gAOQWRvYmUAZAAAAAAC/9sAQwAFAwQEBAMFBAQEBQUFBgcMCAcHBwcPCwsJDBEPEhIRDxERExYcFxMUGhURERghGBodHR8f' +
  'HxMXIiQiHiQcHh8e/9sAQwEFBQUHBgcOCAgOHhQRFB4eHh4eHh4eHh4eHh4eHh4eHh4eHh4eHh4eHh4eHh4eHh4eHh4eHh4eHh4e' +
  'Hh4eHh4e/8AAFAgABAAEBAEiAAIRAQMRAQQiAP/EABYAAQEBAAAAAAAAAAAAAAAAAAAHCP/EABQQAQAAAAAAAAAAAAAAAAAAAAD/' +
  'xAAVAQEBAAAAAAAAAAAAAAAAAAAHCP/EABQRAQAAAAAAAAAAAAAAAAAAAAD/2gAOBAEAAhEDEQQAAD8AqQBFRk2WA//Z';

test('pictures of every kind, and files that are none', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/mixes/photograph`);
  const open = async (name: string, buffer: Buffer, mimeType = 'image/png'): Promise<void> => {
    await page.goto(`${sledge.url}/mixes/photograph`);
    await page.getByLabel('Photograph to open').setInputFiles({ name, mimeType, buffer });
  };
  const colours = page.getByRole('list', { name: 'Colours of the palette' }).getByRole('listitem');
  for (const [name, buffer, sentence] of [
    ['broken.png', Buffer.from('a turnip'), 'broken.png cannot be read as a picture.'],
    ['cut.png', photograph().subarray(0, 90), 'cut.png cannot be read'],
    ['nothing.jpg', Buffer.alloc(0), 'nothing.jpg is empty.'],
  ] as const) {
    await open(name, buffer);
    await expect(page.getByRole('main')).toContainText(sentence);
  }
  await open('one pixel.png', pngOf([0x7b, 0x1e, 0x4b], 1, 1));
  await expect(colours).toHaveCount(1);
  await expect(colours.first()).toContainText('100 %');
  await open(
    'deep.png',
    pngOf(
      Array.from({ length: 48 }, (_, i) => [0x93 * 257, 0xb8 * 257, 0x4c * 257][i % 3] ?? 0),
      4,
      4,
      16,
    ),
  );
  await expect(colours).toHaveCount(1);
  await expect(colours.first().getByRole('link', { name: 'find' })).toHaveAttribute(
    'href',
    /colour=70\.\d -2\d\.\d 4\d\.\d/,
  );
  await open('inks.jpg', Buffer.from(CMYK, 'base64'), 'image/jpeg');
  await expect(colours).toHaveCount(1);

  const jpeg = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(60, 20);
    const context = canvas.getContext('2d');
    if (!context) throw new Error('No canvas.');
    context.fillStyle = '#4F7F45';
    context.fillRect(0, 0, 60, 20);
    context.fillStyle = '#E7712C';
    context.fillRect(0, 0, 20, 20);
    return Array.from(
      new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg', quality: 1 })).arrayBuffer()),
    );
  });
  await open('turned.jpg', turned(Buffer.from(jpeg), 6), 'image/jpeg');
  await expect(colours.first()).toBeVisible();
  const shown = await page.locator('canvas').evaluate((canvas: HTMLCanvasElement) => [canvas.width, canvas.height]);
  expect(shown).toEqual([20, 60]);
});
