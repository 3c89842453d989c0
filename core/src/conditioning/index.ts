export {
  conditioningBench,
  conditioningOf,
  schoolOf,
  type ClayToCondition,
  type Conditioning,
  type ConditioningBench,
  type ConditioningSaid,
} from './engine.js';
export {
  SCHOOLS_OF_CONDITIONING,
  USUAL_ROOM,
  learnedPasses,
  passesFor,
  passesFresh,
  type Conditioner,
  type CountedConditioning,
  type PassesBecause,
} from './passes.js';
export {
  CONDITION_WARNINGS,
  conditionPlan,
  type ConditionInput,
  type ConditionPlan,
  type ConditionStep,
  type ConditionWarning,
} from './plan.js';
export {
  DROP,
  MOST_SOFTENER,
  RESCUED_FROM,
  SHOWS,
  hardnessOf,
  mostUnseen,
  rescueWays,
  rescued,
  squeezeAt,
  type Added,
  type Remedy,
  type RescueWay,
  type Rescued,
  type RescuedFrom,
  type ToRescue,
} from './rescue.js';
export { CONDITIONING_SENTENCES } from './sentences.js';
export { sittingOf, type ClayOfSitting, type InTurn, type Sitting } from './sitting.js';
