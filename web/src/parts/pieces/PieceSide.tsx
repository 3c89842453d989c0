import type { ReactElement } from 'react';
import type { Point } from '#core/outline';
import type { Settled, SettledPiece } from '#core/piece';
import { showLength, type UnitSystem } from '#core/units';
import { grey } from '../../theme/grey.js';
import { hexesOfPart, type HexesOf } from './drawn.js';
import { closedPath } from './svgPaths.js';

interface SideProps {
  readonly piece: SettledPiece;
  readonly hexesOf: HexesOf;
  readonly label: string;
  readonly scale: number;
  readonly units: UnitSystem;
  readonly chosen?: string | null;
  /** each part lifted off what it lies on */
  readonly apart: boolean;
}

/** mm between parts that are drawn apart, to the width of the piece. */
const APART = 0.12;
const AIR = 1.5;
/** px for the dimension beside it. */
const ROOM = 84;

const METAL = grey.hairline;

/** How far each part is lifted: those that are put on later, higher. */
function lifts(piece: SettledPiece, apart: boolean): ReadonlyMap<string, number> {
  const ids = [...new Set(piece.parts.map(({ part }) => part.id))];
  const under = new Set(piece.parts.flatMap(({ part }) => (part.under === true ? [part.id] : [])));
  const step = apart ? Math.max(2, piece.extent.width * APART) : 0;
  const above = ids.filter((id) => !under.has(id));
  return new Map(ids.map((id) => [id, under.has(id) ? -step : step * above.indexOf(id)]));
}

const fillOf = ({ part }: Settled, hexesOf: HexesOf): string => {
  if (part.shape.is === 'finding') return METAL;
  const hexes = hexesOfPart(part, false, hexesOf);
  return `#${hexes[Math.floor(hexes.length / 2)] ?? ''}`;
};

/** A piece from the side, the nearest parts in front; with how high it is. */
export function PieceSide({ piece, hexesOf, label, scale, units, chosen, apart }: SideProps): ReactElement {
  const lift = lifts(piece, apart);
  const liftOf = ({ part }: Settled): number => lift.get(part.id) ?? 0;
  const bottom = Math.min(...piece.parts.map((s) => s.bottom + liftOf(s)));
  const top = Math.max(...piece.parts.map((s) => s.top + liftOf(s)));
  const { left, width } = piece.extent;
  const [wide, high] = [width + 2 * AIR, top - bottom + 2 * AIR];
  // the farthest first
  const order = [...piece.parts].sort((a, b) => b.place.y - a.place.y || a.bottom - b.bottom);
  const raised = (s: Settled): Point[] => s.side.map(([x, z]): Point => [x, z + liftOf(s)]);
  const line = wide * scale + 14;
  const [from, to] = [AIR * scale, (high - AIR) * scale];
  return (
    <svg
      role="img"
      aria-label={label}
      width={wide * scale + ROOM}
      height={high * scale}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      <g transform={`scale(${scale}) translate(${AIR - left} ${top + AIR})`}>
        {order.map((settled, i) => (
          <path
            key={i}
            d={settled.side.length > 2 ? closedPath(raised(settled)) : ''}
            fill={fillOf(settled, hexesOf)}
            stroke={grey.ink}
            strokeOpacity={settled.part.id === chosen ? 1 : 0.5}
            strokeWidth={settled.part.id === chosen ? 2 : 0.7}
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </g>
      {!apart && (
        <g stroke={grey.ink}>
          <path d={`M${line - 5} ${from}h10M${line} ${from}V${to}M${line - 5} ${to}h10`} fill="none" />
          <text x={line + 10} y={(from + to) / 2 + 5} stroke="none" fill={grey.ink} fontSize="14">
            {showLength(piece.top - piece.bottom, units)}
          </text>
        </g>
      )}
    </svg>
  );
}
