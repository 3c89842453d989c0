import { createWriteStream } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Client } from '@libsql/client';
import { ZipFile } from 'yazl';
import { MANIFEST, manifestOf, type Manifest } from './manifest.js';
import { schemaOf, shapesOf, toJson, type FileRow, type TableShape } from './shapes.js';
import { tablesForPeople } from './forPeople.js';

/** How far it is: rows and pictures. */
export type Say = (done: number, total: number) => void;

/** Rows that are read at once. */
const PAGE = 500;
const PICTURE = 'picture';

/** What goes into an archive: everything, or the rows of one thing by their tables. */
export interface Chosen {
  readonly thing: NonNullable<Manifest['thing']>;
  readonly ids: ReadonlyMap<string, readonly string[]>;
  /** bytes of its picture card */
  readonly card: Buffer | null;
}

async function* allRows(client: Client, table: string): AsyncGenerator<FileRow> {
  for (let after = 0; ;) {
    const { rows } = await client.execute({
      sql: `SELECT rowid AS "#", * FROM "${table}" WHERE rowid > ? ORDER BY rowid LIMIT ${PAGE}`,
      args: [after],
    });
    for (const row of rows) {
      const { '#': place, ...own } = row as Record<string, string | number | null>;
      after = Number(place);
      yield own;
    }
    if (rows.length < PAGE) return;
  }
}

async function* rowsWith(client: Client, table: string, ids: readonly string[]): AsyncGenerator<FileRow> {
  for (const id of ids) {
    const { rows } = await client.execute({ sql: `SELECT * FROM "${table}" WHERE id = ?`, args: [id] });
    for (const row of rows) yield { ...row } as FileRow;
  }
}

/** The picture card of a thing that is sent. */
export const CARD = 'card.png';

export const pictureFile = ({ id, type }: { readonly id: unknown; readonly type: unknown }): string =>
  `pictures/${String(id)}.${type === 'image/png' ? 'png' : 'jpg'}`;

/** Writes an archive, file after file. */
class Writing {
  private readonly zip = new ZipFile();
  private done = 0;
  private total = 0;

  constructor(
    private readonly client: Client,
    private readonly say: Say,
    private readonly chosen: Chosen | null,
  ) {}

  private rows(table: string): AsyncGenerator<FileRow> {
    return this.chosen ? rowsWith(this.client, table, this.chosen.ids.get(table) ?? []) : allRows(this.client, table);
  }

  private async countOf(table: string): Promise<number> {
    if (this.chosen) return this.chosen.ids.get(table)?.length ?? 0;
    const { rows } = await this.client.execute(`SELECT count(*) AS n FROM "${table}"`);
    return Number(rows[0]?.n ?? 0);
  }

  private told(): void {
    this.done += 1;
    if (this.done % PAGE === 0 || this.done === this.total) this.say(this.done, this.total);
  }

  /** One row a line; a picture stands in a file of its own. */
  private async *lines(table: string): AsyncGenerator<string> {
    for await (const row of this.rows(table)) {
      const { data, ...rest } = row;
      const told = table === PICTURE ? { ...rest, file: pictureFile({ id: row.id, type: row.type }) } : toJson(row);
      yield `${JSON.stringify(told)}\n`;
      this.told();
      void data;
    }
  }

  private add(name: string, make: () => Readable): void {
    this.zip.addReadStreamLazy(name, (give) => {
      give(null, make());
    });
  }

  private async pictures(): Promise<readonly { readonly id: string; readonly type: string }[]> {
    const { rows } = await this.client.execute(`SELECT id, type FROM "${PICTURE}" ORDER BY rowid`);
    const all = rows.map((row) => ({ id: String(row.id), type: String(row.type) }));
    const own = this.chosen && new Set(this.chosen.ids.get(PICTURE) ?? []);
    return own ? all.filter(({ id }) => own.has(id)) : all;
  }

  private async *bytesOf(id: string): AsyncGenerator<Buffer> {
    const { rows } = await this.client.execute({ sql: `SELECT data FROM "${PICTURE}" WHERE id = ?`, args: [id] });
    yield Buffer.from(String(rows[0]?.data ?? ''), 'base64');
    this.told();
  }

  private async manifest(shapes: readonly TableShape[]): Promise<Manifest> {
    const { rows: counters } = await this.client.execute("SELECT value FROM counter WHERE id = 'version'");
    const counts: Record<string, number> = {};
    for (const { name } of shapes) counts[name] = await this.countOf(name);
    return manifestOf({
      ...{ rows: counts, change: Number(counters[0]?.value ?? 0), pictures: counts[PICTURE] ?? 0 },
      thing: this.chosen?.thing ?? null,
    });
  }

  async to(out: string): Promise<Manifest> {
    const shapes = (await shapesOf(this.client)).filter(
      ({ name }) => this.chosen === null || this.chosen.ids.has(name),
    );
    const manifest = await this.manifest(shapes);
    this.total = Object.values(manifest.rows).reduce((sum, n) => sum + n, 0) + manifest.pictures;
    const json = (value: unknown): Buffer => Buffer.from(`${JSON.stringify(value, null, 2)}\n`);
    this.zip.addBuffer(json(manifest), MANIFEST);
    if (this.chosen?.card) this.zip.addBuffer(this.chosen.card, CARD, { compress: false });
    this.zip.addBuffer(json(schemaOf(shapes)), 'schema.json');
    for (const { name } of shapes) this.add(`data/${name}.jsonl`, () => Readable.from(this.lines(name)));
    if (!this.chosen)
      for (const { name, text } of await tablesForPeople(this.client)) this.zip.addBuffer(Buffer.from(text), name);
    for (const { id, type } of await this.pictures())
      this.zip.addReadStreamLazy(pictureFile({ id, type }), { compress: false }, (give) => {
        give(null, Readable.from(this.bytesOf(id)));
      });
    this.zip.end();
    await pipeline(this.zip.outputStream, createWriteStream(out));
    return manifest;
  }
}

/**
 * Writes everything, or one thing, as an archive.
 * @param client on a database of this version that nobody writes to
 */
export const writeArchive = (client: Client, out: string, say: Say, chosen: Chosen | null = null): Promise<Manifest> =>
  new Writing(client, say, chosen).to(out);
