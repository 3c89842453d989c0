import { materialIn, type MaterialKey } from '#core/material';
import {
  layPiece,
  placesOf,
  remarksOn,
  settlePiece,
  solidOf,
  type LaidPart,
  type Part,
  type PieceDocument,
  type SettledPiece,
  type Shape,
} from '#core/piece';
import { attempt } from '#core/units';
import type { ReactElement } from 'react';

/** A piece as it is drawn: put together, or the sentences why some of it is not. */
export interface DrawnPiece {
  readonly laid: readonly LaidPart[];
  readonly settled: SettledPiece | null;
  readonly wrong: readonly { readonly partId: string | null; readonly sentence: string }[];
  readonly remarks: readonly { readonly partId: string; readonly sentence: string }[];
}

/** Puts a piece together for its drawing. */
export const drawnPiece = (piece: PieceDocument): DrawnPiece =>
  attempt(
    () => {
      const { parts, wrong } = layPiece(piece);
      return { laid: parts, settled: settlePiece(parts), wrong, remarks: remarksOn(parts) };
    },
    ({ message }): DrawnPiece => ({
      laid: [],
      settled: null,
      wrong: [{ partId: null, sentence: message }],
      remarks: [],
    }),
  );

/** One part by itself, in the colour that is meant; null where it cannot be shaped. */
export const alone = (shape: Shape, name: string, like: string, degrees = 0): SettledPiece | null =>
  attempt(
    () => {
      const place = { lies: 'at', x: 0, y: 0, turn: degrees } as const;
      const part: Part = { ...{ id: name, name, of: null, like, on: null }, shape, place };
      return settlePiece([{ part, solid: solidOf(shape, name), lying: placesOf(part) }]);
    },
    () => null,
  );

/** The colours of a material by its key, along a fade or one; none where they are not known. */
export type HexesOf = (of: MaterialKey) => readonly string[];

/** What a material shows where it is cut, as a `<pattern>` of a name; null: its colour alone. */
export type TileOf = (of: MaterialKey, id: string) => ReactElement | null;

/** Colours of a part, or of what is inside of it: those of its material, or those that are meant. */
export function hexesOfPart(part: Part, inside: boolean, hexesOf: HexesOf): readonly string[] {
  const { shape } = part;
  const second = inside && 'with' in shape;
  const of = second ? shape.with : part.of;
  const like = second ? shape.withLike : part.like;
  const known = of === null ? [] : hexesOf(of);
  return known.length > 0 ? known : [like];
}

/** Colours out of the answer about a batch. */
export function hexesIn(materials: Readonly<Record<string, { readonly hexes: readonly string[] }>>): HexesOf {
  return (of) => {
    const material = materialIn(of);
    return material ? (materials[material.id]?.hexes ?? []) : [];
  };
}
