import { integer, index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { KeptWrite } from './difference.js';
import {
  entries,
  entryBakes,
  entryBlends,
  entryCanes,
  entryConditionings,
  entryFindings,
  entryMixes,
  entryPatterns,
  entryPictures,
  entryPieces,
  entryTakings,
  entryTimes,
  sheets,
} from './diary.schema.js';
import { setAside } from './beside.schema.js';
import {
  batches,
  benchSetup,
  blendColours,
  blendRevisions,
  blends,
  blocks,
  caneRevisions,
  caneUses,
  canes,
  chips,
  clays,
  cutters,
  id,
  ingredients,
  lines,
  machines,
  mixes,
  mosaics,
  ovens,
  palettes,
  patternRevisions,
  patternUses,
  patterns,
  pictures,
  pieces,
  readings,
  revisions,
  settings,
  swatches,
} from './plans.schema.js';
import { assemblies, assemblyUses, dayRules, findings, pieceModels } from './pieces.schema.js';
import { flows, layers, tubClays, tubs } from './stock.schema.js';

/** The single description of the tables. */
export * from './beside.schema.js';
export * from './diary.schema.js';
export * from './pieces.schema.js';
export * from './plans.schema.js';
export * from './stock.schema.js';

/** Every change of a person, in order, so that each can be taken back. */
export const changes = sqliteTable(
  'change',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    /** the id that came with the request */
    id: text('id').notNull().unique(),
    at: text('at').notNull(),
    summary: text('summary').notNull(),
    state: text('state').$type<'done' | 'undone' | 'dropped'>().notNull(),
    writes: text('writes', { mode: 'json' }).$type<readonly KeptWrite[]>().notNull(),
  },
  (t) => [index('change_state').on(t.state, t.seq)],
);

/**
 * Row `version`: the counter behind every `version`. Rows `stamp` and `base`: how a write-ahead file knows its
 * database (stamps.ts).
 */
export const counters = sqliteTable('counter', { id: id(), value: integer('value').notNull() });

/** The tables that changes write, parents before children. */
export const TABLES = {
  line: lines,
  clay: clays,
  block: blocks,
  mix: mixes,
  revision: revisions,
  ingredient: ingredients,
  chip: chips,
  picture: pictures,
  palette: palettes,
  swatch: swatches,
  mosaic: mosaics,
  machine: machines,
  setting: settings,
  reading: readings,
  benchSetup,
  blend: blends,
  blendRevision: blendRevisions,
  blendColour: blendColours,
  cane: canes,
  caneRevision: caneRevisions,
  caneUse: caneUses,
  pattern: patterns,
  patternRevision: patternRevisions,
  patternUse: patternUses,
  cutter: cutters,
  oven: ovens,
  batch: batches,
  piece: pieces,
  entry: entries,
  entryPiece: entryPieces,
  entryFinding: entryFindings,
  entryMix: entryMixes,
  entryTaking: entryTakings,
  entryBlend: entryBlends,
  entryBake: entryBakes,
  entryPicture: entryPictures,
  entryTime: entryTimes,
  setAside,
  sheet: sheets,
  tub: tubs,
  tubContent: tubClays,
  layer: layers,
  finding: findings,
  pieceModel: pieceModels,
  assembly: assemblies,
  assemblyUse: assemblyUses,
  dayRule: dayRules,
  flow: flows,
  entryConditioning: entryConditionings,
  entryCane: entryCanes,
  entryPattern: entryPatterns,
} as const;
export type TableName = keyof typeof TABLES;
