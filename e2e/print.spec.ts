import { expect, test } from './sledge.js';

const POINTS_PER_MM = 72 / 25.4;

for (const [paper, width, height] of [
  ['A5', 148, 210],
  ['Letter', 215.9, 279.4],
] as const) {
  test(`the bench card on ${paper}, with a control line of 50 mm`, async ({ page, sledge }) => {
    await page.goto(`${sledge.url}/batches`);
    await page
      .getByRole('link', { name: /Red-cabbage pendants/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    await page.getByLabel('Paper').selectOption(paper);
    await page.emulateMedia({ media: 'print' });
    const card = page.locator('[data-paper]');
    await expect(card.getByRole('heading', { name: 'Red-cabbage pendants' })).toBeVisible();
    await expect(card).toContainText('Mix Cabbage leaf');
    await expect(card).toContainText('Bake');
    const line = await card.locator('[data-control]').boundingBox();
    expect(((line?.width ?? 0) / 96) * 25.4).toBeCloseTo(50, 1);
    await expect(page.getByRole('banner')).toBeHidden();
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    const boxes = [...pdf.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map((m) => [Number(m[1]), Number(m[2])]);
    expect(boxes.length).toBeGreaterThan(0);
    for (const [w, h] of boxes) {
      expect(Math.abs((w ?? 0) - width * POINTS_PER_MM)).toBeLessThan(1);
      expect(Math.abs((h ?? 0) - height * POINTS_PER_MM)).toBeLessThan(1);
    }
    expect(pdf).toMatch(/\/BaseFont \/[A-Z]+\+Atkinson/);
  });
}
