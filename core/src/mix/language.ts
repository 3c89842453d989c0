import { Complaint, Fraction } from '#core/units';
import { parseNotation, printNotation, type Named, type Term } from './notation.js';
import type { Basis } from './recipe.js';
import { cutRecipe, inGrams, type Counted, type Names, type Token } from './said.js';
import { complaint } from './sentences.js';

/** A recipe as somebody typed it, in the one notation of Sledge. */
export interface SaidRecipe {
  readonly terms: readonly Term[];
  /** where it was given in grams: by mass */ readonly basis: Basis | null;
  readonly notation: string;
}

type NameToken = Extract<Token, { kind: 'name' }>;
type Amount = Extract<Token, { kind: 'amount' }>;
/** What an amount is of. */
type Thing = Named | { readonly group: readonly Term[] };
interface Piece {
  readonly amount: Amount | 'rest' | null;
  readonly of: Thing;
}

const HUNDRED = new Fraction(100);

/** Letters that have to be changed to come from one word to another (V. Levenshtein, 1966). */
function distance(one: string, other: string): number {
  let row = Array.from({ length: other.length + 1 }, (_, i) => i);
  for (let i = 1; i <= one.length; i++) {
    const next = [i];
    for (let j = 1; j <= other.length; j++) {
      const changed = (row[j - 1] as number) + (one[i - 1] === other[j - 1] ? 0 : 1);
      next.push(Math.min(changed, (row[j] as number) + 1, (next[j - 1] as number) + 1));
    }
    row = next;
  }
  return row[other.length] as number;
}

/** Names that a word may have been meant as, nearest first. */
export function nearestNames(word: string, names: Names): string[] {
  const most = Math.max(1, Math.floor(word.length / 3));
  return names
    .map((name) => ({ name, off: distance(word.toLowerCase(), name.toLowerCase()) }))
    .filter(({ off, name }) => off > 0 && off <= Math.min(most, Math.floor(name.length / 2)))
    .sort((a, b) => a.off - b.off || a.name.localeCompare(b.name))
    .slice(0, 3)
    .map((found) => found.name);
}

class Sayer {
  private at = 0;
  constructor(
    private readonly tokens: readonly Token[],
    private readonly text: string,
    private readonly written: ReadonlyMap<string, string>,
  ) {}

  private peek(ahead = 0): Token | undefined {
    return this.tokens[this.at + ahead];
  }

  private fail(wanted: string): never {
    const token = this.peek();
    const at = token?.at ?? this.text.length;
    throw complaint('notation/unexpected', { found: this.text.slice(at).split(/[\s,]/)[0] || 'the end', at, wanted });
  }

  whole(): Piece[] {
    const pieces = this.list(0);
    if (this.peek()) this.fail('the end');
    return pieces;
  }

  /** Pieces up to the end, or up to a closing bracket. */
  private list(depth: number): Piece[] {
    const [things, amounts, order]: [Thing[], (Amount | 'rest')[], string[]] = [[], [], []];
    let ratio: readonly Fraction[] | null = null;
    for (let token = this.peek(); token && token.kind !== 'close'; token = this.peek()) {
      if (token.kind === 'ratio' || token.kind === 'equal') {
        if (ratio !== null || amounts.length > 0) this.fail('a clay or a mix');
        ratio = token.kind === 'ratio' ? token.values : [];
        this.at++;
      } else if (token.kind === 'amount' || token.kind === 'rest') {
        amounts.push(token.kind === 'rest' ? 'rest' : token);
        order.push('n');
        this.at++;
      } else if (token.kind === 'and') {
        order.push('+');
        this.at++;
      } else {
        things.push(this.thing(token, depth));
        order.push('m');
      }
    }
    return ratio === null ? this.paired(things, amounts, order) : this.shared(things, amounts, ratio);
  }

  private thing(token: Token, depth: number): Thing {
    this.at++;
    if (token.kind === 'name') return { name: this.written.get(token.name) ?? token.name, revision: token.revision };
    if (token.kind !== 'open' || depth > 18) this.fail('a clay or a mix');
    const inner = this.list(depth + 1);
    if (this.peek()?.kind !== 'close') this.fail('a closing bracket');
    this.at++;
    return { group: termsOf(inner).terms };
  }

  /** `2:1 Chalk Corn`, `equal parts Chalk and Corn` */
  private shared(things: readonly Thing[], amounts: readonly unknown[], ratio: readonly Fraction[]): Piece[] {
    if (amounts.length > 0) this.fail('a clay or a mix');
    const shares = ratio.length === 0 ? things.map(() => new Fraction(1)) : ratio;
    if (things.length < 2 || shares.length !== things.length)
      throw complaint('notation/shares', { amounts: shares.length, things: things.length });
    return things.map((of, i) => ({
      of,
      amount: { kind: 'amount', value: shares[i] as Fraction, counted: 'parts', at: 0 },
    }));
  }

  /** Each amount with what it stands before, or behind. */
  private paired(things: readonly Thing[], amounts: readonly (Amount | 'rest')[], order: readonly string[]): Piece[] {
    const said = order
      .join('')
      .replace(/^\++|\++$/g, '')
      .replace(/\++/g, '+');
    const pieces = (paired: readonly (number | null)[]): Piece[] =>
      things.map((of, i) => {
        const n = paired[i] ?? null;
        return { of, amount: n === null ? null : (amounts[n] ?? null) };
      });
    // an amount and a thing in every piece, the amount before it or behind it throughout
    if (
      /^nm(?:\+?nm)*$/.test(said) ||
      /^mn(?:\+?mn)*$/.test(said) ||
      /^n\+m(?:\+n\+m)*$/.test(said) ||
      /^m\+n(?:\+m\+n)*$/.test(said)
    )
      return pieces(things.map((_, i) => i));
    // pieces parted by signs, of which some have no amount: one part
    const terms = said.split('+');
    const single = terms.every((term) => /^(?:nm|mn|m)$/.test(term));
    const signed = single && !(terms.includes('nm') && terms.includes('mn'));
    if (!signed) {
      if (/^n?m{2,}$/.test(said) || said === '')
        this.fail(things.length === 0 ? 'a clay or a mix' : 'how many parts of each');
      throw complaint('notation/parts', { text: this.text.replace(/,\n/g, ', ') });
    }
    let next = 0;
    return pieces(terms.map((term) => (term.includes('n') ? next++ : null)));
  }
}

/** What a number of pieces count in, all of them alike. @throws Complaint `notation/units` */
function countedIn(pieces: readonly Piece[]): Counted {
  const all = new Set(pieces.flatMap(({ amount }) => (amount === null || amount === 'rest' ? [] : [amount.counted])));
  const weights = [...all].every((c) => c === 'grams' || c === 'ounces');
  if (all.size > 1 && !weights && !(all.size === 2 && all.has('parts') && all.has('discs')))
    throw complaint('notation/units', { units: [...all].join(' and ') });
  const [first = 'parts'] = all;
  if ((first === 'grams' || first === 'ounces' || first === 'per cent') && pieces.some(({ amount }) => amount === null))
    throw complaint('notation/units', { units: `${first} and nothing` });
  return first;
}

function termsOf(pieces: readonly Piece[]): { readonly terms: Term[]; readonly basis: Basis | null } {
  const counted = countedIn(pieces);
  const mixed =
    new Set(pieces.flatMap(({ amount }) => (amount === null || amount === 'rest' ? [] : [amount.counted]))).size > 1;
  const amounts = pieces.map(({ amount }) => {
    if (amount === 'rest') return null;
    if (amount === null) return new Fraction(1);
    // ounces alone are as good as grams: only how much of each counts
    return amount.counted === 'ounces' && mixed ? inGrams(amount.value) : amount.value;
  });
  const sum = amounts.reduce<Fraction>((all, a) => (a ? all.add(a) : all), new Fraction(0));
  const rests = amounts.filter((a) => a === null).length;
  if (rests > 0 && (rests > 1 || counted !== 'per cent' || sum.compare(HUNDRED) >= 0)) throw complaint('notation/rest');
  if (counted === 'per cent' && rests === 0 && Math.abs(sum.valueOf() - 100) > 1.5)
    throw complaint('notation/per cent', { sum: sum.valueOf() });
  const terms = pieces.map(({ of }, i): Term => ({ parts: amounts[i] ?? HUNDRED.sub(sum), of }));
  return { terms, basis: counted === 'grams' || counted === 'ounces' ? 'mass' : null };
}

/**
 * The first name of some tokens that nobody knows is said, with those it may have been meant as.
 * @throws Complaint `notation/unknown`
 */
function checkNames(tokens: readonly Token[], typed: string, names: Names, written: ReadonlyMap<string, string>): void {
  const unknown = tokens.find((t): t is NameToken => t.kind === 'name' && !t.known);
  if (!unknown) return;
  const at = typed.toLowerCase().indexOf(unknown.name);
  // written numbers may have become digits in it
  const name = at < 0 ? unknown.name : typed.slice(at, at + unknown.name.length);
  const near = nearestNames(unknown.name, names).map((name) => written.get(name) ?? name);
  const choices = at < 0 ? [] : near.map((meant) => `${typed.slice(0, at)}${meant}${typed.slice(at + name.length)}`);
  throw complaint('notation/unknown', { name, near, choices });
}

/**
 * Reads a recipe as people write it: `2 Beetroot + 1 Chalk`, `2:1 Chalk
 * Corn`, `2 parts chalk to 1 part leek`, `75% Chalk, rest Corn`, `30 g Chalk
 * and 10 g Corn`, several lines, number words.
 * @param names of all clays and mixes there are, as they are written
 * @throws Complaint `notation/…`, `number/ambiguous`, `parts/unreadable`
 */
export function readRecipe(text: string, names: readonly string[]): SaidRecipe {
  if (text.trim() === '') throw complaint('notation/empty');
  const written = new Map(names.map((name) => [name.toLowerCase(), name]));
  const small = [...written.keys()];
  // something was to follow
  if (/(?:\+|&|\band|\bplus)\s*$/i.test(text))
    throw complaint('notation/unexpected', { found: 'the end', at: text.length, wanted: 'a clay or a mix' });
  return placed(text, () => {
    const strict = strictly(text, written);
    if (strict) return strict;
    const { tokens, text: said } = cutRecipe(text, small);
    checkNames(tokens, text, small, written);
    const { terms, basis } = termsOf(new Sayer(tokens, said, written).whole());
    return { terms, basis, notation: printNotation(terms) };
  });
}

/**
 * A place in the text as it was read is told as one in the text as it was typed; what may be typed instead is the
 * whole of it.
 */
function placed<T>(text: string, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof Complaint)) throw error;
    if (error.code === 'number/ambiguous')
      throw new Complaint(
        error.code,
        error.message,
        undefined,
        error.choices.map((choice) => text.replace(/\d+,\d{3}/, choice)),
      );
    const found = /found “(.*)” where (.*) should be/.exec(error.message);
    if (error.code !== 'notation/unexpected' || !found) throw error;
    const at = text.toLowerCase().indexOf((found[1] ?? '').toLowerCase());
    throw complaint('notation/unexpected', {
      found: found[1] ?? '',
      at: at < 0 ? text.length : at,
      wanted: found[2] ?? '',
    });
  }
}

/** Names as they are written on the shelf and the board. */
function asWritten(terms: readonly Term[], written: ReadonlyMap<string, string>): Term[] {
  return terms.map(({ parts, of }) => ({
    parts,
    of:
      'group' in of
        ? { group: asWritten(of.group, written) }
        : { ...of, name: written.get(of.name.toLowerCase()) ?? of.name },
  }));
}

/** Sledge's own notation with names that are known goes before every other reading. */
function strictly(text: string, written: ReadonlyMap<string, string>): SaidRecipe | null {
  const known = (terms: readonly Term[]): boolean =>
    terms.every(({ of }) => ('group' in of ? known(of.group) : written.has(of.name.toLowerCase())));
  try {
    const terms = parseNotation(text);
    if (!known(terms)) return null;
    const named = asWritten(terms, written);
    return { terms: named, basis: null, notation: printNotation(named) };
  } catch (error) {
    if (error instanceof Complaint && error.code !== 'number/ambiguous') return null;
    throw error;
  }
}
