export {
  MOST_CUTS,
  MOST_DENTS,
  MOST_FOLDS,
  MOST_LAYERS_ALL,
  MOST_OF,
  MOST_STEPS,
  PATTERN_VERSION,
  type AnyStep,
  type Doing,
  type ProgramOf,
} from './program.js';
export { PATTERN_DOCUMENT_SENTENCES } from './sentences.js';
