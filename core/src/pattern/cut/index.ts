export { largestIn, type Ground, type Largest } from './largest.js';
export { CUT_AIMS, type CutAim, type CutSheet, type CutWish } from './looking.js';
export { pieceLook, type CutPlace } from './place.js';
export { proposeCuts, type Proposal } from './propose.js';
