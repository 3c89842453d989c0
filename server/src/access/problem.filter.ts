import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Response } from 'express';
import { Complaint } from '#core/units';
import type { Problem } from '#contract';

const TITLES: Readonly<Record<number, readonly [string, string]>> = {
  400: ['Not readable', 'What was sent cannot be read as JSON.'],
  404: ['Not there', 'There is nothing at this address.'],
  413: ['Too much at once', 'This is more than Sledge takes at once (1 MB). Nothing was saved.'],
};

function problemOf(error: unknown): Problem {
  const make = (status: number, title: string, detail: string, more: object = {}): Problem =>
    ({ type: 'about:blank', title, status, detail, ...more });
  if (error instanceof Complaint) {
    return make(422, 'This cannot be read', error.message, error.at === undefined ? {} : { at: error.at });
  }
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
  Logger.error(error);
  return make(500, 'Sledge made a mistake', 'Something went wrong inside Sledge. Nothing was saved; what was there before is unchanged.');
}

/** Every error leaves as application/problem+json (RFC 9457). */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const problem = problemOf(error);
    if (response.headersSent) { response.end(); return; }
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
  }
}
