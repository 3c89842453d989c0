import { inBoth, showLength, showSize, type Mm, type Mm2, type UnitSystem } from '#core/units';
import { complaint } from './sentences.js';

/** What a piece is cut with. */
export type Cutter =
  | { readonly shape: 'round'; readonly diameter: Mm }
  | { readonly shape: 'rectangle'; readonly width: Mm; readonly height: Mm };

/** The cutter of these sides; without a height a round one. */
export const cutterOf = (width: Mm, height: Mm | null): Cutter =>
  height === null ? { shape: 'round', diameter: width } : { shape: 'rectangle', width, height };

export const SMALLEST_CUTTER: Mm = 1;
export const LARGEST_CUTTER: Mm = 500;

/** mm² of one cut piece. */
export function cutterArea(cutter: Cutter): Mm2 {
  return cutter.shape === 'round' ? (Math.PI / 4) * cutter.diameter ** 2 : cutter.width * cutter.height;
}

/** The box around one piece. */
export function cutterBox(cutter: Cutter): { width: Mm; height: Mm } {
  return cutter.shape === 'round'
    ? { width: cutter.diameter, height: cutter.diameter }
    : { width: cutter.width, height: cutter.height };
}

/** `18 mm round`, `12 × 30 mm`. */
export function showCutter(cutter: Cutter, system: UnitSystem): string {
  return cutter.shape === 'round'
    ? `${showLength(cutter.diameter, system)} round`
    : showSize(cutter.width, cutter.height, system);
}

/** @throws Complaint `unit/range` */
export function checkCutter(cutter: Cutter): void {
  const { width, height } = cutterBox(cutter);
  for (const side of [width, height]) {
    if (!(side >= SMALLEST_CUTTER && side <= LARGEST_CUTTER)) {
      throw complaint('unit/range', {
        what: 'A cutter',
        low: inBoth((s) => showLength(SMALLEST_CUTTER, s)),
        high: inBoth((s) => showLength(LARGEST_CUTTER, s)),
      });
    }
  }
}
