/** A change by its id, in words, with the time it was made. */
export interface ChangeName {
  readonly id: string;
  readonly summary: string;
  readonly at: string;
}

/** GET /api/changes, and the answer of POST /api/undo and /api/redo. */
export interface ChangesAnswer {
  /** what the next undo takes back; null where there is nothing */
  readonly undo: ChangeName | null;
  readonly redo: ChangeName | null;
  /** what this call did; null where there was nothing to do, or where it was not the change that was expected */
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
  /** what could be typed instead, where it has several meanings */
  readonly choices?: readonly string[];
  /** the thing as it is now, where another window changed it first */
  readonly current?: unknown;
  /** under which a failure inside stands in the log */
  readonly fault?: string;
}

/** Header with the id of a change. Sent twice, it is carried out once. */
export const CHANGE_HEADER = 'x-sledge-change';
export const DEFAULT_PORT = 5417;

/** GET and POST /api/garden: a kitchen garden to look round in, on data that is thrown away. */
export interface GardenAnswer {
  /** the address to go back to, where this is such a garden; null: it is one's own Sledge */
  readonly back: string | null;
  /** where the garden is, once it was asked for */
  readonly address: string | null;
  /** the copy that is looked into there; null: it is the kitchen garden */
  readonly copy: string | null;
}
