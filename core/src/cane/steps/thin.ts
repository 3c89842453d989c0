import { type Mm } from '#core/units';
import { LENGTH, list, number, type Doing } from '#core/cane/document';
import { straight } from './joins.js';
import type { ChangeKind } from './kind.js';
import { shown, tidy } from './measure.js';
import { handled, stretched } from './pressing.js';
import { longerBy } from './reduce.js';
import type { CaneState, Unspoilt } from './state.js';
import { complaint } from './sentences.js';

/**
 * A stack of sheets rolled through the machine, one setting after the other,
 * down to the last; fed along the cane. `wider`: so many times as wide after
 * it as before, as it was measured; left out: no wider, all of it goes into
 * the length.
 */
export interface Thin extends Doing<'thin'> {
  readonly through: readonly Mm[];
  readonly wider?: number;
}

/** Settings one after the other at the most. */
const MOST_SETTINGS = 12;
const MOST_WIDER = 4;
const HAIR = 1e-9;

/** @throws Complaint `cane/thicker` where a setting is no thinner than the one before it */
function checkThinner(height: Mm, through: readonly Mm[]): void {
  let now = height;
  for (const mm of through) {
    if (!(mm < now * (1 + HAIR))) throw complaint('cane/thicker', { now: shown(now), wanted: shown(mm) });
    now = mm;
  }
}

/** Volume is kept: what it loses in height it gains in length, but for what it grew in width. @throws Complaint */
function rolled(state: CaneState, { through, wider = 1 }: Thin): Unspoilt {
  const { height } = straight(state);
  checkThinner(height, through);
  const thinner = (through.at(-1) ?? height) / height;
  const longer = 1 / (thinner * wider);
  if (longer < 1 - HAIR) throw complaint('cane/wider', { most: (1 / thinner).toFixed(2) });
  return { ...stretched(state, wider, thinner), length: state.length * longer };
}

export const thin: ChangeKind<Thin> = {
  fields: { through: list(LENGTH, 1, MOST_SETTINGS), 'wider?': number(1, MOST_WIDER) },
  scaled: (step, factor) => ({ ...step, through: step.through.map((mm) => tidy(mm * factor)) }),
  change: rolled,
  spoils: true,
  spoilt: (_, before, after) => handled(before, after),
  needs: (_, { count, length }, { before, after }) => ({ count, length: (length * after) / before }),
  along: longerBy,
};
