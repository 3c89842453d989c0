import { Inject, Injectable } from '@nestjs/common';
import { idsOf, readMaterial, type Material } from '#core/material';
import {
  ASSUMED_STOP,
  cutCanesOf,
  patternMaterials,
  usualStop,
  type PatternProgram,
  type Stopped,
} from '#core/pattern';
import { SHEEN_KEY, STOP_KEY, type CaneInside, type DiaryAnswer, type EarlierStop } from '#contract';
import { notThere } from '../access/problem.js';
import { aside } from '../aside/aside.js';
import { CanesTold } from '../canes/canes.told.js';
import type { Row } from '../db/journal.js';
import { SetAside } from '../db/setAside.module.js';
import { Revisions } from '../revisions/revisions.js';
import { PatternsStore } from './patterns.store.js';
import type { SheetToPlan } from './plan.worker.js';

/** ms that working a patterned sheet out may take. */
const MOST_PLANNING = 30_000;
/** Stops that are told of all that were written down. */
const MOST_STOPS = 40;

/** What other stations ask of patterned sheets. */
@Injectable()
export class PatternsTold {
  constructor(
    @Inject(PatternsStore) private readonly store: PatternsStore,
    @Inject(Revisions) private readonly revisionRule: Revisions,
    @Inject(CanesTold) private readonly canes: CanesTold,
    @Inject(SetAside) private readonly aside: SetAside,
  ) {}

  async newest(patternId: string): Promise<Row<'patternRevision'>> {
    const revision = await this.revisionRule.newest('pattern', patternId);
    if (!revision) throw notThere('This patterned sheet');
    return revision;
  }

  /** The patterned sheet of a revision. */
  async ofRevision(
    revisionId: string,
  ): Promise<{ readonly revision: Row<'patternRevision'>; readonly pattern: Row<'pattern'> } | null> {
    const revision = await this.revisionRule.one('pattern', revisionId);
    const pattern = revision && (await this.revisionRule.thing('pattern', revision.patternId));
    return revision && pattern ? { revision, pattern } : null;
  }

  async called(revisionId: string): Promise<string | undefined> {
    return (await this.ofRevision(revisionId))?.pattern.name;
  }

  /** The canes that slices of a sheet are cut of, and those that they take in. */
  async canesIn({ steps }: PatternProgram): Promise<readonly CaneInside[]> {
    const known = new Map<string, CaneInside>();
    for (const id of idsOf('cane', patternMaterials(steps).map(readMaterial))) await this.canes.withInside(id, known);
    return [...known.values()];
  }

  /** mm³ of each material in the sheets of a revision, in any proportion to the whole. */
  async volumesIn(revisionId: string): Promise<ReadonlyMap<Material, number>> {
    const revision = await this.revisionRule.one('pattern', revisionId);
    if (!revision) return new Map();
    const program: PatternProgram = revision.program;
    const task: SheetToPlan = { program, canes: cutCanesOf(await this.canesIn(program)) };
    const volumes = await aside<ReadonlyMap<string, number>>('patterns/plan.worker.js', task, MOST_PLANNING);
    return new Map([...volumes].map(([key, volume]) => [readMaterial(key), volume]));
  }

  /** The patterned sheets of an entry, as they were made. */
  async asMade(entryId: string): Promise<DiaryAnswer['patterns']> {
    const made: DiaryAnswer['patterns'][number][] = [];
    for (const { patternRevisionId, stops, liked, pictureId, hands } of await this.store.ofEntry(entryId)) {
      const found = await this.ofRevision(patternRevisionId);
      if (!found) continue;
      const { id: patternId, name } = found.pattern;
      made.push({
        patternId,
        revisionId: found.revision.id,
        name,
        number: found.revision.number,
        stops,
        liked,
        pictureId,
        hands,
      });
    }
    return made;
  }

  /** Where one stopped earlier, of all patterned sheets, newest first; passes to a sheen unless they were set aside. */
  async stops(): Promise<EarlierStop[]> {
    const aside = (await this.aside.keys()).has(SHEEN_KEY);
    return (await this.allStops()).filter(({ kind }) => !aside || kind !== 'sheen');
  }

  /** mm of the veins at which one usually stops; null: nobody did, or it is set aside. */
  async usualVein(): Promise<number | null> {
    const { factor, from } = usualStop(stoppedIn(await this.allStops()));
    const isUsed = from > 0 && !(await this.aside.keys()).has(STOP_KEY);
    return isUsed ? ASSUMED_STOP * factor : null;
  }

  async allStops(): Promise<EarlierStop[]> {
    const told: EarlierStop[] = [];
    for (const { stops, liked, madeOn, patternRevisionId } of await this.store.made()) {
      if (stops.length === 0 || told.length >= MOST_STOPS) continue;
      const found = await this.ofRevision(patternRevisionId);
      if (!found) continue;
      const { id: patternId, name } = found.pattern;
      told.push(...stops.map((stop) => ({ ...stop, patternId, name, madeOn, liked })));
    }
    return told.slice(0, MOST_STOPS);
  }
}

/** Veins of folds, kneading and twists; of a sheet that was not liked nobody wants them again. */
export const stoppedIn = (stops: readonly EarlierStop[]): readonly Stopped[] =>
  stops.filter(({ kind }) => kind !== 'sheen').map(({ veinMm, liked }) => ({ veinMm, regretted: liked === 'not' }));
