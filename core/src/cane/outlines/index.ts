export { acrossOf } from './across.js';
export { bundleCells, powerCells, sunflower, type Cell } from './cells.js';
export { STEPS, beyond, reachOf } from './direction.js';
export { roundedEdge } from './nested.js';
export {
  areaOf,
  circle,
  clipped,
  diameterOf,
  extentOf,
  mirrored,
  offset,
  outlineOf,
  rectangle,
  scaled,
  signedArea,
  turned,
  type Extent,
  type Outline,
  type Point,
} from '#core/outline';
export { areasSeen, outerEdges } from './overlay.js';
export { ONE_OF_MANY, pressOf, type BackTable, type Fineness, type Press } from './press.js';
export { OUTLINES_SENTENCES } from './sentences.js';
export { LONG_ENOUGH, cornersOf, degreesOf, directionsApart, sideTowards, sidesOf, tipOf, type Side } from './sides.js';
export { SHAPES, shapeOutline, type Shape, type ShapeKind } from './shapes.js';
export { stretchOf, type Stretch } from './stretch.js';
export { crossesItself, simplified } from '#core/outline';
