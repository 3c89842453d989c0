import 'reflect-metadata';
export * from './batches.js';
export * from './changes.js';
export * from './diary.js';
export * from './mixes.js';
export * from './sheets.js';
export * from './shelf.js';
export * from './rules.js';
