import { createParamDecorator, type ExecutionContext } from '@nestjs/common';
import { isUUID } from 'class-validator';
import type { Request } from 'express';
import { CHANGE_HEADER } from '#contract';
import { ProblemException } from './problem.js';

/** The id of the change that a request asks for. */
export const ChangeId = createParamDecorator((_: unknown, context: ExecutionContext): string => {
  const id = context.switchToHttp().getRequest<Request>().headers[CHANGE_HEADER];
  if (typeof id !== 'string' || !isUUID(id)) {
    throw new ProblemException(
      400,
      'No change id',
      `A change needs the header ${CHANGE_HEADER} with an id of its own.`,
    );
  }
  return id;
});

/**
 * A number from the query, within bounds; `fallback` where it is missing or no number.
 */
export function fromQuery(text: string | undefined, fallback: number, low: number, high: number): number {
  const value = Number(text);
  return text === undefined || !Number.isFinite(value) ? fallback : Math.min(high, Math.max(low, Math.floor(value)));
}
