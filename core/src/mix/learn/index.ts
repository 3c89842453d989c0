export { TERMS as CURVE_TERMS, correctedPigment } from './curves.js';
export { doubtsOf, type Doubt } from './doubts.js';
export { CHIP_WAYS, type ChipWay, type Evidence, type Learned, type LearnedClay } from './evidence.js';
export { expectedOf } from './expected.js';
export { learn, learnedStrength, type Lesson, type Residual } from './learn.js';
export { matchedPigment } from './matched.js';
export { nextChips, type NextChip } from './nextChip.js';
export { pigmentsWith } from './pigmentsWith.js';
export { offsetOf, shapes } from './shapes.js';
