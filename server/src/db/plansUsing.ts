import { eq, inArray } from 'drizzle-orm';
import type { Db } from './dataFile.js';
import {
  assemblies,
  assemblyUses,
  batches,
  caneRevisions,
  caneUses,
  canes,
  layers,
  patternRevisions,
  patternUses,
  patterns,
  pieces,
} from './schema.js';

/** Columns that both layers and parts of assembled pieces have. */
const IN_LAYERS = { clayId: layers.clayId, revisionId: layers.revisionId, patternRevisionId: layers.patternRevisionId };

/** Names of the batches whose pieces have a layer, or a part, of one of the materials. */
export async function batchesUsing(
  db: Db,
  what: keyof typeof IN_LAYERS | 'blendRevisionId' | 'caneRevisionId',
  ids: readonly string[],
): Promise<string[]> {
  const parts = await db
    .selectDistinct({ name: batches.name })
    .from(assemblyUses)
    .innerJoin(assemblies, eq(assemblies.id, assemblyUses.assemblyId))
    .innerJoin(batches, eq(batches.id, assemblies.batchId))
    .where(inArray(assemblyUses[what], [...ids]));
  if (what === 'blendRevisionId' || what === 'caneRevisionId') return parts.map((r) => r.name);
  const rows = await db
    .selectDistinct({ name: batches.name })
    .from(layers)
    .innerJoin(pieces, eq(pieces.id, layers.pieceId))
    .innerJoin(batches, eq(batches.id, pieces.batchId))
    .where(inArray(IN_LAYERS[what], [...ids]));
  return [...new Set([...rows, ...parts].map((r) => r.name))];
}

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

/** Names of the patterned sheets whose steps, of any revision, name one of the clays, mixes, blends or canes. */
export async function patternsUsing(
  db: Db,
  what: 'clayId' | 'revisionId' | 'blendRevisionId' | 'caneRevisionId',
  ids: readonly string[],
): Promise<string[]> {
  const rows = await db
    .selectDistinct({ name: patterns.name })
    .from(patternUses)
    .innerJoin(patternRevisions, eq(patternRevisions.id, patternUses.patternRevisionId))
    .innerJoin(patterns, eq(patterns.id, patternRevisions.patternId))
    .where(inArray(patternUses[what], [...ids]));
  return rows.map((r) => r.name);
}

/**
 * Canes and patterned sheets whose steps, and of blends batches whose parts, name one of the clays, mixes or blends, as
 * they are told to a person.
 */
export async function plansUsing(
  db: Db,
  what: 'clayId' | 'revisionId' | 'blendRevisionId',
  ids: readonly string[],
): Promise<string[]> {
  const inPatterns = await patternsUsing(db, what, ids);
  const inCanes = await canesUsing(db, what, ids);
  // batches that use a clay or a mix are told by their own stations
  const inBatches = what === 'blendRevisionId' ? await batchesUsing(db, what, ids) : [];
  return [
    ...inCanes.map((c) => `the cane ${c}`),
    ...inPatterns.map((p) => `the patterned sheet ${p}`),
    ...inBatches.map((b) => `the batch ${b}`),
  ];
}
