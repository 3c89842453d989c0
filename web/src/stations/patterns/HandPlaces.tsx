import { useState, type KeyboardEvent, type PointerEvent, type ReactElement } from 'react';
import { grey } from '../../theme/grey.js';

/** Something that lies where a hand put it, mm from the middle. */
export interface HandPut {
  readonly x: number;
  readonly y: number;
}

/** What lies there, and how it is drawn and moved. */
export interface HandPlacesProps<P extends HandPut> {
  readonly label: string;
  readonly places: readonly P[];
  /** mm of what they lie on, its middle at the origin of the places */
  readonly width: number;
  readonly height: number;
  /** px for a mm, across and along */
  readonly scale: readonly [across: number, along: number];
  readonly called: (place: P, at: number) => string;
  /** px around the place that are drawn */
  readonly radius: (place: P) => number;
  /** degrees that a tick shows, to the left; left out: nothing turns */
  readonly turned?: (place: P) => number;
  /** what a key does to it; null where it is taken away; undefined where the key means nothing */
  readonly moved: (place: P, key: string, shift: boolean) => P | null | undefined;
  readonly onChange: (places: readonly P[]) => void;
}

/** mm that an arrow moves it, and with shift held. */
const [STEP, LEAP] = [0.5, 5];

const MOVES: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
const within = (mm: number, half: number): number => Math.round(Math.min(half, Math.max(-half, mm)) * 10) / 10;

/** What an arrow key or Delete does; undefined where the key means nothing to all of them. */
export function movedByKey<P extends HandPut>(
  place: P,
  key: string,
  shift: boolean,
  { width, height }: { readonly width: number; readonly height: number },
): P | null | undefined {
  if (key === 'Delete' || key === 'Backspace') return null;
  const by = MOVES[key];
  if (!by) return undefined;
  const far = shift ? LEAP : STEP;
  return { ...place, x: within(place.x + by[0] * far, width / 2), y: within(place.y + by[1] * far, height / 2) };
}

interface OneProps<P extends HandPut> extends Omit<HandPlacesProps<P>, 'onChange' | 'label' | 'places'> {
  readonly at: number;
  readonly place: P;
  readonly onPut: (next: P | null) => void;
}

/** One of them: where it is dragged to is kept when it is let go. */
function One<P extends HandPut>(props: OneProps<P>): ReactElement {
  const { width, height, scale, at, place, called, radius, turned, moved, onPut } = props;
  const [dragged, setDragged] = useState<P | null>(null);
  const shown = dragged ?? place;
  const under = (e: PointerEvent<SVGElement>): P => {
    const box = e.currentTarget.ownerSVGElement?.getBoundingClientRect();
    const [left, down] = [(e.clientX - (box?.left ?? 0)) / scale[0], (e.clientY - (box?.top ?? 0)) / scale[1]];
    return { ...place, x: within(left - width / 2, width / 2), y: within(height / 2 - down, height / 2) };
  };
  const press = (e: KeyboardEvent): void => {
    const next = moved(place, e.key, e.shiftKey);
    if (next === undefined) return;
    e.preventDefault();
    e.stopPropagation();
    onPut(next);
  };
  const [cx, cy, r] = [(shown.x + width / 2) * scale[0], (height / 2 - shown.y) * scale[1], radius(shown)];
  return (
    <g
      tabIndex={0}
      role="img"
      aria-label={called(shown, at)}
      style={{ pointerEvents: 'all', cursor: 'move', touchAction: 'none' }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        setDragged(place);
      }}
      onPointerMove={(e) => {
        if (dragged) setDragged(under(e));
      }}
      onPointerUp={(e) => {
        // nothing new below the one that was moved
        e.stopPropagation();
        if (dragged && (dragged.x !== place.x || dragged.y !== place.y)) onPut(dragged);
        setDragged(null);
      }}
      onKeyDown={press}
    >
      <circle cx={cx} cy={cy} r={r} fill="transparent" stroke={grey.tile} strokeWidth={3} strokeOpacity={0.8} />
      <circle cx={cx} cy={cy} r={r} fill="none" stroke={grey.black} strokeDasharray="3 3" />
      {turned && <Tick cx={cx} cy={cy} r={r} degrees={turned(shown)} />}
    </g>
  );
}

/** Where its right side has been turned to. */
function Tick({ cx, cy, r, degrees }: Readonly<Record<'cx' | 'cy' | 'r' | 'degrees', number>>): ReactElement {
  const turn = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return <line x1={cx} y1={cy} x2={cx + 1.6 * r * c} y2={cy - 1.6 * r * s} stroke={grey.black} strokeWidth={1.5} />;
}

/** What was put by hand: dragged, moved with the arrow keys, taken away with Delete. */
export function HandPlaces<P extends HandPut>({ onChange, ...own }: HandPlacesProps<P>): ReactElement {
  const { label, places, width, height, scale } = own;
  return (
    <svg
      width={width * scale[0]}
      height={height * scale[1]}
      role="group"
      aria-label={label}
      style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}
    >
      {places.map((place, at) => (
        <One
          key={at}
          {...own}
          at={at}
          place={place}
          onPut={(next) => {
            onChange(places.flatMap((p, i) => (i === at ? (next ?? []) : p)));
          }}
        />
      ))}
    </svg>
  );
}
