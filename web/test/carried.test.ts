import fc from 'fast-check';
import type * as TileModule from '../src/state/tile.js';
import type * as RollModule from '../src/stations/sheets/rollPlan.js';
import { SIGMA_OF_WAY, dialLabels, thicknesses } from '#core/sheet';
import type { MachineDto } from '#contract';
import type { Carried } from '../src/state/tile.js';

const kept = new Map<string, string>();
Object.assign(globalThis, {
  window: {
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => {
        kept.set(key, value);
      },
      removeItem: (key: string) => {
        kept.delete(key);
      },
    },
  },
});

/** The page as it comes up, with what the browser has kept. */
async function page(): Promise<{ readonly tile: typeof TileModule; readonly roll: typeof RollModule }> {
  import.meta.jest.resetModules();
  return { tile: await import('../src/state/tile.js'), roll: await import('../src/stations/sheets/rollPlan.js') };
}
const carried = (id: string, more: Partial<Carried> = {}): Carried => ({
  kind: 'mix',
  id,
  name: `Mix ${id}`,
  hexes: ['7B1E4B'],
  revisionId: `${id}1`,
  ...more,
});
beforeEach(() => {
  kept.clear();
});

describe('the tile', () => {
  test('holds each thing once, the last one put down first, and six at most', async () => {
    const {
      tile: { useTile },
    } = await page();
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom('put', 'put', 'drop'), fc.constantFrom(...'abcdefghij')), { maxLength: 30 }),
        (moves) => {
          useTile.setState({ carried: [] });
          let expected: string[] = [];
          for (const [move, id] of moves) {
            if (move === 'put') useTile.getState().put(carried(id));
            else useTile.getState().drop(id);
            expected = [...(move === 'put' ? [id] : []), ...expected.filter((other) => other !== id)].slice(0, 6);
            expect(useTile.getState().carried.map((c) => c.id)).toEqual(expected);
          }
        },
      ),
    );
  });

  test(
    'is as it was when the page comes up again; what it held before there were blends and sheets is ' + 'still there',
    async () => {
      (await page()).tile.useTile
        .getState()
        .put(carried('pod', { kind: 'blend', hexes: ['4F7F45', 'F0CB55'], revisionId: null }));
      expect((await page()).tile.useTile.getState().carried).toEqual([
        carried('pod', { kind: 'blend', hexes: ['4F7F45', 'F0CB55'], revisionId: null }),
      ]);
      kept.set(
        'sledge-tile',
        JSON.stringify({
          state: { carried: [{ mixId: 'm', revisionId: 'm1', name: 'Beet ring', hex: '7B1E4B' }] },
          version: 0,
        }),
      );
      const { tile } = await page();
      const [old] = tile.useTile.getState().carried;
      expect(old).toEqual({ kind: 'mix', id: 'm', revisionId: 'm1', name: 'Beet ring', hexes: ['7B1E4B'] });
      expect([
        old && tile.isMix(old),
        tile.isMix(carried('x', { revisionId: null })),
        tile.isMix(carried('x', { kind: 'sheet' })),
      ]).toEqual([true, false, false]);
    },
  );
});

describe('the stack that is to be rolled', () => {
  const machine = (settings: number): MachineDto => ({
    id: 'm',
    version: 1,
    name: 'Bench roller',
    note: '',
    rollerWidthMm: 145,
    settings: dialLabels('0', String(settings - 1), '1').map((label) => ({ id: label, label })),
    readings: [{ id: 'r', settingId: '0', mm: 3, sigmaMm: SIGMA_OF_WAY.calipers, way: 'calipers' }],
  });

  test('goes from a setting of one’s own machine to another, and is as thick as its layers', async () => {
    const {
      roll: { useRollPlan, workRoll },
    } = await page();
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 10 }),
        fc.integer({ min: 1, max: 4 }),
        fc.nat(9),
        fc.nat(9),
        (count, layers, from, to) => {
          const own = machine(count);
          const worked = workRoll(own, { ...useRollPlan.getState(), layers, fromId: String(from), toId: String(to) });
          if (!worked) throw new Error('it has settings');
          const settings = thicknesses(own);
          // a setting of another machine is none of this one: then a usual one is taken
          expect(worked.from.id).toBe(from < count ? String(from) : settings[Math.floor(settings.length / 3)]?.id);
          expect(worked.to.id).toBe(to < count ? String(to) : settings[Math.floor(settings.length / 2)]?.id);
          expect(worked.mm).toBeCloseTo(layers * worked.from.mm, 9);
        },
      ),
    );
  });

  test('is kept from the planning to the bench', async () => {
    (await page()).roll.useRollPlan.getState().plan({ layers: 4, toId: '6', turns: true });
    const { useRollPlan } = (await page()).roll;
    expect(useRollPlan.getState()).toMatchObject({
      layers: 4,
      fromId: null,
      toId: '6',
      turns: true,
      size: { width: 60, height: 90 },
    });
  });
});
