import { useEffect, useRef, type ReactElement } from 'react';
import type { Paint } from '#core/cane';
import { useFace, type WorkedCane } from '../../workers/cane.js';

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
  return <canvas ref={canvas} role="img" aria-label={label} data-painted={picture ? '' : undefined} style={{ width: size, height: size, display: 'block', flex: 'none' }} />;
}
