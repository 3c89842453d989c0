import { HARDLY_ANY } from '../../parts/amounts.js';
import { ARROWS } from '../../parts/arrows.js';
import { useRef, type KeyboardEvent, type ReactElement } from 'react';
import { outlinesOf, type Layout } from '#core/blend';
import { xyzOfHex } from '#core/colour';
import { showLength, showMass } from '#core/units';
import type { CutDto } from '#contract';
import { useUnits } from '../../state/view.js';
import { grey, inkOn } from '../../theme/grey.js';
import { moved, widestIn, withPoint, withoutPoint, type Place } from './cutMoves.js';
import { BELOW, LEFT, RIGHT, TOP, onScreen, type OnScreen } from './cutPlace.js';
import type { BlendColour } from './workedBlend.js';

/** mm that an arrow key moves a point, and with shift. */
const [STEP, FAR] = [1, 5];

interface ColoursProps {
  readonly layout: Layout;
  readonly colours: readonly BlendColour[];
  readonly on: OnScreen;
}

/** The colours as they lie, each with its name and its weight. */
function Colours({ layout, colours, on }: ColoursProps): ReactElement {
  const units = useUnits();
  const outlines = outlinesOf(layout);
  return (
    <>
      {outlines.map((outline, i) => (
        <polygon key={i} points={on.line(outline)} fill={colours[i] ? `#${colours[i].hex}` : grey.unknown} />
      ))}
      {outlines.map((outline, i) => {
        const own = colours[i];
        if (!own || own.grams < HARDLY_ANY) return null;
        const at = widestIn([...outline, outline[0]!], layout);
        return (
          <g key={i} fill={inkOn(xyzOfHex(own.hex).y)} textAnchor="middle" pointerEvents="none">
            <text x={on.x(at.x)} y={on.y(at.y) - 2} fontSize="17" fontWeight="700">
              {own.name}
            </text>
            <text x={on.x(at.x)} y={on.y(at.y) + 16} fontSize="13">
              {showMass(own.grams, units)}
            </text>
          </g>
        );
      })}
    </>
  );
}

interface PointProps {
  readonly place: Place;
  readonly label: string;
  readonly layout: Layout;
  readonly on: OnScreen;
  readonly onGrab: () => void;
  readonly onMove: (to: Place) => void;
  readonly onRemove: () => void;
}

/** One point of a cut: dragged, or moved and taken away by keys. */
function Point({ place, label, layout, on, onGrab, onMove, onRemove }: PointProps): ReactElement {
  const units = useUnits();
  const byKey = (e: KeyboardEvent): void => {
    const way = ARROWS[e.key];
    const by = e.shiftKey ? FAR : STEP;
    // on a sheet up is more
    if (way) onMove({ x: place.x + by * way[0], y: place.y - by * way[1] });
    const away = e.key === 'Delete' || e.key === 'Backspace';
    if (away) onRemove();
    if (way || away) e.preventDefault();
  };
  return (
    <circle
      cx={on.x(place.x)}
      cy={on.y(place.y)}
      r={7}
      fill={grey.tile}
      stroke={grey.ink}
      strokeWidth="1.5"
      tabIndex={0}
      role="slider"
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={Math.round(layout.width)}
      aria-valuenow={Math.round(place.x)}
      aria-valuetext={`${showLength(place.x, units)} from the left, ${showLength(place.y, units)} up`}
      style={{ cursor: 'grab' }}
      onPointerDown={(e) => {
        e.preventDefault();
        e.currentTarget.focus();
        e.currentTarget.setPointerCapture(e.pointerId);
        onGrab();
      }}
      onKeyDown={byKey}
    />
  );
}

interface CutsProps {
  readonly layout: Layout;
  readonly on: OnScreen;
  readonly under: (e: { readonly clientX: number; readonly clientY: number }) => Place;
  readonly onGrab: (cut: number, point: number) => void;
  readonly onDrop: (cuts: CutDto[]) => void;
}

/** The cuts, each with its points; a double click puts a point more on it. */
function Cuts({ layout, on, under, onGrab, onDrop }: CutsProps): ReactElement {
  const drop = (cuts: CutDto[] | null): void => {
    if (cuts) onDrop(cuts);
  };
  return (
    <>
      {layout.cuts.map((cut, c) => (
        <g key={c} fill="none">
          <polyline points={on.line(cut)} stroke={grey.ink} strokeWidth="1" pointerEvents="none" />
          <polyline
            points={on.line(cut)}
            stroke="transparent"
            strokeWidth="14"
            style={{ cursor: 'copy' }}
            onDoubleClick={(e) => {
              drop(withPoint(layout, c, under(e)));
            }}
          />
          {cut.map((place, k) => (
            <Point
              key={k}
              place={place}
              label={`Cut ${c + 1}, point ${k + 1}`}
              layout={layout}
              on={on}
              onGrab={() => {
                onGrab(c, k);
              }}
              onMove={(to) => {
                onDrop(moved(layout, c, k, to));
              }}
              onRemove={() => {
                drop(withoutPoint(layout, c, k));
              }}
            />
          ))}
        </g>
      ))}
    </>
  );
}

interface MeasuresProps {
  readonly layout: Layout;
  readonly on: OnScreen;
  /** what the sheet is, in words */
  readonly words: string;
}

/** How large the sheet is, and which way it is folded. */
function Measures({ layout, on: { w, h }, words }: MeasuresProps): ReactElement {
  const units = useUnits();
  const foot = TOP + h;
  const [low, high, right] = [foot + 14, foot + 24, LEFT + w];
  // a narrow sheet has its words beside the middle, so that they are whole
  const middle = Math.max(LEFT + w / 2, WORDS / 2);
  const across = `M${LEFT} ${low}V${high}M${right} ${low}V${high}M${LEFT} ${foot + 19}H${right}`;
  return (
    <>
      <g stroke={grey.ink} fill="none">
        <path d={`M23 ${foot - 6}V${TOP + 12}M17 ${TOP + 20}L23 ${TOP + 10}L29 ${TOP + 20}`} strokeWidth="1.6" />
        <path d={across} />
      </g>
      <g fontSize="13" fill={grey.ink}>
        <text x={LEFT + w + 12} y={TOP + h / 2 + 4}>
          {showLength(layout.height, units)}
        </text>
        <rect x={middle - 150} y={foot + 10} width={300} height={18} fill={grey.bench} />
        <text x={middle} y={foot + 24} textAnchor="middle">
          {showLength(layout.width, units)} · {words}
        </text>
        <text x={12} y={foot - 2} fontSize="12" transform={`rotate(-90 12 ${foot - 2})`}>
          fold this way, always
        </text>
      </g>
    </>
  );
}

/** px that the words under it take. */
const WORDS = 310;

interface CutSheetProps {
  readonly layout: Layout;
  readonly colours: readonly BlendColour[];
  readonly layers: number;
  readonly sheet: string;
  readonly scale: number;
  /** while a point moves */
  readonly onDrag: (cuts: CutDto[]) => void;
  readonly onDrop: (cuts: CutDto[]) => void;
}

/** The sheet with its cuts, to scale and with its dimensions; every point of a cut can be moved. */
export function CutSheet({ layout, colours, layers, sheet, scale, onDrag, onDrop }: CutSheetProps): ReactElement {
  const svg = useRef<SVGSVGElement>(null);
  const dragging = useRef<{ cut: number; point: number } | null>(null);
  const on = onScreen(layout, scale);
  const under: CutsProps['under'] = ({ clientX, clientY }) => {
    const box = svg.current?.getBoundingClientRect();
    return on.place(clientX - (box?.left ?? 0), clientY - (box?.top ?? 0));
  };
  return (
    <svg
      ref={svg}
      width={Math.max(WORDS, LEFT + on.w + RIGHT)}
      height={TOP + on.h + BELOW}
      role="group"
      aria-label="Cut layout"
      style={{ touchAction: 'none', display: 'block', maxWidth: 'none', flex: 'none' }}
      onPointerMove={(e) => {
        const at = dragging.current;
        if (at) onDrag(moved(layout, at.cut, at.point, under(e)));
      }}
      onPointerUp={(e) => {
        const at = dragging.current;
        dragging.current = null;
        if (at) onDrop(moved(layout, at.cut, at.point, under(e)));
      }}
    >
      <Colours layout={layout} colours={colours} on={on} />
      <Cuts
        layout={layout}
        on={on}
        under={under}
        onGrab={(cut, point) => {
          dragging.current = { cut, point };
        }}
        onDrop={onDrop}
      />
      <Measures layout={layout} on={on} words={`${layers === 1 ? 'one layer' : `${layers} layers`} of ${sheet}`} />
    </svg>
  );
}
