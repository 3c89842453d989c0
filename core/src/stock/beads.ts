import { complaints, UNITS_SENTENCES, type Density, type Mm, type Mm3 } from '#core/units';

const complaint = complaints(UNITS_SENTENCES);

/** The clay of one disc: cutter across, and how thick it is. */
export const discOfCutter = (cutter: Mm, mm: Mm): Mm3 => (Math.PI / 4) * cutter ** 2 * mm;

/** Bead shapes that a maker rolls of the same disc, so that they match. */
export const BEAD_SHAPES = ['round', 'oval', 'bicone', 'disc'] as const;
export type BeadShape = (typeof BEAD_SHAPES)[number];

/** How long and how wide a bead becomes; of a round one both are the same. */
export interface BeadSize {
  readonly shape: BeadShape;
  /** along the hole */
  readonly length: Mm;
  readonly width: Mm;
}

/** Volume of a shape that is so long and so wide, in mm³. */
const VOLUMES: Readonly<Record<BeadShape, (length: Mm, width: Mm) => Mm3>> = {
  round: (length, width) => (Math.PI * width ** 2 * length) / 6,
  oval: (length, width) => (Math.PI * width ** 2 * length) / 6,
  bicone: (length, width) => (Math.PI * width ** 2 * length) / 12,
  // a flattened ball
  disc: (length, width) => (Math.PI * width ** 2 * length) / 6,
};

/** Length to width of each shape where nobody says: assumptions. */
export const USUAL_RATIOS: Readonly<Record<BeadShape, number>> = { round: 1, oval: 1.6, bicone: 1.6, disc: 0.4 };

export const volumeOfBead = ({ shape, length, width }: BeadSize): Mm3 => VOLUMES[shape](length, width);

/**
 * The size of a bead of so much clay: `V = π w² l / 6` of a ball, an ellipsoid and a flattened ball, `π w² l / 12` of a
 * bicone, at a ratio of length to width.
 * @throws Complaint `amount/positive`
 */
export function beadOf(shape: BeadShape, volume: Mm3, ratio = USUAL_RATIOS[shape]): BeadSize {
  for (const [what, value] of [
    ['The clay of a bead', volume],
    ['The ratio of a bead', ratio],
  ] as const)
    if (!(value > 0) || !Number.isFinite(value)) throw complaint('amount/positive', { what });
  const own = shape === 'round' ? 1 : ratio;
  const width = Math.cbrt(volume / VOLUMES[shape](own, 1));
  return { shape, width, length: own * width };
}

/** How many discs there are in so much clay. @param density g/cm³ */
export const discsIn = (grams: number, density: Density, disc: Mm3): number =>
  Math.floor((1000 * grams) / (density * disc) + 1e-9);

/** Leaf metal on a sheet that is rolled: it does not stretch, so it cracks. */
export interface Cracks {
  /** from crack to crack, and how wide each gapes: along the feed and across it */
  readonly along: { readonly apart: Mm; readonly gap: Mm };
  readonly across: { readonly apart: Mm; readonly gap: Mm };
  /** share of the sheet that shows between the flakes */
  readonly shown: number;
}

/** mm of a flake as leaf breaks when it is first stretched: an assumption. */
export const USUAL_FLAKE: Mm = 1.5;

/** @param fed how many times as long along the feed @param aside the same across it */
export function cracksOf(fed: number, aside: number, flake: Mm = USUAL_FLAKE): Cracks {
  const of = (stretch: number): Cracks['along'] => ({ apart: flake * stretch, gap: flake * Math.max(0, stretch - 1) });
  return { along: of(fed), across: of(aside), shown: Math.max(0, 1 - 1 / (Math.max(1, fed) * Math.max(1, aside))) };
}
