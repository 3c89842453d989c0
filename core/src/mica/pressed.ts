import { showLength, type Mm } from '#core/units';
import type { Relief } from './relief.js';
import { complaint } from './sentences.js';

/**
 * A sheet that a relief was pressed into. Clay goes nowhere but up where the stamp is hollow: on the middle it is as
 * thick as before.
 */
export interface Pressed {
  readonly relief: Relief;
  /** before it was pressed, and on the middle after */
  readonly thick: Mm;
  readonly depth: Mm;
  /** how high the deepest places stand */
  readonly valley: Mm;
}

/** What has to stay below a relief, as a share of the sheet: below it tears. An assumption. */
export const LEAST_BELOW = 0.2;

const meanOf = (values: Float32Array): number => values.reduce((sum, value) => sum + value, 0) / values.length;
const fine = (mm: Mm): string => showLength(mm, 'metric', true);

/**
 * Presses a relief into a sheet.
 * @throws Complaint `relief/deep`
 */
export function press(relief: Relief, thick: Mm, depth: Mm): Pressed {
  const valley = thick - depth * meanOf(relief.heights);
  if (!(depth > 0 && valley >= LEAST_BELOW * thick))
    throw complaint('relief/deep', { depth: fine(depth), left: fine(Math.max(0, valley)), thick: fine(thick) });
  return { relief, thick, depth, valley };
}

/** Heights of its surface, cell by cell. */
export const surfaceOf = ({ relief, valley, depth }: Pressed): Float32Array =>
  relief.heights.map((h) => valley + depth * h);

/** How high its highest places stand. */
export const topOf = ({ valley, depth }: Pressed): Mm => valley + depth;
