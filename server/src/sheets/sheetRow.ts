import type { MadeDto } from '#contract';
import type { Row } from '../db/journal.js';

type OfPerson = Omit<
  Row<'sheet'>,
  | 'version'
  | 'entryId'
  | 'clayId'
  | 'revisionId'
  | 'blendRevisionId'
  | 'caneRevisionId'
  | 'patternRevisionId'
  | 'rolledAt'
  | 'seen'
>;

/** What of the row of a thing a person can change. */
export function sheetRow({ version: _, rolledAt: __, name, inside, count, keptIn, ...thing }: MadeDto): OfPerson {
  return { ...thing, name: name.trim(), inside: inside ?? null, count: count ?? 1, keptIn: keptIn?.trim() ?? '' };
}
