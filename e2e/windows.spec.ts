import type { Page } from '@playwright/test';
import { edit, expect, saved, test } from './sledge.js';

const board = (window: Page) => window.getByRole('list', { name: 'Chips' });
const recipe = (window: Page) => window.getByLabel('Recipe in notation');

/** Opens a chip and waits until it is there to be changed. */
async function open(window: Page, name: string): Promise<void> {
  await board(window).getByRole('link', { name }).click();
  await expect(window.getByLabel('Name of the mix')).toHaveValue(name);
}

async function openSwede(window: Page, url: string): Promise<void> {
  await window.goto(`${url}/mixes`);
  await board(window).getByRole('link', { name: 'Swede' }).click();
  await expect(recipe(window)).toHaveValue('3 Chalk + 1 Carrot');
}

/** Holds back what a window writes, until it is let go: meanwhile another one may write. */
async function held(window: Page, method: string): Promise<() => void> {
  let letGo: () => void = () => undefined;
  const gone = new Promise<void>((resolve) => {
    letGo = resolve;
  });
  await window.route('**/api/mixes/*', async (route) => {
    if (route.request().method() === method) await gone;
    await route.continue();
  });
  return letGo;
}

test(
  'what one window changes the other one shows; at the same time in the same field, one is chosen and ' +
    'the rest is joined',
  async ({ page, context, sledge }) => {
    const other = await context.newPage();
    for (const window of [page, other]) await openSwede(window, sledge.url);
    await edit(other, 'Recipe in notation', '5 Chalk + 1 Carrot');
    await expect(recipe(page)).toHaveValue('5 Chalk + 1 Carrot');

    // a field that waits for its value stays selected when that becomes another: what is typed replaces it
    await page.getByLabel('Name of the mix').focus();
    await edit(other, 'Name of the mix', 'Neep');
    await expect(page.getByLabel('Name of the mix')).toHaveValue('Neep');
    await page.keyboard.type('Swede');
    await page.keyboard.press('Enter');
    await expect(other.getByLabel('Name of the mix')).toHaveValue('Swede');

    const letGo = await held(page, 'PUT');
    await page.getByRole('button', { name: 'Add a half of Carrot' }).click();
    await edit(other, 'Recipe in notation', '7 Chalk + 1 Carrot');
    await other.getByLabel('Note on the mix').fill('for the far hedge');
    await other.getByLabel('Note on the mix').blur();
    await saved(other);
    letGo();
    const told = page.getByRole('alertdialog', { name: 'Changed in another window' });
    await expect(told).toContainText('Swede was changed in another window. Nothing was overwritten');
    await expect(told).toContainText('5 Chalk + 3/2 Carrot');
    await expect(told).toContainText('7 Chalk + 1 Carrot');
    await expect(told).not.toContainText(/[0-9a-f]{8}-/);
    await told.getByRole('button', { name: 'Keep this one' }).click();
    await expect(told).toHaveCount(0);
    await expect(recipe(other)).toHaveValue('5 Chalk + 1½ Carrot');
    await expect(page.getByLabel('Note on the mix')).toHaveValue('for the far hedge');
  },
);

test('two clashes at once are chosen one after the other; what does not touch is joined without a question', async ({
  page,
  context,
  sledge,
}) => {
  const other = await context.newPage();
  for (const window of [page, other]) await openSwede(window, sledge.url);
  const letGo = await held(page, 'PUT');
  await edit(page, 'Name of the mix', 'Yellow swede');
  await open(page, 'Old tin');
  await edit(page, 'Name of the mix', 'New tin');
  await open(page, 'Turnip top');
  await edit(page, 'Name of the mix', 'Turnip leaf');

  await edit(other, 'Name of the mix', 'Rutabaga');
  await saved(other);
  await open(other, 'Old tin');
  await edit(other, 'Name of the mix', 'Grey tin');
  await saved(other);
  await open(other, 'Turnip top');
  await other.getByLabel('Note on the mix').fill('joined');
  await other.getByLabel('Note on the mix').blur();
  await saved(other);
  letGo();

  const told = page.getByRole('alertdialog', { name: 'Changed in another window' });
  await expect(told).toContainText('Yellow swede');
  await expect(told).toContainText('1 more to choose after this');
  await told.getByRole('button', { name: 'Take that one' }).click();
  await expect(told).toContainText('New tin');
  await told.getByRole('button', { name: 'Keep this one' }).click();
  await expect(told).toHaveCount(0);
  await saved(page);
  for (const name of ['Rutabaga', 'New tin', 'Turnip leaf'])
    await expect(board(other).getByRole('link', { name })).toBeVisible();
  await expect(other.getByLabel('Note on the mix')).toHaveValue('joined');
});

test('undo names the change of another window and waits for a yes', async ({ page, context, sledge }) => {
  const other = await context.newPage();
  for (const window of [page, other]) await openSwede(window, sledge.url);
  await edit(other, 'Recipe in notation', '7 Chalk + 1 Carrot');
  await expect(recipe(page)).toHaveValue('7 Chalk + 1 Carrot');
  await page.bringToFront();
  await page.locator('body').click({ position: { x: 2, y: 2 } });
  await page.keyboard.press('z');
  const asked = page.getByRole('alertdialog', { name: 'Take it back?' });
  await expect(asked).toContainText('Swede is now 7 Chalk + 1 Carrot');
  await asked.getByRole('button', { name: 'Leave it' }).click();
  await expect(recipe(page)).toHaveValue('7 Chalk + 1 Carrot');
  await page.locator('body').click({ position: { x: 2, y: 2 } });
  await page.keyboard.press('z');
  await asked.getByRole('button', { name: 'Take it back' }).press('Enter');
  await expect(recipe(other)).toHaveValue('3 Chalk + 1 Carrot');
  await page.getByRole('button', { name: 'again', exact: true }).click();
  await expect(recipe(other)).toHaveValue('7 Chalk + 1 Carrot');
});

test(
  'what cannot be taken away because it was changed elsewhere says so, shows what is there, and can be ' + 'done again',
  async ({ page, context, sledge }) => {
    const other = await context.newPage();
    for (const window of [page, other]) {
      await window.goto(`${sledge.url}/mixes`);
      await open(window, 'Garden soil');
    }
    const letGo = await held(page, 'DELETE');
    await page.getByRole('button', { name: 'Take off the board' }).click();
    // the other change has to be there before this one arrives
    const kept = other.waitForResponse((r) => r.request().method() === 'PUT' && r.ok());
    await edit(other, 'Recipe in notation', '5 Soot + 1 Carrot');
    await kept;
    letGo();
    await expect(page.getByRole('main')).toContainText('Garden soil was changed in another window');
    await expect(recipe(page)).toHaveValue('5 Soot + 1 Carrot');
    await page.getByRole('button', { name: 'Take off the board' }).click();
    await expect(board(page).getByRole('link', { name: 'Garden soil' })).toHaveCount(0);
  },
);

test('six windows with reader, calipers and scale all go on working', async ({ page, context, sledge }) => {
  const windows = [page];
  for (let i = 0; i < 5; i++) windows.push(await context.newPage());
  for (const window of windows.slice(0, 2)) {
    await openSwede(window, sledge.url);
    await window.getByRole('button', { name: /^Calipers/ }).click();
    await window.getByRole('button', { name: /^Scale/ }).click();
    await expect(window.getByRole('complementary').getByText('stand-in').first()).toBeVisible();
  }
  for (const window of windows.slice(2)) await openSwede(window, sledge.url);
  for (const [i, window] of windows.entries()) {
    await edit(window, 'Recipe in notation', `${i + 4} Chalk + 1 Carrot`);
    await saved(window);
    for (const one of windows) await expect(recipe(one)).toHaveValue(`${i + 4} Chalk + 1 Carrot`);
  }
});

test('what is done at the bench on a state that was changed elsewhere says so, and can be written down again', async ({
  page,
  context,
  sledge,
}) => {
  await page.goto(`${sledge.url}/batches`);
  await page
    .getByRole('link', { name: /Squash-stripe baubles/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.getByRole('progressbar').waitFor();
  const done = page.getByRole('button', { name: 'Done, write it down' });
  for (let steps = 0; steps < 80 && (await done.count()) === 0; steps++) await page.keyboard.press('Space');
  await expect(done).toBeVisible();
  const other = await context.newPage();
  await other.goto(`${sledge.url}/batches`);
  await other
    .getByRole('link', { name: /Squash-stripe baubles/ })
    .first()
    .click();
  let letGo: () => void = () => undefined;
  const gone = new Promise<void>((resolve) => {
    letGo = resolve;
  });
  await page.route('**/api/batches/*/done', async (route) => {
    await gone;
    await route.continue();
  });
  await page.getByLabel('Note for the diary').fill('stripes held');
  await done.click();
  await edit(other, 'Name of the batch', 'Squash baubles');
  await saved(other);
  letGo();
  await expect(page.getByRole('main')).toContainText('was changed in another window');
  await expect(page.getByLabel('Note for the diary')).toHaveValue('stripes held');
  await done.click();
  await expect(page.getByRole('main')).toContainText('Squash baubles');
  await expect(page).toHaveURL(/diary/);
});

test('what is being typed goes with a reload, and a form that was not sent asks before it is lost', async ({
  page,
  sledge,
}) => {
  const asked: string[] = [];
  page.on('dialog', (dialog) => {
    asked.push(dialog.type());
    void dialog.accept();
  });
  await openSwede(page, sledge.url);
  const note = page.getByLabel('Note on the mix');
  await note.fill('for the far hedge');
  await page.reload();
  await expect(note).toHaveValue('for the far hedge');

  // a recipe is first understood by the server, so that it may or may not go with the page: it is asked
  await recipe(page).fill('4 Chalk + 1 Carrot');
  asked.length = 0;
  await page.reload();
  await expect(recipe(page)).toHaveValue(/^[34] Chalk \+ 1 Carrot$/);
  expect(asked).toEqual(['beforeunload']);

  await page.goto(`${sledge.url}/shelf`);
  await page.getByRole('button', { name: /^Carrot/ }).click();
  await page.getByRole('button', { name: /Another block|Add a block/ }).click();
  await page.getByRole('form').getByRole('textbox').first().fill('57');
  asked.length = 0;
  await page.reload();
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  expect(asked).toEqual(['beforeunload']);
});
