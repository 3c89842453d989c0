import type { Client } from '@libsql/client';
import { knownMigrations } from './header.js';

/** When the first two migrations were made, before the first of them was changed in what it makes. */
const FIRST = [1795494488754, 1795494489985] as const;

/** `18 mm round` or `20 × 30 mm`, as the first version wrote a cutter. */
function sizeOf(cutter: string): { readonly width: number; readonly height: number | null } {
  const [width = 0, height] = (cutter.match(/\d+(?:\.\d+)?/g) ?? []).map(Number);
  return { width, height: height ?? null };
}

/**
 * Brings a database of the very first version to where the second one begins,
 * which has the same migrations by number, but another `entry_piece`.
 */
export async function mendFirstVersion(client: Client): Promise<void> {
  const tables = await client.execute("SELECT 1 FROM sqlite_master WHERE name = '__drizzle_migrations'");
  if (tables.rows.length === 0) return;
  const made = await client.execute({
    sql: 'SELECT created_at FROM __drizzle_migrations WHERE created_at = ?',
    args: [FIRST[0]],
  });
  if (made.rows.length === 0) return;
  const pieces = (await client.execute('SELECT id, entry_id, name, cutter, count FROM entry_piece')).rows;
  await client.batch(
    [
      'DROP TABLE entry_piece',
      'CREATE TABLE entry_piece (id text PRIMARY KEY NOT NULL, entry_id text NOT NULL, name text NOT NULL, ' +
        'width_mm real NOT NULL, height_mm real, count integer NOT NULL, FOREIGN KEY (entry_id) REFERENCES ' +
        'entry(id) ON UPDATE no action ON DELETE no action)',
      'CREATE INDEX entry_piece_entry ON entry_piece (entry_id)',
      ...pieces.map((piece) => {
        const { width, height } = sizeOf(String(piece.cutter));
        return {
          sql: 'INSERT INTO entry_piece (id, entry_id, name, width_mm, height_mm, count) VALUES (?, ?, ?, ?, ?, ?)',
          args: [piece.id ?? null, piece.entry_id ?? null, piece.name ?? null, width, height, piece.count ?? null],
        };
      }),
      // what could be taken back speaks of cutters in the old way
      'DELETE FROM change WHERE writes LIKE \'%"entryPiece"%\'',
      ...FIRST.map((was, i) => ({
        sql: 'UPDATE __drizzle_migrations SET created_at = ? WHERE created_at = ?',
        args: [knownMigrations()[i] ?? was, was],
      })),
    ],
    'write',
  );
}
