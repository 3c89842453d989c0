/** @jest-environment ./web/test/page.mjs */
import fc from 'fast-check';
import type { StockAnswer } from '#contract';
import { lessTaken, lyingOf, mostOf, strangeIn, useTakenInstead } from '../src/parts/takenInstead.js';
import { TakenInstead } from '../src/parts/TakenInstead.js';
import { SHELF, clayId } from './kitchen.js';
import { shown } from './screen.js';

const [CHALK, SOOT] = [clayId('Chalk'), clayId('Soot')] as const;
const STOCK = {
  things: [
    { id: 'grey', name: 'Grey, left over', form: 'lump', left: 12, hexes: ['888888'], reservedFor: [] },
    { id: 'white', name: 'Old chalk', form: 'lump', left: 30, hexes: ['F1EEE4'], reservedFor: [] },
  ].map((t) => ({
    ...t,
    clays:
      t.id === 'white'
        ? [{ clayId: CHALK, mass: 1 }]
        : [
            { clayId: CHALK, mass: 0.75 },
            { clayId: SOOT, mass: 0.25 },
          ],
  })),
  tubs: [
    { id: 'dark', name: 'Dark scrap', hex: '443344', grams: 40, clays: [{ clayId: SOOT, name: 'Soot', grams: 40 }] },
  ],
} as unknown as StockAnswer;
const PLANNED = [{ clayId: CHALK, grams: 20 }];

const made = (id: string) => ({ kind: 'made', id }) as const;

test('what went in comes off the shelf no more, to the gram, and never less than nothing', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 60, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (g, mass) => {
      const one = { of: made('x'), name: 'x', there: 99, grams: g, clays: [{ clayId: CHALK, mass }] };
      const [rest] = lessTaken(PLANNED, [one]);
      expect(rest?.grams).toBeCloseTo(Math.max(0, 20 - g * mass), 9);
    }),
  );
});

test('as much of it goes in as the plan has of its clays; others it brings along', () => {
  const grey = lyingOf(made('grey'), STOCK)!;
  expect([mostOf(grey, PLANNED), strangeIn(grey, PLANNED)]).toEqual([12, [SOOT]]);
  expect(mostOf(lyingOf(made('white'), STOCK)!, PLANNED)).toBe(20);
  const dark = lyingOf({ kind: 'scrap', id: 'dark' }, STOCK)!;
  expect([mostOf(dark, PLANNED), strangeIn(dark, PLANNED)]).toEqual([0, [SOOT]]);
  expect(lyingOf(made('gone'), STOCK)).toBeUndefined();
});

function Form({ told }: { readonly told: (rest: readonly { grams: number }[], ready: object) => void }) {
  const instead = useTakenInstead(PLANNED);
  told(instead.rest, instead.ready);
  return <TakenInstead instead={instead} planned={PLANNED} shelf={SHELF} refusal={undefined} />;
}

test('a lump that lay there is picked, said less of, and left out again', async () => {
  let now: unknown[] = [];
  const page = shown(
    <Form
      told={(rest, ready) => {
        now = [rest[0]?.grams, ready];
      }}
    />,
    'metric',
    [
      [['/api/stock'], STOCK],
      [['/api/shelf'], SHELF],
      [['/api/blends'], []],
    ],
  );
  await page.user.click(page.getByRole('button', { name: 'some of it lay there already' }));
  await page.user.click(await page.findByRole('option', { name: /Grey, left over/ }));
  // three quarters of 12 g are chalk
  expect(now).toEqual([11, [{ of: made('grey'), grams: 12 }]]);
  expect(page.words()).toContain('It brings Soot along, which the plan does not hold.');
  await page.user.click(page.getByRole('button', { name: 'Not Grey, left over' }));
  expect(now).toEqual([20, []]);
});
