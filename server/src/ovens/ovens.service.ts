import { Inject, Injectable } from '@nestjs/common';
import { asc, eq } from 'drizzle-orm';
import type { Tray } from '#core/batch';
import type { OvenDto } from '#contract';
import { checkFree, checkVersion, notThere } from '../access/problem.js';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import { Journal, type Row } from '../db/journal.js';
import { benchSetup, ovens } from '../db/schema.js';

@Injectable()
export class OvensService {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) private readonly journal: Journal,
  ) {}

  /** By their names. */
  all(): Promise<Row<'oven'>[]> {
    return this.db.select().from(ovens).orderBy(asc(ovens.name));
  }

  /** The tray that batches are baked on; null: no oven was described. @param chosen null: the first oven */
  async tray(chosen: string | null): Promise<Tray | null> {
    const all = await this.all();
    const oven = all.find(({ id }) => id === chosen) ?? all[0];
    return oven ? { width: oven.trayWidthMm, length: oven.trayLengthMm } : null;
  }

  async save(changeId: string, dto: OvenDto): Promise<OvenDto> {
    const name = dto.name.trim();
    let kept: Row<'oven'> | undefined;
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('oven', dto.id);
      await checkVersion(stored?.name ?? 'This oven', stored?.version, dto.version, () => stored);
      checkFree(
        'an oven',
        name,
        (await this.all()).filter((o) => o.id !== dto.id),
      );
      const { id, trayWidthMm, trayLengthMm, readings } = dto;
      kept = { id, name, trayWidthMm, trayLengthMm, readings, version: draft.version };
      await draft.put('oven', kept);
      draft.summary = stored ? `changed the oven ${name}` : `new oven ${name}`;
    });
    return kept ?? dto;
  }

  async remove(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const oven = await draft.find('oven', id);
      if (!oven) throw notThere('This oven');
      await checkVersion(oven.name, oven.version, version, () => oven);
      const [setup] = await this.db.select().from(benchSetup).where(eq(benchSetup.ovenId, id));
      if (setup) await draft.put('benchSetup', { ...setup, ovenId: null, version: draft.version });
      draft.remove('oven', [oven]);
      draft.summary = `took away the oven ${oven.name}`;
    });
  }
}
