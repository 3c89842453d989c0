/** What can be found wrong, by code: a sentence each that says what is wrong and what to do. */
export type Sentences = Readonly<Record<string, (details: never) => string>>;
type Details<S extends Sentences, C extends keyof S> = Parameters<S[C]>[0];
type Said<S extends Sentences, C extends keyof S> = Details<S, C> extends undefined ? [] : [Details<S, C>];

/**
 * A sentence for a person. `at` is a place (0-based) in typed text, where there is one; `choices` what could be
 * typed instead, where it has several meanings.
 */
export class Complaint extends Error {
  readonly at: number | undefined;
  /** for tests and for machines */
  readonly code: string;
  readonly choices: readonly string[];
  constructor(code: string, sentence: string, at?: number, choices: readonly string[] = []) {
    super(sentence);
    this.name = 'Complaint';
    this.code = code;
    this.choices = choices;
    this.at = at;
  }
}

/** What could be typed instead, among the details of a complaint. */
function choicesIn(details: unknown): readonly string[] {
  const { choices } = (details ?? {}) as { choices?: unknown };
  return Array.isArray(choices) ? choices.map(String) : [];
}

/**
 * Makes complaints of the sentences of a folder, and of those it rests on:
 * each folder has its own beside what it finds wrong. Callers show the
 * sentence beside the field.
 */
export function complaints<S extends Sentences>(sentences: S) {
  return function complaint<C extends keyof S & string>(code: C, ...[details]: Said<S, C>): Complaint {
    const said = sentences[code] as (d: unknown) => string;
    const { at } = (details ?? {}) as { at?: number };
    return new Complaint(code, said(details), at, choicesIn(details));
  };
}

/** What some work gives or, where it complains, what is made of the complaint. Any other error goes through. */
export function attempt<T, F>(work: () => T, otherwise: (wrong: Complaint) => F): T | F {
  try {
    return work();
  } catch (error) {
    if (error instanceof Complaint) return otherwise(error);
    throw error;
  }
}

/** The sentence of a complaint that was thrown. @throws anything else, as it was */
export function sentenceOf(thrown: unknown): string {
  if (thrown instanceof Complaint) return thrown.message;
  throw thrown;
}

/** What some work gives, or the sentence of what it complains about. */
export const orSentence = <T>(work: () => T): T | string => attempt(work, (wrong) => wrong.message);
