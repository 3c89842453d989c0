import type { CheckedCopy } from '#contract';
import { showDate } from '../../state/today.js';

export const sizeOf = (bytes: number): string =>
  bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
export const timeOf = (at: string): string =>
  new Date(at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
const many = (n: number, one: string, more: string): string => `${n.toLocaleString('en')} ${n === 1 ? one : more}`;

/** What is in a copy. */
export function holdsWords({ clays, mixes, batches, entries, lastEntry }: CheckedCopy['holds']): string {
  const counts = [
    many(clays, 'clay', 'clays'),
    many(mixes, 'mix', 'mixes'),
    many(batches, 'batch', 'batches'),
    many(entries, 'diary entry', 'diary entries'),
  ];
  return `${counts.join(', ')}${lastEntry === null ? '' : `, the last one of ${showDate(lastEntry)}`}`;
}
