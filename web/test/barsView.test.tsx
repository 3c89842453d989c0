/** @jest-environment ./web/test/page.mjs */
import { cutterOfSize } from '#core/cutter';
import { createRef } from 'react';
import { waitFor } from '@testing-library/react';
import { Fault } from '#core/units';
import { ClashBar } from '../src/parts/ClashBar.js';
import { FaultBar } from '../src/parts/FaultBar.js';
import { GardenBar, LookRound } from '../src/parts/GardenBar.js';
import { KeyList } from '../src/parts/KeyList.js';
import { LongList } from '../src/parts/LongList.js';
import { Meanings } from '../src/parts/Meanings.js';
import { OpenFile } from '../src/parts/OpenFile.js';
import { Tile } from '../src/parts/Tile.js';
import { CutLayout } from '../src/parts/CutLayout.js';
import { AmountBar } from '../src/parts/AmountBar.js';
import { useFaults } from '../src/state/faults.js';
import { useKeys } from '../src/state/keys.js';
import { useTile } from '../src/state/tile.js';
import { useOutbox, type Clash } from '../src/wire/outbox.js';
import { SHELF, clayId } from './kitchen.js';
import { post } from './letters.js';
import { nameless, shown } from './screen.js';

beforeEach(() => {
  useTile.setState({ carried: [] });
  useOutbox.setState({ clashes: [] });
  useFaults.setState({ told: [] });
});

describe('two windows that changed the same', () => {
  const CLAY = SHELF.clays.find((c) => c.id === clayId('Chalk'))!;
  const clash = (name: string, touching: readonly string[], mine: object, theirs: object): Clash => ({
    path: `/api/clays/${CLAY.id}`,
    sentence: `${name} was changed in another window, too.`,
    mine: { ...CLAY, ...mine } as Clash['mine'],
    theirs: { ...CLAY, ...theirs } as Clash['theirs'],
    joined: { body: { ...CLAY, ...mine } as Clash['mine'], touching },
  });
  const bar = () => shown(<ClashBar />, 'metric', [[['/api/shelf'], SHELF]]);

  test('nothing is shown where nothing clashes', () => {
    expect(bar().container.textContent).toBe('');
  });

  test('both states stand side by side, only in what differs', () => {
    useOutbox.setState({
      clashes: [
        clash(
          'Chalk',
          ['name', 'bakedHex'],
          { name: 'White', bakedHex: 'FFFFFF' },
          { name: 'Milk', bakedHex: 'EEEEEE' },
        ),
        clash('Chalk', ['strength'], { strength: 2 }, { strength: 3 }),
      ],
    });
    const page = bar();
    const words = page.words();
    for (const part of ['Here', 'name White', 'baked colour FFFFFF', 'In the other window', 'name Milk', '1 more'])
      expect(words).toContain(part);
    expect(words).not.toContain('raw colour');
    expect(nameless(page)).toEqual([]);
  });

  test.each([
    ['Keep this one', { name: 'White', kind: 'mica' }],
    ['Take that one', { name: 'Milk', kind: 'mica' }],
  ])('%s: what only one of them changed stays in both cases', async (button, wanted) => {
    useOutbox.setState({ clashes: [clash('Chalk', ['name'], { name: 'White', kind: 'mica' }, { name: 'Milk' })] });
    const page = bar();
    await page.user.click(page.getByRole('button', { name: button }));
    expect((await post.next()).body).toMatchObject(wanted);
    await waitFor(() => {
      expect(page.queryByRole('alertdialog')).toBeNull();
    });
  });
});

describe('a fault', () => {
  test('is said once, and put aside when it was read', async () => {
    const fault = new Fault('a cane was worked out', new Error('cut'));
    useFaults.setState({ told: [fault] });
    const page = shown(<FaultBar />);
    expect(page.words()).toContain('Something went wrong inside Sledge while a cane was worked out.');
    await page.user.click(page.getByRole('button', { name: 'I have read it' }));
    expect(page.container.textContent).toBe('');
    expect(useFaults.getState().told).toEqual([]);
  });
});

describe('looking round', () => {
  test('a garden says that nothing of it is kept, and leads back', () => {
    const page = shown(<GardenBar />, 'metric', [[['/api/garden'], { address: null, back: '/own' }]]);
    expect(page.words()).toContain('nothing of it is kept');
    expect(page.getByRole('link', { name: 'Back to your own shelf' }).getAttribute('href')).toBe('/own');
    page.unmount();
    const own = shown(<GardenBar />, 'metric', [[['/api/garden'], { address: '/garden', back: null }]]);
    expect(own.container.textContent).toBe('');
  });

  test('where no garden can be laid out it says so, and can be asked again', async () => {
    post.refuse('There is no room for a garden.');
    const page = shown(<LookRound />);
    await page.user.click(page.getByRole('button', { name: 'Look round in the kitchen garden first' }));
    expect(await page.findByText('There is no room for a garden.')).toBeTruthy();
    expect(await post.next()).toMatchObject({ method: 'POST', path: '/api/garden' });
    expect(page.getByRole('button', { name: 'Look round in the kitchen garden first' })).toBeTruthy();
  });
});

describe('the tile', () => {
  const item = (kind: 'mix' | 'blend' | 'sheet', name: string) => ({
    kind,
    id: name,
    name,
    hexes: ['7B1E4B'],
    revisionId: name,
  });

  test('is empty with a word how to fill it', () => {
    expect(shown(<Tile />).words()).toContain('Press C at a mix, a blend or a sheet to carry it along.');
  });

  test('what is carried leads back to where it is from, and is put down', async () => {
    const { put } = useTile.getState();
    put(item('mix', 'Beet ring'));
    put(item('blend', 'Straw fade'));
    put({ ...item('sheet', 'Pea pod, 4'), form: 'sheet' });
    const page = shown(<Tile />);
    expect(page.getAllByRole('link').map((a) => a.getAttribute('href'))).toEqual([
      '/sheets/book/Pea pod, 4',
      '/blends/Straw fade',
      '/mixes/Beet ring',
    ]);
    await page.user.click(page.getByRole('button', { name: 'Put Straw fade down' }));
    expect(useTile.getState().carried.map((c) => c.name)).toEqual(['Pea pod, 4', 'Beet ring']);
  });

  test('holds six; what is carried again comes first', () => {
    const { put } = useTile.getState();
    for (const name of ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'b']) put(item('mix', name));
    expect(useTile.getState().carried.map((c) => c.name)).toEqual(['b', 'g', 'f', 'e', 'd', 'c']);
  });
});

describe('the list of keys', () => {
  function Place() {
    useKeys('Shelf', [
      { key: 'n', does: 'New line', run: () => undefined },
      { key: 'ArrowUp', does: 'Up', run: () => undefined },
      { key: ' ', does: 'Done', run: () => undefined },
      { key: 'S', does: 'Save all', run: () => undefined },
    ]);
    return <KeyList dialog={createRef()} />;
  }

  test('names every key of what is on the screen as it is printed on it', () => {
    const words = shown(<Place />).words();
    for (const line of ['NNew line', 'arrow UpUp', 'spaceDone', 'shift SSave all']) expect(words).toContain(line);
  });

  test('a key does not run while somebody types', async () => {
    let ran = 0;
    function Typing() {
      useKeys('Here', [{ key: 'n', does: 'New', run: () => (ran += 1) }]);
      return <input aria-label="a field" />;
    }
    const page = shown(<Typing />);
    await page.user.keyboard('n');
    await page.user.type(page.getByLabelText('a field'), 'nnn');
    expect(ran).toBe(1);
    page.unmount();
    await page.user.keyboard('n');
    expect(ran).toBe(1);
  });
});

describe('parts that many stations share', () => {
  test('a file is opened by a button, by O, and what is wrong with it is said', async () => {
    const files: File[] = [];
    const openFile = (busy: string | null, wrong: string | null) => (
      <OpenFile
        {...{ place: 'Files', label: 'Palette file', accept: '.txt', what: 'a palette', busy, wrong }}
        onFile={(file) => files.push(file)}
      >
        or drop it
      </OpenFile>
    );
    const page = shown(openFile(null, 'That is no palette.'));
    expect(page.words()).toContain('That is no palette.');
    await page.user.upload(page.getByLabelText('Palette file'), new File(['x'], 'a.txt'));
    expect(files.map((f) => f.name)).toEqual(['a.txt']);
    page.unmount();
    const busy = shown(openFile('Reading …', null));
    expect((busy.getByRole('button', { name: /^Reading/ }) as HTMLButtonElement).disabled).toBe(true);
  });

  test('meanings of what was typed are buttons; with none there is nothing', async () => {
    const said: string[] = [];
    const page = shown(<Meanings choices={['3 of mine', '3 of theirs']} onChoose={(text) => said.push(text)} />);
    await page.user.click(page.getByRole('button', { name: '3 of theirs' }));
    expect(said).toEqual(['3 of theirs']);
    page.unmount();
    expect(shown(<Meanings choices={[]} onChoose={() => undefined} />).container.textContent).toBe('');
  });

  test('an amount that is short is hatched as far as it is short', () => {
    const widths = (short: number) =>
      [
        ...shown(<AmountBar grams={40} short={short} longest={80} hex="7B1E4B" />).container.querySelectorAll('rect'),
      ].map((r) => r.getAttribute('width'));
    expect(widths(0)).toEqual(['50%']);
    expect(widths(10)).toEqual(['37.5%', '12.5%']);
  });

  test('a long list says how long it is and where each row stands; another one begins at its beginning', () => {
    const seen: (readonly [number, number])[] = [];
    const list = (
      <LongList
        {...{ label: 'Entries', total: 0, lanes: 1, height: 84, of: '' }}
        row={(place) => place}
        keyOf={String}
        onSeen={(from, to) => seen.push([from, to])}
      >
        nothing like that
      </LongList>
    );
    const page = shown(list);
    expect(page.getByRole('list', { name: 'Entries' })).toBeTruthy();
    expect(page.words()).toContain('nothing like that');
    expect(seen.at(-1)).toEqual([0, 0]);
  });

  test('a layout of cuts shows as many as a sheet gives, in both systems with a scale', () => {
    const layout = {
      perSheet: 3,
      width: 60,
      length: 40,
      turned: false,
      centres: [10, 10, 30, 10, 50, 10],
      turns: [],
      flips: [],
    };
    const cut = (height: number | null, units: 'metric' | 'imperial') =>
      shown(
        <CutLayout
          layout={layout as never}
          cutter={cutterOfSize(18, height)}
          hex="7B1E4B"
          room={{ width: 300, height: 200 }}
        />,
        units,
      );
    const round = cut(null, 'metric');
    expect(round.container.querySelectorAll('path[transform]')).toHaveLength(3);
    expect(round.getByRole('img', { name: 'Cutting layout: 3 on a sheet of 60 mm by 40 mm' })).toBeTruthy();
    expect(round.words()).toContain('20 mm');
    round.unmount();
    const square = cut(30, 'imperial');
    // a rectangle of 18 × 30 mm about its middle
    expect(square.container.querySelector('path[transform]')?.getAttribute('d')).toMatch(/^M-9\.000 -15\.000L9\.000/);
    expect(square.words()).toContain('1 in');
  });
});
