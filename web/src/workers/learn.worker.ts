import { expose } from 'comlink';
import type { Clay } from '#core/clay';
import {
  doubtsOf,
  learn,
  nextChips,
  type Doubt,
  type Evidence,
  type Learned,
  type Lesson,
  type NextChip,
  type Residual,
} from '#core/mix';
import { keepComplaints } from './thrown.js';

keepComplaints();

export interface Taught {
  readonly learned: Learned;
  readonly residuals: readonly Residual[];
  readonly doubts: readonly Doubt[];
}

/** The last lesson, by the key of the chips it came from. */
let kept: { readonly key: string; readonly lesson: Lesson; readonly doubts: readonly Doubt[] } | null = null;

function lessonOf(key: string, clays: readonly Clay[], evidence: readonly Evidence[]): NonNullable<typeof kept> {
  if (kept?.key === key) return kept;
  const lesson = learn(clays, evidence);
  kept = { key, lesson, doubts: doubtsOf(evidence, lesson.residuals) };
  return kept;
}

const worker = {
  learn(key: string, clays: readonly Clay[], evidence: readonly Evidence[]): Taught {
    const {
      lesson: { learned, residuals },
      doubts,
    } = lessonOf(key, clays, evidence);
    return { learned, residuals, doubts };
  },
  /** The chips worth making next of the clays that are there. */
  next(
    key: string,
    clays: readonly Clay[],
    evidence: readonly Evidence[],
    usable: readonly string[],
    count: number,
  ): NextChip[] {
    return nextChips(lessonOf(key, clays, evidence).lesson, usable, count);
  },
};
export type LearnWorker = typeof worker;

expose(worker);
