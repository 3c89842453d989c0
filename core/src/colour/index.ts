export {
  CLEAR_LIGHTNESS,
  TOLD_APART,
  EYE_SIGMA,
  LINE_SPREAD,
  apart,
  contrastKept,
  seenDifference,
  weakestPair,
  whatHelps,
  type Apart,
  type Help,
} from './apart.js';
export { formsOf, regionAround, type Forms, type Region } from './around.js';
export { BANDS, WEIGHTS, WHITE } from './bands.js';
export { MOST_LIGHTNESS_SCALE, ciede2000 } from './ciede2000.js';
export { STAGES, statedPigment, type PigmentSource, type Stage } from './clayPigment.js';
export { deltaEFrame, type Frame } from './deltaEFrame.js';
export { deltaE } from './difference.js';
export { chromaHue, labOf, xyzOfLab, type Lab, type Xyz } from './lab.js';
export { labBoxOf, leastDeltaE } from './labBox.js';
export { mixerOf, type Mixer } from './mixMany.js';
export { joined, kOverS, mixPigments, mixThree, pigmentOf, reflectance, type Pigment } from './pigment.js';
export { readColour, showLab } from './readColour.js';
export { lightThrough } from './lightThrough.js';
export { hidingThickness } from './showThrough.js';
export { hexOf, labOfLinear, linearOfLab, readHex, xyzOfHex } from './srgb.js';
export { kernelOf, type Address, type Vectors } from './vectors.js';
export { reflectanceOf } from './upsample.js';
