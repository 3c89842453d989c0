import type { PieceDocument } from '#core/piece';
import type { FindingDto, PlanAnswer } from '#contract';
import type { AnyPart } from './partFields.js';

/** What the fields of a part are given. */
export interface PartProps {
  readonly piece: PieceDocument;
  readonly part: AnyPart;
  readonly materials: PlanAnswer['materials'];
  readonly findings: readonly FindingDto[];
  readonly onPiece: (piece: PieceDocument) => void;
}

export interface FieldsProps extends PartProps {
  readonly set: (part: AnyPart) => void;
}
