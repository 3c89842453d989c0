import { edit, expect, onTo, placeOf, station, test } from './sledge.js';

test(
  'an instruction for a machine that counts the other way: planned on mine, rolled at the bench, ' +
    'logged, and pieces cut from it',
  async ({ page, sledge }) => {
    await page.goto(`${sledge.url}/sheets`);
    const main = page.getByRole('main');
    await test.step('what they say is understood, and is what the plan leads to', async () => {
      await page.getByLabel('A thickness as somebody else says it').fill('4 on a machine where 7 is the thickest');
      await expect(page.locator('[data-answer]')).toHaveText('5');
      await page.getByLabel('A thickness as somebody else says it').fill('4 of Blue travel crank');
      await expect(page.locator('[data-answer]')).toHaveText('4');
      await expect(page.getByLabel('Setting to end at').locator('option:checked')).toHaveText('4');
      await edit(page, 'Sheets in the stack', '4');
      await edit(page, 'Size of the stack', '60 × 80 mm');
      await expect(main).toContainText('Too thick for your machine: roll it by hand to 6.40 mm first.');
    });
    await test.step('at the bench, by keys alone', async () => {
      await page.getByRole('link', { name: 'To the bench: roll it' }).focus();
      await page.keyboard.press('Enter');
      for (const title of [
        'Lay the stack',
        'Roll it by hand',
        'Setting 0',
        'Setting 1',
        'Setting 2',
        'Setting 3',
        'Setting 4',
      ]) {
        await expect(page.getByRole('heading', { name: title, exact: true })).toBeVisible();
        await page.keyboard.press('Space');
      }
      await expect(page.getByRole('heading', { name: 'Done?' })).toBeVisible();
      await page.getByRole('combobox', { name: 'What the sheet is made of' }).fill('Corn milk');
      await page.keyboard.press('Enter');
      await expect(page.getByRole('list', { name: 'Clay used' }).getByRole('listitem')).toHaveCount(2);
    });
    await test.step('calipers fill the field that has the focus', async () => {
      await page.getByLabel('Thickness of the rolled sheet').focus();
      await page.keyboard.press('F8');
      await expect(page.getByRole('group', { name: 'Calipers' }).getByRole('button', { name: 'read' })).toBeVisible();
      await page.keyboard.press('F8');
      await expect(page.locator('[data-shows]')).toHaveText(/^1\.[4-6]\d mm$/);
      await expect(page.getByLabel('Thickness of the rolled sheet')).toHaveValue(/^1\.[4-6]\d mm$/);
      await page.keyboard.press('Escape');
      await page.getByRole('group', { name: 'Calipers' }).getByRole('button', { name: 'away' }).click();
    });
    await test.step('written down: the book and the diary have it', async () => {
      await edit(page, 'Made on', '26 Nov 2024');
      await page.getByLabel('Note for the diary').fill('no ripples');
      await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
      await expect(page.getByRole('heading', { name: 'Sheet book' })).toBeVisible();
      await expect(page.getByLabel('Name of the sheet')).toHaveValue('Corn milk, 4');
      await page.getByRole('button', { name: 'in the diary' }).click();
      await expect(main).toContainText('at 4 of Bench roller · in the sheet book');
      await expect(main).toContainText('Chalk');
      await page.goBack();
    });
    await test.step('pieces are cut, and what is left is less', async () => {
      await edit(page, 'Cutter of the pieces', '30 mm');
      await edit(page, 'How many were cut', '4');
      const fits = page.getByText(/still fit, /);
      const before = parseInt((await fits.textContent()) ?? '', 10);
      await page.getByRole('button', { name: 'Cut', exact: true }).click();
      await expect(main).toContainText('4 of 30 mm round');
      await expect.poll(async () => parseInt((await fits.textContent()) ?? '', 10)).toBeLessThan(before);
      await page.getByRole('button', { name: 'Undo' }).click();
      await expect(main).not.toContainText('4 of 30 mm round');
      await page.getByRole('heading', { name: 'Sheet book' }).click();
      await page.keyboard.press('c');
      await expect(page.getByRole('complementary', { name: 'On the tile' })).toContainText('Corn milk, 4');
    });
  },
);

test(
  'a blend of three colours: pure ends, a cut dragged, the compensated one, made, rolled up, and ready ' + 'for a cane',
  async ({ page, sledge }) => {
    await page.goto(`${sledge.url}/blends`);
    const main = page.getByRole('main');
    await page.getByRole('link', { name: 'Open Pod fade' }).click();
    await page.getByLabel('How it is cut').selectOption('pure ends');
    await expect(main).toContainText('pure, 14 mm');
    const point = page.getByRole('slider', { name: 'Cut 1, point 1' });
    const box = await placeOf(page, point);
    await page.mouse.move(box.x + 7, box.y + 7);
    await page.mouse.down();
    await page.mouse.move(box.x + 60, box.y + 7, { steps: 4 });
    await page.mouse.up();
    await expect(page.getByLabel('How it is cut')).toHaveValue('free');
    await page.getByRole('heading', { name: 'Order' }).click();
    await page.keyboard.press('e');
    await expect(page.getByLabel('How it is cut')).toHaveValue('compensated');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Template as PDF' }).click();
    expect((await download).suggestedFilename()).toBe('Pod fade.pdf');

    await page.keyboard.press('b');
    expect(await onTo(page, 'Fold and pass')).toEqual(
      expect.arrayContaining(['Condition Leek', 'Roll Leek', 'Roll Corn', 'Roll Radish', 'Cut and swap']),
    );
    for (let i = 0; i < 11; i++) await page.keyboard.press('Space');
    await expect(page.locator('[data-passes]')).toHaveText('11');
    await page.keyboard.press('Enter');
    await onTo(page, 'Done?');
    // it lies there as it was rolled at last: one sheet
    const [wide, long, thick] = (await Promise.all(
      ['Width', 'Length', 'Thickness'].map(async (side) =>
        Number.parseFloat(await page.getByLabel(`${side} of the made blend`).inputValue()),
      ),
    )) as [number, number, number];
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await expect(main).toContainText('free of streaks after 11 passes');
    await page.getByRole('link', { name: /in the sheet book/ }).click();
    const open = page.getByRole('region', { name: 'The open sheet' });
    const grams = Number(/([\d.]+) g/.exec((await open.textContent()) ?? '')?.[1]);
    // grams = area × thickness × density
    expect((wide * long * thick * 1.9) / 1000 / grams).toBeCloseTo(1, 1);
    const tapeArea = async (): Promise<number> => {
      const [, width, length] = /tape ([\d.]+) mm wide, (\d+) mm long at/.exec((await open.textContent()) ?? '') ?? [];
      return Number(width) * Number(length);
    };
    await expect(open).toContainText('a tape');
    const whole = await tapeArea();
    // pieces are cut from it first: what is wound up is less by their rows
    await edit(page, 'Cutter of the pieces', '12 mm');
    await edit(page, 'How many were cut', '5');
    await page.getByRole('button', { name: 'Cut', exact: true }).click();
    await expect(open).toContainText('Cut from it');
    const left = Number(/left: [\d.]+ × ([\d.]+) mm/.exec((await open.textContent()) ?? '')?.[1]);
    expect(left).toBeLessThan(long - 12);
    await expect.poll(async () => (await tapeArea()) / whole).toBeCloseTo(left / long, 2);
    await page.getByRole('button', { name: 'It is rolled up' }).click();
    await expect(main).toContainText('Ready for a cane.');
    await expect(page.getByRole('heading', { name: 'Plugs, ready for a cane' })).toBeVisible();
    await expect(page.getByRole('button', { name: /^Pod fade, \d+(\.\d)? mm$/ })).toBeVisible();
    const plugGrams = Number(/high, ([\d.]+) g/.exec((await open.textContent()) ?? '')?.[1]);
    expect(plugGrams / grams).toBeCloseTo(left / long, 1);
    const across =
      /(\d+(?:\.\d)?) mm across/.exec(
        (await page.getByRole('region', { name: 'The open sheet' }).textContent()) ?? '',
      )?.[1] ?? '';
    await page.getByRole('button', { name: 'Begin a cane with it' }).click();
    await page.getByRole('button', { name: 'Pod fade, its plug' }).click();
    await expect(page.getByLabel('Name of the cane')).toHaveValue('Pod fade');
    expect(Number.parseFloat(await page.getByLabel('Diameter of the plug').inputValue())).toBeCloseTo(
      Number(across),
      0,
    );
    // it is counted once: nothing of it has to be rolled, and it leaves the book
    const strip = page.getByRole('region', { name: 'Clay and what to begin with' });
    await edit(page, 'Number of slices', '5');
    await expect(strip).toContainText('from Pod fade, which lies there ready');
    await expect(strip).toContainText('0 g in all');
    await page.getByRole('heading', { level: 2 }).first().click();
    await page.keyboard.press('b');
    await onTo(page, 'Done?');
    await expect(page.getByRole('list', { name: 'Clay used' }).getByRole('textbox')).toHaveCount(0);
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await page.goto(`${sledge.url}/sheets/book`);
    await page.getByRole('button', { name: /^Pod fade, / }).click();
    const rest = Number(/across, ([\d.]+) mm high/.exec((await open.textContent()) ?? '')?.[1]);
    expect(rest).toBeGreaterThan(3);
    expect(rest).toBeLessThan(left);
  },
);

test('conditioning by both schools, counted, and the next plan goes by it', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/shelf`);
  await station(page, 'Sheets');
  await page.getByRole('link', { name: 'conditioning' }).click();
  const main = page.getByRole('main');
  const oldrow = await page
    .getByLabel('Clay to condition')
    .locator('option', { hasText: 'Oldrow Crumble' })
    .first()
    .getAttribute('value');
  await page.getByLabel('Clay to condition').selectOption(oldrow);
  await expect(main).toContainText('Thinnest first, then step up');
  await expect(main).toContainText('Crumbly clay goes back to crumbs');
  await page.getByLabel('How it is conditioned').selectOption('thick slices');
  await expect(main).toContainText('Press it together');
  await edit(page, 'How warm the room is', '12 °C');
  await expect(main).toContainText('In a cold room all clay is harder');
  const passes = async (): Promise<number> =>
    Number(/(\d+) ×/.exec((await page.getByRole('list', { name: 'What to do' }).textContent()) ?? '')?.[1]);
  const before = await passes();
  await page.getByRole('heading', { name: 'Conditioning' }).click();
  await page.keyboard.press('b');
  await expect(page.getByRole('heading', { name: 'Warm it' })).toBeVisible();
  for (const title of ['Knock it flat', 'A little softener', 'Break it small', 'Press it together', /^Pass at your/]) {
    await page.keyboard.press('Space');
    await expect(page.getByRole('heading', { name: title })).toBeVisible();
  }
  for (let i = 0; i < 9; i++) await page.keyboard.press('Space');
  await expect(page.locator('[data-passes]')).toHaveText('9');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Space');
  await expect(main).toContainText('folded without a crack after');
  await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
  await expect(main).toContainText('folded without a crack after 9 passes');
  await page.goBack();
  await page.goto(`${sledge.url}/sheets/condition?clay=${oldrow ?? ''}&school=thick+slices`);
  await expect(main).toContainText('after what one conditioning');
  await expect.poll(passes).toBeLessThan(before);
});

test('strips without a machine, two blends married, colour added, and what cannot be', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/blends`);
  const main = page.getByRole('main');
  await page.getByRole('link', { name: 'Open Straw fade' }).click();
  await edit(page, 'Number of strips', '5');
  const strips = page.getByRole('list', { name: 'Strips' }).getByRole('listitem');
  await expect(strips).toHaveCount(5);
  await expect(strips.first()).toHaveText('1 Corn');
  await edit(page, 'Number of strips', '40');
  await expect(main).toContainText('A ladder has from 3 to 15 steps');
  await page.getByLabel('Colour added at an end of the tape').selectOption('last');
  await edit(page, 'Length of the added colour', '80 mm');
  await edit(page, 'Tapes laid on each other', '2');
  await expect(main).toContainText('tapes on each other');
  await edit(page, 'Tapes laid on each other', '40');
  await expect(main).toContainText('From one to 12 tapes can be laid on each other');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByLabel('The other blend').selectOption({ label: 'Pod fade' });
  await expect(page.getByRole('img', { name: 'The two blends married' })).toBeVisible();
  await edit(page, 'Width of the joint', '90 mm');
  await expect(main).toContainText('within the pure ends of both blends');
  await edit(page, 'Width of the joint', '8 mm');
  await page.getByRole('button', { name: 'Plan them as one blend' }).click();
  await expect(page.getByLabel('Name of the blend')).toHaveValue('Straw fade and Pod fade');
  await expect(page.getByRole('slider', { name: /^Cut 4/ })).toHaveCount(2);
});

test('a rolled sheet on the scale says how thick its setting really is, and the setting learns it', async ({
  page,
  sledge,
}) => {
  const main = page.getByRole('main');
  await page.goto(`${sledge.url}/sheets`);
  await page.getByRole('link', { name: 'To the bench: roll it' }).press('Enter');
  await onTo(page, 'Done?');
  await page.getByRole('combobox', { name: 'What the sheet is made of' }).fill('Corn milk');
  await page.keyboard.press('Enter');
  await edit(page, 'Width of the rolled sheet', '60 mm');
  await edit(page, 'Length of the rolled sheet', '200 mm');
  await edit(page, 'Weight of the rolled sheet', '30 g');
  // 30 g ÷ 1.9 g/cm³ ÷ 120 cm²
  await expect(main).toContainText('so it is 1.32 mm ±');
  await expect(page.getByLabel('Thickness of the rolled sheet')).toHaveValue('1.32 mm');
  const kept = page.getByRole('checkbox', { name: /^keep it as a reading of/ });
  await expect(kept).toBeChecked();
  const called = (await page.locator('label', { has: kept }).textContent())?.trim().split(' ').at(-1) ?? '';
  await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Sheet book' })).toBeVisible();
  await page.goto(`${sledge.url}/sheets`);
  await page.getByRole('button', { name: new RegExp(`^Setting ${called} of Bench roller`) }).press('Enter');
  await expect(main).toContainText(/1\.32 mm.*by weighing/);
});
