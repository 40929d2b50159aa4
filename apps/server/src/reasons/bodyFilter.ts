import type { UnitSystem } from '@fellside/core';
import { CannotWrite, Refusal } from '@fellside/database';
import {
  type ArgumentsHost,
  Catch,
  HttpException,
  type HttpServer,
  ServiceUnavailableException,
} from '@nestjs/common';
import { BaseExceptionFilter } from '@nestjs/core';
import { Unprocessable } from './answer.js';

const SENTENCES: Record<string, (limit: number) => string> = {
  'entity.too.large': (limit) =>
    `What was sent is larger than the ${Math.floor(limit / 1024 / 1024)} MB that are allowed.`,
  'entity.parse.failed': () => 'The request is not JSON.',
  'encoding.unsupported': () => 'The request is in an encoding that is not read here.',
  'charset.unsupported': () => 'The request is in a character set that is not read here; UTF-8 is.',
};

/** Turns what body parser and database throw into the answers that everything else gives; sentences are in the house's units. */
@Catch()
export class BodyFilter extends BaseExceptionFilter {
  constructor(
    server: HttpServer,
    private readonly units: () => Promise<UnitSystem>,
  ) {
    super(server);
  }

  override catch(error: unknown, host: ArgumentsHost): void {
    const told = translated(error);
    if (told instanceof Unprocessable)
      this.units().then(
        (units) => super.catch(told.saidIn(units), host),
        () => super.catch(told.saidIn('mm'), host),
      );
    else super.catch(told, host);
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
    return new Unprocessable([{ code: 'api:refused', path: '', message: error.message }]);
  const inner = error instanceof HttpException ? (error.cause ?? error) : error;
  const { type, limit } = (inner ?? {}) as { type?: unknown; limit?: unknown };
  const sentence = typeof type === 'string' ? SENTENCES[type] : undefined;
  return sentence
    ? new Unprocessable([{ code: `api:${type}`, path: '', message: sentence(Number(limit)) }])
    : error;
}
