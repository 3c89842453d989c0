import type { Lab } from '#core/colour';
import type { Basis } from '#core/mix';

/** A colour as files carry it; `share` of an area, 0..1, where it is known. */
export interface NamedColour {
  readonly name: string;
  readonly lab: Lab;
  readonly share: number | null;
}
export interface ColourFile {
  readonly name: string;
  readonly colours: readonly NamedColour[];
}

/** A mix as files carry it: the recipe in notation. `row` is where it stands in its file, from 1. */
export interface MixLine {
  readonly row: number;
  readonly name: string;
  readonly recipe: string;
  readonly basis: Basis;
  readonly note: string;
}
/** A mix to be written, with its predicted colour for readers that know no clay. */
export interface MixOut extends Omit<MixLine, 'row'> {
  readonly lab: Lab;
}

/** What is wrong in a file; `row` from 1 where it is of one row. */
export interface FileFault {
  readonly row: number | null;
  readonly sentence: string;
}

/** What a file holds: colours or mixes, or only what is wrong with it. Nothing of a file with faults is taken. */
export type FileContent =
  | { readonly holds: 'colours'; readonly file: ColourFile; readonly faults: readonly FileFault[] }
  | { readonly holds: 'mixes'; readonly mixes: readonly MixLine[]; readonly faults: readonly FileFault[] }
  | { readonly holds: 'nothing'; readonly faults: readonly FileFault[] };

export const nothing = (sentence: string, row: number | null = null): FileContent => ({
  holds: 'nothing',
  faults: [{ row, sentence }],
});

/** Most colours of one palette, and most mixes that are taken in at once. */
export const MOST_FILE_COLOURS = 256;
export const MOST_FILE_MIXES = 3000;

/** Faults beyond these are only counted. */
const MOST_FAULTS = 50;
export const fewFaults = (faults: readonly FileFault[]): readonly FileFault[] =>
  faults.length <= MOST_FAULTS
    ? faults
    : [
        ...faults.slice(0, MOST_FAULTS),
        { row: null, sentence: `… and ${faults.length - MOST_FAULTS} more rows are wrong.` },
      ];

/** What is wrong with too many colours or none. */
export function countFault(count: number): FileFault[] {
  if (count === 0) return [{ row: null, sentence: 'There is no colour in this file.' }];
  return count > MOST_FILE_COLOURS
    ? [
        {
          row: null,
          sentence:
            `This file has ${count.toLocaleString('en')} colours; a palette takes ${MOST_FILE_COLOURS}. Cut it ` +
            'in pieces.',
        },
      ]
    : [];
}

/** a* and b* of what a palette keeps. */
const MOST_CHROMATIC = 200;
/** Colours that no surface has, and that no palette keeps: those of a file that are so, by their number from 1. */
export function rangeFaults(colours: readonly NamedColour[]): FileFault[] {
  return colours.flatMap(({ lab: { l, a, b } }, i): FileFault[] => {
    const kept = l >= 0 && l <= 100 && Math.abs(a) <= MOST_CHROMATIC && Math.abs(b) <= MOST_CHROMATIC;
    return kept
      ? []
      : [
          {
            row: null,
            sentence:
              `Colour ${i + 1} is none of a surface: L* runs from 0 to 100, a* and b* from -${MOST_CHROMATIC} ` +
              `to ${MOST_CHROMATIC}.`,
          },
        ];
  });
}

/** Lines of a file of colours; more are no palette, and are not looked at. */
const MOST_LINES = 20_000;
/** The refusal of a file with too many lines; null where they are few enough. */
export const tooManyLines = (lines: readonly unknown[]): FileContent | null =>
  lines.length <= MOST_LINES
    ? null
    : nothing(
        `This file has ${lines.length.toLocaleString('en')} lines; ${MOST_LINES.toLocaleString('en')} are ` +
          'the most. Cut it in pieces.',
      );

/** Text of a file: without a byte-order mark, lines ending in a line feed. */
export const plainText = (text: string): string => text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n');
/** A name on one line. */
export const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim();
