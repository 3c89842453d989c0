import { type Grams, type Mm } from '#core/units';
import { complaint } from './sentences.js';

/**
 * A blend as it lies there when it is free of streaks: its fade runs along `width`, it was folded and passed along
 * `length`.
 */
export interface FinishedBlend {
  readonly width: Mm;
  readonly length: Mm;
  readonly mm: Mm;
}

/**
 * The one sheet that folding and passing makes of all layers: as wide as it
 * was cut, and at constant volume as long as its thickness makes it.
 * @param layers of the cut sheet, each so thick @param passMm what the last pass leaves
 * @throws Complaint `amount/positive`
 */
export function finishedBlend(
  { width, height, layers, mm }: { readonly width: Mm; readonly height: Mm; readonly layers: number; readonly mm: Mm },
  passMm: Mm,
): FinishedBlend {
  const volume = width * height * layers * mm;
  if (!(passMm > 0) || !Number.isFinite(passMm))
    throw complaint('amount/positive', { what: 'The thickness of the blend' });
  return { width, mm: passMm, length: volume / (width * passMm) };
}

export const TURNINGS = ['folded', 'rolled', 'cut'] as const;
/**
 * How a finished blend is brought to the width of a tape: its fade lies along the tape, so that all of this
 * happens across it.
 */
export type Turning = (typeof TURNINGS)[number];

/** The width of a tape, and in how many parts the blend was folded or cut for it. */
export interface Turned {
  readonly width: Mm;
  readonly parts: number;
  /** mm before it is rolled out */ readonly mm: Mm;
}

/**
 * How wide a tape becomes. Folded, or cut in strips that are laid on each
 * other, it is a whole part of the blend; rolled up and flattened it is as
 * wide as its clay is at the thickness it is flattened to.
 * @param wanted width; the nearest that folding gives is taken
 * @param flattened mm that a rolled up blend is flattened to: the widest gap
 * @throws Complaint `amount/positive`
 */
export function turnedTo(
  turning: Turning,
  { length, mm }: Pick<FinishedBlend, 'length' | 'mm'>,
  wanted: Mm,
  flattened: Mm,
): Turned {
  for (const [what, value] of [
    ['The width of the tape', wanted],
    ['What it is flattened to', flattened],
  ] as const)
    if (!(value > 0) || !Number.isFinite(value)) throw complaint('amount/positive', { what });
  if (turning === 'rolled') return { width: (length * mm) / flattened, parts: 1, mm: flattened };
  const parts = Math.max(1, Math.round(length / wanted));
  return { width: length / parts, parts, mm: parts * mm };
}

/**
 * Layers that have to be rolled whole: one cut of a rectangle gives its piece
 * for two layers, so of an odd number of them the other halves stay over.
 */
export const layersToRoll = (layers: number): number => 2 * Math.ceil(layers / 2);

/** What stays over of a colour, for so much of it in all layers. */
export const otherHalves = (grams: Grams, layers: number): Grams => (grams * (layersToRoll(layers) - layers)) / layers;
