import { OF_BAKING } from './ofBaking.js';
import { OF_CANES } from './ofCanes.js';
import { OF_CLAY } from './ofClay.js';
import { OF_SHEETS } from './ofSheets.js';

/** Causes of each symptom, with how often they are, what speaks for them, what saves it, and what changes next time. */
export const CAUSES = { ...OF_CLAY, ...OF_CANES, ...OF_BAKING, ...OF_SHEETS } as const;

export type Symptom = keyof typeof CAUSES;
export const SYMPTOMS = Object.keys(CAUSES) as readonly Symptom[];
