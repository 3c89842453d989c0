import { Inject, Injectable } from '@nestjs/common';
import { asc, eq } from 'drizzle-orm';
import {
  idsOf,
  isOf,
  keyOf,
  ofClay,
  type Material,
  type MaterialKey,
  type OfCane,
  type OfPattern,
} from '#core/material';
import { lookUp, type BlendInBook, type Composed, type Known, type MaterialBook } from '#core/stock';
import { layoutIn, readShape } from '../blends/shape.js';
import { CanesTold } from '../canes/canes.told.js';
import { PatternsTold } from '../patterns/patterns.told.js';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import type { Row } from '../db/journal.js';
import { materialOf } from '../db/references.js';
import { blendColours } from '../db/schema.js';
import { Studio } from '../mixes/studio.js';
import { Revisions } from '../revisions/revisions.js';
import { leftOf } from './leftOf.js';
import { StockStore } from './stock.store.js';

/** A book that holds all of some materials, and how much there is of what lies there. */
export interface StockBook {
  readonly book: MaterialBook;
  readonly there: ReadonlyMap<MaterialKey, number>;
  /** mm across each sheet with a fade that lies there, by its id */
  readonly fades: ReadonlyMap<string, number>;
  /** which patterned sheet it is, planned or lying there, by the id of its material */
  readonly patterned: ReadonlyMap<string, PatternRevision>;
  /** revisions of canes, planned or lying there, by the id of their material */
  readonly caned: ReadonlyMap<string, string>;
  /** of what is planned, a thing of it that lies there by now, by the id of its revision */
  readonly lies: ReadonlyMap<string, Lies>;
}

export interface PatternRevision {
  readonly id: string;
  readonly revisionId: string;
}
export interface Lies {
  readonly id: string;
  readonly name: string;
}

/** A tub, and what is in it by volume. */
export interface FullTub {
  readonly row: Row<'tub'>;
  readonly name: string;
  readonly grams: number;
  readonly clays: readonly Row<'tubContent'>[];
  readonly parts: readonly { readonly of: Material; readonly volume: number }[];
}
interface AllTubs {
  readonly tubs: readonly FullTub[];
  readonly byId: ReadonlyMap<string, FullTub>;
  readonly book: MaterialBook;
}

const USUAL_DENSITY = 1.9;

/** What materials are called, look like, weigh and hold, for everything that lies there. */
@Injectable()
export class StockLooks {
  private readonly composed = new Map<MaterialKey, Composed['parts']>();

  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(Revisions) private readonly revisions: Revisions,
    @Inject(StockStore) private readonly store: StockStore,
    @Inject(CanesTold) private readonly canes: CanesTold,
    @Inject(PatternsTold) private readonly patterns: PatternsTold,
  ) {}

  /** @throws Complaint `material/missing` */
  async of(material: Material, stage: 'raw' | 'baked' = 'baked'): Promise<Known> {
    const { book } = await this.book([material]);
    return lookUp(material, book, { stage, pigments: this.studio.pigments });
  }

  /** The first colour of each of some materials, baked, as hex digits. @throws Complaint `material/missing` */
  async coloursOf(materials: readonly Material[]): Promise<ReadonlyMap<MaterialKey, string>> {
    const { book } = await this.book(materials);
    return new Map(
      materials.flatMap((of) => {
        const [first] = lookUp(of, book, { stage: 'baked', pigments: this.studio.pigments }).hexes;
        return first === undefined ? [] : [[keyOf(of), first.replace('#', '')] as const];
      }),
    );
  }

  /** Reads all that is needed to look some materials up. */
  async book(materials: readonly Material[]): Promise<StockBook> {
    const things = new Map((await this.store.madeOf(idsOf('made', materials))).map((row) => [row.id, row]));
    const inside = [...things.values()].map((row): Material => materialOf('sheet', row));
    const scrap = idsOf('scrap', materials);
    const tubs = scrap.length > 0 ? (await this.allTubs()).byId : new Map<string, FullTub>();
    const built = new Map<string, Composed>();
    for (const kind of ['cane', 'pattern'] as const)
      for (const id of idsOf(kind, [...materials, ...inside])) built.set(id, await this.builtOf({ kind, id }));
    const inBuilt = [...built.values()].flatMap(({ parts }) => parts.map((part) => part.of));
    const blends = new Map<string, BlendInBook>();
    for (const id of idsOf('blend', [...materials, ...inside, ...inBuilt])) {
      const blend = await this.blend(id);
      if (blend) blends.set(id, blend);
    }
    const there = new Map<MaterialKey, number>();
    for (const row of things.values()) there.set(keyOf({ kind: 'made', id: row.id }), row.gone ? 0 : leftOf(row));
    for (const id of scrap) there.set(keyOf({ kind: 'scrap', id }), tubs.get(id)?.grams ?? 0);
    const patterned = await this.patternsAmong(idsOf('pattern', materials), [...things.values()]);
    const caned = new Map([
      ...idsOf('cane', materials).map((id) => [id, id] as const),
      ...[...things.values()].flatMap(({ id, caneRevisionId }) =>
        caneRevisionId === null ? [] : [[id, caneRevisionId] as const],
      ),
    ]);
    const lies = await this.lyingAmong(materials, there);
    const faded = [...things.values()].filter((row) => row.form === 'sheet' && row.blendRevisionId !== null);
    const fades = new Map(faded.map((row) => [row.id, row.widthMm]));
    const book: MaterialBook = {
      ...this.studio.asBook(),
      blend: (id) => blends.get(id),
      made: (id) => {
        const row = things.get(id);
        return row && { name: row.name, of: materialOf('sheet', row) };
      },
      composed: ({ id }) => tubs.get(id) ?? built.get(id),
    };
    return { book, there, fades, patterned, caned, lies };
  }

  /** What is known of patterned sheets. */
  private async patternsAmong(
    planned: readonly string[],
    things: readonly Row<'sheet'>[],
  ): Promise<ReadonlyMap<string, PatternRevision>> {
    const patterned = new Map<string, PatternRevision>();
    const ofRevision = async (revisionId: string, id: string): Promise<void> => {
      const found = await this.patterns.ofRevision(revisionId);
      if (found) patterned.set(id, { id: found.pattern.id, revisionId });
    };
    for (const { id, patternRevisionId } of things)
      if (patternRevisionId !== null) await ofRevision(patternRevisionId, id);
    for (const id of planned) await ofRevision(id, id);
    return patterned;
  }

  /** The first thing that lies there of each plan, by its id; how much there is in all is put to the rest. */
  private async lyingAmong(
    materials: readonly Material[],
    there: Map<MaterialKey, number>,
  ): Promise<ReadonlyMap<string, Lies>> {
    const lies = new Map<string, Lies>();
    for (const kind of ['pattern', 'blend', 'cane'] as const)
      for (const id of idsOf(kind, materials)) {
        const lying = (await this.store.ofRevision(kind, id)).filter((row) => leftOf(row) > 0);
        there.set(
          keyOf({ kind, id }),
          lying.reduce((sum, row) => sum + leftOf(row), 0),
        );
        const [first] = lying;
        if (first) lies.set(id, { id: first.id, name: first.name });
      }
    return lies;
  }

  /** Every tub with its contents, most first, and a book that holds them mixed through. */
  async allTubs(): Promise<AllTubs> {
    const [rows, contents] = [await this.store.tubs(), await this.store.contents()];
    const tubs = rows.map((row): FullTub => {
      const clays = contents.filter((c) => c.tubId === row.id).sort((a, b) => b.grams - a.grams);
      const parts = clays.map(({ clayId, grams }) => ({ of: ofClay(clayId), volume: grams / this.density(clayId) }));
      return { row, clays, parts, name: row.name, grams: clays.reduce((sum, c) => sum + c.grams, 0) };
    });
    const byId = new Map(tubs.map((tub) => [tub.row.id, tub]));
    return { tubs, byId, book: { ...this.studio.asBook(), composed: ({ id }) => byId.get(id) } };
  }

  private density(clayId: string): number {
    return this.studio.line(this.studio.clay(clayId)?.lineId ?? '')?.density ?? USUAL_DENSITY;
  }

  /**
   * What is in a cane or a patterned sheet, by volume; worked out once, since the revision of what was made never
   * changes.
   */
  async builtOf(of: OfCane | OfPattern): Promise<Composed> {
    const told = of.kind === 'cane' ? this.canes : this.patterns;
    const name = (await told.called(of.id)) ?? (of.kind === 'cane' ? 'A cane' : 'A patterned sheet');
    const known = this.composed.get(keyOf(of));
    if (known) return { name, parts: known };
    const volumes = await told.volumesIn(of.id);
    const parts = [...volumes].flatMap(([part, volume]) =>
      isOf(part, 'clay', 'mix', 'blend') ? [{ of: part, volume }] : [],
    );
    if (parts.length > 0) this.composed.set(keyOf(of), parts);
    return { name, parts };
  }

  private async blend(revisionId: string): Promise<BlendInBook | undefined> {
    const revision = await this.revisions.one('blend', revisionId);
    const blend = revision && (await this.revisions.thing('blend', revision.blendId));
    if (!blend) return undefined;
    const rows: readonly Row<'blendColour'>[] = await this.db
      .select()
      .from(blendColours)
      .where(eq(blendColours.blendRevisionId, revisionId))
      .orderBy(asc(blendColours.position));
    const colours = rows.map((row) => materialOf('blendColour', row));
    return { name: blend.name, colours, layout: layoutIn(readShape(revision.shape)) };
  }
}
