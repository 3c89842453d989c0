import { eq, inArray } from 'drizzle-orm';
import type { Db } from './dataFile.js';
import { caneRevisions, caneUses, canes, patternRevisions, patternUses, patterns } from './schema.js';

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

/** Canes and patterned sheets whose steps name one of the clays, mixes or blends, as they are told to a person. */
export async function plansUsing(
  db: Db,
  what: 'clayId' | 'revisionId' | 'blendRevisionId',
  ids: readonly string[],
): Promise<string[]> {
  const rows = await db
    .selectDistinct({ name: patterns.name })
    .from(patternUses)
    .innerJoin(patternRevisions, eq(patternRevisions.id, patternUses.patternRevisionId))
    .innerJoin(patterns, eq(patterns.id, patternRevisions.patternId))
    .where(inArray(patternUses[what], [...ids]));
  const inCanes = await canesUsing(db, what, ids);
  return [...inCanes.map((c) => `the cane ${c}`), ...rows.map((r) => `the patterned sheet ${r.name}`)];
}
