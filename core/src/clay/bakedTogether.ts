import type { Celsius } from '#core/units';
import type { Line } from './clay.js';

/** How lines bake that are in one piece. */
export interface BakedTogether {
  /** the highest temperature that one of them wants and none of them forbids */
  readonly celsius: Celsius;
  /** the lowest of those that one of them must not go beyond */
  readonly maxC: Celsius;
  /** they want different temperatures */
  readonly compromise: boolean;
}

/** Where lines meet in one piece: canes and batches say the same (docs/models.md 10). @param lines at least one */
export function bakedTogether(lines: readonly Pick<Line, 'bakeC' | 'maxC'>[]): BakedTogether {
  const wanted = lines.map((l) => l.bakeC);
  const maxC = Math.min(...lines.map((l) => l.maxC));
  return { celsius: Math.min(Math.max(...wanted), maxC), maxC, compromise: new Set(wanted).size > 1 };
}
