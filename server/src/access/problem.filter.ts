import { Catch, HttpException, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Request, Response } from 'express';
import { Complaint } from '#core/units';
import type { Problem } from '#contract';
import { OtherRow } from '../db/difference.js';
import { Stopping } from '../db/journal.js';
import { codesOf } from '../db/unusable.js';
import type { FileLog } from './log.js';

const TITLES: Readonly<Record<number, readonly [string, string]>> = {
  400: ['Not readable', 'What was sent cannot be read as JSON.'],
  404: ['Not there', 'There is nothing at this address.'],
  413: ['Too much at once', 'This is more than Sledge takes at once (1 MB). Nothing was saved.'],
};

const KEPT_HERE = 'What you entered is kept here and tried again.';
/**
 * What a failure of the disk means, by the beginning of its code. 507: the window keeps what was entered and tries
 * again.
 */
const OF_THE_DISK: Readonly<Record<string, string>> = {
  SQLITE_FULL: `The disk is full, so nothing was saved. Make room. ${KEPT_HERE}`,
  ENOSPC: `The disk is full, so nothing was saved. Make room. ${KEPT_HERE}`,
  SQLITE_READONLY: `The data cannot be written: the file, its folder or its disk is read-only. ${KEPT_HERE}`,
  EROFS: `The data cannot be written: its disk is read-only. ${KEPT_HERE}`,
  EACCES: `The data cannot be written: Sledge has no right to write there. ${KEPT_HERE}`,
  SQLITE_IOERR: `The disk with the data does not answer as it should, so nothing was saved. ${KEPT_HERE}`,
  SQLITE_CANTOPEN: `The data cannot be reached any more. Look whether its disk is there. ${KEPT_HERE}`,
  SQLITE_CORRUPT:
    'The file with the data is damaged; nothing was saved. Stop Sledge, and put the newest copy in its place.',
};

function diskSentence(error: unknown): string | null {
  for (const code of codesOf(error)) {
    const known = Object.keys(OF_THE_DISK).find((start) => code.startsWith(start));
    if (known !== undefined) return OF_THE_DISK[known] ?? null;
  }
  return null;
}

const make = (status: number, title: string, detail: string, more: object = {}): Problem => ({
  type: 'about:blank',
  title,
  status,
  detail,
  ...more,
});

/** What the person can mend, or what is wrong with the request; null for a failure of ours or of the disk. */
function ofTheRequest(error: unknown): Problem | null {
  if (error instanceof Complaint) {
    return make(422, 'This cannot be read', error.message, {
      ...(error.at === undefined ? {} : { at: error.at }),
      ...(error.choices.length === 0 ? {} : { choices: error.choices }),
    });
  }
  if (error instanceof OtherRow) {
    return make(409, 'Changed since', 'This cannot be taken back any more: what it changed has become something else.');
  }
  if (error instanceof Stopping) return make(503, 'About to end', 'Sledge is about to end. Nothing was saved.');
  if (error instanceof HttpException) {
    const body = error.getResponse();
    if (typeof body === 'object' && 'detail' in body) return body as Problem;
    const [title, detail] = TITLES[error.getStatus()] ?? ['Refused', error.message];
    return make(error.getStatus(), title, detail);
  }
  const status = (error as { status?: unknown } | null)?.status;
  if (typeof status === 'number' && status >= 400 && status < 500) {
    const [title, detail] = TITLES[status] ?? ['Refused', 'This was refused.'];
    return make(status, title, detail);
  }
  return null;
}

/** Every error leaves as application/problem+json (RFC 9457). What only we can mend goes to the log, under a number. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  constructor(private readonly log: FileLog) {}

  catch(error: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp();
    const response = http.getResponse<Response>();
    const problem = ofTheRequest(error) ?? this.failure(error, http.getRequest<Request>());
    if (response.headersSent) {
      response.end();
      return;
    }
    response
      .status(problem.status)
      .type('application/problem+json')
      .set('X-Content-Type-Options', 'nosniff')
      .send(JSON.stringify(problem));
  }

  private failure(error: unknown, { method, path }: Request): Problem {
    const fault = this.log.fault(error, `${method} ${path}`);
    const disk = diskSentence(error);
    if (disk !== null) return make(507, 'Not saved', disk, { fault });
    return make(
      500,
      'Sledge made a mistake',
      'Something went wrong inside Sledge. Nothing was saved; what was there before is unchanged. It ' +
        `stands in the log as fault ${fault}.`,
      { fault },
    );
  }
}
