export { FORMS, formVolume, placeOn, surfaceOf, within as formWithin, type RoundForm, type FormKind } from './form.js';
export { meshOf, type FormMesh } from './mesh.js';
export { FILLED_WITH, cavityOf, liningOf, type FilledWith, type Lining, type Mould } from './mould.js';
export { PATTERN_FORMED_SENTENCES, complaint as formedComplaint } from './sentences.js';
export {
  WAYS,
  blankFor,
  edgeShare,
  liesAcross,
  onSheet,
  slicesOver,
  squeezedAt,
  waysFor,
  type Blank,
  type FormSample,
  type OnSheet,
  type Way,
} from './wrapped.js';
export {
  flatSquare,
  foldedAlong,
  mostLayers,
  sizeOf as foldedSize,
  turnedOver,
  type Crease,
  type Folded,
  type Lay,
  type Leaf,
} from './fold.js';
export {
  ORNAMENTS,
  ornamentOf,
  stepsOf as ornamentSteps,
  type Ornament,
  type OrnamentPlan,
  type OrnamentStep,
} from './ornaments.js';
