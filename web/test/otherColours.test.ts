import fc from 'fast-check';
import type { MaterialKey } from '#core/material';
import { coloursIn, inOtherColours } from '../src/stations/diary/again/otherColours.js';

const named = fc.constantFrom(
  { kind: 'clay', id: 'chalk' },
  { kind: 'mix', id: 'r1' },
  { kind: 'blend', id: 'fade' },
  'clay:chalk',
  'mix:r1',
  'scrap:tub',
);
const document = fc.letrec<{ tree: unknown }>((tie) => ({
  tree: fc.oneof(
    { maxDepth: 4 },
    named,
    fc.integer(),
    fc.constantFrom('roll', 'a note: clay', null, true),
    fc.array(tie('tree'), { maxLength: 4 }),
    fc.dictionary(fc.constantFrom('steps', 'of', 'part', 'mm'), tie('tree'), { maxKeys: 3 }),
  ),
})).tree;
const swap = (...pairs: [string, string][]) => new Map(pairs as [MaterialKey, MaterialKey][]);

describe('a plan in other colours', () => {
  test('with nothing in the place of anything it is the same', () => {
    fc.assert(
      fc.property(document, (own) => {
        expect(inOtherColours(own, swap())).toEqual(own);
      }),
    );
  });
  test('what was swapped is in it no more, all else is, and there and back is the same', () => {
    fc.assert(
      fc.property(document, (own) => {
        const other = inOtherColours(own, swap(['clay:chalk', 'mix:new'], ['mix:r1', 'clay:leek']));
        const before = coloursIn(own);
        expect([...coloursIn(other)].sort()).toEqual(
          before.map((key) => (key === 'clay:chalk' ? 'mix:new' : 'clay:leek')).sort(),
        );
        expect(inOtherColours(other, swap(['mix:new', 'clay:chalk'], ['clay:leek', 'mix:r1']))).toEqual(own);
      }),
    );
  });
  test('blends, scrap and words stay', () => {
    const own = { steps: [{ do: 'roll', of: { kind: 'blend', id: 'fade' } }, 'scrap:tub', 'a note: clay'] };
    expect(coloursIn(own)).toEqual([]);
    expect(inOtherColours(own, swap(['clay:chalk', 'clay:leek']))).toEqual(own);
  });
});
