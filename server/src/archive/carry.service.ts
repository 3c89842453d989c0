import { Inject, Injectable } from '@nestjs/common';
import type { CarriedKind, CarryAnswer, CarryDto } from '#contract';
import { notThere, refused } from '../access/problem.js';
import { DataFile } from '../db/dataFile.js';
import { Draft } from '../db/draft.js';
import { Journal } from '../db/journal.js';
import { ArchiveService } from './archive.service.js';
import { RestsOnMade } from './bundle.js';
import { carryOver, type Carried } from './carry.js';

const WORDS: Readonly<Record<CarriedKind, string>> = {
  ...{ mix: 'mix', blend: 'blend', cane: 'cane', pattern: 'patterned sheet', batch: 'batch', palette: 'palette' },
};

/** Carries single things out of a copy over into the data of now. */
@Injectable()
export class CarryService {
  constructor(
    @Inject(ArchiveService) private readonly archive: ArchiveService,
    @Inject(DataFile) private readonly data: DataFile,
    @Inject(Journal) private readonly journal: Journal,
  ) {}

  carry(changeId: string, { name, kind, id, sure }: CarryDto): Promise<CarryAnswer> {
    return this.archive.withCopy(name, async (copy) => {
      const over = (draft: Draft): Promise<readonly Carried[]> => this.over(draft, copy, { table: kind, id });
      if (!sure) return told(await over(new Draft(this.data.db, 0, () => undefined)));
      let carried: readonly Carried[] = [];
      await this.journal.change(changeId, async (draft) => {
        carried = await over(draft);
        const root = carried.find((one) => one.id === id) ?? carried.at(-1);
        draft.summary = `carried over the ${WORDS[kind]} ${root?.as ?? ''}`.trim();
      });
      return told(carried);
    });
  }

  private async over(draft: Draft, copy: DataFile, root: { readonly table: CarriedKind; readonly id: string }) {
    if (!(await new Draft(copy.db, 0, () => undefined).find(root.table, root.id)))
      throw notThere(`This ${WORDS[root.table]}`);
    try {
      return await carryOver(draft, copy.db, root, 'from a copy');
    } catch (error) {
      if (!(error instanceof RestsOnMade)) throw error;
      throw refused(
        'It is made of something that lay there when the copy was kept, and that cannot be carried over. Choose a ' +
          'clay for it in a copy of the plan first.',
      );
    }
  }
}

const told = (carried: readonly Carried[]): CarryAnswer => ({
  things: carried.map(({ table, name, as }) => ({ kind: table as CarriedKind, name, as })),
});
