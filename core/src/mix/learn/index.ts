export { correctedPigment } from './curves.js';
export { SIGMA_OF_CHIP, type Evidence, type Learned, type LearnedClay } from './evidence.js';
export { learn, learnedStrength, type Lesson, type Residual } from './learn.js';
export { nextChips, type NextChip, type Proposal } from './nextChip.js';
