import { ofClay } from '#core/material';
import fc from 'fast-check';
import type { MixAnswer, MixDto, MixListAnswer, ShelfAnswer } from '#contract';
import { WordSearch } from '../src/mixes/wordSearch.js';
import { Api, block, clay, line, mix } from './api.js';

const NAMES = ['Swede', 'Turnip top', 'Outer leek', 'Young leek', 'Garden soil', 'Corn milk'];
const SORTS = ['hue', 'name', 'newest'] as const;

type Step =
  | { readonly do: 'save'; readonly which: number; readonly parts: readonly number[]; readonly inner: number | null }
  | { readonly do: 'retire' | 'remove' | 'rename'; readonly which: number }
  | { readonly do: 'undo' | 'redo' }
  | { readonly do: 'take'; readonly clay: number; readonly left: number }
  | { readonly do: 'recolour'; readonly clay: number; readonly hex: string };

const which = fc.nat(NAMES.length - 1);
const hex = fc.integer({ min: 0x101010, max: 0xf0f0f0 }).map((n) => n.toString(16).toUpperCase());
const step: fc.Arbitrary<Step> = fc.oneof(
  {
    weight: 5,
    arbitrary: fc.record({
      do: fc.constant('save' as const),
      which,
      parts: fc.array(fc.integer({ min: 0, max: 4 }), { minLength: 3, maxLength: 3 }),
      inner: fc.option(which),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({ do: fc.constantFrom('retire' as const, 'remove' as const, 'rename' as const), which }),
  },
  { weight: 3, arbitrary: fc.record({ do: fc.constantFrom('undo' as const, 'redo' as const) }) },
  {
    weight: 1,
    arbitrary: fc.record({ do: fc.constant('take' as const), clay: fc.nat(2), left: fc.integer({ min: 0, max: 57 }) }),
  },
  { weight: 1, arbitrary: fc.record({ do: fc.constant('recolour' as const), clay: fc.nat(2), hex }) },
);

/** A shelf of three clays and the six mixes that steps are about; refusals are part of the game. */
async function play(api: Api, steps: readonly Step[]): Promise<void> {
  const own = (await api.put('lines', line('Hearth Firm'))).body;
  const clays = await Promise.all(
    ['F1EEE4', '7B1E4B', '4F7F45']
      .map((baked, i) => clay(own.id, `Clay ${i}`, baked))
      .map(async (c) => (await api.put('clays', c)).body),
  );
  for (const c of clays) await api.put('blocks', block(c.id));
  const ids = NAMES.map((name) => mix(name, ['1', ofClay(clays[0]?.id ?? '')]).id);
  const read = async (i: number): Promise<MixAnswer | undefined> => {
    const answer = await api.get<MixAnswer>(`/api/mixes/${ids[i] ?? ''}`);
    return answer.status === 200 ? answer.body : undefined;
  };
  const now = async (i: number): Promise<MixDto | undefined> => {
    const m = await read(i);
    const newest = m?.revisions.at(-1);
    return (
      m &&
      newest && {
        id: m.id,
        version: m.version,
        name: m.name,
        note: m.note,
        retired: m.retired,
        basis: newest.basis,
        ingredients: [...newest.ingredients],
      }
    );
  };
  for (const s of steps) {
    if (s.do === 'take') {
      const left = (await api.get<ShelfAnswer>('/api/shelf')).body.blocks.find((b) => b.clayId === clays[s.clay]?.id);
      if (left) await api.put('blocks', { ...left, leftGrams: s.left });
      continue;
    }
    if (s.do === 'recolour') {
      const c = (await api.get<ShelfAnswer>('/api/shelf')).body.clays.find((x) => x.name === `Clay ${s.clay}`);
      if (c) await api.put('clays', { ...c, bakedHex: s.hex });
      continue;
    }
    if (!('which' in s)) {
      await api.ask('POST', `/api/${s.do}`);
      continue;
    }
    const before = await now(s.which);
    if (s.do === 'save') {
      const inner = s.inner === null ? undefined : (await read(s.inner))?.revisions.at(-1)?.id;
      const ingredients = [
        ...s.parts.flatMap((p, i) =>
          p > 0 ? [{ parts: String(p), clayId: clays[i]?.id ?? null, revisionId: null }] : [],
        ),
        ...(inner === undefined ? [] : [{ parts: '1', clayId: null, revisionId: inner }]),
      ];
      const id = ids[s.which] ?? '';
      await api.ask('PUT', `/api/mixes/${id}`, {
        ...(before ?? { id, version: 0, name: NAMES[s.which], note: '', retired: false, basis: 'volume' }),
        ingredients,
      });
    } else if (before && s.do === 'remove')
      await api.ask('DELETE', `/api/mixes/${before.id}?version=${before.version}`);
    else if (before) {
      const part =
        s.do === 'retire'
          ? { retired: !before.retired }
          : { name: before.name.endsWith('!') ? before.name.slice(0, -1) : `${before.name}!` };
      await api.ask('PUT', `/api/mixes/${before.id}`, { ...before, ...part });
    }
  }
}

/** All that the board shows, in every order, and what each mix says of its twins. */
async function look(api: Api): Promise<unknown> {
  const boards = [];
  for (const sort of SORTS)
    for (const retired of ['0', '1'])
      for (const more of ['', '&search=leek', '&now=30', '&search=clay%201']) {
        const { total, cards } = (await api.get<MixListAnswer>(`/api/mixes?sort=${sort}&retired=${retired}${more}`))
          .body;
        // which of two came first is not written down, so a restart may order undone ones anew
        boards.push([total, sort === 'newest' ? cards.map((c) => JSON.stringify(c)).sort() : cards]);
      }
  const all = (await api.get<MixListAnswer>('/api/mixes?sort=name')).body.cards;
  const twins = await Promise.all(
    all.map(async (c) => (await api.get<MixAnswer>(`/api/mixes/${c.id}`)).body.sameAs.map((m) => m.name).sort()),
  );
  return { boards, twins };
}

test('whatever was changed, taken back and done again, the board is that of a fresh start', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 4, maxLength: 26 }), async (steps) => {
      const api = await Api.open();
      try {
        await play(api, steps);
        const before = await look(api);
        await api.reopen();
        expect(before).toEqual(await look(api));
      } finally {
        await api.close();
      }
    }),
    { numRuns: 12 },
  );
});

describe('the search in words', () => {
  const word = fc.constantFrom('beet', 'leek', 'ee', 'k', '½', 'pea pod', 'rad', 'zz', 'chalk');
  const text = fc.array(word, { maxLength: 5 }).map((words) => words.join(' '));

  test('finds what looking through every text finds', () => {
    fc.assert(
      fc.property(fc.array(text, { maxLength: 30 }), fc.array(word, { minLength: 1, maxLength: 3 }), (texts, words) => {
        const expected = texts.flatMap((t, i) => (words.every((w) => t.includes(w)) ? [i] : []));
        expect(new WordSearch(texts).find(words)).toEqual(expected);
      }),
      { numRuns: 400 },
    );
  });

  test('a word does not reach from one text into the next', () => {
    expect(new WordSearch(['red rad', 'ish leaf']).find(['radish'])).toEqual([]);
    expect(new WordSearch([]).find(['pea'])).toEqual([]);
  });
});
