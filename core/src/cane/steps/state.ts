import type { Complaint, Mm, Mm2 } from '#core/units';
import { USUAL_ENDS, overlapped, type EndsRule, type Spoilt } from './ends.js';
import type { AnyStep, MaterialKey, ProgramOf } from '#core/cane/document';
import { areaOf, beyond, extentOf, reachOf, type Outline } from '#core/cane/outlines';

/**
 * What lies at a point of a face: the number of a material, and behind the
 * point, for a blend, the place along its fade (0 to just under 1). The
 * point is taken to lie within the outline.
 */
export type Sampler = (x: Mm, y: Mm) => number;

/** Place along a fade that still belongs to its material's number. */
export const FADE = 0.9995;

/** A cane between two steps: one piece of it, of which there are `count`. */
export interface CaneState {
  readonly outline: Outline;
  readonly length: Mm;
  readonly count: number;
  readonly sample: Sampler;
  /** mm² of each material in the face of one piece, by its number */
  readonly amounts: ReadonlyMap<number, Mm2>;
  /** how often it was reduced, for hands that wobble */
  readonly reductions: number;
  /** what each step since the last trim spoilt at the ends of one piece */
  readonly spoilt: readonly Spoilt[];
  /** mm of each end that were spoilt after this step, for a share of 1: before they were cut off */
  readonly endsEach: Mm;
}

/** What a program is worked out with. */
export interface CaneContext {
  /** numbers of the materials, in the order they were met */
  readonly materials: MaterialKey[];
  /** canes that others use, by reference */
  readonly library: (ref: string) => ProgramOf<AnyStep> | undefined;
  /** 0: hands of a machine; 1: honest hands */
  readonly wobble: number;
  readonly seed: number;
  /** how ends are lost and when they are cut off */
  readonly ends: EndsRule;
  /** canes that are being worked out, so that none can contain itself */
  readonly within: readonly string[];
  /** canes in it that were worked out: by their reference, or by the list of their steps */
  readonly done: Done;
}

export interface Done {
  readonly refs: Map<string, readonly ResultOf<AnyStep>[]>;
  readonly lists: WeakMap<readonly AnyStep[], readonly ResultOf<AnyStep>[]>;
}

/** A step and the cane after it; or why it cannot be done, and then nothing after it can. */
export interface ResultOf<S extends AnyStep> {
  readonly step: S;
  readonly state: CaneState | null;
  readonly wrong: Complaint | null;
}

export const contextOf = (
  library: CaneContext['library'] = () => undefined,
  wobble = 0,
  seed = 1,
  ends: EndsRule = USUAL_ENDS,
): CaneContext => ({
  materials: [],
  library,
  wobble,
  seed,
  ends,
  within: [],
  done: { refs: new Map(), lists: new WeakMap() },
});

/** A cane whose ends have not been thought of. */
export type Unspoilt = Omit<CaneState, 'spoilt' | 'endsEach'>;

/** A cane with what has been spoilt at its ends. */
export function withSpoilt(state: Unspoilt, spoilt: readonly Spoilt[]): CaneState {
  return { ...state, spoilt, endsEach: overlapped(spoilt) / areaOf(state.outline) / 2 };
}

export function numberOf({ materials }: CaneContext, key: MaterialKey): number {
  const known = materials.indexOf(key);
  return known >= 0 ? known : materials.push(key) - 1;
}

export const one = (index: number, area: Mm2): ReadonlyMap<number, Mm2> => new Map([[index, area]]);

/** Sums of amounts, each times a factor. */
export function sumOf(...parts: readonly (readonly [ReadonlyMap<number, Mm2>, number])[]): ReadonlyMap<number, Mm2> {
  const sum = new Map<number, Mm2>();
  for (const [amounts, times] of parts)
    for (const [index, area] of amounts) sum.set(index, (sum.get(index) ?? 0) + area * times);
  return sum;
}

/** Points along each side of the grid that a face is measured with. */
const GRID = 320;

/** Goes through a face on a grid, place by place. @returns how many places lie in it */
export function eachPlace(sample: Sampler, outline: Outline, tell: (value: number, x: Mm, y: Mm) => void): number {
  const { left, bottom, width, height } = extentOf(outline);
  const reach = reachOf(outline);
  let whole = 0;
  for (let j = 0; j < GRID; j++) {
    const y = bottom + ((j + 0.5) / GRID) * height;
    for (let i = 0; i < GRID; i++) {
      const x = left + ((i + 0.5) / GRID) * width;
      if (beyond(reach, x, y) > 1) continue;
      tell(sample(x, y), x, y);
      whole++;
    }
  }
  return whole;
}

/** mm² of each material in a face, measured on a grid where it cannot be worked out; they sum to its area. */
export function measured(sample: Sampler, outline: Outline): ReadonlyMap<number, Mm2> {
  const counts = new Map<number, number>();
  const whole = eachPlace(sample, outline, (value) => {
    const index = Math.floor(value);
    counts.set(index, (counts.get(index) ?? 0) + 1);
  });
  const area = areaOf(outline);
  return new Map([...counts].map(([index, n]) => [index, (n / Math.max(1, whole)) * area]));
}
