/** @jest-environment ./web/test/page.mjs */
import { blocks, clays, lines, setup } from '#demo';
import type { BlockDto, ClayDto, LineDto } from '#contract';
import { BlockWords } from '../src/stations/shelf/BlockWords.js';
import { LineRow } from '../src/stations/shelf/LineRow.js';
import Shelf from '../src/stations/shelf/Shelf.js';
import { TakeOrAdd } from '../src/stations/shelf/TakeOrAdd.js';
import { today } from '../src/state/today.js';
import { SHELF, clayId } from './kitchen.js';
import { post } from './letters.js';
import { expectWhole, shown, shownAt, typeInto, type Read, type Shown, type ShownStation } from './screen.js';

const READ: Read = [
  [['/api/shelf'], SHELF],
  [['/api/machines'], { machines: [], setup }],
  [['/api/conditioned'], []],
  ...clays.map((clay) => [[`/api/clays/${clay.id}/used-in`], { mixes: [], total: 0 }] as const),
];
const CHALK = clayId('Chalk');
/** As it is sent: what version it is of is not its own. */
const sent = <T extends { readonly version: number }>({ version: _, ...own }: T): Omit<T, 'version'> => own;
const shelfAt = (address = '/shelf', read: Read = READ): ShownStation =>
  shownAt(address, '/shelf/:clayId?', <Shelf />, read);

describe('the shelf', () => {
  test.each(['metric', 'imperial'] as const)('shows every clay with what is left of it, in the %s system', (units) => {
    const page = shownAt('/shelf', '/shelf/:clayId?', <Shelf />, READ, units);
    expectWhole(page);
    for (const { name } of clays) expect(page.getAllByText(name).length).toBeGreaterThan(0);
    const chalk = page.getByRole('button', { name: /^Chalk/ });
    expect(chalk.textContent).toContain(units === 'metric' ? '158 g' : '5.57 oz');
  });

  test('says how much there is in all, of blocks that are not used up', () => {
    const page = shelfAt();
    const grams = blocks.reduce((sum, b) => sum + b.leftGrams, 0);
    const there = blocks.filter((b) => b.leftGrams > 0).length;
    expect(page.words().replace(',', '')).toContain(`${grams} g in ${there} blocks`);
  });

  test('a click on a clay opens it at an address of its own', async () => {
    const page = shelfAt();
    await page.user.click(page.getByRole('button', { name: /^Beetroot/ }));
    expect(page.address()).toBe(`/shelf/${clayId('Beetroot')}`);
    expect((page.getByLabelText('Name of the clay') as HTMLInputElement).value).toBe('Beetroot');
  });

  test('an empty shelf says how to begin', async () => {
    const nothing = { lines: [], clays: [], blocks: [] };
    const page = shelfAt('/shelf', [
      [['/api/shelf'], nothing],
      [['/api/garden'], { kind: 'own', empty: true }],
    ]);
    expect(page.words()).toContain('Nothing on the shelf yet');
    await page.user.click(page.getByRole('button', { name: 'Put a line of clay here' }));
    expect(await page.findByLabelText('Name of the line')).toBeTruthy();
  });

  test.each([
    ['n', 'A line of clay'],
    ['a', 'A colour'],
    ['b', 'A block of Chalk'],
  ])('the key %s opens the form “%s”', async (key, title) => {
    const page = shelfAt(`/shelf/${CHALK}`);
    await page.user.keyboard(key);
    expect(await page.findByRole('form', { name: title })).toBeTruthy();
    await page.user.keyboard('{Escape}');
    expect(page.queryByRole('form', { name: title })).toBeNull();
  });

  test('retired clays are shown when they are asked for', async () => {
    const retired = clays.map((c) => (c.id === CHALK ? { ...c, retired: true } : c));
    const page = shelfAt('/shelf', [[['/api/shelf'], { ...SHELF, clays: retired }]]);
    expect(page.queryByRole('button', { name: /^Chalk/ })).toBeNull();
    await page.user.click(page.getByRole('button', { name: 'Show the retired' }));
    expect(page.getByRole('button', { name: /^Chalk/ }).textContent).toContain('retired');
  });
});

describe('one clay', () => {
  const clay: ClayDto = clays.find((c) => c.id === CHALK)!;

  test.each<[string, string, Partial<ClayDto>]>([
    ['Name of the clay', 'White', { name: 'White' }],
    ['Raw colour', '#ffffee', { rawHex: 'FFFFEE' }],
    ['Baked colour', 'f0f0e0', { bakedHex: 'F0F0E0' }],
    ['Strength', '1.4', { strength: 1.4 }],
    ['Strength', '~0,8', { strength: 0.8 }],
  ])('%s is kept as %s', async (label, text, wanted) => {
    const page = shelfAt(`/shelf/${CHALK}`);
    await typeInto(page, label, text);
    expect(await post.next()).toMatchObject({
      method: 'PUT',
      path: `/api/clays/${CHALK}`,
      body: { ...sent(clay), ...wanted },
    });
  });

  test('what cannot be read stays where it was typed, with a sentence, and is not sent', async () => {
    const page = shelfAt(`/shelf/${CHALK}`);
    await typeInto(page, 'Baked colour', 'off-white');
    const field = page.getByLabelText('Baked colour') as HTMLInputElement;
    expect(field.value).toBe('off-white');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(post.letters).toEqual([]);
  });

  test('what the server refuses is said at its field', async () => {
    post.refuse('A clay needs a name.', [{ field: 'name', sentence: 'A clay needs a name.' }]);
    const page = shelfAt(`/shelf/${CHALK}`);
    await typeInto(page, 'Name of the clay', 'x');
    expect(await page.findByText('A clay needs a name.')).toBeTruthy();
    expect(page.getByLabelText('Name of the clay').getAttribute('aria-invalid')).toBe('true');
  });

  test('is retired and brought back, and goes off the shelf with its version', async () => {
    const page = shelfAt(`/shelf/${CHALK}`);
    await page.user.click(page.getByRole('button', { name: 'Retire' }));
    expect((await post.next()).body.retired).toBe(true);
    await page.user.click(page.getByRole('button', { name: 'Take off the shelf' }));
    expect(await post.next()).toMatchObject({ method: 'DELETE', path: `/api/clays/${CHALK}`, query: 'version=0' });
    await page.findByText(/^Choose a clay/);
    expect(page.address()).toBe('/shelf');
  });

  test('an old block of a crumbly line is work to bring back, a fresh one of a soft line is not', async () => {
    const old = shelfAt(`/shelf/${clayId('Carrot')}`);
    await old.findByText(/to condition it/);
    expect(old.words()).toMatch(/to condition it: \d+ passes, warmed first, with a little softener, used the same day/);
    expect(old.words()).not.toContain('Bring it back');
    old.unmount();
    const fresh = blocks.map((b) => ({ ...b, madeOn: today() }));
    const page = shelfAt(`/shelf/${clayId('Pea')}`, [[['/api/shelf'], { ...SHELF, blocks: fresh }], ...READ.slice(1)]);
    await page.findByText(/to condition it/);
    expect(page.words()).toMatch(/to condition it: \d+ passes\./);
  });

  test('squeezed by one key, a block keeps what it did, and the day', async () => {
    const carrot = blocks.find((b) => b.clayId === clayId('Carrot'));
    const page = shelfAt(`/shelf/${clayId('Carrot')}`);
    await page.findByText(/to condition it/);
    await page.user.keyboard('r');
    const { method, path, body } = await post.next();
    expect([method, path]).toEqual(['PUT', `/api/blocks/${carrot?.id ?? ''}`]);
    expect(body).toMatchObject({ squeezed: 'crumbles', squeezedOn: today() });
  });

  test('a block that was squeezed says so, and the way to bring it back', async () => {
    const squeezed = blocks.map((b) => ({ ...b, squeezed: 'cracks', squeezedOn: today() }));
    const read: Read = [[['/api/shelf'], { ...SHELF, blocks: squeezed }], ...READ.slice(1)];
    const page = shelfAt(`/shelf/${clayId('Pea')}`, read);
    await page.findByText('Bring it back');
    expect(page.getByRole('button', { name: /^cracks/ }).getAttribute('aria-pressed')).toBe('true');
  });

  test('the mixes it is in are named, and how many more there are', () => {
    const read: Read = [
      [['/api/shelf'], SHELF],
      [[`/api/clays/${CHALK}/used-in`], { mixes: [{ id: 'm1', name: 'Pale beet' }], total: 1201 }],
    ];
    const page = shelfAt(`/shelf/${CHALK}`, read);
    expect(page.getByRole('link', { name: 'Pale beet' }).getAttribute('href')).toBe('/mixes/m1');
    expect(page.words()).toContain('and 1,200 more');
  });
});

describe('a block', () => {
  const block: BlockDto = blocks.find((b) => b.clayId === CHALK && b.leftGrams === 44)!;
  const words = (own: BlockDto = block): Shown =>
    shown(<BlockWords block={own} chosen many onChoose={() => undefined} />, 'metric', READ);

  test.each<[string, string, Partial<BlockDto>]>([
    ['Grams left', '30 g', { leftGrams: 30 }],
    ['Grams left', '1 oz', { leftGrams: 28.349523125 }],
    ['Net weight', '454 g', { netGrams: 454 }],
    ['Paid', '3.15 shells', { price: 3.15 }],
    ['Date code', '24W37', { dateCode: '24W37', madeOn: '2024-09-09' }],
    ['Date code', ' ', { dateCode: '', madeOn: null }],
  ])('%s %s', async (label, text, wanted) => {
    const page = words();
    await typeInto(page, label, text);
    expect((await post.next()).body).toEqual({ ...sent(block), ...wanted });
  });

  test('a wrapper is thrown away when nothing is left of its block', async () => {
    expect(words().queryByRole('button', { name: /wrapper/ })).toBeNull();
    const page = words({ ...block, leftGrams: 0 });
    await page.user.click(page.getByRole('button', { name: 'throw the wrapper away' }));
    expect(await post.next()).toMatchObject({ method: 'DELETE', path: `/api/blocks/${block.id}` });
  });

  const taking = (): Shown => shown(<TakeOrAdd block={block} name="Chalk" />);
  const FIELD = 'Weight of Chalk to take or add';

  test.each([
    ['Take', '14 g', 30],
    ['Take', '44', 0],
    ['Add', '13 g', 57],
    ['Take', '½ oz', 29.825],
  ])('%s %s leaves %d g', async (button, text, left) => {
    const page = taking();
    await page.user.type(page.getByLabelText(FIELD), text);
    await page.user.click(page.getByRole('button', { name: button }));
    expect((await post.next()).body.leftGrams).toBeCloseTo(left, 3);
    expect((page.getByLabelText(FIELD) as HTMLInputElement).value).toBe('');
  });

  test.each([
    ['Take', '50 g', 'There are only 44 g left of this block.'],
    ['Add', '20 g', 'This block had 57 g when it was new. Add another block instead.'],
    ['Take', '0', 'That is nothing. Write a weight above zero.'],
  ])('%s %s is refused in words, and nothing is lost', async (button, text, sentence) => {
    const page = taking();
    await page.user.type(page.getByLabelText(FIELD), text);
    await page.user.click(page.getByRole('button', { name: button }));
    expect(page.words()).toContain(sentence);
    expect((page.getByLabelText(FIELD) as HTMLInputElement).value).toBe(text);
    expect(post.letters).toEqual([]);
  });
});

describe('a line', () => {
  const line: LineDto = lines.find((l) => l.name === 'Hearth Firm')!;
  const row = (own: readonly ClayDto[] = clays.filter((c) => c.lineId === line.id)): Shown =>
    shown(
      <LineRow
        {...{ line, clays: own, blocks, chosen: CHALK }}
        onChoose={() => undefined}
        onAddColour={() => undefined}
      />,
    );

  test.each<[string, string, Partial<LineDto>]>([
    ['Name of the line', 'Hearth', { name: 'Hearth' }],
    ['Density of Hearth Firm', '1.87', { density: 1.87, densityMeasured: true }],
    ['Density of Hearth Firm', '~1,8 g/cm³', { density: 1.8, densityMeasured: true }],
    ['Baking temperature of Hearth Firm', '266 °F', { bakeC: 130 }],
    ['Baking minutes of Hearth Firm', '45', { bakeMinutes: 45 }],
    ['Thickness for the baking time of Hearth Firm', '¼ in', { bakePerMm: 6.35 }],
    ['Maximum temperature of Hearth Firm', '145', { maxC: 145 }],
  ])('%s %s', async (label, text, wanted) => {
    const page = row();
    await typeInto(page, label, text);
    const { body } = await post.next();
    for (const [field, value] of Object.entries(wanted))
      if (typeof value === 'number') expect(body[field]).toBeCloseTo(value, 6);
      else expect(body[field]).toBe(value);
  });

  test('the clay that is chosen is pressed, and no other', () => {
    const pressed = row().getAllByRole('button', { pressed: true });
    expect(pressed.map((b) => b.textContent)).toEqual([expect.stringMatching(/^Chalk/)]);
  });

  test('only an empty one can be taken off the shelf', async () => {
    const full = row();
    expect(full.queryByRole('button', { name: 'take it off the shelf' })).toBeNull();
    full.unmount();
    const empty = row([]);
    expect(empty.getByRole('button', { name: 'Add the first colour of Hearth Firm' })).toBeTruthy();
    await empty.user.click(empty.getByRole('button', { name: 'take it off the shelf' }));
    expect(await post.next()).toMatchObject({ method: 'DELETE', path: `/api/lines/${line.id}`, query: 'version=0' });
  });
});
