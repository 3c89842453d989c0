export * from './material.js';
