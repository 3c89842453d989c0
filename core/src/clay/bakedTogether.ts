import type { Celsius, Minutes, Mm } from '#core/units';
import type { Line } from './clay.js';

/** What of a line says how hot it bakes. */
export type BakingLine = Pick<Line, 'bakeC' | 'maxC' | 'ownC'>;

/** What a line bakes at: as its packet says, or by the maker's own figure; never above what it stands. */
export const wishedC = ({ bakeC, ownC, maxC }: BakingLine): Celsius => Math.min(ownC ?? bakeC, maxC);

/**
 * The minutes for a thickness; never less than for the packet's own. The maker's own minutes, for baking lower and
 * longer, are taken as they are: no law of rates is claimed.
 */
export function minutesFor(line: Pick<Line, 'bakeMinutes' | 'bakePerMm' | 'ownMinutes'>, mm: Mm): Minutes {
  return (line.ownMinutes ?? line.bakeMinutes) * Math.max(1, mm / line.bakePerMm);
}

/** How lines bake that are in one piece. */
export interface BakedTogether {
  /** the highest temperature that one of them wants and none of them forbids */
  readonly celsius: Celsius;
  /** the lowest of those that one of them must not go beyond */
  readonly maxC: Celsius;
  /** they want different temperatures */
  readonly compromise: boolean;
  /** by the maker's own figures, below what one of their packets says */
  readonly below: boolean;
}

/** Where lines meet in one piece: canes and batches say the same (docs/models.md 10). @param lines at least one */
export function bakedTogether(lines: readonly BakingLine[]): BakedTogether {
  const wanted = lines.map(wishedC);
  const maxC = Math.min(...lines.map((l) => l.maxC));
  const celsius = Math.min(Math.max(...wanted), maxC);
  const below = lines.some((line) => wishedC(line) < line.bakeC && celsius < line.bakeC);
  return { celsius, maxC, compromise: new Set(wanted).size > 1, below };
}
