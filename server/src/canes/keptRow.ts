import type { CaneDoneDto, KeptCaneDto } from '#contract';
import type { Row } from '../db/journal.js';

/** What of a cane that was made lies there: all that went in and did not go elsewhere. */
export function keptRow(
  { id, name, form, keptIn }: KeptCaneDto,
  { entryId, diameterMm, lengthMm, slices }: CaneDoneDto,
  more: { readonly sliceMm: number; readonly caneRevisionId: string; readonly grams: number; readonly version: number },
): Row<'sheet'> {
  const { sliceMm, ...rest } = more;
  const sliced = form === 'slices';
  return {
    ...rest,
    id,
    entryId,
    name: name.trim(),
    note: '',
    form,
    clayId: null,
    revisionId: null,
    blendRevisionId: null,
    count: sliced ? Math.max(1, slices) : 1,
    keptIn: keptIn.trim(),
    rolledAt: '',
    widthMm: diameterMm,
    lengthMm: sliced ? diameterMm : lengthMm,
    mm: sliced ? sliceMm : diameterMm,
    layers: 1,
    cuts: [],
    inside: null,
    gone: false,
  };
}
