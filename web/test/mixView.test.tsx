/** @jest-environment ./web/test/page.mjs */
import { keyOf, ofClay, ofMix } from '#core/material';
import { Fraction } from '#core/units';
import { flatten, type Flat } from '#core/mix';
import { massOfSheet, thicknesses } from '#core/sheet';
import { machines, setup } from '#demo';
import type { IngredientDto, MixAnswer, MixDto, RevisionAnswer } from '#contract';
import { DiscStack } from '../src/parts/DiscStack.js';
import { HowMuch } from '../src/stations/mixes/HowMuch.js';
import { MixingTile } from '../src/stations/mixes/MixingTile.js';
import Mixes from '../src/stations/mixes/Mixes.js';
import { bookOf, recipeOf } from '../src/state/book.js';
import { useTile } from '../src/state/tile.js';
import { useView } from '../src/state/view.js';
import { SHELF, clayId, pickable, revision } from './kitchen.js';
import { post } from './letters.js';
import { expectWhole, shown, shownAt, typeInto, type Read, type Shown, type ShownStation } from './screen.js';

beforeEach(() => {
  useTile.setState({ carried: [] });
  useView.setState({ mixGrams: 40 });
});

const recipe = revision('Radish skin', { Radish: '3', Beetroot: '1', Chalk: '1/2' });
const mixOf = (more: Partial<MixAnswer> = {}): MixAnswer => ({
  ...{ id: recipe.mixId, version: 4, name: 'Radish skin', note: '', retired: false, wantedHex: null },
  ...{ revisions: [recipe], referenced: [], chips: [], sameAs: [], usedIn: [] },
  ...more,
});
const READ: Read = [
  ...pickable('leek', 'beetroot'),
  [['/api/machines'], { machines, setup }],
  [['/api/learning'], { use: false, learned: null }],
];
const tileWith = (more: Partial<MixAnswer> = {}, units: 'metric' | 'imperial' = 'metric'): ShownStation =>
  shownAt('/mixes/m', '/mixes/:mixId', <MixingTile mix={mixOf(more)} shelf={SHELF} />, READ, units);

const parts = (ingredients: readonly IngredientDto[]): Readonly<Record<string, string>> =>
  Object.fromEntries(
    ingredients.map((i) => [SHELF.clays.find((c) => keyOf(ofClay(c.id)) === keyOf(i.of))?.name ?? i.of.id, i.parts]),
  );
const sentParts = async (): Promise<Readonly<Record<string, string>>> =>
  parts((await post.next()).body.ingredients as IngredientDto[]);
const WHOLE = { Radish: '3', Beetroot: '1', Chalk: '1/2' };

describe('a mix on the tile', () => {
  test.each(['metric', 'imperial'] as const)('shows discs, parts and grams, %s', (units) => {
    const page = tileWith({}, units);
    expectWhole(page);
    expect(page.words()).toContain('3 Radish');
    expect(page.words()).toContain('½ Chalk');
    expect(page.words()).toMatch(units === 'metric' ? /4½ parts.* · 40 g/ : /4½ parts.* · 1\.41 oz/);
  });

  test('a click on a stack adds a disc', async () => {
    const page = tileWith();
    await page.user.click(page.getByRole('button', { name: '3 Radish: add a disc' }));
    expect(await sentParts()).toEqual({ ...WHOLE, Radish: '4' });
  });

  test.each([
    ['+', '2'],
    ['{ArrowUp}', '2'],
    ['h', '3/2'],
    ['q', '5/4'],
    ['-', '1/2'],
    ['{ArrowDown}', '1/2'],
    ['{Delete}', undefined],
  ])('the key %s on a stack of one leaves %s', async (key, left) => {
    const page = tileWith();
    page.getByRole('button', { name: '1 Beetroot: add a disc' }).focus();
    await page.user.keyboard(key);
    const { Beetroot: _, ...others } = WHOLE;
    expect(await sentParts()).toEqual(left === undefined ? others : { ...WHOLE, Beetroot: left });
  });

  test.each([
    ['Take a disc of Radish away', { Radish: '2' }],
    ['Add a quarter of Chalk', { Chalk: '3/4' }],
    ['Add a half of Chalk', { Chalk: '1' }],
    ['Add a disc of Beetroot', { Beetroot: '2' }],
  ])('%s', async (name, wanted) => {
    const page = tileWith();
    await page.user.click(page.getByRole('button', { name }));
    expect(await sentParts()).toEqual({ ...WHOLE, ...wanted });
  });

  test('the last disc of the last clay stays', async () => {
    const alone = { ...recipe, ingredients: [{ parts: '1/4', of: ofClay(clayId('Radish')) }] };
    const page = tileWith({ revisions: [alone] });
    await page.user.click(page.getByRole('button', { name: 'Take a disc of Radish away' }));
    page.getByRole('button', { name: '¼ Radish: add a disc' }).focus();
    await page.user.keyboard('{Delete}');
    expect(post.letters).toEqual([]);
  });

  test('a clay more is laid beside; one that lies there gets a disc', async () => {
    const page = tileWith();
    await page.user.keyboard('a');
    await page.user.type(page.getByRole('combobox', { name: 'Clay or mix to add' }), 'leek{Enter}');
    expect(await sentParts()).toEqual({ ...WHOLE, Leek: '1' });
    await page.user.click(page.getByRole('button', { name: 'Add a clay or a mix' }));
    await page.user.type(page.getByRole('combobox', { name: 'Clay or mix to add' }), 'beetroot{Enter}');
    expect(await sentParts()).toEqual({ ...WHOLE, Beetroot: '2' });
  });

  test('parts are by volume or by mass', async () => {
    const page = tileWith();
    await page.user.selectOptions(page.getByLabelText('Parts are'), 'by mass (scale)');
    expect((await post.next()).body).toMatchObject({ basis: 'mass' });
  });

  test('is carried on the tile', async () => {
    await tileWith().user.keyboard('c');
    expect(useTile.getState().carried).toMatchObject([{ kind: 'mix', name: 'Radish skin', revisionId: recipe.id }]);
  });

  test.each<[string, string, Partial<MixDto>]>([['Name of the mix', 'Skin', { name: 'Skin' }]])(
    '%s %s',
    async (label, text, wanted) => {
      await typeInto(tileWith(), label, text);
      expect((await post.next()).body).toMatchObject(wanted);
    },
  );

  test('a note is kept when it is left, and what did not change is not sent', async () => {
    const page = tileWith();
    await page.user.click(page.getByLabelText('Note on the mix'));
    await page.user.tab();
    expect(post.letters).toEqual([]);
    await page.user.type(page.getByLabelText('Note on the mix'), 'a breath of pink');
    await page.user.tab();
    expect((await post.next()).body.note).toBe('a breath of pink');
  });

  test('is retired, brought back, and taken off the board', async () => {
    const page = tileWith();
    await page.user.click(page.getByRole('button', { name: 'Retire' }));
    expect((await post.next()).body.retired).toBe(true);
    await page.user.click(page.getByRole('button', { name: 'Take off the board' }));
    expect(await post.next()).toMatchObject({
      method: 'DELETE',
      path: `/api/mixes/${recipe.mixId}`,
      query: 'version=4',
    });
    page.unmount();
    expect(tileWith({ retired: true }).getByRole('button', { name: 'Bring it back' })).toBeTruthy();
  });
});

describe('older recipes', () => {
  const second: RevisionAnswer = { ...revision('Radish skin', { Radish: '1' }), id: 'second', number: 2 };
  const both = { revisions: [{ ...recipe, newest: false, made: true }, second] };

  test('one is looked at, cannot be changed, and can be used again', async () => {
    const page = tileWith(both);
    expect(page.words()).toContain('revision 2');
    await page.user.click(page.getByRole('button', { name: '1', pressed: false }));
    expect(page.words()).toContain('An older recipe.');
    expect(page.words()).toContain('revision 1, made: a change begins a new one');
    expect(page.queryByRole('button', { name: 'Add a clay or a mix' })).toBeNull();
    await page.user.click(page.getByRole('button', { name: '3 Radish: add a disc' }));
    expect(post.letters).toEqual([]);
    await page.user.click(page.getByRole('button', { name: 'Use it again' }));
    expect(await sentParts()).toEqual(WHOLE);
  });

  test('and left again', async () => {
    const page = tileWith(both);
    await page.user.click(page.getByRole('button', { name: '1', pressed: false }));
    await page.user.click(page.getByRole('button', { name: 'back to revision 2' }));
    expect(page.words()).not.toContain('An older recipe.');
  });
});

describe('the recipe in notation', () => {
  const FIELD = 'Recipe in notation';

  test('is read by Sledge, and the mix is then that', async () => {
    const ingredients = [{ parts: '2', of: ofClay(clayId('Leek')) }];
    post.answer((body) => (body.text === undefined ? body : { ingredients, referenced: [], basis: 'mass' }));
    const page = tileWith();
    expect((page.getByLabelText(FIELD) as HTMLInputElement).value).toBe('3 Radish + 1 Beetroot + ½ Chalk');
    await typeInto(page, FIELD, '2 g Leek');
    expect(await post.next()).toMatchObject({ method: 'POST', path: '/api/notation', body: { text: '2 g Leek' } });
    const { body } = await post.next();
    expect([parts(body.ingredients as IngredientDto[]), body.basis]).toEqual([{ Leek: '2' }, 'mass']);
  });

  test('what cannot be read stays, with a sentence; Escape brings the recipe back', async () => {
    post.refuse('There is no clay called Zebra.');
    const page = tileWith();
    await typeInto(page, FIELD, '2 Zebra');
    expect(await page.findByText('There is no clay called Zebra.')).toBeTruthy();
    expect((page.getByLabelText(FIELD) as HTMLInputElement).value).toBe('2 Zebra');
    await page.user.keyboard('{Escape}');
    expect((page.getByLabelText(FIELD) as HTMLInputElement).value).toBe('3 Radish + 1 Beetroot + ½ Chalk');
    expect(page.queryByText('There is no clay called Zebra.')).toBeNull();
  });
});

describe('how much of a mix', () => {
  const book = bookOf(SHELF, [recipe]);
  const own = recipeOf(recipe.basis, recipe.ingredients);
  const flat: Flat = flatten(own, book);
  const names = ['Radish', 'Beetroot', 'Chalk'];
  const howMuch = (shelf = SHELF, machine = { machines, setup } as unknown): Shown =>
    shown(<HowMuch flat={flat} recipe={own} book={book} shelf={shelf} nameAt={(i) => names[i]!} />, 'metric', [
      [['/api/machines'], machine],
    ]);
  const grams = (page: Shown): Readonly<Record<string, number>> =>
    Object.fromEntries(
      [...page.getByRole('list', { name: 'Clay for this weight' }).children].map((li) => {
        const [, name, amount] = /^([A-Za-z]+?)([\d.]+) g/.exec(li.textContent ?? '')!;
        return [name, Number(amount)];
      }),
    );

  test('the clays of one line are in the ratio of their parts, and are all of the weight', async () => {
    const page = howMuch();
    await typeInto(page, 'Weight of the mix', '90 g');
    expect(grams(page)).toEqual({ Radish: 60, Beetroot: 20, Chalk: 10 });
  });

  test('as much as a sheet takes', async () => {
    const page = howMuch();
    await typeInto(page, 'Size of the sheet', '100 × 100 mm');
    await page.user.selectOptions(page.getByLabelText('Setting of the sheet'), '3');
    // 100 cm² × 0.206 cm × 1.9 g/cm³
    await page.user.click(page.getByRole('button', { name: '39.1 g' }));
    expect(useView.getState().mixGrams).toBeCloseTo(massOfSheet(10_000, thicknesses(machines[0]!)[3]!.mm, 1.9), 6);
  });

  test('until the scarcest clay is gone', async () => {
    const page = howMuch();
    // 57 g of radish are on the shelf, of which two thirds of the mix are
    await page.user.click(page.getByRole('button', { name: 'until the Radish is gone' }));
    expect(useView.getState().mixGrams).toBeCloseTo(85.5, 6);
    page.unmount();
    const none = howMuch({ ...SHELF, blocks: SHELF.blocks.filter((b) => b.clayId !== clayId('Radish')) });
    expect(none.words()).toContain('Radish is not on the shelf now');
  });

  test('what is short is said beside the clay', async () => {
    const page = howMuch();
    await typeInto(page, 'Weight of the mix', '180 g');
    expect(page.words()).toContain('120 g, 63 g short');
    expect(page.words().match(/short/g)).toHaveLength(1);
  });

  test('discs are counted to quarters; another cutter is the bench’s', async () => {
    const page = howMuch();
    // a disc 20 mm across at 2.06 mm: π cm² × 0.206 cm × 1.9 g/cm³ = 1.23 g, so 32.5 in 40 g
    expect(page.words()).toContain('1.2 g a disc');
    expect(page.words()).toMatch(/32[½¾] discs: 21¾ Radish \+ 7¼ Beetroot \+ 3[½¾] Chalk/);
    await typeInto(page, 'Disc cutter', '25 mm');
    expect(await post.next()).toMatchObject({ path: '/api/bench', body: { discMm: 25 } });
  });

  test('where no setting is chosen for discs it is asked for', async () => {
    const page = howMuch(SHELF, { machines, setup: { ...setup, discSettingId: null } });
    await page.user.selectOptions(page.getByLabelText('Setting of the discs'), '4');
    const four = machines[0]!.settings.find((s) => s.label === '4')!;
    expect((await post.next()).body.discSettingId).toBe(four.id);
  });
});

describe('a stack of discs', () => {
  const slabs = (count: string, beside: readonly string[] = []): number =>
    shown(
      <DiscStack parts={new Fraction(count)} hex="7B1E4B" beside={beside.map((b) => new Fraction(b))} />,
    ).container.querySelectorAll('g').length;
  test.each([
    ['3', 3],
    ['1/2', 1],
    ['1/4', 1],
    ['3/4', 2],
    ['5/2', 3],
    ['1/3', 1],
    ['40', 1],
  ])('%s parts are %d pieces', (count, pieces) => {
    expect(slabs(count)).toBe(pieces);
  });

  test('beside a taller one it is as much lower', () => {
    const height = (count: string, beside: string): number => {
      const page = shown(<DiscStack parts={new Fraction(count)} hex="7B1E4B" beside={[new Fraction(beside)]} />);
      return Number(page.container.querySelector('svg')?.getAttribute('height'));
    };
    expect(height('2', '2')).toBeGreaterThan(height('2', '20'));
  });
});

describe('mixes', () => {
  const at = (address: string, count = 0, shelf = SHELF): ShownStation =>
    shownAt(address, '/mixes/:mixId?', <Mixes />, [
      [['/api/shelf'], shelf],
      [['/api/blends'], []],
      ...['hue', 'name'].map((sort) => {
        const key = ['/api/mixes', new URLSearchParams({ search: '', sort }).toString()];
        return [key, { pages: [{ cards: [], total: count }], pageParams: [0] }] as const;
      }),
    ]);

  test('without clay it leads to the shelf, without a mix to the first one', async () => {
    const bare = at('/mixes', 0, { lines: [], clays: [], blocks: [] });
    await bare.user.click(bare.getByRole('button', { name: 'Go to the shelf' }));
    expect(bare.address()).toBe('/shelf');
    bare.unmount();
    const page = at('/mixes');
    await page.user.click(page.getByRole('button', { name: 'Make the first mix' }));
    expect(page.address()).toBe('/mixes/new');
  });

  test('a new mix begins with one disc, under a name or a number', async () => {
    const page = at('/mixes/new', 6);
    await page.user.click(page.getByRole('button', { name: 'Beetroot' }));
    const unnamed = await post.next();
    expect(unnamed.body).toMatchObject({ name: 'Mix 7', basis: 'volume', ingredients: [{ parts: '1' }] });
    page.unmount();
    const named = at('/mixes/new');
    await named.user.type(named.getByLabelText('Name of the mix'), 'Beet');
    await named.user.click(named.getByRole('button', { name: 'Beetroot' }));
    expect((await post.next()).body.name).toBe('Beet');
  });

  test('a name that is taken is said where it was typed', async () => {
    post.refuse('There is a mix called Beet already.');
    const page = at('/mixes/new');
    await page.user.type(page.getByLabelText('Name of the mix'), 'Beet');
    await page.user.click(page.getByRole('button', { name: 'Beetroot' }));
    expect(await page.findByText('There is a mix called Beet already.')).toBeTruthy();
    expect((page.getByLabelText('Name of the mix') as HTMLInputElement).value).toBe('Beet');
  });

  test.each([
    ['n', 'new'],
    ['f', 'find'],
    ['k', 'correct'],
    ['x', 'files'],
  ])('the key %s leads to %s', async (key, to) => {
    const page = at('/mixes');
    await page.user.keyboard(key);
    expect(page.address()).toBe(`/mixes/${to}`);
  });
});

test('a mix of a mix has the colour of a mix in its stack', () => {
  const ring = revision('Beet ring', { Chalk: '4', Beetroot: '1' });
  const over = { ...recipe, ingredients: [{ parts: '2', of: ofMix(ring.id) }] };
  const page = tileWith({ revisions: [over], referenced: [ring] });
  expect(page.getByRole('button', { name: '2 Beet ring: add a disc' })).toBeTruthy();
});
