export { pieceLook, type CutPlace } from './place.js';
export { CUT_AIMS, proposeCuts, type CutAim, type CutSheet, type CutWish, type Proposal } from './propose.js';
