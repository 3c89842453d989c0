import { toughnessOf } from '#core/clay';
import type { Book, Flat } from '#core/mix';
import type { Mm } from '#core/units';
import type { Known, MaterialBook } from './lookUp.js';

/** How much of something is of lines that are brittle after baking, by mass. */
export interface Brittle {
  readonly share: number;
  /** nobody has said so of one of its lines at least */
  readonly assumed: boolean;
}

/** The brittle share of a material that was looked up. */
export function brittleOf({ shares, lines }: Known, book: MaterialBook): Brittle {
  const isBrittle = (clayId: string): boolean => {
    const line = lines.find((l) => l.id === book.clay(clayId)?.lineId);
    return line !== undefined && toughnessOf(line).toughness === 'brittle';
  };
  const share = shares.reduce((sum, { clayId, mass }) => sum + (isBrittle(clayId) ? mass : 0), 0);
  return { share, assumed: lines.some((line) => toughnessOf(line).assumed) };
}

/** The brittle share of a mix, of its clays by mass. */
export function brittleOfMix({ shares }: Flat, book: Book): Brittle {
  const lines = shares.map(({ clay, mass }) => ({ line: book.line(clay.lineId), mass: mass.valueOf() }));
  const known = lines.flatMap(({ line, mass }) => (line ? [{ ...toughnessOf(line), mass }] : []));
  return {
    share: known.reduce((sum, k) => sum + (k.toughness === 'brittle' ? k.mass : 0), 0),
    assumed: known.some((k) => k.assumed),
  };
}

/** A layer of a piece: how thick, and how much of it is brittle. */
export interface BrittleLayer extends Brittle {
  readonly mm: Mm;
}

/** Thinner than this a piece of brittle clay snaps in wear, and so much of it is safe in a thin one: assumptions. */
export const [SNAPS_BELOW, SAFE_SHARE]: readonly [Mm, number] = [2.5, 0.5];

/** mm of a backing that nobody would roll. */
const WORTH: Mm = 0.15;

/** Whether a piece will hold in wear, and what would help. */
export interface Strength extends Brittle {
  readonly mm: Mm;
  readonly snaps: boolean;
  /** mm of a flexible backing that would make it hold */
  readonly backing: Mm;
  /** share of a flexible line, stirred into what is brittle, that would */
  readonly flexible: number;
}

/**
 * A piece of layers in wear: a thin one snaps where more than half of it is brittle. What helps is the flexible clay
 * that brings the share down to that: backing b with share · mm / (mm + b) = safe, or thickness enough.
 */
export function strengthOf(layers: readonly BrittleLayer[]): Strength {
  const mm = layers.reduce((sum, l) => sum + l.mm, 0);
  const share = mm > 0 ? layers.reduce((sum, l) => sum + l.mm * l.share, 0) / mm : 0;
  const enough = Math.min(SNAPS_BELOW - mm, (share * mm) / SAFE_SHARE - mm);
  const snaps = mm > 0 && enough > WORTH;
  return {
    ...{ mm, share, snaps, assumed: layers.some((l) => l.assumed) },
    backing: snaps ? enough : 0,
    flexible: snaps ? 1 - SAFE_SHARE / share : 0,
  };
}
