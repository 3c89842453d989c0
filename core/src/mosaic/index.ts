export { LOST, threadGrams, threadsOf, traysFor, type ThreadNeeded, type ThreadTray } from './amounts.js';
export { nearestOf } from './areas.js';
export { areaOfConvex, common, middleOf, type Convex } from './convex.js';
export {
  MOSAIC_VERSION,
  mosaicMaterials,
  newMosaic,
  planKey,
  readMosaic,
  withChange,
  type MosaicDocument,
  type MosaicShade,
} from './document.js';
export { bezelEdge } from './grid.js';
export {
  MOST_TESSERAE,
  mosaicOf,
  planMosaic,
  type Mosaic,
  type MosaicWish,
  type Patch,
  type Tessera,
} from './mosaic.js';
export { READS_FROM, offPicture, readAs, squaresOf, type Coloured, type Seen } from './reads.js';
export { shadesOf } from './shades.js';
export { readsDownTo } from './smallest.js';
export { MOSAIC_SENTENCES } from './sentences.js';
