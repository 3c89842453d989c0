import type { ReactElement } from 'react';
import type { Paint } from '#core/cane';
import { FaceCanvas, dotsFor } from '../../../parts/FaceCanvas.js';
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

/** The face after a step; what lies beside a long or a high one is cut away. */
export function Face({ worked, at, size, paints, label, coarse = false }: FaceProps): ReactElement {
  const picture = useFace(worked, at, dotsFor(size), paints, coarse);
  const figures = worked?.steps[at];
  const [wide, high] = figures?.there ? [figures.width, figures.height] : [1, 1];
  return <FaceCanvas picture={picture} wide={wide} high={high} size={size} label={label} />;
}
