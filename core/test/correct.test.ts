import fc from 'fast-check';
import { deltaE, labOf, mixPigments, pigmentOf, readColour, type Lab } from '#core/colour';
import { correct, matchedPigment, type Candidate } from '#core/mix';

const HEXES = ['F1EEE4', '26242A', '7B1E4B', 'D23B5E', 'E29A2E', '4F7F45', 'F0CB55'];
const clays = HEXES.map((hex, i): Candidate => ({
  id: hex,
  pigment: pigmentOf(hex, 1),
  density: 1.8 + i / 20,
  left: 60,
}));
const pigment = pigmentOf('8A2859', 1);
const hex = fc.integer({ min: 0x101010, max: 0xefefef }).map((n) => n.toString(16).padStart(6, '0'));

describe('correcting a mix', () => {
  test('only adds, in tenths of a gram, no more than there is, and says what it will be', () => {
    fc.assert(
      fc.property(
        hex,
        hex,
        fc.integer({ min: 5, max: 120 }),
        fc.integer({ min: 0, max: 60 }),
        (is, want, grams, left) => {
          const [reads, wanted] = [readColour(is), readColour(want)];
          const own = clays.map((c) => ({ ...c, left }));
          const list = correct({ grams, reads, wanted, pigment, density: 1.9, clays: own });
          expect(list[0]).toEqual({ adds: [], deltaE: deltaE(reads, wanted), lab: reads });
          const actual = matchedPigment(pigment, reads);
          list.forEach(({ adds, deltaE: off, lab }, i) => {
            expect(adds).toHaveLength(new Set(adds.map((a) => a.clayId)).size);
            for (const a of adds) {
              expect(a.grams).toBeGreaterThan(0);
              expect(a.grams).toBeLessThanOrEqual(left);
              expect(Math.round(a.grams * 10)).toBeCloseTo(a.grams * 10, 6);
            }
            if (i === 0) return;
            expect(off).toBeLessThan((list[i - 1]?.deltaE ?? 0) - 0.3);
            const used = adds.flatMap((a) => own.find((c) => c.id === a.clayId) ?? []);
            const made: Lab = labOf(
              mixPigments(
                [actual, ...used.map((c) => c.pigment)],
                [grams / 1.9, ...used.map((c, k) => (adds[k]?.grams ?? 0) / c.density)],
              ),
            );
            expect(deltaE(made, lab)).toBeLessThan(1e-6);
            expect(deltaE(lab, wanted)).toBeCloseTo(off, 9);
          });
        },
      ),
      { numRuns: 25 },
    );
  });

  test('finds again what was left out of a mix', () => {
    fc.assert(
      fc.property(
        fc.nat(6),
        fc.nat(6),
        fc.integer({ min: 20, max: 250 }),
        fc.integer({ min: 20, max: 250 }),
        (i, j, x, y) => {
          fc.pre(i !== j);
          const [one, other] = [clays[i] as Candidate, clays[j] as Candidate];
          const wanted = labOf(
            mixPigments(
              [pigment, one.pigment, other.pigment],
              [40 / 1.9, x / 10 / one.density, y / 10 / other.density],
            ),
          );
          const list = correct({
            grams: 40,
            reads: labOf(mixPigments([pigment], [1])),
            wanted,
            pigment,
            density: 1.9,
            clays,
          });
          expect(list.at(-1)?.deltaE).toBeLessThan(0.6);
        },
      ),
      { numRuns: 20 },
    );
  });

  test('one clay is best among all amounts of all clays', () => {
    const reads = labOf(mixPigments([pigment], [1]));
    for (const want of ['A04070', 'C06A90', '5A1838', '9A5040']) {
      const wanted = readColour(want);
      const best = correct({ grams: 40, reads, wanted, pigment, density: 1.9, clays }).find((c) => c.adds.length === 1);
      const actual = matchedPigment(pigment, reads);
      const all = clays.flatMap((c) =>
        Array.from({ length: 600 }, (_, n) =>
          deltaE(labOf(mixPigments([actual, c.pigment], [40 / 1.9, (n + 1) / 10 / c.density])), wanted),
        ),
      );
      expect(best?.deltaE ?? deltaE(reads, wanted)).toBeLessThan(Math.min(...all) + 0.35);
    }
  });

  test('where nothing helps it says so by offering nothing', () => {
    const reads = readColour('26242A');
    expect(
      correct({ grams: 30, reads, wanted: readColour('050505'), pigment: pigmentOf('26242A', 1), density: 1.9, clays }),
    ).toHaveLength(1);
    expect(correct({ grams: 30, reads, wanted: readColour('804040'), pigment, density: 1.9, clays: [] })).toHaveLength(
      1,
    );
    expect(() => correct({ grams: 0, reads, wanted: reads, pigment, density: 1.9, clays })).toThrow(
      'The weight of the mix has to be more than zero.',
    );
    expect(() => correct({ grams: Infinity, reads, wanted: reads, pigment, density: 1.9, clays })).toThrow(
      /more than zero/,
    );
  });
});
