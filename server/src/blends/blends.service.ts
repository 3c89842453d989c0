import { idsOf, ofBlend, type Mixable } from '#core/material';
import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';

import { areasOf, checkLayout, streakContrast } from '#core/blend';
import { lookUp, type Looking, type MaterialBook } from '#core/stock';
import { colourOf, pigmentOfMix, flatOf } from '#core/mix';

import {
  BLENDS_KEY,
  type BlendInside,
  type BlendAnswer,
  type BlendCard,
  type BlendDoneDto,
  type BlendDto,
  type BlendPlanDto,
} from '#contract';
import { checkVersion, inUse, notThere, refused, refusedAt } from '../access/problem.js';
import { columnsFor, materialOf } from '../db/references.js';
import { SetAside } from '../db/setAside.module.js';
import { Journal, type Row } from '../db/journal.js';
import { writeEntry } from '../db/writeEntry.js';
import { MixesService } from '../mixes/mixes.service.js';
import { Studio } from '../mixes/studio.js';
import { Revisions } from '../revisions/revisions.js';
import { sameDocument } from '../revisions/sameDocument.js';
import { sheetRow } from '../sheets/sheetRow.js';
import { Accounts } from '../stock/accounts.js';
import { BlendsStore } from './blends.store.js';
import { keptShape, layoutIn, readShape } from './shape.js';

/** A blend that was made. `density` in g/cm³. */
export interface BlendAsMade {
  readonly blendId: string;
  readonly name: string;
  readonly number: number;
  readonly hexes: readonly string[];
  readonly density: number;
}

@Injectable()
export class BlendsService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(MixesService) private readonly mixes: MixesService,
    @Inject(BlendsStore) private readonly store: BlendsStore,
    @Inject(Revisions) private readonly revisionRule: Revisions,
    @Inject(Accounts) private readonly accounts: Accounts,
    @Inject(SetAside) private readonly aside: SetAside,
  ) {}

  async cards(): Promise<BlendCard[]> {
    return Promise.all(
      (await this.revisionRule.all('blend')).map(async ({ id, name, retired }) => {
        const { plan, id: revisionId } = await this.newest(id);
        return {
          id,
          revisionId,
          name,
          retired,
          plan,
          hexes: plan.colours.map((of) => colourOf(flatOf(of, this.studio), 'baked', this.studio.pigments).hex),
          names: plan.colours.map(this.studio.called),
        };
      }),
    );
  }

  async open(id: string): Promise<BlendAnswer> {
    const blend = await this.revisionRule.thing('blend', id);
    if (!blend) throw notThere('This blend');
    const { plan, number, made } = await this.newest(id);
    const mixes = idsOf('mix', plan.colours);
    const referenced = (await Promise.all(mixes.map((m) => this.mixes.withAll(m)))).flat();
    return {
      ...blend,
      plan,
      revision: number,
      made,
      counted: await this.counted(),
      referenced: [...new Map(referenced.map((r) => [r.id, r])).values()],
    };
  }

  async save(changeId: string, dto: BlendDto): Promise<BlendAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('blend', dto.id);
      await checkVersion(stored?.name ?? 'This blend', stored?.version, dto.version, () => this.open(dto.id));
      await this.revisionRule.checkName('blend', dto.id, dto.name);
      await this.checkPlan(dto.plan);
      await draft.put('blend', {
        id: dto.id,
        version: draft.version,
        name: dto.name.trim(),
        note: dto.note,
        retired: dto.retired,
      });
      const newest = await this.revisionRule.newest('blend', dto.id);
      const changed = !newest || !sameDocument(await this.planIn(newest), dto.plan);
      const { before, ...written } = await this.revisionRule.written('blend', newest, changed);
      const { colours, settingId, tapeSettingId, ...shape } = dto.plan;
      const revision: Row<'blendRevision'> = {
        ...written,
        blendId: dto.id,
        settingId,
        tapeSettingId,
        shape: keptShape(shape),
      };
      await draft.put('blendRevision', revision);
      const old = before ? await this.store.coloursOf([before.id]) : [];
      draft.replace(
        'blendColour',
        old,
        colours.map((of, position) => ({
          id: old[position]?.id ?? randomUUID(),
          blendRevisionId: revision.id,
          position,
          ...columnsFor('blendColour', of),
        })),
      );
      draft.summary = stored ? `changed the blend ${dto.name.trim()}` : `new blend ${dto.name.trim()}`;
    });
    return this.open(dto.id);
  }

  async remove(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const blend = await draft.find('blend', id);
      if (!blend) throw notThere('This blend');
      await checkVersion(blend.name, blend.version, version, () => this.open(id));
      const revisions = await this.revisionRule.of('blend', id);
      const ids = revisions.map((r) => r.id);
      if ((await this.revisionRule.madeOf('blend', ids)).size > 0)
        throw inUse(`${blend.name} was made and stands in the diary. Retire it instead.`);
      const inside = await this.store.plansUsing(revisions.map((r) => r.id));
      if (inside.length > 0) throw inUse(`${blend.name} is used by ${inside.join(', ')}. Take it out there first.`);
      draft.remove('blendColour', await this.store.coloursOf(revisions.map((r) => r.id)));
      draft.remove('blendRevision', revisions);
      draft.remove('blend', [blend]);
      draft.summary = `took away the blend ${blend.name}`;
    });
  }

  /** Passes of all blends that were made; none where what they teach was set aside. */
  async counted(): Promise<{ contrast: number; passes: number }[]> {
    return (await this.aside.keys()).has(BLENDS_KEY) ? [] : this.store.counted();
  }

  allCounted(): Promise<{ contrast: number; passes: number }[]> {
    return this.store.counted();
  }

  /** Takes the clay off the shelf and writes the diary, with the passes that it took. @returns the id of the entry */
  async done(changeId: string, id: string, dto: BlendDoneDto): Promise<{ entryId: string }> {
    await this.journal.change(changeId, async (draft) => {
      const blend = await draft.find('blend', id);
      if (!blend) throw notThere('This blend');
      await checkVersion(blend.name, blend.version, dto.version, () => this.open(id));
      const { plan, id: blendRevisionId } = await this.newest(id);
      const flats = plan.colours.map((of) => flatOf(of, this.studio));
      const contrast = streakContrast(flats.map((f) => pigmentOfMix(f, 'baked', this.studio.pigments)));
      const names = plan.colours.map(this.studio.called);
      const words = ['blend', ...names, ...flats.flatMap((f) => f.shares.map((s) => s.clay.name))];
      await writeEntry(draft, dto, { title: blend.name, words });
      const account = this.accounts.open(draft, dto.entryId);
      await account.offShelf(dto.used);
      await account.take(dto.ready ?? [], 'ready');
      const layout = layoutIn(plan);
      const whole = account.open;
      for (const [i, area] of areasOf(layout).entries()) {
        const of = plan.colours[i];
        if (of?.kind === 'mix')
          await draft.put('entryMix', {
            id: randomUUID(),
            entryId: dto.entryId,
            revisionId: of.id,
            grams: (whole * area) / (plan.width * plan.height),
          });
      }
      await draft.put('entryBlend', {
        id: randomUUID(),
        entryId: dto.entryId,
        blendRevisionId,
        passes: dto.passes,
        contrast,
      });
      if (dto.sheet)
        await account.made({
          ...sheetRow(dto.sheet),
          version: draft.version,
          entryId: dto.entryId,
          ...columnsFor('sheet', ofBlend(blendRevisionId)),
          rolledAt: '',
          seen: null,
        });
      await account.putAway(dto.left ?? [], 'left');
      await account.close(dto.sheet ? 'lost' : 'pieces');
      draft.summary = `${blend.name} made`;
    });
    return { entryId: dto.entryId };
  }

  /** A blend of an entry, as it was made: its colours from left to right, and what it weighs. */
  async asMade(blendRevisionId: string): Promise<BlendAsMade | null> {
    const revision = await this.revisionRule.one('blend', blendRevisionId);
    const blend = revision && (await this.revisionRule.thing('blend', revision.blendId));
    const inside = await this.inside(blendRevisionId);
    if (!blend || !inside) return null;
    const { name, plan } = inside;
    const book: MaterialBook = {
      ...this.studio.asBook(),
      blend: () => ({ name, colours: plan.colours, layout: layoutIn(plan) }),
    };
    const { density } = lookUp(ofBlend(blendRevisionId), book, this.looking());
    const hexes = plan.colours.flatMap((of) => lookUp(of, book, this.looking()).hexes);
    return { blendId: blend.id, name, number: revision.number, hexes, density };
  }

  private looking(): Looking {
    return { stage: 'baked', pigments: this.studio.pigments };
  }

  /** A blend as its revision has it, for the canes that its plug is in. */
  async inside(revisionId: string): Promise<BlendInside | null> {
    const revision = await this.revisionRule.one('blend', revisionId);
    const blend = revision && (await this.revisionRule.thing('blend', revision.blendId));
    if (!blend) return null;
    return { revisionId, blendId: blend.id, name: blend.name, plan: await this.planIn(revision) };
  }

  /** From left to right. */
  private async coloursIn(blendRevisionId: string): Promise<Mixable[]> {
    return (await this.store.coloursOf([blendRevisionId])).map((row) => materialOf('blendColour', row));
  }

  private async newest(
    blendId: string,
  ): Promise<{ readonly plan: BlendPlanDto; readonly number: number; readonly id: string; readonly made: boolean }> {
    const revision = await this.revisionRule.newest('blend', blendId);
    if (!revision) throw notThere('This blend');
    const { id, number } = revision;
    const made = (await this.revisionRule.madeOf('blend', [id])).has(id);
    return { id, number, made, plan: await this.planIn(revision) };
  }

  /** The plan that a revision keeps. */
  private async planIn({ id, shape, settingId, tapeSettingId }: Row<'blendRevision'>): Promise<BlendPlanDto> {
    return { ...readShape(shape), settingId, tapeSettingId, colours: await this.coloursIn(id) };
  }

  /** @throws ProblemException with the field that is wrong */
  private async checkPlan(plan: BlendPlanDto): Promise<void> {
    plan.colours.forEach((of, i) => {
      if (!this.studio.has(of))
        throw refused('This colour is not on the shelf and not on the board.', `plan.colours.${i}`);
    });
    if (plan.cuts.length !== plan.colours.length - 1)
      throw refused('A blend has a cut between every two colours.', 'plan.cuts');
    refusedAt('plan.cuts', () => {
      checkLayout(layoutIn(plan));
    });
    const wanted = [plan.settingId, plan.tapeSettingId].filter((s) => s !== null);
    const there = await this.store.settingsThere(wanted);
    if (plan.settingId !== null && !there.has(plan.settingId))
      throw refused('This setting is not there any more.', 'plan.settingId');
    if (plan.tapeSettingId !== null && !there.has(plan.tapeSettingId))
      throw refused('This setting is not there any more.', 'plan.tapeSettingId');
  }
}
