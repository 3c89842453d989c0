import fc from 'fast-check';
import { signedArea, type Region, type Step } from '#core/cane';
import { keyOf, materialIn, ofClay } from '#core/material';
import type { CaneFile } from '#core/formats';
import { coloursFor, keysHere, logOf, newCane, stripesOf, templateOf } from '../src/stations/canes/beginnings.js';
import { inSlice, slicesOn } from '../src/stations/canes/faces/laid.js';
import {
  asWide,
  clayArea,
  firstFill,
  groupName,
  groupsOf,
  heightOf,
  kindIn,
  nearestClay,
  refilled,
  widthOf,
  withDrawn,
  without,
  type Template,
} from '../src/stations/canes/steps/templateMoves.js';
import { withOneSlice } from '../src/stations/canes/editing/oneSlice.js';
import { SHELF, clayId } from './kitchen.js';

const colours = coloursFor(SHELF, [], ['tint']);
if (!colours) throw new Error('no colours');

describe('a cane that is begun', () => {
  test('has the maker’s own colours, dark and light far apart', () => {
    const hex = (key: string): string => SHELF.clays.find((c) => c.id === materialIn(key)?.id)?.bakedHex ?? '';
    const light = (key: string): number =>
      [0, 2, 4].reduce((sum, i) => sum + parseInt(hex(key).slice(i, i + 2), 16), 0);
    expect(light(colours.light)).toBeGreaterThan(light(colours.dark) + 200);
    expect(coloursFor({ ...SHELF, clays: [] }, [], [])).toBeNull();
  });

  test('a lace gets glass alone: tinted mixes, and clear clay after them', () => {
    expect(colours?.glass).toEqual(['mix:tint', keyOf(ofClay(clayId('Clearpane')))]);
    const many = coloursFor(SHELF, [], ['1', '2', '3', '4', '5', '6', '7']);
    expect(many?.glass).toHaveLength(6);
    const opaque = SHELF.clays.filter((c) => c.kind !== 'translucent');
    expect(coloursFor({ ...SHELF, clays: opaque }, [], [])?.glass).toEqual([]);
  });

  test('gets a name that is not taken, whatever letters it is written in', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5 }), (n) => {
        const taken = new Set(['log', ...Array.from({ length: n }, (_, i) => `log ${i + 2}`)]);
        const { name, program } = newCane('Log', logOf(colours), taken);
        expect(taken.has(name.toLowerCase())).toBe(false);
        expect(program.steps).toHaveLength(1);
      }),
    );
  });

  test('out of a file takes what is here by its name, and else a clay', () => {
    const file = {
      name: 'Pod',
      materials: {
        'clay:a': { name: 'leek', hexes: [] },
        'mix:b': { name: 'Swede', hexes: [] },
        'mix:c': { name: 'Nothing here', hexes: [] },
        'blend:d': { name: 'No blend', hexes: [] },
      },
    } as unknown as CaneFile;
    const key = keysHere(file, { shelf: SHELF, blends: [], colours }, new Map([['swede', 'r1']]));
    expect(key('clay:a')).toBe(`clay:${clayId('Leek')}`);
    expect(key('mix:b')).toBe('mix:r1');
    expect(key('mix:c')).toBe(colours.light);
    expect(key('blend:d')).toBe(colours.fade);
    expect(key('toString')).toBe(colours.light);
  });

  test('every beginning names only materials there are', () => {
    for (const steps of [logOf(colours), stripesOf(colours), templateOf(colours)]) {
      const keys = JSON.stringify(steps).match(/clay:[\w-]+/g) ?? [];
      expect(keys.length).toBeGreaterThan(0);
      for (const key of keys) expect(SHELF.clays.map((c) => `clay:${c.id}`)).toContain(key);
    }
  });
});

describe('a template', () => {
  const begun = templateOf(colours)[0] as Template;
  const square = (x: number, y: number, side: number): Region['points'] => [
    [x, y],
    [x + side, y],
    [x + side, y + side],
    [x, y + side],
  ];
  const templates = fc
    .array(
      fc.tuple(fc.integer({ min: -20, max: 10 }), fc.integer({ min: -14, max: 4 }), fc.integer({ min: 1, max: 9 })),
      { maxLength: 4 },
    )
    .map((drawn) => drawn.reduce((step, [x, y, side]) => withDrawn(step, square(x, y, side), [colours.dark]), begun));

  test('as wide as is wanted has all in it in proportion; what is no width changes nothing', () => {
    fc.assert(
      fc.property(templates, fc.integer({ min: 3, max: 300 }), (step, mm) => {
        const after = asWide(step, mm);
        const k = mm / widthOf(step);
        expect(widthOf(after)).toBeCloseTo(mm, 6);
        expect(heightOf(after)).toBeCloseTo(heightOf(step) * k, 6);
        step.regions.forEach((r, i) => {
          expect(signedArea(after.regions[i]!.points)).toBeCloseTo(signedArea(r.points) * k * k, 4);
        });
        for (const no of [0, -5, 2, 301, NaN]) expect(asWide(step, no)).toBe(step);
      }),
    );
  });

  test('what is drawn is filled like the one before, and taken out again nothing has changed', () => {
    fc.assert(
      fc.property(templates, (step) => {
        const after = withDrawn(step, square(0, 0, 2), [colours.dark]);
        const drawn = after.regions.at(-1)!;
        if (step.regions.length > 1) expect(drawn.fill).toEqual(step.regions.at(-1)?.fill);
        expect(without(after, [drawn])).toEqual(step);
      }),
    );
  });

  test('regions that are filled alike stand together, each once; by itself each is its own group', () => {
    fc.assert(
      fc.property(templates, (step) => {
        for (const each of [true, false]) {
          const ids = groupsOf(step.regions, each).flatMap((g) => g.map((r) => r.id));
          expect([...ids].sort()).toEqual(step.regions.map((r) => r.id).sort());
        }
        expect(groupsOf(step.regions, true)).toHaveLength(step.regions.length);
      }),
    );
  });

  test('filled anew only they are, and the clay of all of them is that of the ground', () => {
    fc.assert(
      fc.property(templates, (step) => {
        const [ground, ...rest] = step.regions;
        const fill = { blend: 'blend:x', degrees: 0 };
        const after = refilled(step, rest, fill);
        expect(after.regions[0]).toBe(ground);
        for (const r of after.regions.slice(1)) expect(kindIn(r.fill)).toBe('blend');
        const whole = Math.abs(signedArea(ground!.points));
        expect(clayArea(step, step.regions)).toBeCloseTo(whole, 6);
        for (const r of rest) expect(clayArea(step, [r])).toBeLessThanOrEqual(1.05 * Math.abs(signedArea(r.points)));
      }),
      { numRuns: 20 },
    );
    expect(groupName([], true)).toBe('ground');
    expect(groupName([begun.regions[0]!, begun.regions[0]!], false)).toBe('2 regions');
  });

  test('a region is filled with the first there is of a kind, or with nothing', () => {
    expect(firstFill('of', [colours.dark], [], [])).toEqual({ of: colours.dark });
    expect(firstFill('blend', [], [], [])).toBeNull();
    expect(firstFill('cane', [], [], [{ revisionId: 'r', name: 'Pea' }])).toMatchObject({ cane: { ref: 'r' } });
  });

  test('a colour of a drawing finds the nearest clay of the shelf', () => {
    for (const clay of SHELF.clays.filter((c) => !c.retired)) {
      const found = SHELF.clays.find((c) => `clay:${c.id}` === nearestClay(clay.bakedHex, SHELF));
      expect(found?.bakedHex).toBe(clay.bakedHex);
    }
  });
});

describe('slices that are laid', () => {
  const slice = fc.record({ width: fc.integer({ min: 4, max: 40 }), height: fc.integer({ min: 4, max: 40 }) });
  const slab = { width: 60, height: 36 };

  test('in rows begin at the corner and go on from slice to slice', () => {
    fc.assert(
      fc.property(slice, fc.integer({ min: 0, max: 59 }), fc.integer({ min: 0, max: 35 }), (one, x, y) => {
        const at = inSlice(x, y, 'rows', one, slab);
        expect(at?.[0]).toBeCloseTo((x / one.width) % 1, 9);
        expect(at?.[1]).toBeCloseTo((y / one.height) % 1, 9);
      }),
    );
  });

  test('in the gaps every other row is half a slice along', () => {
    fc.assert(
      fc.property(slice, fc.integer({ min: 0, max: 59 }), (one, x) => {
        const [even, odd] = [0.5, 1.5].map((row) => inSlice(x, row * one.height, 'gaps', one, slab)?.[0] ?? 0);
        expect(Math.cos(2 * Math.PI * (odd! - even!))).toBeCloseTo(-1, 6);
      }),
    );
  });

  test('around a bead cover its middle and nothing beside it', () => {
    fc.assert(
      fc.property(slice, (one) => {
        expect(inSlice(slab.width / 2, slab.height / 2, 'bead', one, slab)).not.toBeNull();
        expect(inSlice(0, 0, 'bead', one, slab)).toBeNull();
      }),
    );
  });

  test('are as many as cover the slab', () => {
    fc.assert(
      fc.property(slice, (one) => {
        const n = slicesOn(one, slab);
        expect(n * one.width * one.height).toBeGreaterThanOrEqual(slab.width * slab.height - 1e-6);
        expect((n - 1) * one.width * one.height).toBeLessThan(slab.width * slab.height);
      }),
    );
  });
});

describe('one thickness of slices', () => {
  const log: Step = { id: 'a', do: 'log', of: colours.dark, diameter: 20, length: 60 };
  const slice = (thickness: number): Step => ({ id: 'b', do: 'slice', thickness });
  const cane = (...all: readonly Step[]) => ({ program: { version: 1 as const, steps: all }, sliceMm: 2 });

  test('follows, whichever of the two was changed', () => {
    expect(withOneSlice(cane(log, slice(2)), { sliceMm: 1.5 })).toEqual({ ...cane(log, slice(1.5)), sliceMm: 1.5 });
    const { program } = cane(log, slice(3));
    expect(withOneSlice(cane(log, slice(2)), { program })).toEqual({ program, sliceMm: 3 });
    expect(withOneSlice(cane(log), { program })).toEqual({ program, sliceMm: 3 });
  });

  test('is the plan’s own where the steps end otherwise, and no other change touches it', () => {
    expect(withOneSlice(cane(log), { sliceMm: 1 })).toEqual({ sliceMm: 1 });
    expect(withOneSlice(cane(log, slice(2)), { slices: 30 } as object)).toEqual({ slices: 30 });
  });
});
