import fc from 'fast-check';
import { readShelfList, writeTable } from '#core/formats';

const said = (text: string, line = 'Hearth Firm') =>
  readShelfList(text, line).lines.map((l) => [l.line, l.name, l.blocks, l.grams, l.hex, l.price]);

test('as people paste it: names, with a weight or without, of one line', () => {
  expect(said('Chalk 57 g\nSoot\nBeetroot 2 × 57 g\nNight sky, deep 12,5 g\n')).toEqual([
    ['Hearth Firm', 'Chalk', 1, 57, null, null],
    ['Hearth Firm', 'Soot', 1, 57, null, null],
    ['Hearth Firm', 'Beetroot', 2, 57, null, null],
    ['Hearth Firm', 'Night sky, deep', 1, 12.5, null, null],
  ]);
});

test('as a spreadsheet has it: columns by their headings, in any order; ounces and decimal commas', () => {
  const text = 'Price;Clay;Range;Weight;Hex;Type\n2,40;Pea;Brook Soft;2 oz;8FB93A;opaque\n;Glass;;57;;translucent';
  expect(said(text)).toEqual([
    ['Brook Soft', 'Pea', 1, expect.closeTo(56.699, 3), '8FB93A', 2.4],
    ['Hearth Firm', 'Glass', 1, 57, null, null],
  ]);
  expect(readShelfList(text, 'x').lines.map((l) => [l.kind, l.row])).toEqual([
    ['opaque', 2],
    ['translucent', 3],
  ]);
});

test('a column that is called a colour holds the names where no other one does', () => {
  expect(said('Line,Colour,Grams\nBrook Soft,Pea,57')).toEqual([['Brook Soft', 'Pea', 1, 57, null, null]]);
});

test('each thing that is wrong is told at its row', () => {
  const text = 'name\tline\tgrams\tkind\thex\n\tA\t57\t\t\nX\t\tmuch\tshiny\tno colour\nY\tA\t99999\t\t';
  const { faults } = readShelfList(text, '');
  expect(faults).toEqual([
    { row: 2, sentence: 'This clay has no name.' },
    { row: 3, sentence: expect.stringMatching(/of which line/) },
    { row: 3, sentence: expect.stringMatching(/“shiny” is no kind/) },
    { row: 3, sentence: '“much” is no weight.' },
    { row: 3, sentence: '“no colour” is no colour.' },
    { row: 4, sentence: expect.stringMatching(/at most 5 kg/) },
  ]);
  expect(readShelfList('', 'A').faults[0]!.sentence).toMatch(/no clay/);
  expect(readShelfList('x\n'.repeat(1001), 'A').faults[0]!.sentence).toMatch(/At most 1000/);
});

test('whatever is written as a table is read as it was', () => {
  const name = fc.stringMatching(/^[A-Z][a-z]{2,10}( [a-z]{3,8})?$/);
  const row = fc.record({
    ...{ line: name, name, grams: fc.integer({ min: 1, max: 900 }), blocks: fc.integer({ min: 1, max: 9 }) },
    hex: fc.constantFrom('F1EEE4', '7B1E4B', '8FB93A'),
  });
  fc.assert(
    fc.property(fc.array(row, { minLength: 1, maxLength: 30 }), (rows) => {
      const text = writeTable(
        ['line', 'name', 'grams', 'hex'],
        rows.map((r) => [r.line, r.name, `${r.blocks} × ${r.grams} g`, r.hex]),
      );
      const { lines, faults } = readShelfList(text, '');
      expect(faults).toEqual([]);
      expect(lines.map(({ line, name: own, grams, blocks, hex }) => ({ line, name: own, grams, blocks, hex }))).toEqual(
        rows.map(({ line, name: own, grams, blocks, hex }) => ({ line, name: own, grams, blocks, hex })),
      );
    }),
  );
});
