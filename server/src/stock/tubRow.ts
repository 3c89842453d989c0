import type { TubFor } from '#core/stock';
import type { Row } from '../db/journal.js';
import { materialOf } from '../db/references.js';

/** What a tub is for, by its row. */
export function tubOf(row: Row<'tub'>): TubFor {
  const { rule, clayId, revisionId, blendRevisionId } = row;
  const named = [clayId, revisionId, blendRevisionId].some((id) => id !== null);
  return { rule, of: named ? materialOf('tub', row) : null };
}
