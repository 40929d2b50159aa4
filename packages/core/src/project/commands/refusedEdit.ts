import type { ReasonCode } from '../../measure/reasonCodes.js';
import type { Said } from '../../measure/said.js';
import type { Outcome } from './command.js';

/** An edit that is refused for one reason. */
export const refusedEdit = (
  code: ReasonCode,
  path: string,
  message: Said,
  limits?: Readonly<Record<string, number>>,
): Outcome => ({
  reasons: [{ code, path, message, ...(limits && { limits }) }],
});
