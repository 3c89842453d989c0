import { checkCutter, type Cutter } from '#core/cutter';
import { extentOf, type Point } from '#core/outline';
import type { Drawn } from '#core/cane';
import { complaint } from './sentences.js';

const PLACE = /(-?\d+(?:\.\d+)?)\s*[ ,]\s*(-?\d+(?:\.\d+)?)/g;

/** A cutter of a closed line in mm. @throws Complaint `cutter/points`, `cutter/crosses`, `unit/range` */
function drawnCutter(points: readonly Point[]): Cutter {
  const { width, height } = extentOf({ points, round: false });
  const cutter: Cutter = { shape: 'drawn', width, height, points };
  checkCutter(cutter);
  return cutter;
}

/**
 * Corners as they are written in mm, `0 0, 24 0, 24 10, …`, y up, around the piece.
 * @throws Complaint `drawer/corners`, and as `drawnCutter`
 */
export function readCorners(text: string): Cutter {
  const points = [...text.matchAll(PLACE)].map(([, x, y]): Point => [Number(x), Number(y)]);
  const strange = text.replace(PLACE, '').replace(/[\s,;]/g, '');
  if (strange !== '' || points.length < 3) throw complaint('drawer/corners');
  return drawnCutter(points);
}

/** The outline of a drawing: the edge of its largest region. @throws Complaint `drawer/empty`, and as `drawnCutter` */
export function cutterFrom({ regions }: Drawn): Cutter {
  const [ground] = regions;
  if (!ground) throw complaint('drawer/empty');
  return drawnCutter(ground.points);
}
