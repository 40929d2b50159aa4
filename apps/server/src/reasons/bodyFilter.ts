import { MOST_BYTES } from '@fellside/core';
import { type ArgumentsHost, Catch, HttpException } from '@nestjs/common';
import { BaseExceptionFilter } from '@nestjs/core';
import { Unprocessable } from './answer.js';

const SENTENCES: Record<string, string> = {
  'entity.too.large': `The file is larger than the ${MOST_BYTES / 1024 / 1024} MB that are allowed.`,
  'entity.parse.failed': 'The request is not JSON.',
  'encoding.unsupported': 'The request is in an encoding that is not read here.',
  'charset.unsupported': 'The request is in a character set that is not read here; UTF-8 is.',
};

/** Turns what the body parser throws into the same 422 with reasons that everything else gives. */
@Catch()
export class BodyFilter extends BaseExceptionFilter {
  override catch(error: unknown, host: ArgumentsHost): void {
    const inner = error instanceof HttpException ? (error.cause ?? error) : error;
    const type = (inner as { type?: unknown } | null)?.type;
    const message = typeof type === 'string' ? SENTENCES[type] : undefined;
    super.catch(message ? new Unprocessable([{ code: String(type), path: '', message }]) : error, host);
  }
}
