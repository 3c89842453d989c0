import { Inject, Injectable } from '@nestjs/common';
import { asc, eq, inArray } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { isMixable, materialIn, type Material } from '#core/material';
import { pieceMaterials } from '#core/piece';
import type { AssemblyDto, BatchDto } from '#contract';
import { refused } from '../access/problem.js';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import type { Draft, Row } from '../db/journal.js';
import { columnsFor, type Reference } from '../db/references.js';
import { assemblies, assemblyUses } from '../db/schema.js';
import { Studio } from '../mixes/studio.js';
import { ReservedThings } from './reserved.js';

/** Tables of the plans that a part can be made of for itself. */
const REVISIONS = { blend: 'blendRevision', cane: 'caneRevision', pattern: 'patternRevision' } as const;

/** The kinds of assembled pieces of a batch, and what their parts are made of. */
@Injectable()
export class Assemblies {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(ReservedThings) private readonly reserved: ReservedThings,
  ) {}

  rowsOf(batchId: string): Promise<Row<'assembly'>[]> {
    return this.db.select().from(assemblies).where(eq(assemblies.batchId, batchId)).orderBy(asc(assemblies.position));
  }

  async of(batchId: string): Promise<AssemblyDto[]> {
    const rows = await this.rowsOf(batchId);
    return rows.map(({ batchId: _, position: __, ...assembly }) => assembly);
  }

  private usesOf(ids: readonly string[]): Promise<Row<'assemblyUse'>[]> {
    return this.db
      .select()
      .from(assemblyUses)
      .where(inArray(assemblyUses.assemblyId, [...ids]));
  }

  /** Writes the assembled pieces of a batch. @throws ProblemException where a part is made of what is not there */
  async write(draft: Draft, { id: batchId, assemblies: all }: Pick<BatchDto, 'id' | 'assemblies'>): Promise<void> {
    const wanted = all ?? [];
    const before = await this.rowsOf(batchId);
    const old = await this.usesOf(before.map((a) => a.id));
    const uses: Omit<Row<'assemblyUse'>, 'id'>[] = [];
    for (const [at, { id: assemblyId, piece }] of wanted.entries()) {
      const own = await this.referencesIn(draft, batchId, piece, `assemblies.${at}.piece`);
      uses.push(...own.map((use) => ({ ...use, assemblyId })));
    }
    draft.replace(
      'assembly',
      before,
      wanted.map((a, position) => ({ ...a, name: a.name.trim(), position, batchId })),
    );
    draft.replace(
      'assemblyUse',
      old,
      uses.map((use, i) => ({ ...use, id: old[i]?.id ?? randomUUID() })),
    );
  }

  async remove(draft: Draft, batchId: string): Promise<void> {
    const rows = await this.rowsOf(batchId);
    draft.remove('assemblyUse', await this.usesOf(rows.map((a) => a.id)));
    draft.remove('assembly', rows);
  }

  private async referencesIn(
    draft: Draft,
    batchId: string,
    piece: AssemblyDto['piece'],
    at: string,
  ): Promise<Reference<'assemblyUse'>[]> {
    const references: Reference<'assemblyUse'>[] = [];
    for (const key of pieceMaterials(piece)) {
      const of = materialIn(key);
      if (!of) continue;
      await this.checkThere(draft, batchId, of, at);
      references.push(columnsFor('assemblyUse', of));
    }
    return references;
  }

  /** @throws ProblemException where it is not there, or another plan counts on it */
  private async checkThere(draft: Draft, batchId: string, of: Material, at: string): Promise<void> {
    const gone = (): never => {
      throw refused('What a part of this piece is made of is not there any more. Choose something else for it.', at);
    };
    if (isMixable(of)) return this.studio.has(of) ? undefined : gone();
    if (of.kind === 'scrap') return (await draft.find('tub', of.id)) ? undefined : gone();
    if (of.kind !== 'made') return (await draft.find(REVISIONS[of.kind], of.id)) ? undefined : gone();
    const thing = await draft.find('sheet', of.id);
    if (!thing) return gone();
    await this.reserved.check(thing, batchId, at);
  }
}
