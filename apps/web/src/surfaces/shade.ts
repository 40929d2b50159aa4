import { END_GRAIN, LONG_GRAIN, TILE } from './grain.js';
import type { Ink } from './inks.js';

/** Light that is left where two pieces meet, of 256. */
const JOINT = 168;
/** What shows through a gap: a veil over what is behind (black, alpha). */
export const THROUGH = (46 << 24) | 0x27251d;
const WHITE_SHARE = 0.72;
const INK_LINE = 0x27251d;

/** Whether a point of a drawing lies on a line of a wood's hatch. */
function hatched({ hatch: { angle, gap, line } }: Ink, x: number, y: number): boolean {
  const turn = (angle * Math.PI) / 180;
  const [along, across] = [x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn)];
  const rest = (value: number, n: number) => ((value % n) + n) % n;
  const on = rest(across, gap) < 1.2;
  switch (line) {
    case 'dashed':
      return on && rest(along, 10) < 6;
    case 'dotted':
      return on && rest(along, 5) < 1.6;
    case 'crossed':
      return on || rest(along, gap) < 1.2;
    default:
      return on;
  }
}

const pale = (channel: number) => Math.round(255 * WHITE_SHARE + channel * (1 - WHITE_SHARE));

/** The colour of a wood at a pixel, as alpha, blue, green, red; `end` of 255 is end grain. */
export function shadeOf(
  ink: Ink,
  upright: boolean,
  end: number,
  x: number,
  y: number,
  hatches: boolean,
): number {
  if (hatches) {
    if (hatched(ink, x, y)) return (255 << 24) | INK_LINE;
    return (255 << 24) | (pale(ink.b) << 16) | (pale(ink.g) << 8) | pale(ink.r);
  }
  const at = upright
    ? (x & (TILE - 1)) * TILE + (y & (TILE - 1))
    : (y & (TILE - 1)) * TILE + (x & (TILE - 1));
  const light = (LONG_GRAIN[at]! * (255 - end) + END_GRAIN[at]! * end) >> 8;
  return (
    (255 << 24) | (((ink.b * light) >> 8) << 16) | (((ink.g * light) >> 8) << 8) | ((ink.r * light) >> 8)
  );
}

/** The same colour where a joint is drawn. */
export const darkened = (colour: number): number =>
  (colour & 0xff000000) |
  (((((colour >> 16) & 255) * JOINT) >> 8) << 16) |
  (((((colour >> 8) & 255) * JOINT) >> 8) << 8) |
  (((colour & 255) * JOINT) >> 8);
