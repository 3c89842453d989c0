import { DEGREES, LENGTH, LENGTH_EITHER_WAY, whole } from '#core/document';
import { measuredIn, once, type Body, type Field } from '#core/pattern/body';
import type { Doing } from '#core/pattern/document';
import type { Mm } from '#core/units';
import type { ChangeKind } from './kind.js';
import { positive, shown, wholeIn } from './measure.js';
import { complaint } from './sentences.js';

/** Shaved flat: the knife first goes in `depth` below the top, and takes so many shavings, one below the other. */
export interface Shave extends Doing<'shave'> {
  readonly depth: Mm;
  readonly thickness: Mm;
  readonly number: number;
}
/** Sliced across the layers: upright, in a direction, so far from the middle; one slice beside the other. */
export interface Slice extends Doing<'slice'> {
  readonly degrees: number;
  readonly off: Mm;
  readonly thickness: Mm;
  readonly number: number;
}
/** A rope cut across: so many slices one after the other, from a place along it. */
export interface Across extends Doing<'across'> {
  readonly from: Mm;
  readonly thickness: Mm;
  readonly number: number;
}

const MOST_TAKEN = 60;

export const shave: ChangeKind<Shave> = {
  fields: { depth: LENGTH_EITHER_WAY, thickness: LENGTH, number: whole(1, MOST_TAKEN) },
  to: ['block'],
  change: (body, { depth, thickness, number }) => {
    positive(thickness, 'The thickness of a shaving');
    wholeIn(number, 'The number of shavings', 1, MOST_TAKEN);
    const lowest = depth + number * thickness;
    if (depth < 0 || lowest > body.thick + 1e-9)
      throw complaint('pattern/below', { depth: shown(lowest), thick: shown(body.thick) });
    const { field, thick } = body;
    const top = thick - depth;
    // what is cut shows its upper side
    const piece = (k: number): Field => {
      const bottom = top - (k + 1) * thickness;
      return (x, y, z) => field(x, y, bottom + z);
    };
    const { shut: _, piece: __, ...whole } = body;
    return {
      ...whole,
      form: 'sheet',
      thick: thickness,
      field: piece(0),
      piece,
      count: number,
      volumes: once(() => measuredIn(body, field, { from: Math.max(0, thick - lowest), to: top })),
    };
  },
};

/** How far a straight line through the plan of a body reaches to each side of its foot, mm; null: it misses. */
function chord(body: Body, degrees: number, off: Mm): { readonly middle: Mm; readonly half: Mm } | null {
  const turn = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [a, b] = [body.width / 2, body.height / 2];
  if (body.round) return roundChord([a, b], [c, s], off);
  let [low, high] = [-Infinity, Infinity];
  for (const [along, across, half] of [
    [c, -s, a],
    [s, c, b],
  ] as const) {
    const foot = off * across;
    if (Math.abs(along) < 1e-9) {
      if (Math.abs(foot) > half) return null;
      continue;
    }
    const [one, two] = [(-half - foot) / along, (half - foot) / along];
    low = Math.max(low, Math.min(one, two));
    high = Math.min(high, Math.max(one, two));
  }
  return high - low > 1e-6 ? { middle: (low + high) / 2, half: (high - low) / 2 } : null;
}

function roundChord(
  [a, b]: readonly [Mm, Mm],
  [c, s]: readonly [number, number],
  off: Mm,
): { readonly middle: Mm; readonly half: Mm } | null {
  const p = (c / a) ** 2 + (s / b) ** 2;
  const q = off * c * s * (1 / (b * b) - 1 / (a * a));
  const r = off * off * ((s / a) ** 2 + (c / b) ** 2) - 1;
  const root = q * q - p * r;
  return root > 1e-12 ? { middle: -q / p, half: Math.sqrt(root) / p } : null;
}

/** The narrowest chord of some slices, so that all are whole: its middle and half its length. */
function narrowest(body: Body, { degrees, off, thickness, number }: Slice): { readonly middle: Mm; readonly half: Mm } {
  const ends = [off, off + number * thickness].map((at) => chord(body, degrees, at));
  if (ends.includes(null)) {
    if (chord(body, degrees, off) === null) throw complaint('pattern/beside');
    const wide = Math.abs(body.width * Math.sin((degrees * Math.PI) / 180));
    const high = Math.abs(body.height * Math.cos((degrees * Math.PI) / 180));
    throw complaint('pattern/slice', { thickness: shown(number * thickness), across: shown(wide + high) });
  }
  const [one, two] = ends as [{ middle: Mm; half: Mm }, { middle: Mm; half: Mm }];
  const low = Math.max(one.middle - one.half, two.middle - two.half);
  const high = Math.min(one.middle + one.half, two.middle + two.half);
  if (high - low < 1e-6) throw complaint('pattern/beside');
  return { middle: (low + high) / 2, half: (high - low) / 2 };
}

export const slice: ChangeKind<Slice> = {
  fields: { degrees: DEGREES, off: LENGTH_EITHER_WAY, thickness: LENGTH, number: whole(1, MOST_TAKEN) },
  to: ['block'],
  change: (body, step) => {
    const { degrees, off, thickness, number } = step;
    positive(thickness, 'The thickness of a slice');
    wholeIn(number, 'The number of slices', 1, MOST_TAKEN);
    const { middle, half } = narrowest(body, step);
    const turn = (degrees * Math.PI) / 180;
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    const { field, thick } = body;
    const at = (far: Mm): Field => {
      return (x, y, z) => {
        const [along, across] = [middle + x, far - z];
        return field(along * c - across * s, along * s + across * c, y + thick / 2);
      };
    };
    const piece = (k: number): Field => at(off + (k + 1) * thickness);
    const { shut: _, piece: __, ...whole } = body;
    const size = { round: false, width: 2 * half, height: thick };
    return {
      ...whole,
      ...size,
      form: 'sheet',
      thick: thickness,
      field: piece(0),
      piece,
      count: number,
      volumes: once(() =>
        measuredIn({ ...size, specks: body.specks }, at(off + number * thickness), { from: 0, to: number * thickness }),
      ),
    };
  },
};

export const across: ChangeKind<Across> = {
  fields: { from: LENGTH_EITHER_WAY, thickness: LENGTH, number: whole(1, MOST_TAKEN) },
  to: ['rope'],
  change: (body, { from, thickness, number }) => {
    positive(thickness, 'The thickness of a slice');
    wholeIn(number, 'The number of slices', 1, MOST_TAKEN);
    const ends = from + number * thickness;
    if (from < 0 || ends > body.thick + 1e-9)
      throw complaint('pattern/slice', { thickness: shown(ends), across: shown(body.thick) });
    const { field } = body;
    const piece = (k: number): Field => {
      const start = from + k * thickness;
      return (x, y, z) => field(x, y, start + z);
    };
    const { shut: _, piece: __, ...whole } = body;
    return {
      ...whole,
      form: 'sheet',
      thick: thickness,
      field: piece(0),
      piece,
      count: number,
      volumes: once(() => measuredIn(body, field, { from, to: ends })),
    };
  },
};
