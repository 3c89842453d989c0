import { useMemo, type ReactElement } from 'react';
import { cutterOpening, cutterOutline, type Cutter } from '#core/cutter';

/** Where cuts lie: x then y, mm, y up; how far each is turned; 1 where it is mirrored. */
interface Places {
  readonly centres: ArrayLike<number>;
  readonly turns: ArrayLike<number>;
  readonly flips: ArrayLike<number>;
}

interface CutPiecesProps {
  readonly cutter: Cutter;
  readonly places: Places;
  readonly count: number;
  /** without the opening inside a rim */
  readonly whole?: boolean;
}

const closed = (points: readonly (readonly [number, number])[]): string =>
  `M${points.map(([x, y]) => `${x.toFixed(3)} ${y.toFixed(3)}`).join('L')}Z`;

/** The outline of a cutter as a path, mm, y up; with its opening. */
export function cutterPath(cutter: Cutter, whole = false): string {
  const opening = whole ? null : cutterOpening(cutter);
  return closed(cutterOutline(cutter)) + (opening ? closed([...opening].reverse()) : '');
}

/** Cuts of one cutter, in mm: the group around it says the scale, and that y runs up. */
export function CutPieces({ cutter, places, count, whole = false }: CutPiecesProps): ReactElement {
  const path = useMemo(() => cutterPath(cutter, whole), [cutter, whole]);
  return (
    <>
      {Array.from({ length: count }, (_, i) => {
        const [x, y] = [places.centres[2 * i] ?? 0, places.centres[2 * i + 1] ?? 0];
        const flip = places.flips[i] === 1 ? ' scale(-1 1)' : '';
        return (
          <path
            key={i}
            d={path}
            vectorEffect="non-scaling-stroke"
            transform={`translate(${x} ${y}) rotate(${places.turns[i] ?? 0})${flip}`}
          />
        );
      })}
    </>
  );
}
