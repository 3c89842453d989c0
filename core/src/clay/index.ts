export {
  ASSUMED_BLOCK_GRAMS,
  ASSUMED_DENSITY,
  massOf,
  volumeOf,
  FIRMNESSES,
  KINDS,
  TOUGHNESSES,
  strengthOf,
  type Block,
  type Clay,
  type Firmness,
  type Kind,
  type Line,
  type Toughness,
} from './clay.js';
export { bakedTogether, minutesFor, wishedC, type BakedTogether, type BakingLine } from './bakedTogether.js';
export { ageInMonths, readDateCode, showAge, showMonth } from './dateCode.js';
export { SQUEEZES, SQUEEZE_HOLDS, squeezeOf, type Squeeze, type Squeezed } from './squeeze.js';
export { toughnessOf } from './toughness.js';
export { readAmount } from './amount.js';
