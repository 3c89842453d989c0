import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { cutterBox, toCut } from '#core/batch';
import type { BatchAnswer, BatchCard, BatchDto, DoneDto } from '#contract';
import { checkVersion, inUse, notThere, refused } from '../access/problem.js';
import { Journal, type Draft } from '../db/journal.js';
import { columnsFor } from '../db/references.js';
import { Studio } from '../mixes/studio.js';
import { takeClay } from '../shelf/takeClay.js';
import { BatchesStore } from './batches.store.js';
import { Planning } from './planning.js';

@Injectable()
export class BatchesService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(BatchesStore) private readonly store: BatchesStore,
    @Inject(Planning) private readonly planning: Planning,
  ) {}

  cards(): Promise<BatchCard[]> {
    return this.store.cards();
  }

  async open(id: string): Promise<BatchAnswer> {
    const batch = await this.store.batch(id);
    if (!batch) throw notThere('This batch');
    const pieces = await this.store.pieces(id);
    const { answer } = await this.planning.plan(pieces);
    return { ...batch, pieces, doneEntryId: await this.store.doneEntry(id), plan: answer };
  }

  async save(changeId: string, dto: BatchDto): Promise<BatchAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('batch', dto.id);
      await checkVersion(stored?.name ?? 'This batch', stored?.version, dto.version, () => this.open(dto.id));
      if ((await this.store.doneEntry(dto.id)) !== null) {
        throw inUse(`${dto.name} is done and written down. Copy it to make it again, or take “done” back with undo.`);
      }
      await this.checkLayers(draft, dto);
      await draft.put('batch', {
        id: dto.id,
        name: dto.name.trim(),
        note: dto.note,
        dueOn: dto.dueOn,
        version: draft.version,
      });
      const before = await this.store.piecesOf(dto.id);
      draft.replace(
        'piece',
        before,
        dto.pieces.map(({ layers: _, ...piece }, position) => ({
          ...piece,
          edgeMm: piece.edgeMm ?? null,
          heightMm: piece.shape === 'round' ? null : (piece.heightMm ?? piece.widthMm),
          position,
          batchId: dto.id,
        })),
      );
      draft.replace(
        'layer',
        await this.store.layersOf(before.map((p) => p.id)),
        dto.pieces.flatMap((piece) =>
          piece.layers.map(({ id, of, settingId }, position) => ({
            id,
            pieceId: piece.id,
            position,
            ...columnsFor('layer', of),
            settingId,
          })),
        ),
      );
      draft.summary = stored ? `changed the batch ${dto.name.trim()}` : `new batch ${dto.name.trim()}`;
    });
    return this.open(dto.id);
  }

  async remove(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const batch = await draft.find('batch', id);
      if (!batch) throw notThere('This batch');
      await checkVersion(batch.name, batch.version, version, () => batch);
      if ((await this.store.doneEntry(id)) !== null) throw inUse(`${batch.name} stands in the diary and stays there.`);
      const pieces = await this.store.piecesOf(id);
      draft.remove('layer', await this.store.layersOf(pieces.map((p) => p.id)));
      draft.remove('piece', pieces);
      draft.remove('batch', [batch]);
      draft.summary = `took away the batch ${batch.name}`;
    });
  }

  /** Takes the clay off the shelf and writes the diary, in one change. @returns the id of the entry */
  async done(changeId: string, id: string, dto: DoneDto): Promise<{ entryId: string }> {
    await this.journal.change(changeId, async (draft) => {
      const batch = await draft.find('batch', id);
      if (!batch) throw notThere('This batch');
      await checkVersion(batch.name, batch.version, dto.version, () => this.open(id));
      if ((await this.store.doneEntry(id)) !== null) throw inUse(`${batch.name} is done already.`);
      await takeClay(draft, this.studio, dto.entryId, dto.used);
      await this.writeEntry(draft, batch, dto);
      draft.summary = `${batch.name} done`;
    });
    return { entryId: dto.entryId };
  }

  private async writeEntry(draft: Draft, batch: { id: string; name: string }, dto: DoneDto): Promise<void> {
    const { plan, orders, answer } = await this.planning.plan(await this.store.pieces(batch.id));
    const good = orders.filter((o) => plan.pieces.some((p) => p.id === o.id && p.wrong === null));
    if (good.length === 0) throw refused(`${batch.name} has no piece that can be cut yet.`, 'pieces');
    await draft.put('entry', {
      id: dto.entryId,
      version: draft.version,
      batchId: batch.id,
      madeOn: dto.madeOn,
      title: batch.name,
      note: dto.note,
      words: [...good.map((o) => o.name), ...answer.mixes.map((m) => m.name), ...answer.clays.map((c) => c.name)].join(
        ' ',
      ),
    });
    for (const order of good) {
      await draft.put('entryPiece', {
        id: randomUUID(),
        entryId: dto.entryId,
        name: order.name,
        count: toCut(order),
        widthMm: cutterBox(order.cutter).width,
        heightMm: order.cutter.shape === 'round' ? null : order.cutter.height,
      });
    }
    for (const { of, made } of plan.demand.mixes) {
      if (of.kind === 'mix') {
        await draft.put('entryMix', { id: randomUUID(), entryId: dto.entryId, revisionId: of.id, grams: made });
      }
    }
  }

  private async checkLayers(draft: Draft, dto: BatchDto): Promise<void> {
    for (const [p, piece] of dto.pieces.entries()) {
      for (const [l, layer] of piece.layers.entries()) {
        const at = `pieces.${p}.layers.${l}`;
        if (!this.studio.has(layer.of)) throw refused('Choose a mix or a clay for this layer.', `${at}.of`);
        if (!(await draft.find('setting', layer.settingId)))
          throw refused('Choose a setting for this layer.', `${at}.settingId`);
      }
    }
  }
}
