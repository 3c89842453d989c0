import { conditioningBench, type ConditioningBench } from '#core/conditioning';
import type { ConditionedAnswer, MachinesAnswer } from '#contract';
import { ownMachine } from '../state/bench.js';
import { useConditioned, useMachines } from './queries.js';

/** How these hands condition, by what was said and counted. */
export const benchFor = (machines: MachinesAnswer, counted: ConditionedAnswer): ConditioningBench =>
  conditioningBench(machines.setup, ownMachine(machines) ?? null, counted);

/** The same, asked; null until it is known. */
export function useConditioningBench(): ConditioningBench | null {
  const [machines, counted] = [useMachines(), useConditioned()];
  return machines.data && counted.data ? benchFor(machines.data, counted.data) : null;
}
