import { Inject, Injectable } from '@nestjs/common';
import type { BatchDto } from '#contract';
import type { Draft } from '../db/journal.js';
import { columnsFor } from '../db/references.js';
import { cutterRow } from '../drawer/cutterRow.js';
import { Assemblies } from './assemblies.js';
import { BatchesStore } from './batches.store.js';

/** Writes all kinds of pieces of a batch in the place of those that were there. */
@Injectable()
export class KindsWritten {
  constructor(
    @Inject(BatchesStore) private readonly store: BatchesStore,
    @Inject(Assemblies) private readonly assemblies: Assemblies,
  ) {}

  /** @throws ProblemException where a part of an assembled piece is made of what is not there */
  async write(draft: Draft, { id: batchId, pieces, assemblies }: Pick<BatchDto, 'id' | 'pieces' | 'assemblies'>) {
    const before = await this.store.piecesOf(batchId);
    const layers = await this.store.layersOf(before.map((p) => p.id));
    draft.replace(
      'piece',
      before,
      pieces.map(({ layers: _, ...piece }, position) => ({
        ...piece,
        ...cutterRow(piece, `pieces.${position}.`),
        edgeMm: piece.edgeMm ?? null,
        pairs: piece.pairs ?? false,
        film: piece.film ?? false,
        lie: piece.lie ?? 'close',
        placed: piece.placed ?? null,
        finish: piece.finish ?? null,
        prices: piece.prices ?? null,
        position,
        batchId,
      })),
    );
    draft.replace(
      'layer',
      layers,
      pieces.flatMap((piece) =>
        piece.layers.map(({ id, of, settingId }, position) => ({
          ...{ id, pieceId: piece.id, position, settingId },
          ...columnsFor('layer', of),
        })),
      ),
    );
    await this.assemblies.write(draft, { id: batchId, assemblies });
  }
}
