import { checkCutter, cutterOf } from '#core/cutter';
import type { CutterDto } from '#contract';
import { refusedAt } from '../access/problem.js';
import type { Row } from '../db/journal.js';

/**
 * What is kept of a cutter.
 * @param at the field that the cutter stands in, with its point; empty at the top
 * @throws ProblemException where its outline cannot be cut
 */
export function cutterRow(
  dto: CutterDto,
  at: string,
): Pick<Row<'cutter'>, 'shape' | 'widthMm' | 'heightMm' | 'rimMm' | 'points'> {
  const { shape, widthMm, rimMm = null, points = null } = dto;
  const heightMm = shape === 'round' ? null : (dto.heightMm ?? widthMm);
  const kept = { shape, widthMm, heightMm, rimMm, points: shape === 'drawn' ? points : null };
  refusedAt(`${at}widthMm`, () => {
    checkCutter(cutterOf(kept));
  });
  return kept;
}
