export { NO_CAST, gainTable, neutralGains, type Gains } from './neutral.js';
export { MOST_COLOURS, paletteOf, type PictureColour } from './palette.js';
export { MOST_PIXELS, pictureSize } from './pictureSize.js';
export { LINEAR, averageAt, type Linear, type Pixels } from './pixels.js';
export { recast } from './recast.js';
export { complaint } from './sentences.js';
