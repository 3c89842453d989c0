import { randomUUID } from 'node:crypto';
import type { KeptPatternDto } from '#contract';
import type { Row } from '../db/journal.js';

interface More {
  readonly entryId: string;
  readonly version: number;
  readonly patternRevisionId: string;
  /** of all sheets together */
  readonly grams: number;
  readonly hands: number;
}

/** The sheets that lie there when a patterned sheet was made, each a thing of its own. */
export function keptSheets(kept: KeptPatternDto, { grams, hands, ...more }: More): Row<'sheet'>[] {
  const { count, name, keptIn, widthMm, lengthMm, mm } = kept;
  return Array.from({ length: count }, (_, i) => ({
    ...more,
    id: i === 0 ? kept.id : randomUUID(),
    name: (count === 1 ? name.trim() : `${name.trim()}, ${i + 1} of ${count}`).slice(0, 80),
    note: '',
    form: 'sheet' as const,
    clayId: null,
    revisionId: null,
    blendRevisionId: null,
    caneRevisionId: null,
    count: 1,
    keptIn: keptIn.trim(),
    rolledAt: kept.rolledAt ?? '',
    widthMm,
    lengthMm,
    mm,
    layers: 1,
    grams: grams / count,
    cuts: [],
    inside: null,
    seen: { sheet: i, hands },
    gone: false,
  }));
}
