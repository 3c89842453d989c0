import fc from 'fast-check';
import { deltaE, labOf, mixPigments, pigmentOf, xyzOfHex, type Pigment } from '#core/colour';
import {
  USUAL_PARTS,
  colourOf,
  cuttingSheet,
  equalSteps,
  equalLadder,
  fewestDiscs,
  flatten,
  ladder,
  pigmentOfMix,
  pigmentsWith,
  thinnedTwice,
  unitsOf,
  usualLadder,
  type Rung,
} from '#core/mix';
import { sumOf } from '#core/units';
import { studio } from './arbitraries.js';

const hex = fc
  .tuple(...[0, 1, 2].map(() => fc.integer({ min: 20, max: 240 })))
  .map((c) => c.map((v) => v.toString(16).padStart(2, '0')).join(''));
const pigment = fc.tuple(hex, fc.constantFrom(1, 0.06, 2)).map(([h, s]) => pigmentOf(h, s));
const ends: fc.Arbitrary<readonly [Pigment, Pigment]> = fc
  .tuple(pigment, pigment)
  .filter(([p, q]) => deltaE(labOf(mixPigments([p], [1])), labOf(mixPigments([q], [1]))) > 15);
const share = ({ units: [a = 0, b = 0] }: Rung): number => b / (a + b);
/** ΔE00 along the way between two shares of the second mix. */
function wayOf(e: readonly [Pigment, Pigment], from = 0, to = 1): number {
  const at = (t: number) => labOf(mixPigments(e, [1 - t, t]));
  const places = Array.from({ length: 401 }, (_, i) => from + ((to - from) * (1 - Math.cos((Math.PI * i) / 400))) / 2);
  return places.slice(1).reduce((sum, t, i) => sum + deltaE(at(places[i] ?? 0), at(t)), 0);
}
const steps = (rungs: readonly Rung[]): number[] => rungs.slice(1).map((r, i) => deltaE(r.lab, rungs[i]?.lab ?? r.lab));
const unevenness = (rungs: readonly Rung[]): number => {
  const d = steps(rungs);
  return Math.max(...d) / (d.reduce((a, b) => a + b, 0) / d.length);
};

test('a mix taken as one pigment has the colour of the mix', () => {
  fc.assert(
    fc.property(studio, ({ book, recipe }) => {
      const pigments = pigmentsWith(null);
      const flat = flatten(recipe, book);
      expect(
        deltaE(labOf(mixPigments([pigmentOfMix(flat, 'baked', pigments)], [1])), colourOf(flat, 'baked', pigments).lab),
      ).toBeLessThan(1e-9);
    }),
    { numRuns: 15 },
  );
});

test('the usual ladder goes from one pure end to the other', () => {
  const rungs = ladder([pigmentOf('7B1E4B', 1), pigmentOf('F1EEE4', 1)]);
  expect(rungs.map((r) => r.units.join(':'))).toEqual(['1:0', '8:1', '4:1', '2:1', '1:1', '1:2', '1:4', '1:8', '0:1']);
  expect(deltaE(rungs[0]?.lab ?? { l: 0, a: 0, b: 0 }, labOf(xyzOfHex('7B1E4B')))).toBeLessThan(0.05);
  expect(rungs.map((r) => r.lab.l)).toEqual(rungs.map((r) => r.lab.l).sort((a, b) => a - b));
});

test('equal steps: as many as asked for, in order, pure at the ends, each of them makeable', () => {
  fc.assert(
    fc.property(ends, fc.integer({ min: 3, max: 15 }), (e, count) => {
      const rungs = equalSteps(e, count);
      expect(rungs).toHaveLength(count);
      expect([rungs[0]?.units, rungs.at(-1)?.units]).toEqual([
        [1, 0],
        [0, 1],
      ]);
      const shares = rungs.map(share);
      shares.forEach((s, i) => {
        if (i > 0) expect(s).toBeGreaterThan(shares[i - 1] ?? 1);
      });
      for (const r of rungs) expect(unitsOf(r.units) <= 16 || Math.min(...r.units) === 1).toBe(true);
    }),
    { numRuns: 60 },
  );
});

test('equal steps end without a jump: no step is much larger than the others', () => {
  fc.assert(
    fc.property(ends, fc.integer({ min: 4, max: 9 }), (e, count) => {
      const rungs = equalSteps(e, count);
      const way = wayOf(e);
      fc.pre(way > 8);
      const steps = rungs.slice(1).map((r, i) => wayOf(e, share(rungs[i] as Rung), share(r)));
      expect(Math.max(...steps)).toBeLessThan((1.7 * way) / (count - 1) + 1);
    }),
    { numRuns: 60 },
  );
  // a strong colour to white once jumped from 1:64 to none at all
  const strong: [Pigment, Pigment] = [pigmentOf('7B1E4B', 2.5), pigmentOf('F1EEE4', 0.5)];
  const last = equalSteps(strong, 7).slice(-2).map(share) as [number, number];
  expect(wayOf(strong, ...last)).toBeLessThan((1.7 * wayOf(strong)) / 6);
});

test('what is thinned twice says by how much', () => {
  expect([
    thinnedTwice([1, 255]),
    thinnedTwice([80, 1]),
    thinnedTwice([1, 64]),
    thinnedTwice([1, 1]),
    thinnedTwice([1, 0]),
  ]).toEqual([15, 8, null, null, null]);
});

test('equal steps are more even than usual parts, where usual parts are uneven', () => {
  fc.assert(
    fc.property(ends, (e) => {
      const usual = unevenness(ladder(e, USUAL_PARTS));
      fc.pre(usual > 2);
      expect(unevenness(equalSteps(e, USUAL_PARTS.length))).toBeLessThan(usual);
    }),
    { numRuns: 40 },
  );
});

test.each([2, 16, 4.5, NaN])('%p steps are no ladder', (count) => {
  expect(() => equalSteps([pigmentOf('7B1E4B', 1), pigmentOf('F1EEE4', 1)], count)).toThrow(/from 3 to 15 steps/);
});

test('the cutting sheet adds up, in quarters, and leaves no mix out of its rung', () => {
  fc.assert(
    fc.property(ends, fc.integer({ min: 3, max: 11 }), fc.integer({ min: 1, max: 20 }), (e, count, discs) => {
      const rungs = equalSteps(e, count);
      const sheet = cuttingSheet(e, rungs, discs);
      sheet.rungs.forEach((rung, i) => {
        expect(rung.map((n) => n.compare(0) > 0)).toEqual(rungs[i]?.units.map((u) => u > 0));
        expect(rung.every((n) => n.mul(4).d === 1n)).toBe(true);
        expect(Math.abs(sumOf(rung).valueOf() - discs)).toBeLessThanOrEqual(0.375);
        const laid = labOf(
          mixPigments(
            e,
            rung.map((n) => n.valueOf()),
          ),
        );
        expect(sheet.errors[i]).toBeCloseTo(deltaE(laid, rungs[i]?.lab ?? laid), 9);
      });
      sheet.total.forEach((total, k) => {
        expect(total.equals(sumOf(sheet.rungs.flatMap((r) => r[k] ?? [])))).toBe(true);
      });
    }),
    { numRuns: 30 },
  );
  expect(() => cuttingSheet([pigmentOf('7B1E4B', 1), pigmentOf('F1EEE4', 1)], [], 0)).toThrow(/more than zero/);
});

test('the fewest discs are enough, and one less is not', () => {
  fc.assert(
    fc.property(ends, fc.integer({ min: 3, max: 9 }), (e, count) => {
      const rungs = equalSteps(e, count);
      const fewest = fewestDiscs(e, rungs, 1.5);
      if (fewest === null) return;
      const punched = rungs.filter((r) => thinnedTwice(r.units) === null);
      expect(Math.max(...cuttingSheet(e, punched, fewest).errors)).toBeLessThanOrEqual(1.5);
      if (fewest > 1) expect(Math.max(...cuttingSheet(e, punched, fewest - 1).errors)).toBeGreaterThan(1.5);
    }),
    { numRuns: 10 },
  );
});

const three: fc.Arbitrary<readonly [Pigment, Pigment, Pigment]> = fc
  .tuple(ends, pigment)
  .map(([[a, b], c]) => [a, b, c] as const);

test('through three mixes: two ladders that meet in the middle one', () => {
  fc.assert(
    fc.property(three, fc.integer({ min: 5, max: 15 }), (e, count) => {
      const [a, b, c] = e;
      const usual = usualLadder(e);
      expect(usual).toHaveLength(2 * USUAL_PARTS.length - 1);
      expect(usual.filter((r) => r.units.filter((u) => u > 0).length === 1).map((r) => r.units)).toEqual([
        [1, 0, 0],
        [0, 1, 0],
        [0, 0, 1],
      ]);
      for (const rungs of [usual, equalLadder(e, count)]) {
        const middle = rungs.findIndex((r) => r.units.join() === '0,1,0');
        rungs.forEach((r, i) => {
          expect(r.units).toHaveLength(3);
          expect(r.units[1 + Math.sign(middle - i)]).toBe(i === middle ? 1 : 0);
          expect(deltaE(r.lab, labOf(mixPigments([a, b, c], r.units)))).toBeLessThan(1e-9);
        });
      }
      expect(equalLadder(e, count)).toHaveLength(count);
      expect(equalLadder([a, b], count).map((r) => r.units)).toEqual(equalSteps([a, b], count).map((r) => r.units));
      expect(cuttingSheet(e, usual, 4).total).toHaveLength(3);
    }),
    { numRuns: 15 },
  );
});

test('three mixes take five steps, and one mix is no ladder', () => {
  const e = ['7B1E4B', 'F1EEE4', '4F7F45'].map((h) => pigmentOf(h, 1));
  expect(() => equalLadder(e, 4)).toThrow('at least five steps');
  expect(() => equalLadder(e, 16)).toThrow('from 3 to 15 steps');
  expect(equalLadder(e.slice(0, 1), 5)).toEqual([]);
});
