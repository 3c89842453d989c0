import { Inject, Injectable } from '@nestjs/common';
import { asc, eq } from 'drizzle-orm';
import type { FindingDto, PieceModelDto } from '#contract';
import { checkFree, checkVersion, inUse, notThere } from '../access/problem.js';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import { Journal, type Row } from '../db/journal.js';
import { assemblies, batches, findings, pieceModels } from '../db/schema.js';

/** Pieces of one's own to be used again, and the findings that lie there. */
@Injectable()
export class PiecesService {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) private readonly journal: Journal,
  ) {}

  /** By their names. */
  models(): Promise<Row<'pieceModel'>[]> {
    return this.db.select().from(pieceModels).orderBy(asc(pieceModels.name));
  }

  findings(): Promise<Row<'finding'>[]> {
    return this.db.select().from(findings).orderBy(asc(findings.name));
  }

  async saveModel(changeId: string, dto: PieceModelDto): Promise<PieceModelDto> {
    const name = dto.name.trim();
    let kept: Row<'pieceModel'> | undefined;
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('pieceModel', dto.id);
      await checkVersion(stored?.name ?? 'This piece', stored?.version, dto.version, () => stored);
      checkFree(
        'a piece',
        name,
        (await this.models()).filter((m) => m.id !== dto.id),
      );
      kept = { id: dto.id, name, piece: dto.piece, finish: dto.finish, version: draft.version };
      await draft.put('pieceModel', kept);
      draft.summary = stored ? `changed the piece ${name}` : `kept the piece ${name}`;
    });
    return kept ?? dto;
  }

  async removeModel(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const model = await draft.find('pieceModel', id);
      if (!model) throw notThere('This piece');
      await checkVersion(model.name, model.version, version, () => model);
      draft.remove('pieceModel', [model]);
      draft.summary = `took away the piece ${model.name}`;
    });
  }

  async saveFinding(changeId: string, dto: FindingDto): Promise<FindingDto> {
    const name = dto.name.trim();
    let kept: Row<'finding'> | undefined;
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('finding', dto.id);
      await checkVersion(stored?.name ?? 'This finding', stored?.version, dto.version, () => stored);
      checkFree(
        'a finding',
        name,
        (await this.findings()).filter((f) => f.id !== dto.id),
      );
      const { id, form, widthMm, lengthMm, count, price, keptIn } = dto;
      kept = { id, name, form, widthMm, lengthMm, count, price, keptIn: keptIn.trim(), version: draft.version };
      await draft.put('finding', kept);
      draft.summary = stored ? `changed the finding ${name}` : `new finding ${name}`;
    });
    return kept ?? dto;
  }

  async removeFinding(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const finding = await draft.find('finding', id);
      if (!finding) throw notThere('This finding');
      await checkVersion(finding.name, finding.version, version, () => finding);
      const batch = await this.batchWith(id);
      if (batch !== null) throw inUse(`${finding.name} is used by the batch ${batch}. Take it out there first.`);
      draft.remove('finding', [finding]);
      draft.summary = `took away the finding ${finding.name}`;
    });
  }

  /** Name of a batch with a part that is this finding. */
  private async batchWith(findingId: string): Promise<string | null> {
    const rows = await this.db
      .select({ piece: assemblies.piece, name: batches.name })
      .from(assemblies)
      .innerJoin(batches, eq(batches.id, assemblies.batchId));
    const named = rows.find(({ piece }) =>
      piece.parts.some(({ shape }) => shape.is === 'finding' && shape.finding === findingId),
    );
    return named?.name ?? null;
  }
}
