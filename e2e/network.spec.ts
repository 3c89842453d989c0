import jsqr from 'jsqr';
import { deflateSync } from 'node:zlib';
import type { Browser, BrowserContext, Page } from '@playwright/test';
import { expect, saved, test } from './sledge.js';

const TABLET = { width: 820, height: 1180 };
const PHONE = { width: 390, height: 844 };

/** px of the picture that is read. */
const SIDE = 280;

/** What the picture of the code says, read as a camera would. */
async function readCode(page: Page): Promise<string> {
  const picture = page.getByRole('region', { name: 'A code' }).locator('svg');
  await expect(picture).toBeVisible();
  const dots = await picture.evaluate(async (svg, side) => {
    const image = new Image();
    image.src = `data:image/svg+xml;utf8,${encodeURIComponent(new XMLSerializer().serializeToString(svg))}`;
    await image.decode();
    const canvas = new OffscreenCanvas(side, side);
    const brush = canvas.getContext('2d');
    if (!brush) throw new Error('nothing to draw on');
    brush.fillStyle = '#ffffff';
    brush.fillRect(0, 0, side, side);
    brush.drawImage(image, 20, 20, side - 40, side - 40);
    const { data } = brush.getImageData(0, 0, side, side);
    return Array.from({ length: side * side }, (_, i) => ((data[4 * i] ?? 0) < 128 ? '1' : '0')).join('');
  }, SIDE);
  const grey = [...dots].flatMap((dot) => (dot === '1' ? [0, 0, 0, 255] : [255, 255, 255, 255]));
  const read = jsqr.default(Uint8ClampedArray.from(grey), SIDE, SIDE);
  if (!read) throw new Error('the code cannot be read');
  return read.data;
}

/** Asks for a code at the computer. @returns what the device goes to */
async function askForCode(page: Page, may = 'everything'): Promise<string> {
  await page.getByLabel('What it may do', { exact: true }).selectOption(may);
  await page.getByRole('button', { name: /Let one in/ }).click();
  return readCode(page);
}

const device = (browser: Browser, viewport: typeof TABLET): Promise<BrowserContext> =>
  browser.newContext({ viewport, ignoreHTTPSErrors: true, hasTouch: true, isMobile: true, locale: 'en-GB' });

/** A device photographs the code and is let in. */
async function letIn(context: BrowserContext, code: string, name: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(code);
  await expect(page.getByLabel('The six words')).not.toHaveValue('');
  await page.getByLabel('What this device is called').fill(name);
  const ways = page.getByRole('navigation', { name: 'Stations' });
  // where wrong words were typed before, it has to wait
  await expect(async () => {
    if (!(await ways.isVisible())) await page.getByRole('button', { name: 'Let me in' }).tap();
    await expect(ways).toBeVisible({ timeout: 2000 });
  }).toPass();
  return page;
}

/** A small PNG of one colour, as a camera would hand it over. */
function photograph(): { name: string; mimeType: string; buffer: Buffer } {
  const crcOf = (bytes: Buffer): number => {
    let crc = 0xffffffff;
    for (const byte of bytes) {
      crc ^= byte;
      for (let k = 0; k < 8; k++) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1;
    }
    return (crc ^ 0xffffffff) >>> 0;
  };
  const chunk = (kind: string, data: Buffer): Buffer => {
    const body = Buffer.concat([Buffer.from(kind), data]);
    const [length, crc] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    crc.writeUInt32BE(crcOf(body));
    return Buffer.concat([length, body, crc]);
  };
  const side = 24;
  const head = Buffer.alloc(13);
  head.writeUInt32BE(side, 0);
  head.writeUInt32BE(side, 4);
  head.set([8, 2, 0, 0, 0], 8);
  const row = Buffer.from([0, ...Array.from({ length: side }, () => [123, 30, 75]).flat()]);
  const png = [
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(Buffer.concat(Array.from({ length: side }, () => row)))),
    chunk('IEND', Buffer.alloc(0)),
  ];
  return { name: 'drops.png', mimeType: 'image/png', buffer: Buffer.concat(png) };
}

const step = (page: Page) => page.locator('h1[data-step]');

test('a batch is worked through at a tablet, with the network cut in the middle', async ({ page, sledge, browser }) => {
  await page.goto(`${sledge.url}/bench`);
  await page.getByRole('link', { name: 'Tablet and phone at the bench' }).click();
  await page.getByRole('button', { name: 'Switch it on' }).click();
  const code = await askForCode(page);
  const context = await device(browser, TABLET);
  // without TLS it is only told where to go, and who is not let in sees the door
  const { origin } = new URL(code);
  const first = await context.newPage();
  await first.goto(origin.replace('https:', 'http:'));
  expect(first.url()).toBe(`${origin}/`);
  await expect(first.getByText('ask for a code')).toBeVisible();
  await first.close();
  const tablet = await letIn(context, code, 'Kitchen tablet');
  await expect(page.getByRole('region', { name: 'Who is let in' })).toContainText('here now');

  // both look at the same card: the tablet goes on, the desktop follows
  const name = 'Beetroot-ring drop earrings';
  await tablet.getByRole('link', { name }).first().tap();
  await page.getByRole('link', { name: 'the bench' }).click();
  await page.getByRole('link', { name }).first().click();
  await expect(step(tablet)).toHaveText(await step(page).innerText());
  for (let i = 0; i < 3; i++) await tablet.getByRole('button', { name: 'Next' }).tap();
  await expect(page.getByRole('progressbar', { name: 'Steps' })).toHaveText('4 of 14');
  await expect(step(page)).toHaveText(await step(tablet).innerText());
  // and the other way round
  await page.keyboard.press('Backspace');
  await expect(tablet.getByRole('progressbar', { name: 'Steps' })).toHaveText('3 of 14');

  // a timer of one rings at both
  const toBake = tablet.getByRole('heading', { name: /^Bake/ });
  while (!(await toBake.isVisible())) await tablet.getByRole('button', { name: 'Next' }).tap();
  await tablet.getByRole('button', { name: 'Start a timer' }).tap();
  await expect(page.getByRole('timer', { name: 'Timers' })).toContainText('in the oven');
  await page.getByRole('button', { name: /^Stop: / }).click();
  await expect(tablet.getByRole('timer', { name: 'Timers' })).toBeHidden();

  // the network is gone: the work goes on
  await context.setOffline(true);
  while (!(await tablet.getByRole('heading', { name: 'Done?' }).isVisible()))
    await tablet.getByRole('button', { name: 'Next' }).tap();
  await tablet.getByLabel('Note for the diary').fill('worked through at the stove');
  await tablet.getByRole('button', { name: 'Done, write it down' }).tap();
  await expect(tablet.getByRole('banner').getByRole('status')).toHaveText(/kept here and sent as soon as it does/);
  await expect(step(page)).toHaveText(/^Bake/);
  await context.setOffline(false);
  await expect(tablet.getByRole('heading', { name })).toBeVisible();
  await saved(tablet);
  // once, and the desktop knows
  await expect(page.getByRole('heading', { name: `${name} is done` })).toBeVisible();
  await page.getByRole('button', { name: 'Read what was written down' }).click();
  await expect(page.getByLabel('Note', { exact: true })).toHaveValue('worked through at the stove');
  const batches = await page.request.get(`${sledge.url}/api/diary?search=stove`);
  expect(((await batches.json()) as { total: number }).total).toBe(1);

  // a photograph from its camera stands in the diary, also where it is taken without the network
  await context.setOffline(true);
  await tablet.getByLabel('Photograph of what was made').setInputFiles(photograph());
  await expect(tablet.getByRole('img', { name: `Photograph 1 of ${name}` })).toBeVisible();
  await context.setOffline(false);
  const shown = page.getByRole('img', { name: `Photograph 1 of ${name}` });
  await expect(shown).toBeVisible();
  await expect.poll(() => shown.evaluate((img) => (img as HTMLImageElement).naturalWidth)).toBe(24);

  // shut out: it is told, and stands before the door
  await page.goto(`${sledge.url}/bench/others`);
  await page.getByRole('button', { name: 'Shut out Kitchen tablet' }).click();
  await expect(page.getByText('No tablet and no phone yet.')).toBeVisible();
  await expect(tablet.getByRole('alertdialog', { name: 'Shut out' })).toBeVisible();
  await tablet.getByRole('button', { name: 'Ask to be let in' }).tap();
  await expect(tablet.getByLabel('The six words')).toBeVisible();
  await context.close();
});

test('a phone that has the bench and the diary only finds nothing else; wrong words wait', async ({
  page,
  sledge,
  browser,
}) => {
  await page.goto(`${sledge.url}/bench/others`);
  await page.getByRole('button', { name: 'Switch it on' }).click();
  const code = await askForCode(page, 'the bench and the diary');
  const context = await device(browser, PHONE);
  const stranger = await context.newPage();
  await stranger.goto(new URL(code).origin);
  await stranger.getByLabel('The six words').fill('beet root');
  await stranger.getByRole('button', { name: 'Let me in' }).tap();
  await expect(stranger.getByRole('alert')).toHaveText('“beet” is none of the words. Look at it again.');
  await stranger.getByLabel('The six words').fill('abandon ability able about above absent');
  for (let i = 0; i < 5; i++) {
    await stranger.getByRole('button', { name: 'Let me in' }).tap();
    await expect(stranger.getByRole('alert')).not.toBeEmpty();
  }
  await expect(stranger.getByRole('alert')).toContainText('Too many wrong words came from here');
  await expect(page.getByText('5 wrong codes were typed')).toBeVisible();
  await stranger.close();
  const phone = await letIn(context, code, 'Helper’s phone');
  const ways = phone.getByRole('navigation', { name: 'Stations' });
  await expect(ways.getByRole('link')).toHaveText(['Bench', 'Days', 'Diary']);
  await ways.getByRole('link', { name: 'Days' }).tap();
  const job = phone.getByRole('button', { name: /is done$/ }).first();
  const called = (await job.getAttribute('aria-label')) ?? '';
  await job.tap();
  await saved(phone);
  await expect(phone.getByRole('button', { name: called, exact: true })).toHaveCount(0);
  // undo takes back what was done there
  await phone.getByRole('banner').getByText('Undo').tap();
  await expect(phone.getByRole('button', { name: called, exact: true }).first()).toBeVisible();
  await ways.getByRole('link', { name: 'Diary' }).tap();
  await phone.getByRole('main').getByRole('listitem').getByRole('link').first().tap();
  await phone.getByLabel('Note', { exact: true }).fill('seen by the helper');
  await phone.getByLabel('Note', { exact: true }).blur();
  await saved(phone);
  await expect
    .poll(async () => {
      const answer = await page.request.get(`${sledge.url}/api/diary?search=helper`);
      return ((await answer.json()) as { total: number }).total;
    })
    .toBe(1);
  // what it may do is changed at the computer
  await page.getByLabel('What Helper’s phone may do').selectOption('everything');
  await expect(ways.getByRole('link')).toHaveText(['Bench', 'Days', 'Shelf', 'Diary']);
  await context.close();
});
