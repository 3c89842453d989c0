export { OVERLAP, ballOf, coveredBy, slicesAround, type Covered } from './byHand.js';
export {
  lookUp,
  type BlendInBook,
  type ClayShare,
  type Composed,
  type Known,
  type Looking,
  type MaterialBook,
} from './lookUp.js';
export {
  TUB_RULES,
  sameTub,
  takesAll,
  tubFor,
  tubName,
  type OwnColour,
  type Scrap,
  type TubFor,
  type TubRule,
} from './tubs.js';
export {
  SAFE_SHARE,
  SNAPS_BELOW,
  brittleOf,
  brittleOfMix,
  strengthOf,
  type Brittle,
  type Strength,
} from './strength.js';
export { LAYINGS, slicesFor, slicesRolled, type Laying, type SliceRolled, type SlicesToRoll } from './slicesRolled.js';
export {
  BEAD_SHAPES,
  beadOf,
  cracksOf,
  discOfCutter,
  discsIn,
  volumeOfBead,
  type BeadShape,
  type BeadSize,
  type Cracks,
} from './beads.js';
