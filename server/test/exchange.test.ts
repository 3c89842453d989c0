import { ofClay } from '#core/material';
import { randomUUID } from 'node:crypto';
import type { ChangesAnswer, MixAnswer, MixListAnswer, MixLineDto, TakeInAnswer, TakeOutAnswer } from '#contract';
import { Api, clay, line, mix } from './api.js';

let api: Api;
let shelf: { chalk: string; beet: string };
beforeEach(async () => {
  api = await Api.open();
  const hearth = (await api.put('lines', line('Hearth Firm'))).body;
  const chalk = (await api.put('clays', clay(hearth.id, 'Chalk'))).body;
  const beet = (await api.put('clays', clay(hearth.id, 'Beetroot', '7B1E4B'))).body;
  shelf = { chalk: chalk.id, beet: beet.id };
});
afterEach(() => api.close());

let row = 0;
beforeEach(() => {
  row = 1;
});
const rowOf = (name: string, recipe: string, more: Partial<MixLineDto> = {}): MixLineDto => ({
  row: ++row,
  name,
  recipe,
  basis: 'volume',
  note: '',
  ...more,
});
const take = async (mixes: readonly MixLineDto[], sure: boolean): Promise<TakeInAnswer> =>
  (await api.ask<TakeInAnswer>('POST', '/api/exchange/mixes', { mixes, sure })).body;
const board = async (): Promise<readonly string[]> =>
  (await api.get<MixListAnswer>('/api/mixes?sort=name')).body.cards.map((c) => `${c.name}: ${c.notation}`);

test(
  'mixes of a file are looked at first, then taken in whole, in whatever order they rest on each ' +
    'other; one undo takes them back',
  async () => {
    const rows = [
      rowOf('Ring on ring', '2 Beet ring + 1 Deep'),
      rowOf('Beet ring', '4 Chalk + 1 Beetroot', { note: 'light' }),
      rowOf('Deep', '3 beetroot + ½ (1 Chalk + 1 Beet ring)', { basis: 'mass' }),
    ];
    const looked = await take(rows, false);
    expect(looked).toMatchObject({
      faults: [],
      taken: null,
      mixes: [{ row: 2, name: 'Ring on ring', there: false }, { row: 3, notation: '4 Chalk + 1 Beetroot' }, { row: 4 }],
    });
    expect(await board()).toEqual([]);
    expect(await take(rows, true)).toMatchObject({ taken: 3, faults: [] });
    expect(await board()).toEqual([
      'Beet ring: 4 Chalk + 1 Beetroot',
      'Deep: 3 Beetroot + ¼ Chalk + ¼ Beet ring',
      'Ring on ring: 2 Beet ring + 1 Deep',
    ]);
    expect((await api.get<MixListAnswer>('/api/mixes?sort=name')).body.cards.map((c) => c.hex).sort()).toEqual(
      looked.mixes.map((m) => m.hex).sort(),
    );
    expect((await api.ask<ChangesAnswer>('POST', '/api/undo')).body.did).toContain('took in 3 mixes');
    expect(await board()).toEqual([]);
  },
);

test('what was written out comes back in as the same, and changes nothing', async () => {
  await take(
    [
      rowOf('Beet ring', '4 Chalk + 1 Beetroot'),
      rowOf('Deep', '3 Beetroot + 1 Beet ring', { basis: 'mass', note: '=1+1' }),
    ],
    true,
  );
  const out = (await api.get<TakeOutAnswer>('/api/exchange/mixes')).body;
  expect(out.map((m) => [m.name, m.recipe, m.basis, m.note])).toEqual([
    ['Beet ring', '4 Chalk + 1 Beetroot', 'volume', ''],
    ['Deep', '3 Beetroot + 1 Beet ring', 'mass', '=1+1'],
  ]);
  const again = await take(
    out.map((m, i) => ({ row: i + 2, name: m.name, recipe: m.recipe, basis: m.basis, note: m.note })),
    true,
  );
  expect([again.taken, again.mixes.map((m) => m.there)]).toEqual([0, [true, true]]);
  expect(await board()).toHaveLength(2);
  // on an empty board they make the same colours
  const hexes = out.map((m) => m.hex);
  await api.ask('POST', '/api/undo');
  await take(
    out.map((m, i) => ({ row: i + 2, name: m.name, recipe: m.recipe, basis: m.basis, note: m.note })),
    true,
  );
  expect((await api.get<TakeOutAnswer>('/api/exchange/mixes')).body.map((m) => m.hex)).toEqual(hexes);
});

test('one wrong row and nothing is taken in; each is named with its row', async () => {
  const dto = mix('Old ring', ['1', ofClay(shelf.chalk)]);
  await api.ask<MixAnswer>('PUT', `/api/mixes/${dto.id}`, dto);
  const rows = [
    rowOf('Good', '1 Chalk + 1 Beetroot'),
    rowOf('Stranger', '1 Chalk + 2 Parsnip'),
    rowOf('Broken', '1 Chalk +'),
    rowOf('On a stranger', '1 Stranger + 1 Chalk'),
    rowOf('A', '1 B'),
    rowOf('B', '1 A'),
    rowOf('Old ring', '1 Beetroot'),
    rowOf('Nothing', '0 Chalk'),
  ];
  const { faults, taken } = await take(rows, true);
  expect(taken).toBeNull();
  expect(faults.map((f) => `${f.row}: ${f.sentence}`)).toEqual([
    '3: “Parsnip” is neither a clay on your shelf nor a mix of yours.',
    expect.stringMatching(/^4: At place 10: /),
    '5: This mix rests on another one of the file that is wrong.',
    '6: A mix cannot contain itself: A contains B contains A.',
    '7: This mix rests on another one of the file that is wrong.',
    '8: There is a mix called Old ring on the board already, with another recipe. Rename one of the two.',
    '9: Chalk has zero parts. Take it out, or give it a part.',
  ]);
  expect(await board()).toEqual(['Old ring: 1 Chalk']);
});

test('names: none, twice, of a clay, with marks that a name cannot hold', async () => {
  const { faults } = await take(
    [
      rowOf('', '1 Chalk'),
      rowOf('Twin', '1 Chalk'),
      rowOf('twin ', '1 Beetroot'),
      rowOf('Chalk', '1 Beetroot'),
      rowOf('a "b"', '1 Chalk'),
      rowOf('x'.repeat(90), '1 Chalk'),
    ],
    true,
  );
  expect(faults.map((f) => [f.row, f.sentence.slice(0, 34)])).toEqual([
    [2, 'This mix has no name.'],
    [4, 'There is a mix called twin in row '],
    [5, 'Chalk is the name of a clay on the'],
    [6, 'A name cannot hold line breaks or '],
    [7, expect.stringMatching(/^“x{30}/)],
  ]);
});

test('hundreds at once; more than three thousand are refused', async () => {
  const rows = Array.from({ length: 400 }, (_, i) =>
    rowOf(`Mix ${i}`, i % 4 === 0 ? `${1 + (i % 9)} Chalk + 1 Beetroot` : `1 Mix ${i - 1} + ${1 + (i % 7)} Beetroot`),
  );
  expect((await take(rows, true)).taken).toBe(400);
  expect((await api.get<MixListAnswer>('/api/mixes')).body.total).toBe(400);
  const many = await api.ask<{ detail: string }>('POST', '/api/exchange/mixes', {
    mixes: Array.from({ length: 3001 }, (_, i) => rowOf(`Other ${i}`, '1 Chalk')),
    sure: false,
  });
  expect([many.status, many.body.detail]).toEqual([422, '3,000 mixes at a time are the most.']);
});

test.each<[string, unknown, RegExp]>([
  ['no list', { sure: true }, /list|mix/],
  ['an empty one', { mixes: [], sure: true }, /no mix in it/],
  ['no basis', { mixes: [{ row: 1, name: 'A', recipe: '1 Chalk', note: '' }], sure: true }, /by volume or by mass/],
])('%s is refused', async (_, body, sentence) => {
  const answer = await api.ask('POST', '/api/exchange/mixes', body, randomUUID());
  expect([answer.status, JSON.stringify(answer.body)]).toEqual([422, expect.stringMatching(sentence)]);
});
