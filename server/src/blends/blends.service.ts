import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { flatOf } from '#core/batch';
import { checkLayout } from '#core/blend';
import { colourOf } from '#core/mix';
import { Complaint } from '#core/units';
import type { BlendAnswer, BlendCard, BlendColourDto, BlendDto, BlendPlanDto } from '#contract';
import { checkVersion, notThere, refused } from '../access/problem.js';
import { Journal, type Row } from '../db/journal.js';
import { MixesService } from '../mixes/mixes.service.js';
import { Studio } from '../mixes/studio.js';
import { BlendsStore } from './blends.store.js';

const sourceOf = ({ clayId, revisionId }: BlendColourDto): { clay: string } | { revision: string } =>
  (clayId === null ? { revision: revisionId ?? '' } : { clay: clayId });

@Injectable()
export class BlendsService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(MixesService) private readonly mixes: MixesService,
    @Inject(BlendsStore) private readonly store: BlendsStore,
  ) {}

  async cards(): Promise<BlendCard[]> {
    return Promise.all((await this.store.all()).map(async ({ id, name, retired }) => {
      const { plan } = await this.newest(id);
      const sources = plan.colours.map(sourceOf);
      return {
        id, name, retired, plan,
        hexes: sources.map((of) => colourOf(flatOf(of, this.studio), 'baked', this.studio.pigments).hex),
        names: sources.map((of) => ('clay' in of ? this.studio.clay(of.clay)?.name ?? '' : this.studio.nameOf(of.revision))),
      };
    }));
  }

  async open(id: string): Promise<BlendAnswer> {
    const blend = (await this.store.all()).find((b) => b.id === id);
    if (!blend) throw notThere('This blend');
    const { plan, number } = await this.newest(id);
    const mixes = plan.colours.flatMap((c) => c.revisionId ?? []);
    const referenced = (await Promise.all(mixes.map((m) => this.mixes.withAll(m)))).flat();
    return { ...blend, plan, revision: number, referenced: [...new Map(referenced.map((r) => [r.id, r])).values()] };
  }

  async save(changeId: string, dto: BlendDto): Promise<BlendAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('blend', dto.id);
      await checkVersion(stored?.name ?? 'This blend', stored?.version, dto.version, () => this.open(dto.id));
      const twin = await this.store.named(dto.name);
      if (twin && twin.id !== dto.id) throw refused(`There is a blend called ${dto.name.trim()} already.`, 'name');
      await this.checkPlan(dto.plan);
      await draft.put('blend', { id: dto.id, version: draft.version, name: dto.name.trim(), note: dto.note, retired: dto.retired });
      const [before] = (await this.store.revisionsOf(dto.id)).slice(-1);
      const { colours, settingId, tapeSettingId, ...shape } = dto.plan;
      const revision: Row<'blendRevision'> = {
        id: before?.id ?? randomUUID(), blendId: dto.id, number: before?.number ?? 1, createdAt: before?.createdAt ?? new Date().toISOString(), settingId, tapeSettingId, shape,
      };
      await draft.put('blendRevision', revision);
      const old = before ? await this.store.coloursOf([before.id]) : [];
      draft.replace('blendColour', old, colours.map(({ clayId, revisionId }, position) => ({ id: old[position]?.id ?? randomUUID(), blendRevisionId: revision.id, position, clayId, revisionId })));
      draft.summary = stored ? `changed the blend ${dto.name.trim()}` : `new blend ${dto.name.trim()}`;
    });
    return this.open(dto.id);
  }

  async remove(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const blend = await draft.find('blend', id);
      if (!blend) throw notThere('This blend');
      await checkVersion(blend.name, blend.version, version, () => this.open(id));
      const revisions = await this.store.revisionsOf(id);
      draft.remove('blendColour', await this.store.coloursOf(revisions.map((r) => r.id)));
      draft.remove('blendRevision', revisions);
      draft.remove('blend', [blend]);
      draft.summary = `took away the blend ${blend.name}`;
    });
  }

  private async newest(blendId: string): Promise<{ readonly plan: BlendPlanDto; readonly number: number }> {
    const [revision] = (await this.store.revisionsOf(blendId)).slice(-1);
    if (!revision) throw notThere('This blend');
    const colours = (await this.store.coloursOf([revision.id])).map(({ clayId, revisionId }) => ({ clayId, revisionId }));
    const { settingId, tapeSettingId, shape, number } = revision;
    return { number, plan: { ...shape, settingId, tapeSettingId, colours } };
  }

  /** @throws ProblemException with the field that is wrong */
  private async checkPlan(plan: BlendPlanDto): Promise<void> {
    plan.colours.forEach(({ clayId, revisionId }, i) => {
      const there = clayId === null ? revisionId !== null && this.studio.one('revision', revisionId) : revisionId === null && this.studio.clay(clayId);
      if (!there) throw refused('This colour is not on the shelf and not on the board.', `plan.colours.${i}.clayId`);
    });
    if (plan.cuts.length !== plan.colours.length - 1) throw refused('A blend has a cut between every two colours.', 'plan.cuts');
    try {
      checkLayout({ width: plan.width, height: plan.height, cuts: plan.cuts.map((c) => c.points) });
    } catch (error) {
      throw error instanceof Complaint ? refused(error.message, 'plan.cuts') : error;
    }
    const wanted = [plan.settingId, plan.tapeSettingId].filter((s) => s !== null);
    const there = await this.store.settingsThere(wanted);
    if (plan.settingId !== null && !there.has(plan.settingId)) throw refused('This setting is not there any more.', 'plan.settingId');
    if (plan.tapeSettingId !== null && !there.has(plan.tapeSettingId)) throw refused('This setting is not there any more.', 'plan.tapeSettingId');
  }
}
