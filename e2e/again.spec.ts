import { randomUUID } from 'node:crypto';
import type { BatchAnswer, DiaryAnswer, DiaryListAnswer, PatternAnswer, PatternCard, ShelfAnswer } from '#contract';
import { edit, expect, test, type Sledge } from './sledge.js';

const ask = async <T>(sledge: Sledge, path: string): Promise<T> =>
  (await (await fetch(`${sledge.url}${path}`)).json()) as T;

/** All blocks of a clay are used up. */
async function useUp(sledge: Sledge, name: string): Promise<void> {
  const { clays, blocks } = await ask<ShelfAnswer>(sledge, '/api/shelf');
  const clay = clays.find((c) => c.name === name);
  for (const block of blocks.filter((b) => b.clayId === clay?.id))
    await fetch(`${sledge.url}/api/blocks/${block.id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json', 'x-sledge-change': randomUUID() },
      body: JSON.stringify({ ...block, leftGrams: 0 }),
    });
}

test('a batch is made again with one clay gone: smaller, with the nearest that is there', async ({ page, sledge }) => {
  const { entries } = await ask<DiaryListAnswer>(sledge, '/api/diary?search=Pea-pod');
  const card = entries.find((e) => e.batchId !== null)!;
  const entry = await ask<DiaryAnswer>(sledge, `/api/diary/${card.id}`);
  const before = await ask<BatchAnswer>(sledge, `/api/batches/${card.batchId ?? ''}`);
  await useUp(sledge, 'Pea');
  await page.goto(`${sledge.url}/diary/${card.id}`);
  await page.getByRole('link', { name: 'make it again' }).press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(`${card.title}, again`);
  const made = page.getByRole('region', { name: 'What it is made of' });
  await expect(made).toContainText('its clays are used up');
  const [choice] = await made.getByRole('combobox').all();
  await expect(choice!.locator('option').nth(1)).toContainText('ΔE');
  await edit(page, 'Size beside what was made', '20 % smaller');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('b');
  await expect(page).toHaveURL(/batches\/[0-9a-f-]{36}$/);
  await expect(page.getByRole('main')).toContainText('80 %, again');
  const id = page.url().split('/').at(-1) ?? '';
  const again = await ask<BatchAnswer>(sledge, `/api/batches/${id}`);
  const [first, piece] = [before.pieces[0]!, again.pieces[0]!];
  expect(piece.widthMm).toBeCloseTo(0.8 * first.widthMm, 6);
  expect(piece.layers[0]!.settingId).toBe(first.layers[0]!.settingId);
  expect(again.pieces[0]!.count).toBe(entry.pieces[0]!.count);
  const keys = (of: BatchAnswer): string[] => of.pieces.flatMap((p) => p.layers.map((l) => l.of.id));
  expect(keys(again)).not.toEqual(keys(before));
});

async function patternCalled(sledge: Sledge, name: string): Promise<PatternAnswer> {
  const cards = await ask<readonly PatternCard[]>(sledge, '/api/patterns');
  const { id } = cards.find((card) => card.name === name)!;
  return ask<PatternAnswer>(sledge, `/api/patterns/${id}`);
}

test('a blend and a patterned sheet are made again in other colours, as plans of their own', async ({
  page,
  sledge,
}) => {
  const main = page.getByRole('main');
  await page.goto(`${sledge.url}/diary`);
  await page
    .getByRole('link', { name: /Straw fade/ })
    .first()
    .press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Straw fade', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'make it again' }).press('Enter');
  const fade = page.getByRole('region', { name: 'Straw fade' });
  await expect(fade).toContainText('it was made as its revision 1');
  const corn = fade.getByLabel('In the place of Corn', { exact: true });
  await corn.selectOption({ index: 1 });
  const other = ((await corn.locator('option:checked').textContent()) ?? '').split(',')[0] ?? '';
  await fade.getByRole('button', { name: 'Begin it as a plan of its own' }).press('Enter');
  await expect(page).toHaveURL(/\/blends\/[\w-]+$/);
  await expect(page.getByLabel('Name of the blend')).toHaveValue('Straw fade, again');
  await expect(main).toContainText(other);
  await page.goto(`${sledge.url}/diary`);
  await page
    .getByRole('link', { name: /Walnut board/ })
    .first()
    .press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Walnut board', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'make it again' }).press('Enter');
  const board = page.getByRole('region', { name: 'Walnut board' });
  await board.getByLabel('Size beside what was made').fill('20 % smaller');
  await page.keyboard.press('Enter');
  await expect(board.getByLabel('Size beside what was made')).toHaveValue('80 %');
  await board.getByRole('button', { name: 'Begin it as a plan of its own' }).press('Enter');
  await expect(page).toHaveURL(/\/patterns\/[\w-]+$/);
  await expect(main).toContainText('4 logs');
  // the lids that it is for are a fifth smaller
  const { width, height } = (await patternCalled(sledge, 'Walnut board')).wanted!;
  await expect(page.getByLabel('Width covered', { exact: true })).toHaveValue(`${0.8 * width} mm`);
  await expect(page.getByLabel('Length covered', { exact: true })).toHaveValue(`${0.8 * height} mm`);
});
