import { complaint, inBoth, showLength, type Mm } from '#core/units';
import { beyond, reachOf, STEPS } from './direction.js';
import { acrossOf } from './across.js';
import { overlapped, spoiltByReducing } from './ends.js';
import { areaOf, clipped, mirrored, offset, outlineOf, scaled, turned, type Outline, type Point } from './outline.js';
import { positive } from './begin.js';
import { pressOf, type Press } from './press.js';
import { shapeOutline } from './shapes.js';
import type { Shape, Then } from './program.js';
import { numberOf, sumOf, type CaneContext, type CaneState, type Sampler } from './state.js';
import { alike, partAmounts, withoutPlaces } from './unlike.js';
import { wobbled } from './wobble.js';

type Of<K extends Then['do']> = Extract<Then, { do: K }>;
type Change<K extends Then['do']> = (state: CaneState, step: Of<K>, context: CaneContext) => CaneState;

const PER = STEPS / 4;

/** A face carried back through a press. */
export function throughPress(inner: Sampler, { cx, cy, fx, fy }: Press): Sampler {
  return (x, y) => {
    const sum = Math.abs(x) + Math.abs(y);
    if (sum === 0) return inner(0, 0);
    const p = y / sum;
    const at = (x >= 0 ? (p >= 0 ? p : 4 + p) : 2 - p) * PER;
    const k = at | 0;
    const t = at - k;
    const [x0, y0] = [cx[k] as number, cy[k] as number];
    return inner(
      sum * (x0 + ((cx[k + 1] as number) - x0) * t) * fx,
      sum * (y0 + ((cy[k + 1] as number) - y0) * t) * fy,
    );
  };
}

/** A piece pressed to an outline of the same area. */
export function pressedTo(state: CaneState, shape: Outline, turn: number): CaneState {
  const map = pressOf(state.outline, shape, turn);
  return { ...state, outline: map.outline, sample: throughPress(state.sample, map) };
}

export const press: Change<'press'> = (state, { to, turn }) => pressedTo(state, shapeOutline(to), turn);
export const shapeOf = (to: Shape): Outline => shapeOutline(to);

const stretched = (state: CaneState, fx: number, fy: number): CaneState => {
  const inner = state.sample;
  const [ix, iy] = [1 / fx, 1 / fy];
  const k = fx * fy;
  return {
    ...state,
    outline: scaled(state.outline, fx, fy),
    sample: (x, y) => inner(x * ix, y * iy),
    amounts: k === 1 ? state.amounts : new Map([...state.amounts].map(([index, area]) => [index, area * k])),
  };
};

export const squeeze: Change<'squeeze'> = (state, { factor }) =>
  stretched(state, positive(factor, 'The squeeze'), 1 / factor);

export const turn: Change<'turn'> = (state, { degrees }) => {
  const inner = state.sample;
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return { ...state, outline: turned(state.outline, degrees), sample: (x, y) => inner(x * c + y * s, y * c - x * s) };
};

export const mirror: Change<'mirror'> = (state) => {
  const inner = state.sample;
  return { ...state, outline: mirrored(state.outline), sample: (x, y) => inner(-x, y) };
};

/** Volume is kept: as much longer as its face gets smaller. @throws Complaint `cane/larger`, `cane/shorter`, `cane/ends` */
export const reduce: Change<'reduce'> = (state, step, context) => {
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
};

const shown = (mm: Mm): string => inBoth((system) => showLength(mm, system));
const HAIR = 1e-9;

function factorAcross({ outline }: CaneState, value: Mm): number {
  const now = acrossOf(outline);
  if (positive(value, 'The diameter') > now * (1 + HAIR))
    throw complaint('cane/larger', { now: shown(now), wanted: shown(value) });
  return value / now;
}

/** How long a cane is without its spoilt ends, when it is reduced to a length with them. */
function usableAt(state: CaneState, whole: Mm, { ends }: CaneContext): Mm {
  const before = areaOf(state.outline);
  const smaller = scaled(state.outline, Math.sqrt(state.length / whole));
  const spoilt = overlapped([...state.spoilt.filter((s) => s.by === 'reducing'), spoiltByReducing(smaller, before)]);
  return whole - (ends.share * spoilt) / areaOf(smaller);
}

/** The length with its ends that a reduction to a length comes to. */
function lengthWithEnds(state: CaneState, { value, withEnds }: Of<'reduce'>, context: CaneContext): Mm {
  const asked = positive(value, 'The length');
  const lengthAt = (whole: Mm): Mm => (withEnds ? whole : usableAt(state, whole, context));
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
const [MOST_DOUBLINGS, HALVINGS] = [12, 60];

/** @throws Complaint `cane/trim` */
export const trim: Change<'trim'> = (state, { each }) => {
  if (!(each >= 0) || 2 * each >= state.length)
    throw complaint('cane/trim', { now: inBoth((system) => showLength(state.length, system)) });
  return { ...state, length: state.length - 2 * each };
};

export const across: Change<'across'> = (state, { pieces }) => {
  if (!Number.isInteger(pieces) || pieces < 2 || pieces > 400)
    throw complaint('cane/count', { what: 'The number of pieces', low: 2, high: 400 });
  return { ...state, length: state.length / pieces, count: state.count * pieces };
};

/** Slices are pieces too: as many as the length gives. @throws Complaint `cane/positive`, `cane/trim` */
export const slice: Change<'slice'> = (state, { thickness }) => {
  const slices = Math.floor(state.length / positive(thickness, 'A slice') + 1e-9);
  if (slices < 1) throw complaint('cane/trim', { now: inBoth((system) => showLength(state.length, system)) });
  return { ...state, length: thickness, count: state.count * slices };
};

/** Covered with a sheet: every edge moves outwards by its thickness. */
export const wrap: Change<'wrap'> = (state, { of, thickness }, context) => {
  positive(thickness, 'The wrap');
  const index = numberOf(context, of);
  const reach = reachOf(state.outline);
  const inner = state.sample;
  const {
    outline,
    moved: [mx, my],
  } = outlineOf(offset(state.outline, thickness).points, state.outline.round);
  const area = areaOf(outline) - areaOf(state.outline);
  const sample: Sampler = (x, y) => (beyond(reach, x + mx, y + my) <= 1 ? inner(x + mx, y + my) : index);
  return { ...state, outline, sample, amounts: sumOf([state.amounts, 1], [new Map([[index, area]]), 1]) };
};

/** One of the parts of a lengthwise cut, as it is cut; `amounts` are still those of the whole. */
function partOf(state: CaneState, { parts, degrees }: Of<'split'>, which: number): CaneState {
  const cutAt = (n: number): number => ((degrees + (360 / parts) * n) * Math.PI) / 180;
  const [from, to] = [cutAt(which), cutAt(which + 1)];
  // left of the first cut, right of the second
  let points: readonly Point[] = clipped(state.outline.points, Math.sin(from), -Math.cos(from), 0);
  if (parts > 2) points = clipped(points, -Math.sin(to), Math.cos(to), 0);
  const {
    outline,
    moved: [mx, my],
  } = outlineOf(points);
  const inner = state.sample;
  return { ...state, outline, sample: (x, y) => inner(x + mx, y + my) };
}

/**
 * Cut lengthwise through the middle in equal parts. Where they are alike all
 * of them go on, each the mean of them, so that no clay is lost between the
 * cuts; where they are not, the one that was chosen goes on.
 * @throws Complaint `cane/count`, `cane/unlike`
 */
export const split: Change<'split'> = (state, step) => {
  const { parts, keep } = step;
  if (!Number.isInteger(parts) || parts < 2 || parts > 24)
    throw complaint('cane/count', { what: 'The number of parts', low: 2, high: 24 });
  const amounts = partAmounts(state, parts, step.degrees);
  if (alike(amounts)) {
    const first = partOf(state, step, 0);
    const mean = Math.sqrt(areaOf(state.outline) / parts / areaOf(first.outline));
    const each = new Map([...state.amounts].map(([index, area]) => [index, area / parts]));
    return { ...stretched(first, mean, mean), amounts: each, count: state.count * parts };
  }
  const kept = amounts[(keep ?? 0) - 1];
  if (keep === undefined || !kept) throw complaint('cane/unlike', { parts });
  const part = partOf(state, step, keep - 1);
  return { ...part, amounts: withoutPlaces(kept, areaOf(part.outline)) };
};

/** Hands take a cane down by a quarter of its diameter at a time, then let it rest: an assumption. */
const AT_A_TIME = 0.75;

/** A reduction in stages: how thick and how long after each. */
export function reductionStages(from: Mm, to: Mm, length: Mm): { readonly diameter: Mm; readonly length: Mm }[] {
  const count = Math.max(1, Math.ceil(Math.log(to / from) / Math.log(AT_A_TIME) - 1e-9));
  return Array.from({ length: count }, (_, i) => {
    const diameter = from * (to / from) ** ((i + 1) / count);
    return { diameter, length: length * (from / diameter) ** 2 };
  });
}
