export {
  LARGEST_CUTTER,
  MOST_CUTTER_POINTS,
  SMALLEST_CUTTER,
  checkCutter,
  cutterArea,
  cutterBox,
  cutterOf,
  cutterOfSize,
  cutterOpening,
  cutterOutline,
  plainCutter,
  scaledCutter,
  readCutter,
  showCutter,
  type Cutter,
  type PlainCutter,
} from './cutter.js';
export { LIES, cuttingLayout, mostOn, type Layout, type Lie, type SheetLimits } from './layout.js';
export type { Places } from './nested.js';
export { CUTTER_SENTENCES } from './sentences.js';
export { CUTTER_SHAPES, type CutterShape } from './shapes.js';
export { sheetLeft, type SheetCut, type SheetLeft } from './sheetLeft.js';
export { handLayout, onEachOther, outlineAt, type HandGround, type HandPlace } from './byHand.js';
