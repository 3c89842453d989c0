import { ballOf } from '#core/stock';
import type { Density } from '#core/units';
import type { Row } from '../db/journal.js';
import type { columnsFor } from '../db/references.js';

/** Letters of a name at the most. */
const MOST_NAME = 80;

/** A lump that lies there: a ball of its weight. @param of the columns of its material */
export function lumpRow(
  { name, grams, ...own }: Pick<Row<'sheet'>, 'id' | 'entryId' | 'version' | 'name' | 'grams'>,
  of: ReturnType<typeof columnsFor<'sheet'>>,
  density: Density,
): Row<'sheet'> {
  const mm = ballOf(grams, density);
  return {
    ...own,
    ...of,
    name: name.slice(0, MOST_NAME),
    note: '',
    form: 'lump',
    count: 1,
    keptIn: '',
    rolledAt: '',
    widthMm: mm,
    lengthMm: mm,
    mm,
    layers: 1,
    grams,
    cuts: [],
    inside: null,
    seen: null,
    gone: false,
  };
}
