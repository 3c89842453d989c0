import type { Page } from '@playwright/test';
import { drawn, expect, placeOf, still, test } from './sledge.js';

/** The row of steps, and the hands that work on it. */
function benchOf(page: Page) {
  const row = page.getByRole('list', { name: 'Steps of the cane' });
  return {
    row,
    step: (name: RegExp) => page.getByRole('button', { name }),
    /** Adds a step after the chosen one. */
    add: async (word: string): Promise<void> => {
      await expect(row).toBeVisible();
      const before = await row.getByRole('listitem').count();
      await page.getByRole('button', { name: 'add after it' }).press('Enter');
      await page.getByRole('dialog').getByRole('button', { name: word, exact: true }).press('Enter');
      await expect(row.getByRole('listitem')).toHaveCount(before + 1);
    },
    fill: async (label: string, value: string): Promise<void> => {
      await page.getByLabel(label, { exact: true }).fill(value);
      await page.keyboard.press('Enter');
      await drawn(page);
    },
    pick: async (label: string, text: string): Promise<void> => {
      await page.getByLabel(label, { exact: true }).selectOption({ label: text });
      await drawn(page);
    },
    /** Takes out the chosen step until so many are left. */
    leave: async (count: number): Promise<void> => {
      for (let now = await row.getByRole('listitem').count(); now > count; now--) {
        await page.getByRole('button', { name: 'take out' }).press('Enter');
        await expect(row.getByRole('listitem')).toHaveCount(now - 1);
      }
    },
  };
}

/** A new cane that begins with a log, on the bench. */
async function beginLog(page: Page, url: string): Promise<ReturnType<typeof benchOf>> {
  await page.goto(`${url}/canes`);
  await expect(page.getByRole('heading', { name: 'Begin a new one' })).toBeVisible();
  await page.keyboard.press('n');
  return benchOf(page);
}

/** Sizes and lengths of a step as the row says them, once they are there. */
async function figuresOf(page: Page, name: RegExp): Promise<string> {
  const step = page.getByRole('button', { name });
  await expect(step).toContainText('long');
  return (await step.textContent()) ?? '';
}

/** Every length that stands large at the bench, step by step, to its end. */
async function benchLengths(page: Page): Promise<{ readonly title: string; readonly text: string }[]> {
  const seen: { title: string; text: string }[] = [];
  const heading = page.getByRole('main').getByRole('heading').first();
  await expect(page.getByRole('button', { name: 'One back' })).toBeVisible();
  // lengths come with the plan
  await expect(page.getByRole('main')).toContainText(/\d mm/);
  for (let i = 0; i < 60; i++) {
    await still(page);
    const title = (await heading.textContent()) ?? '';
    const text = (await page.getByRole('main').textContent()) ?? '';
    seen.push({ title, text });
    if (title === 'Slice') return seen;
    await page.keyboard.press(' ');
    // steps of one kind have one title, but no two have all words in common
    await expect.poll(() => page.getByRole('main').textContent()).not.toBe(text);
  }
  return seen;
}

test('a petal as hands build it: quarters, tips up, triangle, diamond, square, reduced, joined, twice, petal', async ({
  page,
  sledge,
}) => {
  await page.goto(`${sledge.url}/canes`);
  await page.getByRole('button', { name: 'Begin with Pea petal' }).click();
  const bench = benchOf(page);
  await expect(bench.row).toBeVisible();
  // the plug, and the place for the next step
  await bench.leave(2);
  await bench.fill('Diameter of the plug', '30 mm');
  await bench.add('Cut across');
  await bench.fill('The number of pieces', '2');
  await bench.add('Cut lengthwise');
  await bench.add('Side by side, tips up');
  await bench.fill('The number of wedges', '4');
  // eight quarters of a round of 30 mm, four in each triangle: π · 15² = 706.9 mm² each
  await expect(bench.step(/^Step 4: 4 side by side, tips up/)).toContainText('40.3 × 35.1 mm');
  await bench.add('Join two');
  await expect(bench.step(/^Step 5: Join two, mirrored/)).toContainText('40.3 × 70.1 mm');
  await bench.add('Press to a shape');
  // 1413.7 mm²: 37.6 mm a side
  await expect(bench.step(/^Step 6: Press to a square/)).toContainText('37.6 × 37.6 mm');
  for (let round = 0; round < 2; round++) {
    await bench.add('Reduce');
    await bench.pick('Reduce by', 'long, without its ends');
    await bench.fill('Reduce to', '80 mm');
    await bench.add('Cut across');
    await bench.fill('The number of pieces', '2');
    await bench.add('Press to a shape');
    await bench.pick('Shape', 'a triangle');
    await bench.add('Join two');
    await bench.add('Press to a shape');
  }
  await bench.pick('Shape', 'a petal');
  await bench.add('Reduce');
  await bench.fill('Reduce to', '18 mm');
  await expect(bench.step(/^Step 17: Reduce to 18 mm/)).toContainText('long');
  await test.step('every length at the bench is that of the plan', async () => {
    const titles = (await bench.row.getByRole('listitem').count()) - 1;
    const planned: string[] = [];
    for (let i = 1; i <= titles; i++) planned.push(await figuresOf(page, new RegExp(`^Step ${i}: `)));
    await page.getByRole('link', { name: /^To the bench/ }).click();
    const done = await benchLengths(page);
    expect(done.some((d) => d.title === 'Cut the ends off')).toBe(true);
    const reduced = done.find((d) => d.title.startsWith('Reduce to 80'))?.text ?? '';
    expect(reduced).toContain('80 mm of it without its ends');
    expect(done.find((d) => d.title.startsWith('4 side by side'))?.text).toContain('It is 40.3 × 35.1 mm then');
    for (const text of planned.slice(1)) {
      const title = /^(?:\d+ )?(.*?)\d/.exec(text)?.[1] ?? '';
      expect(done.map((d) => d.title).join('; ')).toContain(title.trim());
    }
  });
});

test('one spot is built once and drawn to two sizes; an edge lies along a stretch that is dragged on the face', async ({
  page,
  sledge,
}) => {
  const bench = await beginLog(page, sledge.url);
  await bench.fill('Diameter of the log', '40 mm');
  await bench.add('Set in');
  await bench.fill('Diameter of the hole', '8 mm');
  await page.getByRole('button', { name: 'copy', exact: true }).press('Enter');
  await bench.fill('Diameter of the hole', '4 mm');
  await bench.fill('To the right of the middle', '10 mm');
  await bench.add('Lay along a stretch');
  const before = (await bench.step(/^Step 4: Along a stretch/).textContent()) ?? '';
  const grip = page.locator('[data-mark="ends"]');
  const at = await placeOf(page, grip);
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
  await page.mouse.down();
  await page.mouse.move(at.x + 20, at.y + 120, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByLabel('Where it ends')).not.toHaveValue('150');
  await expect(bench.step(/^Step 4: Along a stretch/)).not.toHaveText(before);
  await page.getByRole('link', { name: /^To the bench/ }).click();
  const heading = page.getByRole('main').getByRole('heading').first();
  await expect(heading).toHaveText('a rod: begin');
  await page.keyboard.press(' ');
  await expect(heading).toHaveText('a rod: draw it');
  const drawn = page.getByRole('main');
  await expect(drawn).toContainText('drawn to 4 mm across');
  await expect(drawn).toContainText('for step 3');
});

test('a ring takes one of each that is picked, built like its own rods', async ({ page, sledge }) => {
  const bench = await beginLog(page, sledge.url);
  await bench.add('Wrap');
  await bench.add('Cut across');
  await bench.add('Ring of rods');
  await bench.fill('The number of rods', '3');
  await page.getByRole('button', { name: 'more kinds' }).click();
  const picker = page.getByRole('combobox', { name: /^One of each/ });
  const found = page.getByRole('listbox', { name: /^One of each/ });
  for (const [i, name] of ['Beetroot', 'Leek', 'Squash'].entries()) {
    await picker.fill(name);
    await expect(found.getByRole('option').first()).toContainText(name);
    await picker.press('Enter');
    await expect(page.getByLabel(`Kind ${i + 2}`, { exact: true })).toContainText(name);
  }
  await picker.press('Escape');
  await expect(page.getByRole('button', { name: 'more kinds' })).toBeVisible();
  await expect(bench.step(/^Step 4: Ring of 6/)).toContainText('mm long');
  const strip = page.getByLabel('Clay and what to begin with');
  for (const name of ['Beetroot', 'Leek', 'Squash']) await expect(strip).toContainText(`log of ${name}`);
});

/** A leaf with a rib and four bands, as somebody draws it: one of the bands juts out of the leaf. */
const SAVOY = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 48 60">
  <path fill="#4F7F45" d="M24 2C36 8 44 20 42 36C41 50 34 56 24 58C14 56 7 50 6 36C4 20 12 8 24 2Z"/>
  <path fill="#93B84C" d="M26 24L38 16L38 19L26 28Z"/><path fill="#93B84C" d="M22 24L10 16L10 19L22 28Z"/>
  <path fill="#93B84C" d="M26 40L37 32L37 35L26 44Z"/><path fill="#93B84C" d="M22 40L11 32L11 35L22 44Z"/>
  <path fill="#7B1E4B" d="M23 12H25L26 54H22Z"/>
</svg>`;
/** Where the spots lie, and how large each is, mm. */
const SPOTS = [
  { x: -9, y: 6, across: 5 },
  { x: 9, y: 5, across: 4.5 },
  { x: -10, y: -8, across: 4 },
  { x: 10, y: -9, across: 3.5 },
  { x: -8, y: -17, across: 3 },
  { x: 8, y: -18, across: 2.5 },
];

test('a savoy leaf after a drawing: a fan plug for its rib, bands, one spot drawn to six sizes, an edge', async ({
  page,
  sledge,
}) => {
  const bench = benchOf(page);
  await test.step('a fan plug of a blend is the rib', async () => {
    await page.goto(`${sledge.url}/canes`);
    await page.getByRole('button', { name: 'Begin with Pea petal' }).click();
    await expect(bench.row).toBeVisible();
    await bench.leave(2);
    await bench.pick('How it is wound', 'folded like a fan');
    await bench.fill('Name of the cane', 'Fan rib');
    await expect(
      page.getByRole('button', { name: 'Saved' }).or(page.getByText('Saved', { exact: true })),
    ).toBeVisible();
  });
  await test.step('the largest line of the drawing is the leaf, the others are its regions', async () => {
    await page.getByRole('button', { name: 'all canes' }).click();
    await page.getByRole('button', { name: 'a template after a drawing' }).click();
    await expect(bench.row).toBeVisible();
    await page
      .getByLabel('A drawing as SVG')
      .setInputFiles({ name: 'savoy.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(SAVOY) });
    const regions = page.getByRole('list', { name: 'Regions' });
    await expect(regions.getByRole('listitem')).toHaveCount(3);
    await bench.fill('Width of the template', '44 mm');
    const rib = regions.getByRole('listitem').last();
    await rib.getByRole('combobox').first().selectOption({ label: 'a cane' });
    await rib.getByRole('combobox').nth(1).selectOption({ label: 'Fan rib' });
    await expect(rib.getByRole('combobox').nth(1).locator('option:checked')).toHaveText('Fan rib');
  });
  await test.step('one spot is built, and set in at six sizes', async () => {
    await bench.add('Set in');
    await page.getByRole('button', { name: 'Open What is set in' }).click();
    await bench.add('Wrap');
    await bench.fill('Thickness of the wrap', '0.6 mm');
    await page.getByRole('button', { name: 'Template', exact: true }).click();
    await bench.step(/^Step 2: /).click();
    for (const [i, { x, y, across }] of SPOTS.entries()) {
      if (i > 0) await page.getByRole('button', { name: 'copy', exact: true }).press('Enter');
      await expect(page.getByRole('heading', { name: new RegExp(`^${i + 2} Set in`) })).toBeVisible();
      await bench.fill('Diameter of the hole', `${across} mm`);
      await bench.fill('To the right of the middle', `${x} mm`);
      await bench.fill('Above the middle', `${y} mm`);
      await expect(page.getByLabel('Diameter of the hole', { exact: true })).toHaveValue(`${across} mm`);
    }
  });
  await test.step('an edge lies along a stretch, and it is reduced', async () => {
    await bench.add('Lay along a stretch');
    await bench.fill('Where it begins', '20');
    await bench.fill('Where it ends', '160');
    await bench.add('Reduce');
    await bench.fill('Reduce to', '26 mm');
    // 40 slices of 2 mm
    await expect(bench.step(/^Step 9: Reduce to 26 mm/)).toContainText('80 mm long');
  });
  await test.step('the bench builds the spot once, the leaf from its left side, and says all lengths', async () => {
    await page.getByRole('link', { name: /^To the bench/ }).click();
    const done = await benchLengths(page);
    const titles = done.map((d) => d.title);
    expect(titles.filter((t) => t.endsWith(': begin'))).toHaveLength(2);
    const said = done.map((d) => d.text);
    expect(said.join('\n')).toContain('drawn to 5 mm across');
    const spot = said.find((text) => text.includes('drawn to 5 mm across')) ?? '';
    for (const { across } of SPOTS) expect(spot).toContain(`drawn to ${across} mm across`);
    const laid = done.filter((d) => d.text.includes('Lay it against what stands.'));
    expect(laid).toHaveLength(5);
    expect(titles.filter((t) => t === 'fill the ground')).toHaveLength(1);
    const setIn = done.filter((d) => d.title.startsWith('Set in'));
    expect(setIn).toHaveLength(6);
    // the row says the same, to whole millimetres
    const longIn = (text = ''): number => Number(/(\d+(?:\.\d+)?) mmlong/.exec(text)?.[1]);
    await page.goBack();
    for (const [i, { text }] of setIn.entries())
      await expect(bench.step(new RegExp(`^Step ${i + 2}: `))).toContainText(`${longIn(text).toFixed(0)} mm long`);
    const reduced = done.find((d) => d.title === 'Reduce to 26 mm')?.text ?? '';
    expect(reduced).toContain('80 mm of it without its ends');
    expect(longIn(reduced)).toBeGreaterThan(80);
  });
});

test('a lace of six tints is seen against the light and stopped where its walls begin to bleed', async ({
  page,
  sledge,
}) => {
  const bench = await beginLog(page, sledge.url);
  const made = async (name: string): Promise<void> => {
    await page.getByRole('button', { name: /^What it is made of/ }).click();
    await page.getByRole('combobox', { name: 'What it is made of' }).fill(name);
    await expect(page.getByRole('option', { name: new RegExp(`^${name}`) })).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: `What it is made of: ${name}` })).toBeVisible();
  };
  await test.step('a snake of glass in a white wall, and five other tints built like it', async () => {
    await bench.fill('Diameter of the log', '6 mm');
    await made('Beet glass');
    await bench.add('Wrap');
    await bench.fill('Thickness of the wrap', '0.5 mm');
    await made('Chalk');
    await bench.add('Cut across');
    await bench.fill('The number of pieces', '7');
    await bench.add('Bundle');
    await bench.fill('The number of rods', '7');
    await page.getByRole('button', { name: 'more kinds' }).click();
    const tints = ['Carrot glass', 'Corn glass', 'Pea glass', 'Leek mist', 'Radish glass'];
    for (const [i, tint] of tints.entries()) {
      const picker = page.getByRole('combobox', { name: /^One of each that you pick/ });
      await picker.fill(tint);
      await expect(page.getByRole('option', { name: new RegExp(`^${tint}`) })).toBeVisible();
      await picker.press('Enter');
      await expect(page.getByLabel(`How many of kind ${i + 2}`, { exact: true })).toBeVisible();
      await expect(picker).toHaveValue('');
    }
    await page.keyboard.press('Escape');
    for (const kind of [2, 3, 4, 5, 6]) await bench.fill(`How many of kind ${kind}`, '6');
    // 37 rods of 7 mm: 7 · √37 = 42.6 mm
    await expect(bench.step(/^Step 4: Bundle of 37/)).toContainText('42.6 mm');
    await bench.add('Reduce');
    await bench.fill('Reduce to', '12 mm');
  });
  await test.step('on a ground its walls are too thin; as glass they say where to stop', async () => {
    await expect(page.getByText(/^Walls of Chalk are .*shows through below/)).toBeVisible();
    await bench.pick('What the slices are meant for', 'as glass, against the light');
    await expect(page.getByText(/this is past the stop line, and the tints run into each other/)).toBeVisible();
    await expect(page.getByText(/^Walls of Chalk are .*shows through below/)).toHaveCount(0);
    const stop = page.getByRole('button', { name: /^Stop at/ });
    const at = Number(/[\d.]+/.exec((await stop.textContent()) ?? '')?.[0]);
    // walls of 1 mm in 42.6 mm are as wide as they have to be, 0.58 mm, at about 0.58 · 42.6 mm
    expect(at).toBeGreaterThan(20);
    expect(at).toBeLessThan(30);
    await stop.press('Enter');
    await expect(page.getByText('This is the stop line.')).toBeVisible();
    await expect(bench.step(new RegExp(`^Step 5: Reduce to ${at} mm`))).toContainText('long');
  });
  await test.step('and it is looked at against the light, there and when it is opened again', async () => {
    await bench.pick('How it is seen', 'against the light');
    await page.reload();
    await expect(page.getByLabel('How it is seen')).toHaveValue('lit');
    await expect(page.getByText('This is the stop line.')).toBeVisible();
  });
});

test('a cane is begun from what one has: so many slices, and all weights follow', async ({ page, sledge }) => {
  await page.goto(`${sledge.url}/canes`);
  await page.getByRole('link', { name: /Beetroot ring/ }).click();
  await page.getByRole('button', { name: 'From what I have' }).press('Enter');
  const status = page.getByRole('status').filter({ hasText: 'That gives' });
  await test.step('of the clay on the shelf', async () => {
    await expect(status).toContainText('then Beetroot runs out.');
  });
  await test.step('of so many grams of one, and of so many in all', async () => {
    await page.getByLabel('Grams of Beetroot that I have').fill('40 g');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: /^Make (9|10|11)\d$/ })).toBeVisible();
    await page.getByLabel('Grams in all that I have').fill('60 g');
    await page.keyboard.press('Enter');
    await expect(status).toContainText('then the clay runs out.');
    const make = page.getByRole('button', { name: /^Make \d+$/ });
    const slices = Number(/\d+/.exec((await make.textContent()) ?? '')?.[0]);
    await make.press('Enter');
    const strip = page.getByLabel('Clay and what to begin with');
    await expect(strip).toContainText(`for ${slices} slices of 2.2 mm`);
    const all = async () => Number(/([\d.]+) g in all/.exec((await strip.textContent()) ?? '')?.[1]);
    // no more than there is, and less than a slice of 0.84 g and its ends below it
    await expect.poll(all).toBeLessThanOrEqual(60);
    await expect.poll(all).toBeGreaterThan(58);
    await expect(make).toHaveCount(0);
  });
});
