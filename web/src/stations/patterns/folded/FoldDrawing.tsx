import { useId, type ReactElement } from 'react';
import { foldedSize, type Crease, type Folded, type Leaf } from '#core/pattern';
import { grey } from '../../../theme/grey.js';
import type { Square } from './useSquare.js';

interface FoldDrawingProps extends Square {
  readonly sheet: Folded;
  /** where it is folded next; left out: nowhere */
  readonly crease?: Crease | null;
  /** px a side */
  readonly size: number;
  readonly label: string;
}

/** Room around it, as a share of its size. */
const ROOM = 0.06;

/** One leaf: its face as it lies, or its back. */
function OneLeaf({ leaf, face, back, id }: Square & { leaf: Leaf; id: string }): ReactElement {
  const points = leaf.points.map(([x, y]) => `${x},${y}`).join(' ');
  const edge = { fill: 'none', stroke: grey.black, strokeWidth: 1, vectorEffect: 'non-scaling-stroke' } as const;
  const seen = leaf.up ? face : back;
  if (seen === null) return <polygon points={points} {...edge} fill={grey.pale} />;
  return (
    <g>
      <clipPath id={id}>
        <polygon points={points} />
      </clipPath>
      <g clipPath={`url(#${id})`}>
        {/* pictures have their first row above, sheets their y upwards */}
        <image
          href={seen}
          x={-0.5}
          y={-0.5}
          width={1}
          height={1}
          preserveAspectRatio="none"
          transform={`matrix(${leaf.lay.join(' ')}) scale(1 -1)`}
        />
      </g>
      <polygon points={points} {...edge} />
    </g>
  );
}

/** A folded sheet from above, with the line that it is folded along next. */
export function FoldDrawing({ sheet, crease, face, back, size, label }: FoldDrawingProps): ReactElement {
  const id = useId();
  const { left, bottom, width, height } = foldedSize(sheet);
  const most = Math.max(width, height) * (1 + 2 * ROOM);
  const [cx, cy] = [left + width / 2, bottom + height / 2];
  const turn = ((crease?.degrees ?? 0) * Math.PI) / 180;
  const far = most * 1.5;
  return (
    <svg
      width={size}
      height={size}
      viewBox={`${cx - most / 2} ${-cy - most / 2} ${most} ${most}`}
      role="img"
      aria-label={label}
      style={{ display: 'block' }}
    >
      <g transform="scale(1 -1)">
        {sheet.map((leaf, i) => (
          <OneLeaf key={i} leaf={leaf} face={face} back={back} id={`${id}${i}`} />
        ))}
        {crease && (
          <line
            x1={crease.x - far * Math.cos(turn)}
            y1={crease.y - far * Math.sin(turn)}
            x2={crease.x + far * Math.cos(turn)}
            y2={crease.y + far * Math.sin(turn)}
            stroke={grey.black}
            strokeWidth={2}
            strokeDasharray="7 5"
            vectorEffect="non-scaling-stroke"
          />
        )}
      </g>
    </svg>
  );
}
