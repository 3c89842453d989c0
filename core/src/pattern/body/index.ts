export {
  AIR,
  FADE,
  flat,
  measuredIn,
  measuredPieces,
  once,
  planArea,
  sumOf,
  topIn,
  volumeOf,
  wholeOf,
  within,
  type Body,
  type Field,
  type Form,
  type Specks,
  type Top,
  type Volumes,
} from './body.js';
export { withBits, type BitsOf } from './bits.js';
export { DRAGGED_DEEP, DRAGGED_WIDE, withCuts, type Cut } from './cuts.js';
export { withDents, type Dent } from './dents.js';
export { foldsOf, waved } from './hands.js';
export { LAGS, at, cosSin, discOfSquare, foldsBack, rope, sine, type Folds } from './rounds.js';
export { grownTogether, type Lying } from './grown.js';
export { Grid } from './near.js';
export { specked, specksOf } from './specked.js';
