import { readProgram } from '#core/cane';
import { readMosaic } from '#core/mosaic';
import { readPattern } from '#core/pattern';
import { readPiece } from '#core/piece';
import { Complaint, readNumber } from '#core/units';
import type { Db } from '../../db/dataFile.js';
import { assemblies, caneRevisions, ingredients, mosaics, patternRevisions, pieceModels } from '../../db/schema.js';
import { UnusableDatabase } from '../../db/unusable.js';

type Document = readonly [what: string, value: unknown, read: (value: unknown) => unknown];

async function documentsIn(db: Db): Promise<Document[]> {
  const [canes, patterns, parts, models, ratios, laid] = await Promise.all([
    db.select({ program: caneRevisions.program }).from(caneRevisions),
    db.select({ program: patternRevisions.program }).from(patternRevisions),
    db.select({ piece: assemblies.piece }).from(assemblies),
    db.select({ piece: pieceModels.piece }).from(pieceModels),
    db.select({ parts: ingredients.parts }).from(ingredients),
    db.select({ mosaic: mosaics.mosaic }).from(mosaics),
  ]);
  return [
    ...canes.map(({ program }): Document => ['a cane', program, readProgram]),
    ...patterns.map(({ program }): Document => ['a patterned sheet', program, readPattern]),
    ...[...parts, ...models].map(({ piece }): Document => ['a piece', piece, readPiece]),
    ...laid.map(({ mosaic }): Document => ['a mosaic', mosaic, readMosaic]),
    ...ratios.map((row): Document => ['a recipe', row.parts, (text) => readNumber(String(text))]),
  ];
}

/**
 * Reads every document of a database as the stations do, so that nothing comes in that cannot be opened.
 * @throws UnusableDatabase with the sentence
 */
export async function checkDocuments(db: Db): Promise<void> {
  for (const [what, value, read] of await documentsIn(db)) {
    try {
      read(value);
    } catch (error) {
      if (!(error instanceof Complaint)) throw error;
      throw new UnusableDatabase(`This archive cannot be taken in: ${what} in it cannot be read. ${error.message}`);
    }
  }
}
