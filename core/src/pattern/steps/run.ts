import { Complaint } from '#core/units';
import { specked, type Body, type Field, type Form } from '#core/pattern/body';
import { MOST_STEPS } from '#core/pattern/document';
import type { CutCanes, PatternContext } from './kind.js';
import { beginOf, changeOf, isBegin, type PatternStep } from './kinds.js';
import { complaint } from './sentences.js';

/** A step and the body after it; or why it cannot be done, and then nothing after it can. */
export interface PatternResult {
  readonly step: PatternStep;
  readonly body: Body | null;
  readonly wrong: Complaint | null;
}

export const patternContext = (wobble = 0, seed = 1, canes: CutCanes = {}): PatternContext => ({
  ...{ materials: [], wobble, seed, canes },
  faces: new Map(),
});

export const FORM_WORDS: Readonly<Record<Form, string>> = {
  block: 'a block of layers',
  sheet: 'a sheet',
  rope: 'a rope',
};
const wordsOf = (forms: readonly Form[]): string => forms.map((f) => FORM_WORDS[f]).join(' or ');

/** @throws Complaint of the step */
function bodyAfter(step: PatternStep, at: number, before: Body | null, context: PatternContext): Body {
  if (at >= MOST_STEPS) throw complaint('pattern/long', { most: MOST_STEPS });
  if (isBegin(step)) {
    if (at > 0) throw complaint('pattern/begin again', { step: at + 1 });
    return beginOf(step).begin(step, context);
  }
  if (!before) throw complaint('pattern/begin');
  const kind = changeOf(step);
  if (!kind.to.includes(before.form)) {
    const [wanted, is] = [wordsOf(kind.to), FORM_WORDS[before.form]];
    throw complaint('pattern/form', { word: 'This', wanted, is });
  }
  return kind.change(before, step, context, at);
}

/**
 * Works a patterned sheet out, step by step. A step that cannot be done carries its complaint, and those after it have
 * no body.
 */
export function runPattern(steps: readonly PatternStep[], context: PatternContext): PatternResult[] {
  let body: Body | null = null;
  let stopped = false;
  return steps.map((step, i): PatternResult => {
    if (stopped) return { step, body: null, wrong: null };
    try {
      body = bodyAfter(step, i, body, context);
      return { step, body, wrong: null };
    } catch (error) {
      if (!(error instanceof Complaint)) throw error;
      stopped = true;
      return { step, body: null, wrong: error };
    }
  });
}

/** The last body of a program. @throws Complaint of the first step that cannot be done */
export function patternBody(steps: readonly PatternStep[], context: PatternContext): Body {
  const results = runPattern(steps, context);
  const wrong = results.find((r) => r.wrong)?.wrong;
  if (wrong) throw wrong;
  const body = results.at(-1)?.body;
  if (!body) throw complaint('pattern/begin');
  return body;
}

/** What is seen in a body, specks too. @param piece which of its pieces */
export const seenIn = (body: Body, { seed }: PatternContext, piece = 0): Field =>
  specked(body, body.piece?.(piece) ?? body.field, seed + piece);
