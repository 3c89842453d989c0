export { TERMS as CURVE_TERMS, correctedPigment } from './curves.js';
export { expectedOf, type Expected } from './expected.js';
export { doubtsOf, type Doubt } from './doubts.js';
export { pigmentsWith } from './pigmentsWith.js';
export { CHIP_WAYS, SIGMA_OF_CHIP, type ChipWay, type Evidence, type Learned, type LearnedClay } from './evidence.js';
export { learn, learnedStrength, type Lesson, type Residual } from './learn.js';
export { matchedPigment } from './matched.js';
export { nextChips, type NextChip, type Proposal } from './nextChip.js';
export { offsetOf, shapes, type Shape } from './shapes.js';
