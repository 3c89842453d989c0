import type { Winding } from '#core/blend';
import { thicknesses } from '#core/sheet';
import type { BlendPlanDto, MachinesAnswer } from '#contract';

/** mm of a tape where no machine is known: an assumption. */
export const ASSUMED_TAPE = 0.6;

/** How thick the tape of a blend is rolled on one's own machine: the chosen setting, or the thinnest. */
export function tapeMmOf(plan: BlendPlanDto, { machines, setup }: MachinesAnswer): number {
  const own = machines.find((m) => m.id === setup.machineId);
  const all = own ? thicknesses(own) : [];
  return (all.find((s) => s.id === plan.tapeSettingId) ?? all.at(-1))?.mm ?? ASSUMED_TAPE;
}

/** How the plan of a blend has it wound up, its tape being so thick. */
export const windingOf = ({ tapeWidth, extraAt, extraMm, stack, plug, inside, fanDepth }: BlendPlanDto, tapeMm: number): Winding =>
  ({ tapeWidth, tapeMm, extra: extraAt ? { at: extraAt, length: extraMm ?? 0 } : null, tapes: stack ?? 1, plug, inside, fanDepth });
