import { useMemo, type ReactElement } from 'react';
import { cutterOf, type HandPlace, type PlainCutter } from '#core/cutter';
import { usePatternFace, type PatternPaints, type PlainPattern } from '../../../workers/pattern.js';
import { FaceCanvas, dotsFor } from '../../../parts/FaceCanvas.js';
import { finished } from './finished.js';

interface PieceFaceProps {
  readonly pattern: PlainPattern;
  /** which of the finished sheets, and how many one make gives */
  readonly sheet: number;
  readonly each: number;
  readonly cut: PlainCutter;
  readonly place: HandPlace;
  /** px of its longer side */
  readonly size: number;
  readonly paints: PatternPaints;
  readonly label: string;
}

/** A piece as it comes out of a patterned sheet, upright as its cutter is. */
export function PieceFace({ pattern, sheet, each, cut, place, size, paints, label }: PieceFaceProps): ReactElement {
  const { plain, view, at } = useMemo(() => finished(pattern, sheet, each), [pattern, sheet, each]);
  const { width, height } = cutterOf(cut);
  const picture = usePatternFace(
    { pattern: plain, at, view, size: dotsFor(size), paints, cut: { cutter: cut, place } },
    false,
  );
  return <FaceCanvas picture={picture} wide={width} high={height} size={size} label={label} />;
}
