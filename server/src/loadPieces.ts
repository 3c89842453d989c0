import { randomUUID } from 'node:crypto';
import type { INestApplicationContext } from '@nestjs/common';
import { keyOf, ofBlend, type Material, type MaterialKey, type Mixable } from '#core/material';
import { PIECE_MODELS, newFinish, type FinishKind, type PieceDocument } from '#core/piece';
import { assembled, findings, idOf, rates } from '#demo';
import { BatchesService } from './batches/batches.service.js';
import { BlendsService } from './blends/blends.service.js';
import { CanesService } from './canes/canes.service.js';
import { PiecesService } from './pieces/pieces.service.js';
import { SheetsService } from './sheets/sheets.service.js';
import { StockService } from './stock/stock.service.js';

type Row = (typeof assembled)[number];

/** Names of what the garden has, as materials. */
async function namesIn(
  app: INestApplicationContext,
  called: (name: string) => Mixable,
): Promise<(n: string) => Material> {
  const blends = new Map((await app.get(BlendsService).cards()).map((b) => [b.name, ofBlend(b.revisionId)]));
  const canes = new Map((await app.get(CanesService).cards()).map((c) => [c.name, c.revisionId]));
  const [fullest] = [...(await app.get(StockService).all()).tubs].sort((a, b) => b.grams - a.grams);
  return (name) => {
    const cane = canes.get(name);
    if (name === 'scrap' && fullest) return { kind: 'scrap', id: fullest.id };
    if (cane !== undefined) return { kind: 'cane', id: cane };
    return blends.get(name) ?? called(name);
  };
}

/** The model of a row in its colours. */
function pieceOf(row: Row, keyFor: (name: string) => MaterialKey): PieceDocument {
  const model = PIECE_MODELS.find((m) => m.name === row.model)?.piece;
  if (!model) throw new Error(`The garden has no piece called ${row.model}.`);
  const parts = model.parts.map((part) => {
    const [name, inner] = [row.of[part.name], row.inside?.[part.name]];
    const { shape } = part;
    const of = name === undefined ? part.of : keyFor(name);
    if (shape.is === 'finding' && row.finding !== undefined)
      return { ...part, of, shape: { ...shape, finding: idOf(`finding ${row.finding}`) } };
    // the second colour of the beet fade is the dark one: it lies outside
    if (shape.is === 'cut' && shape.fade !== undefined)
      return { ...part, of, shape: { ...shape, fade: 'in' as const } };
    return 'with' in shape && inner !== undefined
      ? { ...part, of, shape: { ...shape, with: keyFor(inner) } }
      : { ...part, of };
  });
  return { ...model, parts };
}

const finishOf = ({ finding, inside }: Row) => {
  const more: readonly FinishKind[] = inside ? ['drill', 'sand', 'buff'] : [];
  const kinds: readonly FinishKind[] = ['cool', ...more, ...(finding === undefined ? [] : (['glue'] as const)), 'card'];
  return kinds.map((kind) => ({ ...newFinish(randomUUID(), kind), grits: [...newFinish('', kind).grits] }));
};

/**
 * Findings, rates, and batches of pieces of many parts of the kitchen garden.
 * @param called a clay or a mix by its name
 */
export async function loadPieces(app: INestApplicationContext, called: (name: string) => Mixable): Promise<void> {
  const [pieces, sheets, batches] = [app.get(PiecesService), app.get(SheetsService), app.get(BatchesService)];
  for (const finding of findings) await pieces.saveFinding(randomUUID(), finding);
  await sheets.saveSetup(randomUUID(), { ...(await sheets.all()).setup, ...rates });
  const named = await namesIn(app, called);
  for (const row of assembled) {
    const { batch, dueOn, note, name, count, spare, prices } = row;
    const assembly = {
      ...{ id: idOf(`assembly ${name}`), name, count, spare, bridgeMm: 1.5, prices: [...prices] },
      ...{ piece: pieceOf(row, (of) => keyOf(named(of))), finish: finishOf(row) },
    };
    await batches.save(randomUUID(), {
      ...{ id: idOf(`batch ${batch}`), version: 0, name: batch, note, dueOn, pieces: [] },
      assemblies: [assembly],
    });
  }
}
