import {
  keyOf,
  type Mixable,
  type OfBlend,
  type OfCane,
  type OfMade,
  type OfPattern,
  type OfScrap,
} from '#core/material';
import type { FinishStep } from '#core/piece';
import type { Mm } from '#core/units';
import type { Cutter, HandPlace, Lie } from '#core/cutter';

/** What a layer can be rolled of: clay and mixes, or what lies there. */
export type LayerOf = Mixable | Ready;
/** What is made for itself, at a station of its own: a fade, a cane, a patterned sheet. */
export type ForItself = OfBlend | OfCane | OfPattern;
/** What lies there already, and what is made for itself. */
export type Ready = OfMade | OfScrap | ForItself;

/** One layer of a piece, with its setting worked out. */
export interface LayerOrder {
  readonly of: LayerOf;
  readonly machineName: string;
  readonly settingLabel: string;
  readonly mm: Mm;
  /** the thickness is an assumption: show it with a tilde */
  readonly assumed: boolean;
  readonly rollerWidthMm: Mm;
  /** of a sheet that lies there and whose fade runs across it: as wide it stays when it is rolled */
  readonly fadeMm?: Mm;
  /** it is laid as it lies there, and not rolled again */
  readonly asItLies?: boolean;
}

/** Where pieces are cut of a sheet, put there one by one. */
export interface Placed {
  /** the sheet is as round as its sides allow */
  readonly round: boolean;
  /** which of the sheets that were made at once, from 0 */
  readonly sheet: number;
  readonly places: readonly HandPlace[];
}

/** A kind of piece in a batch. Layers from the bottom to the top, stacked before they are cut. */
export interface PieceOrder {
  readonly id: string;
  readonly name: string;
  readonly cutter: Cutter;
  /** every second one is mirrored */
  readonly pairs?: boolean;
  readonly lie?: Lie;
  /** cut through film: a rounded edge */
  readonly film?: boolean;
  readonly count: number;
  readonly spare: number;
  readonly bridgeMm: Mm;
  /** at each edge of a sheet that comes out ragged */
  readonly edgeMm?: Mm;
  readonly sheetWidthMm: Mm;
  readonly sheetLengthMm: Mm;
  /** on a sheet of just that width and length; left out: laid out */
  readonly placed?: Placed;
  readonly layers: readonly LayerOrder[];
  /** what is done to it after the oven */
  readonly finish?: readonly FinishStep[];
}

/** All that has to be cut, spares too. */
export const toCut = (piece: Pick<PieceOrder, 'count' | 'spare'>): number => piece.count + piece.spare;

/** From the bottom to the top of the stack. */
export const thicknessOf = (piece: Pick<PieceOrder, 'layers'>): Mm =>
  piece.layers.reduce((sum, layer) => sum + layer.mm, 0);

/** The stack that a placed piece is cut of, as text: pieces of one stack share its clay. */
function stackOf({ placed, layers }: Pick<PieceOrder, 'placed' | 'layers'>): string | null {
  if (!placed) return null;
  return [placed.sheet, ...layers.map(({ of, mm }) => `${keyOf(of)} ${mm}`)].join(', ');
}

/** All pieces that are cut of the same sheet as one of them, itself too, in their order. */
export function ofOneSheet<P extends Pick<PieceOrder, 'placed' | 'layers'>>(piece: P, all: readonly P[]): readonly P[] {
  const own = stackOf(piece);
  return own === null ? [piece] : all.filter((other) => stackOf(other) === own);
}
