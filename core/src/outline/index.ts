export {
  areaOf,
  centroid,
  circle,
  clipped,
  diameterOf,
  extentOf,
  isInside,
  mirrored,
  offset,
  outlineOf,
  perimeterOf,
  rectangle,
  scaled,
  signedArea,
  turned,
  type Extent,
  type Outline,
  type Point,
} from './outline.js';
export { OUTLINE_SENTENCES } from './sentences.js';
export { crossesItself, simplified } from './simplify.js';
