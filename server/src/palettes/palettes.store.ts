import { Inject, Injectable } from '@nestjs/common';
import { and, asc, desc, eq, ne } from 'drizzle-orm';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import type { Db } from '../db/dataFile.js';
import { entryCanes, entryPatterns, entryPictures, mosaics, palettes, pictures, swatches } from '../db/schema.js';

@Injectable()
export class PalettesStore {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** Newest first. */
  all(): Promise<Row<'palette'>[]> {
    return this.db.select().from(palettes).orderBy(desc(palettes.version));
  }

  allSwatches(): Promise<Row<'swatch'>[]> {
    return this.db.select().from(swatches).orderBy(asc(swatches.position));
  }

  async palette(id: string): Promise<Row<'palette'> | undefined> {
    const [row] = await this.db.select().from(palettes).where(eq(palettes.id, id));
    return row;
  }

  swatchesOf(paletteId: string): Promise<Row<'swatch'>[]> {
    return this.db.select().from(swatches).where(eq(swatches.paletteId, paletteId)).orderBy(asc(swatches.position));
  }

  async keep(picture: Row<'picture'>): Promise<void> {
    await this.db.insert(pictures).values({ ...picture });
  }

  async picture(id: string): Promise<Row<'picture'> | undefined> {
    const [row] = await this.db.select().from(pictures).where(eq(pictures.id, id));
    return row;
  }

  async smallPicture(id: string): Promise<string | null> {
    const [row] = await this.db.select({ small: pictures.small }).from(pictures).where(eq(pictures.id, id));
    return row?.small ?? null;
  }

  /** Whether another palette, a mosaic, or an entry of the diary shows a picture too. */
  async pictureShared(pictureId: string, paletteId: string): Promise<boolean> {
    const others = await this.db
      .select({ id: palettes.id })
      .from(palettes)
      .where(and(eq(palettes.pictureId, pictureId), ne(palettes.id, paletteId)))
      .limit(1);
    if (others.length > 0) return true;
    const told = await Promise.all(
      [entryCanes, entryPatterns, entryPictures, mosaics].map((table) =>
        this.db.select({ id: table.id }).from(table).where(eq(table.pictureId, pictureId)).limit(1),
      ),
    );
    return told.some((rows) => rows.length > 0);
  }
}
