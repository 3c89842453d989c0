import { match, materialIn, type Material } from '#core/material';
import { mosaicMaterials, type MosaicDocument } from '#core/mosaic';
import { pieceFindings, pieceMaterials, type PieceDocument } from '#core/piece';
import type { TableName } from '../db/schema.js';

/** A row of another table. */
export interface Named {
  readonly table: TableName;
  readonly id: string;
}

/** The row that a material is kept in. */
const rowOf = (material: Material): Named =>
  match<Material, Named>(material, {
    clay: ({ id }) => ({ table: 'clay', id }),
    mix: ({ id }) => ({ table: 'revision', id }),
    blend: ({ id }) => ({ table: 'blendRevision', id }),
    cane: ({ id }) => ({ table: 'caneRevision', id }),
    pattern: ({ id }) => ({ table: 'patternRevision', id }),
    made: ({ id }) => ({ table: 'sheet', id }),
    scrap: ({ id }) => ({ table: 'tub', id }),
  });

/** Tables whose rows hold the document of a piece. */
const WITH_PIECES: ReadonlySet<TableName> = new Set(['pieceModel', 'assembly'] as const);

/**
 * What the document in a row names, beside what its columns do: the materials of a mosaic, the materials and
 * findings of a piece.
 */
export function namedIn(table: TableName, row: Readonly<Record<string, unknown>>): readonly Named[] {
  if (table === 'mosaic')
    return mosaicMaterials(row.mosaic as MosaicDocument)
      .flatMap((key) => materialIn(key) ?? [])
      .map(rowOf);
  if (!WITH_PIECES.has(table)) return [];
  const piece = row.piece as PieceDocument;
  const materials = pieceMaterials(piece).flatMap((key) => materialIn(key) ?? []);
  const findings = pieceFindings(piece).map((id): Named => ({ table: 'finding', id }));
  return [...materials.map(rowOf), ...findings];
}
