export { idOf } from './id.js';
export * from './batches.js';
export * from './chips.js';
export * from './machines.js';
export * from './mixes.js';
export * from './palette.js';
export * from './photograph.js';
export { pngOf } from './png.js';
export * from './shelf.js';
