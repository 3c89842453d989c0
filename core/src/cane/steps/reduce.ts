import { type Mm } from '#core/units';
import { LENGTH, among, yesOrNo, type Doing } from '#core/cane/document';
import { acrossOf, areaOf, scaled } from '#core/cane/outlines';
import { overlapped, spoiltByReducing } from './ends.js';
import type { ChangeKind, Faces } from './kind.js';
import { positive, shown, tidy } from './measure.js';
import { stretched } from './pressing.js';
import type { CaneContext, CaneState } from './state.js';
import { wobbled } from './wobble.js';
import { complaint } from './sentences.js';

/** To so much across, as `acrossOf` measures it, or to a length: without its spoilt ends, or with them. */
export interface Reduce extends Doing<'reduce'> {
  readonly to: 'diameter' | 'length';
  readonly value: Mm;
  readonly withEnds?: boolean;
}

const HAIR = 1e-9;
/** A cane is looked for that is up to so many doublings longer, and then by so many halvings. */
const [MOST_DOUBLINGS, HALVINGS] = [12, 60];

function factorAcross({ outline }: CaneState, value: Mm): number {
  const now = acrossOf(outline);
  if (positive(value, 'The diameter') > now * (1 + HAIR))
    throw complaint('cane/larger', { now: shown(now), wanted: shown(value) });
  return value / now;
}

/** How long a cane is without its spoilt ends, when it is reduced to a length with them. */
function usableAt(state: CaneState, long: Mm, { ends }: CaneContext): Mm {
  const before = areaOf(state.outline);
  const smaller = scaled(state.outline, Math.sqrt(state.length / long));
  const earlier = state.spoilt.filter((s) => s.by === 'reducing');
  const spoilt = overlapped([...earlier, spoiltByReducing(smaller, before)]);
  return long - (ends.share * spoilt) / areaOf(smaller);
}

/** The length with its ends that a reduction to a length comes to. */
function lengthWithEnds(state: CaneState, { value, withEnds }: Reduce, context: CaneContext): Mm {
  const asked = positive(value, 'The length');
  const lengthAt = (long: Mm): Mm => (withEnds ? long : usableAt(state, long, context));
  const now = lengthAt(state.length);
  if (asked < now * (1 - HAIR)) throw complaint('cane/shorter', { now: shown(now), wanted: shown(asked) });
  let [low, high] = [state.length, Math.max(state.length, asked)];
  for (let tries = 0; lengthAt(high) < asked; tries++) {
    if (tries > MOST_DOUBLINGS) throw complaint('cane/ends');
    high *= 2;
  }
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (lengthAt(middle) < asked) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** At constant volume a piece is as much longer as its face gets smaller. */
export const longerBy = (_: unknown, length: Mm, { before, after }: Faces): Mm => (length * before) / after;

/**
 * Volume is kept: as much longer as its face gets smaller.
 * @throws Complaint `cane/larger`, `cane/shorter`, `cane/ends`
 */
export const reduce: ChangeKind<Reduce> = {
  fields: { to: among('diameter', 'length'), value: LENGTH, 'withEnds?': yesOrNo },
  scaled: (step, factor) => (step.to === 'diameter' ? { ...step, value: tidy(step.value * factor) } : step),
  change: (state, step, _, context) => {
    const factor =
      step.to === 'diameter'
        ? factorAcross(state, step.value)
        : Math.sqrt(state.length / lengthWithEnds(state, step, context));
    const smaller = stretched(state, factor, factor);
    const reductions = state.reductions + 1;
    return {
      ...smaller,
      reductions,
      length: state.length / (factor * factor),
      sample: wobbled(smaller.sample, smaller.outline, reductions, context),
    };
  },
  spoils: true,
  // what a reduction spoils covers what presses and joins did before it
  spoilt: (_, before, after) => [
    ...before.spoilt.filter((s) => s.by === 'reducing'),
    spoiltByReducing(after.outline, areaOf(before.outline)),
  ],
  needs: (_, { count, length }, { before, after }) => ({ count, length: (length * after) / before }),
  along: longerBy,
};
