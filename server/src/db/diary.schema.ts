import type { Point } from '#core/outline';
import type { CutterShape } from '#core/cutter';
import { integer, index, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { TrimMade } from '#core/cane';
import type { Firmness, Squeeze } from '#core/clay';
import type { Conditioner } from '#core/conditioning';
import type {
  BakedItemDto,
  KeptPiece,
  MadeDto,
  Outcome,
  OverPlan,
  PatternLiked,
  PatternStopDto,
  TroubleMark,
} from '#contract';
import {
  batches,
  blendRevisions,
  caneRevisions,
  patternRevisions,
  clays,
  id,
  oneOf,
  pictures,
  revisions,
  version,
} from './plans.schema.js';

/** What was really made and learned: the diary with all that hangs on it. */
export const entries = sqliteTable(
  'entry',
  {
    id: id(),
    version: version(),
    batchId: text('batch_id').references(() => batches.id),
    /** some of its pieces: the batch goes on */
    part: integer('part', { mode: 'boolean' }).notNull().default(false),
    madeOn: text('made_on').notNull(),
    title: text('title').notNull(),
    note: text('note').notNull(),
    /** how it went; null: nobody has said */
    outcome: text('outcome').$type<Outcome>(),
    /** names of the pieces, mixes and clays, to be found by */
    words: text('words').notNull(),
  },
  (t) => [index('entry_made').on(t.madeOn), index('entry_batch').on(t.batchId)],
);

export const entryPieces = sqliteTable(
  'entry_piece',
  {
    id: id(),
    entryId: text('entry_id')
      .notNull()
      .references(() => entries.id),
    name: text('name').notNull(),
    widthMm: real('width_mm').notNull(),
    /** null: cut round */
    heightMm: real('height_mm'),
    /** null: round or a rectangle, as its height says */
    shape: text('shape').$type<CutterShape>(),
    rimMm: real('rim_mm'),
    points: text('points', { mode: 'json' }).$type<readonly Point[]>(),
    count: integer('count').notNull(),
    /** of them; null: nobody counted */
    broken: integer('broken'),
    /** of one of many parts: what they are, and their colours by the keys of their materials */
    piece: text('piece', { mode: 'json' }).$type<KeptPiece>(),
  },
  (t) => [index('entry_piece_entry').on(t.entryId)],
);

/** Findings that went into what was made. */
export const entryFindings = sqliteTable(
  'entry_finding',
  {
    id: id(),
    entryId: text('entry_id')
      .notNull()
      .references(() => entries.id),
    name: text('name').notNull(),
    count: integer('count').notNull(),
  },
  (t) => [index('entry_finding_entry').on(t.entryId)],
);

export const entryMixes = sqliteTable(
  'entry_mix',
  {
    id: id(),
    entryId: text('entry_id')
      .notNull()
      .references(() => entries.id),
    revisionId: text('revision_id')
      .notNull()
      .references(() => revisions.id),
    grams: real('grams').notNull(),
  },
  (t) => [index('entry_mix_entry').on(t.entryId), index('entry_mix_revision').on(t.revisionId)],
);

export const entryTakings = sqliteTable(
  'entry_taking',
  {
    id: id(),
    entryId: text('entry_id')
      .notNull()
      .references(() => entries.id),
    clayId: text('clay_id')
      .notNull()
      .references(() => clays.id),
    grams: real('grams').notNull(),
  },
  (t) => [index('entry_taking_entry').on(t.entryId)],
);

/** Photographs of what was made, beside its words. */
export const entryPictures = sqliteTable(
  'entry_picture',
  {
    id: id(),
    entryId: text('entry_id')
      .notNull()
      .references(() => entries.id),
    pictureId: text('picture_id')
      .notNull()
      .references(() => pictures.id),
    position: integer('position').notNull(),
    /** how it lies over the picture of the plan; null: nobody has laid it there */
    lay: text('lay', { mode: 'json' }).$type<OverPlan>(),
    /** what went wrong where; null: nothing is marked */
    marks: text('marks', { mode: 'json' }).$type<readonly TroubleMark[]>(),
  },
  (t) => [index('entry_picture_entry').on(t.entryId), index('entry_picture_picture').on(t.pictureId)],
);

/** A blend that was made: which revision, and the passes after which its streaks were gone. */
export const entryBlends = sqliteTable(
  'entry_blend',
  {
    id: id(),
    entryId: text('entry_id')
      .notNull()
      .references(() => entries.id),
    blendRevisionId: text('blend_revision_id')
      .notNull()
      .references(() => blendRevisions.id),
    passes: integer('passes').notNull(),
    /** ΔE00 that the streaks began with */
    contrast: real('contrast').notNull(),
  },
  (t) => [index('entry_blend_entry').on(t.entryId), index('entry_blend_revision').on(t.blendRevisionId)],
);

/**
 * A thing that was made and lies there, and what is left of it: first these were sheets alone, and in the file they
 * still are called so. What it was rolled at is kept in words: machines come and go.
 */
export const sheets = sqliteTable(
  'sheet',
  {
    id: id(),
    version: version(),
    entryId: text('entry_id')
      .notNull()
      .references(() => entries.id),
    name: text('name').notNull(),
    note: text('note').notNull(),
    form: text('form').$type<MadeDto['form']>().notNull(),
    clayId: text('clay_id').references(() => clays.id),
    revisionId: text('revision_id').references(() => revisions.id),
    blendRevisionId: text('blend_revision_id').references(() => blendRevisions.id),
    caneRevisionId: text('cane_revision_id').references(() => caneRevisions.id),
    patternRevisionId: text('pattern_revision_id').references(() => patternRevisions.id),
    /** slices, or pieces of a cane */
    count: integer('count').notNull().default(1),
    /** where it is kept, in the maker's word */
    keptIn: text('kept_in').notNull().default(''),
    rolledAt: text('rolled_at').notNull(),
    widthMm: real('width_mm').notNull(),
    lengthMm: real('length_mm').notNull(),
    mm: real('mm').notNull(),
    layers: integer('layers').notNull(),
    grams: real('grams').notNull(),
    cuts: text('cuts', { mode: 'json' }).$type<MadeDto['cuts']>().notNull(),
    inside: text('inside').$type<'first' | 'last'>(),
    /** of a patterned sheet: which of those that were made at once, and whose hands it was planned with */
    seen: text('seen', { mode: 'json' }).$type<{ readonly sheet: number; readonly hands: number }>(),
    gone: integer('gone', { mode: 'boolean' }).notNull(),
  },
  (t) => [
    index('sheet_entry').on(t.entryId),
    index('sheet_clay').on(t.clayId),
    oneOf('sheet', t.clayId, t.revisionId, t.blendRevisionId, t.caneRevisionId, t.patternRevisionId),
  ],
);

/** Clay that was conditioned, and what it took. */
export const entryConditionings = sqliteTable(
  'entry_conditioning',
  {
    id: id(),
    entryId: text('entry_id')
      .notNull()
      .references(() => entries.id),
    clayId: text('clay_id')
      .notNull()
      .references(() => clays.id),
    firmness: text('firmness').$type<Firmness>().notNull(),
    months: real('months'),
    roomC: real('room_c').notNull(),
    school: text('school').$type<Conditioner>().notNull(),
    passes: integer('passes').notNull(),
    grams: real('grams').notNull(),
    /** what it did between the fingers; null: nobody had squeezed it */
    squeeze: text('squeeze').$type<Squeeze>(),
  },
  (t) => [index('entry_conditioning_entry').on(t.entryId), index('entry_conditioning_clay').on(t.clayId)],
);

/** A cane that was made: how it came out, and what its ends cost. */
export const entryCanes = sqliteTable(
  'entry_cane',
  {
    id: id(),
    entryId: text('entry_id')
      .notNull()
      .references(() => entries.id),
    caneRevisionId: text('cane_revision_id')
      .notNull()
      .references(() => caneRevisions.id),
    diameterMm: real('diameter_mm').notNull(),
    lengthMm: real('length_mm').notNull(),
    /** of both ends together, at the last trim */
    lostMm: real('lost_mm').notNull(),
    /**
     * each trim, with what would be lost for a share of 1; null of canes that were made before that was written
     * down
     */
    trims: text('trims', { mode: 'json' }).$type<readonly TrimMade[]>(),
    slices: integer('slices').notNull(),
    pictureId: text('picture_id').references(() => pictures.id),
  },
  (t) => [index('entry_cane_entry').on(t.entryId), index('entry_cane_revision').on(t.caneRevisionId)],
);

/** A patterned sheet that was made: how often each of its steps was done, and how it was liked. */
export const entryPatterns = sqliteTable(
  'entry_pattern',
  {
    id: id(),
    entryId: text('entry_id')
      .notNull()
      .references(() => entries.id),
    patternRevisionId: text('pattern_revision_id')
      .notNull()
      .references(() => patternRevisions.id),
    /** whose hands the plan was looked at with */
    hands: integer('hands').notNull(),
    stops: text('stops', { mode: 'json' }).$type<readonly PatternStopDto[]>().notNull(),
    liked: text('liked').$type<PatternLiked>(),
    pictureId: text('picture_id').references(() => pictures.id),
  },
  (t) => [index('entry_pattern_entry').on(t.entryId), index('entry_pattern_revision').on(t.patternRevisionId)],
);

/** What was baked: how it was meant, and how warm it really was. */
export const entryBakes = sqliteTable(
  'entry_bake',
  {
    id: id(),
    entryId: text('entry_id')
      .notNull()
      .references(() => entries.id),
    ovenName: text('oven_name').notNull(),
    dial: real('dial'),
    celsius: real('celsius').notNull(),
    low: real('low').notNull(),
    high: real('high').notNull(),
    maxC: real('max_c').notNull(),
    minutes: real('minutes').notNull(),
    /** by the clock */
    lasted: real('lasted').notNull(),
    /** null: no probe was heard */
    inBand: real('in_band'),
    hottest: real('hottest'),
    curve: text('curve', { mode: 'json' }).$type<readonly (readonly [number, number])[]>().notNull(),
    items: text('items', { mode: 'json' }).$type<readonly BakedItemDto[]>().notNull(),
  },
  (t) => [index('entry_bake_entry').on(t.entryId)],
);

/** Minutes that a step at the bench really took, against what is assumed of it. */
export const entryTimes = sqliteTable(
  'entry_time',
  {
    id: id(),
    entryId: text('entry_id')
      .notNull()
      .references(() => entries.id),
    key: text('key').notNull(),
    usual: real('usual').notNull(),
    minutes: real('minutes').notNull(),
  },
  (t) => [index('entry_time_entry').on(t.entryId)],
);
