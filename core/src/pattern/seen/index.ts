export { lookAt, type View } from './faces.js';
export type { Look } from './look.js';
export { MUD, isMud, judgeLook, stopLine, type Judged } from './judge.js';
export { darkestOf, type Sheen, type Towards } from './sheen.js';
export { ASSUMED_STOP, stageNear, usualStop, type Stopped } from './usualStop.js';
export { veinWidth } from './veins.js';
