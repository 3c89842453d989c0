import { Fraction, NUMBER_PATTERN, readNumber, showNumber } from '#core/units';
import { complaint } from './sentences.js';

/**
 * A mix as it is scratched on a chip: `2 Beetroot + 1 Chalk`,
 * `½ Soot + 2 (1 Leek + 1 Corn)`, `1 Cabbage vein #2 + 2 Turnip`.
 *
 *     sum  = term { "+" term }
 *     term = [ number ] ( name [ "#" revision ] | "(" sum ")" )
 *
 * No number means one part. A name that starts with a digit or holds one of
 * `+ ( ) # "` stands in double quotes.
 */
export interface Term {
  readonly parts: Fraction;
  readonly of: Named | Group;
}
export interface Named {
  readonly name: string;
  readonly revision: number | null;
}
export interface Group {
  readonly group: readonly Term[];
}

const SPECIAL = /[+()#"]|^[\d½¼¾⅓⅔⅛⅜⅝⅞.,\s]|\s$|\s\s|^$/u;
const DEEPEST = 20;

class Reader {
  private at = 0;
  constructor(private readonly text: string) {}

  private skip(): void {
    while (/\s/.test(this.text[this.at] ?? '')) this.at++;
  }

  private peek(): string {
    this.skip();
    return this.text[this.at] ?? '';
  }

  private fail(wanted: string): never {
    const found = this.text.slice(this.at).split(/\s/)[0] || 'the end';
    throw complaint('notation/unexpected', { found, at: this.at, wanted });
  }

  whole(): Term[] {
    if (this.text.trim() === '') throw complaint('notation/empty');
    const terms = this.sum(0);
    if (this.peek() !== '') this.fail('+');
    return terms;
  }

  private sum(depth: number): Term[] {
    const terms = [this.term(depth)];
    while (this.peek() === '+') {
      this.at++;
      terms.push(this.term(depth));
    }
    return terms;
  }

  private term(depth: number): Term {
    this.skip();
    const number = NUMBER_PATTERN.exec(this.text.slice(this.at))?.[0];
    if (number !== undefined) this.at += number.length;
    const parts = number === undefined ? new Fraction(1) : readNumber(number);
    if (this.peek() !== '(') return { parts, of: this.named() };
    if (depth >= DEEPEST) this.fail('fewer brackets inside each other');
    this.at++;
    const group = this.sum(depth + 1);
    if (this.peek() !== ')') this.fail('a closing bracket');
    this.at++;
    return { parts, of: { group } };
  }

  private named(): Named {
    const name = this.name();
    if (this.peek() !== '#') return { name, revision: null };
    this.at++;
    this.skip();
    const digits = /^\d{1,6}/.exec(this.text.slice(this.at))?.[0];
    if (digits === undefined) this.fail('the number of a revision');
    this.at += digits.length;
    return { name, revision: Number(digits) };
  }

  private name(): string {
    if (this.peek() === '"') {
      const end = this.text.indexOf('"', this.at + 1);
      if (end < 0) this.fail('a closing quotation mark later');
      const name = this.text.slice(this.at + 1, end);
      this.at = end + 1;
      return name;
    }
    const found = /^[^+()#"]+/.exec(this.text.slice(this.at))?.[0].trimEnd() ?? '';
    if (found === '') this.fail('the name of a clay or a mix');
    this.at += found.length;
    return found.replace(/\s+/g, ' ');
  }
}

/**
 * Reads the notation.
 * @throws Complaint `notation/empty`, `notation/unexpected` (with its place), `parts/unreadable`
 */
export function parseNotation(text: string): Term[] {
  return new Reader(text).whole();
}

/** Writes the notation so that {@link parseNotation} gives the same terms back. */
export function printNotation(terms: readonly Term[]): string {
  return terms
    .map(({ parts, of }) => {
      if ('group' in of) return `${showNumber(parts)} (${printNotation(of.group)})`;
      const name = SPECIAL.test(of.name) ? `"${of.name}"` : of.name;
      return `${showNumber(parts)} ${name}${of.revision === null ? '' : ` #${of.revision}`}`;
    })
    .join(' + ');
}

/**
 * Opens all brackets: a group's parts are shared out exactly, and the same
 * name twice becomes one term.
 */
export function openBrackets(terms: readonly Term[]): { parts: Fraction; of: Named }[] {
  const found = new Map<string, { parts: Fraction; of: Named }>();
  const visit = (inner: readonly Term[], scale: Fraction): void => {
    for (const { parts, of } of inner) {
      const scaled = parts.mul(scale);
      if ('group' in of) {
        const total = of.group.reduce((sum, term) => sum.add(term.parts), new Fraction(0));
        if (total.equals(0)) throw complaint('parts/zero', { name: 'A bracket' });
        visit(of.group, scaled.div(total));
        continue;
      }
      const key = `${of.name.toLowerCase()}#${of.revision ?? ''}`;
      const before = found.get(key);
      found.set(key, { parts: before ? before.parts.add(scaled) : scaled, of });
    }
  };
  visit(terms, new Fraction(1));
  return [...found.values()];
}
