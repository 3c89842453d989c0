import { type Mm } from '#core/units';
import type { SheetLayer } from '#core/cane/document';
import { MOST_LAYERS } from '#core/cane/document';
import type { Outline } from '#core/cane/outlines';
import { positive, tidy } from './measure.js';
import { numberOf, one, sumOf, type CaneContext, type CaneState, type Sampler } from './state.js';
import { complaint } from './sentences.js';

/** One piece of clay as it is before anything was done with it. */
export const begun = (outline: Outline, length: Mm, sample: Sampler, amounts: CaneState['amounts']): CaneState => ({
  outline,
  length: positive(length, 'The length'),
  count: 1,
  sample,
  amounts,
  reductions: 0,
  spoilt: [],
  endsEach: 0,
});

/** Sheets on each other: the material of each, and how high each reaches. */
export interface StackOfSheets {
  readonly index: readonly number[];
  readonly tops: readonly Mm[];
  readonly height: Mm;
}

/** @throws Complaint `cane/layers`, `cane/positive` */
export function stackOf(layers: readonly SheetLayer[], context: CaneContext): StackOfSheets {
  if (layers.length < 1 || layers.length > MOST_LAYERS) throw complaint('cane/layers');
  const tops: Mm[] = [];
  for (const { thickness } of layers) tops.push((tops.at(-1) ?? 0) + positive(thickness, 'A sheet'));
  return { index: layers.map((l) => numberOf(context, l.of)), tops, height: tops.at(-1) ?? 1 };
}

/** The material at a height within the stack. */
export function materialAt({ index, tops }: StackOfSheets, height: Mm): number {
  let i = 0;
  while (i < tops.length - 1 && height >= (tops[i] as number)) i++;
  return index[i] as number;
}

/** mm² of each material in the edge of a stack that is so long. */
export const edgeOf = (layers: readonly SheetLayer[], { index }: StackOfSheets, length: Mm): CaneState['amounts'] =>
  sumOf(...layers.map((l, i) => [one(index[i] as number, l.thickness * length), 1] as const));

/** Sheets that are thicker or thinner by a factor. */
export const layersTimes = (layers: readonly SheetLayer[], factor: number): SheetLayer[] =>
  layers.map((l) => ({ ...l, thickness: tidy(l.thickness * factor) }));
