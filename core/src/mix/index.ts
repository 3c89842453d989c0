export * from './colourOf.js';
export * from './flatten.js';
export * from './ladder.js';
export * from './normalForm.js';
export * from './notation.js';
export * from './recipe.js';
export { sheetGrams, toDiscs, toGrams, untilGone, type ByMass, type ClayGrams, type DiscCount } from './scale.js';
export * from './find/index.js';
export * from './learn/index.js';
