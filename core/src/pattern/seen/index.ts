export { lookAt, type Look, type View } from './faces.js';
export { MUD, isMud, judgeLook, stopLine, type Judged } from './judge.js';
export { veinWidth } from './veins.js';
