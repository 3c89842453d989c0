import { DEGREES, LENGTH, cane, list, object } from '#core/document';
import { areaOf, extentOf, type CaneState, type MaterialKey } from '#core/cane';
import { sumOf, type Volumes } from '#core/pattern/body';
import type { Mm } from '#core/units';
import { faceOfCane } from './cutCanes.js';
import type { PatternContext, Start } from './kind.js';
import { positive } from './measure.js';
import { complaint } from './sentences.js';

/** Slices of a cane: how thick they are cut, and how far each is turned to the left. */
export interface SliceOf {
  readonly of: MaterialKey;
  readonly thickness: Mm;
  readonly degrees: number;
}

/** Kinds of slices in one step, and all of them together. */
export const MOST_SLICE_KINDS = 12;
export const MOST_SLICES = 400;

export const sliceKinds = list(object({ of: cane, thickness: LENGTH, degrees: DEGREES }), 1, MOST_SLICE_KINDS);

export const TURNED = ['alike', 'opposite', 'chance'] as const;
export type SlicesTurned = (typeof TURNED)[number];

/** How much honest hands turn a slice that they lay down, degrees, and miss its place, mm: assumptions. */
export const [TURNED_BY, MISSED_BY] = [4, 0.4];

/** A slice that lies somewhere: which of the kinds, where, and how far it is turned in all. */
export interface PlacedSlice {
  readonly kind: number;
  readonly x: Mm;
  readonly y: Mm;
  readonly degrees: number;
}

/** Faces of all kinds, in their order. @throws Complaint of a cane, or of a thickness */
export const facesOf = (slices: readonly SliceOf[], context: PatternContext): readonly CaneState[] =>
  slices.map(({ of, thickness }) => {
    positive(thickness, 'The thickness of a slice');
    return faceOfCane(of, context);
  });

/** @throws Complaint `pattern/slices` */
export function checkCount(count: number): void {
  if (count > MOST_SLICES) throw complaint('pattern/slices', { most: MOST_SLICES });
}

const countsOf = (slices: readonly SliceOf[], kinds: readonly number[]): number[] =>
  slices.map((_, i) => kinds.filter((kind) => kind === i).length);

/** What has to be cut: slices of each kind. @param kinds of every slice that is laid */
export function slicesToCut(
  slices: readonly SliceOf[],
  kinds: readonly number[],
  context: PatternContext,
  times = 1,
): Start[] {
  const counts = countsOf(slices, kinds);
  return slices.flatMap(({ of, thickness }, i): Start[] => {
    const count = (counts[i] ?? 0) * times;
    if (count === 0) return [];
    const { outline } = faceOfCane(of, context);
    const { width, height } = extentOf(outline);
    const volume = count * areaOf(outline) * thickness;
    return [{ what: 'slices', of, volume, sizes: [width, height, thickness], count }];
  });
}

/** mm³ of each material in a slice of a cane, or in so many mm of them. */
export const sliced = ({ amounts }: CaneState, mm: Mm): Volumes =>
  new Map([...amounts].map(([index, area]) => [index, area * mm]));

/** mm³ of each material in some slices. */
export function volumesOfSlices(
  slices: readonly SliceOf[],
  kinds: readonly number[],
  context: PatternContext,
): Volumes {
  const counts = countsOf(slices, kinds);
  return sumOf(
    ...slices.map(
      ({ of, thickness }, i) => [sliced(faceOfCane(of, context), thickness * (counts[i] ?? 0)), 1] as const,
    ),
  );
}

/** Turns of slices beside how each kind lies, by their numbers. */
export function turnOf(turned: SlicesTurned, at: number, chance: () => number): number {
  if (turned === 'chance') return 360 * chance();
  return turned === 'opposite' && at % 2 === 1 ? 180 : 0;
}
