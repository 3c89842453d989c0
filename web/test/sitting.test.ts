import fc from 'fast-check';
import { SQUEEZES } from '#core/clay';
import { conditioningBench, conditioningOf } from '#core/conditioning';
import {
  lotsToCondition,
  readAmounts,
  sittingFor,
  sittingPath,
  writeAmounts,
} from '../src/parts/conditioning/sitting.js';
import { howWords } from '../src/parts/conditioning/howWords.js';
import { stateWords } from '../src/stations/sheets/conditionWords.js';
import { machines } from '#demo';
import { SHELF, clayId } from './kitchen.js';

const DAY = '2026-11-27';
const HANDS = conditioningBench({}, null, []);
const amounts = fc.uniqueArray(
  fc.record({ clayId: fc.constantFrom(...SHELF.clays.map((c) => c.id)), grams: fc.integer({ min: 1, max: 400 }) }),
  { selector: (a) => a.clayId, maxLength: 8 },
);

describe('a sitting in the address', () => {
  test('is read as it was written, each clay once', () => {
    fc.assert(
      fc.property(amounts, (own) => {
        expect(readAmounts(writeAmounts(own))).toEqual(own);
        const path = new URL(sittingPath(own), 'http://sledge');
        expect(readAmounts(path.searchParams.get('of'))).toEqual(own);
      }),
    );
    expect(writeAmounts([...Array<null>(2)].map(() => ({ clayId: 'a', grams: 2 })))).toBe('a:4');
  });

  test.each([null, '', 'x', 'a:', 'a:-3', 'a:nine', ':5', 'a:0'])('%p is no clay', (text) => {
    expect(readAmounts(text)).toEqual([]);
  });
});

describe('clays of the shelf in one sitting', () => {
  test('every gram has its turn, from the blocks there are and from those to be bought', () => {
    fc.assert(
      fc.property(amounts, (own) => {
        const lots = lotsToCondition(own, SHELF, DAY);
        const sum = (list: readonly { grams: number }[]): number => list.reduce((all, a) => all + a.grams, 0);
        expect(sum(lots.map((l) => l.lot))).toBeCloseTo(sum(own), 6);
        const sitting = sittingFor(lots, HANDS);
        if (typeof sitting === 'string') throw new Error(sitting);
        expect(sitting.turns).toHaveLength(lots.length);
        for (const { of, how } of sitting.turns) {
          expect(stateWords(of)).toMatch(/old$|age$|bought$/);
          const words = howWords(how).join(' ');
          expect(words).toMatch(/until a fold does not crack\./);
          expect(words).not.toMatch(/NaN|undefined/);
        }
      }),
      { numRuns: 30 },
    );
  });

  test('one’s own working setting is named, or the usual one of the school', () => {
    const [machine] = machines;
    const at = (school: 'thin slices' | 'thick slices', conditionSettingId: string | null): string => {
      const hands = conditioningBench({ conditionSchool: school, conditionSettingId }, machine ?? null, []);
      return howWords(conditioningOf({ lineId: 'l', firmness: 'soft', months: 3, grams: 20 }, hands)).join(' ');
    };
    const [first, second] = machine?.settings ?? [];
    expect(at('thick slices', null)).toContain(`Thick slices at your ${first?.label}, folded edge first`);
    expect(at('thin slices', second?.id ?? '')).toContain(`Thin slices at your ${second?.label}, sides folded`);
    expect(at('thin slices', null)).toMatch(/^Thin slices at your \w+, sides folded to the middle/);
  });

  test('a block that was squeezed is said so, in the list and in the steps', () => {
    const blocks = SHELF.blocks.map((b) => ({ ...b, squeezed: 'cracks' as const, squeezedOn: DAY }));
    const [lot] = lotsToCondition([{ clayId: clayId('Pea'), grams: 5 }], { ...SHELF, blocks }, DAY);
    expect(lot && stateWords(lot)).toMatch(/^cracks, /);
    for (const squeeze of SQUEEZES) {
      const how = conditioningOf({ lineId: 'l', firmness: 'soft', months: 3, grams: 20, squeeze }, HANDS);
      expect(howWords(how)[0]).toMatch(/^Between the fingers it (gives|is stiff|cracks|crumbles)\.$/);
      expect(howWords(how).join(' ').includes('softener')).toBe(squeeze === 'cracks' || squeeze === 'crumbles');
    }
  });
});
