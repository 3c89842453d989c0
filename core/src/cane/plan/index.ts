export * from './backwards.js';
export * from './reductionStages.js';
export * from './rows.js';
export * from './scaleStart.js';
export * from './scrap.js';
export * from './starts.js';
