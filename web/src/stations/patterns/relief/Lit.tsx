import {
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type PointerEvent,
  type ReactElement,
} from 'react';
import { hexOf, xyzOfLab } from '#core/colour';
import { facingOf, relit, sheenColour, type Lamp, type MicaColours, type Tilts } from '#core/mica';
import { dotOf, paintCells } from './dots.js';

interface LitProps {
  readonly tilts: Tilts;
  readonly colours: MicaColours;
  readonly label: string;
  /** px of the longer side */
  readonly size: number;
}

/** Colours along the way from the edges of flakes to their faces. */
const SHADES = 256;
/** Degrees by which a key moves the lamp. */
const STEP = 10;
/** The lamp stands so low at the edge of the picture. */
const LOWEST = 15;
const FIRST: Lamp = { from: 225, above: 50 };

function shadesOf(colours: MicaColours): Uint32Array {
  return Uint32Array.from({ length: SHADES }, (_, i) => dotOf(hexOf(xyzOfLab(sheenColour(colours, i / (SHADES - 1))))));
}

/** Where the lamp stands for a place on the picture: above its middle, and lower towards its edges. */
function lampAt(x: number, y: number): Lamp {
  const far = Math.min(1, Math.hypot(x, y));
  return { from: (Math.atan2(y, x) * 180) / Math.PI, above: 90 - far * (90 - LOWEST) };
}

const TURNS: Readonly<Record<string, (lamp: Lamp) => Lamp>> = {
  ArrowLeft: (l) => ({ ...l, from: l.from - STEP }),
  ArrowRight: (l) => ({ ...l, from: l.from + STEP }),
  ArrowUp: (l) => ({ ...l, above: Math.min(90, l.above + STEP) }),
  ArrowDown: (l) => ({ ...l, above: Math.max(LOWEST, l.above - STEP) }),
};

/** Moving the lamp, by hand or with the arrow keys. */
function useLamp() {
  const [lamp, setLamp] = useState(FIRST);
  const byHand = (e: PointerEvent<HTMLCanvasElement>): void => {
    if (e.type === 'pointermove' && e.buttons === 0) return;
    if (e.type === 'pointerdown') e.currentTarget.setPointerCapture(e.pointerId);
    const box = e.currentTarget.getBoundingClientRect();
    setLamp(lampAt((2 * (e.clientX - box.left)) / box.width - 1, (2 * (e.clientY - box.top)) / box.height - 1));
  };
  const byKey = (e: KeyboardEvent): void => {
    const turn = TURNS[e.key];
    if (!turn) return;
    e.preventDefault();
    setLamp(turn);
  };
  return { lamp, byHand, byKey };
}

/** Mica clay under a lamp that can be moved. */
export function Lit({ tilts, colours, label, size }: LitProps): ReactElement {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { lamp, byHand, byKey } = useLamp();
  const facing = useMemo(() => facingOf(tilts), [tilts]);
  const shares = useMemo(() => new Float32Array(facing.x.length), [facing]);
  const shades = useMemo(() => shadesOf(colours), [colours]);
  const { columns, rows, wide, high } = tilts;
  useLayoutEffect(() => {
    relit(facing, lamp, shares);
    paintCells(
      canvas.current,
      { columns, rows },
      (at) => shades[Math.round((SHADES - 1) * Math.min(1, shares[at] ?? 0))] ?? 0,
    );
  }, [facing, lamp, shares, shades, columns, rows]);
  const longest = Math.max(columns * wide, rows * high);
  return (
    <canvas
      ref={canvas}
      width={columns}
      height={rows}
      role="application"
      aria-label={`${label}; the lamp is moved with the arrow keys`}
      data-lamp={`${Math.round(lamp.from)} ${Math.round(lamp.above)}`}
      tabIndex={0}
      onPointerDown={byHand}
      onPointerMove={byHand}
      onKeyDown={byKey}
      style={{
        ...{ display: 'block', touchAction: 'none', cursor: 'crosshair' },
        ...{ width: (size * columns * wide) / longest, height: (size * rows * high) / longest },
      }}
    />
  );
}
