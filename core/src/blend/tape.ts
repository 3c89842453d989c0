import type { Lab } from '#core/colour';
import { type Mm, type Mm2 } from '#core/units';
import type { Fade } from './fade.js';
import { complaint } from './sentences.js';

/** A blend rolled long and thin. Its fade runs along its length. */
export interface Tape {
  readonly width: Mm;
  readonly length: Mm;
  readonly thickness: Mm;
}

/**
 * The finished blend, turned a quarter and folded to a width, at a
 * thickness: rolling keeps volume and width, so only its length grows.
 * @param blend along the fade, up, and thick; after trimming
 * @throws Complaint `amount/positive`
 */
export function tapeOf(
  blend: { readonly width: Mm; readonly height: Mm; readonly thickness: Mm },
  width: Mm,
  thickness: Mm,
): Tape {
  for (const [what, value] of [
    ['The width of the tape', width],
    ['The thickness of the tape', thickness],
    ['The blend', blend.width * blend.height * blend.thickness],
  ] as const) {
    if (!(value > 0) || !Number.isFinite(value)) throw complaint('amount/positive', { what });
  }
  return { width, thickness, length: (blend.width * blend.height * blend.thickness) / (width * thickness) };
}

/** Pure colour added to one end of a tape, so much of its length. */
export interface ExtraEnd {
  readonly at: 'first' | 'last';
  readonly length: Mm;
}

/** The tape with more of its end colour; it is as wide and as thick there. @throws Complaint `amount/positive` */
export function lengthened(tape: Tape, extra: ExtraEnd | null): Tape {
  if (extra && !(extra.length >= 0 && Number.isFinite(extra.length)))
    throw complaint('amount/positive', { what: 'The extra colour' });
  return extra ? { ...tape, length: tape.length + extra.length } : tape;
}

/** Its fade: the end colour goes on for the length that was added. */
export function fadeWithEnd(fade: Fade, tape: Tape, extra: ExtraEnd | null): readonly Lab[] {
  if (!extra || extra.length <= 0) return fade.labs;
  const more = Math.round((fade.labs.length * extra.length) / tape.length);
  const end = (extra.at === 'first' ? fade.labs[0] : fade.labs.at(-1)) as Lab;
  const added = Array.from({ length: Math.min(more, 20 * fade.labs.length) }, () => end);
  return extra.at === 'first' ? [...added, ...fade.labs] : [...fade.labs, ...added];
}

export const MOST_STACKED = 12;
/**
 * Equal tapes laid on each other before they are wound up: as one that is so much thicker.
 * @throws Complaint `blend/stack`
 */
export function stacked(tape: Tape, count: number): Tape {
  if (!Number.isInteger(count) || count < 1 || count > MOST_STACKED) throw complaint('blend/stack');
  return { ...tape, thickness: tape.thickness * count };
}

/** A rolled plug: as high as the tape was wide. */
export interface RolledPlug {
  readonly kind: 'rolled';
  readonly diameter: Mm;
  readonly height: Mm;
  readonly inside: 'first' | 'last';
}
/** A plug folded like a fan: its fade runs from side to side. */
export interface FannedPlug {
  readonly kind: 'fan';
  readonly width: Mm;
  readonly depth: Mm;
  readonly height: Mm;
  readonly folds: number;
}
export type Plug = RolledPlug | FannedPlug;

/** How a tape is made and wound up. Lengths in mm. */
export interface Winding {
  readonly tapeWidth: Mm;
  readonly tapeMm: Mm;
  readonly extra: ExtraEnd | null;
  /** tapes laid on each other */
  readonly tapes: number;
  readonly plug: Plug['kind'];
  readonly inside: 'first' | 'last';
  readonly fanDepth: Mm;
}

/**
 * From the finished blend to its plug: `plain` the tape of it alone, `tape`
 * with the colour added at an end.
 * @param blend as in {@link tapeOf} @throws Complaint `amount/positive`, `blend/stack`
 */
export function windUp(
  blend: Parameters<typeof tapeOf>[0],
  { tapeWidth, tapeMm, extra, tapes, plug, inside, fanDepth }: Winding,
): { readonly plain: Tape; readonly tape: Tape; readonly plug: Plug } {
  const plain = tapeOf(blend, tapeWidth, tapeMm);
  const tape = lengthened(plain, extra);
  const wound = stacked(tape, tapes);
  return { plain, tape, plug: plug === 'rolled' ? rollUp(wound, inside) : fanFold(wound, fanDepth) };
}

/** π·r² = τ·s: the tape rolled up without air. @param inside which end of the fade is in the middle */
export const rollUp = ({ width, length, thickness }: Tape, inside: 'first' | 'last'): RolledPlug => ({
  kind: 'rolled',
  diameter: 2 * Math.sqrt((thickness * length) / Math.PI),
  height: width,
  inside,
});

/**
 * The tape folded to and fro.
 * @param depth of each fold @throws Complaint `amount/positive`
 */
export function fanFold({ width, length, thickness }: Tape, depth: Mm): FannedPlug {
  if (!(depth > 0) || !Number.isFinite(depth)) throw complaint('amount/positive', { what: 'The depth of the folds' });
  const folds = Math.max(1, Math.round(length / depth));
  return { kind: 'fan', width: (thickness * length) / depth, depth, height: width, folds };
}

/**
 * Place along the fade, 0 to 1, of what lies at a share of the plug: of the
 * radius (rolled: the area law, so the middle takes little) or of the width (fan).
 */
export function placeInPlug(plug: Plug, share: number): number {
  if (plug.kind === 'fan') return share;
  const along = share * share;
  return plug.inside === 'first' ? along : 1 - along;
}

/** Radius within which the first share of the tape lies, mm. */
export const radiusOf = ({ diameter }: RolledPlug, share: number): Mm => (diameter / 2) * Math.sqrt(share);

/** Faces of the plug: its area is that of the tape's edge. */
export const faceArea = (plug: Plug): Mm2 =>
  plug.kind === 'fan' ? plug.width * plug.depth : (Math.PI * plug.diameter ** 2) / 4;
