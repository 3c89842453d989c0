import { Inject, Injectable } from '@nestjs/common';
import type { BenchStep, LoadItem, OpenPlan } from '#core/batch';
import { isMixable } from '#core/material';
import type {
  BakesAnswer,
  BatchAnswer,
  BatchCard,
  BatchDto,
  DoneDto,
  FindingDemand,
  LayerDto,
  MadeCountDto,
  MostPiecesAnswer,
  PlanAnswer,
  WantedFinding,
} from '#contract';
import { checkVersion, inUse, notThere, refused } from '../access/problem.js';
import { Journal, type Draft } from '../db/journal.js';
import { Studio } from '../mixes/studio.js';
import { Accounts } from '../stock/accounts.js';
import { Assemblies } from './assemblies.js';
import { BatchesStore } from './batches.store.js';
import { KindsWritten } from './kindsWritten.js';
import { splitBatch } from './partOf.js';
import type { KindsOfPieces } from './kindsOfPieces.js';
import { Planning } from './planning.js';
import { StepTimes } from './stepTimes.js';
import { ReservedThings } from './reserved.js';
import { WrittenBatch } from './writtenBatch.js';

/** Forms that a layer can be rolled of. */
const ROLLED: ReadonlySet<string> = new Set(['sheet', 'lump']);

/** A finding with one batch more that wants it. */
function withDemand(known: WantedFinding | undefined, one: FindingDemand, batch: string): WantedFinding {
  const count = (known?.count ?? 0) + one.count;
  const each = one.cost === null ? null : one.cost / one.count;
  const short = Math.max(0, count - one.there);
  return {
    ...{ id: one.id, name: one.name, count, there: one.there, short },
    buyCost: each === null ? null : each * short,
    plans: [...(known?.plans ?? []), { name: batch, count: one.count }],
  };
}

const mutable = ({ pieces, assemblies }: KindsOfPieces): Pick<BatchAnswer, 'pieces' | 'assemblies'> => ({
  pieces: [...pieces],
  assemblies: [...assemblies],
});

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
    @Inject(KindsWritten) private readonly kinds: KindsWritten,
    @Inject(StepTimes) private readonly times: StepTimes,
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

  /** How many of each finding the open batches need together. */
  async openFindings(): Promise<readonly WantedFinding[]> {
    const open = (await this.store.cards()).filter((card) => !card.done);
    const sums = new Map<string, WantedFinding>();
    for (const { id, name } of open)
      for (const one of await this.planning.findingsFor(await this.made(id)))
        sums.set(one.id, withDemand(sums.get(one.id), one, name));
    return [...sums.values()];
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
      for (const { id, pieceId, cores } of own) {
        const piece = [...kinds.pieces, ...kinds.assemblies].find((p) => p.id === pieceId)?.name ?? '';
        names[id] = { piece: cores ? `${piece}, cores` : piece, batch, batchId };
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
    const parts = (await this.store.entriesOf(id)).filter(({ part }) => part);
    return { ...batch, ...kinds, doneEntryId: await this.store.doneEntry(id), parts, plan: answer };
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
      await this.kinds.write(draft, dto);
      draft.summary = stored ? `changed the batch ${dto.name.trim()}` : `new batch ${dto.name.trim()}`;
    });
    return this.open(dto.id);
  }

  async remove(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const batch = await draft.find('batch', id);
      if (!batch) throw notThere('This batch');
      await checkVersion(batch.name, batch.version, version, () => batch);
      if ((await this.store.entriesOf(id)).length > 0)
        throw inUse(`${batch.name} stands in the diary and stays there.`);
      const pieces = await this.store.piecesOf(id);
      draft.remove('layer', await this.store.layersOf(pieces.map((p) => p.id)));
      draft.remove('piece', pieces);
      await this.assemblies.remove(draft, id);
      draft.remove('batch', [batch]);
      draft.summary = `took away the batch ${batch.name}`;
    });
  }

  /** What the plan is for some of its pieces. @param made so many of each kind; the others whole */
  async part(id: string, made: readonly MadeCountDto[]): Promise<PlanAnswer> {
    const { done } = splitBatch(await this.made(id), made);
    return (await this.planning.plan(done)).answer;
  }

  /**
   * Takes the clay off the shelf and writes the diary, in one change; of what is finished only in part the rest stays
   * in the batch. @returns the id of the entry
   */
  async done(changeId: string, id: string, dto: DoneDto): Promise<{ entryId: string }> {
    await this.journal.change(changeId, async (draft) => {
      const batch = await draft.find('batch', id);
      if (!batch) throw notThere('This batch');
      await checkVersion(batch.name, batch.version, dto.version, () => this.open(id));
      if ((await this.store.doneEntry(id)) !== null) throw inUse(`${batch.name} is done already.`);
      const kinds = await this.made(id);
      const split = splitBatch(kinds, dto.made ?? []);
      const part = split.count < split.all;
      const title = part ? `${batch.name}, ${split.count} of ${split.all}` : batch.name;
      const { steps } = await this.planning.plan(kinds);
      await this.written.entry(draft, { id, title, part }, split.done, dto);
      await this.written.findings(draft, dto);
      await this.times.write(draft, dto, steps);
      if (part) {
        await this.kinds.write(draft, { id, ...mutable(split.stays) });
        await draft.put('batch', { ...batch, version: draft.version });
      }
      const account = this.accounts.open(draft, dto.entryId);
      await account.offShelf(dto.used);
      await account.take(dto.taken ?? [], 'taken');
      await account.putAway(dto.left ?? [], 'left');
      await account.close('pieces');
      draft.summary = part ? `${title} done` : `${batch.name} done`;
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
