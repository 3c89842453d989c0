import { Inject, Injectable } from '@nestjs/common';
import type { BenchStep, LoadItem, OpenPlan } from '#core/batch';
import { isMixable } from '#core/material';
import type { BakesAnswer, BatchAnswer, BatchCard, BatchDto, DoneDto, LayerDto, MostPiecesAnswer } from '#contract';
import { checkVersion, inUse, notThere, refused } from '../access/problem.js';
import { Journal, type Draft } from '../db/journal.js';
import { columnsFor } from '../db/references.js';
import { Studio } from '../mixes/studio.js';
import { Accounts } from '../stock/accounts.js';
import { cutterRow } from '../drawer/cutterRow.js';
import { Assemblies } from './assemblies.js';
import { BatchesStore } from './batches.store.js';
import { Planning } from './planning.js';
import { ReservedThings } from './reserved.js';
import { WrittenBatch } from './writtenBatch.js';

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
    @Inject(Assemblies) private readonly assemblies: Assemblies,
    @Inject(ReservedThings) private readonly reserved: ReservedThings,
    @Inject(WrittenBatch) private readonly written: WrittenBatch,
  ) {}

  cards(): Promise<BatchCard[]> {
    return this.store.cards();
  }

  /** What clay each batch takes that is not done. */
  async openPlans(): Promise<OpenPlan[]> {
    const open = (await this.store.cards()).filter((card) => !card.done);
    const plans: OpenPlan[] = [];
    for (const { id, name } of open) {
      plans.push({ id, name, clays: await this.planning.claysFor(await this.made(id)) });
    }
    return plans;
  }

  /** Every batch that is not done with what is done for it at the bench. */
  async openSteps(): Promise<readonly (BatchCard & { readonly steps: readonly BenchStep[] })[]> {
    const open = (await this.store.cards()).filter((card) => !card.done);
    const all: (BatchCard & { readonly steps: readonly BenchStep[] })[] = [];
    for (const card of open) all.push({ ...card, steps: (await this.planning.plan(await this.made(card.id))).steps });
    return all;
  }

  /** What of all open batches goes into the oven, kind by kind. */
  async bakes(): Promise<BakesAnswer> {
    const open = (await this.store.cards()).filter((card) => !card.done);
    const items: LoadItem[] = [];
    const names: Record<string, BakesAnswer['names'][string]> = {};
    for (const { id: batchId, name: batch } of open) {
      const kinds = await this.made(batchId);
      const own = await this.planning.bakes(batchId, kinds);
      for (const { id } of own) {
        const [, pieceId = '', cores] = id.split(' ');
        const piece = [...kinds.pieces, ...kinds.assemblies].find((p) => p.id === pieceId)?.name ?? '';
        names[id] = { piece: cores === undefined ? piece : `${piece}, cores`, batch, batchId };
      }
      items.push(...own);
    }
    return { items, names };
  }

  async most(id: string, pieceId: string): Promise<MostPiecesAnswer> {
    const kinds = await this.made(id);
    if (![...kinds.pieces, ...kinds.assemblies].some((p) => p.id === pieceId)) throw notThere('This piece');
    return this.planning.most(kinds, pieceId);
  }

  /** All kinds of pieces of a batch. */
  private async made(id: string): Promise<Pick<BatchAnswer, 'pieces' | 'assemblies'>> {
    return { pieces: await this.store.pieces(id), assemblies: await this.assemblies.of(id) };
  }

  async open(id: string): Promise<BatchAnswer> {
    const batch = await this.store.batch(id);
    if (!batch) throw notThere('This batch');
    const kinds = await this.made(id);
    const { answer } = await this.planning.plan(kinds);
    return { ...batch, ...kinds, doneEntryId: await this.store.doneEntry(id), plan: answer };
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
          finish: piece.finish ?? null,
          prices: piece.prices ?? null,
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
      await this.assemblies.write(draft, dto);
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
      await this.assemblies.remove(draft, id);
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
      await this.written.entry(draft, batch, await this.made(id), dto);
      await this.written.findings(draft, dto);
      const account = this.accounts.open(draft, dto.entryId);
      await account.offShelf(dto.used);
      await account.take(dto.taken ?? [], 'taken');
      await account.putAway(dto.left ?? [], 'left');
      await account.close('pieces');
      draft.summary = `${batch.name} done`;
    });
    return { entryId: dto.entryId };
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
    await this.reserved.check(thing, dto.id, at);
  }
}
