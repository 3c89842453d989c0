import { randomUUID } from 'node:crypto';
import type { Db } from '../db/dataFile.js';
import type { Draft, Row } from '../db/journal.js';
import { TABLES, type TableName } from '../db/schema.js';
import { belongingTo, gather, referencesIn, type Bundle, type PlainRow } from './bundle.js';

/** Things with a name of their own that are carried over with all that belongs to them. */
const THINGS: ReadonlySet<TableName> = new Set(['mix', 'blend', 'cane', 'pattern', 'batch', 'palette'] as const);
/** What is the same where these of its columns are: a clay of a name within its line. */
const BY_NAME: Readonly<Partial<Record<TableName, readonly string[]>>> = {
  line: ['name'],
  clay: ['name', 'lineId'],
  machine: ['name'],
  setting: ['label', 'machineId'],
};

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
const alike = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** A row without what counts its changes. */
const content = ({ version: _, ...row }: PlainRow): string => JSON.stringify(row);

/** A name that nothing in a table has yet. */
function freeName(name: string, taken: readonly string[], from: string): string {
  if (!taken.some((t) => alike(t, name))) return name;
  const own = `${name}, ${from}`;
  for (let n = 1; ; n++) {
    const next = n === 1 ? own : `${own} (${n})`;
    if (!taken.some((t) => alike(t, next))) return next;
  }
}

/** Things that others rest on before those. @param belongs keys of rows with the key of their thing */
function thingsInOrder(bundle: Bundle, belongs: ReadonlyMap<string, string>): Bundle {
  const things = new Map(bundle.filter(({ table }) => THINGS.has(table)).map((t) => [keyOf(t.table, t.row.id), t]));
  const rests = new Map<string, Set<string>>();
  for (const { table, row } of bundle) {
    const own = belongs.get(keyOf(table, row.id));
    if (own === undefined) continue;
    for (const { column, table: to } of referencesIn(table)) {
      const other = belongs.get(keyOf(to, String(row[column])));
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

/** Carries the rows of a bundle over into the data that a draft writes to. */
class Carrying {
  /** old ids and the new ones that take their places */
  private readonly ids = new Map<string, string>();
  private readonly kept = new Set<string>();
  readonly carried: Carried[] = [];
  /** keys of rows that belong to a thing, with the key of that thing */
  private readonly belongs: ReadonlyMap<string, string>;

  constructor(
    private readonly draft: Draft,
    private readonly bundle: Bundle,
    /** where it comes from, for a name that is taken */
    private readonly from: string,
  ) {
    const things = bundle.filter(({ table }) => THINGS.has(table));
    this.belongs = new Map(
      things.flatMap(({ table, row }) =>
        [...belongingTo(bundle, table, row.id)].map((key) => [key, keyOf(table, row.id)] as const),
      ),
    );
  }

  private async there(table: TableName, id: string): Promise<PlainRow | undefined> {
    return (await this.draft.find(table, id)) as PlainRow | undefined;
  }

  private async all(table: TableName): Promise<readonly PlainRow[]> {
    return (await this.draft.db.select().from(TABLES[table])) as readonly PlainRow[];
  }

  /** A row with the new ids in the places of the old ones, also inside of documents. */
  private renewed(row: PlainRow): PlainRow {
    let text = JSON.stringify(row);
    for (const [old, id] of this.ids) text = text.replaceAll(old, id);
    return JSON.parse(text) as PlainRow;
  }

  /** What there is by another id but by the same name takes its place. */
  private async byName(table: TableName, row: PlainRow, columns: readonly string[]): Promise<boolean> {
    const own = this.renewed(row);
    const same = (other: PlainRow): boolean => columns.every((c) => alike(String(other[c]), String(own[c])));
    const twin = (await this.all(table)).find(same);
    if (twin) this.ids.set(row.id, twin.id);
    return twin !== undefined;
  }

  /** Whether a thing is here already, just as it is carried. */
  private async isHere(belongs: ReadonlySet<string>): Promise<boolean> {
    for (const { table, row } of this.bundle) {
      if (!belongs.has(keyOf(table, row.id))) continue;
      const here = await this.there(table, row.id);
      if (!here || content(here) !== content(this.renewed(row))) return false;
    }
    return true;
  }

  /** Decides what becomes of a thing: it is here, it comes as it is, or beside the one that is here. */
  private async thing(table: TableName, row: PlainRow): Promise<void> {
    const belongs = belongingTo(this.bundle, table, row.id);
    if (await this.isHere(belongs)) {
      for (const key of belongs) this.kept.add(key);
      return;
    }
    if (await this.there(table, row.id))
      for (const one of this.bundle)
        if (belongs.has(keyOf(one.table, one.row.id))) this.ids.set(one.row.id, randomUUID());
    const taken = (await this.all(table)).map(nameIn);
    this.carried.push({ table, id: row.id, name: nameIn(row), as: freeName(nameIn(row), taken, this.from) });
  }

  /** Whether there is one already that is good for it. */
  private async stays(table: TableName, row: PlainRow): Promise<boolean> {
    if (await this.there(table, row.id)) return true;
    // a machine that is here has readings of its own
    if (table === 'reading') return this.kept.has(keyOf('setting', String(row.settingId)));
    const columns = BY_NAME[table];
    return columns !== undefined && this.byName(table, row, columns);
  }

  /** @returns whether anything is to be written */
  async decide(): Promise<boolean> {
    for (const { table, row } of this.bundle)
      if (!THINGS.has(table) && !this.belongs.has(keyOf(table, row.id)) && (await this.stays(table, row)))
        this.kept.add(keyOf(table, row.id));
    for (const { table, row } of thingsInOrder(this.bundle, this.belongs)) await this.thing(table, row);
    return this.carried.length > 0;
  }

  async write(): Promise<void> {
    const names = new Map(this.carried.map(({ table, id, as }) => [keyOf(table, id), as]));
    for (const { table, row } of this.bundle) {
      if (this.kept.has(keyOf(table, row.id))) continue;
      const own = this.renewed(row);
      const name = names.get(keyOf(table, row.id));
      const next = {
        ...own,
        ...('version' in own ? { version: this.draft.version } : {}),
        ...(THINGS.has(table) && name !== undefined ? { name } : {}),
      };
      await this.draft.put(table, next as unknown as Row<typeof table>);
    }
  }
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
  if (await carrying.decide()) await carrying.write();
  return carrying.carried;
}
