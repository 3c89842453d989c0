import { writeAse, writeColourCsv, writeColourJson, writeCss, writeGpl, type ColourFile } from '#core/formats';

interface Kind {
  readonly ending: string;
  readonly text: string;
  readonly type: string;
  readonly write: (file: ColourFile) => string | Uint8Array;
}

/** The files that colours can be written to. */
export const COLOUR_KINDS: readonly Kind[] = [
  { ending: 'gpl', text: 'GIMP palette', type: 'text/plain', write: writeGpl },
  { ending: 'ase', text: 'Adobe Swatch Exchange', type: 'application/octet-stream', write: writeAse },
  { ending: 'css', text: 'CSS properties', type: 'text/css', write: writeCss },
  { ending: 'csv', text: 'table', type: 'text/csv', write: writeColourCsv },
  { ending: 'json', text: 'JSON', type: 'application/json', write: writeColourJson },
];
