import { judged, type Reason, type Result, sentenceIn, type UnitSystem } from '@fellside/core';
import { UnprocessableEntityException } from '@nestjs/common';
import type { z } from 'zod';

/** 422 with the list of what is wrong. */
export class Unprocessable extends UnprocessableEntityException {
  constructor(readonly reasons: readonly Reason[]) {
    super({ statusCode: 422, reasons });
  }

  /** The same with its sentences as text. */
  saidIn(units: UnitSystem): UnprocessableEntityException {
    const reasons = this.reasons.map((reason) => ({ ...reason, message: sentenceIn(reason.message, units) }));
    return new UnprocessableEntityException({ statusCode: 422, reasons });
  }
}

/** The value of a result, or 422 with its reasons. */
export function accepted<T>(result: Result<T>): T {
  if (!result.ok) throw new Unprocessable(result.reasons);
  return result.value;
}

/** What a schema makes of a request's body, or 422 with the reasons; cheap limits are looked at first. */
export const parsed = <T>(schema: z.ZodType<T>, given: unknown): T => accepted(judged(schema, given));
