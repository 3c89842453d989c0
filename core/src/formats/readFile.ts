import { readAse } from './ase.js';
import { readCss } from './css.js';
import { readCsv } from './csv.js';
import { fewFaults, nothing, oneLine, rangeFaults, type FileContent } from './files.js';
import { readGpl } from './gpl.js';
import { readJson } from './json.js';

const READERS: Readonly<Record<string, (bytes: Uint8Array, name: string) => FileContent>> = {
  ase: (bytes) => readAse(bytes),
  gpl: (bytes) => readGpl(textOf(bytes)),
  css: (bytes) => readCss(textOf(bytes)),
  json: (bytes) => readJson(textOf(bytes)),
  csv: (bytes, name) => readCsv(textOf(bytes), name),
};
/** Endings of the files that can be read. */
export const READABLE = Object.keys(READERS);

/** The marks that texts in 16 bits begin with, byte by byte. */
const MARKS: ReadonlyMap<string, string> = new Map([
  [`${0xff} ${0xfe}`, 'utf-16le'],
  [`${0xfe} ${0xff}`, 'utf-16be'],
]);

/** Text as UTF-8, or as the old Windows letters where it is not. */
function textOf(bytes: Uint8Array): string {
  const utf16 = MARKS.get(`${bytes[0] ?? ''} ${bytes[1] ?? ''}`);
  if (utf16) return new TextDecoder(utf16).decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** What was read, with what could not be kept among its faults. */
function keepable(content: FileContent): FileContent {
  if (content.holds !== 'colours' || content.faults.length > 0) return content;
  return { ...content, faults: fewFaults(rangeFaults(content.file.colours)) };
}

/** Reads a file by its ending (docs/formats.md). */
export function readFile(fileName: string, bytes: Uint8Array): FileContent {
  const ending = /\.([^.]+)$/.exec(fileName)?.[1]?.toLowerCase() ?? '';
  const reader = Object.hasOwn(READERS, ending) ? READERS[ending] : undefined;
  if (!reader)
    return nothing(
      `A file called “${fileName.slice(0, 60)}” is of no kind that is known here. Known are ` +
        `${READABLE.map((r) => `.${r}`).join(', ')}.`,
    );
  if (bytes.length === 0) return nothing('This file is empty.');
  return keepable(
    reader(bytes, oneLine(fileName.replace(/\.[^.]+$/, '').replace(/_+/g, ' ')).slice(0, 80) || 'Palette'),
  );
}
