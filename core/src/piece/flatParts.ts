import { cutterArea, cutterOf, cutterOpening, cutterOutline, type Cutter } from '#core/cutter';
import { extentOf, isInside, type Point } from '#core/outline';
import type { Mm } from '#core/units';
import type { CutOutline, CutPart, SlicePart } from './document.js';
import type { Solid } from './solid.js';

/** The cutter of a flat part. */
export const cutterOfPart = ({ shape, width, height, rim, points }: CutOutline<number>): Cutter =>
  cutterOf({ shape, widthMm: width, heightMm: height, rimMm: rim ?? null, points: points ?? null });

/** Lines pressed from the inner end outwards, spread over the width, as far as the outline lets them. */
function pressed(outline: readonly Point[], count: number): Point[][] {
  const { left, right, bottom, top } = extentOf({ points: outline, round: false });
  const height = top - bottom;
  const across = (at: number): Mm => left + ((right - left) * (at + 1)) / (count + 1);
  return Array.from({ length: count }, (_, i) => {
    const end = across(i);
    const line = Array.from({ length: 25 }, (__, k): Point => {
      const along = 0.08 + (0.84 * k) / 24;
      // from the middle of the inner end they spread
      return [end * Math.min(1, along * 1.4), bottom + height * along];
    });
    return line.filter((p) => isInside(p, outline));
  }).filter((line) => line.length > 1);
}

function flat(cut: CutOutline<number>, mm: Mm, cup: Mm, lines: number): Solid {
  const cutter = cutterOfPart(cut);
  const outline = cutterOutline(cutter);
  const { bottom, top } = extentOf({ points: outline, round: false });
  const lift = (y: Mm): Mm => cup * ((y - bottom) / (top - bottom)) ** 2;
  return {
    outline,
    opening: cutterOpening(cutter),
    lines: pressed(outline, lines),
    reach: (_, y) => ({ low: lift(y), high: lift(y) + mm }),
    drapes: true,
    volume: cutterArea(cutter) * mm,
    second: 0,
    sheet: mm,
    thickest: mm,
  };
}

export const cutSolid = ({ outline, mm, cup = 0, lines = 0 }: CutPart<number>): Solid => flat(outline, mm, cup, lines);
export const sliceSolid = ({ outline, mm }: SlicePart<number>): Solid => flat(outline, mm, 0, 0);
