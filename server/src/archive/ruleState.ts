import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { CheckedCopy } from '#contract';
import { writeWhole } from '../db/wholeFile.js';

/** What is remembered of the copies that are kept by rule. It lies beside the data, and not in it. */
export interface RuleState {
  /** where they lie; null: in the folder of copies */
  readonly folder: string | null;
  readonly last: (Pick<CheckedCopy, 'name' | 'holds'> & { readonly at: string }) | null;
  /** why the last try failed; null: it did not */
  readonly failed: { readonly at: string; readonly why: string } | null;
}

const NOTHING: RuleState = { folder: null, last: null, failed: null };
const fileFor = (data: string): string => join(dirname(data), 'copies.json');

/** @param data the file with the data */
export function readRule(data: string): RuleState {
  const file = fileFor(data);
  if (!existsSync(file)) return NOTHING;
  try {
    return { ...NOTHING, ...(JSON.parse(readFileSync(file, 'utf8')) as Partial<RuleState>) };
  } catch {
    // half written, or somebody's hand: what is remembered is only where, and when
    return NOTHING;
  }
}

export function writeRule(data: string, state: RuleState): void {
  writeWhole(fileFor(data), JSON.stringify(state));
}
