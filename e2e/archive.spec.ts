import { readFileSync } from 'node:fs';
import { Sledge, expect, saved, test } from './sledge.js';

/** A second Sledge with nothing in it, for as long as `work` takes. */
async function withEmpty(work: (other: Sledge) => Promise<void>): Promise<void> {
  const other = new Sledge('empty');
  try {
    await other.start();
    await work(other);
  } finally {
    await other.remove();
  }
}

test('everything goes out as one ZIP and into an empty Sledge, where all of it can be opened', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/copies`);
  await page.getByRole('button', { name: 'Write everything' }).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save it' }).click();
  const file = await (await saving).path();
  expect(readFileSync(file).subarray(0, 2).toString()).toBe('PK');

  await withEmpty(async (other) => {
    await page.goto(`${other.url}/copies`);
    const everything = page.getByRole('region', { name: 'Everything' });
    await everything
      .getByLabel('An archive to take in')
      .setInputFiles({
        ...{ name: 'notes.zip', mimeType: 'application/zip', buffer: Buffer.from('a list of vegetables') },
      });
    await expect(everything).toContainText('This is no ZIP file, or only a part of one.');
    await everything
      .getByLabel('An archive to take in')
      .setInputFiles({ name: 'garden.zip', mimeType: 'application/zip', buffer: readFileSync(file) });
    await expect(everything.getByRole('status')).toContainText('from garden, whole and looked through: 14 clays');
    await everything.getByRole('button', { name: 'carry over what is not here' }).click();
    const panel = page.getByRole('region', { name: 'Carry all over' });
    await expect(panel).toContainText('14 clays');
    await expect(panel).toContainText('6 canes');
    await panel.getByRole('button', { name: 'Carry it over' }).click();
    await expect(panel.getByRole('heading', { name: 'Carried over' })).toBeVisible();
    await saved(page);
    for (const [station, name] of [
      ['mixes', 'Radish skin'],
      ['canes', 'Savoy leaf'],
      ['batches', 'Beetroot-ring drop earrings'],
    ] as const) {
      await page.goto(`${other.url}/${station}`);
      await page.getByRole('link', { name }).first().click();
      await expect(page.getByRole('main')).toContainText(station === 'mixes' ? 'revision' : '');
      await expect(
        page
          .getByRole('main')
          .getByLabel(/^Name of/)
          .first(),
      ).toHaveValue(name);
    }
    await page.goto(`${other.url}/diary`);
    await expect(page.getByRole('list', { name: 'Entries' }).getByRole('link').first()).toBeVisible();
    // one change, taken back as one
    await page.keyboard.press('z');
    await expect(page.getByText('Nothing written down yet')).toBeVisible();
  });
});

test('a cane goes from one maker to another as a file, with the clays and mixes that it needs', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/canes`);
  await page.getByRole('link', { name: 'Savoy leaf' }).first().click();
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Send it as a file, with all that it needs' }).click();
  const sent = await saving;
  expect(sent.suggestedFilename()).toBe('Savoy leaf.sledge.zip');
  const buffer = readFileSync(await sent.path());

  await withEmpty(async (other) => {
    await page.goto(`${other.url}/copies`);
    await page
      .getByLabel('A thing that was sent')
      .setInputFiles({ name: sent.suggestedFilename(), mimeType: 'application/zip', buffer });
    const panel = page.getByRole('region', { name: 'What was sent' });
    await expect(panel.getByRole('heading', { name: 'The cane “Savoy leaf”' })).toBeVisible();
    // its card shows the face before anything is taken in
    const card = panel.getByRole('img', { name: 'Picture card of Savoy leaf' });
    await expect.poll(() => card.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(1200);
    await panel.getByRole('button', { name: 'Take it in' }).click();
    await expect(panel.getByRole('heading', { name: 'Taken in' })).toBeVisible();
    await panel.getByRole('link', { name: 'look at it' }).click();
    await page.getByRole('link', { name: 'Savoy leaf' }).first().click();
    await expect(page.getByRole('img').first()).toBeVisible();
    // a second time nothing comes
    await page.goto(`${other.url}/copies`);
    await page
      .getByLabel('A thing that was sent')
      .setInputFiles({ name: sent.suggestedFilename(), mimeType: 'application/zip', buffer });
    await expect(panel).toContainText('All of it is here already, just so.');
  });
});

test('a piece that was kept goes from one maker to another, with its picture', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/batches`);
  await page
    .getByRole('link', { name: /^Radish blossoms/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Keep it for another time' }).press('Enter');
  await saved(page);
  await page.keyboard.press('n');
  await expect(page.getByLabel('Name of the batch')).toHaveValue('New batch');
  await page.keyboard.press('p');
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Send it as a file, with all that it needs' }).first().click();
  const sent = await saving;
  const name = sent.suggestedFilename().replace('.sledge.zip', '');
  const buffer = readFileSync(await sent.path());
  await withEmpty(async (other) => {
    await page.goto(`${other.url}/copies`);
    await page
      .getByLabel('A thing that was sent')
      .setInputFiles({ name: 'piece.zip', mimeType: 'application/zip', buffer });
    const panel = page.getByRole('region', { name: 'What was sent' });
    await expect(panel.getByRole('heading', { name: `The piece “${name}”` })).toBeVisible();
    const card = panel.getByRole('img', { name: `Picture card of ${name}` });
    await expect.poll(() => card.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(1200);
    await panel.getByRole('button', { name: 'Take it in' }).click();
    await panel.getByRole('link', { name: 'in a batch' }).click();
    await page.getByRole('button', { name: 'Plan a batch' }).click();
    await expect(page.getByLabel('Name of the batch')).toHaveValue('New batch');
    await page.keyboard.press('p');
    await page
      .getByRole('button', { name: `Begin with ${name}` })
      .first()
      .press('Enter');
    await expect(page.getByRole('button', { name: 'Part outer petal' })).toContainText('Beet fade');
  });
});
