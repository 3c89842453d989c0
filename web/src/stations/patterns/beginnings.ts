import { PATTERN_VERSION, type PatternStep } from '#core/pattern';
import type { PatternAnswer, PatternDto } from '#contract';
import { freeName } from '../../parts/names.js';

/** A patterned sheet as it is sent. */
export const sentPattern = (pattern: PatternAnswer): PatternDto => {
  const { id, version, name, note, retired, program, wanted, cuts } = pattern;
  return { id, version, name, note, retired, program, wanted: wanted ?? null, cuts: cuts ?? null };
};

/** A new one under a name that is free. */
export const newPattern = (name: string, steps: readonly PatternStep[], taken: ReadonlySet<string>): PatternDto => ({
  id: crypto.randomUUID(),
  version: 0,
  name: freeName(name, taken),
  note: '',
  retired: false,
  program: { version: PATTERN_VERSION, steps },
  wanted: null,
  cuts: null,
});
