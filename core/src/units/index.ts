export * from './chance.js';
export * from './complaint.js';
export * from './fraction.js';
export * from './measures.js';
export { NUMBER_PATTERN, readNumber, showNumber } from './number.js';
export * from './read.js';
export * from './show.js';
export * from './words.js';
