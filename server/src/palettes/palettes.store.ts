import { Inject, Injectable } from '@nestjs/common';
import { asc, desc, eq } from 'drizzle-orm';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import type { Db } from '../db/open.js';
import { palettes, pictures, swatches } from '../db/schema.js';

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
}
