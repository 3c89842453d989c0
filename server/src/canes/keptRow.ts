import { randomUUID } from 'node:crypto';
import type { CaneDoneDto, KeptCaneDto } from '#contract';
import type { Row } from '../db/journal.js';

interface More {
  readonly sliceMm: number;
  readonly caneRevisionId: string;
  readonly grams: number;
  readonly version: number;
}

/** mm of a cane beside its slices that nobody keeps. */
const STUB = 5;

/**
 * What of a cane that was made lies there: all that went in and did not go elsewhere; of a cane that is longer than its
 * slices together the rest of it too.
 */
export function keptRows(kept: KeptCaneDto, done: CaneDoneDto, more: More): Row<'sheet'>[] {
  if (kept.form === 'cane') return [keptRow(kept, done, more)];
  const sliced = done.slices * more.sliceMm;
  const rest = done.lengthMm - sliced;
  if (done.slices < 1) return [keptRow({ ...kept, form: 'cane' }, done, more)];
  if (rest < STUB) return [keptRow(kept, done, more)];
  const grams = (more.grams * sliced) / done.lengthMm;
  const name = `${kept.name.trim().replace(/, slices$/, '')}, the rest`.slice(0, 80);
  return [
    keptRow(kept, done, { ...more, grams }),
    keptRow(
      { ...kept, id: randomUUID(), name, form: 'cane' },
      { ...done, lengthMm: rest },
      { ...more, grams: more.grams - grams },
    ),
  ];
}

/** One thing of a cane. */
function keptRow(
  { id, name, form, keptIn }: KeptCaneDto,
  { entryId, diameterMm, lengthMm, slices }: CaneDoneDto,
  { sliceMm, ...rest }: More,
): Row<'sheet'> {
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
    patternRevisionId: null,
    seen: null,
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
