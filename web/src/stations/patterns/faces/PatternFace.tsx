import { useEffect, useRef, type ReactElement } from 'react';
import type { Paint } from '#core/cane';
import type { View } from '#core/pattern';
import { usePatternFace, type PlainBody, type PlainPattern } from '../../../workers/pattern.js';

interface PatternFaceProps {
  readonly pattern: PlainPattern;
  readonly at: number;
  readonly view?: View;
  /** the body that is looked at, once it is known */
  readonly body: PlainBody | null;
  /** pixels of its longer side; painted for the screen's own */
  readonly size: number;
  readonly paints: Readonly<Record<string, Paint>>;
  readonly label: string;
  /** while something is dragged: fast before fine */
  readonly coarse?: boolean;
}

const FACE: View = { of: 'face' };
/** A hair of room that the painter leaves around a face. */
const ROOM = 1.004;

/** How wide and how high what is looked at is, mm. */
export function shapeOf(body: PlainBody, view: View): readonly [number, number] {
  if (view.of !== 'side') return [body.width, body.height];
  if (body.form === 'rope') return [body.thick, body.width];
  const turn = (view.degrees * Math.PI) / 180;
  const [c, s] = [Math.abs(Math.cos(turn)), Math.abs(Math.sin(turn))];
  if (body.round) return [1 / Math.hypot(c / body.width, s / body.height), body.thick];
  return [Math.min(body.width / Math.max(1e-9, c), body.height / Math.max(1e-9, s)), body.thick];
}

/** A look at a patterned sheet, cut to its own shape. */
export function PatternFace(props: PatternFaceProps): ReactElement {
  const { pattern, at, view = FACE, body, size, paints, label, coarse = false } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  const dense = Math.min(2, window.devicePixelRatio || 1);
  const picture = usePatternFace(pattern, at, view, Math.max(8, Math.round(size * dense)), paints, coarse);
  useEffect(() => {
    if (!picture || !canvas.current) return;
    canvas.current.width = picture.width;
    canvas.current.height = picture.height;
    canvas.current.getContext('2d')?.putImageData(picture, 0, 0);
  }, [picture]);
  const [wide, high] = body?.there ? shapeOf(body, view) : [1, 1];
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
