import { Inject, Injectable } from '@nestjs/common';
import { asc, eq, inArray } from 'drizzle-orm';
import type { BatchCard, PieceDto } from '#contract';
import { materialOf } from '../db/references.js';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import type { Db } from '../db/dataFile.js';
import { assemblies, batches, entries, layers, pieces } from '../db/schema.js';

@Injectable()
export class BatchesStore {
  constructor(@Inject(DB) private readonly db: Db) {}

  async cards(): Promise<BatchCard[]> {
    const rows = await this.db.select().from(batches);
    const cut = await this.db.select({ batchId: pieces.batchId, count: pieces.count }).from(pieces);
    const assembled = await this.db.select({ batchId: assemblies.batchId, count: assemblies.count }).from(assemblies);
    const all = [...cut, ...assembled];
    const whole = await this.db.selectDistinct({ id: entries.batchId }).from(entries).where(eq(entries.part, false));
    const done = new Set(whole.map((e) => e.id));
    return rows.map(({ id, name, dueOn }) => {
      const own = all.filter((p) => p.batchId === id);
      return {
        id,
        name,
        dueOn,
        done: done.has(id),
        kinds: own.length,
        pieces: own.reduce((sum, p) => sum + p.count, 0),
      };
    });
  }

  async batch(id: string): Promise<Row<'batch'> | undefined> {
    const [row] = await this.db.select().from(batches).where(eq(batches.id, id));
    return row;
  }

  piecesOf(batchId: string): Promise<Row<'piece'>[]> {
    return this.db.select().from(pieces).where(eq(pieces.batchId, batchId)).orderBy(asc(pieces.position));
  }

  layersOf(pieceIds: readonly string[]): Promise<Row<'layer'>[]> {
    return this.db
      .select()
      .from(layers)
      .where(inArray(layers.pieceId, [...pieceIds]))
      .orderBy(asc(layers.position));
  }

  async pieces(batchId: string): Promise<PieceDto[]> {
    const rows = await this.piecesOf(batchId);
    const all = await this.layersOf(rows.map((p) => p.id));
    return rows.map(({ batchId: _, position: __, ...piece }) => ({
      ...piece,
      layers: all
        .filter((l) => l.pieceId === piece.id)
        .map((layer) => ({ id: layer.id, of: materialOf('layer', layer), settingId: layer.settingId })),
    }));
  }

  async doneEntry(batchId: string): Promise<string | null> {
    return (await this.entriesOf(batchId)).find(({ part }) => !part)?.entryId ?? null;
  }

  /** Everything that was written down of it: the whole of it, or some of its pieces. */
  entriesOf(batchId: string): Promise<{ entryId: string; title: string; madeOn: string; part: boolean }[]> {
    const { id: entryId, title, madeOn, part } = entries;
    return this.db
      .select({ entryId, title, madeOn, part })
      .from(entries)
      .where(eq(entries.batchId, batchId))
      .orderBy(asc(madeOn));
  }
}
