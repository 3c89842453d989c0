export { BANDS, WEIGHTS, WHITE } from './bands.js';
export { ciede2000 } from './ciede2000.js';
export { deltaE } from './difference.js';
export * from './labBox.js';
export { chromaHue, labOf, xyzOfLab, type Lab, type Xyz } from './lab.js';
export * from './pigment.js';
export { hexOf, readHex, xyzOfHex } from './srgb.js';
export { readColour } from './readColour.js';
export { reflectanceOf } from './upsample.js';
