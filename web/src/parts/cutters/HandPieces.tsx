import { useRef, useState, type PointerEvent, type ReactElement } from 'react';
import type { Cutter, HandPlace } from '#core/cutter';
import { showLength, type UnitSystem } from '#core/units';
import { useUnits } from '../../state/view.js';
import { grey } from '../../theme/grey.js';
import { cutterPath } from './CutPieces.js';
import { kept, moved, type Ground } from './handMoves.js';

interface HandPiecesProps<P extends HandPlace> {
  readonly cutter: Cutter;
  readonly ground: Ground;
  readonly places: readonly P[];
  readonly onPlaces: (places: readonly P[]) => void;
  /** px for a mm */
  readonly scale: number;
  readonly label: string;
  /** what lies below them, for CSS */
  readonly background?: string;
  /** the number of the first one; left out: they have none */
  readonly firstNumber?: number;
  /** what lies there and is not moved, in mm, y up */
  readonly children?: ReactElement | null;
}

interface OneProps<P extends HandPlace> extends HandPiecesProps<P> {
  readonly at: number;
  /** mm of a point on the screen, from the lower left corner */
  readonly under: (e: PointerEvent) => { readonly x: number; readonly y: number };
}

const wordsOf = ({ x, y, degrees, flip }: HandPlace, units: UnitSystem): string =>
  `${showLength(x, units)} across, ${showLength(y, units)} up, turned ${degrees}°${flip === true ? ', flipped' : ''}`;

/** The edge of a cutter on clay of any colour: a dark line in a light one. */
export function Edge({ cutter, dashed = false }: { readonly cutter: Cutter; readonly dashed?: boolean }): ReactElement {
  const path = cutterPath(cutter);
  const line = { d: path, fill: 'none', vectorEffect: 'non-scaling-stroke' } as const;
  return (
    <>
      <path {...line} stroke={grey.tile} strokeWidth="4" strokeOpacity="0.85" />
      <path {...line} stroke={grey.black} strokeWidth="1.5" strokeDasharray={dashed ? '3 3' : undefined} />
    </>
  );
}

/** One piece: dragged, moved with the arrow keys, turned with R, flipped with F, taken away with Delete. */
function OnePiece<P extends HandPlace>(props: OneProps<P>): ReactElement | null {
  const { at, cutter, ground, places, onPlaces, under, firstNumber = 1 } = props;
  const units = useUnits();
  const [dragged, setDragged] = useState<HandPlace | null>(null);
  const place = places[at];
  if (!place) return null;
  const put = (next: HandPlace): void => {
    onPlaces(places.map((p, i) => (i === at ? { ...p, ...next } : p)));
  };
  const { x, y, degrees, flip } = dragged ?? place;
  return (
    <g
      transform={`translate(${x} ${y}) rotate(${degrees})${flip === true ? ' scale(-1 1)' : ''}`}
      tabIndex={0}
      role="img"
      aria-label={`Piece ${at + firstNumber}, ${wordsOf(dragged ?? place, units)}`}
      style={{ cursor: 'move', touchAction: 'none', pointerEvents: 'all' }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        setDragged(place);
      }}
      onPointerMove={(e) => {
        if (dragged) setDragged(kept(cutter, { ...place, ...under(e) }, ground));
      }}
      onPointerUp={() => {
        if (dragged && (dragged.x !== place.x || dragged.y !== place.y)) put(dragged);
        setDragged(null);
      }}
      onKeyDown={(e) => {
        const next = moved(place, e.key, e.shiftKey, cutter, ground);
        if (next === undefined) return;
        e.preventDefault();
        e.stopPropagation();
        if (next === null) onPlaces(places.filter((_, i) => i !== at));
        else put(next);
      }}
    >
      <Edge cutter={cutter} />
    </g>
  );
}

/** Numbers of the pieces, so that each is found again among those that are seen beside. */
function Numbers<P extends HandPlace>({ places, scale, ground, firstNumber }: HandPiecesProps<P>): ReactElement | null {
  if (firstNumber === undefined) return null;
  return (
    <g aria-hidden style={{ pointerEvents: 'none' }} fontSize="12" fontWeight="700" textAnchor="middle">
      {places.map(({ x, y }, i) => (
        <text
          key={i}
          x={x * scale}
          y={(ground.length - y) * scale + 4}
          stroke={grey.tile}
          strokeWidth="3"
          paintOrder="stroke"
          fill={grey.black}
        >
          {firstNumber + i}
        </text>
      ))}
    </g>
  );
}

/** A sheet from above, and the cutter where it is put by hand. */
export function HandPieces<P extends HandPlace>(props: HandPiecesProps<P>): ReactElement {
  const { ground, places, scale, label, background, children = null } = props;
  const svg = useRef<SVGSVGElement>(null);
  const [w, h] = [ground.width * scale, ground.length * scale];
  const under = (e: PointerEvent): { x: number; y: number } => {
    const box = svg.current?.getBoundingClientRect();
    return { x: (e.clientX - (box?.left ?? 0)) / scale, y: ground.length - (e.clientY - (box?.top ?? 0)) / scale };
  };
  return (
    <svg ref={svg} width={w} height={h} role="group" aria-label={label} style={{ display: 'block', background }}>
      <g transform={`translate(0 ${h}) scale(${scale} ${-scale})`}>
        {children}
        {places.map((_, i) => (
          <OnePiece key={i} {...props} at={i} under={under} />
        ))}
      </g>
      <Numbers {...props} />
    </svg>
  );
}
