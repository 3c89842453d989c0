import { readFileSync } from 'node:fs';
import { edit, expect, onTo, placeOf, saved, station, test } from './sledge.js';

test('a three-colour blend with pure ends: drag a cut, take the compensated one, and print the template', async ({
  page,
  sledge,
}) => {
  await page.goto(sledge.url);
  await station(page, 'Blends');
  await expect(page.getByRole('heading', { name: '3 fades' })).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByLabel('Name of the blend')).toHaveValue('New blend');
  await edit(page, 'Name of the blend', 'Frost fade');
  await page.getByRole('button', { name: 'another colour' }).click();
  await page.getByRole('combobox', { name: 'Colour of the blend' }).fill('outer leek');
  await page.keyboard.press('Enter');
  const sheet = page.getByRole('group', { name: 'Cut layout' });
  await expect(sheet).toContainText('Outer leek');
  const points = sheet.getByRole('slider');
  await expect(points).toHaveCount(4);
  await expect(page.getByRole('main')).toContainText('pure, 14 mm');
  await saved(page);

  // with the mouse: the foot of the first cut
  const first = points.first();
  await expect(first).toHaveAttribute('aria-valuetext', '14 mm from the left, 0 mm up');
  const box = await placeOf(page, first);
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 40, box.y, { steps: 6 });
  await page.mouse.up();
  await expect(first).not.toHaveAttribute('aria-valuetext', '14 mm from the left, 0 mm up');
  await expect(page.getByLabel('How it is cut')).toHaveValue('free');
  // with the keyboard, back a little, and undone
  const dragged = await first.getAttribute('aria-valuenow');
  await first.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(first).toHaveAttribute('aria-valuenow', String(Number(dragged) - 5));
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(first).toHaveAttribute('aria-valuenow', dragged ?? '');

  await page.getByRole('heading', { name: 'Order' }).click();
  await page.keyboard.press('e');
  await expect(page.getByLabel('How it is cut')).toHaveValue('compensated');
  await expect(page.getByTestId('evenness')).toContainText('as cut: compensated');
  const grams = await page.getByText(/ g in all/).innerText();
  expect(Number(/([\d.]+) g/.exec(grams)?.[1])).toBeGreaterThan(40);

  await page.getByLabel('How the tape is wound up').selectOption('folded like a fan');
  await expect(page.getByRole('main')).toContainText(/\d+ folds, from side to side/);
  await page.getByLabel('How the tape is wound up').selectOption('rolled up');
  await page.getByLabel('Which end is inside').selectOption({ label: 'Outer leek inside' });
  await expect(page.getByRole('main')).toContainText(
    /Outer leek alone is the first \d+ % of the tape and fills the inner \d+/,
  );
  await edit(page, 'Pieces along the fade', '9');
  await expect(page.getByText('9 pieces do not fit side by side on this blend; 6 do.')).toBeVisible();
  await edit(page, 'Pieces along the fade', '6');
  await expect(page.getByText('2 rows of them on the sheet')).toBeVisible();

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'template as SVG' }).click(),
  ]);
  const svg = readFileSync(await download.path(), 'utf8');
  expect(svg).toContain('width="140mm" height="60mm"');
  expect([...svg.matchAll(/<polygon/g)]).toHaveLength(3);
  expect([...svg.matchAll(/ stroke="#[0-9a-f]+" /g)]).toHaveLength(3);
  await page.emulateMedia({ media: 'print' });
  // two tiles of true size, the second with what the first has not and 8 mm to lay them over each other
  const tiles = await page.locator('[data-template]').all();
  const boxes = await Promise.all(tiles.map((tile) => tile.boundingBox()));
  const inMm = (pixels: number | undefined): number => Math.round(((pixels ?? 0) * 25.4) / 96);
  expect(boxes.map((box) => inMm(box?.height))).toEqual([60, 60]);
  expect(boxes.reduce((sum, box) => sum + inMm(box?.width), 0) - 8).toBe(140);
  await page.emulateMedia({ media: null });
  await page.reload();
  await expect(page.getByLabel('How it is cut')).toHaveValue('compensated');
});

test('made at the bench: passes counted by space, written down, learned from, and the plan is frozen', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/blends`);
  await page.getByRole('link', { name: 'Open Beet fade' }).click();
  const forecast = page.getByRole('img', { name: /Streaks are just not seen after/ });
  const before = Number(/after (\d+) passes/.exec((await forecast.getAttribute('aria-label')) ?? '')?.[1]);
  await expect(page.getByRole('main')).toContainText('with what your last blend took');
  await page.getByRole('heading', { name: 'Order' }).click();
  await page.keyboard.press('b');
  // from the block on: clay is made ready, mixes are mixed, then sheets are rolled
  const seen = await onTo(page, 'Fold and pass');
  expect(seen.some((title) => title.startsWith('Condition Beetroot'))).toBe(true);
  expect(seen).toEqual(
    expect.arrayContaining(['Mix Radish flesh', 'Roll Beetroot', 'Roll Radish flesh', 'Cut and swap']),
  );
  for (let i = 1; i <= 7; i++) {
    await page.keyboard.press('Space');
    await expect(page.locator('[data-passes]')).toHaveText(String(i));
  }
  await page.keyboard.press('Backspace');
  await expect(page.locator('[data-passes]')).toHaveText('6');
  // place and count stay through a reload
  await page.reload();
  await expect(page.locator('[data-passes]')).toHaveText('6');
  await page.keyboard.press('Enter');
  expect(await onTo(page, 'Done?')).toEqual(['Turn and fold', 'Roll the tape', 'Roll it up', 'Done?']);
  await expect(page.getByRole('heading', { name: 'Done?' })).toBeVisible();
  await edit(page, 'Made on', '25 Nov 2024');
  await page.getByLabel('Note for the diary').fill('soft, no air in it');
  await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Beet fade' })).toBeVisible();
  await expect(page.getByRole('main')).toContainText('revision 1 · free of streaks after 6 passes');
  await page.getByRole('link', { name: /free of streaks/ }).click();
  await expect(page.getByRole('main')).toContainText('revision 1, made: a change begins a new one');
  await expect(page.getByRole('main')).toContainText('with what your 2 blends took');
  const after = Number(/after (\d+) passes/.exec((await forecast.getAttribute('aria-label')) ?? '')?.[1]);
  expect(after).toBeLessThan(before);
  await edit(page, 'Height of the sheet', '70 mm');
  await expect(page.getByRole('main')).toContainText('revision 2');
  // it stands in the diary, so it can only be retired
  await page.getByRole('button', { name: 'Take away' }).click();
  await expect(page.getByText('Beet fade was made and stands in the diary. Retire it instead.').first()).toBeVisible();
  await page.getByRole('button', { name: 'Retire' }).click();
  await expect(page.getByRole('button', { name: '1 retired' })).toBeVisible();
  await expect(page.getByRole('link', { name: /Beet fade/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByRole('link', { name: /Beet fade/ })).toHaveCount(1);
});

test('what cannot be cut is said, and a blend in inches', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/blends`);
  await page.getByRole('link', { name: 'Open Pod fade' }).click();
  await edit(page, 'Pure ends', '80 mm');
  await expect(page.getByText('Pure ends this wide leave no room for a fade between them.')).toBeVisible();
  await edit(page, 'Width of the sheet', '6 in');
  await expect(page.getByLabel('Width of the sheet')).toHaveValue('152.4 mm');
  await expect(page.getByText(/wider than your rollers/)).toBeVisible();
  await page.getByRole('heading', { name: 'Order' }).click();
  await page.keyboard.press('u');
  await expect(page.getByLabel('Width of the sheet')).toHaveValue('6 in');
  await page.getByRole('button', { name: 'Take colour 2 out' }).click();
  await expect(page.getByLabel('How it is cut')).toHaveValue('pure ends');
  await expect(page.getByRole('group', { name: 'Cut layout' }).getByRole('slider')).toHaveCount(2);
});

test.describe('with an empty shelf', () => {
  test.use({ data: 'empty' });
  test('the station says what to do first', async ({ page, sledge }) => {
    await page.goto(`${sledge.url}/blends`);
    await expect(page.getByRole('heading', { name: 'No clay to blend yet' })).toBeVisible();
  });
});
