import { randomUUID } from 'node:crypto';
import { DataFile } from '../src/db/dataFile.js';
import {
  clays,
  counters,
  entries,
  entryMixes,
  entryPictures,
  ingredients,
  lines,
  mixes,
  pictures,
  revisions,
} from '../src/db/schema.js';

/** How much there is of what. */
export interface Size {
  readonly mixes: number;
  readonly entries: number;
  readonly photographs: number;
}
/** After very many years. */
export const VAST: Size = { mixes: 10_000, entries: 50_000, photographs: 0 };
/** After some years, with photographs. */
export const PICTURED: Size = { mixes: 1_000, entries: 5_000, photographs: 2_000 };

const CLAYS = 24;
const AT_ONCE = 500;
const VEGETABLES = [
  'Beetroot',
  'Leek',
  'Pea',
  'Squash',
  'Radish',
  'Carrot',
  'Turnip',
  'Aubergine',
  'Corn',
  'Romanesco',
  'Swede',
  'Cabbage',
];
const PIECES = ['drop', 'hoop', 'pendant', 'bauble', 'brooch', 'bead', 'ornament'];

export interface Filled {
  readonly mixIds: readonly string[];
  readonly clayIds: readonly string[];
  readonly entryIds: readonly string[];
  readonly pictureIds: readonly string[];
}

/** A database as a maker has it after years. @param random numbers in [0, 1) */
export async function fill(file: string, random: () => number, size: Size = VAST): Promise<Filled> {
  const { mixes: mixCount, entries: entryCount } = size;
  const data = await DataFile.open(file);
  const { db } = data;
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const name = (i: number): string => `${pick(VEGETABLES)} ${pick(VEGETABLES).toLowerCase()} ${i}`;
  const lineId = randomUUID();
  const clayIds = Array.from({ length: CLAYS }, () => randomUUID());
  const mixIds = Array.from({ length: mixCount }, () => randomUUID());
  const entryIds = Array.from({ length: entryCount }, () => randomUUID());
  const hex = (): string =>
    Math.floor(random() * 0xffffff)
      .toString(16)
      .padStart(6, '0')
      .toUpperCase();
  await db
    .insert(lines)
    .values({
      id: lineId,
      version: 1,
      name: 'Hearth Firm',
      firmness: 'firm',
      density: 1.9,
      densityMeasured: false,
      bakeC: 130,
      bakeMinutes: 30,
      bakePerMm: 6,
      maxC: 150,
    });
  await db
    .insert(clays)
    .values(
      clayIds.map((id, i) => ({
        id,
        version: 1,
        lineId,
        name: `Clay ${i}`,
        kind: 'opaque' as const,
        rawHex: hex(),
        bakedHex: hex(),
        strength: null,
        retired: false,
      })),
    );
  for (let from = 0; from < mixCount; from += AT_ONCE) {
    const ids = mixIds.slice(from, from + AT_ONCE);
    const parts = ids.flatMap((id) => {
      const from3 = Math.floor(random() * CLAYS);
      return [0, 1, 2].map((position) => ({
        id: randomUUID(),
        revisionId: `r${id}`,
        position,
        parts: String(1 + Math.floor(random() * 8)),
        clayId: clayIds[(from3 + position * 5) % CLAYS] ?? null,
        innerId: null,
      }));
    });
    await db.batch([
      db.insert(mixes).values(ids.map((id, i) => ({ id, version: 1, name: name(from + i), note: '', retired: false }))),
      db
        .insert(revisions)
        .values(
          ids.map((id) => ({ id: `r${id}`, mixId: id, number: 1, basis: 'volume' as const, createdAt: '2026-01-01' })),
        ),
      db.insert(ingredients).values(parts),
    ]);
  }
  for (let from = 0; from < entryCount; from += AT_ONCE) {
    const ids = entryIds.slice(from, from + AT_ONCE);
    const rows = ids.map((id, i) => {
      const day = new Date(Date.UTC(2016, 0, 1 + Math.floor((from + i) / 14))).toISOString().slice(0, 10);
      return {
        id,
        version: 1,
        batchId: null,
        madeOn: day,
        title: `${pick(VEGETABLES)} ${pick(PIECES)}s`,
        note: `batch ${from + i}, ${pick(VEGETABLES).toLowerCase()} on top`,
        words: `${pick(VEGETABLES)} ${pick(PIECES)}`,
      };
    });
    await db.batch([
      db.insert(entries).values(rows),
      db
        .insert(entryMixes)
        .values(ids.map((entryId) => ({ id: randomUUID(), entryId, revisionId: `r${pick(mixIds)}`, grams: 40 }))),
    ]);
  }
  const pictureIds = await photographs(db, entryIds, size.photographs);
  await db.insert(counters).values({ id: 'version', value: 1 });
  await data.close();
  return { mixIds, clayIds, entryIds, pictureIds };
}

/** Bytes of a photograph as a browser shrinks it, and of the small one of it. */
const [LARGE, SMALL] = [150_000, 12_000];

/** Photographs of the newest entries, one of each. @returns their ids */
async function photographs(db: DataFile['db'], entryIds: readonly string[], count: number): Promise<readonly string[]> {
  const [data, small] = [LARGE, SMALL].map((bytes) => Buffer.alloc(bytes, 'clay').toString('base64'));
  const of = entryIds.slice(entryIds.length - count);
  const ids = of.map(() => randomUUID());
  for (const [i, id] of ids.entries()) {
    const picture = { id, type: 'image/jpeg' as const, width: 1200, height: 900, data: data ?? '', small: small ?? '' };
    await db.insert(pictures).values(picture);
    await db
      .insert(entryPictures)
      .values({ id: randomUUID(), entryId: of[i] ?? '', pictureId: id, position: 0, lay: null, marks: null });
  }
  return ids;
}
