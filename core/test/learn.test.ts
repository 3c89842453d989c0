import fc from 'fast-check';
import {
  deltaE,
  deltaEFrame,
  labOf,
  mixPigments,
  readColour,
  statedPigment,
  type Lab,
  type Pigment,
} from '#core/colour';
import type { Clay } from '#core/clay';
import {
  CURVE_TERMS,
  correctedPigment,
  doubtsOf,
  learn,
  learnedStrength,
  matchedPigment,
  nextChips,
  pigmentsWith,
  type Evidence,
  type Learned,
} from '#core/mix';
import { sensitivity, UNKNOWNS } from '../src/mix/learn/sensitivity.js';

const HEXES = ['F1EEE4', '26242A', '7B1E4B', 'D23B5E', 'E29A2E', '4F7F45'];
const clay = (hex: string, i: number, more: Partial<Clay> = {}): Clay => ({
  id: `clay${i}`,
  lineId: 'line',
  name: `Clay ${i}`,
  kind: 'opaque',
  rawHex: hex,
  bakedHex: hex,
  strength: null,
  ...more,
});
const clays = HEXES.map((hex, i) => clay(hex, i));
const surface = fc.record({
  l: fc.double({ min: 15, max: 92, noNaN: true }),
  a: fc.double({ min: -40, max: 50, noNaN: true }),
  b: fc.double({ min: -40, max: 60, noNaN: true }),
});
const curve = fc.array(fc.double({ min: -0.15, max: 0.15, noNaN: true }), {
  minLength: CURVE_TERMS,
  maxLength: CURVE_TERMS,
});
const hidden = fc.record({
  logStrength: fc.double({ min: -1.2, max: 1.2, noNaN: true }),
  curve: curve.map((c) => c.map((x, i) => x / (1 + i))),
});

const labWith = (pigments: readonly Pigment[], of: readonly number[], volumes: readonly number[]): Lab =>
  labOf(
    mixPigments(
      of.flatMap((i) => pigments[i] ?? []),
      volumes,
    ),
  );
const chip = (
  id: string,
  of: readonly number[],
  parts: readonly number[],
  lab: Lab,
  more: Partial<Evidence> = {},
): Evidence => {
  const whole = parts.reduce((a, b) => a + b, 0);
  return {
    id,
    shares: of.map((i, k) => ({ clayId: `clay${i}`, volume: (parts[k] ?? 0) / whole })),
    stage: 'baked',
    lab,
    way: 'colour reader',
    ...more,
  };
};
/** Mixes of two neighbours on the shelf, every way. */
const MIXES = clays.flatMap((_, i) =>
  [
    [1, 1],
    [4, 1],
    [1, 4],
  ].map((parts) => ({ of: [i, (i + 1) % clays.length], parts })),
);
const chipsOf = (
  pigments: readonly Pigment[],
  mixes: readonly { of: readonly number[]; parts: readonly number[] }[] = MIXES,
): Evidence[] => mixes.map(({ of, parts }, n) => chip(`chip${n}`, of, parts, labWith(pigments, of, parts)));
const pigmentsOf = (learned: Learned): Pigment[] => clays.map((c) => pigmentsWith(learned)(c, 'baked'));
const median = (values: number[]): number => values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

describe('ΔE00 as a frame', () => {
  test('gives the ΔE00 of small differences', () => {
    fc.assert(
      fc.property(
        surface,
        fc.tuple(
          fc.double({ min: -1, max: 1, noNaN: true }),
          fc.double({ min: -1, max: 1, noNaN: true }),
          fc.double({ min: -1, max: 1, noNaN: true }),
        ),
        (lab, [u, v, w]) => {
          const frame = deltaEFrame(lab);
          const step = 0.02;
          const row = (r: number): number =>
            step * ((frame[3 * r] ?? 0) * u + (frame[3 * r + 1] ?? 0) * v + (frame[3 * r + 2] ?? 0) * w);
          const length = Math.hypot(row(0), row(1), row(2));
          // close to the grey axis hue has no direction
          fc.pre(length > 1e-3 && Math.hypot(lab.a, lab.b) > 2);
          expect(length / deltaE(lab, { l: lab.l + step * u, a: lab.a + step * v, b: lab.b + step * w })).toBeCloseTo(
            1,
            1,
          );
        },
      ),
    );
  });
});

describe('sensitivity', () => {
  test('is the slope of the prediction by strength and by every term', () => {
    fc.assert(
      fc.property(
        fc.array(hidden, { minLength: 3, maxLength: 3 }),
        fc.array(fc.integer({ min: 1, max: 8 }), { minLength: 3, maxLength: 3 }),
        fc.nat(3 * UNKNOWNS - 1),
        (all, volumes, at) => {
          const bent = (by: number): Pigment[] =>
            all.map((own, i) => {
              const k = at - i * UNKNOWNS;
              return correctedPigment(statedPigment(clays[i + 2] as Clay, 'baked'), {
                logStrength: own.logStrength + (k === 0 ? by : 0),
                curve: own.curve.map((c, term) => (k === term + 1 ? c + by : c)),
              });
            });
          const { lab, rows } = sensitivity(bent(0), volumes);
          const h = 1e-5;
          const [more, less] = [labOf(mixPigments(bent(h), volumes)), labOf(mixPigments(bent(-h), volumes))];
          expect(deltaE(lab, labOf(mixPigments(bent(0), volumes)))).toBeLessThan(1e-9);
          (['l', 'a', 'b'] as const).forEach((key, r) => {
            expect(rows[r * 3 * UNKNOWNS + at]).toBeCloseTo((more[key] - less[key]) / (2 * h), 3);
          });
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('learning', () => {
  test('finds hidden strengths and curves again: mixes it has not seen are predicted', () => {
    fc.assert(
      fc.property(fc.array(hidden, { minLength: 6, maxLength: 6 }), (all) => {
        const truth = clays.map((c, i) =>
          correctedPigment(statedPigment(c, 'baked'), all[i] ?? { logStrength: 0, curve: [] }),
        );
        const { learned, residuals } = learn(clays, chipsOf(truth));
        const asked = clays.map((_, i) => [i, (i + 2) % clays.length]);
        const off = (pigments: readonly Pigment[]): number =>
          median(asked.map((of) => deltaE(labWith(truth, of, [2, 3]), labWith(pigments, of, [2, 3]))));
        const before = off(pigmentsOf({}));
        expect(off(pigmentsOf(learned))).toBeLessThan(Math.max(1.2, before * 0.6));
        expect(median(residuals.map((r) => r.after))).toBeLessThan(1);
      }),
      { numRuns: 8 },
    );
  });

  test('without chips nothing is learned, and one chip moves only its own clays, and halfway at most too far', () => {
    expect(learn(clays, []).residuals).toEqual([]);
    expect(
      Object.values(learn(clays, []).learned).every(
        (own) => own.logStrength === 0 && own.curve.every((c) => c === 0) && own.chips === 0,
      ),
    ).toBe(true);
    const strong = clays.map((c, i) =>
      correctedPigment(statedPigment(c, 'baked'), { logStrength: i === 2 ? 1 : 0, curve: [] }),
    );
    const { learned } = learn(clays, [chip('one', [0, 2], [1, 1], labWith(strong, [0, 2], [1, 1]))]);
    expect((learned.clay2?.logStrength ?? 0) - (learned.clay0?.logStrength ?? 0)).toBeGreaterThan(0.6);
    expect((learned.clay2?.logStrength ?? 0) - (learned.clay0?.logStrength ?? 0)).toBeLessThan(1.1);
    expect([learned.clay1?.logStrength, learned.clay1?.chips, learned.clay2?.chips]).toEqual([
      expect.closeTo(0, 6),
      0,
      1,
    ]);
    expect(learned.clay2?.sigma).toBeLessThan(learned.clay1?.sigma ?? 0);
  });

  test('a strength that was typed in is believed more than a default', () => {
    const typed = clays.map((c, i) => (i === 2 ? { ...c, strength: 1 } : c));
    const strong = clays.map((c, i) =>
      correctedPigment(statedPigment(c, 'baked'), { logStrength: i === 2 ? 1.2 : 0, curve: [] }),
    );
    const chips = [chip('one', [0, 2], [1, 1], labWith(strong, [0, 2], [1, 1]))];
    const own = (of: readonly Clay[]): number => learnedStrength(of[2] as Clay, learn(of, chips).learned);
    expect(own(typed)).toBeLessThan(own(clays) - 0.1);
  });

  test('identical clays, a pure translucent, raw chips and chips of clays that are gone do no harm', () => {
    const odd = [...clays, clay('7B1E4B', 6), clay('E4E0D2', 7, { kind: 'translucent' })];
    const lab = readColour('8A2859');
    const { learned, residuals } = learn(odd, [
      chip('twins', [2, 6], [1, 1], readColour('7B1E4B')),
      chip('glass', [7], [1], readColour('E4E0D2')),
      chip('raw', [0, 2], [1, 2], lab, { stage: 'raw' }),
      chip('gone', [0, 99], [1, 1], lab),
    ]);
    expect(residuals.map((r) => r.id)).toEqual(['twins', 'glass', 'raw']);
    expect(
      Object.values(learned)
        .flatMap((own) => [own.logStrength, own.sigma, ...own.curve])
        .every(Number.isFinite),
    ).toBe(true);
    expect(learned.clay7?.logStrength).toBeCloseTo(0, 6);
  });
});

describe('contradictions', () => {
  const truth = clays.map((c, i) =>
    correctedPigment(statedPigment(c, 'baked'), { logStrength: [0, 0.5, -0.6, 0.3, 0.8, -0.4][i] ?? 0, curve: [] }),
  );

  test('chips that agree raise no doubt', () => {
    const chips = chipsOf(truth);
    expect(doubtsOf(chips, learn(clays, chips).residuals)).toEqual([]);
  });

  test('one chip that was mixed wrongly is pointed at, and the others are not bent to it', () => {
    fc.assert(
      fc.property(fc.nat(MIXES.length - 1), (at) => {
        const good = chipsOf(truth);
        const chips = good.map((c, i) =>
          i === at ? { ...c, lab: { ...c.lab, l: c.lab.l < 50 ? c.lab.l + 26 : c.lab.l - 26, b: c.lab.b + 14 } } : c,
        );
        const { residuals, learned } = learn(clays, chips);
        expect(doubtsOf(chips, residuals).map((d) => d.id)).toEqual([`chip${at}`]);
        expect(residuals[at]?.weight).toBeLessThan(0.2);
        const pigments = pigmentsOf(learned);
        const others = good.filter((_, i) => i !== at);
        expect(
          median(
            others.map((c) =>
              deltaE(
                c.lab,
                labWith(
                  pigments,
                  c.shares.map((s) => Number(s.clayId.slice(4))),
                  c.shares.map((s) => s.volume),
                ),
              ),
            ),
          ),
        ).toBeLessThan(1.2);
      }),
      { numRuns: 10 },
    );
  });

  test('two chips of one mix that read differently are named together, whatever the order of their clays', () => {
    const one = chip('one', [0, 2], [1, 2], readColour('8A2859'));
    const other = chip('other', [2, 0], [2, 1], readColour('C07090'));
    const near = chip('near', [0, 2], [1, 2], readColour('8B2A5A'));
    const doubts = doubtsOf([one, other, near], learn(clays, [one, other, near]).residuals);
    expect(doubts.every((d) => d.kind === 'pair' && (d.id === 'other' || d.otherId === 'other'))).toBe(true);
    expect(doubts).toHaveLength(2);
    // by eye nobody is that exact
    expect(
      doubtsOf(
        [
          { ...one, way: 'by eye' },
          { ...other, way: 'by eye' },
        ],
        [],
      ),
    ).toEqual([]);
  });
});

describe('the next chip', () => {
  const ids = clays.map((c) => c.id);

  test('promises less error with every chip, and holds clays that may be used', () => {
    const lesson = learn(clays, [chip('one', [0, 2], [1, 2], readColour('8A2859'))]);
    const usable = ids.slice(0, 4);
    const next = nextChips(lesson, usable, 4);
    expect(next).toHaveLength(4);
    next.forEach((n, i) => {
      expect(n.after).toBeLessThan(n.before);
      if (i > 0) expect(n.before).toBeCloseTo(next[i - 1]?.after ?? NaN, 4);
      expect(n.clayIds.every((id) => usable.includes(id))).toBe(true);
    });
  });

  test('asks for a clay that nothing is known of rather than for the same again', () => {
    const known = chipsOf(
      clays.map((c) => statedPigment(c, 'baked')),
      MIXES.filter(({ of }) => !of.includes(4)),
    );
    expect(nextChips(learn(clays, known), ids, 1)[0]?.clayIds).toContain('clay4');
  });

  test('takes two clays', () => {
    expect(nextChips(learn(clays, []), ['clay0'], 3)).toEqual([]);
    expect(nextChips(learn([], []), [], 3)).toEqual([]);
  });
});

describe('a pigment matched to a colour', () => {
  test('has that colour and keeps its strength', () => {
    fc.assert(
      fc.property(fc.nat(5), surface, (i, lab) => {
        const stated = statedPigment(clays[i] as Clay, 'baked');
        const own = labOf(mixPigments([stated], [1]));
        // as far off as a mix may come out
        const wanted = { l: own.l + (lab.l - 55) / 5, a: own.a + lab.a / 5, b: own.b + lab.b / 5 };
        fc.pre(wanted.l > 15 && wanted.l < 92);
        const pigment = matchedPigment(stated, wanted);
        expect(deltaE(labOf(mixPigments([pigment], [1])), wanted)).toBeLessThan(0.3);
        expect(pigment.scattering).toBe(stated.scattering);
      }),
      { numRuns: 60 },
    );
  });

  test('comes as near as it can to what no surface has', () => {
    const pigment = matchedPigment(statedPigment(clays[0] as Clay, 'baked'), { l: 50, a: 120, b: -120 });
    expect([...pigment.absorption].every((x) => x > 0 && Number.isFinite(x))).toBe(true);
  });
});
