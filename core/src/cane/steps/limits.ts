import { MOST_CANES_DEEP } from '#core/cane/document';
import { asProgram, kindOf, partsOf, type Part, type Step } from './kinds.js';
import type { CaneContext } from './state.js';
import { complaint } from './sentences.js';

/** Steps of a cane and of all canes in it, each as often as it is taken. */
export const MOST_WORK = 3000;
/** Rods in all bundles and rings of a cane and of the canes in it. Squeezing takes time with the square of them. */
export const MOST_RODS = 1200;

interface Weight {
  readonly depth: number;
  readonly steps: number;
  readonly rods: number;
}

const rodsOf = (step: Step): number => kindOf(step).rods?.(step) ?? 0;

/** Canes that another one takes in, by reference. */
export type Library = CaneContext['library'];

class Scales {
  private readonly known = new Map<string, Weight>();
  constructor(private readonly library: Library) {}

  of(steps: readonly Step[], level: number): Weight {
    if (level > MOST_CANES_DEEP) throw complaint('cane/deep', { most: MOST_CANES_DEEP });
    let weight: Weight = { depth: 1, steps: 0, rods: 0 };
    for (const step of steps) {
      weight = { ...weight, steps: weight.steps + 1, rods: weight.rods + rodsOf(step) };
      for (const part of partsOf(step)) weight = this.with(weight, this.ofPart(part, level + 1));
      if (weight.steps > MOST_WORK) throw complaint('cane/work', { most: MOST_WORK });
      if (weight.rods > MOST_RODS) throw complaint('cane/rods', { most: MOST_RODS });
    }
    return weight;
  }

  private with(a: Weight, b: Weight): Weight {
    return { depth: Math.max(a.depth, b.depth + 1), steps: a.steps + b.steps, rods: a.rods + b.rods };
  }

  private ofPart(part: Part, level: number): Weight {
    if (!('ref' in part)) return this.of(part.steps, level);
    const before = this.known.get(part.ref);
    if (before) {
      if (level + before.depth - 1 > MOST_CANES_DEEP) throw complaint('cane/deep', { most: MOST_CANES_DEEP });
      return before;
    }
    const document = this.library(part.ref);
    const weight = document ? this.of(asProgram(document).steps, level) : { depth: 1, steps: 0, rods: 0 };
    this.known.set(part.ref, weight);
    return weight;
  }
}

/**
 * Refuses a cane that would take too long to work out, before that is begun.
 * A circle is too deep.
 * @throws Complaint `cane/deep`, `cane/work`, `cane/rods`
 */
export function checkWork(steps: readonly Step[], library: Library): void {
  new Scales(library).of(steps, 1);
}
