import { ORDINALS, literally, withDigits, withoutRoughly } from '#core/units';
import type { Machine } from './machine.js';

/**
 * An instruction in one way of writing, with the machines that it names taken out: `@0` stands for the first of
 * them.
 */
export interface Phrase {
  readonly text: string;
  readonly machines: readonly Machine[];
}

export const WIDE = 'thickest|widest|largest|biggest|heaviest';
export const THIN = 'thinnest|finest|narrowest|smallest';
/** A place on a dial, from one of its ends. */
export const PLACE = `${WIDE}|${THIN}`;
/** The number of a setting: whole, or with a half click. */
export const LABEL = '\\d+(?:\\.\\d+| ?½| 1/2)?|½';
const BEFORE_ORDINAL = `(?=[ -](?:${PLACE}|setting|from|to|notch|position|number|stop|click|one)\\b)`;

/** `third` before a place on a dial is the 3rd, not a third of something. */
function withRanks(text: string): string {
  const ranked = new RegExp(`\\b(${ORDINALS.join('|')})${BEFORE_ORDINAL}`, 'gi');
  return text
    .replace(ranked, (word) => `${ORDINALS.indexOf(word.toLowerCase()) + 1}th`)
    .replace(/\b(\d+)(?:st|nd|rd)\b/gi, '$1th');
}

/** Brings an instruction to one way of writing. Names are looked for as they are written, the longest first. */
export function phraseOf(said: string, machines: readonly Machine[]): Phrase {
  const named: Machine[] = [];
  let text = said
    .trim()
    .replace(/\s+/g, ' ')
    .replace(/[“”„″]|''|’’/g, '"')
    .replace(/[‘’]/g, "'");
  for (const machine of [...machines].sort((a, b) => b.name.length - a.name.length)) {
    const found = new RegExp(`(?<![\\p{L}\\d])(?:the |my |your )?${literally(machine.name)}(?![\\p{L}\\d])`, 'iu');
    if (machine.name.trim() === '' || !found.test(text)) continue;
    text = text.replace(found, `@${named.length}`);
    named.push(machine);
  }
  const plain = withDigits(withoutRoughly(withRanks(text)))
    .replace(/[.!]$/, '')
    .replace(/[()[\];]/g, ' , ')
    .replace(/\s*,(?!\d)(?:\s*,(?!\d))*\s*|\s*(?<!\d),\s*/g, ', ')
    .replace(/^, |, $/g, '')
    .replace(/\b(?:number|no|nr|num)\b\.?\s*(?=\d)/g, '#')
    .replace(/#\s+/g, '#')
    .replace(/\s+/g, ' ')
    .replace(/\b(?:roll|use|pass|set|put)\b(?: it)?(?: (?:to|at|on|through))? /g, '')
    .replace(/^(?:at|on|to|through) (?=the |my |your |setting |#|\d)/, '')
    .replace(/ please$/, '')
    .trim();
  return { text: withoutRoughly(plain), machines: named };
}

export const isWide = (place: string): boolean => new RegExp(`^(?:${WIDE})$`).test(place);
