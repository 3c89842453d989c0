import { randomUUID } from 'node:crypto';
import { keyOf, type Mixable } from '#core/material';
import { PATTERN_POINTS, PATTERN_VERSION, type PatternWanted } from '#core/pattern';
import { idOf, patterns, slabs } from '#demo';
import type { PatternDoneDto } from '#contract';
import type { PatternsService } from './patterns/patterns.service.js';

type Row = (typeof patterns)[number];
type Made = NonNullable<Row['made']>[number];

const wantedOf = ({ lids }: Row): PatternWanted | null =>
  lids
    ? {
        covers: 'sheet',
        width: lids.size[0],
        height: lids.size[1],
        innerWidth: 0,
        innerHeight: 0,
        pieces: lids.pieces,
        trimmed: 0.12,
      }
    : null;

/** What was written down on one day. */
const doneOf = (row: Row, made: Made, version: number, step: string): PatternDoneDto => ({
  version,
  entryId: idOf(`entry pattern ${row.name} ${made.on}`),
  madeOn: made.on,
  note: made.note,
  hands: 1,
  liked: 'well',
  stops: [{ step, kind: 'fold', times: made.folds, veinMm: made.veinMm }],
  // earlier evenings: their clay is gone from the shelf long since
  used: [],
});

/**
 * Patterned sheets of the kitchen garden, and days on which they were made.
 * @param called a clay or a mix by its name
 * @param photographsOf keeps what the diary has of something; it is of the last time
 */
export async function loadPatterns(
  service: PatternsService,
  called: (name: string) => Mixable,
  photographsOf: (name: string) => Promise<{ id: string }[]>,
): Promise<void> {
  const key = (name: string): string => keyOf(called(name));
  for (const row of patterns) {
    const { dark, light, strong, second } = row;
    const colours = {
      dark: key(dark),
      light: key(light),
      strong: key(strong),
      second: key(second),
      glass: [],
      fade: '',
    };
    const steps = PATTERN_POINTS.find((p) => p.id === row.start)?.steps(colours) ?? [];
    const id = idOf(`pattern ${row.name}`);
    await service.save(randomUUID(), {
      ...{ id, version: 0, name: row.name, note: row.note, retired: false },
      program: { version: PATTERN_VERSION, steps },
      wanted: wantedOf(row),
    });
    const fold = steps.find((s) => s.do === 'fold')?.id ?? '';
    for (const made of row.made ?? []) {
      const { version } = await service.open(id);
      const pictures = made === row.made?.at(-1) ? await photographsOf(row.name) : [];
      await service.done(randomUUID(), id, { ...doneOf(row, made, version, fold), pictures });
    }
  }
}

/**
 * Sheets of slices of the kitchen garden.
 * @param revisionOf the newest revision of a cane, by its id
 */
export async function loadSlabs(
  service: PatternsService,
  revisionOf: (caneId: string) => Promise<string>,
): Promise<void> {
  for (const { name, note, cane, columns, rows, sliceMm, rolledMm } of slabs) {
    const of = keyOf({ kind: 'cane', id: await revisionOf(idOf(`cane ${cane}`)) });
    await service.save(randomUUID(), {
      ...{ id: idOf(`pattern ${name}`), version: 0, name, note, retired: false, wanted: null },
      program: {
        version: PATTERN_VERSION,
        steps: [
          {
            ...{ id: `${name} slab`, do: 'slab', columns, rows, laid: 'offset', turned: 'opposite', seed: 1 },
            slices: [{ of, thickness: sliceMm, degrees: 0 }],
          },
          { id: `${name} roll`, do: 'roll', to: rolledMm, along: 'both' },
        ],
      },
    });
  }
}
