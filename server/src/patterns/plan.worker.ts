import { parentPort, workerData } from 'node:worker_threads';
import { planPattern, type CutCanes, type PatternProgram } from '#core/pattern';
import { attempt } from '#core/units';

export interface SheetToPlan {
  readonly program: PatternProgram;
  /** that slices of it are cut of */
  readonly canes: CutCanes;
}

/** mm³ of each material in the sheets that come of it; nothing where the steps cannot be done. */
const { program, canes } = workerData as SheetToPlan;
const volumes = attempt(
  () => planPattern(program.steps, null, canes).given,
  () => new Map<string, number>(),
);
parentPort?.postMessage(volumes);
