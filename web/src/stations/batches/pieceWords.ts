import type { Strength } from '#core/stock';
import { showLength, type UnitSystem } from '#core/units';
import type { MostPiecesAnswer, PieceDto, PlanAnswer } from '#contract';
import { grey } from '../../theme/grey.js';
import type { FieldSentence, OwnSetting } from './batchMoves.js';

/** Fields of a piece that say themselves what is wrong with them. */
const WITH_SENTENCE: readonly string[] = [
  ...['name', 'widthMm', 'count', 'spare'],
  ...['bridgeMm', 'edgeMm', 'sheetWidthMm', 'sheetLengthMm'],
];

/** Sentences about a piece that no field of it says. */
export const unsaid = (refused: readonly FieldSentence[]): readonly FieldSentence[] =>
  refused.filter((r) => !WITH_SENTENCE.includes(r.field));

/** The colour of a layer's clay, for CSS. */
export function hexIn(materials: PlanAnswer['materials'], layer: PieceDto['layers'][number] | undefined): string {
  const hex = materials[layer?.of.id ?? '']?.hex;
  return hex === undefined ? grey.pale : `#${hex}`;
}

/** The fade of the layer on top; one colour or none where it has no fade. */
export const hexesIn = (materials: PlanAnswer['materials'], { layers }: PieceDto): readonly string[] =>
  materials[layers.at(-1)?.of.id ?? '']?.hexes ?? [];

/** What was found of how many pieces there is clay for. */
export function mostWords({ count, runsOut }: MostPiecesAnswer, spare: number): string {
  if (count === 0) return `not one: ${runsOut ?? 'clay'} is short already`;
  const spares = spare > 0 ? ` and ${spare} spare` : '';
  return runsOut === null ? `${count}${spares}: nothing runs out` : `${count}${spares}: ${runsOut} runs out first`;
}

/** A setting as it is chosen: its place on the dial, whose machine it is of, and what the maker calls it. */
export function settingWords({ id, label, own, machine }: OwnSetting): string {
  const called = machine.settings.find((s) => s.id === id)?.called ?? '';
  const name = called === '' ? label : `${label}, ${called}`;
  return own ? name : `${name} of ${machine.name}`;
}

/** Why a piece may snap in wear, and what would help. */
export function snapWords({ share, mm, assumed, backing, flexible }: Strength, units: UnitSystem): string {
  const about = assumed ? '~' : '';
  return (
    `${about}${Math.round(100 * share)} % of it is brittle after baking, and ${showLength(mm, units)} is thin: it ` +
    `may snap in wear. ${showLength(backing, units)} of a flexible line under it would hold it, or ` +
    `${Math.round(100 * flexible)} % of one stirred in.`
  );
}
