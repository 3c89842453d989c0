import { complaint } from '#core/units';
import type { Part, Program, Step } from './program.js';
import { partsOf } from './parts.js';

/** Canes inside canes inside canes: so many are followed. */
export const MOST_CANES_DEEP = 12;
/** Steps of a cane and of all canes in it, each as often as it is taken. */
export const MOST_WORK = 3000;
/** Rods in all bundles and rings of a cane and of the canes in it. Squeezing takes time with the square of them. */
export const MOST_RODS = 1200;

interface Weight {
  readonly depth: number;
  readonly steps: number;
  readonly rods: number;
}

function rodsOf(step: Step): number {
  if (step.do === 'ring') return step.count;
  if (step.do !== 'bundle') return 0;
  return (step.others ?? []).reduce((sum, o) => sum + o.count, step.count);
}

/** Canes that another one takes in, by reference. */
export type Library = (ref: string) => Program | undefined;

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
    const program = this.library(part.ref);
    const weight = program ? this.of(program.steps, level) : { depth: 1, steps: 0, rods: 0 };
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
