import { Fault } from '#core/units';
import type { Material } from '#core/material';

/**
 * Which column says what a row is made of, by table. Exactly one of them is
 * set; the file checks it (see the tables).
 */
export const REFERENCES = {
  ingredient: { clay: 'clayId', mix: 'innerId' },
  layer: { clay: 'clayId', mix: 'revisionId', made: 'madeId', scrap: 'tubId', pattern: 'patternRevisionId' },
  assemblyUse: {
    clay: 'clayId',
    mix: 'revisionId',
    blend: 'blendRevisionId',
    cane: 'caneRevisionId',
    pattern: 'patternRevisionId',
    made: 'madeId',
    scrap: 'tubId',
  },
  blendColour: { clay: 'clayId', mix: 'revisionId' },
  sheet: {
    clay: 'clayId',
    mix: 'revisionId',
    blend: 'blendRevisionId',
    cane: 'caneRevisionId',
    pattern: 'patternRevisionId',
  },
  tub: { clay: 'clayId', mix: 'revisionId', blend: 'blendRevisionId' },
  patternUse: { clay: 'clayId', mix: 'revisionId', blend: 'blendRevisionId', cane: 'caneRevisionId' },
  caneUse: { clay: 'clayId', mix: 'revisionId', blend: 'blendRevisionId', cane: 'innerId' },
} as const;

type Table = keyof typeof REFERENCES;
type KindIn<T extends Table> = keyof (typeof REFERENCES)[T];
type ColumnIn<T extends Table> = (typeof REFERENCES)[T][KindIn<T>] & string;
/** What a row of a table can be made of. */
export type MaterialIn<T extends Table> = Extract<Material, { kind: KindIn<T> }>;
/** The columns of a row that say it: one is set, the others are null. */
export type Reference<T extends Table> = Readonly<Record<ColumnIn<T>, string | null>>;

const columnsIn = (table: Table): (readonly [kind: string, column: string])[] => Object.entries(REFERENCES[table]);

/** The columns for a material. */
export function columnsFor<T extends Table>(table: T, of: MaterialIn<T>): Reference<T> {
  const columns = columnsIn(table).map(([kind, column]) => [column, kind === of.kind ? of.id : null]);
  return Object.fromEntries(columns) as Reference<T>;
}

/** The material that the columns of a row say. */
export function materialOf<T extends Table>(table: T, row: Reference<T>): MaterialIn<T> {
  const values: Readonly<Record<string, string | null>> = row;
  const [kind, column] = columnsIn(table).find(([, name]) => values[name] !== null) ?? [];
  if (kind === undefined || column === undefined)
    throw new Fault('a material was read', `A row of ${table} is made of nothing.`);
  return { kind, id: values[column] } as MaterialIn<T>;
}
