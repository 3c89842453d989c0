import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { TubRule } from '#core/stock';
import type { FlowKind } from '#contract';
import { entries, sheets } from './diary.schema.js';
import {
  blendRevisions,
  clays,
  id,
  oneOf,
  patternRevisions,
  pieces,
  revisions,
  settings,
  version,
} from './plans.schema.js';

/** Scrap of one sort, until it is used. Of one material (`own`) one of three columns says which. */
export const tubs = sqliteTable(
  'tub',
  {
    id: id(),
    version: version(),
    name: text('name').notNull(),
    keptIn: text('kept_in').notNull(),
    rule: text('rule').$type<TubRule>().notNull(),
    /** ids of clays whose scrap comes here first */
    takes: text('takes', { mode: 'json' }).$type<readonly string[]>().notNull().default([]),
    clayId: text('clay_id').references(() => clays.id),
    revisionId: text('revision_id').references(() => revisions.id),
    blendRevisionId: text('blend_revision_id').references(() => blendRevisions.id),
  },
  (t) => [index('tub_clay').on(t.clayId)],
);

/** What is in a tub, by clay: scrap is mixed through before it is used, and a mix is its clays. */
export const tubClays = sqliteTable(
  'tub_content',
  {
    id: id(),
    tubId: text('tub_id')
      .notNull()
      .references(() => tubs.id),
    clayId: text('clay_id')
      .notNull()
      .references(() => clays.id),
    grams: real('grams').notNull(),
  },
  (t) => [index('tub_content_tub').on(t.tubId)],
);

/**
 * Where the clay of an entry came from and went to, but for what came off the shelf (entry_taking): what goes in and
 * what comes out of an entry is the same to the gram.
 */
export const flows = sqliteTable(
  'flow',
  {
    id: id(),
    entryId: text('entry_id')
      .notNull()
      .references(() => entries.id),
    kind: text('kind').$type<FlowKind>().notNull(),
    madeId: text('made_id').references(() => sheets.id),
    tubId: text('tub_id').references(() => tubs.id),
    grams: real('grams').notNull(),
  },
  (t) => [index('flow_entry').on(t.entryId), index('flow_made').on(t.madeId), index('flow_tub').on(t.tubId)],
);

export const layers = sqliteTable(
  'layer',
  {
    id: id(),
    pieceId: text('piece_id')
      .notNull()
      .references(() => pieces.id),
    position: integer('position').notNull(),
    clayId: text('clay_id').references(() => clays.id),
    revisionId: text('revision_id').references(() => revisions.id),
    /** a thing that lies there */
    madeId: text('made_id').references(() => sheets.id),
    /** scrap out of a tub */
    tubId: text('tub_id').references(() => tubs.id),
    /** a patterned sheet that is planned */
    patternRevisionId: text('pattern_revision_id').references(() => patternRevisions.id),
    settingId: text('setting_id')
      .notNull()
      .references(() => settings.id),
  },
  (t) => [
    index('layer_piece').on(t.pieceId),
    index('layer_revision').on(t.revisionId),
    index('layer_made').on(t.madeId),
    index('layer_pattern').on(t.patternRevisionId),
    oneOf('layer', t.clayId, t.revisionId, t.madeId, t.tubId, t.patternRevisionId),
  ],
);
