import { Controller, Get, Inject, Module } from '@nestjs/common';
import { sql } from 'drizzle-orm';
import type { Begun } from '#core/begin';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';

/** What a maker has so far: while the diary is empty, stations ask for the next useful thing by it. */
@Controller('api/begun')
export class BegunController {
  constructor(@Inject(DB) private readonly db: Db) {}

  @Get()
  async all(): Promise<Begun> {
    const [begun] = await this.db.all<Begun>(sql`
      SELECT
        (SELECT count(*) FROM clay WHERE NOT retired) AS colours,
        (SELECT count(*) FROM machine) AS machines,
        (SELECT coalesce(max(measured), 0) FROM (
          SELECT count(DISTINCT s.id) AS measured
          FROM setting s JOIN reading r ON r.setting_id = s.id GROUP BY s.machine_id)) AS readings,
        (SELECT count(*) FROM chip) AS chips,
        (SELECT count(DISTINCT batch_id) FROM (
          SELECT batch_id FROM piece UNION ALL SELECT batch_id FROM assembly)) AS batches,
        (SELECT count(*) FROM entry) AS entries`);
    return begun ?? NOTHING;
  }
}
const NOTHING: Begun = { colours: 0, machines: 0, readings: 0, chips: 0, batches: 0, entries: 0 };

@Module({ controllers: [BegunController] })
export class BegunModule {}
