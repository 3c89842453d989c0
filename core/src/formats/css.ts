import { converter, parse, type Lab65 } from 'culori';
import { hexOf, xyzOfLab } from '#core/colour';
import { countFault, fewFaults, oneLine, plainText, type ColourFile, type Fault, type FileContent, type NamedColour } from './files.js';

const toLab = converter('lab65');
const identOf = (name: string): string => oneLine(name).toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-+|-+$/g, '');
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
    return `  --${ident}${times > 1 ? `-${times}` : ''}: #${hexOf(xyzOfLab(c.lab)).toLowerCase()}; /* ${inComment(c.name)} */`;
  });
  return `/* ${inComment(name)} */\n:root {\n${lines.join('\n')}\n}\n`;
}

/** Reads the custom properties of a style sheet that are colours; whatever else is in it is passed over. */
export function readCss(text: string): FileContent {
  const lines = plainText(text).split('\n');
  const title = /^\s*\/\* (.*) \*\/\s*$/.exec(lines[0] ?? '')?.[1];
  const colours: NamedColour[] = [];
  const faults: Fault[] = [];
  lines.forEach((line, i) => {
    for (const [, ident = '', value = '', comment] of line.matchAll(/--([\p{L}\p{N}_-]+)\s*:\s*([^;]+);(?:\s*\/\* ?((?:[^*]|\*(?!\/))*?) ?\*\/)?/gu)) {
      const colour = parse(value.trim());
      if (!colour) {
        if (/^(#|rgb|hsl|hwb|lab|lch|oklab|oklch|color\()/i.test(value.trim())) faults.push({ row: i + 1, sentence: `“${value.trim().slice(0, 40)}” is no colour.` });
        continue;
      }
      const { l, a, b } = toLab(colour) as Lab65;
      colours.push({ name: comment === undefined ? oneLine(ident.replaceAll('-', ' ')) : oneLine(outOfComment(comment)), lab: { l, a, b }, share: null });
    }
  });
  return { holds: 'colours', file: { name: title === undefined ? 'Palette' : outOfComment(title) || 'Palette', colours }, faults: fewFaults([...faults, ...(faults.length > 0 ? [] : countFault(colours.length))]) };
}
