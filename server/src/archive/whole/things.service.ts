import { Inject, Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { getTableConfig, type SQLiteTable } from 'drizzle-orm/sqlite-core';
import { randomUUID } from 'node:crypto';
import { createReadStream, mkdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { CARRIED_KINDS, type CarriedKind, type CarryAnswer, type SentThingAnswer } from '#contract';
import { notThere, refused } from '../../access/problem.js';
import { longAside } from '../../aside/aside.js';
import { DataFile } from '../../db/dataFile.js';
import { Journal } from '../../db/journal.js';
import { TABLES } from '../../db/schema.js';
import { UnusableDatabase } from '../../db/unusable.js';
import { RestsOnMade, gather, type Bundle } from '../bundle.js';
import { CarryService, KIND_WORDS } from '../carry.service.js';
import { MOST_CARD, isCard } from './card.js';
import { receive, removeDatabase } from '../incoming.js';
import type { ReadIn } from './whole.service.js';
import { writeArchive } from './writeZip.js';

/** Bytes of a file with one thing. */
const MOST_BYTES = 60_000_000;
/** Files that are looked at and not taken in yet; the oldest are let go. */
const MOST_LOOKED_AT = 5;
const FROM = 'from a file';

interface LookedAt {
  readonly file: string;
  readonly kind: CarriedKind;
  readonly id: string;
  readonly card: Uint8Array | null;
}

const sqlName = (table: keyof typeof TABLES): string => getTableConfig(TABLES[table] as SQLiteTable).name;

function idsBySqlName(bundle: Bundle): Map<string, string[]> {
  const ids = new Map<string, string[]>();
  for (const { table, row } of bundle) {
    const name = sqlName(table);
    ids.set(name, [...(ids.get(name) ?? []), row.id]);
  }
  return ids;
}

const isKind = (table: string): table is CarriedKind => CARRIED_KINDS.some((kind) => kind === table);

/** Single things as small files, from one maker to another: out with all that they need, looked at, and in. */
@Injectable()
export class SentThings implements OnApplicationShutdown {
  private readonly lookedAt = new Map<string, LookedAt>();

  constructor(
    @Inject(DataFile) private readonly data: DataFile,
    @Inject(Journal) private readonly journal: Journal,
    @Inject(CarryService) private readonly carrying: CarryService,
  ) {}

  onApplicationShutdown(): void {
    for (const token of this.lookedAt.keys()) this.letGo(token);
  }

  private half(name: string): string {
    mkdirSync(this.data.copies.folder, { recursive: true });
    return join(this.data.copies.folder, `${name}.half`);
  }

  /**
   * A thing with all that it needs.
   * @param card bytes of its picture card, as the window drew it
   * @returns a file that is gone when it was read @throws ProblemException
   */
  async out(
    kind: string,
    id: string,
    card: Readable | null = null,
  ): Promise<{ readonly name: string; readonly stream: Readable; readonly bytes: number }> {
    if (!isKind(kind)) throw notThere('This kind of thing');
    const file = this.half(`thing-${randomUUID()}`);
    const picture = card && (await receiveCard(card, this.half(`card-${randomUUID()}`)));
    const name = await this.journal.beside(() => this.write(kind, id, file, picture));
    const stream = createReadStream(file);
    stream.once('close', () => {
      rmSync(file, { force: true });
    });
    return { name, stream, bytes: statSync(file).size };
  }

  private async write(kind: CarriedKind, id: string, file: string, card: Buffer | null): Promise<string> {
    try {
      const bundle = await gather(this.data.db, kind, id);
      const root = bundle.find((one) => one.table === kind && one.row.id === id);
      if (!root) throw notThere(`This ${KIND_WORDS[kind]}`);
      const thing = { table: kind, id, name: String(root.row.name) };
      await writeArchive(this.data.db.$client, file, () => undefined, { thing, ids: idsBySqlName(bundle), card });
      return thing.name;
    } catch (error) {
      if (!(error instanceof RestsOnMade)) throw error;
      throw refused(
        'It is made of something that lies there, and that cannot be sent. Choose a clay for it in a copy of the ' +
          'plan first.',
      );
    }
  }

  /** Looks at a file that somebody sent: what would come of it. */
  async look(stream: Readable): Promise<SentThingAnswer> {
    const token = randomUUID();
    const [zip, file] = [this.half(`sent-${token}-zip`), this.half(`sent-${token}`)];
    try {
      await receiveThing(stream, zip);
      const { result } = longAside<ReadIn>('archive/whole/in.worker.js', { zip, file }, () => undefined);
      const read = await result;
      if ('wrong' in read) throw refused(read.wrong, 'file');
      const { card } = read;
      const { thing } = read.manifest;
      if (thing === null || !isKind(thing.table))
        throw refused('This is a whole archive. Take it in under “Everything”.', 'file');
      this.keep(token, { file, kind: thing.table, id: thing.id, card });
      const { things } = await this.with(token, (db) =>
        this.carrying.look(db, { table: thing.table as CarriedKind, id: thing.id }, FROM),
      );
      return { token, kind: thing.table, name: thing.name, things, card: card !== null };
    } catch (error) {
      removeDatabase(file);
      throw error;
    } finally {
      rmSync(zip, { force: true });
    }
  }

  /** The picture card of what was looked at. @throws ProblemException */
  card(token: string): Uint8Array {
    const card = this.lookedAt.get(token)?.card ?? null;
    if (card === null) throw notThere('This picture card');
    return card;
  }

  private keep(token: string, looked: LookedAt): void {
    this.lookedAt.set(token, looked);
    const [oldest] = this.lookedAt.keys();
    if (this.lookedAt.size > MOST_LOOKED_AT && oldest !== undefined) this.letGo(oldest);
  }

  /** Takes in what was looked at, as one change. */
  async take(changeId: string, token: string): Promise<CarryAnswer> {
    const looked = this.lookedAt.get(token);
    if (!looked) throw notThere('What was looked at');
    const answer = await this.with(token, (db) =>
      this.carrying.take(changeId, db, { table: looked.kind, id: looked.id }, FROM),
    );
    this.letGo(token);
    return answer;
  }

  private async with<T>(token: string, work: (db: DataFile['db']) => Promise<T>): Promise<T> {
    const looked = this.lookedAt.get(token);
    if (!looked) throw notThere('What was looked at');
    const data = await DataFile.open(looked.file, { copies: false });
    try {
      return await work(data.db);
    } finally {
      await data.close();
    }
  }

  letGo(token: string): void {
    const looked = this.lookedAt.get(token);
    this.lookedAt.delete(token);
    if (looked) removeDatabase(looked.file);
  }
}

/** What is handed in, as a file. @throws ProblemException with that sentence where it is more */
async function received(
  stream: Readable,
  path: string,
  most: number,
  tooLarge: string,
  field: string,
): Promise<number> {
  try {
    return await receive(stream, path, most, tooLarge);
  } catch (error) {
    if (error instanceof UnusableDatabase) throw refused(error.message, field);
    throw error;
  }
}

async function receiveThing(stream: Readable, path: string): Promise<void> {
  const bytes = await received(stream, path, MOST_BYTES, 'This file is larger than any single thing.', 'file');
  if (bytes === 0) throw refused('This file is empty.', 'file');
}

/** @param path where it lies while it is handed in @throws ProblemException */
async function receiveCard(stream: Readable, path: string): Promise<Buffer> {
  try {
    await received(stream, path, MOST_CARD, 'The picture card is too large. Send it without one.', 'card');
    const card = readFileSync(path);
    if (!isCard(card)) throw refused('The picture card is no PNG of a usual size. Send it without one.', 'card');
    return card;
  } finally {
    rmSync(path, { force: true });
  }
}
