import { randomUUID } from 'node:crypto';
import type { CaneAnswer, CaneCard } from '#contract';
import { expect, station, test } from './sledge.js';

const COPIES = 60;

test('among many canes one is found by its name, only what is seen is drawn, and the face comes', async ({
  page,
  sledge,
}) => {
  const cards = (await (await page.request.get(`${sledge.url}/api/canes`)).json()) as CaneCard[];
  const first = cards[0]?.id ?? '';
  const cane = (await (await page.request.get(`${sledge.url}/api/canes/${first}`)).json()) as CaneAnswer;
  const { name, note, retired, program, slices, sliceMm, trimming, ends } = cane;
  for (let i = 0; i < COPIES; i++) {
    const id = randomUUID();
    const copy = { id, version: 0, note, retired, program, slices, sliceMm, trimming, ends };
    const answer = await page.request.put(`${sledge.url}/api/canes/${id}`, {
      data: { ...copy, name: `${name} no ${100 + i}` },
      headers: { 'x-sledge-change': randomUUID() },
    });
    expect(answer.ok(), await answer.text()).toBe(true);
  }
  await page.goto(`${sledge.url}/shelf`);
  await station(page, 'Canes');
  const wall = page.getByRole('list', { name: 'Your canes' });
  await expect(wall.getByRole('listitem').first()).toHaveAttribute('aria-setsize', String(COPIES + cards.length));
  expect(await wall.getByRole('listitem').count()).toBeLessThan(COPIES);
  const find = page.getByLabel('Find among your canes');
  await find.fill('no 142');
  await expect(page.getByRole('main')).toContainText(`1 of ${COPIES + cards.length}`);
  const found = wall.getByRole('link', { name: `${name} no 142` });
  await expect(found.getByRole('img', { name: `Face of ${name} no 142` })).toBeVisible();
  await find.fill('no such thing');
  await expect(page.getByText('None is called so.')).toBeVisible();
  await find.press('Escape');
  await expect(wall.getByRole('listitem').first()).toBeVisible();
  // the last one is reached by the wheel, and opened
  const last = wall.getByRole('link', { name: cards.at(-1)?.name ?? '', exact: false }).last();
  await page.getByRole('region', { name: 'Canes' }).hover();
  const below = page.getByRole('heading', { name: 'Begin a new one' });
  await expect(async () => {
    const top = (await below.boundingBox())?.y ?? 0;
    // towards it from either side: a slow browser may have rolled past it
    await page.mouse.wheel(0, top < 0 ? -400 : 400);
    await expect(below).toBeInViewport({ timeout: 200 });
  }).toPass();
  await last.click();
  await expect(page.getByLabel('Name of the cane')).toBeVisible();
});
