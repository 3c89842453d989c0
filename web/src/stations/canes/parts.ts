import { partsOf, type Part, type Step } from '#core/cane';
import type { Path } from './newStep.js';

/** A step with one of the canes it takes in exchanged. */
export function withPart(step: Step, at: number, part: Part): Step {
  switch (step.do) {
    case 'cane':
    case 'stack':
    case 'insert':
      return { ...step, part };
    case 'ring':
      return { ...step, middle: part };
    case 'grid':
      return { ...step, others: (step.others ?? []).map((o, i) => (i === at ? part : o)) };
    case 'bundle':
      return { ...step, others: (step.others ?? []).map((o, i) => (i === at ? { ...o, part } : o)) };
    case 'template': {
      let seen = -1;
      return {
        ...step,
        regions: step.regions.map((r) =>
          'cane' in r.fill && ++seen === at ? { ...r, fill: { ...r.fill, cane: part } } : r,
        ),
      };
    }
    default:
      return step;
  }
}

/** The steps at the end of a path into parts; null where the path leads nowhere any more. */
export function stepsAt(steps: readonly Step[], path: Path): readonly Step[] | null {
  const [first, ...rest] = path;
  if (!first) return steps;
  const step = steps[first.step];
  const part = step && partsOf(step)[first.part];
  return part && 'steps' in part ? stepsAt(part.steps, rest) : null;
}

/** All steps, with those at the end of a path exchanged. */
export function withSteps(steps: readonly Step[], path: Path, wanted: readonly Step[]): readonly Step[] {
  const [first, ...rest] = path;
  if (!first) return wanted;
  return steps.map((step, i) => {
    const part = i === first.step ? partsOf(step)[first.part] : undefined;
    return part && 'steps' in part
      ? withPart(step, first.part, { ...part, steps: withSteps(part.steps, rest, wanted) })
      : step;
  });
}
