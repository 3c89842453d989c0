import { Box } from '@chakra-ui/react';
import { useRef, type PointerEvent, type ReactElement } from 'react';
import type { Cutter, HandPlace } from '#core/cutter';
import { showLength } from '#core/units';
import { swatch } from '../../parts/swatch.js';
import { Warning } from '../../parts/Warning.js';
import { cutterPath } from '../../parts/cutters/CutPieces.js';
import { useUnits } from '../../state/view.js';
import { grey } from '../../theme/grey.js';
import { Caption, Word } from '../../theme/pieces.js';
import { freePlace, kept, moved, wrongWith, type Ground } from './handMoves.js';

/** px that what is left of the sheet may have. */
const ROOM = { width: 270, height: 320 } as const;

interface PlaceByHandProps {
  readonly cutter: Cutter;
  readonly ground: Ground;
  readonly hexes: readonly string[];
  readonly places: readonly HandPlace[];
  readonly onPlaces: (places: readonly HandPlace[]) => void;
}

interface OneProps extends PlaceByHandProps {
  readonly at: number;
  /** mm of a point on the screen, from the lower left corner */
  readonly under: (e: PointerEvent) => { readonly x: number; readonly y: number };
}

/** One piece: dragged, moved with the arrow keys, turned with R, taken away with Delete. */
function OnePiece({ at, cutter, ground, places, onPlaces, under }: OneProps): ReactElement | null {
  const units = useUnits();
  const dragging = useRef(false);
  const place = places[at];
  if (!place) return null;
  const put = (next: HandPlace): void => {
    onPlaces(places.map((p, i) => (i === at ? next : p)));
  };
  const { x, y, degrees } = place;
  return (
    <path
      d={cutterPath(cutter)}
      transform={`translate(${x} ${y}) rotate(${degrees})`}
      vectorEffect="non-scaling-stroke"
      fill={grey.tile}
      fillOpacity="0.25"
      stroke={grey.black}
      strokeWidth="1.5"
      tabIndex={0}
      role="img"
      aria-label={`Piece ${at + 1}, ${showLength(x, units)} across, ${showLength(y, units)} up, turned ${degrees}°`}
      style={{ cursor: 'move', touchAction: 'none' }}
      onPointerDown={(e) => {
        dragging.current = true;
        e.currentTarget.setPointerCapture(e.pointerId);
      }}
      onPointerMove={(e) => {
        if (dragging.current) put(kept(cutter, { ...under(e), degrees }, ground));
      }}
      onPointerUp={() => {
        dragging.current = false;
      }}
      onKeyDown={(e) => {
        const next = moved(place, e.key, e.shiftKey, cutter, ground);
        if (next === undefined) return;
        e.preventDefault();
        e.stopPropagation();
        if (next === null) onPlaces(places.filter((_, i) => i !== at));
        else put(next);
      }}
    />
  );
}

/** What is left of a sheet, and the cutter where it is put. */
export function PlaceByHand(props: PlaceByHandProps): ReactElement {
  const { cutter, ground, hexes, places, onPlaces } = props;
  const svg = useRef<SVGSVGElement>(null);
  const scale = Math.min(ROOM.width / ground.width, ROOM.height / Math.max(1, ground.length));
  const [w, h] = [ground.width * scale, ground.length * scale];
  const under = (e: PointerEvent): { x: number; y: number } => {
    const box = svg.current?.getBoundingClientRect();
    return { x: (e.clientX - (box?.left ?? 0)) / scale, y: ground.length - (e.clientY - (box?.top ?? 0)) / scale };
  };
  const wrong = wrongWith(cutter, places, ground);
  return (
    <Box marginTop={2}>
      <svg
        ref={svg}
        width={w}
        height={h}
        role="group"
        aria-label="What is left of the sheet, with the pieces on it"
        style={{ display: 'block', background: swatch(hexes) }}
      >
        <g transform={`translate(0 ${h}) scale(${scale} ${-scale})`}>
          {places.map((_, i) => (
            <OnePiece key={i} {...props} at={i} under={under} />
          ))}
        </g>
      </svg>
      <Word
        fontSize="small"
        onClick={() => {
          const place = freePlace(cutter, places, ground);
          if (place) onPlaces([...places, place]);
        }}
      >
        {places.length === 0 ? 'put the cutter on it' : 'another piece'}
      </Word>
      <Caption display="block">drag, or arrow keys (shift: farther), R turns, Delete takes it away</Caption>
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
