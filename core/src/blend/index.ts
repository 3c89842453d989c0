export * from './compensate.js';
export * from './fade.js';
export * from './layout.js';
export * from './passes.js';
export * from './pieces.js';
export * from './tape.js';
