import type { Point } from '#core/outline';
import type { Stage } from '#core/colour';
import { sql } from 'drizzle-orm';
import {
  check,
  integer,
  index,
  real,
  sqliteTable,
  text,
  uniqueIndex,
  type AnySQLiteColumn,
  type CheckBuilder,
} from 'drizzle-orm/sqlite-core';
import type { Firmness, Kind, Squeeze, Toughness } from '#core/clay';
import type { Conditioner } from '#core/conditioning';
import type { CutterShape, Lie } from '#core/cutter';
import type { Basis, ChipWay } from '#core/mix';
import type { Program, Trimming } from '#core/cane';
import type { MosaicDocument } from '#core/mosaic';
import type { PatternProgram, PatternWanted } from '#core/pattern';
import type { ReadingWay } from '#core/sheet';
import type { BroughtBack, FinishStepDto, OvenReadingDto, PatternCutDto, PlacedDto } from '#contract';
import type { KeptShape } from '../blends/shape.js';

/** What lies on the shelf and what is planned. Every table that a person's change touches has a text id. */
export const id = () => text('id').primaryKey();
export const version = () => integer('version').notNull();

/** Of the columns that can say what a row is made of (references.ts), exactly one does. */
export const oneOf = (name: string, ...columns: readonly AnySQLiteColumn[]): CheckBuilder =>
  check(`${name}_of_one`, sql.join([...columns.map((c) => sql`(${c} is not null)`)], sql` + `).append(sql` = 1`));

export const lines = sqliteTable('line', {
  id: id(),
  version: version(),
  name: text('name').notNull(),
  firmness: text('firmness').$type<Firmness>().notNull(),
  density: real('density').notNull(),
  densityMeasured: integer('density_measured', { mode: 'boolean' }).notNull(),
  bakeC: real('bake_c').notNull(),
  bakeMinutes: real('bake_minutes').notNull(),
  bakePerMm: real('bake_per_mm').notNull(),
  maxC: real('max_c').notNull(),
  toughness: text('toughness').$type<Toughness>(),
  /** the maker's own figures, for baking lower and longer; null: as the packet says */
  ownC: real('own_c'),
  ownMinutes: real('own_minutes'),
});

export const clays = sqliteTable(
  'clay',
  {
    id: id(),
    version: version(),
    lineId: text('line_id')
      .notNull()
      .references(() => lines.id),
    name: text('name').notNull(),
    kind: text('kind').$type<Kind>().notNull(),
    rawHex: text('raw_hex').notNull(),
    bakedHex: text('baked_hex').notNull(),
    /** of mica clay: flakes seen from their edges, baked; null: not measured */
    edgeHex: text('edge_hex'),
    strength: real('strength'),
    retired: integer('retired', { mode: 'boolean' }).notNull(),
  },
  (t) => [index('clay_line').on(t.lineId)],
);

export const blocks = sqliteTable(
  'block',
  {
    id: id(),
    version: version(),
    clayId: text('clay_id')
      .notNull()
      .references(() => clays.id),
    netGrams: real('net_grams').notNull(),
    leftGrams: real('left_grams').notNull(),
    madeOn: text('made_on'),
    dateCode: text('date_code').notNull(),
    price: real('price'),
    /** what it did between the fingers, and when; null: nobody has squeezed it */
    squeezed: text('squeezed').$type<Squeeze>(),
    squeezedOn: text('squeezed_on'),
    /** of one that was brought back: what was worked in; null: bought as it is */
    inside: text('inside', { mode: 'json' }).$type<BroughtBack>(),
  },
  (t) => [index('block_clay').on(t.clayId)],
);

export const mixes = sqliteTable('mix', {
  id: id(),
  version: version(),
  name: text('name').notNull(),
  note: text('note').notNull(),
  retired: integer('retired', { mode: 'boolean' }).notNull(),
  wantedHex: text('wanted_hex'),
});

export const revisions = sqliteTable(
  'revision',
  {
    id: id(),
    mixId: text('mix_id')
      .notNull()
      .references(() => mixes.id),
    number: integer('number').notNull(),
    basis: text('basis').$type<Basis>().notNull(),
    createdAt: text('created_at').notNull(),
  },
  (t) => [uniqueIndex('revision_number').on(t.mixId, t.number)],
);

export const ingredients = sqliteTable(
  'ingredient',
  {
    id: id(),
    revisionId: text('revision_id')
      .notNull()
      .references(() => revisions.id),
    position: integer('position').notNull(),
    /** an exact number as text, `3/2` */
    parts: text('parts').notNull(),
    clayId: text('clay_id').references(() => clays.id),
    innerId: text('inner_revision_id').references(() => revisions.id),
  },
  (t) => [
    index('ingredient_revision').on(t.revisionId),
    index('ingredient_clay').on(t.clayId),
    index('ingredient_inner').on(t.innerId),
    oneOf('ingredient', t.clayId, t.innerId),
  ],
);

/** A sample of a mix that was made and looked at. */
export const chips = sqliteTable(
  'chip',
  {
    id: id(),
    version: version(),
    revisionId: text('revision_id')
      .notNull()
      .references(() => revisions.id),
    madeOn: text('made_on').notNull(),
    stage: text('stage').$type<Stage>().notNull(),
    l: real('l').notNull(),
    a: real('a').notNull(),
    b: real('b').notNull(),
    way: text('way').$type<ChipWay>().notNull(),
  },
  (t) => [index('chip_revision').on(t.revisionId)],
);

/** A photograph as it is kept, base64; never changed. */
export const pictures = sqliteTable('picture', {
  id: id(),
  type: text('type').$type<'image/jpeg' | 'image/png'>().notNull(),
  width: integer('width').notNull(),
  height: integer('height').notNull(),
  data: text('data').notNull(),
  /** the same, small enough for a wall of them; null: kept before there were small ones */
  small: text('small'),
});

export const palettes = sqliteTable('palette', {
  id: id(),
  version: version(),
  name: text('name').notNull(),
  note: text('note').notNull(),
  pictureId: text('picture_id').references(() => pictures.id),
  gainR: real('gain_r').notNull(),
  gainG: real('gain_g').notNull(),
  gainB: real('gain_b').notNull(),
});

/** Mosaics of threads, as they are planned and how far they are laid. What shades were last made of may be gone. */
export const mosaics = sqliteTable('mosaic', {
  id: id(),
  version: version(),
  name: text('name').notNull(),
  note: text('note').notNull(),
  pictureId: text('picture_id').references(() => pictures.id),
  mosaic: text('mosaic', { mode: 'json' }).$type<MosaicDocument>().notNull(),
});

export const swatches = sqliteTable(
  'swatch',
  {
    id: id(),
    paletteId: text('palette_id')
      .notNull()
      .references(() => palettes.id),
    position: integer('position').notNull(),
    name: text('name').notNull(),
    l: real('l').notNull(),
    a: real('a').notNull(),
    b: real('b').notNull(),
    share: real('share'),
  },
  (t) => [index('swatch_palette').on(t.paletteId)],
);

export const machines = sqliteTable('machine', {
  id: id(),
  version: version(),
  name: text('name').notNull(),
  note: text('note').notNull(),
  rollerWidthMm: real('roller_width_mm').notNull(),
});

export const settings = sqliteTable(
  'setting',
  {
    id: id(),
    machineId: text('machine_id')
      .notNull()
      .references(() => machines.id),
    position: integer('position').notNull(),
    label: text('label').notNull(),
    called: text('called').notNull().default(''),
  },
  (t) => [index('setting_machine').on(t.machineId)],
);

export const readings = sqliteTable(
  'reading',
  {
    id: id(),
    settingId: text('setting_id')
      .notNull()
      .references(() => settings.id),
    mm: real('mm').notNull(),
    sigmaMm: real('sigma_mm').notNull(),
    way: text('way').$type<ReadingWay>().notNull(),
    takenOn: text('taken_on'),
  },
  (t) => [index('reading_setting').on(t.settingId)],
);

export const blends = sqliteTable('blend', {
  id: id(),
  version: version(),
  name: text('name').notNull(),
  note: text('note').notNull(),
  retired: integer('retired', { mode: 'boolean' }).notNull(),
});

/**
 * How a blend is cut and wound up; its colours and settings stand beside it, so that they cannot be taken from
 * under it.
 */
export const blendRevisions = sqliteTable(
  'blend_revision',
  {
    id: id(),
    blendId: text('blend_id')
      .notNull()
      .references(() => blends.id),
    number: integer('number').notNull(),
    createdAt: text('created_at').notNull(),
    settingId: text('setting_id').references(() => settings.id),
    tapeSettingId: text('tape_setting_id').references(() => settings.id),
    shape: text('shape', { mode: 'json' }).$type<KeptShape>().notNull(),
  },
  (t) => [uniqueIndex('blend_revision_number').on(t.blendId, t.number)],
);

export const blendColours = sqliteTable(
  'blend_colour',
  {
    id: id(),
    blendRevisionId: text('blend_revision_id')
      .notNull()
      .references(() => blendRevisions.id),
    position: integer('position').notNull(),
    clayId: text('clay_id').references(() => clays.id),
    revisionId: text('revision_id').references(() => revisions.id),
  },
  (t) => [
    index('blend_colour_revision').on(t.blendRevisionId),
    index('blend_colour_mix').on(t.revisionId),
    index('blend_colour_clay').on(t.clayId),
    oneOf('blend_colour', t.clayId, t.revisionId),
  ],
);

/** One row, id `bench`: what this maker measures with. */
export const benchSetup = sqliteTable('bench_setup', {
  id: id(),
  version: version(),
  machineId: text('machine_id').references(() => machines.id),
  discMm: real('disc_mm').notNull(),
  discSettingId: text('disc_setting_id').references(() => settings.id),
  cardMm: real('card_mm'),
  roomC: real('room_c'),
  guides: text('guides', { mode: 'json' }).$type<number[]>(),
  gauges: text('gauges', { mode: 'json' }).$type<{ name: string; mm: number; sigmaMm: number }[]>(),
  conditionSettingId: text('condition_setting_id').references(() => settings.id),
  conditionPasses: integer('condition_passes'),
  conditionSchool: text('condition_school').$type<Conditioner>(),
  currency: text('currency').notNull(),
  /** what an hour of one's hands is worth, and the share of everything else on top; null: nobody said */
  hourly: real('hourly'),
  overhead: real('overhead'),
  /** the oven that batches are baked in; null: the first one */
  ovenId: text('oven_id').references((): AnySQLiteColumn => ovens.id),
});

export const batches = sqliteTable('batch', {
  id: id(),
  version: version(),
  name: text('name').notNull(),
  note: text('note').notNull(),
  dueOn: text('due_on'),
});

/** What something is cut with. */
const cutterColumns = () => ({
  shape: text('shape').$type<CutterShape>().notNull(),
  widthMm: real('width_mm').notNull(),
  heightMm: real('height_mm'),
  rimMm: real('rim_mm'),
  points: text('points', { mode: 'json' }).$type<readonly Point[]>(),
});

/** The drawer of cutters. A piece keeps a copy of its cutter, so that it stays what it was cut with. */
export const cutters = sqliteTable('cutter', {
  id: id(),
  version: version(),
  name: text('name').notNull(),
  ...cutterColumns(),
});

/** Ovens of one's own, with what was read in each. */
export const ovens = sqliteTable('oven', {
  id: id(),
  version: version(),
  name: text('name').notNull(),
  trayWidthMm: real('tray_width_mm').notNull(),
  trayLengthMm: real('tray_length_mm').notNull(),
  readings: text('readings', { mode: 'json' }).$type<OvenReadingDto[]>().notNull(),
});

export const pieces = sqliteTable(
  'piece',
  {
    id: id(),
    batchId: text('batch_id')
      .notNull()
      .references(() => batches.id),
    position: integer('position').notNull(),
    name: text('name').notNull(),
    ...cutterColumns(),
    count: integer('count').notNull(),
    spare: integer('spare').notNull(),
    bridgeMm: real('bridge_mm').notNull(),
    edgeMm: real('edge_mm'),
    sheetWidthMm: real('sheet_width_mm').notNull(),
    sheetLengthMm: real('sheet_length_mm').notNull(),
    pairs: integer('pairs', { mode: 'boolean' }).notNull().default(false),
    lie: text('lie').$type<Lie>().notNull().default('close'),
    film: integer('film', { mode: 'boolean' }).notNull().default(false),
    /** null: laid out */
    placed: text('placed', { mode: 'json' }).$type<PlacedDto>(),
    /** null: nothing after the oven */
    finish: text('finish', { mode: 'json' }).$type<FinishStepDto[]>(),
    prices: text('prices', { mode: 'json' }).$type<number[]>(),
  },
  (t) => [index('piece_batch').on(t.batchId)],
);

export const canes = sqliteTable('cane', {
  id: id(),
  version: version(),
  name: text('name').notNull(),
  note: text('note').notNull(),
  retired: integer('retired', { mode: 'boolean' }).notNull(),
});

/** The steps of a cane, and what is wanted of it. */
export const caneRevisions = sqliteTable(
  'cane_revision',
  {
    id: id(),
    caneId: text('cane_id')
      .notNull()
      .references(() => canes.id),
    number: integer('number').notNull(),
    createdAt: text('created_at').notNull(),
    program: text('program', { mode: 'json' }).$type<Program>().notNull(),
    slices: integer('slices').notNull(),
    sliceMm: real('slice_mm').notNull(),
    trimming: text('trimming').$type<Trimming>().notNull(),
    ends: real('ends'),
  },
  (t) => [uniqueIndex('cane_revision_number').on(t.caneId, t.number)],
);

/** What the steps of a revision name, so that it cannot be taken from under them. */
export const caneUses = sqliteTable(
  'cane_use',
  {
    id: id(),
    caneRevisionId: text('cane_revision_id')
      .notNull()
      .references(() => caneRevisions.id),
    clayId: text('clay_id').references(() => clays.id),
    revisionId: text('revision_id').references(() => revisions.id),
    blendRevisionId: text('blend_revision_id').references(() => blendRevisions.id),
    innerId: text('inner_id').references(() => caneRevisions.id),
  },
  (t) => [
    index('cane_use_revision').on(t.caneRevisionId),
    index('cane_use_clay').on(t.clayId),
    index('cane_use_mix').on(t.revisionId),
    index('cane_use_blend').on(t.blendRevisionId),
    index('cane_use_inner').on(t.innerId),
    oneOf('cane_use', t.clayId, t.revisionId, t.blendRevisionId, t.innerId),
  ],
);

export const patterns = sqliteTable('pattern', {
  id: id(),
  version: version(),
  name: text('name').notNull(),
  note: text('note').notNull(),
  retired: integer('retired', { mode: 'boolean' }).notNull(),
  /** null: nothing is cut of it yet */
  cuts: text('cuts', { mode: 'json' }).$type<PatternCutDto[]>(),
});

/** The steps of a patterned sheet, and what is wanted of it. */
export const patternRevisions = sqliteTable(
  'pattern_revision',
  {
    id: id(),
    patternId: text('pattern_id')
      .notNull()
      .references(() => patterns.id),
    number: integer('number').notNull(),
    createdAt: text('created_at').notNull(),
    program: text('program', { mode: 'json' }).$type<PatternProgram>().notNull(),
    /** null: as much as the steps make */
    wanted: text('wanted', { mode: 'json' }).$type<PatternWanted>(),
  },
  (t) => [uniqueIndex('pattern_revision_number').on(t.patternId, t.number)],
);

/** What the steps of a revision name, so that it cannot be taken from under them. */
export const patternUses = sqliteTable(
  'pattern_use',
  {
    id: id(),
    patternRevisionId: text('pattern_revision_id')
      .notNull()
      .references(() => patternRevisions.id),
    clayId: text('clay_id').references(() => clays.id),
    revisionId: text('revision_id').references(() => revisions.id),
    blendRevisionId: text('blend_revision_id').references(() => blendRevisions.id),
    caneRevisionId: text('cane_revision_id').references(() => caneRevisions.id),
  },
  (t) => [
    index('pattern_use_revision').on(t.patternRevisionId),
    index('pattern_use_clay').on(t.clayId),
    index('pattern_use_mix').on(t.revisionId),
    index('pattern_use_blend').on(t.blendRevisionId),
    index('pattern_use_cane').on(t.caneRevisionId),
    oneOf('pattern_use', t.clayId, t.revisionId, t.blendRevisionId, t.caneRevisionId),
  ],
);
