import fc from 'fast-check';
import { labOf, lightThrough, pigmentOf } from '#core/colour';
import { contextOf, judge, readProgram, runSteps, type JudgedMaterial, type Meant, type Step } from '#core/cane';
import { fadeOf, layoutOf } from '#core/blend';
import { standAlone, type CaneFile } from '#core/formats';
import { throughLayer } from '../src/colour/lightThrough.js';
import { log, steps } from './canes.js';

const double = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const clear = (hex: string) => pigmentOf(hex, 0.06);

describe('light through a layer', () => {
  test('nothing is taken by a layer that is not there, and more by a thicker one', () => {
    fc.assert(
      fc.property(double(1, 4), double(0.01, 20), double(1.05, 3), (a, depth, thicker) => {
        expect(throughLayer(a, 1e-9)).toBeCloseTo(1, 6);
        expect(throughLayer(a, depth)).toBeLessThan(1);
        expect(throughLayer(a, depth * thicker)).toBeLessThan(throughLayer(a, depth));
        expect(throughLayer(a, depth)).toBeGreaterThanOrEqual(0);
      }),
    );
  });

  test('where nothing is absorbed it is 1 / (1 + SX), and what does not come through comes back', () => {
    fc.assert(
      fc.property(double(0.01, 40), (depth) => {
        expect(throughLayer(1, depth)).toBeCloseTo(1 / (1 + depth), 4);
      }),
    );
  });

  test('where hardly anything is scattered it is the law of Beer and Lambert', () => {
    fc.assert(
      fc.property(double(0.1, 4), (absorbed) => {
        // K = 1e5 S: T = exp(−K X)
        expect(throughLayer(1 + 1e5, absorbed / 1e5)).toBeCloseTo(Math.exp(-absorbed), 3);
      }),
    );
  });

  test('two layers let through what one as thick as both does, where each sees the other’s light', () => {
    fc.assert(
      fc.property(double(0.1, 5), double(0.1, 5), (one, other) => {
        // without absorption R = 1 − T, and T₁₂ = T₁ T₂ / (1 − R₁ R₂)
        const [t1, t2] = [throughLayer(1, one), throughLayer(1, other)];
        expect(throughLayer(1, one + other)).toBeCloseTo((t1 * t2) / (1 - (1 - t1) * (1 - t2)), 4);
      }),
    );
  });
});

describe('a slice against the light', () => {
  test('a translucent one is bright, an opaque one as thick is nearly dark', () => {
    const [pane, wall] = [labOf(lightThrough(clear('E4E0D2'), 1.5)), labOf(lightThrough(pigmentOf('F1EEE4', 1), 1.5))];
    expect(pane.l).toBeGreaterThan(60);
    expect(wall.l).toBeLessThan(30);
  });

  test.each(['7B1E4B', 'E7712C', '93B84C', 'F0CB55'])('%s glows more the thicker it is, until it is dark', (hex) => {
    const at = (mm: number) => labOf(lightThrough(clear(hex), mm));
    const chroma = ({ a, b }: { a: number; b: number }): number => Math.hypot(a, b);
    expect(chroma(at(0.1))).toBeGreaterThan(chroma(at(0.005)));
    expect(at(8).l).toBeLessThan(at(1).l);
    expect(at(0.001).l).toBeGreaterThan(98);
  });

  test('a fade is seen through in the same places', () => {
    const layout = layoutOf('pure ends', 2, 100, 50, 20);
    const pigments = [clear('7B1E4B'), clear('93B84C')];
    const { labs } = fadeOf(layout, pigments, 21, ([one, other], [u = 0, v = 0]) =>
      lightThrough(
        { scattering: 0.06, absorption: one!.absorption.map((k, i) => u * k + v * other!.absorption[i]!) },
        1.5,
      ),
    );
    expect(labs[0]).toEqual(labOf(lightThrough(pigments[0]!, 1.5)));
    expect(labs.at(-1)).toEqual(labOf(lightThrough(pigments[1]!, 1.5)));
  });
});

describe('the stop line of a lace', () => {
  const glass = (more: Partial<JudgedMaterial> = {}): JudgedMaterial => ({
    ...{ lab: { l: 60, a: 30, b: 0 }, hides: 6, bakes: [], old: false, crumbly: false },
    ...more,
  });
  const wall = glass({ lab: { l: 20, a: 0, b: 0 }, hides: 0.5 });
  const lace = (pane: number, thick: number, to: number): readonly Step[] =>
    steps(
      log('clay:glass', pane, 70),
      { do: 'wrap', of: 'clay:wall', thickness: thick },
      { do: 'across', pieces: 7 },
      { do: 'bundle', count: 7, to: { shape: 'round' }, seed: 4 },
      { do: 'reduce', to: 'diameter', value: to },
    );
  function judged(all: readonly Step[], meant?: Meant, known = [glass(), wall]) {
    const context = contextOf();
    return judge(runSteps(all, context), known, context, meant);
  }

  test('walls that bleed are a mistake on a ground, and none in glass', () => {
    const bleeds = lace(8, 0.4, 10);
    expect(judged(bleeds).warnings.map((w) => w.kind)).toContain('thin wall');
    expect(judged(bleeds, 'glass').warnings.map((w) => w.kind)).not.toContain('thin wall');
    expect(judged(bleeds).stop).toBeNull();
    expect(judged(bleeds, 'glass').stop?.at).toBeGreaterThan(10);
  });

  test('reduced to it, walls are just as wide as they have to be', () => {
    fc.assert(
      fc.property(double(6, 12), double(0.3, 0.9), (pane, thick) => {
        const { stop } = judged(lace(pane, thick, pane * 2), 'glass');
        if (!stop || stop.at > pane * 2.7) return;
        const at = judged(lace(pane, thick, stop.at), 'glass').stop;
        expect(at?.mm).toBeGreaterThan(0.5 * 0.9);
        expect(at?.mm).toBeLessThan(0.5 * 1.1);
        expect(at?.at).toBeCloseTo(stop.at, -1);
      }),
      { numRuns: 20 },
    );
  });

  test('a thin rim around it bleeds into nothing, and does not count', () => {
    const rimmed = [
      ...lace(8, 0.5, 16).slice(0, -1),
      { id: 'r', do: 'wrap', of: 'clay:wall', thickness: 0.05 } as Step,
    ];
    const [bare, with_] = [lace(8, 0.5, 16).slice(0, -1), rimmed].map((all) => judged(all, 'glass').stop!);
    expect(with_!.at / with_!.across).toBeCloseTo(bare!.at / bare!.across, 1);
  });

  test('without walls, or of walls alone, there is none', () => {
    const pane = steps(log('clay:glass', 20, 40), { do: 'reduce', to: 'diameter', value: 10 });
    expect(judged(pane, 'glass', [glass()]).stop).toBeNull();
    expect(judged(pane, 'glass', [wall]).stop).toBeNull();
  });
});

test('what a cane is meant for goes with it through a file', () => {
  const file = {
    ...{ name: 'Lace', slices: 12, sliceMm: 1.5, canes: {}, materials: {} },
    program: { version: 1, steps: steps(log('clay:a', 10, 40)), meant: 'glass' },
  } as CaneFile;
  expect(standAlone(file, (key) => key).meant).toBe('glass');
});

test('what a cane is meant for is part of its document', () => {
  const own = steps(log('clay:a', 10, 40));
  expect(readProgram({ version: 1, steps: own, meant: 'glass' }).meant).toBe('glass');
  expect(readProgram({ version: 1, steps: own }).meant).toBeUndefined();
  expect(() => readProgram({ version: 1, steps: own, meant: 'lamp' })).toThrow(/glass/);
});
