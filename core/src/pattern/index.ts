export {
  AIR,
  once,
  planArea,
  volumeOf,
  wholeOf,
  within,
  type Body,
  type Field,
  type Form,
  type Volumes,
} from '#core/pattern/body';
export { MOST_CUTS, MOST_DENTS, MOST_FOLDS, MOST_OF, PATTERN_VERSION } from '#core/pattern/document';
export * from '#core/pattern/cut';
export * from '#core/pattern/formed';
export * from '#core/pattern/plan';
export * from '#core/pattern/seen';
export * from '#core/pattern/steps';
