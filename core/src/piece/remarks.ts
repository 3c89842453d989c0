import type { Mm } from '#core/units';
import type { LaidPart } from './lying.js';
import { complaint } from './sentences.js';
import { domeStretch } from './shellParts.js';

/** What a maker should know of a part before clay is cut. */
export interface PartRemark {
  readonly partId: string;
  readonly sentence: string;
}

const RIGID: ReadonlySet<string> = new Set(['ball', 'snake', 'twist', 'covered']);

/** mm that a part is wide, along its ring. */
function widthOf({ solid }: LaidPart): Mm {
  const xs = solid.outline.map(([x]) => x);
  return Math.max(...xs) - Math.min(...xs);
}

/** Balls and rods of a ring cannot lie in each other; cut ones may overlap. */
function tooClose(laid: LaidPart): PartRemark[] {
  const { place, shape, name, id } = laid.part;
  if (place.lies !== 'ring' || place.n < 2 || !RIGID.has(shape.is)) return [];
  const n = Math.round(place.n);
  const apart = 2 * place.radius * Math.sin(Math.PI / n);
  if (apart >= widthOf(laid) - 1e-6) return [];
  return [{ partId: id, sentence: complaint('piece/ring', { name, n }).message }];
}

/** How much longer a sheet may have to become before it shows: an assumption. */
const SHOWS = 1.1;

function stretched({ part: { shape, id } }: LaidPart): PartRemark[] {
  if (shape.is !== 'veneer') return [];
  const stretch = domeStretch(shape.width, shape.height);
  if (stretch <= SHOWS) return [];
  const percent = Math.round(100 * (stretch - 1));
  return [
    {
      partId: id,
      sentence: `Over this form the sheet has to stretch by ${percent} % towards the middle: its pattern grows there.`,
    },
  ];
}

/** What is said of the parts of a piece; nothing of it keeps them from being made. */
export const remarksOn = (parts: readonly LaidPart[]): readonly PartRemark[] =>
  parts.flatMap((laid) => [...tooClose(laid), ...stretched(laid)]);
