import type { Said } from '../measure/said.js';

/** What can be looked at in a ring or a blank that can be made all the same. */
const WARNINGS = [
  'bands-do-not-meet',
  'board-crooked',
  'board-short',
  'chequer-seam',
  'illusion-out-of-shape',
  'links-apart',
  'links-collide',
  'little-hold',
  'oval',
  'pin-shows',
  'section-too-thick',
  'thick-spacer',
  'tips-easily',
  'wedge-thin',
] as const;
export type WarningCode = (typeof WARNINGS)[number];

export interface Warning {
  readonly code: WarningCode;
  readonly message: Said;
}
