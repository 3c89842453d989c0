import { circle, rectangle, scaled, type Outline } from '#core/cane';
import type { Mm } from '#core/units';
import type { Body } from '#core/pattern/body';
import { seenIn, type PatternContext } from '#core/pattern/steps';

/** What is looked at: a flat face with its edge, and what lies at each of its places. */
export interface Look {
  readonly outline: Outline;
  readonly sample: (x: Mm, y: Mm) => number;
}

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

function levelAt(body: Body, context: PatternContext, z: Mm, piece = 0): Look {
  const field = seenIn(body, context, piece);
  return { outline: planOf(body), sample: (x, y) => field(x, y, z) };
}

/** How far a body reaches along a direction, through a place. */
function halfAlong({ round, width, height }: Body, c: number, s: number): Mm {
  if (round) return 1 / Math.hypot((2 * c) / width, (2 * s) / height);
  return Math.min(width / 2 / Math.max(1e-9, Math.abs(c)), height / 2 / Math.max(1e-9, Math.abs(s)));
}

function uprightAt(body: Body, context: PatternContext, degrees: number, off: Mm): Look {
  const turn = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const field = seenIn(body, context);
  const { thick } = body;
  const half = halfAlong(body, c, s);
  return {
    outline: rectangle(2 * half, thick),
    sample: (x, y) => field(x * c - off * s, x * s + off * c, y + thick / 2),
  };
}

/** Along a rope: it lies from left to right. */
function alongRope(body: Body, context: PatternContext): Look {
  const field = seenIn(body, context);
  const { thick, width } = body;
  return { outline: rectangle(thick, width), sample: (x, y) => field(0, y, x + thick / 2) };
}

/** A face of a body: what is seen at each of its places. */
export function lookAt(body: Body, context: PatternContext, view: View): Look {
  const rope = body.form === 'rope';
  if (view.of === 'side') return rope ? alongRope(body, context) : uprightAt(body, context, view.degrees, view.off);
  if (view.of === 'level') return levelAt(body, context, Math.max(0, body.thick - view.depth) * (1 - HAIR));
  return levelAt(body, context, rope ? body.thick / 2 : body.thick * (1 - HAIR), view.piece);
}
