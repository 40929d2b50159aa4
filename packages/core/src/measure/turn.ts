import { formatAngle, trimZeros } from './format.js';
import { readNumber } from './parse.js';
import { type Rad, rad } from './quantity.js';
import { done, type Result, refuse } from './reason.js';
import { say } from './said.js';
import { shortened } from './shortened.js';

/** How far a ring is turned about the axis: in its own segments, and as an angle. */
export interface Turn {
  readonly segments: number;
  readonly angle: Rad;
}

/** A turn as it is read everywhere, in segments and in degrees: `½ = 7.5°`; `0` where there is none. */
export function turnSaid({ segments, angle }: Turn): string {
  return segments === 0 ? '0' : `${segmentsSaid(segments)} = ${formatAngle(angle)}`;
}

/** The segments of a turn: `½`, `0.25`. */
export const segmentsSaid = (segments: number): string =>
  segments === 0.5 ? '½' : trimZeros(segments.toFixed(3));

/** Reads a turn: `0.5`, `1/2` or `½` are segments, `7.5°`, `7 1/2 deg` an angle, which for each ring is its own share of a segment. */
export function parseTurn(text: string): Result<number | { readonly angle: Rad }> {
  const [sign = ''] = /(°|deg|degrees?)$/i.exec(text.trim()) ?? [];
  const value = readNumber(text.trim().slice(0, -sign.length || undefined));
  if (value === null)
    return refuse(
      'not-a-turn',
      'turn',
      say`“${shortened(text)}” is not a turn; write it in segments, like 0.5 or 1/2, or in degrees, like 7.5°.`,
    );
  return done(sign ? { angle: rad((value * Math.PI) / 180) } : value);
}
