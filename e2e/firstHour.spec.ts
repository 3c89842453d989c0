import type { Locator, Page } from '@playwright/test';
import { expect, saved, test } from './sledge.js';

test.use({ data: 'empty' });

/** Seconds of the keystroke-level model: to make up one's mind, to point, to press. */
const [MIND, POINT, KEY] = [1.35, 1.1, 0.28];
/** Words a second that are read. */
const READS = 4;

/** Hands of somebody who has never seen this: every action and every word that is read is counted. */
class Beginner {
  actions = 0;
  seconds = 0;

  constructor(private readonly page: Page) {}

  private act(keys: number, points: number): void {
    this.actions += 1;
    this.seconds += MIND + points * POINT + keys * KEY;
  }

  async press(key: string): Promise<void> {
    this.act(1, 0);
    await this.page.keyboard.press(key);
  }

  async click(what: Locator): Promise<void> {
    this.act(1, 1);
    await what.click();
  }

  async write(field: Locator, text: string): Promise<void> {
    this.act(text.length + 1, 1);
    await field.fill(text);
  }

  async choose(field: Locator, label: string): Promise<void> {
    this.act(2, 2);
    await field.selectOption({ label });
  }

  async reads(where: Locator, sentence: RegExp): Promise<void> {
    await expect(where).toContainText(sentence);
    this.seconds += ((await where.textContent()) ?? '').split(/\s+/).length / READS;
  }
}

async function threeColours(page: Page, hands: Beginner, next: Locator): Promise<void> {
  const main = page.getByRole('main');
  await hands.reads(next, /Three colours of clay to begin with/);
  await hands.reads(main, /line: clays of one make that feel alike/);
  await hands.click(page.getByRole('button', { name: 'Put a line of clay here' }));
  await hands.write(page.getByLabel('Name of the line'), 'Allotment');
  await hands.press('Enter');
  for (const [name, hex, left] of [
    ['Chalk', 'F1EEE4', /Two colours more/],
    ['Beetroot', '7B1E4B', /One colour more/],
    ['Pea pod', '6FA33C', null],
  ] as const) {
    const colour = page.getByRole('form', { name: 'A colour' });
    if (name !== 'Chalk') await hands.press('a');
    await hands.write(colour.getByLabel('Name of the colour'), name);
    await hands.write(colour.getByLabel('Colour when baked', { exact: true }), hex);
    await hands.press('Enter');
    await expect(page.getByRole('form', { name: `A block of ${name}` })).toBeVisible();
    await hands.press('Enter');
    await expect(page.getByRole('region', { name: 'Chosen clay' })).toContainText('One block');
    if (left) await hands.reads(next, left);
  }
}

async function aMachine(page: Page, hands: Beginner, next: Locator): Promise<void> {
  await hands.reads(next, /Your pasta machine/);
  await hands.click(next.getByRole('link', { name: 'Go to the sheets' }));
  await hands.click(page.getByRole('button', { name: 'Describe your machine' }));
  await hands.write(page.getByLabel('What you call it'), 'Bench roller');
  await hands.press('Enter');
  await hands.reads(next, /Two readings of your machine/);
  for (const [setting, reading] of [
    ['0', '3.2 mm'],
    ['5', '1.4 mm'],
  ] as const) {
    await hands.choose(page.getByLabel('Setting to measure'), setting);
    await hands.write(page.getByLabel(`Reading of setting ${setting}`), reading);
    await hands.press('Enter');
    await saved(page);
    if (setting === '0') await hands.reads(next, /One reading more, at another setting/);
  }
}

async function aChip(page: Page, hands: Beginner, next: Locator): Promise<void> {
  await hands.reads(next, /One chip: .*chip: a small tile of a mix, baked and kept/);
  await hands.click(next.getByRole('link', { name: 'Go to the mixes' }));
  await hands.click(page.getByRole('button', { name: 'Make the first mix' }));
  await hands.write(page.getByLabel('Name of the mix'), 'Beet ring');
  await hands.write(page.getByLabel('Recipe in notation'), '2 Chalk + 1 Beetroot');
  await hands.press('Enter');
  await saved(page);
  const chips = page.getByRole('region', { name: 'Chips you made' });
  await hands.write(chips.getByLabel('How the chip reads'), 'A4476F');
  await hands.press('Enter');
  await saved(page);
}

test('from nothing to the first card, asked for the next useful thing by each station', async ({ page, sledge }) => {
  const hands = new Beginner(page);
  const next = page.getByRole('note', { name: 'Next' });
  await page.goto(sledge.url);
  await test.step('three colours of clay', () => threeColours(page, hands, next));
  await test.step('a machine with two readings', () => aMachine(page, hands, next));
  await test.step('a chip', () => aChip(page, hands, next));
  await test.step('a small batch', async () => {
    await hands.reads(next, /A small batch: one shape, six of it, from one clay/);
    await hands.click(next.getByRole('link', { name: 'Go to the batches' }));
    await hands.click(page.getByRole('button', { name: 'Plan a batch' }));
    await hands.click(page.getByRole('button', { name: 'Add a kind of piece' }));
    await hands.write(page.getByLabel('What the new piece is cut from').first(), 'beet ring');
    await hands.press('Enter');
    await hands.write(page.getByLabel('Number of pieces'), '6');
    await hands.press('Enter');
    await saved(page);
    await hands.reads(page.getByRole('region', { name: 'Clay needed' }), /All of it is on the shelf/);
    await hands.reads(next, /Your batch is a card at the bench/);
    await hands.click(page.getByRole('button', { name: 'To the bench' }));
  });
  await test.step('its first card, within ten minutes', async () => {
    await expect(page.getByRole('heading', { level: 1 }).first()).toHaveText('Condition Chalk');
    await hands.reads(page.getByRole('main'), /condition: knead clay, or pass it folded/);
    console.log(
      `To the first card: ${hands.actions} actions, ${(hands.seconds / 60).toFixed(1)} min of reading and typing`,
    );
    expect(hands.seconds).toBeLessThan(10 * 60);
  });
  await test.step('with the card done nothing is asked any more, and words explain themselves when asked', async () => {
    while (!(await page.getByRole('heading', { name: 'Done?' }).isVisible())) await page.keyboard.press('Space');
    await page.getByRole('button', { name: 'Done, write it down' }).press('Enter');
    await expect(page.getByRole('main')).toContainText('6 Piece 1');
    await expect(next).toHaveCount(0);
    await page.goto(`${sledge.url}/canes`);
    const cane = page
      .getByRole('main')
      .getByRole('button', { name: /^canes?$/i })
      .first();
    await expect(cane).toHaveAttribute('aria-expanded', 'false');
    await cane.click();
    await expect(page.getByRole('main')).toContainText('a log with a picture through its whole length');
  });
});

test('what can wait is put off and asked for again; what nothing goes on without cannot', async ({ page, sledge }) => {
  const next = page.getByRole('note', { name: 'Next' });
  await page.goto(sledge.url);
  await expect(next).toContainText('Three colours');
  await expect(next.getByRole('button', { name: 'not now' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Put a line of clay here' }).click();
  await page.getByLabel('Name of the line').fill('Allotment');
  await page.keyboard.press('Enter');
  const colour = page.getByRole('form', { name: 'A colour' });
  await colour.getByLabel('Name of the colour').fill('Chalk');
  await colour.getByLabel('Colour when baked', { exact: true }).fill('F1EEE4');
  await page.keyboard.press('Enter');
  await expect(next).toContainText('Two colours more');
  await next.getByRole('button', { name: 'not now' }).press('Enter');
  await expect(next).toContainText('Your pasta machine');
  // a station asks for its own first
  await page.keyboard.press('Escape');
  await page.goto(`${sledge.url}/mixes`);
  await expect(next).toContainText('One chip');
  await next.getByRole('button', { name: 'not now' }).press('Enter');
  await expect(next).toContainText('Your pasta machine');
  await page.reload();
  await next.getByRole('button', { name: '2 put off: ask again' }).press('Enter');
  await expect(next).toContainText('One chip');
  await page.goto(`${sledge.url}/shelf`);
  await expect(next).toContainText('Two colours more');
});
