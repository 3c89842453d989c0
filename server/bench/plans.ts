import { randomUUID } from 'node:crypto';
import { DataFile } from '../src/db/dataFile.js';
import { caneRevisions, canes, patternRevisions, patterns } from '../src/db/schema.js';
import { makeDemo } from '../src/loadDemo.js';

/** Copies that go into one transaction. */
const AT_ONCE = 250;

/** The kitchen garden with so many more canes and patterned sheets: its own again and again, by other names. */
export async function fillPlans(file: string, count: number): Promise<void> {
  await makeDemo(file);
  const data = await DataFile.open(file, { copies: false });
  const { db } = data;
  const owns = {
    canes: await db.select().from(canes),
    caneRevisions: await db.select().from(caneRevisions),
    patterns: await db.select().from(patterns),
    patternRevisions: await db.select().from(patternRevisions),
  };
  const at = <T>(list: readonly T[], i: number): T => list[i % list.length] as T;
  for (let from = 0; from < count; from += AT_ONCE) {
    const places = Array.from({ length: Math.min(AT_ONCE, count - from) }, (_, i) => from + i);
    const ids = places.map(() => [randomUUID(), randomUUID()] as const);
    const named = <T extends { readonly name: string }>(list: readonly T[], which: 0 | 1): T[] =>
      places.map((place, i) => {
        const row = at(list, place);
        return { ...row, id: ids[i]?.[which] ?? '', name: `${row.name} ${place}` };
      });
    const program = (place: number) => at(owns.caneRevisions, place);
    await db.batch([
      db.insert(canes).values(named(owns.canes, 0)),
      db
        .insert(caneRevisions)
        .values(places.map((place, i) => ({ ...program(place), id: randomUUID(), caneId: ids[i]?.[0] ?? '' }))),
      db.insert(patterns).values(named(owns.patterns, 1)),
      db
        .insert(patternRevisions)
        .values(
          places.map((place, i) => ({
            ...at(owns.patternRevisions, place),
            id: randomUUID(),
            patternId: ids[i]?.[1] ?? '',
          })),
        ),
    ]);
  }
  await data.close();
}
