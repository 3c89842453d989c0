import { refused } from '../access/problem.js';
import type { Draft } from './journal.js';

const GONE = 'This photograph is not there any more. Choose it again.';

/** @throws ProblemException 422 beside `pictureId` where a photograph is named that is not kept */
export async function checkPicture(draft: Draft, pictureId: string | null | undefined, sentence = GONE): Promise<void> {
  if (pictureId != null && !(await draft.find('picture', pictureId))) throw refused(sentence, 'pictureId');
}
