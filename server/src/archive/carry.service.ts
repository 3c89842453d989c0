import { Inject, Injectable } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import type { CarriedKind, CarryAllAnswer, CarryAllDto, CarryAnswer, CarryDto } from '#contract';
import { notThere, refused } from '../access/problem.js';
import { DataFile, type Db } from '../db/dataFile.js';
import { Draft } from '../db/draft.js';
import { Journal } from '../db/journal.js';
import { pictures, type TableName } from '../db/schema.js';
import { ArchiveService } from './archive.service.js';
import { RestsOnMade } from './bundle.js';
import { carryAllOver, carryOver, type Carried, type CarriedAll } from './carry.js';

export const KIND_WORDS: Readonly<Record<CarriedKind, string>> = {
  ...{ mix: 'mix', blend: 'blend', cane: 'cane', pattern: 'patterned sheet', batch: 'batch', palette: 'palette' },
  mosaic: 'mosaic',
  pieceModel: 'piece',
};
/** What else a maker would count: what one of them is called, and several. */
const MORE: Readonly<Partial<Record<TableName, readonly [string, string]>>> = {
  line: ['line of clay', 'lines of clay'],
  clay: ['clay', 'clays'],
  block: ['block', 'blocks'],
  machine: ['machine', 'machines'],
  oven: ['oven', 'ovens'],
  cutter: ['cutter', 'cutters'],
  finding: ['finding', 'findings'],
  entry: ['entry of the diary', 'entries of the diary'],
  sheet: ['thing that lies there', 'things that lie there'],
  tub: ['tub', 'tubs'],
  picture: ['photograph', 'photographs'],
};

/** A draft that nothing is written from. */
const looking = (db: Db): Draft => new Draft(db, 0, () => undefined);

interface Root {
  readonly table: CarriedKind;
  readonly id: string;
}

/** Carries single things, or all there is, out of another data file over into the data of now. */
@Injectable()
export class CarryService {
  constructor(
    @Inject(ArchiveService) private readonly archive: ArchiveService,
    @Inject(DataFile) private readonly data: DataFile,
    @Inject(Journal) private readonly journal: Journal,
  ) {}

  carry(changeId: string, { name, kind, id, sure }: CarryDto): Promise<CarryAnswer> {
    const root = { table: kind, id };
    return this.archive.withCopy(name, ({ db }) =>
      sure ? this.take(changeId, db, root, 'from a copy') : this.look(db, root, 'from a copy'),
    );
  }

  /** What would come of a thing. @param from where it comes from, for a name that is taken */
  async look(source: Db, root: Root, from: string): Promise<CarryAnswer> {
    return told(await this.over(looking(this.data.db), source, root, from));
  }

  /** Carries a thing over, as one change. */
  async take(changeId: string, source: Db, root: Root, from: string): Promise<CarryAnswer> {
    let carried: readonly Carried[] = [];
    await this.journal.change(changeId, async (draft) => {
      carried = await this.over(draft, source, root, from);
      const own = carried.find((one) => one.id === root.id) ?? carried.at(-1);
      draft.summary = `carried over the ${KIND_WORDS[root.table]} ${own?.as ?? ''}`.trim();
    });
    return told(carried);
  }

  private async over(draft: Draft, source: Db, root: Root, from: string): Promise<readonly Carried[]> {
    if (!(await looking(source).find(root.table, root.id))) throw notThere(`This ${KIND_WORDS[root.table]}`);
    try {
      return await carryOver(draft, source, root, from);
    } catch (error) {
      if (!(error instanceof RestsOnMade)) throw error;
      throw refused(
        'It is made of something that lies there, and that cannot be carried over. Choose a clay for it in a copy of ' +
          'the plan first.',
      );
    }
  }

  /** All of a copy that is not here, as one change. */
  carryAll(changeId: string, { name, sure }: CarryAllDto): Promise<CarryAllAnswer> {
    return this.archive.withCopy(name, async ({ db: source }) => {
      const would = await carryAllOver(looking(this.data.db), source, fromOf(name));
      return sure ? this.takeAll(changeId, source, name, would.pictureIds) : toldAll(would);
    });
  }

  private async takeAll(
    changeId: string,
    source: Db,
    name: string,
    pictureIds: readonly string[],
  ): Promise<CarryAllAnswer> {
    await this.bringPictures(source, pictureIds);
    let all: CarriedAll = { carried: [], rows: new Map(), pictureIds: [] };
    try {
      await this.journal.change(changeId, async (draft) => {
        all = await carryAllOver(draft, source, fromOf(name));
        draft.summary = `carried over all of ${name}`;
      });
    } catch (error) {
      await this.letPicturesGo(pictureIds);
      throw error;
    }
    return toldAll({ ...all, rows: new Map([...all.rows, ['picture' as const, pictureIds.length]]) });
  }

  /** Nothing shows them yet, so they are no change; one by one, since together they are large. */
  private async bringPictures(source: Db, ids: readonly string[]): Promise<void> {
    for (const id of ids) {
      const [picture] = await source.select().from(pictures).where(eq(pictures.id, id));
      if (picture)
        await this.journal.beside(async () => {
          await this.data.db.insert(pictures).values(picture).onConflictDoNothing();
        });
    }
  }

  private async letPicturesGo(ids: readonly string[]): Promise<void> {
    for (const id of ids)
      await this.journal.beside(async () => {
        await this.data.db.delete(pictures).where(eq(pictures.id, id));
      });
  }
}

const told = (carried: readonly Carried[]): CarryAnswer => ({
  things: carried.map(({ table, name, as }) => ({ kind: table as CarriedKind, name, as })),
});

const toldAll = ({ carried, rows }: CarriedAll): CarryAllAnswer => ({
  ...told(carried),
  more: (Object.entries(MORE) as [TableName, readonly [string, string]][]).flatMap(([table, [one, many]]) => {
    const count = rows.get(table) ?? 0;
    return count > 0 ? [{ what: count === 1 ? one : many, count }] : [];
  }),
});

/** Where a thing comes from, for a name that is taken: `from garden` of a copy that was read of an archive. */
const fromOf = (copy: string): string => (copy.startsWith('from ') ? copy : 'from a copy');
