import type { WrittenDto } from '#contract';
import { refused } from '../access/problem.js';
import type { Draft, Row } from './journal.js';

/** What is written down; a note, how it went and photographs where somebody was asked for them. */
type Written = Pick<WrittenDto, 'entryId' | 'madeOn'> & Partial<WrittenDto>;

interface Told {
  readonly title: string;
  /** names to be found by */
  readonly words: readonly string[];
  /** of a batch, and whether it is a part of it */
  readonly batch?: { readonly id: string; readonly part: boolean };
}

/** Photographs as rows of an entry, each once. */
export const pictureRows = (entryId: string, pictures: NonNullable<WrittenDto['pictures']>): Row<'entryPicture'>[] =>
  [...new Map(pictures.map((one) => [one.id, one])).values()].map(({ id, lay, marks }, position) => ({
    ...{ id: `${entryId} ${id}`, entryId, pictureId: id, position },
    lay: lay ?? null,
    marks: marks && marks.length > 0 ? marks : null,
  }));

/** @throws ProblemException at the photograph that is not kept */
export async function checkPictures(draft: Draft, pictures: NonNullable<WrittenDto['pictures']>): Promise<void> {
  for (const [i, { id }] of pictures.entries())
    if (!(await draft.find('picture', id)))
      throw refused('This photograph is not there any more. Choose it again.', `pictures.${i}`);
}

/** An entry of the diary, with its photographs. @throws ProblemException as {@link checkPictures} */
export async function writeEntry(draft: Draft, of: Written, { title, words, batch }: Told): Promise<void> {
  const pictures = of.pictures ?? [];
  await checkPictures(draft, pictures);
  await draft.put('entry', {
    id: of.entryId,
    version: draft.version,
    batchId: batch?.id ?? null,
    part: batch?.part ?? false,
    madeOn: of.madeOn,
    title,
    note: of.note ?? '',
    outcome: of.outcome ?? null,
    words: words.join(' '),
  });
  for (const row of pictureRows(of.entryId, pictures)) await draft.put('entryPicture', row);
}
