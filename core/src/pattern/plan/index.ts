export {
  growsWhole,
  largerSteps,
  mostOf,
  planPattern,
  type LeftAt,
  type PatternMost,
  type PatternPlan,
} from './plan.js';
export type { PatternPoint } from './point.js';
export { PATTERN_POINTS } from './points.js';
export { COVERS, areaWanted, coveredArea, type PatternWanted } from './wanted.js';
