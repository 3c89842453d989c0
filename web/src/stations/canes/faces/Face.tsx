import { useEffect, useRef, type ReactElement } from 'react';
import type { Paint } from '#core/cane';
import { useFace, type WorkedCane } from '../../../workers/cane.js';

interface FaceProps {
  readonly worked: WorkedCane | null;
  readonly at: number;
  /** pixels a side; painted for the screen's own */
  readonly size: number;
  readonly paints: Readonly<Record<string, Paint>>;
  readonly label: string;
  /** while something is dragged: fast before fine */
  readonly coarse?: boolean;
}

/** A hair of room that the painter leaves around a face. */
const ROOM = 1.004;

/** The face after a step, in a square of its own. */
export function Face({ worked, at, size, paints, label, coarse = false }: FaceProps): ReactElement {
  const canvas = useRef<HTMLCanvasElement>(null);
  const dense = Math.min(2, window.devicePixelRatio || 1);
  const pixels = Math.max(8, Math.round(size * dense));
  const picture = useFace(worked, at, pixels, paints, coarse);
  useEffect(() => {
    if (!picture || !canvas.current) return;
    canvas.current.width = picture.width;
    canvas.current.height = picture.height;
    canvas.current.getContext('2d')?.putImageData(picture, 0, 0);
  }, [picture]);
  const figures = worked?.steps[at];
  const largest = Math.max(figures?.width ?? 1, figures?.height ?? 1);
  // what lies beside a long or a high face is cut away
  const [w, h] = figures?.there
    ? [
        Math.min(size, Math.ceil((size * ROOM * figures.width) / largest)),
        Math.min(size, Math.ceil((size * ROOM * figures.height) / largest)),
      ]
    : [size, size];
  return (
    <span style={{ display: 'block', flex: 'none', width: w, height: h, overflow: 'hidden' }}>
      <canvas
        ref={canvas}
        role="img"
        aria-label={label}
        data-painted={picture ? '' : undefined}
        style={{ width: size, height: size, display: 'block', margin: `${-(size - h) / 2}px 0 0 ${-(size - w) / 2}px` }}
      />
    </span>
  );
}
