import type { Page } from '@playwright/test';
import { edit, expect, onTo, saved, station, still, test } from './sledge.js';

/** The station of patterned sheets, with its key. */
async function toPatterns(page: Page): Promise<void> {
  await station(page, 'Patterns');
  await expect(page.getByRole('heading', { name: 'Patterned sheets', exact: true })).toBeVisible();
}
const steps = (page: Page) => page.getByRole('list', { name: 'Steps of the patterned sheet' });
const strip = (page: Page) => page.getByRole('region', { name: 'Clay and what comes of it' });

/** Adds a step after the chosen one. */
async function add(page: Page, word: string): Promise<void> {
  const before = await steps(page).getByRole('listitem').count();
  await page.getByRole('button', { name: 'add after it' }).press('Enter');
  await page.getByRole('dialog').getByRole('button', { name: word, exact: true }).press('Enter');
  await expect(steps(page).getByRole('listitem')).toHaveCount(before + 1);
}

/** Goes through the bench with the space key, to its end. @returns the titles on the way */
async function toTheEnd(page: Page): Promise<string[]> {
  const title = page.locator('h1[data-step]');
  const seen: string[] = [];
  for (let i = 0; i < 60 && (await title.innerText()) !== 'Done?'; i++) {
    seen.push(await title.innerText());
    const enough = page.getByRole('button', { name: 'Enough' });
    await page.keyboard.press('Space');
    await still(page);
    if (await enough.isVisible()) await enough.press('Enter');
    await still(page);
  }
  return seen;
}

test('three sheets, dented in rosettes, shaved, on a backing, twelve ovals cut where it is best, into a batch', async ({
  page,
  sledge,
}) => {
  test.setTimeout(180_000);
  const main = page.getByRole('main');
  await page.goto(sledge.url);
  await toPatterns(page);
  await test.step('begun from a starting point, in one’s own colours', async () => {
    await page.getByRole('button', { name: 'Begin with Onion skins' }).press('Enter');
    await expect(steps(page).getByRole('listitem')).toHaveCount(8);
    await edit(page, 'Name of the patterned sheet', 'Shallot');
    await saved(page);
    await expect(strip(page)).toContainText('in all');
  });
  await test.step('the knife is moved by keys, and the shavings follow', async () => {
    await page.getByRole('button', { name: /^Step 6: Shave/ }).press('Enter');
    const knife = page.getByRole('slider', { name: 'Depth of the knife' });
    await knife.focus();
    for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowDown');
    await expect(page.getByLabel('Depth of the knife').last()).toHaveValue('1.5 mm');
    await expect(main.getByRole('listitem').filter({ hasText: '1.5 mm down' })).toBeVisible();
    await edit(page, 'Number of shavings', '80');
    await expect(main).toContainText('from 1 to 60');
    await page.keyboard.press('Escape');
    await edit(page, 'Depth of the knife', '40 mm', 1);
    await expect(main).toContainText('and the block is');
    await edit(page, 'Depth of the knife', '1.5 mm', 1);
    await expect(main).not.toContainText('The knife would come out');
  });
  await test.step('twelve ovals where they differ most, each of them seen, and one moved by hand', async () => {
    await page.getByRole('link', { name: /^Where to cut pieces/ }).press('Enter');
    await expect(page.getByRole('heading', { name: 'Shallot: where to cut' })).toBeVisible();
    await edit(page, 'Name of the pieces', 'Skin drops');
    await page.getByRole('button', { name: 'Find them' }).press('Enter');
    await expect(page.getByRole('status').filter({ hasText: '12 found, none of them over a hole' })).toBeVisible();
    const seen = page.getByRole('list', { name: 'Pieces of Skin drops' });
    await expect(seen.getByRole('img')).toHaveCount(12);
    await expect(seen.locator('canvas[data-painted]')).toHaveCount(12);
    const sheet = page.getByRole('group', { name: 'The sheet, with the cutters on it' });
    await expect(sheet.getByRole('img')).toHaveCount(12);
    const first = sheet.getByRole('img', { name: /^Piece 1,/ });
    const before = await first.getAttribute('aria-label');
    await first.focus();
    await page.keyboard.press('ArrowRight');
    await expect(first).not.toHaveAttribute('aria-label', before ?? '');
    await page.keyboard.press('Delete');
    await expect(sheet.getByRole('img')).toHaveCount(11);
    await saved(page);
    await page.keyboard.press('z');
    await expect(sheet.getByRole('img')).toHaveCount(12);
    await edit(page, 'Size of the cutter', '400 mm round');
    await expect(main).toContainText('lies over the edge');
    await expect(page.getByRole('button', { name: /into the batch$/ })).toBeDisabled();
    await edit(page, 'Size of the cutter', '20 × 30 mm oval');
    await page.getByRole('button', { name: 'Find them' }).press('Enter');
    await expect(page.getByRole('status').filter({ hasText: '12 found' })).toBeVisible();
  });
  await test.step('into a new batch, on a backing: the sheet has to be made first', async () => {
    await page.getByRole('button', { name: 'no backing' }).press('Enter');
    await page.getByRole('combobox', { name: 'What they are laid on' }).fill('soot');
    await page.getByRole('option', { name: /Soot/ }).first().click();
    await page.getByRole('button', { name: '12 pieces into the batch' }).press('Enter');
    await expect(page.getByLabel('Name of the batch')).toHaveValue('Shallot');
    const piece = page.getByRole('region', { name: 'Skin drops' });
    await expect(piece).toContainText('12 places on the patterned sheet');
    await expect(piece).toContainText('as it lies, 1.60 mm');
    await expect(page.getByRole('region', { name: 'Clay needed' })).toContainText('To be made first: Shallot');
    // the sheet itself is seen below the cuts
    await expect(piece.locator('image')).toBeVisible();
    await piece.getByRole('link', { name: 'its steps' }).press('Enter');
  });
  await test.step('made at the bench, and it lies there', async () => {
    await page.getByRole('link', { name: /^To the bench/ }).press('Enter');
    const pdf = page.waitForEvent('download', { timeout: 60_000 });
    await page.getByRole('button', { name: 'on paper' }).press('Enter');
    expect((await pdf).suggestedFilename()).toBe('Shallot, build sheet.pdf');
    const seen = await toTheEnd(page);
    expect(seen[0]).toBe('Get ready');
    expect(seen.some((t) => t.startsWith('Shave 4'))).toBe(true);
    await page.getByLabel('How it is liked').selectOption('well');
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await expect(main).toContainText('liked: well');
    await expect(main.getByRole('link', { name: 'Shallot', exact: true })).toBeVisible();
  });
  await test.step('the batch takes the sheet that lies there, and its rest goes to a tub', async () => {
    await station(page, 'Batches');
    await page.getByRole('link', { name: 'Shallot 12 pieces' }).press('Enter');
    await page.getByRole('button', { name: 'Take it', exact: true }).press('Enter');
    await saved(page);
    const needed = page.getByRole('region', { name: 'Clay needed' });
    await expect(needed.getByRole('list', { name: 'Taken of what lies there' })).toContainText('enough');
    await expect(needed).not.toContainText('To be made first');
    await needed.getByRole('button', { name: 'To the bench' }).press('Enter');
    const seen = await toTheEnd(page);
    expect(seen).toContain('Fetch Shallot');
    // it lies there as thick as it is: only the backing is rolled
    expect(seen.filter((t) => t.startsWith('Roll '))).toEqual(['Roll Soot']);
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await expect(main).toContainText('12 Skin drops');
  });
});

test('a rope is followed fold by fold, coiled and rolled, and one knows where one stopped', async ({
  page,
  sledge,
}) => {
  test.setTimeout(180_000);
  const main = page.getByRole('main');
  await page.goto(sledge.url);
  await toPatterns(page);
  await page
    .getByRole('link', { name: /^Face of Walnut board Walnut board|Walnut board/ })
    .first()
    .press('Enter');
  await expect(strip(page)).toContainText('in all');
  const stages = page.getByRole('list', { name: 'Stages' });
  await test.step('stages with the width of their veins, and where one stopped before', async () => {
    await expect(stages.getByRole('listitem')).toHaveCount(8);
    await expect(stages).toContainText('you stopped here 2 times');
    await expect(main.getByRole('status').filter({ hasText: /told apart|stop at/ })).toBeVisible();
    const told = stages.getByText(/^veins [\d.]+ mm$/);
    await expect.poll(() => told.count()).toBeGreaterThan(4);
    const veins = (await told.allInnerTexts()).map((t) => Number(/[\d.]+/.exec(t)?.[0]));
    for (const [i, mm] of veins.entries()) if (i > 0) expect(mm).toBeLessThan((veins[i - 1] ?? 0) * 1.05);
  });
  await test.step('two folds less, and a lid twice as wide takes four times the clay', async () => {
    await stages.getByRole('button', { name: '2 folds', exact: true }).press('Enter');
    await expect(page.getByRole('button', { name: /^Step 4: Fold 2 times/ })).toBeVisible();
    const total = async (): Promise<number> =>
      Number(/([\d.]+) g\s*in all/.exec((await strip(page).innerText()).replace(/\n/g, ' '))?.[1]);
    await still(page);
    const before = await total();
    await edit(page, 'Width covered', '124 mm');
    await edit(page, 'Length covered', '124 mm');
    await expect.poll(total).toBeGreaterThan(3.8 * before);
    await expect.poll(total).toBeLessThan(4.2 * before);
    await page.getByRole('button', { name: 'as much as the steps make' }).press('Enter');
    await saved(page);
  });
  await test.step('at the bench the folds are counted, and the diary knows', async () => {
    await page.keyboard.press('b');
    await onTo(page, 'Fold 2 times');
    await page.keyboard.press('Space');
    await page.keyboard.press('Space');
    await page.keyboard.press('Space');
    await page.getByRole('button', { name: 'Enough' }).press('Enter');
    await toTheEnd(page);
    await expect(page.getByLabel('Where I stopped, 1')).toHaveValue('3');
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await expect(main).toContainText('stopped at 3 folds');
    await main.getByRole('link', { name: 'Walnut board', exact: true }).press('Enter');
    await expect(stages).toContainText('you stopped here once');
  });
  await test.step('the disc is cut for pairs that look alike', async () => {
    await page.getByRole('link', { name: /^Where to cut pieces/ }).press('Enter');
    await edit(page, 'Size of the cutter', '14 × 22 mm teardrop');
    await page.getByLabel('What is looked for').selectOption('twins');
    await edit(page, 'How many pieces', '6');
    await page.getByRole('button', { name: 'Find them' }).press('Enter');
    await expect(page.getByRole('status').filter({ hasText: '6 found' })).toBeVisible();
    const sheet = page.getByRole('group', { name: 'The sheet, with the cutters on it' });
    await expect(sheet.getByRole('img', { name: /flipped$/ })).toHaveCount(3);
    await page.getByRole('button', { name: '6 pieces into the batch' }).press('Enter');
    await expect(page.getByLabel('Number of pieces')).toHaveValue('6');
  });
});

test('four colours stacked, cut through, pressed, sliced across; what cannot be says so where it happened', async ({
  page,
  sledge,
}) => {
  test.setTimeout(120_000);
  const main = page.getByRole('main');
  await page.goto(`${sledge.url}/patterns`);
  await page.getByRole('button', { name: 'Begin with Soil layers' }).press('Enter');
  await expect(steps(page).getByRole('listitem')).toHaveCount(6);
  await page.getByRole('button', { name: /^Step 5:/ }).press('Enter');
  await page.getByRole('button', { name: 'take out' }).press('Enter');
  await expect(steps(page).getByRole('listitem')).toHaveCount(5);
  await test.step('slices that the block is too narrow for', async () => {
    await edit(page, 'Number of slices', '60');
    await expect(main).toContainText('and the block is');
    await edit(page, 'Number of slices', '4');
    await expect(main.getByRole('heading', { name: 'The slices, in their order' })).toBeVisible();
  });
  await test.step('rolled thinner it is larger, at the same volume', async () => {
    await add(page, 'Roll');
    await edit(page, 'Rolled to', '0.75 mm');
    const row = steps(page);
    await expect(row).toContainText('0.75 mm thick');
    await edit(page, 'Rolled to', '5 mm');
    await expect(main).toContainText('Take a thinner setting');
    await edit(page, 'Rolled to', '0.75 mm');
    await expect(row).toContainText('0.75 mm thick');
  });
  await test.step('rolled at two settings and compared, at one scale', async () => {
    await page.getByRole('button', { name: 'put it beside, to compare' }).press('Enter');
    await edit(page, 'Rolled to', '0.5 mm');
    await saved(page);
    const beside = page.getByRole('list', { name: 'Side by side' }).getByRole('listitem');
    await expect(beside).toHaveCount(2);
    await expect(beside.nth(0)).toContainText('0.50 mm thick');
    await expect(beside.nth(1)).toContainText('0.75 mm thick');
    for (const one of await beside.all()) await expect(one).toContainText(/veins .* at arm’s length/);
    const wide = async (at: number): Promise<number> =>
      (await beside.nth(at).locator('canvas').boundingBox())?.width ?? 0;
    await expect.poll(async () => (await wide(0)) - (await wide(1))).toBeGreaterThan(0);
    await beside.nth(1).getByRole('button', { name: 'go back to it' }).press('Enter');
    await expect(steps(page)).toContainText('0.75 mm thick');
  });
  await test.step('other ways with the same clay stand beside it', async () => {
    await page.getByRole('button', { name: /Other ways with the same clay/ }).press('Enter');
    await expect(page.getByRole('list', { name: 'Other ways' }).getByRole('listitem')).toHaveCount(4);
    await page.getByRole('list', { name: 'Hands' }).getByRole('button').nth(3).press('Enter');
    await expect(page.getByLabel('Whose hands')).toHaveValue('4');
  });
});
