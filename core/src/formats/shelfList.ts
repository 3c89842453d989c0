import Papa from 'papaparse';
import { ASSUMED_BLOCK_GRAMS, KINDS, type Kind } from '#core/clay';
import { hexOf, readColour, xyzOfLab } from '#core/colour';
import { attempt, readMass, readNumber, type Grams } from '#core/units';
import { fewFaults, oneLine, type FileFault } from './files.js';

/** A clay of a list, with the blocks of it that there are. */
export interface ShelfLine {
  /** where it stands in the list, from 1 */
  readonly row: number;
  readonly line: string;
  readonly name: string;
  readonly kind: Kind;
  /** as baked; null: nobody has said */
  readonly hex: string | null;
  readonly blocks: number;
  /** of each block */
  readonly grams: Grams;
  /** of each block; null: nobody has said */
  readonly price: number | null;
}

/** A list that was read; nothing of one with faults is taken. */
export interface ShelfList {
  readonly lines: readonly ShelfLine[];
  readonly faults: readonly FileFault[];
}

/** Rows and blocks of one row, at the most. */
const [MOST_ROWS, MOST_BLOCKS] = [1000, 40];
const MOST_GRAMS: Grams = 5000;

/** What a column holds, by what people write above it. */
const HEADINGS = {
  line: ['line', 'range', 'family', 'maker'],
  name: ['name', 'colour name', 'clay', 'color name'],
  kind: ['kind', 'type'],
  hex: ['hex', 'colour', 'color', 'baked'],
  grams: ['grams', 'weight', 'g', 'left', 'amount', 'blocks'],
  price: ['price', 'cost', 'paid'],
} as const;
type Column = keyof typeof HEADINGS;
type Cells = Readonly<Partial<Record<Column, string>>>;

const columnOf = (heading: string): Column | null =>
  (Object.keys(HEADINGS) as Column[]).find((c) =>
    (HEADINGS[c] as readonly string[]).includes(heading.trim().toLowerCase()),
  ) ?? null;

/** The columns of the headings; where none is called a name, the one called a colour holds it. */
function namedColumns(headings: readonly string[]): readonly (Column | null)[] {
  const named = headings.map(columnOf);
  if (named.includes('name')) return named;
  return headings.map((heading, i) => (/^colou?r$/i.test(heading.trim()) ? 'name' : (named[i] ?? null)));
}

/** Without headings: a name, a name and how much of it, or the line before them. */
const BY_COUNT: Readonly<Record<number, readonly Column[]>> = {
  1: ['name'],
  2: ['name', 'grams'],
  3: ['line', 'name', 'grams'],
};
const LONGER: readonly Column[] = ['line', 'name', 'grams', 'price'];

/** `Chalk 57 g`, `Chalk 2 × 57 g`: a name with its weight in one cell. */
const WITH_WEIGHT = /^(.*?\S)[\s,:]+((?:\d+\s*[x×*]\s*)?\d+(?:[.,]\d+)?\s*(?:g|gr|oz))\.?$/i;
/** The same as a line of its own, where a comma belongs to the name or to the number. */
const LINE = /^(.*[^\s,:])[\s:]+(?:\d+\s*[x×*]\s*)?\d+(?:[.,]\d+)?\s*(?:g|gr|oz)\.?$/i;
/** `2 × 57 g` */
const SEVERAL = /^(\d+)\s*[x×*]\s*(.+)$/i;

function cellsWith(columns: readonly (Column | null)[], row: readonly string[]): Cells {
  const cells: Partial<Record<Column, string>> = {};
  columns.forEach((column, i) => {
    if (column !== null && cells[column] === undefined) cells[column] = (row[i] ?? '').trim();
  });
  const [, name, grams] = WITH_WEIGHT.exec(cells.name ?? '') ?? [];
  return name !== undefined && (cells.grams ?? '') === '' ? { ...cells, name, grams: grams ?? '' } : cells;
}

/** How many blocks of which weight; nothing said: one small block. @throws Complaint */
function blocksIn(text: string): Pick<ShelfLine, 'blocks' | 'grams'> {
  if (text === '') return { blocks: 1, grams: ASSUMED_BLOCK_GRAMS };
  const [, count, each = ''] = SEVERAL.exec(text) ?? [];
  return count === undefined
    ? { blocks: 1, grams: readMass(text, 'metric') }
    : { blocks: Number(count), grams: readMass(each, 'metric') };
}

function hexIn(text: string): string | null {
  if (text === '') return null;
  return hexOf(xyzOfLab(readColour(text)));
}

const priceIn = (text: string): number | null => (text === '' ? null : readNumber(text.replace(',', '.')).valueOf());

/** A row in words of its own; each thing that is wrong with it is told. */
function readRow(cells: Cells, row: number, line: string, faults: FileFault[]): ShelfLine {
  const wrong = (sentence: string): void => {
    faults.push({ row, sentence });
  };
  const read = <T>(what: string, text: string, reads: (text: string) => T, otherwise: T): T =>
    attempt(
      () => reads(text),
      () => {
        wrong(`“${text.slice(0, 30)}” is no ${what}.`);
        return otherwise;
      },
    );
  const name = oneLine(cells.name ?? '');
  const own = oneLine((cells.line ?? '') === '' ? line : (cells.line ?? ''));
  const kind = (cells.kind ?? '') === '' ? 'opaque' : KINDS.find((k) => k === cells.kind?.toLowerCase());
  if (name === '') wrong('This clay has no name.');
  if (own === '') wrong('Say of which line it is, in a column “line”, or for all of them above.');
  if (!kind) wrong(`“${(cells.kind ?? '').slice(0, 30)}” is no kind. Write ${KINDS.join(', ')}.`);
  const { blocks, grams } = read('weight', cells.grams ?? '', blocksIn, { blocks: 1, grams: ASSUMED_BLOCK_GRAMS });
  if (!(blocks >= 1 && blocks <= MOST_BLOCKS)) wrong(`From 1 to ${MOST_BLOCKS} blocks at a time.`);
  if (!(grams > 0 && grams <= MOST_GRAMS)) wrong('A block weighs more than nothing, and at most 5 kg.');
  const hex = read('colour', cells.hex ?? '', hexIn, null);
  const price = read('price', cells.price ?? '', priceIn, null);
  return { row, line: own, name, kind: kind ?? 'opaque', hex, blocks, grams, price };
}

/** The cells of a text: of a plain list one in each line, commas or not. */
function tableIn(text: string): string[][] {
  const lines = text.split(/\r?\n/).filter((l) => l.trim() !== '');
  if (!/[;\t]/.test(text) && lines.every((l) => LINE.test(l.trim()) || !l.includes(',')))
    return lines.map((l) => [l.trim()]);
  return Papa.parse<string[]>(text, { skipEmptyLines: 'greedy', delimitersToGuess: ['\t', ';', ','] }).data;
}

/**
 * Reads a shelf as people write it down: a table with headings (line, name, kind, colour, grams, price in any order),
 * rows of line, name and weight without any, or just names with or without a weight. Commas, semicolons or tabs.
 * @param line the line of clays that name none
 */
export function readShelfList(text: string, line: string): ShelfList {
  const data = tableIn(text.replace(/^\uFEFF/, ''));
  const [first = []] = data;
  const named = namedColumns(first);
  const headed = named.includes('name');
  const rows = headed ? data.slice(1) : data;
  if (rows.length === 0) return { lines: [], faults: [{ row: null, sentence: 'There is no clay in this list.' }] };
  if (rows.length > MOST_ROWS)
    return { lines: [], faults: [{ row: null, sentence: `At most ${MOST_ROWS} clays at a time. Cut it in pieces.` }] };
  const faults: FileFault[] = [];
  const lines = rows.map((row, i) => {
    const columns = headed ? named : (BY_COUNT[row.length] ?? LONGER);
    return readRow(cellsWith(columns, row), i + (headed ? 2 : 1), line, faults);
  });
  return { lines, faults: fewFaults(faults) };
}
