export * from './face.js';
export * from './judge.js';
export * from './smooth.js';
export * from './traced.js';
