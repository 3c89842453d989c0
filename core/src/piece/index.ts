export { amountsOf, cutInBalls, findingsOf, punchedWith, type CutInBalls, type PartAmount } from './amounts.js';
export { carried, placesOf, type Lying } from './arrange.js';
export { TURNED } from './ballParts.js';
export {
  BALL_FORMS,
  BENDS,
  FADE_WAYS,
  FINDING_FORMS,
  MOST_LYING,
  MOST_PARTS,
  PIECE_VERSION,
  type BallForm,
  type Bend,
  type FadeWay,
  type FindingForm,
  type Lies,
  type Part,
  type PartOf,
  type PieceDocument,
  type Place,
  type PlaceOf,
  type Shape,
  type ShapeIs,
  type ShapeOf,
  type Size,
  type Value,
} from './document.js';
export { FINISH_KINDS, USUAL_FINISH, handMinutes, newFinish, type FinishKind, type FinishStep } from './finish.js';
export { cutterOfPart } from './flatParts.js';
export { edgeAt, extentOfAll, layPiece, type Laid, type LaidPart } from './lying.js';
export { PIECE_MODELS, type PieceModel } from './models.js';
export { pieceFindings, pieceMaterials, withPieceMaterial } from './materials.js';
export { readPiece } from './read.js';
export { remarksOn, type PartRemark } from './remarks.js';
export { PIECE_SENTENCES } from './sentences.js';
export { scaledPiece } from './scaled.js';
export { settlePiece, type Settled, type SettledPiece } from './settle.js';
export { solidOf } from './shapes.js';
export { domeArea, domeStretch, slicesOn } from './shellParts.js';
export { numberOf, sizedParts } from './sized.js';
export type { Solid } from './solid.js';
