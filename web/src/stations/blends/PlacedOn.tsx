import { useRef, type ReactElement } from 'react';
import { showLength } from '#core/units';
import type { FadePieceDto } from '#contract';
import { useUnits } from '../../state/view.js';
import { grey } from '../../theme/grey.js';

interface PlacedOnProps {
  readonly placed: readonly FadePieceDto[];
  readonly width: number;
  readonly scale: number;
  readonly height: number;
  readonly onMove: (placed: FadePieceDto[]) => void;
}

/** Cutters lying on the fade, each to be moved along it. */
export function PlacedOn({ placed, width, scale, height, onMove }: PlacedOnProps): ReactElement {
  const units = useUnits();
  const svg = useRef<SVGSVGElement>(null);
  const dragging = useRef<number | null>(null);
  const moved = (i: number, x: number): FadePieceDto[] =>
    placed.map((p, k) => (k === i ? { ...p, x: Math.min(width, Math.max(0, Math.round(x * 10) / 10)) } : p));
  return (
    <svg
      ref={svg}
      width={width * scale}
      height={height}
      style={{ position: 'absolute', left: 0, top: 0, overflow: 'visible', touchAction: 'none' }}
      role="group"
      aria-label="Pieces on the fade"
      onPointerMove={(e) => {
        const i = dragging.current;
        if (i !== null) onMove(moved(i, (e.clientX - (svg.current?.getBoundingClientRect().left ?? 0)) / scale));
      }}
      onPointerUp={() => {
        dragging.current = null;
      }}
    >
      {placed.map((p, i) => (
        <circle
          key={i}
          cx={p.x * scale}
          cy={height / 2}
          r={Math.max(4, (p.size / 2) * scale)}
          fill="transparent"
          stroke={grey.ink}
          strokeWidth="1.5"
          tabIndex={0}
          role="slider"
          style={{ cursor: 'grab' }}
          aria-label={`Piece ${i + 1}`}
          aria-valuemin={0}
          aria-valuemax={Math.round(width)}
          aria-valuenow={Math.round(p.x)}
          aria-valuetext={`${showLength(p.x, units)} from the left`}
          onPointerDown={(e) => {
            e.preventDefault();
            e.currentTarget.focus();
            e.currentTarget.setPointerCapture(e.pointerId);
            dragging.current = i;
          }}
          onKeyDown={(e) => {
            const by = ({ ArrowLeft: -1, ArrowRight: 1 } as Readonly<Record<string, number>>)[e.key];
            if (by !== undefined) {
              e.preventDefault();
              onMove(moved(i, p.x + by * (e.shiftKey ? 5 : 1)));
            }
          }}
        />
      ))}
    </svg>
  );
}
