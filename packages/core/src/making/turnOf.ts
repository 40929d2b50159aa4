import { type Rad, rad } from '../measure/quantity.js';
import type { Turn } from '../measure/turn.js';
import { pitchOf, type RingMaking } from './registry.js';

/** How far a ring is turned, from the segments that a document keeps. */
export const turnOf = ({ turn, making }: { readonly turn: number; readonly making: RingMaking }): Turn => ({
  segments: turn,
  angle: rad(turn * pitchOf(making)),
});

/** The segments of a ring in an angle, to a billionth: half a segment is a half, however it was typed. */
export const segmentsIn = (angle: Rad, making: RingMaking): number =>
  Math.round((angle / pitchOf(making)) * 1e9) / 1e9;
