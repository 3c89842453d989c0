export * from './checks.js';
export * from './program.js';
