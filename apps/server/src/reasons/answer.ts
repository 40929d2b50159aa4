import { type Reason, type Result, reasonsOf } from '@fellside/core';
import { UnprocessableEntityException } from '@nestjs/common';
import type { z } from 'zod';

/** 422 with the whole list of what is wrong. */
export class Unprocessable extends UnprocessableEntityException {
  constructor(reasons: readonly Reason[]) {
    super({ statusCode: 422, reasons });
  }
}

/** The value of a result, or 422 with its reasons. */
export function accepted<T>(result: Result<T>): T {
  if (!result.ok) throw new Unprocessable(result.reasons);
  return result.value;
}

/** What a schema makes of a request's body, or 422 with the reasons. */
export function parsed<T>(schema: z.ZodType<T>, given: unknown): T {
  const result = schema.safeParse(given);
  if (!result.success) throw new Unprocessable(reasonsOf(result.error));
  return result.data;
}
