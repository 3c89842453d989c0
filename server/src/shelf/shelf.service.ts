import { Inject, Injectable } from '@nestjs/common';
import { showMonth } from '#core/clay';
import { inBoth, showMass } from '#core/units';
import type {
  BlockDto,
  ClayDto,
  LineDto,
  MixName,
  ShelfAnswer,
  ShelfListAnswer,
  ShelfListDto,
  UsedInAnswer,
} from '#contract';
import { checkFree, checkVersion, inUse, notThere, refused } from '../access/problem.js';
import { Journal } from '../db/journal.js';
import { Studio } from '../mixes/studio.js';
import { bringIn, toldOf, writeBrought } from './shelfList.js';
import { ShelfStore } from './shelf.store.js';

/** What was not sent is as it was before. */
const asBefore = <T>(sent: T | null | undefined, before: T | null | undefined): T | null =>
  (sent === undefined ? before : sent) ?? null;
const same = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();
const grams = (g: number): string => inBoth((system) => showMass(g, system));

/** Mixes that are named of all those a clay is in. */
const MOST_NAMED = 60;

/** Mixes that a refusal names; of more it says how many. */
const MOST_TOLD = 6;

function fewMixes(mixes: readonly MixName[]): string[] {
  const told = mixes.slice(0, MOST_TOLD).map((m) => `the mix ${m.name}`);
  const more = mixes.length - told.length;
  return more > 0 ? [...told, `${more} more mixes`] : told;
}

function clayChange({ name, retired }: ClayDto, before: ClayDto | undefined): string {
  if (!before) return `new clay ${name.trim()}`;
  if (before.retired === retired) return `changed ${name.trim()}`;
  return `${retired ? 'retired' : 'brought back'} ${name.trim()}`;
}

/** @param less grams that are gone from it */
function blockChange(less: number, name: string): string {
  if (less === 0) return `changed a block of ${name}`;
  return less > 0 ? `took ${grams(less)} of ${name}` : `added ${grams(-less)} to ${name}`;
}

/**
 * The maker's own figures for baking; what a window does not know of stays as it was.
 * @throws ProblemException where one of them is missing, or it is hotter than the line stands
 */
function ownFigures(dto: LineDto, stored: LineDto | undefined): { ownC: number | null; ownMinutes: number | null } {
  const ownC = dto.ownC === undefined ? (stored?.ownC ?? null) : dto.ownC;
  const ownMinutes = dto.ownMinutes === undefined ? (stored?.ownMinutes ?? null) : dto.ownMinutes;
  if ((ownC === null) !== (ownMinutes === null))
    throw refused('Own figures are a temperature and minutes, both of them.', ownC === null ? 'ownC' : 'ownMinutes');
  if (ownC !== null && ownC > dto.maxC)
    throw refused('Your own temperature is above the maximum of this line.', 'ownC');
  return { ownC, ownMinutes };
}

@Injectable()
export class ShelfService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(ShelfStore) private readonly store: ShelfStore,
  ) {}

  all(): ShelfAnswer {
    return { lines: this.studio.all('line'), clays: this.studio.all('clay'), blocks: this.studio.all('block') };
  }

  /** The mixes that a clay is in, by name. */
  async usedIn(clayId: string): Promise<UsedInAnswer> {
    if (!this.studio.clay(clayId)) throw notThere('This clay');
    const mixes = await this.store.mixesUsing([clayId]);
    return { total: mixes.length, mixes: mixes.slice(0, MOST_NAMED).map(({ id, name }) => ({ id, name })) };
  }

  async saveLine(changeId: string, dto: LineDto): Promise<LineDto> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('line', dto.id);
      await checkVersion(stored?.name ?? 'This line', stored?.version, dto.version, () => stored);
      checkFree(
        'a line',
        dto.name,
        this.studio.all('line').filter((l) => l.id !== dto.id),
      );
      if (dto.maxC < dto.bakeC) throw refused('The maximum temperature is below the baking temperature.', 'maxC');
      const own = ownFigures(dto, stored);
      await draft.put('line', {
        ...dto,
        ...own,
        name: dto.name.trim(),
        // what a window does not know of stays as it was
        toughness: dto.toughness === undefined ? (stored?.toughness ?? null) : dto.toughness,
        version: draft.version,
      });
      draft.summary = stored ? `changed ${dto.name.trim()}` : `new line ${dto.name.trim()}`;
    });
    return this.studio.one('line', dto.id) ?? dto;
  }

  async saveClay(changeId: string, dto: ClayDto): Promise<ClayDto> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('clay', dto.id);
      await checkVersion(stored?.name ?? 'This clay', stored?.version, dto.version, () => stored);
      const line = this.studio.line(dto.lineId);
      if (!line) throw refused('This line is not there any more.', 'lineId');
      if (this.studio.all('clay').some((c) => c.id !== dto.id && c.lineId === dto.lineId && same(c.name, dto.name))) {
        throw refused(`${line.name} has a ${dto.name.trim()} already.`, 'name');
      }
      if (this.studio.mixNamed(dto.name)) {
        throw refused(`There is a mix called ${dto.name.trim()}. Call the clay or the mix something else.`, 'name');
      }
      await draft.put('clay', {
        ...dto,
        name: dto.name.trim(),
        version: draft.version,
        rawHex: dto.rawHex.toUpperCase(),
        bakedHex: dto.bakedHex.toUpperCase(),
        edgeHex: dto.edgeHex?.toUpperCase() ?? null,
      });
      draft.summary = clayChange(dto, stored);
    });
    return this.studio.one('clay', dto.id) ?? dto;
  }

  async saveBlock(changeId: string, dto: BlockDto): Promise<BlockDto> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('block', dto.id);
      const name = this.studio.clay(dto.clayId)?.name;
      if (name === undefined) throw refused('This clay is not there any more.', 'clayId');
      await checkVersion(`The block of ${name}`, stored?.version, dto.version, () => stored);
      if (dto.leftGrams > dto.netGrams)
        throw refused(
          `A block of ${grams(dto.netGrams)} cannot have ${grams(dto.leftGrams)} left. Add a block, or ` +
            'change its net weight.',
          'leftGrams',
        );
      await draft.put('block', {
        ...dto,
        // what a window does not know of stays as it was
        ...{
          squeezed: asBefore(dto.squeezed, stored?.squeezed),
          squeezedOn: asBefore(dto.squeezedOn, stored?.squeezedOn),
        },
        inside: stored?.inside ?? null,
        version: draft.version,
      });
      const less = (stored?.leftGrams ?? 0) - dto.leftGrams;
      draft.summary = stored ? blockChange(less, name) : `new block of ${name}`;
    });
    return this.studio.one('block', dto.id) ?? dto;
  }

  /** A list of clays: what would come of it, or, where somebody is sure, all of it in one change. */
  async list(changeId: string, { rows, sure }: ShelfListDto): Promise<ShelfListAnswer> {
    const looked = bringIn(rows, this.studio, 0);
    if (!sure || looked.faults.length > 0) return toldOf(looked);
    await this.journal.change(changeId, async (draft) => {
      const brought = bringIn(rows, this.studio, draft.version);
      await writeBrought(draft, brought);
      draft.summary = `put ${brought.blocks.length} blocks of a list on the shelf`;
    });
    return toldOf(looked);
  }

  async removeLine(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const line = await draft.find('line', id);
      if (!line) throw notThere('This line');
      await checkVersion(line.name, line.version, version, () => line);
      const clays = this.studio.all('clay').filter((c) => c.lineId === id);
      if (clays.length > 0)
        throw inUse(`${line.name} still has ${clays.map((c) => c.name).join(', ')}. Take those off the shelf first.`);
      draft.remove('line', [line]);
      draft.summary = `took ${line.name} off the shelf`;
    });
  }

  async removeClay(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const clay = await draft.find('clay', id);
      if (!clay) throw notThere('This clay');
      await checkVersion(clay.name, clay.version, version, () => clay);
      const uses = [
        ...fewMixes(await this.store.mixesUsing([id])),
        ...(await this.store.batchesUsing(id)).map((b) => `the batch ${b}`),
        ...(await this.store.blendsUsing(id)).map((b) => `the blend ${b}`),
        ...(await this.store.plansUsing(id)),
        ...((await this.store.inDiary(id)) ? ['the diary'] : []),
      ];
      if (uses.length > 0)
        throw inUse(
          `${clay.name} is used by ${uses.join(', ')}. Retire it instead: it leaves the shelf and stays in them.`,
        );
      draft.remove(
        'block',
        this.studio.all('block').filter((b) => b.clayId === id),
      );
      draft.remove('clay', [clay]);
      draft.summary = `took ${clay.name} off the shelf`;
    });
  }

  async removeBlock(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const block = await draft.find('block', id);
      if (!block) throw notThere('This block');
      const name = this.studio.clay(block.clayId)?.name ?? 'clay';
      await checkVersion(`The block of ${name}`, block.version, version, () => block);
      draft.remove('block', [block]);
      draft.summary = `took away a block of ${name}${block.madeOn ? `, made ${showMonth(block.madeOn)}` : ''}`;
    });
  }
}
