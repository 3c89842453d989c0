import { Fraction, GRAMS_PER_OUNCE, NUMBER_PATTERN, literally, namesOf, readNumber, withDigits } from '#core/units';
import { complaint } from './sentences.js';

/** What the amounts of a recipe are counted in. */
export type Counted = 'parts' | 'per cent' | 'grams' | 'ounces' | 'discs';

/** A piece of a typed recipe. */
export type Token =
  | { readonly kind: 'amount'; readonly value: Fraction; readonly counted: Counted; readonly at: number }
  /** amounts set against each other, as `2:1` */
  | { readonly kind: 'ratio'; readonly values: readonly Fraction[]; readonly at: number }
  | { readonly kind: 'equal'; readonly at: number }
  | { readonly kind: 'rest'; readonly at: number }
  | {
      readonly kind: 'name';
      readonly name: string;
      readonly known: boolean;
      readonly revision: number | null;
      readonly at: number;
    }
  | { readonly kind: 'open' | 'close' | 'and'; readonly at: number };

/** A pinch is less than a quarter of a disc: so much of a part. An assumption. */
const PINCH = new Fraction(1, 8);

/** Names in small letters that stand for what is on the shelf and the board, the longest first. */
export type Names = readonly string[];

const UNIT_WORDS: readonly (readonly [RegExp, Counted])[] = [
  [/^(?:%|per ?cent\b|percent\b)/i, 'per cent'],
  [/^(?:grams?|grammes?|gms?|g)\b\.?/i, 'grams'],
  [/^(?:ounces?|oz)\b\.?/i, 'ounces'],
  [/^(?:discs?|disks?)\b/i, 'discs'],
  [/^(?:parts?|shares?|pts?\b\.?|p\b\.?)(?![a-z])/i, 'parts'],
  [/^(?:x(?=[\s\d(]|$)|×|times\b)/i, 'parts'],
];
const ANDS = /^(?:\+|&|;|,|\/|and\b|plus\b|with\b|to\b)/i;
const FILLERS = /^(?:of\b|the\b|mix(?:ed)?\b(?= of)|:|=|in\b(?= parts)|by\b(?= (?:weight|volume)))/i;
const RATIO = /^(\d+(?:[.,]\d+)?(?:\s*\/\s*\d+)?|[½¼¾⅓⅔])(?:\s*(?::|\bto\b|-to-)\s*(\d+(?:[.,]\d+)?|[½¼¾⅓⅔]))+/i;
/** `50/50`, `2/1`, `1/2/1`: amounts set against each other, where one fraction would be one or more. */
const SLASHED = /^\d+(?:\s*\/\s*\d+)+/;
const EQUAL = new RegExp(
  [
    '^(?:1 part (?:of )?each(?: of)?\\b',
    'equal (?:parts|amounts|shares)(?: of)?',
    '(?:1/2|half)(?: and |/|-and-)(?:1/2|half)',
    'same amounts? of)',
  ].join('|'),
  'i',
);
const REST = /^(?:the )?(?:rest|remainder)\b(?: of it)?(?: is)?/i;
const WORD = /^[\p{L}\p{M}][\p{L}\p{M}\d'’-]*/u;

/** The longest of the names that a text begins with, whole words only. */
function nameAt(text: string, names: Names): { readonly name: string; readonly length: number } | null {
  const small = text.toLowerCase();
  let best: { readonly name: string; readonly length: number } | null = null;
  for (const name of names) {
    for (const written of namesOf(name)) {
      const follows = small[written.length] ?? '';
      if (small.startsWith(written) && !/[\p{L}\p{M}\d]/u.test(follows) && written.length > (best?.length ?? 0))
        best = { name, length: written.length };
    }
  }
  return best;
}

const fractionOf = (text: string): Fraction => readNumber(text);

/** Takes a typed recipe apart. Letters and digits are cut off its front one token after the other. */
class Cutter {
  private at = 0;
  private readonly tokens: Token[] = [];
  constructor(
    private readonly text: string,
    private readonly names: Names,
  ) {}

  private get rest(): string {
    return this.text.slice(this.at);
  }

  private take(pattern: RegExp): string | null {
    const found = pattern.exec(this.rest)?.[0];
    if (found === undefined || found === '') return null;
    this.at += found.length;
    return found;
  }

  all(): Token[] {
    while (this.at < this.text.length) {
      if (this.take(/^\s+/) === null) this.tokens.push(...this.next());
    }
    return this.tokens;
  }

  private next(): Token[] {
    const { at } = this;
    if (this.take(/^\(/)) return [{ kind: 'open', at }];
    if (this.take(/^\)/)) return [{ kind: 'close', at }];
    // a bullet at the beginning of a line
    if (/(?:^|[\n,;]\s*)$/.test(this.text.slice(0, at)) && this.take(/^[-–•*·]\s+/)) return [];
    const known = this.known(at);
    if (known) return [known];
    if (this.take(EQUAL)) return [{ kind: 'equal', at }];
    if (this.take(REST)) return [{ kind: 'rest', at }];
    const number = this.ratio(at) ?? this.amount(at);
    if (number) return [number];
    if (this.take(ANDS)) return [{ kind: 'and', at }];
    if (this.take(FILLERS)) return [];
    return [this.unknown(at)];
  }

  private revision(): number | null {
    const found = this.take(/^\s*#\s*\d{1,6}/);
    return found === null ? null : Number(found.replace(/\D/g, ''));
  }

  private known(at: number): Token | null {
    const quoted = /^"([^"]*)"/.exec(this.rest);
    const found = quoted ? { name: quoted[1] ?? '', length: quoted[0].length } : nameAt(this.rest, this.names);
    if (!found || found.length === 0) return null;
    // a longer name that nobody knows is not the shorter one: “Corn husk” is not Corn
    const after = this.rest.slice(found.length);
    const word = /^ +([\p{L}][\p{L}\p{M}'’-]*)/u.exec(after)?.[1];
    if (!quoted && word !== undefined && !this.belongs(after.trimStart())) return null;
    this.at += found.length;
    return { kind: 'name', name: found.name, known: true, revision: this.revision(), at };
  }

  /** Whether what follows a name is something else than more of that name. */
  private belongs(text: string): boolean {
    return (
      nameAt(text, this.names) !== null ||
      /^(?:\d|an?\b|half\b|quarter\b)/i.test(text) ||
      ANDS.test(text) ||
      UNIT_WORDS.some(([unit]) => unit.test(text)) ||
      EQUAL.test(text) ||
      REST.test(text) ||
      /^(?:in equal parts|pinch)/i.test(text) ||
      NUMBER_PATTERN.test(withDigits(text.split(' ')[0] ?? ''))
    );
  }

  private ratio(at: number): Token | null {
    const slashed = SLASHED.exec(this.rest)?.[0];
    const numbers = slashed?.split('/').map((n) => Number(n));
    const several = numbers !== undefined && (numbers.length > 2 || (numbers[0] ?? 0) >= (numbers[1] ?? 1));
    if (slashed !== undefined && several && !/^\s*(?:parts?|discs?|g|%)\b/i.test(this.rest.slice(slashed.length))) {
      this.at += slashed.length;
      return { kind: 'ratio', values: slashed.split('/').map((n) => fractionOf(n)), at };
    }
    const found = this.take(RATIO);
    if (found === null) return null;
    return { kind: 'ratio', values: found.split(/\s*(?::|\bto\b|-to-)\s*/i).map((n) => fractionOf(n)), at };
  }

  private amount(at: number): Token | null {
    const article = /^an? (?=(?:part|disc|gram|ounce)\b)/i.exec(this.rest);
    if (article) {
      this.at += article[0].length;
      const counted = UNIT_WORDS.find(([unit]) => unit.test(this.rest));
      if (counted) this.take(counted[0]);
      return { kind: 'amount', value: new Fraction(1), counted: counted?.[1] ?? 'parts', at };
    }
    if (this.take(/^(?:an? |1 )?pinch(?:es)?\b/i)) return { kind: 'amount', value: PINCH, counted: 'parts', at };
    // x2 behind a name
    this.take(/^(?:x|×)\s*(?=[\d½¼¾⅓⅔⅛⅜⅝⅞])/i);
    const number = this.take(NUMBER_PATTERN);
    if (number === null) {
      if (this.at !== at) this.at = at;
      return null;
    }
    this.take(/^\s*(?:of )?an? (?=part|disc|gram|ounce)/i);
    const spaces = /^\s*/.exec(this.rest)?.[0] ?? '';
    const counted = UNIT_WORDS.find(([unit]) => unit.test(this.rest.slice(spaces.length)));
    if (counted) {
      this.at += spaces.length;
      this.take(counted[0]);
    }
    return { kind: 'amount', value: fractionOf(number), counted: counted?.[1] ?? 'parts', at };
  }

  /** A word that is no name here, with all that belongs to it. */
  private unknown(at: number): Token {
    const words: string[] = [];
    for (let word = this.take(WORD); word !== null; word = this.more()) words.push(word);
    if (words.length === 0)
      throw complaint('notation/unexpected', {
        found: this.rest.split(/\s/)[0] || 'the end',
        at,
        wanted: 'a clay or a mix',
      });
    return { kind: 'name', name: words.join(' '), known: false, revision: this.revision(), at };
  }

  private more(): string | null {
    const ahead = /^ +(?=\p{L})/u.exec(this.rest)?.[0];
    if (
      ahead === undefined ||
      this.belongs(this.rest.slice(ahead.length)) ||
      FILLERS.test(this.rest.slice(ahead.length))
    )
      return null;
    this.at += ahead.length;
    return this.take(WORD);
  }
}

/** Written numbers as digits, but not in names: each of those stays as it is. */
function digitsIn(text: string, names: Names): string {
  const kept: string[] = [];
  const pattern = [...names]
    .sort((a, b) => b.length - a.length)
    .map(literally)
    .filter((n) =>
      /\b(?:one|two|three|four|five|six|seven|eight|nine|ten|half|quarter|third|eighth|zero|\w+teen|\w+ty)\b/i.test(n),
    );
  const masked =
    pattern.length === 0
      ? text
      : text.replace(
          new RegExp(`(?<![\\p{L}\\d])(?:${pattern.join('|')})(?![\\p{L}\\d])`, 'giu'),
          (name) => `\ue000${kept.push(name) - 1}\ue001`,
        );
  const lines = masked
    .split('\n')
    .map((line) => withDigits(line))
    .join('\n');
  return lines.replace(/\ue000(\d+)\ue001/g, (_, i: string) => kept[Number(i)] ?? '');
}

/**
 * The tokens of a typed recipe, and the text that their places are in.
 * @throws Complaint `notation/unexpected`, `number/ambiguous`
 */
export function cutRecipe(text: string, names: Names): { readonly tokens: Token[]; readonly text: string } {
  const straight = text
    .replace(/[“”„]/g, '"')
    .replace(/\r\n?/g, '\n')
    .replace(/\t/g, ' ')
    .replace(/\(\s*([\d.,/½¼¾⅓⅔⅛]+)\s*\)/g, ' $1 ');
  const lines = straight
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .join(',\n');
  const said = digitsIn(lines, names);
  return { tokens: new Cutter(said, names).all(), text: said };
}

/** Grams of an amount that is weighed in ounces. */
export const inGrams = (value: Fraction): Fraction => value.mul(new Fraction(Math.round(GRAMS_PER_OUNCE * 1000), 1000));
