export { compensate, type Compensated } from './compensate.js';
export { fadeOf, unevenness, wronglyFolded, type Fade } from './fade.js';
export {
  FADE_SHOWN,
  placesOnFade,
  sheetForPieces,
  type FadePieces,
  type FadeRollers,
  type FadeShown,
  type SheetForPieces,
} from './fromPieces.js';
export { ASSUMED_LAYER, layerSetting } from './layer.js';
export {
  LAYOUTS,
  areasOf,
  checkLayout,
  cutAt,
  fractionsAt,
  layoutOf,
  layoutsFor,
  outlinesOf,
  pureStretches,
  type Cut,
  type Layout,
  type LayoutKind,
} from './layout.js';
export { marry } from './marry.js';
export {
  JUST_NOT_SEEN,
  assumedKept,
  forecast,
  ASSUMED_PASSES,
  blendsLearned,
  keptFrom,
  streakContrast,
  type CountedBlend,
  type Forecast,
} from './passes.js';
export { gradedSet, rowsIn, shadeBetween, type FadePiece } from './pieces.js';
export { complaint } from './sentences.js';
export { STEP_NOT_SEEN, turnSteps, type TurnSteps } from './steps.js';
export { stripsOf, type Strip } from './strips.js';
export {
  MOST_STACKED,
  faceArea,
  fadeWithEnd,
  fanFold,
  lengthened,
  placeInPlug,
  radiusOf,
  rollUp,
  stacked,
  tapeOf,
  windUp,
  type Plug,
  type FannedPlug,
  type RolledPlug,
  type Tape,
  type Winding,
} from './tape.js';
export {
  TURNINGS,
  finishedBlend,
  layersToRoll,
  otherHalves,
  turnedTo,
  type FinishedBlend,
  type Turned,
  type Turning,
} from './turned.js';
export { forward, type Forward } from './forward.js';
