/** A step as a document holds it, of whatever kind. */
export interface AnyStep {
  readonly id: string;
  readonly name?: string;
  readonly do: string;
}
/** A step of one kind: its id, perhaps a name, and what it does. */
export interface Doing<K extends string> extends AnyStep {
  readonly do: K;
}

/** A patterned sheet as it is kept: a readable document. */
export interface ProgramOf<S> {
  readonly version: typeof PATTERN_VERSION;
  readonly steps: readonly S[];
}
export const PATTERN_VERSION = 1;
export const MOST_STEPS = 60;
/** Sheets of one stack, logs of one rope, colours of one chopped log. */
export const MOST_OF = 24;
/** Layers after cutting and folding; thinner than this nobody sees them. */
export const MOST_LAYERS_ALL = 20_000;
/** Dents and cuts of one step. */
export const MOST_DENTS = 2000;
export const MOST_CUTS = 300;
/** Folds of a rope, or of a sheet, in one step. */
export const MOST_FOLDS = 12;
