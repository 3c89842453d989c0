import { BASES } from '#core/mix';
import {
  MOST_FILE_MIXES,
  countFault,
  fewFaults,
  nothing,
  oneLine,
  type ColourFile,
  type FileFault,
  type FileContent,
  type MixLine,
  type MixOut,
  type NamedColour,
} from './files.js';

/** The version of Sledge's own JSON; docs/formats.md has its schema. */
export const JSON_VERSION = 1;
const FORMAT = 'sledge';

const document = (body: object): string =>
  `${JSON.stringify({ format: FORMAT, version: JSON_VERSION, ...body }, null, 2)}\n`;

export const writeColourJson = ({ name, colours }: ColourFile): string =>
  document({
    palette: {
      name,
      colours: colours.map((c) => ({
        name: c.name,
        lab: [c.lab.l, c.lab.a, c.lab.b],
        ...(c.share === null ? {} : { share: c.share }),
      })),
    },
  });

export const writeMixJson = (mixes: readonly MixOut[]): string =>
  document({
    mixes: mixes.map(({ name, recipe, basis, note, lab }) => ({
      name,
      recipe,
      basis,
      note,
      lab: [lab.l, lab.a, lab.b],
    })),
  });

type Fields = Readonly<Record<string, unknown>>;
const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const textIn = (value: unknown): string => (typeof value === 'string' ? value : '');

/** Reads Sledge's own JSON. Rows are counted within the list. */
export function readJson(text: string): FileContent {
  let content: unknown;
  try {
    content = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return nothing('This is not JSON: it cannot be read to its end.');
  }
  if (!isFields(content) || content.format !== FORMAT)
    return nothing('This JSON is not of Sledge: it has no "format": "sledge".');
  if (typeof content.version !== 'number' || content.version > JSON_VERSION)
    return nothing(
      `This file is of a newer Sledge (version ${String(content.version)}); this one reads version ${JSON_VERSION}.`,
    );
  if (isFields(content.palette)) return paletteIn(content.palette);
  if (Array.isArray(content.mixes)) return mixesIn(content.mixes);
  return nothing('There is neither a palette nor a list of mixes in this file.');
}

function paletteIn(palette: Fields): FileContent {
  if (!Array.isArray(palette.colours)) return nothing('The palette has no list of colours.');
  const faults: FileFault[] = [];
  const colours = palette.colours.flatMap((value: unknown, i): NamedColour[] => {
    const [l, a, b] = isFields(value) && Array.isArray(value.lab) ? (value.lab as unknown[]) : [];
    const share = isFields(value) ? (value.share ?? null) : null;
    const good =
      [l, a, b].every((v) => typeof v === 'number' && Math.abs(v) <= 200) && (l as number) >= 0 && (l as number) <= 100;
    if (!good) faults.push({ row: i + 1, sentence: 'This colour has no “lab” of three numbers, L* from 0 to 100.' });
    else if (share !== null && !(typeof share === 'number' && share >= 0 && share <= 1))
      faults.push({ row: i + 1, sentence: 'The share of this colour is no number from 0 to 1.' });
    return good
      ? [
          {
            name: oneLine(textIn((value as Fields).name)),
            lab: { l: l as number, a: a as number, b: b as number },
            share: typeof share === 'number' ? share : null,
          },
        ]
      : [];
  });
  return {
    holds: 'colours',
    file: { name: oneLine(textIn(palette.name)) || 'Palette', colours },
    faults: fewFaults([...faults, ...(faults.length > 0 ? [] : countFault(colours.length))]),
  };
}

function mixesIn(list: readonly unknown[]): FileContent {
  if (list.length === 0) return nothing('There is no mix in this file.');
  if (list.length > MOST_FILE_MIXES)
    return nothing(
      `This file has ${list.length.toLocaleString('en')} mixes; ${MOST_FILE_MIXES.toLocaleString('en')} at ` +
        'a time are the most. Cut it in pieces.',
    );
  const faults: FileFault[] = [];
  const mixes = list.map((value, i): MixLine => {
    const fields = isFields(value) ? value : {};
    const row = i + 1;
    const basis = fields.basis === undefined ? 'volume' : BASES.find((b) => b === fields.basis);
    if (!basis) faults.push({ row, sentence: 'The basis of this mix is neither volume nor mass.' });
    if (oneLine(textIn(fields.name)) === '') faults.push({ row, sentence: 'This mix has no name.' });
    if (textIn(fields.recipe).trim() === '') faults.push({ row, sentence: 'This mix has no recipe.' });
    return {
      row,
      name: oneLine(textIn(fields.name)),
      recipe: textIn(fields.recipe),
      basis: basis ?? 'volume',
      note: textIn(fields.note),
    };
  });
  return { holds: 'mixes', mixes, faults: fewFaults(faults) };
}
