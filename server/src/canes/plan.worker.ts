import { parentPort, workerData } from 'node:worker_threads';
import { contextOf, planBackwards, type EndsRule, type Program, type Wanted } from '#core/cane';
import { attempt } from '#core/units';

export interface ToPlan {
  readonly program: Program;
  readonly library: ReadonlyMap<string, Program>;
  readonly wanted: Wanted;
  readonly ends: EndsRule;
}

/** mm³ of each material that goes in; nothing where the steps cannot be done. */
const { program, library, wanted, ends } = workerData as ToPlan;
const volumes = attempt(
  () =>
    planBackwards(
      program.steps,
      wanted,
      contextOf((ref) => library.get(ref), 0, 1, ends),
    ).volumes,
  () => new Map<string, number>(),
);
parentPort?.postMessage(volumes);
