import { LENGTH } from '#core/document';
import { at as found, discOfSquare, planArea, type Body, type Field } from '#core/pattern/body';
import type { Doing } from '#core/pattern/document';
import type { Mm } from '#core/units';
import type { ChangeKind } from './kind.js';
import { positive, shown } from './measure.js';
import { complaint } from './sentences.js';

/** Coiled to a disc, flattened to so thick. */
export interface Coil extends Doing<'coil'> {
  readonly to: Mm;
}
/** Flattened along its whole length to a strip so thick. */
export interface Flatten extends Doing<'flatten'> {
  readonly to: Mm;
}

const TURN = 2 * Math.PI;

/**
 * A spiral from the middle outwards, in turns: at each its outer edge is a band further out, until the disc is full;
 * over the last turn the rope is drawn out to a tip, as hands do, so that the disc is round.
 */
interface Spiral {
  readonly band: Mm;
  readonly radius: Mm;
  /** turns at which the outer edge of the disc is reached */
  readonly full: number;
}

/** Fewer turns than this are no coil. */
const LEAST_TURNS = 0.5;

const spiralOf = (length: Mm, band: Mm): Spiral => {
  const radius = Math.sqrt((band * length) / Math.PI);
  return { band, radius, full: radius / band - 1 };
};

/** mm along the rope at so many turns: what was swept until then, by how wide a band is. Below 0 it is a wedge. */
function alongAt(turns: number, { band, radius, full }: Spiral): Mm {
  if (turns < 0) return (Math.PI * band * (turns + 1) ** 3) / 3;
  const before = Math.min(turns, full);
  const along = Math.PI * band * (before * (before + 1) + 1 / 3);
  if (turns <= full) return along;
  const rest = radius * radius * (turns - full) - (band * band * (turns ** 3 - full ** 3)) / 3;
  return along + (Math.PI * rest) / band;
}

/** What lies in a coil: across a band what lies inside counts by area, so that every step keeps volume. */
function coiled({ field, thick: length, width }: Body, to: Mm, spiral: Spiral): Field {
  const { band, radius } = spiral;
  const half = width / 2;
  return (x, y, z) => {
    const share = Math.atan2(y, x) / TURN + 0.5;
    const r = Math.min(radius, Math.sqrt(x * x + y * y));
    const turns = share + Math.ceil(r / band - 1 - share);
    const inner = Math.max(0, turns) * band;
    const outer = Math.min(radius, (turns + 1) * band);
    const across = (r * r - inner * inner) / Math.max(1e-12, outer * outer - inner * inner);
    discOfSquare(Math.min(1, Math.max(-1, 2 * across - 1)), (2 * z) / to - 1);
    return field(found.x * half, found.y * half, Math.min(length, alongAt(turns, spiral)));
  };
}

export const coil: ChangeKind<Coil> = {
  fields: { to: LENGTH },
  to: ['rope'],
  change: (body, { to }) => {
    positive(to, 'The thickness');
    const area = planArea(body);
    const band = area / to;
    const spiral = spiralOf(body.thick, band);
    if (!(spiral.full >= LEAST_TURNS))
      throw complaint('pattern/coil', { length: shown(body.thick), across: shown(band) });
    return {
      ...body,
      form: 'sheet',
      round: true,
      width: 2 * spiral.radius,
      height: 2 * spiral.radius,
      thick: to,
      field: coiled(body, to, spiral),
    };
  },
};

export const flatten: ChangeKind<Flatten> = {
  fields: { to: LENGTH },
  to: ['rope'],
  change: (body, { to }) => {
    positive(to, 'The thickness');
    if (to > body.width * (1 + 1e-9)) throw complaint('pattern/flat', { now: shown(body.width), wanted: shown(to) });
    const { field, thick: length } = body;
    const half = body.width / 2;
    const wide = planArea(body) / to;
    return {
      ...body,
      form: 'sheet',
      round: false,
      width: length,
      height: wide,
      thick: to,
      field: (x, y, z) => {
        discOfSquare((2 * y) / wide, (2 * z) / to - 1);
        return field(found.x * half, found.y * half, x + length / 2);
      },
    };
  },
};
