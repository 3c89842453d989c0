export {
  ASSUMED_ENDS,
  TRIMMINGS,
  USUAL_ENDS,
  endsLearned,
  learnedEnds,
  type EndsRule,
  type TrimMade,
  type Trimming,
} from './ends.js';
export { TURNS, type Turns } from './grid.js';
export { type Faces, type Need } from './kind.js';
export {
  beginOf,
  changeOf,
  isBegin,
  kindOf,
  partsOf,
  scaledStep,
  withPart,
  type Begin,
  type Do,
  type Fill,
  type Part,
  type Program,
  type Region,
  type Step,
  type StepOf,
  type Then,
} from './kinds.js';
export { MOST_RODS, checkWork } from './limits.js';
export { leftByHands, taperOf, type Tapered } from './hands.js';
export { landingsOf, type Landing } from './landing.js';
export { squeezedTogether } from './joins.js';
export { pressedTo, stretched, throughPress, turnedBy } from './pressing.js';
export { madeIn, readProgram, usedIn, withMaterial } from './read.js';
export { partResults, runSteps, type StepResult } from './run.js';
export { CANE_SENTENCES, complaint } from './sentences.js';
export { trimsAfter } from './spoil.js';
export { contextOf, measured, numberOf, one, sumOf, type CaneContext, type CaneState } from './state.js';
export { MOST_KINDS, MOST_OF_A_KIND, spreadEvenly } from './counted.js';
export { seenAreas, templateState } from './template.js';
export { ownOf, usesOf, type PartUse } from './uses.js';
