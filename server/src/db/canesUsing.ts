import { eq, inArray } from 'drizzle-orm';
import type { Db } from './dataFile.js';
import { caneRevisions, caneUses, canes } from './schema.js';

/** Names of the canes whose steps, of any revision, name one of the clays, mixes, blends or other canes. */
export async function canesUsing(
  db: Db,
  what: 'clayId' | 'revisionId' | 'blendRevisionId' | 'innerId',
  ids: readonly string[],
): Promise<string[]> {
  const rows = await db
    .selectDistinct({ name: canes.name })
    .from(caneUses)
    .innerJoin(caneRevisions, eq(caneRevisions.id, caneUses.caneRevisionId))
    .innerJoin(canes, eq(canes.id, caneRevisions.caneId))
    .where(inArray(caneUses[what], [...ids]));
  return rows.map((r) => r.name);
}
