import { useEffect, useRef, useState, type ReactElement } from 'react';
import { outlinesOf, type Layout } from '#core/blend';
import { xyzOfHex } from '#core/colour';
import { showLength, showMass } from '#core/units';
import type { CutDto } from '#contract';
import { useUnits } from '../../state/view.js';
import type { BlendColour } from './workedBlend.js';
import { grey, inkOn } from '../../theme/grey.js';

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

export const LEFT = 38;
const [TOP, RIGHT, BELOW] = [16, 66, 36];
/** px that the list, the strip, the tile and the margins take beside the sheet. */
const BESIDE = 700;
const TALLEST = 214;

/** Room on the screen for a sheet, px across. */
export function useRoom(): number {
  const [width, setWidth] = useState(window.innerWidth);
  useEffect(() => {
    const measure = (): void => {
      setWidth(window.innerWidth);
    };
    window.addEventListener('resize', measure);
    return () => {
      window.removeEventListener('resize', measure);
    };
  }, []);
  return Math.max(260, width - BESIDE);
}

/** px for a mm. */
export const scaleIn = (layout: Layout, room: number): number => Math.min(room / layout.width, TALLEST / layout.height);
const STEP = 1;
const FAR = 5;

const clamp = (v: number, low: number, high: number): number => Math.min(high, Math.max(low, v));

/** The sheet with its cuts, to scale and with its dimensions; every point of a cut can be moved. */
export function CutSheet({ layout, colours, layers, sheet, scale, onDrag, onDrop }: CutSheetProps): ReactElement {
  const units = useUnits();
  const svg = useRef<SVGSVGElement>(null);
  const dragging = useRef<{ cut: number; point: number } | null>(null);
  const [w, h] = [layout.width * scale, layout.height * scale];
  const X = (x: number): number => LEFT + x * scale;
  const Y = (y: number): number => TOP + h - y * scale;
  const cuts: CutDto[] = layout.cuts.map((cut) => ({ points: cut.map(({ x, y }) => ({ x, y })) }));
  /** A point moves between its neighbours on the cut and the cuts beside it; ends stay on their edge. */
  const moved = (c: number, p: number, x: number, y: number): CutDto[] => {
    const points = cuts[c]?.points ?? [];
    const end = p === 0 || p === points.length - 1;
    const next = {
      x: clamp(x, 0, layout.width),
      y: end ? (points[p]?.y ?? 0) : clamp(y, points[p - 1]?.y ?? 0, points[p + 1]?.y ?? layout.height),
    };
    return cuts.map((cut, i) => (i === c ? { points: cut.points.map((old, k) => (k === p ? next : old)) } : cut));
  };
  const under = (e: React.PointerEvent): { x: number; y: number } => {
    const box = svg.current?.getBoundingClientRect();
    return { x: (e.clientX - (box?.left ?? 0) - LEFT) / scale, y: (TOP + h - (e.clientY - (box?.top ?? 0))) / scale };
  };
  const add = (c: number, e: React.MouseEvent): void => {
    const box = svg.current?.getBoundingClientRect();
    const [x, y] = [(e.clientX - (box?.left ?? 0) - LEFT) / scale, (TOP + h - (e.clientY - (box?.top ?? 0))) / scale];
    const points = [...(cuts[c]?.points ?? [])];
    const before = points.findIndex((p) => p.y > y);
    if (before < 1) return;
    points.splice(before, 0, { x: clamp(x, 0, layout.width), y });
    onDrop(cuts.map((cut, i) => (i === c ? { points } : cut)));
  };
  const remove = (c: number, p: number): void => {
    const points = cuts[c]?.points ?? [];
    if (p > 0 && p < points.length - 1)
      onDrop(cuts.map((cut, i) => (i === c ? { points: points.filter((_, k) => k !== p) } : cut)));
  };
  const middleOf = (outline: readonly { x: number; y: number }[]): { x: number; y: number } => {
    // where the colour is widest there is room for its name
    const ys = [0.15, 0.5, 0.85].map((t) => t * layout.height);
    const spans = ys.map((y) => {
      const xs = outline.slice(1).flatMap((q, i) => {
        const p = outline[i]!;
        return (p.y - y) * (q.y - y) <= 0 && p.y !== q.y ? [p.x + ((y - p.y) / (q.y - p.y)) * (q.x - p.x)] : [];
      });
      const [low, high] = [Math.min(...xs, layout.width), Math.max(...xs, 0)];
      return { x: (low + high) / 2, y, span: high - low };
    });
    return spans.reduce((a, b) => (b.span > a.span + 1e-6 ? b : a));
  };
  return (
    <svg
      ref={svg}
      width={LEFT + w + RIGHT}
      height={TOP + h + BELOW}
      role="group"
      aria-label="Cut layout"
      style={{ touchAction: 'none', display: 'block', maxWidth: 'none', flex: 'none' }}
      onPointerMove={(e) => {
        const at = dragging.current;
        if (at) {
          const p = under(e);
          onDrag(moved(at.cut, at.point, p.x, p.y));
        }
      }}
      onPointerUp={(e) => {
        const at = dragging.current;
        dragging.current = null;
        if (at) {
          const p = under(e);
          onDrop(moved(at.cut, at.point, p.x, p.y));
        }
      }}
    >
      {outlinesOf(layout).map((outline, i) => (
        <polygon
          key={i}
          points={outline.map((p) => `${X(p.x)},${Y(p.y)}`).join(' ')}
          fill={`#${colours[i]?.hex ?? '999999'}`}
        />
      ))}
      {outlinesOf(layout).map((outline, i) => {
        const own = colours[i];
        if (!own || own.grams < 0.05) return null;
        const at = middleOf([...outline, outline[0]!]);
        const ink = inkOn(xyzOfHex(own.hex).y);
        return (
          <g key={i} fill={ink} textAnchor="middle" pointerEvents="none">
            <text x={X(at.x)} y={Y(at.y) - 2} fontSize="17" fontWeight="700">
              {own.name}
            </text>
            <text x={X(at.x)} y={Y(at.y) + 16} fontSize="13">
              {showMass(own.grams, units)}
            </text>
          </g>
        );
      })}
      {layout.cuts.map((cut, c) => (
        <g key={c}>
          <polyline
            points={cut.map((p) => `${X(p.x)},${Y(p.y)}`).join(' ')}
            fill="none"
            stroke={grey.ink}
            strokeWidth="1"
            pointerEvents="none"
          />
          <polyline
            points={cut.map((p) => `${X(p.x)},${Y(p.y)}`).join(' ')}
            fill="none"
            stroke="transparent"
            strokeWidth="14"
            style={{ cursor: 'copy' }}
            onDoubleClick={(e) => {
              add(c, e);
            }}
          />
          {cut.map((p, k) => (
            <circle
              key={k}
              cx={X(p.x)}
              cy={Y(p.y)}
              r={7}
              fill={grey.tile}
              stroke={grey.ink}
              strokeWidth="1.5"
              tabIndex={0}
              role="slider"
              aria-label={`Cut ${c + 1}, point ${k + 1}`}
              aria-valuemin={0}
              aria-valuemax={Math.round(layout.width)}
              aria-valuenow={Math.round(p.x)}
              aria-valuetext={`${showLength(p.x, units)} from the left, ${showLength(p.y, units)} up`}
              style={{ cursor: 'grab' }}
              onPointerDown={(e) => {
                e.preventDefault();
                e.currentTarget.focus();
                e.currentTarget.setPointerCapture(e.pointerId);
                dragging.current = { cut: c, point: k };
              }}
              onKeyDown={(e) => {
                const by = e.shiftKey ? FAR : STEP;
                const to = (
                  { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, by], ArrowDown: [0, -by] } as Readonly<
                    Record<string, readonly [number, number]>
                  >
                )[e.key];
                if (to) {
                  e.preventDefault();
                  onDrop(moved(c, k, p.x + to[0], p.y + to[1]));
                }
                if (e.key === 'Delete' || e.key === 'Backspace') {
                  e.preventDefault();
                  remove(c, k);
                }
              }}
            />
          ))}
        </g>
      ))}
      <g stroke={grey.ink} fill="none">
        <path d={`M23 ${TOP + h - 6}V${TOP + 12}M17 ${TOP + 20}L23 ${TOP + 10}L29 ${TOP + 20}`} strokeWidth="1.6" />
        <path
          d={
            `M${LEFT} ${TOP + h + 14}V${TOP + h + 24}M${LEFT + w} ${TOP + h + 14}V${TOP + h + 24}M${LEFT} ` +
            `${TOP + h + 19}H${LEFT + w}`
          }
        />
      </g>
      <g fontSize="13" fill={grey.ink}>
        <text x={LEFT + w + 12} y={TOP + h / 2 + 4}>
          {showLength(layout.height, units)}
        </text>
        <rect x={LEFT + w / 2 - 150} y={TOP + h + 10} width={300} height={18} fill={grey.bench} />
        <text x={LEFT + w / 2} y={TOP + h + 24} textAnchor="middle">
          {showLength(layout.width, units)} · {layers === 1 ? 'one layer' : `${layers} layers`} of {sheet}
        </text>
        <text x={12} y={TOP + h - 2} fontSize="12" transform={`rotate(-90 12 ${TOP + h - 2})`}>
          fold this way, always
        </text>
      </g>
    </svg>
  );
}
