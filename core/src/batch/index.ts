export * from './bake.js';
export * from './benchSteps.js';
export * from './cutter.js';
export * from './demand.js';
export * from './layout.js';
export * from './order.js';
export * from './plan.js';
export * from './shelf.js';
