import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { toCut, type OpenPlan } from '#core/batch';
import { plainCutter } from '#core/cutter';
import { isMixable } from '#core/material';
import type { BatchAnswer, BatchCard, BatchDto, DoneDto, LayerDto, MostPiecesAnswer } from '#contract';
import { checkVersion, inUse, notThere, refused } from '../access/problem.js';
import { CanesTold } from '../canes/canes.told.js';
import { Journal, type Draft } from '../db/journal.js';
import { columnsFor } from '../db/references.js';
import { Studio } from '../mixes/studio.js';
import { Accounts } from '../stock/accounts.js';
import { StockStore } from '../stock/stock.store.js';
import { cutterRow } from '../drawer/cutterRow.js';
import { BatchesStore } from './batches.store.js';
import { Planning } from './planning.js';

/** Forms that a layer can be rolled of. */
const ROLLED: ReadonlySet<string> = new Set(['sheet', 'lump']);

@Injectable()
export class BatchesService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(BatchesStore) private readonly store: BatchesStore,
    @Inject(Planning) private readonly planning: Planning,
    @Inject(Accounts) private readonly accounts: Accounts,
    @Inject(StockStore) private readonly stock: StockStore,
    @Inject(CanesTold) private readonly canes: CanesTold,
  ) {}

  cards(): Promise<BatchCard[]> {
    return this.store.cards();
  }

  /** What clay each batch takes that is not done. */
  async openPlans(): Promise<OpenPlan[]> {
    const open = (await this.store.cards()).filter((card) => !card.done);
    const plans: OpenPlan[] = [];
    for (const { id, name } of open) {
      plans.push({ id, name, clays: await this.planning.claysFor(await this.store.pieces(id)) });
    }
    return plans;
  }

  async most(id: string, pieceId: string): Promise<MostPiecesAnswer> {
    const pieces = await this.store.pieces(id);
    if (!pieces.some((p) => p.id === pieceId)) throw notThere('This piece');
    return this.planning.most(pieces, pieceId);
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
          ...cutterRow(piece, `pieces.${position}.`),
          edgeMm: piece.edgeMm ?? null,
          pairs: piece.pairs ?? false,
          film: piece.film ?? false,
          lie: piece.lie ?? 'close',
          placed: piece.placed ?? null,
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
      await this.writeEntry(draft, batch, dto);
      const account = this.accounts.open(draft, dto.entryId);
      await account.offShelf(dto.used);
      await account.take(dto.taken ?? [], 'taken');
      await account.putAway(dto.left ?? [], 'left');
      await account.close('pieces');
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
        ...cutterRow(plainCutter(order.cutter), 'pieces.'),
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
        await this.checkLayer(draft, dto, layer.of, `${at}.of`);
        if (!(await draft.find('setting', layer.settingId)))
          throw refused('Choose a setting for this layer.', `${at}.settingId`);
      }
    }
  }

  /** @throws ProblemException where it is not there, cannot be rolled, or another batch counts on it */
  private async checkLayer(draft: Draft, dto: BatchDto, of: LayerDto['of'], at: string): Promise<void> {
    if (isMixable(of)) {
      if (!this.studio.has(of)) throw refused('Choose a mix or a clay for this layer.', at);
      return;
    }
    if (of.kind === 'pattern') {
      if (!(await draft.find('patternRevision', of.id)))
        throw refused('The patterned sheet of this layer is not there any more.', at);
      return;
    }
    if (of.kind === 'scrap') {
      if (!(await draft.find('tub', of.id))) throw refused('This tub is not there any more.', at);
      return;
    }
    const thing = await draft.find('sheet', of.id);
    if (!thing) throw refused('What this layer is rolled of does not lie there any more.', at);
    if (!ROLLED.has(thing.form))
      throw refused(`${thing.name} is no sheet and no lump: a layer is rolled of one of those.`, at);
    const counting = [...(await this.stock.countedOn()), ...(await this.canes.countedOn())];
    const other = counting.find((c) => c.madeId === of.id && c.id !== dto.id);
    if (other) throw refused(`${thing.name} is reserved for ${other.name}. Take it out there first.`, at);
  }
}
