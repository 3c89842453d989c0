import { flatOf } from '#core/mix';
import { idsOf, isMixable, isOf, keyOf, ofMix, readMaterial, type Material } from '#core/material';
import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';

import { checkWork, madeIn, usedIn, type Program } from '#core/cane';
import type { BlendInside, CaneAnswer, CaneCard, CaneDoneDto, CaneDto, CaneLookAnswer } from '#contract';
import { checkVersion, inUse, notThere, refused, refusedAt } from '../access/problem.js';
import { BlendsService } from '../blends/blends.service.js';
import { PlanMaterials } from '../blends/planMaterials.js';
import { columnsFor, type Reference } from '../db/references.js';
import { checkPicture } from '../db/pictureThere.js';
import { Journal, type Draft, type Row } from '../db/journal.js';
import { writeEntry } from '../db/writeEntry.js';
import { MixesService } from '../mixes/mixes.service.js';
import { Studio } from '../mixes/studio.js';
import { Revisions } from '../revisions/revisions.js';
import { sameDocument } from '../revisions/sameDocument.js';
import { takeSheets } from '../sheetBook/takeSheets.js';
import { Accounts } from '../stock/accounts.js';
import { CanesStore } from './canes.store.js';
import { CanesTold, libraryOf, volumesOf } from './canes.told.js';
import { StockStore } from '../stock/stock.store.js';
import { keptRows } from './keptRow.js';

/** Everything that a cane is made with: a change of any of it is a change of the plan. */
const planIn = ({ program, slices, sliceMm, trimming, ends }: Pick<CaneDto, keyof CanePlan>): CanePlan => ({
  program,
  slices,
  sliceMm,
  trimming,
  ends: ends ?? null,
});
type CanePlan = Pick<Row<'caneRevision'>, 'program' | 'slices' | 'sliceMm' | 'trimming' | 'ends'>;

type Uses = Reference<'caneUse'>[];

/** Everything that some canes are made of, each once. */
const materialsIn = (programs: readonly Program[]): Material[] =>
  [...new Set(programs.flatMap((p) => usedIn(p.steps).materials))].map(readMaterial);

@Injectable()
export class CanesService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(MixesService) private readonly mixes: MixesService,
    @Inject(BlendsService) private readonly blends: BlendsService,
    @Inject(PlanMaterials) private readonly materials: PlanMaterials,
    @Inject(CanesStore) private readonly store: CanesStore,
    @Inject(Revisions) private readonly revisionRule: Revisions,
    @Inject(Accounts) private readonly accounts: Accounts,
    @Inject(CanesTold) private readonly told: CanesTold,
    @Inject(StockStore) private readonly stock: StockStore,
  ) {}

  async cards(): Promise<CaneCard[]> {
    const canes = await this.revisionRule.all('cane');
    const told = await this.told.listed(canes);
    return canes.flatMap(({ id, name, retired }) => {
      const own = told.get(id);
      return own ? [{ id, name, retired, revisionId: own.revisionId, steps: own.steps }] : [];
    });
  }

  async open(id: string): Promise<CaneAnswer> {
    const cane = await this.revisionRule.thing('cane', id);
    if (!cane) throw notThere('This cane');
    const { id: revisionId, number, program, slices, sliceMm, trimming, ends } = await this.told.newest(id);
    return {
      ...cane,
      program,
      slices,
      sliceMm,
      trimming,
      ends,
      revision: number,
      revisionId,
      made: (await this.revisionRule.madeOf('cane', [revisionId])).has(revisionId),
      ...(await this.restsOn(program)),
      outdated: await this.materials.outdated(materialsIn([program])),
      learnedEnds: await this.told.learned(),
    };
  }

  /** What a revision looks like, for pictures of it in other places. */
  async look(revisionId: string): Promise<CaneLookAnswer> {
    const revision = await this.revisionRule.one('cane', revisionId);
    const cane = revision && (await this.revisionRule.thing('cane', revision.caneId));
    if (!cane) throw notThere('This cane');
    const { program } = revision;
    return { caneId: cane.id, name: cane.name, revisionId, program, ...(await this.restsOn(program)) };
  }

  /** Every cane, blend and mix that a program rests on. */
  private async restsOn(program: Program): Promise<Pick<CaneAnswer, 'canes' | 'blends' | 'referenced'>> {
    const canes = await this.told.inside(program);
    const materials = materialsIn([program, ...canes.map((c) => c.program)]);
    const inside = await Promise.all(idsOf('blend', materials).map((id) => this.blends.inside(id)));
    const blends = inside.filter((b): b is BlendInside => b !== null);
    const mixIds = idsOf('mix', [...materials, ...blends.flatMap((b) => b.plan.colours)]);
    const referenced = (await Promise.all(mixIds.map((m) => this.mixes.withAll(m)))).flat();
    return { canes, blends, referenced: [...new Map(referenced.map((r) => [r.id, r])).values()] };
  }

  async save(changeId: string, dto: CaneDto): Promise<CaneAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('cane', dto.id);
      await checkVersion(stored?.name ?? 'This cane', stored?.version, dto.version, () => this.open(dto.id));
      const name = dto.name.trim();
      await this.revisionRule.checkName('cane', dto.id, name);
      await draft.put('cane', { id: dto.id, version: draft.version, name, note: dto.note, retired: dto.retired });
      const newest = await this.revisionRule.newest('cane', dto.id);
      const plan = planIn(dto);
      const changed = !newest || !sameDocument(planIn(newest), plan);
      const { before, ...written } = await this.revisionRule.written('cane', newest, changed);
      const revision: Row<'caneRevision'> = { ...written, caneId: dto.id, ...plan };
      await this.checkReserved(dto.program);
      const uses = await this.usesIn(dto.program, revision.id, dto.id, name);
      await draft.put('caneRevision', revision);
      const old = before ? await this.store.usesOf([before.id]) : [];
      draft.replace(
        'caneUse',
        old,
        uses.map((use, i) => ({ ...use, id: old[i]?.id ?? randomUUID(), caneRevisionId: revision.id })),
      );
      draft.summary = stored ? `changed the cane ${name}` : `new cane ${name}`;
    });
    return this.open(dto.id);
  }

  async remove(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const cane = await draft.find('cane', id);
      if (!cane) throw notThere('This cane');
      await checkVersion(cane.name, cane.version, version, () => this.open(id));
      const revisions = await this.revisionRule.of('cane', id);
      const ids = revisions.map((r) => r.id);
      if ((await this.revisionRule.madeOf('cane', ids)).size > 0)
        throw inUse(`${cane.name} was made and stands in the diary. Retire it instead.`);
      const users = await this.store.usedBy(ids);
      if (users.length > 0) throw inUse(`${cane.name} is used by ${users.join(', ')}. Take it out there first.`);
      draft.remove('caneUse', await this.store.usesOf(ids));
      draft.remove('caneRevision', revisions);
      draft.remove('cane', [cane]);
      draft.summary = `took away the cane ${cane.name}`;
    });
  }

  /** Takes the clay off the shelf and writes the diary, with what the ends cost. */
  async done(changeId: string, id: string, dto: CaneDoneDto): Promise<{ entryId: string }> {
    // planned before the change is begun, as others wait for it
    const { id: caneRevisionId, program, sliceMm, trimming, ends } = await this.told.newest(id);
    const inside = await this.told.inside(program);
    const all = materialsIn([program, ...inside.map((c) => c.program)]);
    const volumes = await volumesOf(
      program,
      inside,
      { slices: Math.max(1, dto.slices), thickness: sliceMm },
      { share: ends ?? (await this.told.learned()).ends, trimming },
    );
    await this.journal.change(changeId, async (draft) => {
      const cane = await draft.find('cane', id);
      if (!cane) throw notThere('This cane');
      await checkVersion(cane.name, cane.version, dto.version, () => this.open(id));
      await checkPicture(draft, dto.pictureId);
      const names = all.filter(isMixable).map(this.studio.called);
      const clays = dto.used.map((u) => this.studio.clay(u.clayId)?.name ?? '');
      await writeEntry(draft, dto, { title: cane.name, words: ['cane', ...names, ...clays] });
      const account = this.accounts.open(draft, dto.entryId);
      await account.offShelf(dto.used);
      await takeSheets(account, dto.taken ?? []);
      await account.take(dto.ready ?? [], 'ready');
      await account.putAway(dto.left ?? [], 'left');
      await this.writeMixes(draft, dto.entryId, idsOf('mix', all), volumes);
      const { diameterMm, lengthMm, trims, slices } = dto;
      const lostMm = trims.at(-1)?.lostMm ?? 0;
      await draft.put('entryCane', {
        id: randomUUID(),
        entryId: dto.entryId,
        caneRevisionId,
        diameterMm,
        lengthMm,
        lostMm,
        trims,
        slices,
        pictureId: dto.pictureId ?? null,
      });
      const more = { sliceMm, caneRevisionId, grams: account.open, version: draft.version };
      if (dto.kept && account.open > 0) for (const row of keptRows(dto.kept, dto, more)) await account.made(row);
      await account.close('pieces');
      draft.summary = `${cane.name} made`;
    });
    return { entryId: dto.entryId };
  }

  /** How much of each mix went in, for the diary. */
  private async writeMixes(
    draft: Draft,
    entryId: string,
    revisionIds: readonly string[],
    volumes: ReadonlyMap<string, number>,
  ): Promise<void> {
    for (const revisionId of revisionIds) {
      const of = ofMix(revisionId);
      const grams = ((volumes.get(keyOf(of)) ?? 0) * flatOf(of, this.studio).density) / 1000;
      await draft.put('entryMix', { id: randomUUID(), entryId, revisionId, grams });
    }
  }

  /** @throws ProblemException where a cane begins with something that a batch counts on */
  private async checkReserved(program: Program): Promise<void> {
    const begun = madeIn(program.steps);
    if (begun.length === 0) return;
    const counting = (await this.stock.countedOn()).find((c) => begun.includes(c.madeId));
    if (counting)
      throw refused(`What this cane begins with is reserved for ${counting.name}. Take it out there first.`, 'program');
  }

  /**
   * What a program names, as rows.
   * @throws ProblemException where something is not there, or the cane would contain itself
   */
  private async usesIn(program: Program, ownRevision: string, ownId: string, name: string): Promise<Uses> {
    const { materials, canes } = usedIn(program.steps);
    const uses: Uses = [];
    for (const of of materials.map(readMaterial)) {
      if (!isOf(of, 'clay', 'mix', 'blend') || !(await this.materials.isThere(of)))
        throw refused(
          'A clay, a mix or a blend of this cane is not there any more. Choose another one in its place.',
          'program',
        );
      uses.push(columnsFor('caneUse', of));
    }
    for (const ref of canes) {
      const revision = await this.revisionRule.one('cane', ref);
      if (!revision) throw refused('A cane that is used in this one is not there any more.', 'program');
      const all = await this.told.inside(revision.program);
      if (ref === ownRevision || revision.caneId === ownId || all.some((c) => c.caneId === ownId))
        throw refused(`${name} cannot contain itself.`, 'program');
      uses.push(columnsFor('caneUse', { kind: 'cane', id: ref }));
    }
    const library = libraryOf(await this.told.inside(program));
    refusedAt('program', () => {
      checkWork(program.steps, (ref) => library.get(ref));
    });
    return uses;
  }
}
