import fc from 'fast-check';
import { asSent, join, same, type Fields } from '../src/wire/join.js';
import { differenceWords, fieldWords, valueWords } from '../src/parts/clashWords.js';

const part = fc.record({ id: fc.constantFrom('p', 'q', 'r'), n: fc.integer({ min: 0, max: 3 }) });
const thing = fc.record({
  name: fc.constantFrom('Swede', 'Leek', 'Pea'),
  note: fc.constantFrom('', 'soft'),
  plan: fc.record({ width: fc.integer({ min: 0, max: 2 }), cuts: fc.array(fc.integer()) }),
  parts: fc.uniqueArray(part, { selector: (p) => p.id }),
});

test('where only one side changed anything, that side is what comes of it', () => {
  fc.assert(
    fc.property(thing, thing, (base, changed) => {
      expect(join(base, changed, { ...base, version: 2 })).toMatchObject({ touching: [] });
      expect(
        same({ ...join(base, changed, { ...base, version: 2 }).body, version: 0 }, { ...changed, version: 0 }),
      ).toBe(true);
      expect(
        same({ ...join(base, base, { ...changed, version: 2 }).body, version: 0 }, { ...changed, version: 0 }),
      ).toBe(true);
    }),
  );
});

test('of what both changed nothing is lost: a field is joined, or it is asked', () => {
  fc.assert(
    fc.property(thing, thing, thing, (base, mine, theirs) => {
      const { body, touching } = join(base, mine, { ...theirs, version: 9 });
      for (const field of ['name', 'note', 'plan', 'parts'] as const) {
        if (touching.includes(field)) {
          expect(same(mine[field], theirs[field])).toBe(false);
          continue;
        }
        if (same(base[field], mine[field])) expect(same(body[field], theirs[field])).toBe(true);
        else if (same(base[field], theirs[field])) expect(same(body[field], mine[field])).toBe(true);
      }
      expect(body.version).toBe(9);
    }),
  );
});

test('a mix is compared by the recipe of its newest revision', () => {
  expect(
    asSent({
      id: 'm',
      name: 'Ring',
      revisions: [
        { id: 'r1', basis: 'mass' },
        { id: 'r2', basis: 'volume', ingredients: [] },
      ],
    }),
  ).toMatchObject({ id: 'm', name: 'Ring', basis: 'volume', ingredients: [] });
});

test('a clash is told in words: fields by what makers call them, things by their names, no id', () => {
  const id = '0b6f4d0e-6f0a-4b56-9f6e-6c0f1d2e3a4b';
  const names = (which: string): string | undefined => (which === id ? 'Beetroot' : undefined);
  expect([fieldWords('leftGrams'), fieldWords('strength'), fieldWords('tapeSettingId')]).toEqual([
    'left',
    'strength',
    'tape setting',
  ]);
  expect(valueWords([{ parts: '2', of: { kind: 'clay', id } }], names)).toBe('2 Beetroot');
  expect(valueWords({ id, name: 'Slice', count: 12, layers: [{ id, of: { kind: 'clay', id } }] }, names)).toBe(
    'Slice, count 12, layers clay Beetroot',
  );
  expect(
    valueWords(
      { program: { steps: [{ do: 'log', of: `clay:${id}` }, { of: `mix:${id.replace('0b', '1b')}` }] } },
      names,
    ),
  ).not.toMatch(/[0-9a-f]{8}-/);
  expect([valueWords(null, names), valueWords(true, names), valueWords('x'.repeat(900), names).length]).toEqual([
    'nothing',
    'yes',
    402,
  ]);
});

test('of long lists only what differs is told, from either side', () => {
  const none = (): undefined => undefined;
  const layer = { id: 'l', clayId: '0b6f4d0e-6f0a-4b56-9f6e-6c0f1d2e3a4b' };
  const mine = [
    { id: 'a', name: 'Drop', count: 31, layers: [layer] },
    { id: 'b', name: 'Stud', count: 24, layers: [layer] },
  ];
  const theirs = [
    { id: 'a', name: 'Drop', count: 44, layers: [layer] },
    { id: 'b', name: 'Stud', count: 24, layers: [layer] },
    { id: 'c', name: 'Hoop', count: 2, layers: [] },
  ];
  expect(differenceWords(mine, theirs, none)).toBe('Drop count 31, without Hoop');
  expect(differenceWords(theirs, mine, none)).toBe('Drop count 44, with Hoop, count 2, layers none');
  expect(differenceWords({ width: 10, height: 4 }, { width: 12, height: 4 }, none)).toBe('width 10');
  expect([differenceWords('Rutabaga', 'Swede', none), differenceWords(null, 'x', none)]).toEqual([
    'Rutabaga',
    'nothing',
  ]);
});

test('what a thing is made of is joined as one value, and the colours of a blend keep their order', () => {
  const [one, two, three] = ['clay', 'mix', 'clay'].map((kind, i) => ({ kind, id: `m${i}` }));
  const batch = (of: unknown): Fields => ({ id: 'b', version: 1, pieces: [{ id: 'p', layers: [{ id: 'l', of }] }] });
  expect(join(batch(one), batch(two), batch(three)).touching).toEqual(['pieces']);
  expect(join(batch(one), batch(two), batch(one)).body.pieces).toEqual(batch(two).pieces);
  const blend = (...colours: readonly unknown[]): Fields => ({ id: 'f', version: 1, plan: { colours, width: 100 } });
  const joined = join(blend(one, two), blend(two, one), { ...blend(one, two), version: 2 });
  expect(joined.body.plan).toEqual(blend(two, one).plan);
  expect(join(blend(one, two), blend(two, one), blend(three, two)).touching).toEqual(['plan']);
});
