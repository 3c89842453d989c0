import { Inject, Injectable } from '@nestjs/common';
import type { NextTimeDto, PlanNoted } from '#contract';
import { notThere, refused } from '../access/problem.js';
import { Journal, type Draft, type Row } from '../db/journal.js';
import { DiaryStore } from './diary.store.js';

type PlanTable = 'batch' | 'cane' | 'pattern' | 'blend' | 'mix';

/** What a plan is called in a sentence. */
const CALLED: Readonly<Record<PlanTable, string>> = {
  batch: 'batch',
  cane: 'cane',
  pattern: 'patterned sheet',
  blend: 'blend',
  mix: 'mix',
};
const MOST_NOTE = 2000;

/** What changes next time, as a line in the note of the plan that an entry was made from. */
@Injectable()
export class NextTime {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(DiaryStore) private readonly store: DiaryStore,
  ) {}

  /**
   * A line more overwrites nothing, whatever was changed of the entry or the plan meanwhile.
   * @throws ProblemException where the entry has no plan any more, or its note is full
   */
  async write(changeId: string, entryId: string, { line }: NextTimeDto): Promise<PlanNoted> {
    let noted: PlanNoted = { kind: 'batch', id: '', name: '' };
    await this.journal.change(changeId, async (draft) => {
      const entry = await draft.find('entry', entryId);
      if (!entry) throw notThere('This entry');
      const plan = await this.planOf(draft, entry);
      if (!plan)
        throw refused('The plan that this was made from is not there any more: the note can stay here.', 'line');
      const { kind, row } = plan;
      noted = { kind, id: row.id, name: row.name };
      if (row.note.includes(line)) return;
      const note = row.note.trim() === '' ? line : `${row.note.trimEnd()}\n${line}`;
      if (note.length > MOST_NOTE)
        throw refused(`The note of ${row.name} has no room for this. Shorten it first.`, 'line');
      await draft.put(kind, { ...row, note, version: draft.version } as never);
      draft.summary = `noted for the next time at the ${CALLED[kind]} ${row.name}`;
    });
    return noted;
  }

  /** The plan of an entry: its batch, or else what it was made of first. */
  private async planOf(
    draft: Draft,
    { id, batchId }: Row<'entry'>,
  ): Promise<{ readonly kind: PlanTable; readonly row: { id: string; name: string; note: string } } | null> {
    for (const [kind, planId] of [['batch', batchId] as const, ...(await this.store.plansOf(id))]) {
      const row = planId === null ? undefined : await draft.find(kind, planId);
      if (row) return { kind, row };
    }
    return null;
  }
}
