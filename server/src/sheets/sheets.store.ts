import { Inject, Injectable } from '@nestjs/common';
import { asc, eq, inArray, or } from 'drizzle-orm';
import type { CountedConditioning } from '#core/conditioning';
import { passesKey, type BenchSetupDto, type MachineDto } from '#contract';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import type { Db } from '../db/dataFile.js';
import { SetAside } from '../db/setAside.module.js';
import {
  batches,
  benchSetup,
  blendRevisions,
  blends,
  clays,
  entryConditionings,
  layers,
  machines,
  pieces,
  readings,
  settings,
} from '../db/schema.js';

export const BENCH_ID = 'bench';
const NO_SETUP: BenchSetupDto = {
  version: 0,
  machineId: null,
  discMm: 20,
  discSettingId: null,
  cardMm: null,
  roomC: null,
  hourly: null,
  overhead: null,
  ovenId: null,
  guides: null,
  gauges: null,
  conditionSettingId: null,
  conditionPasses: null,
  conditionSchool: null,
  currency: '',
};

@Injectable()
export class SheetsStore {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(SetAside) private readonly aside: SetAside,
  ) {}

  settingsOf(machineId: string): Promise<Row<'setting'>[]> {
    return this.db.select().from(settings).where(eq(settings.machineId, machineId)).orderBy(asc(settings.position));
  }

  readingsOf(settingIds: readonly string[]): Promise<Row<'reading'>[]> {
    return this.db
      .select()
      .from(readings)
      .where(inArray(readings.settingId, [...settingIds]));
  }

  async machines(): Promise<MachineDto[]> {
    const rows = await this.db.select().from(machines);
    return Promise.all(
      rows.map(async (machine) => {
        const own = await this.settingsOf(machine.id);
        return {
          ...machine,
          settings: own.map(({ id, label, called }) => ({ id, label, called })),
          readings: await this.readingsOf(own.map((s) => s.id)),
        };
      }),
    );
  }

  async setup(): Promise<BenchSetupDto> {
    const [row] = await this.db.select().from(benchSetup).where(eq(benchSetup.id, BENCH_ID));
    if (!row) return NO_SETUP;
    const { id: _, ...setup } = row;
    return setup;
  }

  /** All clay that was conditioned, but for lines whose figure was set aside. */
  async conditioned(): Promise<CountedConditioning[]> {
    const aside = await this.aside.keys();
    return (await this.allConditioned()).filter(({ lineId }) => !aside.has(passesKey(lineId)));
  }

  async allConditioned(): Promise<CountedConditioning[]> {
    const rows = await this.db
      .select()
      .from(entryConditionings)
      .innerJoin(clays, eq(clays.id, entryConditionings.clayId));
    return rows.map(({ entry_conditioning: { firmness, squeeze, months, roomC, school, passes, grams }, clay }) => ({
      ...{ lineId: clay.lineId, firmness, squeeze, months, roomC, school, passes, grams },
    }));
  }

  /** Batches and blends that use one of the settings, in words. */
  async usesOf(settingIds: readonly string[]): Promise<string[]> {
    const rows = await this.db
      .selectDistinct({ name: batches.name })
      .from(layers)
      .innerJoin(pieces, eq(pieces.id, layers.pieceId))
      .innerJoin(batches, eq(batches.id, pieces.batchId))
      .where(inArray(layers.settingId, [...settingIds]));
    const own = [...settingIds];
    const inBlends = await this.db
      .selectDistinct({ name: blends.name })
      .from(blendRevisions)
      .innerJoin(blends, eq(blends.id, blendRevisions.blendId))
      .where(or(inArray(blendRevisions.settingId, own), inArray(blendRevisions.tapeSettingId, own)));
    return [...rows.map((r) => `the batch ${r.name}`), ...inBlends.map((b) => `the blend ${b.name}`)];
  }
}
