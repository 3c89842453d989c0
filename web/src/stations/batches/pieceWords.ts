import { showLength, showSize, type UnitSystem } from '#core/units';
import type { MostPiecesAnswer, PieceDto, PlanAnswer } from '#contract';
import { grey } from '../../theme/grey.js';
import type { FieldSentence } from './batchMoves.js';

/** Fields of a piece that say themselves what is wrong with them. */
const WITH_SENTENCE: readonly string[] = [
  ...['name', 'widthMm', 'count', 'spare'],
  ...['bridgeMm', 'edgeMm', 'sheetWidthMm', 'sheetLengthMm'],
];

/** Sentences about a piece that no field of it says. */
export const unsaid = (refused: readonly FieldSentence[]): readonly FieldSentence[] =>
  refused.filter((r) => !WITH_SENTENCE.includes(r.field));

/** The cutter as it is written: across, or width and height. */
export const cutterWords = ({ widthMm, heightMm }: PieceDto, units: UnitSystem): string =>
  heightMm === null ? showLength(widthMm, units) : showSize(widthMm, heightMm, units);

/** The colour of a layer's clay, for CSS. */
export function hexIn(materials: PlanAnswer['materials'], layer: PieceDto['layers'][number] | undefined): string {
  const hex = materials[layer?.of.id ?? '']?.hex;
  return hex === undefined ? grey.pale : `#${hex}`;
}

/** What was found of how many pieces there is clay for. */
export function mostWords({ count, runsOut }: MostPiecesAnswer, spare: number): string {
  if (count === 0) return `not one: ${runsOut ?? 'clay'} is short already`;
  const spares = spare > 0 ? ` and ${spare} spare` : '';
  return runsOut === null ? `${count}${spares}: nothing runs out` : `${count}${spares}: ${runsOut} runs out first`;
}
