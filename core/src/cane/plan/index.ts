export {
  planBackwards,
  type BackwardsPlan,
  type Offcut,
  type PartPlan,
  type Wanted,
  type WrapNeed,
} from './backwards.js';
export { mostSlices, type Have, type Most, type RunsOut } from './most.js';
export type { Taken } from './parts.js';
export { reductionStages } from './reductionStages.js';
export { usable, type Stage } from './rows.js';
export { begunAt, faceBy, takesInOthers } from './scaleStart.js';
export { SCRAP_GROUPS, coresFrom, groupOf, sortScrap, type ScrapHeap, type ScrapMaterial } from './scrap.js';
export { STARTING_POINTS, type StartColours, type StartingPoint } from './starts.js';
