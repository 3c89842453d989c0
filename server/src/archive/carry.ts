import { randomUUID } from 'node:crypto';
import type { Db } from '../db/dataFile.js';
import type { Draft, Row } from '../db/journal.js';
import type { TableName } from '../db/schema.js';
import { belongings, gather, gatherAll, namedBy, ownerColumn, rowsOf, type Bundle, type PlainRow } from './bundle.js';

/** Things with a name of their own that are carried over with all that belongs to them. */
const THINGS: ReadonlySet<TableName> = new Set([
  'mix',
  'blend',
  'cane',
  'pattern',
  'batch',
  'palette',
  'mosaic',
  'pieceModel',
] as const);
/** What is the same where these of its columns are: a clay of a name within its line. */
const BY_NAME: Readonly<Partial<Record<TableName, readonly string[]>>> = {
  line: ['name'],
  clay: ['name', 'lineId'],
  machine: ['name'],
  setting: ['label', 'machineId'],
  oven: ['name'],
  cutter: ['name'],
  finding: ['name'],
};
/** What comes only with the row that it tells of: where that is here, it has its own. */
const WITH: Readonly<Partial<Record<TableName, TableName>>> = {
  reading: 'setting',
  tubContent: 'tub',
  ...{ entryPiece: 'entry', entryFinding: 'entry', entryMix: 'entry', entryTaking: 'entry', entryBlend: 'entry' },
  ...{ entryBake: 'entry', entryPicture: 'entry', entryTime: 'entry', entryConditioning: 'entry' },
  ...{ entryCane: 'entry', entryPattern: 'entry', flow: 'entry' },
};
const ID = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;

/** What becomes of a carried thing. */
export interface Carried {
  readonly table: TableName;
  readonly id: string;
  readonly name: string;
  /** what it is called now */
  readonly as: string;
}

const keyOf = (table: TableName, id: string): string => `${table} ${id}`;
const nameIn = (row: PlainRow): string => (typeof row.name === 'string' ? row.name : '');
const plain = (name: string): string => name.trim().toLowerCase();

/** A row without what counts its changes. */
const content = ({ version: _, ...row }: PlainRow): string => JSON.stringify(row);

/** A name that is not among those that are taken. */
function freeName(name: string, taken: ReadonlySet<string>, from: string): string {
  if (!taken.has(plain(name))) return name;
  const own = `${name}, ${from}`;
  for (let n = 1; ; n++) {
    const next = n === 1 ? own : `${own} (${n})`;
    if (!taken.has(plain(next))) return next;
  }
}

/** Things that others rest on before those. @param belongs keys of rows with the key of their thing */
function thingsInOrder(bundle: Bundle, belongs: ReadonlyMap<string, string>): Bundle {
  const things = new Map(bundle.filter(({ table }) => THINGS.has(table)).map((t) => [keyOf(t.table, t.row.id), t]));
  const rests = new Map<string, Set<string>>();
  for (const { table, row } of bundle) {
    const own = belongs.get(keyOf(table, row.id));
    if (own === undefined) continue;
    for (const named of namedBy(table, row)) {
      const other = belongs.get(keyOf(named.table, named.id));
      if (other !== undefined && other !== own) rests.set(own, (rests.get(own) ?? new Set()).add(other));
    }
  }
  const ordered = new Set<string>();
  const put = (key: string): void => {
    if (ordered.has(key)) return;
    for (const other of rests.get(key) ?? []) put(other);
    ordered.add(key);
  };
  for (const key of things.keys()) put(key);
  return [...ordered].flatMap((key) => things.get(key) ?? []);
}

/** What there is in the data of now, table by table, read when it is first asked for. */
class Here {
  private readonly tables = new Map<TableName, ReadonlyMap<string, PlainRow>>();
  private readonly twins = new Map<TableName, ReadonlyMap<string, string>>();
  private readonly names = new Map<TableName, Set<string>>();

  constructor(private readonly db: Db) {}

  async table(table: TableName): Promise<ReadonlyMap<string, PlainRow>> {
    const known = this.tables.get(table) ?? new Map((await rowsOf(this.db, table)).map((row) => [row.id, row]));
    this.tables.set(table, known);
    return known;
  }

  /** Names that things of a table have; those that come are added to them. */
  async taken(table: TableName): Promise<Set<string>> {
    const known =
      this.names.get(table) ?? new Set([...(await this.table(table)).values()].map((r) => plain(nameIn(r))));
    this.names.set(table, known);
    return known;
  }

  /** The id of what is called the same. */
  async twinOf(table: TableName, row: PlainRow, columns: readonly string[]): Promise<string | undefined> {
    const called = (one: PlainRow): string => JSON.stringify(columns.map((c) => plain(String(one[c]))));
    const known =
      this.twins.get(table) ?? new Map([...(await this.table(table)).values()].map((one) => [called(one), one.id]));
    this.twins.set(table, known);
    return known.get(called(row));
  }
}

/** Carries the rows of a bundle over into the data that a draft writes to. */
class Carrying {
  /** old ids and the new ones that take their places */
  private readonly ids = new Map<string, string>();
  private readonly kept = new Set<string>();
  readonly carried: Carried[] = [];
  /** keys of rows that belong to a thing, with the key of that thing */
  private readonly belongs: ReadonlyMap<string, string>;
  /** rows by the key of their thing */
  private readonly members = new Map<string, Bundle[number][]>();
  private readonly here: Here;

  constructor(
    private readonly draft: Draft,
    private readonly bundle: Bundle,
    /** where it comes from, for a name that is taken */
    private readonly from: string,
  ) {
    this.here = new Here(draft.db);
    this.belongs = belongings(bundle, THINGS);
    for (const one of bundle) {
      const thing = this.belongs.get(keyOf(one.table, one.row.id));
      if (thing !== undefined) this.members.set(thing, [...(this.members.get(thing) ?? []), one]);
    }
  }

  /** A row with the new ids in the places of the old ones, also inside of documents. */
  private renewed(row: PlainRow): PlainRow {
    if (this.ids.size === 0) return row;
    const text = JSON.stringify(row);
    const next = text.replace(ID, (id) => this.ids.get(id) ?? id);
    return next === text ? row : (JSON.parse(next) as PlainRow);
  }

  /** Whether a thing is here already, just as it is carried. */
  private async isHere(members: Bundle): Promise<boolean> {
    for (const { table, row } of members) {
      const here = (await this.here.table(table)).get(row.id);
      if (!here || content(here) !== content(this.renewed(row))) return false;
    }
    return true;
  }

  /** Decides what becomes of a thing: it is here, it comes as it is, or beside the one that is here. */
  private async thing(table: TableName, row: PlainRow): Promise<void> {
    const members = this.members.get(keyOf(table, row.id)) ?? [];
    if (await this.isHere(members)) {
      for (const one of members) this.kept.add(keyOf(one.table, one.row.id));
      return;
    }
    if ((await this.here.table(table)).has(row.id)) for (const one of members) this.ids.set(one.row.id, randomUUID());
    const taken = await this.here.taken(table);
    const as = freeName(nameIn(row), taken, this.from);
    taken.add(plain(as));
    this.carried.push({ table, id: row.id, name: nameIn(row), as });
  }

  /** Whether there is one already that is good for it. */
  private async stays(table: TableName, row: PlainRow): Promise<boolean> {
    if ((await this.here.table(table)).has(row.id)) return true;
    const parent = WITH[table];
    const column = parent && ownerColumn(table, parent);
    if (parent && column !== undefined && this.kept.has(keyOf(parent, String(row[column])))) return true;
    const columns = BY_NAME[table];
    const twin = columns && (await this.here.twinOf(table, this.renewed(row), columns));
    if (twin !== undefined) this.ids.set(row.id, twin);
    return twin !== undefined;
  }

  async decide(): Promise<void> {
    for (const { table, row } of this.bundle)
      if (!this.belongs.has(keyOf(table, row.id)) && (await this.stays(table, row)))
        this.kept.add(keyOf(table, row.id));
    for (const { table, row } of thingsInOrder(this.bundle, this.belongs)) await this.thing(table, row);
  }

  /** Rows that come, as they are written. */
  coming(): Bundle {
    const names = new Map(this.carried.map(({ table, id, as }) => [keyOf(table, id), as]));
    return this.bundle
      .filter(({ table, row }) => !this.kept.has(keyOf(table, row.id)))
      .map(({ table, row }) => {
        const name = THINGS.has(table) ? names.get(keyOf(table, row.id)) : undefined;
        const own = { ...this.renewed(row), ...(name === undefined ? {} : { name }) };
        return { table, row: 'version' in own ? { ...own, version: this.draft.version } : own };
      });
  }
}

/** @param rows new ones, parents before children */
function write(draft: Draft, rows: Bundle): void {
  for (const { table, row } of rows) draft.replace(table, [], [row as unknown as Row<typeof table>]);
}

/** What a thing names is known by it, and lies on the other table: none of it comes along. */
function withNoneThere({ table, row }: Bundle[number]): Bundle[number] {
  return table === 'finding' ? { table, row: { ...row, count: 0 } } : { table, row };
}

/**
 * Carries a thing with everything that it needs from another data file over.
 * @param from where it comes from, for a name that is taken
 * @returns the things that are new; none: all of it is here already
 * @throws RestsOnMade
 */
export async function carryOver(
  draft: Draft,
  source: Db,
  root: { readonly table: TableName; readonly id: string },
  from: string,
): Promise<readonly Carried[]> {
  const carrying = new Carrying(draft, await gather(source, root.table, root.id), from);
  await carrying.decide();
  if (carrying.carried.length > 0) write(draft, carrying.coming().map(withNoneThere));
  return carrying.carried;
}

/** What comes of everything. */
export interface CarriedAll {
  readonly carried: readonly Carried[];
  /** rows that come, by table */
  readonly rows: ReadonlyMap<TableName, number>;
  /** photographs whose bytes have to be there before the rows that show them */
  readonly pictureIds: readonly string[];
}

/** Carries all that is not here over; what is here and differs stays, and the other one comes beside it. */
export async function carryAllOver(draft: Draft, source: Db, from: string): Promise<CarriedAll> {
  const carrying = new Carrying(draft, await gatherAll(source), from);
  await carrying.decide();
  const coming = carrying.coming();
  const rows = new Map<TableName, number>();
  for (const { table } of coming) rows.set(table, (rows.get(table) ?? 0) + 1);
  write(
    draft,
    coming.filter(({ table }) => table !== 'picture'),
  );
  const pictureIds = coming.filter(({ table }) => table === 'picture').map(({ row }) => row.id);
  return { carried: carrying.carried, rows, pictureIds };
}
