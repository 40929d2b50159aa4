import { CannotWrite, Refusal } from '@fellside/database';
import { type ArgumentsHost, Catch, HttpException, ServiceUnavailableException } from '@nestjs/common';
import { BaseExceptionFilter } from '@nestjs/core';
import { Unprocessable } from './answer.js';

const SENTENCES: Record<string, (limit: number) => string> = {
  'entity.too.large': (limit) =>
    `What was sent is larger than the ${Math.floor(limit / 1024 / 1024)} MB that are allowed.`,
  'entity.parse.failed': () => 'The request is not JSON.',
  'encoding.unsupported': () => 'The request is in an encoding that is not read here.',
  'charset.unsupported': () => 'The request is in a character set that is not read here; UTF-8 is.',
};

/** Turns what body parser and database throw into the answers that everything else gives. */
@Catch()
export class BodyFilter extends BaseExceptionFilter {
  override catch(error: unknown, host: ArgumentsHost): void {
    super.catch(translated(error), host);
  }
}

function translated(error: unknown): unknown {
  if (error instanceof CannotWrite)
    return new ServiceUnavailableException({
      statusCode: 503,
      code: 'cannot-write',
      message: `Nothing was saved. ${error.sentence}`,
    });
  if (error instanceof Refusal)
    return new Unprocessable([{ code: 'refused', path: '', message: error.message }]);
  const inner = error instanceof HttpException ? (error.cause ?? error) : error;
  const { type, limit } = (inner ?? {}) as { type?: unknown; limit?: unknown };
  const sentence = typeof type === 'string' ? SENTENCES[type] : undefined;
  return sentence
    ? new Unprocessable([{ code: String(type), path: '', message: sentence(Number(limit)) }])
    : error;
}
