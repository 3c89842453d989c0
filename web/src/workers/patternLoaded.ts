import type { Paint } from '#core/cane';
import {
  lookAt,
  patternContext,
  runPattern,
  type Look,
  type PatternContext,
  type PatternResult,
  type PatternStep,
  type View,
} from '#core/pattern';

/** A patterned sheet as it crosses to the worker: its steps, and whose hands make it. */
export interface PlainPattern {
  readonly steps: readonly PatternStep[];
  /** 0: hands of a machine; 1: honest ones */
  readonly wobble: number;
  readonly seed: number;
}

interface Loaded {
  readonly key: string;
  readonly context: PatternContext;
  readonly results: readonly PatternResult[];
}

/** Patterned sheets that are kept worked out: the one on the bench, its stages, and others beside it. */
const MOST_LOADED = 60;
const loaded = new Map<string, Loaded>();

/** Works a patterned sheet out; one that is known is not worked out anew. */
export function loadPattern(pattern: PlainPattern): Loaded {
  const key = JSON.stringify(pattern);
  const known = loaded.get(key);
  if (known) return known;
  const context = patternContext(pattern.wobble, pattern.seed);
  const now = { key, context, results: runPattern(pattern.steps, context) };
  loaded.set(key, now);
  for (const old of [...loaded.keys()].slice(0, Math.max(0, loaded.size - MOST_LOADED))) loaded.delete(old);
  return now;
}

/** A clay that nobody has given a colour. */
const GREY = Uint8Array.from([153, 153, 153]);

/** What is painted: a look at the body after a step, in those paints; null where it is not there. */
export function paintablePattern(
  pattern: PlainPattern,
  at: number,
  view: View,
  paints: Readonly<Record<string, Paint>>,
): { readonly state: Look; readonly list: readonly Paint[] } | null {
  const { results, context } = loadPattern(pattern);
  const body = results[at]?.body;
  if (!body) return null;
  return { state: lookAt(body, context, view), list: context.materials.map((key) => paints[key] ?? GREY) };
}
