import { randomUUID } from 'node:crypto';
import { expect, saved, test } from './sledge.js';
import type { BlockDto, CaneAnswer, CaneCard, ShelfAnswer, StockAnswer } from '#contract';
import type { Page } from '@playwright/test';
import type { Sledge } from './sledge.js';

const ask = async <T>(sledge: Sledge, path: string): Promise<T> =>
  (await (await fetch(`${sledge.url}${path}`)).json()) as T;

/** So much of every clay that no plan is short of it. */
async function fillShelf(sledge: Sledge): Promise<void> {
  const { clays } = await ask<ShelfAnswer>(sledge, '/api/shelf');
  for (const { id: clayId } of clays) {
    const block = { ...{ id: randomUUID(), version: 0, clayId, netGrams: 900, leftGrams: 900 }, ...NEW };
    await fetch(`${sledge.url}/api/blocks/${block.id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json', 'x-sledge-change': randomUUID() },
      body: JSON.stringify(block),
    });
  }
}
const NEW = { madeOn: '2026-10-01', dateCode: '', price: null };

/** A photograph: a card that is grey under a warm lamp, and clay on it. */
const photograph = async (page: Page): Promise<Buffer> => {
  const png = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [800, 600];
    const context = canvas.getContext('2d')!;
    context.fillStyle = '#9a948a';
    context.fillRect(0, 0, 800, 600);
    context.fillStyle = '#7d1f4d';
    context.fillRect(200, 150, 400, 300);
    return canvas.toDataURL('image/png').split(',')[1] ?? '';
  });
  return Buffer.from(png, 'base64');
};

test('an old block is squeezed, brought back, and rests in a mix; all of it by keys', async ({ page, sledge }) => {
  const { clays, blocks } = await ask<ShelfAnswer>(sledge, '/api/shelf');
  const beetroot = clays.find((c) => c.name === 'Beetroot')!;
  const own = blocks.filter((b) => b.clayId === beetroot.id && b.leftGrams > 0);
  const oldest = [...own].sort((a, b) => (a.madeOn ?? '9').localeCompare(b.madeOn ?? '9'))[0]!;
  await page.goto(`${sledge.url}/sheets/condition?of=${beetroot.id}:${oldest.leftGrams}`);
  const sitting = page.getByRole('region', { name: 'In one sitting' });
  await expect(sitting).toContainText('Beetroot');
  await test.step('one key, and every plan knows it', async () => {
    await page.keyboard.press('r');
    await expect(page.getByRole('button', { name: /^crumbles/ })).toHaveAttribute('aria-pressed', 'true');
    await expect(sitting).toContainText('crumbles');
    await expect(page.getByRole('main')).toContainText('more by how it squeezed');
  });
  await test.step('another clay in the same sitting', async () => {
    await page.getByLabel('Another clay in this sitting').selectOption({ index: 1 });
    await expect(sitting.getByRole('listitem')).toHaveCount(2);
    await expect(sitting).toContainText('Put to warm now');
  });
  await test.step('what to work in, and what comes of it', async () => {
    await sitting
      .getByRole('button', { name: /Beetroot/ })
      .first()
      .press('Enter');
    await page.getByRole('link', { name: 'bring the block back' }).press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Bring back Beetroot');
    const ways = page.getByRole('region', { name: 'What to work in' });
    await expect(ways.getByRole('listitem').first()).toContainText('the same colour');
    await ways.getByRole('button', { name: /^\d+ drops? of softener$/ }).press('Enter');
    await expect(page.getByRole('status').filter({ hasText: 'It becomes' })).toContainText('ΔE 0.0');
  });
  await test.step('done: how it went, and a block in its new state', async () => {
    await page.getByRole('heading', { level: 1 }).click();
    await page.keyboard.press('d');
    await page.keyboard.press('w');
    await expect(page.getByRole('button', { name: /^It worked/ })).toHaveAttribute('aria-pressed', 'true');
    await page.keyboard.press('d');
    await expect(page).toHaveURL(new RegExp(`shelf/${beetroot.id}`));
    const now = (await ask<ShelfAnswer>(sledge, '/api/shelf')).blocks.filter((b: BlockDto) => b.inside);
    expect(now).toHaveLength(1);
    expect(now[0]!.clayId).toBe(beetroot.id);
    const drops = now[0]!.inside!.drops;
    expect(now[0]!.leftGrams).toBeCloseTo(oldest.leftGrams + 0.05 * drops, 6);
  });
  await test.step('a mix asks the same engine what to condition first', async () => {
    await page.goto(`${sledge.url}/mixes`);
    await page
      .getByRole('link', { name: /Beet ring/ })
      .first()
      .press('Enter');
    await page.getByRole('link', { name: /^Condition first: \d+ clays?/ }).press('Enter');
    await expect(page.getByRole('region', { name: 'In one sitting' })).toContainText('Beetroot');
  });
  await test.step('the diary tells it', async () => {
    await page.goto(`${sledge.url}/diary`);
    await page.getByRole('link', { name: /Beetroot brought back/ }).press('Enter');
    await expect(page.getByRole('list', { name: 'From and to' })).toContainText('lies on the shelf again');
  });
});

test('so much of another colour that it shows is a mix of its own, and lies there as a lump', async ({
  page,
  sledge,
}) => {
  await fillShelf(sledge);
  const { clays, blocks } = await ask<ShelfAnswer>(sledge, '/api/shelf');
  const radish = clays.find((c) => c.name === 'Radish')!;
  const block = blocks.find((b) => b.clayId === radish.id && b.leftGrams > 5 && b.leftGrams < 900)!;
  await page.goto(`${sledge.url}/shelf/back/${block.id}`);
  await page.getByLabel('What it does').selectOption('crumbles');
  const ways = page.getByRole('region', { name: 'What to work in' });
  await ways.getByRole('button', { name: /more clays?$/ }).press('Enter');
  await ways
    .getByRole('button', { name: / g (Leek|Pea|Corn|Squash)/ })
    .first()
    .press('Enter');
  const amount = page.getByLabel(/^Of (?!the block)/);
  await amount.fill('20 g');
  await amount.press('Enter');
  await expect(page.getByRole('main')).toContainText('That is seen: it is a mix of its own then, Radish with');
  await page.getByRole('button', { name: /^Done: it is brought back/ }).press('Enter');
  await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
  await expect(page).toHaveURL(/shelf\/there/);
  await expect(page.getByRole('main')).toContainText('Radish with');
  const { things } = await ask<StockAnswer>(sledge, '/api/stock');
  const lump = things.find((t) => t.name.startsWith('Radish with'))!;
  expect([lump.form, lump.of.kind]).toEqual(['lump', 'mix']);
  expect(lump.grams).toBeGreaterThan(block.leftGrams + 20 - 1e-6);
});

test('a cane is photographed over its plan, a smeared face diagnosed, and its ends learned', async ({
  page,
  sledge,
}) => {
  await fillShelf(sledge);
  const [card] = await ask<CaneCard[]>(sledge, '/api/canes');
  const cane = await ask<CaneAnswer>(sledge, `/api/canes/${card!.id}`);
  await page.goto(`${sledge.url}/canes/${cane.id}/make`);
  const note = page.getByLabel('Note for the diary');
  await expect(page.getByRole('main')).toContainText(cane.name);
  // to the last card, whatever the steps are
  for (let n = 0; n < 60 && !(await note.isVisible()); n++) {
    await page.keyboard.press('Enter');
    await page.keyboard.press(' ');
  }
  await page
    .getByLabel('Photograph for the diary')
    .setInputFiles({ ...{ name: 'face.png', mimeType: 'image/png', buffer: await photograph(page) } });
  await expect(page.getByRole('img', { name: 'Photograph 1' })).toBeVisible();
  await page.getByRole('button', { name: /^Nearly/ }).press('Enter');
  await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
  await expect(page).toHaveURL(/diary\//);
  await test.step('the plan and the photograph lie over each other', async () => {
    await page.getByRole('button', { name: 'lay the photograph over the plan' }).press('Enter');
    const laid = page.getByRole('application', { name: /^The photograph over the plan/ });
    await laid.focus();
    for (let n = 0; n < 3; n++) await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('+');
    const slider = page.getByRole('slider', { name: 'From the plan to the photograph' });
    await slider.focus();
    await page.keyboard.press('End');
    await expect(slider).toHaveAttribute('aria-valuetext', '100 % photograph');
    await saved(page);
    await page.reload();
    await expect(page.getByRole('region', { name: 'Plan and photograph over each other' })).toBeVisible();
  });
  await test.step('pointed at, diagnosed, and noted on the plan', async () => {
    const wrong = page.getByRole('group', { name: 'What went wrong' });
    await wrong.getByRole('button', { name: /^Point at the trouble/ }).click({ position: { x: 60, y: 50 } });
    await wrong.getByLabel('What went wrong').selectOption('smeared face');
    await expect(wrong.getByRole('img', { name: 'smeared face' })).toBeVisible();
    await expect(wrong.getByRole('list', { name: 'Why, the likeliest first' })).toContainText('Next time');
    await wrong
      .getByRole('button', { name: /^To the plan/ })
      .first()
      .press('Enter');
    await expect(wrong.getByRole('status')).toContainText(`in the note of ${cane.name}`);
  });
  await test.step('what its ends took is learned, told, and set aside', async () => {
    await page.getByRole('link', { name: 'what your bench taught' }).press('Enter');
    const ends = page.getByRole('row', { name: /Ends of a cane/ });
    await expect(ends).toContainText(/one count|\d counts/);
    await ends.getByRole('button', { name: /^Set aside/ }).press('Enter');
    await expect(ends).toContainText('set aside: use it again');
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(ends).not.toContainText('use it again');
  });
});

test('a photograph with something grey in it gives its colours to the chips; HEIC and none are told', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/diary`);
  await page
    .getByRole('link', { name: /Pea-pod ornaments, trial/ })
    .first()
    .press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Pea-pod ornaments, trial');
  const add = page.getByLabel('Photograph of what was made');
  await add.setInputFiles({ name: 'IMG_1.HEIC', mimeType: 'image/heic', buffer: Buffer.from('ftypheic') });
  await expect(page.getByText(/is a HEIC photograph/)).toBeVisible();
  await add.setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('none') });
  await expect(page.getByText(/notes.png cannot be read as a picture/)).toBeVisible();
  await add.setInputFiles({ name: 'chip.png', mimeType: 'image/png', buffer: await photograph(page) });
  await page.getByRole('button', { name: /^the colours of a photograph/ }).press('Enter');
  const picture = page.getByRole('button', { name: /^Photograph: take/ });
  await picture.click({ position: { x: 10, y: 10 } });
  await expect(page.getByRole('button', { name: 'Photograph: take a colour' })).toBeVisible();
  await picture.click({ position: { x: 150, y: 110 } });
  const colours = page.getByRole('region', { name: 'Colours of a photograph' });
  await expect(colours.getByRole('status')).toContainText(/ΔE \d+\.\d from the prediction/);
  await colours.getByRole('button', { name: /^Keep it as a chip/ }).press('Enter');
  await expect(colours).toContainText('predictions learn from it');
});
