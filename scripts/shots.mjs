// npm run shots: takes the pictures of docs/screenshots from the demo data, each main view once. Words pick views:
// npm run shots -- held
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM_FLAGS, bringChromium, findChromium } from './chromium.mjs';
import { build, install, root } from './prepare.mjs';

install();
build();
const missing = bringChromium();
if (missing) {
  console.error(missing);
  process.exit(1);
}
const { chromium } = await import('@playwright/test');
const { serve } = await import('../dist/server/src/app.js');
const { loadDemo } = await import('../dist/server/src/loadDemo.js');

const folder = mkdtempSync(join(tmpdir(), 'sledge-shots-'));
// a short path, as the page of copies shows it
process.chdir(folder);
const { app, port } = await serve(join('kitchen garden', 'sledge.db'), 0);
await loadDemo(app);
const browser = await chromium.launch({ executablePath: findChromium() ?? undefined, args: CHROMIUM_FLAGS });
const context = await browser.newContext({
  viewport: { width: 1280, height: 800 },
  locale: 'en-GB',
  reducedMotion: 'reduce',
});
const page = await context.newPage();
const shots = join(root, 'docs', 'screenshots');
mkdirSync(shots, { recursive: true });

const wanted = process.argv.slice(2);
const isWanted = (name) => wanted.length === 0 || wanted.includes(name);

const open = async (path) => {
  await page.goto(`http://127.0.0.1:${port}/${path}`);
  await page.getByRole('main').waitFor();
};
const card = (name) => page.getByRole('link', { name }).first().click();
/** What is done before each picture. */
const VIEWS = {
  shelf: async () => {
    await open('shelf');
    await page.getByRole('button', { name: /^Carrot/ }).click();
  },
  mixes: async () => {
    await open('mixes');
    await card('Radish skin');
    await page.getByRole('button', { name: /carry/ }).click();
    await card('Outer leek');
    await page.getByRole('button', { name: /carry/ }).click();
    await card('Radish skin');
  },
  find: async () => {
    await open('mixes/find');
    await page.getByLabel('Colour to find').fill('A8503C');
    await page.keyboard.press('Enter');
    await page.locator('[data-search=done]').waitFor();
  },
  there: async () => {
    await open('shelf/there');
    await page.getByRole('button', { name: 'Beetroot ring', exact: true }).click();
    await page.locator('canvas[data-painted]').nth(6).waitFor();
  },
  sheets: async () => {
    await open('sheets');
    await page.getByLabel('A thickness as somebody else says it').fill('third thickest');
  },
  blends: async () => {
    await open('blends');
    await card(/Pod fade/);
    await page.getByRole('img', { name: 'The fade that results' }).waitFor();
    await page.keyboard.press('e');
    await page.getByText('as cut: compensated').waitFor();
  },
  canes: async () => {
    await open('canes');
    await card('Cold-frame lace');
    await page.locator('canvas[data-painted]').nth(8).waitFor();
    await page.waitForTimeout(2500);
  },
  patterns: async () => {
    await open('patterns');
    await card(/Onion skins/);
    await page.getByRole('button', { name: /^Step 6/ }).click();
    await page.locator('canvas[data-painted]').nth(12).waitFor();
    await page.waitForTimeout(4000);
  },
  lace: async () => {
    await open('patterns');
    await card(/Cold-frame pane/);
    await page.getByLabel('How it is seen').selectOption('against the light');
    await page.locator('canvas[data-painted]').nth(2).waitFor();
    await page.waitForTimeout(4000);
  },
  bead: async () => {
    await open('patterns');
    await card(/Onion skins/);
    await page.getByRole('link', { name: 'On a bead or a form' }).click();
    await page.getByRole('application').waitFor();
    await page.waitForTimeout(6000);
  },
  relief: async () => {
    await open('patterns/relief?texture=pods&pitch=7&strays=0.08');
    await page.getByRole('application').waitFor();
  },
  mosaic: async () => {
    await open('patterns');
    await page.getByRole('link', { name: 'Stock pot brooch' }).click();
    await page.getByRole('img', { name: 'The mosaic as it will look' }).waitFor();
    await page.getByText(/of what the picture/).waitFor();
  },
  pieces: async () => {
    await open('batches');
    await card(/Radish blossoms/);
    await page.getByRole('img', { name: 'Radish blossom from above' }).waitFor();
  },
  days: async () => {
    await open('batches/days');
    await page.getByRole('list', { name: 'Days' }).waitFor();
  },
  batches: async () => {
    await open('batches');
    await card(/Beetroot-ring drop earrings/);
  },
  bench: async () => {
    await page.getByRole('button', { name: 'To the bench' }).click();
    await page.getByRole('heading', { name: 'Condition Chalk' }).waitFor();
    for (let i = 0; i < 3; i++) await page.keyboard.press('Space');
  },
  diary: async () => {
    await open('diary');
    await card(/Radish-slice brooches/);
  },
  oven: async () => {
    await open('batches/ovens');
    await page.getByRole('button', { name: 'Put load 1 in' }).click();
    await page.getByRole('button', { name: 'Listen to the probe' }).click();
    await page.getByRole('button', { name: 'switch it on' }).click();
    for (const pace of [1, 10, 60]) await page.getByRole('button', { name: `Its time: ${pace} times` }).click();
    await page.waitForTimeout(11_000);
  },
};
for (const [name, act] of Object.entries(VIEWS)) {
  if (!isWanted(name)) continue;
  await act();
  await page.mouse.move(700, 780);
  await page.waitForTimeout(700);
  await page.screenshot({ path: join(shots, `${name}.png`) });
  console.log(`docs/screenshots/${name}.png`);
}

/** Bench, shelf and diary as they are held, side by side. */
async function held(file) {
  const phone = await browser.newPage({
    viewport: { width: 390, height: 844 },
    ...{ locale: 'en-GB', hasTouch: true, isMobile: true, reducedMotion: 'reduce' },
  });
  const pictures = [];
  const take = async () => {
    await phone.waitForTimeout(700);
    pictures.push((await phone.screenshot()).toString('base64'));
  };
  await phone.goto(`http://127.0.0.1:${port}/bench`);
  await phone.getByRole('link', { name: 'Beetroot-ring drop earrings' }).last().tap();
  await phone.locator('h1[data-step]').waitFor();
  await take();
  await phone.goto(`http://127.0.0.1:${port}/shelf`);
  await phone.getByRole('button', { name: /^Beetroot/ }).waitFor();
  await take();
  await phone.goto(`http://127.0.0.1:${port}/diary`);
  await phone
    .getByRole('link', { name: /Pea-pod ornaments/ })
    .first()
    .tap();
  await phone.getByRole('heading', { name: /Pea-pod/ }).waitFor();
  await take();
  await phone.close();
  const wall = await browser.newPage({ viewport: { width: 390 * 3 + 40, height: 844 } });
  const images = pictures.map((data) => `<img src="data:image/png;base64,${data}">`).join('');
  await wall.setContent(`<body style="margin:0;display:flex;gap:20px;background:#6d6d6d">${images}`);
  await wall.waitForTimeout(300);
  await wall.screenshot({ path: join(shots, file) });
  await wall.close();
  console.log(`docs/screenshots/${file}`);
}
if (isWanted('held')) await held('held.png');
await browser.close();
await app.close();
rmSync(folder, { recursive: true });
