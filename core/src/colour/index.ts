export { BANDS, WHITE } from './bands.js';
export { deltaE } from './difference.js';
export * from './lab.js';
export * from './pigment.js';
export { hexOf, readHex, xyzOfHex } from './srgb.js';
export { reflectanceOf } from './upsample.js';
