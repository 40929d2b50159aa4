import { fellRaceCup } from '../demo/pieces.js';
import type { Vessel } from '../form/vessel.js';
import { placeInlay } from '../inlay/placed.js';
import type { Inlay } from '../inlay/schema.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { prepare } from '../project/prepare.js';

export const cup = fellRaceCup();
export const vesselOf = (piece: typeof cup): Vessel => {
  const prepared = prepare(piece);
  if (!prepared.ok) throw new Error('cup');
  return prepared.value.vessel;
};
export const vessel = vesselOf(cup);
export const half = vessel.heightMm / 2;
/** An inlay in the middle of the cup, a small rectangle unless another is asked for. */
export const inlay = (change: Partial<Inlay> = {}): Inlay => ({
  id: 'i1',
  outline: { shape: 'rectangle', widthMm: mm(18), heightMm: mm(14) },
  heightMm: mm(half),
  towardDeg: 30,
  tiltDeg: 0,
  copies: 1,
  depthMm: mm(3),
  wood: cup.palette[0]!.key,
  cutterMm: mm(0.4),
  clearanceMm: mm(0.05),
  ...change,
});
export const lies = (of: Inlay, on = vessel) => {
  const placed = placeInlay(of, on);
  if (!placed.ok) throw new Error(plain(placed.reasons[0]!.message));
  return placed.value;
};
