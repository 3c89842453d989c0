import type { SheetDto } from '#contract';
import type { Row } from '../db/journal.js';

/** What of the row of a sheet a person can change. */
export function sheetRow({
  version: _,
  rolledAt: __,
  name,
  inside,
  ...sheet
}: SheetDto): Omit<Row<'sheet'>, 'version' | 'entryId' | 'clayId' | 'revisionId' | 'blendRevisionId' | 'rolledAt'> {
  return { ...sheet, name: name.trim(), inside: inside ?? null };
}
