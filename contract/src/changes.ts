/** GET /api/changes, and the answer of POST /api/undo and /api/redo. */
export interface ChangesAnswer {
  /** what the next undo takes back, in words; null where there is nothing */
  readonly undo: string | null;
  readonly redo: string | null;
  /** what this call did */
  readonly did: string | null;
}

/** An answer that is an error: RFC 9457, application/problem+json. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  /** the sentence for the person */
  readonly detail: string;
  /** sentences by field, as in `ingredients.0.parts` */
  readonly fields?: readonly { readonly field: string; readonly sentence: string }[];
  /** place in typed text, 0-based */
  readonly at?: number;
  /** the thing as it is now, where another window changed it first */
  readonly current?: unknown;
}

/** Header with the id of a change. Sent twice, it is carried out once. */
export const CHANGE_HEADER = 'x-sledge-change';
export const DEFAULT_PORT = 5417;
