import { refused } from '../access/problem.js';
import type { Draft } from './journal.js';

/** @throws ProblemException 422 beside `pictureId` where a photograph is named that is not kept */
export async function checkPicture(draft: Draft, pictureId: string | null | undefined): Promise<void> {
  if (pictureId != null && !(await draft.find('picture', pictureId)))
    throw refused('This photograph is not there any more. Choose it again.', 'pictureId');
}
