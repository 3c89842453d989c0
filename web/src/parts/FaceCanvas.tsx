import { useLayoutEffect, useRef, type ReactElement } from 'react';

interface FaceCanvasProps {
  /** square, with what is seen in its middle; null until there is one */
  readonly picture: ImageData | null;
  /** mm */
  readonly wide: number;
  readonly high: number;
  /** px of the longer side */
  readonly size: number;
  readonly label: string;
}

/** A hair of room that the painter leaves around a face. */
const ROOM = 1.004;

/** A painted face, cut to its own shape. */
export function FaceCanvas({ picture, wide, high, size, label }: FaceCanvasProps): ReactElement {
  const canvas = useRef<HTMLCanvasElement>(null);
  useLayoutEffect(() => {
    if (!picture || !canvas.current) return;
    canvas.current.width = picture.width;
    canvas.current.height = picture.height;
    canvas.current.getContext('2d')?.putImageData(picture, 0, 0);
  }, [picture]);
  const largest = Math.max(wide, high);
  const [w, h] = [wide, high].map((mm) => Math.min(size, Math.ceil((size * ROOM * mm) / largest))) as [number, number];
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

/** Pixels that something of so many px is painted with, on this screen. */
export const dotsFor = (size: number): number =>
  Math.max(8, Math.round(size * Math.min(2, window.devicePixelRatio || 1)));
