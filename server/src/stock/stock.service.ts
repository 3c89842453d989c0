import { Inject, Injectable } from '@nestjs/common';
import { isOf, ofClay, type Material } from '#core/material';
import { lookUp, type OwnColour } from '#core/stock';
import type {
  AwayDto,
  BalanceAnswer,
  EmptiedDto,
  LeftDto,
  MadeAnswer,
  NotedDto,
  SlicedDto,
  StockAnswer,
  ThereAnswer,
  TubAnswer,
  TubDto,
} from '#contract';
import { checkVersion, notThere, refused } from '../access/problem.js';
import { CanesService } from '../canes/canes.service.js';
import { Journal, type Draft, type Row } from '../db/journal.js';
import { columnsFor, materialOf } from '../db/references.js';
import { Studio } from '../mixes/studio.js';
import { sheetRow } from '../sheets/sheetRow.js';
import { Accounts } from './accounts.js';
import { StockLooks } from './looks.js';
import { MadeAnswers } from './madeAnswers.js';
import { StockStore, type Counting } from './stock.store.js';
import { tubOf } from './tubRow.js';

interface EntryOf {
  readonly entryId: string;
  readonly madeOn: string;
  readonly note?: string;
}

/** What lies there, tubs of scrap, and where all the clay is. */
@Injectable()
export class StockService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(StockStore) private readonly store: StockStore,
    @Inject(StockLooks) private readonly looks: StockLooks,
    @Inject(MadeAnswers) private readonly answers: MadeAnswers,
    @Inject(Accounts) private readonly accounts: Accounts,
    @Inject(CanesService) private readonly canes: CanesService,
  ) {}

  async all(): Promise<StockAnswer> {
    const rows = await this.store.things();
    const counting = [
      ...(await this.store.countedOn()).map((c) => ({ ...c, kind: 'batch' as const })),
      ...(await this.canes.countedOn()).map((c) => ({ ...c, kind: 'cane' as const })),
    ];
    const things = (await this.answers.all(rows)).map((thing) => reserved(thing, counting));
    const tubs = await this.tubs();
    return { things, tubs, balance: await this.balance(rows, tubs) };
  }

  /** Something that lies there already, without a plan: it counts as brought in. */
  async noted(changeId: string, { thing, of, entryId, madeOn, note }: NotedDto): Promise<MadeAnswer> {
    await this.journal.change(changeId, async (draft) => {
      if (await draft.find('sheet', thing.id)) throw refused('This lies there already.', 'thing.id');
      const name = await this.nameOf(of);
      await this.entry(draft, { entryId, madeOn, note }, `${thing.name.trim()} lies there`, ['noted', name]);
      const account = this.accounts.open(draft, entryId);
      await account.noted({
        ...sheetRow(thing),
        gone: false,
        version: draft.version,
        entryId,
        ...columnsFor('sheet', of),
        rolledAt: thing.rolledAt ?? '',
      });
      await account.close('lost');
      draft.summary = `noted ${thing.name.trim()}`;
    });
    return this.one(thing.id);
  }

  /** What lies there goes to a tub, or is thrown away. */
  async away(changeId: string, id: string, dto: AwayDto): Promise<MadeAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const thing = await this.there(draft, id, dto.version);
      const where = dto.to === 'tub' ? 'to the scrap' : 'thrown away';
      await this.entry(draft, dto, `${thing.name} ${where}`, ['scrap']);
      const account = this.accounts.open(draft, dto.entryId);
      await account.takeMade(id, thing.grams, 'to');
      const parts = dto.to === 'tub' ? await this.partsOf(thing) : [];
      const tubId = dto.tubId ?? null;
      if (dto.to === 'tub') await account.putAway([{ parts, to: 'tub', tubId }], 'left');
      await account.close(dto.to === 'tub' ? 'lost' : 'thrown');
      draft.summary = `${thing.name} ${where}`;
    });
    return this.one(id);
  }

  /** Slices off a cane that lies there: as long a piece of it as they are thick together. */
  async sliced(changeId: string, id: string, dto: SlicedDto): Promise<MadeAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const cane = await this.there(draft, id, dto.version);
      if (cane.form !== 'cane') throw refused(`${cane.name} is no cane: slices are cut off one.`);
      const mm = dto.count * dto.mm;
      if (mm > cane.lengthMm + 0.5)
        throw refused(
          `${dto.count} slices take ${tenths(mm)} mm, and ${cane.name} is only ${tenths(cane.lengthMm)} mm long.`,
          'count',
        );
      await this.entry(draft, dto, `${dto.name.trim()} cut`, ['slices', cane.name]);
      const account = this.accounts.open(draft, dto.entryId);
      const grams = (cane.grams * Math.min(mm, cane.lengthMm)) / cane.lengthMm;
      await account.takeMade(id, grams, 'count');
      await account.made({
        ...cane,
        id: dto.slicesId,
        version: draft.version,
        entryId: dto.entryId,
        name: dto.name.trim(),
        note: '',
        form: 'slices',
        count: dto.count,
        keptIn: dto.keptIn.trim(),
        lengthMm: cane.widthMm,
        mm: dto.mm,
        grams: account.open,
      });
      await account.close('lost');
      draft.summary = `cut ${dto.count} slices off ${cane.name}`;
    });
    return this.one(dto.slicesId);
  }

  async saveTub(changeId: string, dto: TubDto): Promise<TubAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('tub', dto.id);
      await checkVersion(stored?.name ?? 'This tub', stored?.version, dto.version, () => this.tub(dto.id));
      const fresh = { rule: 'none' as const, clayId: null, revisionId: null, blendRevisionId: null };
      const said = { id: dto.id, version: draft.version, name: dto.name.trim(), keptIn: dto.keptIn.trim() };
      await draft.put('tub', { ...(stored ?? fresh), ...said });
      draft.summary = stored ? `changed the tub ${said.name}` : `new tub ${said.name}`;
    });
    return this.tub(dto.id);
  }

  /** All of a tub is thrown away. */
  async emptied(changeId: string, id: string, dto: EmptiedDto): Promise<TubAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const tub = await draft.find('tub', id);
      if (!tub) throw notThere('This tub');
      await checkVersion(tub.name, tub.version, dto.version, () => this.tub(id));
      const { grams } = await this.tub(id);
      await this.entry(draft, dto, `${tub.name} thrown away`, ['scrap']);
      const account = this.accounts.open(draft, dto.entryId);
      await account.take([{ of: { kind: 'scrap', id }, grams }], 'grams');
      await account.close('thrown');
      await draft.put('tub', { ...tub, version: draft.version });
      draft.summary = `threw ${tub.name} away`;
    });
    return this.tub(id);
  }

  private async entry(draft: Draft, of: EntryOf, title: string, words: readonly string[]): Promise<void> {
    await draft.put('entry', {
      id: of.entryId,
      version: draft.version,
      batchId: null,
      madeOn: of.madeOn,
      title,
      note: of.note ?? '',
      words: words.join(' '),
    });
  }

  private async there(draft: Draft, id: string, version: number): Promise<Row<'sheet'>> {
    const thing = await draft.find('sheet', id);
    if (!thing) throw notThere('This thing');
    await checkVersion(thing.name, thing.version, version, () => this.one(id));
    if (thing.gone) throw refused(`${thing.name} is used up: it does not lie there any more.`);
    return thing;
  }

  private async one(id: string): Promise<MadeAnswer> {
    const [row] = await this.store.madeOf([id]);
    if (!row) throw notThere('This thing');
    return this.answers.of({ ...row, madeOn: '' });
  }

  private async nameOf(of: Material): Promise<string> {
    if (of.kind === 'cane') return (await this.canes.called(of.id)) ?? 'a cane';
    return (await this.looks.of(of)).name;
  }

  /** What a thing is of, so that it can go to a tub: of a cane all that is in it. */
  private async partsOf(thing: Row<'sheet'>): Promise<LeftDto['parts']> {
    const of = materialOf('sheet', thing);
    if (isOf(of, 'clay', 'mix', 'blend')) return [{ of, grams: thing.grams }];
    const volumes = await this.canes.volumesIn(of.id);
    const weights: { of: OwnColour; weight: number }[] = [];
    for (const [material, volume] of volumes)
      if (isOf(material, 'clay', 'mix', 'blend'))
        weights.push({ of: material, weight: volume * (await this.looks.of(material)).density });
    const whole = weights.reduce((sum, w) => sum + w.weight, 0);
    if (!(whole > 0))
      throw refused(`What is in ${thing.name} cannot be worked out any more. It can be thrown away.`, 'to');
    return weights.map(({ of: material, weight }) => ({ of: material, grams: (thing.grams * weight) / whole }));
  }

  private async tub(id: string): Promise<TubAnswer> {
    const tub = (await this.tubs()).find((t) => t.id === id);
    if (!tub) throw notThere('This tub');
    return tub;
  }

  private async tubs(): Promise<TubAnswer[]> {
    const { tubs, book } = await this.looks.allTubs();
    return tubs.map(({ row, grams, clays }) => {
      const hexOf = (stage: 'raw' | 'baked'): string | null =>
        clays.length === 0
          ? null
          : (lookUp({ kind: 'scrap', id: row.id }, book, { stage, pigments: this.studio.pigments }).hexes[0] ?? null);
      return {
        ...tubOf(row),
        id: row.id,
        version: row.version,
        name: row.name,
        keptIn: row.keptIn,
        grams,
        hex: hexOf('baked'),
        rawHex: hexOf('raw'),
        clays: clays.map((c) => ({ clayId: c.clayId, grams: c.grams, name: this.studio.called(ofClay(c.clayId)) })),
      };
    });
  }

  private async balance(things: readonly Row<'sheet'>[], tubs: readonly TubAnswer[]): Promise<BalanceAnswer> {
    const [blocks, sums] = [await this.store.blocks(), await this.store.sums()];
    const sum = (kind: Row<'flow'>['kind']): number => sums.get(kind) ?? 0;
    const known = {
      bought: blocks.bought,
      found: sum('noted') + sum('found'),
      onShelf: blocks.left,
      lyingThere: things.reduce((all, t) => all + t.grams, 0),
      inTubs: tubs.reduce((all, t) => all + t.grams, 0),
      inPieces: sum('pieces'),
      thrown: sum('thrown'),
      lost: sum('lost'),
    };
    const { bought, found, onShelf, lyingThere, inTubs, inPieces, thrown, lost } = known;
    return { ...known, unsaid: bought + found - onShelf - lyingThere - inTubs - inPieces - thrown - lost };
  }
}

const tenths = (mm: number): number => Math.round(mm * 10) / 10;

function reserved(
  thing: MadeAnswer,
  counting: readonly (Counting & { readonly kind: 'batch' | 'cane' })[],
): ThereAnswer {
  const reservedFor = counting.filter((c) => c.madeId === thing.id).map(({ kind, id, name }) => ({ kind, id, name }));
  return { ...thing, reservedFor };
}
