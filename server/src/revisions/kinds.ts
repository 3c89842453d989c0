import type { TableName } from '../db/schema.js';

/** Where a column of a table names a revision. */
interface Naming {
  readonly table: TableName;
  readonly column: string;
}
/** Rows of a plan that name a revision, and the revision that they belong to. */
interface Using extends Naming {
  readonly kind: PlanName;
  readonly of: string;
}

/** A kind of plan that has revisions, told by its tables. */
interface PlanTables {
  /** as a person calls it */
  readonly word: string;
  readonly thing: TableName;
  readonly revision: TableName;
  /** column of a revision that names its thing */
  readonly owner: string;
  /** rows that are there once something was made of a revision */
  readonly made: readonly Naming[];
  /** plans that rest on a revision: made of one of them, it was made with it */
  readonly usedBy: readonly Using[];
}

export type PlanName = 'mix' | 'blend' | 'cane' | 'pattern';

/** The kinds of plans: a new one gets revisions by a row here. */
export const PLANS = {
  mix: {
    word: 'mix',
    thing: 'mix',
    revision: 'revision',
    owner: 'mixId',
    made: [
      { table: 'entryMix', column: 'revisionId' },
      { table: 'chip', column: 'revisionId' },
      { table: 'sheet', column: 'revisionId' },
      { table: 'tub', column: 'revisionId' },
    ],
    usedBy: [
      { kind: 'mix', table: 'ingredient', column: 'innerId', of: 'revisionId' },
      { kind: 'blend', table: 'blendColour', column: 'revisionId', of: 'blendRevisionId' },
      { kind: 'cane', table: 'caneUse', column: 'revisionId', of: 'caneRevisionId' },
      { kind: 'pattern', table: 'patternUse', column: 'revisionId', of: 'patternRevisionId' },
    ],
  },
  blend: {
    word: 'blend',
    thing: 'blend',
    revision: 'blendRevision',
    owner: 'blendId',
    made: [
      { table: 'entryBlend', column: 'blendRevisionId' },
      { table: 'sheet', column: 'blendRevisionId' },
      { table: 'tub', column: 'blendRevisionId' },
    ],
    usedBy: [
      { kind: 'cane', table: 'caneUse', column: 'blendRevisionId', of: 'caneRevisionId' },
      { kind: 'pattern', table: 'patternUse', column: 'blendRevisionId', of: 'patternRevisionId' },
    ],
  },
  cane: {
    word: 'cane',
    thing: 'cane',
    revision: 'caneRevision',
    owner: 'caneId',
    made: [
      { table: 'entryCane', column: 'caneRevisionId' },
      { table: 'sheet', column: 'caneRevisionId' },
    ],
    usedBy: [
      { kind: 'cane', table: 'caneUse', column: 'innerId', of: 'caneRevisionId' },
      { kind: 'pattern', table: 'patternUse', column: 'caneRevisionId', of: 'patternRevisionId' },
    ],
  },
  pattern: {
    word: 'patterned sheet',
    thing: 'pattern',
    revision: 'patternRevision',
    owner: 'patternId',
    made: [
      { table: 'entryPattern', column: 'patternRevisionId' },
      { table: 'sheet', column: 'patternRevisionId' },
    ],
    usedBy: [],
  },
} as const satisfies Readonly<Record<PlanName, PlanTables>>;

export const planOf = (kind: PlanName): PlanTables => PLANS[kind];
export type ThingTable<K extends PlanName> = (typeof PLANS)[K]['thing'];
export type RevisionTable<K extends PlanName> = (typeof PLANS)[K]['revision'];
