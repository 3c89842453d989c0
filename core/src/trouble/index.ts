export type { Cause } from './cause.js';
export { CAUSES, SYMPTOMS, type Symptom } from './causes.js';
export { causesFor, type Fitting } from './diagnose.js';
export { NOTHING_KNOWN, type TroubleFacts } from './facts.js';
