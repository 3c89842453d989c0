import { cutterOpening, cutterOutline, type Cutter, type HandPlace } from '#core/cutter';
import { isInside, mirrored, turned, type Outline, type Point } from '#core/outline';
import type { Mm } from '#core/units';
import { AIR } from '#core/pattern/body';
import type { Look } from '#core/pattern/seen';

/** Where a piece is cut of patterned sheets: on which of them, from 0, and where on it. */
export interface CutPlace extends HandPlace {
  readonly sheet: number;
}

/** The edge of a cutter, its other side up where it is flipped, about its own middle. */
export function edgeOf(cutter: Cutter, flip: boolean): Outline {
  const own: Outline = { points: cutterOutline(cutter), round: cutter.shape === 'round' };
  return flip ? mirrored(own) : own;
}

/**
 * What a piece shows, cut out of a face: upright as its cutter is, its middle at the origin; nothing in an opening.
 * @param face a whole sheet, its middle at the origin @param size of the sheet
 */
export function pieceLook(
  face: Look,
  { width, height }: { readonly width: Mm; readonly height: Mm },
  cutter: Cutter,
  { x, y, degrees, flip = false }: HandPlace,
): Look {
  const turn = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [left, bottom] = [x - width / 2, y - height / 2];
  const open = cutterOpening(cutter);
  const opening = open && flip ? open.map(([px, py]): Point => [-px, py]) : open;
  return {
    outline: edgeOf(cutter, flip),
    sample: (u, v) => {
      if (opening && isInside([u, v], opening)) return AIR;
      return face.sample(left + u * c - v * s, bottom + u * s + v * c);
    },
  };
}

/** The edge of a cutter as it lies, its middle at the origin. */
export const lyingEdge = (cutter: Cutter, degrees: number, flip: boolean): readonly Point[] =>
  turned(edgeOf(cutter, flip), degrees).points;
