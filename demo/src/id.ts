import { createHash } from 'node:crypto';

/** The same id for the same words, in the form of a UUID, so that the scenario can refer to itself. */
export function idOf(words: string): string {
  const h = createHash('sha256').update(words).digest('hex');
  return `${h.slice(0, 8)}-${h.slice(8, 12)}-4${h.slice(13, 16)}-a${h.slice(17, 20)}-${h.slice(20, 32)}`;
}
