import Database from 'libsql';

/** Statements that a connection keeps: more than all stations ask for, and lists of many lengths are let go again. */
const MOST = 400;
/** What only reads and writes rows is kept. */
const OF_ROWS = /^\s*(?:select|insert|update|delete)\b/i;
/** After it a statement may mean something else. */
const OF_TABLES = /^\s*(?:create|alter|drop|vacuum|reindex|attach|detach)\b/i;

/** A connection, as far as it matters here; the package's own types leave it out. */
interface Connection {
  prepare: (this: Connection, sql: string) => object;
}
const { prototype } = Database as unknown as { readonly prototype: Connection };
const kept = new WeakMap<Connection, Map<string, object>>();
let keeps = false;

/**
 * From now on statements are prepared once for a connection instead of each time that they run: a fifth of what a
 * change takes. Those that were not used for longest are let go. SQLite is asked by one thread, each time to the last
 * row, so that no statement is in use twice.
 */
export function keepStatements(): void {
  if (keeps) return;
  keeps = true;
  const { prepare } = prototype;
  prototype.prepare = function (sql) {
    const own = kept.get(this) ?? new Map<string, object>();
    kept.set(this, own);
    const statement = own.get(sql) ?? prepare.call(this, sql);
    own.delete(sql);
    if (OF_ROWS.test(sql)) own.set(sql, statement);
    if (OF_TABLES.test(sql)) own.clear();
    const [oldest] = own.keys();
    if (own.size > MOST && oldest !== undefined) own.delete(oldest);
    return statement;
  };
}
