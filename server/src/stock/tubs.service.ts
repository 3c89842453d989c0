import { Inject, Injectable } from '@nestjs/common';
import { ofClay } from '#core/material';
import { lookUp } from '#core/stock';
import type { EmptiedDto, StretchedDto, TubAnswer, TubDto } from '#contract';
import { checkVersion, notThere } from '../access/problem.js';
import { Journal } from '../db/journal.js';
import { writeEntry } from '../db/writeEntry.js';
import { Studio } from '../mixes/studio.js';
import { Accounts } from './accounts.js';
import { StockLooks } from './looks.js';
import { tubOf } from './tubRow.js';

/** Tubs of scrap. */
@Injectable()
export class TubsService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(StockLooks) private readonly looks: StockLooks,
    @Inject(Accounts) private readonly accounts: Accounts,
  ) {}

  async save(changeId: string, dto: TubDto): Promise<TubAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('tub', dto.id);
      await checkVersion(stored?.name ?? 'This tub', stored?.version, dto.version, () => this.one(dto.id));
      const fresh = { rule: 'none' as const, clayId: null, revisionId: null, blendRevisionId: null, takes: [] };
      const said = { id: dto.id, version: draft.version, name: dto.name.trim(), keptIn: dto.keptIn.trim() };
      const before = stored ?? fresh;
      await draft.put('tub', { ...before, ...said, takes: dto.takes ?? before.takes });
      draft.summary = stored ? `changed the tub ${said.name}` : `new tub ${said.name}`;
    });
    return this.one(dto.id);
  }

  /** Clay off the shelf goes into a tub, so that there is more of it. */
  async stretched(changeId: string, id: string, dto: StretchedDto): Promise<TubAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const tub = await draft.find('tub', id);
      if (!tub) throw notThere('This tub');
      await checkVersion(tub.name, tub.version, dto.version, () => this.one(id));
      await writeEntry(draft, dto, { title: `${tub.name} stretched`, words: ['scrap'] });
      const account = this.accounts.open(draft, dto.entryId);
      await account.offShelf(dto.used);
      const parts = dto.used.map(({ clayId, grams }) => ({ of: ofClay(clayId), grams }));
      await account.intoTub(tub, parts, account.open);
      await account.close('lost');
      await draft.put('tub', { ...tub, version: draft.version });
      draft.summary = `stretched ${tub.name}`;
    });
    return this.one(id);
  }

  /** All of a tub is thrown away. */
  async emptied(changeId: string, id: string, dto: EmptiedDto): Promise<TubAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const tub = await draft.find('tub', id);
      if (!tub) throw notThere('This tub');
      await checkVersion(tub.name, tub.version, dto.version, () => this.one(id));
      const { grams } = await this.one(id);
      await writeEntry(draft, dto, { title: `${tub.name} thrown away`, words: ['scrap'] });
      const account = this.accounts.open(draft, dto.entryId);
      await account.take([{ of: { kind: 'scrap', id }, grams }], 'grams');
      await account.close('thrown');
      await draft.put('tub', { ...tub, version: draft.version });
      draft.summary = `threw ${tub.name} away`;
    });
    return this.one(id);
  }

  private async one(id: string): Promise<TubAnswer> {
    const tub = (await this.all()).find((t) => t.id === id);
    if (!tub) throw notThere('This tub');
    return tub;
  }

  async all(): Promise<TubAnswer[]> {
    const { tubs, book } = await this.looks.allTubs();
    return tubs.map(({ row, grams, clays }) => {
      const hexOf = (stage: 'raw' | 'baked'): string | null =>
        clays.length === 0
          ? null
          : (lookUp({ kind: 'scrap', id: row.id }, book, { stage, pigments: this.studio.pigments }).hexes[0] ?? null);
      return {
        ...tubOf(row),
        id: row.id,
        version: row.version,
        name: row.name,
        keptIn: row.keptIn,
        takes: [...row.takes],
        grams,
        hex: hexOf('baked'),
        rawHex: hexOf('raw'),
        clays: clays.map((c) => ({ clayId: c.clayId, grams: c.grams, name: this.studio.called(ofClay(c.clayId)) })),
      };
    });
  }
}
