import { LAYER_POINTS } from './layerPoints.js';
import type { PatternPoint } from './point.js';
import { ROPE_POINTS } from './ropePoints.js';

/** Patterned sheets of the kitchen garden to begin with, each as hands would make it. */
export const PATTERN_POINTS: readonly PatternPoint[] = [...LAYER_POINTS, ...ROPE_POINTS];
