import { circle, rectangle, scaled, type Outline } from '#core/cane';
import type { Mm } from '#core/units';
import { topIn, type Body, type Field } from '#core/pattern/body';
import { seenIn, type PatternContext } from '#core/pattern/steps';
import type { Look } from './look.js';
import { shimmering, type Sheen, type Towards } from './sheen.js';

/** How a body is looked at. */
export type View =
  /** its face: the top, of a piece; of a rope across, in its middle */
  | { readonly of: 'face'; readonly piece?: number }
  /** a level cut so far below the top */
  | { readonly of: 'level'; readonly depth: Mm }
  /** an upright cut in a direction, so far from the middle; of a rope along it */
  | { readonly of: 'side'; readonly degrees: number; readonly off: Mm };

/** The top itself belongs to nobody. */
const HAIR = 1e-6;

const planOf = ({ round, width, height }: Body): Outline =>
  round ? scaled(circle(1), width, height) : rectangle(width, height);

/** A body, and what it is looked at with. */
interface Looked {
  readonly body: Body;
  readonly context: PatternContext;
  readonly sheen: Sheen | null;
}

/** What is seen in a body from a side. */
function fieldOf({ body, context, sheen }: Looked, towards: Towards, piece = 0): Field {
  const field = seenIn(body, context, piece);
  if (!sheen) return field;
  const { heights } = sheen;
  return shimmering(field, heights.piece?.(piece) ?? heights.field, sheen.deep, towards);
}

const FROM_ABOVE: Towards = [0, 0, 1];

function levelAt(looked: Looked, z: Mm): Look {
  const field = fieldOf(looked, FROM_ABOVE);
  return { outline: planOf(looked.body), sample: (x, y) => field(x, y, z) };
}

/** The top, as it is seen from above: in a hollow of it, the clay that lies highest. */
function topOf(looked: Looked, piece = 0): Look {
  const { body } = looked;
  const field = fieldOf(looked, FROM_ABOVE, piece);
  const rope = body.form === 'rope';
  const z = rope ? body.thick / 2 : body.thick * (1 - HAIR);
  const top = topIn(body);
  if (!top) return { outline: planOf(body), sample: (x, y) => field(x, y, z) };
  return { outline: planOf(body), sample: (x, y) => field(x, y, Math.min(z, top(x, y) * (1 - HAIR))) };
}

/** How far a body reaches along a direction, through a place. */
function halfAlong({ round, width, height }: Body, c: number, s: number): Mm {
  if (round) return 1 / Math.hypot((2 * c) / width, (2 * s) / height);
  return Math.min(width / 2 / Math.max(1e-9, Math.abs(c)), height / 2 / Math.max(1e-9, Math.abs(s)));
}

function uprightAt(looked: Looked, degrees: number, off: Mm): Look {
  const { body } = looked;
  const turn = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const field = fieldOf(looked, [s, -c, 0]);
  const { thick } = body;
  const half = halfAlong(body, c, s);
  return {
    outline: rectangle(2 * half, thick),
    sample: (x, y) => field(x * c - off * s, x * s + off * c, y + thick / 2),
  };
}

/** Along a rope: it lies from left to right. */
function alongRope(looked: Looked): Look {
  const field = fieldOf(looked, [1, 0, 0]);
  const { thick, width } = looked.body;
  return { outline: rectangle(thick, width), sample: (x, y) => field(0, y, x + thick / 2) };
}

/**
 * A face of a body: what is seen at each of its places.
 * @param sheen of its mica clays; left out: they are one colour
 */
export function lookAt(body: Body, context: PatternContext, view: View, sheen: Sheen | null = null): Look {
  const looked: Looked = { body, context, sheen };
  if (view.of === 'side') return body.form === 'rope' ? alongRope(looked) : uprightAt(looked, view.degrees, view.off);
  if (view.of === 'level') return levelAt(looked, Math.max(0, body.thick - view.depth) * (1 - HAIR));
  return topOf(looked, view.piece);
}
