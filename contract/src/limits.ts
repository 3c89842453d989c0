/** Limits that windows hold to as well. They stand by themselves, so that a phone loads them without the rules. */

/** A search of the diary gives at most so many entries, the newest. */
export const MOST_FOUND = 120;
/** Photographs of one entry at the most. */
export const MOST_PICTURES = 24;
/** A curve with more points is thinned by whoever sends it. */
export const MOST_POINTS = 3000;
/** How something went that was made. */
export const OUTCOMES = ['worked', 'nearly', 'failed'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** What an entry of the diary is of: the first of these that it has. */
export const MADE_KINDS = ['pieces', 'canes', 'patterns', 'blends', 'bakes', 'sheets', 'other'] as const;
export type MadeKind = (typeof MADE_KINDS)[number];
