/** @jest-environment ./web/test/page.mjs */
import { keyOf, ofBlend, ofClay, ofMix } from '#core/material';
import { TAKES, type BlendCard, type MixCard, type Place } from '#contract';
import { MaterialPicker, type Picked } from '../src/parts/MaterialPicker.js';
import { useTile } from '../src/state/tile.js';
import { SHELF, clayId, plan } from './kitchen.js';
import { nameless, shown, type Read, type Shown } from './screen.js';

const card = (name: string, notation: string): MixCard => ({
  ...{ id: name, revisionId: `${name} 1`, name, notation, hex: '7B1E4B', lightness: 30, hue: 0, chroma: 40 },
  retired: false,
  possibleGrams: 10,
});
const MIXES = [card('Beet ring', '4 Chalk + 1 Beetroot'), card('Swede', '3 Chalk + 1 Carrot')];
const FADE: BlendCard = {
  ...{ id: 'fade', revisionId: 'fade 1', name: 'Straw fade', retired: false, plan: plan(['Corn', 'Squash']) },
  ...{ hexes: ['F0CB55', 'E29A2E'], names: ['Corn', 'Squash'] },
};

/** What the board answers to a search, letter by letter. */
function boardFor(...words: readonly string[]): Read {
  const typed = ['', ...words.flatMap((word) => Array.from(word, (_, i) => word.slice(0, i + 1)))];
  return typed.map((search) => {
    const cards = MIXES.filter((m) => `${m.name} ${m.notation}`.toLowerCase().includes(search.toLowerCase()));
    const key = ['/api/mixes', new URLSearchParams({ search, sort: 'name' }).toString()];
    return [key, { pages: [{ cards, total: cards.length }], pageParams: [0] }] as const;
  });
}

interface Picking extends Shown {
  readonly picked: Picked[];
  readonly cancelled: () => number;
}

function picking(place: Place, words: readonly string[] = [], without?: string): Picking {
  const picked: Picked[] = [];
  let cancelled = 0;
  const read: Read = [[['/api/shelf'], SHELF], [['/api/blends'], [FADE]], ...boardFor(...words)];
  const page = shown(
    <>
      <MaterialPicker
        place={place}
        label="What it is made of"
        onPick={(choice) => picked.push(choice)}
        onCancel={() => (cancelled += 1)}
        {...(without === undefined ? {} : { without })}
      />
      <button type="button">elsewhere</button>
    </>,
    'metric',
    read,
  );
  return { ...page, picked, cancelled: () => cancelled };
}
const offered = (page: Picking): string[] => page.getAllByRole('option').map((o) => o.textContent ?? '');
const field = (page: Picking): HTMLElement => page.getByRole('combobox', { name: 'What it is made of' });

afterEach(() => {
  useTile.setState({ carried: [] });
});

describe('picking what something is made of', () => {
  test.each(Object.keys(TAKES) as Place[])('for %s it says what can be taken, and why not the rest', (place) => {
    const page = picking(place);
    expect(document.activeElement).toBe(field(page));
    expect(page.words()).toContain(TAKES[place].because);
    expect(nameless(page)).toEqual([]);
    const kinds: readonly string[] = TAKES[place].takes;
    const mixable = kinds.some((kind) => ['clay', 'mix', 'blend'].includes(kind));
    if (!mixable) return;
    const blends = offered(page).filter((text) => text.startsWith('Straw fade'));
    expect(blends).toHaveLength((TAKES[place].takes as readonly string[]).includes('blend') ? 1 : 0);
  });

  test('a few letters and Enter take the first that is called so', async () => {
    const page = picking('log', ['beet']);
    await page.user.type(field(page), 'beet{Enter}');
    expect(page.picked.map((p) => keyOf(p.of))).toEqual([keyOf(ofClay(clayId('Beetroot')))]);
  });

  test('arrows go down and up the list, and stop at its ends', async () => {
    const page = picking('log', ['beet']);
    await page.user.type(field(page), 'beet{ArrowDown}');
    expect(page.getByRole('option', { selected: true }).textContent).toContain('Beet ring');
    await page.user.keyboard('{ArrowDown}{ArrowDown}{ArrowDown}{Enter}');
    expect(page.picked.map((p) => keyOf(p.of))).toEqual([keyOf(ofMix('Beet ring 1'))]);
    await page.user.keyboard('{ArrowUp}{ArrowUp}{ArrowUp}{ArrowUp}{Enter}');
    expect(page.picked.map((p) => keyOf(p.of))[1]).toBe(keyOf(ofClay(clayId('Beetroot'))));
  });

  test('a click takes what is under it', async () => {
    const page = picking('plug');
    await page.user.click(page.getByRole('option', { name: /^Straw fade/ }));
    expect(page.picked.map((p) => keyOf(p.of))).toEqual([keyOf(ofBlend('fade 1'))]);
  });

  test('Escape lets it be, and so does going elsewhere', async () => {
    const page = picking('log');
    await page.user.keyboard('{Escape}');
    expect([page.picked, page.cancelled()]).toEqual([[], 1]);
    page.unmount();
    const left = picking('log');
    await left.user.click(left.getByRole('button', { name: 'elsewhere' }));
    expect([left.picked, left.cancelled()]).toEqual([[], 1]);
  });

  test('where nothing is called so it says that, and Enter takes nothing', async () => {
    const page = picking('log', ['zebra']);
    await page.user.type(field(page), 'zebra');
    expect(page.queryAllByRole('option')).toEqual([]);
    expect(page.words()).toContain('Nothing that can be taken here is called so.');
    await page.user.keyboard('{Enter}');
    expect(page.picked).toEqual([]);
  });

  test('what lies on the tile comes first', () => {
    useTile.setState({
      carried: [{ kind: 'mix', id: 'Swede', revisionId: 'Swede 1', name: 'Swede', hexes: ['E7712C'] }],
    });
    const page = picking('log');
    expect(offered(page)[0]).toMatch(/^Swede.*on the tile/);
  });

  test('a mix is not made of itself', () => {
    const swedes = (page: Picking): string[] => offered(page).filter((text) => text.startsWith('Swede'));
    const of = picking('ingredient');
    expect(swedes(of)).toHaveLength(1);
    of.unmount();
    expect(swedes(picking('ingredient', [], 'Swede'))).toEqual([]);
  });
});
