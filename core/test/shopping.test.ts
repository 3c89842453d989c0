import fc from 'fast-check';
import { againstShelf, wantedBy, type OpenPlan } from '#core/batch';
import type { Block } from '#core/clay';

const block = (clayId: string, leftGrams: number, price: number | null = 2.4): Block =>
  ({ id: `${clayId} ${leftGrams}`, clayId, netGrams: 57, leftGrams, madeOn: null, dateCode: '', price }) as Block;
const plan = (name: string, ...clays: readonly (readonly [string, number])[]): OpenPlan => ({
  id: name,
  name,
  clays: clays.map(([clayId, grams]) => ({ clayId, grams })),
});

test('each plan alone has enough, both together have not', () => {
  const blocks = [block('chalk', 50)];
  const plans = [plan('hoops', ['chalk', 30]), plan('drops', ['chalk', 40], ['soot', 1])];
  for (const { clays } of plans) expect(againstShelf(blocks, clays[0]?.grams ?? 0).short).toBe(0);
  const [chalk, soot] = wantedBy(plans, blocks);
  expect(chalk).toMatchObject({ clayId: 'chalk', grams: 70, left: 50, short: 20, blocksToBuy: 1, buyCost: 2.4 });
  expect(chalk?.plans.map((p) => [p.name, p.grams])).toEqual([
    ['drops', 40],
    ['hoops', 30],
  ]);
  // none of it was ever bought: a block is assumed, and nobody knows its price
  expect(soot).toMatchObject({ clayId: 'soot', short: 1, blockAssumed: true, blocksToBuy: 1, buyCost: null });
});

const grams = fc.double({ min: 0.1, max: 300, noNaN: true });
const clayIds = fc.constantFrom('chalk', 'soot', 'corn', 'leek');
const somePlans = fc.array(fc.array(fc.tuple(clayIds, grams), { maxLength: 4 }), { maxLength: 8 });
const someBlocks = fc.array(fc.tuple(clayIds, fc.double({ min: 0, max: 57, noNaN: true })), { maxLength: 12 });

test('whatever is planned: each clay once, no gram missing, the shortest first, and buying it is enough', () => {
  fc.assert(
    fc.property(somePlans, someBlocks, (lists, shelf) => {
      const plans = lists.map((clays, i) => plan(`plan ${i}`, ...clays));
      const blocks = shelf.map(([id, left], i) => ({ ...block(id, left), id: `b${i}` }));
      const rows = wantedBy(plans, blocks);
      expect(new Set(rows.map((r) => r.clayId)).size).toBe(rows.length);
      const asked = lists.flat().reduce((sum, [, g]) => sum + g, 0);
      expect(rows.reduce((sum, r) => sum + r.grams, 0)).toBeCloseTo(asked, 6);
      rows.forEach((r, i) => {
        expect(r.short).toBeLessThanOrEqual((rows[i - 1] ?? r).short);
        expect(r.left + r.blocksToBuy * r.blockGrams).toBeGreaterThanOrEqual(r.grams - 0.06);
        expect(r.plans.reduce((sum, p) => sum + p.grams, 0)).toBeCloseTo(r.grams, 6);
      });
    }),
  );
});
