import { hexOf, labOf, xyzOfHex, xyzOfLab } from '#core/colour';
import {
  countFault,
  fewFaults,
  nothing,
  oneLine,
  plainText,
  tooManyLines,
  type ColourFile,
  type FileFault,
  type FileContent,
  type NamedColour,
} from './files.js';

const HEAD = 'GIMP Palette';

/**
 * A palette as GIMP keeps it: text, red green blue from 0 to 255 and a name in each line. Colours are rounded to 8
 * bits.
 */
export function writeGpl({ name, colours }: ColourFile): string {
  const lines = colours.map((c) => {
    const hex = hexOf(xyzOfLab(c.lab));
    const [r, g, b] = [0, 2, 4].map((at) => String(parseInt(hex.slice(at, at + 2), 16)).padStart(3));
    return `${r} ${g} ${b}\t${oneLine(c.name) || 'Untitled'}`;
  });
  return `${[HEAD, `Name: ${oneLine(name)}`, 'Columns: 0', '#', ...lines].join('\n')}\n`;
}

/** Reads what {@link writeGpl} writes, and what GIMP does. */
export function readGpl(text: string): FileContent {
  const lines = plainText(text).split('\n');
  if (lines[0]?.trim() !== HEAD)
    return nothing(`A GIMP palette begins with the line “${HEAD}”. This file does not.`, 1);
  const refused = tooManyLines(lines);
  if (refused) return refused;
  let name = 'Palette';
  const colours: NamedColour[] = [];
  const faults: FileFault[] = [];
  lines.slice(1).forEach((line, i) => {
    const named = /^Name:\s*(.+)$/.exec(line);
    if (named?.[1]) {
      name = oneLine(named[1]);
      return;
    }
    if (/^\s*(#.*)?$/.test(line) || /^Columns:/.test(line)) return;
    const found = /^\s*(\d+)\s+(\d+)\s+(\d+)(?:\s+(.*))?$/.exec(line);
    const rgb = found?.slice(1, 4).map(Number) ?? [];
    if (!found || rgb.some((v) => v > 255)) {
      faults.push({
        row: i + 2,
        sentence:
          `“${line.trim().slice(0, 40)}” is no colour. ` + 'A line has red, green and blue from 0 to 255 and a name.',
      });
      return;
    }
    const label = oneLine(found[4] ?? '');
    colours.push({
      name: label === 'Untitled' ? '' : label,
      lab: labOf(xyzOfHex(rgb.map((v) => v.toString(16).padStart(2, '0')).join(''))),
      share: null,
    });
  });
  return {
    holds: 'colours',
    file: { name, colours },
    faults: fewFaults([...faults, ...(faults.length > 0 ? [] : countFault(colours.length))]),
  };
}
