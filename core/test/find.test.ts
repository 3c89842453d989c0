import fc from 'fast-check';
import { ciede2000, labOf, mixPigments, pigmentOf, type Lab } from '#core/colour';
import { find, ratios, unitsOf, type Candidate, type FindInput, type Found } from '#core/mix';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => n.toString(16).padStart(6, '0').toUpperCase());
const strength = fc.constantFrom(1, 1, 0.06, 0.8, 2.5);
const candidate = fc.tuple(
  hex,
  strength,
  fc.double({ min: 1.5, max: 2.2, noNaN: true }),
  fc.double({ min: 0, max: 60, noNaN: true }),
);
const shelf = (most: number): fc.Arbitrary<Candidate[]> =>
  fc
    .array(candidate, { minLength: 1, maxLength: most })
    .map((rows) =>
      rows.map(([h, s, density, left], i) => ({ id: `clay${i}`, pigment: pigmentOf(h, s), density, left })),
    );
const target: fc.Arbitrary<Lab> = hex.map((h) => labOf(mixPigments([pigmentOf(h, 1)], [1])));

const last = (input: FindInput, byNumbers = false): readonly Found[] => {
  const search = find(input, byNumbers);
  for (let step = search.next(); ; step = search.next()) if (step.done) return step.value;
};

/** Every mix there is, one after the other. */
function plainly({ clays, target: t, grams, locked, mostClays }: FindInput): Map<string, number> {
  const best = new Map<string, number>();
  const all = clays.map((_, i) => i);
  const groups = [
    ...all.map((i) => [i]),
    ...all.flatMap((i) => all.slice(i + 1).map((j) => [i, j])),
    ...all.flatMap((i) => all.slice(i + 1).flatMap((j) => all.slice(j + 1).map((k) => [i, j, k]))),
  ];
  for (const of of groups) {
    if (of.length > mostClays || !locked.every((id) => of.some((i) => clays[i]?.id === id))) continue;
    for (const units of ratios(of.length as 1 | 2 | 3)) {
      const weights = of.map((i, k) => (units[k] ?? 0) * (clays[i]?.density ?? 0));
      const mass = weights.reduce((a, b) => a + b, 0);
      if (grams > 0 && of.some((i, k) => (grams * (weights[k] ?? 0)) / mass > (clays[i]?.left ?? 0) + 1e-9)) continue;
      const lab = labOf(
        mixPigments(
          of.flatMap((i) => clays[i]?.pigment ?? []),
          units,
        ),
      );
      const d = ciede2000(t.l, t.a, t.b, lab.l, lab.a, lab.b);
      const few = unitsOf(units) <= (of.length === 2 ? 4 : 5) || of.length === 1;
      for (const name of [`${of.length} any`, ...(few ? [`${of.length} few`] : [])])
        best.set(name, Math.min(best.get(name) ?? Infinity, d));
    }
  }
  return best;
}

describe('finding a mix', () => {
  test('is exact: each answer is the best of its kind, as if every mix had been tried', () => {
    fc.assert(
      fc.property(
        shelf(12),
        target,
        fc.constantFrom(0, 0, 20),
        fc.nat(11),
        fc.constantFrom(1 as const, 2 as const, 3 as const, 3 as const),
        fc.boolean(),
        (clays, t, grams, lock, mostClays, byNumbers) => {
          const locked = lock < clays.length && lock % 3 === 0 ? [`clay${lock}`] : [];
          const input = { target: t, clays, grams, locked, mostClays };
          const found = last(input, byNumbers);
          const best = plainly(input);
          const all = [...best.values()];
          expect(found.length === 0).toBe(all.length === 0);
          // the short list gives up what is closer by less than 0.05
          if (found.length > 0) expect(found.at(-1)?.deltaE).toBeLessThanOrEqual(Math.min(...all) + 0.05);
          for (const { clayIds, units, deltaE, lab } of found) {
            expect(ciede2000(t.l, t.a, t.b, lab.l, lab.a, lab.b)).toBeCloseTo(deltaE, 9);
            const few = unitsOf(units) <= (clayIds.length === 2 ? 4 : 5);
            const any = best.get(`${clayIds.length} any`) ?? 0;
            const kind = few && clayIds.length > 1 && deltaE > any + 1e-9 ? 'few' : 'any';
            expect(deltaE).toBeCloseTo(best.get(`${clayIds.length} ${kind}`) ?? NaN, 9);
            for (const id of locked) expect(clayIds).toContain(id);
          }
        },
      ),
      { numRuns: 20 },
    );
  });

  test('vector instructions find the same as plain numbers, among many clays and for colours out of reach', () => {
    fc.assert(
      fc.property(
        fc.array(candidate, { minLength: 20, maxLength: 30 }),
        fc.tuple(fc.integer({ min: 5, max: 95 }), fc.integer({ min: -90, max: 90 }), fc.integer({ min: -90, max: 90 })),
        fc.constantFrom(0, 50),
        (rows, [l, a, b], grams) => {
          const clays = rows.map(([h, s, density, left], i) => ({
            id: `clay${i}`,
            pigment: pigmentOf(h, s),
            density,
            left,
          }));
          const input = { target: { l, a, b }, clays, grams, locked: [], mostClays: 3 as const };
          const deltas = (byNumbers: boolean): number[] => last(input, byNumbers).map((f) => f.deltaE);
          const plain = deltas(true);
          const vectors = deltas(false);
          expect(vectors).toHaveLength(plain.length);
          vectors.forEach((deltaE, i) => {
            expect(deltaE).toBeCloseTo(plain[i] ?? NaN, 9);
          });
        },
      ),
      { numRuns: 12 },
    );
  });

  test('the list goes from simple to close', () => {
    fc.assert(
      fc.property(shelf(9), target, (clays, t) => {
        const found = last({ target: t, clays, grams: 0, locked: [], mostClays: 3 });
        found.forEach((f, i) => {
          const before = found[i - 1];
          if (!before) return;
          expect(f.deltaE).toBeLessThan(before.deltaE);
          expect(f.clayIds.length).toBeGreaterThanOrEqual(before.clayIds.length);
        });
      }),
      { numRuns: 12 },
    );
  });

  test(
    'a clay that is the target is found alone; one that has to be in is in; unknown or too many locks ' +
      'find nothing',
    () => {
      const clays = ['F1EEE4', '7B1E4B', '4F7F45'].map((h, i): Candidate => ({
        id: h,
        pigment: pigmentOf(h, 1),
        density: 1.9,
        left: i === 1 ? 5 : 57,
      }));
      const beet = labOf(mixPigments([pigmentOf('7B1E4B', 1)], [1]));
      const ask = (more: Partial<FindInput>): readonly Found[] =>
        last({ target: beet, clays, grams: 0, locked: [], mostClays: 3, ...more });
      expect(ask({})).toMatchObject([{ clayIds: ['7B1E4B'], units: [1], deltaE: expect.closeTo(0, 6) }]);
      expect(ask({ locked: ['F1EEE4'] }).every((f) => f.clayIds.includes('F1EEE4'))).toBe(true);
      expect(ask({ grams: 20 }).every((f) => f.clayIds.length > 1 || f.clayIds[0] !== '7B1E4B')).toBe(true);
      expect(ask({ locked: ['none'] })).toEqual([]);
      expect(ask({ locked: ['F1EEE4', '7B1E4B'], mostClays: 1 })).toEqual([]);
      expect(ask({ clays: [] })).toEqual([]);
    },
  );

  test('ratios are those of whole and half parts up to eight, each once', () => {
    expect(ratios(2)).toHaveLength(79);
    const three = ratios(3);
    expect(new Set(three.map(String)).size).toBe(three.length);
    expect(three.every((r) => unitsOf(r) <= 16 && r.every((n) => n > 0))).toBe(true);
    expect(three.map(String)).toContain('7,5,4');
  });
});
