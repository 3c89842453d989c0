import { Inject, Injectable } from '@nestjs/common';
import { asc } from 'drizzle-orm';
import type { OwnCutterDto } from '#contract';
import { checkFree, checkVersion, notThere } from '../access/problem.js';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import { Journal, type Row } from '../db/journal.js';
import { cutters } from '../db/schema.js';
import { cutterRow } from './cutterRow.js';

@Injectable()
export class DrawerService {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) private readonly journal: Journal,
  ) {}

  /** The smallest first. */
  all(): Promise<Row<'cutter'>[]> {
    return this.db.select().from(cutters).orderBy(asc(cutters.widthMm), asc(cutters.name));
  }

  async save(changeId: string, dto: OwnCutterDto): Promise<OwnCutterDto> {
    const name = dto.name.trim();
    let kept: Row<'cutter'> | undefined;
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('cutter', dto.id);
      await checkVersion(stored?.name ?? 'This cutter', stored?.version, dto.version, () => stored);
      checkFree(
        'a cutter',
        name,
        (await this.all()).filter((c) => c.id !== dto.id),
      );
      kept = { ...cutterRow(dto, ''), id: dto.id, name, version: draft.version };
      await draft.put('cutter', kept);
      draft.summary = stored ? `changed the cutter ${name}` : `new cutter ${name}`;
    });
    return kept ?? dto;
  }

  /** Pieces that were planned with it keep its outline. */
  async remove(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const cutter = await draft.find('cutter', id);
      if (!cutter) throw notThere('This cutter');
      await checkVersion(cutter.name, cutter.version, version, () => cutter);
      draft.remove('cutter', [cutter]);
      draft.summary = `took away the cutter ${cutter.name}`;
    });
  }
}
