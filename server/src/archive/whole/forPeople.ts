import type { Client } from '@libsql/client';
import { writeTable } from '#core/formats';

async function cellsOf(client: Client, sql: string): Promise<string[][]> {
  const { rows, columns } = await client.execute(sql);
  return rows.map((row) => columns.map((name) => String(row[name] ?? '')));
}

/** Each mix with its newest recipe in parts, as it is said. */
const RECIPES = `
  SELECT m.name, r.number,
    (SELECT group_concat(i.parts || ' ' || coalesce(c.name, other.name), ' + ' ORDER BY i.position)
       FROM ingredient i
       LEFT JOIN clay c ON c.id = i.clay_id
       LEFT JOIN revision inner_r ON inner_r.id = i.inner_revision_id
       LEFT JOIN mix other ON other.id = inner_r.mix_id
      WHERE i.revision_id = r.id) AS recipe,
    m.note
  FROM mix m JOIN revision r ON r.mix_id = m.id
    AND r.number = (SELECT max(number) FROM revision WHERE mix_id = m.id)
  ORDER BY m.name`;

/** Blocks in the columns that a list for the shelf is read with. */
const SHELF = `
  SELECT l.name AS line, c.name, c.kind, c.raw_hex, c.baked_hex, b.left_grams, b.date_code, b.price
  FROM clay c JOIN line l ON l.id = c.line_id LEFT JOIN block b ON b.clay_id = c.id
  ORDER BY l.name, c.name`;

const DIARY = 'SELECT made_on, title, note FROM entry ORDER BY made_on, rowid';

/** Recipes, the shelf and the diary as tables that a spreadsheet opens. They are not read in again. */
export async function tablesForPeople(client: Client): Promise<{ readonly name: string; readonly text: string }[]> {
  return [
    {
      name: 'for people/recipes.csv',
      text: writeTable(['name', 'revision', 'recipe', 'note'], await cellsOf(client, RECIPES)),
    },
    {
      name: 'for people/shelf.csv',
      text: writeTable(
        ['line', 'name', 'kind', 'raw', 'baked', 'grams', 'code', 'price'],
        await cellsOf(client, SHELF),
      ),
    },
    { name: 'for people/diary.csv', text: writeTable(['made on', 'title', 'note'], await cellsOf(client, DIARY)) },
  ];
}
