import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { edit, expect, saved, station, test } from './sledge.js';

/** From step to step; several of them may be called the same, as two lots of one clay. */
async function onTo(page: Page, title: string): Promise<void> {
  const heading = page.locator('h1[data-step]');
  const place = page.getByRole('progressbar', { name: 'Steps' });
  for (let i = 0; i < 60 && (await heading.innerText()) !== title; i++) {
    const at = await place.getAttribute('aria-valuenow');
    await page.keyboard.press('Space');
    if ((await place.count()) > 0) await expect(place).not.toHaveAttribute('aria-valuenow', at ?? '');
  }
  await expect(heading).toHaveText(title);
}

test('twelve blossoms from the model to the price, the days and the diary, by keys', async ({ page, sledge }) => {
  test.setTimeout(300_000);
  const main = page.getByRole('main');
  await page.goto(`${sledge.url}/batches`);
  await test.step('begun with a piece of the garden, in what lies on the shelf', async () => {
    await expect(page.getByRole('heading', { name: 'What is to be made' })).toBeVisible();
    await page.keyboard.press('n');
    await expect(page.getByLabel('Name of the batch')).toHaveValue('New batch');
    await edit(page, 'Name of the batch', 'Blossoms for the fair');
    await page.getByRole('button', { name: 'A piece of many parts' }).press('Enter');
    await page.getByRole('button', { name: 'Begin with Radish blossom' }).press('Enter');
    await expect(page.getByRole('img', { name: 'Radish blossom from above' })).toBeVisible();
    await edit(page, 'Number of Radish blossom', '12');
    await expect(page.getByRole('list', { name: 'Findings needed' })).toContainText('Pin back, 25 mm');
    await expect(page.getByRole('list', { name: 'Findings needed' })).toContainText('13');
  });
  await test.step('one size makes all of it larger, and its clay with it', async () => {
    const chalk = page.getByRole('list', { name: 'Clay needed' }).getByRole('listitem').filter({ hasText: 'Leek' });
    const before = await chalk.innerText();
    await edit(page, 'Size petal', '24 mm');
    await expect(main).toContainText(/6\d(\.\d)? mm wide/);
    await expect(chalk).not.toHaveText(before);
    await saved(page);
  });
  await test.step('a part is changed, and a wrong one is told beside it', async () => {
    await page.getByRole('button', { name: 'Part seed' }).press('Enter');
    await edit(page, 'seed, how many', '400');
    await expect(main).toContainText(/Only \d+ of 400 of seed have room there/);
    await edit(page, 'seed, how many', '20');
    await expect(page.getByRole('button', { name: 'Part seed' })).toContainText('20 × seed');
    await page.getByRole('button', { name: 'parts apart' }).press('Enter');
    await expect(page.getByRole('button', { name: 'together' })).toBeVisible();
  });
  await test.step('what is done after the oven, and what one costs', async () => {
    await page.getByLabel('A step more after the oven, Radish blossom').selectOption({ label: 'glaze' });
    await expect(page.getByLabel('Hours after glaze')).toHaveValue('2 h');
    await page.getByRole('link', { name: 'the price' }).press('Enter');
    await expect(main).toContainText('An hour of your hands is worth');
    await page.getByRole('button', { name: 'a price for Radish blossom' }).press('Enter');
    await edit(page, 'Price 1 of Radish blossom', '24');
    await expect(main).toContainText(/leaves \d+\.\d\d € for an hour/);
    await page.getByRole('link', { name: 'the pieces' }).press('Enter');
  });
  await test.step('its fades are taken for plain clay, so that it can be made at once', async () => {
    for (const part of ['outer petal', 'inner petal']) {
      await page.getByRole('button', { name: `Part ${part}` }).press('Enter');
      await page.getByRole('button', { name: `What ${part} is made of` }).press('Enter');
      await page.getByRole('combobox', { name: `What ${part} is made of` }).fill('Radish flesh');
      await page.keyboard.press('Enter');
      await expect(page.getByRole('button', { name: `Part ${part}` })).toContainText('Radish flesh');
    }
    await expect(page.getByRole('region', { name: 'Clay needed' })).not.toContainText('To be made first');
    await saved(page);
  });
  await test.step('with two hours of an evening it takes three evenings, and a lost one moves it on', async () => {
    await saved(page);
    const batch = page.url();
    await page.goto(`${sledge.url}/batches/days`);
    await edit(page, 'Free on Sat to Sun', 'not');
    await edit(page, 'Free on Mon to Fri', '19 to 21');
    const evenings = page
      .getByRole('list', { name: 'Days' })
      .getByRole('listitem')
      .filter({ has: page.getByRole('button', { name: /^Blossoms for the fair:/ }) });
    await expect.poll(() => evenings.count()).toBeGreaterThanOrEqual(3);
    const ready = page.getByRole('listitem').filter({ hasText: /^Blossoms for the fair/ });
    const before = await ready.innerText();
    await edit(page, 'Free on Mon to Fri', '19 to 20');
    await expect(ready).not.toHaveText(before);
    await saved(page);
    await page.goto(batch);
  });
  await test.step('its build card, labels and prices on paper', async () => {
    for (const name of ['build card', 'labels', 'price list']) {
      const download = page.waitForEvent('download');
      await page.getByRole('button', { name, exact: true }).press('Enter');
      const file = readFileSync(await (await download).path());
      expect(file.subarray(0, 5).toString()).toBe('%PDF-');
      expect(file.length).toBeGreaterThan(3000);
    }
  });
  await test.step('at the bench it is shaped, put together, baked and finished', async () => {
    await page.getByRole('button', { name: 'To the bench' }).press('Enter');
    await onTo(page, 'Shape heart');
    await expect(main).toContainText(/Punch each of a sheet/);
    await onTo(page, 'Put Radish blossom together');
    await expect(main).toContainText('in the gaps of that ring');
    await onTo(page, 'Glue');
    await expect(main).toContainText('then leave it alone for 24 h');
    await page.getByRole('button', { name: 'Start a timer' }).press('Enter');
    const timers = page.getByRole('timer', { name: 'Timers' });
    await expect(timers).toContainText('Blossoms for the fair, glue');
    await page.reload();
    await expect(page.locator('h1[data-step]')).toHaveText('Glue');
    await expect(timers).toContainText(/23 h 59 min|24 h 0 min/);
    await page.getByRole('button', { name: 'Stop: Blossoms for the fair, glue' }).press('Enter');
    await expect(timers).toHaveCount(0);
    await onTo(page, 'Done?');
    await expect(page.getByLabel('Pin back, 25 mm used')).toHaveValue('13');
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await expect(page.getByRole('img', { name: 'Radish blossom, as it was made' })).toBeVisible();
    await expect(main).toContainText('with 13 Pin back, 25 mm');
  });
  await test.step('the pins are gone from the stock, and undo brings them back', async () => {
    await station(page, 'Batches');
    await page.getByRole('link', { name: 'findings' }).press('Enter');
    await expect(page.getByLabel('Number of Pin back, 25 mm')).toHaveValue('7');
    await page.keyboard.press('z');
    await expect(page.getByLabel('Number of Pin back, 25 mm')).toHaveValue('20');
  });
});

test('a piece is kept for another time and used again in another batch', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/batches`);
  await page
    .getByRole('link', { name: /^Radish blossoms/ })
    .first()
    .click();
  await edit(page, 'Size petals', '8');
  await page.getByRole('button', { name: 'Keep it for another time' }).press('Enter');
  await saved(page);
  await page.keyboard.press('n');
  await expect(page.getByLabel('Name of the batch')).toHaveValue('New batch');
  await page.keyboard.press('p');
  await expect(page.getByText('one of yours')).toBeVisible();
  await page.getByRole('button', { name: 'Begin with Radish blossom' }).first().press('Enter');
  await expect(page.getByRole('button', { name: 'Part outer petal' })).toContainText('8 × outer petal');
  await expect(page.getByRole('button', { name: 'Part outer petal' })).toContainText('Beet fade');
});

test('the days follow the free hours; a job is moved, one is done, and an evening is lost', async ({
  page,
  sledge,
}) => {
  test.setTimeout(120_000);
  const main = page.getByRole('main');
  await page.goto(`${sledge.url}/batches`);
  await page.getByRole('link', { name: 'the days' }).press('Enter');
  const outcomes = page.getByRole('list', { name: 'How the batches come out' });
  const glue = page.getByRole('button', { name: /^Radish blossoms: glue,/ });
  await test.step('nothing of what it plans breaks a rule, and each batch says how it comes out', async () => {
    await expect(outcomes.getByRole('listitem')).toHaveCount(6);
    await expect(glue).toHaveCount(1);
  });
  await test.step('with the keys a job is put a day earlier, and it can be let go', async () => {
    const before = await glue.getAttribute('aria-label');
    await glue.press('ArrowUp');
    await saved(page);
    await glue.press('Enter');
    await expect(page.getByRole('group', { name: 'The chosen job' })).toContainText('glue');
    await page.getByRole('button', { name: 'plan it again where it is best' }).press('Enter');
    await expect(glue).toHaveAttribute('aria-label', before ?? '');
  });
  await test.step('typed hours that are none are told beside them', async () => {
    await edit(page, 'Free on Sat to Sun', 'later');
    await expect(main).toContainText('“later” says no free hours');
    await edit(page, 'Free on Sat to Sun', 'not');
    await expect(page.getByLabel('Free on Sat to Sun')).toHaveValue('not');
  });
  await test.step('without free hours nothing has room, and undo brings them back', async () => {
    await edit(page, 'Free on Mon to Fri', 'none');
    await expect(main).toContainText('Nobody is free on any day');
    await saved(page);
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(main).not.toContainText('Nobody is free on any day');
  });
  await test.step('what fits now is done, and taken back', async () => {
    await edit(page, 'Minutes you have now', '45');
    const fits = page.getByRole('list', { name: 'What fits now' });
    await fits
      .getByRole('button', { name: /is done$/ })
      .first()
      .press('Enter');
    await expect(page.getByRole('list', { name: 'Done of it' }).getByRole('listitem')).toHaveCount(1);
    await page.getByRole('button', { name: 'not yet' }).press('Enter');
    await expect(page.getByRole('list', { name: 'Done of it' })).toHaveCount(0);
  });
  await test.step('as a calendar file', async () => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'as .ics' }).press('Enter');
    expect((await download).suggestedFilename()).toBe('The days.ics');
  });
});
