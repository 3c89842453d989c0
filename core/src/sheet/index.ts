export * from './feed.js';
export * from './instruction.js';
export * from './machine.js';
export * from './sheetMass.js';
export * from './thickness.js';
export * from './translate.js';
export { fallingFit } from './isotonic.js';
export { monotoneCubic } from './monotoneCubic.js';
