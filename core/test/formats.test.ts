import fc from 'fast-check';
import { deltaE, readColour, type Lab } from '#core/colour';
import {
  readFile,
  writeAse,
  writeColourCsv,
  writeColourJson,
  writeCss,
  writeGpl,
  writeMixCsv,
  writeMixJson,
  type ColourFile,
  type FileContent,
  type MixOut,
} from '#core/formats';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim();
/** Names with all that could go wrong in some format. */
const name = fc
  .oneof(
    fc.constantFrom(
      'light ring',
      '=cmd|calc',
      '+1',
      '-x',
      '@SUM(A1)',
      "'=x",
      'a;b',
      'a,b',
      'say "leek"',
      'Möhre ½ 🥕',
      '*/ end',
      'back\\slash',
      '--x',
      '#hash',
      'a: b',
    ),
    fc.string({ unit: 'grapheme', maxLength: 24 }),
  )
  .map(oneLine);
const someName = name.filter((n) => n !== '' && n !== 'Untitled');
const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => n.toString(16).padStart(6, '0'));
const colourFile = (colour: fc.Arbitrary<Lab>): fc.Arbitrary<ColourFile> =>
  fc.record({
    name: someName,
    colours: fc.array(
      fc.record({
        name: name.filter((n) => n !== 'Untitled'),
        lab: colour,
        share: fc.option(
          fc.integer({ min: 0, max: 1000 }).map((n) => n / 1000),
          { nil: null },
        ),
      }),
      { minLength: 1, maxLength: 12 },
    ),
  });
const onScreen = colourFile(hex.map(readColour));
const anywhere = colourFile(
  fc.record({
    l: fc.double({ min: 0, max: 100, noNaN: true }),
    a: fc.double({ min: -120, max: 120, noNaN: true }),
    b: fc.double({ min: -120, max: 120, noNaN: true }),
  }),
);

function coloursOf(content: FileContent): ColourFile {
  expect(content.faults).toEqual([]);
  if (content.holds !== 'colours') throw new Error(`Holds ${content.holds}.`);
  return content.file;
}
function same(file: ColourFile, back: ColourFile, most: number, shares: boolean): void {
  expect(back.colours.map((c) => c.name)).toEqual(file.colours.map((c) => c.name));
  file.colours.forEach((c, i) => {
    const other = back.colours[i]?.lab ?? { l: NaN, a: NaN, b: NaN };
    expect(
      Math.max(Math.abs(c.lab.l - other.l), Math.abs(c.lab.a - other.a), Math.abs(c.lab.b - other.b)),
    ).toBeLessThanOrEqual(most);
    expect(back.colours[i]?.share).toBe(shares ? c.share : null);
  });
}

describe('there and back', () => {
  test('a GIMP palette: names and 8-bit colours', () => {
    fc.assert(
      fc.property(onScreen, (file) => {
        const back = coloursOf(readFile('p.gpl', bytes(writeGpl(file))));
        expect(back.name).toBe(file.name);
        same(file, back, 1e-6, false);
      }),
    );
  });
  test('custom properties: names and 8-bit colours, every property once', () => {
    fc.assert(
      fc.property(onScreen, (file) => {
        const text = writeCss(file);
        const back = coloursOf(readFile('p.css', bytes(text)));
        expect(back.name).toBe(file.name);
        same(file, back, 1e-3, false);
        const idents = [...text.matchAll(/^ {2}(--\S+):/gm)].map((m) => m[1]);
        expect(new Set(idents).size).toBe(file.colours.length);
      }),
    );
  });
  test('swatch exchange: names and colours to single precision', () => {
    fc.assert(
      fc.property(anywhere, (file) => {
        const back = coloursOf(readFile('p.ase', writeAse(file)));
        expect(back.name).toBe(file.name);
        same(file, back, 1e-4, false);
      }),
    );
  });
  test('JSON: everything, exactly', () => {
    fc.assert(
      fc.property(anywhere, (file) => {
        expect(coloursOf(readFile('p.json', bytes(writeColourJson(file))))).toEqual({
          ...file,
          colours: file.colours.map((c) => ({ ...c, lab: { l: c.lab.l + 0, a: c.lab.a + 0, b: c.lab.b + 0 } })),
        });
      }),
    );
  });
  test('a table of colours: names, shares, colours to four places', () => {
    fc.assert(
      fc.property(anywhere, (file) => {
        same(file, coloursOf(readFile('Palette.csv', bytes(writeColourCsv(file)))), 1e-4, true);
      }),
    );
  });

  const mix = fc.record({
    name: someName,
    recipe: fc.constantFrom('2 Beetroot + 1 Chalk', '½ (1 Leek + 2 Corn) + 3 Chalk', '1 Chalk of Hearth Firm'),
    basis: fc.constantFrom('volume' as const, 'mass' as const),
    note: name,
    lab: hex.map(readColour),
  });
  const mixes = fc.array(mix, { minLength: 1, maxLength: 10 });
  const lines = (list: readonly MixOut[], from: number): unknown =>
    list.map(({ lab: _, ...rest }, i) => ({ ...rest, row: i + from }));
  test('mixes as a table and as JSON', () => {
    fc.assert(
      fc.property(mixes, (list) => {
        expect(readFile('m.csv', bytes(writeMixCsv(list)))).toEqual({
          holds: 'mixes',
          mixes: lines(list, 2),
          faults: [],
        });
        expect(readFile('m.json', bytes(writeMixJson(list)))).toEqual({
          holds: 'mixes',
          mixes: lines(list, 1),
          faults: [],
        });
      }),
    );
  });
});

describe('tables as people have them', () => {
  test('semicolons, a byte-order mark, commas in numbers, old letters, UTF-16', () => {
    const text = '\uFEFFName;L*;a*;b*\r\nMöhre;52,3;41;-8\r\n';
    const wanted = [{ name: 'Möhre', lab: { l: 52.3, a: 41, b: -8 }, share: null }];
    expect(coloursOf(readFile('a.csv', bytes(text))).colours).toEqual(wanted);
    expect(
      coloursOf(readFile('a.csv', Uint8Array.from([...text.slice(1)].map((c) => c.charCodeAt(0))))).colours,
    ).toEqual(wanted);
    expect(
      coloursOf(
        readFile('a.csv', Uint8Array.from([...text].flatMap((c) => [c.charCodeAt(0) & 255, c.charCodeAt(0) >> 8]))),
      ).colours,
    ).toEqual(wanted);
    expect(coloursOf(readFile('a.csv', bytes('name,colour\nbeet,7B1E4B\n\n'))).colours[0]?.name).toBe('beet');
  });

  test('formulas are written with an apostrophe, so that no spreadsheet runs them', () => {
    const text = writeMixCsv([
      { name: '=cmd', recipe: '1 Chalk', basis: 'volume', note: '@x', lab: readColour('7B1E4B') },
    ]);
    expect(text).toContain("'=cmd,1 Chalk,volume,'@x,");
    expect(text).not.toMatch(/(^|,|\n)[=@]/);
  });

  test('each wrong row is named with its number, and the good ones are not lost among them', () => {
    const content = readFile(
      'm.csv',
      bytes('name,recipe,basis\nRing,4 Chalk + 1 Beetroot,volume\n,1 Chalk,volume\nPod,,mass\nLeaf,1 Leek,by eye\n'),
    );
    expect(content.faults).toEqual([
      { row: 3, sentence: 'This mix has no name.' },
      { row: 4, sentence: 'This mix has no recipe.' },
      { row: 5, sentence: '“by eye” is no basis. Write volume or mass.' },
    ]);
    const colours = readFile('c.csv', bytes('name,colour,share\nbeet,7B1E4B,0.5\nleek,greenish mush,\npea,93B84C,7\n'));
    expect(colours.faults.map((f) => f.row)).toEqual([3, 4]);
  });

  test('a hundred thousand rows are refused in one sentence, and too many faults are counted', () => {
    const many = `name,recipe\n${Array.from({ length: 100_000 }, (_, i) => `Mix ${i},1 Chalk`).join('\n')}`;
    expect(readFile('m.csv', bytes(many)).faults).toEqual([
      { row: null, sentence: 'This file has 100,000 rows; 3,000 mixes at a time are the most. Cut it in pieces.' },
    ]);
    const wrong = `name,recipe\n${Array.from({ length: 200 }, (_, i) => `Mix ${i},`).join('\n')}`;
    expect(readFile('m.csv', bytes(wrong)).faults).toHaveLength(51);
    expect(readFile('c.csv', bytes(`colour\n${'7B1E4B\n'.repeat(300)}`)).faults[0]?.sentence).toMatch(
      /300 colours; a palette takes 256/,
    );
  });
});

describe('files that cannot be read', () => {
  const ase = (...more: number[]): Uint8Array =>
    Uint8Array.from([0x41, 0x53, 0x45, 0x46, 0, 1, 0, 0, 0, 0, 0, 1, ...more]);
  test.each<[string, Uint8Array, RegExp]>([
    ['a.txt', bytes('x'), /no kind that is known/],
    ['no ending', bytes('x'), /no kind/],
    ['a.csv', bytes(''), /empty/],
    ['a.csv', bytes('name,recipe\n'), /nothing in this table/],
    ['a.csv', bytes('who,what\n1,2\n'), /has to name the columns/],
    ['a.csv', bytes('name,recipe\n"Ring,1 Chalk\n'), /never closed/],
    ['a.gpl', bytes('RIFF\n'), /begins with the line/],
    ['a.gpl', bytes('GIMP Palette\n300 0 0 x\n'), /“300 0 0 x” is no colour/],
    ['a.gpl', bytes('GIMP Palette\n'), /no colour in this file/],
    ['a.css', bytes(':root { --beet: #7b1e4; }'), /is no colour/],
    ['a.css', bytes('body { margin: 0 }'), /no colour in this file/],
    ['a.json', bytes('{'), /not JSON/],
    ['a.json', bytes('[]'), /not of Sledge/],
    ['a.json', bytes('{"format":"sledge","version":2}'), /newer Sledge/],
    ['a.json', bytes('{"format":"sledge","version":1}'), /neither a palette/],
    [
      'a.json',
      bytes('{"format":"sledge","version":1,"palette":{"colours":[{"lab":[101,0,0]}]}}'),
      /no “lab” of three numbers/,
    ],
    ['a.json', bytes('{"format":"sledge","version":1,"mixes":[7]}'), /no name/],
    ['a.ase', bytes('not a swatch file'), /no Adobe Swatch Exchange/],
    ['a.ase', ase(0, 1, 0, 0, 0, 99), /middle of a colour/],
    ['a.ase', ase(0, 1, 0, 0, 0, 12, 0, 1, 0, 0, 0x58, 0x59, 0x5a, 0x20, 0, 0, 0, 0), /colour model that is not known/],
  ])('%s says what is wrong (%#)', (file, content, sentence) => {
    const read = readFile(file, content);
    expect(read.faults[0]?.sentence).toMatch(sentence);
  });

  test('anything at all gives a content or a sentence, never an error', () => {
    fc.assert(
      fc.property(
        fc.uint8Array({ maxLength: 400 }),
        fc.constantFrom('ase', 'gpl', 'css', 'json', 'csv'),
        fc.boolean(),
        (data, ending, headed) => {
          const file = headed && ending === 'ase' ? Uint8Array.from([...ase().subarray(0, 12), ...data]) : data;
          const { holds, faults } = readFile(`x.${ending}`, file);
          expect(holds === 'nothing' ? faults.length > 0 : true).toBe(true);
        },
      ),
      { numRuns: 300 },
    );
  });

  test('swatches of other programs: RGB, grey and CMYK', () => {
    const f32 = (v: number): number[] => {
      const view = new DataView(new ArrayBuffer(4));
      view.setFloat32(0, v);
      return [0, 1, 2, 3].map((i) => view.getUint8(i));
    };
    const swatch = (model: string, values: number[]): Uint8Array => {
      const body = [0, 1, 0, 0, ...bytes(model), ...values.flatMap(f32), 0, 2];
      return ase(0, 1, 0, 0, 0, body.length, ...body);
    };
    const lab = (file: Uint8Array): Lab => coloursOf(readFile('x.ase', file)).colours[0]?.lab ?? readColour('000000');
    expect(deltaE(lab(swatch('RGB ', [0x7b / 255, 0x1e / 255, 0x4b / 255])), readColour('7B1E4B'))).toBeLessThan(0.01);
    expect(lab(swatch('Gray', [1])).l).toBeCloseTo(100, 3);
    expect(deltaE(lab(swatch('CMYK', [0, 1, 1, 0])), readColour('FF0000'))).toBeLessThan(0.01);
  });
});
