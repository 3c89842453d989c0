export * from './compensate.js';
export * from './fade.js';
export * from './layout.js';
export * from './marry.js';
export * from './passes.js';
export * from './pieces.js';
export * from './strips.js';
export * from './tape.js';
