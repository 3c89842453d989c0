export { growsWhole, mostOf, planPattern, type LeftAt, type PatternMost, type PatternPlan } from './plan.js';
export { PATTERN_POINTS, type PatternPoint } from './points.js';
