import type { BrokenDto, DiaryAnswer, DiaryNoteDto } from '#contract/diary';
import { put } from '../../wire/save.js';

/** What of an entry is a person's to change. */
export interface Changed extends Partial<Pick<DiaryAnswer, 'note' | 'outcome' | 'pictures'>> {
  /** of some of its pieces */
  readonly broken?: readonly BrokenDto[];
}
export type Told = Pick<DiaryAnswer, 'id' | 'version' | 'note' | 'outcome' | 'pictures'>;

/** Shows a change of an entry at once and sends it. */
export function saveEntry(entry: Told & Partial<Pick<DiaryAnswer, 'pieces'>>, { broken, ...part }: Changed): void {
  const { note, outcome, pictures } = { ...entry, ...part };
  const dto: DiaryNoteDto = { id: entry.id, version: entry.version, note, outcome, pictures: [...pictures] };
  const counted = new Map(broken?.map(({ id, count }) => [id, count]));
  const pieces = entry.pieces?.map((p) => ({ ...p, broken: counted.get(p.id) ?? p.broken }));
  const told = { ...entry, note, outcome, pictures, ...(pieces && { pieces }) };
  void put(`/api/diary/${entry.id}`, broken ? { ...dto, broken: [...broken] } : dto, told);
}
