import { wordlist } from '@scure/bip39/wordlists/english.js';
import { randomInt, timingSafeEqual } from 'node:crypto';
import { Complaint } from '#core/units';

/** Words of a code: 2,048 to choose from each time, 66 bits together. */
export const HOW_MANY = 6;
/** Letters by which each word of the list differs from all others. */
const TELLING = 4;

const BY_START = new Map(wordlist.map((word) => [word.slice(0, TELLING), word]));

export const sixWords = (): string[] =>
  Array.from({ length: HOW_MANY }, () => wordlist[randomInt(wordlist.length)] ?? '');

/**
 * The words that somebody typed: capitals and what stands between them do not matter, the first four letters are
 * enough.
 * @throws Complaint
 */
export function readWords(text: string): string[] {
  const typed = text.toLowerCase().match(/\p{L}+/gu) ?? [];
  const words = typed.map((one) => {
    const word = BY_START.get(one.slice(0, TELLING));
    if (word === undefined || !word.startsWith(one))
      throw new Complaint('words', `“${one.slice(0, 20)}” is none of the words. Look at it again.`);
    return word;
  });
  if (words.length !== HOW_MANY) throw new Complaint('words', `A code has six words; here are ${words.length}.`);
  return words;
}

/** Compared in a time that tells nothing. */
export function sameWords(a: readonly string[], b: readonly string[]): boolean {
  const [first, second] = [Buffer.from(a.join(' ')), Buffer.from(b.join(' '))];
  return first.length === second.length && timingSafeEqual(first, second);
}
