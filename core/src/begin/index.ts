export { ASKS, STATION_OF, askAt, askedOf, asksLeft, canWait, type Ask, type Begun } from './asks.js';
export { TRADE_WORDS, tradeRuns, type Run } from './tradeWords.js';
