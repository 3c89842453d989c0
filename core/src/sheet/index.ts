export { ASSUMED_CARD, USUAL_GUIDES } from './card.js';
export {
  MOST_REDUCTION,
  SCHOOLS_OF_THINNING,
  feedPlan,
  type Feed,
  type FeedInput,
  type FeedPlan,
  type Thinning,
} from './feed.js';
export { readInstruction, readThickness, type Asked, type Gauge, type Reader } from './instruction.js';
export { fallingFit } from './isotonic.js';
export {
  READING_WAYS,
  SIGMA_OF_WAY,
  checkDial,
  dialLabels,
  type Machine,
  type Reading,
  type ReadingWay,
} from './machine.js';
export { monotoneCubic } from './monotoneCubic.js';
export { gaugedByCards, gaugedByDisc, gaugedBySheet, gaugedByStack, type Gauged } from './reading.js';
export { areaOfSheet, discVolume, massOfSheet, thicknessOfSheet } from './sheetMass.js';
export {
  contradictionSentence,
  contradictions,
  thicknesses,
  type Knowledge,
  type SettingThickness,
} from './thickness.js';
export { translate, type Answer } from './translate.js';
export { wearOf, type Wear } from './wear.js';
