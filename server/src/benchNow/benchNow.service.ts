import { Inject, Injectable, type OnModuleInit } from '@nestjs/common';
import { inArray } from 'drizzle-orm';
import { benchNow } from '../db/schema.js';
import type { BenchKind, BenchNowAnswer, BenchNowDto, BenchThing } from '#contract';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import { Journal } from '../db/journal.js';
import { EventsService } from '../events/events.service.js';

/** How many of each kind are kept: of older ones nobody knows any more what they were. */
const MOST: Readonly<Record<BenchKind, number>> = { place: 80, timer: 24, load: 1 };
/** ms after which a timer that is over is of no interest to anybody. */
const LONG_OVER = 24 * 3_600_000;

type Kept = typeof benchNow.$inferSelect;

/** What lies at the bench just now, held in memory and beside the data, and told to all windows. */
@Injectable()
export class BenchNowService implements OnModuleInit {
  private kept: readonly Kept[] = [];

  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) private readonly journal: Journal,
    @Inject(EventsService) private readonly events: EventsService,
  ) {}

  async onModuleInit(): Promise<void> {
    const rows = await this.db.select().from(benchNow);
    this.kept = rows.sort((a, b) => a.place - b.place);
  }

  now(now = Date.now()): BenchNowAnswer {
    const things = this.kept.map(
      ({ id, kind, value }) => ({ kind, id: id.slice(kind.length + 1), value }) as BenchThing,
    );
    return { now, things: things.filter((thing) => !isLongOver(thing, now)) };
  }

  /** Says what lies there; what is said last counts. */
  async say(dto: BenchNowDto): Promise<BenchNowAnswer> {
    const value = dto[dto.kind] ?? null;
    const id = `${dto.kind} ${dto.kind === 'load' ? 'oven' : dto.id}`;
    const told = await this.journal.beside(() => this.write(id, dto.kind, value));
    if (told) this.events.say({ of: 'bench', by: dto.by });
    return this.now();
  }

  /** @returns whether it is another one now */
  private async write(id: string, kind: BenchKind, value: BenchThing['value'] | null): Promise<boolean> {
    const before = this.kept.find((row) => row.id === id);
    if (JSON.stringify(before?.value ?? null) === JSON.stringify(value)) return false;
    const others = this.kept.filter((row) => row.id !== id);
    if (value === null) {
      await this.remove([id]);
      this.kept = others;
      return true;
    }
    const row: Kept = { id, kind, value, place: (this.kept.at(-1)?.place ?? 0) + 1 };
    await this.db.insert(benchNow).values(row).onConflictDoUpdate({ target: benchNow.id, set: row });
    this.kept = [...others, row];
    await this.trim(kind);
    return true;
  }

  private async trim(kind: BenchKind): Promise<void> {
    const own = this.kept.filter((row) => row.kind === kind);
    const gone = new Set(own.slice(0, Math.max(0, own.length - MOST[kind])).map((row) => row.id));
    if (gone.size === 0) return;
    await this.remove([...gone]);
    this.kept = this.kept.filter((row) => !gone.has(row.id));
  }

  private async remove(ids: string[]): Promise<void> {
    await this.db.delete(benchNow).where(inArray(benchNow.id, ids));
  }
}

const isLongOver = ({ value }: BenchThing, now: number): boolean => 'endsAt' in value && now - value.endsAt > LONG_OVER;
