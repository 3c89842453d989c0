export { LEAST_BELOW, press, surfaceOf, topOf, type Pressed } from './pressed.js';
export { RAISED, reliefOf, reliefOfPicture, type GreyPicture, type Raised, type Relief } from './relief.js';
export { MOST_CELLS, heightsOf, levelHeights, levelsOf, textureHeights, type Heights, type Levels } from './sampled.js';
export { MICA_SENTENCES } from './sentences.js';
export { KINDS, bandOf, shave, type Blade, type Shaved } from './shave.js';
export {
  DARKEST,
  DULL,
  EDGE_LIGHT,
  edgeLightOf,
  EVEN_AFTER,
  contrastAt,
  contrastOf,
  evenAfter,
  facingOf,
  micaColours,
  orderAfter,
  relit,
  shareAt,
  sheenColour,
  type EvenAfter,
  type Facing,
  type Lamp,
  type MicaColours,
} from './sheen.js';
export { TEXTURES, heightAt, type Texture } from './textures.js';
export { rolled, tiltedBeyond, tiltsAt, type Rolled, type Tilts } from './tilt.js';
