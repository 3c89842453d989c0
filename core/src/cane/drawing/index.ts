export { drawnOf, drawnToRegions, type Drawn, type DrawnRegion } from './drawn.js';
export { tracePicture } from './trace.js';
