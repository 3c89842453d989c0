export type { CutCane, CutCanes, PatternContext, Start } from './kind.js';
export { cutCanesOf, faceOfCane } from './cutCanes.js';
export { INLAID, type Inlay } from './inlayPlaces.js';
export { SLAB_LAID, type Slab } from './slab.js';
export {
  MOST_SLICES,
  MOST_SLICE_KINDS,
  TURNED,
  type PlacedSlice,
  type SliceOf,
  type SlicesTurned,
  sliced,
} from './slices.js';
export { BLADES, type Cuts } from './cuts.js';
export { LAID, type Ball, type DentPlace, type Dents } from './dents.js';
export { seamsOf, type Seams } from './lay.js';
export { SCHOOLS, type PressRelief, type School, type Skim } from './relief.js';
export { ALONG, grownBy, type Along } from './roll.js';
export {
  formsFor,
  isBegin,
  kindOf,
  timesStep,
  type Begin,
  type PatternDo,
  type PatternProgram,
  type PatternStep,
  type PatternStepOf,
  type Then,
} from './kinds.js';
export { positive, shown, tidy } from './measure.js';
export { patternMaterials, readPattern, withPatternMaterial } from './read.js';
export { FORM_WORDS, patternBody, patternContext, runPattern, seenIn, type PatternResult } from './run.js';
export { PATTERN_STEPS_SENTENCES } from './sentences.js';
