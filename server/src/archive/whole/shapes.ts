import type { Client } from '@libsql/client';

/** A column as the file declares it. */
export interface Column {
  readonly name: string;
  readonly type: 'text' | 'integer' | 'real';
  readonly needed: boolean;
}
export interface TableShape {
  readonly name: string;
  readonly columns: readonly Column[];
}

/** A row by the names of its columns, as the file holds it. */
export type FileRow = Readonly<Record<string, string | number | null>>;

/** What is no data of a maker: the list of undo, counters, the index that is made anew, the list of migrations. */
const NOT_DATA = /^(sqlite_|__drizzle|entry_search|change$|counter$)/;

const typeOf = (declared: string): Column['type'] => {
  const type = declared.toLowerCase();
  return type === 'integer' || type === 'real' ? type : 'text';
};

async function columnsOf(client: Client, table: string): Promise<Column[]> {
  const { rows } = await client.execute(`PRAGMA table_info("${table}")`);
  return rows.map((row) => ({
    name: String(row.name),
    type: typeOf(String(row.type)),
    needed: Number(row.notnull) === 1 && row.dflt_value === null,
  }));
}

/** All tables with a maker's data, by their names. */
export async function shapesOf(client: Client): Promise<TableShape[]> {
  const { rows } = await client.execute("SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name");
  const names = rows.map((row) => String(row.name)).filter((name) => !NOT_DATA.test(name));
  return Promise.all(names.map(async (name) => ({ name, columns: await columnsOf(client, name) })));
}

const JSON_TYPES = { text: ['string', 'object', 'array'], integer: ['integer'], real: ['number'] } as const;

/** A JSON Schema of the rows of each table. */
export function schemaOf(shapes: readonly TableShape[]): object {
  const rowOf = ({ columns }: TableShape): object => ({
    type: 'object',
    properties: Object.fromEntries(
      columns.map(({ name, type, needed }) => [name, { type: [...JSON_TYPES[type], ...(needed ? [] : ['null'])] }]),
    ),
    required: columns.filter((c) => c.needed).map((c) => c.name),
    additionalProperties: false,
  });
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Rows of a Sledge archive, by table',
    $defs: Object.fromEntries(shapes.map((shape) => [shape.name, rowOf(shape)])),
  };
}

/** A document inside a row is written as what it is, where that gives the same text again. */
export function toJson(row: FileRow): Record<string, unknown> {
  return Object.fromEntries(Object.entries(row).map(([name, value]) => [name, opened(value)]));
}

function opened(value: string | number | null): unknown {
  if (typeof value !== 'string' || !/^[{[]/.test(value)) return value;
  try {
    const document: unknown = JSON.parse(value);
    return JSON.stringify(document) === value ? document : value;
  } catch {
    return value;
  }
}
