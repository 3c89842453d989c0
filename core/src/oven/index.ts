export { dialFor, fitOven, runsOff, type FittedOven, type OvenReading } from './fit.js';
export { ROOM, hottest, minutesTo, steadyAt, trueAt, type Warming } from './model.js';
