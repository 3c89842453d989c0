import type { MaterialKey } from '#core/material';
import {
  FINISH_KINDS,
  newFinish,
  withPieceMaterial,
  type FinishKind,
  type PieceDocument,
  type PieceModel,
  type Size,
} from '#core/piece';
import type { AssemblyDto, FinishStepDto, PieceModelDto } from '#contract';
import { asName } from '../../../parts/names.js';
import { FIRST_PLACE, FIRST_SHAPE, type AnyPart } from './partFields.js';

const made = (): string => crypto.randomUUID();

/** What is done to any piece until somebody says otherwise: it cools, and with a pin it is glued. */
export function usualFinish({ parts }: PieceDocument): FinishStepDto[] {
  const kinds: FinishKind[] = ['cool'];
  if (parts.some(({ shape }) => shape.is === 'finding' && (shape.form === 'pin' || shape.form === 'post')))
    kinds.push('glue');
  if (parts.some(({ shape }) => shape.is === 'covered')) kinds.push('drill');
  kinds.push('card');
  return kinds.map((kind) => asStep(newFinish(made(), kind)));
}

/** As it is sent: lists are one's own. */
const asStep = (step: ReturnType<typeof newFinish>): FinishStepDto => ({ ...step, grits: [...step.grits] });

export const finishStep = (kind: FinishKind): FinishStepDto => asStep(newFinish(made(), kind));
export { FINISH_KINDS };

/** mm of clay between cuts until somebody says otherwise. */
const USUAL_BRIDGE = 1.5;

/** A kind of piece begun with a model. */
export const assemblyOf = (name: string, piece: PieceDocument, finish?: readonly FinishStepDto[]): AssemblyDto => ({
  id: made(),
  name,
  count: 6,
  spare: 1,
  bridgeMm: USUAL_BRIDGE,
  piece,
  finish: finish ? finish.map((step) => ({ ...step, id: made() })) : usualFinish(piece),
  prices: [],
});

export const fromModel = ({ name, piece }: PieceModel): AssemblyDto => assemblyOf(name, piece);

/** A kept piece used again: what it was made of is taken where it is there still. */
export const fromOwn = ({ name, piece, finish }: PieceModelDto, isThere: (of: MaterialKey) => boolean): AssemblyDto =>
  assemblyOf(
    name,
    withPieceMaterial(piece, (of) => (isThere(of) ? of : null)),
    finish,
  );

/** The same kind of piece once more, with nothing of its own shared. */
export const copyOfAssembly = (assembly: AssemblyDto): AssemblyDto => ({
  ...assembly,
  id: made(),
  finish: assembly.finish.map((step) => ({ ...step, id: made() })),
});

/** A piece to be kept for another time. */
export const asModel = ({ name, piece, finish }: AssemblyDto, taken: ReadonlySet<string>): PieceModelDto => {
  let free = asName(name);
  for (let i = 2; taken.has(free.toLowerCase()); i++) free = asName(`${name} ${i}`);
  return { id: made(), version: 0, name: free, piece, finish };
};

/** The piece with one part changed. */
export const withPart = (piece: PieceDocument, part: AnyPart): PieceDocument => ({
  ...piece,
  parts: piece.parts.map((p) => (p.id === part.id ? part : p)),
});

/** A part more, on the last one that lies in the middle. */
export function withNewPart(
  piece: PieceDocument,
  like: string,
): { readonly piece: PieceDocument; readonly id: string } {
  const id = made();
  const name = `part ${piece.parts.length + 1}`;
  const part: AnyPart = {
    ...{ id, name, of: null, like, on: null },
    shape: FIRST_SHAPE.ball(6),
    place: FIRST_PLACE.at,
  };
  return { piece: { ...piece, parts: [...piece.parts, part] }, id };
}

/** The piece without a part; what lay on it lies on what it lay on. */
export function withoutPart(piece: PieceDocument, id: string): PieceDocument {
  const gone = piece.parts.find((p) => p.id === id);
  const parts = piece.parts.filter((p) => p.id !== id).map((p) => (p.on === id ? { ...p, on: gone?.on ?? null } : p));
  return { ...piece, parts };
}

/** A part put on earlier, or later, than it was. */
export function moved(piece: PieceDocument, id: string, by: -1 | 1): PieceDocument {
  const from = piece.parts.findIndex((p) => p.id === id);
  const to = from + by;
  const part = piece.parts[from];
  if (!part || to < 0 || to >= piece.parts.length) return piece;
  const parts = piece.parts.filter((p) => p.id !== id);
  return { ...piece, parts: [...parts.slice(0, to), part, ...parts.slice(to)] };
}

/** Parts that one can lie on: none of those that lie on it. */
export function under(piece: PieceDocument, id: string): readonly AnyPart[] {
  const above = new Set([id]);
  let more = true;
  while (more) {
    const found = piece.parts.filter((p) => p.on !== null && above.has(p.on) && !above.has(p.id));
    found.forEach((p) => above.add(p.id));
    more = found.length > 0;
  }
  return piece.parts.filter((p) => !above.has(p.id));
}

export const withSize = (piece: PieceDocument, size: Size): PieceDocument => ({
  ...piece,
  sizes: piece.sizes.map((s) => (s.id === size.id ? size : s)),
});

/** A size more, that parts can follow. */
export const withNewSize = (piece: PieceDocument): PieceDocument => ({
  ...piece,
  sizes: [...piece.sizes, { id: made(), name: `size ${piece.sizes.length + 1}`, unit: 'mm', value: 10 }],
});
