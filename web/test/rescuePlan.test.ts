import fc from 'fast-check';
import { statedPigment } from '#core/colour';
import type { BlockDto, ShelfAnswer } from '#contract';
import {
  becomesOf,
  fromOf,
  mixDto,
  onShelf,
  partsOf,
  rescuedDto,
  waysFor,
  type OnShelf,
  type Saying,
} from '../src/stations/shelf/rescue/rescuePlan.js';
import { handsWords, otherWayWords } from '../src/stations/shelf/rescue/rescueWords.js';
import { SHELF, clayId } from './kitchen.js';

const DAY = '2026-11-27';
const blockOf = (name: string): BlockDto => {
  const block = SHELF.blocks.find((b) => b.clayId === clayId(name) && b.leftGrams > 0);
  if (!block) throw new Error(`no block of ${name}`);
  return block;
};
const own = (name: string, shelf: ShelfAnswer = SHELF): OnShelf => {
  const found = onShelf(shelf, blockOf(name));
  if (!found) throw new Error('not on the shelf');
  return found;
};
const SAID: Saying = { grams: 40, from: 'crumbles', lostGrams: 4, lostTo: 'tub' };

test('the parts of a mix say what was worked in to a hundredth, in small numbers', () => {
  const grams = fc.double({ min: 0.5, max: 300, noNaN: true });
  fc.assert(
    fc.property(grams, grams, (a, b) => {
      const [m, n] = partsOf(a, b).map(Number) as [number, number];
      expect(Math.abs(m / (m + n) - a / (a + b))).toBeLessThanOrEqual(0.0101);
    }),
  );
  expect(partsOf(57, 19)).toEqual(['3', '1']);
  expect(partsOf(19, 57)).toEqual(['1', '3']);
});

test('ways are of blocks that are there, of each clay the best, never of the block itself', () => {
  const ways = waysFor(own('Beetroot'), SAID, SHELF, statedPigment, DAY);
  if (typeof ways === 'string') throw new Error(ways);
  expect(ways.length).toBeGreaterThan(1);
  const clays = ways.map((w) => w.other?.clay.id);
  expect(new Set(clays).size).toBe(clays.length);
  expect(ways.map((w) => w.other?.block.id)).not.toContain(blockOf('Beetroot').id);
  for (const { becomes, addedGrams, drops } of ways)
    expect(becomes.grams).toBeCloseTo(36 + addedGrams + 0.05 * drops, 9);
});

test('what is wrong with a block is as it was squeezed; one that gives is asked for because it is too soft', () => {
  const squeezed = (s: 'gives' | 'stiff' | null) =>
    fromOf({ ...own('Pea'), block: { ...blockOf('Pea'), squeezed: s, squeezedOn: DAY } }, DAY);
  expect([squeezed('gives'), squeezed('stiff'), squeezed(null)]).toEqual(['too soft', 'stiff', 'crumbles']);
});

test('what is sent is what was said; nothing left is a sentence', () => {
  const other = own('Chalk');
  const chosen = { blockId: other.block.id, grams: 12, drops: 2 };
  const written = { entryId: 'e', madeOn: DAY, note: '', outcome: null, pictures: [] };
  const dto = rescuedDto(own('Beetroot'), SAID, chosen, written, 'r');
  expect(dto).toMatchObject({ grams: 40, lostGrams: 4, drops: 2, added: { grams: 12 }, revisionId: 'r' });
  expect(rescuedDto(own('Beetroot'), SAID, { ...chosen, grams: 0 }, written, null).added).toBeNull();
  const mix = mixDto(own('Beetroot'), SAID, chosen, other, 'Beetroot with Chalk');
  expect(mix.ingredients.map((i) => [i.parts, i.of.id])).toEqual([
    ['3', clayId('Beetroot')],
    ['1', clayId('Chalk')],
  ]);
  const none = becomesOf(own('Beetroot'), { ...SAID, lostGrams: 40 }, chosen, other, statedPigment, DAY);
  expect(none).toBe('Nothing of this block is left to bring back.');
});

test('hands are told what to do both ways', () => {
  for (const from of ['stiff', 'cracks', 'crumbles', 'too soft'] as const) {
    expect(handsWords(from).length).toBeGreaterThan(2);
    for (const line of [...handsWords(from), otherWayWords(from)]) expect(line).toMatch(/^[A-Z].*\.$/);
  }
  expect(handsWords('too soft')).not.toEqual(handsWords('stiff'));
});
