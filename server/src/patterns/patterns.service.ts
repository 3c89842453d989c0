import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { idsOf, isMixable, isOf, keyOf, readMaterial, type Material, type MaterialKey } from '#core/material';
import { usedIn } from '#core/cane';
import { patternMaterials, type PatternProgram } from '#core/pattern';
import type {
  BlendInside,
  CutCaneInside,
  PatternAnswer,
  PatternCard,
  PatternDoneDto,
  PatternDto,
  PatternLookAnswer,
} from '#contract';
import { checkVersion, inUse, notThere, refused } from '../access/problem.js';
import { BlendsService } from '../blends/blends.service.js';
import { PlanMaterials } from '../blends/planMaterials.js';
import { checkPicture } from '../db/pictureThere.js';
import { Journal, type Row } from '../db/journal.js';
import { columnsFor, type Reference } from '../db/references.js';
import { writeEntry } from '../db/writeEntry.js';
import { cutterRow } from '../drawer/cutterRow.js';
import { MixesService } from '../mixes/mixes.service.js';
import { Studio } from '../mixes/studio.js';
import { ReadOnce } from '../revisions/readOnce.js';
import { Revisions } from '../revisions/revisions.js';
import { sameDocument } from '../revisions/sameDocument.js';
import { Accounts } from '../stock/accounts.js';
import { StockLooks } from '../stock/looks.js';
import { keptSheets } from './keptSheets.js';
import { PatternsStore } from './patterns.store.js';
import { PatternsTold } from './patterns.told.js';

type Plan = Pick<Row<'patternRevision'>, 'program' | 'wanted'>;
const planIn = ({ program, wanted }: Pick<PatternDto, 'program' | 'wanted'>): Plan => ({
  program,
  wanted: wanted ?? null,
});

/** Everything that some steps are made of, each once. */
const materialsIn = ({ steps }: PatternProgram): Material[] => patternMaterials(steps).map(readMaterial);

/** What the list of patterned sheets tells of one. */
interface Listed {
  readonly revisionId: string;
  readonly steps: number;
  /** keys of its materials */
  readonly used: readonly MaterialKey[];
}

@Injectable()
export class PatternsService {
  private readonly listed: ReadOnce<'pattern', Listed>;

  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(MixesService) private readonly mixes: MixesService,
    @Inject(BlendsService) private readonly blends: BlendsService,
    @Inject(PlanMaterials) private readonly materials: PlanMaterials,
    @Inject(PatternsStore) private readonly store: PatternsStore,
    @Inject(PatternsTold) private readonly told: PatternsTold,
    @Inject(Revisions) private readonly revisionRule: Revisions,
    @Inject(Accounts) private readonly accounts: Accounts,
    @Inject(StockLooks) private readonly looks: StockLooks,
  ) {
    this.listed = new ReadOnce<'pattern', Listed>(revisionRule, 'pattern', ({ id, program }) => ({
      revisionId: id,
      steps: program.steps.length,
      used: materialsIn(program).map(keyOf),
    }));
  }

  async cards(): Promise<PatternCard[]> {
    const patterns = await this.revisionRule.all('pattern');
    const told = await this.listed.of(patterns);
    const keys = new Set([...told.values()].flatMap(({ used }) => used));
    const colours = await this.looks.coloursOf([...keys].map(readMaterial));
    return patterns.flatMap(({ id, name, retired }) => {
      const own = told.get(id);
      if (!own) return [];
      const hexes = own.used.flatMap((key) => colours.get(key) ?? []);
      return [{ id, name, retired, revisionId: own.revisionId, steps: own.steps, hexes }];
    });
  }

  async open(id: string): Promise<PatternAnswer> {
    const pattern = await this.revisionRule.thing('pattern', id);
    if (!pattern) throw notThere('This patterned sheet');
    const { id: revisionId, number, program, wanted } = await this.told.newest(id);
    return {
      ...pattern,
      program,
      wanted,
      revision: number,
      revisionId,
      made: (await this.revisionRule.madeOf('pattern', [revisionId])).has(revisionId),
      ...(await this.restsOn(program)),
      outdated: await this.materials.outdated(materialsIn(program)),
      stops: await this.told.stops(),
      usualVein: await this.told.usualVein(),
    };
  }

  /** What a revision looks like, for pictures of it in other places. */
  async look(revisionId: string): Promise<PatternLookAnswer> {
    const found = await this.told.ofRevision(revisionId);
    if (!found) throw notThere('This patterned sheet');
    const { program, wanted } = found.revision;
    const { id: patternId, name } = found.pattern;
    return { patternId, name, revisionId, program, wanted, ...(await this.restsOn(program)) };
  }

  /** The canes that slices are cut of, with what is in them, and those that they take in. */
  private async cutOf(program: PatternProgram, cut: ReadonlySet<string>): Promise<CutCaneInside[]> {
    const all = await this.told.canesIn(program);
    return Promise.all(
      all.map(async (cane): Promise<CutCaneInside> => {
        if (!cut.has(cane.revisionId)) return { ...cane, parts: [] };
        const { parts } = await this.looks.builtOf({ kind: 'cane', id: cane.revisionId });
        return { ...cane, parts: parts.map(({ of, volume }) => ({ of: keyOf(of), volume })) };
      }),
    );
  }

  /** Every cane, blend and mix that a program rests on. */
  private async restsOn(program: PatternProgram): Promise<Pick<PatternAnswer, 'canes' | 'blends' | 'referenced'>> {
    const own = materialsIn(program);
    const canes = await this.cutOf(program, new Set(idsOf('cane', own)));
    const inCanes = new Set(canes.flatMap((cane) => usedIn(cane.program.steps).materials));
    const materials = [...own, ...[...inCanes].map(readMaterial)];
    const inside = await Promise.all(idsOf('blend', materials).map((blend) => this.blends.inside(blend)));
    const blends = inside.filter((b): b is BlendInside => b !== null);
    const mixIds = idsOf('mix', [...materials, ...blends.flatMap((b) => b.plan.colours)]);
    const referenced = (await Promise.all(mixIds.map((m) => this.mixes.withAll(m)))).flat();
    return { canes, blends, referenced: [...new Map(referenced.map((r) => [r.id, r])).values()] };
  }

  async save(changeId: string, dto: PatternDto): Promise<PatternAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('pattern', dto.id);
      await checkVersion(stored?.name ?? 'This patterned sheet', stored?.version, dto.version, () => this.open(dto.id));
      const name = dto.name.trim();
      await this.revisionRule.checkName('pattern', dto.id, name);
      const cuts = (dto.cuts ?? []).map((cut, i) => ({ ...cut, ...cutterRow(cut, `cuts.${i}.`) }));
      const { id, note, retired } = dto;
      await draft.put('pattern', {
        id,
        version: draft.version,
        name,
        note,
        retired,
        cuts: cuts.length > 0 ? cuts : null,
      });
      const newest = await this.revisionRule.newest('pattern', dto.id);
      const plan = planIn(dto);
      const changed = !newest || !sameDocument(planIn(newest), plan);
      const { before, ...written } = await this.revisionRule.written('pattern', newest, changed);
      const revision: Row<'patternRevision'> = { ...written, patternId: dto.id, ...plan };
      const uses = await this.usesIn(dto.program);
      await draft.put('patternRevision', revision);
      const old = before ? await this.store.usesOf([before.id]) : [];
      draft.replace(
        'patternUse',
        old,
        uses.map((use, i) => ({ ...use, id: old[i]?.id ?? randomUUID(), patternRevisionId: revision.id })),
      );
      draft.summary = stored ? `changed the patterned sheet ${name}` : `new patterned sheet ${name}`;
    });
    return this.open(dto.id);
  }

  async remove(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const pattern = await draft.find('pattern', id);
      if (!pattern) throw notThere('This patterned sheet');
      await checkVersion(pattern.name, pattern.version, version, () => this.open(id));
      const revisions = await this.revisionRule.of('pattern', id);
      const ids = revisions.map((r) => r.id);
      if ((await this.revisionRule.madeOf('pattern', ids)).size > 0)
        throw inUse(`${pattern.name} was made and stands in the diary. Retire it instead.`);
      const [batch] = await this.store.batchesWith(ids);
      if (batch !== undefined)
        throw inUse(`${pattern.name} is a layer of ${batch}. Take it out there first, or retire it.`);
      draft.remove('patternUse', await this.store.usesOf(ids));
      draft.remove('patternRevision', revisions);
      draft.remove('pattern', [pattern]);
      draft.summary = `took away the patterned sheet ${pattern.name}`;
    });
  }

  /** Takes the clay off the shelf and writes the diary, with where one stopped; what is kept lies there. */
  async done(changeId: string, id: string, dto: PatternDoneDto): Promise<{ entryId: string }> {
    const { id: patternRevisionId, program } = await this.told.newest(id);
    await this.journal.change(changeId, async (draft) => {
      const pattern = await draft.find('pattern', id);
      if (!pattern) throw notThere('This patterned sheet');
      await checkVersion(pattern.name, pattern.version, dto.version, () => this.open(id));
      await checkPicture(draft, dto.pictureId);
      const names = materialsIn(program).filter(isMixable).map(this.studio.called);
      const clays = dto.used.map((u) => this.studio.clay(u.clayId)?.name ?? '');
      const { entryId, stops, hands } = dto;
      await writeEntry(draft, dto, { title: pattern.name, words: ['patterned sheet', ...names, ...clays] });
      const account = this.accounts.open(draft, entryId);
      await account.offShelf(dto.used);
      await account.take(dto.ready ?? [], 'ready');
      await account.putAway(dto.left ?? [], 'left');
      const row = { id: randomUUID(), entryId, patternRevisionId, hands, stops };
      await draft.put('entryPattern', { ...row, liked: dto.liked ?? null, pictureId: dto.pictureId ?? null });
      const more = { entryId, version: draft.version, patternRevisionId, hands, grams: account.open };
      if (dto.kept && account.open > 0) for (const sheet of keptSheets(dto.kept, more)) await account.made(sheet);
      await account.close('pieces');
      draft.summary = `${pattern.name} made`;
    });
    return { entryId: dto.entryId };
  }

  /** What a program names, as rows. @throws ProblemException where something is not there */
  private async usesIn(program: PatternProgram): Promise<Reference<'patternUse'>[]> {
    const uses: Reference<'patternUse'>[] = [];
    for (const of of materialsIn(program)) {
      if (!isOf(of, 'clay', 'mix', 'blend', 'cane') || !(await this.materials.isThere(of)))
        throw refused(
          'Something that this patterned sheet is made of is not there any more. Choose another one in its place.',
          'program',
        );
      uses.push(columnsFor('patternUse', of));
    }
    return uses;
  }
}
