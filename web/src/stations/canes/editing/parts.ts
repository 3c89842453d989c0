import { partsOf, withPart, type Step } from '#core/cane';

/** The steps of a part of a part, down a path. */
export type Path = readonly { readonly step: number; readonly part: number }[];

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
