export { materialsOfAssembly, partOrderId, type AssemblyOrder, type Rolling } from './assembly.js';
export { bakeLoads, loadItem, type BakeItem, type BakeLoad } from './bake.js';
export { ASSUMED_BREAKAGE, breakageLearned, sparesFor, type MadeAtOnce } from './breakage.js';
export { benchSteps, type BenchStep } from './benchSteps.js';
export { demandOf, type Measuring, type MixDemand } from './demand.js';
export { leftOf, type LeftOver } from './leftOver.js';
export { canBe, learnTimes, type LearnedTime, type LearnedTimes, type StepTaken } from './learnTimes.js';
export { timeKey, timeOf, type StepTime } from './minutes.js';
export { mostPieces, type MostPieces } from './mostPieces.js';
export {
  TRAY_GAP,
  onTray,
  ovenLoads,
  traysIn,
  type Alone,
  type LoadItem,
  type OvenLoad,
  type Tray,
} from './ovenLoads.js';
export { toCut, type ForItself, type LayerOf, type PieceOrder, type Placed, type Ready } from './order.js';
export {
  planBatch,
  type AssemblyPlan,
  type BatchPlan,
  type ClayDemand,
  type LumpPlan,
  type PiecePlan,
  type ReadyDemand,
} from './plan.js';
export { costOf, leftByTheHour, minutesByKind, type CostedKind, type PieceCost, type Rates } from './price.js';
export { sumKnown } from './sumKnown.js';
export { wantedBy, type OpenPlan, type Wanted } from './shopping.js';
export { againstShelf, inOrderOfUse, lotsOf, takeFrom, type Lot } from './shelf.js';
