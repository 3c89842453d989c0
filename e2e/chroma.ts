import type { Page } from '@playwright/test';

/** The strongest colour on the screen: the largest distance between two channels of one pixel, 0 to 255. */
export async function chromaOf(page: Page): Promise<number> {
  const shot = (await page.screenshot()).toString('base64');
  return page.evaluate(async (text) => {
    const bitmap = await createImageBitmap(new Blob([Uint8Array.from(atob(text), (c) => c.charCodeAt(0))]));
    const context = new OffscreenCanvas(bitmap.width, bitmap.height).getContext('2d');
    context?.drawImage(bitmap, 0, 0);
    const data = context?.getImageData(0, 0, bitmap.width, bitmap.height).data ?? new Uint8ClampedArray();
    let most = 0;
    for (let i = 0; i < data.length; i += 4) {
      const [r = 0, g = 0, b = 0] = [data[i], data[i + 1], data[i + 2]];
      most = Math.max(most, Math.abs(r - g), Math.abs(g - b));
    }
    return most;
  }, shot);
}
