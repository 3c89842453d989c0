/** @jest-environment ./web/test/page.mjs */
import { within } from '@testing-library/react';
import type { ShoppingAnswer, ShoppingRow } from '#contract';
import Shopping from '../src/stations/shelf/shopping/Shopping.js';
import { nearWords, standInWords, tableOf } from '../src/stations/shelf/shopping/shoppingWords.js';
import { NOTHING_SHOWN, expectWhole, shownAt, type ShownStation } from './screen.js';

const row = (name: string, grams: number, left: number, more: Partial<ShoppingRow> = {}): ShoppingRow => ({
  ...{ clayId: name, name, lineName: 'Hearth Firm', hex: 'F1EEE4', grams, left, short: Math.max(0, grams - left) },
  ...{ blocksToBuy: Math.ceil(Math.max(0, grams - left) / 57), blockGrams: 57, blockAssumed: false },
  ...{ usedCost: 3, buyCost: 4.8, plans: [{ id: 'b1', name: 'Garden hoops', grams }], standIns: [] },
  ...more,
});
const OLD_TIN = { kind: 'mix', id: 'm1', name: 'Old tin', hex: '888888', deltaE: 3.14, grams: 88 } as const;
const ANSWER: ShoppingAnswer = {
  rows: [
    row('Soot', 200, 42, { standIns: [OLD_TIN, { ...OLD_TIN, kind: 'tub', id: 't1', name: 'Dark scrap' }] }),
    row('Meadow', 30, 4, { lineName: 'Meadow Soft', buyCost: null }),
    row('Chalk', 40, 158),
  ],
  findings: [],
  plans: [{ id: 'b1', name: 'Garden hoops' }],
  cost: null,
  currency: 'shells',
};

const buying = (answer: ShoppingAnswer = ANSWER, units: 'metric' | 'imperial' = 'metric'): ShownStation =>
  shownAt('/shelf/shopping', '/shelf/shopping', <Shopping />, [[['/api/shopping'], answer]], units);

describe('clay to buy', () => {
  test.each(['metric', 'imperial'] as const)('is told by line, with what wants it, %s', (units) => {
    const page = buying(ANSWER, units);
    expectWhole(page);
    const firm = page.getByRole('region', { name: 'Hearth Firm' });
    expect(firm.textContent).toContain(units === 'metric' ? '3 blocks of 57 g' : '3 blocks of 2.01 oz');
    expect(firm.textContent).toContain(units === 'metric' ? '200 g for Garden hoops' : 'oz for Garden hoops');
    expect(within(firm).queryByText('Chalk')).toBeNull();
    expect(page.getByRole('region', { name: 'Meadow Soft' }).textContent).toContain(
      'nothing on the shelf comes near it',
    );
    expect(page.words()).toContain('enough on the shelf: Chalk');
    // a price is not known: no sum is told
    expect(page.words()).not.toContain('In all');
    page.unmount();
    expect(buying({ ...ANSWER, cost: 9.3 }, units).words()).toContain('In all 9.30 shells');
  });

  test('what stands in for it leads there', async () => {
    const page = buying();
    await page.user.click(page.getByRole('button', { name: /^scrap of Dark scrap, ΔE 3\.1/ }));
    expect(page.address()).toBe('/shelf/there/t1');
  });

  test('says when there is enough of all, and when nothing is planned', () => {
    const enough = buying({ ...ANSWER, rows: [row('Chalk', 40, 158)] });
    expect(enough.words()).toContain('is on the shelf.');
    enough.unmount();
    expect(buying({ ...ANSWER, rows: [], plans: [] }).words()).toContain('No open batch');
  });

  test('goes out as a table of what is short, in grams', () => {
    expect(tableOf(ANSWER)).toEqual([
      ['Hearth Firm', 'Soot', '3', '57', '200', '42', '158', '4.80'],
      ['Meadow Soft', 'Meadow', '1', '57', '30', '4', '26', ''],
    ]);
  });

  test.each([
    [0.4, 'hardly to be told apart'],
    [3, 'a little different'],
    [11, 'plainly different'],
  ])('ΔE %d is %s', (deltaE, words) => {
    expect(nearWords(deltaE)).toBe(words);
    expect(standInWords({ ...OLD_TIN, deltaE }, 'imperial')).not.toMatch(NOTHING_SHOWN);
  });
});
