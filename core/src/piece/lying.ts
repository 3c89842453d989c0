import { extentOf, mirrored, turned, type Extent, type Point } from '#core/outline';
import { attempt, type Complaint } from '#core/units';
import { carried, placesOf, type Lying } from './arrange.js';
import { MOST_LYING, type Part, type PieceDocument } from './document.js';
import { complaint } from './sentences.js';
import { solidOf } from './shapes.js';
import { sizedParts } from './sized.js';
import type { Solid } from './solid.js';

/** A part, its body, and everywhere it lies on the piece. */
export interface LaidPart {
  readonly part: Part;
  readonly solid: Solid;
  readonly lying: readonly Lying[];
}

/** What a part is once it is laid, or why it cannot be. */
export interface Laid {
  /** in the order they are put together */
  readonly parts: readonly LaidPart[];
  readonly wrong: readonly { readonly partId: string; readonly sentence: string }[];
}

/** The edge of a part as it lies. */
export function edgeAt(points: readonly Point[], { x, y, degrees, flip }: Lying): Point[] {
  const own = { points, round: false };
  return turned(flip ? mirrored(own) : own, degrees).points.map(([px, py]): Point => [px + x, py + y]);
}

const boxOf = (points: readonly Point[]): Extent => extentOf({ points, round: false });

/** The box around everything, mm. */
export function extentOfAll(parts: readonly LaidPart[]): Extent | null {
  const points = parts.flatMap(({ solid, lying }) => lying.flatMap((place) => edgeAt(solid.outline, place)));
  return points.length > 0 ? boxOf(points) : null;
}

/**
 * Lays every part of a piece where it lies, once on each of what it lies on. A part that cannot be laid is told, and
 * left out with what lies on it.
 * @throws Complaint `piece/many`, `piece/size`
 */
export function layPiece(piece: PieceDocument): Laid {
  const parts: LaidPart[] = [];
  const wrong: { partId: string; sentence: string }[] = [];
  const laid = new Map<string | null, readonly Lying[]>([[null, [{ x: 0, y: 0, degrees: 0, flip: false }]]]);
  let count = 0;
  const lay = (part: Part): void => {
    const on = laid.get(part.on) ?? [];
    const own = placesOf(part);
    count += on.length * own.length;
    if (count > MOST_LYING) throw complaint('piece/many', { count, most: MOST_LYING });
    const lying = on.flatMap((below) => own.map((place) => carried(below, place)));
    parts.push({ part, solid: solidOf(part.shape, part.name), lying });
    laid.set(part.id, lying);
  };
  const tell = (part: Part, { message, code }: Complaint): void => {
    if (code === 'piece/many') throw complaint('piece/many', { count, most: MOST_LYING });
    wrong.push({ partId: part.id, sentence: message });
  };
  for (const part of inOrder(sizedParts(piece)))
    attempt(
      () => {
        lay(part);
      },
      (complained) => {
        tell(part, complained);
      },
    );
  return { parts, wrong };
}

/** Parts so that none comes before what it lies on; otherwise as they stand. */
function inOrder(parts: readonly Part[]): readonly Part[] {
  const done = new Set<string | null>([null]);
  const waiting = [...parts];
  const ordered: Part[] = [];
  while (waiting.length > 0) {
    const next = Math.max(
      0,
      waiting.findIndex((p) => done.has(p.on)),
    );
    for (const part of waiting.splice(next, 1)) {
      ordered.push(part);
      done.add(part.id);
    }
  }
  return ordered;
}
