export { bakeLoads, minutesFor, type BakeItem, type BakeLoad } from './bake.js';
export { benchSteps, type BenchStep } from './benchSteps.js';
export { checkCutter, cutterArea, cutterBox, cutterOf, showCutter, type Cutter } from './cutter.js';
export { demandOf, type Measuring, type MixDemand } from './demand.js';
export { cuttingLayout, mostOn, type Layout } from './layout.js';
export { toCut, type PieceOrder } from './order.js';
export { planBatch, type BatchPlan, type ClayDemand, type PiecePlan } from './plan.js';
export { sheetLeft, type SheetLeft } from './sheetLeft.js';
export { againstShelf, inOrderOfUse, lotsOf, takeFrom, type Lot } from './shelf.js';
