import { readFile } from 'node:fs/promises';
import { edit, expect, placeOf, saved, station, test } from './sledge.js';

test(
  'the woven basket from a blend made earlier: reduced, warned, mended, planned backwards, made, and ' +
    'its ends learned from',
  async ({ page, sledge }) => {
    test.setTimeout(300_000);
    await page.goto(`${sledge.url}/shelf`);
    await station(page, 'Canes');
    const main = page.getByRole('main');
    await test.step('begun from its starting point, in one’s own colours', async () => {
      await page.getByRole('button', { name: 'Begin with Woven basket' }).click();
      await expect(page.getByLabel('Name of the cane')).toHaveValue('Woven basket');
      await expect(page.getByRole('list', { name: 'Steps of the cane' }).getByRole('listitem')).toHaveCount(13);
      await page.getByRole('button', { name: /^Step 1: Plug/ }).click();
      await page.getByRole('button', { name: /^Blend of the plug/ }).click();
      await page.getByRole('combobox', { name: 'Blend of the plug' }).fill('straw');
      await page.keyboard.press('Enter');
      await expect(page.getByRole('button', { name: 'Blend of the plug: Straw fade' })).toBeVisible();
      await expect(main).toContainText('1 Plug');
      await expect(page.getByRole('region', { name: 'Clay and what to begin with' })).toContainText(
        'plug of Straw fade, 26 mm across',
      );
    });
    await test.step('reduced too far: a warning says what, and what to do', async () => {
      await page.getByRole('button', { name: /^Step 12/ }).click();
      await main.getByRole('button', { name: 'add after it' }).click();
      await page.getByRole('dialog', { name: 'What comes next' }).getByRole('button', { name: 'Reduce' }).click();
      await edit(page, 'Reduce to', '10 mm');
      await expect(main).toContainText(/At this size \w+ is only 0\.\d+ mm wide in places/);
      await edit(page, 'Reduce to', '90 mm');
      await expect(page.getByText(/so it cannot be reduced to 90 mm/).first()).toBeVisible();
      await edit(page, 'Reduce to', '10 mm');
    });
    await test.step('mended: a thicker wrap, and not so thin', async () => {
      await page.getByRole('button', { name: /^Step 2: Wrap/ }).click();
      await edit(page, 'Thickness of the wrap', '2.4 mm');
      await page.getByRole('button', { name: /^Step 13: Reduce/ }).click();
      await edit(page, 'Reduce to', '24 mm');
      await expect(main).not.toContainText('wide in places');
      await page.getByLabel('Reduce, by hand').focus();
      await page.keyboard.press('ArrowRight');
      await expect(page.getByLabel('Reduce to', { exact: true })).not.toHaveValue('24 mm');
      await edit(page, 'Reduce to', '24 mm');
    });
    const strip = page.getByRole('region', { name: 'Clay and what to begin with' });
    await test.step('60 slices planned backwards, in both systems', async () => {
      await edit(page, 'Number of slices', '60');
      await expect(strip).toContainText('for 60 slices of 2 mm');
      const grams = async (): Promise<number> =>
        Number(/([\d.]+) g in all/.exec((await strip.textContent()) ?? '')?.[1]);
      await expect.poll(grams).toBeGreaterThan(120);
      const before = await grams();
      await edit(page, 'Number of slices', '30');
      await expect.poll(grams).toBeLessThan(before);
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'Units: metric' }).click();
      await expect(strip).toContainText('for 30 slices of 0.08 in');
      await page.getByRole('button', { name: 'Units: imperial' }).click();
      const pdf = page.waitForEvent('download', { timeout: 60_000 });
      await page.getByRole('button', { name: 'Build sheet as PDF' }).click();
      expect((await pdf).suggestedFilename()).toBe('Woven basket, build sheet.pdf');
      const png = page.waitForEvent('download');
      await page.getByLabel('Size of the picture').selectOption('512');
      await page.getByRole('button', { name: 'Face as PNG' }).click();
      expect((await png).suggestedFilename()).toBe('Woven basket.png');
    });
    await test.step('made at the bench by one key, and written down', async () => {
      await main.getByRole('heading', { level: 2 }).first().click();
      await page.keyboard.press('b');
      await expect(page.getByRole('heading', { name: 'Begin' })).toBeVisible();
      for (let i = 0; i < 40 && !(await page.getByRole('heading', { name: 'Done?' }).isVisible()); i++)
        await page.keyboard.press('Space');
      await edit(page, 'Lost at both ends', '96 mm');
      for (const field of await page.getByRole('list', { name: 'Clay used' }).getByRole('textbox').all()) {
        await field.fill('5 g');
        await field.press('Enter');
      }
      await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
      await expect(main).toContainText('its ends took 96 mm');
      await page.getByRole('link', { name: 'Woven basket', exact: true }).click();
      await expect(main).toContainText('revision 1, made: a change begins a new one');
      await expect(strip).toContainText('(from 1 made)');
      await expect(page.getByLabel('Widths lost at each end')).not.toHaveValue('0.6');
    });
  },
);

test('a cane by keys alone, in another cane, out as a file and in again', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/canes`);
  await expect(page.getByRole('heading', { name: 'Canes' })).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByLabel('Name of the cane')).toHaveValue('Log');
  const steps = page.getByRole('list', { name: 'Steps of the cane' }).getByRole('button', { name: /^Step/ });
  await page.keyboard.press('a');
  await expect(
    page.getByRole('dialog', { name: 'What comes next' }).getByRole('button', { name: 'Wrap' }),
  ).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(steps).toHaveCount(2);
  await page.getByRole('heading', { level: 2 }).first().click();
  // changes that have not left yet become one: each is saved before the next
  await saved(page);
  await page.keyboard.press('y');
  await expect(steps).toHaveCount(3);
  await saved(page);
  await page.keyboard.press('Delete');
  await expect(steps).toHaveCount(2);
  await saved(page);
  await page.keyboard.press('z');
  await expect(steps).toHaveCount(3);
  await page.getByRole('button', { name: 'add after it' }).click();
  await page.getByRole('button', { name: 'Set in', exact: true }).click();
  await page.getByLabel('What is set in', { exact: true }).selectOption({ label: 'Garden speckle' });
  await expect(page.getByRole('button', { name: /Set in Garden speckle/ })).toBeVisible();
  await edit(page, 'Diameter of the hole', '60 mm');
  await expect(page.getByText(/the hole would cut through the outline/).first()).toBeVisible();
  await edit(page, 'Diameter of the hole', '8 mm');
  await expect(page.getByRole('img', { name: 'The face after step 3' })).toBeVisible();
  const drawing = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Outlines as SVG' }).click();
  const outlines = await readFile(await (await drawing).path(), 'utf8');
  expect(outlines).toMatch(/<svg [^>]*width="[\d.]+mm"/);
  expect([...outlines.matchAll(/<title>(Soot|Corn|Carrot)<\/title>/g)].length).toBeGreaterThanOrEqual(3);
  await page.getByLabel('How slices are laid').selectOption('bead');
  await expect(page.getByRole('img', { name: 'Slices around a bead' })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Cane as JSON' }).click();
  const file = await (await download).path();
  await expect(page.getByRole('button', { name: 'Copy the steps of What is set in' })).toBeVisible();
  await page.getByRole('button', { name: 'all canes' }).click();
  await page
    .getByLabel('A cane from a file')
    .setInputFiles({
      name: 'broken.json',
      mimeType: 'application/json',
      buffer: Buffer.from('{"kind":"cane","version":7}'),
    });
  await expect(page.getByText(/broken.json: This cane was written by a newer Sledge/)).toBeVisible();
  await page.getByLabel('A cane from a file').setInputFiles(file);
  await expect(page.getByLabel('Name of the cane')).toHaveValue('Log 2');
  await expect(steps).toHaveCount(4);
  // what it takes in came along as its own steps
  await page.getByRole('button', { name: /Set in Garden speckle/ }).click();
  await page.getByRole('button', { name: 'Open What is set in' }).click();
  await expect(page.getByRole('main')).toContainText('Log 2 › Garden speckle');
});

const POD = `<svg xmlns="http://www.w3.org/2000/svg" width="50mm" height="30mm" viewBox="0 0 500 300">
  <script>document.title = 'run'</script><rect width="500" height="300" fill="#F1EEE4" id="sky"/>
  <path id="pod" d="M30 150 C120 20 380 20 470 150 C380 280 120 280 30 150 Z" fill="#4F7F45"/>
  <circle id="pea left" cx="150" cy="150" r="42" fill="#93B84C"/>
  <circle id="pea middle" cx="250" cy="150" r="42" fill="#93B84C"/>
  <circle id="pea right" cx="350" cy="150" r="42" fill="#93B84C"/>
</svg>`;

test('an SVG template, filled with mixes and a speckle cane, and its clay list', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/canes`);
  const main = page.getByRole('main');
  await page.getByRole('button', { name: 'a template after a drawing' }).click();
  const drawing = page.getByLabel('A drawing as SVG');
  await drawing.setInputFiles({ name: 'no.svg', mimeType: 'image/svg+xml', buffer: Buffer.from('<html/>') });
  await expect(main).toContainText('This file cannot be read as an SVG drawing.');
  await drawing.setInputFiles({ name: 'pod.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(POD) });
  await expect(main).toContainText('1 scripts.');
  await expect(page).toHaveTitle(/Sledge/);
  const regions = page.getByRole('list', { name: 'Regions' }).getByRole('listitem');
  await expect(regions).toHaveCount(3);
  await expect(main).toContainText('Template, 5 regions');
  // the colours of the drawing found the nearest clays
  await expect(regions.nth(0)).toContainText('Chalk');
  await expect(regions.nth(1)).toContainText('pod');
  await regions
    .nth(1)
    .getByRole('button', { name: /^Clay or mix of pod/ })
    .click();
  await page.getByRole('combobox', { name: 'Clay or mix of pod' }).fill('Outer leek');
  await page.keyboard.press('Enter');
  await expect(regions.nth(1).getByRole('button', { name: 'Clay or mix of pod: Outer leek' })).toBeVisible();
  await page.getByLabel('What fills pea left').selectOption('cane');
  await page.getByLabel('Cane in pea left').selectOption({ label: 'Garden speckle' });
  await expect(regions.nth(2)).toContainText('mm²');
  await page.getByRole('button', { name: 'each region by itself' }).click();
  await expect(regions).toHaveCount(5);
  await page.getByLabel('What fills pea middle').selectOption('blend');
  await expect(page.getByRole('button', { name: /^Blend in pea middle/ })).toBeVisible();
  await page.getByLabel('Direction in the region').nth(1).fill('45');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'equal ones together' }).click();
  await expect(regions).toHaveCount(4);
  await edit(page, 'Width of the template', '60 mm');
  await expect(page.getByRole('img', { name: 'The face after step 1' })).toBeVisible();
  const strip = page.getByRole('region', { name: 'Clay and what to begin with' });
  await expect(strip).toContainText('Soot');
  await expect(strip).toContainText('Leek');
  await expect(strip).toContainText('(Garden speckle, cut in 2)');
  // grams of each clay, and of each mix and blend that is made of them first
  await expect(strip.getByRole('list', { name: 'Mixes and blends to make first' })).toContainText(/Outer leek[\d.]+ g/);
  const pdf = page.waitForEvent('download');
  await page.getByRole('button', { name: 'the template on paper, at true size' }).click();
  expect((await pdf).suggestedFilename()).toBe('Template, template.pdf');
  // a region drawn by hand, one typed, and both out again
  await page.getByRole('button', { name: 'draw outlines' }).click();
  const pad = await placeOf(page, page.getByRole('img', { name: 'Draw an outline' }));
  await page.mouse.move(pad.x + 20, pad.y + 20);
  await page.mouse.down();
  for (const [dx, dy] of [
    [60, 22],
    [62, 50],
    [24, 52],
  ] as const)
    await page.mouse.move(pad.x + dx, pad.y + dy, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByLabel('Regions', { exact: true })).toContainText(/drawn 5|[2-5] regions/);
  await edit(page, 'Corners of a region', '0,0 3,0');
  await expect(main).toContainText('corners. Write at least three');
  await edit(page, 'Corners of a region', '20,8 26,8 26,12 20,12');
  await expect(main).toContainText('Template, 7 regions');
  // its twin has left and right exchanged
  await page.getByRole('button', { name: 'Twin' }).click();
  await expect(page.getByLabel('Name of the cane')).toHaveValue('Template, twin');
  await expect(page.getByRole('img', { name: 'The face after step 2' })).toBeVisible();
  // another template that belongs with the first is brought to its height
  await page.getByRole('button', { name: 'all canes' }).click();
  await page.getByRole('button', { name: 'a template after a drawing' }).click();
  await page.getByLabel('The template it belongs with').selectOption({ label: 'Template' });
  await expect(main).toContainText('that is 36 mm high, this 32 mm');
  await page.getByRole('button', { name: 'make this as high' }).click();
  await expect(main).toContainText('both are 36 mm high, they fit');
});

test('a value is dragged while the face is looked at: it follows, is kept once, and one undo brings it back', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/canes`);
  await page.getByRole('link', { name: /Beetroot ring/ }).click();
  const main = page.getByRole('main');
  await page.getByRole('button', { name: /^Step 4: Wrap/ }).click();
  const across = async (): Promise<number> => Number(/^([\d.]+) mm across/m.exec(await main.innerText())?.[1]);
  await expect.poll(across).toBeGreaterThan(20);
  const before = await across();
  const box = await placeOf(page, page.getByLabel('thick, by hand'));
  const at = (share: number): [number, number] => [box.x + box.width * share, box.y + box.height / 2];
  await page.mouse.move(...at(0.2));
  await page.mouse.down();
  await page.mouse.move(...at(0.5), { steps: 6 });
  await page.mouse.move(...at(0.85), { steps: 6 });
  // still held: the large face is the new one, nothing is kept yet
  await expect.poll(across).toBeGreaterThan(before + 5);
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.mouse.up();
  await saved(page);
  const wider = await across();
  await page.reload();
  await page.getByRole('button', { name: /^Step 4: Wrap/ }).click();
  await expect.poll(across).toBe(wider);
  // scrap is sorted, and counted in cores of one's own size
  const strip = page.getByRole('region', { name: 'Clay and what to begin with' });
  const scrap = strip.getByRole('list', { name: 'Scrap by colour' });
  await expect(scrap).toContainText(/several colours together, for dark cores: [\d.]+ g, \d+ cores?/);
  const cores = async (): Promise<number> => Number(/(\d+) cores?/.exec(await scrap.innerText())?.[1] ?? 0);
  const large = await cores();
  await edit(page, 'Size of a core', '6 mm');
  await expect.poll(cores).toBeGreaterThan(large);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(across).toBe(before);
});
