import fc from 'fast-check';
import { FIRMNESSES, SQUEEZES, SQUEEZE_HOLDS, squeezeOf, type Clay, type Squeeze } from '#core/clay';
import { statedPigment } from '#core/colour';
import {
  DROP,
  MOST_SOFTENER,
  SCHOOLS_OF_CONDITIONING,
  SHOWS,
  conditionPlan,
  conditioningOf,
  hardnessOf,
  learnedPasses,
  mostUnseen,
  rescueWays,
  rescued,
  sittingOf,
  squeezeAt,
  type Added,
  type ClayOfSitting,
  type ConditionInput,
  type ConditioningBench,
  type RescuedFrom,
} from '#core/conditioning';
import { thicknesses } from '#core/sheet';
import { bench } from './machines.js';
import { refusal } from './refused.js';

const mm = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const usual: ConditioningBench = {
  roomC: 21,
  school: 'thin slices',
  machine: bench,
  counted: [],
  ownPasses: null,
  workingSettingId: null,
};

describe('conditioning', () => {
  const input: fc.Arbitrary<ConditionInput> = fc.record({
    lineId: fc.constant('l'),
    firmness: fc.constantFrom(...FIRMNESSES),
    months: fc.option(fc.integer({ min: 0, max: 120 })),
    grams: mm(5, 400),
    roomC: mm(5, 35),
    school: fc.constantFrom(...SCHOOLS_OF_CONDITIONING),
    squeeze: fc.option(fc.constantFrom(...SQUEEZES)),
    machine: fc.constantFrom(bench, null),
    counted: fc.constant([]),
    ownPasses: fc.option(fc.integer({ min: 2, max: 60 })),
    workingSettingId: fc.constantFrom(null, 'Bench roller2', 'of another machine'),
  });

  test('ends with a fold that is tried; older clay and a colder room are more work', () => {
    fc.assert(
      fc.property(input, (given) => {
        const plan = conditionPlan(given);
        const crumbly = plan.how.firmness === 'crumbly';
        expect(plan.steps.some((s) => s.kind === 'try fold')).toBe(true);
        // the card of a batch and the page of conditioning name the same setting
        const pass = plan.steps.find((s) => s.kind === 'pass');
        expect(pass?.kind === 'pass' ? pass.setting : null).toEqual(plan.how.at);
        expect(plan.how.at === null).toBe(given.machine === null || given.school === 'by hand');
        expect(plan.because.from).toBe(0);
        // nothing is capped, and what makes the number is said
        const { base, own, age, squeeze, room, school, amount } = plan.because;
        expect([plan.passes, own]).toEqual([
          Math.max(2, Math.round(base * age * squeeze * room * school * amount)),
          given.ownPasses !== null,
        ]);
        // worked in portions: half a block, a quarter of one that crumbles
        expect(given.grams / plan.portions).toBeLessThanOrEqual(crumbly ? 14.26 : 28.51);
        if (crumbly) expect(plan.steps.some((s) => s.kind === 'slice')).toBe(false);
        if (given.roomC < 16) expect(plan.steps.some((s) => s.kind === 'warm')).toBe(true);
        expect(plan.warnings.includes('reverts')).toBe(crumbly);
        expect(conditionPlan({ ...given, roomC: Math.max(1, given.roomC - 8) }).passes).toBeGreaterThanOrEqual(
          plan.passes,
        );
        expect(conditionPlan({ ...given, months: (given.months ?? 12) + 36 }).passes).toBeGreaterThanOrEqual(
          plan.passes,
        );
        for (const s of plan.steps)
          if (s.kind === 'slice' && given.machine)
            expect(s.mm).toBeLessThanOrEqual((thicknesses(given.machine)[0]?.mm ?? 0) + 1e-9);
        if (given.machine === null) expect(plan.steps.some((s) => s.kind === 'knead')).toBe(true);
      }),
    );
  });

  test('the schools differ as they do at the table', () => {
    const given: ConditionInput = {
      lineId: 'l',
      firmness: 'crumbly',
      months: 6,
      grams: 57,
      roomC: 21,
      school: 'thin slices',
      machine: bench,
      counted: [],
      ownPasses: null,
      workingSettingId: null,
    };
    const kinds = (part: Partial<ConditionInput>): string[] =>
      conditionPlan({ ...given, ...part }).steps.map((s) => s.kind);
    expect(kinds({})).toEqual(['warm', 'knock', 'crumble', 'step up', 'pass', 'try fold']);
    expect(kinds({ school: 'thick slices' })).toEqual(['warm', 'knock', 'crumble', 'press', 'pass', 'try fold']);
    expect(kinds({ firmness: 'soft' })).toEqual(['slice', 'pass', 'try fold']);
    expect(kinds({ firmness: 'soft', roomC: 31 })).toEqual(['leach', 'cool', 'slice', 'pass', 'try fold', 'rest']);
    expect(conditionPlan({ ...given, firmness: 'soft', roomC: 31 }).warnings).toContain('soft in heat');
    expect(conditionPlan({ ...given, roomC: 10, months: 60 }).warnings).toEqual([
      'reverts',
      'cold',
      'very old',
      'hands',
    ]);
    expect(refusal(() => conditionPlan({ ...given, roomC: 60 }))).toBe('unit/range');
    expect(refusal(() => conditionPlan({ ...given, grams: 0 }))).toBe('amount/positive');
  });

  test(
    'careful makers’ 20 to 30 passes for every line, fewer for a small piece, and one’s own number and ' +
      'setting once',
    () => {
      const fresh = (more: Partial<ConditionInput>) =>
        conditionPlan({
          lineId: 'l',
          firmness: 'soft',
          months: 6,
          grams: 28.5,
          roomC: 21,
          school: 'thin slices',
          machine: bench,
          counted: [],
          ownPasses: null,
          workingSettingId: null,
          ...more,
        });
      for (const firmness of FIRMNESSES) {
        expect(fresh({ firmness, grams: 14 }).passes).toBeGreaterThan(14);
        for (const passes of [fresh({ firmness }).passes]) expect([passes >= 20, passes <= 30]).toEqual([true, true]);
      }
      const [ten, whole] = [fresh({ grams: 10 }), fresh({ grams: 57 })];
      expect(ten.passes * ten.portions).toBeLessThan(whole.passes * whole.portions);
      expect(fresh({ ownPasses: 25 }).passes).toBe(25);
      expect(
        fresh({ school: 'by hand', months: 100, roomC: 12, firmness: 'crumbly', grams: 14.25 }).passes,
      ).toBeGreaterThan(80);
      const worked = fresh({ workingSettingId: 'Bench roller2' }).steps.find((s) => s.kind === 'pass');
      expect(worked?.kind === 'pass' && worked.setting.id).toBe('Bench roller2');
    },
  );

  test('goes by what was counted of the line, and only of that', () => {
    const circumstances = { firmness: 'firm' as const, months: 12, roomC: 21, school: 'thin slices' as const };
    const took = (passes: number, lineId = 'l') => ({ ...circumstances, lineId, passes, grams: 57 });
    const plan = (counted: ConditionInput['counted']) =>
      conditionPlan({
        ...circumstances,
        lineId: 'l',
        grams: 57,
        machine: bench,
        counted,
        ownPasses: null,
        workingSettingId: null,
      });
    const before = plan([]).passes;
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 60 }), fc.integer({ min: 1, max: 9 }), (passes, times) => {
        const after = plan(Array.from({ length: times }, () => took(passes)));
        expect(after.because.from).toBe(times);
        expect(Math.sign(after.passes - before) * Math.sign(passes - before)).toBeGreaterThanOrEqual(0);
        expect(Math.abs(after.passes - passes)).toBeLessThanOrEqual(Math.abs(before - passes));
      }),
    );
    expect(plan([took(40, 'other')])).toMatchObject({ passes: before, because: { from: 0 } });
    expect(learnedPasses('l', 6, [], null)).toMatchObject({ factor: 1, from: 0 });
  });
});

describe('work', () => {
  const grams = mm(1, 500);
  const of = (
    firmness: (typeof FIRMNESSES)[number],
    months: number | null,
    g: number,
    squeeze: Squeeze | null = null,
  ) => conditioningOf({ lineId: 'l', firmness, months, grams: g, squeeze }, usual);

  test('takes no less for more clay, for older clay, and for firmer clay', () => {
    fc.assert(
      fc.property(fc.constantFrom(...FIRMNESSES), fc.nat(100), fc.nat(100), grams, grams, (f, age, more, g, extra) => {
        const now = of(f, age, g).minutes;
        expect(now).toBeGreaterThan(0);
        expect(of(f, age + more, g).minutes).toBeGreaterThanOrEqual(now);
        expect(of(f, age, g + extra).minutes).toBeGreaterThanOrEqual(now);
        const firmer = FIRMNESSES[FIRMNESSES.indexOf(f) + 1];
        if (firmer) expect(of(firmer, age, g).minutes).toBeGreaterThan(now);
      }),
    );
  });

  test('crumbly clay is used the same day, soft fresh clay needs nothing special, unknown age is no old age', () => {
    expect(of('crumbly', null, 40).useSameDay).toBe(true);
    expect(of('soft', 3, 57)).toMatchObject({ minutes: 4, warms: 0, useSameDay: false, softener: false });
    expect(of('firm', null, 57).minutes).toBe(of('firm', 12, 57).minutes);
  });

  test('the squeeze overrules line and age, and each answer is more work than the one before', () => {
    fc.assert(
      fc.property(fc.constantFrom(...FIRMNESSES), fc.nat(120), grams, (f, age, g) => {
        const work = SQUEEZES.map((s) => of(f, age, g, s));
        const alike = SQUEEZES.map((s) => of('medium', 3, g, s));
        expect(work.map((w) => w.minutes)).toEqual(alike.map((w) => w.minutes));
        for (const [i, one] of work.entries())
          if (i > 0) expect(one.minutes).toBeGreaterThan(work[i - 1]?.minutes ?? 0);
        expect(work.map((w) => w.softener)).toEqual([false, false, true, true]);
      }),
    );
  });

  test('a squeeze holds for half a year', () => {
    const squeezed = (squeezedOn: string | null) => squeezeOf({ squeezed: 'cracks', squeezedOn }, '2026-11-29');
    expect(squeezed('2026-11-01')).toBe('cracks');
    expect(squeezed(null)).toBe('cracks');
    expect(squeezed('2026-01-01')).toBeNull();
    expect(squeezeOf({}, '2026-11-29')).toBeNull();
    expect(SQUEEZE_HOLDS).toBe(180);
  });
});

describe('several clays in one sitting', () => {
  const clay: fc.Arbitrary<ClayOfSitting<number>> = fc.record({
    of: fc.nat(),
    lineId: fc.constantFrom('a', 'b'),
    firmness: fc.constantFrom(...FIRMNESSES),
    squeeze: fc.option(fc.constantFrom(...SQUEEZES)),
    months: fc.option(fc.nat(90)),
    grams: mm(5, 150),
    lightness: mm(10, 99),
    chroma: mm(0, 60),
  });

  test('each has its turn once, none before it is warm, and hands do one thing at a time', () => {
    fc.assert(
      fc.property(fc.uniqueArray(clay, { selector: (c) => c.of, maxLength: 9 }), mm(10, 30), (clays, roomC) => {
        const sitting = sittingOf(clays, { ...usual, roomC });
        expect(sitting.turns.map((t) => t.of).sort()).toEqual(clays.map((c) => c.of).sort());
        let now = 0;
        for (const { from, to, how, waits, cleanFirst } of sitting.turns) {
          expect(from).toBeGreaterThanOrEqual(how.warms - 1e-9);
          expect(from).toBeCloseTo(now + waits + (cleanFirst ? 3 : 0), 6);
          expect(to - from).toBeCloseTo(how.minutes, 6);
          now = to;
        }
        expect(sitting.lasts).toBeCloseTo(now, 6);
        expect(sitting.lasts).toBeGreaterThanOrEqual(sitting.hands - 1e-6);
      }),
    );
  });

  test('white goes first, then the hardest; what is soft is rolled while the hard one warms', () => {
    const plain = { months: 6, grams: 57, chroma: 50, lightness: 50, squeeze: null } as const;
    const firm = { ...plain, of: 'firm', lineId: 'a', firmness: 'firm' } as const;
    const soft = { ...plain, of: 'soft', lineId: 'b', firmness: 'soft' } as const;
    const white = { ...plain, of: 'white', lineId: 'b', firmness: 'medium', lightness: 95, chroma: 2 } as const;
    const order = (...clays: ClayOfSitting<string>[]) => sittingOf(clays, usual).turns.map((t) => t.of);
    expect(order(soft, firm, white)).toEqual(['white', 'soft', 'firm']);
    // warm from the beginning it goes before what is softer
    const long = { ...white, of: 'much white', grams: 300 };
    expect(order(soft, firm, long)).toEqual(['much white', 'firm', 'soft']);
    const { lasts, hands, warm } = sittingOf([soft, firm], usual);
    expect([lasts, hands, warm]).toEqual([30, 14, ['firm']]);
  });

  test('a white that has to warm for long is not waited for: the rollers are wiped instead', () => {
    const plain = { months: 6, grams: 57, squeeze: null } as const;
    const white = { ...plain, of: 'white', lineId: 'a', firmness: 'firm', lightness: 95, chroma: 2 } as const;
    const red = { ...plain, of: 'red', lineId: 'b', firmness: 'medium', lightness: 40, chroma: 60 } as const;
    const { turns } = sittingOf([{ ...red, grams: 120 }, white], usual);
    expect(turns.map((t) => [t.of, t.cleanFirst])).toEqual([
      ['red', false],
      ['white', true],
    ]);
  });
});

describe('a block that is brought back', () => {
  const clay = (id: string, hex: string, kind: Clay['kind'] = 'opaque'): Clay => ({
    ...{ id, lineId: 'l', name: id, kind, strength: null },
    ...{ rawHex: hex, bakedHex: hex },
  });
  const beetroot = clay('beetroot', '7B1E4B');
  const added = (of: Clay, hardness = -1, grams = 60): Added => ({ clay: of, density: 1.9, grams, hardness });
  const block = (grams = 57, from: RescuedFrom = 'crumbles') => ({
    ...{ clay: beetroot, density: 1.9, grams, from, pigments: statedPigment },
  });
  const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => n.toString(16).padStart(6, '0'));

  test('a drop or two for a small block that cracks, four for one that crumbles', () => {
    const drops = (from: RescuedFrom) => rescueWays(block(57, from), []).map((way) => way.drops);
    expect(drops('cracks')).toEqual([2]);
    expect(drops('crumbles')).toEqual([4]);
    expect(drops('stiff')).toEqual([]);
    expect(drops('too soft')).toEqual([]);
  });

  test('what comes out weighs what goes in, and never more softener than clay takes', () => {
    fc.assert(
      fc.property(
        hex,
        mm(5, 300),
        mm(-1, 0.9),
        mm(1, 400),
        fc.constantFrom('cracks', 'crumbles'),
        (h, g, hard, there, from) => {
          for (const way of rescueWays(block(g, from as RescuedFrom), [added(clay('other', h), hard, there)])) {
            expect(way.becomes.grams).toBeCloseTo(g + way.addedGrams + way.drops * DROP, 9);
            expect(way.addedGrams).toBeLessThanOrEqual(there + 1e-9);
            expect(way.drops * DROP).toBeLessThanOrEqual(MOST_SOFTENER * (g + way.addedGrams) + 1e-9);
            expect(way.becomes.deltaE).toBeLessThan(SHOWS + 1e-6);
            if (way.enough) expect(['gives', 'stiff']).toContain(squeezeAt(way.becomes.hardness - 0.06));
          }
        },
      ),
      { numRuns: 40 },
    );
  });

  test('the same colour is added without limit, white only until it shows', () => {
    const own = added(clay('fresh', '7B1E4B'));
    const white = added(clay('white', 'F7F7F2'));
    expect(mostUnseen(block(), own)).toBeCloseTo(3 * 57, 6);
    const most = mostUnseen(block(), white);
    expect(most).toBeLessThan(0.15 * 57);
    expect(rescued(block(), { added: white, addedGrams: most, drops: 0 }).deltaE).toBeLessThan(SHOWS);
    expect(rescued(block(), { added: white, addedGrams: most + 0.1, drops: 0 }).shows).toBe(true);
    // a third of soft clay and more brings crumbs back by itself
    const [best] = rescueWays(block(), [own, white]);
    expect([best?.added?.clay.id, best?.enough, best?.drops]).toEqual(['fresh', true, 0]);
    expect(best?.addedGrams).toBeCloseTo((57 * 0.375) / 0.625, 0);
  });

  test('too soft goes the other way: firmer clay helps, softer clay and softener do not', () => {
    const ways = rescueWays(block(57, 'too soft'), [
      added(clay('firm', '7B1E4B'), 0.7),
      added(clay('soft', '7B1E4B'), -1),
    ]);
    expect(ways.map((way) => way.added?.clay.id)).toEqual(['firm']);
    expect(ways[0]?.enough).toBe(true);
  });

  test('nothing left is refused; hardness follows squeeze, then line and age', () => {
    expect(refusal(() => rescueWays(block(0), []))).toBe('rescue/none');
    const hard = (squeeze: Squeeze | null, months: number | null = 6) =>
      hardnessOf({ firmness: 'firm', squeeze, months });
    expect(SQUEEZES.map((s) => squeezeAt(hard(s)))).toEqual([...SQUEEZES]);
    expect(hard(null, 60)).toBeGreaterThan(hard(null));
    expect(squeezeAt(hard(null, 120))).toBe('crumbles');
  });
});
