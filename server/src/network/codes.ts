import type { Rights } from '#contract';
import { sameWords, sixWords } from './words.js';

const [SECOND, MINUTE] = [1000, 60_000];
/** ms for which a code is good. */
const GOOD_FOR = 5 * MINUTE;
/** Wrong codes of one address that are free; from then on each doubles the wait, up to the longest. */
const FREE = 5;
const LONGEST_WAIT = 60 * SECOND;
/** ms after which wrong codes of an address are forgotten, and addresses that are remembered at the most. */
const [FORGOTTEN, MOST_ADDRESSES] = [15 * MINUTE, 1000];

/** A code that lets one device in. */
export interface Code {
  readonly words: readonly string[];
  readonly rights: Rights;
  /** ms since 1970 */
  readonly until: number;
}

/** What became of a try: `wait` has the seconds after which another is looked at. */
export type Tried = { readonly in: Rights } | { readonly in: null; readonly wait: number };

interface Wrong {
  readonly count: number;
  readonly last: number;
  /** ms since 1970 before which nothing is looked at */
  readonly waitsUntil: number;
}

/** The code of now, and who typed wrong ones. Times are ms since 1970. */
export class Codes {
  private code: Code | null = null;
  private readonly byAddress = new Map<string, Wrong>();
  /** wrong ones in all */
  wrong = 0;

  make(rights: Rights, now: number): Code {
    this.code = { words: sixWords(), rights, until: now + GOOD_FOR };
    return this.code;
  }

  letGo(): void {
    this.code = null;
  }

  /** Null where there is none that is good. */
  now(now: number): Code | null {
    if (this.code && this.code.until <= now) this.code = null;
    return this.code;
  }

  /** Seconds that an address has to wait before its next try is looked at. */
  waits(address: string, now: number): number {
    const wrong = this.byAddress.get(address);
    return wrong ? Math.max(0, Math.ceil((wrong.waitsUntil - now) / SECOND)) : 0;
  }

  /** A try. While its address has to wait, it is not looked at, and does not make the wait longer. */
  try(words: readonly string[], address: string, now: number): Tried {
    const wait = this.waits(address, now);
    if (wait > 0) return { in: null, wait };
    const code = this.now(now);
    if (code && sameWords(code.words, words)) {
      this.code = null;
      this.byAddress.delete(address);
      return { in: code.rights };
    }
    this.noteWrong(address, now);
    return { in: null, wait: this.waits(address, now) };
  }

  private noteWrong(address: string, now: number): void {
    const before = this.byAddress.get(address);
    const count = before && now - before.last < FORGOTTEN ? before.count + 1 : 1;
    const wait = count < FREE ? 0 : Math.min(LONGEST_WAIT, SECOND * 2 ** (count - FREE));
    this.wrong += 1;
    this.byAddress.delete(address);
    this.byAddress.set(address, { count, last: now, waitsUntil: now + wait });
    if (this.byAddress.size > MOST_ADDRESSES) this.forgetOldest();
  }

  private forgetOldest(): void {
    const [oldest] = this.byAddress.keys();
    if (oldest !== undefined) this.byAddress.delete(oldest);
  }
}
