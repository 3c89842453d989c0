import * as transformerPackage from 'class-transformer';
import * as validatorPackage from 'class-validator';
import { ValidationPipe, type ArgumentMetadata, type ValidationError } from '@nestjs/common';
import { ProblemException } from './problem.js';

interface FieldSentence {
  readonly field: string;
  readonly sentence: string;
}

function sentences(errors: readonly ValidationError[], path = ''): FieldSentence[] {
  return errors.flatMap((error) => {
    const field = `${path}${error.property}`;
    const own = Object.values(error.constraints ?? {})
      .slice(0, 1)
      .map((sentence) => ({ field, sentence }));
    return [...own, ...sentences(error.children ?? [], `${field}.`)];
  });
}

/** A request without a body is one with nothing in it, so that each missing field gets its sentence. */
class BodyPipe extends ValidationPipe {
  override transform(value: unknown, metadata: ArgumentMetadata): Promise<unknown> {
    return super.transform(metadata.type === 'body' ? (value ?? {}) : value, metadata) as Promise<unknown>;
  }
}

/** Checks every body against its class of `contract`; the answer names each field. */
export const validation = (): ValidationPipe =>
  new BodyPipe({
    transform: true,
    whitelist: true,
    forbidNonWhitelisted: true,
    // named here, so that they are there once where all is put together in few files
    validatorPackage,
    transformerPackage,
    exceptionFactory: (errors) => {
      const fields = sentences(errors);
      return new ProblemException(422, 'This cannot be saved', fields[0]?.sentence ?? 'This cannot be saved.', {
        fields,
      });
    },
  });
