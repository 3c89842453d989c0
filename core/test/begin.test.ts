import fc from 'fast-check';
import {
  ASKS,
  STATION_OF,
  TRADE_WORDS,
  askAt,
  askedOf,
  asksLeft,
  canWait,
  tradeRuns,
  type Ask,
  type Begun,
} from '#core/begin';

const begun: fc.Arbitrary<Begun> = fc.record({
  colours: fc.nat(5),
  machines: fc.nat(2),
  readings: fc.nat(3),
  chips: fc.nat(2),
  batches: fc.nat(2),
  entries: fc.nat(1),
});
const later = fc.subarray<Ask>([...ASKS]);
const NOTHING: Begun = { colours: 0, machines: 0, readings: 0, chips: 0, batches: 0, entries: 0 };

describe('what is asked of who begins', () => {
  test('from nothing: clays everywhere, and only they', () => {
    for (const station of [...Object.values(STATION_OF), 'canes', 'diary'])
      expect(askAt(station, NOTHING, []) === 'clays' || station === 'sheets').toBe(true);
    expect(askAt('sheets', NOTHING, [])).toBe('machine');
  });
  test('nothing once the diary has something', () => {
    fc.assert(
      fc.property(begun, later, fc.constantFrom('shelf', 'bench', 'canes'), (all, off, station) => {
        expect(askAt(station, { ...all, entries: 1 }, off)).toBeNull();
      }),
    );
  });
  test('until then always something, never what is there, and its own first', () => {
    fc.assert(
      fc.property(begun, later, fc.constantFrom(...Object.values(STATION_OF)), (all, off, station) => {
        const some = { ...all, entries: 0 };
        const ask = askAt(station, some, off);
        if (ask === null) throw new Error('nothing is asked before the first card');
        const [there, of] = askedOf(ask, some);
        expect(there).toBeLessThan(of);
        const left = asksLeft(some, off);
        expect(left).toContain(ask);
        const isOwn = STATION_OF[ask] === station;
        expect(isOwn || ask === left[0]).toBe(true);
      }),
    );
  });
  test('put off is only what the rest goes on without, and it stays away', () => {
    fc.assert(
      fc.property(begun, later, (all, off) => {
        const some = { ...all, entries: 0 };
        const gone = asksLeft(some, []).filter((ask) => !asksLeft(some, off).includes(ask));
        for (const ask of gone) expect(off.includes(ask) && canWait(ask, some)).toBe(true);
        for (const ask of off) if (canWait(ask, some)) expect(asksLeft(some, off)).not.toContain(ask);
      }),
    );
  });
  test('at their own stations a card is not asked for without a batch, nor a batch without clay and machine', () => {
    expect(askAt('bench', { ...NOTHING, colours: 3, machines: 1, readings: 2 }, [])).toBe('chip');
    expect(askAt('batches', { ...NOTHING, colours: 3 }, [])).toBe('machine');
    expect(askAt('batches', { ...NOTHING, colours: 1, machines: 1 }, [])).toBe('batch');
    expect(askAt('bench', { ...NOTHING, colours: 1, machines: 1, batches: 1 }, [])).toBe('card');
  });
});

describe('words of the trade in a sentence', () => {
  test('the runs are the sentence', () => {
    const words = fc.constantFrom(...Object.keys(TRADE_WORDS), 'clay', 'lines,', 'Passes', 'outline', 'x');
    fc.assert(
      fc.property(fc.array(words, { maxLength: 12 }), (all) => {
        const sentence = all.join(' ');
        const runs = tradeRuns(sentence);
        expect(runs.map(({ text }) => text).join('')).toBe(sentence);
        const told = runs.flatMap(({ word }) => (word === null ? [] : [word]));
        expect(new Set(told).size).toBe(told.length);
        for (const word of told) expect(TRADE_WORDS[word]).toBeDefined();
      }),
    );
  });
  test('inside other words none is found; at the start of a sentence and in the plural it is', () => {
    const words = (sentence: string) => tradeRuns(sentence).flatMap(({ word }) => word ?? []);
    expect(words('The outline is broken, the impasse is not.')).toEqual([]);
    expect(words('Condition it. Canes are reduced.')).toEqual(['condition', 'cane', 'reduce']);
    expect(words('Two readings, and a reading more.')).toEqual(['reading']);
  });
  test('each is said in one short sentence', () => {
    for (const [word, meaning] of Object.entries(TRADE_WORDS)) {
      expect(meaning.length).toBeLessThan(110);
      expect(meaning.endsWith('.')).toBe(false);
      expect(word).not.toBe('');
    }
  });
});
