import { Inject, Injectable } from '@nestjs/common';
import {
  ASSUMED_ENDS,
  learnedEnds,
  madeIn,
  usedIn,
  type EndsRule,
  type Program,
  type TrimMade,
  type Wanted,
} from '#core/cane';
import { readMaterial, type Material } from '#core/material';
import { ENDS_KEY, type CaneAnswer, type CaneInside } from '#contract';
import { notThere } from '../access/problem.js';
import { aside } from '../aside/aside.js';
import type { Row } from '../db/journal.js';
import { SetAside } from '../db/setAside.module.js';
import { ReadOnce } from '../revisions/readOnce.js';
import { Revisions } from '../revisions/revisions.js';
import { CanesStore } from './canes.store.js';
import type { ToPlan } from './plan.worker.js';

/** ms that planning a cane may take; the limits of core keep it well below. */
const MOST_PLANNING = 30_000;

/** Of canes made before each trim was written down, both ends of the width they came to stand for a full reduction. */
function trimsOf({ trims, lostMm, diameterMm }: Row<'entryCane'>): readonly TrimMade[] {
  return trims ?? [{ lostMm, unitMm: 2 * diameterMm }];
}

/** What all ends of a cane took beside what is assumed of them; null where nothing was measured. */
function endsShareOf(row: Row<'entryCane'>): number | null {
  const trims = trimsOf(row);
  const unit = trims.reduce((sum, t) => sum + t.unitMm, 0);
  return unit > 0 ? trims.reduce((sum, t) => sum + t.lostMm, 0) / (unit * ASSUMED_ENDS) : null;
}

export const libraryOf = (inside: readonly CaneInside[]): ReadonlyMap<string, Program> =>
  new Map(inside.map((c) => [c.revisionId, c.program]));

/** mm³ of each material that went in; nothing where the steps cannot be done. */
export function volumesOf(
  program: Program,
  inside: readonly CaneInside[],
  wanted: Wanted,
  ends: EndsRule,
): Promise<ReadonlyMap<string, number>> {
  const task: ToPlan = { program, library: libraryOf(inside), wanted, ends };
  return aside<ReadonlyMap<string, number>>('canes/plan.worker.js', task, MOST_PLANNING);
}

/** A cane as it was made. */
interface CaneMade extends Pick<Row<'entryCane'>, 'diameterMm' | 'lengthMm' | 'lostMm' | 'slices' | 'pictureId'> {
  readonly caneId: string;
  readonly revisionId: string;
  readonly endsShare: number | null;
  readonly sliceMm: number;
  readonly name: string;
  /** of its revision */
  readonly number: number;
}

/** What lists tell of a cane. */
interface Listed {
  readonly revisionId: string;
  readonly steps: number;
  /** what it begins with that lies there, by their ids */
  readonly made: readonly string[];
}

/** What other stations ask of canes: what they are called, hold, and count on. */
@Injectable()
export class CanesTold {
  private readonly read: ReadOnce<'cane', Listed>;
  /** plans that were worked out, until they change */
  private readonly planned = new Map<
    string,
    { readonly key: string; readonly volumes: ReadonlyMap<Material, number> }
  >();

  constructor(
    @Inject(CanesStore) private readonly store: CanesStore,
    @Inject(Revisions) private readonly revisionRule: Revisions,
    @Inject(SetAside) private readonly aside: SetAside,
  ) {
    this.read = new ReadOnce(revisionRule, 'cane', ({ id, program }) => ({
      revisionId: id,
      steps: program.steps.length,
      made: madeIn(program.steps),
    }));
  }

  /** The canes of an entry, as they were made. */
  async asMade(entryId: string): Promise<CaneMade[]> {
    const made: CaneMade[] = [];
    for (const row of await this.store.ofEntry(entryId)) {
      const { caneRevisionId, diameterMm, lengthMm, lostMm, slices, pictureId } = row;
      const revision = await this.revisionRule.one('cane', caneRevisionId);
      const cane = revision && (await this.revisionRule.thing('cane', revision.caneId));
      if (!cane) continue;
      const of = { caneId: cane.id, revisionId: caneRevisionId, name: cane.name, number: revision.number };
      const { sliceMm } = revision;
      made.push({ ...of, diameterMm, lengthMm, lostMm, endsShare: endsShareOf(row), sliceMm, slices, pictureId });
    }
    return made;
  }

  /** Canes of which the newest plan begins with something that lies there. */
  async countedOn(): Promise<{ readonly madeId: string; readonly id: string; readonly name: string }[]> {
    const counting: { readonly madeId: string; readonly id: string; readonly name: string }[] = [];
    const canes = (await this.revisionRule.all('cane')).filter((cane) => !cane.retired);
    const told = await this.listed(canes);
    for (const { id, name } of canes) {
      const begun = told.get(id);
      if (!begun) continue;
      const { revisionId, made } = begun;
      // what was made has taken it
      if (made.length === 0 || (await this.revisionRule.madeOf('cane', [revisionId])).has(revisionId)) continue;
      counting.push(...made.map((madeId) => ({ madeId, id, name })));
    }
    return counting;
  }

  /** What lists tell of canes, by their ids. */
  listed(canes: readonly Row<'cane'>[]): Promise<ReadonlyMap<string, Listed>> {
    return this.read.of(canes);
  }

  async called(revisionId: string): Promise<string | undefined> {
    const revision = await this.revisionRule.one('cane', revisionId);
    return revision && (await this.revisionRule.thing('cane', revision.caneId))?.name;
  }

  /** mm³ of each material that the newest plan of a cane takes, for its slices. @throws ProblemException */
  async wanted(caneId: string): Promise<{ readonly name: string; readonly volumes: ReadonlyMap<Material, number> }> {
    const cane = await this.revisionRule.thing('cane', caneId);
    if (!cane) throw notThere('This cane');
    const { id, program, slices, sliceMm, trimming, ends } = await this.newest(caneId);
    const share = ends ?? (await this.learned()).ends;
    const key = JSON.stringify([id, slices, sliceMm, trimming, share, program]);
    const known = this.planned.get(caneId);
    if (known?.key === key) return { name: cane.name, volumes: known.volumes };
    const inside = await this.inside(program);
    const found = await volumesOf(program, inside, { slices, thickness: sliceMm }, { share, trimming });
    const volumes = new Map([...found].map(([material, volume]) => [readMaterial(material), volume]));
    this.planned.set(caneId, { key, volumes });
    return { name: cane.name, volumes };
  }

  /** mm³ of each material in a cane, in any proportion to the whole; nothing where its steps cannot be done. */
  async volumesIn(revisionId: string): Promise<ReadonlyMap<Material, number>> {
    const revision = await this.revisionRule.one('cane', revisionId);
    if (!revision) return new Map();
    const { program, sliceMm, trimming, ends } = revision;
    const share = ends ?? (await this.learned()).ends;
    const inside = await this.inside(program);
    const volumes = await volumesOf(program, inside, { slices: 1, thickness: sliceMm }, { share, trimming });
    return new Map([...volumes].map(([key, volume]) => [readMaterial(key), volume]));
  }

  /** What ends took so far, of every cane that was made. */
  async learned(): Promise<CaneAnswer['learnedEnds']> {
    const aside = (await this.aside.keys()).has(ENDS_KEY);
    return learnedEnds(aside ? [] : await this.trims());
  }

  async trims(): Promise<TrimMade[]> {
    return (await this.store.made()).flatMap(trimsOf);
  }

  async newest(caneId: string): Promise<Row<'caneRevision'>> {
    const revision = await this.revisionRule.newest('cane', caneId);
    if (!revision) throw notThere('This cane');
    return revision;
  }

  /** All canes that a program takes in, and those that they take in. */
  async inside(program: Program, known = new Map<string, CaneInside>()): Promise<CaneInside[]> {
    for (const ref of usedIn(program.steps).canes) await this.withInside(ref, known);
    return [...known.values()];
  }

  /** Adds a cane, and those that it takes in, to what is known. */
  async withInside(ref: string, known: Map<string, CaneInside>): Promise<void> {
    if (known.has(ref)) return;
    const revision = await this.revisionRule.one('cane', ref);
    if (!revision) return;
    known.set(ref, {
      revisionId: ref,
      caneId: revision.caneId,
      name: (await this.revisionRule.thing('cane', revision.caneId))?.name ?? '',
      program: revision.program,
      newest: await this.revisionRule.isNewest('cane', revision, revision.caneId),
    });
    await this.inside(revision.program, known);
  }
}
