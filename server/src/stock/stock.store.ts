import { Inject, Injectable } from '@nestjs/common';
import { and, asc, desc, eq, inArray, isNotNull, notExists, sql, sum } from 'drizzle-orm';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import type { Db } from '../db/dataFile.js';
import {
  assemblies,
  assemblyUses,
  batches,
  blocks,
  entries,
  flows,
  layers,
  pieces,
  sheets,
  tubClays,
  tubs,
} from '../db/schema.js';

/** Which column of a thing that lies there names the revision it was made of. */
const OF_REVISION = {
  pattern: sheets.patternRevisionId,
  blend: sheets.blendRevisionId,
  cane: sheets.caneRevisionId,
} as const;
/** Kinds of plans that things are made of. */
export type MadeOfPlan = keyof typeof OF_REVISION;

/** A plan that counts on a thing. */
export interface Counting {
  readonly madeId: string;
  readonly id: string;
  readonly name: string;
}

/** A thing with the day it was made. */
type Dated = Row<'sheet'> & { readonly madeOn: string };

/** Rows that are asked for by their ids in one go. */
const AT_ONCE = 500;

@Injectable()
export class StockStore {
  /** things as they were read last, by their ids: one of another version is read anew */
  private read = new Map<string, Dated>();

  constructor(@Inject(DB) private readonly db: Db) {}

  tubs(): Promise<Row<'tub'>[]> {
    return this.db.select().from(tubs).orderBy(tubs.name);
  }

  contentsOf(tubId: string): Promise<Row<'tubContent'>[]> {
    return this.db.select().from(tubClays).where(eq(tubClays.tubId, tubId));
  }

  contents(): Promise<Row<'tubContent'>[]> {
    return this.db.select().from(tubClays);
  }

  /** What is not used up, newest first, with the day it was made. Rows that have not changed are not read again. */
  async things(): Promise<Dated[]> {
    const lying = await this.db
      .select({ id: sheets.id, version: sheets.version, madeOn: entries.madeOn })
      .from(sheets)
      .innerJoin(entries, eq(entries.id, sheets.entryId))
      .where(eq(sheets.gone, false))
      .orderBy(desc(entries.madeOn), desc(sheets.version));
    const fresh = lying.filter(({ id, version }) => this.read.get(id)?.version !== version).map(({ id }) => id);
    const before = this.read;
    this.read = new Map();
    for (let i = 0; i < fresh.length; i += AT_ONCE)
      for (const row of await this.madeOf(fresh.slice(i, i + AT_ONCE))) before.set(row.id, { ...row, madeOn: '' });
    return lying.flatMap(({ id, madeOn }) => {
      const row = before.get(id);
      if (!row) return [];
      const dated = row.madeOn === madeOn ? row : { ...row, madeOn };
      this.read.set(id, dated);
      return [dated];
    });
  }

  /** By their ids, used up or not. */
  async madeOf(ids: readonly string[]): Promise<Row<'sheet'>[]> {
    if (ids.length === 0) return [];
    return this.db
      .select()
      .from(sheets)
      .where(inArray(sheets.id, [...ids]));
  }

  /** Things of a revision that lie there, in the order of their names. */
  async ofRevision(kind: MadeOfPlan, revisionId: string): Promise<Row<'sheet'>[]> {
    return this.db
      .select()
      .from(sheets)
      .where(and(eq(OF_REVISION[kind], revisionId), eq(sheets.gone, false)))
      .orderBy(asc(sheets.name));
  }

  /** Batches that are not done and have a layer, or a part, of something that lies there. */
  async countedOn(): Promise<Counting[]> {
    const done = this.db
      .select({ id: entries.id })
      .from(entries)
      .where(and(eq(entries.batchId, batches.id), eq(entries.part, false)));
    const inLayers = await this.db
      .selectDistinct({ madeId: layers.madeId, id: batches.id, name: batches.name })
      .from(layers)
      .innerJoin(pieces, eq(pieces.id, layers.pieceId))
      .innerJoin(batches, eq(batches.id, pieces.batchId))
      .where(and(isNotNull(layers.madeId), notExists(done)));
    const inParts = await this.db
      .selectDistinct({ madeId: assemblyUses.madeId, id: batches.id, name: batches.name })
      .from(assemblyUses)
      .innerJoin(assemblies, eq(assemblies.id, assemblyUses.assemblyId))
      .innerJoin(batches, eq(batches.id, assemblies.batchId))
      .where(and(isNotNull(assemblyUses.madeId), notExists(done)));
    const rows = [...inLayers, ...inParts];
    return rows.flatMap(({ madeId, ...batch }) => (madeId === null ? [] : [{ madeId, ...batch }]));
  }

  /** g of all blocks, as they were bought and as they are. */
  async blocks(): Promise<{ readonly bought: number; readonly left: number }> {
    // what was brought back was bought before, as another block
    const bought = sql<number>`sum(CASE WHEN ${blocks.inside} IS NULL THEN ${blocks.netGrams} ELSE 0 END)`;
    const [row] = await this.db.select({ bought, left: sum(blocks.leftGrams) }).from(blocks);
    return { bought: Number(row?.bought ?? 0), left: Number(row?.left ?? 0) };
  }

  /** g of each kind of flow. */
  async sums(): Promise<ReadonlyMap<Row<'flow'>['kind'], number>> {
    const rows = await this.db
      .select({ kind: flows.kind, grams: sum(flows.grams) })
      .from(flows)
      .groupBy(flows.kind);
    return new Map(rows.map((r) => [r.kind, Number(r.grams ?? 0)]));
  }

  /** What an entry was made from and what became of it, with the names of things and tubs. */
  async flowsIn(entryId: string): Promise<{ kind: Row<'flow'>['kind']; grams: number; name: string | null }[]> {
    const rows = await this.db
      .select()
      .from(flows)
      .leftJoin(sheets, eq(sheets.id, flows.madeId))
      .leftJoin(tubs, eq(tubs.id, flows.tubId))
      .where(eq(flows.entryId, entryId));
    return rows.map(({ flow, sheet, tub }) => ({
      kind: flow.kind,
      grams: flow.grams,
      name: sheet?.name ?? tub?.name ?? null,
    }));
  }
}
