import type { MaterialKey } from '#core/material';
import type { PartOf, PieceDocument, ShapeOf, Value } from './document.js';

type AnyPart = PartOf<Value>;

const insideOf = (shape: ShapeOf<Value>): MaterialKey | null => ('with' in shape ? shape.with : null);

/** Every material that a piece names, each once. */
export function pieceMaterials({ parts }: PieceDocument): readonly MaterialKey[] {
  const keys = parts.flatMap(({ of, shape }) => [of, insideOf(shape)]);
  return [...new Set(keys)].filter((key): key is MaterialKey => key !== null);
}

/** Every finding of the stock that a piece names, each once. */
export function pieceFindings({ parts }: PieceDocument): readonly string[] {
  const ids = parts.map(({ shape }) => (shape.is === 'finding' ? shape.finding : null));
  return [...new Set(ids)].filter((id): id is string => id !== null);
}

/** A piece with every material put through something: another one, or none. */
export function withPieceMaterial(
  piece: PieceDocument,
  change: (of: MaterialKey) => MaterialKey | null,
): PieceDocument {
  const changed = (of: MaterialKey | null): MaterialKey | null => (of === null ? null : change(of));
  const parts = piece.parts.map((part): AnyPart => {
    const { shape } = part;
    const inner = 'with' in shape ? { ...shape, with: changed(shape.with) } : shape;
    return { ...part, of: changed(part.of), shape: inner };
  });
  return { ...piece, parts };
}
