export * from './lookUp.js';
