import { SQUEEZES, type Squeeze } from '#core/clay';
import type { ShelfAnswer } from '#contract';
import { isCrumbly, isOld } from '../src/stations/canes/clay/clayState.js';

const DAY = '2026-11-27';
const shelf = (madeOn: string | null, squeezed: Squeeze | null, firmness = 'soft', leftGrams = 20): ShelfAnswer =>
  ({
    lines: [{ id: 'l', firmness }],
    clays: [{ id: 'c', lineId: 'l' }],
    blocks: [{ id: 'b', clayId: 'c', leftGrams, madeOn, squeezed, squeezedOn: DAY }],
  }) as unknown as ShelfAnswer;
const OF = [{ clayId: 'c', mass: 1 }];

test('a block is old by its age until it is squeezed, and then by what it does', () => {
  expect(isOld(OF, shelf('2020-01-01', null), DAY)).toBe(true);
  expect(isOld(OF, shelf('2026-01-01', null), DAY)).toBe(false);
  expect(isOld(OF, shelf(null, null), DAY)).toBe(false);
  expect(SQUEEZES.map((s) => isOld(OF, shelf('2020-01-01', s), DAY))).toEqual([false, false, true, true]);
  expect(isOld(OF, shelf('2020-01-01', null, 'soft', 0), DAY)).toBe(false);
});

test('clay crumbles as its line does until all of it was squeezed; a mix from a quarter of it on', () => {
  expect(isCrumbly(OF, shelf(null, null, 'crumbly'), DAY)).toBe(true);
  expect(isCrumbly(OF, shelf(null, 'gives', 'crumbly'), DAY)).toBe(false);
  expect(isCrumbly(OF, shelf(null, 'crumbles', 'soft'), DAY)).toBe(true);
  expect(isCrumbly([{ clayId: 'c', mass: 0.2 }], shelf(null, 'crumbles'), DAY)).toBe(false);
  // a test that is long past counts no more
  expect(isCrumbly(OF, shelf(null, 'gives', 'crumbly'), '2027-09-01')).toBe(true);
});
