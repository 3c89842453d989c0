import { ofClay, ofMix } from '#core/material';
import fc from 'fast-check';
import {
  MOST_CANES_DEEP,
  MOST_RODS,
  checkWork,
  contextOf,
  crossesItself,
  planBackwards,
  readProgram,
  runSteps,
  simplified,
  type Point,
  type Program,
  type Step,
} from '#core/cane';
import { readCane, readFile, readSvg } from '#core/formats';
import { MOST_DEPTH, flatten, flattenNew, type Book, type Recipe } from '#core/mix';
import { Fraction } from '#core/units';
import { lines } from '#demo';

const CLAY = { lineId: 'l', kind: 'opaque' as const, rawHex: 'F1EEE4', bakedHex: 'F1EEE4', strength: null };
const parts = (text: string, of: Recipe['ingredients'][number]['of']): Recipe['ingredients'][number] => ({
  parts: new Fraction(text),
  of,
});

/** Mixes by id; what is asked for is counted. */
function book(recipes: ReadonlyMap<string, Recipe>): Book & { readonly asked: string[] } {
  const asked: string[] = [];
  return {
    asked,
    nameOf: (id) => id,
    line: () => lines[0],
    clay: (id) => ({ id, name: id, ...CLAY }),
    recipe: (id) => {
      asked.push(id);
      return recipes.get(id);
    },
  };
}

/** Each made of the two before it, as a small file was that stopped everything. */
const ladder = (n: number): Map<string, Recipe> =>
  new Map(
    Array.from({ length: n }, (_, i) => [
      `m${i}`,
      {
        basis: 'volume',
        ingredients:
          i < 2
            ? [parts('1', ofClay(i === 0 ? 'chalk' : 'soot'))]
            : [parts('1', ofMix(`m${i - 1}`)), parts('1', ofMix(`m${i - 2}`))],
      },
    ]),
  );

describe('mixes of mixes', () => {
  test('each one in a mix is worked out once, however often it is in it', () => {
    const own = book(ladder(60));
    const flat = flatten({ basis: 'volume', ingredients: [parts('1', ofMix('m59'))] }, own);
    expect(own.asked.length).toBe(60);
    expect(flat.shares.reduce((sum, s) => sum + s.volume.valueOf(), 0)).toBeCloseTo(1, 12);
  });

  test('what is new may stand so deep and no deeper; what is there already is still worked out', () => {
    const own = book(ladder(40));
    const of = (n: number): Recipe => ({ basis: 'volume', ingredients: [parts('1', ofMix(`m${n}`))] });
    // m2 stands on clays two deep, with the new one three
    expect(flattenNew(of(MOST_DEPTH - 1), own).shares).toHaveLength(2);
    expect(() => flattenNew(of(MOST_DEPTH), own)).toThrow(/17 deep\. Sledge follows 16/);
    expect(() => flattenNew(of(39), own)).toThrow(/Sledge follows 16/);
    expect(flatten(of(39), own).shares).toHaveLength(2);
  });

  test('parts that make shares of endless digits are refused before they grow', () => {
    const odd = new Map<string, Recipe>(
      Array.from({ length: 12 }, (_, i) => [
        `m${i}`,
        {
          basis: 'volume',
          ingredients: [
            parts(`${9973 + 2 * i}/9967`, i === 0 ? ofClay('chalk') : ofMix(`m${i - 1}`)),
            parts('7919/7907', ofClay(`c${i}`)),
          ],
        },
      ]),
    );
    expect(() => flattenNew(odd.get('m11') as Recipe, book(odd))).toThrow(/more than 80 digits/);
  });

  test('a circle keeps its own sentence', () => {
    const own = book(
      new Map([
        ['a', { basis: 'volume', ingredients: [parts('1', ofMix('b'))] }],
        ['b', { basis: 'volume', ingredients: [parts('1', ofMix('a'))] }],
      ]),
    );
    expect(() => flattenNew({ basis: 'volume', ingredients: [parts('1', ofMix('a'))] }, own)).toThrow(
      /a contains b contains a/,
    );
  });
});

const log: Step = { id: 'l', do: 'log', of: 'clay:a', diameter: 20, length: 50 };
const taking = (ref: string, more: readonly Step[] = []): Program => ({
  version: 1,
  steps: [{ id: 'c', do: 'cane', part: { ref } }, ...more],
});
const insert = (ref: string, i: number): Step => ({
  id: `i${i}`,
  do: 'insert',
  part: { ref },
  x: i,
  y: 0,
  diameter: 2,
  degrees: 0,
});

describe('canes in canes', () => {
  const chain = (n: number, each: (ref: string) => Program): Map<string, Program> =>
    new Map(Array.from({ length: n }, (_, i) => [`c${i}`, i === 0 ? { version: 1, steps: [log] } : each(`c${i - 1}`)]));

  test('each is worked out once, however often it is taken', () => {
    let asked = 0;
    const library = chain(8, (ref) => taking(ref, [insert(ref, -3), insert(ref, 3)]));
    const context = contextOf((ref) => {
      asked += 1;
      return library.get(ref);
    });
    const results = runSteps(taking('c7').steps, context);
    expect(results.at(-1)?.wrong).toBeNull();
    expect(asked).toBe(8);
  });

  test('too deep, too many steps and too many rods each have a sentence, before anything is begun', () => {
    const deep = chain(24, (ref) => taking(ref));
    expect(() => {
      checkWork(taking(`c${MOST_CANES_DEEP - 2}`).steps, (ref) => deep.get(ref));
    }).not.toThrow();
    expect(() => {
      checkWork(taking('c23').steps, (ref) => deep.get(ref));
    }).toThrow(/more than 12 deep/);
    const wide = chain(11, (ref) => taking(ref, [insert(ref, 0), insert(ref, 1), insert(ref, 2)]));
    expect(() =>
      planBackwards(
        taking('c10').steps,
        { slices: 20, thickness: 2 },
        contextOf((ref) => wide.get(ref)),
      ),
    ).toThrow(/more than 3,000 steps/);
    const bundles = (n: number): Step[] => [
      log,
      ...Array.from({ length: n }, (_, i): Step => ({
        id: `b${i}`,
        do: 'bundle',
        count: 300,
        to: { shape: 'round' },
        seed: 1,
      })),
    ];
    expect(() => {
      checkWork(bundles(MOST_RODS / 300), () => undefined);
    }).not.toThrow();
    expect(() => {
      checkWork(bundles(20), () => undefined);
    }).toThrow(/more than 1,200 rods/);
    const circle = new Map([['x', taking('x')]]);
    expect(() => {
      checkWork(taking('x').steps, (ref) => circle.get(ref));
    }).toThrow(/deep/);
  });

  test('a document that is nested without end is refused in its sentence', () => {
    let steps: unknown = [log];
    for (let i = 0; i < 60; i++) steps = [{ id: 'c', do: 'cane', part: { steps } }];
    expect(() => readProgram({ version: 1, steps })).toThrow(/more than 12 deep/);
    expect(() => readProgram({ version: 1, steps: [log] })).not.toThrow();
    const regions = Array.from({ length: 40 }, (_, i) => ({
      id: `r${i}`,
      name: 'r',
      fill: { of: 'clay:a' },
      points: Array.from({ length: 900 }, (__, k) => [k, k]),
    }));
    expect(() => readProgram({ version: 1, steps: [{ id: 't', do: 'template', length: 50, regions }] })).toThrow(
      /36,000 points; 20,000 are the most/,
    );
  });

  test('a reference called like something that every object has is missing, and no crash', () => {
    for (const ref of ['constructor', '__proto__', 'toString']) {
      const text =
        '{"kind":"cane","version":1,"name":"x","program":{"version":1,"steps":' +
        `[{"id":"c","do":"cane","part":{"ref":"${ref}"}}]}}`;
      expect(() => readCane(text)).toThrow(/is missing/);
    }
  });
});

const svg = (inside: string, head = ''): string =>
  `${head}<svg xmlns="http://www.w3.org/2000/svg" width="40mm" viewBox="0 0 100 100">${inside}</svg>`;
const RECT = '<rect width="90" height="90" fill="#7B1E4B"/>';
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

describe('files are counted before they are taken apart', () => {
  test.each([
    ['style sheets without braces', svg(`<style>${'a'.repeat(300_000)}</style>${RECT}`), 1],
    ['a doctype of 200 kB', svg(RECT, `<!DOCTYPE ${'x'.repeat(200_000)}>`), 1],
    ['declarations in a doctype', svg(RECT, `<!DOCTYPE svg [${'<!ELEMENT a b>'.repeat(9000)}]>`), 1],
    ['comments without end of dashes', svg(`<!--${'-'.repeat(200_000)}-->${RECT}`), 1],
    [
      'a style sheet in CDATA',
      svg('<style><![CDATA[.a{fill:#4f7f45}]]></style><rect class="a" width="9" height="9"/>'),
      1,
    ],
    ['a fill called constructor', svg('<rect width="9" height="9" fill="constructor"/>'), 1],
  ] as const)('%s', (_, text, regions) => {
    // the ground, where none of the regions is one, is a region more
    expect(readSvg(text).regions.length).toBeGreaterThanOrEqual(regions);
  });
  test('a class in CDATA gives its colour', () => {
    expect(
      readSvg(svg('<style><![CDATA[.a{fill:#4f7f45}]]></style><rect class="a" width="100" height="100"/>')).regions[0]
        ?.hex,
    ).toBe('4F7F45');
  });
  test.each([
    ['20,000 nested groups', svg(`${'<g>'.repeat(20_000)}${RECT}${'</g>'.repeat(20_000)}`), /lie too deep/],
    ['too many elements', svg('<rect width="9" height="9"/>'.repeat(60_001)), /more than 60,000 elements/],
    ['CDATA without an end', svg(`<![CDATA[${']'.repeat(200_000)}`), /cannot be read/],
    [
      '59,000 ragged points',
      svg(
        `<path d="M0 0${Array.from({ length: 59_000 }, (_, i) => `L${i / 590} ${i % 2 === 0 ? 1 : 99}`).join('')}z"/>`,
      ),
      /more than 20,000 points/,
    ],
    ['movements without end', svg(`<g transform="${'rotate(1) '.repeat(9000)}">${RECT}</g>`), /lie too deep/],
  ] as const)('%s is refused in a sentence', (_, text, sentence) => {
    expect(() => readSvg(text)).toThrow(sentence);
  });
  test.each([
    ['dashes.css', '-'.repeat(100_000), /no colour in this file/],
    ['spaces.css', `--a${' '.repeat(300_000)}: #fff;`, /no colour in this file/],
    ['infinite.css', '--a: lab(10 1e999 1);', /no colour/],
    ['lines.gpl', `GIMP Palette\n${'1 1 1\n'.repeat(30_000)}`, /20,000 are the most/],
    ['numbers.json', '{"format":"sledge","version":1,"palette":{"colours":[{"lab":[1e999,0,0]}]}}', /no “lab”/],
    ['deep.json', '['.repeat(100_000), /not JSON/],
  ] as const)('%s', (name, text, sentence) => {
    const { faults } = readFile(name, bytes(text));
    expect(faults.map((f) => f.sentence).join(' ')).toMatch(sentence);
  });
  test('what a spreadsheet takes for a formula is guarded on later lines too, and comes back as it was', () => {
    const text = 'name,recipe,note\r\nSwede,1 Chalk,"\'\n=1+1"\r\n';
    const read = readFile('m.csv', bytes(text));
    expect(read.holds === 'mixes' && read.mixes[0]?.note).toBe('\n=1+1');
  });
});

describe('long outlines', () => {
  const point = fc.tuple(fc.double({ min: -40, max: 40, noNaN: true }), fc.double({ min: -40, max: 40, noNaN: true }));
  test('what is left out lies near the line that is kept, however long the line', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 5, maxLength: 60 }), fc.integer({ min: 1, max: 40 }), (some, times) => {
        const all = Array.from({ length: times }, () => some).flat() as Point[];
        const kept = new Set(simplified(all, 0.5).map((p) => p.join()));
        expect([...kept].every((p) => all.some((q) => q.join() === p))).toBe(true);
        expect(kept.size).toBeGreaterThan(0);
      }),
    );
  });
  test('a round of many points becomes one of few', () => {
    const round = Array.from({ length: 9000 }, (_, i): Point => [
      20 * Math.cos((2 * Math.PI * i) / 9000),
      20 * Math.sin((2 * Math.PI * i) / 9000),
    ]);
    const few = simplified(round, 0.03);
    expect(few.length).toBeLessThan(120);
    expect(crossesItself(few)).toBe(false);
  });
});
