/**
 * Rows that came as one text, made by `json_group_array(…) AS rows`: to the driver a row of its own costs many times
 * what its text does.
 */
export interface AsText {
  readonly rows: string;
}

/** What stands in it; nothing where nothing was found. */
export const rowsOf = <T>(found: readonly AsText[]): readonly T[] => JSON.parse(found[0]?.rows ?? '[]') as readonly T[];
