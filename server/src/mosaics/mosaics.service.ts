import { Inject, Injectable } from '@nestjs/common';
import { desc } from 'drizzle-orm';
import { idsOf, materialIn } from '#core/material';
import { mosaicMaterials } from '#core/mosaic';
import type { MosaicAnswer, MosaicCard, MosaicDto, RevisionAnswer } from '#contract';
import { checkFree, checkVersion, notThere } from '../access/problem.js';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import { Journal, type Row } from '../db/journal.js';
import { checkPicture } from '../db/pictureThere.js';
import { mosaics } from '../db/schema.js';
import { MixesService } from '../mixes/mixes.service.js';
import { Studio } from '../mixes/studio.js';

/** Mosaics of threads: as they are planned, and how far they are laid. */
@Injectable()
export class MosaicsService {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(MixesService) private readonly mixes: MixesService,
  ) {}

  /** Newest first. */
  private all(): Promise<Row<'mosaic'>[]> {
    return this.db.select().from(mosaics).orderBy(desc(mosaics.version));
  }

  async cards(): Promise<MosaicCard[]> {
    const rows = await this.all();
    return rows.map(({ id, name, pictureId, mosaic }) => ({
      ...{ id, name, pictureId },
      hexes: mosaic.shades.map((s) => s.hex),
    }));
  }

  async open(id: string): Promise<MosaicAnswer> {
    const row = (await this.all()).find((m) => m.id === id);
    if (!row) throw notThere('This mosaic');
    const { version, name, note, mosaic } = row;
    return { id, version, name, note, mosaic, referenced: await this.restsOn(row) };
  }

  /** The mixes that its shades are of; what is gone by now is left out, and says so where it is shown. */
  private async restsOn({ mosaic }: Row<'mosaic'>): Promise<RevisionAnswer[]> {
    const materials = mosaicMaterials(mosaic).flatMap((key) => materialIn(key) ?? []);
    const there = idsOf('mix', materials).filter((id) => this.studio.one('revision', id));
    const all = (await Promise.all(there.map((id) => this.mixes.withAll(id)))).flat();
    return [...new Map(all.map((r) => [r.id, r])).values()];
  }

  async save(changeId: string, dto: MosaicDto): Promise<MosaicAnswer> {
    const name = dto.name.trim();
    const { id, note, mosaic } = dto;
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('mosaic', id);
      await checkVersion(stored?.name ?? 'This mosaic', stored?.version, dto.version, () => this.open(id));
      checkFree(
        'a mosaic',
        name,
        (await this.all()).filter((m) => m.id !== id),
      );
      const pictureId = mosaic.pictureId ?? null;
      await checkPicture(draft, pictureId);
      await draft.put('mosaic', { id, name, note, pictureId, mosaic, version: draft.version });
      draft.summary = summaryOf(stored, dto);
    });
    return this.open(id);
  }

  async remove(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('mosaic', id);
      if (!stored) throw notThere('This mosaic');
      await checkVersion(stored.name, stored.version, version, () => this.open(id));
      draft.remove('mosaic', [stored]);
      draft.summary = `took away the mosaic ${stored.name}`;
    });
  }
}

/** What a change of a mosaic is called. */
function summaryOf(stored: Row<'mosaic'> | undefined, { name, mosaic }: MosaicDto): string {
  const called = name.trim();
  if (!stored) return `new mosaic ${called}`;
  const more = mosaic.done.length - stored.mosaic.done.length;
  if (more === 1) return `laid a patch of the mosaic ${called}`;
  return `changed the mosaic ${called}`;
}
