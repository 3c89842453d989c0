import type { Program } from '#core/cane';
import type { CaneDto } from '#contract';

type Sliced = Pick<CaneDto, 'program' | 'sliceMm'>;

/** The thickness that the last step slices at; null where it does something else. */
function sliceOf({ steps }: Program): number | null {
  const last = steps.at(-1);
  return last?.do === 'slice' ? last.thickness : null;
}

/** The steps with slices of another thickness at their end. */
const slicedAt = (program: Program, thickness: number): Program => ({
  ...program,
  steps: program.steps.map((s, i) => (i === program.steps.length - 1 && s.do === 'slice' ? { ...s, thickness } : s)),
});

/**
 * A change of a cane with one thickness of its slices: the steps say it where they end in slices, and what the plan
 * and the bench go by is the same. Whichever of the two was changed, the other follows.
 */
export function withOneSlice<C extends Sliced>(before: Sliced, change: Partial<C>): Partial<C> {
  const said = sliceOf(change.program ?? before.program);
  if (said === null) return change;
  if (change.sliceMm !== undefined)
    return { ...change, program: slicedAt(change.program ?? before.program, change.sliceMm) };
  return change.program && said !== before.sliceMm ? { ...change, sliceMm: said } : change;
}
