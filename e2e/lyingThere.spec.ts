import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { edit, expect, saved, station, still, test } from './sledge.js';

const gramsIn = (text: string | null): number => Number(/([\d.]+) g/.exec(text ?? '')?.[1]);

/** Goes to what lies there. */
async function toThere(page: Page): Promise<void> {
  await station(page, 'Shelf');
  await page.getByRole('link', { name: 'what lies there' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'What lies there' })).toBeVisible();
}
const tubGrams = async (page: Page, name: string): Promise<number> =>
  gramsIn(await page.getByRole('button', { name: `Tub ${name}` }).textContent());

test('scrap of earlier evenings becomes the backing of drops, and what those leave over falls to its tubs', async ({
  page,
  sledge,
}) => {
  test.setTimeout(180_000);
  await page.goto(sledge.url);
  const main = page.getByRole('main');
  await toThere(page);
  const before = await tubGrams(page, 'Dark scrap');
  expect(before).toBeGreaterThan(5);

  await test.step('a lump typed in with the keyboard alone', async () => {
    await page.keyboard.press('n');
    await page.getByRole('combobox', { name: 'What it is made of' }).fill('soot');
    await page.keyboard.press('Enter');
    await edit(page, 'What it weighs', '40 g');
    await edit(page, 'Where it lies', 'tin on the sill');
    await page.getByRole('button', { name: 'It lies there' }).press('Enter');
    await expect(page.getByRole('region', { name: 'Lumps' })).toContainText('Soot40 g');
    await expect(page.getByLabel('Where it is kept')).toHaveValue('tin on the sill');
  });

  await test.step('both become layers: no clay comes off the shelf for them', async () => {
    await station(page, 'Batches');
    await page
      .getByRole('link', { name: /^Leek-leaf hoops/ })
      .first()
      .click();
    const strip = page.getByRole('region', { name: 'Clay needed' });
    await expect(strip).toContainText('in all');
    for (const [what, typed] of [
      ['Dark scrap', 'dark scrap'],
      ['Soot', 'soot'],
    ] as const) {
      await page.getByRole('button', { name: 'a layer underneath' }).first().press('Enter');
      const picker = page.getByRole('combobox', { name: 'What the layer underneath is made of' });
      await picker.fill(typed);
      const options = page.getByRole('option', {
        name: what === 'Soot' ? /Soot.*lump, 40 g left/ : /Dark scrap.*scrap/,
      });
      await options.click();
      await expect(strip.getByRole('list', { name: 'Taken of what lies there' })).toContainText(what);
    }
    await saved(page);
    await edit(page, 'Number of pieces', '4');
    await expect(strip).toContainText('enough');
  });

  await test.step('it is reserved, with the name', async () => {
    await toThere(page);
    await expect(page.getByRole('region', { name: 'Lumps' })).toContainText('reserved for Leek-leaf hoops');
  });

  let taken = 0;
  await test.step('made: what was taken, and what is left over after a look', async () => {
    await station(page, 'Batches');
    await page
      .getByRole('link', { name: /^Leek-leaf hoops/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'To the bench', exact: true }).press('Enter');
    const seen: string[] = [];
    const title = main.getByRole('heading', { level: 1 });
    await expect(title).toHaveText(/^Condition/);
    for (let i = 0; i < 40 && (await title.innerText()) !== 'Done?'; i++) {
      seen.push(await title.innerText());
      await page.keyboard.press('Space');
      await still(page);
    }
    expect(seen).toContain('Mix Dark scrap through');
    expect(seen).toContain('Fetch Soot');
    const tub = page.getByLabel('Dark scrap taken');
    taken = gramsIn(await tub.inputValue());
    expect(taken).toBeGreaterThan(0);
    const left = page.getByRole('group', { name: 'Left over' });
    await expect(left.getByRole('combobox').first()).toHaveValue('fits');
    await left.getByRole('combobox').first().selectOption('to Dark scrap');
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await expect(main.getByRole('list', { name: 'From and to' })).toContainText(`${taken} g out of the tub Dark scrap`);
    await expect(main.getByRole('list', { name: 'From and to' })).toContainText('to the tub Dark scrap');
    await expect(main.getByRole('list', { name: 'From and to' })).toContainText('of what lay there: Soot');
  });

  await test.step('the tub has what it lost and what it got; undo gives all of it back', async () => {
    await toThere(page);
    const balance = page.getByRole('region', { name: 'Where the clay is' });
    await expect(balance).toContainText('in tubs');
    await expect.poll(() => tubGrams(page, 'Dark scrap')).not.toBe(before);
    await expect(page.getByRole('region', { name: 'Lumps' })).not.toContainText('reserved');
    await page.keyboard.press('z');
    await expect.poll(() => tubGrams(page, 'Dark scrap')).toBeCloseTo(before, 1);
    await expect(page.getByRole('region', { name: 'Lumps' })).toContainText('Soot40 g');
  });
});

test('a cane that lies there gives slices, and what is thrown of it falls to the tub that fits', async ({
  page,
  sledge,
}) => {
  await page.goto(sledge.url);
  await toThere(page);
  const slices = page.getByRole('region', { name: 'Slices' });
  await page.getByRole('button', { name: 'Beetroot ring', exact: true }).press('Enter');
  await expect(page.getByLabel('Chosen thing')).toContainText('41 are in what is left of it');
  await edit(page, 'Slices to cut', '42');
  await page.getByRole('button', { name: 'Cut' }).press('Enter');
  await expect(page.getByLabel('Chosen thing')).toContainText(
    '42 slices take 84 mm, and Beetroot ring is only 82 mm long',
  );
  await edit(page, 'Slices to cut', '11');
  await page.getByRole('button', { name: 'Cut' }).press('Enter');
  await expect(slices).toContainText('11 of 2.00 mm, 16 mm across');
  await expect(page.getByRole('region', { name: 'Canes' })).toContainText('60 mm long');
  const dark = await tubGrams(page, 'Dark scrap');
  await page.getByRole('button', { name: 'Throw it' }).press('Enter');
  await expect(page.getByRole('region', { name: 'Canes' })).toHaveCount(0);
  // of several colours: to the dark one
  await expect.poll(() => tubGrams(page, 'Dark scrap')).toBeGreaterThan(dark + 20);
  await page.keyboard.press('z');
  await expect(page.getByRole('region', { name: 'Canes' })).toContainText('60 mm long');
});

test('what all open batches leave short is one list, with a file to take along', async ({ page, sledge }) => {
  await page.goto(sledge.url);
  await page.getByRole('link', { name: 'clay to buy' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Clay to buy' })).toBeVisible();
  const main = page.getByRole('main');
  await expect(main).toContainText('for 6 open batches together');
  await expect(page.getByRole('region', { name: 'Oldrow Crumble' })).toContainText('35.3 g for Red-cabbage pendants');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'as .csv' }).press('Enter'),
  ]);
  const text = readFileSync(await file.path(), 'utf8');
  expect(text).toContain('Oldrow Crumble,Aubergine,1,57,43.6,15,28.6,2.40');
  const [paper] = await Promise.all([page.waitForEvent('download'), page.keyboard.press('p')]);
  expect(
    readFileSync(await paper.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
});
