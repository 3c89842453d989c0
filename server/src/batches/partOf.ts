import type { MadeCountDto } from '#contract';
import { refused } from '../access/problem.js';
import type { KindsOfPieces } from './kindsOfPieces.js';

interface Counted {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  readonly spare: number;
}

/** A batch of which some pieces are finished: those, and what stays. */
export interface Split {
  readonly done: KindsOfPieces;
  readonly stays: KindsOfPieces;
  /** pieces that are done, and all there were */
  readonly count: number;
  readonly all: number;
}

/** So many of a kind, with their share of the spares; nothing where it is none. */
function some<T extends Counted>(kind: T, count: number, spare: number): T[] {
  return count > 0 ? [{ ...kind, count, spare }] : [];
}

/**
 * Shares a batch out into what is finished and what stays; the spares go along.
 * @param made kinds that are not named are finished whole
 * @throws ProblemException where more are finished than there are, or none at all
 */
export function splitBatch({ pieces, assemblies }: KindsOfPieces, made: readonly MadeCountDto[]): Split {
  const counts = new Map(made.map(({ pieceId, count }) => [pieceId, count]));
  const finished = ({ id, count }: Counted): number => counts.get(id) ?? count;
  const kinds: readonly Counted[] = [...pieces, ...assemblies];
  made.forEach(({ pieceId, count }, at) => {
    const kind = kinds.find(({ id }) => id === pieceId);
    if (!kind) throw refused('This kind of piece is not in the batch any more.', `made.${at}.pieceId`);
    if (count > kind.count) throw refused(`There are ${kind.count} ${kind.name}.`, `made.${at}.count`);
  });
  const spares = (kind: Counted): number => Math.round((kind.spare * finished(kind)) / kind.count);
  const part = <T extends Counted>(list: readonly T[]): T[] =>
    list.flatMap((kind) => some(kind, finished(kind), spares(kind)));
  const rest = <T extends Counted>(list: readonly T[]): T[] =>
    list.flatMap((kind) => some(kind, kind.count - finished(kind), kind.spare - spares(kind)));
  const sum = (of: (kind: Counted) => number): number => kinds.reduce((all, kind) => all + of(kind), 0);
  const count = sum(finished);
  if (count === 0) throw refused('Not one piece is finished yet. The place at the bench is kept.', 'made');
  return {
    done: { pieces: part(pieces), assemblies: part(assemblies) },
    stays: { pieces: rest(pieces), assemblies: rest(assemblies) },
    ...{ count, all: sum((kind) => kind.count) },
  };
}
