import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { checkCutter, cutterOf, sheetLeft } from '#core/cutter';
import { flatOf } from '#core/mix';

import {
  cutOfSheet,
  type ConditionedAnswer,
  type ConditionedDto,
  type DiaryAnswer,
  type RolledDto,
  type MadeAnswer,
  type MadeDto,
} from '#contract';
import { checkVersion, notThere, refused, refusedAt } from '../access/problem.js';
import { columnsFor } from '../db/references.js';
import { Journal, type Row } from '../db/journal.js';
import { writeEntry } from '../db/writeEntry.js';
import { Studio } from '../mixes/studio.js';
import { sheetRow } from '../sheets/sheetRow.js';
import { SheetsStore } from '../sheets/sheets.store.js';
import { Accounts } from '../stock/accounts.js';
import { MadeAnswers } from '../stock/madeAnswers.js';
import { SheetBookStore } from './sheetBook.store.js';

/** Sheets that were really made, and clay that was conditioned. */
@Injectable()
export class SheetBookService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(MadeAnswers) private readonly answers: MadeAnswers,
    @Inject(SheetBookStore) private readonly store: SheetBookStore,
    @Inject(SheetsStore) private readonly sheets: SheetsStore,
    @Inject(Accounts) private readonly accounts: Accounts,
  ) {}

  async all(): Promise<MadeAnswer[]> {
    return Promise.all((await this.store.all()).map((row) => this.answer(row)));
  }

  /** The sheets that an entry of the diary tells of. */
  async ofEntry(entryId: string): Promise<MadeAnswer[]> {
    return Promise.all((await this.store.ofEntry(entryId)).map((row) => this.answer({ ...row, madeOn: '' })));
  }

  conditioned(): Promise<ConditionedAnswer> {
    return this.sheets.conditioned();
  }

  async conditionedIn(entryId: string): Promise<DiaryAnswer['conditioned']> {
    return (await this.store.conditionedIn(entryId)).map(({ clayId, school, squeeze, passes, roomC }) => ({
      clayId,
      school,
      squeeze,
      passes,
      roomC,
      name: this.studio.clay(clayId)?.name ?? '',
    }));
  }

  async save(changeId: string, dto: MadeDto): Promise<MadeAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('sheet', dto.id);
      if (!stored) throw notThere('This sheet');
      await checkVersion(stored.name, stored.version, dto.version, () => this.answer({ ...stored, madeOn: '' }));
      checkSheet(dto);
      const after = {
        ...stored,
        ...sheetRow(dto),
        rolledAt: dto.rolledAt ?? stored.rolledAt,
        count: dto.count ?? stored.count,
        keptIn: dto.keptIn?.trim() ?? stored.keptIn,
        version: draft.version,
      };
      await draft.put('sheet', after);
      // what it weighs less was lost, or all of it was used up; what it weighs more was found
      const account = this.accounts.open(draft, stored.entryId);
      await account.changed(stored, after);
      draft.summary = summaryOf(dto, stored);
    });
    return this.one(dto.id);
  }

  /** Takes the clay off the shelf, writes the diary and puts the sheet into the book, in one change. */
  async rolled(changeId: string, dto: RolledDto): Promise<MadeAnswer> {
    const { sheet, of, entryId, used, rolledAt } = dto;
    await this.journal.change(changeId, async (draft) => {
      if (await draft.find('sheet', sheet.id)) throw refused('This sheet stands in the book already.', 'sheet.id');
      if (!this.studio.has(of)) throw refused('Say which clay or mix the sheet is made of.', 'of');
      checkSheet(sheet);
      const names = [this.studio.called(of), ...flatOf(of, this.studio).shares.map((s) => s.clay.name)];
      await writeEntry(draft, dto, { title: sheet.name.trim(), words: ['sheet', ...names] });
      const account = this.accounts.open(draft, entryId);
      await account.offShelf(used);
      await account.take(dto.ready ?? [], 'ready');
      if (of.kind === 'mix')
        await draft.put('entryMix', { id: randomUUID(), entryId, revisionId: of.id, grams: sheet.grams });
      const more = { version: draft.version, entryId, rolledAt, seen: null };
      await account.made({ ...sheetRow(sheet), ...columnsFor('sheet', of), ...more });
      await account.putAway(dto.left ?? [], 'left');
      await account.close('lost');
      draft.summary = `rolled ${sheet.name.trim()}`;
    });
    return this.one(sheet.id);
  }

  async writeConditioned(changeId: string, dto: ConditionedDto): Promise<{ entryId: string }> {
    await this.journal.change(changeId, async (draft) => {
      const { entryId, clayId, firmness, months, roomC, school, passes, grams, squeeze = null } = dto;
      const clay = this.studio.clay(clayId);
      if (!clay) throw refused('This clay is not on the shelf.', 'clayId');
      const line = this.studio.line(clay.lineId)?.name ?? '';
      await writeEntry(draft, dto, { title: `${clay.name} conditioned`, words: ['conditioned', clay.name, line] });
      const how = { clayId, firmness, months, roomC, school, passes, grams, squeeze };
      await draft.put('entryConditioning', { ...how, id: randomUUID(), entryId });
      draft.summary = `conditioned ${clay.name}`;
    });
    return { entryId: dto.entryId };
  }

  private async one(id: string): Promise<MadeAnswer> {
    const row = await this.store.one(id);
    if (!row) throw notThere('This sheet');
    return this.answer(row);
  }

  private answer(row: Row<'sheet'> & { readonly madeOn: string }): Promise<MadeAnswer> {
    return this.answers.of(row);
  }
}

/** What happened to a sheet, for the list of changes. */
function summaryOf({ name, gone, form }: MadeDto, before: Row<'sheet'>): string {
  if (gone && !before.gone) return `${name.trim()} is used up`;
  if (form !== 'sheet' && before.form === 'sheet') return `wound ${name.trim()} up`;
  return `changed the sheet ${name.trim()}`;
}

/** @throws ProblemException at the cut that does not fit on what was left */
function checkSheet(sheet: MadeDto): void {
  if (sheet.cuts.length === 0) return;
  refusedAt('cuts', () => {
    for (const cut of sheet.cuts) checkCutter(cutterOf(cut));
    sheetLeft(sheet, sheet.cuts.map(cutOfSheet));
  });
}
