export * from './across.js';
export * from './cells.js';
export * from './direction.js';
export * from './outline.js';
export * from './press.js';
export * from './shapes.js';
export * from './simplify.js';
