import type { DiaryAnswer, DiaryNoteDto } from '#contract/diary';
import { put } from '../../wire/save.js';

/** What of an entry is a person's to change. */
export type Changed = Partial<Pick<DiaryAnswer, 'note' | 'outcome' | 'pictures'>>;
export type Told = Pick<DiaryAnswer, 'id' | 'version' | 'note' | 'outcome' | 'pictures'>;

/** Shows a change of an entry at once and sends it. */
export function saveEntry(entry: Told, part: Changed): void {
  const { note, outcome, pictures } = { ...entry, ...part };
  const dto: DiaryNoteDto = { id: entry.id, version: entry.version, note, outcome, pictures: [...pictures] };
  void put(`/api/diary/${entry.id}`, dto, { ...entry, note, outcome, pictures });
}
