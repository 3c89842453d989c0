export { colourOf, type MixColour } from './colourOf.js';
export { correct, type CorrectInput, type Correction } from './correct.js';
export { MOST_DEPTH, flatOf, flatten, flattenNew, restsOn, type Flat } from './flatten.js';
export {
  USUAL_PARTS,
  cuttingSheet,
  type CuttingSheet,
  equalLadder,
  equalSteps,
  fewestDiscs,
  ladder,
  pigmentOfMix,
  thinnedTwice,
  usualLadder,
  type Rung,
} from './ladder.js';
export { nearestNames, readRecipe } from './language.js';
export { normalForm, normalKey } from './normalForm.js';
export { openBrackets, parseNotation, printNotation, type Named, type Term } from './notation.js';
export {
  BASES,
  checkParts,
  nameOf,
  type Basis,
  type Book,
  type Ingredient,
  type Recipe,
  type Worked,
} from './recipe.js';
export { sheetGrams, toDiscs, toGrams, untilGone } from './scale.js';
export { MIX_SENTENCES, complaint } from './sentences.js';
export {
  makeablePoints,
  nextPoint,
  triangleHeight,
  trianglePicture,
  type Corners,
  type MakeablePoint,
} from './triangle.js';
export * from './find/index.js';
export * from './learn/index.js';
