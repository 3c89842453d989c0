export { bakeLoads, minutesFor, type BakeItem, type BakeLoad } from './bake.js';
export { benchSteps, type BenchStep } from './benchSteps.js';
export { demandOf, type Measuring, type MixDemand } from './demand.js';
export { leftOf, type LeftOver } from './leftOver.js';
export { mostPieces, type MostPieces } from './mostPieces.js';
export { toCut, type LayerOf, type PieceOrder, type Placed, type Ready } from './order.js';
export { planBatch, type BatchPlan, type ClayDemand, type PiecePlan, type ReadyDemand } from './plan.js';
export { wantedBy, type OpenPlan, type Wanted } from './shopping.js';
export { againstShelf, inOrderOfUse, lotsOf, takeFrom, type Lot } from './shelf.js';
