import Papa from 'papaparse';
import { readColour, type Lab } from '#core/colour';
import { BASES } from '#core/mix';
import { attempt } from '#core/units';
import {
  MOST_FILE_MIXES,
  countFault,
  fewFaults,
  nothing,
  oneLine,
  tooManyLines,
  type ColourFile,
  type FileFault,
  type FileContent,
  type MixLine,
  type MixOut,
  type NamedColour,
} from './files.js';

/**
 * What a spreadsheet would take for a formula gets an apostrophe in front, as
 * spreadsheets themselves write it; reading takes it away again.
 */
const FORMULA = /^'*(\s*[=+\-@]|[\t\r\n])/;
const guard = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);
const unguard = (text: string): string => (text.startsWith("'") && FORMULA.test(text) ? text.slice(1) : text);

const MIX_COLUMNS = ['name', 'recipe', 'basis', 'note', 'L*', 'a*', 'b*'] as const;
const COLOUR_COLUMNS = ['name', 'L*', 'a*', 'b*', 'share'] as const;
const exact = (lab: Lab): string[] => [lab.l, lab.a, lab.b].map((v) => String(Math.round(v * 1e4) / 1e4));

/** A table for spreadsheets: UTF-8 with a byte-order mark, commas, quoted where it has to be. */
const table = (columns: readonly string[], rows: readonly (readonly string[])[]): string =>
  `\uFEFF${Papa.unparse({ fields: [...columns], data: rows.map((r) => [...r]) }, { newline: '\r\n' })}\r\n`;

/** Any table for spreadsheets; what one would take for a formula is guarded. */
export const writeTable = (columns: readonly string[], rows: readonly (readonly string[])[]): string =>
  table(
    columns,
    rows.map((row) => row.map(guard)),
  );

/** Mixes with their recipes in notation and their predicted colours. */
export const writeMixCsv = (mixes: readonly MixOut[]): string =>
  table(
    MIX_COLUMNS,
    mixes.map((m) => [guard(m.name), guard(m.recipe), m.basis, guard(m.note), ...exact(m.lab)]),
  );

/** The colours of a palette. */
export const writeColourCsv = ({ colours }: ColourFile): string =>
  table(
    COLOUR_COLUMNS,
    colours.map((c) => [
      guard(c.name),
      ...exact(c.lab),
      c.share === null ? '' : String(Math.round(c.share * 1e6) / 1e6),
    ]),
  );

type Cells = Readonly<Record<string, string>>;
/** A heading as it is compared: small letters, without stars and spaces. */
const heading = (text: string): string => text.trim().toLowerCase().replace(/[*\s]/g, '');
const HEX_HEADINGS = ['colour', 'color', 'hex'];

/**
 * Reads a table of mixes (it has a column `recipe`) or of colours (`L*`,
 * `a*`, `b*`, or `colour` with six digits). Commas, semicolons or tabs, with
 * or without a byte-order mark; with semicolons decimals may have commas.
 * @param name what a palette is called that has no name of its own
 */
export function readCsv(text: string, name: string): FileContent {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t'],
  });
  const quote = errors.find((e) => e.type === 'Quotes');
  if (quote) return nothing('A quotation mark is opened here and never closed.', (quote.row ?? 0) + 1);
  const [head = [], ...rows] = data;
  const columns = head.map(heading);
  if (rows.length === 0) return nothing('There is nothing in this table below its headings.');
  const cellsOf = (row: readonly string[]): Cells =>
    Object.fromEntries(columns.map((c, i) => [c, unguard((row[i] ?? '').trim())]));
  if (columns.includes('recipe')) return readMixes(rows.map(cellsOf));
  const refused = tooManyLines(rows);
  if (refused) return refused;
  const hex = HEX_HEADINGS.find((h) => columns.includes(h));
  if (hex !== undefined || ['l', 'a', 'b'].every((c) => columns.includes(c)))
    return readColours(rows.map(cellsOf), hex, name);
  return nothing(
    'The first row has to name the columns: “name” and “recipe” for mixes, “name” and “colour”, or “L*”, ' +
      '“a*” and “b*”, for colours.',
    1,
  );
}

/** Rows are counted as a spreadsheet counts them: the headings are row 1. */
const ROW = 2;

function readMixes(rows: readonly Cells[]): FileContent {
  if (rows.length > MOST_FILE_MIXES)
    return nothing(
      `This file has ${rows.length.toLocaleString('en')} rows; ${MOST_FILE_MIXES.toLocaleString('en')} ` +
        'mixes at a time are the most. Cut it in pieces.',
    );
  const faults: FileFault[] = [];
  const mixes = rows.map((cells, i): MixLine => {
    const row = i + ROW;
    const basis =
      cells.basis === undefined || cells.basis === '' ? 'volume' : BASES.find((b) => b === cells.basis?.toLowerCase());
    if (!basis)
      faults.push({ row, sentence: `“${(cells.basis ?? '').slice(0, 40)}” is no basis. Write volume or mass.` });
    if ((cells.name ?? '') === '') faults.push({ row, sentence: 'This mix has no name.' });
    if ((cells.recipe ?? '') === '') faults.push({ row, sentence: 'This mix has no recipe.' });
    return {
      row,
      name: oneLine(cells.name ?? ''),
      recipe: cells.recipe ?? '',
      basis: basis ?? 'volume',
      note: cells.note ?? '',
    };
  });
  return { holds: 'mixes', mixes, faults: fewFaults(faults) };
}

function readColours(rows: readonly Cells[], hex: string | undefined, name: string): FileContent {
  const faults: FileFault[] = [];
  const colours: NamedColour[] = [];
  rows.forEach((cells, i) => {
    const written = ['l', 'a', 'b'].map((c) => (cells[c] ?? '').replace(',', '.')).join(' ');
    attempt(
      () => {
        const share = cells.share === undefined || cells.share === '' ? null : Number(cells.share.replace(',', '.'));
        if (share !== null && !(share >= 0 && share <= 1)) {
          faults.push({
            row: i + ROW,
            sentence: `“${cells.share?.slice(0, 20) ?? ''}” is no share. It is a number from 0 to 1.`,
          });
          return;
        }
        colours.push({
          name: oneLine(cells.name ?? ''),
          lab: hex === undefined ? exactLab(written) : readColour(cells[hex] ?? ''),
          share,
        });
      },
      (wrong) => {
        faults.push({ row: i + ROW, sentence: wrong.message });
      },
    );
  });
  return {
    holds: 'colours',
    file: { name, colours },
    faults: fewFaults([...faults, ...(faults.length > 0 ? [] : countFault(colours.length))]),
  };
}

/** Three numbers, also with more digits than people type. @throws Complaint `colour/unreadable` */
function exactLab(text: string): Lab {
  const [l = NaN, a = NaN, b = NaN] = text.split(' ').map((n) => (/^[+-]?\d+(\.\d+)?$/.test(n) ? Number(n) : NaN));
  return [l, a, b].every(Number.isFinite) && l >= 0 && l <= 100 && Math.abs(a) <= 200 && Math.abs(b) <= 200
    ? { l, a, b }
    : readColour(text);
}
