import type { ReactElement } from 'react';
import type { View } from '#core/pattern';
import { usePatternFace, type PatternPaints, type PlainBody, type PlainPattern } from '../../../workers/pattern.js';
import { FaceCanvas, dotsFor } from '../../../parts/FaceCanvas.js';

interface PatternFaceProps {
  readonly pattern: PlainPattern;
  readonly at: number;
  readonly view?: View;
  /** the body that is looked at, once it is known */
  readonly body: PlainBody | null;
  /** pixels of its longer side; painted for the screen's own */
  readonly size: number;
  readonly paints: PatternPaints;
  readonly label: string;
  /** while something is dragged: fast before fine */
  readonly coarse?: boolean;
}

const FACE: View = { of: 'face' };

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
  const picture = usePatternFace({ pattern, at, view, size: dotsFor(size), paints }, coarse);
  const [wide, high] = body?.there ? shapeOf(body, view) : [1, 1];
  return <FaceCanvas picture={picture} wide={wide} high={high} size={size} label={label} />;
}
