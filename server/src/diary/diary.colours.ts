import { Inject, Injectable } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import { MOST_LIGHTNESS_SCALE, deltaE, labOf, xyzOfHex, type Lab } from '#core/colour';
import { colourOf, flatten } from '#core/mix';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import { Journal } from '../db/journal.js';
import { blendColours, entryBlends, entryMixes, entryTakings } from '../db/schema.js';
import { Studio } from '../mixes/studio.js';

/** Tables that decide which colours an entry has. */
const DECIDES: ReadonlySet<string> = new Set([
  ...['entry', 'entryMix', 'entryTaking', 'entryBlend', 'clay', 'line', 'revision', 'ingredient'],
]);
/** ΔE00 from which on nobody calls a colour near. */
const FARTHEST = 15;
/** A clay is a colour of what was made from this share of all that went in. */
const LEAST_SHARE = 0.25;

/** An entry with how far its nearest colour is off, ΔE00. */
export interface NearEntry {
  readonly id: string;
  readonly deltaE: number;
}

/** ΔE00 of the nearest of some colours; of those that are further off than anybody calls near, by lightness alone. */
const nearest = (labs: readonly Lab[], wanted: Lab): number =>
  labs.reduce((least, lab) => {
    if (Math.abs(lab.l - wanted.l) > FARTHEST * MOST_LIGHTNESS_SCALE) return least;
    return Math.min(least, deltaE(lab, wanted));
  }, Infinity);

/** The colours of what was made, held in memory: a colour is looked for among all entries at once. */
@Injectable()
export class DiaryColours {
  private known: { readonly key: unknown; readonly colours: Promise<ReadonlyMap<string, readonly Lab[]>> } | null =
    null;

  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
  ) {
    journal.onChange((writes) => {
      if (writes.some(({ table }) => DECIDES.has(table))) this.known = null;
    });
  }

  /** Entries with a colour near to this one, the nearest first. @param among ids; null: all */
  async near(hex: string, among: ReadonlySet<string> | null): Promise<readonly NearEntry[]> {
    const wanted = labOf(xyzOfHex(hex));
    const found: NearEntry[] = [];
    for (const [id, labs] of await this.colours()) {
      if (among && !among.has(id)) continue;
      const off = nearest(labs, wanted);
      if (off <= FARTHEST) found.push({ id, deltaE: off });
    }
    return found.sort((a, b) => a.deltaE - b.deltaE || (a.id < b.id ? -1 : 1));
  }

  /** Read once, until something under it changes; what was learned of pigments counts too. */
  private colours(): Promise<ReadonlyMap<string, readonly Lab[]>> {
    const key = this.studio.learnedTimes;
    if (this.known?.key === key) return this.known.colours;
    const colours = this.read();
    this.known = { key, colours };
    colours.catch(() => {
      this.known = null;
    });
    return colours;
  }

  private async read(): Promise<ReadonlyMap<string, readonly Lab[]>> {
    const all = new Map<string, Lab[]>();
    const add = (id: string, lab: Lab | null): void => {
      if (lab) all.set(id, [...(all.get(id) ?? []), lab]);
    };
    const ofMix = this.remembered((id) => this.mixColour(id));
    const ofClay = this.remembered((id) => this.clayColour(id));
    for (const { entryId, revisionId } of await this.db.select().from(entryMixes)) add(entryId, ofMix(revisionId));
    const inBlends = await this.db
      .select({ entryId: entryBlends.entryId, clayId: blendColours.clayId, revisionId: blendColours.revisionId })
      .from(entryBlends)
      .innerJoin(blendColours, eq(blendColours.blendRevisionId, entryBlends.blendRevisionId));
    for (const { entryId, clayId, revisionId } of inBlends) {
      if (revisionId !== null) add(entryId, ofMix(revisionId));
      else if (clayId !== null) add(entryId, ofClay(clayId));
    }
    for (const { entryId, clayId } of await this.mostlyTaken()) add(entryId, ofClay(clayId));
    return all;
  }

  /** Clays that were a good part of what went in. */
  private async mostlyTaken(): Promise<readonly { entryId: string; clayId: string }[]> {
    const rows = await this.db.select().from(entryTakings);
    const sums = new Map<string, number>();
    for (const { entryId, grams } of rows) sums.set(entryId, (sums.get(entryId) ?? 0) + grams);
    return rows.filter(({ entryId, grams }) => grams >= LEAST_SHARE * (sums.get(entryId) ?? 0));
  }

  private remembered(look: (id: string) => Lab | null): (id: string) => Lab | null {
    const known = new Map<string, Lab | null>();
    return (id) => {
      const before = known.get(id);
      if (before !== undefined) return before;
      const lab = look(id);
      known.set(id, lab);
      return lab;
    };
  }

  private mixColour(revisionId: string): Lab | null {
    const recipe = this.studio.recipe(revisionId);
    return recipe ? colourOf(flatten(recipe, this.studio), 'baked', this.studio.pigments).lab : null;
  }

  private clayColour(clayId: string): Lab | null {
    const clay = this.studio.clay(clayId);
    return clay ? labOf(xyzOfHex(clay.bakedHex)) : null;
  }
}
