import { randomUUID } from 'node:crypto';
import { sameTub, takesAll, tubFor, tubName, type Known, type OwnColour, type TubFor } from '#core/stock';
import { isOf } from '#core/material';
import { inBoth, showMass, type Grams } from '#core/units';
import type { FlowKind, LeftDto, TakenDto, UsedDto } from '#contract';
import { refused } from '../access/problem.js';
import type { Draft, Row } from '../db/journal.js';
import { columnsFor, materialOf } from '../db/references.js';
import type { Studio } from '../mixes/studio.js';
import { takeClay } from '../shelf/takeClay.js';
import type { StockStore } from './stock.store.js';
import { fallen, leftOf, whole } from './leftOf.js';
import { lumpRow } from './lumpRow.js';
import { madeLess } from './madeLess.js';
import { tubOf } from './tubRow.js';

/** What a scale does not show. */
const HAIR: Grams = 0.05;

/** How a material is looked up: its shares of clays and of kinds, its density and its name. */
export type Looks = (of: OwnColour) => Promise<Known>;

interface AccountOf {
  readonly draft: Draft;
  readonly studio: Studio;
  readonly store: StockStore;
  readonly entryId: string;
  readonly looks: Looks;
}

/** What is in a tub, as it stands in the file and as it will. */
interface Contents {
  readonly before: readonly Row<'tubContent'>[];
  now: readonly Row<'tubContent'>[];
}

/**
 * The account of a diary entry: every gram that goes in and that comes out. What is left when it is closed is told as
 * pieces, or as lost; what came out more than went in, as found. So the clay of all entries together is as much as was
 * bought.
 */
export class Account {
  private rest: Grams = 0;
  /** tubs as they are in this change */
  private tubs: Row<'tub'>[] | null = null;
  /** what is in the tubs that this entry touches, before and now */
  private readonly contents = new Map<string, Contents>();
  /** what was taken off single blocks, by clay */
  private readonly offBlocks = new Map<string, Grams>();
  /** things that it took from, as they are now */
  private readonly things = new Map<string, Row<'sheet'>>();

  constructor(private readonly of: AccountOf) {}

  /** g that went in and did not come out yet */
  get open(): Grams {
    return this.rest;
  }

  private async flow(kind: FlowKind, grams: Grams, what: { madeId?: string; tubId?: string } = {}): Promise<void> {
    if (grams <= 0) return;
    const { draft, entryId } = this.of;
    const { madeId = null, tubId = null } = what;
    await draft.put('flow', { id: randomUUID(), entryId, kind, madeId, tubId, grams });
  }

  /** Clay off the shelf. @throws ProblemException as `takeClay` */
  async offShelf(used: readonly UsedDto[]): Promise<void> {
    const { draft, studio, entryId } = this.of;
    await takeClay(draft, studio, entryId, used);
    this.rest += used.reduce((sum, u) => sum + u.grams, 0);
  }

  /** Clay off one block that was chosen. @throws ProblemException at a field where there is too little */
  async offBlock(block: Row<'block'>, grams: Grams, at: string): Promise<void> {
    const { draft, studio } = this.of;
    const name = studio.clay(block.clayId)?.name ?? 'This block';
    const taken = this.enough(name, block.leftGrams, grams, at);
    await draft.put('block', { ...block, leftGrams: Math.max(0, block.leftGrams - taken), version: draft.version });
    this.offBlocks.set(block.clayId, (this.offBlocks.get(block.clayId) ?? 0) + taken);
    this.rest += taken;
  }

  /** Softener, which no shelf holds. */
  async softener(grams: Grams): Promise<void> {
    this.rest += grams;
    await this.flow('softener', grams);
  }

  /** A block that was made of what went in: it was not bought. */
  async ontoShelf(block: Row<'block'>): Promise<void> {
    await this.of.draft.put('block', block);
    await this.out('toShelf', block.netGrams);
  }

  /** Things and scrap that lay there. @throws ProblemException at `<field>.<i>` where there is too little */
  async take(taken: readonly TakenDto[], field: string): Promise<void> {
    for (const [i, { of, grams }] of taken.entries()) {
      const at = `${field}.${i}`;
      if (of.kind === 'made') await this.takeMade(of.id, grams, at);
      else await this.takeScrap(of.id, grams, at);
    }
  }

  /** A thing as it is by now in this entry: what was taken of it before counts. */
  async thing(id: string): Promise<Row<'sheet'> | undefined> {
    return this.things.get(id) ?? (await this.of.draft.find('sheet', id));
  }

  async takeMade(id: string, grams: Grams, at: string): Promise<void> {
    const thing = await this.thing(id);
    if (!thing || thing.gone)
      throw refused(`${thing?.name ?? 'What was taken'} is used up: it does not lie there any more.`, at);
    const taken = this.enough(thing.name, leftOf(thing), grams, at);
    this.things.set(id, madeLess(whole(thing), taken, HAIR));
    this.rest += taken;
    await this.flow('fromMade', taken, { madeId: id });
  }

  /** A part of a thing that was measured and not weighed. @param after what is left of it */
  async takenOf(after: Row<'sheet'>, grams: Grams): Promise<void> {
    this.things.set(after.id, after);
    this.rest += grams;
    await this.flow('fromMade', grams, { madeId: after.id });
  }

  private enough(name: string, there: Grams, grams: Grams, at: string): Grams {
    if (grams > there + HAIR) throw refused(`There are only ${inBoth((u) => showMass(there, u))} of ${name}.`, at);
    return grams > there - HAIR ? there : grams;
  }

  private async takeScrap(id: string, grams: Grams, at: string): Promise<void> {
    const { draft } = this.of;
    const tub = await draft.find('tub', id);
    if (!tub) throw refused('This tub is not there any more.', at);
    const contents = await this.contentsOf(id);
    const there = contents.now.reduce((sum, r) => sum + r.grams, 0);
    const taken = this.enough(tub.name, there, grams, at);
    const left = taken === there ? 0 : 1 - taken / there;
    contents.now = contents.now.map((r) => ({ ...r, grams: r.grams * left }));
    this.rest += taken;
    await this.flow('fromTub', taken, { tubId: id });
  }

  private async contentsOf(tubId: string): Promise<Contents> {
    const known = this.contents.get(tubId);
    if (known) return known;
    const rows = await this.of.store.contentsOf(tubId);
    const contents = { before: rows, now: rows };
    this.contents.set(tubId, contents);
    return contents;
  }

  /** What is left over goes where it was said. @throws ProblemException at `<field>.<i>` */
  async putAway(left: readonly LeftDto[], field: string): Promise<void> {
    for (const [i, one] of left.entries()) {
      const parts = one.parts.filter((p) => p.grams > 0);
      const grams = parts.reduce((sum, p) => sum + p.grams, 0);
      if (parts.length === 0) continue;
      if (grams > this.rest + HAIR)
        throw refused(
          `${inBoth((u) => showMass(grams, u))} are left over, but only ` +
            `${inBoth((u) => showMass(Math.max(0, this.rest), u))} went in and did not go elsewhere.`,
          `${field}.${i}.parts`,
        );
      await this.putOne({ ...one, parts }, grams, `${field}.${i}`);
    }
  }

  private async putOne({ parts, to, tubId }: LeftDto, grams: Grams, at: string): Promise<void> {
    if (to === 'thrown') {
      await this.out('thrown', grams);
      return;
    }
    if (to === 'lump') {
      const [first, ...others] = parts;
      if (!first || others.length > 0 || first.of.kind === 'blend')
        throw refused('Only one clay or one mix can be kept as a lump. Several together go to a tub.', `${at}.to`);
      await this.lump(first.of, grams);
      return;
    }
    const tub = await this.tubFor(parts, tubId ?? null, at);
    await this.intoTub(tub, parts, grams);
  }

  /** Scrap into a tub, by its clays. */
  async intoTub(tub: Row<'tub'>, parts: LeftDto['parts'], grams: Grams): Promise<void> {
    const contents = await this.contentsOf(tub.id);
    const rows = new Map(contents.now.map((r) => [r.clayId, r]));
    for (const part of parts)
      for (const { clayId, mass } of (await this.of.looks(part.of)).shares) {
        const before = rows.get(clayId) ?? { id: randomUUID(), tubId: tub.id, clayId, grams: 0 };
        rows.set(clayId, { ...before, grams: before.grams + mass * part.grams });
      }
    contents.now = [...rows.values()];
    await this.out('toTub', grams, { tubId: tub.id });
  }

  private async lump(of: Exclude<OwnColour, { kind: 'blend' }>, grams: Grams): Promise<void> {
    const { name } = await this.of.looks(of);
    await this.lumpAs(randomUUID(), of, grams, `${name}, left over`);
  }

  /** A lump of one material lies there. @param called what it is called; else as its material is */
  async lumpAs(id: string, of: Exclude<OwnColour, { kind: 'blend' }>, grams: Grams, called?: string): Promise<void> {
    const { draft, entryId } = this.of;
    const { name, density } = await this.of.looks(of);
    const lump = { id, entryId, version: draft.version, name: called ?? name, grams };
    await this.made(lumpRow(lump, columnsFor('sheet', of), density));
  }

  /** A thing that lies there now. @throws ProblemException where another one has its id */
  async made(row: Row<'sheet'>): Promise<void> {
    if (await this.of.draft.find('sheet', row.id)) throw refused('This lies there already, under the same id.');
    await this.of.draft.put('sheet', row);
    await this.out('made', row.grams, { madeId: row.id });
  }

  /** The tub that was said, or the one that fits; made where there is none yet. */
  async tubFor(parts: LeftDto['parts'], tubId: string | null, at: string): Promise<Row<'tub'>> {
    const { draft } = this.of;
    if (tubId !== null) {
      const said = (await this.allTubs()).find((t) => t.id === tubId);
      if (!said) throw refused('This tub is not there any more. Choose another one.', `${at}.tubId`);
      return said;
    }
    const known = new Map<OwnColour, Known>();
    for (const { of } of parts) known.set(of, await this.of.looks(of));
    const wanted = tubFor(parts, (of) => known.get(of)?.kinds ?? {});
    const clays = new Set([...known.values()].flatMap((k) => k.shares.map((s) => s.clayId)));
    const own = (await this.allTubs()).find((t) => takesAll(t.takes, clays));
    if (own) return own;
    const there = (await this.allTubs()).find((t) => sameTub(tubOf(t), wanted));
    if (there) return there;
    const row = this.newTub(wanted, (of) => known.get(of)?.name ?? '');
    await draft.put('tub', row);
    this.tubs = [...(await this.allTubs()), row];
    return row;
  }

  private newTub(wanted: TubFor, called: (of: OwnColour) => string): Row<'tub'> {
    const { version } = this.of.draft;
    const name = tubName(wanted, called).slice(0, 80);
    const none = { clayId: null, revisionId: null, blendRevisionId: null };
    const of = wanted.of ? columnsFor('tub', wanted.of) : none;
    return { id: randomUUID(), version, name, keptIn: '', rule: wanted.rule, takes: [], ...of };
  }

  private async allTubs(): Promise<readonly Row<'tub'>[]> {
    this.tubs ??= await this.of.store.tubs();
    return this.tubs;
  }

  /** A thing that was written down anew: lighter, cut from, used up, or there again. */
  async changed(before: Row<'sheet'>, after: Row<'sheet'>): Promise<void> {
    const there = (thing: Row<'sheet'>): Grams => (thing.gone ? 0 : leftOf(thing));
    const cuts = after.cuts.length - before.cuts.length;
    this.rest += there(before) - there(after);
    if (cuts > 0) await this.cutOff(before, after);
    if (cuts < 0) await this.notCut(fallen(before) - fallen(after), after);
    await this.close(after.gone || cuts > 0 ? 'pieces' : 'lost');
  }

  /** What fell between new cuts goes to its tub, or where it was said. */
  private async cutOff(before: Row<'sheet'>, after: Row<'sheet'>): Promise<void> {
    const of = materialOf('sheet', after);
    const grams = Math.min(this.rest, fallen(after) - fallen(before));
    if (grams <= 0 || !isOf(of, 'clay', 'mix', 'blend')) return;
    await this.putOne({ parts: [{ of, grams }], to: after.cuts.at(-1)?.scrapTo ?? 'tub' }, grams, 'cuts');
  }

  /** A cut that was none after all: as much of what had fallen as its tub still has comes back. */
  private async notCut(grams: Grams, after: Row<'sheet'>): Promise<void> {
    const of = materialOf('sheet', after);
    if (grams <= 0 || !isOf(of, 'clay', 'mix', 'blend')) return;
    const { id } = await this.tubFor([{ of, grams }], null, 'cuts');
    const there = (await this.contentsOf(id)).now.reduce((sum, r) => sum + r.grams, 0);
    if (there > 0) await this.takeScrap(id, Math.min(there, grams), 'cuts');
  }

  /** Something that was there without a plan. */
  async noted(row: Row<'sheet'>): Promise<void> {
    this.rest += row.grams;
    await this.flow('noted', row.grams, { madeId: row.id });
    await this.made(row);
  }

  async out(kind: FlowKind, grams: Grams, what: { madeId?: string; tubId?: string } = {}): Promise<void> {
    this.rest -= grams;
    await this.flow(kind, grams, what);
  }

  /** What did not come out yet is this; what came out too much was found. */
  async close(rest: 'pieces' | 'lost' | 'thrown'): Promise<void> {
    if (this.rest > 0) await this.flow(rest, this.rest);
    else await this.flow('found', -this.rest);
    this.rest = 0;
    const { draft, entryId } = this.of;
    for (const [clayId, grams] of this.offBlocks)
      await draft.put('entryTaking', { id: randomUUID(), entryId, clayId, grams });
    for (const { before, now } of this.contents.values())
      draft.replace(
        'tubContent',
        before,
        now.filter((r) => r.grams > 0),
      );
    for (const thing of this.things.values()) await draft.put('sheet', { ...thing, version: draft.version });
  }
}
