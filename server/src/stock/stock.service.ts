import { Inject, Injectable } from '@nestjs/common';
import { isOf, type Material } from '#core/material';
import { type OwnColour } from '#core/stock';
import type {
  AwayDto,
  BalanceAnswer,
  LaidDto,
  LeftDto,
  MadeAnswer,
  NotedDto,
  SlicedDto,
  StockAnswer,
  ThereAnswer,
  TubAnswer,
} from '#contract';
import { checkVersion, notThere, refused } from '../access/problem.js';
import { CanesTold } from '../canes/canes.told.js';
import { Journal, type Draft, type Row } from '../db/journal.js';
import { columnsFor, materialOf } from '../db/references.js';
import { writeEntry } from '../db/writeEntry.js';
import { Studio } from '../mixes/studio.js';
import { sheetRow } from '../sheets/sheetRow.js';
import { Accounts } from './accounts.js';
import { leftOf } from './leftOf.js';
import { StockLooks } from './looks.js';
import { MadeAnswers } from './madeAnswers.js';
import { StockStore, type Counting } from './stock.store.js';
import { TubsService } from './tubs.service.js';

/** What lies there, tubs of scrap, and where all the clay is. */
@Injectable()
export class StockService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(StockStore) private readonly store: StockStore,
    @Inject(StockLooks) private readonly looks: StockLooks,
    @Inject(MadeAnswers) private readonly answers: MadeAnswers,
    @Inject(Accounts) private readonly accounts: Accounts,
    @Inject(CanesTold) private readonly canes: CanesTold,
    @Inject(TubsService) private readonly tubs: TubsService,
    @Inject(Studio) private readonly studio: Studio,
  ) {
    journal.onChange(() => {
      this.changes++;
    });
  }

  private changes = 0;
  private last: { readonly key: string; readonly answer: Promise<string> } | null = null;

  /** All of it as JSON; written once for as long as nothing changes, since windows ask for it often. */
  written(): Promise<string> {
    const key = `${this.changes} ${this.studio.learnedTimes}`;
    if (this.last?.key === key) return this.last.answer;
    const answer = this.all().then((all) => JSON.stringify(all));
    this.last = { key, answer };
    answer.catch(() => {
      this.last = null;
    });
    return answer;
  }

  async all(): Promise<StockAnswer> {
    const rows = await this.store.things();
    const counting = [
      ...(await this.store.countedOn()).map((c) => ({ ...c, kind: 'batch' as const })),
      ...(await this.canes.countedOn()).map((c) => ({ ...c, kind: 'cane' as const })),
    ];
    const things = reserved(await this.answers.all(rows), counting);
    const tubs = await this.tubs.all();
    return { things, tubs, balance: await this.balance(rows, tubs) };
  }

  /** Something that lies there already, without a plan: it counts as brought in. */
  async noted(changeId: string, { thing, of, entryId, madeOn, note }: NotedDto): Promise<MadeAnswer> {
    await this.journal.change(changeId, async (draft) => {
      if (await draft.find('sheet', thing.id)) throw refused('This lies there already.', 'thing.id');
      const name = await this.nameOf(of);
      await writeEntry(
        draft,
        { entryId, madeOn, note },
        { title: `${thing.name.trim()} lies there`, words: ['noted', name] },
      );
      const account = this.accounts.open(draft, entryId);
      await account.noted({
        ...sheetRow(thing),
        gone: false,
        version: draft.version,
        entryId,
        ...columnsFor('sheet', of),
        rolledAt: thing.rolledAt ?? '',
        seen: null,
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
      await writeEntry(draft, dto, { title: `${thing.name} ${where}`, words: ['scrap'] });
      const account = this.accounts.open(draft, dto.entryId);
      await account.takeMade(id, leftOf(thing), 'to');
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
      await writeEntry(draft, dto, { title: `${dto.name.trim()} cut`, words: ['slices', cane.name] });
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

  /** Slices and their backing become a sheet: of so many of them, by weight, and of all that was taken for it. */
  async laid(changeId: string, id: string, dto: LaidDto): Promise<MadeAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const slices = await this.there(draft, id, dto.version);
      if (slices.form !== 'slices') throw refused(`${slices.name} are no slices: cut some off the cane first.`);
      if (dto.count > slices.count) throw refused(`There are only ${slices.count} of ${slices.name}.`, 'count');
      await writeEntry(draft, dto, { title: `${dto.name.trim()} laid`, words: ['sheet', 'slices', slices.name] });
      const account = this.accounts.open(draft, dto.entryId);
      await account.takeMade(id, (slices.grams * dto.count) / slices.count, 'count');
      await account.take(dto.backing ?? [], 'backing');
      await account.made({
        ...slices,
        ...{ id: dto.sheetId, version: draft.version, entryId: dto.entryId, name: dto.name.trim(), note: '' },
        ...{ form: 'sheet', count: 1, keptIn: dto.keptIn.trim(), layers: 1, cuts: [] },
        ...{ widthMm: dto.widthMm, lengthMm: dto.lengthMm, mm: dto.mm, grams: account.open },
      });
      await account.close('lost');
      draft.summary = `laid ${dto.count} slices of ${slices.name} to a sheet`;
    });
    return this.one(dto.sheetId);
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
    if (isOf(of, 'cane', 'pattern')) return (await this.looks.builtOf(of)).name;
    return (await this.looks.of(of)).name;
  }

  /** What a thing is of, so that it can go to a tub: of a cane all that is in it. */
  private async partsOf(thing: Row<'sheet'>): Promise<LeftDto['parts']> {
    const of = materialOf('sheet', thing);
    if (isOf(of, 'clay', 'mix', 'blend')) return [{ of, grams: leftOf(thing) }];
    const weights: { of: OwnColour; weight: number }[] = [];
    for (const { of: material, volume } of (await this.looks.builtOf(of)).parts)
      if (isOf(material, 'clay', 'mix', 'blend'))
        weights.push({ of: material, weight: volume * (await this.looks.of(material)).density });
    const whole = weights.reduce((sum, w) => sum + w.weight, 0);
    if (!(whole > 0))
      throw refused(`What is in ${thing.name} cannot be worked out any more. It can be thrown away.`, 'to');
    return weights.map(({ of: material, weight }) => ({ of: material, grams: (thing.grams * weight) / whole }));
  }

  private async balance(things: readonly Row<'sheet'>[], tubs: readonly TubAnswer[]): Promise<BalanceAnswer> {
    const [blocks, sums] = [await this.store.blocks(), await this.store.sums()];
    const sum = (kind: Row<'flow'>['kind']): number => sums.get(kind) ?? 0;
    const known = {
      bought: blocks.bought,
      found: sum('noted') + sum('found') + sum('softener'),
      onShelf: blocks.left,
      lyingThere: things.reduce((all, t) => all + leftOf(t), 0),
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

/** Things with the plans that count on them. */
function reserved(
  things: readonly MadeAnswer[],
  counting: readonly (Counting & { readonly kind: 'batch' | 'cane' })[],
): ThereAnswer[] {
  const plans = new Map<string, ThereAnswer['reservedFor'][number][]>();
  for (const { madeId, kind, id, name } of counting)
    plans.set(madeId, [...(plans.get(madeId) ?? []), { kind, id, name }]);
  return things.map((thing) => Object.assign(thing, { reservedFor: plans.get(thing.id) ?? [] }));
}
