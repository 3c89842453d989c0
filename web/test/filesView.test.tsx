/** @jest-environment ./web/test/page.mjs */
import { waitFor } from '@testing-library/react';
import type { FileContent } from '#core/formats';
import type { PaletteDto, TakeInAnswer } from '#contract';
import { Preview } from '../src/stations/mixes/exchange/Preview.js';
import { useSaid } from '../src/wire/save.js';
import { post } from './letters.js';
import { shown, shownAt, type ShownStation } from './screen.js';

const line = (row: number, name: string) => ({
  row,
  name,
  recipe: '2 Leek + 1 Corn',
  basis: 'volume' as const,
  note: '',
});
const MIXES: FileContent = { holds: 'mixes', mixes: [line(2, 'Outer leek'), line(3, 'Swede')], faults: [] };
const onBoard = (there: readonly boolean[], faults: TakeInAnswer['faults'] = []): TakeInAnswer => ({
  mixes: there.map((own, i) => ({ row: i + 2, name: `Mix ${i}`, notation: '2 Leek', hex: '4F7F45', there: own })),
  faults,
  taken: null,
});
const COLOURS: FileContent = {
  holds: 'colours',
  faults: [],
  file: {
    name: 'Winter "garden"',
    colours: [
      { name: 'kale', lab: { l: 40, a: -20, b: 20 }, share: null },
      { name: 'frost', lab: { l: 90, a: 0, b: -4 }, share: 0.5 },
    ],
  },
};

interface Looking extends ShownStation {
  readonly left: () => number;
}
function looking(content: FileContent, board: TakeInAnswer | null = null): Looking {
  let left = 0;
  const view = <Preview looked={{ fileName: 'winter.csv', content, board }} onLeave={() => (left += 1)} />;
  return { ...shownAt('/mixes/files', '/mixes/files', view, []), left: () => left };
}

describe('what is in a file of mixes', () => {
  test('says how many there are, and which are on the board', () => {
    const page = looking(MIXES, onBoard([false, true]));
    expect(page.words()).toContain('winter.csv');
    expect(page.words()).toContain('2 mixes');
    const rows = [...page.getByRole('list', { name: 'Mixes of the file' }).children].map((li) => li.textContent);
    expect(rows).toEqual(['Mix 02 Leek', 'Mix 1 on the board already2 Leek']);
    expect(page.getByRole('button', { name: 'Take in one mix' })).toBeTruthy();
  });

  test('all of them are taken in at once, and what was done is said', async () => {
    post.answer(() => ({ ...onBoard([true, true]), taken: 2 }));
    const page = looking(MIXES, onBoard([false, false]));
    await page.user.click(page.getByRole('button', { name: 'Take in 2 mixes' }));
    const { method, path, body } = await post.next();
    expect([method, path]).toEqual(['POST', '/api/exchange/mixes']);
    expect(body).toEqual({ mixes: MIXES.holds === 'mixes' && MIXES.mixes, sure: true });
    expect(useSaid.getState().sentence).toBe('2 mixes taken in.');
    expect(page.left()).toBe(1);
  });

  test('where all are there, there is nothing to take in', () => {
    const button = looking(MIXES, onBoard([true, true])).getByRole('button', { name: 'All of them are there' });
    expect((button as HTMLButtonElement).disabled).toBe(true);
  });

  test('one wrong row and nothing is taken in, from the file or from the board', () => {
    const wrong = { row: 3, sentence: 'There is no clay called Zebra.' };
    const file: FileContent = { ...MIXES, faults: [{ row: null, sentence: 'The file has no heading.' }] };
    const page = looking(file, onBoard([false, false], [wrong]));
    const list = page.getByRole('list', { name: 'What is wrong in the file' });
    expect([...list.children].map((li) => li.textContent)).toEqual([
      'The file has no heading.',
      'Row 3: There is no clay called Zebra.',
    ]);
    const button = page.getByRole('button', { name: 'Take in 2 mixes' }) as HTMLButtonElement;
    expect(button.disabled).toBe(true);
  });

  test('of very many some are shown and the others counted', () => {
    const page = looking(MIXES, onBoard(Array.from({ length: 450 }, () => false)));
    expect(page.getAllByRole('listitem')).toHaveLength(200);
    expect(page.words()).toContain('… and 250 more');
  });

  test('it can be left as it is', async () => {
    const page = looking(MIXES, onBoard([false, false]));
    await page.user.click(page.getByRole('button', { name: 'Leave it' }));
    expect([page.left(), post.letters.length]).toEqual([1, 0]);
  });
});

describe('what is in a file of colours', () => {
  test('is kept as a palette, which is then shown', async () => {
    const page = looking(COLOURS);
    expect(page.words()).toContain('2 colours');
    await page.user.click(page.getByRole('button', { name: 'Keep it as a palette' }));
    const { path, body } = await post.next();
    const palette = body as unknown as PaletteDto;
    expect(path).toBe(`/api/palettes/${palette.id}`);
    expect(palette).toMatchObject({ name: 'Winter garden', note: 'from winter.csv', pictureId: null });
    expect(palette.swatches.map(({ name, l, a, b, share }) => [name, l, a, b, share])).toEqual([
      ['kale', 40, -20, 20, null],
      ['frost', 90, 0, -4, 0.5],
    ]);
    await waitFor(() => {
      expect(page.address()).toBe(`/mixes/photograph/${palette.id}`);
    });
  });

  test('one that is refused can be tried again', async () => {
    post.refuse('There is no room for more palettes.');
    const page = looking(COLOURS);
    await page.user.click(page.getByRole('button', { name: 'Keep it as a palette' }));
    await post.next();
    const button = await page.findByRole('button', { name: 'Keep it as a palette' });
    await page.user.click(button);
    expect((await post.next()).method).toBe('PUT');
    expect(page.address()).toBe('/mixes/files');
  });
});

test('a file that holds neither offers nothing but to leave it', () => {
  const nothing = { holds: 'nothing', faults: [{ row: null, sentence: 'This is no file of colours.' }] } as FileContent;
  const page = shown(
    <Preview looked={{ fileName: 'x.bin', content: nothing, board: null }} onLeave={() => undefined} />,
  );
  expect(page.getAllByRole('button').map((b) => b.textContent)).toEqual(['Leave it']);
  expect(page.words()).toContain('cannot be taken in');
});
