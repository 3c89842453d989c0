import fc from 'fast-check';
import { readColour } from '#core/colour';
import { ofClay, ofMix } from '#core/material';
import { usualLadder, pigmentOfMix } from '#core/mix';
import { NO_CAST } from '#core/picture';
import { Fraction, sumOf } from '#core/units';
import { statedPigment } from '#core/colour';
import type { IngredientDto, PaletteDto } from '#contract';
import { BY_KEY, ONE, gramsOf, less, lookOf, withParts } from '../src/stations/mixes/discs.js';
import { namedIn } from '../src/stations/mixes/mixNames.js';
import { mixAfter, mixDto, newestOf, outdatedIn, withNewer } from '../src/stations/mixes/mixMoves.js';
import {
  alone,
  discWords,
  inWords,
  laidWords,
  lightest,
  missedWords,
  mixesOn,
  onRung,
  punchedFor,
  ratioOf,
  readCount,
  readDiscs,
  workOut,
} from '../src/stations/mixes/rungs.js';
import { changedRound, helped, layerOf, underLamp } from '../src/stations/mixes/stackMoves.js';
import {
  anew,
  gainsOf,
  inLight,
  named,
  readPatch,
  sharesOf,
  swatchOf,
  withColour,
  withoutColour,
} from '../src/stations/mixes/palettes/paletteMoves.js';
import { bookOf } from '../src/state/book.js';
import { SHELF, clayId, revision } from './kitchen.js';

const NAMES = ['Chalk', 'Leek', 'Beetroot', 'Soot'] as const;
const quarters = fc.integer({ min: 1, max: 40 }).map((n) => new Fraction(n, 4));
const ingredients = fc
  .array(quarters, { minLength: 1, maxLength: NAMES.length })
  .map((parts) => parts.map((p, i): IngredientDto => ({ parts: p.toFraction(), of: ofClay(clayId(NAMES[i]!)) })));

describe('stacks of discs', () => {
  test('one step less is never less than nothing, and again and again it is nothing', () => {
    fc.assert(
      fc.property(quarters, (parts) => {
        let left = parts;
        for (let n = 0; n < 60 && left.compare(0) > 0; n++) {
          const next = less(left);
          expect(next.compare(left)).toBeLessThan(0);
          expect(next.compare(0)).toBeGreaterThanOrEqual(0);
          left = next;
        }
        expect(left.equals(0)).toBe(true);
      }),
    );
  });

  test('what a key adds another takes away', () => {
    fc.assert(
      fc.property(quarters, (parts) => {
        const plus = BY_KEY['+']!(parts);
        expect(plus.sub(parts).equals(ONE)).toBe(true);
        expect(BY_KEY['-']!(plus).equals(parts)).toBe(true);
        expect(BY_KEY.Delete!(parts).equals(0)).toBe(true);
      }),
    );
  });

  test('a stack without discs goes, but never the last one', () => {
    fc.assert(
      fc.property(ingredients, fc.nat(), (of, n) => {
        const at = n % of.length;
        const next = withParts(of, at, new Fraction(0));
        if (of.length === 1) expect(next).toBeNull();
        else expect(next).toEqual(of.filter((_, i) => i !== at));
      }),
    );
  });

  test('their grams are together those of the mix, by volume and by mass', () => {
    fc.assert(
      fc.property(ingredients, fc.constantFrom('volume' as const, 'mass' as const), (of, basis) => {
        const recipe = { ...revision('Row', {}), ingredients: of, basis };
        const book = bookOf(SHELF, [recipe]);
        const flat = alone(SHELF, [recipe], ofMix(recipe.id));
        const sum = of.reduce((grams, i) => grams + gramsOf(i, of, basis, flat, book, 40), 0);
        expect(sum).toBeCloseTo(40, 6);
      }),
      { numRuns: 40 },
    );
  });

  test('each has the name and the colour of its clay or its mix', () => {
    const inner = revision('Pod', { Leek: '1' });
    const book = bookOf(SHELF, [inner]);
    const leek = SHELF.clays.find((c) => c.name === 'Leek');
    expect(lookOf({ parts: '1', of: ofClay(clayId('Leek')) }, book, statedPigment)).toEqual({
      name: 'Leek',
      hex: leek?.bakedHex,
    });
    expect(lookOf({ parts: '1', of: ofMix(inner.id) }, book, statedPigment).name).toBe('Pod');
  });
});

describe('a mix', () => {
  const old = { ...revision('Pod', { Leek: '2', Chalk: '1' }), newest: false };
  const newest = { ...revision('Pod', { Leek: '3' }), id: 'pod 2', number: 2 };

  test('is sent as it is, but for what is changed, and read as it was sent', () => {
    const mix = {
      ...{ id: 'm', version: 3, name: 'Row', note: '', retired: false, wantedHex: null },
      revisions: [newest],
    } as unknown as Parameters<typeof mixDto>[0];
    const dto = mixDto(mix, newest, { name: 'Rows' });
    expect([dto.name, dto.version, dto.ingredients]).toEqual(['Rows', 3, newest.ingredients]);
    expect(newestOf(mixAfter(mix, newest, dto, { name: 'Rows' }))?.ingredients).toEqual(dto.ingredients);
  });

  test('that holds an older revision of another says so, and takes the newer one', () => {
    const of: IngredientDto[] = [{ parts: '1', of: ofMix(old.id) }];
    expect(outdatedIn(of, [old, newest])).toEqual([old]);
    const mended = withNewer(of, old, [old, newest]);
    expect(mended).toEqual([{ parts: '1', of: ofMix('pod 2') }]);
    expect(outdatedIn(mended, [old, newest])).toEqual([]);
  });

  test('is called with its revision only where that is not the newest', () => {
    expect(namedIn({ parts: '1', of: ofMix(old.id) }, SHELF, [old, newest])).toEqual({ name: 'Pod', revision: 1 });
    expect(namedIn({ parts: '1', of: ofMix('pod 2') }, SHELF, [old, newest])).toEqual({ name: 'Pod', revision: null });
    expect(namedIn({ parts: '1', of: ofClay(clayId('Leek')) }, SHELF, [])).toEqual({ name: 'Leek', revision: null });
  });
});

describe('a ladder', () => {
  const flats = NAMES.slice(0, 3).map((name) => alone(SHELF, [], ofClay(clayId(name))));
  const others = NAMES.slice(1, 3).map((name, i) => ({ of: ofClay(clayId(name)), name, flat: flats[i + 1]! }));
  const mixes = mixesOn('first', 'Chalk', others);

  test('leads from the lightest clay there is', () => {
    expect(lightest(SHELF, statedPigment)?.name).toBe('Chalk');
    expect(lightest({ ...SHELF, clays: [] }, statedPigment)).toBeNull();
  });

  test('has so many steps as were asked for; too many are a sentence', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 11 }), (count) => {
        const worked = workOut(flats.slice(0, 2), 'equal', count, statedPigment);
        expect('rungs' in worked && worked.rungs.length).toBe(count);
      }),
      { numRuns: 6 },
    );
    expect(() => readCount('2')).toThrow(/step/i);
    expect(() => readDiscs('0')).toThrow(/discs/);
    expect(readDiscs('2 1/2')).toBe(2.5);
  });

  test('says of each step what is in it; pure ends show their place', () => {
    const rungs = usualLadder(flats.slice(0, 2).map((of) => pigmentOfMix(of, 'baked', statedPigment)));
    rungs.forEach((rung, i) => {
      const parts = onRung(rung, mixes);
      expect(sumOf(parts.map((p) => new Fraction(p.n))).valueOf()).toBe(rung.units.reduce((a, b) => a + b, 0));
      const ratio = ratioOf(parts, i, rungs.length - 1);
      expect(ratio).toMatch(/^\d+:\d+$/);
      if (i === 0) expect(ratio).toBe('1:0');
      if (i === rungs.length - 1) expect(ratio).toBe('0:1');
    });
  });

  test('takes as many discs in all as are laid in its steps', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), (discs) => {
        const punched = punchedFor(workOut(flats.slice(0, 2), 'usual', 7, statedPigment), discs);
        const { rungs, total } = punched!.sheet;
        total.forEach((sum, m) => {
          expect(sumOf(rungs.map((r) => r[m]!)).equals(sum)).toBe(true);
        });
      }),
      { numRuns: 12 },
    );
    expect(punchedFor({ wrong: 'no' }, 4)).toBeNull();
  });

  test('in words', () => {
    expect(inWords(['one', 'two', 'three'])).toBe('one, two and three');
    expect(inWords(['one'])).toBe('one');
    expect(discWords(new Fraction(5, 2), 'Leek')).toBe('2½ discs of Leek');
    expect(discWords(new Fraction(1), 'Leek')).toBe('1 disc of Leek');
    const sheet = { rungs: [], total: [], errors: [] } as unknown as Parameters<typeof missedWords>[0]['sheet'];
    expect(missedWords({ sheet, missed: [2, 5], needed: 8 })).toMatch(/step 2, 5 .*lay 8 discs/);
    expect(laidWords({ units: [1, 3], lab: readColour('888888') }, [new Fraction(1), new Fraction(3)])).toBe('1 + 3');
  });
});

describe('colours that are stacked', () => {
  const layers = fc
    .array(fc.constantFrom('7B1E4B', 'F1EEE4', '4F7F45', '1B1A19'), { minLength: 2, maxLength: 6 })
    .map((hexes) => hexes.map((hex, i) => layerOf({ name: `Colour ${i}`, hexes: [hex] })));

  test('are changed round: there and back is as it was, and off the end nothing happens', () => {
    fc.assert(
      fc.property(layers, fc.nat(), (stack, n) => {
        const at = n % (stack.length - 1);
        const once = changedRound(stack, at, at + 1);
        expect([once[at], once[at + 1]]).toEqual([stack[at + 1], stack[at]]);
        expect(changedRound(once, at, at + 1)).toEqual(stack);
        expect(changedRound(stack, stack.length - 1, stack.length)).toBe(stack);
      }),
    );
  });

  test('a sheet that helps lies between the two it keeps apart', () => {
    fc.assert(
      fc.property(layers, fc.nat(), (stack, n) => {
        const at = n % (stack.length - 1);
        const after = helped(stack, { kind: 'between', at, sheet: 0, dL: 30 }, SHELF.clays);
        expect(after).toHaveLength(stack.length + 1);
        expect(after[at + 1]?.name).toBe(SHELF.clays[0]?.name);
        expect(after.filter((_, i) => i !== at + 1)).toEqual(stack);
      }),
    );
  });

  test('the lamp leaves their lightness and no colour', () => {
    fc.assert(
      fc.property(fc.constantFrom('7B1E4B', 'F1EEE4', '4F7F45'), (hex) => {
        const [own, grey] = [readColour(hex), readColour(underLamp(hex))];
        expect(grey.l).toBeCloseTo(own.l, 0);
        expect(Math.hypot(grey.a, grey.b)).toBeLessThan(1);
      }),
    );
  });
});

describe('a palette', () => {
  const lab = { l: 50, a: 20, b: -10 };
  const palette: PaletteDto = {
    ...{ id: 'p', version: 1, name: 'Market', note: '', pictureId: null, gainR: 1, gainG: 1, gainB: 1 },
    swatches: [swatchOf(lab, 0.6), swatchOf(lab, 0.4), swatchOf(lab, null)],
  };

  test('shares out all of the weight, by share or evenly', () => {
    fc.assert(
      fc.property(fc.constantFrom('share' as const, 'even' as const), (split) => {
        const shares = sharesOf(palette.swatches, split);
        expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
        if (split === 'even') expect(new Set(shares).size).toBe(1);
      }),
    );
  });

  test('keeps what was picked by hand when colours are taken anew', () => {
    const after = anew(palette, [{ lab, share: 1 }]).swatches ?? [];
    expect(after.map((s) => s.share)).toEqual([1, null]);
    expect(after[1]).toBe(palette.swatches[2]);
  });

  test('one more, one less and one renamed change nothing else', () => {
    const [first, second] = palette.swatches;
    expect(withColour(palette, lab).swatches).toHaveLength(4);
    expect(withoutColour(palette, first?.id ?? '').swatches).toEqual(palette.swatches.slice(1));
    const called = named(palette, second?.id ?? '', 'sky').swatches;
    expect(called?.map((s) => s.name)).toEqual(['', 'sky', '']);
  });

  test('in another light and back is as it was', () => {
    const gains = [1.2, 1, 0.8] as const;
    const there = { ...palette, ...inLight(palette, gains) };
    expect(gainsOf(there)).toEqual(gains);
    const back = { ...there, ...inLight(there, NO_CAST) };
    back.swatches.forEach((s) => {
      expect(s.l).toBeCloseTo(lab.l, 4);
      expect(s.a).toBeCloseTo(lab.a, 4);
    });
  });

  test('a patch has a side', () => {
    expect(readPatch('9')).toBe(9);
    expect(() => readPatch('9.5')).toThrow(/patch/);
    expect(() => readPatch('500')).toThrow(/patch/);
  });
});
