import { attempt } from '#core/units';
import { HttpException } from '@nestjs/common';
import type { Problem } from '#contract';

type Details = Partial<Pick<Problem, 'fields' | 'at' | 'current'>>;

/** An error whose answer is problem+json with a sentence for the person. */
export class ProblemException extends HttpException {
  constructor(status: number, title: string, detail: string, details: Details = {}) {
    const body: Problem = { type: 'about:blank', title, status, detail, ...details };
    super(body, status);
  }
}

/** 422: what was entered cannot be; beside `field`, where one is named. */
export function refused(sentence: string, field?: string): ProblemException {
  return new ProblemException(
    422,
    'This cannot be saved',
    sentence,
    field === undefined ? {} : { fields: [{ field, sentence }] },
  );
}

/** Names are told apart by more than small and capital letters. @throws ProblemException beside the name */
export function checkFree(what: string, name: string, others: readonly { readonly name: string }[]): void {
  const called = name.trim().toLowerCase();
  if (others.some((other) => other.name.trim().toLowerCase() === called))
    throw refused(`There is ${what} called ${name.trim()} already.`, 'name');
}

/** 404 */
export function notThere(what: string): ProblemException {
  return new ProblemException(404, 'Not there', `${what} is not there any more.`);
}

/** 409: it cannot be taken away because something rests on it. */
export function inUse(sentence: string): ProblemException {
  return new ProblemException(409, 'In use', sentence);
}

/**
 * Refuses a change that was made on an older state of a thing.
 * @param current what is there now, to be shown beside the person's own
 */
export async function checkVersion(
  name: string,
  stored: number | undefined,
  sent: number,
  current: () => unknown,
): Promise<void> {
  if ((stored ?? 0) === sent) return;
  if (stored === undefined) throw notThere(name);
  throw new ProblemException(
    409,
    'Changed elsewhere',
    `${name} was changed in another window. Nothing was overwritten: look at both and choose.`,
    { current: await current() },
  );
}

/** The address and the body have to speak of the same thing. */
export function sameId(inAddress: string, inBody: string): void {
  if (inAddress !== inBody)
    throw new ProblemException(400, 'Two ids', 'The address and the body name different things.');
}

/** Some work on what was sent; what core complains about is refused at that field. @throws ProblemException */
export const refusedAt = <T>(field: string, work: () => T): T =>
  attempt(work, (wrong) => {
    throw refused(wrong.message, field);
  });
