import { Inject, Injectable } from '@nestjs/common';
import { eq, sql } from 'drizzle-orm';
import { MOST_LIGHTNESS_SCALE, deltaE, labOf, xyzOfHex, type Lab } from '#core/colour';
import { colourOf, flatten } from '#core/mix';
import { inBreaths } from '../aside/breath.js';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import { Journal } from '../db/journal.js';
import { rowsOf, type AsText } from '../db/asText.js';
import { blendColours, entryBlends } from '../db/schema.js';
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

/** ΔE00 of two colours; infinite where lightness alone makes it more than anybody calls near. */
const offOf = (lab: Lab, wanted: Lab): number =>
  Math.abs(lab.l - wanted.l) > FARTHEST * MOST_LIGHTNESS_SCALE ? Infinity : deltaE(lab, wanted);

/** Colours of mixes and clays, each once, and which of them each entry has. */
interface Colours {
  readonly labs: readonly Lab[];
  readonly entries: ReadonlyMap<string, readonly number[]>;
}

/** Colours that were looked for last. */
const REMEMBERED = 12;

/** The colours of what was made, held in memory: a colour is looked for among all entries at once. */
@Injectable()
export class DiaryColours {
  private known: { readonly key: unknown; readonly colours: Promise<Colours> } | null = null;
  /** what was found among all entries, by its colour */
  private readonly found = new Map<string, readonly NearEntry[]>();

  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
  ) {
    journal.onChange((writes) => {
      if (writes.some(({ table }) => DECIDES.has(table))) this.forget();
    });
  }

  private forget(): void {
    this.known = null;
    this.found.clear();
  }

  /** Entries with a colour near to this one, the nearest first. @param among ids; null: all */
  async near(hex: string, among: ReadonlySet<string> | null): Promise<readonly NearEntry[]> {
    const read = this.colours();
    const colours = await read;
    const before = this.found.get(hex);
    const all = before ?? nearIn(colours, hex);
    // what was read before a change is no answer to who asks after it
    if (!before && this.known?.colours === read) this.remember(hex, all);
    return among ? all.filter(({ id }) => among.has(id)) : all;
  }

  private remember(hex: string, all: readonly NearEntry[]): void {
    const [oldest] = this.found.keys();
    if (this.found.size >= REMEMBERED && oldest !== undefined) this.found.delete(oldest);
    this.found.set(hex, all);
  }

  /** Read once, until something under it changes; what was learned of pigments counts too. */
  private colours(): Promise<Colours> {
    const key = this.studio.learnedTimes;
    if (this.known?.key === key) return this.known.colours;
    this.forget();
    const colours = this.read();
    this.known = { key, colours };
    colours.catch(() => {
      this.forget();
    });
    return colours;
  }

  private async read(): Promise<Colours> {
    const labs: Lab[] = [];
    const entries = new Map<string, number[]>();
    const places = new Map<string, number | null>();
    /** @param key of a mix or a clay, whose colour is looked up once */
    const add = (entryId: string, key: string, look: () => Lab | null): void => {
      const lab = places.has(key) ? null : look();
      if (!places.has(key)) places.set(key, lab ? labs.push(lab) - 1 : null);
      const place = places.get(key) ?? null;
      if (place !== null) entries.set(entryId, [...(entries.get(entryId) ?? []), place]);
    };
    const addMix = (entryId: string, id: string): void => {
      add(entryId, `mix ${id}`, () => this.mixColour(id));
    };
    const addClay = (entryId: string, id: string): void => {
      add(entryId, `clay ${id}`, () => this.clayColour(id));
    };
    await inBreaths(await this.mixed(), ({ entryId, revisionId }) => {
      addMix(entryId, revisionId);
    });
    const inBlends = await this.db
      .select({ entryId: entryBlends.entryId, clayId: blendColours.clayId, revisionId: blendColours.revisionId })
      .from(entryBlends)
      .innerJoin(blendColours, eq(blendColours.blendRevisionId, entryBlends.blendRevisionId));
    for (const { entryId, clayId, revisionId } of inBlends) {
      if (revisionId !== null) addMix(entryId, revisionId);
      else if (clayId !== null) addClay(entryId, clayId);
    }
    for (const { entryId, clayId } of await this.mostlyTaken()) addClay(entryId, clayId);
    return { labs, entries };
  }

  /** Mixes that went into entries, in one text: rows of their own would cost the driver seconds. */
  private async mixed(): Promise<readonly { entryId: string; revisionId: string }[]> {
    const found = await this.db.all<AsText>(sql`
      SELECT json_group_array(json_object('entryId', entry_id, 'revisionId', revision_id)) AS rows FROM entry_mix`);
    return rowsOf(found);
  }

  /** Clays that were a good part of what went in. */
  private async mostlyTaken(): Promise<readonly { entryId: string; clayId: string }[]> {
    const found = await this.db.all<AsText>(sql`
      WITH whole AS (SELECT entry_id, sum(grams) AS grams FROM entry_taking GROUP BY entry_id)
      SELECT json_group_array(json_object('entryId', t.entry_id, 'clayId', t.clay_id)) AS rows
      FROM entry_taking t JOIN whole w ON w.entry_id = t.entry_id WHERE t.grams >= ${LEAST_SHARE} * w.grams`);
    return rowsOf(found);
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

/** Entries of which a colour is near, the nearest first. */
function nearIn({ labs, entries }: Colours, hex: string): readonly NearEntry[] {
  const wanted = labOf(xyzOfHex(hex));
  const offs = labs.map((lab) => offOf(lab, wanted));
  const found: NearEntry[] = [];
  for (const [id, places] of entries) {
    const off = Math.min(...places.map((place) => offs[place] ?? Infinity));
    if (off <= FARTHEST) found.push({ id, deltaE: off });
  }
  return found.sort((a, b) => a.deltaE - b.deltaE || (a.id < b.id ? -1 : 1));
}
