import { ValidationPipe, type ValidationError } from '@nestjs/common';
import { ProblemException } from './problem.js';

interface FieldSentence { readonly field: string; readonly sentence: string }

function sentences(errors: readonly ValidationError[], path = ''): FieldSentence[] {
  return errors.flatMap((error) => {
    const field = `${path}${error.property}`;
    const own = Object.values(error.constraints ?? {}).slice(0, 1).map((sentence) => ({ field, sentence }));
    return [...own, ...sentences(error.children ?? [], `${field}.`)];
  });
}

/** Checks every body against its class of `contract`; the answer names each field. */
export const validation = (): ValidationPipe => new ValidationPipe({
  transform: true,
  whitelist: true,
  forbidNonWhitelisted: true,
  exceptionFactory: (errors) => {
    const fields = sentences(errors);
    return new ProblemException(422, 'This cannot be saved', fields[0]?.sentence ?? 'This cannot be saved.', { fields });
  },
});
