export { dialFor, fitOven, runsOff, type FittedOven, type OvenReading } from './fit.js';
export { ROOM, hottest, minutesTo, steadyAt, trueAt, type Warming } from './model.js';
export {
  BAND,
  COLDEST,
  HOTTEST,
  isTemperature,
  readingsOf,
  trackBake,
  wishOf,
  withPoint,
  type BakeTold,
  type BakeWish,
  type CurvePoint,
} from './track.js';
