import { parentPort, workerData } from 'node:worker_threads';
import { planPattern, type PatternProgram } from '#core/pattern';
import { attempt } from '#core/units';

/** mm³ of each material in the sheets that come of it; nothing where the steps cannot be done. */
const volumes = attempt(
  () => planPattern((workerData as PatternProgram).steps).given,
  () => new Map<string, number>(),
);
parentPort?.postMessage(volumes);
