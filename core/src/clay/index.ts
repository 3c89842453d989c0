export * from './clay.js';
export * from './conditioning.js';
export * from './dateCode.js';
