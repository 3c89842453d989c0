import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Learned } from '#core/mix';
import type { BenchKind, BenchThing } from '#contract';
import { id, version } from './plans.schema.js';

/** Figures that were learned and are not to be used: by their keys. */
export const setAside = sqliteTable('set_aside', { id: id(), version: version() });

/** One row, id `learning`: what was learned from the chips. Worked out from them, so no change of a person's. */
export const learning = sqliteTable('learning', {
  id: id(),
  key: text('key').notNull(),
  use: integer('use', { mode: 'boolean' }).notNull(),
  learned: text('learned', { mode: 'json' }).$type<Learned>().notNull(),
});

/**
 * What lies at the bench just now: how far a card has come, timers, the load of the oven. No change of a person, so it
 * is not written by one. Its id is its kind and what it is of.
 */
export const benchNow = sqliteTable('bench_now', {
  id: id(),
  kind: text('kind').$type<BenchKind>().notNull(),
  /** what was said later has a higher one */
  place: integer('place').notNull(),
  value: text('value', { mode: 'json' }).$type<BenchThing['value']>().notNull(),
});
