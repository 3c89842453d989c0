import { attempt, type Complaint } from '#core/units';

/** What is in a field: what was typed and not kept yet, and what is wrong with it. */
export interface Typed {
  readonly text: string | null;
  readonly wrong: Complaint | null;
}

/** A field that shows its value. */
export const UNTOUCHED: Typed = { text: null, wrong: null };

/** What comes of leaving a field: as it is then, and the value that was read, where one was. */
export interface Left<T> {
  readonly typed: Typed;
  readonly value?: { readonly of: T };
}

/** Reads a text; what cannot be read stays, with its sentence. @param read may throw a Complaint */
export function take<T>(text: string, read: (text: string) => T): Left<T> {
  return attempt(
    (): Left<T> => ({ typed: UNTOUCHED, value: { of: read(text) } }),
    (wrong): Left<T> => ({ typed: { text, wrong } }),
  );
}

/** Leaves a field: nothing happens where nothing else was typed than what it shows. @param shown its value as text */
export function leave<T>(typed: Typed, shown: string, read: (text: string) => T): Left<T> {
  if (typed.text === null || typed.text === shown) return { typed: { ...typed, text: null } };
  return take(typed.text, read);
}
