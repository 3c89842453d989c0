import { converter, parse, type Lab65 } from 'culori';
import { hexOf, xyzOfLab } from '#core/colour';
import {
  countFault,
  fewFaults,
  oneLine,
  plainText,
  tooManyLines,
  type ColourFile,
  type FileFault,
  type FileContent,
  type NamedColour,
} from './files.js';

const toLab = converter('lab65');
const identOf = (name: string): string =>
  oneLine(name)
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '');
/** A comment cannot hold its own end, nor what stands for it. */
const inComment = (name: string): string => oneLine(name).replaceAll('\\', '\\\\').replaceAll('*/', '*\\/');
const outOfComment = (text: string): string => text.replaceAll('*\\/', '*/').replaceAll('\\\\', '\\');

/** Colours as custom properties, sRGB with 8 bits, each with its name as a comment. */
export function writeCss({ name, colours }: ColourFile): string {
  const used = new Map<string, number>();
  const lines = colours.map((c, i) => {
    const ident = identOf(c.name) || `colour-${i + 1}`;
    const times = (used.get(ident) ?? 0) + 1;
    used.set(ident, times);
    return (
      `  --${ident}${times > 1 ? `-${times}` : ''}: #${hexOf(xyzOfLab(c.lab)).toLowerCase()}; /* ` +
      `${inComment(c.name)} */`
    );
  });
  return `/* ${inComment(name)} */\n:root {\n${lines.join('\n')}\n}\n`;
}

/** A custom property of a style sheet, with the comment behind it. */
interface Property {
  readonly ident: string;
  readonly value: string;
  readonly comment: string | undefined;
}

/** Behind the letters of a name that begins at `from`. */
function identEnd(line: string, from: number): number {
  const ident = /[\p{L}\p{N}_-]*/uy;
  ident.lastIndex = from;
  ident.exec(line);
  return ident.lastIndex;
}

/** The comment that stands right behind a place, without the spaces at its ends. */
function commentAt(line: string, from: number): string | undefined {
  const open = line.slice(from, from + MOST_SPACES).search(/\S/);
  if (open < 0 || !line.startsWith('/*', from + open)) return undefined;
  const close = line.indexOf('*/', from + open + 2);
  return close < 0
    ? undefined
    : line
        .slice(from + open + 2, close)
        .replace(/^ /, '')
        .replace(/ $/, '');
}
const MOST_SPACES = 200;

/** The custom properties of a line, from left to right; each letter is looked at once. */
function propertiesIn(line: string): Property[] {
  const found: Property[] = [];
  for (let at = line.indexOf('--'); at >= 0; at = line.indexOf('--', at)) {
    const end = identEnd(line, at + 2);
    const colon = line.slice(end, end + MOST_SPACES).search(/\S/) + end;
    const semicolon = line[colon] === ':' && colon >= end ? line.indexOf(';', colon) : -1;
    if (semicolon < 0) {
      at = end;
      continue;
    }
    found.push({
      ident: line.slice(at + 2, end),
      value: line.slice(colon + 1, semicolon).trim(),
      comment: commentAt(line, semicolon + 1),
    });
    at = semicolon;
  }
  return found.filter(({ ident, value }) => ident !== '' && value !== '');
}

const LOOKS_LIKE_ONE = /^(#|rgb|hsl|hwb|lab|lch|oklab|oklch|color\()/i;
/** Letters of the longest colour that anybody writes. */
const MOST_LETTERS = 200;

function labIn(value: string): Lab65 | undefined {
  const colour = value.length > MOST_LETTERS ? undefined : parse(value);
  const lab = colour && toLab(colour);
  return lab && [lab.l, lab.a, lab.b].every(Number.isFinite) ? lab : undefined;
}

/** Reads the custom properties of a style sheet that are colours; whatever else is in it is passed over. */
export function readCss(text: string): FileContent {
  const lines = plainText(text).split('\n');
  const refused = tooManyLines(lines);
  if (refused) return refused;
  const title = titleIn(lines[0] ?? '');
  const colours: NamedColour[] = [];
  const faults: FileFault[] = [];
  lines.forEach((line, i) => {
    for (const { ident, value, comment } of propertiesIn(line)) {
      const lab = labIn(value);
      if (!lab) {
        if (LOOKS_LIKE_ONE.test(value)) faults.push({ row: i + 1, sentence: `“${value.slice(0, 40)}” is no colour.` });
        continue;
      }
      const name = comment === undefined ? ident.replaceAll('-', ' ') : outOfComment(comment);
      colours.push({ name: oneLine(name), lab: { l: lab.l, a: lab.a, b: lab.b }, share: null });
    }
  });
  return {
    holds: 'colours',
    file: { name: title === undefined ? 'Palette' : outOfComment(title) || 'Palette', colours },
    faults: fewFaults([...faults, ...(faults.length > 0 ? [] : countFault(colours.length))]),
  };
}

/** The title of a sheet that Sledge wrote: a comment by itself on the first line. */
function titleIn(line: string): string | undefined {
  const own = line.trim();
  return own.length >= 6 && own.startsWith('/* ') && own.endsWith(' */') ? own.slice(3, -3) : undefined;
}
