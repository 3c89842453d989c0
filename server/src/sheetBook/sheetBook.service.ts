import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { cutterOf, sheetLeft } from '#core/batch';
import { flatOf } from '#core/mix';
import { lookUp } from '#core/stock';

import type { ConditionedAnswer, ConditionedDto, RolledDto, SheetAnswer, SheetDto } from '#contract';
import { checkVersion, notThere, refused, refusedAt } from '../access/problem.js';
import { BlendsService } from '../blends/blends.service.js';
import { columnsFor, materialOf, type MaterialIn } from '../db/references.js';
import { Journal, type Row } from '../db/journal.js';
import { Studio } from '../mixes/studio.js';
import { takeClay } from '../shelf/takeClay.js';
import { sheetRow } from '../sheets/sheetRow.js';
import { SheetBookStore } from './sheetBook.store.js';

/** Sheets that were really made, and clay that was conditioned. */
@Injectable()
export class SheetBookService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(BlendsService) private readonly blends: BlendsService,
    @Inject(SheetBookStore) private readonly store: SheetBookStore,
  ) {}

  async all(): Promise<SheetAnswer[]> {
    return Promise.all((await this.store.all()).map((row) => this.answer(row)));
  }

  /** The sheets that an entry of the diary tells of. */
  async ofEntry(entryId: string): Promise<SheetAnswer[]> {
    return Promise.all((await this.store.ofEntry(entryId)).map((row) => this.answer({ ...row, madeOn: '' })));
  }

  async conditioned(): Promise<ConditionedAnswer> {
    return (await this.store.conditioned()).map(({ lineId, firmness, months, roomC, school, passes, grams }) => ({
      lineId,
      firmness,
      months,
      roomC,
      school,
      passes,
      grams,
    }));
  }

  async conditionedIn(
    entryId: string,
  ): Promise<readonly { clayId: string; name: string; school: string; passes: number; roomC: number }[]> {
    return (await this.store.conditionedIn(entryId)).map(({ clayId, school, passes, roomC }) => ({
      clayId,
      school,
      passes,
      roomC,
      name: this.studio.clay(clayId)?.name ?? '',
    }));
  }

  async save(changeId: string, dto: SheetDto): Promise<SheetAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('sheet', dto.id);
      if (!stored) throw notThere('This sheet');
      await checkVersion(stored.name, stored.version, dto.version, () => this.answer({ ...stored, madeOn: '' }));
      checkSheet(dto);
      await draft.put('sheet', {
        ...stored,
        ...sheetRow(dto),
        rolledAt: dto.rolledAt ?? stored.rolledAt,
        version: draft.version,
      });
      draft.summary = summaryOf(dto, stored);
    });
    return this.one(dto.id);
  }

  /** Takes the clay off the shelf, writes the diary and puts the sheet into the book, in one change. */
  async rolled(changeId: string, dto: RolledDto): Promise<SheetAnswer> {
    const { sheet, of, entryId, madeOn, note, used, rolledAt } = dto;
    await this.journal.change(changeId, async (draft) => {
      if (await draft.find('sheet', sheet.id)) throw refused('This sheet stands in the book already.', 'sheet.id');
      if (!this.studio.has(of)) throw refused('Say which clay or mix the sheet is made of.', 'of');
      checkSheet(sheet);
      const names = [this.studio.called(of), ...flatOf(of, this.studio).shares.map((s) => s.clay.name)];
      await draft.put('entry', {
        id: entryId,
        version: draft.version,
        batchId: null,
        madeOn,
        title: sheet.name.trim(),
        note,
        words: ['sheet', ...names].join(' '),
      });
      await takeClay(draft, this.studio, entryId, used);
      if (of.kind === 'mix')
        await draft.put('entryMix', { id: randomUUID(), entryId, revisionId: of.id, grams: sheet.grams });
      await draft.put('sheet', {
        ...sheetRow(sheet),
        version: draft.version,
        entryId,
        ...columnsFor('sheet', of),
        rolledAt,
      });
      draft.summary = `rolled ${sheet.name.trim()}`;
    });
    return this.one(sheet.id);
  }

  async writeConditioned(changeId: string, dto: ConditionedDto): Promise<{ entryId: string }> {
    await this.journal.change(changeId, async (draft) => {
      const { entryId, madeOn, note, ...row } = dto;
      const clay = this.studio.clay(dto.clayId);
      if (!clay) throw refused('This clay is not on the shelf.', 'clayId');
      await draft.put('entry', {
        id: entryId,
        version: draft.version,
        batchId: null,
        madeOn,
        title: `${clay.name} conditioned`,
        note,
        words: `conditioned ${clay.name} ${this.studio.line(clay.lineId)?.name ?? ''}`,
      });
      await draft.put('entryConditioning', { ...row, id: randomUUID(), entryId });
      draft.summary = `conditioned ${clay.name}`;
    });
    return { entryId: dto.entryId };
  }

  private async one(id: string): Promise<SheetAnswer> {
    const row = await this.store.one(id);
    if (!row) throw notThere('This sheet');
    return this.answer(row);
  }

  private async answer(row: Row<'sheet'> & { readonly madeOn: string }): Promise<SheetAnswer> {
    const { clayId: _, revisionId: __, blendRevisionId: ___, ...rest } = row;
    const of = materialOf('sheet', row);
    return { ...rest, of, ...(await this.looks(of)) };
  }

  /** What a sheet of something is called, looks like as it lies there, and weighs. */
  private async looks(of: MaterialIn<'sheet'>): Promise<Looks> {
    if (of.kind === 'blend') {
      const blend = await this.blends.asMade(of.id);
      if (!blend) throw notThere('The blend of this sheet');
      return { blendId: blend.blendId, ofName: blend.name, hexes: blend.hexes, density: blend.density };
    }
    const { name, hexes, density } = lookUp(of, this.studio.asBook(), { stage: 'raw', pigments: this.studio.pigments });
    return { blendId: null, ofName: name, hexes, density };
  }
}

/** What happened to a sheet, for the list of changes. */
function summaryOf({ name, gone, form }: SheetDto, before: Row<'sheet'>): string {
  if (gone && !before.gone) return `${name.trim()} is used up`;
  if (form !== 'sheet' && before.form === 'sheet') return `wound ${name.trim()} up`;
  return `changed the sheet ${name.trim()}`;
}

type Looks = Pick<SheetAnswer, 'blendId' | 'ofName' | 'hexes' | 'density'>;

/** @throws ProblemException at the cut that does not fit on what was left */
function checkSheet(sheet: SheetDto): void {
  refusedAt('cuts', () => {
    sheetLeft(
      sheet,
      sheet.cuts.map((c) => ({
        cutter: cutterOf(c.widthMm, c.shape === 'round' ? null : (c.heightMm ?? c.widthMm)),
        count: c.count,
        bridge: c.bridgeMm,
      })),
    );
  });
}
