import { chromium, expect, type FullConfig } from '@playwright/test';
import type { LearningAnswer } from '#contract';
import { PLANTED, Sledge } from './sledge.js';

/** Plants the kitchen garden once: every errand begins with a copy of it. */
export default async function plant(config: FullConfig): Promise<() => Promise<void>> {
  const garden = new Sledge('garden');
  await garden.start();
  await letItLearn(garden.url, config);
  await garden.stop();
  process.env[PLANTED] = garden.folder;
  return () => garden.remove();
}

/** A window learns from the chips and hands it in, once for all errands instead of in the first window of each. */
async function letItLearn(url: string, { projects }: FullConfig): Promise<void> {
  const browser = await chromium.launch(projects[0]?.use.launchOptions);
  const page = await browser.newPage();
  await page.goto(url);
  await expect(async () => {
    const { key, learnedKey } = (await (await page.request.get(`${url}/api/learning`)).json()) as LearningAnswer;
    expect(learnedKey).toBe(key);
  }).toPass({ timeout: 120_000 });
  await browser.close();
}
