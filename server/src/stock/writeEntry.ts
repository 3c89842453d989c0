import type { Draft } from '../db/journal.js';

interface EntryOf {
  readonly entryId: string;
  readonly madeOn: string;
  readonly note?: string;
}

/** An entry of the diary that clay goes through. */
export async function writeEntry(draft: Draft, of: EntryOf, title: string, words: readonly string[]): Promise<void> {
  await draft.put('entry', {
    id: of.entryId,
    version: draft.version,
    batchId: null,
    part: false,
    madeOn: of.madeOn,
    title,
    note: of.note ?? '',
    words: words.join(' '),
  });
}
