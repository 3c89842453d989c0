import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { FindingForm, PieceDocument } from '#core/piece';
import type { DayExceptionDto, DayMoveDto, FinishStepDto, WeekdayDto } from '#contract';
import { sheets } from './diary.schema.js';
import {
  batches,
  blendRevisions,
  caneRevisions,
  clays,
  id,
  oneOf,
  patternRevisions,
  revisions,
  version,
} from './plans.schema.js';
import { tubs } from './stock.schema.js';

/** Metal parts and cords that lie there. */
export const findings = sqliteTable('finding', {
  id: id(),
  version: version(),
  name: text('name').notNull(),
  form: text('form').$type<FindingForm>().notNull(),
  widthMm: real('width_mm').notNull(),
  lengthMm: real('length_mm').notNull(),
  count: integer('count').notNull(),
  /** of one */
  price: real('price'),
  keptIn: text('kept_in').notNull(),
});

/** Pieces of one's own, to be used again. What they were last made of may be gone by then. */
export const pieceModels = sqliteTable('piece_model', {
  id: id(),
  version: version(),
  name: text('name').notNull(),
  piece: text('piece', { mode: 'json' }).$type<PieceDocument>().notNull(),
  finish: text('finish', { mode: 'json' }).$type<FinishStepDto[]>().notNull(),
});

/** A kind of piece of many parts in a batch. */
export const assemblies = sqliteTable(
  'assembly',
  {
    id: id(),
    batchId: text('batch_id')
      .notNull()
      .references(() => batches.id),
    position: integer('position').notNull(),
    name: text('name').notNull(),
    count: integer('count').notNull(),
    spare: integer('spare').notNull(),
    bridgeMm: real('bridge_mm').notNull(),
    piece: text('piece', { mode: 'json' }).$type<PieceDocument>().notNull(),
    finish: text('finish', { mode: 'json' }).$type<FinishStepDto[]>().notNull(),
    prices: text('prices', { mode: 'json' }).$type<number[]>().notNull(),
  },
  (t) => [index('assembly_batch').on(t.batchId)],
);

/** What the parts of an assembled piece are made of, so that none of it can be taken from under them. */
export const assemblyUses = sqliteTable(
  'assembly_use',
  {
    id: id(),
    assemblyId: text('assembly_id')
      .notNull()
      .references(() => assemblies.id),
    clayId: text('clay_id').references(() => clays.id),
    revisionId: text('revision_id').references(() => revisions.id),
    blendRevisionId: text('blend_revision_id').references(() => blendRevisions.id),
    caneRevisionId: text('cane_revision_id').references(() => caneRevisions.id),
    patternRevisionId: text('pattern_revision_id').references(() => patternRevisions.id),
    madeId: text('made_id').references(() => sheets.id),
    tubId: text('tub_id').references(() => tubs.id),
  },
  (t) => [
    index('assembly_use_assembly').on(t.assemblyId),
    index('assembly_use_clay').on(t.clayId),
    index('assembly_use_mix').on(t.revisionId),
    index('assembly_use_blend').on(t.blendRevisionId),
    index('assembly_use_cane').on(t.caneRevisionId),
    index('assembly_use_pattern').on(t.patternRevisionId),
    index('assembly_use_made').on(t.madeId),
    oneOf(
      'assembly_use',
      ...[t.clayId, t.revisionId, t.blendRevisionId, t.caneRevisionId, t.patternRevisionId, t.madeId, t.tubId],
    ),
  ],
);

/** One row, id `days`: when one is free, what was put where by hand, and what is done of it. */
export const dayRules = sqliteTable('day_rule', {
  id: id(),
  version: version(),
  weekdays: text('weekdays', { mode: 'json' }).$type<WeekdayDto[]>().notNull(),
  exceptions: text('exceptions', { mode: 'json' }).$type<DayExceptionDto[]>().notNull(),
  moves: text('moves', { mode: 'json' }).$type<DayMoveDto[]>().notNull(),
  done: text('done', { mode: 'json' }).$type<DayMoveDto[]>().notNull(),
});
