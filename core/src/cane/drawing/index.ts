export * from './drawn.js';
export * from './trace.js';
