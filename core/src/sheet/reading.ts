import { type Density, type Grams, type Mm } from '#core/units';
import { ASSUMED_CARD, CARD_SPREAD, MEASURED_CARD_SPREAD } from './card.js';
import { SIGMA_OF_WAY } from './machine.js';
import { thicknessOfSheet } from './sheetMass.js';
import { complaint } from './sentences.js';

/** A thickness worked out from what was really looked at, with its standard uncertainty. */
export interface Gauged {
  readonly mm: Mm;
  readonly sigmaMm: Mm;
}

/** Relative uncertainty of a density nobody has measured, and of one that was: assumptions. */
const [ASSUMED_DENSITY_SPREAD, MEASURED_DENSITY_SPREAD] = [0.05, 0.015];
/** What a kitchen scale is sure to, and a cutter's diameter: assumptions. */
const [SCALE_SIGMA, CUTTER_SIGMA] = [0.05, 0.1];
/** How straight the edge of a rolled sheet is: an assumption. */
const EDGE_SIGMA: Mm = 1;
const MOST_LAYERS = 20;

function counted(count: number, what: string): number {
  if (!Number.isInteger(count) || count < 1 || count > MOST_LAYERS)
    throw complaint('unit/range', { what, low: '1', high: String(MOST_LAYERS) });
  return count;
}

/**
 * A sheet that is as thick as so many cards: sure to a third of a card, and
 * to what the card itself is known to.
 * @param cardMm null: nobody has measured the card @throws Complaint `unit/range`
 */
export function gaugedByCards(count: number, cardMm: Mm | null): Gauged {
  const one = cardMm ?? ASSUMED_CARD;
  const mm = counted(count, 'The number of cards') * one;
  return { mm, sigmaMm: Math.hypot(one / 3, mm * (cardMm === null ? CARD_SPREAD : MEASURED_CARD_SPREAD)) };
}

/**
 * So many layers of one setting measured together with calipers: n times as sure.
 * @throws Complaint `unit/range`, `amount/positive`
 */
export function gaugedByStack(layers: number, together: Mm): Gauged {
  const count = counted(layers, 'The number of layers');
  if (!(together > 0)) throw complaint('amount/positive', { what: 'The stack' });
  return { mm: together / count, sigmaMm: Math.max(0.01, SIGMA_OF_WAY.calipers / count) };
}

/**
 * A punched disc on the scale: ρ = m / (t·π·d²/4) run backwards (docs/models.md §1).
 * @throws Complaint `amount/positive`
 */
export function gaugedByDisc(mass: Grams, diameter: Mm, density: Density, densityMeasured: boolean): Gauged {
  const mm = thicknessOfSheet(mass, (Math.PI / 4) * diameter ** 2, density);
  const spread = Math.hypot(SCALE_SIGMA / mass, (2 * CUTTER_SIGMA) / diameter, densitySpread(densityMeasured));
  return { mm, sigmaMm: mm * spread };
}

const densitySpread = (measured: boolean): number => (measured ? MEASURED_DENSITY_SPREAD : ASSUMED_DENSITY_SPREAD);

/** A sheet on the scale, its width and length by a ruler. */
export interface WeighedSheet {
  readonly mass: Grams;
  readonly width: Mm;
  readonly length: Mm;
  readonly density: Density;
  /** whether somebody has measured the density */
  readonly densityMeasured: boolean;
}

/**
 * A rolled sheet on the scale: its mass over its area and its density; its edges are as sure as a ruler.
 * @throws Complaint `amount/positive`
 */
export function gaugedBySheet({ mass, width, length, density, densityMeasured }: WeighedSheet): Gauged {
  const mm = thicknessOfSheet(mass, width * length, density);
  const edges = Math.hypot(EDGE_SIGMA / width, EDGE_SIGMA / length);
  return { mm, sigmaMm: mm * Math.hypot(SCALE_SIGMA / mass, edges, densitySpread(densityMeasured)) };
}
